"""Writes the table of rules in docs/reasons.md from their definitions: ``python -m docs.write_rules``."""

from pathlib import Path

from ruddy_trellis.core.truth.reasons.rules import THEMES

PAGE = Path(__file__).with_name("reasons.md")
START, END = "<!-- the rules, written from their definitions -->", "<!-- the end of the rules -->"


def table() -> str:
    """The rules by theme, as tables in Markdown."""
    parts = []
    for theme, rules in THEMES.items():
        parts += [f"### {theme}", "", "| if | and it lies so | then | as schools say it |", "|---|---|---|---|"]
        for rule in rules:
            mark = " *" if rule.is_theorem else ""
            cells = ", ".join(rule.premises), ", ".join(rule.conditions), rule.conclusion, " / ".join(rule.names) + mark
            parts.append("| " + " | ".join(cells) + " |")
        parts.append("")
    return "\n".join(parts)


def page(text: str) -> str:
    """The page with the tables put in."""
    before, rest = text.split(START)
    return f"{before}{START}\n\n{table()}\n{END}{rest.split(END)[1]}"


if __name__ == "__main__":
    PAGE.write_text(page(PAGE.read_text("utf-8")), "utf-8")
