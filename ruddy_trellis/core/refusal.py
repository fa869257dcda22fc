"""How the core says no."""


class Refusal(ValueError):
    """An edit or a sentence that cannot be taken. The text is a whole sentence for the person who asked:
    what is wrong and what would be accepted. Whatever raised it has changed nothing.

    ``place`` is the position in the typed text that is meant, where there is one; ``ways`` are sentences that would be taken.
    """

    def __init__(self, sentence: str, place: int | None = None, ways: tuple[str, ...] = ()) -> None:
        super().__init__(sentence)
        self.sentence = sentence
        self.place = place
        self.ways = ways

    def told(self) -> dict[str, object]:
        """The answer that tells it to a browser."""
        ways = {"ways": list(self.ways)} if self.ways else {}
        return {"t": "says", "kind": "refusal", "words": self.sentence, "place": self.place, **ways}
