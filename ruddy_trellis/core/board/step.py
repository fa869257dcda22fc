"""One step of a construction, as it is kept."""

from dataclasses import dataclass, field, replace
from functools import cached_property

from ..catalogue import CATALOGUE
from ..catalogue.construction import Construction
from ..kinds import NUMBER
from ..language.fills import ids_in


@dataclass(frozen=True)
class Look:
    """How a thing is drawn. ``None`` means "as its kind is drawn at first" (see ``display.palette``).

    ``caption`` is what its label says, with ``{name}`` and ``{value}`` filled in; ``part`` draws a line between its
    points only, and a circle as short arcs about them; ``trail`` is for how many seconds it leaves a trail (0: for good);
    ``teacher_only`` lets students not move it; ``snap`` makes a drag keep to what a mark states where it nearly is;
    ``cover`` hides a value or words until a person clicks there, with ``teacher_lifts`` until the teacher lifts it for all;
    ``unit`` is that of a reading, if not the board's.
    """

    pen: str | None = None
    width: float | None = None
    pattern: str | None = None
    fill: float | None = None
    size: float | None = None
    hidden: bool = False
    locked: bool = False
    teacher_only: bool = False
    label: bool | None = None
    caption: str | None = None
    part: bool | None = None
    trail: float | None = None
    snap: bool | None = None
    cover: bool | None = None
    teacher_lifts: bool = False
    label_offset: tuple | None = None
    decimals: int | None = None
    tag: bool | None = None
    unit: str | None = None


PLAIN = Look()


@dataclass(frozen=True)
class Step:
    """A step: what it does, with what, and what it is called.

    Attributes:
        id: stable for the life of the board; other steps name it by this, never by its name.
        does: the key of its construction in the catalogue.
        fills: what each gap is filled with; ids are always in a tuple of strings, coordinates in a tuple of floats.
        name: the name a person gave, or the automatic letter; None where the name is spelt from what it is made of.
        by: in a student's copy the key of the sentence that made it among several steps; None for a step that was said itself.
    """

    id: str
    does: str
    fills: dict = field(default_factory=dict)
    name: str | None = None
    look: Look = PLAIN
    by: str | None = None

    @cached_property
    def construction(self) -> Construction:
        return CATALOGUE[self.does]

    @cached_property
    def makes(self) -> str:
        return self.construction.makes

    @cached_property
    def is_reading(self) -> bool:
        return self.makes == NUMBER

    @cached_property
    def moves(self) -> str:
        """How a person can move it: "free", "sliding", "turning", "hanging", or "" for what is fixed or locked."""
        return "" if self.look.locked else self.construction.moves

    @cached_property
    def inputs(self) -> tuple[str, ...]:
        """The ids of all steps it is made from, in the order of its gaps, each once."""
        found = {}
        for gap in self.construction.gaps:
            found.update(dict.fromkeys(ids_in(self.fills.get(gap.name))))
        return tuple(found)

    @cached_property
    def made_of(self) -> dict:
        """The fills without those that only say where it is: what a drag changes, and near what it was pointed at."""
        placed = {self.construction.moved_gap, "near"}
        return {gap: fill for gap, fill in self.fills.items() if gap not in placed}

    def is_but_for_place(self, other: "Step") -> bool:
        """Whether it is what another step is, or differs from that by where it is alone."""
        return self is other or (
            (self.id, self.does, self.name, self.look, self.by) == (other.id, other.does, other.name, other.look, other.by)
            and self.made_of == other.made_of
        )

    @cached_property
    def number(self) -> int:
        """The number in its id; 0 where there is none, as of a thing that is only thought of."""
        return int(self.id[1:]) if self.id[1:].isdecimal() else 0

    def is_own(self, own_from: int) -> bool:
        """Whether it is a student's own, on a copy on which the ids of such begin above a number."""
        return self.id.startswith("s") and self.number > own_from

    def with_(self, **changes) -> "Step":
        return replace(self, **changes)
