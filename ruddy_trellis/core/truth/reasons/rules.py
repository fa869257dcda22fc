"""All rules of reasons, by theme."""

from .rule import Rule
from .rules_of_areas import AREAS
from .rules_of_circles import CIRCLES
from .rules_of_middles import MIDDLES
from .rules_of_quadrilaterals import QUADRILATERALS
from .rules_of_triangles import TRIANGLES

#: The tables, by what they are about.
THEMES: dict[str, tuple[Rule, ...]] = {
    "Triangles": TRIANGLES,
    "Midpoints and ratios": MIDDLES,
    "Circles": CIRCLES,
    "Quadrilaterals": QUADRILATERALS,
    "Areas": AREAS,
}
RULES: dict[str, Rule] = {rule.key: rule for theme in THEMES.values() for rule in theme}
