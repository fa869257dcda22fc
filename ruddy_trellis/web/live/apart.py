"""Long work on large boards, done beside the loop that answers everyone."""

from functools import partial

from anyio import CapacityLimiter, to_thread

#: A board of more steps than this is worked on in a thread: to draw one of 300 takes some 60 ms, for which everybody else would wait.
LARGE = 100
#: How many such pieces of work go on at a time: each of them takes its share of the processor from the loop.
_AT_ONCE = 2
_limiter = CapacityLimiter(_AT_ONCE)


async def apart(steps, work, *arguments):
    """What ``work`` gives, for a board of so many steps. It must read nothing that others change meanwhile."""
    if steps <= LARGE:
        return work(*arguments)
    return await to_thread.run_sync(partial(work, *arguments), limiter=_limiter)
