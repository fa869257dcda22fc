"""The catalogue: the constructions by key, by shelf group and by two-letter key."""

from . import circles, conics, marks, measures, moving, points, shapes, straights, telling, transformations
from .construction import Construction

#: The rows of the shelf, in order.
GROUPS = ("Points", "Lines", "Circles", "Arcs", "Shapes", "Triangles", "Conics", "Transform", "Move", "Measure", "Mark", "Tell", "Recipes")


class Catalogue:
    """The constructions that the program knows. ``add`` is all it takes to make a new one known."""

    def __init__(self, constructions=()):
        self._by_key = {}
        for construction in constructions:
            self.add(construction)

    def add(self, construction: Construction):
        """Make a construction known. Raises ValueError if its key or its two-letter key is taken."""
        if construction.key in self._by_key:
            raise ValueError(f"there is a construction called {construction.key} already")
        taken = [other.key for other in self if other.keys == construction.keys]
        if taken:
            raise ValueError(f"the keys {construction.keys} belong to {taken[0]} already")
        self._by_key[construction.key] = construction

    def remove(self, key):
        """Make a construction unknown again."""
        del self._by_key[key]

    def __iter__(self):
        return iter(self._by_key.values())

    def __contains__(self, key):
        return key in self._by_key

    def __getitem__(self, key) -> Construction:
        return self._by_key[key]

    def group(self, name):
        """The constructions of one shelf row, in order."""
        return [construction for construction in self if construction.group == name]


CATALOGUE = Catalogue(
    (
        *points.POINTS, *straights.STRAIGHT_THINGS, *circles.CIRCLES, *shapes.SHAPES, *conics.CONICS, *transformations.TRANSFORMATIONS, *moving.MOVING,
        *measures.READINGS, *marks.MARKS, *telling.TELLING,
    )
)  # fmt: skip
