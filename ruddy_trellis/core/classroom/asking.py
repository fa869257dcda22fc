"""What is put to a class, what was answered, and how that is counted: a choice of words, a claim, a place, whether something may stand
somewhere, what two angles are called."""

from collections import Counter
from collections.abc import Iterable, Mapping
from dataclasses import asdict, dataclass
from math import hypot
from random import choice
from typing import Any, Literal, TypeAlias

from ..board.board import Board
from ..display import Extent
from ..display.text import rounded_text, unit_text
from ..kinds import CLAIM, POINT
from ..language.printing import noun, sentence
from ..refusal import Refusal
from ..seen import Items
from ..truth.angle_pairs import NAMES, called, drawn, eight_angles, pairs
from .collecting import holds_at

Kind: TypeAlias = Literal["words", "claim", "place", "may", "angles"]
#: How long a question and a choice are at most, and how many choices there are.
WORDS, CHOICE, CHOICES = 300, 60, 6
#: What is answered where it is asked whether something is so.
_YES_NO = ("yes", "no")


@dataclass(frozen=True)
class Question:
    """What is asked.

    Attributes:
        kind: of what kind.
        words: the question.
        choices: among which words is chosen; none where a place is asked for.
        about: the id of the step that is asked about; "" for none.
        right: which choice is right, counted from 0; None where that is not known, or is another on each board.
        lines, angles: of which three lines which two angles are meant.
    """

    kind: Kind
    words: str
    choices: tuple[str, ...] = ()
    about: str = ""
    right: int | None = None
    lines: tuple[str, ...] = ()
    angles: tuple[int, ...] = ()

    def as_data(self) -> dict[str, Any]:
        """The question as plain data."""
        return asdict(self)

    @staticmethod
    def of_data(data: Mapping[str, Any]) -> "Question":
        """The reverse."""
        fields: dict[str, Any] = {name: tuple(value) if isinstance(value, list) else value for name, value in data.items()}
        return Question(**fields)

    def for_students(self) -> dict[str, Any]:
        """What is told of it to those who answer: not what is right, and not what it is about."""
        return {"kind": self.kind, "words": self.words, "choices": list(self.choices)}


def question(board: Board, kind: Kind, id: str, words: str, choices: Iterable[str], right: int | None, angle_words: int) -> Question:
    """What is to be asked, from what a teacher chose. Raises Refusal where it cannot be asked.

    Args:
        board: the teacher's board.
        id: what it is about: a claim, a point, a question of place, a quiz.
        words, choices, right: of a choice of words; ``words`` may say a question of another kind otherwise.
        angle_words: what pairs of angles are called in that lesson.
    """
    words = " ".join(words.split())[:WORDS]
    if kind == "words":
        given = tuple(short for one in choices if (short := " ".join(one.split())[:CHOICE]))
        if not words or not 2 <= len(given) <= CHOICES or len(set(given)) < len(given):
            raise Refusal(f"Type a question, and from 2 to {CHOICES} different answers to choose among.")
        return Question("words", words, given, right=right if right is not None and right < len(given) else None)
    if id not in board:
        raise Refusal("Choose on the board what the question is about.")
    step = board.step(id)
    if kind == "claim":
        if step.makes != CLAIM:
            raise Refusal("Choose a claim to ask about.")
        return Question("claim", words or f"{sentence(board, id)}: is that always so?", ("always", "only now and then", "never"), id)
    if kind == "place":
        if step.makes != POINT:
            raise Refusal("Choose the point whose place is asked for.")
        return Question("place", words or f"Where will {board.name(id)} be?", (), id)
    if kind == "may":
        if step.does != "question_of_place":
            raise Refusal("Choose a question “may it stand there?” on the board: it is made from a point and a region.")
        point = noun(board, step.fills["point"][0])
        return Question("may", words or f"{point[0].upper()}{point[1:]}: may it stand where it is on your board?", _YES_NO, id)
    if step.does != "angle_quiz":
        raise Refusal("Choose a quiz about pairs of angles on the board.")
    lines = (*step.fills["a"], *step.fills["b"], *step.fills["across"])
    pair = choice(pairs(board, lines))
    names = tuple(called(key, angle_words) for key in NAMES)
    asked = words or f"What are the angles {pair.numbers[0]} and {pair.numbers[1]} called?"
    return Question("angles", asked, names, id, list(NAMES).index(pair.relation), lines, pair.numbers)


def shown_with(question: Question, copy: Board, extent: Extent) -> Items:
    """What is drawn with a question on somebody's board: the two angles that are meant."""
    if question.kind != "angles":
        return []
    try:
        return drawn(copy, extent, [one for one in eight_angles(copy, question.lines) if one.number in question.angles])
    except Refusal:
        return []


@dataclass(frozen=True)
class Answered:
    """What somebody answered.

    Attributes:
        choice: which of the words, counted from 0; None for a place.
        at: the place, board units.
        off: how far it is from where the point is on that board; None where it is not there.
        right: whether it is right on that board; None where that cannot be told.
    """

    choice: int | None = None
    at: tuple[float, float] | None = None
    off: float | None = None
    right: bool | None = None


def answered(question: Question, copy: Board, choice: int | None, at: tuple[float, float] | None) -> Answered:
    """What an answer comes to on somebody's own board. Raises Refusal for an answer that is none."""
    if question.kind == "place":
        if at is None:
            raise Refusal("Answer with a place on the board.")
        value = copy.value(question.about) if question.about in copy else None
        return Answered(at=at, off=hypot(at[0] - value[0], at[1] - value[1]) if value is not None else None)
    if choice is None or choice >= len(question.choices):
        raise Refusal("Answer with one of the words.")
    right = None if question.right is None else choice == question.right
    if question.kind == "may" and question.about in copy:
        fills = copy.step(question.about).fills
        value = copy.value(fills["point"][0])
        right = (choice == 0) == holds_at(copy, fills["region"][0], value[:2]) if value is not None else None
    return Answered(choice=choice, right=right)


def counted(question: Question, answers: Iterable[Answered]) -> list[int]:
    """How many chose each of the words."""
    found = Counter(one.choice for one in answers)
    return [found[place] for place in range(len(question.choices))]


def told(question: Question, answers: list[Answered], board: Board) -> str:
    """The answers in a sentence."""
    settings = board.settings
    if question.kind == "place":
        offs = sorted(one.off for one in answers if one.off is not None)
        if not offs:
            return f"{len(answers)} answered."
        length = lambda size: rounded_text(size, settings.decimals) + unit_text(1, settings.unit)
        return f"{len(answers)} answered; half of them are at most {length(offs[(len(offs) - 1) // 2])} off, the nearest {length(offs[0])}."
    counts = counted(question, answers)
    parts = [f"{count} {words}" for count, words in zip(counts, question.choices) if count]
    right = [one.right for one in answers if one.right is not None]
    return f"{', '.join(parts) or 'nobody'}{f'; {sum(right)} of {len(right)} right' if right else ''}."


def right_of_claim(verdict: str | None) -> int | None:
    """Which choice is right of a claim, by what is known of it; None where it is not known, or whether it ever holds."""
    return 0 if verdict in ("stands", "proved") else None
