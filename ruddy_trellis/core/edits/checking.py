"""Whether what fills the gaps of a construction fits: the one check behind clicking, typing, files and calls."""

from collections import Counter
from collections.abc import Sequence
from fractions import Fraction

from .. import limits
from ..arithmetic import FLOATS, Undefined
from ..board.board import Board
from ..board.plan import chosen_formula, kinds_of_fills
from ..catalogue.construction import Construction, Gap
from ..kinds import NUMBER, PATHS, POINT, join, with_article, word
from ..language import names as spelling
from ..language.expression import Formula
from ..language.fills import is_ids
from ..language.formula_words import ANGLE, MEASURES
from ..language.words import Words
from ..limits import check_number
from ..refusal import Refusal
from ..sampling.shaking import always, distance_from, shaken, span
from ..seen import Fills

#: The dimensions of readings that are numbers to go on with: not coordinates, equations or what is true or false.
PLAIN_DIMENSIONS = (*range(-12, 13), ANGLE)


def check_fills(construction: Construction, fills: Fills, board: Board) -> None:
    """Check that these fills make a step of this construction on this board.

    Raises:
        Refusal: naming the gap and what would fit.
    """
    unknown = set(fills) - set(construction.gap_by_name)
    if unknown:
        raise Refusal(f"“{construction.tool}” has no gap called {sorted(unknown)[0]}.")
    for gap in construction.gaps:
        if gap.name in fills:
            _check_gap(construction, gap, fills[gap.name], board)
        elif not gap.optional:
            raise Refusal(f"“{construction.tool}” still needs {gap.kind.wants}.")
    _check_own_rules(construction, fills, board)


def fits_alone(gap_kind, kind: str):
    """Whether one thing of this kind fills the gap by itself."""
    return kind in gap_kind.single


def _check_gap(construction, gap, fill, board):
    kind = gap.kind
    if not is_ids(fill):
        return _check_typed(construction, gap, fill, board)
    for id in fill:
        if id not in board:
            raise Refusal(f"“{construction.tool}” asks for a thing that is not on this board.")
    if len(fill) == 1 and fits_alone(kind, board.kind_of(fill[0])):
        if board.kind_of(fill[0]) == NUMBER and board.dimension(fill[0]) not in ((0, 1) if kind.hands == "length" else PLAIN_DIMENSIONS):
            raise Refusal(f"{board.name(fill[0])} is not a {'length' if kind.hands == 'length' else 'number'}. {kind.goes}.")
        return None
    if kind.several and all(fits_alone(kind, board.kind_of(id)) for id in fill):
        if len(set(fill)) < len(fill):
            raise Refusal("The same thing is picked twice.")
        return None
    enough = len(fill) >= 3 if kind.points < 0 else len(fill) == kind.points
    if kind.points and all(board.kind_of(id) == POINT for id in fill):
        if not enough:
            raise Refusal(f"“{construction.tool}” needs {kind.wants}; {_count(len(fill))} picked.")
        if len(fill) > limits.POLYGON_CORNERS:
            raise Refusal(f"A polygon has at most {limits.POLYGON_CORNERS} corners.")
        repeated = [id for id, times in Counter(fill).items() if times > 1]
        if repeated:
            raise Refusal(f"{board.name(repeated[0])} is picked twice. Pick {kind.wants} that differ.")
        return None
    raise misfit(gap, fill, board)


def misfit(gap: Gap, ids: Sequence[str], board: Board) -> Refusal:
    """The refusal for things that do not fit a gap."""
    wrong = next((id for id in ids if not (gap.kind.points and board.kind_of(id) == POINT)), ids[0])
    return Refusal(f"{board.name(wrong)} is {with_article(word(board.kind_of(wrong)))}. {gap.kind.goes}.")


def _count(number):
    return {0: "none", 1: "only one", 2: "only two"}.get(number, str(number)) + (" was" if number == 1 else " were")


def _check_typed(construction, gap, fill, board):
    literal = gap.kind.literal
    if literal == "number" and isinstance(fill, (int, float)) and not isinstance(fill, bool):
        check_number(fill)
        if gap.kind.hands == "length" and fill < limits.LENGTH_LEAST:
            raise Refusal("A length must be above zero.")
    elif literal == "coordinates" and isinstance(fill, tuple) and len(fill) == 2:
        for part in fill:
            check_number(part)
    elif (literal == "word" and fill in gap.kind.options) or (
        literal in ("equation", "values") and isinstance(fill, str) and len(fill) <= limits.FORMULA_LENGTH
    ):
        return
    elif literal == "branch" and isinstance(fill, tuple) and len(fill) in (2, 4) and not is_ids(fill):
        for part in fill:
            check_number(part)
    elif literal == "text" and isinstance(fill, Words):
        _check_words(fill, board)
    elif literal in ("formula", "statement", "comparison") and isinstance(fill, Formula) and not isinstance(fill, Words):
        if not {"formula": not fill.is_statement, "statement": fill.is_statement, "comparison": fill.is_comparison}[literal]:
            raise Refusal(f"“{construction.tool}” needs {gap.kind.wants}.")
        if literal != "formula" and not fill.operands:
            raise Refusal("A statement is about something on the board.")
        _check_formula(fill, board)
    else:
        raise Refusal(f"“{construction.tool}” needs {gap.kind.wants}.")


def _check_words(words, board):
    for id, *more in words.operands:
        if more or id not in board or board.kind_of(id) != NUMBER:
            raise Refusal("In braces stands the name of a reading, or a formula of readings.")

    def dimension(formula):
        for place in formula.places():
            _check_plain(words.operands[place][0], board)
        return str(formula.dimension([board.dimension(id) for (id,) in words.operands]))

    words.filled(lambda place: "", dimension)


def _check_plain(id, board):
    """Raise Refusal unless a reading is a number that a formula can go on with."""
    dimension = board.dimension(id)
    if dimension not in PLAIN_DIMENSIONS and not isinstance(dimension, Fraction):
        raise Refusal(f"{board.name(id)} is not a number that a formula can use.")


def _check_formula(formula, board):
    measured = formula.measured()
    for place, operand in enumerate(formula.operands):
        for id in operand:
            if id not in board:
                raise Refusal("The formula uses a reading that is not on this board.")
        kinds = [board.kind_of(id) for id in operand]
        if function := measured.get(place):
            corners = set(kinds) == {POINT} and (
                len(kinds) == 3 if function == "angle" else len(kinds) >= 3 and "polygon" in MEASURES[function][0]
            )
            if not corners and not (len(kinds) == 1 and kinds[0] in MEASURES[function][0]):
                raise Refusal(f"In {function}(…) stands {MEASURES[function][2]}, not {board.name(operand[0])}.")
        elif kinds not in ([NUMBER], [POINT, POINT]):
            raise Refusal(f"{board.name(operand[0])} is {with_article(word(kinds[0]))}; a formula uses readings.")
        elif kinds == [NUMBER]:
            _check_plain(operand[0], board)
    formula.dimension([board.operand_dimension(operand) for operand in formula.operands])
    if not formula.operands:
        try:
            value = formula.evaluate(FLOATS)
        except (Undefined, OverflowError):
            raise Refusal("That formula has no value: it divides by zero or takes the root of a negative number.") from None
        check_number(value)


def _check_own_rules(construction, fills, board):
    """The rules that go across gaps: points that must differ, kinds that must go together."""
    if construction.check:
        construction.check(fills, board)
    if construction.distinct:
        # Two sides of a polygon may share a corner; the same side twice is one thing.
        things = Counter(frozenset(fill) for fill in fills.values() if is_ids(fill))
        repeated = [ids for ids, times in things.items() if times > 1]
        if repeated:
            name = spelling.spell(board.name(id) for id in sorted(repeated[0], key=board.place))
            raise Refusal(f"{name} is picked twice. “{construction.tool}” needs two that differ.")
    if not (construction.expands or construction.planner) and chosen_formula(construction, fills, board.kind_of) is None:
        kinds = kinds_of_fills(construction, fills, board.kind_of)
        words = join(with_article(word(kind)) for kind in kinds.values() if kind != POINT)
        why = ""
        if construction.makes == POINT:
            why = ": two straight things meet only once, and what meets in four places has no “other” one"
        raise Refusal(f"“{construction.tool}” cannot be made from {words}{why}.")
    if construction.tied:
        _check_tied(construction, fills, board)


def _check_tied(construction, fills, board):
    """Raise Refusal unless a point lies on some paths wherever the pegs are: made so, or as the figure has it."""
    point_gap, *path_gaps = construction.tied
    known = fills[point_gap][0]
    for gap in path_gaps:
        fill = fills[gap]
        on = set(fill) if len(fill) > 1 else board.incidence.get(fill[0], ())
        if known not in on and not _lies_always(board, known, fill):
            name, path = board.name(known), join(board.name(id) for id in fill)
            raise Refusal(
                f"{name} does not lie on {path} wherever the pegs are: “{construction.sentence_shown}” needs a point of it. Put one there "
                f"with “a point on {path}”, or tie {name} to it under Look."
            )


def _lies_always(board, point, path):
    """Whether a point lies on a path in every one of some shaken copies of the figure."""
    copies = shaken(board)
    if len(path) != 1 or board.kind_of(path[0]) not in PATHS or copies[point] is None or copies[path[0]] is None:
        return False
    return always(distance_from(board.kind_of(path[0]), copies[path[0]], copies[point]), 1e-7 * (span(board) + 1))
