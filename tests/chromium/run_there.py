"""What runs a module of tests in the browser and tells how it went."""

import _csv
import json
import sys
import time
import traceback
import types
import unittest
from collections.abc import Iterator


def told(name: str, not_there: str) -> str:
    """Run a module's tests.

    Args:
        not_there: as JSON, why tests are not run, by how their names begin.

    Returns:
        As JSON how many passed, which failed with why, and which were left out with why.
    """
    start = time.time()
    reasons: dict[str, str] = json.loads(not_there)
    if why := next((why for begins, why in reasons.items() if begins == name), None):
        return json.dumps({"passed": 0, "failed": [], "absent": [(name, why)], "seconds": 0})
    whole = unittest.defaultTestLoader.loadTestsFromName(name)
    kept, absent = unittest.TestSuite(), []
    for test in _each(whole):
        why = next((why for begins, why in reasons.items() if test.id().startswith(begins)), None)
        if why is None:
            kept.addTest(test)
        else:
            absent.append((test.id(), why))
    result = unittest.TestResult()
    try:
        kept.run(result)
    except BaseException:  # a test that ends the interpreter has failed
        result.errors.append((unittest.FunctionTestCase(lambda: None, description=name), traceback.format_exc()))
    failed = [(test.id(), why[-2500:]) for test, why in (*result.failures, *result.errors)]
    absent += [(id, reasons[id]) for id, _ in failed if id in reasons]
    failed = [(id, why) for id, why in failed if id not in reasons]
    passed = result.testsRun - len({id for id, _ in failed}) - len(result.skipped)
    return json.dumps({"passed": max(passed, 0), "failed": failed, "absent": absent, "seconds": time.time() - start})


def _each(suite: unittest.TestSuite) -> Iterator[unittest.TestCase]:
    for one in suite:
        if isinstance(one, unittest.TestSuite):
            yield from _each(one)
        else:
            yield one


# How the interpreter was built, which a library of tests asks for and nothing here tells.
_csv.__version__ = "1.0"  # asked for by an older library  # type: ignore[attr-defined]
sys.modules["_sysconfigdata__emscripten_wasm32-emscripten"] = types.SimpleNamespace(build_time_vars={})  # type: ignore[assignment]
