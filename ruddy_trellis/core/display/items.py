"""From steps to primitives."""

from dataclasses import dataclass
from math import atan2, cos, degrees, hypot, inf, radians, sin, sqrt

from ..kinds import CIRCLE, NUMBER, POINT, POLYGON, STRAIGHTS
from ..language.expression import ANGLE
from ..language.printing import noun, sentence
from .palette import style_of
from .text import reading_text, shown_name

#: In which order kinds are drawn, lowest first.
LAYERS = {POLYGON: 0, CIRCLE: 1, "segment": 2, "ray": 2, "line": 2, NUMBER: 3, POINT: 4}


@dataclass(frozen=True)
class Extent:
    """The part of the plane that is seen: lines are cut some way outside it, and their names stand inside."""

    left: float
    low: float
    right: float
    high: float

    @property
    def width(self):
        return self.right - self.left

    @property
    def height(self):
        return self.high - self.low

    def grown(self, times):
        """The extent with its sides moved out by so many times its size."""
        x, y = self.width * times, self.height * times
        return Extent(self.left - x, self.low - y, self.right + x, self.high + y)


def display(board, extent, ids=None):
    """The display list of a board.

    Args:
        extent: the part that is seen.
        ids: the steps to show; all of them where left out.

    Returns:
        For every one an item: ``id``, ``kind``, ``layer``, ``says`` (its words), ``sentence``, ``style``, and what
        :func:`refreshed` gives.
    """
    maker = _Maker(board, extent)
    items = []
    for step in board.steps if ids is None else map(board.step, ids):
        items.append(
            {
                "id": step.id,
                "kind": step.makes,
                "layer": LAYERS[step.makes],
                "says": noun(board, step.id),
                "sentence": sentence(board, step.id),
                "style": style_of(step),
                **maker.geometry(step),
            }
        )
    return items


def refreshed(board, extent, ids):
    """The parts of these steps' items that change when something moves: their ``shape`` and their ``label``.

    ``shape`` is None where a step has no value now. Names of points next to them are refreshed as well.
    """
    maker = _Maker(board, extent)
    more = dict.fromkeys(ids)
    for id in ids:
        more.update(dict.fromkeys(maker.neighbours.get(id, ())))
    return [{"id": id, **maker.geometry(board.step(id))} for id in more]


class _Maker:
    def __init__(self, board, extent):
        self.board, self.extent = board, extent
        self._far = extent.grown(3)
        self._inside = extent.grown(-0.05)
        self.neighbours = _neighbours(board)

    def geometry(self, step):
        value = self.board.value(step.id)
        if value is None:
            return {"shape": None, "label": None}
        if step.makes == POINT:
            return self._point(step, value)
        if step.makes in STRAIGHTS:
            return self._straight(step, value)
        if step.makes == CIRCLE:
            return self._circle(step, value)
        if step.makes == POLYGON:
            middle = (sum(x for x, _ in value) / len(value), sum(y for _, y in value) / len(value))
            return {"shape": {"points": [part for corner in value for part in corner]}, "label": self._label(step, middle, (0, 0))}
        return self._reading(step)

    def _label(self, step, at, push):
        """A name: where it stands, which way it is pushed from there, and by what a person dragged it (pixels)."""
        return {"text": shown_name(self.board.name(step.id)), "at": at, "push": push, "offset": step.look.label_offset}

    def _point(self, step, at):
        x = y = 0.0
        for other in self.neighbours.get(step.id, ()):
            place = self.board.value(other)
            if place and (size := hypot(place[0] - at[0], place[1] - at[1])):
                x += (place[0] - at[0]) / size
                y += (place[1] - at[1]) / size
        size = hypot(x, y)
        push = (-x / size, -y / size) if size > 0.2 else (0.7, 0.7)
        shape = {"at": at}
        if step.construction.moves == "sliding":
            shape["turn"] = self._slope(step, at)
        return {"shape": shape, "label": self._label(step, at, push)}

    def _slope(self, step, at):
        """The direction of the path under a sliding point, in degrees."""
        path = step.fills["path"]
        value = self.board.value(path[0])
        if len(path) == 2:
            end = self.board.value(path[1])
            return degrees(atan2(end[1] - value[1], end[0] - value[0]))
        if self.board.kind_of(path[0]) == CIRCLE:
            return degrees(atan2(at[1] - value[1], at[0] - value[0])) + 90
        return degrees(atan2(value[3], value[2]))

    def _straight(self, step, value):
        px, py, dx, dy, low, high = value
        shape = None
        if span := _clip(value, self._far):
            start, end = span
            shape = {"points": [px + start * dx, py + start * dy, px + end * dx, py + end * dy]}
        if high == 1:
            share = 0.5
        elif seen := _clip(value, self._inside):
            share = seen[1] - 0.04 * (seen[1] - seen[0])
        else:
            share = max(low, 0) if low > -inf else 0
        size = hypot(dx, dy) or 1
        return {"shape": shape, "label": self._label(step, (px + share * dx, py + share * dy), (-dy / size, dx / size))}

    def _circle(self, step, value):
        x, y, square = value
        radius = sqrt(square)
        turn = radians(60)
        push = (cos(turn), sin(turn))
        return {
            "shape": {"at": (x, y), "radius": radius},
            "label": self._label(step, (x + radius * push[0], y + radius * push[1]), push),
        }

    def _reading(self, step):
        board = self.board
        shape = {}
        points = [board.value(id) for id in step.inputs if board.kind_of(id) == POINT]
        if board.dimension(step.id) == ANGLE and len(points) == 3:
            shape, at, push = self._angle(step, points)
        else:
            at, push = self._tag_place(step, points)
        label = self._label(step, at, push)
        label["text"] = reading_text(board, step.id)
        return {"shape": shape, "label": label}

    def _angle(self, step, points):
        a, vertex, c = points
        start = degrees(atan2(a[1] - vertex[1], a[0] - vertex[0]))
        sweep = (degrees(atan2(c[1] - vertex[1], c[0] - vertex[0])) - start + 180) % 360 - 180
        if step.fills.get("turn") == "reflex":
            sweep = sweep - 360 if sweep > 0 else sweep + 360
        middle = radians(start + sweep / 2)
        decimals = self.board.settings.decimals
        shape = {"at": vertex, "start": start, "sweep": sweep, "right": abs(abs(sweep) - 90) < 0.5 * 10 ** -min(decimals, 1)}
        return shape, vertex, (3.2 * cos(middle), 3.2 * sin(middle))

    def _tag_place(self, step, points):
        """Where the tag of a reading stands: beside its two points, in its shape, or else in the corner."""
        board = self.board
        if len(points) == 2:
            (ax, ay), (bx, by) = points
            size = hypot(bx - ax, by - ay) or 1
            return ((ax + bx) / 2, (ay + by) / 2), ((by - ay) / size * 1.2, (ax - bx) / size * 1.2)
        values = [(board.kind_of(id), board.value(id)) for id in step.inputs]
        for kind, value in values:
            if kind == POLYGON:
                return (sum(x for x, _ in value) / len(value), sum(y for _, y in value) / len(value)), (0, 0)
            if kind == CIRCLE:
                return value[:2], (0, -1.5)
        for kind, value in values:
            if kind in STRAIGHTS and points:
                return points[0], (1.2, -1.2)
            if kind == "segment":
                return (value[0] + value[2] / 2, value[1] + value[3] / 2), (0, -1.2)
        above = sum(1 for other in board.steps[: board.place(step.id)] if other.does == "calculation")
        view = self.board.settings.view
        return (view[0] + 0.03 * (view[2] - view[0]), view[3] - (0.05 + 0.06 * above) * (view[3] - view[1])), (3.0, 0)


def _neighbours(board):
    """For every point, the points that a segment, a line or a side joins it to."""
    found = board.__dict__.get("_label_neighbours")
    if found is not None and found[0] is board.names:
        return found[1]
    neighbours = {}
    for step in board.steps:
        if step.does in ("segment", "ray", "line"):
            pairs = [(step.fills["from"][0], step.fills["to"][0])]
        elif step.makes == POLYGON:
            corners = step.fills["corners"]
            pairs = list(zip(corners, corners[1:] + corners[:1]))
        else:
            continue
        for a, b in pairs:
            neighbours.setdefault(a, {})[b] = None
            neighbours.setdefault(b, {})[a] = None
    board.__dict__["_label_neighbours"] = (board.names, neighbours)
    return neighbours


def _clip(straight, extent):
    """The part of a straight thing inside an extent as two shares of its direction, or None (Liang and Barsky)."""
    px, py, dx, dy, low, high = straight
    for position, direction, least, most in ((px, dx, extent.left, extent.right), (py, dy, extent.low, extent.high)):
        if direction == 0:
            if not least <= position <= most:
                return None
            continue
        start, end = (least - position) / direction, (most - position) / direction
        if start > end:
            start, end = end, start
        low, high = max(low, start), min(high, end)
    return (low, high) if low < high else None
