"""The help: how things may be said. All of it is made from the catalogue and from the list of acts."""

from fastapi import APIRouter, Request

from ...core.edits.examples import ways_shown
from ...core.hand.orders import ORDERS
from ..rendering import page
from ..shelf import shelf

router = APIRouter()
#: How many other ways to say a thing are shown.
_SHOWN = 5
#: What holds for every sentence, each with examples; all of them are read by a test, on a board with A, B, C, D, p, q, k and ABC.
RULES = (
    ("Articles and small words can be left out", ("midpoint of AB", "circle centre A through B")),
    (
        "A name comes first, or last",
        ("M = midpoint of AB", "let M be the midpoint of AB", "midpoint of AB, call it M", "the midpoint M of AB"),
    ),
    ("Two names may stand together, or apart", ("segment AB", "segment from A to B", "join A and B")),
    ("A noun may stand before a name; it has to agree with it", ("point on circle k", "slope of line p")),
    ("Numbers as people write them", ("rotation about A by 60°", "enlargement from A by the factor 1/2", "circle about A with radius 2½")),
    (
        "A thing may be described where its name could stand",
        ("circle through A with centre the midpoint of BC", "where line AB meets line CD"),
    ),
    ("What can be only one thing can be left out", ("altitude from C", "circumcircle")),
    ("Orders", ("reflect B in p", "rotate D 90° about A", "drop a perpendicular from B to p")),
)


@router.get("/help")
def help_page(request: Request, find: str = ""):
    """How things may be said, all of it or what holds some words."""
    words = find.strip().lower()[:80]
    groups = [(group, [row for tool in tools if matches(row := _row(tool), words)]) for group, tools in shelf() if group != "Recipes"]
    orders = [order for order in ORDERS if words in f"{order.shown} {order.about}".lower()]
    return page(request, "help.html", groups=groups, orders=orders, rules=() if words else RULES, find=find)


def _row(construction):
    return construction, ways_shown(construction.key)[:_SHOWN]


def matches(row, words):
    """Whether a row of the help holds some words."""
    construction, ways = row
    return all(word in f"{construction.tool} {construction.sentence} {' '.join(ways)}".lower() for word in words.split())
