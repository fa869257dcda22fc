"""Starts the program: ``python -m ruddy_trellis``."""

import argparse
import os

import uvicorn

from .demo import SCHOOL
from .web.application import create_application


def main():
    """Serve the application until it is stopped."""
    parser = argparse.ArgumentParser(prog="ruddy_trellis", description="Ruddy Trellis: constructions as sentences.")
    parser.add_argument("--host", default="127.0.0.1")
    parser.add_argument("--port", type=int, default=int(os.environ.get("PORT", "8200")))
    parser.add_argument("--data", default="data/trellis.sqlite", help="the database file")
    parser.add_argument("--no-demo", action="store_true", help="start without the demo lessons")
    arguments = parser.parse_args()
    application = create_application(arguments.data, demo=not arguments.no_demo)
    print(f"\n  Ruddy Trellis is at http://{arguments.host}:{arguments.port}/  (Ctrl+C stops it)", flush=True)
    if not arguments.no_demo:
        print(f"  Come in as {SCHOOL['teachers'][0]['name']} with one click, or sign in: {SCHOOL['teachers'][0]['sign_in']}, password {SCHOOL['password']}\n", flush=True)
    uvicorn.run(application, host=arguments.host, port=arguments.port, log_level="warning", ws_per_message_deflate=False)


if __name__ == "__main__":
    main()
