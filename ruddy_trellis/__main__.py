"""Starts the program: ``python -m ruddy_trellis``."""

import argparse
import logging
import os
import threading

import uvicorn

from .class_site import create_class_site
from .core.limits import MESSAGE_BYTES
from .demo import SCHOOL
from .web.application import create_application


def main():
    """Serve the application until it is stopped."""
    parser = argparse.ArgumentParser(prog="ruddy_trellis", description="Ruddy Trellis: constructions as sentences.")
    parser.add_argument("--host", default="127.0.0.1")
    parser.add_argument("--port", type=int, default=int(os.environ.get("PORT", "8200")))
    parser.add_argument("--data", default="data/trellis.sqlite", help="the database file")
    parser.add_argument("--no-demo", action="store_true", help="start without the demo lessons")
    parser.add_argument("--class-site", type=int, metavar="PORT", help="serve a stand-in class page there that shows a lesson in a frame")
    arguments = parser.parse_args()
    application = create_application(arguments.data, demo=not arguments.no_demo)
    address = f"http://{arguments.host}:{arguments.port}"
    print(f"\n  Ruddy Trellis is at {address}/  (Ctrl+C stops it)", flush=True)
    if not arguments.no_demo:
        print(
            f"  Come in as {SCHOOL['teachers'][0]['name']} with one click, or sign in: {SCHOOL['teachers'][0]['sign_in']}, password "
            f"{SCHOOL['password']}\n",
            flush=True,
        )
    # The server notes an error even where a WebSocket was answered with "not found", as it should be.
    logging.getLogger("uvicorn.error").addFilter(lambda record: "without completing handshake" not in record.getMessage())
    if arguments.class_site:
        serve_class_site(application, arguments)
    uvicorn.run(
        application, host=arguments.host, port=arguments.port, log_level="warning", ws_per_message_deflate=False, ws_max_size=MESSAGE_BYTES
    )


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
    main()
