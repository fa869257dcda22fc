"""Stands for the library of that name in the browser."""

import json

JSONDecodeError = json.JSONDecodeError
OPT_INDENT_2 = 1


def loads(text):
    return json.loads(text)


def dumps(value, option=0):
    return json.dumps(value, separators=(",", ":"), ensure_ascii=False, indent=2 if option else None).encode()
