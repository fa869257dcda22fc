"""Recipes on the shelf: kept from a board, read from a file, saved as one, thrown away."""

from contextlib import suppress
from typing import Annotated

import orjson
from fastapi import APIRouter, Form, HTTPException, Request, UploadFile
from fastapi.responses import RedirectResponse, Response
from starlette.concurrency import run_in_threadpool

from ...core.catalogue import CATALOGUE
from ...core.lesson.arriving import arrived_recipe
from ...core.lesson.recipes import keep, likely_givens, needed, recipe_from_json
from ...core.refusal import Refusal
from ..people.who import is_theirs, live_board, signed_in
from ..rendering import content_of, page
from ..worker import WORKER
from .pages import lesson_list_page
from .room import check_room

router = APIRouter()
#: So many recipes one teacher keeps at most: all of them stand on the shelf.
RECIPES = 60
#: How long a recipe may take to be made once, in seconds: it is made again for its picture and its steps in lists.
_PATIENCE = 3


def key_of(recipe_id):
    """The key under which a kept recipe is a sentence of the catalogue."""
    return f"recipe_{recipe_id}"


class RecipeShelves:
    """The recipes of each teacher as sentences of the catalogue, by their keys; read from the store when first asked for."""

    def __init__(self, lessons):
        self._lessons = lessons
        self._shelves = {}

    def of(self, teacher_id):
        """A teacher's own constructions by key. What is added to it later is known at once wherever it is in use."""
        if teacher_id not in self._shelves:
            shelf = {}
            for row in self._lessons.recipes(teacher_id):
                # One that can no longer be read must not keep its teacher from all else; its file can still be saved.
                with suppress(Refusal):
                    shelf[key_of(row.id)] = recipe_from_json(orjson.loads(row.document)).construction(key_of(row.id))
            self._shelves.setdefault(teacher_id, shelf)
        return self._shelves[teacher_id]

    def forget(self, teacher_id):
        """The teacher is gone."""
        self._shelves.pop(teacher_id, None)


def recipe_documents(request, teacher_id, keys):
    """Those of a teacher's recipes that have these keys, as JSON by key."""
    rows = request.app.state.lessons.recipes(teacher_id) if keys else []
    return {key_of(row.id): orjson.loads(row.document) for row in rows if key_of(row.id) in keys}


def _keep(request, recipe):
    teacher = signed_in(request)
    check_room(request, teacher.id)
    if len(request.app.state.recipe_shelves.of(teacher.id)) >= RECIPES:
        raise Refusal(f"A teacher keeps at most {RECIPES} recipes. Delete one that is no longer needed.")
    if recipe.name in {construction.tool for construction in CATALOGUE.group("Recipes")}:
        raise Refusal(f"There is a recipe called “{recipe.name}” already. Choose another name.")
    row = request.app.state.lessons.keep_recipe(teacher.id, orjson.dumps(recipe.to_json()).decode())
    request.app.state.recipe_shelves.of(teacher.id)[key_of(row.id)] = recipe.construction(key_of(row.id))


def _own_recipe(request, recipe_id):
    row = request.app.state.lessons.recipe(recipe_id)
    if row is None or not is_theirs(request, row.teacher_id):
        raise HTTPException(404)
    return row


@router.get("/boards/{board_id}/panels/recipe")
def recipe_panel(request: Request, board_id: int, ids: str = "", problem: str = ""):
    """What would be kept: the results that are selected, and what they could be given."""
    board = live_board(request, board_id).board
    results = [id for id in ids.split(",") if id in board]
    choices = [board.step(id) for id in needed(board, results) if id not in results]
    return page(
        request,
        "panels/recipe.html",
        board=board,
        board_id=board_id,
        results=results,
        choices=choices,
        givens=likely_givens(board, results),
        problem=problem,
    )


@router.post("/boards/{board_id}/recipes")
def keep_recipe(
    request: Request,
    board_id: int,
    name: Annotated[str, Form()] = "",
    results: Annotated[str, Form()] = "",
    given: Annotated[list[str] | None, Form()] = None,
):
    """Keep a recipe from a board. Answers with its panel, which says what is wrong where something is."""
    board = live_board(request, board_id).board
    ids = [id for id in results.split(",") if id in board]
    try:
        recipe = keep(board, name, ids, [id for id in given or [] if id in board])
        _keep(request, recipe)
    except Refusal as refusal:
        return recipe_panel(request, board_id, results, refusal.sentence)
    return page(request, "panels/recipe_kept.html", recipe=recipe)


@router.get("/recipes/{recipe_id}.json")
def recipe_file(request: Request, recipe_id: int):
    """A recipe as a file."""
    row = _own_recipe(request, recipe_id)
    return Response(orjson.dumps(orjson.loads(row.document), option=orjson.OPT_INDENT_2), media_type="application/json",
                    headers={"content-disposition": f'attachment; filename="recipe-{recipe_id}.json"'})  # fmt: skip


@router.post("/recipes/read")
async def read_recipe(request: Request, file: UploadFile):
    """Keep a recipe from a file."""
    signed_in(request)
    try:
        document = await WORKER.do(arrived_recipe, await content_of(file), patience=_PATIENCE)
        await run_in_threadpool(_keep, request, recipe_from_json(orjson.loads(document)))
    except Refusal as refusal:
        return await run_in_threadpool(lesson_list_page, request, problem=refusal.sentence, status=422)
    return RedirectResponse("/#recipes", 303)


@router.post("/recipes/{recipe_id}/delete")
def delete_recipe(request: Request, recipe_id: int):
    """Throw a recipe away. What was made with it stays: its steps are ordinary ones."""
    row = _own_recipe(request, recipe_id)
    request.app.state.lessons.delete_recipe(recipe_id)
    request.app.state.recipe_shelves.of(row.teacher_id).pop(key_of(recipe_id), None)
    return RedirectResponse("/#recipes", 303)
