"""Every construction, each defined once."""

from .construction import Construction, Gap
from .gaps import GAP_KINDS, GapKind
from .registry import CATALOGUE, GROUPS, Catalogue, Some

__all__ = ["CATALOGUE", "GAP_KINDS", "GROUPS", "Catalogue", "Construction", "Gap", "GapKind", "Some"]
