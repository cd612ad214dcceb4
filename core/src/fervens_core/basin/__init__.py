"""After the rinse: results, the review, the tone step."""

from fervens_core.basin.parts import AS_USUAL, ToneChoice, own_formula, toning_for, wishes_of
from fervens_core.basin.results import ReadZone, lanes_today, read_zones
from fervens_core.basin.review import Review, again_block_of, make_review
from fervens_core.basin.shown import ToneBowl, ToneLane, ToneStep
from fervens_core.basin.step import review_of_chair, tone_step
from fervens_core.basin.toner_lane import formula_of
from fervens_core.basin.trial import Tried, try_formula

__all__ = [
    "AS_USUAL",
    "ReadZone",
    "Review",
    "ToneBowl",
    "ToneChoice",
    "ToneLane",
    "ToneStep",
    "Tried",
    "again_block_of",
    "formula_of",
    "lanes_today",
    "make_review",
    "own_formula",
    "read_zones",
    "review_of_chair",
    "tone_step",
    "toning_for",
    "try_formula",
    "wishes_of",
]
