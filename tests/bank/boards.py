"""The boards on which the bank is said, made from constructions by their keys, so that no sentence is read for them."""

from collections.abc import Callable

from ruddy_trellis.core.figure import Figure


def _free(figure: Figure, **points: tuple[float, float]) -> None:
    for name, place in points.items():
        figure.make("free_point", name, at=place)


def _empty() -> Figure:
    return Figure("cm")


def _two() -> Figure:
    figure = Figure("cm")
    _free(figure, A=(0, 0), B=(6, 0.5))
    return figure


def _three() -> Figure:
    figure = Figure("cm")
    _free(figure, A=(0, 0), B=(7, 1), C=(2, 5))
    return figure


def _tri() -> Figure:
    figure = _three()
    figure.make("polygon", None, corners=("A", "B", "C"))
    return figure


def _quad() -> Figure:
    figure = Figure("cm")
    _free(figure, A=(0, 0), B=(7, 1), C=(6, 6), D=(1, 4))
    figure.make("polygon", None, corners=("A", "B", "C", "D"))
    return figure


def _circ() -> Figure:
    figure = Figure("cm")
    _free(figure, O=(0, 0), A=(4, 1), P=(9, 3))
    figure.make("circle", "k", centre="O", point="A")
    figure.make("point_on", "Q", path="k", place=130.0)
    return figure


def _lines() -> Figure:
    figure = Figure("cm")
    _free(figure, A=(0, 0), B=(6, 1), C=(1, 4), D=(7, -2), P=(3, 6))
    figure.make("line", "l", **{"from": "A", "to": "B"})
    figure.make("line", "m", **{"from": "C", "to": "D"})
    return figure


def _dialled() -> Figure:
    figure = _three()
    figure.make("dial", "r", least=0.0, most=10.0, step=0.1, value=4.0)
    return figure


def _marked() -> Figure:
    figure = _tri()
    figure.make("circumcircle", "c", a="A", b="B", c="C")
    figure.make("midpoint", "M", span=("B", "C"))
    figure.make("altitude", "h", corner="A", base=("B", "C"))
    return figure


def _garden() -> Figure:
    figure = Figure("m")
    _free(figure, A=(0, 0), B=(20, 1), C=(18, 12), D=(2, 10), T=(8, 5), H=(14, 8))
    figure.make("polygon", None, corners=("A", "B", "C", "D"))
    return figure


BOARDS: dict[str, Callable[[], Figure]] = {
    "empty": _empty, "two": _two, "three": _three, "tri": _tri, "quad": _quad, "circ": _circ, "lines": _lines,
    "dialled": _dialled, "marked": _marked, "garden": _garden,
}  # fmt: skip
