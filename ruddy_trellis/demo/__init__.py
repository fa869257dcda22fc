"""The demo lessons, as files of the open format."""

import json
from pathlib import Path

_LESSONS = Path(__file__).parent / "lessons"


def demo_lessons():
    """Every demo lesson as parsed JSON, in the order in which they are listed."""
    return [json.loads(path.read_text("utf-8")) for path in sorted(_LESSONS.glob("*.json"))]
