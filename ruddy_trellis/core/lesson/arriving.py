"""What comes in from outside in one go, from text to text: in the forms in which it can go to another process and back."""

from base64 import b64decode
from contextlib import suppress
from typing import Any

import orjson

from ..catalogue import CATALOGUE
from ..edits.models import Paste
from ..edits.pasting import pasted
from ..refusal import Refusal
from .file import board_from_store, board_to_text, challenges_from_json, lesson_from_json
from .recipes import recipe_from_json


def parsed(content: bytes) -> Any:
    """The JSON of a file. Raises Refusal where it is none."""
    try:
        return orjson.loads(content)
    except orjson.JSONDecodeError as error:
        raise Refusal(f"That is no file of this program: {error.msg} in line {error.lineno}, column {error.colno}.") from None


def arrived_lesson(content: bytes) -> tuple[str, list[str]]:
    """The title of a lesson in a file, and the text that is kept of each of its boards. Raises Refusal."""
    title, boards = lesson_from_json(parsed(content))
    return title, [board_to_text(board) for board in boards]


def arrived_challenges(content: bytes) -> dict[int, str]:
    """The challenges in the file of a lesson that was read, as they are kept, by the numbers of their boards from 0. Raises Refusal."""
    data = parsed(content)
    return {number: one.model_dump_json() for number, one in challenges_from_json(data).items()} if data.get("challenges") else {}


def photographs_in(content: bytes) -> dict[str, bytes]:
    """The pictures in the file of a lesson that was read, by their marks. What is no base64 is left out."""
    found = {}
    for mark, text in parsed(content).get("photographs", {}).items():
        with suppress(ValueError):
            found[mark] = b64decode(text, validate=True)
    return found


def arrived_recipe(content: bytes) -> str:
    """The text that is kept of the recipe in a file. Raises Refusal."""
    return orjson.dumps(recipe_from_json(parsed(content)).to_json()).decode()


def arrived_paste(board: str, text: str, recipes: dict[str, Any]) -> str:
    """The patch, as JSON text, that adds a pasted working to a board. Raises Refusal.

    Args:
        board: the text that is kept of the board.
        recipes: the recipes that are known to the person, as JSON, by their keys in the catalogue.
    """
    CATALOGUE.use_own({key: recipe_from_json(data).construction(key) for key, data in recipes.items()})
    return orjson.dumps(pasted(board_from_store(board), Paste(kind="paste", text=text)).to_json()).decode()


def own_recipes() -> dict[str, Any]:
    """The recipes of whoever is being answered, as JSON, by their keys."""
    return {construction.key: construction.expands.__self__.to_json() for construction in CATALOGUE.group("Recipes")}
