"""Steps to and from the JSON of the open file format."""

from dataclasses import asdict

from . import limits
from .board import Settings
from .catalogue import CATALOGUE
from .language.expression import Formula
from .language.words import Words
from .refusal import Refusal
from .step import PLAIN, Look, Step

_PLAIN = asdict(PLAIN)


def fill_to_json(fill):
    """What fills a gap as JSON: ids as a list of texts, coordinates as a list of numbers, a formula as an object."""
    if isinstance(fill, Words):
        return {"words": fill.text, "of": [list(operand) for operand in fill.operands]}
    if isinstance(fill, Formula):
        return {"formula": fill.text, "of": [list(operand) for operand in fill.operands]}
    return list(fill) if isinstance(fill, tuple) else fill


def fill_from_json(data):
    """The reverse of :func:`fill_to_json`. Raises Refusal for anything else."""
    if isinstance(data, bool):
        raise Refusal("A gap is filled with things, numbers, a word or a formula, not with true or false.")
    if isinstance(data, str):
        return data
    if isinstance(data, (int, float)):
        return float(data)
    if isinstance(data, list) and data and len(data) <= limits.POLYGON_CORNERS:
        if all(isinstance(part, str) for part in data):
            return tuple(data)
        if all(isinstance(part, (int, float)) and not isinstance(part, bool) for part in data):
            return tuple(float(part) for part in data)
    for name, make, most in (("formula", Formula, limits.FORMULA_LENGTH * 2), ("words", Words, limits.WORDS_LENGTH * 2)):
        if not (isinstance(data, dict) and set(data) == {name, "of"} and isinstance(data[name], str)):
            continue
        if len(data[name]) > most:
            raise Refusal(f"That {name} is too long.")
        operands = data["of"]
        if isinstance(operands, list) and all(isinstance(ids, list) and all(isinstance(i, str) for i in ids) for ids in operands):
            kept = make(data[name], tuple(map(tuple, operands)))
            kept.check_places()
            return kept
    raise Refusal("A gap is filled with a list of ids, a list of two numbers, a number, a word or a formula.")


def look_to_json(look):
    """Only what differs from the look that every thing has at first."""
    if look == PLAIN:
        return {}
    parts = ((name, getattr(look, name), plain) for name, plain in _PLAIN.items())
    return {name: list(value) if isinstance(value, tuple) else value for name, value, plain in parts if value != plain}


def step_to_json(step):
    """A step as JSON."""
    data = {"id": step.id, "does": step.does, "with": {name: fill_to_json(fill) for name, fill in step.fills.items()}}
    if step.name is not None:
        data["name"] = step.name
    if look := look_to_json(step.look):
        data["look"] = look
    return data


def step_from_json(data):
    """A step from JSON whose shape was checked by the schema (``lesson_file``). Raises Refusal."""
    if data["does"] not in CATALOGUE:
        raise Refusal(f"There is no construction called “{data['does'][:40]}”.")
    look = dict(data.get("look", {}))
    if look.get("label_offset") is not None:
        look["label_offset"] = tuple(look["label_offset"])
    fills = {name: fill_from_json(fill) for name, fill in data["with"].items()}
    return Step(data["id"], data["does"], fills, data.get("name"), Look(**look))


def settings_to_json(settings):
    """The settings of a board: its first five always, the others where they differ from those of a new board."""
    plain = asdict(Settings())
    always = ("title", "unit", "ground", "decimals", "view")
    return {name: value for name, value in asdict(settings).items() if name in always or value != plain[name]}


def settings_from_json(data):
    """The reverse of :func:`settings_to_json`, for data that was checked."""
    tuples = {name: tuple(data[name]) for name in ("view", "nice", "log") if data.get(name) is not None}
    rows = {"rows": tuple(map(tuple, data["rows"]))} if "rows" in data else {}
    return Settings(**{**data, **tuples, **rows})
