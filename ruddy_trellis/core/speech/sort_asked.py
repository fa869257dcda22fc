"""Which sort of shape something is: asked so, it is claimed to be of the most special sort that it is of as it is drawn."""

from __future__ import annotations

import re
from collections.abc import Callable

from ..kinds import POLYGON
from ..refusal import Refusal
from .english_idioms_of_questions import SORT_ASKED
from .idiom_parts import POLYGON as SHAPES
from .refusals import Final, Told
from .things import Things

_ASKED = re.compile(SORT_ASKED.format(shapes=SHAPES), re.IGNORECASE)
#: The sorts of triangles and of quadrilaterals, the more special ones first; of triangles two may hold.
_OF_THREE = (("equilateral",), ("right-angled", "isosceles"))
_OF_FOUR = (("a square",), ("a rectangle",), ("a rhombus",), ("a parallelogram",), ("a kite",), ("a trapezium",))


def ask_sort(t: Things, text: str, claim: Callable[[str], bool]) -> bool:
    """Claim of a shape of which sort it is, where that is asked. Returns whether it was.

    Args:
        claim: claims what a sentence says, and returns whether it holds as it is drawn; where it does not nothing is claimed.

    Raises:
        Told: where it is of no special sort.
        Refusal: where no shape was spoken of, or one of other corners.
    """
    found = _ASKED.fullmatch(text.strip(" .?!"))
    if found is None:
        return False
    b = t.b
    name = found["name"] or ""
    if name and all(map(b.has, name)):
        corners = list(name)
    else:
        shapes = [id for id in b.recent.ids if id in b.ahead and b.kind(id) == POLYGON] or b.of_kind(POLYGON)
        if name or not shapes:
            raise Refusal("Which shape? Name its corners: what sort of triangle is ABC?")
        corners = [b.ahead.name(id) for id in b.ahead.step(shapes[-1]).fills.get("corners", ())]
    names = "".join(corners)
    wanted = {"triangle": 3, "quadrilateral": 4}.get((found["shape"] or "").lower(), len(corners))
    if wanted != len(corners):
        raise Final(f"{names} has {len(corners)} corners.")
    for sorts in {3: _OF_THREE, 4: _OF_FOUR}.get(len(corners), (("regular",),)):
        if [True for sort in sorts if claim(f"prove that {names} is {sort}")]:
            return True
    raise Told(f"As it is drawn, {names} is of no special sort: {_told(len(corners))}.")


def _told(corners: int) -> str:
    if corners == 3:
        return "no two of its sides are equal, and none of its angles is right"
    return "no sides are parallel, nor equal where they meet in pairs" if corners == 4 else "it is not regular"
