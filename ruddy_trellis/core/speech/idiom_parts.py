"""What the tables of idioms are made of."""

import re
from collections.abc import Callable
from typing import TypeAlias

#: Forms, each with what is read for it: words, with what was found in it, or what makes them of it.
Idioms: TypeAlias = tuple[tuple[str, str | Callable[[re.Match[str]], str]], ...]

#: A length, and the polygons, as parts of forms.
SIZE = r"\d[\d.]*(?: ?[cm]?m)?"
POLYGON = r"triangle|quadrilateral|square|rectangle|rhombus|kite|trapezium|parallelogram|pentagon|hexagon|octagon"
