"""The page of rules says what the rules are."""

import unittest

from docs.write_rules import PAGE, page


class PageTest(unittest.TestCase):
    def test_the_tables_are_those_of_the_definitions(self):
        text = PAGE.read_text("utf-8")
        self.assertEqual(page(text), text, "write them anew: python -m docs.write_rules")


if __name__ == "__main__":
    unittest.main()
