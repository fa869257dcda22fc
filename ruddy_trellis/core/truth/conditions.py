"""Where a figure is there: what has to be so for the things a claim hangs on to exist, in words."""

from ..kinds import join
from ..language.fills import is_ids
from .claimed import Claimed

#: Of more conditions than this only so many are told.
_MOST = 6


def conditions(claimed: Claimed) -> tuple[str, ...]:
    """The conditions under which a claim's figure is there, as sentences, each once."""
    board = claimed.whole
    found: dict[str, None] = {}
    for step in (*claimed.board.steps, claimed.claim):
        names = {
            gap.name: [board.name(id) for id in step.fills[gap.name]] for gap in step.construction.gaps if is_ids(step.fills.get(gap.name))
        }
        for gap in step.construction.gaps:
            fill = names.get(gap.name)
            if fill and gap.kind_name == "triangle":
                found[f"{join(fill)} are not in line"] = None
        if step.does in ("intersection", "other_intersection") and "a" in names and "b" in names:
            found[f"{''.join(names['a'])} meets {''.join(names['b'])}"] = None
        elif step.does == "circumcircle" and "three" in names:
            found[f"{join(names['three'])} are not in line"] = None
        elif step.does in ("tangent_from", "touching_point") and "point" in names:
            found[f"{names['point'][0]} is outside {''.join(names.get('circle', names.get('curve', ['the circle'])))}"] = None
    if claimed.claim.does == "one_circle":
        found[f"{join(board.name(id) for id in claimed.claim.fills['points'][:3])} are not in line"] = None
    if claimed.claim.does == "one_point":
        first, second = (board.name(id) for id in claimed.claim.fills["lines"][:2])
        found[f"{first} and {second} are not parallel"] = None
    return tuple(f"where {words}" for words in list(found)[:_MOST])
