"""What a browser fetches to run the hand beside the drawing: kept by it for good, for other files have other addresses."""

from fastapi import APIRouter, HTTPException
from fastapi.responses import Response

from ..near.shipping import LOCK, core_mark, core_packed, runtime_file, runtime_version

router = APIRouter()
_KINDS = {"mjs": "text/javascript", "wasm": "application/wasm", "zip": "application/zip"}
_KEPT = {"cache-control": "max-age=31536000, immutable"}
_PACKED = {**_KEPT, "content-encoding": "gzip", "vary": "accept-encoding"}


def near_for(request, teacher):
    """Where the runtime and the core are, which build the runtime is, and the core's mark, by which the browser keeps what it has compiled
    of it; None where boards of a teacher do not run beside their drawings."""
    if not request.app.state.options.near or (teacher is not None and not teacher.near):
        return None
    return {
        "runtime": f"/near/{runtime_version()}", "core": f"/near/core-{core_mark()}.zip", "lock": LOCK,
        "mark": f"{runtime_version()} {core_mark()}",
    }  # fmt: skip


@router.get("/near/core-{mark}.zip")
def core(mark: str):
    """The core as an archive of its sources."""
    if mark != core_mark():
        raise HTTPException(404)
    return Response(core_packed(), media_type=_KINDS["zip"], headers=_PACKED)


@router.get("/near/{version}/{name}")
def runtime(version: str, name: str):
    """A file of the runtime, as it lies packed on disk."""
    packed = runtime_file(name) if version == runtime_version() else None
    if packed is None:
        raise HTTPException(404)
    return Response(packed, media_type=_KINDS[name.rsplit(".", 1)[-1]], headers=_PACKED)
