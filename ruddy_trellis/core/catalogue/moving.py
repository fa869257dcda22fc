"""What moves: dials, motions, loci and envelopes."""

import math

from ..kinds import CONIC, LOCUS, MOTION, NUMBER
from ..refusal import Refusal
from ..sampling import loci
from ..seen import Fills
from .construction import Construction

_LADDER = (
    "A is a free point at (0, 0)\nB is a free point at (5, 0)\nk is the circle with centre A and radius 3\nP is a point on k at 50\n"
    "M is the midpoint of B and P\n"
)


#: How many steps a dial has at most.
_MOST_STEPS = 1_000_000


def _dial(m, least, most, step, value):
    value = m.choose(value - least, value, least)
    return m.choose(most - value, value, most)


def settled(fills: Fills, value: float) -> float:
    """The value of a dial nearest to one asked for: within its range, on a whole step."""
    least, most, step = fills["least"], fills["most"], fills["step"]
    return float(f"{min(max(least + round((value - least) / step) * step, least), most):.12g}")


def _check_dial(fills, board):
    least, most, step = (fills[name] for name in ("least", "most", "step"))
    if not least < most:
        raise Refusal("A dial goes from a smaller number to a larger one.")
    if not (most - least) / _MOST_STEPS <= step <= most - least:
        raise Refusal("The step of a dial is above zero and no longer than its whole range, which has at most a million steps.")


def _usual_step(fills, board):
    """A step for a dial of some range: a fortieth of it or less, and round."""
    return float(f"{10.0 ** math.floor(math.log10(max(abs(fills['most'] - fills['least']), 1e-6) / 40)):.6g}")


def _with_value(fills, board):
    """With the value that a new dial stands at: three fifths of the way, where what hangs on it is seen, as a circle of radius 0 is not."""
    if fills["value"] is not None:
        return fills
    least, most = fills["least"], fills["most"]
    return {**fills, "value": settled(fills, least + 0.6 * (most - least))}


def _make_dial(key, words, tool, keys, dimension, example, also):
    return Construction(
        key=key,
        sentence=f"{words} from {{least:typed}} to {{most:typed}} in steps of {{step:typed}}[ at {{value:place}}]",
        makes=NUMBER,
        formula=_dial,
        group="Move",
        tool=tool,
        keys=keys,
        dimension=dimension,
        moves="turning",
        likely=99,
        check=_check_dial,
        usual={"step": _usual_step},
        defaults=lambda kinds: {"value": None},
        settles=_with_value,
        undefined="it is not there",
        example=example,
        also=also,
    )


def _check_driver(fills, board):
    (driver,) = fills["driver"]
    loci.driver_range(board.step(driver), board.step)
    for gap in ("tracer", "curve"):
        if gap in fills and driver not in board.ancestors(fills[gap]):
            raise Refusal(f"{board.name(fills[gap][0])} does not hang on {board.name(driver)}, so it would stay where it is.")


def _check_motion(fills, board):
    _check_driver(fills, board)
    if not 0.2 <= fills["seconds"] <= 600:
        raise Refusal("A motion takes from 0.2 to 600 seconds from one end to the other.")


MOVING = (
    _make_dial(
        "dial",
        "a dial",
        "dial",
        "vd",
        0,
        "A is a free point at (0, 0)\nv is a dial from 0 to 10 in steps of 0.5 at 4",
        (
            "dial [{=}] from {least} to {most} [in] [steps of {step}]",
            "dial [{=}] (between|for) {least} (and|to) {most}",
            "{=} dial from {least} to {most}",
            "dial [{=}] {least} to {most}",
            "{=} from {least} to {most}",
        ),
    ),
    _make_dial(
        "angle_dial",
        "an angle dial",
        "angle dial",
        "va",
        "angle",
        "A is a free point at (0, 0)\nα is an angle dial from 0 to 360 in steps of 1 at 45",
        ("angle dial [{=}] from {least} to {most} [degrees] [in] [steps of {step}]",),
    ),
    _make_dial(
        "length_dial",
        "a length dial",
        "length dial",
        "vl",
        1,
        "A is a free point at (0, 0)\nv is a length dial from 0 to 5 in steps of 0.1 at 2",
        ("length dial [{=}] from {least} to {most} [in] [steps of {step}]",),
    ),
    Construction(
        key="motion",
        sentence="the motion of {driver:driver}, {way:way}, in {seconds:typed} seconds",
        also=(
            "(move|run) {driver} [{way}] in {seconds} seconds",
            "(animate|motion of) {driver} [{way}] [in {seconds} seconds]",
        ),
        makes=MOTION,
        formula=lambda m, *_: (0.0,),
        group="Move",
        tool="motion",
        keys="vm",
        usual={"way": "to and fro", "seconds": 4.0},
        likely=50,
        check=_check_motion,
        undefined="it is not there",
        example=_LADDER + "r is the motion of P, round and round, in 6 seconds",
    ),
    Construction(
        key="locus",
        sentence="the locus of {tracer:tracer} as {driver:driver} runs",
        also=(
            "(locus|path|trace|curve) of {tracer} (as|when|while) {driver} (runs|moves|varies|slides|changes|turns)",
            "(locus|path) {tracer} runs through (as|when|while) {driver} (runs|moves)",
            "where {tracer} goes (as|when|while) {driver} (runs|moves|slides)",
        ),
        makes=LOCUS,
        formula=None,
        planner=loci.locus_plan,
        group="Move",
        tool="locus",
        keys="vo",
        likely=24,
        check=_check_driver,
        undefined="it has no points now",
        example=_LADDER + "c is the locus of M as P runs",
    ),
    Construction(
        key="envelope",
        sentence="the envelope of {curve:moving_curve} as {driver:driver} runs",
        also=("envelope of {curve} (as|when|while) {driver} (runs|moves|varies|slides)",),
        makes=LOCUS,
        formula=None,
        planner=loci.envelope_plan,
        group="Move",
        tool="envelope",
        keys="ve",
        likely=24.5,
        check=_check_driver,
        undefined="it has no points now",
        example=_LADDER + "p is the perpendicular bisector of B and P\nc is the envelope of p as P runs",
    ),
    Construction(
        key="conic_of_locus",
        sentence="the conic that {locus:locus} is",
        makes=CONIC,
        formula=loci.conic_of,
        group="Move",
        tool="as a conic",
        keys="vc",
        likely=5,
        undefined="it is no conic",
        example=_LADDER + "l is the locus of M as P runs\nc is the conic that l is",
    ),
)
