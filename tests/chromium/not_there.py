"""Which tests of the core are not run in a browser, and why: what they try is the server's, or a process of its own.

None of them holds a construction, an edit, the hand, reading or judging.
"""

_PROOFS = "proofs and verdicts, which are the server's"
_CHECKED = "the library that checks messages and files, for which something stands that checks nothing"
_PROCESS = "a process of its own"
_PICTURES = "the letters of pictures, which the server draws"

#: Why, by how the names of the tests begin; a part of a test, with square brackets, is run and may fail.
NOT_THERE = {
    "tests.core.test_arithmetics": "the library of exact numbers",
    "tests.core.test_circular": "the library of exact numbers, as the judge",
    "tests.core.test_claims": _PROOFS,
    "tests.core.test_verdicts": _PROOFS,
    "tests.core.test_exact_readings": _PROOFS,
    "tests.core.test_supposing": _PROOFS,
    "tests.core.test_tidy": _PROCESS,
    "tests.core.test_runner": _PROCESS,
    "tests.core.test_rooms": "the files of the server",
    "tests.core.test_pages_of_the_manual": "the files of the server",
    "tests.core.test_hand.HandTest.test_the_path_of_a_drag_needs_neither_numpy_nor_flint": _PROCESS,
    "tests.core.test_hand.HandTest.test_nonsense_changes_nothing": _CHECKED,
    "tests.core.test_recipes.RecipeTest.test_files": _CHECKED,
    "tests.core.test_edits.LessonFileTest.test_broken_files_are_refused_exactly": _CHECKED,
    "tests.core.test_edits.LessonFileTest.test_demo_lessons_fit_the_published_schema_and_read_back": _CHECKED,
    "tests.core.test_edits.UndoTest.test_refused_edits_name_the_matter": _CHECKED,
    "tests.core.test_chalk.ChalkTest.test_what_is_no_stroke_is_refused": _CHECKED,
    "tests.core.test_display.ItemsTest.test_tags_with_one_middle_stand_apart_and_words_beside_their_line": _PICTURES,
    "tests.core.test_display.SvgTest": _PICTURES,
    "tests.core.test_telling.CoverTest.test_a_picture_shows_no_covered_mark_and_nothing_behind_a_reveal": _PICTURES,
    "tests.core.test_language.OneDefinitionTest.test_a_throwaway_construction": _CHECKED,
}
