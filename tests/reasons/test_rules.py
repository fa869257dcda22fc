"""Every rule holds: in random figures in which its premises hold and its points lie as it says, its conclusion does; and it says
something: in figures without its premises the conclusion does not hold."""

import unittest

import numpy as np

from ruddy_trellis.core.truth.reasons import forms
from ruddy_trellis.core.truth.reasons.holding import Holding
from ruddy_trellis.core.truth.reasons.rules import RULES, THEMES

from .drawing import cross, defects, drawn, turn

#: In so many figures each rule is tried, of so many starts at most.
FIGURES, STARTS = 6, 400


def is_proper(rule, at):
    """Whether nothing of a figure is upon something else, and no triangle or angle of the rule flat."""
    # What a rule says is one place has to be.
    places = [place for letter, place in at.items() if rule.concluded.form != forms.SAME or letter != rule.concluded.data[1]]
    reach = max(np.hypot(*(a - b)) for a in places for b in places)
    if reach > 60 or any(np.hypot(*(a - b)) < 0.05 * reach for number, a in enumerate(places) for b in places[:number]):
        return False
    for fact in (*rule.premise_facts, rule.concluded):
        if fact.form == forms.ANGLES and any(not 3 < turn(*(at[one] for one in corner)) < 177 for corner, _ in fact.data[0]):
            return False
        if fact.form in (forms.CONGRUENT, forms.SIMILAR) and any(_is_flat([at[pair[side]] for pair in fact.data]) for side in (0, 1)):
            return False
        if fact.form == forms.SHAPE and _is_flat([at[one] for one in fact.data[1][:3]]):
            return False
        if fact.form in (forms.PRODUCT, forms.SUM) and any(one < 1e-3 for one in _areas(fact, at)):
            return False
        if fact.form == forms.PARALLEL and _is_flat([at[fact.data[0][0]], at[fact.data[0][1]], at[fact.data[1][0]]]):
            return False
        if fact.form == forms.ROUND and len(fact.data[1]) >= 3 and _is_flat([at[one] for one in fact.data[1][:3]]):
            return False
    return True


def _areas(fact, at):
    from .drawing import size

    magnitudes = [one for one, _ in fact.data[0]] if fact.form == forms.PRODUCT else [one for term, _ in fact.data for one in term]
    return [size(one, at) for one in magnitudes if one[0] == "area"]


def _is_flat(three):
    a, b, c = three
    return abs(cross(b - a, c - a)) < 0.01 * np.hypot(*(b - a)) * np.hypot(*(c - a))


def lies(rule, at):
    """Whether the points of a rule lie as its conditions say."""
    letters = list(at)
    holding = Holding(np.array([[at[letter] for letter in letters]]))
    choice = {letter: np.array([number]) for number, letter in enumerate(letters)}
    return all(bool(holding.lies(condition, choice)[0]) for condition in rule.condition_facts)


class RulesTest(unittest.TestCase):
    def test_every_rule_holds_in_random_figures(self):
        for rule in RULES.values():
            random = np.random.default_rng(11)
            found = 0
            for _ in range(STARTS):
                at = drawn(rule, random)
                if at is None or not is_proper(rule, at) or not lies(rule, at):
                    continue
                found += 1
                self.assertLess(max(map(abs, defects(rule.concluded, at)), default=0), 1e-6, f"{rule.key} in {at}")
                if found == FIGURES:
                    break
            self.assertEqual(found, FIGURES, f"too few figures in which {rule.key} could be tried")

    def test_no_rule_holds_of_any_figure(self):
        random = np.random.default_rng(5)
        for rule in (rule for rule in RULES.values() if rule.premises):  # what needs none but how points lie holds of many
            held = 0
            for _ in range(12):
                at = {letter: random.normal(0, 2, 2) for letter in rule.letters}
                held += max(map(abs, defects(rule.concluded, at)), default=0) < 1e-6
            self.assertEqual(held, 0, rule.key)

    def test_a_condition_is_there_for_a_reason(self):
        """Without its conditions a rule that has some fails somewhere, but for those that only keep triangles proper."""
        for rule in RULES.values():
            if not any(condition.how in ("one side", "two sides") for condition in rule.condition_facts):
                continue
            random = np.random.default_rng(3)
            starts = (drawn(rule, random) for _ in range(STARTS))
            figures = [at for at in starts if at is not None and is_proper(rule, at) and not lies(rule, at)]
            broken = any(max(map(abs, defects(rule.concluded, at))) > 1e-3 for at in figures)
            self.assertTrue(broken, f"{rule.key} needs no condition in {len(figures)} figures")

    def test_keys_and_names(self):
        self.assertEqual(len(RULES), sum(map(len, THEMES.values())), "each key once")
        for rule in RULES.values():
            self.assertTrue(rule.names and all(rule.names), rule.key)
            self.assertNotIn(rule.concluded, rule.premise_facts, rule.key)


if __name__ == "__main__":
    unittest.main()
