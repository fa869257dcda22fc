"""What the standard says of how elements stand in one another (HTML, content models), looked at in a page's text."""

from html.parser import HTMLParser

_VOID = "area base br col embed hr img input link meta source track wbr"
_FOREIGN = ("svg", "math")
#: What may stand where only words and what is within words may.
_PHRASING = (
    "a abbr audio b bdi bdo br button canvas cite code data datalist del dfn em embed i iframe img input ins kbd label link map mark math "
    "meta meter noscript object output picture progress q ruby s samp script select slot small span strong sub sup svg template textarea "
    "time u var video wbr option optgroup"
)
_HOLDS_PHRASING = "p h1 h2 h3 h4 h5 h6 span b i em strong small button label legend summary q code pre kbd abbr time mark output sub sup"
_INTERACTIVE = "a button input select textarea label iframe details"
_VOID, _PHRASING, _HOLDS_PHRASING, _INTERACTIVE = (frozenset(words.split()) for words in (_VOID, _PHRASING, _HOLDS_PHRASING, _INTERACTIVE))
_CHILDREN = {
    "ul": {"li", "script", "template"}, "ol": {"li", "script", "template"}, "menu": {"li", "script", "template"},
    "tr": {"td", "th"}, "thead": {"tr"}, "tbody": {"tr"}, "select": {"option", "optgroup", "hr"},
    "table": {"caption", "colgroup", "thead", "tbody", "tfoot", "tr"}, "dl": {"dt", "dd", "div"}, "datalist": {"option"},
}  # fmt: skip


class Conformance(HTMLParser):
    """Reads a page; ``faults`` says what does not conform."""

    def __init__(self, text):
        super().__init__(convert_charrefs=True)
        self.faults, self._open, self._ids, self._for, self._named = [], [], set(), [], []
        self.feed(text)
        self.close()
        self.faults += [f"<{one}> is not closed" for one in self._open if one not in ("html", "body", "head", "p", "li")]
        self.faults += [f"a label is for “{one}”, which is not there" for one in self._for if one not in self._ids]
        self.faults += [f"“{one}” is named and not there" for one in self._named if one not in self._ids]

    def _fault(self, words):
        self.faults.append(f"line {self.getpos()[0]}: {words}")

    def handle_starttag(self, tag, attrs):
        attrs = dict(attrs)
        if not any(one in _FOREIGN for one in self._open):
            self._look(tag, attrs)
        if tag not in _VOID:
            self._open.append(tag)

    def handle_startendtag(self, tag, attrs):
        if not any(one in _FOREIGN for one in self._open):
            self._look(tag, dict(attrs))

    def _look(self, tag, attrs):
        if (own := attrs.get("id")) is not None:
            if own in self._ids:
                self._fault(f"two things have the id “{own}”")
            self._ids.add(own)
        parent = self._open[-1] if self._open else ""
        # What is transparent takes what its own parent takes.
        place = next((one for one in reversed(self._open) if one not in ("a", "ins", "del")), "")
        if place in _HOLDS_PHRASING and tag not in _PHRASING and parent not in _FOREIGN:
            self._fault(f"<{tag}> stands within <{place}>")
        if parent in _CHILDREN and tag not in _CHILDREN[parent]:
            self._fault(f"<{tag}> is no child of <{parent}>")
        if tag == "form" and "form" in self._open:
            self._fault("a form stands within a form")
        inside = {"a", "button"} & set(self._open)
        if tag in _INTERACTIVE and inside and not (tag == "input" and attrs.get("type") == "hidden"):
            self._fault(f"<{tag}> stands within <{inside.pop()}>")
        if tag == "img" and "alt" not in attrs:
            self._fault("an image says not what it shows")
        if tag == "label" and "for" in attrs:
            self._for.append(attrs["for"])
        for name in ("aria-labelledby", "aria-describedby"):
            self._named += (attrs.get(name) or "").split()

    def handle_endtag(self, tag):
        if tag in _VOID or tag not in self._open:
            self._fault(f"</{tag}> ends nothing")
        else:
            while (last := self._open.pop()) != tag:
                if last not in ("p", "li", "option", "dt", "dd"):
                    self._fault(f"</{tag}> comes before </{last}>")
