"""The demo lessons, as files of the open format, and the made-up school whose teachers they belong to."""

import json
from pathlib import Path

_HERE = Path(__file__).parent
#: Stands in for a school's directory: its teachers, the password that all of them have, the lessons in its gallery.
SCHOOL = json.loads((_HERE / "school.json").read_text("utf-8"))


def demo_lessons():
    """Every demo lesson as parsed JSON, in the order in which they are listed."""
    return [json.loads(path.read_text("utf-8")) for path in sorted((_HERE / "lessons").glob("*.json"))]
