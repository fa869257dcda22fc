"""Regions as they are drawn: rings of straight, round and bent pieces, each with whether it is stroked whole, dashed or not at all."""

from typing import Any

from ..regions.region import END, Region

#: The hatches that tell fills apart without colour, as paths across a tile of ten pixels that is laid side by side.
HATCHES = ("M0 10L10 0", "M0 0L10 10", "M0 5L10 5", "M5 0L5 10", "M0 10L10 0M0 0L10 10", "M0 5L10 5M5 0L5 10")


def drawn_rings(region: Region) -> list[dict[str, Any]]:
    """The rings of a region.

    Returns:
        For each ring, where it starts, and its pieces: what each is (``("line", x, y)``, ``("arc", x, y, radius, start, sweep)`` in
        degrees, ``("curve", (x, y), …)``), and "whole" where it belongs to the region, "dashed" where it does not, "none" where the
        region goes on for ever.
    """
    rings = []
    for ring in region.rings:
        stroke = lambda piece: "none" if region.source(piece) == END else "whole" if region.counts(piece) else "dashed"
        pieces = [(piece.edge.drawn(piece.start, piece.stop), stroke(piece)) for piece in ring]
        rings.append({"start": ring[0].first, "pieces": pieces})
    return rings
