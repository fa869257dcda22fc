"""What students may build with, and what is theirs: kits, and the look at every change of a student's copy."""

from .given import RENEWED, check_students_patch, check_tools
from .kit import KITS, Kit, kit_of

__all__ = ["KITS", "RENEWED", "Kit", "check_students_patch", "check_tools", "kit_of"]
