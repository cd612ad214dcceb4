"""The plan: order, schedule, developers, bowls and what is weighed, sessions, the verdict."""

from fervens_core.planning.aims import AimPlan, compare_aims, make_plan
from fervens_core.planning.bowls import (
    BowlStyle,
    Fill,
    PlannedBowl,
    Serving,
    lift_lost_share,
    plan_bowls,
    section_mix_g,
)
from fervens_core.planning.busy import Busy, Doing, hands_busy
from fervens_core.planning.chairtime import ChairItem, chair_time, tone_time, total_min
from fervens_core.planning.entry import (
    PROCESSING_MIN_MIN,
    Entry,
    LaneTable,
    application_min,
    entries_of,
    proposable,
    weakest_reaching,
)
from fervens_core.planning.mixing import Pour, blend
from fervens_core.planning.moves import DeveloperMove, strand_moves
from fervens_core.planning.order import OrderWay, Placed, propose_order
from fervens_core.planning.plan import BasinVisit, Ending, LanePlan, Plan, plan_from
from fervens_core.planning.price import Price, prices_for
from fervens_core.planning.product import propose_lightener
from fervens_core.planning.request import (
    AS_PROPOSED,
    OF_LANES,
    USUAL_PACE,
    Aim,
    DelicateWay,
    Paces,
    PlanChoice,
    PlanRequest,
    School,
    VolumeStep,
)
from fervens_core.planning.rounds import WORTH_LEVELS, again_key, again_zone, plan_round, second_round
from fervens_core.planning.scale import WeighedMix, WeighedPour, simulated_pour, weigh_mix
from fervens_core.planning.sessions import LaneSessions, hardest, head_sessions, sessions_needed
from fervens_core.planning.verdict import Verdict, make_verdict, strand_verdict, tone_verdict

__all__ = [
    "AS_PROPOSED",
    "OF_LANES",
    "PROCESSING_MIN_MIN",
    "USUAL_PACE",
    "WORTH_LEVELS",
    "Aim",
    "AimPlan",
    "BasinVisit",
    "BowlStyle",
    "Busy",
    "ChairItem",
    "DelicateWay",
    "DeveloperMove",
    "Doing",
    "Ending",
    "Entry",
    "Fill",
    "LanePlan",
    "LaneSessions",
    "LaneTable",
    "OrderWay",
    "Paces",
    "Placed",
    "Plan",
    "PlanChoice",
    "PlanRequest",
    "PlannedBowl",
    "Pour",
    "Price",
    "School",
    "Serving",
    "Verdict",
    "VolumeStep",
    "WeighedMix",
    "WeighedPour",
    "again_key",
    "again_zone",
    "application_min",
    "blend",
    "chair_time",
    "compare_aims",
    "entries_of",
    "hands_busy",
    "hardest",
    "head_sessions",
    "lift_lost_share",
    "make_plan",
    "make_verdict",
    "plan_bowls",
    "plan_from",
    "plan_round",
    "prices_for",
    "proposable",
    "propose_lightener",
    "propose_order",
    "second_round",
    "section_mix_g",
    "sessions_needed",
    "simulated_pour",
    "strand_moves",
    "strand_verdict",
    "tone_time",
    "tone_verdict",
    "total_min",
    "weakest_reaching",
    "weigh_mix",
]
