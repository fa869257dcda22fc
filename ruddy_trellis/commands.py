"""What can be asked for on the command line besides running the program: copies of the data, whether it is whole, and
the people who have accounts."""

import json
import secrets
from contextlib import closing
from hashlib import sha256
from sqlite3 import DatabaseError

from .core.lesson.file import BoardData, board_from_data
from .core.limits import TITLE_LENGTH
from .core.refusal import Refusal
from .store import Calendar, Database, HandIns, Teachers
from .store.checksums import checksum
from .store.upkeep import DataProblem, backup, check_whole, readable, restore
from .web.people.accounts import made_account
from .web.people.passwords import hashed_password


def make_copy(data: str, copy: str) -> str:
    """Copy the data to a file, while the program runs or not. Returns what to tell."""
    backup(data, copy)
    return f"{copy} is a whole copy of {data}."


def bring_back(data: str, copy: str) -> str:
    """Put a copy in the place of the data. Returns what to tell."""
    restore(copy, data)
    return f"{data} is now what {copy} was. What was there before is in {data}.before."


def look_through(data: str) -> tuple[str, bool]:
    """Check the file, the checksum of everything in it that has one, and open every board. Returns what to tell, and whether all is
    well."""
    check_whole(data)
    broken: list[str] = []
    with closing(readable(data)) as connection:
        if "calendar" not in {name for (name,) in connection.execute("SELECT name FROM sqlite_master")}:
            raise DataProblem(f"{data} is of an older Ruddy Trellis. Start this one on it once; then it can be checked.")
        try:
            count = _look_at_boards(connection, broken)
            for board, number, patch, kept in connection.execute("SELECT board_id, number, patch, checksum FROM edit"):
                if checksum(number, patch) != kept:
                    broken.append(f"edit {number} of board {board} is not what was written")
            for lesson, mark, content in connection.execute("SELECT lesson_id, mark, content FROM photograph"):
                if sha256(content).hexdigest() != mark:
                    broken.append(f"a photograph of lesson {lesson} is not what was written")
        except (DatabaseError, UnicodeDecodeError) as error:
            raise DataProblem(f"{data} is damaged: {error}.") from None
    if broken:
        return "\n".join([f"{len(broken)} things are not whole:", *broken]), False
    return f"The file is whole, and all {count} boards in it open.", True


def _look_at_boards(connection, broken):
    count = 0
    for id, document, done, kept in connection.execute("SELECT id, document, edits_done, checksum FROM board ORDER BY id"):
        count += 1
        if checksum(done, document) != kept:
            broken.append(f"board {id} is not what was written")
            continue
        try:
            board_from_data(BoardData.model_validate(json.loads(document)))
        except (Refusal, ValueError) as problem:
            broken.append(f"board {id} does not open: {problem}")
    return count


def see_to_copies(data: str, let_go: bool) -> str:
    """Tell which students' copies will go in the coming days; or say that those that are over may, although they are many."""
    check_whole(data)
    database = Database(data)
    try:
        calendar = Calendar(database)
        return f"{calendar.allow()} copies may go: they do within the hour, or at the next start." if let_go else calendar.due().words()
    finally:
        database.close()


def forget_hand_ins(data: str, days: int) -> str:
    """Delete what was handed in longer ago than so many days, and the copies that it was of. Returns what to tell."""
    check_whole(data)
    database = Database(data)
    try:
        count = HandIns(database, days=days).forget()
        return f"{count} hand-in{'s were' if count != 1 else ' was'} deleted."
    finally:
        database.close()


#: Words of the garden, from which passwords are made that can be read out over the telephone.
_WORDS = "alder apple arbour barrow beech birch bramble cherry clover copper damson fennel garden hazel hedge ivory juniper kettle lantern "
_WORDS += "lavender maple meadow nettle orchard pebble plum poppy quince rafter rhubarb rosemary saffron sorrel spade thistle trowel willow"


def see_to_people(data: str, do: str, who: str) -> str:
    """List the people who have accounts, add one, give one a new password, or remove one. Returns what to tell.

    Raises:
        DataProblem: where there is no such person, or no name.
    """
    check_whole(data)
    database = Database(data)
    try:
        return _see_to(Teachers(database), do, who.strip())
    finally:
        database.close()


def _see_to(teachers, do, who):
    if do == "list":
        everyone = teachers.everyone()
        rows = [f"{one.sign_in:40} {one.name:40} {lessons} lesson{'s' * (lessons != 1)}" for one, lessons in everyone]
        return "\n".join([*rows, f"{len(rows)} {'person has an account' if len(rows) == 1 else 'people have accounts'}."])
    password = "-".join(secrets.choice(_WORDS.split()) for _ in range(4)) + f"-{secrets.randbelow(90) + 10}"
    if do == "add":
        if not 1 <= len(who) <= TITLE_LENGTH:
            raise DataProblem(f"Say the name of the person, of at most {TITLE_LENGTH} characters: people add “Robin Alder”.")
        made = made_account(teachers, who, hashed_password(password))
        return f"{made.name} signs in as {made.sign_in} with the password {password}, and can change it there."
    teacher = teachers.find(who.lower())
    if teacher is None:
        raise DataProblem(f"Nobody signs in as “{who}”. “people list” lists who does.")
    if do == "password":
        teachers.set_password(teacher.id, hashed_password(password))
        return f"{teacher.name} signs in as {teacher.sign_in} with the new password {password}, and is signed out everywhere else."
    lessons = teachers.delete(teacher.id)
    return f"{teacher.name} is removed, and with them {len(lessons)} lesson{'s' * (len(lessons) != 1)} and all students’ copies of them."
