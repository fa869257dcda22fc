"""The geometry of Ruddy Trellis, usable without the web.

``Figure`` is the way in from a Python prompt; ``docs/core.md`` shows it.
"""

from .board import Board, Settings
from .figure import Figure
from .refusal import Refusal

__all__ = ["Board", "Figure", "Refusal", "Settings"]
