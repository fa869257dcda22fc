"""From steps to primitives."""

from dataclasses import dataclass
from math import atan2, cos, degrees, hypot, inf, radians, sin, sqrt

from ..kinds import CIRCLE, NUMBER, POINT, POLYGON, STRAIGHTS
from ..language.expression import ANGLE
from ..language.printing import noun, sentence
from .palette import style_of
from .text import shown_name, value_text

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
    shapes = _Shapes(board, extent)
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
                **shapes.of(step.id),
            }
        )
    return items


def refreshed(board, extent, ids):
    """The parts of these steps' items that change when something moves: their ``shape`` and their ``label``.

    ``shape`` is None where a step has no value now, ``label`` where none is shown. Names of points next to them are
    refreshed as well.
    """
    shapes = _shapes(board, extent)
    more = dict.fromkeys(ids)
    for id in ids:
        more.update(shapes.neighbours.get(id, ()))
    return [{"id": id, **shapes.of(id)} for id in more]


def _shapes(board, extent):
    """The shapes of a board, kept from one position of a drag to the next: names and looks do not change in it."""
    kept = board.__dict__.get("_shapes")
    if kept is None or kept.names is not board.names or kept.extent != extent or kept.settings is not board.settings:
        kept = board.__dict__["_shapes"] = _Shapes(board, extent)
    return kept


_NOTHING = {"shape": None, "label": None}


@dataclass(slots=True)
class _Known:
    """What is known of a step before its value: how it is shaped, and its label but for its place."""

    step: object
    place: int
    shaper: object
    labelled: bool
    text: str
    offset: tuple | None
    points: tuple = ()


class _Shapes:
    """Makes the shape and the label of each step of a board."""

    def __init__(self, board, extent):
        self.board, self.extent, self.names, self.settings = board, extent, board.names, board.settings
        self._far = extent.grown(0.15)
        self._inside = extent.grown(-0.05)
        self.neighbours = _neighbours(board)
        self._known = {}

    def of(self, id):
        """The shape and the label of a step."""
        known = self._known.get(id)
        if known is None:
            known = self._known[id] = self._know(id)
        value = self.board.values[known.place]
        return _NOTHING if value is None else known.shaper(known, value)

    def _know(self, id):
        board = self.board
        step = board.step(id)
        style = style_of(step)
        shaper = {POINT: self._point, CIRCLE: self._circle, POLYGON: self._polygon, NUMBER: self._reading}.get(step.makes, self._straight)
        points = tuple(board.place(parent) for parent in step.inputs if board.kind_of(parent) == POINT)
        shown = step.is_reading or style["label"]
        return _Known(step, board.place(id), shaper, shown, shown_name(self.names[id]), step.look.label_offset, points)

    @staticmethod
    def _label(known, at, push):
        """A name: where it stands, which way it is pushed from there, and by what a person dragged it (pixels)."""
        return {"text": known.text, "at": at, "push": push, "offset": known.offset} if known.labelled else None

    def _point(self, known, at):
        push = (0.7, 0.7)
        if others := self.neighbours.get(known.step.id):
            x = y = 0.0
            for other in others:
                place = self.board.value(other)
                if place and (size := hypot(place[0] - at[0], place[1] - at[1])):
                    x += (place[0] - at[0]) / size
                    y += (place[1] - at[1]) / size
            if (size := hypot(x, y)) > 0.2:
                push = (-x / size, -y / size)
        shape = {"at": at}
        if known.step.construction.moves == "sliding":
            shape["turn"] = self._slope(known.step, at)
        return {"shape": shape, "label": self._label(known, at, push)}

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

    def _straight(self, known, value):
        px, py, dx, dy, low, high = value
        shape = None
        if span := _clip(value, self._far):
            start, end = span
            shape = {"points": (px + start * dx, py + start * dy, px + end * dx, py + end * dy)}
        if not known.labelled:
            return {"shape": shape, "label": None}
        if high == 1:
            share = 0.5
        elif seen := _clip(value, self._inside):
            share = seen[1] - 0.04 * (seen[1] - seen[0])
        else:
            share = max(low, 0) if low > -inf else 0
        size = hypot(dx, dy) or 1
        return {"shape": shape, "label": self._label(known, (px + share * dx, py + share * dy), (-dy / size, dx / size))}

    def _circle(self, known, value):
        x, y, square = value
        radius = sqrt(square)
        at = (x + radius * _LABEL_TURN[0], y + radius * _LABEL_TURN[1])
        return {"shape": {"at": (x, y), "radius": radius}, "label": self._label(known, at, _LABEL_TURN)}

    def _polygon(self, known, value):
        shape = {"points": [part for corner in value for part in corner]}
        return {"shape": shape, "label": self._label(known, _middle(value), (0, 0))}

    def _reading(self, known, value):
        step, board = known.step, self.board
        shape = {}
        points = [board.values[place] for place in known.points]
        if len(points) == 3 and board.dimension(step.id) == ANGLE:
            shape, at, push = self._angle(step, points)
        else:
            at, push = self._tag_place(step, points)
        label = self._label(known, at, push)
        if label:
            label["text"] = f"{known.text} = {value_text(board, step.id)}"
        return {"shape": shape, "label": label}

    def _angle(self, step, points):
        a, vertex, c = points
        start = degrees(atan2(a[1] - vertex[1], a[0] - vertex[0]))
        sweep = (degrees(atan2(c[1] - vertex[1], c[0] - vertex[0])) - start + 180) % 360 - 180
        turn = step.fills.get("turn")
        if turn == "reflex":
            sweep = sweep - 360 if sweep > 0 else sweep + 360
        elif turn == "directed":
            sweep %= 360
        middle = radians(start + sweep / 2)
        shape = {"at": vertex, "start": start, "sweep": sweep, "right": abs(abs(sweep) - 90) < _RIGHT_SLACK}
        # Further out to the side than up or down, so that the tag clears the arc.
        return shape, vertex, (4.0 * cos(middle), 2.7 * sin(middle))

    def _tag_place(self, step, points):
        """Where the tag of a reading stands: beside its two points, in its shape, or else in the corner."""
        board = self.board
        if len(points) == 2:
            (ax, ay), (bx, by) = points
            size = hypot(bx - ax, by - ay) or 1
            return ((ax + bx) / 2, (ay + by) / 2), ((by - ay) / size * 1.2, (ax - bx) / size * 1.2)
        for parent in step.inputs:
            kind, value = board.kind_of(parent), board.value(parent)
            if kind == POLYGON:
                return _middle(value), (0, 0)
            if kind == CIRCLE:
                return value[:2], (0, -1.5)
            if kind in STRAIGHTS and points:
                return points[0], (1.2, -1.2)
            if kind == "segment":
                return (value[0] + value[2] / 2, value[1] + value[3] / 2), (0, -1.2)
        above = sum(1 for other in board.steps[: board.place(step.id)] if other.does == "calculation")
        left, low, right, high = self.settings.view
        return (left + 0.03 * (right - left), high - (0.05 + 0.06 * above) * (high - low)), (3.0, 0)


#: Where on a circle its name stands: 60 degrees up from the right.
_LABEL_TURN = (0.5, sqrt(3) / 2)
#: An angle this near to 90 degrees shows as 90.0 and gets the square mark.
_RIGHT_SLACK = 0.05


def _middle(corners):
    return sum(x for x, _ in corners) / len(corners), sum(y for _, y in corners) / len(corners)


def _neighbours(board):
    """For every point, the points that a segment, a line or a side joins it to."""
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
