"""Transformations, and the images of things under them."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from ..catalogue import CATALOGUE
from ..kinds import CIRCLE, POINT, POLYGON, STRAIGHTS
from ..language.expression import Formula
from ..refusal import Refusal
from .amounts import angle_said, plain_number_said
from .nodes import Amount, Described, Many, Named, Node
from .nouns import check_words, makes
from .things import Things

#: Verbs of transformations, and the nouns for the same.
KIND_OF = {
    "reflect": "reflection", "turn": "rotation", "translate": "translation", "enlarge": "enlargement", "invert": "inversion",
    "stretch": "stretch", "shear": "shear",
}  # fmt: skip


@makes(
    "reflection",
    "rotation",
    "translation",
    "enlargement",
    "stretch",
    "shear",
    parts="other_side_of of in about at centre by through from to along with factor across over on under angle by_angle",
    words="clockwise anticlockwise as-centre",
)
def transformations(t: Things, node: Described) -> list[str]:
    """A transformation, or with "of" the image of something: "the reflection of A in BC"."""
    of = node.role("of")
    if of is not None and not isinstance(of, Amount):
        rest = Described(
            node.head,
            node.adjectives,
            (),
            tuple((role, part) for role, part in node.roles if part is not of),
            extra=node.extra,
            amounts=node.amounts,
        )
        return imaged(t, node.head, of, rest)
    if node.names and isinstance(node.names[0], Named) and not t.b.has(node.names[0].text):
        t.names.insert(0, node.names[0].text)
    return [mapped(t, node.head, node)]


@makes("image", parts="of under in by")
def images(t: Things, node: Described) -> list[str]:
    of, by = node.role("of"), node.role("under", "in", "by")
    if of is None or by is None:
        raise Refusal("Of what, and under which transformation? Say: the image of A under the reflection in l.")
    if node.names:
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    if isinstance(by, Described) and by.head in KIND_OF.values():
        return imaged(t, by.head, of, by)
    if (isinstance(by, Named) and len(by.points) == 2) or isinstance(by, Described):
        return imaged(t, "reflection", of, Described("reflection", roles=(("in", by),)))
    map_id = t.aside(lambda: t.all_of(by))[0]
    if t.b.kind(map_id) in STRAIGHTS:
        return imaged(t, "reflection", of, Described("reflection", roles=(("in", by),)))
    return images_under(t, t.aside(lambda: _things(t, of)), map_id)


def imaged(t: Things, kind: str, of: Node, how: Described) -> list[str]:
    """The images of things under a transformation that is described by its parts."""
    check_words(Described(kind if kind != "inversion" else "reflection", how.adjectives, (), how.roles, extra=how.extra))
    ids = t.aside(lambda: _things(t, of))
    mirrors = _several_mirrors(t, how) if kind == "reflection" else []
    if mirrors:
        return [id for mirror in mirrors for id in imaged(t, kind, of, mirror)]
    points = all(t.b.kind(id) == POINT for id in ids)
    if points and kind == "reflection":
        mirror = t.aside(lambda: _mirror(t, how))
        if not (len(mirror) == 1 and t.b.kind(mirror[0]) in (POINT, CIRCLE)):
            return [t.make("mirrored", point=(id,), mirror=mirror) for id in ids]
    if points and kind == "rotation":
        centre, angle = t.aside(lambda: _turn(t, how))
        return [t.make("turned", point=(id,), centre=(centre,), angle=angle) for id in ids]
    return images_under(t, ids, t.aside(lambda: mapped(t, kind, how)))


def _several_mirrors(t: Things, how: Described) -> list[Described]:
    """Where a thing is reflected in two lines, each of them."""
    for number, (role, part) in enumerate(how.roles):
        if (
            role in ("in", "about", "on", "through")
            and isinstance(part, Described)
            and part.plural
            and part.head in ("line", "side", "tangent")
        ):
            found = t.aside(lambda part=part: t.all_of(part))  # type: ignore[misc]
            part = Many(tuple(Named(t.b.ahead.name(id)) for id in found))
        if role in ("in", "about", "on", "through") and (
            isinstance(part, Many) and not all(isinstance(item, Named) and len(item.points) == 1 for item in part.items)
        ):
            return [Described(how.head, roles=(*how.roles[:number], (role, item), *how.roles[number + 1 :])) for item in part.items]
    return []


def _things(t: Things, node: Node) -> list[str]:
    """What is to be transformed; a shape for three points or more."""
    if isinstance(node, Named) and len(node.points) > 2:
        return [t.polygon(node)]
    if (
        isinstance(node, Described)
        and node.head in ("triangle", "quadrilateral", "polygon", "square", "rectangle")
        and node.kind != "new"
        and not node.plural
    ):
        return [t.polygon(node)]
    return t.all_of(node)


def images_under(t: Things, ids: Sequence[str], map_id: str) -> list[str]:
    made = []
    for id in ids:
        kind, how = t.b.kind(id), t.b.kind(map_id)
        key = (
            "image_point"
            if kind == POINT
            else f"{'inverted' if how == 'inversion' else 'bent' if how == 'affinity' and kind in (CIRCLE, 'conic') else 'image'}_{kind}"
        )
        if key not in CATALOGUE:
            raise Refusal(f"A {kind} has no image under that.")
        corners = t.b.ahead.step(id).fills.get("corners", ()) if key == "image_polygon" else ()
        if len(ids) == 1 and corners and len(t.names) == len(corners):
            # "let DEF be the image of ABC": D is that of A.
            made.append(t.b.polygon(tuple(t.make("image_point", of=(corner,), by=(map_id,)) for corner in corners)))
            continue
        if t.names and len(t.names) == 1 and kind == POLYGON and len(t.names[0]) > 1:
            t.names = []
        made.append(t.make(key, of=(id,), by=(map_id,)))
    return made


def _mirror(t: Things, how: Described) -> tuple[str, ...]:
    """What something is reflected in: a line, a point, a circle."""
    node = how.role("in", "on", "through", "about", "across", "over", "at", "along", "other_side_of")
    if node is None:
        raise Refusal("In which line? Say: reflect A in BC.")
    if isinstance(node, Named) and len(node.points) == 1:
        return (t.point(node),)
    if isinstance(node, Described) and node.head in ("point", "midpoint", "centre", "foot", "intersection", "centroid"):
        return (t.point(node),)
    if isinstance(node, Described) and node.head == "circle":
        return (t.round(node),)
    return t.path(node)


def _turn(t: Things, how: Described) -> tuple[str, Any]:
    """About what something is turned, and by how much, degrees, anticlockwise."""
    centre, by = how.role("about", "at", "centre", "with"), how.role("by", "through", "of", "angle", "under", "by_angle")
    amount = by or next((part for role, part in how.roles if isinstance(part, Amount) and part is not centre), None)
    if isinstance(centre, Amount):
        centre, amount = (
            next((part for role, part in how.roles if role in ("about", "at", "centre") and not isinstance(part, Amount)), None),
            centre,
        )
    if amount is None and how.amounts:
        amount = Amount(how.amounts[0])
    if centre is None or amount is None:
        raise Refusal("About which point, and by how much? Say: turn B about A by 60 degrees.")
    angle = angle_said(t, amount)
    if "clockwise" in how.extra or "clockwise" in how.adjectives:
        if not isinstance(angle, float):
            angle = (t.b.make("calculation", {"formula": Formula("-{0}", (angle,))}),)
        else:
            angle = -angle
    return t.point(centre), angle


def mapped(t: Things, kind: str, how: Described) -> str:
    """The transformation itself."""
    if kind in ("reflection", "inversion"):
        mirror = (
            t.aside(lambda: _mirror(t, how))
            if how.role("in", "on", "through", "about", "across", "over", "at", "other_side_of") is not None
            else (t.round(None),)
        )
        if len(mirror) == 1 and t.b.kind(mirror[0]) == POINT:
            return t.make("point_reflection", centre=mirror)
        if len(mirror) == 1 and t.b.kind(mirror[0]) == CIRCLE:
            return t.make("circle_reflection", circle=mirror)
        return t.make("reflection", mirror=mirror)
    if kind == "rotation":
        centre, angle = t.aside(lambda: _turn(t, how))
        return t.make("rotation", centre=(centre,), angle=angle)
    if kind == "translation":
        return _translation(t, how)
    centre_node = how.role("from", "about", "centre", "at", "in")
    factor = how.role("by", "factor", "of") or next((part for role, part in how.roles if isinstance(part, Amount)), None)
    with_ = how.role("with")
    if isinstance(with_, Described) and with_.head in ("factor", "ratio"):
        factor = factor or with_
    if isinstance(factor, Described) and factor.head in ("factor", "ratio", "enlargement"):
        factor = factor.role("of", "by") or (factor.names[0] if factor.names else Amount(factor.amounts[0]) if factor.amounts else None)
    if kind in ("stretch", "shear"):
        line = how.role("along", "from", "in", "about", "at", "on", "to")
        if line is None or factor is None:
            raise Refusal(f"From which line, and by which factor? Say: {kind} ABC from AB by the factor 2.")
        if kind == "shear" or not _is_one_point(t, line):
            return t.make(kind, line=t.aside(lambda: t.straight(line)), factor=t.aside(lambda: plain_number_said(t, factor)))
    if isinstance(centre_node, Described) and centre_node.head == "centre" and (centre_node.names or not centre_node.roles):
        # "centre A"; "its centre" is that of what is enlarged.
        centre_node = centre_node.names[0] if centre_node.names else centre_node if "its" in centre_node.adjectives else None
    if centre_node is None or factor is None:
        raise Refusal("From which centre, and by which factor? Say: enlarge ABC from A by the factor 2.")
    return t.make("enlargement", centre=(t.aside(lambda: t.point(centre_node)),), factor=t.aside(lambda: plain_number_said(t, factor)))


def _is_one_point(t: Things, node: Node) -> bool:
    """Whether a phrase is a point, from which a shape is stretched every way: an enlargement."""
    mark = t.b.mark()
    try:
        t.aside(lambda: t.point(node))
    except Refusal:
        return False
    finally:
        t.b.back_to(mark)
    return True


def _translation(t: Things, how: Described) -> str:
    by, start, stop = how.role("by", "along"), how.role("from"), how.role("to")
    if isinstance(by, Described) and by.head == "vector" and by.role("at_place") is None and not by.names:
        start, stop = by.role("from") or start, by.role("to") or stop
        by = None if start is not None else by
    if isinstance(by, Described) and isinstance(place := by.role("at_place"), Named):
        by = place
    if isinstance(by, Described) and by.names and isinstance(by.names[0], Named):
        by = by.names[0]
    if isinstance(by, Named) and by.at is not None:
        return t.make("translation_by", x=float(by.at[0]), y=float(by.at[1]))
    if isinstance(by, Named) and len(by.points) == 2:
        ends = t.b.points(by.points)
        return t.make("translation", from_=ends[:1], to=ends[1:])
    if by is not None:
        span = t.aside(lambda: t.all_of(by))
        return t.make("translation_along", vector=(span[0],))
    if start is None or stop is None:
        raise Refusal("Along which vector? Say: translate C by the vector AB.")
    return t.make("translation", from_=(t.aside(lambda: t.point(start)),), to=(t.aside(lambda: t.point(stop)),))
