"""Where a figure is there: what has to be so for the things a claim hangs on to exist, in words."""

from collections.abc import Iterator
from typing import Any

from ..arithmetic import FLOATS
from ..board.plan import chosen_formula
from ..kinds import POINT, join
from ..language.fills import is_ids
from .claimed import Claimed

#: Of more conditions than this only so many are told.
_MOST = 6


def conditions(claimed: Claimed) -> tuple[str, ...]:
    """The conditions under which a claim's figure is there, as sentences, each once."""
    found: dict[str, None] = {}
    for step in (*claimed.board.steps, claimed.claim):
        found.update(dict.fromkeys(_of_step(claimed.whole, step)))
    return tuple(f"where {words}" for words in list(found)[:_MOST])


def _of_step(board: Any, step: Any) -> Iterator[str]:
    """What has to be so for a step to have a value, in words."""
    construction = step.construction
    ids = {gap.name: step.fills[gap.name] for gap in construction.gaps if is_ids(step.fills.get(gap.name))}
    names = {gap: [board.name(id) for id in fill] for gap, fill in ids.items()}
    written = {gap: join(fill) if construction.gap_by_name[gap].kind_name == "triangle" else "".join(fill) for gap, fill in names.items()}
    for gap in construction.gaps:
        if gap.kind_name == "triangle" and gap.name in names and not _is_there_in_line(board, step):
            yield f"{written[gap.name]} are not in line"
    for words in construction.where:
        yield words.format(**written)
    if step.does in ("intersection", "other_intersection"):
        yield f"{written['a']} meets {written['b']}"
    elif construction.key.startswith(("image_point", "inverted_")) and board.kind_of(ids["by"][0]) == "inversion":
        verb = "is not" if step.does == "image_point" else "does not go through"
        yield f"{written['of']} {verb} the centre of {written['by']}"
    elif step.does == "one_circle":
        yield f"{join(names['points'][:3])} are not in line"
    elif step.does == "one_point":
        first, second = names["lines"][:2]
        yield f"{first} and {second} are not parallel"
    elif step.does == "directed_angle" or step.fills.get("turn") == "directed":
        corner = names.get("corner", [])
        if len(corner) == 3:
            yield f"{corner[2]} is not on ray {corner[1]}{corner[0]}"


def _is_there_in_line(board: Any, step: Any) -> bool:
    """Whether what is made of three points is there where they are in line as well."""
    formula = chosen_formula(step.construction, step.fills, board.kind_of)
    if formula is None or any(board.kind_of(id) != POINT for id in step.inputs) or len(step.inputs) != 3:
        return False
    try:
        value = formula(FLOATS, (0.0, 0.0), (1.0, 0.5), (4.0, 2.0))
    except ArithmeticError:
        return False
    return value is not None
