"""Libraries that are loaded when they are first used: what starts the program, or moves a peg, does not wait for them."""

from importlib import import_module
from typing import Any


class Late:
    """Stands for a module until something of it is asked for; what was found is kept.

    Args:
        name: of the module, as it is imported.
    """

    def __init__(self, name: str) -> None:
        self.__dict__["_name"] = name

    def __getattr__(self, attribute: str) -> Any:
        found = getattr(import_module(self.__dict__["_name"]), attribute)
        self.__dict__[attribute] = found
        return found
