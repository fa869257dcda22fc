"""The constructions that are said most, in German: for each its sentence, with the gaps of the English one, then other ways to say it.

What has no words here is said in English. What is printed is the first sentence.
"""

#: Sentences by the key of the construction.
GERMAN: dict[str, tuple[str, ...]] = {
    "free_point": ("ein freier Punkt[ bei {at:coordinates}]", "der Punkt {at:coordinates}"),
    "midpoint": (
        "der Mittelpunkt von {span:span}", "der Mittelpunkt der Strecke {span:span}", "die Mitte von {span:span}",
        "die Mitte der Strecke {span:span}", "der Mittelpunkt zwischen {span:span}",
    ),
    "segment": ("die Strecke von {from:point} nach {to:point}", "die Strecke zwischen {from:point} und {to:point}"),
    "line": ("die Gerade durch {from:point} und {to:point}",),
    "ray": ("der Strahl von {from:point} durch {to:point}", "die Halbgerade von {from:point} durch {to:point}"),
    "circle": (
        "der Kreis um {centre:point} durch {point:point}", "der Kreis mit Mittelpunkt {centre:point} durch {point:point}",
    ),
    "circle_radius": (
        "der Kreis um {centre:point} mit Radius {radius:length}", "der Kreis um {centre:point} mit dem Radius {radius:length}",
        "der Kreis mit Mittelpunkt {centre:point} und Radius {radius:length}",
    ),
    "circumcircle": ("der Kreis durch {a:point}, {b:point} und {c:point}",),
    "polygon": ("das Vieleck durch {corners:corners}", "das Vieleck {corners:corners}", "das Dreieck {corners:corners}",
                "das Viereck {corners:corners}"),
    "perpendicular": (
        "die Senkrechte zu {base:straight} durch {point:point}", "das Lot von {point:point} auf {base:straight}",
        "die Senkrechte auf {base:straight} durch {point:point}", "die Senkrechte durch {point:point} zu {base:straight}",
    ),
    "parallel": (
        "die Parallele zu {base:straight} durch {point:point}", "die Parallele durch {point:point} zu {base:straight}",
    ),
    "perpendicular_bisector": (
        "die Mittelsenkrechte von {span:span}", "die Mittelsenkrechte der Strecke {span:span}", "die Mittelsenkrechte zu {span:span}",
    ),
    "angle_bisector": (
        "die Winkelhalbierende von {corner:corner}", "die Winkelhalbierende des Winkels {corner:corner}",
    ),
    "intersection": (
        "der Schnittpunkt von {a:path} und {b:path}[, {which:crossing} Schnittpunkt][ bei {near:branch}]",
    ),
    "foot": (
        "der Lotfußpunkt von {point:point} auf {base:straight}", "der Fußpunkt des Lotes von {point:point} auf {base:straight}",
    ),
    "point_on": ("ein Punkt auf {path:ride}[ bei {place:place}]",),
    "altitude": ("die Höhe von {corner:point} auf {base:straight}",),
    "median": ("die Seitenhalbierende von {corner:point} auf {side:span}",),
    "tangent_at": ("die Tangente an {circle:curved} in {point:point}", "die Tangente in {point:point} an {circle:curved}"),
    "length": ("die Länge von {span:span}", "die Länge der Strecke {span:span}"),
    "angle": ("der [{turn:turn} ]Winkel {corner:corner}",),
    "area": ("der Flächeninhalt von {shape:extended}", "der Flächeninhalt des Dreiecks {shape:extended}"),
    "centroid": ("der Schwerpunkt von {triangle:triangle}", "der Schwerpunkt des Dreiecks {triangle:triangle}"),
    "incircle": ("der Inkreis von {triangle:triangle}", "der Inkreis des Dreiecks {triangle:triangle}"),
    "mirrored": ("das Spiegelbild von {point:point} an {mirror:straight}",),
}  # fmt: skip
