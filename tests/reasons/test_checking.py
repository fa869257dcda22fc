"""The checker: it passes what is right, and no argument that was spoilt."""

import ast
import random
import unittest
from dataclasses import replace
from pathlib import Path

import numpy as np

from ruddy_trellis.core.truth.reasons import checking, forms
from ruddy_trellis.core.truth.reasons.argument import GIVEN, RULE, Argument
from ruddy_trellis.core.truth.reasons.checking import faults
from ruddy_trellis.core.truth.reasons.finding import reason
from ruddy_trellis.core.truth.reasons.holding import Holding, is_so
from ruddy_trellis.core.truth.reasons.rules import RULES

from .bank import EACH, claimed, statements

#: So many arguments are spoilt, in turn by each of the ways.
SPOILT = 1000


def holds(figure, fact):
    """Whether a fact holds in the figure, in floats."""
    return is_so(Holding(figure.places), fact)


class Spoiling:
    """Ways to spoil an argument; each gives None where it has nothing to spoil."""

    def __init__(self, chance):
        self._chance = chance

    def false_step(self, figure, argument):
        """A line says something else, of other points, that is not so."""
        at = self._chance.randrange(len(argument.lines))
        line, count = argument.lines[at], len(figure)
        labels = sorted(line.fact.points)
        for _ in range(30):
            to = dict(zip(labels, self._chance.sample(range(count), len(labels))))
            fact = forms.mapped(line.fact, to.__getitem__)
            if fact != line.fact and not forms.is_trivial(fact) and not holds(figure, fact):
                return self._with(argument, at, replace(line, fact=fact))
        return None

    def circle(self, figure, argument):
        """A line cites itself or one that comes after it."""
        at = self._chance.randrange(len(argument.lines))
        line = argument.lines[at]
        later = self._chance.randrange(at, len(argument.lines))
        return None if line.how == GIVEN else self._with(argument, at, replace(line, cites=(*line.cites, later)))

    def missing_condition(self, figure, argument):
        """A condition is left out."""
        with_some = [at for at, line in enumerate(argument.lines) if line.conditions]
        if not with_some:
            return None
        at = self._chance.choice(with_some)
        return self._with(argument, at, replace(argument.lines[at], conditions=argument.lines[at].conditions[1:]))

    def other_rule(self, figure, argument):
        """A line has another rule, of as many points, whose conclusion is another one."""
        ruled = [at for at, line in enumerate(argument.lines) if line.how == RULE]
        if not ruled:
            return None
        at = self._chance.choice(ruled)
        line = argument.lines[at]
        others = [rule for rule in RULES.values() if len(rule.letters) == len(line.points) and rule.key != line.rule]
        rule = self._chance.choice(others) if others else None
        if rule is None or forms.mapped(rule.concluded, dict(zip(rule.letters, line.points)).__getitem__) == line.fact:
            return None
        return self._with(argument, at, replace(line, rule=rule.key))

    def nothing_cited(self, figure, argument):
        """A line whose rule asks for something that nothing gives for itself cites nothing."""
        ruled = [at for at, line in enumerate(argument.lines) if line.how == RULE and line.cites]
        if not ruled:
            return None
        at = self._chance.choice(ruled)
        line = argument.lines[at]
        to = dict(zip(RULES[line.rule].letters, line.points)).__getitem__
        premises = [forms.mapped(fact, to) for fact in RULES[line.rule].premise_facts]
        alone = all(checking._Look(figure).together(premise, ()) for premise in premises)
        return None if alone else self._with(argument, at, replace(line, cites=()))

    def other_given(self, figure, argument):
        """What is given is said of a step that does not give it."""
        given = [at for at, line in enumerate(argument.lines) if line.how == GIVEN]
        if not given:
            return None
        at = self._chance.choice(given)
        free = [step.id for step in figure.steps if step.does == "free_point"]
        return self._with(argument, at, replace(argument.lines[at], step=self._chance.choice(free)))

    def out_of_nothing(self, figure, argument):
        """A line that follows by a rule is said to be given."""
        ruled = [at for at, line in enumerate(argument.lines) if line.how == RULE]
        if not ruled:
            return None
        at = self._chance.choice(ruled)
        step = self._chance.choice(figure.steps).id
        line = replace(argument.lines[at], how=GIVEN, step=step, rule="", points=(), cites=(), conditions=())
        given = {fact for fact, _ in checking.given(figure)}
        return None if line.fact in given or line.fact.form == forms.ROUND else self._with(argument, at, line)

    def no_end(self, figure, argument):
        """The line that says what is claimed is missing."""
        kept = tuple(line for line in argument.lines if line.fact not in argument.goals)
        return replace(argument, lines=kept) if len(kept) < len(argument.lines) else None

    def unlike_points(self, figure, argument):
        """The points of a rule are put to its letters otherwise, so that it says something else."""
        ruled = [at for at, line in enumerate(argument.lines) if line.how == RULE]
        if not ruled:
            return None
        at = self._chance.choice(ruled)
        line = argument.lines[at]
        points = tuple(self._chance.sample(line.points, len(line.points)))
        said = forms.mapped(RULES[line.rule].concluded, dict(zip(RULES[line.rule].letters, points)).__getitem__)
        return None if said == line.fact else self._with(argument, at, replace(line, points=points))

    @staticmethod
    def _with(argument, at, line):
        return Argument((*argument.lines[:at], line, *argument.lines[at + 1 :]), argument.goals)


class CheckingTest(unittest.TestCase):
    @classmethod
    def setUpClass(cls):
        cls.found = []
        for number, (_, sentences, is_true, text) in enumerate(statements()):
            if is_true and number % EACH == 0:
                one = reason(*claimed(sentences, text), seconds=2.0)
                if one is not None and one.argument.steps:
                    cls.found.append((text, one))

    def test_what_was_found_passes(self):
        self.assertGreater(len(self.found), 25)
        for text, one in self.found:
            self.assertEqual(faults(one.figure, one.argument), [], text)

    def test_a_thousand_spoilt_arguments_pass_never(self):
        chance = random.Random(4)
        spoiling = Spoiling(chance)
        ways = [getattr(spoiling, name) for name in vars(Spoiling) if not name.startswith("_")]
        counts = dict.fromkeys((way.__name__ for way in ways), 0)
        while sum(counts.values()) < SPOILT:
            text, one = chance.choice(self.found)
            way = min(chance.sample(ways, 3), key=lambda way: counts[way.__name__])
            spoilt = way(one.figure, one.argument)
            if spoilt is not None:
                counts[way.__name__] += 1
                self.assertTrue(faults(one.figure, spoilt), f"{way.__name__} of {text}")
        self.assertTrue(all(count > 20 for count in counts.values()), counts)

    def test_what_holds_only_nearly_does_not_pass(self):
        """A line that is so to eight digits, and not to fifty."""
        text, one = next(pair for pair in self.found if pair[1].argument.lines[0].fact.form == forms.MIDPOINT)
        figure = one.figure
        off = lambda m, at: [
            place and (place[0] + (m.number(1) / 10**9 if number == 0 else 0), place[1]) for number, place in enumerate(exact(m, at))
        ]
        exact, figure.exactly = figure.exactly, off
        try:
            self.assertEqual(faults(figure, one.argument)[0][-len("to 50 digits") :], "to 50 digits", text)
        finally:
            figure.exactly = exact
        self.assertTrue(np.isfinite(figure.places).all())

    def test_the_checker_knows_nothing_of_the_finder(self):
        tree = ast.parse(Path(checking.__file__).read_text("utf-8"))
        imported = {node.module for node in ast.walk(tree) if isinstance(node, ast.ImportFrom)}
        self.assertFalse(imported & {"deriving", "knowledge", "classes", "few", "shortening", "lining", "finding", "instances", "helping"})


if __name__ == "__main__":
    unittest.main()
