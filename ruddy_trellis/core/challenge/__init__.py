"""Challenges: a task, what is given, and whether what a student made is the answer wherever the givens are."""

from .challenge import Challenge, Sought, challenge_from_text, check_challenge, started
from .judging import judged
from .verdict import Judged

__all__ = ["Challenge", "Judged", "Sought", "challenge_from_text", "check_challenge", "judged", "started"]
