"""The hand in the browser: what runs there beside the drawing, and the runtime that runs it (see docs/near.md)."""
