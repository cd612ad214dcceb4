"""The plan: lanes in their order, a finish line for each wave, a developer for each lane, bowls, and reasons.

docs/models/plan.md.
"""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Message, say, sentences
from fervens_core.head import LIFT_LEAST, Zone, lanes_of
from fervens_core.lift import (
    Application,
    Belief,
    HeadMove,
    LaneKinetics,
    LiftFactors,
    Taught,
    capacity,
    effective_volume,
    head_move,
    level_to_effort,
    make_course,
    prior,
    ready_windows,
    teach,
    zone_factors,
)
from fervens_core.planning.bowls import PlannedBowl, Serving, plan_bowls
from fervens_core.planning.request import PlanRequest
from fervens_core.planning.solver import LeftOut, Solved, Solver, entries_of
from fervens_core.planning.wave import Entry


@dataclass(frozen=True, slots=True)
class ZonePlan:
    """One lane of a plan; times in min after the first product touches hair.

    Args:
        wave: from 1. volume_strength: vol in the bowl. strongest_volume: what is allowed; limit_reason says why.
        wall_min: the label's time counted from this lane's first section.
        rinse_min: when it is to be rinsed: its wave's line, or its wall if that comes first.
        ready_min: (early, likely, late), infinity for never.
        level_at_rinse: likely level then.
        reason: why the target is not reached, or None. note: what else is to be known of this lane.
    """

    zone: Zone
    wave: int
    volume_strength: float
    strongest_volume: float
    limit_reason: Message
    start_min: float
    end_min: float
    wall_min: float
    rinse_min: float
    ready_min: tuple[float, float, float]
    level_at_rinse: float
    reason: Message | None
    note: Message | None = None


@dataclass(frozen=True, slots=True)
class WavePlan:
    """One wave: its zones, its line and where that may stand; `start_min` is its first product."""

    number: int
    zone_keys: tuple[str, ...]
    start_min: float
    finish_min: float
    finish_least_min: float
    finish_most_min: float
    is_own_finish: bool


@dataclass(frozen=True, slots=True)
class Plan:
    """A plan for one head; `zones` are its lanes in the order they go on."""

    zones: tuple[ZonePlan, ...]
    waves: tuple[WavePlan, ...]
    left_out: tuple[LeftOut, ...]
    bowls: tuple[PlannedBowl, ...]
    belief: Belief
    move: HeadMove | None

    @property
    def finish_min(self) -> float:
        """The last wave's line, min; 0 for an empty plan."""
        return max((w.finish_min for w in self.waves), default=0.0)

    @property
    def contact_load_volume_min(self) -> float:
        """Sum over lanes of volume times minutes on the hair: a way to compare plans, not a promise about damage."""
        return sum(z.volume_strength * (z.rinse_min - z.start_min) for z in self.zones)

    @property
    def contact_min(self) -> float:
        """Longest time alkaline product stays on one lane, min."""
        return max((z.rinse_min - z.start_min for z in self.zones), default=0.0)

    @property
    def strongest_volume(self) -> float:
        """Strongest developer in it, vol."""
        return max((z.volume_strength for z in self.zones), default=0.0)

    @property
    def spread_levels(self) -> float:
        """Levels between the lane that passes its target most and the one that misses it most."""
        off = [z.level_at_rinse - z.zone.target_level for z in self.zones]
        return max(off) - min(off) if off else 0.0

    @property
    def short(self) -> tuple[ZonePlan, ...]:
        """Lanes that do not reach their target."""
        return tuple(z for z in self.zones if z.reason)

    @property
    def waste_g(self) -> float:
        """Product mixed and not used, g."""
        return sum(b.waste_g for b in self.bowls)


def undisturbed(zone: Zone, volume: float, factors: LiftFactors) -> LaneKinetics:
    """How a lane lifts in one application that nothing happens to; `volume` as the hair sees it, vol."""
    course = make_course((Application(0.0, volume),), zone.covering)
    return LaneKinetics(zone.hair.start_level, volume, factors, course)


def _short_reason(
    entry: Entry, request: PlanRequest, *, volume: float, rinse: float, wall: float, can_move: bool
) -> Message:
    """Why a lane misses its target, and what would help."""
    seen = effective_volume(volume, has_additive=request.choice.has_additive)
    zone = entry.zone
    work = float(level_to_effort(zone.target_level) - level_to_effort(zone.hair.start_level))
    if entry.factors.extent * float(capacity(seen)) <= work:
        if volume < entry.strongest - 1e-9:
            return say("plan_short-stronger", volume=volume, most=entry.strongest)
        return say("plan_short-stops", volume=volume, limit=entry.limit_reason)
    if rinse >= wall - 1e-9:
        return say("plan_short-label", label=entry.label_max_min)
    if not can_move:
        return say("plan_short-wave", volume=volume, limit=entry.limit_reason)
    if volume < entry.strongest - 1e-9:
        return say("plan_short-later_or_stronger", volume=volume, most=entry.strongest)
    return say("plan_short-later", volume=volume, limit=entry.limit_reason)


def _note(entry: Entry) -> Message | None:
    notes = [entry.zone.note] if entry.zone.note else []
    if entry.asked is not None and entry.own is not None:
        if entry.asked > entry.own:
            notes.append(say("plan-held", asked=entry.asked, volume=entry.own, limit=entry.limit_reason))
        else:
            notes.append(say("plan-raised", asked=entry.asked, volume=entry.own))
    return sentences(notes) if notes else None


def has_read_strand(request: PlanRequest) -> bool:
    """Whether any strand was read."""
    return any(s.readings for s in request.strands)


def make_plan(request: PlanRequest) -> Plan:
    """Plan one head: waves and their finish lines, each lane's developer, window, wall, and the bowls.

    Lanes that cannot be planned or fall short carry a reason; nothing that can be mixed raises.

    Raises:
        LimitError: input out of range.
    """
    lanes = lanes_of(request.zones)
    expected = [zone_factors(z, request.lightener_of(z)) for z in lanes]
    taught = teach(lanes, request.strands, expected)
    learnt = [taught.factors(i, f) for i, f in enumerate(expected)] if has_read_strand(request) else expected
    entries, left_out = entries_of(request, lanes, learnt)
    move = head_move(taught) if has_read_strand(request) else None
    if not entries:
        return Plan((), (), tuple(left_out), (), prior(()), move)
    solver = Solver(request, entries)
    solved = solver.chain(solver.groups(solver.units), request.choice.finish_mins)
    rows = [(number, s, k) for number, s in enumerate(solved, start=1) for k in range(len(s.outcome.starts))]
    belief = _belief(request, lanes, taught, expected, rows)
    planned = [s.wave.all_table.entries[k].zone for _, s, k in rows]
    windows = ready_windows(belief, [z.target_level for z in planned], [z.covering for z in planned]).tolist()
    zones = tuple(_zone_plan(request, s, k, number, windows[i]) for i, (number, s, k) in enumerate(rows))
    waves = tuple(
        WavePlan(
            number=number,
            zone_keys=tuple(dict.fromkeys(e.zone.zone_key for e in s.wave.all_table.entries)),
            start_min=float(s.wave.starts.min()),
            finish_min=s.finish,
            finish_least_min=float(s.wave.low),
            finish_most_min=float(s.wave.high_most),
            is_own_finish=s.is_own,
        )
        for number, s in enumerate(solved, start=1)
    )
    servings = tuple(
        Serving(z.zone, request.lightener_of(z.zone), z.volume_strength, z.start_min, z.end_min) for z in zones
    )
    bowls = plan_bowls(
        servings,
        request.bottles,
        style=request.choice.bowl_style,
        mix_per_foil_g=request.choice.mix_per_foil_g,
    )
    return Plan(zones, waves, tuple(left_out), bowls, belief, move)


def _belief(
    request: PlanRequest,
    lanes: tuple[Zone, ...],
    taught: Taught,
    expected: list[LiftFactors],
    rows: list[tuple[int, Solved, int]],
) -> Belief:
    """What is believed of the planned lanes, in their planned order."""
    place = {z.key: i for i, z in enumerate(lanes)}
    order, found = [], []
    for _, s, k in rows:
        zone = s.wave.all_table.entries[k].zone
        volume = float(s.outcome.volumes[k, s.at])
        i = place[zone.key]
        order += [2 * i, 2 * i + 1]
        seen = effective_volume(volume, has_additive=request.choice.has_additive)
        found.append(undisturbed(zone, seen, expected[i]))
    return Belief(tuple(found), taught.mean[order], taught.covariance[np.ix_(order, order)])


def _zone_plan(request: PlanRequest, solved: Solved, k: int, wave: int, window: list[float]) -> ZonePlan:
    entry, outcome, at = solved.wave.all_table.entries[k], solved.outcome, solved.at
    start, end, rinse, wall, volume, reached = (
        float(a[k, min(at, a.shape[1] - 1)])
        for a in (outcome.starts, outcome.ends, outcome.rinses, outcome.walls, outcome.volumes, outcome.levels)
    )
    early, likely, late = window
    is_short = reached < entry.zone.target_level - LIFT_LEAST
    return ZonePlan(
        zone=entry.zone,
        wave=wave,
        volume_strength=volume,
        strongest_volume=entry.strongest,
        limit_reason=entry.limit_reason,
        start_min=start,
        end_min=end,
        wall_min=wall,
        rinse_min=rinse,
        ready_min=(end + early, end + likely, end + late),
        level_at_rinse=reached,
        reason=(
            _short_reason(
                entry,
                request,
                volume=volume,
                rinse=rinse,
                wall=wall,
                can_move=solved.finish < solved.wave.high - 1.0,
            )
            if is_short
            else None
        ),
        note=_note(entry),
    )


@dataclass(frozen=True, slots=True)
class DeveloperMove:
    """A lane whose developer the strand tests changed."""

    lane_name: Message | str
    expected_volume: float
    volume: float


def strand_moves(request: PlanRequest, plan: Plan) -> tuple[DeveloperMove, ...]:
    """What the strand tests changed in the developers, beside the same plan without them."""
    if not has_read_strand(request):
        return ()
    before = make_plan(replace(request, strands=()))
    expected = {z.zone.key: z.volume_strength for z in before.zones}
    return tuple(
        DeveloperMove(z.zone.label, expected[z.zone.key], z.volume_strength)
        for z in plan.zones
        if z.zone.key in expected and not math.isclose(expected[z.zone.key], z.volume_strength, abs_tol=0.5)
    )
