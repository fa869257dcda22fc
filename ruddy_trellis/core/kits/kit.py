"""A kit: the constructions that a board allows its students, and how that is said."""

from collections.abc import Iterable
from dataclasses import dataclass

from ..board.board import Board
from ..board.settings import Settings
from ..board.step import Step
from ..catalogue import CATALOGUE
from ..catalogue.by_hand.ways import SEVERAL, WAYS
from ..catalogue.construction import Construction
from ..kinds import NUMBER, join
from ..language.fills import is_ids
from ..refusal import Refusal

_STRAIGHTEDGE = (
    "free_point", "point_on", "intersection", "crossings", "other_intersection", "segment", "ray", "line", "polygon",
)  # fmt: skip
_COMPASS = (*_STRAIGHTEDGE, "circle", "arc")
#: The readings that say how far the compasses are opened: what they measure stands on the board.
_OPENINGS = ("length", "distance", "radius")


#: What each instrument draws.
_INSTRUMENTS = {
    "Ruler": ("segment", "line"),
    "Set square": ("perpendicular", "parallel"),
    "Protractor": ("at_angle",),
    "Compasses": ("circle", "circle_radius"),
}


@dataclass(frozen=True)
class Kit:
    """A kit.

    Attributes:
        code: how it stands in files.
        name: what it is called.
        has: what it has, in words that follow "It has".
        keys: the keys of its constructions; None where it has all of them.
    """

    code: str
    name: str
    has: str
    keys: frozenset[str] | None

    @property
    def builds(self) -> bool:
        """Whether anything can be built with it."""
        return self.keys is None or bool(self.keys)

    @property
    def told(self) -> str:
        """The kit in a sentence, for whoever is to build with it."""
        return f"{self.name}: {self.has}."

    @property
    def instruments(self) -> tuple[str, ...]:
        """Which instruments lie in it: those that draw something of it."""
        return tuple(name for name, keys in _INSTRUMENTS.items() if any(map(self.has_tool, keys)))

    def has_tool(self, key: str) -> bool:
        """Whether a sentence of the catalogue is among its tools."""
        return self.keys is None or key in self.keys

    def tools(self, constructions: Iterable[Construction]) -> list[Construction]:
        """Those of some constructions that it has, in their order."""
        return [construction for construction in constructions if self.has_tool(construction.key)]

    def check_tool(self, key: str) -> None:
        """Raise Refusal unless a sentence of the catalogue is among its tools."""
        if not self.has_tool(key):
            raise self.refusal(CATALOGUE[key].tool if key in CATALOGUE else key)

    def check_step(self, step: Step, board: Board) -> None:
        """Raise Refusal unless a step is made with it.

        Args:
            board: one on which the step and what it is made from are.
        """
        if not self.has_tool(step.does) and not (step.by is not None and self.has_tool(step.by)):
            raise self.refusal(step.construction.tool)
        if step.does == "circle_radius" and self.code == "compass" and not _is_carried(step.fills["radius"], board):
            raise Refusal(
                "The compasses are opened to a length of the figure: two points, a segment or its length. With this kit no number is "
                "set on them."
            )

    def refusal(self, tool: str) -> Refusal:
        """Why something cannot be made with it, and what can."""
        if not self.builds:
            return Refusal("Here you can drag, turn dials, press buttons and start again; the construction is your teacher’s.")
        by_hand = " It can be made by hand with these." if self.code in ("compass", "closing") and _has_compass_work(tool) else ""
        return Refusal(f"“{tool}” is not in the kit of this board. {self.told}{by_hand}")


def _has_compass_work(tool):
    return any(construction.tool == tool and (construction.key in WAYS or construction.key in SEVERAL) for construction in CATALOGUE)


def _is_carried(radius, board):
    """Whether a length is one that the compasses can be opened to on the figure."""
    if not is_ids(radius):
        return False
    return board.kind_of(radius[0]) != NUMBER or board.step(radius[0]).does in _OPENINGS


_ALL = Kit("everything", "Everything", "every tool of the shelf", None)
#: The kits that need no choosing, by their codes.
KITS = {
    kit.code: kit
    for kit in (
        _ALL,
        Kit(
            "compass",
            "Compass and straightedge",
            "points, straight lines, circles, lengths carried with the compasses, and where they meet",
            frozenset((*_COMPASS, "circle_radius")),
        ),
        Kit(
            "closing",
            "A compass that closes when lifted",
            "points, straight lines, circles about one point through another, and where they meet; no length is carried",
            frozenset(_COMPASS),
        ),
        Kit("straightedge", "Straightedge only", "points, straight lines, and where they meet", frozenset(_STRAIGHTEDGE)),
        Kit("look", "Look and drag", "nothing to build with", frozenset()),
    )
}


def kit_of(settings: Settings) -> Kit:
    """The kit that a board gives its students."""
    if settings.kit != "chosen":
        return KITS[settings.kit]
    tools = [CATALOGUE[key] for key in settings.kit_tools if key in CATALOGUE]
    return Kit("chosen", "Chosen tools", join(tool.tool for tool in tools) or "none yet", frozenset(tool.key for tool in tools))
