"""The chair: lanes painted in time, advice, the next act, what can be done with a lane."""

from fervens_core.chair.advice import MISFIT_SPREADS, STRAY_SPREADS
from fervens_core.chair.board import Board, Lane, make_board
from fervens_core.chair.contact import lane_contact
from fervens_core.chair.follow import LOOK_MIN, LaneEnd, follow_advice
from fervens_core.chair.lanes import (
    Chair,
    LaneTimes,
    achieved_level,
    after,
    head_belief,
    lane_kinetics,
    lane_times,
    lane_wall,
    minutes_between,
    span_min,
)
from fervens_core.chair.options import LaneOption, drag_target, lane_options
from fervens_core.chair.paint import (
    Crossing,
    CurvePoint,
    FibrePoint,
    LevelBand,
    Window,
    curve_points,
    fibre_points,
    minute_grid,
    paint_plan,
    window_of,
)
from fervens_core.chair.replan import bowls_to_mix
from fervens_core.chair.simulated_hair import as_lab, as_reflectance, kept_level, simulated_level

__all__ = [
    "LOOK_MIN",
    "MISFIT_SPREADS",
    "STRAY_SPREADS",
    "Board",
    "Chair",
    "Crossing",
    "CurvePoint",
    "FibrePoint",
    "Lane",
    "LaneEnd",
    "LaneOption",
    "LaneTimes",
    "LevelBand",
    "Window",
    "achieved_level",
    "after",
    "as_lab",
    "as_reflectance",
    "bowls_to_mix",
    "curve_points",
    "drag_target",
    "fibre_points",
    "follow_advice",
    "head_belief",
    "kept_level",
    "lane_contact",
    "lane_kinetics",
    "lane_options",
    "lane_times",
    "lane_wall",
    "make_board",
    "minute_grid",
    "minutes_between",
    "paint_plan",
    "simulated_level",
    "span_min",
    "window_of",
]
