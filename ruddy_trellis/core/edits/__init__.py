"""What changes a board: edits, checked whole before anything changes, and the patches they make."""

from .adding import tried
from .checking import check_fills
from .models import (
    PATTERNS,
    PENS,
    Add,
    Arrange,
    ByHand,
    Choose,
    Delete,
    Edit,
    LookChanges,
    Move,
    NewStep,
    Paste,
    Record,
    Rename,
    Restyle,
    Retie,
    Tidy,
    Together,
    read_edit,
)
from .patch import Patch
from .prepare import perform, prepare
from .saying import said

__all__ = [
    "PATTERNS",
    "PENS",
    "Add",
    "Arrange",
    "ByHand",
    "Choose",
    "Delete",
    "Edit",
    "LookChanges",
    "Move",
    "NewStep",
    "Paste",
    "Patch",
    "Record",
    "Rename",
    "Restyle",
    "Retie",
    "Tidy",
    "Together",
    "check_fills",
    "perform",
    "prepare",
    "read_edit",
    "said",
    "tried",
]
