"""The pictures under boards, as answers need them."""

from fastapi import HTTPException
from fastapi.responses import Response


def photographs_of(request, lesson_id, boards):
    """The pictures under some boards of a lesson: a dict from marks to bytes."""
    marks = {board.settings.photograph.mark for board in boards if board.settings.photograph}
    return request.app.state.lessons.photographs.of(lesson_id, marks) if marks else {}


def photograph_of(request, live):
    """The bytes of the picture under a live board, or None."""
    return next(iter(photographs_of(request, live.lesson_id, [live.board]).values()), None)


def photograph_answer(request, lesson_id, mark):
    """The answer with a picture of a lesson. Raises 404 where it has none of that mark."""
    content = request.app.state.lessons.photographs.content(lesson_id, mark[:64])
    if content is None:
        raise HTTPException(404)
    return Response(content, media_type="image/jpeg", headers={"cache-control": "private, max-age=86400"})
