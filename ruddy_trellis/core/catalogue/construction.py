"""What a construction is: the one definition from which everything else about it is made."""

import re
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from typing import Any

from ..seen import Fills, SeenBoard
from .gaps import GAP_KINDS, GapKind

_GAP = re.compile(r"\{(\w+):(\w+)\}")


@dataclass(frozen=True)
class Gap:
    """A gap of one sentence: its name in the file format, its kind, and whether it may stay empty."""

    name: str
    kind_name: str
    optional: bool

    @property
    def kind(self) -> GapKind:
        return GAP_KINDS[self.kind_name]


@dataclass(frozen=True)
class Piece:
    """A stretch of a sentence: words, or a gap. ``group`` numbers the optional stretch it is in (0: none)."""

    text: str
    gap: Gap | None
    group: int


@dataclass(frozen=True)
class Part:
    """One step of a sentence that makes several: its construction, its fills, in which "made:0" is the first step made
    before it, whether it starts hidden, as a helper does, whether a cover lies on it, and what it looks like at first: like another
    thing, or in parts of a look."""

    key: str
    fills: dict
    hidden: bool = False
    cover: bool | None = None
    like: str | None = None
    look: Mapping[str, Any] = field(default_factory=dict)


@dataclass(frozen=True)
class Construction:
    """One kind of step, defined in one place.

    Attributes:
        key: its name in the file format.
        sentence: the sentence, without its subject; ``{name:kind}`` is a gap and ``[...]`` may be left out.
        makes: the kind of thing it makes.
        formula: the function that makes it. It gets the arithmetic, then what the gaps were filled with in their
            order, things first and typed numbers last.
        tool: its short name. ``group``, ``keys``: its row on the shelf and its two-letter key there, "" for what has no tool.
        example: sentences, one a line, whose last is this construction: its icon and its picture in the help.
        choose: instead of ``formula``, a function of the kinds that fill the gaps and of the typed words, which gives
            the formula or None where the kinds do not fit one another.
        through: gaps whose points lie on what is made. ``on``: gaps on which the point made lies.
        tied: the gap of a point that must lie, by construction, on what fills other gaps; then those gaps.
        moves: how what is made this way can be moved: "free", "sliding" along a path, "turning" as a dial is, "hanging" off
            a thing, or "" (fixed).
        dimension: for a reading: the power of length (0 plain, 1 length, 2 area) or "angle".
        named_after: the gap that its automatic name is spelt from, or "" for the next free letter.
        name_prefix, name_suffix: what that automatic name begins and ends with.
        where: what has to be so for it to have a value, as sentences with gaps in braces: "{a} and {b} are not parallel". What holds
            wherever the things in the gaps are there is not among them.
        undefined: why it may have no value, in words that follow "because".
        distinct: whether the points that fill it must all differ.
        needs: what of the plane it depends on besides the things it is made from: "size" (a unit of length), "direction" (what is
            level), "origin". ``lengths``: gaps in which a typed number is a length, which needs a unit as well.
        likely: its place among the offers for a selection; the smallest comes first.
        gives: what a school book calls its definition, as facts with gaps in braces, for reasons: see ``truth.reasons.given``. Of a
            transformation it is what it gives of a point {of} and its {image}.
        helper: whether it is drawn as a helper line at first. ``looks_like``: the gap of the thing that it looks like then.
        aliases: other sentences that are read as this one. ``also``: other ways to say it, as ``language/patterns`` reads them.
        usual: what is meant where a sentence leaves a gap out that has to be filled: for each of some gaps a fill, or a
            function of the other fills and of the board that gives one.
        defaults: a function of the kinds that fill the gaps, giving what optional gaps are filled with when left out.
        settles: a function of such full fills and of the board that changes what was left out to what the figure suggests
            now: where a ray starts inside a circle, its only crossing is the second.
        follows: a function of the kinds that fill the gaps and of the typed words, as ``choose``, that gives what follows
            a thing from where it was, kept in its gap "near"; or None where nothing needs to be followed.
        expands: for a sentence that makes several steps: a function of the kinds that fill its gaps, of the fills and
            of the board, giving a :class:`Part` for each step. Such a sentence is never kept as a step.
        planner: instead of a formula, a function that says how a step is computed from other steps than those that fill
            its gaps: see ``plan.make_plan``.
        in_tongues: the same construction with its sentences in other languages, by their codes.
        check: a function of the fills and the board that raises Refusal where what fills the gaps makes no sense together.
    """

    key: str
    sentence: str
    makes: str
    formula: Callable | None
    tool: str
    example: str
    group: str = ""
    keys: str = ""
    choose: Callable | None = None
    through: tuple = ()
    on: tuple = ()
    tied: tuple = ()
    moves: str = ""
    dimension: int | str | None = None
    named_after: str = ""
    name_prefix: str = ""
    name_suffix: str = ""
    where: tuple[str, ...] = ()
    undefined: str = ""
    distinct: bool = True
    needs: tuple = ()
    lengths: tuple = ()
    likely: float = 50
    gives: tuple[str, ...] = ()
    helper: bool = False
    looks_like: str = ""
    aliases: tuple = ()
    also: tuple = ()
    usual: Mapping = field(default_factory=dict)
    defaults: Callable | None = None
    settles: Callable | None = None
    follows: Callable | None = None
    expands: Callable | None = None
    check: Callable | None = None
    planner: Callable | None = None
    in_tongues: Mapping[str, "Construction"] = field(default_factory=dict)
    pieces: tuple = field(init=False)

    def __post_init__(self):
        object.__setattr__(self, "pieces", _pieces(self.sentence))

    @cached_property
    def gaps(self) -> tuple[Gap, ...]:
        """The gaps in the order of the sentence."""
        return tuple(piece.gap for piece in self.pieces if piece.gap)

    @cached_property
    def gap_by_name(self) -> dict[str, Gap]:
        return {gap.name: gap for gap in self.gaps}

    @cached_property
    def sentences(self) -> tuple[tuple[Piece, ...], ...]:
        """The pieces of the sentence and of every alias."""
        return (self.pieces, *(_pieces(alias) for alias in self.aliases))

    def said_in(self, code: str) -> "Construction | None":
        """The construction with its sentences in a language; None where it has no words in it yet."""
        return self if code == "en" else self.in_tongues.get(code)

    @property
    def sentence_shown(self) -> str:
        """The sentence with its gaps as dots, for people."""
        return re.sub(r"\{[^}]*\}", "…", re.sub(r"\[.*?\]", "", self.sentence))

    @property
    def moved_gap(self) -> str | None:
        """The gap whose typed numbers change when it is moved, or None."""
        return {"free": "at", "sliding": "place", "turning": "value", "hanging": "off"}.get(self.moves)

    def parts(self, kinds: Mapping[str, str], fills: Fills, board: SeenBoard) -> list[Part]:
        """The steps that a sentence which makes several stands for; none for any other. Raises Refusal where they cannot be."""
        return list(self.expands(kinds, fills, board)) if self.expands else []

    @cached_property
    def asked_gaps(self) -> tuple[Gap, ...]:
        """The gaps that a person is asked to fill."""
        return tuple(gap for gap in self.gaps if not gap.optional)


def _pieces(sentence):
    pieces, group = [], 0
    for number, stretch in enumerate(re.split(r"\[(.*?)\]", sentence)):
        inside = number % 2 == 1
        group += inside
        at = 0
        for found in _GAP.finditer(stretch):
            if found.start() > at:
                pieces.append(Piece(stretch[at : found.start()], None, group if inside else 0))
            pieces.append(Piece("", Gap(found[1], found[2], inside), group if inside else 0))
            at = found.end()
        if at < len(stretch):
            pieces.append(Piece(stretch[at:], None, group if inside else 0))
    return tuple(pieces)
