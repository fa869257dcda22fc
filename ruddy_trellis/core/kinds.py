"""The kinds of thing a step can make, and the words for them."""

POINT, SEGMENT, RAY, LINE = "point", "segment", "ray", "line"
CIRCLE, POLYGON, NUMBER = "circle", "polygon", "number"

STRAIGHTS = (SEGMENT, RAY, LINE)
PATHS = (*STRAIGHTS, CIRCLE)

#: What the value of a kind is called in a sentence to a person.
WORDS = {NUMBER: "reading"}


def word(kind):
    """The word for a kind of thing: ``word("number")`` is "reading"."""
    return WORDS.get(kind, kind)


def with_article(text):
    """The noun with "a" or "an" before it."""
    return ("an " if text[0] in "aeiou" else "a ") + text


def join(words, last="and"):
    """Words as a list in a sentence: "A, B and C"."""
    words = list(words)
    if len(words) < 2:
        return "".join(words)
    return f"{', '.join(words[:-1])} {last} {words[-1]}"
