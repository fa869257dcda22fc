"""From all that was derived to what a reason needs: what is not needed is left out, the dearest first."""

from collections.abc import Iterable, Sequence

from .forms import LINE, Fact
from .instances import Instance
from .knowledge import Knowledge, Known, Turns

#: Of so many facts at most it is tried whether they are needed.
_TRIED = 160


def needed(knowledge: Knowledge, turns: Turns, goals: Sequence[Fact]) -> Knowledge:
    """What some goals need of what is known, known again in the same order.

    Args:
        knowledge: from which all goals follow.
    """
    used = _used(knowledge, goals)
    # What is drawn in line costs nothing, and makes plainer sums of angles possible.
    drawn = [one for one in knowledge.known if one.step is not None and one.fact.form == LINE]
    given = [*drawn, *(one for one in used if one.step is not None and one not in drawn)]
    instances = [one.instance for one in used if one.instance is not None]
    best = _again(given, instances, turns, goals)
    if best is None:  # the same facts in the same order: what is found must be found again
        return knowledge
    for one in sorted(used, key=lambda one: -one.cost)[:_TRIED]:
        if one.instance is not None and one.instance in instances:
            fewer = _again(given, [other for other in instances if other is not one.instance], turns, goals)
            if fewer is not None:
                best = fewer
                instances = [other for other in instances if other is not one.instance]
        elif one.step is not None and one not in drawn:
            fewer = _again([other for other in given if other is not one], instances, turns, goals)
            if fewer is not None:
                best = fewer
                given = [other for other in given if other is not one]
    return best


def _used(knowledge: Knowledge, goals: Iterable[Fact]) -> list[Known]:
    """What stands in the derivation of the goals, in order."""
    waiting = [number for goal in goals for number in knowledge.cheaply(goal, 3) or ()]
    reached: set[int] = set()
    while waiting:
        number = waiting.pop()
        if number in reached:
            continue
        reached.add(number)
        one = knowledge.known[number]
        waiting += [*one.joined, *(other for support in one.support for other in support)]
    return [knowledge.known[number] for number in sorted(reached)]


def _again(given: Iterable[Known], instances: Sequence[Instance], turns: Turns, goals: Sequence[Fact]) -> Knowledge | None:
    """What follows from some of what is given by some rules; None where the goals do not."""
    found = Knowledge(turns)
    for one in given:
        found.learn(one)
    waiting = list(instances)
    while True:
        if all(found.why(goal) is not None for goal in goals):
            return found
        later = []
        for rule in waiting:
            if any(found.why(premise) is None for premise in rule.premises):
                later.append(rule)
                continue
            support = tuple(found.cheaply(premise, 3) or () for premise in rule.premises)
            cost = rule.rule.price + sum(map(found.cost, support))
            found.learn(Known(rule.conclusion, cost, instance=rule, support=support))
        if len(later) == len(waiting):
            return None
        waiting = later
