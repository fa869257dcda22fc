"""The wall: everybody's board as a small picture, drawn again soon after it has changed."""

import asyncio
import logging
import time

from ...core.display import Extent
from ...core.display.palette import GROUNDS
from ...drawings.svg import svg
from ..live.apart import apart
from .picture import Onlooker, Picture

_LOG = logging.getLogger(__name__)
#: How large a picture is; how often it is looked what has changed; how old a picture is at least before the next, seconds.
WIDTH, HEIGHT, _TICK, _AGE = 320, 192, 0.2, 1.0
#: So many pictures are drawn in a second, of all classes together; older ones than this are behind.
PICTURES, _BEHIND = 40, 2.0
#: They take at most this share of the time.
_SHARE = 0.25
#: How often it is told who is idle, seconds.
_IDLE = 10.0


class Budget:
    """How many pictures may be drawn now, of all classes: so many a second, and such as take long fewer, so that most of the time is
    everyone else's."""

    def __init__(self, rate=PICTURES, clock=time.monotonic):
        self._rate, self._clock = rate, clock
        self._left, self._when, self._again = float(rate), clock(), clock()

    def took(self, seconds):
        """A picture took so long."""
        self._again = self._clock() + seconds * (1 / _SHARE - 1)

    def take(self):
        """Take one, if there is one."""
        now = self._clock()
        if now < self._again:
            return False
        self._left, self._when = min(self._left + (now - self._when) * self._rate, self._rate), now
        if self._left < 1:
            return False
        self._left -= 1
        return True


BUDGET = Budget()


class _Seen:
    """What is known of somebody's picture: of which live board it is, since when it is behind, when it was drawn."""

    def __init__(self):
        self.live = self.looker = None
        self.shown = Picture()
        self.behind_since, self.drawn, self.text = 0.0, 0.0, ""

    async def turn_to(self, live):
        """From here on the picture is of another live board."""
        self.leave()
        await live.look()
        self.live, self.shown = live, Picture()
        self.looker = Onlooker(live, self.touched)
        self.touched(live.whole())

    def touched(self, message):
        """The board is otherwise than its picture."""
        self.shown.take(message)
        self.behind_since = self.behind_since or time.monotonic()

    def leave(self):
        """Look no longer."""
        if self.looker is not None:
            self.looker.leave()
        self.live = self.looker = None


class Wall:
    """The pictures of one class, for as long as a page of the teacher's wants them."""

    def __init__(self, room):
        self._room, self._wanted, self._seen, self._task = room, {}, {}, None
        self.slowed = False

    def want(self, line, on, seen=()):
        """A page wants pictures, of those first who are in sight there; or no more."""
        if not on:
            self._wanted.pop(line, None)
        else:
            fresh = line not in self._wanted
            self._wanted[line] = frozenset(seen)
            if fresh:
                for who, one in self._seen.items():
                    if one.text:
                        line.send({"t": "picture", "who": who, "svg": one.text})
        if self._wanted and self._task is None:
            self._task = asyncio.create_task(self._run())
        elif not self._wanted:
            self.stop()

    def stop(self):
        """No more pictures."""
        if self._task is not None:
            self._task.cancel()
            self._task = None
        for one in self._seen.values():
            one.leave()
        self._seen, self._wanted = {}, {}

    async def _run(self):
        told = time.monotonic()
        while True:
            try:
                await self._draw_due()
                if time.monotonic() - told > _IDLE:
                    told = time.monotonic()
                    self._room.changed()  # who is idle comes by itself
            except Exception:
                _LOG.exception("The wall could not be drawn")
            await asyncio.sleep(_TICK)

    async def _draw_due(self):
        """Draw what is behind, as far as there is time for it: what is in sight first, then what is behind for longest."""
        room, now = self._room, time.monotonic()
        for who in [who for who in self._seen if who not in room.people]:
            self._seen.pop(who).leave()
        due = []
        for person in list(room.people.values()):
            one = self._seen.setdefault(person.id, _Seen())
            if person.board is None:
                continue
            live = room.copy_if_open(person)
            if live is None or live is not one.live or live.source_id != person.board:
                await one.turn_to(await room.copy_of(person, person.board))
            if one.behind_since and now - one.drawn >= _AGE:
                due.append((person.id, one))
        in_sight = frozenset().union(*self._wanted.values())
        due.sort(key=lambda pair: (pair[0] not in in_sight, pair[1].behind_since))
        for who, one in due:
            if not BUDGET.take():
                break
            await self._draw(who, one)
        slowed = any(one.behind_since and now - one.behind_since > _BEHIND for _, one in due)
        if slowed != self.slowed:
            self.slowed = slowed
            room.changed()

    async def _draw(self, who, one):
        one.behind_since, one.drawn = 0.0, time.monotonic()
        try:
            text = await apart(len(one.live.board), picture, one.shown.items(), one.live.board.settings)
        except Exception:
            _LOG.exception("A picture for the wall could not be drawn")
            return
        BUDGET.took(time.monotonic() - one.drawn)
        if text != one.text:
            one.text = text
            for line in self._wanted:
                line.send({"t": "picture", "who": who, "svg": text})


def picture(items, settings):
    """A small picture of somebody's board as others see it, as SVG.

    Args:
        items: what others see of it.
        settings: of the board.
    """
    extent, dark = Extent(*settings.view), settings.paper == "dark"
    seen = [{**item, "sentence": ""} for item in items]
    return svg(seen, extent, WIDTH, HEIGHT, dark=dark, scale=0.68 * min(settings.size, 1.5), tags=False, ground=GROUNDS[dark])
