"""The other answers that a solution has: where it says "first crossing", the second would do as well, if the teacher says so."""

from itertools import product

from ..board.board import Board
from ..catalogue.gaps import ORDER
from .equal import equal
from .positions import size_of

#: At how many steps a solution branches at most, and how many ways are looked at.
_STEPS, _WAYS = 4, 16
_WHICH = {"crossing": ORDER[:2], "which_of_two": ORDER[:2]}


def branches(solution: Board, answers: list[str], given: set[str]) -> list[dict[str, str]]:
    """The ways in which the words at which a solution branches can be chosen so that the answers are there and are others: for each the
    words by the ids of their steps. The first is the solution as it is."""
    hung_on = {*answers, *solution.ancestors(answers)}
    choices = []
    for step in solution.steps:
        if step.id not in hung_on or step.id in given:
            continue
        for gap in step.construction.gaps:
            if gap.kind_name in _WHICH and gap.name in step.fills and step.fills[gap.name] in _WHICH[gap.kind_name]:
                choices.append((step.id, step.fills[gap.name], _WHICH[gap.kind_name]))
    choices = choices[:_STEPS]
    found: list[dict[str, str]] = []
    seen = []
    for words in product(*([now, *(word for word in all_words if word != now)] for _, now, all_words in choices)):
        way = {id: word for (id, now, _), word in zip(choices, words) if word != now}
        board = branched(solution, way)
        values = [board.value(id) for id in answers]
        if any(value is None for value in values) or any(_same(solution, answers, values, other) for other in seen):
            continue
        seen.append(values)
        found.append(way)
        if len(found) == _WAYS:
            break
    return found


def _same(board, answers, values, others):
    size = size_of(board)
    return all(equal(board.kind_of(id), a, b, size) for id, a, b in zip(answers, values, others))


def branched(solution: Board, way: dict[str, str]) -> Board:
    """A solution with other words where it branches; steps whose words do not fit are left as they are."""
    if not way:
        return solution.copy()
    steps = []
    for step in solution.steps:
        gap = next((gap.name for gap in step.construction.gaps if gap.kind_name in _WHICH), None)
        if step.id in way and gap is not None:
            step = step.with_(fills={**step.fills, gap: way[step.id]})
        steps.append(step)
    return Board(solution.settings, steps)
