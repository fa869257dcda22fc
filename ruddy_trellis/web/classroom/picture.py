"""A board as others see it, kept up with what is told of it."""

from ...core.classroom.showing import closed_at_first, moved_for_others, seen_by_others

#: What of a board's state those need who only look at it.
_SCENE = ("unit", "ground", "view", "paper", "spacing", "size", "scale", "photograph")


class Picture:
    """Takes the messages that a browser at a board is told, and gives those that are told to whoever only looks.

    Args:
        lifted: gives the ids of the things whose covers are lifted for the browser whose messages these are.

    Attributes:
        closed: the ids of what reveals keep back; None where they are as at first.
        view: the part of the plane that is seen; None where it is the board's own.
    """

    def __init__(self, lifted=frozenset):
        self._items, self._shown, self._state, self._lifted = {}, {}, {}, lifted
        self.closed = self.view = None

    def take(self, message):
        """What a message comes to for those who look: a message, or None."""
        match message["t"]:
            case "board":
                self._items = {item["id"]: dict(item) for item in message["items"]}
                self._state = message["state"]
                self._shown = {item["id"]: item for item in self._seen()}
                return self.whole()
            case "changed":
                for id in message["gone"]:
                    self._items.pop(id, None)
                self._items.update((item["id"], dict(item)) for item in message["items"])
                self._state = message["state"]
                return self.difference({item["id"] for item in message["items"]})
            case "scribbled":
                for id in message["gone"]:
                    self._items.pop(id, None)
                self._items.update((item["id"], dict(item)) for item in message["items"])
                return self.difference()
            case "moved":
                for item in message["items"]:
                    if (known := self._items.get(item["id"])) is not None:
                        known.update(shape=item["shape"], label=item["label"])
                        if (shown := self._shown.get(item["id"])) is not None:
                            shown.update(shape=item["shape"], label=item["label"])
                items = moved_for_others(message["items"], self._shown)
                return {"t": "moved", "items": items} if items else None
            case "frames":
                return {**message, "frames": [moved_for_others(items, self._shown) for items in message["frames"]]}
            case "playing":
                return {"t": "playing", "on": bool(message["ids"])}
        return None

    def _seen(self):
        items = list(self._items.values())
        return seen_by_others(items, closed_at_first(items) if self.closed is None else self.closed, self._lifted())

    def whole(self):
        """All of it."""
        return {"t": "stage", "items": list(self._shown.values()), "scene": self.scene()}

    def scene(self):
        """How the board looks as a whole, and which part of it is seen."""
        scene = {part: self._state.get(part) for part in _SCENE}
        return {**scene, "view": self.view} if self.view is not None else scene

    def items(self):
        """What is seen now."""
        return list(self._shown.values())

    def difference(self, changed=()):
        """What is seen now otherwise than it was told, as a message.

        Args:
            changed: the ids of things that are told again, if they are seen.
        """
        before, self._shown = self._shown, {item["id"]: item for item in self._seen()}
        items = [item for id, item in self._shown.items() if id in changed or id not in before]
        return {"t": "stage_changed", "items": items, "gone": [id for id in before if id not in self._shown], "scene": self.scene()}


class Onlooker:
    """Sees a live board as a browser at it does, without being at it.

    Args:
        live: the board.
        told: called with every message.
    """

    def __init__(self, live, told):
        self.live, self._told = live, told
        live.onlookers.add(self)
        live.note_company()

    def send(self, message):
        """A message that is told to everyone at the board."""
        self._told(message)

    def send_items(self, items):
        """Items that were refreshed while something is dragged."""
        self._told({"t": "moved", "items": items})

    def leave(self):
        """Look no longer."""
        self.live.onlookers.discard(self)
        self.live.note_company()
