"""Numbers, parts and units in English words."""

NUMBERS: dict[str, int] = {
    "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10, "eleven": 11,
    "twelve": 12,
}  # fmt: skip
TENS: dict[str, int] = {
    "zero": 0, "thirteen": 13, "fourteen": 14, "fifteen": 15, "sixteen": 16, "seventeen": 17, "eighteen": 18, "nineteen": 19,
    "twenty": 20, "thirty": 30, "forty": 40, "forty-five": 45, "fifty": 50, "sixty": 60,
    "seventy": 70, "eighty": 80, "ninety": 90, "hundred": 100,
}  # fmt: skip
#: Words for amounts that are no digits.
AMOUNTS: dict[str, float] = {
    **NUMBERS,
    **TENS,
    "half": 0.5,
    "quarter": 0.25,
    "third": 1 / 3,
    "quarter-turn": 90,
    "half-turn": 180,
    "full-turn": 360,
    "right-angle": 90,
}
MULTIPLES: dict[str, float] = {"double": 2, "triple": 3, "half": 0.5}
UNITS = frozenset(("mm", "cm", "m", "km", "degrees", "units"))

#: Parts of a whole, by how many of them make it.
PARTS: dict[str, int] = {
    "half": 2,
    "halves": 2,
    "third": 3,
    "thirds": 3,
    "quarter": 4,
    "quarters": 4,
    "fifth": 5,
    "fifths": 5,
    "sixth": 6,
    "eighth": 8,
    "tenth": 10,
}
