"""The idioms: what is read for them is understood, which of them are looked at, and that they come to an end."""

import re
import unittest
from unittest import mock

from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech import english_idioms, english_synonyms
from ruddy_trellis.core.speech.english_claims import CLAIMS
from ruddy_trellis.core.speech.english_clauses import CLAUSES
from ruddy_trellis.core.speech.hearing import heard
from ruddy_trellis.core.speech.idiom_parts import Idiom, Written, needles_of
from ruddy_trellis.core.speech.plain_words import plain
from ruddy_trellis.core.speech.tokens import UNKNOWN, tokens

from ..bank.boards import BOARDS
from ..bank.run import utterances


class IdiomsTest(unittest.TestCase):
    def test_ways_of_writing_are_put_in_words_that_are_understood(self):
        """Else a word that nobody said would be put right, and told to the person."""
        board = BOARDS["empty"]().board
        for idiom in english_idioms.WRITTEN.idioms:
            if isinstance(idiom.read, str):
                words = re.sub(r"\\\d|[^A-Za-z '-]", " ", idiom.read)
                unknown = [token.text for token in tokens(words, board) if token.kind == UNKNOWN]
                self.assertEqual(unknown, [], f"{idiom.form} → {idiom.read}")

    def test_clauses_are_written_in_the_words_that_are_read(self):
        """Else a word of a table means another one: "draw the place inside" was "draw … inside", whatever was to be drawn."""
        for does, patterns in (*CLAUSES, *CLAIMS):
            for pattern in patterns:
                for word in re.findall(r"(?<![{\w-])[^\s{}()\[\]|+]+(?![\w}])", pattern):
                    self.assertEqual(english_synonyms.SAME.get(word, word), word, f"{does}: {pattern}")

    def test_an_idiom_is_passed_over_only_where_it_would_change_nothing(self):
        for form, needles in (
            (r"(?i)\bthat's (?:a )?dotted? (?=x)", ("that's ",)),
            (r"^a|b", ()),
            (r"^ab|c(?:de|fg)h", ("ab", "de", "fg")),
            (r"(?i)(?:up )?[a-z]{2}s?-turn\.", ("-turn.",)),
            (r"(?i)\b(?:Draw|plot) a (?!line)(?=points?|dotted)", ("point", "dotted")),
            (r"(?i)\b(?:draw|plot)? a{2,3} ∩ [^]x]", (" ∩ ",)),
            (r"(?:up )*x?(?:down|[a-z]+)", ()),
            (r"\d+", ()),
        ):
            self.assertEqual(set(needles_of(form)), set(needles), form)
        texts = [line.text for line in utterances()]
        self.assertGreater(sum(bool(idiom.needles) for idiom in english_idioms.WRITTEN.idioms), 400)
        for text in texts[::3]:
            whole = text
            for idiom in english_idioms.WRITTEN.idioms:
                whole = idiom.put(whole)
            self.assertEqual(english_idioms.in_other_words(text), whole)

    def test_a_word_that_comes_back_is_not_put_right_without_end(self):
        # The form in which a word is read may hold a word that is put right to the first again.
        form = Written([Idiom("slowly", "in 12 seconds"), *english_idioms.WRITTEN.idioms])
        with mock.patch("ruddy_trellis.core.speech.english_idioms.WRITTEN", form):
            plain.cache_clear()
            for text in ("animate r slowly", "move the second point slowly"):
                with self.assertRaises(Refusal):
                    heard(text, BOARDS["dialled"]().board)
        plain.cache_clear()
