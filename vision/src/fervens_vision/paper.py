"""The card as a page to print: SVG, A5 or half a Letter on its side."""

from __future__ import annotations

from dataclasses import dataclass

import cv2

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


def _colour(lab: Lab) -> str:
    return "rgb({}%,{}%,{}%)".format(*(f"{100.0 * share:.3f}" for share in lab_to_srgb(lab)))


def card_svg(paper: Paper, *, title: str, notes: tuple[str, ...]) -> str:
    """The card on a page at its true size, as SVG in mm.

    Args:
        title: of the document. notes: lines for the foot of the card, in the reader's language.
    """
    left, top = (paper.width - CARD.width) / 2.0, (paper.height - CARD.height) / 2.0
    drawn: list[str] = []

    def fill(box: Box, colour: str) -> None:
        place = f'x="{left + box.left:.4f}" y="{top + box.top:.4f}"'
        size = f'width="{box.right - box.left:.4f}" height="{box.bottom - box.top:.4f}"'
        drawn.append(f'<rect {place} {size} fill="{colour}"/>')

    for number, box in enumerate(CARD.markers):
        fill(box, "#000")
        bits = cv2.aruco.Dictionary.getBitsFromByteList(MARKERS.bytesList[number : number + 1], MODULES - 2)
        size = (box.right - box.left) / MODULES
        for row in range(MODULES - 2):
            for column in range(MODULES - 2):
                if bits[row][column]:
                    x, y = box.left + (column + 1) * size, box.top + (row + 1) * size
                    fill(Box(x, y, x + size, y + size), "#fff")
    greys = {p.name: p.nominal for p in PATCHES}
    fill(CARD.rim, _colour(greys[RIM_GREY]))
    fill(CARD.window, "#fff")
    for patch in PATCHES:
        for box in patch.boxes:
            fill(box, _colour(patch.nominal))
    window = CARD.window
    place = f'x="{left + window.left:.4f}" y="{top + window.top:.4f}"'
    size_ = f'width="{window.right - window.left:.4f}" height="{window.bottom - window.top:.4f}"'
    drawn.append(f'<rect {place} {size_} fill="none" stroke="#000" stroke-width="0.14" stroke-dasharray="0.7 0.7"/>')
    for i, line in enumerate((title, *notes)):
        y = top + (8.0 + 3.4 * i if i < 4 else CARD.height - 8.0)
        said = line.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;")
        drawn.append(
            f'<text x="{paper.width / 2.0:.3f}" y="{y:.3f}" font-size="2.5" text-anchor="middle">{said}</text>'
        )
    view = f'width="{paper.width:g}mm" height="{paper.height:g}mm" viewBox="0 0 {paper.width:g} {paper.height:g}"'
    return f'<svg xmlns="http://www.w3.org/2000/svg" {view}>{"".join(drawn)}</svg>'
