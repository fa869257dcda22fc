"""Idioms of English for acts on what is there: its names, looks and trails, the grid, the view, taking back.

Each is a form and what is read for it, as in ``english_idioms``, which puts them before its own.
"""

from .english import PENS

#: Ways of asking for an act, by how they are read.
OF_ACTS: tuple[tuple[str, str], ...] = (
    (r"(?i)\b(?-i:([A-Z]))['’]s (label|name)(?=[ .!]*$)", r"the \2 of \1"),
    (r"(?i)^(hide|show) (?:all )?(?:of )?the letters(?=[ .!]*$)", r"\1 the names"),
    (r"(?i)^(?:shade|fill|colou?r) (it|them|that) in(?=[ .!]*$)", r"shade \1"),
    (r"(?i)^give (\S+) the name (\S+)", r"rename \1 to \2"),
    (r"(?i)^(zoom (?:in|out)|nearer|further away)(?: (?:a (?:bit|little)|some|a bit more|more|once more))+$", r"\1"),
    (r"(?i)^(?:show|put on|turn on|display|add) (?:the |all )?(?:labels|names)(?: of the points)?(?=[ .!]*$)", "label the points"),
    (r"(?i)^(?:change|set|turn|make) the colou?r of (.+?) (?:to|into) (\w+)(?=[ .!]*$)", r"colour \1 \2"),
    (r"(?i)^(?:trace|show|draw) the (?:path|trail|trace|track) of ([A-Z]\S*)(?=[ .!]*$)", r"trail \1"),
    (
        r"(?i)^(?:draw|turn on|switch on|put on|add|give me|display) (?:the |a |an |some )?(?:square )?(grid|axes)(?: on)?(?=[ .!]*$)",
        r"show the \1",
    ),
    (r"(?i)^(?:turn|switch|take) (?:off |away )?(?:the )?(grid|axes)(?: off| away)?(?=[ .!]*$)", r"hide the \1"),
    (
        r"(?i)^(?:draw |make |construct |add )?((?-i:an?|the)) (dashed|dotted|thick|thin) (.+?)(?=[ .!]*$)",
        r"draw \1 \3 and make it \2",
    ),
    (
        rf"(?i)^(?:draw |make |construct |add )?((?-i:an?)) ({'|'.join(PENS)}) (.+?)(?=[ .!]*$)",
        r"draw \1 \3 and colour it \2",
    ),
    (
        r"(?i)^(?:fix|lock|freeze|pin) (.+?) (?:so (?:that )?(?:it|they|nobody|no one|no-one) (?:can[’']?t|cannot|can|do not|don[’']t) "
        r"(?:be )?(?:moved?|drag(?:ged)?)(?: it| them)?|in "
        r"place|down)(?=[ .!]*$)",
        r"lock \1",
    ),
    (r"(?i)^(?:let|make) (.+?) (?:be )?(?:draggable|movable|free)(?: again)?(?=[ .!]*$)", r"unlock \1"),
    (r"(?i)^(?:show|see|view) (?:me )?the whole (?:board|thing|picture)(?=[ .!]*$)", "fit"),
    (r"(?i)^(?:show|see) me everything(?=[ .!]*$)", "show everything"),
    (r"(?i)^(?:go|take it|step) back(?: (?:one|a) step)?(?=[ .!]*$)", "undo"),
    (r"(?i)^((?:delete|hide|remove) .+?),? (?:but|and) (?:keep|leave) (?:everything|all|the rest)(?: else)?(?=[ .!]*$)", r"\1"),
    (r"(?i)^(set|put|turn|move) the (?:slider|dial) (?=(?:to|at) [-−]?\d)", r"\1 the dial "),
    (r"(?i)^take (?:that|it) back(?=[ .!]*$)", "undo"),
    (r"(?i)^make (.+) visible(?: again)?(?=[ .!]*$)", r"show \1"),
    (r"(?i)^(?:shift|push|nudge) ([A-Z]) (?=up|down|left|right|\d)", r"move \1 "),
    (
        r"(?i)^(?:get rid of|remove|take off|take away|delete|switch off|turn off) (?:the |all |all the )?(labels|names)(?=[ .!]*$)",
        r"hide the \1",
    ),
    (r"(?i)\bundo (?:the |my |that )?last (?:step|thing|act|action|one)(?=[ .!]*$)", "undo"),
    (r"(?i)^change the name of (\S+) (?:to|into) (\S+)", r"rename \1 to \2"),
    (
        r"(?i)^(?:make|let) (\S+) (?:go|run|move|slide) (?:up and down|to and fro|back and forth|by itself)(?: by itself)?(?=[ .!]*$)",
        r"animate \1",
    ),
    (
        r"(?i)^mark (?-i:([A-Z]{2})(?: and |, ?| ?= ?)([A-Z]{2}))(?: as)? equal(?: in length)?(?=[ .!]*$)",
        r"mark equal lengths on \1 and \2",
    ),
)
