"""The plan: order, waves and lines, developers, bowls and what is weighed, visits, the verdict."""

from fervens_core.planning.aims import compare_aims
from fervens_core.planning.bowls import (
    BowlStyle,
    Fill,
    PlannedBowl,
    Serving,
    lift_lost_share,
    plan_bowls,
    section_mix_g,
)
from fervens_core.planning.chairtime import ChairItem, chair_time, total_min
from fervens_core.planning.mixing import Pour, blend
from fervens_core.planning.order import Placed, propose_order
from fervens_core.planning.plan import DeveloperMove, Plan, WavePlan, ZonePlan, make_plan, strand_moves
from fervens_core.planning.request import Aim, PlanChoice, PlanRequest
from fervens_core.planning.scale import WeighedMix, WeighedPour, simulated_pour, weigh_mix
from fervens_core.planning.solver import Solver, entries_of, mixing_of
from fervens_core.planning.verdict import Verdict, make_verdict, strand_verdict, tone_verdict
from fervens_core.planning.visits import head_visits, visits_needed
from fervens_core.planning.wave import CHANGEOVER_MIN, PROCESSING_MIN_MIN, Entry, LaneTable, VolumeStep

__all__ = [
    "CHANGEOVER_MIN",
    "PROCESSING_MIN_MIN",
    "Aim",
    "BowlStyle",
    "ChairItem",
    "DeveloperMove",
    "Entry",
    "Fill",
    "LaneTable",
    "Placed",
    "Plan",
    "PlanChoice",
    "PlanRequest",
    "PlannedBowl",
    "Pour",
    "Serving",
    "Solver",
    "Verdict",
    "VolumeStep",
    "WavePlan",
    "WeighedMix",
    "WeighedPour",
    "ZonePlan",
    "blend",
    "chair_time",
    "compare_aims",
    "entries_of",
    "head_visits",
    "lift_lost_share",
    "make_plan",
    "make_verdict",
    "mixing_of",
    "plan_bowls",
    "propose_order",
    "section_mix_g",
    "simulated_pour",
    "strand_moves",
    "strand_verdict",
    "tone_verdict",
    "total_min",
    "visits_needed",
    "weigh_mix",
]
