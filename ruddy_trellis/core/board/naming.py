"""Automatic names, and what a name may be on a board."""

from collections.abc import Collection, Mapping, Sequence
from typing import Any

from ..kinds import MAPS, NUMBER, POINT, STRAIGHTS, word
from ..language import names as spelling
from ..refusal import Refusal
from .step import Step


def all_names(steps: Sequence[Any]):
    """The name of every step by id; those without one of their own are spelt from what they are made of."""
    names: dict[str, Any] = {}
    for step in steps:
        names[step.id] = step.name if step.name is not None else spelt(step, names)
    return names


def names_with(names: Mapping[str, str], step: Any) -> dict[str, Any]:
    """The names of some steps, and that of one more after them."""
    return {**names, step.id: step.name if step.name is not None else spelt(step, names)}


def spelt(step: Step, names: Mapping[str, Any]) -> str | None:
    """The name of a step spelt from its inputs, or None where its construction is not named that way."""
    construction = step.construction
    if not construction.named_after:
        return None
    parts = [names[id] for gap in construction.named_after.split() for id in step.fills[gap]]
    return construction.name_prefix + spelling.spell(parts) + construction.name_suffix


def automatic_name(step: Step, names: Mapping[str, str], taken: Collection[str]) -> str | None:
    """The name to keep for a new step: None where it can be spelt, else the next free letter.

    Args:
        names: the names of the steps before it, by id.
        taken: the names it must differ from.
    """
    text = spelt(step, names)
    if text is not None and text not in taken:
        return None
    if step.is_reading:
        pool = "angle" if step.construction.dimension == "angle" else NUMBER
    else:
        pool = "line" if step.makes in STRAIGHTS else "map" if step.makes in MAPS else step.makes
    return spelling.next_name(pool, taken)


def check_names(steps: Sequence[Any], names: dict[str, str] | None = None, fresh: Collection[str] = ()) -> dict[str, str]:
    """The names of these steps. Raises Refusal where two things, or two readings, have one name, or where a name
    would read as two points.

    Args:
        names: the names, where they are known.
        fresh: the ids of the steps whose names are new, where those of the others are known to go together.
    """
    if names is None:
        names = all_names(steps)
    seen: dict[tuple[bool, str], Any] = {}
    for step in steps:
        key = (step.is_reading, names[step.id])
        if key in seen:
            other = seen[key]
            raise Refusal(f"{key[1]} is the name of {described(other)} already. Choose a name that nothing else has.")
        seen[key] = step
    points = {names[step.id] for step in steps if step.makes == POINT}
    more = tuple(names[step.id] for step in steps if step.id in fresh and step.makes == POINT)
    for step in steps:
        if step.name is None or len(step.name) < 2:
            continue
        # Nothing has come to read otherwise but what is new itself, and what a new point is a part of.
        if fresh and step.id not in fresh and not (more and (step.name.startswith(more) or step.name.endswith(more))):
            continue
        for pair in spelling.unspell(step.name, points - {step.name}, 2):
            raise Refusal(f"{step.name} reads as the points {pair[0]} and {pair[1]} together. Choose another name.")
    return names


def described(step: Step):
    """ "a point", "a reading": what a step makes, with its article."""
    return "a " + word(step.makes)
