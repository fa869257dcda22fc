"""From what a person types to the steps that it adds."""

import re
from collections.abc import Callable, Iterable, Sequence
from contextlib import suppress
from typing import Any, TypeAlias

from ..board.board import Board
from ..board.step import Step
from ..catalogue import CATALOGUE, Construction, Some
from ..kinds import CLAIM, POLYGON
from ..language import completion
from ..language import names as spelling
from ..language.equation import NoEquals
from ..language.expression import Formula, read_formula
from ..language.filling import operand, plain_statement, tells_most
from ..language.fills import fill_to_json, is_ids
from ..language.names import check_name
from ..language.printing import phrase
from ..language.reading import NoSentence, ReadStep, TooManyWays, read_sentence
from ..language.suggesting import suggestions
from ..language.tokens import tokens
from ..language.tongue import TONGUES
from ..language.understanding import Reading, Understanding
from ..refusal import Refusal
from .adding import step_of, with_defaults
from .checking import check_fills
from .filling_in import left_out
from .models import NewStep

#: Two readings of which one is better by less than this are both meant.
_CLOSE = 2.0
#: From how many letters on a text is completed by what it would be read as.
_LEAST = 4
#: How long a text may be that is read in other ways than its own.
_LONGEST = 400


def said(text: str, board: Board) -> list[NewStep]:
    """A typed sentence as steps to add, the last of them what it is about. Raises Refusal, with sentences that would be taken
    as its ``ways`` where there are some near."""
    sure = False
    if _asks(text, board):
        try:
            return claim_said(text, board)
        except Refusal:
            if "=" in text:
                raise  # "how long is AB?" asks for something else
    try:
        read = read_sentence(text, board, CATALOGUE, check_fills)
        sure = True  # but for the name, if that is none
        if read.name is not None and " " in read.name:
            check_name(read.name)
        return [_new(read, {})]
    except TooManyWays:
        raise
    except Refusal as refusal:
        if len(text) > _LONGEST:
            raise
        if _begins_with_a_thing(text, board):
            with suppress(Refusal):
                return claim_said(text, board)
        return _understood(text, board, refusal, sure)


def _asks(text: str, board: Board) -> bool:
    """Whether a text is a question, or says that something is equal to what is on the board already."""
    left, equals, _ = text.partition("=")
    if text.rstrip().endswith("?") and re.match(r"(?:is|are|does|do)\s", text.strip(), re.IGNORECASE):
        return True
    if not equals or _ASKING.match(text.strip()):
        return text.rstrip().endswith("?") or bool(_ASKING.match(text.strip()))
    with suppress(Refusal):
        plain = plain_statement(f"{left} = 0").removesuffix("= 0").strip()
        return bool(read_formula(plain, lambda name, function: operand(name, function, board)).operands)
    return False


def _begins_with_a_thing(text: str, board: Board) -> bool:
    """Whether a text begins with the name of what is there already, so that it is hardly about something new."""
    first = next(iter(tokens(text)), None)
    if first is None:
        return False
    name = spelling.tidy(first.text)
    return bool(board.ids_named(name)) or bool(name[:1].isupper() and spelling.unspelt(name, board.points_by_name, range(2, 9)))


def _understood(text: str, board: Board, refusal: Refusal, sure: bool) -> list[NewStep]:
    reader = _reader(text, board)
    found = reader.readings()
    if not found:
        near = tuple(way for way in suggestions(reader.text, board, CATALOGUE, check_fills) if _is_read(way, board))
        words, why = max(reader.refusals, key=tells_most, default=(0.0, refusal))
        # An equation that cannot be taken is explained by what is wrong with it.
        said_why = why if words and not sure and "=" not in reader.text else refusal
        if near and isinstance(said_why, (NoSentence, NoEquals)):
            raise Refusal(f"“{text[:60]}” is no sentence here. What is near it stands at the foot; Enter takes the first.", ways=near)
        raise Refusal(said_why.sentence, said_why.place if said_why is refusal else None, ways=near)
    meant = [one for one in found if one.score > found[0].score - _CLOSE]
    if len(meant) > 1:
        ways = tuple(dict.fromkeys(way for one in meant[:6] if _is_taken(way := _sentence(one, board), text, board)))
        if len(ways) != 1:
            raise Refusal("Which is meant?" if ways else "That can be meant in several ways. Say it in a longer sentence.", ways=ways)
    return _steps(meant[0], board)


def _steps(best: Reading, board: Board) -> list[NewStep]:
    """A reading as steps to add."""
    known: dict[str, int] = {}
    news = []
    for read, ids in zip(best.steps, _ids_of(best, board)):
        news.append(_new(read, known))
        for id in ids:
            known[id] = len(known)
    return news


def described(text: str, board: Board) -> str | None:
    """The id of the thing on a board that a sentence describes, such as "the altitude from A"; None where none is so made."""
    try:
        reads = [read_sentence(text, board, CATALOGUE, check_fills)]
    except Refusal:
        found = _reader(text, board).readings() if len(text) <= _LONGEST else []
        reads = [one.steps[0] for one in found if len(one.steps) == 1]
    return next((id for read in reads for id in board.alike(read.construction.key, read.fills)), None)


_NO_CLAIM = "That claims nothing that can be tried. Say it so: “A, B and C are in line”, “p is parallel to q”, “AB = CD”."
#: How a question, or what leads up to a claim, begins.
_ASKING = re.compile(
    r"(?:is it (?:so|true|the case)\s+(?:that\s+)?|(?:i\s+)?(?:the\s+)?claim\s+(?:that\s+)?|check (?:that|whether|if)\s+)", re.IGNORECASE
)


def claim_said(text: str, board: Board) -> list[NewStep]:
    """What a person claims or asks, as steps to add, the last of them the claim: "A, B and C are in line", "is k tangent to p?".

    Two points between which nothing is drawn stand for the line through them; a segment and a side end where they end.

    Raises:
        Refusal: where the text claims nothing that can be tried.
    """
    *before, claim = _claim_said(text, board)
    pairs = [gap for gap in ("path", "a", "b") if len(claim.fills.get(gap) or ()) == 2]
    if claim.does not in ("lies_on", "are_tangent") or not pairs or _PART.search(text):
        return [*before, claim]
    if len(pairs) > 1 or _is_drawn(claim.fills[pairs[0]], board):
        return [*before, claim]
    if claim.does == "lies_on":
        return [*before, claim.model_copy(update={"does": "lies_on_line"})]
    other = "b" if pairs[0] == "a" else "a"
    fills = {**claim.fills, "a": claim.fills[pairs[0]], "b": claim.fills[other]}
    return [*before, claim.model_copy(update={"does": "line_is_tangent", "fills": fills})]


#: What says that a part between two points is meant.
_PART = re.compile(r"\b(?:segment|side|edge)\b", re.IGNORECASE)


def _is_drawn(pair: Any, board: Board) -> bool:
    """Whether there is a segment, a vector or a side between two points."""
    for step in board.steps:
        if step.does in ("segment", "vector") and {*step.fills["from"], *step.fills["to"]} == set(pair):
            return True
        corners = step.fills.get("corners", ()) if step.makes == POLYGON else ()
        if any({corners[number - 1], corner} == set(pair) for number, corner in enumerate(corners)):
            return True
    return False


def _claim_said(text: str, board: Board) -> list[NewStep]:
    plain = _ASKING.sub("", text.strip().rstrip("?!. "), count=1)
    if (first := re.match(r"(?:is|are|does|do)\s+", plain, re.IGNORECASE)) and not board.ids_named(first[0].strip()):
        plain = plain[first.end() :]
    try:
        return [_new(read_sentence(f"the claim that {plain}", board, CATALOGUE, check_fills), {})]
    except TooManyWays:
        raise
    except Refusal as refusal:
        if len(plain) > _LONGEST:
            raise
        reader = _reader(plain, board, gives_name=False)
        found = reader.readings(CLAIM)
        if found:
            return _steps(found[0], board)
        _, why = max(reader.refusals, key=lambda pair: pair[0], default=(0.0, refusal))
        if "=" in plain:
            raise refusal
        raise Refusal(why.sentence if reader.refusals else _NO_CLAIM) from None


def _reader(text: str, board: Board, gives_name: bool = True) -> Understanding:
    return Understanding(text, board, CATALOGUE, check_fills, _grown, left_out, gives_name)


def _ids_of(reading: Reading, board: Board) -> list[list[str]]:
    """For each step of a reading the ids that it gets on the board with the helpers on it."""
    made = [step.id for step in reading.board.steps[len(board) :]]
    helpers = len(reading.steps) - 1
    return [[id] for id in made[:helpers]] + [[]]


def _new(read: ReadStep, known: dict[str, int]) -> NewStep:
    fills = {name: fill_to_json(_renamed(fill, known)) for name, fill in read.fills.items()}
    return NewStep(does=read.construction.key, fills=fills, name=read.name)


def _renamed(fill: Any, known: dict[str, int]) -> Any:
    """A fill with "new:0" for the first step that is made before, and so on."""
    places = {id: f"new:{number}" for id, number in known.items()}
    if is_ids(fill):
        return tuple(places.get(id, id) for id in fill)
    if isinstance(fill, Formula):
        return type(fill)(fill.text, tuple(tuple(places.get(id, id) for id in operand) for operand in fill.operands))
    return fill


def _grown(board: Board, reads: Sequence[ReadStep]) -> tuple[Board, list[str]]:
    """A copy of a board with steps put on, as they would be, and the ids of these."""
    ahead = board.copy()
    made: list[Step] = []
    for read in reads:
        check_fills(read.construction, read.fills, ahead)
        step = step_of(ahead, read.construction, with_defaults(read.construction, read.fills, ahead), read.name)
        ahead.append(step)
        made.append(step)
    return ahead, [step.id for step in made]


def _sentence(reading: Reading, board: Board) -> str:
    """A reading as a sentence, in which what would have to be made before is described."""
    names = dict(board.names)
    for read, ids in zip(reading.steps, _ids_of(reading, board)):
        for id in ids:
            names[id] = phrase(read.construction, read.fills, names, full=True)
    main = reading.steps[-1]
    words = phrase(main.construction, main.fills, names, full=True, board=board if len(reading.steps) == 1 else None)
    return f"{main.name} is {words}" if main.name else words


def _is_read(sentence: str, board: Board) -> bool:
    """Whether a sentence is one of the catalogue's own, as it stands."""
    try:
        read_sentence(sentence, board, CATALOGUE, check_fills)
    except Refusal:
        return False
    return True


def _is_taken(sentence: str, text: str, board: Board) -> bool:
    """Whether a sentence would be taken in the place of a text that could mean several things."""
    if sentence == text:
        return False
    try:
        said(sentence, board)
    except Refusal:
        return False
    return True


#: Which of some constructions may be said.
Among: TypeAlias = Callable[[Iterable[Construction]], Iterable[Construction]]


def completions(text: str, board: Board, among: Among = list) -> list[completion.Completion]:
    """The ways to go on from a typed text, in the sentences of the catalogue; see ``language.completion``. Where it goes on in
    none of them: the sentence as which it would be read, or those that are near.

    Args:
        among: which constructions are completed.
    """
    some = Some(among(CATALOGUE))
    found = completion.complete(text, board, some)
    if not found and (code := board.settings.language) != "en":
        return completion.complete(text, board, Some(among(CATALOGUE.in_tongue(code))), TONGUES[code])
    if found or "=" in text or not _LEAST <= len(text.strip()) <= _LONGEST // 4:
        return found
    reader = _reader(text, board)
    readings = [one for one in reader.readings() if all(read.construction.key in some for read in one.steps)]
    sentences = [_sentence(one, board) for one in readings[:3] if one.score > readings[0].score - _CLOSE and len(one.steps) == 1]
    near = sentences or ([] if readings else suggestions(reader.text, board, some, check_fills))
    return [completion.Completion(sentence, sentence, "") for sentence in near if _is_read(sentence, board)]
