"""The catalogue: the constructions by key, by shelf group and by two-letter key."""

from contextvars import ContextVar
from dataclasses import replace
from types import MappingProxyType

from . import (
    circles,
    claims,
    compass_work,
    conics,
    crossings,
    explaining_images,
    german,
    images,
    many_images,
    marks,
    measures,
    moving,
    orders,
    points,
    polars,
    regions,
    shapes,
    straights,
    telling,
    transformations,
    triangles,
)
from .construction import Construction

#: The rows of the shelf, in order.
GROUPS = (
    "Points",
    "Lines",
    "Circles",
    "Arcs",
    "Shapes",
    "Triangles",
    "Conics",
    "Transform",
    "Move",
    "Measure",
    "Where",
    "Mark",
    "Tell",
    "Claim",
    "Recipes",
)


#: What a person has on their own shelf who has nothing there.
_NONE = MappingProxyType({})


def _with_german(construction: Construction) -> Construction:
    """A construction with its German sentences, where it has any: nothing else of it differs."""
    if construction.key not in german.GERMAN:
        return construction
    first, *others = german.GERMAN[construction.key]
    said = replace(construction, sentence=first, aliases=tuple(others), also=())
    return replace(construction, in_tongues={"de": said})


class Some:
    """Some of the constructions of a catalogue, to complete sentences from."""

    def __init__(self, constructions) -> None:
        self._by_key = {one.key: one for one in constructions}

    def __iter__(self):
        return iter(self._by_key.values())

    def __contains__(self, key):
        return key in self._by_key

    def __getitem__(self, key) -> Construction:
        return self._by_key[key]


class Catalogue:
    """The constructions that the program knows. ``add`` is all it takes to make a new one known.

    Besides those that everyone has, there are a person's own: the recipes that ``use_own`` was given in the running
    context (a request, a connection, a thread of it).
    """

    def __init__(self, constructions=()) -> None:
        self._by_key = {}
        self._own = ContextVar("own")
        for construction in constructions:
            self.add(_with_german(construction))

    def add(self, construction: Construction) -> None:
        """Make a construction known. Raises ValueError if its key or its two-letter key is taken."""
        if construction.key in self._by_key:
            raise ValueError(f"there is a construction called {construction.key} already")
        taken = [other.key for other in self if construction.keys and other.keys == construction.keys]
        if taken:
            raise ValueError(f"the keys {construction.keys} belong to {taken[0]} already")
        self._by_key[construction.key] = construction

    def remove(self, key: str) -> None:
        """Make a construction unknown again."""
        del self._by_key[key]

    def use_own(self, constructions) -> None:
        """From here on in this context, know these as well.

        Args:
            constructions: by key; what is put into it or taken out later counts at once.
        """
        self._own.set(constructions)

    def __iter__(self):
        return iter((*self._by_key.values(), *self._own.get(_NONE).values()))

    def __contains__(self, key):
        return key in self._by_key or key in self._own.get(_NONE)

    def __getitem__(self, key) -> Construction:
        try:
            return self._by_key[key]
        except KeyError:
            return self._own.get(_NONE)[key]

    def in_tongue(self, code: str) -> "Catalogue | Some":
        """The constructions that have words in a language, as they are said in it."""
        return self if code == "en" else Some(said for one in self if (said := one.said_in(code)) is not None)

    def group(self, name: str):
        """The constructions of one shelf row, in order."""
        return [construction for construction in self if construction.group == name]


CATALOGUE = Catalogue(
    (
        *points.PEGS,
        *crossings.CROSSINGS,
        *points.POINTS,
        *straights.STRAIGHT_THINGS,
        *circles.CIRCLES,
        *shapes.SHAPES,
        *triangles.TRIANGLE_PARTS,
        *conics.CONICS,
        *polars.POLARS,
        *many_images.MANY_IMAGES,
        *transformations.TRANSFORMATIONS,
        *explaining_images.EXPLAINING_IMAGES,
        *images.IMAGES,
        *moving.MOVING,
        *measures.READINGS,
        *marks.MARKS,
        *regions.REGIONS_OF_PLACES,
        *compass_work.COMPASS_WORK,
        *telling.TELLING,
        *claims.CLAIMS,
        *orders.ORDER_CLAIMS,
        *orders.SUPPOSITIONS,
    )
)
