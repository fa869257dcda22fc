"""Pages of a browser that are measured."""

import statistics

from tests.browser.served import come_in

from .students import p95


def new_page(browser, server):
    """A page of a browser that is signed in."""
    context = browser.new_context(viewport={"width": 1280, "height": 800})
    come_in(context, server)
    return context.new_page()


def summary(trips):
    return f"{statistics.median(trips):.1f} ms median, {p95(trips):.1f} ms p95"
