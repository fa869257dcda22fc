"""What was found in a file, before it is on a board."""

from dataclasses import dataclass, field
from math import hypot, isfinite

from ..core import limits
from ..core.refusal import Refusal

#: So many things are read from one file; each of them is a step or two.
MOST = 800


@dataclass
class Found:
    """Things in board units, y upwards.

    Attributes:
        points: pairs of a place and a name, or None.
        lines: places joined up by straight strokes, and whether the last is joined to the first.
        circles: x, y, radius. arcs: x, y, radius, start and stop in degrees, anticlockwise.
        ellipses: x, y, the half axis that is longer as a vector, and the other as a share of it.
        left: how often what could not be read was met, by what it is called.
        is_placed: whether the places are those of a board; else the whole may be put anywhere.
    """

    points: list[tuple[float, float, str | None]] = field(default_factory=list)
    lines: list[tuple[list[tuple[float, float]], bool]] = field(default_factory=list)
    circles: list[tuple[float, float, float]] = field(default_factory=list)
    arcs: list[tuple[float, float, float, float, float]] = field(default_factory=list)
    ellipses: list[tuple[float, float, float, float, float]] = field(default_factory=list)
    left: dict[str, int] = field(default_factory=dict)
    is_placed: bool = False

    def leave(self, what: str) -> None:
        """Something that could not be read."""
        self.left[what] = self.left.get(what, 0) + 1

    @property
    def count(self) -> int:
        return len(self.points) + sum(len(places) for places, _ in self.lines) + len(self.circles) + len(self.arcs) + len(self.ellipses)

    def check(self) -> None:
        """Leave out what has no size. Raise Refusal where there is nothing, too much, or what lies too far out."""
        for rounds in (self.circles, self.arcs):
            for one in [one for one in rounds if one[2] <= limits.LENGTH_LEAST]:
                rounds.remove(one)  # type: ignore[arg-type]
                self.leave("circle without a size")
        for ellipse in [one for one in self.ellipses if not one[4] > limits.LENGTH_LEAST or hypot(one[2], one[3]) <= limits.LENGTH_LEAST]:
            self.ellipses.remove(ellipse)
            self.leave("ellipse without a size")
        if not self.count:
            left = f" It has {self.what_was_left()}." if self.left else ""
            raise Refusal(f"There are no points, lines, circles, arcs or ellipses in that file.{left}")
        if self.count > MOST:
            raise Refusal(f"There are more than {MOST} things in that file: too many for a board. Bring in a part of it.")
        for number in self.numbers():
            if not isfinite(number) or abs(number) > limits.COORDINATE:
                raise Refusal(
                    f"A number in that file is too large: numbers here go from −{limits.COORDINATE:,.0f} to {limits.COORDINATE:,.0f}."
                )

    def room(self) -> None:
        """Raise Refusal as soon as there is too much, so that nothing endless is read to its end."""
        if self.count > MOST:
            self.check()

    def numbers(self):
        for x, y, _ in self.points:
            yield from (x, y)
        for places, _ in self.lines:
            for place in places:
                yield from place
        for rounds in (self.circles, self.arcs, self.ellipses):
            for one in rounds:
                yield from one

    def what_was_left(self) -> str:
        """What could not be read, in words: "2 texts, 1 spline"."""
        return ", ".join(f"{times} {what}{'s' if times > 1 else ''}" for what, times in self.left.items())

    def moved(self, dx: float, dy: float) -> "Found":
        """The same things elsewhere."""
        return Found(
            [(x + dx, y + dy, name) for x, y, name in self.points],
            [([(x + dx, y + dy) for x, y in places], closed) for places, closed in self.lines],
            [(x + dx, y + dy, *rest) for x, y, *rest in self.circles],  # type: ignore[misc]
            [(x + dx, y + dy, *rest) for x, y, *rest in self.arcs],  # type: ignore[misc]
            [(x + dx, y + dy, *rest) for x, y, *rest in self.ellipses],  # type: ignore[misc]
            self.left,
            True,
        )

    def box(self) -> tuple[float, float, float, float]:
        """The least x and y and the greatest of all of it."""
        places = [(x, y, 0.0) for x, y, _ in self.points] + [(x, y, 0.0) for run, _ in self.lines for x, y in run]
        places += [(x, y, radius) for x, y, radius, *_ in (*self.circles, *self.arcs)]
        places += [(x, y, (ux * ux + uy * uy) ** 0.5) for x, y, ux, uy, _ in self.ellipses]
        return (
            min(x - r for x, _, r in places), min(y - r for _, y, r in places),
            max(x + r for x, _, r in places), max(y + r for _, y, r in places),
        )  # fmt: skip
