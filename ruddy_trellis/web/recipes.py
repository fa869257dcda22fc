"""Recipes on the shelf: kept from a board, read from a file, saved as one, thrown away."""

from typing import Annotated

import orjson
from fastapi import APIRouter, Form, HTTPException, Request, UploadFile
from fastapi.responses import RedirectResponse, Response

from ..core.catalogue import CATALOGUE
from ..core.recipes import keep, likely_givens, needed, recipe_from_json
from ..core.refusal import Refusal
from . import pages

router = APIRouter()


def key_of(recipe_id):
    """The key under which a kept recipe is a sentence of the catalogue."""
    return f"recipe_{recipe_id}"


def make_known(recipe, recipe_id):
    """Put a recipe on the shelf, in the place of an older one of that id."""
    forget(recipe_id)
    CATALOGUE.add(recipe.construction(key_of(recipe_id)))


def forget(recipe_id):
    """Take a recipe off the shelf."""
    if key_of(recipe_id) in CATALOGUE:
        CATALOGUE.remove(key_of(recipe_id))


def load_all(store):
    """Put every kept recipe on the shelf, and take off what is there from another store."""
    for construction in CATALOGUE.group("Recipes"):
        CATALOGUE.remove(construction.key)
    for row in store.recipes():
        make_known(recipe_from_json(orjson.loads(row.document)), row.id)


def _keep(request, recipe):
    taken = {construction.tool for construction in CATALOGUE.group("Recipes")}
    if recipe.name in taken:
        raise Refusal(f"There is a recipe called “{recipe.name}” already. Choose another name.")
    row = request.app.state.lessons.keep_recipe(orjson.dumps(recipe.to_json()).decode())
    make_known(recipe, row.id)
    return row


@router.get("/boards/{board_id}/panels/recipe")
def recipe_panel(request: Request, board_id: int, ids: str = "", problem: str = ""):
    """What would be kept: the results that are selected, and what they could be given."""
    board = pages.live_board(request, board_id).board
    results = [id for id in ids.split(",") if id in board]
    choices = [board.step(id) for id in needed(board, results) if id not in results]
    return pages.page(request, "panels/recipe.html", board=board, board_id=board_id, results=results, choices=choices, givens=likely_givens(board, results), problem=problem)


@router.post("/boards/{board_id}/recipes")
def keep_recipe(request: Request, board_id: int, name: Annotated[str, Form()] = "", results: Annotated[str, Form()] = "", given: Annotated[list[str] | None, Form()] = None):
    """Keep a recipe from a board. Answers with its panel, which says what is wrong where something is."""
    board = pages.live_board(request, board_id).board
    ids = [id for id in results.split(",") if id in board]
    try:
        recipe = keep(board, name, ids, [id for id in given or [] if id in board])
        _keep(request, recipe)
    except Refusal as refusal:
        return recipe_panel(request, board_id, results, refusal.sentence)
    return pages.page(request, "panels/recipe_kept.html", recipe=recipe)


@router.get("/recipes/{recipe_id}.json")
def recipe_file(request: Request, recipe_id: int):
    """A recipe as a file."""
    row = request.app.state.lessons.recipe(recipe_id)
    if row is None:
        raise HTTPException(404)
    return Response(orjson.dumps(orjson.loads(row.document), option=orjson.OPT_INDENT_2), media_type="application/json",
                    headers={"content-disposition": f'attachment; filename="recipe-{recipe_id}.json"'})  # fmt: skip


@router.post("/recipes/read")
async def read_recipe(request: Request, file: UploadFile):
    """Keep a recipe from a file."""
    try:
        _keep(request, recipe_from_json(await pages.json_of(file)))
    except Refusal as refusal:
        return pages.lesson_list_page(request, problem=refusal.sentence, status=422)
    return RedirectResponse("/#recipes", 303)


@router.post("/recipes/{recipe_id}/delete")
def delete_recipe(request: Request, recipe_id: int):
    """Throw a recipe away. What was made with it stays: its steps are ordinary ones."""
    request.app.state.lessons.delete_recipe(recipe_id)
    forget(recipe_id)
    return RedirectResponse("/#recipes", 303)
