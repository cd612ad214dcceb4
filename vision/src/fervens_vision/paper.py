"""The card as a page to print: PDF, A5 or half a Letter on its side."""

from __future__ import annotations

import io
from dataclasses import dataclass

import cv2
from reportlab.lib.colors import Color
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas

from fervens_vision.card import CARD, PATCHES, RIM_GREY, Box, Lab
from fervens_vision.colours import lab_to_srgb
from fervens_vision.find import MARKERS

MODULES = 6
"""A marker of 4x4 has a black border of one module."""


@dataclass(frozen=True, slots=True)
class Paper:
    """A page, mm, on its side."""

    name: str
    width: float
    height: float


PAPERS = {"a5": Paper("A5", 210.0, 148.0), "letter_half": Paper("Letter half", 215.9, 139.7)}


def _colour(lab: Lab) -> Color:
    red, green, blue = lab_to_srgb(lab)
    return Color(red, green, blue)


def card_pdf(paper: Paper, *, title: str, notes: tuple[str, ...]) -> bytes:
    """The card on a page at its true size.

    Args:
        title: of the document. notes: lines for the foot of the card, in the reader's language.
    """
    found = io.BytesIO()
    page = Canvas(found, pagesize=(paper.width * mm, paper.height * mm), invariant=1)
    page.setTitle(title)
    left, top = (paper.width - CARD.width) / 2.0, (paper.height - CARD.height) / 2.0

    def fill(box: Box, colour: Color) -> None:
        page.setFillColor(colour)
        x, y = (left + box.left) * mm, (paper.height - top - box.bottom) * mm
        page.rect(x, y, (box.right - box.left) * mm, (box.bottom - box.top) * mm, stroke=0, fill=1)

    black, white = Color(0, 0, 0), Color(1, 1, 1)
    for number, box in enumerate(CARD.markers):
        fill(box, black)
        bits = cv2.aruco.Dictionary.getBitsFromByteList(MARKERS.bytesList[number : number + 1], MODULES - 2)
        size = (box.right - box.left) / MODULES
        for row in range(MODULES - 2):
            for column in range(MODULES - 2):
                if bits[row][column]:
                    x, y = box.left + (column + 1) * size, box.top + (row + 1) * size
                    fill(Box(x, y, x + size, y + size), white)
    greys = {p.name: p.nominal for p in PATCHES}
    fill(CARD.rim, _colour(greys[RIM_GREY]))
    fill(CARD.window, white)
    for patch in PATCHES:
        for box in patch.boxes:
            fill(box, _colour(patch.nominal))
    page.setStrokeColor(black)
    page.setDash(2, 2)
    page.setLineWidth(0.4)
    window = CARD.window
    page.rect(
        (left + window.left) * mm,
        (paper.height - top - window.bottom) * mm,
        (window.right - window.left) * mm,
        (window.bottom - window.top) * mm,
    )
    page.setFillColor(black)
    page.setFont("Helvetica", 7)
    for i, line in enumerate((title, *notes)):
        page.drawCentredString(
            paper.width / 2.0 * mm, (paper.height - top - (8.0 + 3.4 * i if i < 4 else CARD.height - 8.0)) * mm, line
        )
    page.showPage()
    page.save()
    return found.getvalue()
