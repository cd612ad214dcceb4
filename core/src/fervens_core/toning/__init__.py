"""How dyes sit on hair: formulas, wishes, neutralising, the search over a shelf, timing at the basin."""

from fervens_core.toning.dyes import deposit
from fervens_core.toning.fit import Match, goal_of, match
from fervens_core.toning.formula import (
    SHARES,
    Formula,
    Result,
    all_formulas,
    can_mix,
    time_constant_min,
    toned_absorption,
    toned_lab,
)
from fervens_core.toning.neutralise import dye_shares, explain, natural_lab, rank_neutralisers
from fervens_core.toning.search import BOWLS_MAX, Bowl, ToningPlan, choose, choose_for_wish, spread_of, toning_plan_of
from fervens_core.toning.shelf import ToneShelf, lay_out
from fervens_core.toning.timing import ToneTimes, ToTone, time_toner
from fervens_core.toning.wish import Wish, WishCell, wish_scale

__all__ = [
    "BOWLS_MAX",
    "SHARES",
    "Bowl",
    "Formula",
    "Match",
    "Result",
    "ToTone",
    "ToneShelf",
    "ToneTimes",
    "ToningPlan",
    "Wish",
    "WishCell",
    "all_formulas",
    "can_mix",
    "choose",
    "choose_for_wish",
    "deposit",
    "dye_shares",
    "explain",
    "goal_of",
    "lay_out",
    "match",
    "natural_lab",
    "rank_neutralisers",
    "spread_of",
    "time_constant_min",
    "time_toner",
    "toned_absorption",
    "toned_lab",
    "toning_plan_of",
    "wish_scale",
]
