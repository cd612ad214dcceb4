"""Documents on paper: one way of setting text, tables and drawings in the page's own type, for A4 and Letter."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from functools import cache
from pathlib import Path
from typing import TYPE_CHECKING, Any

from django.conf import settings
from django.utils.html import escape, format_html, format_html_join
from django.utils.safestring import SafeString, mark_safe

from apps.common.words import in_words, language
from fervens_core.base import Message

if TYPE_CHECKING:
    from weasyprint.urls import URLFetcher

PAPERS = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}
"""Width and height, mm."""
MARGIN_MM = 15.0
RIGHT_TO_LEFT = frozenset({"ar"})
_CSS = Path(__file__).with_name("paper.css")
_FACES = {
    "Archivo": "archivo-latin-wdth-normal-*.woff2",
    "Archivo Ext": "archivo-latin-ext-wdth-normal-*.woff2",
    "Noto Arabic": "noto-sans-arabic-arabic-wght-normal-*.woff2",
}
"""The page's type, as it was built for the page; letters it has not are set in Debian's DejaVu."""


def _folders() -> list[Path]:
    known = [settings.STATIC_ROOT, settings.WEB_DIST]
    return [Path(x) / "assets" for x in known if x]


@cache
def _faces() -> str:
    """The faces by name; a page that was not built yet leaves those of the system."""
    found = []
    for family, pattern in _FACES.items():
        files = [f for folder in _folders() for f in sorted(folder.glob(pattern))]
        if files:
            source = f"src: url('{files[0].as_uri()}')"
            found.append(f"@font-face {{ font-family: '{family}'; {source}; font-weight: 100 900 }}")
    return "\n".join(found)


def _own_type_only() -> URLFetcher:
    """Reads nothing but the page's own type for a document, whatever stands in it."""
    from weasyprint.urls import URLFetcher

    allowed = tuple(folder.as_uri() + "/" for folder in _folders())

    class OwnTypeOnly(URLFetcher):  # type: ignore[misc]  # the library has no types
        def fetch(self, url: str, headers: Any = None) -> Any:
            """One of the faces. Raises ValueError for anything else."""
            if not url.startswith(allowed) or ".." in url:
                raise ValueError(f"not for paper: {url[:80]}")
            return super().fetch(url, headers)

    return OwnTypeOnly(allowed_protocols=["file"])


def page_pdf(body: SafeString, *, title: str, size: tuple[float, float], foot: str, css: str = "") -> bytes:
    """A document as PDF.

    Args:
        body: HTML whose texts were escaped. size: of the paper, mm. foot: stands on every page beside its number.
        css: more style.
    """
    from weasyprint import CSS, HTML  # a second to import: only who prints waits for it
    from weasyprint.text.fonts import FontConfiguration

    fonts, fetch = FontConfiguration(), _own_type_only()
    lang = language()
    direction = "rtl" if lang in RIGHT_TO_LEFT else "ltr"
    said = foot.replace("\\", "\\\\").replace('"', '\\"').replace("\n", " ")[:130]
    type_of_foot = "font: 7.5pt 'Archivo', 'Archivo Ext', 'Noto Arabic', 'DejaVu Sans'; color: #555"
    own = (
        f"@page {{ size: {size[0]:g}mm {size[1]:g}mm;"
        f' @bottom-left {{ content: "{said}"; {type_of_foot} }}'
        f" @bottom-right {{ content: counter(page); {type_of_foot} }} }}"
    )
    html = format_html(
        '<!doctype html><html lang="{}" dir="{}"><head><title>{}</title><meta name="author" content="Fervens"></head>'
        "<body>{}</body></html>",
        lang,
        direction,
        title,
        body,
    )
    sheets = [CSS(string=x, font_config=fonts, url_fetcher=fetch) for x in (_faces(), _CSS.read_text(), own, css) if x]
    made: bytes = HTML(string=html, url_fetcher=fetch).write_pdf(stylesheets=sheets, font_config=fonts)
    return made


def swatches(hexes: Sequence[str]) -> SafeString:
    """Hair colours side by side on neutral grey."""
    share = f"{100.0 / max(len(hexes), 1):.2f}%"
    return format_html(
        '<div class="swatches">{}</div>',
        format_html_join("", '<i style="width:{};background:{}"></i>', ((share, h) for h in hexes)),
    )


def under(drawn: SafeString, said: Message | str) -> SafeString:
    """A drawing with a small line below it."""
    return format_html('{}<div class="small">{}</div>', drawn, in_words(said))


def label(title: Message | str, lines: Sequence[Message | str], last: Message | str) -> SafeString:
    """A strip to be cut out: what it is, what is in it, and what a hand fills in."""
    told = format_html_join("", "{}<br>", ((in_words(x),) for x in lines))
    return format_html('<div><b>{}</b><br>{}<span class="soft">{}</span></div>', in_words(title), told, in_words(last))


def _told(value: Message | str) -> str:
    """Words, escaped; what is HTML of ours stays."""
    return value if isinstance(value, SafeString) else escape(in_words(value))


class Sheet:
    """A document being written, top to bottom."""

    def __init__(self, title: Message, paper: str) -> None:
        self.title, self.size, self.parts = in_words(title), PAPERS[paper], []  # type: ignore[var-annotated]
        self.width = self.size[0] - 2 * MARGIN_MM

    def _add(self, tag: str, text: Message | str, kind: str = "") -> None:
        told = _told(text).replace("\n", "<br>")
        self.parts.append(format_html('<{} class="{}">{}</{}>', tag, kind, mark_safe(told), tag))  # escaped

    def heading(self, text: Message | str) -> None:
        """The document's title."""
        self._add("h1", text)

    def section(self, text: Message | str) -> None:
        """A section's heading."""
        self._add("h2", text)

    def text(self, text: Message | str, *, soft: bool = False, kind: str = "") -> None:
        """A paragraph; `kind`: small or large."""
        self._add("p", text, f"{'soft ' if soft else ''}{kind}")

    def points(self, lines: Iterable[Message | str]) -> None:
        """Sentences one below the other, each with a dash."""
        told = "".join(f"<li>{_told(x)}</li>" for x in lines)
        self.parts.append(mark_safe(f"<ul>{told}</ul>"))  # escaped above

    def table(self, head: Sequence[Message | str], rows: Iterable[Sequence[Any]], widths: Sequence[float]) -> None:
        """A table; widths as shares of the page. Cells are texts or drawings."""
        total = sum(widths)
        columns = "".join(f'<col style="width:{w / total * 100:.2f}%">' for w in widths)
        heads = "".join(f"<th>{_told(h)}</th>" for h in head)
        body = "".join("<tr>" + "".join(f"<td>{_told(c)}</td>" for c in row) + "</tr>" for row in rows)
        self.parts.append(
            mark_safe(
                f"<table><colgroup>{columns}</colgroup><thead><tr>{heads}</tr></thead><tbody>{body}</tbody></table>"
            )  # escaped
        )

    def drawing(self, drawn: SafeString, kind: str = "head") -> None:
        """A drawing, as wide as it is."""
        self.parts.append(format_html('<div class="{}">{}</div>', kind, drawn))

    def labels(self, made: Iterable[SafeString]) -> None:
        """Strips side by side, to be cut out."""
        self.parts.append(format_html('<div class="strips">{}</div>', format_html_join("", "{}", ((x,) for x in made))))

    def together(self, first: int) -> None:
        """Keep everything from a part on on one page."""
        self.parts[first:] = [format_html('<div class="together">{}</div>', mark_safe("".join(self.parts[first:])))]

    def pdf(self, foot: Message | str) -> bytes:
        """The document as PDF, each page with a foot and its number."""
        body = mark_safe("".join(self.parts))  # each part was escaped
        return page_pdf(body, title=self.title, size=self.size, foot=in_words(foot))
