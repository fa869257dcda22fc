"""Nouns that stand before names, or for the only thing that they can mean: "circle k", "triangle ABC", "the parabola"."""

from ..kinds import (
    ARC,
    CIRCLE,
    CONIC,
    LINE,
    LOCUS,
    MAPS,
    NUMBER,
    PATHS,
    POINT,
    POLYGON,
    RAY,
    SPANS,
    VECTOR,
)  # fmt: skip

#: What a noun before a name says of it.
NOUNS: dict[str, tuple[str, ...]] = {
    "point": (POINT,), "points": (POINT,), "peg": (POINT,), "corner": (POINT,), "line": (LINE,), "lines": (LINE,), "ray": (RAY,),
    "segment": SPANS, "side": SPANS, "edge": SPANS, "chord": SPANS, "diameter": SPANS, "base": SPANS, "vector": (VECTOR,),
    "circle": (CIRCLE,), "circles": (CIRCLE,), "arc": (ARC,), "conic": (CONIC,), "ellipse": (CONIC,), "parabola": (CONIC,),
    "hyperbola": (CONIC,), "curve": PATHS, "triangle": (POLYGON,), "quadrilateral": (POLYGON,), "polygon": (POLYGON,),
    "square": (POLYGON,), "rectangle": (POLYGON,), "shape": (POLYGON,), "pentagon": (POLYGON,), "hexagon": (POLYGON,),
    "parallelogram": (POLYGON,), "angle": (NUMBER,), "reading": (NUMBER,), "dial": (NUMBER,), "length": (NUMBER,), "locus": (LOCUS,),
    "transformation": MAPS, "rotation": MAPS, "reflection": MAPS, "translation": MAPS, "enlargement": MAPS,
}  # fmt: skip
#: How many corners the shapes have that a noun stands for.
CORNERS = {"triangle": 3, "quadrilateral": 4, "square": 4, "rectangle": 4, "parallelogram": 4, "pentagon": 5, "hexagon": 6}
