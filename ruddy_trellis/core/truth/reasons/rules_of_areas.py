"""Rules about areas."""

from .rule import Rule

AREAS = (
    Rule("half_base_times_height", ("half of base times height",), ("AD ⊥ BC", "BCD in line"), "2 area ABC = BC · AD", price=1.0),
    Rule("half_of_the_legs", ("half of base times height",), ("∠BAC = 90°",), "2 area ABC = AB · AC", price=1.0),
    Rule(
        "one_base_one_height",
        ("one base and equal heights",),
        ("AB ∥ CD",),
        "area ABC = area ABD",
        is_theorem=True,
    ),
    Rule("median_halves", ("one height and equal bases",), ("M mid BC",), "area ABM = area ACM", price=0.9),
    Rule("median_makes_half", ("one height and half of the base",), ("M mid BC",), "area ABC = 2 area ABM", price=0.9),
    Rule("halves_of_parallelogram", ("a diagonal halves a parallelogram",), ("ABCD parallelogram",), "area ABCD = 2 area ABC"),
    Rule(
        "cut_in_two",
        ("the parts make the whole",),
        (),
        "area ABC + area ACD = area ABCD",
        ("B, D on two sides of AC", "A, C on two sides of BD"),
        price=0.6,
    ),
    Rule(
        "bases_in_line",
        ("one height: areas are as the bases",),
        ("BCD in line",),
        "area ABC : area ACD = BC : CD",
        price=1.5,
    ),
    Rule("areas_of_congruent", ("congruent triangles have equal areas",), ("ABC ≅ DEF",), "area ABC = area DEF", price=0.6),
    Rule(
        "areas_of_similar",
        ("areas are as the squares of the sides",),
        ("ABC ~ DEF",),
        "area ABC : area DEF = AB² : DE²",
        price=1.2,
        is_theorem=True,
    ),
    Rule(
        "area_added",
        ("the parts make the whole",),
        ("BCD in line",),
        "area ABD + area ADC = area ABC",
        ("D between B, C",),
        price=0.6,
    ),
)
