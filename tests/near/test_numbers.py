"""What stands for the library of numbers in a browser gives what the library gives."""

import math
import random
import unittest

import numpy as np

from ruddy_trellis.core.arithmetic.quartic import roots_of_quartic
from ruddy_trellis.near.standing_in import numpy as ours

#: Numbers among which are those at which functions break off.
ODD = (0.0, -0.0, 1.0, -1.0, math.nan, math.inf, -math.inf, 0.5, -2.5, 1e-300, 3.0)
ROUNDS = 40
ALONE = (
    "abs", "sqrt", "sin", "cos", "arccos", "arctan", "sinh", "arcsinh", "exp", "log", "log10", "floor", "ceil", "rint", "degrees",
    "radians", "sign", "isnan", "isinf", "isfinite", "nan_to_num",
)  # fmt: skip
TWO = ("maximum", "minimum", "fmin", "hypot", "arctan2", "copysign", "logical_and", "logical_or", "mod")
SIGNS = {
    "+": lambda p, q: p + q, "-": lambda p, q: p - q, "*": lambda p, q: p * q, "/": lambda p, q: p / q, "**": lambda p, q: p**q,
    "<": lambda p, q: p < q, "<=": lambda p, q: p <= q, ">": lambda p, q: p > q, "==": lambda p, q: p == q, "!=": lambda p, q: p != q,
    "both": lambda p, q: (p > 0) & ~(q > 1), "either": lambda p, q: (p > 0) | (q < 1),
}  # fmt: skip
#: What is asked of one array with no shape but its length, of one with rows, and of two.
OF_ONE = {
    "sort": lambda n, x: n.sort(x), "argsort": lambda n, x: x[n.argsort(x)], "argmin": lambda n, x: n.argmin(x),
    "argmax": lambda n, x: n.argmax(x), "sum": lambda n, x: x.sum(), "mean": lambda n, x: n.mean(x), "max": lambda n, x: x.max(),
    "min": lambda n, x: x.min(), "std": lambda n, x: x.std(), "ptp": lambda n, x: n.ptp(x), "median": lambda n, x: n.median(x),
    "nanmedian": lambda n, x: n.nanmedian(n.concatenate((x, [1.0]))), "nanmax": lambda n, x: n.nanmax(n.concatenate((x, [1.0]))),
    "nanmax0": lambda n, x: n.nanmax(x, initial=0.0), "nanargmin": lambda n, x: n.nanargmin(n.concatenate((x, [9.0]))),
    "diff": lambda n, x: n.diff(x), "cumsum": lambda n, x: n.cumsum(x), "roll": lambda n, x: n.roll(x, 2),
    "tile": lambda n, x: n.tile(x, 3), "repeat": lambda n, x: n.repeat(x, 2), "clip": lambda n, x: n.clip(x, -0.5, 2),
    "middle": lambda n, x: (x[:-1] + x[1:]) / 2, "back": lambda n, x: x[::-1], "seen": lambda n, x: x[x > 0], "last": lambda n, x: x[-1],
    "some": lambda n, x: x[[0, 2, 1]], "where": lambda n, x: n.where(x > 0, x, n.nan), "nonzero": lambda n, x: n.nonzero(x)[0],
    "unique": lambda n, x: n.unique(n.nan_to_num(x)), "round": lambda n, x: n.round(x, 2), "any": lambda n, x: (x > 2).any(),
    "all": lambda n, x: (x > -9).all(), "flat": lambda n, x: n.flatnonzero(x > 0), "expanded": lambda n, x: n.expand_dims(x, -1) * x,
    "columns": lambda n, x: n.column_stack((x, 2 * x))[:, 0:1], "list": lambda n, x: n.array(x.tolist()), "not": lambda n, x: ~(x > 0),
    "insert": lambda n, x: n.insert(x, n.nonzero(x > 0)[0] + 1, x[x > 0]), "in": lambda n, x: 1.0 in x, "ones": lambda n, x: n.ones_like(x),
    "search": lambda n, x: n.searchsorted(n.sort(n.nan_to_num(x)), n.array([0.3, 1.0])), "same": lambda n, x: n.array_equal(x, x.copy()),
}  # fmt: skip
OF_ROWS = {
    "last axis": lambda n, x: x.max(axis=-1), "first axis": lambda n, x: x.min(axis=0), "all": lambda n, x: (x > -1).all(axis=(0, 1)),
    "mean": lambda n, x: n.mean(x, axis=1), "turned": lambda n, x: x.T, "row": lambda n, x: x[1], "cell": lambda n, x: x[..., 1],
    "new": lambda n, x: x[:, None, :] * x[None], "places": lambda n, x: n.argwhere(x > 0), "argmax": lambda n, x: n.argmax(x > 0, axis=1),
    "along": lambda n, x: n.take_along_axis(x, n.argmax(x > 0, axis=1)[:, None], axis=1)[:, 0], "sort": lambda n, x: n.sort(x),
    "flat": lambda n, x: x.ravel(), "shape": lambda n, x: n.array(x.shape), "unpacked": lambda n, x: sum(x),
    "masked": lambda n, x: x[x > 0],
    "reduced": lambda n, x: n.maximum.reduce(list(x)), "stacked": lambda n, x: n.stack(list(x), axis=-1), "rows": lambda n, x: x[[1, 0]],
    "even": lambda n, x: n.linspace(x[0], x[1], 5, axis=1), "spread": lambda n, x: n.broadcast_to(x[0], x.shape),
    "norm": lambda n, x: n.linalg.norm(x, axis=1, keepdims=True), "shaped": lambda n, x: x.reshape(-1, 2),
}  # fmt: skip


class NumbersTest(unittest.TestCase):
    def same(self, words, how, *lists):
        """A function of the library and arrays gives the same with ours."""
        with np.errstate(all="ignore"):
            wanted = how(np, *map(np.array, lists))
        found = how(ours, *map(ours.array, lists))
        listed = found.tolist() if isinstance(found, ours.ndarray) else found
        np.testing.assert_allclose(np.asarray(listed), np.asarray(wanted), rtol=1e-14, atol=1e-15, err_msg=f"{words} of {lists}")

    def test_of_each_number(self):
        for name in ALONE:
            self.same(name, lambda n, x, name=name: getattr(n, name)(x), ODD)

    def test_of_two(self):
        pairs = [(p, q) for p in ODD for q in ODD]
        left, right = ([pair[place] for pair in pairs] for place in (0, 1))
        for name in TWO:
            if name == "mod":
                usual = [(p, q) for p, q in pairs if math.isfinite(p) and math.isfinite(q)]
                left, right = ([pair[place] for pair in usual] for place in (0, 1))
            self.same(name, lambda n, x, y, name=name: getattr(n, name)(x, y), left, right)

    def test_signs_between_arrays_and_numbers(self):
        chance = random.Random(5)
        for name, how in SIGNS.items():
            for _ in range(ROUNDS):
                one, other = ([chance.choice(ODD[:4] if name == "**" else ODD) for _ in range(4)] for _ in "ab")
                power = 2.0 if name == "**" else chance.choice(ODD[:7])
                self.same(name, lambda n, x, how=how, power=power: how(x, power), one)
                if name != "**":
                    self.same(name, lambda n, x, y, how=how: how(x, y), one, other)
                    self.same(name, lambda n, x, how=how: how(2.5, x), one)

    def test_of_many(self):
        chance = random.Random(6)
        for name, how in OF_ONE.items():
            for number in range(ROUNDS):
                values = ODD if number % 3 == 0 else (-2.5, 0.0, 0.5, 1.0, 2.0, 3.25)
                self.same(name, how, [chance.choice(values) for _ in range(chance.randint(3, 7))])

    def test_of_rows(self):
        chance = random.Random(7)
        for name, how in OF_ROWS.items():
            for _ in range(ROUNDS):
                wide = chance.choice((2, 4))
                self.same(name, how, [[chance.uniform(-2, 3) for _ in range(wide)] for _ in range(chance.choice((2, 3)))])

    def test_places_are_set_as_the_library_sets_them(self):
        def changed(n, x):
            x[:-1] |= x[1:] > 0
            x[1:] &= n.isfinite(x[1:])
            return x

        def pieces(n, x):
            whole = n.zeros((3, len(x)))
            whole[1] = x
            whole[..., 0] = 7
            whole[[2]] = x * 2
            return whole

        chance = random.Random(8)
        for _ in range(ROUNDS):
            self.same("truths", changed, [chance.random() < 0.5 for _ in range(6)])
            self.same("pieces", pieces, [chance.uniform(-1, 1) for _ in range(4)])

    def test_singular_values(self):
        chance = random.Random(9)
        for _ in range(10):
            matrix = [[chance.gauss(0, 1) for _ in range(5)] + [0.0] for _ in range(40)]
            for row in matrix:
                row[5] = row[0] + row[1] + 1e-9 * chance.gauss(0, 1)
            _, sizes, rows = np.linalg.svd(np.array(matrix), full_matrices=False)
            _, ours_sizes, ours_rows = ours.linalg.svd(ours.array(matrix))
            np.testing.assert_allclose(ours_sizes.tolist(), sizes, rtol=1e-12, atol=1e-14)
            self.assertAlmostEqual(abs(np.dot(ours_rows[-1].tolist(), rows[-1])), 1, places=12)

    def test_random_numbers_are_spread_as_they_should_be(self):
        numbers = ours.random.default_rng(1)
        normal = numbers.normal(2.0, 3.0, 20_000).tolist()
        self.assertAlmostEqual(np.mean(normal), 2, delta=0.1)
        self.assertAlmostEqual(np.std(normal), 3, delta=0.1)
        even = numbers.uniform(-1, 1, (100, 100))
        self.assertEqual(even.shape, (100, 100))
        self.assertAlmostEqual(np.mean(even.tolist()), 0, delta=0.03)
        self.assertEqual(set(numbers.integers(0, 3, 200).tolist()), {0, 1, 2})
        self.assertEqual(ours.random.default_rng(4).normal(size=3).tolist(), ours.random.default_rng(4).normal(size=3).tolist())

    def test_what_does_not_go_together_is_refused(self):
        for wrong in (
            lambda: ours.array([1.0, 2.0]) + ours.array([1.0, 2.0, 3.0]), lambda: ours.array([[1.0], [1.0, 2.0]]),
            lambda: bool(ours.array([1.0, 2.0])),
        ):  # fmt: skip
            self.assertRaises(ValueError, wrong)
        with self.assertRaises(ValueError):
            ours.zeros(3)[:2] = ours.zeros(3)

    def test_roots_of_many_equations_at_once(self):
        chance = random.Random(11)
        matrix = np.zeros((6, 4, 4))
        matrix[:, 1, 0] = matrix[:, 2, 1] = matrix[:, 3, 2] = 1
        matrix[:, :, 3] = [[chance.gauss(0, 1) for _ in range(4)] for _ in range(6)]
        found = ours.linalg.eigvals(ours.array(matrix.tolist()))
        self.assertEqual(found.shape, (6, 4))
        for one, wanted in zip(found.tolist(), np.linalg.eigvals(matrix).tolist()):
            for root in wanted:
                self.assertLess(min(abs(root - other) for other in one), 1e-9)


class QuarticTest(unittest.TestCase):
    def test_roots_are_those_that_the_equation_was_made_of(self):
        chance = random.Random(10)
        for number in range(2_000):
            pair = complex(chance.gauss(0, 1), abs(chance.gauss(0, 1)) + 0.05) * 10 ** chance.uniform(-2, 2)
            real = [chance.uniform(-3, 3) * 10 ** chance.uniform(-2, 2) for _ in "ab"]
            known = [pair, pair.conjugate(), *map(complex, real)] if number % 2 else [*map(complex, real), 0j, complex(chance.gauss(0, 1))]
            equation = (np.poly(known)[::-1].real * chance.choice((1, -3))).tolist()
            found = roots_of_quartic(equation)
            for root in known:
                nearest = min(found, key=lambda other: abs(other - root))
                # By how much a root is sure: what rounding of the coefficients does to it.
                slope = abs(sum(power * part * root ** (power - 1) for power, part in enumerate(equation) if power))
                noise = sum(abs(part) * abs(root) ** power for power, part in enumerate(equation)) * 2.0**-46
                self.assertLessEqual(abs(nearest - root), noise / slope + 1e-15 if slope else 1, (known, found))
                found.remove(nearest)

    def test_roots_at_one_place_and_none(self):
        for place in (1.0, -3.25):
            double = roots_of_quartic(np.poly([place, place, 0.5, 7])[::-1].tolist())
            self.assertEqual(sum(abs(root - place) < 1e-6 for root in double), 2)
        self.assertTrue(all(root != root for root in roots_of_quartic([1.0, math.nan, 0, 0, 1])))
        self.assertEqual(roots_of_quartic([0.0] * 5), [0j] * 4)
        # Without a leading part one root is very far away, and the others are those of what is left.
        near = sorted(roots_of_quartic([-6.0, 11.0, -6.0, 1.0, 0.0]), key=abs)
        for root, wanted in zip(near, (1, 2, 3)):
            self.assertAlmostEqual(root, wanted, places=9)
        self.assertGreater(abs(near[3]), 1e12)


if __name__ == "__main__":
    unittest.main()
