"""The shelf: rows of tools with their icons, all made from the catalogue."""

from functools import cache, lru_cache

import orjson
from markupsafe import Markup

from ..core import Figure
from ..core.catalogue import CATALOGUE, GROUPS
from ..core.display import Extent, display
from ..core.kinds import CIRCLE, INVERSION, MAPS, MOTION, POINT, REVEAL, WORDS_ON_BOARD
from ..drawings.svg import svg

_WIDTH, _HEIGHT = 44, 32
#: The row of a teacher's own tools.
RECIPES = "Recipes"
#: So many tools stand in one row.
_ONE_ROW = 14


def shelf():
    """The rows of the shelf: pairs of a group's name and its constructions."""
    return [(group, CATALOGUE.group(group)) for group in GROUPS]


def kit_shelf(kit):
    """The rows of the shelf for whoever builds with a kit: one row where all of it goes into one."""
    rows = [(group, tools) for group, all_tools in shelf() if (tools := kit.tools(all_tools))]
    tools = [tool for _, row in rows for tool in row]
    return [("Kit", tools)] if len(tools) <= _ONE_ROW else rows


def icon(key):
    """The icon of a tool: its example, drawn small, with what the tool makes in ruddy."""
    return _icon(key, CATALOGUE[key].example)


@cache
def icons():
    """The icons of all tools of the shelf by their keys, as JSON: rows that are not seen at first get theirs from it."""
    return orjson.dumps({tool.key: str(icon(tool.key)) for group, row in shelf() for tool in row if group != RECIPES}).decode()


@lru_cache(maxsize=512)
def _icon(key, example):
    figure = Figure()
    figure.say(example)
    board = figure.board
    count = len(board) - 1
    if CATALOGUE[key].makes in MAPS:
        # A transformation is seen by what it does to the bed of its example.
        figure.say("the images of A, B, C and ABC under t" if CATALOGUE[key].makes != INVERSION else "the images of A, B and C under t")
        count = len(board) - (4 if CATALOGUE[key].makes != INVERSION else 3)
    items = display(board, _around(board))
    made = items[-1]
    for item in items:
        item["style"]["pen"] = "slate"
        item["style"]["width"] *= 0.7
        if item["kind"] == POINT:
            item["style"]["size"] *= 0.7
    for item in items[count:]:
        item["style"].update(pen="ruddy", fill_pen="ruddy", width=2.6, pattern="solid")
    for part in (made["shape"] or {}).get("parts", ()):
        part["style"].update(pen="ruddy", fill_pen="ruddy", width=2.0)
    if made["kind"] == POINT:
        made["style"]["size"] = 7
    if made["kind"] == "number":
        made["style"]["fill"] = 0
    labels = (made["kind"] == "number" and "sweep" not in made["shape"]) or made["kind"] in (MOTION, REVEAL, WORDS_ON_BOARD)
    if made["kind"] in (MOTION, REVEAL, WORDS_ON_BOARD):
        made["label"], made["style"]["label"], made["kind"] = {"at": (0, 0)}, True, "number"
    made["style"]["tag"] = True
    if labels:
        for item in items[:-1]:
            item["label"] = None
        made["label"].update(text=_MARKS.get(key, "="), push=(0, 0.1), offset=None, **({"at": _middle(board)} if key in _CENTRED else {}))
    return Markup(svg(items, _around(board).grown(0.12), _WIDTH, _HEIGHT, scale=0.72, labels=labels))


_CENTRED = (
    "dial", "angle_dial", "length_dial", "motion", "words", "words_beside", "new_reveal", "reveal_with", "prediction", "in_line",
    "one_point", "one_circle", "lies_on", "are_parallel", "are_perpendicular", "are_tangent", "same_point", "same_thing", "equal_values",
    "is_constant", "is_shape", "is_in_or_out", "is_sides", "is_over", "is_between", "is_compared", "is_orderly",
    "are_congruent", "are_similar",
)  # fmt: skip


def _middle(board):
    around = _around(board)
    return (around.left + around.right) / 2, (around.low + around.high) / 2


#: What stands in an icon for the value of a reading.
_MARKS = {
    "length": "cm",
    "distance": "d",
    "area": "m²",
    "calculation": "½×",
    "perimeter": "⟲",
    "radius": "r",
    "circumference": "2πr",
    "slope": "↗",
    "ratio": "a:b",
    "coordinates": "(x, y)",
    "abscissa": "x",
    "ordinate": "y",
    "equation": "y = …",
    "eccentricity": "e",
    "arc_length": "⌒",
    "dial": "0 – 10",
    "angle_dial": "0 – 360°",
    "length_dial": "0 – 5 m",
    "motion": "▶ ▶",
    "words": "Abc",
    "words_beside": "• Abc",
    "new_reveal": "◐",
    "reveal_with": "◐ +",
    "prediction": "A′ ?",
    "in_line": "– · · · ?",
    "one_point": "× ?",
    "one_circle": "○ ?",
    "lies_on": "· ○ ?",
    "are_parallel": "∥ ?",
    "are_perpendicular": "⊥ ?",
    "are_tangent": "| ○ ?",
    "same_point": "· · ?",
    "same_thing": "= = ?",
    "equal_values": "= ?",
    "is_constant": "= const.",
    "is_shape": "◇ ?",
    "is_in_or_out": "◌ · ?",
    "is_sides": "· | · ?",
    "is_over": "· / — ?",
    "is_between": "– · – ?",
    "is_compared": "> ?",
    "is_orderly": "∠ < 90° ?",
    "are_congruent": "≅ ?",
    "are_similar": "~ ?",
}


def _around(board):
    """An extent that holds everything of a small figure."""
    xs, ys = [], []
    for step in board.steps:
        value = board.value(step.id)
        if step.makes == POINT:
            xs.append(value[0])
            ys.append(value[1])
        elif step.makes == CIRCLE:
            radius = value[2] ** 0.5
            xs += [value[0] - radius, value[0] + radius]
            ys += [value[1] - radius, value[1] + radius]
    if max(xs) - min(xs) < 1 and max(ys) - min(ys) < 1:
        xs += [min(xs) - 1, max(xs) + 1]
        ys += [min(ys) - 1, max(ys) + 1]
    return Extent(min(xs) - 0.2, min(ys) - 0.2, max(xs) + 0.2, max(ys) + 0.2)
