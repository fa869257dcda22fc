"""Places of their own for what is kept: no page, file or password that is asked for meanwhile takes one."""

import asyncio
from concurrent.futures import ThreadPoolExecutor

_SAVING = ThreadPoolExecutor(6, "saving")


async def saved(work, *arguments):
    """What a function of the store gives."""
    return await asyncio.get_running_loop().run_in_executor(_SAVING, work, *arguments)
