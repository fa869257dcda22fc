"""Why a claim holds: readable arguments, found for the figure that is there."""
