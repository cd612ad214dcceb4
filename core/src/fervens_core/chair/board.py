"""The chair's board: each lane's painted curve, window, wall, next check and advice; and the one act that is next."""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import datetime
from functools import partial

import numpy as np

from fervens_core.base import Message, say, term
from fervens_core.chair.acts import LaneView, Leaves, NextAct, next_acts
from fervens_core.chair.advice import MISFIT_SPREADS, STRAY_SPREADS, Act, LaneAdvice, advise
from fervens_core.chair.lanes import (
    Chair,
    LaneTimes,
    achieved_level,
    after,
    asks_again,
    bowl_taken_from,
    has_read_again,
    head_belief,
    lane_times,
    lane_wall,
    lost_share,
    minutes_between,
    of_eye,
    span_min,
    until,
)
from fervens_core.chair.paint import (
    Crossing,
    CurvePoint,
    FibrePoint,
    LevelBand,
    Window,
    crossings,
    curve_points,
    fibre_points,
    minute_grid,
    window_of,
)
from fervens_core.chair.replan import DeveloperProposal, propose_developers
from fervens_core.colour import Undertone, hair_lab, seen_hexes, undertone
from fervens_core.head import Covering, Elasticity, Foils, Part, ReadingMode, ScalpFeel, Zone, across, lane_label
from fervens_core.lift import Belief, Outlook, Reading
from fervens_core.log import LaneState, Phase, Step, TakenReading
from fervens_core.planning import BowlStyle, PlanRequest
from fervens_core.safety import heat_block, refresh_block

WALL_WARNINGS_MIN = (10.0, 3.0)
"""A wall is warned of so many minutes before."""
READINGS_SHOWN = 60
"""The latest readings of a lane that stand on its board; its log has all."""
PAST_WALL_MAX_MIN = 60.0
"""A lane left on past its wall is painted on for so long."""


@dataclass(frozen=True, slots=True)
class BoardReading:
    """A reading as it stands on its lane."""

    event_id: str
    minute: float
    level: float
    mode: str
    hex: str
    foils: Foils = Foils.LAST


@dataclass(frozen=True, slots=True)
class Lane:
    """One lane of the board; minutes count from `zero_at`, the end of its application (expected, if not ended).

    Args:
        zone_key: the zone it is of. across: where that lies seen from behind, -1 at the left temple to 1 at the right.
        zone_name, part: of a part of a zone that is read in parts, apart; part is empty for a whole zone.
        lightener: name of what it is lightened with.
        is_forecast: the application has not ended yet; times are the plan's.
        window_min: when the target should be reached, by the first sections at the earliest, by the last at the latest.
        span_min: the first sections have been on for so much longer; level_first, hex_first: how they should look now.
        visit: the trip to the basin it is planned for, from 1; 0 for older logs. leaves: how its product comes off.
        wall_min: the label's time of what is on now. warn_mins: when its wall is warned of, min after zero_at.
        stop_reason: why it must be rinsed whatever its level, or None. notes: what is special about it now.
        lift_lost_share: how much less far its product lifts for its bowl's age, 0 to 0.5.
        ratio_*: what readings have moved: learnt factor over expected factor.
    """

    key: str
    zone_key: str
    across: float
    name: Message | str
    zone_name: Message | str
    part: Message | str
    order: int
    phase: Phase
    volume_strength: float
    lightener: str
    start_level: float
    target_level: float
    started_at: datetime
    zero_at: datetime
    is_forecast: bool
    wall_min: float
    end_min: float
    window_min: Window
    level_now: LevelBand
    level_first: LevelBand
    span_min: float
    hex_now: str
    hex_first: str
    hex_target: str
    undertone_now: Undertone
    curve: tuple[CurvePoint, ...]
    fibres: tuple[FibrePoint, ...]
    crossings: tuple[Crossing, ...]
    readings: tuple[BoardReading, ...]
    rinsed_min: float | None
    achieved_level: float | None
    advice: LaneAdvice | None
    ratio_extent: float
    ratio_rate: float
    has_bowl: bool
    is_passed_wall: bool
    visit: int
    leaves: Leaves
    warn_mins: tuple[float, ...]
    stop_reason: Message | None
    notes: tuple[Message, ...]
    lift_lost_share: float
    application_count: int
    is_heated: bool
    is_last_placed: bool


@dataclass(frozen=True, slots=True)
class BoardBowl:
    """A bowl in use: mixed, and some of its lanes still without it.

    Args:
        stale_at: when its life is over.
    """

    event_id: str
    number: int
    volume_strength: float
    mass_g: float
    mixed_at: datetime
    stale_at: datetime
    lane_names: tuple[Message | str, ...]


@dataclass(frozen=True, slots=True)
class Board:
    """The whole chair at one moment; `toners_on`: zones and root shadows with toner on them."""

    now: datetime
    lanes: tuple[Lane, ...]
    acts: tuple[NextAct, ...]
    bowls: tuple[BoardBowl, ...] = ()
    proposals: tuple[DeveloperProposal, ...] = ()
    toners_on: int = 0


def _notes(
    chair: Chair, lane: LaneState, lost: float, *, is_last_placed: bool, is_misfit: bool, is_stray: bool
) -> tuple[Message, ...]:
    found = []
    if is_misfit:
        found.append(say("note-misfit"))
    if is_stray:
        found.append(say("note-stray"))
    if chair.zones[lane.key].lightener:
        found.append(say("note-own_product", product=chair.lightener_of(lane.key).name))
    if lane.is_heated:
        found.append(say("note-warmed"))
    if len(lane.applications) > 1:
        found.append(say("note-refreshed", times=len(lane.applications) - 1))
    if lane.is_dried:
        found.append(say("note-dried"))
    elif lane.is_barrier:
        found.append(say("note-barrier"))
    elif lane.coverings and lane.coverings[-1][1] is Covering.OPEN_AIR:
        found.append(say("note-open_air"))
    if lane.applications and lane.applications[0].dragged_from:
        found.append(say("note-dragged"))
    if lost >= 0.01:
        found.append(say("note-stale_bowl", lost=lost))
    if lane.scalp is ScalpFeel.WARM:
        found.append(say("note-scalp_warm"))
    if lane.elasticity is Elasticity.SLOW:
        found.append(say("note-returns_slowly"))
    if is_last_placed:
        found.append(say("note-last_foils"))
    return tuple(found)


def _short_help(chair: Chair, lane: LaneState, advice: LaneAdvice) -> LaneAdvice:
    """What helps a lane that will stop short, said with its advice."""
    ways = []
    lightener = chair.lightener_of(lane.key)
    if refresh_block(lightener, len(lane.applications), lane.stop) is None:
        ways.append(say("short_help-refresh"))
    if not lane.is_heated and heat_block(chair.zones[lane.key], lightener, lane.stop) is None:
        ways.append(say("short_help-warm"))
    level = chair.zones[lane.key].target_level if advice.stops_at is None else advice.stops_at
    return replace(advice, text=say("advice-stops_near_help", level=level, ways=[*ways, say("short_help-deeper")]))


def _advice(
    chair: Chair, lane: LaneState, belief: Belief, index: int, outlook: Outlook, times: LaneTimes, wall: float
) -> LaneAdvice | None:
    if lane.phase is Phase.RINSED or lane.phase is Phase.WAITING:
        return None
    now_min = max(minutes_between(times.zero, chair.now), 0.0)
    if lane.stop:
        return LaneAdvice(Act.STOP, now_min, lane.stop)
    if lane.phase is not Phase.PROCESSING:
        return None
    seen = until(lane.readings, chair.now)
    reader = next((r.by for r in reversed(lane.readings) if not r.is_measured), "")
    ahead = Reading(index, 0.0, 5.0, ReadingMode.WIPED, **of_eye(chair, reader, ReadingMode.WIPED))
    given = advise(
        outlook,
        now_min=now_min,
        wall_min=wall,
        target_level=chair.zones[lane.key].target_level,
        reading_count=len(seen),
        last_reading_min=minutes_between(times.zero, seen[-1].at) if seen else None,
        span_min=span_min(chair.zones[lane.key], lane),
        spread_left=partial(belief.spread_left, index, reading=ahead),
        is_misfit=belief.misfit(index) > MISFIT_SPREADS,
        has_read_again=has_read_again(chair, lane),
    )
    return _short_help(chair, lane, given) if given.act is Act.SHORT else given


def _last_placed(chair: Chair) -> set[str]:
    """The lane of each visit whose product went on last, once all of its visit have some."""
    visits = dict(zip(chair.state.plan.zone_keys, chair.state.plan.visits, strict=False)) if chair.state.plan else {}
    found: dict[int, LaneState] = {}
    whole: dict[int, bool] = {}
    for lane in chair.state.lanes:
        visit = visits.get(lane.key, 0)
        whole[visit] = whole.get(visit, True) and lane.started_at is not None
        last = found.get(visit)
        if lane.started_at and (last is None or (last.started_at and lane.started_at > last.started_at)):
            found[visit] = lane
    return {x.key for visit, x in found.items() if whole[visit] and x.phase is not Phase.RINSED and len(whole) > 0}


def _leaves(chair: Chair, zone: Zone) -> Leaves:
    """As the plan has it."""
    plan = chair.state.plan
    if plan is None or zone.key not in plan.wiped_keys:
        return Leaves.BASIN
    return Leaves.DRIED if zone.covering is Covering.OPEN_AIR else Leaves.WIPED


def _board_lane(chair: Chair, index: int, times: LaneTimes, belief: Belief, *, is_last_placed: bool) -> Lane:
    lane = chair.state.lanes[index]
    zone, now = chair.zones[lane.key], chair.now
    wall = minutes_between(times.zero, lane_wall(chair, lane, times))
    rinsed = minutes_between(times.zero, lane.rinsed_at) if lane.rinsed_at else None
    now_min = max(minutes_between(times.zero, now), 0.0)
    end = rinsed if rinsed is not None else max(wall, min(now_min, wall + PAST_WALL_MAX_MIN), 1.0)
    grid = minute_grid(end)
    outlook = belief.outlook(index)
    span = span_min(zone, lane) if lane.started_at and len(lane.applications) < 2 else 0.0
    bands = outlook.level_bands(np.append(grid, [min(now_min, end), min(now_min, end) + span]))
    n, likely = grid.size, bands[1]
    target = zone.target_level
    lost = max((lost_share(chair, lane, a) for a in lane.applications), default=0.0)
    shown = lane.readings[-READINGS_SHOWN:]
    labs = hair_lab(zone.hair.colour_start, np.concatenate([likely, [target], [r.level for r in shown]]))
    colours = seen_hexes(labs)
    learnt, expected = belief.factors(index), belief.lanes[index].factors
    level_now = float(likely[n]) if lane.started_at else zone.hair.start_level
    visits = dict(zip(chair.state.plan.zone_keys, chair.state.plan.visits, strict=False)) if chair.state.plan else {}
    return Lane(
        key=lane.key,
        zone_key=zone.zone_key,
        across=across(zone),
        name=zone.label,
        zone_name=lane_label(zone.name, Part.WHOLE, piece=zone.piece, is_again=zone.is_again),
        part=_part_told(zone),
        order=index + 1,
        phase=lane.phase,
        volume_strength=lane.volume_strength,
        lightener=chair.lightener_of(lane.key).name,
        start_level=zone.hair.start_level,
        target_level=target,
        started_at=times.started,
        zero_at=times.zero,
        is_forecast=times.is_forecast,
        wall_min=wall,
        end_min=float(end),
        window_min=window_of(outlook.ready_window(target), span),
        level_now=LevelBand(float(bands[0, n]), level_now, float(bands[2, n])),
        level_first=LevelBand(*(float(x) for x in bands[:, n + 1])),
        span_min=span,
        hex_now=colours[n],
        hex_first=colours[n + 1],
        hex_target=colours[n + 2],
        undertone_now=undertone(level_now),
        curve=curve_points(grid, bands[:, :n], colours[:n]),
        fibres=fibre_points(zone.hair.colour_start, grid, likely[:n]),
        crossings=crossings(zone.hair.start_level, grid, likely[:n]),
        readings=tuple(_board_reading(r, times.zero, h) for r, h in zip(shown, colours[n + 3 :], strict=True)),
        rinsed_min=rinsed,
        achieved_level=achieved_level(lane),
        advice=_advice(chair, lane, belief, index, outlook, times, wall),
        ratio_extent=learnt.extent / expected.extent,
        ratio_rate=learnt.rate / expected.rate,
        has_bowl=lane.has_bowl,
        is_passed_wall=(rinsed if rinsed is not None else now_min) > wall and lane.started_at is not None,
        visit=int(visits.get(lane.key, 0)),
        leaves=_leaves(chair, zone),
        warn_mins=tuple(wall - m for m in WALL_WARNINGS_MIN),
        stop_reason=lane.stop if lane.phase is not Phase.RINSED else None,
        notes=_notes(
            chair,
            lane,
            lost,
            is_last_placed=is_last_placed,
            is_misfit=asks_again(chair, lane, belief, index),
            is_stray=belief.stray(index) > STRAY_SPREADS,
        ),
        lift_lost_share=lost,
        application_count=len(lane.applications),
        is_heated=lane.is_heated,
        is_last_placed=is_last_placed,
    )


def _part_told(zone: Zone) -> Message | str:
    """A lane's part apart from its zone's name; where it lies, for one band of several."""
    if zone.part is Part.WHOLE:
        return ""
    if zone.at_mm is None:
        return term(zone.part)
    return say("lane_part-at", part=zone.part, low=zone.at_mm[0], high=zone.at_mm[1])


def _board_reading(taken: TakenReading, zero: datetime, colour: str) -> BoardReading:
    return BoardReading(
        taken.event_id, minutes_between(zero, taken.at), taken.level, taken.mode.value, colour, taken.foils
    )


def _view(chair: Chair, lane: Lane) -> LaneView:
    state = chair.state.lane(lane.key)
    need = chair.application_min(lane.key)
    is_refresh = len(state.applications) > 1
    end = after(state.applications[-1].started_at, need) if is_refresh else lane.zero_at
    return LaneView(
        key=lane.key,
        name=lane.name,
        phase=lane.phase,
        volume_strength=lane.volume_strength,
        started_at=lane.started_at,
        zero_at=lane.zero_at,
        apply_end_at=end,
        target_level=lane.target_level,
        achieved_level=lane.achieved_level,
        hex_now=lane.hex_now,
        should_look=say("act-should_look", level=lane.level_now.likely, undertone=lane.undertone_now),
        curve=lane.curve,
        advice=lane.advice,
        has_bowl=lane.has_bowl,
        bowl_at=bowl.at if (bowl := bowl_taken_from(state)) else None,
        is_refresh=is_refresh,
        is_last_placed=lane.is_last_placed,
        leaves=lane.leaves,
    )


def _bowls_in_use(chair: Chair) -> tuple[BoardBowl, ...]:
    """Bowls some of whose lanes still take product from them, the oldest first."""
    taking = {b.event_id for x in chair.state.lanes if (b := bowl_taken_from(x))}
    return tuple(
        BoardBowl(
            event_id=b.event_id,
            number=b.number,
            volume_strength=b.volume_strength,
            mass_g=b.mass_g,
            mixed_at=b.at,
            stale_at=after(b.at, chair.lightener_of(b.lane_keys[0]).bowl_life_min),
            lane_names=tuple(chair.zones[k].label for k in b.lane_keys),
        )
        for b in chair.state.bowls
        if b.event_id in taking
    )


def make_board(chair: Chair, request: PlanRequest | None = None) -> Board:
    """The board of a service at a moment.

    Args:
        request: what the plan was made from; with it the developers of zones still to come are proposed anew.
    """
    if not chair.state.lanes:
        return Board(now=chair.now, lanes=(), acts=())
    times = lane_times(chair)
    belief = head_belief(chair, times)
    last = _last_placed(chair)
    lanes = tuple(
        _board_lane(chair, i, times[i], belief, is_last_placed=x.key in last) for i, x in enumerate(chair.state.lanes)
    )
    is_fresh = request is None or request.choice.bowl_style is BowlStyle.FRESH
    return Board(
        now=chair.now,
        lanes=lanes,
        acts=next_acts(
            [_view(chair, x) for x in lanes],
            chair.now,
            bowl_life_min=chair.lightener.bowl_life_min,
            is_fresh=is_fresh,
            is_reviewed=chair.state.step in (Step.TONE, Step.RECORD),
        ),
        bowls=_bowls_in_use(chair),
        proposals=propose_developers(chair, belief, times, request) if request else (),
        toners_on=chair.state.toners_on,
    )
