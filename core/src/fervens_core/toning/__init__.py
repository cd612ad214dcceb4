"""How dyes sit on hair: formulas, wishes, neutralising, and the session worked at a basin visit."""

from fervens_core.toning.choose import best_session, choose_session
from fervens_core.toning.depth import level_of_lightness, lightness_of_level
from fervens_core.toning.dyes import deposit
from fervens_core.toning.fit import (
    BRIGHT_FROM_LEVEL,
    OUT_OF_REACH_DELTA_E,
    REACHED_DELTA_E,
    Goal,
    Match,
    goal_of,
    match,
)
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
from fervens_core.toning.formulas import Formulas, formulas_of
from fervens_core.toning.measured import dyes_of_measured
from fervens_core.toning.neutralise import cool_share, dye_shares, explain, natural_lab, rank_neutralisers
from fervens_core.toning.reach import Needed, needed_for
from fervens_core.toning.session import BOWLS_MAX, Hand, SessionPart, SessionTone, ToneSession, spread_of
from fervens_core.toning.shelf import ToneShelf, first_pass, lay_out, sketch
from fervens_core.toning.wish import Wish, WishCell, wish_scale

__all__ = [
    "BOWLS_MAX",
    "BRIGHT_FROM_LEVEL",
    "OUT_OF_REACH_DELTA_E",
    "REACHED_DELTA_E",
    "SHARES",
    "Formula",
    "Formulas",
    "Goal",
    "Hand",
    "Match",
    "Needed",
    "Result",
    "SessionPart",
    "SessionTone",
    "ToneSession",
    "ToneShelf",
    "Wish",
    "WishCell",
    "all_formulas",
    "best_session",
    "can_mix",
    "choose_session",
    "cool_share",
    "deposit",
    "dye_shares",
    "dyes_of_measured",
    "explain",
    "first_pass",
    "formulas_of",
    "goal_of",
    "lay_out",
    "level_of_lightness",
    "lightness_of_level",
    "match",
    "natural_lab",
    "needed_for",
    "rank_neutralisers",
    "sketch",
    "spread_of",
    "time_constant_min",
    "toned_absorption",
    "toned_lab",
    "wish_scale",
]
