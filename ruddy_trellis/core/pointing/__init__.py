"""From the pointer to sentences: what lies under it, which gap that fills, what a selection could become."""
