"""How much room there is for what a teacher keeps."""

from ...core.refusal import Refusal


def check_room(request, teacher_id):
    """Raise Refusal where a teacher has filled the room that there is for one."""
    quota = request.app.state.options.quota
    if request.app.state.lessons.room_of(teacher_id) > quota * 1_000_000:
        raise Refusal(f"Your lessons fill the {quota} MB that there are for each teacher. Delete some, or ask whoever runs this program.")
