"""Pages, panels, recipes and sharing of lessons."""
