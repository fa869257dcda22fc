"""Recipes: a construction kept for reuse, with what it is given and what it makes."""

import re
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from .. import limits
from ..board import Board
from ..catalogue import CATALOGUE
from ..catalogue.construction import Construction, Part
from ..edits.adding import new_step_ids, tried
from ..edits.checking import check_fills
from ..edits.models import Add, NewStep
from ..edits.pasting import grow
from ..kinds import MAPS, NUMBER, THINGS, join, with_article, word
from ..language.fills import fill_from_json, fill_to_json, with_ids
from ..language.printing import sentence
from ..refusal import Refusal
from .file import check_format

FORMAT, VERSION = "ruddy-trellis recipe", 1
#: What a recipe can be given.
GIVEN_KINDS = (*THINGS, NUMBER, *MAPS)
_NAME = re.compile(r"[^\W\d_][\w ,'′-]{0,39}")


class _Given(BaseModel):
    model_config = ConfigDict(extra="forbid")
    name: str = Field(max_length=limits.NAME_LENGTH)
    kind: str = Field(max_length=20)


class _Made(BaseModel):
    model_config = ConfigDict(extra="forbid")
    does: str = Field(max_length=40)
    with_: dict[str, object] = Field(alias="with", max_length=12)
    hidden: bool = False


class _Data(BaseModel):
    model_config = ConfigDict(extra="forbid")
    format: str
    version: int
    name: str = Field(max_length=40)
    givens: list[_Given] = Field(min_length=1, max_length=12)
    steps: list[_Made] = Field(min_length=1, max_length=200)
    example: str = Field(max_length=20_000)


@dataclass(frozen=True)
class Recipe:
    """A kept construction.

    Attributes:
        name: what it is called: "pointed arch".
        givens: pairs of a name and a kind, in order.
        steps: triples of a construction's key, its fills (in which "given:0" is the first given and "made:0" the first
            step of the recipe) and whether the step is hidden.
        example: sentences that make its givens, for its picture.
    """

    name: str
    givens: tuple
    steps: tuple
    example: str

    def to_json(self) -> dict[str, Any]:
        """The recipe as a file holds it."""
        return {
            "format": FORMAT,
            "version": VERSION,
            "name": self.name,
            "givens": [{"name": name, "kind": kind} for name, kind in self.givens],
            "steps": [
                {"does": does, "with": {gap: fill_to_json(fill) for gap, fill in fills.items()}, "hidden": hidden}
                for does, fills, hidden in self.steps
            ],
            "example": self.example,
        }

    def construction(self, key: str) -> Construction:
        """The recipe as a sentence of the catalogue, under a key of its own."""
        gaps = [f"{{given{number}:{'point' if kind == 'point' else _gap_kind(kind)}}}" for number, (_, kind) in enumerate(self.givens)]
        return Construction(
            key=key,
            sentence=f"the {self.name} on {join(gaps)}",
            makes=CATALOGUE[self.steps[-1][0]].makes,
            formula=None,
            expands=self._parts,
            group="Recipes",
            tool=self.name,
            likely=40,
            example=f"{self.example}\nthe {self.name} on {join(name for name, _ in self.givens)}",
        )

    def _parts(self, kinds, fills, board):
        given = [fills[f"given{number}"][0] for number in range(len(self.givens))]
        for does, own, hidden in self.steps:
            yield Part(does, {gap: new_step_ids(fill, given, "given:") for gap, fill in own.items()}, hidden)


def steps_of(construction: Construction) -> list[str]:
    """The sentences of what a recipe makes, as it makes it from its own example.

    Args:
        construction: the recipe as a sentence of the catalogue.
    """
    return _steps_of(construction.example)


@lru_cache(maxsize=512)
def _steps_of(example):
    board = Board()
    *givens, own = example.splitlines()
    try:
        grow(board, "\n".join(givens))
        before = len(board)
        grow(board, own)
    except Refusal:
        return []  # it can no longer be made; all else about it still can be seen
    return [sentence(board, step.id) for step in board.steps[before:]]


def _gap_kind(kind):
    return "reading" if kind == NUMBER else "anymap" if kind in MAPS else f"only_{kind}"


def needed(board: Board, ids: Sequence[str]) -> list[str]:
    """The ids of everything that some results are made from, in order, and themselves."""
    return sorted({*ids, *board.ancestors(ids)}, key=board.place)


def likely_givens(board: Board, ids: Sequence[str]) -> list[str]:
    """The ids that are givens if nothing else is said: what the results are made from and is itself made from nothing."""
    return [id for id in needed(board, ids) if not board.step(id).inputs and board.kind_of(id) in GIVEN_KINDS]


def keep(board: Board, name: str, results: Sequence[str], givens: Sequence[str]) -> Recipe:
    """Make a recipe of a construction.

    Args:
        results: ids of what it shall make.
        givens: ids of what it shall be given, in the order in which it asks for them.

    Returns:
        A Recipe.

    Raises:
        Refusal: where the name does not do, or something is needed that is neither given nor made from the givens.
    """
    name = check_name(name)
    if not results:
        raise Refusal("Select what the recipe shall make first.")
    if not 1 <= len(givens) <= 12:
        raise Refusal("A recipe is given from 1 to 12 things.")
    for id in givens:
        if board.kind_of(id) not in GIVEN_KINDS:
            raise Refusal(f"{board.name(id)} is {with_article(word(board.kind_of(id)))}, which a recipe cannot be given.")
    if not set(results) - set(givens):
        raise Refusal("What is given is not made by the recipe: choose something that is made from it.")
    steps, made = [], {}
    for id in _between(board, results, givens):
        step = board.step(id)
        if not step.inputs:
            raise Refusal(f"{board.name(id)} is needed as well, and is made from nothing. Make it one of the givens.")
        places = {**{given: f"given:{number}" for number, given in enumerate(givens)}, **made}
        fills = {gap: with_ids(fill, places) for gap, fill in step.fills.items()}
        made[id] = f"made:{len(steps)}"
        steps.append((step.does, fills, step.look.hidden or id not in results))
    example = "\n".join(sentence(board, id, full=True) for id in needed(board, givens))
    return Recipe(name, tuple((board.name(id), board.kind_of(id)) for id in givens), tuple(steps), example)


def _between(board, results, givens):
    """The ids of the steps that lead from the givens to the results, in order."""
    reached, waiting = set(), list(results)
    while waiting:
        id = waiting.pop()
        if id not in reached and id not in givens:
            reached.add(id)
            waiting += board.step(id).inputs
    return sorted(reached, key=board.place)


def check_name(name: str) -> str:
    """The name of a recipe, tidied. Raises Refusal where it does not do."""
    name = " ".join(name.split()).removeprefix("the ")
    if not _NAME.fullmatch(name):
        raise Refusal("A recipe’s name starts with a letter and has up to 40 letters, digits and spaces: “pointed arch”.")
    return name


def recipe_from_json(data: Any) -> Recipe:
    """Read a recipe from parsed JSON, trying it once on its own example. Raises Refusal saying what is wrong."""
    check_format(data, "recipe", FORMAT, VERSION)
    try:
        read = _Data.model_validate(data)
    except ValidationError as error:
        first = error.errors()[0]
        raise Refusal(f"The recipe cannot be read at {', '.join(map(str, first['loc']))}: {first['msg'].lower()}.") from None
    for made in read.steps:
        if made.does not in CATALOGUE or CATALOGUE[made.does].expands:
            raise Refusal(f"The recipe uses a construction that is not known here: “{made.does}”.")
    for given in read.givens:
        if given.kind not in GIVEN_KINDS:
            raise Refusal(f"A recipe cannot be given {with_article(given.kind[:20])}.")
    steps = tuple((made.does, {gap: fill_from_json(fill) for gap, fill in made.with_.items()}, made.hidden) for made in read.steps)
    recipe = Recipe(check_name(read.name), tuple((given.name, given.kind) for given in read.givens), steps, read.example)
    _try(recipe)
    return recipe


def _try(recipe):
    """Make the recipe once on its own example. Raises Refusal where that fails."""
    board = Board()
    try:
        grow(board, recipe.example)
        given = [board.find(name) for name, _ in recipe.givens]
        construction = recipe.construction("recipe_tried")
        fills = {f"given{number}": (id,) for number, id in enumerate(given)}
        check_fills(construction, fills, board)
        parts = list(recipe._parts({}, fills, board))
        made = []
        for part in parts:
            fills = {gap: fill_to_json(new_step_ids(fill, made, "made:")) for gap, fill in part.fills.items()}
            board, (step,) = tried(board, Add(steps=[NewStep(does=part.key, fills=fills)]))
            made.append(step.id)
    except Refusal as refusal:
        raise Refusal(f"The recipe does not work on its own example: {refusal.sentence}") from None
