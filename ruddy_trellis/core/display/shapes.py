"""The shape and the label of each step, which change while something moves."""

import logging
from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass
from math import degrees, hypot, inf, radians, sqrt
from typing import Any

from ..arithmetic import FLOATS
from ..arithmetic.circular import atan2, cos, sin
from ..arithmetic.late import np
from ..arithmetic.undefined import Undefined
from ..formulas import arcs, conics
from ..formulas.points import middle_of_corners, share_along
from ..kinds import (
    ARC,
    CHORD_REGION,
    CIRCLE,
    CLAIM,
    CONDITION,
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
    QUIZ,
    RAY,
    REGION,
    REVEAL,
    SECTOR,
    SUPPOSITION,
    VECTOR,
    WORDS_ON_BOARD,
    join,
)
from ..language.formula_words import ANGLE
from ..language.printing import claim_words
from ..regions.region import ALL, Region
from ..seen import SeenBoard
from . import marking, tags
from .extent import Extent, clip
from .labelling import Boxes, Settling, in_two_lines, stood_off, turned
from .palette import style_of
from .regions import HATCHES, drawn_rings
from .text import formula_text, shown_name, thing_value_text, unit_text, value_text, value_writer, verdict_mark
from .tracing import trace, trace_conic

#: How many places of a locus are looked at first; more are added where it bends.
_SAMPLES = 181
_NOTHING = {"shape": None, "label": None}
#: Where on a circle its name stands: 60 degrees up from the right.
_LABEL_TURN = (0.5, sqrt(3) / 2)


@dataclass(slots=True)
class _Known:
    """What is known of a step before its value: how it is shaped, and its label but for its place and for the value of
    a reading, which ``written`` writes."""

    step: Any
    place: int
    shaper: Any
    labelled: bool
    text: str
    offset: tuple | None
    caption: str | None = None
    points: tuple = ()
    written: object = None


_LOG = logging.getLogger(__name__)


class Shapes:
    """Makes the shape and the label of each step of a board."""

    joined: dict[str, dict[str, None]]
    covered: set[str]
    mark_groups: dict[Any, list[str]]
    _group: dict[str, Any]
    _known: dict[str, _Known]

    def __init__(self, board: SeenBoard, extent: Extent, like: "Shapes | None" = None) -> None:
        """
        Args:
            like: those of the same board in the same extent before something was moved: what does not hang on places is taken from there.
        """
        self.board, self.extent, self.names, self.settings = board, extent, board.names, board.settings
        self._far = extent.grown(0.15)
        self._inside = extent.grown(-0.05)
        if like is not None:
            self.joined, self.covered, self.mark_groups, self._group = like.joined, like.covered, like.mark_groups, like._group
            # A copy: at the board itself another thread may be drawing.
            self._known = {id: known for id, known in dict(like._known).items() if board.step(id) is known.step}
        else:
            self.joined = _neighbours(board)
            self.covered = {step.id for step in board.steps if step.look.cover}
            self.mark_groups = marking.groups(board)
            self._group = {id: group for group, ids in self.mark_groups.items() for id in ids}
            self._known = {}
        self._agreed = {group: marking.agrees(board, ids) for group, ids in self.mark_groups.items()}
        self.turns = {}
        self._is_settled = False
        # How labels were settled last, here or before something was moved.
        self._before: Settling | None = like._before if like is not None else None

    def of_copy(self, board: SeenBoard) -> "Shapes":
        """Those of a copy of the same board, with its labels where they are here."""
        other = Shapes(board, self.extent, self)
        other.turns, other._is_settled = self.turns, self._is_settled
        return other

    def touched(self, ids: Collection[str]) -> set[str]:
        """The ids of all whose shape or label may be another one where some steps are elsewhere."""
        found = {*ids, *self.board.dependants(ids)}
        groups = {self._group[id] for id in found if id in self._group}
        return found.union(*(self.joined.get(id, ()) for id in found), *(self.mark_groups[group] for group in groups))

    def settle_all(self, plain: Mapping[str, Any]) -> dict[str, Any]:
        """Let the labels of everything that is seen keep clear of each other. Gives what is made of each step whose label stays where it
        stands by itself, so that it need not be made again.

        Args:
            plain: what is made of some of them, where that is known.
        """
        made = {step.id: plain.get(step.id) or self.of(step.id) for step in self.board.steps if not step.look.hidden}
        self._is_settled = True
        settling = self._settled(made, self._before)
        self.turns = settling.turns
        settling.forget()
        self._before = settling
        return {id: one for id, one in made.items() if id not in self.turns}

    def _settled(self, plain, before: Settling | None = None) -> Settling:
        """How labels are turned so that they keep clear of everything."""
        return Settling(self.board, self.extent, [(self.board.step(id), made) for id, made in plain.items()], before=before)

    @property
    def taken(self) -> Boxes:
        """What everything takes up. It is large, and seldom asked for."""
        if not self._is_settled:
            return Boxes()
        turns, self.turns = self.turns, {}  # it is found from where labels would stand by themselves
        try:
            return self._settled({step.id: self.of(step.id) for step in self.board.steps if not step.look.hidden}).taken
        finally:
            self.turns = turns

    def settle(self, ids: Sequence[str], beside: "Shapes") -> None:
        """Let the labels of some steps keep clear of all that another board has, to which they come."""
        self.turns = Settling(self.board, self.extent, [(self.board.step(id), self.of(id)) for id in ids], beside.taken).turns

    def marks_that_changed(self, ids: Sequence[str]):
        """The ids of all marks of a group that the figure agreed with and now does not, or the other way round."""
        moved = {self._group[id] for id in ids if id in self._group}
        changed = {}
        for group in moved:
            agrees = marking.agrees(self.board, self.mark_groups[group])
            if agrees != self._agreed[group]:
                self._agreed[group] = agrees
                changed.update(dict.fromkeys(self.mark_groups[group]))
        return changed

    def of(self, id: str):
        """The shape and the label of a step."""
        known = self._known.get(id)
        if known is None:
            known = self._known[id] = self._know(id)
        value = self.board.values[known.place]
        if value is None:
            return _NOTHING
        try:
            return known.shaper(self, known, value)
        except Exception:
            # One thing that cannot be drawn costs its own drawing, never the board; it is a fault of ours, so it is logged.
            _LOG.exception("The step %s (%s) could not be drawn", id, known.step.does)
            return _NOTHING

    def _know(self, id):
        board = self.board
        step = board.step(id)
        style = style_of(step, board.settings.looks)
        shaper = _SHAPERS.get(step.makes, Shapes._straight)
        if step.makes == POINT and step.construction.moves == "sliding":
            shaper = Shapes._sliding_point
        elif step.makes == NUMBER and step.construction.moves == "turning":
            shaper = Shapes._dial
        elif step.makes == NUMBER and step.does != "calculation" and board.dimension(id) == ANGLE:
            shaper = Shapes._angle_reading
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
        if known.written is None:
            text, push = (in_two_lines(text), push) if push == (0, 0) else (text, stood_off(text, push))
        if turn := self.turns.get(known.step.id):
            push = turned(push, turn)
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
        shape: dict[str, Any] | None = None
        span = self._between(known.step, value) if known.step.look.part else clip(value, self._far)
        if span:
            start, end = span
            shape = {"points": (px + start * dx, py + start * dy, px + end * dx, py + end * dy)}
            if known.step.makes == VECTOR:
                shape["arrow"] = True
        if not known.labelled:
            return {"shape": shape, "label": None}
        if high == 1:
            share = 0.5
        elif seen := clip(value, self._inside):
            share = seen[1] - 0.04 * (seen[1] - seen[0])
        else:
            share = max(low, 0) if low > -inf else 0
        size = hypot(dx, dy) or 1
        return {"shape": shape, "label": self._label(known, (px + share * dx, py + share * dy), (-dy / size, dx / size))}

    def _between(self, step, value):
        """The part of a line between the outermost of its points, and a little more, as two shares of its direction."""
        shares = [share_along(FLOATS, value, at) for at in self._points_on(step)]
        if len(shares) < 2 or step.makes not in (LINE, RAY):
            return clip(value, self._far)
        start, end = min(shares), max(shares)
        room = 0.06 * (end - start)
        return max(start - room, value[4]), end + room

    def _points_on(self, step):
        """Where the points are that lie on a path by construction."""
        return [
            at for id in sorted(self.board.incidence.get(step.id, ()), key=self.board.place) if (at := self.board.value(id)) is not None
        ]

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
        curves = trace_conic(value, self._far)
        shape = {"curves": curves} if curves else None
        label = None
        if known.labelled:
            try:
                at = conics.point_on_conic(FLOATS, value, degrees(atan2(value[3], value[2])) + 125)
            except Undefined:
                at = value[:2]
            label = self._label(known, at, (-0.7, 0.7))
        return {"shape": shape, "label": label}

    def _nothing(self, known, value):
        """What has no place on the board: a transformation is seen by what it does."""
        return {"shape": {}, "label": None}

    def _words(self, known, value):
        words, board = known.step.fills["text"], self.board
        text = words.filled(lambda place: value_text(board, words.operands[place][0]), lambda formula: formula_text(board, formula))
        return {"shape": {"at": value, "words": text, "framed": bool(known.step.look.fill)}, "label": None}

    def _claim(self, known, value):
        board, id = self.board, known.step.id
        verdict = board.verdicts.get(id, "")
        words = f"{claim_words(board, id)} {verdict_mark(verdict, value[2])}"
        return {"shape": {"at": value[:2], "words": words, "framed": True, "verdict": verdict}, "label": None}

    def _reveal(self, known, value):
        step = known.step
        says = (
            step.look.caption
            or f"Show {join(map(self.names.__getitem__, step.fills['things'][:3]))}{' …' if len(step.fills['things']) > 3 else ''}"
        )
        return {
            "shape": {"at": value, "reveals": step.fills["things"], "says": says, "shown": step.fills.get("start") == "shown"},
            "label": None,
        }

    def _quiz(self, known, value):
        step, says = known.step, known.step.look.caption
        if step.does == "question_of_place":
            says = says or f"Is {self.names[step.fills['point'][0]]} in {self.names[step.fills['region'][0]]}?"
        says = says or "Angle pairs: ask me"
        return {"shape": {"at": value, "reveals": (), "says": says, "shown": False, "asks": step.does}, "label": None}

    def _condition(self, known, value):
        return self._region(known, Region((value,), ALL))

    def _region(self, known, value):
        if value.is_empty:
            return _NOTHING
        at = value.inner
        return {"shape": {"rings": drawn_rings(value), "hatch": self._hatch(known)}, "label": self._label(known, at, (0, 0))}

    def _hatch(self, known):
        """The hatch of a fill: conditions and regions are told apart without colour."""
        alike = [step.id for step in self.board.steps if step.makes in (CONDITION, REGION)]
        return HATCHES[alike.index(known.step.id) % len(HATCHES)]

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
        shape: dict[str, Any] = {"dial": [*(step.fills[name] for name in ("least", "most", "step")), value], "unit": unit}
        if not step.moves:
            shape["locked"] = True
        return {"shape": shape, "label": self._label(known, (0, 0), (0, 0))}

    def _angle_reading(self, known, value):
        corner = tags.corner(self.board, known.step, [self.board.values[place] for place in known.points])
        if corner is None:
            return self._reading(known, value)
        shape, at, push = tags.angle_shape(known.step, corner, value)
        return {"shape": shape, "label": self._label(known, at, push)}

    def _reading(self, known, value):
        at, push = tags.tag_place(self.board, self._inside, known.step, [self.board.values[place] for place in known.points])
        return {"shape": {}, "label": self._label(known, at, push)}


#: What makes the shape of each kind of thing; of any other it is straight.
_SHAPERS = {
    POINT: Shapes._point, CIRCLE: Shapes._circle, ARC: Shapes._arc, SECTOR: Shapes._arc, CHORD_REGION: Shapes._arc, CONIC: Shapes._conic,
    POLYGON: Shapes._polygon, NUMBER: Shapes._reading, MARK: Shapes._mark, FAMILY: Shapes._family, LOCUS: Shapes._locus,
    WORDS_ON_BOARD: Shapes._words, CLAIM: Shapes._claim, REVEAL: Shapes._reveal, QUIZ: Shapes._quiz, MOTION: Shapes._nothing,
    SUPPOSITION: Shapes._nothing, REGION: Shapes._region, CONDITION: Shapes._condition, **dict.fromkeys(MAPS, Shapes._nothing),
}  # fmt: skip


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
