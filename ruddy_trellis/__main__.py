"""Starts the program: ``python -m ruddy_trellis``."""

import argparse
import logging
import os
import socket
import sys
import threading
from pathlib import Path

import uvicorn
from sqlalchemy.exc import OperationalError

from . import early as _early  # noqa: F401  # isort: split
from .class_site import create_class_site
from .commands import bring_back, forget_hand_ins, look_through, make_copy, see_to_copies, see_to_people
from .core.limits import MESSAGE_BYTES
from .demo import SCHOOL
from .store.database import NewerData, NotKept
from .store.upkeep import DataProblem, check_whole, hold
from .web.access_log import keep_logs
from .web.application import create_application
from .web.doors import IDLE, Door, room_for_lines
from .web.live import lines
from .web.options import Options

#: How long what is under way may take once the program is to stop, in seconds.
STOPPING = 8


def main() -> int:
    """Do what the command line asks for. Returns the exit code."""
    parser = argparse.ArgumentParser(prog="ruddy_trellis", description="Ruddy Trellis: constructions as sentences.")
    parser.add_argument("--host", default="127.0.0.1")
    parser.add_argument("--port", type=int, default=int(os.environ.get("PORT", "8200")))
    parser.add_argument("--data", default="data/trellis.sqlite", help="the database file")
    parser.add_argument("--no-demo", action="store_true", help="start without the demo lessons; the demo passwords let nobody in")
    parser.add_argument("--class-site", type=int, metavar="PORT", help="serve a stand-in class page there that shows a lesson in a frame")
    parser.add_argument("--closed", action="store_true", help="nobody can make an account; “people add” does")
    parser.add_argument("--invitation", default="", metavar="WORD", help="whoever makes an account must know this word")
    parser.add_argument("--quota", type=int, default=Options.quota, metavar="MB", help="how much one teacher’s lessons may take")
    parser.add_argument("--hours", type=_count, default=Options.hours, help="how long a class, or a lesson for handing in, is open")
    parser.add_argument("--days", type=_count, default=Options.days, help="for how many days what was handed in or answered is kept")
    parser.add_argument("--far", action="store_true", help="no browser fetches the 6 MB that let a drag go on beside a slow line")
    parser.add_argument("--log", metavar="FOLDER", help="keep access.log and error.log there")
    parser.add_argument(
        "--behind", default="", metavar="ADDRESSES", help="believe the X-Forwarded headers of a web server at these addresses, with commas"
    )
    asks = parser.add_subparsers(dest="ask", metavar="COMMAND")
    asks.add_parser("run", help="serve the program; so it is without a command, too")
    asks.add_parser("backup", help="copy the data to a file, while the program runs or not").add_argument("copy")
    asks.add_parser("restore", help="put such a copy in the place of the data").add_argument("copy")
    asks.add_parser(
        "copies", help="tell which students’ copies go in the coming days; “let-go”: they may, although they are many"
    ).add_argument("do", nargs="?", choices=("list", "let-go"), default="list")
    asks.add_parser("handed-in", help="delete what was handed in longer ago than --days, and the copies that it was of")
    asks.add_parser("check", help="check the data, and open every board in it")
    people = asks.add_parser("people", help="list, add, give a new password, remove")
    people.add_argument("do", choices=("list", "add", "password", "remove"))
    people.add_argument("who", nargs="?", default="", help="a sign-in; for “add”, the person’s name")
    arguments = parser.parse_args()
    try:
        if arguments.ask == "backup":
            print(make_copy(arguments.data, arguments.copy))
        elif arguments.ask == "restore":
            print(bring_back(arguments.data, arguments.copy))
        elif arguments.ask == "check":
            words, well = look_through(arguments.data)
            print(words)
            return 0 if well else 1
        elif arguments.ask == "copies":
            print(see_to_copies(arguments.data, arguments.do == "let-go"))
        elif arguments.ask == "handed-in":
            print(forget_hand_ins(arguments.data, arguments.days))
        elif arguments.ask == "people":
            print(see_to_people(arguments.data, arguments.do, arguments.who))
        else:
            run(arguments)
    except DataProblem as problem:
        print(f"\n  {problem}\n", file=sys.stderr)
        return 2
    return 0


def _count(text):
    """A whole number from 1 on, of an argument."""
    if not text.isdecimal() or not 1 <= int(text) <= 10_000:
        raise argparse.ArgumentTypeError(f"“{text}” is not a whole number from 1 to 10000")
    return int(text)


def run(arguments):
    """Serve the application until it is stopped. Raises DataProblem where it cannot start."""
    for port in (arguments.port, arguments.class_site):
        check_port(arguments.host, port)
    room = room_for_lines(lines.LINES)
    if room < lines.LINES:
        print(f"\n  This process may open so few files that there is room for {room} open boards, not {lines.LINES}.", flush=True)
        lines.LINES = room
    Door.near = frozenset(one.strip() for one in arguments.behind.split(",") if one.strip())
    with hold(arguments.data):
        application = opened(arguments)
        address = f"http://{arguments.host}:{arguments.port}"
        print(f"\n  Ruddy Trellis is at {address}/  (Ctrl+C stops it)", flush=True)
        if not arguments.no_demo:
            first = SCHOOL["teachers"][0]
            print(
                f"  Come in as {first['name']} with one click, or sign in: {first['sign_in']}, password {SCHOOL['password']}\n", flush=True
            )
        due = application.state.calendar.due()
        if due.over or due.soon:
            print(f"  {due.words()}\n", flush=True)
        if arguments.log:
            keep_logs(arguments.log)
        # The server notes an error even where a WebSocket was answered with "not found", as it should be.
        logging.getLogger("uvicorn.error").addFilter(lambda record: "without completing handshake" not in record.getMessage())
        if arguments.class_site:
            serve_class_site(application, arguments)
        uvicorn.run(
            application,
            host=arguments.host,
            port=arguments.port,
            log_level="warning",
            http=Door,
            timeout_keep_alive=IDLE,
            timeout_graceful_shutdown=STOPPING,
            ws_per_message_deflate=False,
            ws_max_size=MESSAGE_BYTES,
            proxy_headers=bool(arguments.behind),
            forwarded_allow_ips=arguments.behind,
        )


def opened(arguments):
    """The application on its data. Raises DataProblem where that is damaged, newer than the program, or cannot be written."""
    if Path(arguments.data).exists():
        check_whole(arguments.data, quick=True)
    try:
        return create_application(
            arguments.data,
            Options(
                not arguments.no_demo,
                not arguments.closed,
                arguments.invitation,
                arguments.quota,
                arguments.hours,
                arguments.days,
                near=not arguments.far,
            ),
        )
    except NewerData as newer:
        raise DataProblem(str(newer)) from None
    except OperationalError as error:
        raise DataProblem(f"{arguments.data} cannot be written: {error.orig}.") from None
    except NotKept as refusal:
        raise DataProblem(refusal.sentence) from None


def check_port(host, port):
    """Raise DataProblem where nothing can be served at a port."""
    if port is None:
        return
    try:
        with socket.socket() as probe:
            probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            probe.bind((host, port))
    except (OSError, OverflowError) as error:
        raise DataProblem(f"Nothing can be served at {host}, port {port}: {error}. Choose another one with --port.") from None


def serve_class_site(application, arguments):
    """Serve the stand-in class page beside the program, on a port of its own as a school's site would be."""
    address = f"http://{arguments.host}:{arguments.port}"

    def first_link():
        return next(
            (
                f"{address}/open/{lesson.share_key}"
                for lesson, _, _ in application.state.lessons.gallery()
                if lesson.title == SCHOOL["gallery"][0]
            ),
            None,
        )

    server = uvicorn.Server(
        uvicorn.Config(create_class_site(address, first_link), host=arguments.host, port=arguments.class_site, log_level="warning")
    )
    threading.Thread(target=server.run, daemon=True).start()
    print(f"  A class page with a lesson in a frame is at http://{arguments.host}:{arguments.class_site}/\n", flush=True)


if __name__ == "__main__":
    sys.exit(main())
