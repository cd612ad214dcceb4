"""The plan moves with what is learnt: developers of zones that have no product yet, proposed anew with the reason."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

from fervens_core.base import Message, say
from fervens_core.chair.lanes import (
    Chair,
    LaneTimes,
    asks_again,
    bowl_taken_from,
    minutes_between,
    service_zero,
)
from fervens_core.head import Elasticity, ScalpFeel
from fervens_core.lift import Belief
from fervens_core.log import LaneState, Phase
from fervens_core.planning import (
    PROCESSING_MIN_MIN,
    Entry,
    PlannedBowl,
    PlanRequest,
    Serving,
    VolumeStep,
    entries_of,
    plan_bowls,
    proposable,
    weakest_reaching,
)

MOVE_LEAST_VOLUME = 3.0
"""[MODEL] a developer that would move by less is left as it is."""
MOVED_LEAST = 0.06
"""[MODEL] a zone that lifts by less than 6 % otherwise than expected is no reason."""
EARLY_LEAST_MIN = 3.0
ALONE_MOST_VOLUME = 5.0
"""[MODEL] one reading by eye, rounded to half a level, raises no developer by more; a second one may."""


@dataclass(frozen=True, slots=True)
class DeveloperProposal:
    """Another developer for a zone that has no product yet; strengths in vol."""

    zone_key: str
    zone_name: Message | str
    volume_strength: float
    proposed_volume: float
    reason: Message


def _teacher(chair: Chair, belief: Belief) -> tuple[Message | str, float] | None:
    """The read lane that moved most, and how much faster or farther it lifts than expected (1 = as expected)."""
    best: tuple[Message | str, float] | None = None
    for i, lane in enumerate(chair.state.lanes):
        if not lane.readings:
            continue
        learnt, expected = belief.factors(i), belief.lanes[i].factors
        ratio = learnt.rate / expected.rate * (learnt.extent / expected.extent)
        if best is None or abs(math.log(ratio)) > abs(math.log(best[1])):
            best = (chair.zones[lane.key].label, ratio)
    return best


def _reason(
    chair: Chair, belief: Belief, index: int, early_min: float, change: Message, *, is_stronger: bool
) -> Message:
    """What moved the developer: only what moves it the way it went."""
    learnt, expected = belief.factors(index), belief.lanes[index].factors
    moved = learnt.rate / expected.rate * (learnt.extent / expected.extent)
    teacher = _teacher(chair, belief)
    if teacher and abs(moved - 1.0) >= MOVED_LEAST and (teacher[1] < 1.0) == is_stronger:
        name, ratio = teacher
        share = abs(ratio - 1.0)
        return say("replan-lifts_more" if ratio > 1.0 else "replan-lifts_less", lane=name, share=share, change=change)
    if early_min >= EARLY_LEAST_MIN and not is_stronger:
        return say("replan-early", minutes=early_min, change=change)
    return say("replan-read", change=change)


def _is_strained(chair: Chair) -> bool:
    """Whether scalp or hair was noted as suffering anywhere on this head: nothing stronger is proposed then."""
    return any(x.stop or x.scalp is ScalpFeel.WARM or x.elasticity is Elasticity.SLOW for x in chair.state.lanes)


def _is_alone(chair: Chair) -> bool:
    """Whether all that was read of this head is one look by eye."""
    looks = {r.event_id: r for x in chair.state.lanes for r in x.readings}
    return len(looks) == 1 and not any(r.is_measured for r in looks.values())


def _waiting(chair: Chair) -> list[tuple[int, LaneState]]:
    return [(i, x) for i, x in enumerate(chair.state.lanes) if x.phase is Phase.WAITING and not x.has_bowl]


def propose_developers(
    chair: Chair, belief: Belief, times: list[LaneTimes], request: PlanRequest
) -> tuple[DeveloperProposal, ...]:
    """Developers that would now have the zones still to come ready when their plan has them rinsed, or as much later as
    the hands are.

    Nothing is proposed before a reading was taken or while readings do not fit, nothing stronger once scalp or hair
    suffers, and nothing for logs that do not tell when the plan rinses.

    Args:
        request: what the plan was made from: limits, bottles, whole volumes or only the bottles.
    """
    plan = chair.state.plan
    if plan is None or not plan.rinses_min or not any(x.readings for x in chair.state.lanes):
        return ()
    if any(asks_again(chair, lane, belief, i) for i, lane in enumerate(chair.state.lanes)):
        return ()  # what is read again first is believed first
    zero = service_zero(chair)
    waiting = _waiting(chair)
    zones = [chair.zones[lane.key] for _, lane in waiting]
    entries, _ = entries_of(request, tuple(zones), [belief.factors(i) for i, _ in waiting])
    by_key: dict[str, Entry] = {e.zone.key: e for e in entries}
    rinses = dict(zip(plan.zone_keys, plan.rinses_min, strict=True))
    starts = dict(zip(plan.zone_keys, plan.starts_min, strict=False))
    strengths = proposable(request, entries, {x.volume_strength for x in chair.state.lanes})
    is_strained, is_alone = _is_strained(chair), _is_alone(chair)
    found = []
    for index, lane in waiting:
        entry = by_key.get(lane.key)
        if entry is None or entry.own is not None or lane.key not in rinses:
            continue  # the last: not of the plan, lightened again
        end_min = minutes_between(zero, times[index].zero)
        late_min = end_min - entry.application_min - starts.get(lane.key, end_min - entry.application_min)
        # hands that are late rinse later: slower hands take no stronger developer (common practice)
        rinse_min = rinses[lane.key] + max(late_min, 0.0)
        minutes = min(rinse_min - end_min, entry.label_max_min - entry.application_min)
        if minutes < PROCESSING_MIN_MIN:
            continue
        volume = weakest_reaching(entry, minutes, strengths, has_additive=request.choice.has_additive)
        if is_alone and volume > lane.volume_strength + ALONE_MOST_VOLUME:
            volume = max((s for s in strengths if s <= lane.volume_strength + ALONE_MOST_VOLUME), default=volume)
        least = 0.5 if request.choice.step is VolumeStep.BOTTLES else MOVE_LEAST_VOLUME
        if abs(volume - lane.volume_strength) < least or (is_strained and volume > lane.volume_strength):
            continue
        change = say("replan-change", before=lane.volume_strength, volume=volume, lane=entry.zone.label)
        is_stronger = volume > lane.volume_strength
        reason = _reason(chair, belief, index, -late_min, change, is_stronger=is_stronger)
        found.append(DeveloperProposal(lane.key, entry.zone.label, lane.volume_strength, volume, reason))
    return tuple(found)


def bowls_to_mix(chair: Chair, times: list[LaneTimes], request: PlanRequest) -> tuple[PlannedBowl, ...]:
    """The bowls still to be mixed as the chair stands: what waits, with the developer it has now, at its own time.

    What has a bowl is in none of them, but the rest of a lane whose bowl has gone stale. Minutes count from the plan's
    minute 0, as the chair keeps it; numbers go on from the bowls that were mixed.
    """
    zero = service_zero(chair)
    servings = []
    for lane, at in zip(chair.state.lanes, times, strict=True):
        bowl, lightener = bowl_taken_from(lane), chair.lightener_of(lane.key)
        is_stale = bowl is not None and minutes_between(bowl.at, chair.now) >= lightener.bowl_life_min
        if lane.phase not in (Phase.WAITING, Phase.APPLYING) or (lane.has_bowl and not is_stale):
            continue
        started = max(at.started, chair.now) if lane.phase is Phase.APPLYING else at.started
        whole = max(minutes_between(at.started, at.zero), 0.1)
        rest = max(minutes_between(started, at.zero), 0.1)
        start_min = minutes_between(zero, started)
        zone, volume = chair.zones[lane.key], lane.volume_strength
        servings.append(Serving(zone, lightener, volume, start_min, start_min + rest, min(rest / whole, 1.0)))
    choice = request.choice
    bowls = plan_bowls(tuple(servings), request.bottles, style=choice.bowl_style, mix_per_foil_g=choice.mix_per_foil_g)
    return tuple(replace(b, number=b.number + len(chair.state.bowls)) for b in bowls)
