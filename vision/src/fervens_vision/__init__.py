"""Reading hair from a photograph with a printed card in it: the card, finding it, its light, the strand's colour."""

from fervens_vision.card import CARD, GREYS, PATCHES, Card, CardValues, Patch, nominal_values, values_of
from fervens_vision.colours import load
from fervens_vision.paper import PAPERS, Paper, card_svg
from fervens_vision.picture import BYTES_MAX
from fervens_vision.read import Found, read_strand
from fervens_vision.refused import PictureRefusedError

__all__ = [
    "BYTES_MAX",
    "CARD",
    "GREYS",
    "PAPERS",
    "PATCHES",
    "Card",
    "CardValues",
    "Found",
    "Paper",
    "Patch",
    "PictureRefusedError",
    "card_svg",
    "load",
    "nominal_values",
    "read_strand",
    "values_of",
]
