"""What can be done with a lane that processes, whether it may be, and what it would do to its curve."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Message, say
from fervens_core.chair.lanes import Chair, LaneTimes, after, lane_wall, minutes_between, with_happening
from fervens_core.chair.paint import Window, window_of
from fervens_core.head import Covering, Part, Zone
from fervens_core.lift import Belief, Change, LaneKinetics, Outlook
from fervens_core.log import LaneState, Phase
from fervens_core.safety import heat_block, refresh_block


@dataclass(frozen=True, slots=True)
class LaneOption:
    """One thing that can be done with a lane now.

    Args:
        kind: the event it becomes. blocked: why it may not be done, or None.
        asks_label: the label has to be read for it first. covering: for a change of covering.
        to_key: the lane that would get the product, for dragging it on.
        effect: what it does to the curve, in a few words.
        window_min: when the target would be reached, min after the lane's zero. level_at_wall: likely level then.
    """

    kind: str
    title: Message
    blocked: Message | None
    asks_label: bool
    effect: Message
    window_min: Window
    level_at_wall: float
    covering: Covering | None = None
    to_key: str | None = None
    volume_strength: float | None = None


def drag_target(lane: LaneState, zone: Zone, lanes: Sequence[LaneState], zones: dict[str, Zone]) -> str | None:
    """The waiting ends of the same hair with the same product, which a lane's can be dragged to, or None."""
    if zone.part is Part.ENDS:
        return None
    for other in lanes:
        its = zones[other.key]
        is_same = (its.zone_key, its.piece, its.lightener) == (zone.zone_key, zone.piece, zone.lightener)
        if is_same and its.part is Part.ENDS and other.phase is Phase.WAITING:
            return other.key
    return None


def waiting_root(zone: Zone, lanes: Sequence[LaneState], zones: dict[str, Zone]) -> bool:
    """Whether the root of the same zone has no product yet."""
    return any(
        zones[x.key].zone_key == zone.zone_key
        and zones[x.key].part in (Part.ROOT, Part.REGROWTH)
        and x.phase is Phase.WAITING
        and x.key != zone.key
        for x in lanes
    )


@dataclass(frozen=True, slots=True)
class _Lane:
    """A lane with all that its options are computed from; `plain` is what comes when it is left."""

    chair: Chair
    state: LaneState
    zone: Zone
    times: LaneTimes
    plain: Outlook

    @property
    def now_min(self) -> float:
        return minutes_between(self.times.zero, self.chair.now)

    def seen(self, kinetics: LaneKinetics) -> Outlook:
        return replace(self.plain, kinetics=kinetics)

    def ready(self, outlook: Outlook) -> tuple[float, float, float]:
        early, likely, late = outlook.ready_window(self.zone.target_level)
        return early, likely, late

    def at(self, outlook: Outlook, minute: float) -> float:
        return float(outlook.level_bands(np.array([minute]))[1, 0])


def _effect(lane: _Lane, outlook: Outlook, wall: float) -> Message:
    before, now = lane.ready(lane.plain)[1], lane.ready(outlook)[1]
    if now <= wall:
        if math.isfinite(before) and abs(now - before) < 0.75:
            return say("effect-as_before")
        if math.isfinite(before) and before <= wall:
            return say("effect-sooner" if now < before else "effect-later", minutes=abs(now - before))
        return say("effect-ready_in", minutes=max(now - lane.now_min, 0.0))
    return say("effect-reaches", level=lane.at(outlook, wall))


def lane_options(chair: Chair, belief: Belief, times: Sequence[LaneTimes], key: str) -> tuple[LaneOption, ...]:
    """All that can be done with a lane; nothing for one that does not process.

    Args:
        belief: about the chair's lanes, in their order.
    Raises:
        ConflictError: the plan has no such lane.
    """
    state = chair.state.lane(key)
    if state.phase is not Phase.PROCESSING:
        return ()
    index = chair.state.lanes.index(state)
    lightener = chair.lightener_of(key)
    lane = _Lane(chair, state, chair.zones[key], times[index], belief.outlook(index))
    wall = minutes_between(lane.times.zero, lane_wall(chair, state, lane.times))
    found: list[LaneOption] = []

    def add(
        kind: str,
        title: Message,
        outlook: Outlook,
        *,
        wall_min: float = wall,
        effect: Message | None = None,
        blocked: Message | None = None,
        asks_label: bool = False,
        covering: Covering | None = None,
        to_key: str | None = None,
        volume_strength: float | None = None,
    ) -> None:
        found.append(
            LaneOption(
                kind=kind,
                title=title,
                blocked=blocked,
                asks_label=asks_label,
                effect=effect or _effect(lane, outlook, wall_min),
                window_min=window_of(lane.ready(outlook)),
                level_at_wall=lane.at(outlook, wall_min),
                covering=covering,
                to_key=to_key,
                volume_strength=volume_strength,
            )
        )

    fresh_wall = minutes_between(lane.times.zero, after(chair.now, lightener.label_max_min))
    fresh = with_happening(chair, state, lane.times, refreshed_by=state.volume_strength)
    add(
        "LightenerRefreshed",
        say("option-refresh", volume=state.volume_strength),
        lane.seen(fresh),
        wall_min=fresh_wall,
        blocked=refresh_block(lightener, len(state.applications), state.stop),
        asks_label=lightener.max_applications is None,
        volume_strength=state.volume_strength,
    )
    if state.is_heated:
        cooler = with_happening(chair, state, lane.times, more=[Change.HEAT_OFF])
        add("HeatEnded", say("option-cool"), lane.seen(cooler))
    else:
        warmer = with_happening(chair, state, lane.times, more=[Change.HEAT_ON])
        add("HeatStarted", say("option-warm"), lane.seen(warmer), blocked=heat_block(lane.zone, lightener, state.stop))
    covering = state.coverings[-1][1] if state.coverings else lane.zone.covering
    if covering is not Covering.OPEN_AIR:
        open_air = lane.seen(with_happening(chair, state, lane.times, more=[Change.OPEN_AIR]))
        if waiting_root(lane.zone, chair.state.lanes, chair.zones):
            add("BarrierLeft", say("option-barrier"), open_air)
        add("CoveringChanged", say("option-pull_out", covering=covering), open_air, covering=Covering.OPEN_AIR)
    else:
        foil = with_happening(chair, state, lane.times, more=[Change.FOIL])
        add("CoveringChanged", say("option-cover"), lane.seen(foil), covering=Covering.FOIL)
    target = drag_target(state, lane.zone, chair.state.lanes, chair.zones)
    if target:
        effect = say("option-label_runs", lane=chair.zones[target].label)
        add("ProductDragged", say("option-drag"), lane.plain, effect=effect, to_key=target)
    if not state.is_dried:
        dried = lane.seen(with_happening(chair, state, lane.times, more=[Change.DRIED]))
        stays = say("option-stops_at", level=lane.at(dried, wall))
        add("DriedOut", say("option-dry"), dried, effect=stays)
    return tuple(found)
