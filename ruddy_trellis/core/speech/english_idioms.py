"""Idioms of English: ways of writing that are put in other words before a sentence is taken apart, in this order.

Each is a form and what is read for it. What is read has words of ``english`` only, and says no less than what was written. They stand in
files by what they are about.
"""

from .english_idioms_of_acts import OF_ACTS
from .english_idioms_of_comparing import OF_COMPARING
from .english_idioms_of_compasses import OF_COMPASSES
from .english_idioms_of_declaring import OF_DECLARING
from .english_idioms_of_descriptions import OF_DESCRIPTIONS
from .english_idioms_of_dials import OF_DIALS
from .english_idioms_of_everyday import OF_EVERYDAY
from .english_idioms_of_exercises import OF_EXERCISES
from .english_idioms_of_gardens import OF_GARDENS
from .english_idioms_of_given_figures import OF_GIVEN_FIGURES
from .english_idioms_of_images import OF_IMAGES
from .english_idioms_of_lines import OF_LINES
from .english_idioms_of_places import OF_PLACES
from .english_idioms_of_points import OF_POINTS
from .english_idioms_of_questions import OF_QUESTIONS
from .english_idioms_of_requests import OF_REQUESTS
from .english_idioms_of_rounds import OF_ROUNDS
from .english_idioms_of_shapes import OF_SHAPES
from .english_idioms_of_short_forms import OF_SHORT_FORMS
from .english_idioms_of_signs import OF_SIGNS
from .english_idioms_of_sizes import OF_SIZES
from .english_idioms_of_tangents import OF_TANGENTS
from .english_idioms_of_textbooks import OF_TEXTBOOKS
from .english_numbers import OF_NUMBERS
from .idiom_parts import Idiom, Written

#: Ways of writing in their order, by how they are read.
WRITTEN = Written(
    Idiom(form, read)
    for form, read in (
        *(
            *OF_NUMBERS,
            *OF_SHORT_FORMS,
            *OF_COMPARING,
            *OF_REQUESTS,
            *OF_DESCRIPTIONS,
            *OF_SIZES,
            *OF_GARDENS,
            *OF_EVERYDAY,
            *OF_DIALS,
            *OF_DECLARING,
            *OF_GIVEN_FIGURES,
            *OF_EXERCISES,
            *OF_TEXTBOOKS,
            *OF_QUESTIONS,
            *OF_SHAPES,
            *OF_COMPASSES,
            *OF_TANGENTS,
            *OF_ROUNDS,
            *OF_IMAGES,
            *OF_POINTS,
            *OF_LINES,
        ),
        *(*OF_PLACES, *OF_ACTS, *OF_SIGNS),
    )
)


def in_other_words(text: str) -> str:
    """A text with its idioms put in the words that the grammar has for them."""
    return WRITTEN.put(text)
