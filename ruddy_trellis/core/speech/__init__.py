"""Sentences as teachers say them: whole, in many words and orders, several things at once, with what is not there yet.

A text goes through stages, a file each: ``tokens`` (words, names, numbers), ``phrases`` (what is spoken of: names, descriptions,
lists, references), ``clauses`` (verbs with what goes with them), then ``verbs``, ``spoken`` and ``things``, which put steps on a copy
of the board (``building``). The words themselves stand in ``english``, and nowhere else in this room. ``hearing`` is the door.
"""
