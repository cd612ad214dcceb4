"""The chair at a moment, computed by the core."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass

from apps.services.loading import Loaded, chair, plan_request
from fervens_core.base import ConflictError, CoreError
from fervens_core.chair import Board, LaneOption, bowls_to_mix, head_belief, lane_options, lane_times, make_board
from fervens_core.log import Phase
from fervens_core.planning import PlannedBowl


@dataclass(frozen=True, slots=True)
class AtChair:
    """The board at a moment, and the bowls still to be mixed."""

    board: Board
    bowls: tuple[PlannedBowl, ...]


def at_chair(loaded: Loaded, now: dt.datetime) -> AtChair:
    """The board and the mixing list; both empty before the plan is taken.

    When the shelf has changed so that nothing can be planned, the chair goes on without amounts and proposals.
    """
    there = chair(loaded, now)
    if there is None:
        return AtChair(Board(now=now, lanes=(), acts=()), ())
    if all(x.phase is Phase.RINSED for x in there.state.lanes):
        return AtChair(make_board(there), ())
    try:
        request = plan_request(loaded)
    except CoreError:
        return AtChair(make_board(there), ())
    return AtChair(make_board(there, request), bowls_to_mix(there, lane_times(there), request))


def board(loaded: Loaded, now: dt.datetime) -> Board:
    """The chair at a moment; an empty board before the plan is taken."""
    return at_chair(loaded, now).board


def options(loaded: Loaded, key: str, now: dt.datetime) -> tuple[LaneOption, ...]:
    """What can be done with a lane now. Raises ConflictError for one the plan has not."""
    there = chair(loaded, now)
    if there is None:
        raise ConflictError("no_plan")
    times = lane_times(there)
    return lane_options(there, head_belief(there, times), times, key)
