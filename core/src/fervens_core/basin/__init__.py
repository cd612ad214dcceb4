"""After the rinse: results, the review, the tone step."""

from fervens_core.basin.parts import toning_plans_for
from fervens_core.basin.results import ReadZone, lanes_today, read_zones
from fervens_core.basin.review import Review, again_block_of, make_review
from fervens_core.basin.step import USUAL_BOWLS, ToneBowl, ToneLane, ToneStep, tone_step
from fervens_core.basin.trial import Tried, try_formula

__all__ = [
    "USUAL_BOWLS",
    "ReadZone",
    "Review",
    "ToneBowl",
    "ToneLane",
    "ToneStep",
    "Tried",
    "again_block_of",
    "lanes_today",
    "make_review",
    "read_zones",
    "tone_step",
    "toning_plans_for",
    "try_formula",
]
