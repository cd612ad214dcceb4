"""Why a picture is not read: a plain word, never a guess."""

from __future__ import annotations


class PictureRefusedError(Exception):
    """A picture that no level is read from.

    Args:
        why: no_card, too_dark, burnt_out, blurred, uneven, gloss, other_light, no_picture or too_large.
        side: of the card where the light fails: left, right, top or bottom; empty where that is not known.
    """

    def __init__(self, why: str, side: str = "") -> None:
        super().__init__(f"{why} {side}".strip())
        self.why, self.side = why, side
