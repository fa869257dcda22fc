"""Draws random figures in which the premises of a rule hold: random points, moved by Newton's steps until they do."""

import numpy as np

from ruddy_trellis.core.truth.reasons import forms

#: The step of a difference quotient; the most steps; and how near the premises have to come.
_STEP, _STEPS, _NEAR = 1e-7, 60, 1e-11


def cross(u, v):
    return u[0] * v[1] - u[1] * v[0]


def turn(a, vertex, b):
    """An angle from 0 to 180 degrees, of three places."""
    u, v = a - vertex, b - vertex
    return np.degrees(np.arctan2(abs(cross(u, v)), u @ v))


def size(magnitude, at):
    kind, *labels = magnitude
    places = [at[label] for label in labels]
    if kind == "length":
        return np.hypot(*(places[0] - places[1]))
    return abs(sum(cross(a, b) for a, b in zip(places, places[1:] + places[:1]))) / 2


def unit(a, b):
    return (b - a) / np.hypot(*(b - a))


def defects(fact, at):
    """Numbers that are zero where a fact holds, for the place of each letter."""
    form, data = fact.form, fact.data
    if form == forms.ANGLES:
        return [(sum(times * turn(*(at[one] for one in corner)) for corner, times in data[0]) - float(data[1])) / 60]
    if form == forms.PRODUCT:
        return [sum(power * np.log(size(one, at)) for one, power in data[0]) - np.log(float(data[1]))]
    if form == forms.SUM:
        return [sum(times * np.prod([size(one, at) for one in term]) for term, times in data) / 10]
    if form == forms.LINE:
        first, second, *others = (at[one] for one in data)
        return [cross(unit(first, second), unit(first, other)) for other in others]
    if form == forms.ROUND:
        return _round(data[0], [at[one] for one in data[1]], at)
    if form in (forms.PARALLEL, forms.PERPENDICULAR):
        u, v = (unit(at[a], at[b]) for a, b in data)
        return [cross(u, v) if form == forms.PARALLEL else u @ v]
    if form == forms.MIDPOINT:
        return list((at[data[1][0]] + at[data[1][1]]) / 2 - at[data[0]])
    if form == forms.SAME:
        return list(at[data[0]] - at[data[1]])
    if form == forms.SHAPE:
        return _shape(data[0], [at[one] for one in data[1]])
    sides = [[np.log(np.hypot(*(at[data[one][way]] - at[data[one - 1][way]]))) for one in range(3)] for way in (0, 1)]
    ratios = [p - q for p, q in zip(*sides)]
    return ratios if form == forms.CONGRUENT else [ratios[1] - ratios[0], ratios[2] - ratios[0]]


def _round(centre, places, at):
    if centre is not None:
        far = [np.hypot(*(place - at[centre])) for place in places]
        return [one / far[0] - 1 for one in far[1:]]
    a, b, c, *others = places
    table = np.array([2 * (b - a), 2 * (c - a)])
    middle = np.linalg.lstsq(table, np.array([b @ b - a @ a, c @ c - a @ a]), rcond=None)[0]
    radius = np.hypot(*(a - middle))
    return [np.hypot(*(other - middle)) / radius - 1 for other in others]


def _shape(word, places):
    a, b, c, d = places
    even = lambda p, q, r, s: np.hypot(*(p - q)) - np.hypot(*(r - s))
    found = {
        "kite": [even(a, b, a, d), even(c, b, c, d)],
        "trapezium": [cross(unit(a, b), unit(d, c)), float(cross(c - b, a - b) * cross(c - b, d - b) < 0)],
        "rhombus": [even(a, b, b, c), *(a + c - b - d)],
        "rectangle": [unit(a, b) @ unit(b, c), *(a + c - b - d)],
        "square": [unit(a, b) @ unit(b, c), even(a, b, b, c), *(a + c - b - d)],
        "parallelogram": list(a + c - b - d),
    }
    return found[word]


def drawn(rule, random):
    """The places of a rule's letters in a random figure in which its premises hold; None where none came of this start."""
    letters = rule.letters
    numbers = random.normal(0, 2, 2 * len(letters))
    at = lambda values: {letter: values[2 * place : 2 * place + 2] for place, letter in enumerate(letters)}
    wrong = lambda values: np.array([one for fact in rule.premise_facts for one in defects(fact, at(values))])
    with np.errstate(all="ignore"):
        for _ in range(_STEPS):
            now = wrong(numbers)
            if not np.isfinite(now).all():
                return None
            if np.abs(now).max(initial=0) < _NEAR:
                return at(numbers)
            slopes = np.array([(wrong(numbers + _STEP * way) - now) / _STEP for way in np.eye(len(numbers))]).T
            if not np.isfinite(slopes).all():
                return None
            if np.abs(numbers).max() > 1e3:
                return None
            step = np.linalg.lstsq(slopes, now, rcond=1e-9)[0]
            numbers = numbers - step * min(1.0, 1.5 / (np.abs(step).max() + 1e-12))
    return None
