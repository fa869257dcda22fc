"""The worst that one person can do, and what the others feel of it: someone drags a peg of a small board of their own
while someone else sends the heaviest messages and requests that the doors let through."""

import json
import statistics
import tempfile
import threading
import time
import urllib.error
import urllib.request
from contextlib import suppress
from pathlib import Path

from websockets.exceptions import ConnectionClosed
from websockets.sync.client import connect

from ruddy_trellis.core import Figure
from ruddy_trellis.core.lesson.recipes import keep
from tests.browser.served import Server

from .figures import meadow
from .students import Teacher

#: Positions a second of the one who drags.
RATE = 50
#: How long a single act is let do its worst, seconds.
PATIENCE = 20


class Bystander:
    """Someone who drags a peg on a small board of their own, and notes how long each position takes, in milliseconds."""

    def __init__(self, teacher):
        figure = Figure()
        figure.say("A = (0, 0)\nB = (4, 0)\nthe segment from A to B\nthe midpoint of AB\nthe circle with centre A through B")
        self.line = Line(teacher, teacher.upload("beside", figure))
        self.line.send(t="grab", ids=["s1"], at=[0, 0])
        self.trips, self.going = [], True
        self.thread = threading.Thread(target=self._drag, daemon=True)
        self.thread.start()

    def stop(self):
        self.going = False
        self.thread.join()

    def _drag(self):
        number = 0
        while self.going:
            number += 1
            start = time.perf_counter()
            self.line.send(t="drag", to=[number % 50 / 10, 1], seq=number)
            self.line.until(lambda message, number=number: message.get("seq") == number)
            trip = time.perf_counter() - start
            self.trips.append(trip * 1000)
            time.sleep(max(0, 1 / RATE - trip))

    def beside(self, act):
        """What was felt while something was done. Returns median, p99 and worst in milliseconds, and the seconds it took."""
        time.sleep(0.3)
        self.trips.clear()
        start = time.perf_counter()
        act()
        took = time.perf_counter() - start
        time.sleep(max(0.5, 2 - took))
        trips = sorted(self.trips)
        return statistics.median(trips), trips[int(len(trips) * 0.99)], trips[-1], took


class Line:
    """The line of one browser at a board."""

    def __init__(self, teacher, lesson=None, address=None, copy=None):
        if address is None:
            with teacher.browser.open(lesson) as answer:
                board = answer.read().decode().split('data-board="')[1].split('"')[0]
            address = f"{teacher.address.replace('http', 'ws')}/boards/{board}/live"
        if copy:
            self.socket = connect(address, legacy=True, subprotocols=[f"copy.{copy}"], max_size=None, open_timeout=60, ping_interval=None)
        else:
            names = "; ".join(f"{one.name}={one.value}" for one in teacher.jar)
            self.socket = connect(
                address, legacy=True, additional_headers={"Cookie": names}, max_size=None, open_timeout=60, ping_interval=None
            )

    def send(self, **message):
        self.socket.send(json.dumps(message))

    def until(self, wanted, patience=PATIENCE):
        """The next message for which ``wanted`` holds; None where none comes in time, or the line is closed."""
        end = time.perf_counter() + patience
        with suppress(TimeoutError, ConnectionClosed):
            while True:
                message = json.loads(self.socket.recv(timeout=max(0.01, end - time.perf_counter())))
                if wanted(message):
                    return message
        return None

    def ask(self, *kinds, **message):
        """Send a message and wait for an answer of one of these kinds, or a refusal."""
        self.send(**message)
        return self.until(lambda answer: answer["t"] in kinds or answer.get("kind") == "refusal")

    def quiet(self):
        """Let everything be answered that was sent before."""
        self.ask("ahead", t="ahead", edit=None)


def post(address, body, kind="application/x-www-form-urlencoded", opener=urllib.request.urlopen, **headers):
    """Send a request, whatever the answer."""
    request = urllib.request.Request(address, body, {"Content-Type": kind, **headers})
    with suppress(urllib.error.HTTPError, OSError), opener(request, timeout=PATIENCE) as answer:
        answer.read()


def at_once(count, act):
    """Do something so many times, eight at a time."""
    numbers = iter(range(count))
    lock = threading.Lock()

    def work():
        while True:
            with lock:
                number = next(numbers, None)
            if number is None:
                return
            act(number)

    threads = [threading.Thread(target=work) for _ in range(8)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()


def lesson_of(boards, steps):
    """A lesson file with so many boards of so many free points."""
    points = [
        {"id": f"s{number}", "does": "free_point", "name": f"P{number}", "with": {"at": [number % 50, number // 50]}}
        for number in range(steps)
    ]
    view = [-10, -10, 10, 10]
    made = [{"title": f"Board {number}", "view": view, "steps": points} for number in range(boards)]
    return json.dumps({"format": "ruddy-trellis lesson", "version": 1, "title": "Many", "boards": made}).encode()


def heavy_recipe():
    """A recipe file of some 30 kB whose steps are a long chain."""
    figure = Figure()
    figure.say("A = (0, 0)\nB = (4, 0)")
    last = "B"
    for _ in range(190):
        last = figure.say(f"the midpoint of A and {last}")
    recipe = keep(figure.board, "long chain", [figure.board.steps[-1].id], ["s1", "s2"])
    return json.dumps(recipe.to_json()).encode()


def form_file(content):
    """A file as a form sends it. Returns the body and its kind."""
    body = b'--mark\r\nContent-Disposition: form-data; name="file"; filename="f.json"\r\n\r\n' + content + b"\r\n--mark--\r\n"
    return body, "multipart/form-data; boundary=mark"


class Acts:
    """Everything that is tried, each as a method; its docstring is its row."""

    def __init__(self, server, teacher):
        self.server, self.teacher = server, teacher
        self.address = server.address
        blank = Figure()
        blank.say("A = (0, 0)\nB = (4, 0)\nC = (1, 3)\nthe polygon through A, B, C")
        self.line = Line(teacher, teacher.upload("blank", blank))
        self.large_lesson = teacher.upload("large", meadow())
        self.large = Line(teacher, self.large_lesson)
        self.large.until(lambda message: message["t"] == "board")
        self.link = teacher.share(teacher.upload("shared", blank))
        page = urllib.request.urlopen(self.link).read().decode()
        self.live = server.address.replace("http", "ws") + page.split('data-live="')[1].split('"')[0]

    def say(self, text):
        self.line.ask("changed", "prompt", t="say", text=text)
        self.line.quiet()

    def spelling(self):
        "a polygon spelt A56z"
        self.say("the polygon through " + "A" * 56 + "z")

    def powers(self):
        "an equation of powers of powers"
        self.say("y = ((((x^9)^9)^9)^9)^9")

    def long_formula(self):
        "a formula nested as deep as may be"
        self.say("h = " + "(" * 39 + "AB" + "^2)" * 39)

    def pasted(self):
        "a pasted text of 2,000 lines"
        text = "\n".join(f"M{number} is the midpoint of A and B" for number in range(2000))
        self.line.ask("changed", t="edit", edit={"kind": "paste", "text": text})
        self.line.ask("changed", t="undo")

    def pasted_nonsense(self):
        "a pasted text of 400 kB of nonsense"
        self.line.ask("changed", t="edit", edit={"kind": "paste", "text": "the circle with " * 25_000})

    def completion(self):
        "500 letters to complete, forty times"
        for number in range(40):
            self.line.send(t="complete", text=("the circle with centre A through " * 20)[: 460 + number])
        self.line.quiet()

    def recipe(self):
        "a recipe file of 190 steps, and the list afterwards"
        body, kind = form_file(heavy_recipe())
        post(self.address + "/recipes/read", body, kind, self.teacher.browser.open)

    def families(self):
        "families of families, until refused"
        self.say("t is the rotation about A by 7°")
        last = "ABC"
        for _ in range(20):
            answer = self.line.ask("changed", t="say", text=f"{last} under t, done 12 times")
            if not answer or answer.get("kind") == "refusal":
                break
        self.line.quiet()

    def importing(self):
        "a lesson file of 10 boards of 2,000 points"
        body, kind = form_file(lesson_of(10, 2000))
        post(self.address + "/lessons/read", body, kind, self.teacher.browser.open)

    def many_fields(self):
        "/sign-in with 2.9 MB of &"
        post(self.address + "/sign-in", b"&" * 2_900_000)

    def many_names(self):
        "/sign-in with 180 names"
        at_once(180, lambda number: post(self.address + "/sign-in", f"sign_in=name{number}&password=not-the-one-{number}".encode()))

    def registering(self):
        "60 registrations"
        at_once(60, lambda number: post(self.address + "/register", f"name=N&password=long-enough-{number}".encode()))

    def large_message(self):
        "a message of 15 MB"
        line = Line(self.teacher, address=self.live, copy="a-holder-of-fifteen-million")
        with suppress(ConnectionClosed, OSError):
            line.socket.send("x" * 15_000_000)
            line.until(lambda _: False, 2)

    def views(self):
        "2,000 views as fast as they go"
        line = Line(self.teacher, address=self.live, copy="a-holder-who-looks-about")
        for number in range(2000):
            line.send(t="view", view=[-10, -10, 10 + number, 10], keep=True)
        line.quiet()

    def copies(self):
        "300 fresh copies opened one after another"

        def one(number):
            with suppress(OSError, ConnectionClosed):
                Line(self.teacher, address=self.live, copy=f"a-holder-of-a-fresh-copy-{number:04}").socket.close()

        at_once(300, one)

    def opening(self):
        "opening a board of 2,000 steps"
        with self.teacher.browser.open(self.large_lesson) as answer:
            answer.read()
        Line(self.teacher, self.large_lesson).until(lambda message: message["t"] == "board")

    def one_edit(self):
        "one edit of it"
        self.large.ask("changed", t="edit", edit={"kind": "restyle", "ids": ["s1"], "look": {"pen": "leaf"}})

    def saying(self):
        "a sentence more on it"
        self.large.ask("changed", t="say", text="the midpoint of P0 and P7")

    def undoing(self):
        "undo"
        self.large.ask("changed", t="undo")

    def hovering(self):
        "hovering with a tool"
        self.large.ask("prompt", t="tool", key="perpendicular")
        for number in range(20):
            self.large.send(t="hover", at=[number / 3, number / 5], reach=0.2)
        self.large.quiet()
        self.large.ask("prompt", t="tool", key=None)

    def restyling(self):
        "restyling everything"
        ids = [f"s{number}" for number in range(1, 2001)]
        self.large.ask("changed", t="edit", edit={"kind": "restyle", "ids": ids, "look": {"pen": "sky"}})

    def children(self):
        "the children of everything"
        self.large.ask("gathered", t="gather", what="children", ids=[f"s{number}" for number in range(1, 1301)])

    def selecting(self):
        "selecting everything"
        self.large.ask("offers", t="select", ids=[f"s{number}" for number in range(1, 2001)])

    def large_drag(self):
        "a drag of a peg of it"
        self.large.send(t="grab", ids=["s1"], at=[0, 0])
        for number in range(40):
            self.large.ask("moved", t="drag", to=[number / 10, 0], seq=number)
        self.large.ask("changed", t="drop")

    def deleting(self):
        "deleting half of it, and undo"
        ids = [f"s{number}" for number in range(1, 1001)]
        self.large.ask("changed", t="edit", edit={"kind": "delete", "ids": ids})
        self.large.ask("changed", t="undo")

    def panels(self):
        "the drawer's panels of it"
        board = self.large_board()
        for name in ("working", "readings", "look", "loose", "history", "motions"):
            with self.teacher.browser.open(f"{self.address}/boards/{board}/panels/{name}") as answer:
                answer.read()

    def picture(self):
        "its picture, text and file"
        board, slug = self.large_board(), self.large_lesson.split("/")[-1]
        for path in (f"boards/{board}/picture.svg", f"boards/{board}/working.txt", f"lessons/{slug}/lesson.json"):
            with self.teacher.browser.open(f"{self.address}/{path}") as answer:
                answer.read()

    def large_board(self):
        with self.teacher.browser.open(self.large_lesson) as answer:
            return answer.read().decode().split('data-board="')[1].split('"')[0]

    def looking_back(self):
        "a look back over 1,000 edits"
        line = self.line
        for number in range(1000):
            line.send(t="edit", edit={"kind": "restyle", "ids": ["s1"], "look": {"pen": ("leaf", "sky")[number % 2]}})
        line.quiet()
        line.ask("board", t="look_back", number=5)
        line.ask("board", t="look_back", number=None)


def all_acts():
    return [name for name, one in vars(Acts).items() if callable(one) and one.__doc__]


def measured(only=()):
    """Do everything, and yield for each what it is, and what was felt beside it."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "worst.sqlite")
        try:
            acts = Acts(server, Teacher(server))
            bystander = Bystander(Teacher(server, "tobias.quince"))
            for name in only or all_acts():
                act = getattr(acts, name)
                yield act.__doc__, bystander.beside(act)
            bystander.stop()
        finally:
            server.kill()


def rows():
    """The rows of the table: what those beside it feel."""
    for what, (_, late, worst, took) in measured():
        yield f"beside it, someone drags: {what}", "≤ 50 ms at p99", f"{late:.0f} ms at p99, {worst:.0f} worst ({took:.1f} s)"


if __name__ == "__main__":
    import sys

    for what, (median, late, worst, took) in measured(sys.argv[1:]):
        print(f"{what:55} median {median:7.1f}  p99 {late:7.1f}  worst {worst:7.1f} ms   took {took:.2f} s", flush=True)
