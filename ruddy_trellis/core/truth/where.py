"""Whether a place is in a region, condition by condition, and why a region is empty or endless: in words."""

from dataclasses import dataclass
from itertools import combinations
from typing import Any

from ..board.board import Board
from ..display.text import rounded_text, unit_text
from ..kinds import CONDITION, POLYGON, REGION, join
from ..language.printing import number_text, phrase
from ..regions.region import ALL, NONE, Region

#: Of more conditions it is not looked which few of them clash.
_FEW = 14


@dataclass(frozen=True)
class Answer:
    """What is so of a place and a condition: the condition's id, whether it holds, and both in words."""

    id: str
    holds: bool
    words: str


def condition_words(board: Board, id: str) -> str:
    """A condition as one says it, with its unit: "more than 4 m from B"."""
    step = board.step(id)
    words = phrase(step.construction, step.fills, board.names).removeprefix("the places ")
    length = step.fills.get("length")
    if not isinstance(length, float):
        return words
    number = number_text(length)
    return words.replace(f" {number} from ", f" {number}{unit_text(1, board.settings.unit)} from ", 1)


def region_to_say(board: Board) -> str:
    """The sentence of the region that conditions ask for of which none is made yet, inside the first polygon that is there; none
    where there are not two of them."""
    seen = [step for step in board.steps if not step.look.hidden]
    used = {id for step in seen if step.makes == REGION for id in step.inputs}
    free = [step.id for step in seen if step.makes == CONDITION and step.id not in used]
    if len(free) < 2:
        return ""
    shape = next((f" within {board.name(step.id)}" for step in seen if step.makes == POLYGON), "")
    return f"the region where all of {join(board.name(id) for id in free)} hold{shape}"


def answers(board: Board, point: str, region: str) -> list[Answer]:
    """For each condition of a region whether it holds at a point."""
    x, y = board.value(point)
    found = []
    for id in board.step(region).fills["conditions"]:
        condition = board.value(id)
        if condition is not None:
            holds = bool(condition.holds(x, y))
            measured = _measured(board, id, condition, x, y)
            words = condition_words(board, id)
            found.append(Answer(id, holds, f"{words} ({measured})" if measured else words))
    return found


def _measured(board: Board, id: str, condition: Any, x: float, y: float) -> str:
    """What a condition measures, at a place; nothing where it only says on which side."""
    step, settings = board.step(id), board.settings
    length = lambda size: rounded_text(size, settings.decimals) + unit_text(1, settings.unit)
    if step.does == "places_by_distance":
        return f"it is {length(float(condition.measure.at(x, y)))} away"
    if step.does == "places_nearer":
        near, far = (float(one.at(x, y)) for one in (condition.measure.near, condition.measure.far))
        near, far = (far, near) if condition.above else (near, far)
        return f"it is {length(near)} and {length(far)} away"
    if step.does == "places_by_angle":
        return f"it is seen under {rounded_text(180 - float(condition.measure.at(x, y)), min(settings.decimals, 1))}°"
    return ""


def condition_told(board: Board, point: str, condition: str) -> str:
    """Whether a condition holds at a point, in words."""
    value, at = board.value(condition), board.value(point)
    name, words = board.name(point), condition_words(board, condition)
    if value is None or at is None:
        return f"{board.name(condition if value is None else point)} is not there now."
    measured = _measured(board, condition, value, *at[:2])
    return f"{name}: {'yes' if bool(value.holds(*at[:2])) else 'no'}, {words}{f' ({measured})' if measured else ''}."


def is_in_told(board: Board, point: str, region: str) -> str:
    """Whether a point is in a region, in a sentence."""
    value, name, where = board.value(region), board.name(point), board.name(region)
    if board.value(point) is None or value is None:
        return f"{name} or {where} is not there now."
    return f"{name} is {'in' if bool(value.holds(*board.value(point))) else 'not in'} {where}."


def place_told(board: Board, point: str, region: str) -> str:
    """Whether a point is in a region, and by which conditions, in a sentence or two."""
    value, told = board.value(region), is_in_told(board, point, region)
    if board.value(point) is None or value is None:
        return told
    x, y = board.value(point)
    each = answers(board, point, region)
    out = value.within is not None and not bool(value.within.holds(x, y))
    shape = board.step(region).fills.get("shape", ())
    said = [f"outside {board.name(shape[0])}"] if out and shape else [f"{'yes' if one.holds else 'no'}: {one.words}" for one in each]
    why = "; ".join(said)
    return told + (f" {why[0].upper()}{why[1:]}." if why else "")


def region_told(board: Board, region: str) -> str:
    """What there is to say of a region besides its size: that it is empty, with the conditions that clash, or endless."""
    value = board.value(region)
    if value is None:
        return "It is not there now."
    if value.is_empty:
        return _why_empty(board, region, value)
    return "It goes on for ever, so it has no area." if value.is_endless else ""


def _why_empty(board: Board, region: str, value: Region) -> str:
    ids = board.step(region).fills["conditions"]
    if value.how != ALL:
        so = "everywhere" if value.how == NONE else "nowhere"
        return f"It is empty: {so} {'one of them holds' if value.how == NONE else 'any of them holds'}."
    if len(ids) <= _FEW:
        for count in (1, 2, 3):
            for few in combinations(range(len(ids)), count):
                for within in (None, value.within) if value.within else (None,):
                    if Region(tuple(value.conditions[number] for number in few), ALL, within).is_empty:
                        names = [f"“{condition_words(board, ids[number])}”" for number in few]
                        where = f" within {board.name(board.step(region).fills['shape'][0])}" if within else ""
                        if count == 1:
                            return f"It is empty: {names[0]} holds nowhere{where}."
                        return f"It is empty: {join(names)} clash; nowhere{where} do {'both' if count == 2 else 'all three'} hold."
    return "It is empty: nowhere do all of them hold."
