"""The bounds on everything that comes from outside."""

import math

from .refusal import Refusal

STEPS = 2_000
NAME_LENGTH = 24
TITLE_LENGTH = 80
SENTENCE_LENGTH = 4_000
COMPLETION_LENGTH = 500
#: How many ways of taking a sentence apart are tried.
READINGS = 20_000
FORMULA_LENGTH = 200
FORMULA_NESTING = 40
COORDINATE = 1e6
LENGTH_LEAST = 1e-9
POLYGON_CORNERS = 100
FILE_BYTES = 8_000_000
MESSAGE_BYTES = 500_000
BOARDS = 40
EDIT_THINGS = 2_000
CAPTION_LENGTH = 120
#: How many tools a kit names at most, and how many steps of their own a student has on a board.
KIT_TOOLS, OWN_STEPS = 400, 600
LOG_READINGS = 12
LOG_ROWS = 1_000
WORDS_LENGTH = 400
PASTE_LENGTH = 400_000


def check_number(value: float) -> float:
    """A typed number within the bounds. Raises Refusal otherwise."""
    if not math.isfinite(value) or abs(value) > COORDINATE:
        raise Refusal(f"That number is too large: numbers here go from −{COORDINATE:,.0f} to {COORDINATE:,.0f}.")
    return float(value)


#: Of so many conditions a region is made at most.
CONDITIONS = 60

#: So many strokes of chalk are on a board at most, each of so many places.
STROKES, STROKE_PLACES = 400, 1500
