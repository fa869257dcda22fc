"""Making challenges: the teacher's side. What is right is told to nobody else."""

from typing import Annotated, Any

from fastapi import APIRouter, Form, Request
from starlette.concurrency import run_in_threadpool

from ...core.challenge import check_challenge, started
from ...core.challenge.branches import branched, branches
from ...core.challenge.challenge import challenge_of, sought_of
from ...core.challenge.judging import meets_already
from ...core.challenge.proposing import proposed, task_for
from ...core.display.text import thing_value_text
from ...core.edits import Arrange, prepare
from ...core.kinds import THINGS, word
from ...core.kits import KITS, kit_of
from ...core.language.printing import noun
from ...core.lesson.file import board_to_text
from ...core.refusal import Refusal
from ..live.apart import apart
from ..people.who import live_board
from ..rendering import page

router = APIRouter()
_LONG = 4000


@router.get("/boards/{board_id}/challenge")
def challenge_panel(request: Request, board_id: int, ids: str = ""):
    """What a challenge of a board is, or could be; what is selected there is the answer."""
    return _panel(request, board_id, ids.split(","))


def _panel(request, board_id, selected=(), problem="", fields: dict[str, Any] | None = None):
    live = live_board(request, board_id)
    challenge = live.challenge
    solution = live.solution if challenge else live.board
    if fields is None:
        fields = _fields_of(live, challenge) if challenge else _proposed_fields(solution, selected)
    answers = [id for id in fields["answers"] if id in solution]
    ways = branches(solution, answers, set(fields["given"])) if answers else []
    return page(
        request, "panels/challenge.html", board=solution, board_id=board_id, steps=[step for step in solution.steps if _is_shown(step)],
        answerable=THINGS, challenge=challenge, kits=KITS.values(), problem=problem, ways=_told_ways(solution, answers, ways), **fields,
    )  # fmt: skip


def _is_shown(step):
    return step.makes not in ("claim", "supposition", "words", "reveal", "motion")


def _fields_of(live, challenge):
    given = _given_of(live.board, live.solution)
    return {
        "given": given,
        "answers": challenge.answers,
        "task": challenge.task,
        "hints": "\n".join(challenge.hints),
        "by": challenge.by,
        "claims": "\n".join(challenge.claims),
        "sought": "\n".join(_told_sought(one) for one in challenge.sought),
        "moves": challenge.moves or "",
        "held": challenge.held,
        "every": challenge.every,
        "ticked": [_key(way) for way in challenge.branches],
        "kit": live.board.settings.kit,
    }


def _given_of(start, solution):
    """The ids of what of a solution stands on the start; what the teacher has put there later is none of it, whatever its id is."""
    return [step.id for step in start.steps if step.id in solution and solution.step(step.id).does == step.does]


def _proposed_fields(board, selected):
    found = proposed(board, selected)
    blank = {"hints": "", "by": "same", "claims": "", "sought": "", "moves": "", "held": False, "every": False, "ticked": [_key({})]}
    return {**blank, "given": list(found.given), "answers": list(found.answers), "task": found.task, "kit": found.kit}


def _key(way):
    """A way to branch as the value of a tick."""
    return " ".join(f"{id}={word}" for id, word in sorted(way.items())) or "-"


def _told_ways(solution, answers, ways):
    """The other answers in words: where they are."""
    told = []
    for way in ways:
        board = branched(solution, way)
        places = [f"{solution.name(id)} at {thing_value_text(board, id)}" for id in answers if board.kind_of(id) == "point"]
        words = "; ".join(f"{noun(solution, id)}, {which} one" for id, which in way.items())
        told.append((_key(way), "as it is here" if not way else words, ", ".join(places)))
    return told if len(told) > 1 else []


def _told_sought(one):
    corners = f" with corners {', '.join(one.corners)}" if one.corners else ""
    return f"{one.name} is a {one.kind}{corners}"


def _read_sought(line):
    """What is sought from a line such as "Q is a polygon with corners A, C". Raises Refusal."""
    head, _, corners = line.partition(" with corners ")
    name, is_, kind = head.strip().partition(" is ")
    kind = kind.strip().removeprefix("an ").removeprefix("a ").strip()
    kinds = {word(one): one for one in THINGS}
    kind = kinds.get(kind, kind)
    if not is_ or kind not in THINGS:
        raise Refusal(f"“{line[:60]}” does not say what is to be made. Say it so: “X is a point”, “Q is a polygon with corners A, C”.")
    return sought_of(name.strip(), kind, [one.strip() for one in corners.replace(" and ", ",").split(",") if one.strip()])


@router.post("/boards/{board_id}/challenge")
async def make_challenge(
    request: Request,
    board_id: int,
    task: Annotated[str, Form(max_length=_LONG)] = "",
    hints: Annotated[str, Form(max_length=_LONG)] = "",
    by: Annotated[str, Form(max_length=10)] = "same",
    given: Annotated[list[str] | None, Form()] = None,
    answers: Annotated[list[str] | None, Form()] = None,
    ways: Annotated[list[str] | None, Form()] = None,
    claims: Annotated[str, Form(max_length=_LONG)] = "",
    sought: Annotated[str, Form(max_length=_LONG)] = "",
    moves: Annotated[str, Form(max_length=10)] = "",
    held: Annotated[bool, Form()] = False,
    every: Annotated[bool, Form()] = False,
    kit: Annotated[str, Form(max_length=20)] = "compass",
    look: Annotated[bool, Form()] = False,
):
    """Make a challenge of a board: it holds the start from then on. With ``look`` it is only shown again, for other marks."""
    live = await run_in_threadpool(live_board, request, board_id)
    fields: dict[str, Any] = {
        "given": given or [], "answers": answers or [], "task": task, "hints": hints, "by": by, "claims": claims, "sought": sought,
        "moves": moves, "held": held, "every": every, "ticked": ways or [], "kit": kit,
    }  # fmt: skip
    solution = (await run_in_threadpool(lambda: live.solution)) if live.challenge else live.board.copy()
    if look:
        if not task.strip() or task.startswith("Find "):
            fields["task"] = task_for(solution, [id for id in fields["answers"] if id in solution], fields["given"])
        return await run_in_threadpool(_panel, request, board_id, (), "", fields)
    try:
        stands = live.board.copy() if live.challenge else None
        challenge, start = await apart(100 * len(solution), _made, solution, fields, live.challenge, stands)
        if stands is None:
            await live.begin(start, challenge)
        else:
            await live.change_challenge(challenge)
            if fields["kit"] != live.board.settings.kit:
                await live.change(Arrange(kit=fields["kit"]))
    except Refusal as refusal:
        return await run_in_threadpool(_panel, request, board_id, (), refusal.sentence, fields)
    return page(request, "panels/challenge_made.html", board_id=board_id, challenge=challenge, count=len(solution) - len(start))


def _made(solution, fields, before, stands):
    """The challenge and its start: the one that stands, where there is a challenge already. Raises Refusal."""
    if not fields["task"].strip():
        raise Refusal("Say in words what is to be done.")
    given = [id for id in fields["given"] if id not in fields["answers"]]
    start = started(solution, given) if stands is None else stands
    chosen = fields["kit"] == "chosen" and kit_of(start.settings.with_(kit="chosen")).builds
    if not chosen and (fields["kit"] not in KITS or not KITS[fields["kit"]].builds):
        raise Refusal("With this kit nothing can be built: choose another one.")
    prepare(start, Arrange(kit=fields["kit"])).apply(start)
    same = fields["by"] == "same"
    answers = [id for id in fields["answers"] if id in solution] if same else []
    possible = {_key(way): way for way in branches(solution, answers, set(_given_of(start, solution)))} if answers else {}
    if fields["moves"] and not fields["moves"].isdecimal():
        raise Refusal("In how many moves is a whole number, or nothing.")
    challenge = challenge_of(
        task=fields["task"].strip(),
        hints=[line.strip() for line in fields["hints"].splitlines() if line.strip()],
        by="same" if same else "claims",
        answers=answers,
        branches=[way for key, way in possible.items() if key in fields["ticked"]] or [{}],
        every=fields["every"],
        sought=[] if same else [_read_sought(line) for line in fields["sought"].splitlines() if line.strip()],
        claims=[] if same else [line.strip() for line in fields["claims"].splitlines() if line.strip()],
        moves=int(fields["moves"]) if fields["moves"] else None,
        held=fields["held"],
        solution=board_to_text(solution),
        version=before.version + 1 if before else 1,
    )
    check_challenge(challenge, solution, start)
    if meets_already(start, challenge, solution):
        raise Refusal("What is asked for is given already, so there is nothing to do.")
    return challenge, start


@router.post("/boards/{board_id}/challenge/back")
async def take_back(request: Request, board_id: int):
    """The board is the solution again, and no challenge."""
    live = await run_in_threadpool(live_board, request, board_id)
    if live.challenge is not None:
        solution = await run_in_threadpool(lambda: live.solution)
        await live.begin(solution.copy(), None)
    return await run_in_threadpool(_panel, request, board_id)
