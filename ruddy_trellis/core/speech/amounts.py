"""From phrases to amounts: what a number, an angle, a length or words in quotation marks stand for where one is wanted."""

from __future__ import annotations

import re
from collections.abc import Callable
from typing import Any, Protocol

from ..kinds import NUMBER, SEGMENT, VECTOR
from ..language import names as spelling
from ..language.amounts import amount
from ..language.expression import read_formula
from ..language.filling import operand
from ..refusal import Refusal
from .building import Building
from .nodes import Amount, Described, Multiple, Named, Node, Quoted
from .refusals import Final

_LENGTH_UNIT = re.compile(r"(?<=[\d ½¼¾])(mm|cm|km|m|units)$")


class Meant(Protocol):
    """What phrases stand for (see ``things.Things``), as far as amounts are made of it."""

    b: Building

    def aside(self, work: Callable[[], Any]) -> Any: ...

    def all_of(self, node: Node) -> list[str]: ...

    def span(self, node: Node) -> tuple[str, ...]: ...

    def round(self, node: Node | None) -> str: ...


def number_said(t: Meant, node: Node) -> Any:
    """What fills a gap for a number: a number, or the reading of a formula."""
    b = t.b
    if isinstance(node, Multiple):
        return (_multiple(t, node),)
    if isinstance(node, Amount):
        value = amount(node.text.replace("-", "−"), b.ahead)
        return value if value is not None else (_formula(t, node.text),)
    if isinstance(node, Named):
        ids = [id for id in b.ahead.ids_named(spelling.tidy(node.text)) if b.kind(id) == NUMBER]
        if ids:
            return (ids[0],)
    if isinstance(node, Described):
        if node.head == "angle" or node.head == "size":
            found = t.aside(lambda: t.all_of(node))
            return (found[0],)
        if node.head in ("right-angle",):
            return 90.0
        found = t.aside(lambda: t.all_of(node))
        if len(found) == 1 and b.kind(found[0]) == NUMBER:
            return (found[0],)
    raise Refusal(f"{as_told(node)} is no number.")


def angle_said(t: Meant, node: Node) -> Any:
    """What fills a gap for an angle: as a number, in degrees. Raises Refusal for a length."""
    if isinstance(node, Amount) and _LENGTH_UNIT.search(node.text):
        raise Final(f"{node.text} is a length, and no size of an angle.")
    return number_said(t, node)


def plain_number_said(t: Meant, node: Node) -> Any:
    """What fills a gap for a factor or a count. Raises Refusal for a length or an angle."""
    if isinstance(node, Amount) and node.text.endswith("degrees"):
        raise Final(f"{node.text} is the size of an angle, and no number by itself.")
    return angle_said(t, node)


def _formula(t: Meant, text: str) -> str:
    plain = re.sub(r"\s*(mm|cm|km|m|degrees|units)$", "", text)
    known = [id for id in t.b.ahead.ids_named(spelling.tidy(plain)) if t.b.kind(id) == NUMBER]
    if known:
        return known[0]
    formula = read_formula(plain, lambda name, function: operand(name, function, t.b.ahead))
    return t.b.make("calculation", {"formula": formula})


def _multiple(t: Meant, node: Multiple) -> str:
    """The reading of so many times what is described, of which a reading is made as well."""
    b = t.b
    size = t.aside(lambda: length_said(t, node.of))
    if not isinstance(size, tuple):
        raise Refusal(f"{as_told(node.of)} is no number.")
    if len(size) == 2:
        name = "".join(b.ahead.name(id) for id in size)
    else:
        is_number = b.kind(size[0]) == NUMBER
        name = b.ahead.name(size[0]) if is_number else b.ahead.name(t.aside(lambda: b.make("length", {"thing": size})))
    return _formula(t, f"{node.factor} * {name}")


def length_said(t: Meant, node: Node) -> Any:
    """What fills a gap for a length: a number, a reading, a segment, two points."""
    b = t.b
    if isinstance(node, Amount):
        if node.text.endswith("degrees"):
            raise Refusal(f"{node.text} is the size of an angle, and no length.")
        return number_said(t, node)
    if isinstance(node, Named) and len(node.points) == 2 and not b.ahead.ids_named(spelling.tidy(node.text)):
        return b.points(node.points)
    if isinstance(node, Named):
        ids = b.ahead.ids_named(spelling.tidy(node.text))
        numbers = [id for id in ids if b.kind(id) == NUMBER]
        if numbers or (ids and b.kind(ids[0]) in (SEGMENT, VECTOR)):
            return ((numbers or ids)[0],)
        if len(node.points) == 2:
            return b.points(node.points)
    if (
        isinstance(node, Described)
        and node.head in ("length", "distance", "size")
        and (inner := node.role("of", "from", "between")) is not None
        and node.role("to") is None
    ):
        return t.span(inner)
    if isinstance(node, Described) and node.head == "radius" and (inner := node.role("of")) is not None:
        return (b.make("radius", {"circle": (t.round(inner),)}),)
    if isinstance(node, Described) and node.head in ("segment", "side", "line", "radius", "chord", "base"):
        return t.span(node)
    return number_said(t, node)


def text_said(node: Node) -> str:
    """Words in quotation marks. Raises Refusal for anything else."""
    if isinstance(node, Quoted):
        return node.text
    raise Refusal("Words stand in quotation marks.")


def as_told(node: Node) -> str:
    """A phrase for a refusal."""
    if isinstance(node, (Named, Amount)):
        return node.text
    return "That" if not isinstance(node, Described) else f"The {node.head.replace('-', ' ')}"
