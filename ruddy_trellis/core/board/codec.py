"""Steps to and from the JSON of the open file format."""

from dataclasses import asdict
from typing import Any

from ..catalogue import CATALOGUE
from ..language.fills import fill_from_json, fill_to_json
from ..refusal import Refusal
from .settings import Photograph, Settings
from .step import PLAIN, Look, Step

_PLAIN = asdict(PLAIN)


def look_to_json(look):
    """Only what differs from the look that every thing has at first."""
    if look == PLAIN:
        return {}
    parts = ((name, getattr(look, name), plain) for name, plain in _PLAIN.items())
    return {name: list(value) if isinstance(value, tuple) else value for name, value, plain in parts if value != plain}


def step_to_json(step: Step) -> dict[str, Any]:
    """A step as JSON."""
    data = {"id": step.id, "does": step.does, "with": {name: fill_to_json(fill) for name, fill in step.fills.items()}}
    if step.name is not None:
        data["name"] = step.name
    if look := look_to_json(step.look):
        data["look"] = look
    if step.by is not None:
        data["by"] = step.by
    return data


def step_from_json(data: Any) -> Step:
    """A step from JSON whose shape was checked by the schema (``lesson_file``). Raises Refusal."""
    if data["does"] not in CATALOGUE:
        raise Refusal(f"There is no construction called “{data['does'][:40]}”.")
    look = dict(data.get("look", {}))
    if look.get("label_offset") is not None:
        look["label_offset"] = tuple(look["label_offset"])
    fills = {name: fill_from_json(fill) for name, fill in data["with"].items()}
    return Step(data["id"], data["does"], fills, data.get("name"), Look(**look), data.get("by"))


def settings_to_json(settings: Settings) -> dict[str, Any]:
    """The settings of a board: its first five always, the others where they differ from those of a new board."""
    plain = asdict(Settings())
    always = ("title", "unit", "ground", "decimals", "view")
    return {name: value for name, value in asdict(settings).items() if name in always or value != plain[name]}


def settings_from_json(data: Any) -> Settings:
    """The reverse of :func:`settings_to_json`, for data that was checked."""
    tuples = {name: tuple(data[name]) for name in ("view", "nice", "log", "kit_tools") if data.get(name) is not None}
    rows = {"rows": tuple(map(tuple, data["rows"]))} if "rows" in data else {}
    picture = data.get("photograph")
    under = {"photograph": Photograph(**{**picture, "at": tuple(picture["at"])})} if picture else {}
    return Settings(**{**data, **tuples, **rows, **under})
