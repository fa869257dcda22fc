"""A lesson as one page that works by itself: opened from disk or from anywhere, with no request to anything."""
