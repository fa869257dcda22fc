"""From steps to primitives."""

from dataclasses import dataclass
from math import atan2, cos, degrees, hypot, inf, radians, sin, sqrt

from ..arithmetic import ARRAYS, FLOATS, Undefined
from ..arithmetic.late import np
from ..formulas import arcs, conics
from ..formulas.points import middle_of_corners, share_along
from ..kinds import (
    ARC,
    CHORD_REGION,
    CIRCLE,
    CONIC,
    FAMILY,
    LINE,
    LOCUS,
    MAPS,
    MARK,
    MOTION,
    NUMBER,
    POINT,
    POLYGON,
    RAY,
    REVEAL,
    SECTOR,
    SPANS,
    STRAIGHTS,
    VECTOR,
    WORDS_ON_BOARD,
    join,
)
from ..language.expression import ANGLE
from ..language.printing import noun, sentence
from . import marking
from .labelling import settled
from .palette import style_of
from .text import formula_text, shown_name, thing_value_text, unit_text, value_text, value_writer
from .tracing import trace

#: In which order kinds are drawn, lowest first.
LAYERS = {
    **dict.fromkeys(MAPS, 0),
    MOTION: 0,
    REVEAL: 0,
    FAMILY: 0,
    LOCUS: 1,
    POLYGON: 0,
    SECTOR: 0,
    CHORD_REGION: 0,
    CIRCLE: 1,
    ARC: 1,
    CONIC: 1,
    **dict.fromkeys(STRAIGHTS, 2),
    MARK: 3,
    NUMBER: 3,
    WORDS_ON_BOARD: 3,
    POINT: 4,
}
#: How many places of a locus are looked at first; more are added where it bends.
_SAMPLES = 181
#: Where a curve's first samples are taken, in degrees round its focus.
_ROUND = [number * 360 / 96 for number in range(97)]


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
    if ids is None:
        board.__dict__["_shapes"] = shapes
    items = []
    for step in board.steps if ids is None else map(board.step, ids):
        items.append(
            {
                "id": step.id,
                "kind": step.makes,
                "layer": LAYERS[step.makes],
                "says": noun(board, step.id),
                "sentence": sentence(board, step.id),
                "style": style_of(step, board.settings.looks),
                **shapes.of(step.id),
            }
        )
    return items


def at_first(items):
    """The items of a display list that are seen before any reveal is pressed."""
    reveals = [item["shape"] for item in items if item["kind"] == REVEAL and item["shape"] and not item["style"]["hidden"]]
    closed = {id for shape in reveals if not shape["shown"] for id in shape["reveals"]}
    return [item for item in items if item["id"] not in closed]


def refreshed(board, extent, ids):
    """The parts of these steps' items that change when something moves: their ``shape`` and their ``label``.

    ``shape`` is None where a step has no value now, ``label`` where none is shown. Names of points next to them are
    refreshed as well.
    """
    shapes = _shapes(board, extent)
    more = dict.fromkeys(ids)
    for id in ids:
        more.update(shapes.joined.get(id, ()))
    more.update(shapes.marks_that_changed(ids))
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
    """What is known of a step before its value: how it is shaped, and its label but for its place and for the value of
    a reading, which ``written`` writes."""

    step: object
    place: int
    shaper: object
    labelled: bool
    text: str
    offset: tuple | None
    caption: str | None = None
    points: tuple = ()
    written: object = None


class _Shapes:
    """Makes the shape and the label of each step of a board."""

    def __init__(self, board, extent):
        self.board, self.extent, self.names, self.settings = board, extent, board.names, board.settings
        self._far = extent.grown(0.15)
        self._inside = extent.grown(-0.05)
        self.joined = _neighbours(board)
        self.mark_groups = marking.groups(board)
        self._group = {id: group for group, ids in self.mark_groups.items() for id in ids}
        self._agreed = {group: marking.agrees(board, ids) for group, ids in self.mark_groups.items()}
        self._known = {}
        self.turns = {}
        self.turns = settled(board, extent, [(step, self.of(step.id)) for step in board.steps if not step.look.hidden])

    def marks_that_changed(self, ids):
        """The ids of all marks of a group that the figure agreed with and now does not, or the other way round."""
        moved = {self._group[id] for id in ids if id in self._group}
        changed = {}
        for group in moved:
            agrees = marking.agrees(self.board, self.mark_groups[group])
            if agrees != self._agreed[group]:
                self._agreed[group] = agrees
                changed.update(dict.fromkeys(self.mark_groups[group]))
        return changed

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
        style = style_of(step, board.settings.looks)
        shapers = {
            POINT: self._point, CIRCLE: self._circle, ARC: self._arc, SECTOR: self._arc, CHORD_REGION: self._arc, CONIC: self._conic,
            POLYGON: self._polygon, NUMBER: self._reading, MARK: self._mark, FAMILY: self._family, LOCUS: self._locus,
            WORDS_ON_BOARD: self._words, REVEAL: self._reveal, MOTION: self._nothing, **dict.fromkeys(MAPS, self._nothing),
        }  # fmt: skip
        shaper = shapers.get(step.makes, self._straight)
        if step.makes == POINT and step.construction.moves == "sliding":
            shaper = self._sliding_point
        elif step.makes == NUMBER and step.construction.moves == "turning":
            shaper = self._dial
        elif step.makes == NUMBER and step.does != "calculation" and board.dimension(id) == ANGLE:
            shaper = self._angle_reading
        points = tuple(board.place(parent) for parent in step.inputs if board.kind_of(parent) == POINT)
        shown = step.is_reading or style["label"]
        text, written = shown_name(self.names[id]), value_writer(board, id) if step.is_reading else None
        if written and step.look.caption is None:
            text = f"{shown_name(self.names[step.inputs[0]])}: " if step.does == "equation" else f"{text} = "
        return _Known(step, board.place(id), shaper, shown, text, step.look.label_offset, step.look.caption, points, written)

    def _label(self, known, at, push):
        """A name: where it stands, which way it is pushed from there, and by what a person dragged it (pixels)."""
        if not known.labelled:
            return None
        text = known.text
        if known.caption is not None:
            text = known.caption.replace("{name}", text)
            if "{value}" in text:
                text = text.replace("{value}", thing_value_text(self.board, known.step.id))
        elif known.written:
            text += known.written(self.board.values[known.place])
        if turn := self.turns.get(known.step.id):
            cosine, sine, times = turn
            push = (times * (cosine * push[0] - sine * push[1]), times * (sine * push[0] + cosine * push[1]))
        return {"text": text, "at": at, "push": push, "offset": known.offset}

    def _point(self, known, at):
        push = (0.7, 0.7)
        if others := self.joined.get(known.step.id):
            x = y = 0.0
            for other in others:
                place = self.board.value(other)
                if place and (size := hypot(place[0] - at[0], place[1] - at[1])):
                    x += (place[0] - at[0]) / size
                    y += (place[1] - at[1]) / size
            if (size := hypot(x, y)) > 0.2:
                push = (-x / size, -y / size)
        return {"shape": {"at": at}, "label": self._label(known, at, push)}

    def _sliding_point(self, known, at):
        drawn = self._point(known, at)
        drawn["shape"]["turn"] = self._slope(known.step, at)
        return drawn

    def _slope(self, step, at):
        """The direction of the path under a sliding point, in degrees."""
        path = step.fills["path"]
        value = self.board.value(path[0])
        if len(path) == 2:
            end = self.board.value(path[1])
            return degrees(atan2(end[1] - value[1], end[0] - value[0]))
        kind = self.board.kind_of(path[0])
        if kind in (CIRCLE, ARC):
            return degrees(atan2(at[1] - value[1], at[0] - value[0])) + 90
        if kind == POLYGON:
            (ax, ay), (bx, by) = (
                (value * 2)[number] for number in (int(step.fills["place"]) % len(value), int(step.fills["place"]) % len(value) + 1)
            )
            return degrees(atan2(by - ay, bx - ax))
        if kind == LOCUS:
            small = 1e-4 * (value.high - value.low)
            xs, ys = value.at([step.fills["place"] - small, step.fills["place"] + small])
            return degrees(atan2(ys[1] - ys[0], xs[1] - xs[0])) if xs[0] == xs[0] and xs[1] == xs[1] else 0.0
        if kind == CONIC:
            # A tangent halves the angle between the way from the focus and the way square to the directrix.
            fx, fy, ux, uy, latus = value
            x, y = at[0] - fx, at[1] - fy
            reach = ux * x + uy * y + latus
            return degrees(atan2(y - reach * uy, x - reach * ux)) + 90
        return degrees(atan2(value[3], value[2]))

    def _straight(self, known, value):
        px, py, dx, dy, low, high = value
        shape = None
        span = self._between(known.step, value) if known.step.look.part else _clip(value, self._far)
        if span:
            start, end = span
            shape = {"points": (px + start * dx, py + start * dy, px + end * dx, py + end * dy)}
            if known.step.makes == VECTOR:
                shape["arrow"] = True
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

    def _between(self, step, value):
        """The part of a line between the outermost of its points, and a little more, as two shares of its direction."""
        shares = [share_along(FLOATS, value, at) for at in self._points_on(step)]
        if len(shares) < 2 or step.makes not in (LINE, RAY):
            return _clip(value, self._far)
        start, end = min(shares), max(shares)
        room = 0.06 * (end - start)
        return max(start - room, value[4]), end + room

    def _points_on(self, step):
        """Where the points are that lie on a path by construction."""
        return [at for id in self.board.incidence.get(step.id, ()) if (at := self.board.value(id)) is not None]

    def _circle(self, known, value):
        x, y, square = value
        radius = sqrt(square)
        at = (x + radius * _LABEL_TURN[0], y + radius * _LABEL_TURN[1])
        shape = {"at": (x, y), "radius": radius}
        if known.step.look.part and (points := self._points_on(known.step)):
            shape["arcs"] = [(degrees(atan2(py - y, px - x)) - 13, 26) for px, py in points]
        return {"shape": shape, "label": self._label(known, at, _LABEL_TURN)}

    def _arc(self, known, value):
        x, y, square, ax, ay = value[:5]
        radius, turn = sqrt(square), arcs.sweep(FLOATS, value)
        start = degrees(atan2(ay - y, ax - x))
        shape = {"at": (x, y), "radius": radius, "arcs": [(start, turn)]}
        if known.step.makes != ARC:
            shape["closes"] = "centre" if known.step.makes == SECTOR else "chord"
        middle = radians(start + turn / 2)
        out = (cos(middle), sin(middle))
        share = 1.0 if known.step.makes == ARC else 0.6
        return {
            "shape": shape,
            "label": self._label(known, (x + share * radius * out[0], y + share * radius * out[1]), out if share == 1 else (0, 0)),
        }

    def _conic(self, known, value):
        numbers = tuple(map(ARRAYS.number, value))
        curves = trace(lambda angles: conics.point_on_conic(ARRAYS, numbers, angles), _ROUND, self._far)
        shape = {"curves": curves} if curves else None
        label = None
        if known.labelled:
            try:
                at = conics.point_on_conic(FLOATS, value, degrees(atan2(value[3], value[2])) + 125)
            except Undefined:
                at = value[:2]
            label = self._label(known, at, (-0.7, 0.7))
        return {"shape": shape, "label": label}

    @staticmethod
    def _nothing(known, value):
        """What has no place on the board: a transformation is seen by what it does."""
        return {"shape": {}, "label": None}

    def _words(self, known, value):
        words, board = known.step.fills["text"], self.board
        text = words.filled(lambda place: value_text(board, words.operands[place][0]), lambda formula: formula_text(board, formula))
        return {"shape": {"at": value, "words": text, "framed": bool(known.step.look.fill)}, "label": None}

    def _reveal(self, known, value):
        step = known.step
        says = (
            step.look.caption
            or f"Show {join(map(self.names.get, step.fills['things'][:3]))}{' …' if len(step.fills['things']) > 3 else ''}"
        )
        return {
            "shape": {"at": value, "reveals": step.fills["things"], "says": says, "shown": step.fills.get("start") == "shown"},
            "label": None,
        }

    def _family(self, known, value):
        """A family is drawn as copies: each thing once, with its look, and a map for every member."""
        parts = []
        own = known.step.look.pen
        for id in known.step.fills["of"]:
            step, part = self.board.step(id), self.of(id)
            if part["shape"] is None:
                continue
            style = style_of(step, self.settings.looks)
            if own:
                style |= {"pen": own, "fill_pen": own}
            if step.makes == POINT:
                style["peg"] = "fixed"
            parts.append({"kind": step.makes, "shape": part["shape"], "style": style})
        return {"shape": {"parts": parts, "maps": value.rows.ravel().tolist()} if parts else None, "label": None}

    def _locus(self, known, value):
        curves = trace(value.at, np.linspace(value.low, value.high, _SAMPLES), self._far)
        return {"shape": {"curves": curves} if curves else None, "label": None}

    def _mark(self, known, value):
        shape = marking.shape(self.board, known.step, value)
        if not self._agreed.get(marking.group_of(known.step), True):
            shape["doubt"] = True
        return {"shape": shape, "label": self._label(known, value[len(value) // 2], (1, 1))}

    def _polygon(self, known, value):
        shape = {"points": [part for corner in value for part in corner]}
        return {"shape": shape, "label": self._label(known, middle_of_corners(value), (0, 0))}

    def _dial(self, known, value):
        step = known.step
        unit = unit_text(self.board.dimension(step.id), self.settings.unit)
        shape = {"dial": [*(step.fills[name] for name in ("least", "most", "step")), value], "unit": unit}
        if not step.moves:
            shape["locked"] = True
        return {"shape": shape, "label": self._label(known, (0, 0), (0, 0))}

    def _angle_reading(self, known, value):
        corner = self._corner(known.step, [self.board.values[place] for place in known.points])
        if corner is None:
            return self._reading(known, value)
        shape, at, push = self._angle(known.step, corner, value)
        return {"shape": shape, "label": self._label(known, at, push)}

    def _reading(self, known, value):
        at, push = self._tag_place(known.step, [self.board.values[place] for place in known.points])
        return {"shape": {}, "label": self._label(known, at, push)}

    def _corner(self, step, points):
        """The arm, the corner and the other arm of an angle reading; None where it has no corner to stand at."""
        if step.does == "interior_angle":
            polygon, corner = self.board.value(step.fills["polygon"][0]), self.board.value(step.fills["corner"][0])
            place = next(number for number, other in enumerate(polygon) if other is corner)
            return polygon[place - 1], corner, polygon[(place + 1) % len(polygon)]
        if step.does == "angle_between":
            return self._crossing_corner(step)
        return points if len(points) == 3 else None

    def _crossing_corner(self, step):
        """Where two straight things cross, between the arms of the angle below 90 degrees that they make."""
        straights = []
        for gap in ("a", "b"):
            ids = step.fills[gap]
            first = self.board.value(ids[0])
            if len(ids) == 2:
                last = self.board.value(ids[1])
                first = (*first, last[0] - first[0], last[1] - first[1])
            straights.append(first)
        (px, py, dx, dy), (qx, qy, ex, ey) = (straight[:4] for straight in straights)
        cross = dx * ey - dy * ex
        if abs(cross) < 1e-9 * hypot(dx, dy) * hypot(ex, ey):
            return None
        share = ((qx - px) * ey - (qy - py) * ex) / cross
        at = (px + share * dx, py + share * dy)
        sign = 1 if dx * ex + dy * ey >= 0 else -1
        return (at[0] + dx, at[1] + dy), at, (at[0] + sign * ex, at[1] + sign * ey)

    def _angle(self, step, points, value):
        a, vertex, c = points
        start = degrees(atan2(a[1] - vertex[1], a[0] - vertex[0]))
        sweep = (degrees(atan2(c[1] - vertex[1], c[0] - vertex[0])) - start + 180) % 360 - 180
        if step.fills.get("turn") == "directed":
            sweep %= 360
        elif value > 180 and abs(sweep) < 180:
            sweep = sweep - 360 if sweep > 0 else sweep + 360
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
                return middle_of_corners(value), (0, 0)
            if kind == CIRCLE:
                return value[:2], (0, -1.5)
            if kind in (ARC, SECTOR, CHORD_REGION):
                return self._known_label_place(parent), (0, -1.2)
            if kind == CONIC:
                return value[:2], (0, -1.5)
            if kind == POINT and len(points) == 1:
                return points[0], (0, -1.6)
            if kind in STRAIGHTS and points:
                return points[0], (1.2, -1.2)
            if kind in SPANS:
                return (value[0] + value[2] / 2, value[1] + value[3] / 2), (0, -1.2)
        if step.does == "equation":
            seen = _clip(board.value(step.inputs[0]), self._inside)
            if seen:
                px, py, dx, dy = board.value(step.inputs[0])[:4]
                share = seen[0] + 0.2 * (seen[1] - seen[0])
                return (px + share * dx, py + share * dy), (0, 1.4)
        above = sum(1 for other in board.steps[: board.place(step.id)] if other.does == "calculation")
        left, low, right, high = self.settings.view
        return (left + 0.03 * (right - left), high - (0.05 + 0.06 * above) * (high - low)), (3.0, 0)

    def _known_label_place(self, id):
        """The middle of an arc, or the inside of a sector."""
        x, y, square, ax, ay = self.board.value(id)[:5]
        middle = atan2(ay - y, ax - x) + radians(arcs.sweep(FLOATS, self.board.value(id))) / 2
        return x + 0.8 * sqrt(square) * cos(middle), y + 0.8 * sqrt(square) * sin(middle)


#: Where on a circle its name stands: 60 degrees up from the right.
_LABEL_TURN = (0.5, sqrt(3) / 2)
#: An angle this near to 90 degrees shows as 90.0 and gets the square mark.
_RIGHT_SLACK = 0.05


def _neighbours(board):
    """For every point, the points that a segment, a line or a side joins it to."""
    neighbours = {}
    for step in board.steps:
        if step.does in ("segment", "vector", "ray", "line"):
            pairs = [(step.fills["from"][0], step.fills["to"][0])]
        elif step.makes == POLYGON and "corners" in step.fills:
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
