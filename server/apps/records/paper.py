"""Documents on paper: one way of setting text, tables and swatches, for A4 and Letter."""

from __future__ import annotations

import io
from collections.abc import Sequence
from pathlib import Path
from typing import Any
from xml.sax.saxutils import escape

from reportlab.lib.colors import HexColor
from reportlab.lib.pagesizes import A4, LETTER
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.platypus import Flowable, KeepTogether, Paragraph, SimpleDocTemplate, Spacer, Table, TableStyle

from apps.common.words import in_words
from fervens_core.base import Message

PAPERS = {"a4": A4, "letter": LETTER}
INK, SOFT, LINE = HexColor("#1c1c1c"), HexColor("#5c5c5c"), HexColor("#c4c4c4")
MARGIN = 16 * mm
FRAME_PADDING = 6
"""The library's own, points."""
_FONTS = Path("/usr/share/fonts/truetype/dejavu")
_FILES = {"Fervens": ("DejaVuSans.ttf", "Vera.ttf"), "Fervens-Bold": ("DejaVuSans-Bold.ttf", "VeraBd.ttf")}


def _fonts() -> None:
    """Register the fonts once: DejaVu, which has most of the world's letters, else the library's own."""
    if "Fervens" in pdfmetrics.getRegisteredFontNames():
        return
    for name, (wide, own) in _FILES.items():
        path = _FONTS / wide
        pdfmetrics.registerFont(TTFont(name, str(path) if path.exists() else own))
    pdfmetrics.registerFontFamily("Fervens", normal="Fervens", bold="Fervens-Bold")


def _style(
    size: float, *, bold: bool = False, soft: bool = False, before: float = 0, after: float = 0
) -> ParagraphStyle:
    return ParagraphStyle(
        f"s{size}{bold}{soft}{before}",
        fontName="Fervens-Bold" if bold else "Fervens",
        fontSize=size,
        leading=size * 1.35,
        textColor=SOFT if soft else INK,
        spaceBefore=before,
        spaceAfter=after,
    )


class Swatches(Flowable):
    """Hair colours side by side on neutral grey."""

    def __init__(self, hexes: Sequence[str], width: float = 26 * mm, height: float = 6 * mm) -> None:
        super().__init__()
        self.hexes, self.width, self.height = list(hexes), width, height

    def wrap(self, *_: Any) -> tuple[float, float]:
        """Its size."""
        return self.width, self.height

    def draw(self) -> None:
        """Paint it."""
        self.canv.setFillColor(HexColor("#d9d9d9"))
        self.canv.rect(0, 0, self.width, self.height, stroke=0, fill=1)
        each = (self.width - 2 * mm) / max(len(self.hexes), 1)
        for i, colour in enumerate(self.hexes):
            self.canv.setFillColor(HexColor(colour))
            self.canv.rect(1 * mm + i * each, 1 * mm, each, self.height - 2 * mm, stroke=0, fill=1)


class Sheet:
    """A document being written, top to bottom."""

    def __init__(self, title: Message, paper: str) -> None:
        _fonts()
        self.title, self.paper, self.parts = in_words(title), PAPERS[paper], []  # type: ignore[var-annotated]
        self.width = self.paper[0] - 2 * MARGIN - 2 * FRAME_PADDING

    def heading(self, text: Message | str) -> None:
        """The document's title."""
        self.parts.append(Paragraph(escape(in_words(text)), _style(19, bold=True, after=2)))

    def section(self, text: Message | str) -> None:
        """A section's heading."""
        self.parts.append(Paragraph(escape(in_words(text)), _style(12, bold=True, before=9, after=3)))

    def text(self, text: Message | str, *, soft: bool = False, size: float = 9.5) -> None:
        """A paragraph."""
        self.parts.append(Paragraph(escape(in_words(text)).replace("\n", "<br/>"), _style(size, soft=soft, after=2)))

    def points(self, lines: Sequence[Message | str], size: float = 10.5) -> None:
        """Sentences one below the other, each with a dash."""
        style = _style(size, after=3)
        style.leftIndent, style.bulletIndent = 11, 0
        self.parts += [Paragraph(escape(in_words(x)), style, bulletText="–") for x in lines]

    def table(self, head: Sequence[Message | str], rows: Sequence[Sequence[Any]], widths: Sequence[float]) -> None:
        """A table; widths as shares of the page. Cells are texts or swatches."""
        plain, bold = _style(8.5), _style(8, bold=True, soft=True)
        made: list[list[Any]] = [[Paragraph(escape(in_words(h)), bold) for h in head]]
        made += [
            [Paragraph(escape(in_words(c)), plain) if isinstance(c, str | Message) else c for c in row] for row in rows
        ]
        total = sum(widths)
        table = Table(made, colWidths=[self.width * w / total for w in widths], repeatRows=1, hAlign="LEFT")
        table.setStyle(
            TableStyle(
                [
                    ("VALIGN", (0, 0), (-1, -1), "MIDDLE"),
                    ("LINEBELOW", (0, 0), (-1, -1), 0.4, LINE),
                    ("LEFTPADDING", (0, 0), (-1, -1), 0),
                    ("RIGHTPADDING", (0, 0), (-1, -1), 5),
                    ("TOPPADDING", (0, 0), (-1, -1), 2),
                    ("BOTTOMPADDING", (0, 0), (-1, -1), 2.5),
                ]
            )
        )
        self.parts.append(table)

    def together(self, first: int) -> None:
        """Keep everything from a part on on one page."""
        self.parts[first:] = [KeepTogether(self.parts[first:])]

    def gap(self, points: float = 6) -> None:
        """White space."""
        self.parts.append(Spacer(1, points))

    def pdf(self, foot: Message | str) -> bytes:
        """The document as PDF, each page with a foot and its number."""

        def footer(canvas: Any, document: Any) -> None:
            canvas.setFont("Fervens", 7.5)
            canvas.setFillColor(SOFT)
            canvas.drawString(MARGIN, 9 * mm, in_words(foot)[:130])
            canvas.drawRightString(self.paper[0] - MARGIN, 9 * mm, f"{document.page}")

        out = io.BytesIO()
        document = SimpleDocTemplate(
            out,
            pagesize=self.paper,
            leftMargin=MARGIN,
            rightMargin=MARGIN,
            topMargin=14 * mm,
            bottomMargin=16 * mm,
            title=self.title,
            author="Fervens",
        )
        document.build(self.parts, onFirstPage=footer, onLaterPages=footer)
        return out.getvalue()
