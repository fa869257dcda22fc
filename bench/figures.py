"""The figures that are measured."""

import random

from ruddy_trellis.core import Figure
from ruddy_trellis.core.edits import Delete, LookChanges, Restyle, perform


def wreath(steps=200):
    """A figure in which everything hangs on one corner, and everything has a value."""
    figure, chance = Figure("m"), random.Random(5)
    figure.say("A = (-5, -3)\nB = (5, -2)\nC = (-1, 4)")
    points = ["A", "B", "C"]
    while len(figure.board) < steps:
        b, c = chance.sample(points[1:], 2)
        new = figure.say(f"the midpoint of A and {chance.choice(points[1:])}")
        line = figure.say(f"the line through {b} and {new}") if b != new else ""
        bisector = figure.say(f"the perpendicular bisector of A and {c}")
        figure.say(f"the circle with centre {new} through {c}")
        figure.say(f"the distance from {new} to {c}")
        figure.say(f"the angle A, {new} and {b}")
        crossing = figure.say(f"where {line} meets {bisector}")
        if None in figure.board.values:
            for _ in range(7):
                perform(figure.board, Delete(ids=[figure.board.steps[-1].id]))
        elif len(points) < 8:
            points += [new, crossing]
    perform(figure.board, Delete(ids=[step.id for step in figure.board.steps[steps:]]))
    return figure


def orchard(trees=40):
    """A board of many small figures side by side: dragging one corner moves four steps of two hundred."""
    figure = Figure("m")
    for tree in range(trees):
        x, y = (tree % 8) * 2.2 - 9, (tree // 8) * 2.2 - 5
        a = figure.say(f"the point at ({x:.1f}, {y:.1f})")
        b = figure.say(f"the point at ({x + 1.5:.1f}, {y + 0.5:.1f})")
        figure.say(f"the segment from {a} to {b}")
        m = figure.say(f"the midpoint of {a} and {b}")
        figure.say(f"the circle with centre {m} through {b}")
    return figure


def orchard_with(sentences, trees=39):
    """The same orchard on a board on which something stands already, under other names than those there."""
    figure = Figure("m")
    figure.say(sentences)
    for tree in range(trees):
        x, y, name = (tree % 8) * 2.2 - 9, (tree // 8) * 2.2 - 5, f"_{tree + 1}"
        figure.say(
            f"T{name} = ({x:.1f}, {y:.1f})\nU{name} = ({x + 1.5:.1f}, {y + 0.5:.1f})\ns{name} is the segment from T{name} to U{name}"
        )
        figure.say(f"W{name} is the midpoint of T{name} and U{name}\ng{name} is the circle with centre W{name} through U{name}")
    return figure


def kitchen_garden(beds=16):
    """A board of 200 steps and more of many sorts: arcs, sectors, conics, tags and marks on every small bed."""
    figure = Figure("m")
    for bed in range(beds):
        x, y = (bed % 8) * 2.4 - 9, (bed // 8) * 4 - 4
        a = figure.say(f"the point at ({x:.1f}, {y:.1f})")
        b = figure.say(f"the point at ({x + 1.6:.1f}, {y + 0.4:.1f})")
        c = figure.say(f"the point at ({x + 0.6:.1f}, {y + 1.5:.1f})")
        figure.say(f"the segment from {a} to {b}")
        figure.say(f"the arc with centre {a} from {b} to {c}")
        figure.say(f"the sector with centre {b} from {c} to {a}")
        e = figure.say(f"the ellipse with foci {a} and {b} through {c}")
        p = figure.say(f"the line through {a} and {c}")
        figure.say(f"where {p} meets {e}, second crossing")
        figure.say(f"the length of {a} and {b}")
        figure.say(f"the angle {b}, {a} and {c}")
        figure.say(f"the equal-length mark on {a} and {b}")
        figure.say(f"the equal-angle mark at {b}, {a} and {c}")
    return figure


def thirty():
    """A figure of thirty steps on four free points, for shaken copies."""
    figure = Figure()
    figure.say(
        "A = (0, 0)\nB = (7, 1)\nC = (6, 6)\nD = (-1, 5)\nK is the midpoint of A and B\nL is the midpoint of B and C\n"
        "M is the midpoint of C and D\n"
        "N is the midpoint of D and A\np is the line through K and M\nq is the line through L and N\nX is where p meets q\n"
        "r is the perpendicular bisector of A and B\ns is the perpendicular bisector of B and C\nO is where r meets s\n"
        "k is the circle with centre O through A\n"
        "t is the line through A and C\nE is where t meets k again, other than A\nu is the perpendicular to t through B\n"
        "F is where u meets k, second crossing\n"
        "ABCD is the polygon through A, B, C, D\nKLMN is the polygon through K, L, M, N\nv is the distance from X to O\n"
        "α is the angle ABC\n"
        "S is the area of ABCD\nT is the area of KLMN\nw is the value of S / T\nl is the bisector of angle ABC\nG is where l meets t\n"
        "c is the circle with centre G through B\nz is the distance from G to u"
    )
    return figure


def twelve_steps():
    """A locus whose point hangs on its driver by twelve steps."""
    figure = Figure()
    figure.say(
        "O = (0, 0)\nA = (4, 0)\nB = (-1, 3)\nk is the circle with centre O through A\nT is a point on k at 30\n"
        "p is the line through B and T\n"
        "q is the perpendicular to p through O\nM is the midpoint of B and T\nr is the parallel to q through M\n"
        "N is the midpoint of M and A\n"
        "s is the line through N and O\nX is where s meets r\nC is the midpoint of X and T\nt is the perpendicular bisector of C and B\n"
        "u is the line through C and A\nY is where t meets u\nZ is the midpoint of Y and C\nl is the locus of Z as T runs"
    )
    return figure


def rosette(parts=50, copies=72):
    """A family of 72 copies of a figure of 50 parts, turned about a point."""
    figure = Figure("m")
    figure.say("O = (0, 0)\nA = (2, 0)\nB = (4, 0.2)\nC = (3, 0.5)")
    points, names = ["A", "B", "C"], []
    for number in range(parts // 2):
        one, other = points[number % len(points)], points[(number + 1) % len(points)]
        points.append(figure.say(f"the point that divides {one} and {other} in the ratio {1 + number % 3} : {2 + number % 2}"))
        names.append(
            figure.say(f"the segment from {points[-1]} to {points[-2]}")
            if number % 3
            else figure.say(f"the circle with centre {points[-1]} and radius 0.1")
        )
        names.append(points[-1])
    figure.say(
        f"r_9 is the rotation about O by {360 / (copies + 1)} degrees\n"
        f"w_9 is the family of {', '.join(names[:parts])} under r_9, {copies} times"
    )
    return figure


def three_movers():
    """Three things that move by themselves, one of them with a fading trail."""
    figure = Figure("m")
    figure.say(
        "O = (0, 0)\nA = (4, 0)\nB = (-5, -3)\nC = (5, -4)\nk is the circle with centre O through A\nBC is the segment from B to C\n"
        "P is a point on k at 20\nQ is a point on BC at 0.3\nt is an angle dial from 0 to 360 in steps of 1 at 30\n"
        "r is the rotation about O by t degrees\n"
        "PQ is the segment from P to Q\nM is the midpoint of P and Q\nABC is the polygon through A, B, C\n"
        "the images of ABC under r\nf is the perpendicular bisector of P and Q\n"
        "the motion of P, round and round, in 4 seconds\nthe motion of Q, to and fro, in 3 seconds\n"
        "the motion of t, to and fro, in 5 seconds"
    )
    perform(figure.board, Restyle(ids=[figure.board.find("M"), figure.board.find("f")], look=LookChanges(trail=2.0)))
    return figure


def meadow(steps=2000):
    """A board as large as boards may be: many small figures, a few things of every common kind in each."""
    points = [f"P{number} = ({number % 40 / 2 - 10}, {number // 40 / 2 - 5})" for number in range(600)]
    sentences = []
    for number in range(0, 598, 3):
        a, b, c = (f"P{number + one}" for one in range(3))
        sentences += [
            f"the segment from {a} to {b}",
            f"the midpoint of {a} and {b}",
            f"the circle with centre {a} through {c}",
            f"the line through {b} and {c}",
            f"the perpendicular bisector of {a} and {c}",
            f"the length of {a} and {b}",
            f"the angle {a}, {b} and {c}",
        ]
    figure = Figure("m")
    figure.say("\n".join([*points, *sentences][:steps]))
    return figure
