"""What is on a board after something was said, asked in the words of the checks: places, circles, shapes, looks.

In a check a capital name stands for the place of a point as a complex number. What the words of the checks mean is told
by the functions here; those with a name of a kind ("seg", "circle") ask whether such a thing is on the board.
"""

from __future__ import annotations

import cmath
import importlib.util
import math
import random
import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import Any

from ruddy_trellis.core.board import Board
from ruddy_trellis.core.truth.verdicts import verdict

from . import plane
from .plane import (
    Place,
    ang_lines,
    dot,
    foot,
    has,
    inline,
    line_distance,
    meet,
    near_any,
    parallel,
    perp,
    regular,
    same,
    side,
    unit,
)  # fmt: skip

_GEOMETRY = {name: one for name, one in vars(plane).items() if callable(one) and not name.startswith("_")}


#: In a browser is no library of exact numbers: there a claim is only seen to be made.
CAN_PROVE = importlib.util.find_spec("flint") is not None


@dataclass
class Seen:
    """A board after something was said on it, with what was there before and what was answered."""

    board: Board
    before: Board
    answers: list[dict[str, Any]] = field(default_factory=list)

    @property
    def is_refused(self) -> bool:
        return any(one.get("kind") == "refusal" for one in self.answers)

    def names(self) -> dict[str, Any]:
        """What a check can speak of."""
        places = {
            self.board.name(step.id): Place(*self.board.value(step.id))
            for step in self.board.steps
            if step.makes == "point" and self.board.value(step.id) is not None
        }
        own = {name: getattr(self, name) for name in dir(self) if not name.startswith("_")}
        return {**_GEOMETRY, **own, **math.__dict__, **places, "abs": abs, "value": self.value_of}

    # What is there, as plain geometry.

    def _new(self) -> list[Any]:
        return [step for step in self.board.steps if step.id not in self.before]

    def _all(self, *kinds: str) -> list[tuple[Any, Any]]:
        return [
            (step, self.board.value(step.id)) for step in self.board.steps if step.makes in kinds and self.board.value(step.id) is not None
        ]

    def _straights(self, *kinds: str) -> list[tuple[complex, complex, Any]]:
        return [(complex(v[0], v[1]), complex(v[0] + v[2], v[1] + v[3]), step) for step, v in self._all(*kinds)]

    def _rounds(self, *kinds: str) -> list[tuple[complex, float, Any]]:
        return [(complex(v[0], v[1]), math.sqrt(max(v[2], 0)), step) for step, v in self._all(*kinds)]

    def straight(self, p, q) -> bool:
        return any(inline(a, b, p) and inline(a, b, q) for a, b, _ in self._straights("line", "ray", "segment", "vector"))

    seg_or_line = straight

    def on_new_straight(self, p) -> bool:
        return any(inline(a, b, p) for a, b, step in self._straights("line", "ray", "segment", "vector") if step.id not in self.before)

    def seg(self, p, q) -> bool:
        return any(
            {True} == {(same(a, p) and same(b, q)) or (same(a, q) and same(b, p))} for a, b, _ in self._straights("segment", "vector")
        )

    def vector(self, p, q) -> bool:
        return any(same(a, p) and same(b, q) for a, b, _ in self._straights("vector"))

    def ray(self, p, q) -> bool:
        return any(same(a, p) and same(unit(b - a), unit(q - p)) for a, b, _ in self._straights("ray"))

    def any_straight(self, test) -> bool:
        return any(test(a, b) for a, b, step in self._straights("line", "ray", "segment", "vector") if step.id not in self.before)

    def at_right_angles(self) -> bool:
        """Whether two of the lines there are at right angles."""
        return self.any_straight(lambda p, q: self.any_straight(lambda a, b: same(dot(q - p, b - a), 0)))

    def par_at(self, p, q, a, b, distance) -> bool:
        return parallel(p, q, a, b) and same(line_distance(p, a, b), distance)

    def any_angle(self, size) -> bool:
        lines = self._straights("line", "ray", "segment")
        return any(near_any(ang_lines(a, b, c, e), size) for a, b, _ in lines for c, e, _ in lines)

    def point(self, z) -> bool:
        return any(same(complex(*v), z) for step, v in self._all("point") if step.id not in self.before)

    def any_point(self, test) -> bool:
        return any(test(complex(*v)) for step, v in self._all("point") if step.id not in self.before)

    def circle(self, c, r) -> bool:
        return any(same(centre, c) and same(radius, r) for centre, radius, _ in self._rounds("circle"))

    def any_circle(self) -> bool:
        return any(step.id not in self.before for _, _, step in self._rounds("circle"))

    def any_circle_that(self, test) -> bool:
        return any(test(c, r) for c, r, step in self._rounds("circle") if step.id not in self.before)

    def radius_any(self, r) -> bool:
        return any(same(radius, r) for _, radius, step in self._rounds("circle") if step.id not in self.before)

    def circle_touching(self, a, b, c) -> bool:
        """The excircle opposite the first corner."""
        u, v, w = abs(b - c), abs(c - a), abs(a - b)
        centre = (-u * a + v * b + w * c) / (-u + v + w)
        return self.circle(centre, line_distance(centre, b, c))

    def arc(self, c, r) -> bool:
        return any(same(centre, c) and same(radius, r) for centre, radius, _ in self._rounds("arc"))

    def half_holds(self, centre, direction) -> bool:
        """Whether a half of a circle is on the side of its diameter to which a direction leads."""
        for _, v in self._all("arc"):
            if same(complex(v[0], v[1]), centre):
                start, stop = complex(v[3], v[4]) - centre, complex(v[5], v[6]) - centre
                turned = cmath.phase(stop / start) % (2 * math.pi)
                if dot(start * cmath.exp(0.5j * turned), direction) > 0:
                    return True
        return False

    def poly(self, *corners) -> bool:
        return self.any_poly(lambda p: len(p) == len(corners) and _same_ring(p, corners))

    def any_poly(self, test) -> bool:
        return any(test([complex(*one) for one in v]) for step, v in self._all("polygon") if step.id not in self.before)

    def squares_outside(self, a, b, c, way=-1) -> bool:
        def stands_on(p, q, third):
            return self.any_poly(
                lambda ring: (
                    has(ring, p, q)
                    and len(ring) == 4
                    and regular(ring)
                    and all(way * side(z, p, q) * side(third, p, q) > -1e-6 for z in ring)
                )
            )

        return stands_on(a, b, c) and stands_on(b, c, a) and stands_on(c, a, b)

    def squares_inside(self, a, b, c) -> bool:
        return self.squares_outside(a, b, c, way=1)

    def count(self, kind: str) -> int:
        return sum(step.makes == kind for step in self._new())

    def made(self, kind: str) -> bool:
        return self.count(kind) > 0

    def bisectors(self, a, b, c, e) -> bool:
        x = meet(a, b, c, e)
        one = x + unit(b - a) + unit(e - c)
        return self.straight(x, one) and self.straight(x, perp(x, x, one))

    def tangents(self, p, name) -> bool:
        o, r = self._circle(name)
        touching = [o + r * cmath.exp(1j * (cmath.phase(p - o) + way * math.acos(r / abs(p - o)))) for way in (1, -1)]
        return all(self.straight(p, one) for one in touching)

    def polar(self, p, name) -> bool:
        o, r = self._circle(name)
        x = o + r * r / (p - o).conjugate()
        return self.straight(x, perp(x, o, p))

    # Of what has a name.

    def _circle(self, name: str) -> tuple[complex, float]:
        v = self.board.value(self.board.find(name))
        return complex(v[0], v[1]), math.sqrt(v[2])

    def centre_of(self, name) -> complex:
        return self._circle(name)[0]

    def circle_of(self, name) -> bool:
        return self.board.kind_of(self.board.find(name)) == "circle"

    def line_of(self, name) -> bool:
        return self.board.kind_of(self.board.find(name)) in ("line", "segment", "ray")

    def _ends(self, name: str) -> tuple[complex, complex]:
        v = self.board.value(self.board.find(name))
        return complex(v[0], v[1]), complex(v[0] + v[2], v[1] + v[3])

    def on(self, z, name) -> bool:
        if self.board.kind_of(self.board.find(name)) == "circle":
            o, r = self._circle(name)
            return same(abs(z - o), r)
        return inline(*self._ends(name), z)

    def off(self, z, name) -> bool:
        return not self.on(z, name)

    def line_distance_of(self, z, name) -> float:
        return line_distance(z, *self._ends(name))

    def par_things(self, a, b) -> bool:
        return parallel(*self._ends(a), *self._ends(b)) and not inline(*self._ends(a), self._ends(b)[0])

    def second(self, p, a, name) -> complex:
        """Where the line through two points, the second (or the first) of them on a circle, meets it again."""
        o, r = self._circle(name)
        known = a if same(abs(a - o), r) else p
        return 2 * foot(o, p, a) - known

    def arc_length(self, name, a, b) -> float:
        o, r = self._circle(name)
        turned = cmath.phase((b - o) / (a - o)) % (2 * math.pi)
        found = [step for step, v in self._all("number") if step.id not in self.before]
        short = min(turned, 2 * math.pi - turned) * r
        return next((x for x in (turned * r, short) if found and self.reading(x)), short)

    def free(self, name) -> bool:
        return self.board.step(self.board.find(name)).moves == "free"

    def slides(self, name) -> bool:
        return self.board.step(self.board.find(name)).moves == "sliding"

    def at(self, name, z) -> bool:
        return name in self.board.names.values() and same(complex(*self.board.value(self.board.find(name))), z)

    def value_of(self, name) -> float:
        return self.board.value(self.board.find(name))

    def at_number(self, name, number) -> bool:
        step = self.board.step(self.board.find(name))
        return step.does.endswith("dial") and same(self.value_of(name), number)

    def dial(self, name, least, most, jump=None) -> bool:
        step = self.board.step(self.board.find(name))
        if jump is not None and not same(step.fills["step"], jump):
            return False
        return step.does.endswith("dial") and same(step.fills["least"], least) and same(step.fills["most"], most)

    def any_dial(self, least, most) -> bool:
        return any(step.does.endswith("dial") and step.fills["least"] == least and step.fills["most"] == most for step in self._new())

    def motion_of(self, name) -> bool:
        return any(step.makes == "motion" and step.fills["driver"] == (self.board.find(name),) for step in self.board.steps)

    # Numbers, words and claims.

    def reading(self, x) -> bool:
        if isinstance(x, complex):
            return False
        readings = [v for step, v in self._all("number") if step.id not in self.before]
        return any(same(v, x) for v in readings if isinstance(v, int | float))

    def reading_in(self, x) -> bool:
        return self.reading(x) or self.reading(180 - x)

    def claim(self, holds: bool) -> bool:
        told = [step for step in self._new() if step.does == "calculation" and re.search("[<>≤≥]", step.fills["formula"].text)]
        if told:
            return all(bool(self.board.value(step.id)) == holds for step in told)
        claims = [step.id for step in self._new() if step.makes == "claim"]
        if not CAN_PROVE:
            return bool(claims)
        stand = [verdict(self.board, id).verdict != "fails" for id in claims]
        return bool(claims) and all(stand) == holds

    def any_claim(self) -> bool:
        return self.made("claim")

    def told(self, z) -> bool:
        return False

    def told_words(self, *words) -> bool:
        return any(word in str(one.get("words", "")).lower() for one in self.answers for word in words)

    def new_equation(self) -> bool:
        return any(step.does in ("equation", "line_from_equation") for step in self._new())

    def words(self, text) -> bool:
        return any(step.makes == "words" and text in str(step.fills["text"]) for step in self._new())

    def words_any(self) -> bool:
        return self.made("words")

    # Looks and acts.

    def _find(self, name):
        step = self.board.step(self.board.find(name)) if name in self.board.names.values() else None
        if step is None:
            corners = [self.board.find(letter) for letter in name]
            step = next(s for s in self.board.steps if s.makes == "polygon" and set(s.fills.get("corners", ())) == set(corners))
        return step

    def look(self, name, **wanted) -> bool:
        return all(getattr(self._find(name).look, part) == one for part, one in wanted.items())

    def look_of_seg(self, a, b) -> bool:
        return any(step.look.pen == "leaf" for p, q, step in self._straights("segment") if same(p, a) and same(q, b))

    def filled(self, name) -> bool:
        return (self._find(name).look.fill or 0) > 0

    def thicker(self, name) -> bool:
        return (self._find(name).look.width or 0) > 2.4

    def bigger_points(self) -> bool:
        return any((step.look.size or 0) > 0 for step in self.board.steps if step.makes == "point")

    def hidden(self, name) -> bool:
        return self._find(name).look.hidden

    def shown(self, name) -> bool:
        return not self._find(name).look.hidden

    def labelled(self, name) -> bool:
        return self._find(name).look.label is True

    def locked(self, name) -> bool:
        return self._find(name).look.locked

    def trailed(self, name) -> bool:
        return self._find(name).look.trail is not None

    def gone(self, name) -> bool:
        return name not in self.board.names.values()

    def kept(self, name) -> bool:
        return not self.gone(name)

    def renamed(self, old, new) -> bool:
        return self.gone(old) and self.before.find(old) == self.board.find(new)

    def undone(self) -> bool:
        return any("undo" in str(one).lower() for one in self.answers)

    def view_smaller(self) -> bool:
        return any(one["t"] == "do" and "zoom" in str(one) for one in self.answers)

    def shows_grid(self) -> bool:
        return self.board.settings.ground != self.before.settings.ground

    def asked(self) -> bool:
        return self.is_refused

    def region_of(self, test: Callable[[complex], bool]) -> bool:
        """Whether one of the new conditions or regions holds where it should, tried at places all over."""
        chance, found = random.Random(4), [step.id for step in self._new() if step.makes in ("condition", "region")]
        places = [complex(chance.uniform(-4, 24), chance.uniform(-4, 16)) for _ in range(60)]
        regions = [id for id in found if self.board.kind_of(id) == "region"] or found
        return any(all(self._holds_at(id, z) == bool(test(z)) for z in places) for id in regions)

    def _holds_at(self, id: str, z: complex) -> bool:
        value = self.board.value(id)
        inner = getattr(value, "within", None)
        return bool(value.holds(z.real, z.imag)) and (inner is None or bool(inner.holds(z.real, z.imag)))


def _same_ring(found: Sequence[complex], wanted: Sequence[complex]) -> bool:
    n = len(wanted)
    turned = [[wanted[(start + way * i) % n] for i in range(n)] for start in range(n) for way in (1, -1)]
    return any(all(same(a, b) for a, b in zip(found, one)) for one in turned)
