"""What comes in: what went out comes back the same, drawings of others are read as they are meant, and hostile files cost a sentence."""

import contextlib
import io
import math
import time
import unittest

import ezdxf
from hypothesis import given, settings
from hypothesis import strategies as some

from ruddy_trellis.core.board import Board, Settings
from ruddy_trellis.core.edits.models import Paste
from ruddy_trellis.core.edits.pasting import pasted
from ruddy_trellis.core.kinds import ARC, CIRCLE, CONIC, POINT, POLYGON, SEGMENT
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.drawings.exporting import written
from ruddy_trellis.drawings.wanted import Wanted
from ruddy_trellis.incoming.dxf import read_dxf
from ruddy_trellis.incoming.found import MOST
from ruddy_trellis.incoming.points_csv import read_points
from ruddy_trellis.incoming.reading import kind_of, working_of
from ruddy_trellis.incoming.svg import read_svg
from tests.core.figures import figure

DRAWN = """A = (-4.123456789, 0.3)
B = (2, 1.000000001)
C = (3.3, -2.7)
the segment from A to B
k is the circle with centre C and radius 1.23456789
M = (1, 1)
P = (4, 1)
Q = (1, 4)
the arc with centre M from P to Q
the polygon through A, B, C"""


def values(board, kind):
    """The values of all things of a kind that are seen, in an order of their own."""
    return sorted(board.value(step.id) for step in board.steps if step.makes == kind and not step.look.hidden)


def brought(kind, content, per_centimetre=1.0, middle=(0, 0)):
    """A board with what is in a file."""
    board = Board(Settings())
    text, unread = working_of(kind, content, (), per_centimetre, middle)
    pasted(board, Paste(kind="paste", text=text)).apply(board)
    return board, unread


class RoundTripTest(unittest.TestCase):
    def near(self, got, true, reach=1e-9):
        self.assertEqual(len(got), len(true))
        for one, other in zip(got, true):
            flat = lambda value: [part for place in value for part in (place if isinstance(place, tuple) else (place,))]
            for a, b in zip(flat(one), flat(other)):
                self.assertAlmostEqual(a, b, delta=reach)

    def test_drawings_come_back_as_they_went_out(self):
        f = figure(DRAWN)
        for kind in ("svg", "dxf"):
            for wanted in (Wanted(), Wanted(part="all", size="scale"), Wanted(names=False, grid=False, ink_only=True)):
                board, unread = brought(kind, written(kind, f.board, wanted))
                for thing in (POINT, CIRCLE, POLYGON):
                    with self.subTest(kind=kind, thing=thing):
                        self.near(values(board, thing), values(f.board, thing))
                self.near([value[:3] for value in values(board, ARC)], [value[:3] for value in values(f.board, ARC)])
                self.assertRegex(unread, r"^$|^\d+ texts$")
                self.assertEqual({board.kind_of(step.id) for step in board.steps} - {POINT, CIRCLE, ARC, POLYGON, SEGMENT}, set())

    def test_names_come_back_from_a_drawing_of_our_own(self):
        board, _ = brought("svg", written("svg", figure("Tap = (1, 2)\nB_2 = (3, 4)").board, Wanted()))
        self.assertEqual(sorted(board.names.values()), ["B_2", "Tap"])
        text, _ = working_of("svg", written("svg", figure("Tap = (1, 2)").board, Wanted()), {"Tap"}, 1, (0, 0))
        self.assertEqual(text, "A is a free point at (1.0, 2.0)")

    @settings(max_examples=40, deadline=None)
    @given(some.lists(some.tuples(some.floats(-1e5, 1e5), some.floats(-1e5, 1e5)), min_size=1, max_size=12))
    def test_points_go_through_a_table(self, places):
        rows = "\n".join(f"{x!r};{y!r}" for x, y in places).replace(".", ",")
        self.assertEqual([(x, y) for x, y, _ in read_points(rows.encode()).points], places)

    def test_arcs_of_more_than_half_a_turn_stay_one(self):
        f = figure("A = (0, 0)\nB = (2, 0)\nC = (0, -2)\nthe arc with centre A from B to C")
        for kind in ("svg", "dxf"):
            board, _ = brought(kind, written(kind, f.board, Wanted()))
            (arc,) = values(board, ARC)
            (true,) = values(f.board, ARC)
            for a, b in zip(arc, true):
                self.assertAlmostEqual(a, b, delta=1e-8)


class TablesTest(unittest.TestCase):
    def test_tables_as_people_make_them(self):
        for text in (
            "name,x,y\nA,1.5,2\nB,-3,4", "x;y;name\n1,5;2;A\n-3;4;B", "A\t1,5\t2\nB\t-3\t4\n", "A 1.5 2\nB −3 4",
            "\ufeffpoint; x; y\r\nA; 1,5; 2,0\r\n\r\nB; -3; 4\r\n",
        ):  # fmt: skip
            with self.subTest(text):
                self.assertEqual(read_points(text.encode()).points, [(1.5, 2.0, "A"), (-3.0, 4.0, "B")])
        self.assertEqual(read_points(b"1,2\n3,4").points, [(1, 2, None), (3, 4, None)])

    def test_what_is_no_table_says_which_row(self):
        for content, words in (
            (b"A,1,2\nB,3\n", "Row 2 has no two numbers"),
            (b"", "There are no points"),
            (b"name,x,y\n", "There are no points"),
            (b"1,1e9\n2,2", "too large"),
            (b"\0\1\2", "no text"),
            (b"1,2\n" * (MOST + 1), f"more than {MOST}"),
        ):
            with self.subTest(content[:20]), self.assertRaisesRegex(Refusal, words):
                read_points(content)


class SvgTest(unittest.TestCase):
    def read(self, inside, head='width="10cm" height="10cm" viewBox="0 0 100 100"', per_centimetre=1.0):
        return read_svg(f'<svg xmlns="http://www.w3.org/2000/svg" {head}>{inside}</svg>'.encode(), per_centimetre)

    def test_groups_transforms_and_units_are_followed(self):
        found = self.read(
            '<defs><circle id="c" r="5"/></defs><g transform="translate(10 20)"><g transform="scale(2)"><circle cx="5" cy="5" r="3"/></g>'
            '<line x1="0" y1="0" x2="10" y2="0" transform="rotate(90)"/></g><use href="#c" x="50" y="50"/>'
            '<rect x="1cm" y="0" width="10" height="20"/><text>hello</text><g display="none"><circle r="9"/></g>'
        )
        near = lambda got, true: [self.assertAlmostEqual(a, b, places=9) for a, b in zip(got, true)]
        near(found.circles[0], (2, -3, 0.6))
        near(found.circles[1], (5, -5, 0.5))
        near([part for place in found.lines[0][0] for part in place], (1, -2, 1, -3))
        self.assertEqual((len(found.circles), found.left, found.lines[1][1]), (2, {"text": 1}, True))
        self.assertAlmostEqual(self.read('<circle r="10"/>', per_centimetre=2.5).circles[0][2], 2.5)

    def test_a_stretched_circle_is_an_ellipse_and_meets_its_equation(self):
        board, _ = brought(
            "svg", b'<svg xmlns="http://www.w3.org/2000/svg"><g transform="rotate(30) scale(3 1)"><circle r="37.795"/></g></svg>'
        )
        (conic,) = values(board, CONIC)
        self.assertAlmostEqual(math.hypot(conic[2], conic[3]), math.sqrt(8) / 3, places=4)  # eccentricity
        found = self.read('<ellipse rx="20" ry="20"/>')
        self.assertEqual((len(found.circles), found.ellipses), (1, []))

    def test_paths_become_strokes_arcs_and_closed_lines(self):
        found = self.read('<path d="M0 0 H10 V10 Z m20 0 a5 5 0 0 0 10 0 M50 50 A 5 5 0 1 1 50 60 C 60 60 60 70 70 70"/>')
        self.assertEqual([(len(places), closed) for places, closed in found.lines], [(3, True), (13, False)])
        (x, y, radius, start, stop), second = found.arcs
        self.assertAlmostEqual(radius, 0.5)
        self.assertAlmostEqual((stop - start) % 360, 180)
        middle = math.radians(start + ((stop - start) % 360) / 2)
        self.assertLess(y + radius * math.sin(middle), y, "drawn to the left in the file, it hangs down")
        self.assertAlmostEqual(second[2], 0.5)
        self.assertAlmostEqual(x, 2.5)

    def test_hostile_drawings_cost_a_sentence_and_no_time(self):
        deep = "<g>" * 500 + "<circle r='1'/>" + "</g>" * 500
        loops = '<g id="a"><use href="#a"/><use href="#a"/></g><use href="#a"/>'
        many = '<circle r="1"/>' * 20_000
        bomb = '<g id="x0"><circle r="1"/></g>' + "".join(
            f'<g id="x{n}"><use href="#x{n - 1}"/><use href="#x{n - 1}"/></g>' for n in range(1, 40)
        )
        began = time.monotonic()
        for inside in (
            deep,
            loops,
            many,
            bomb,
            '<circle r="1e400"/>',
            '<circle r="nan"/><circle r="-2"/>',
            "<path d='M0 0L1e300 1e300'/>",
            "",
        ):
            with self.subTest(inside[:30]), self.assertRaises(Refusal):
                self.read(inside).check()
        for content in (
            b'<!DOCTYPE s [<!ENTITY a "b"><!ENTITY c "&a;&a;&a;&a;">]><svg xmlns="http://www.w3.org/2000/svg">&c;</svg>',
            b'<!DOCTYPE s [<!ENTITY a SYSTEM "file:///etc/passwd">]><svg xmlns="http://www.w3.org/2000/svg"><text>&a;</text></svg>',
            b"<svg", b"<html/>", b"\xff\xfe\x00<", b"<svg xmlns='http://www.w3.org/2000/svg' data-origin='x' data-unit='0'><g/></svg>",
            b"<?xml version='1.0' encoding='nonsense'?><svg/>",
        ):  # fmt: skip
            with self.subTest(content[:40]), self.assertRaises(Refusal):
                read_svg(content, 1.0)
        self.assertLess(time.monotonic() - began, 10, "a bound, not a measure")


class DxfTest(unittest.TestCase):
    def made(self, draw, unit=4):
        document = ezdxf.new("R2010")
        document.units = unit
        draw(document.modelspace(), document)
        out = io.StringIO()
        document.write(out)
        return out.getvalue().encode()

    def test_units_blocks_and_bent_polylines(self):
        def draw(space, document):
            block = document.blocks.new("bed")
            block.add_circle((0, 0), 1)
            space.add_blockref("bed", (2, 3), dxfattribs={"xscale": 2, "yscale": 2})
            space.add_lwpolyline([(0, 0, 0), (1, 0, 1), (1, 2, 0)], format="xyb")
            space.add_ellipse((0, 0), (4, 0), 0.5)
            space.add_text("oak")
            space.add_spline([(0, 0), (1, 1), (2, 0)])

        found = read_dxf(self.made(draw, ezdxf.units.IN), 1.0)
        (circle,) = found.circles
        for got, true in zip(circle, (2 * 2.54, 3 * 2.54, 2 * 2.54)):
            self.assertAlmostEqual(got, true)
        self.assertEqual(len(found.arcs), 1)
        self.assertAlmostEqual(found.ellipses[0][2], 4 * 2.54)
        self.assertEqual(found.what_was_left(), "1 text, 1 spline")

    def test_hostile_drawings_cost_a_sentence(self):
        good = self.made(lambda space, _: space.add_circle((0, 0), 1))
        far = self.made(lambda space, _: space.add_circle((1e12, 0), 1))
        many = self.made(lambda space, _: [space.add_point((n, 0)) for n in range(MOST + 1)])
        for content in (
            b"",
            b"0\nSECTION\n",
            good[: len(good) // 3],
            b"\0" * 500,
            far,
            many,
            b"999\n" * 2000,
            good.replace(b"CIRCLE", b"CIRCUS"),
            good.replace(b"AcDbLayout\n  1\n", b"AcDbLayou" + b"\0" * 4 + b"0", 1),  # a layout without a name
        ):
            with self.subTest(content[:20]), self.assertRaises(Refusal):
                read_dxf(content, 1.0)

    def test_bytes_changed_at_random_raise_nothing_but_a_refusal(self):
        good = self.made(lambda space, _: (space.add_circle((0, 0), 1), space.add_lwpolyline([(0, 0), (1, 1)])))
        start = good.index(b"ENTITIES")

        @settings(max_examples=25, deadline=None)
        @given(some.integers(start, len(good) - 1), some.binary(min_size=0, max_size=6))
        def changed(at, put):
            with contextlib.suppress(Refusal):
                read_dxf(good[:at] + put + good[at + len(put) + 1 :], 1.0)

        changed()


class KindsTest(unittest.TestCase):
    def test_a_file_is_what_is_in_it(self):
        for name, content, kind in (
            ("a.svg", b"<svg/>", "svg"), ("a.txt", b"<svg/>", "svg"), ("x.dxf", b"0\nSECTION", "dxf"), ("x", b"  0\nSECTION", "dxf"),
            ("x.csv", b"1,2", "points"), ("x.json", b"{}", "lesson"), ("photo", b"\x89PNG\r\n\x1a\n", "picture"),
            ("w.txt", b"A = (1, 2)", "working"),
        ):  # fmt: skip
            self.assertEqual(kind_of(name, content), kind)
        for name, content in (("x.png", b"hello"), ("x.exe", b"MZ"), ("", b"")):
            with self.assertRaises(Refusal):
                kind_of(name, content)

    def test_a_drawing_without_a_place_comes_to_the_middle(self):
        svg = b'<svg xmlns="http://www.w3.org/2000/svg"><rect width="96" height="96" x="900" y="900"/></svg>'
        board, _ = brought("svg", svg, middle=(5, 6))
        xs, ys = zip(*values(board, POINT))
        self.assertAlmostEqual(sum(xs) / 4, 5)
        self.assertAlmostEqual(sum(ys) / 4, 6)
        self.assertEqual(len(values(board, POLYGON)), 1)
