"""What is asked for of one board besides its page: the panels of the drawer, its picture, its files."""

from contextlib import suppress

import orjson
from fastapi import APIRouter, Request
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import PlainTextResponse, Response
from markupsafe import Markup

from ...core import limits
from ...core.board import GROUNDS, PAPERS, UNITS
from ...core.catalogue import GAP_KINDS
from ...core.catalogue.by_hand import WAYS
from ...core.catalogue.places import free_corner
from ...core.display.palette import PENS, look_of, style_of
from ...core.display.text import shown_name, unit_text
from ...core.edits import PATTERNS, Retie
from ...core.edits.by_hand import counted, has_compass_work, told_moves
from ...core.edits.checking import PLAIN_DIMENSIONS
from ...core.kinds import (
    CIRCLE,
    CLAIM,
    CONDITION,
    LINE,
    MARK,
    MOTION,
    NUMBER,
    POINT,
    POLYGON,
    RAY,
    REGION,
    REGIONS,
    REVEAL,
    SUPPOSITION,
    WORDS_ON_BOARD,
)
from ...core.language.fills import fill_to_json
from ...core.language.printing import claim_words, phrase, rounded_text, sentence, told_in, working_text
from ...core.lesson.file import board_to_text
from ...core.lesson.judging import as_formula, looked_through, ties_of
from ...core.pointing.gathering import KINDS, RELATIONS
from ...core.refusal import Refusal
from ...core.truth.exact_equations import EQUATED
from ...core.truth.loose_ends import loose_ends
from ...core.truth.reasons.putting import WAYS as PUT_WAYS
from ...core.truth.reasons.putting import put_on_board
from ...core.truth.where import answers, condition_words, is_in_told, region_to_say, region_told
from ...drawings.plot import plot
from ...drawings.tables import log_csv
from ..live.reasons import reason_of
from ..live.verdicts import LOOKS, STOPPED
from ..people.who import live_board, signed_in
from ..rendering import page, picture_of
from ..worker import while_asked

router = APIRouter()
#: How long it is looked for what might be true, and for ties, in seconds.
_PATIENCE = 20
#: So long may be what a person calls lengths and angles.
_NAMING = 400


@router.get("/boards/{board_id}/picture.svg")
def picture(request: Request, board_id: int):
    """A small picture of a board."""
    return picture_of(live_board(request, board_id).board)


@router.get("/boards/{board_id}/working.txt")
def working_file(request: Request, board_id: int):
    """The construction as text."""
    return PlainTextResponse(working_text(live_board(request, board_id).board))


def working_rows(board):
    """What the working shows: its rows, in which free points that follow one another go together, and what is hidden."""
    rows = []
    for step in board.steps:
        if step.does == "free_point" and rows and rows[-1]["free"]:
            rows[-1]["steps"].append(step)
        else:
            tongue, words = told_in(board, step.id)
            if step.makes == SUPPOSITION:
                words = sentence(board, step.id)
            rows.append({"free": step.does == "free_point", "steps": [step], "words": words, "tongue": tongue})
    hidden = [step.id for step in board.steps if step.look.hidden]
    moves = told_moves(board, [step.id for step in board.steps]) if sum(counted(board, [step.id for step in board.steps])) else ""
    return {"rows": rows, "hidden": hidden, "moves": moves, "can_by_hand": any(step.does in WAYS for step in board.steps)}


@router.get("/boards/{board_id}/panels/working")
def working_panel(request: Request, board_id: int):
    """The working: the ordered list of sentences."""
    board = live_board(request, board_id).board
    return page(request, "panels/working.html", board=board, **working_rows(board))


@router.get("/boards/{board_id}/panels/readings")
def readings_panel(request: Request, board_id: int):
    """The readings with their values."""
    board = live_board(request, board_id).board
    readings = [step for step in board.steps if step.is_reading]
    turns = {step.id: gap.kind.options for step in readings if (gap := step.construction.gap_by_name.get("turn"))}
    plain = {step.id for step in readings if board.dimension(step.id) in PLAIN_DIMENSIONS}
    long = {step.id for step in readings if board.dimension(step.id) in (1, 2) and not step.construction.moves}
    return page(request, "panels/readings.html", board=board, readings=readings, turns=turns, plain=plain, long=long, units=UNITS)


@router.get("/boards/{board_id}/panels/log")
def log_panel(request: Request, board_id: int, across: int = 0, up: int = 1):
    """The log: the readings that are recorded, the table, the plot of one against another."""
    board = live_board(request, board_id).board
    readings = [step for step in board.steps if step.is_reading and board.dimension(step.id) in PLAIN_DIMENSIONS]
    columns = [(shown_name(board.name(id)), unit_text(board.dimension(id), board.settings.unit).strip()) for id in board.settings.log]
    most = len(columns) - 1
    across, up = min(max(across, 0), max(most, 0)), min(max(up, 0), max(most, 0))
    drawn = plot(board.settings.rows, across, up, columns) if len(columns) > 1 and len(board.settings.rows) > 1 else ""
    return page(
        request,
        "panels/log.html",
        board=board,
        board_id=board_id,
        readings=readings,
        columns=columns,
        across=across,
        up=up,
        plot=Markup(drawn),
        number=lambda value: "–" if value is None else rounded_text(value, board.settings.decimals),
    )


@router.get("/boards/{board_id}/log.csv")
def log_file(request: Request, board_id: int):
    """The log as CSV: names with units, then a row for each recording, in full precision."""
    text = log_csv(live_board(request, board_id).board)
    return Response(text, media_type="text/csv; charset=utf-8", headers={"content-disposition": 'attachment; filename="log.csv"'})


@router.get("/boards/{board_id}/panels/motions")
def motions_panel(request: Request, board_id: int):
    """The motions, the dials, and what leaves a trail."""
    board = live_board(request, board_id).board
    return page(
        request,
        "panels/motions.html",
        board=board,
        motions=[step for step in board.steps if step.makes == MOTION],
        dials=[step for step in board.steps if step.construction.moves == "turning"],
        trails=[step for step in board.steps if step.look.trail is not None],
        ways=GAP_KINDS["way"].options,
    )


@router.get("/boards/{board_id}/panels/history")
def history_panel(request: Request, board_id: int):
    """The edits of a board, the last first: each can be looked at and brought back."""
    live = live_board(request, board_id)
    rows = [row for row in request.app.state.lessons.edits(board_id) if row.number <= live.edits_done]
    edits = [(row.number - 1, orjson.loads(row.patch)["words"], row.made_at) for row in rows]
    return page(request, "panels/history.html", edits=edits)


@router.get("/boards/{board_id}/panels/claims")
async def claims_panel(
    request: Request, board_id: int, notice: bool = False, ids: str = "", ties: str = "", why: str = "", anew: bool = False
):
    """What is claimed on a board, with what is known of each, what its shapes are, and if asked for, what might be true of it or
    of what is selected: each of that becomes a claim at a click; what one of the claims rests on; and why one of them is so."""
    live = await run_in_threadpool(live_board, request, board_id)
    board = live.board
    claims = [(step, claim_words(board, step.id), live.verdict(step.id)) for step in board.steps if step.makes == CLAIM]
    chosen = [id for id in ids.split(",")[: limits.EDIT_THINGS] if id in board]
    shapes, found = [], []
    if notice or any(step.makes == POLYGON for step in board.steps):
        shapes, found = await while_asked(request, LOOKS.do(looked_through, board_to_text(board), chosen, notice, patience=_PATIENCE))
    is_there = ties in board and board.kind_of(ties) == CLAIM
    rests = await while_asked(request, LOOKS.do(ties_of, board_to_text(board), ties, patience=_PATIENCE)) if is_there else []
    made = {(step.does, frozenset(step.inputs)) for step, _, _ in claims}
    new = [one for one in found if (one.edit.steps[0].does, frozenset(one.ids)) not in made]
    return page(
        request, "panels/claims.html", board=board, board_id=board_id, claims=claims, stopped=STOPPED, chosen=bool(chosen), asked=notice,
        resting=ties, ties=rests, **await _reason(request, live, why, anew),
        shapes=[one for one in shapes if one[0] in board and (one[1] or one[2])],
        noticed=[(one, orjson.dumps(one.edit.model_dump()).decode()) for one in new],
    )  # fmt: skip


async def _reason(request, live, claim, anew):
    """Why a claim is so, for its panel; nothing where none is asked about."""
    if not claim:
        return {"reasoned": ""}
    puts, told, why = [], None, ""
    try:
        words = signed_in(request).angle_words
        state, told = await reason_of(live, claim, words, anew, lambda work: while_asked(request, work))
        for way, says in PUT_WAYS.items() if told else ():
            with suppress(Refusal):  # it has more lines than go on a board that way
                puts.append((way, says, put_on_board(live.board, told, way).model_dump()))
    except Refusal as refusal:
        state, why = "refused", refusal.sentence
    return {"reasoned": claim, "claim": claim, "state": state, "told": told, "why": why, "puts": puts}


@router.get("/boards/{board_id}/panels/readings/{id}/formula")
async def formula_panel(request: Request, board_id: int, id: str, frame: str = "", called: str = ""):
    """A reading, a point or a path as a formula in the coordinates, places and dials of the figure.

    Args:
        frame: two free points, of which the first is at (0, 0), the second on the x-axis.
        called: what quantities are called, such as "AB = c".
    """
    board = (await run_in_threadpool(live_board, request, board_id)).board
    chosen = tuple(one for one in frame.split(",")[:2] if one in board)
    found, why = None, ""
    try:
        if id not in board:
            raise Refusal("That is no longer on the board.")
        found = await while_asked(request, LOOKS.do(as_formula, board_to_text(board), id, chosen, called[:_NAMING], patience=_PATIENCE))
    except Refusal as refusal:
        why = refusal.sentence
    written = found and Markup(f'<math displaystyle="true">{found.mathml}</math>')  # of names, which hold no marks, and our own signs
    place = ", ".join(rounded_text(part, 2) for part in free_corner(board))
    return page(
        request, "panels/formula.html", found=found, written=written, why=why, board_id=board_id, id=id, frame=frame, called=called,
        place=place,
    )  # fmt: skip


@router.get("/boards/{board_id}/panels/where")
def where_panel(request: Request, board_id: int, ids: str = ""):
    """Conditions and regions: each shown or hidden, how large, and whether the points that are chosen are in them."""
    board = live_board(request, board_id).board
    chosen = [id for id in ids.split(",")[: limits.EDIT_THINGS] if id in board and board.kind_of(id) == POINT]
    regions = []
    for step in board.steps:
        if step.makes == REGION:
            value = board.value(step.id)
            sizes = [] if value is None or value.is_endless or value.is_empty else [(value.area, 2), (value.perimeter, 1)]
            size = [rounded_text(number, board.settings.decimals) + unit_text(power, board.settings.unit) for number, power in sizes]
            asked = [(board.name(id), is_in_told(board, id, step.id), answers(board, id, step.id)) for id in chosen if board.value(id)]
            regions.append((step, phrase(step.construction, step.fills, board.names), size, region_told(board, step.id), asked))
    conditions = [(step, condition_words(board, step.id)) for step in board.steps if step.makes == CONDITION]
    first = region_to_say(board)
    return page(request, "panels/where.html", board=board, regions=regions, conditions=conditions, chosen=chosen, first=first)


@router.get("/boards/{board_id}/panels/loose")
def loose_panel(request: Request, board_id: int, reach: float = 0.2):
    """What looks tied and is not, each with the edit that ties it."""
    board = live_board(request, board_id).board
    found = loose_ends(board, min(max(reach, 1e-9), 1e6))
    ends = [(end, orjson.dumps(end.edit.model_dump()).decode() if end.edit else None) for end in found]
    return page(request, "panels/loose.html", ends=ends)


@router.get("/boards/{board_id}/panels/look")
def look_panel(request: Request, board_id: int, ids: str = ""):
    """The look of what is selected, or of the board where nothing is."""
    board = live_board(request, board_id).board
    steps = [board.step(id) for id in ids.split(",")[: limits.EDIT_THINGS] if id in board]
    if not steps:
        hidden = [step for step in board.steps if step.look.hidden]
        return page(
            request,
            "panels/board_look.html",
            board=board,
            board_id=board_id,
            units=UNITS,
            grounds=GROUNDS,
            papers=PAPERS,
            hidden=hidden,
            gathered=KINDS,
        )
    styles = [style_of(step, board.settings.looks) for step in steps]
    common = {
        part: _shared(style[part] for style in styles) for part in ("pen", "width", "pattern", "fill", "size", "label", "tag", "hidden")
    }
    common["part"] = _shared(bool(step.look.part) for step in steps)
    common["caption"] = _shared(step.look.caption for step in steps)
    common["cover"] = _shared(step.look.cover for step in steps)
    common["teacher_lifts"] = _shared(step.look.teacher_lifts for step in steps)
    common["trail"] = _shared(step.look.trail for step in steps)
    common["snap"] = _shared(step.look.snap for step in steps)
    common["strokes"] = _shared(step.fills.get("strokes") for step in steps)
    pegs = [step for step in steps if step.construction.moves]
    common["locked"] = bool(pegs) and all(step.look.locked for step in pegs)
    common["teacher_only"] = bool(pegs) and all(step.look.teacher_only for step in pegs)
    one = steps[0] if len(steps) == 1 else None
    by_hand = one is not None and has_compass_work(board, one.id)
    place = None
    if one and one.construction.moves == "free":
        place = ", ".join(rounded_text(part, 3).rstrip("0").rstrip(".") for part in one.fills["at"])
    kinds = {step.makes for step in steps}
    reveals = [step for step in board.steps if step.makes == REVEAL]
    putting_in = [
        (reveal, _with_things(reveal, [*reveal.fills["things"], *more]))
        for reveal in reveals
        if REVEAL not in kinds and (more := [step.id for step in steps if step.id not in reveal.fills["things"]])
    ]
    return page(
        request,
        "panels/look.html",
        copied=look_of(one, board.settings.looks) if one else None,
        putting_in=putting_in,
        coverable=kinds <= {NUMBER, MARK, WORDS_ON_BOARD, CLAIM},
        only_words=kinds == {WORDS_ON_BOARD},
        only_reveals=kinds == {REVEAL},
        without=lambda reveal, id: _with_things(reveal, [other for other in reveal.fills["things"] if other != id]),
        board=board,
        steps=steps,
        common=common,
        one=one,
        by_hand=by_hand,
        second_way=WAYS[one.does].called if one and by_hand else "",
        equated=one is not None and one.inputs and one.makes in (POINT, *EQUATED),
        place=place,
        pegs=pegs,
        pens=list(PENS),
        patterns=PATTERNS,
        kinds=kinds,
        has_lines=any(step.makes != POINT for step in steps),
        point=POINT,
        filled=bool(kinds & set(REGIONS)),
        shortened=kinds & {LINE, RAY, CIRCLE},
        marks=kinds == {MARK},
        strokes=GAP_KINDS["strokes"].options,
        relations=RELATIONS,
    )


def _with_things(reveal, ids):
    """The edit, as JSON, that gives a reveal other things to show."""
    fills = {name: fill_to_json(fill) for name, fill in reveal.fills.items()}
    return orjson.dumps(Retie(id=reveal.id, does="reveal", fills={**fills, "things": ids}).model_dump()).decode()


def _shared(values):
    """The value that all have, or None where they differ."""
    values = set(values)
    return values.pop() if len(values) == 1 else None
