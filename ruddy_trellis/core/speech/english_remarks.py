"""What a text says to its readers: sentences of which nothing is drawn, since they ask something of the class, or say what is to come.

The list is closed: a sentence is a remark only as a whole, and one that names how something is made is none.
"""

import re

_SEE = r"notice|see|observe|find|think|conclude|conjecture|discover|expect|predict"
_DRAG = r"(?:now |then )?(?:drag|move|pull) (?:(?:the )?(?:point |corner |vertex )?[A-Z](?:,? (?:and )?[A-Z])*|it|them|the points?)"
_DRAGGED = rf"{_DRAG}(?: (?:about|around|along [a-zA-Z ]+))?"
_ASKED = (
    rf"(?:and )?what (?:do|can|did|will|would) (?:you|we) (?:{_SEE}|say)(?: (?:about|of|when|as|if|that|happens) [^,;]+)?",
    r"what happens(?: to (?:(?!\b(?:if|when|as)\b)[^,;])+?)?(?: (?:when|as|if) (?:you|we) (?:drag|move) [^,;]+)?(?: then| now)?",
    r"what (?:has|stays|changes|stays the same|remains (?:the same|constant)|is always true|must be true)(?: (?:changed|the "
    r"same))?(?: here| now)?",
    r"(?:explain|justify|discuss|describe|state|write down|say) (?:why|how you know|your (?:answer|reasoning|findings|"
    r"observations?|conclusions?|result)"
    r"|what you (?:see|notice|find|observe|have found)|what happens)(?: (?:in|with|to) (?:your|a|the) [a-z ]+)?",
    r"(?:explain|why|why not|how do you know|are you sure|can you explain(?: why| this)?|investigate|discuss)",
    r"(?:what|which) (?:path|curve|line|shape|figure) does (?-i:[A-Z]) (?:follow|trace(?: out)?|describe|move along|run along)",
    r"(?:drag|move|turn) the (?:first|second|other) (?:line|circle|point|segment)",
    r"give (?:a |your )?(?:reasons?|proofs?|explanations?)(?: for (?:your|each|the) [a-z ]+)?",
    r"is (?:this|that|it) (?:always|ever|still|also) (?:so|true|the case)",
    r"does (?:this|that|it) (?:always|still) (?:work|hold)",
    r"(?:show|write down) (?:all )?your (?:working|steps)",
    r"(?:make|write down|form|state|test) (?:a|your) (?:conjecture|hypothesis|guess)(?: about [^,;]+)?(?:,? and (?:try to )?(?:prove|"
    r"test|check|justify|explain) it)?",
    r"(?:when|why) (?:do|does|is|are|must|will|should) [^,;]+(?=\?)",
    r"(?:drag|move) (?:the |all the |your )?(?:points?|corners?|vertices|figure)(?: around| about)?",
    r"compare (?:your (?:answers?|results?|drawings?)|notes) with (?:your|a) (?:partner|neighbour|classmate|friend)s?",
)
_SAID = (
    r"(?:today|in this lesson|this week|next|now|in this (?:exercise|activity|task)),? (?:we|you) (?:will |are going to |shall )?"
    r"(?:look at|learn about|study|explore|investigate|talk about|discover|prove) [\w’' -]+",
    r"(?:diagram|figure|picture|drawing)s? (?:is |are )?not (?:drawn )?(?:to scale|accurate(?:ly drawn)?)",
    r"(?:keep|leave|do not rub out|don[’']t rub out) (?:all )?(?:of )?(?:your|the) construction (?:lines|arcs)(?: visible)?",
    r"(?:good luck|have fun|well done|that is all|that's all|watch carefully|look carefully)",
)
_REMARK = (
    rf"(?:(?:now |then )?(?:drag|move|pull) (?:[A-Z]|an? \w+|one of the \w+|the \w+)(?: [A-Z])? (?:about |around )?(?:until|till) [^.;]+"
    rf"|(?:{_DRAGGED})(?:[:,;]| and)? (?:{'|'.join(_ASKED)}|watch|see what happens|watch what happens)"
    rf"|(?:now |so |and |then |but )?(?:{'|'.join((*_ASKED, *_SAID))}))[\s.?!:]*"
)
#: What tells in a text that asks something of its readers that nothing is drawn of it.
IS_FOR_READERS = "That is said to the readers, and nothing is drawn of it."


def is_done_by_hand(text: str) -> bool:
    """Whether a sentence among others asks its readers to drag points: "Move P." By itself it would want to know where to."""
    return bool(re.fullmatch(rf"(?:now |then )?{_DRAG}(?: (?:about|around))?[\s.!]*", text.strip(), re.IGNORECASE))


def is_remark(text: str) -> bool:
    """Whether all that a sentence says is said to its readers."""
    return bool(re.fullmatch(_REMARK, text.strip(), re.IGNORECASE))
