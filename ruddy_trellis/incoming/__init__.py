"""What comes in as a file of another kind: points, drawings, pictures. One file for each format; all of them give what was found,
which becomes sentences (``as_sentences.py``), so that it is checked, shown ahead, added and undone as a pasted working is."""
