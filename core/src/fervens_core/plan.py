"""The plan: lanes in their order, a finish line for each wave, a developer for each lane, bowls, and reasons.

docs/models/plan.md.
"""

from __future__ import annotations

import math
from dataclasses import dataclass, field, replace
from enum import StrEnum

import numpy as np

from fervens_core.bowls import BowlStyle, PlannedBowl, Serving, plan_bowls
from fervens_core.errors import LimitError
from fervens_core.hair import Elasticity
from fervens_core.lift import (
    ADDITIVE_STRENGTH_FACTOR,
    LiftFactors,
    capacity,
    effective_volume,
    level_to_effort,
    zone_factors,
)
from fervens_core.mixing import MIX_PER_FOIL_G
from fervens_core.products import Developer, Lightener
from fervens_core.quantities import check_range
from fervens_core.readings import Belief, LaneKinetics, prior, ready_windows
from fervens_core.safety import strongest_volume
from fervens_core.strand import HeadMove, Strand, Taught, head_move, teach
from fervens_core.wave import CHANGEOVER_MIN, LEVEL_TOLERANCE, Busy, Entry, LaneTable, Mixing, Outcome, VolumeStep, Wave
from fervens_core.zones import LIFT_LEAST, Zone, lanes_of

RINSE_MIN, WAVE_TONE_MIN = 7.0, 8.0
"""[MODEL] hands are taken so long to rinse and to tone a wave before the next goes on."""
WAVE_BREAK_MIN = RINSE_MIN + WAVE_TONE_MIN
STRONGER_ALLOWED_VOLUME = 2.0
"""[MODEL] an earlier finish is worth up to 2 vol more in the strongest bowl."""
WAVE_COST_LEVELS = 0.5
"""[MODEL] a wave more is worth half a level over all lanes: it costs a rinse, a toning and a second line to watch."""
HARSH_VOLUME, HARSH_LEVELS_PER_VOLUME = 30.0, 0.05
"""[MODEL] for the even aim 10 vol more than 30 on one lane weigh as much as another wave."""
USUAL_FILL = 0.7
"""Where the search for the number of waves begins: so much of the label's time goes into applying."""
SHIFTED_UNITS_MAX = 16
"""Up to so many zones the partings between waves are tried one zone to either side."""
SPREAD_STEP = 0.1
GENTLE_MAX_VOLUME = 20.0
"""[MODEL] the gentle aim's own limit: 6 %."""
FINISH_MAX_MIN = 900.0


class Aim(StrEnum):
    """What a plan is good for: weak and long, all alike, or soon done."""

    GENTLE = "gentle"
    EVEN = "even"
    QUICK = "quick"


@dataclass(frozen=True, slots=True)
class PlanChoice:
    """What a technician chose for a plan; as it stands, everything is proposed.

    Args:
        finish_mins: finish lines of the waves, min after the first product touches hair; missing ones are proposed.
        wave_starts: zones that begin a wave; None to have waves found.
        volumes: lane key to a developer the technician insists on, vol; still held to the lane's limit.
        has_additive: a bond-building additive weakens the mix.
        mix_per_foil_g: mixed product for a medium section, 1 to 40 g.
    """

    finish_mins: tuple[float, ...] = ()
    wave_starts: tuple[str, ...] | None = None
    volumes: dict[str, float] = field(default_factory=dict)
    has_additive: bool = False
    aim: Aim = Aim.EVEN
    step: VolumeStep = VolumeStep.WHOLE
    bowl_style: BowlStyle = BowlStyle.FRESH
    mix_per_foil_g: float = MIX_PER_FOIL_G

    def __post_init__(self) -> None:
        if len(self.finish_mins) > 60:
            raise LimitError("finish_mins", "at most 60 lines", len(self.finish_mins))
        check_range("mix_per_foil_g", self.mix_per_foil_g, 1.0, 40.0, "g")
        for minutes in self.finish_mins:
            check_range("finish_mins", minutes, 1.0, FINISH_MAX_MIN, "min")
        for key, volume in self.volumes.items():
            check_range(f"volumes.{key}", volume, 0.5, 40.0, "vol")


@dataclass(frozen=True, slots=True)
class PlanRequest:
    """What a plan is made from.

    Args:
        zones: as read, in order of application, keys unique; their parts become lanes.
        lightener, bottles: from the shelf; at least one developer.
        strands: what was tested beforehand. elasticity: as the head's stretch test had it.
    """

    zones: tuple[Zone, ...]
    lightener: Lightener
    bottles: tuple[Developer, ...]
    choice: PlanChoice = PlanChoice()
    strands: tuple[Strand, ...] = ()
    elasticity: Elasticity = Elasticity.RETURNS

    def __post_init__(self) -> None:
        keys = [z.key for z in self.zones]
        if len(set(keys)) != len(keys):
            raise LimitError("zones", "zones with different keys", keys)
        if len(keys) > 60:
            raise LimitError("zones", "at most 60 zones", len(keys))
        if not self.bottles:
            raise LimitError("bottles", "at least one developer on the shelf", 0)
        for key in self.choice.wave_starts or ():
            if key not in keys:
                raise LimitError("wave_starts", f"one of the zones {', '.join(keys)}", key)
        for key in self.choice.volumes:
            if not any(key == k or key.startswith(f"{k}.") for k in keys):
                raise LimitError("volumes", f"one of the zones {', '.join(keys)}", key)


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
    limit_reason: str
    start_min: float
    end_min: float
    wall_min: float
    rinse_min: float
    ready_min: tuple[float, float, float]
    level_at_rinse: float
    reason: str | None
    note: str = ""


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
class LeftOut:
    """A lane that gets no product, and why."""

    zone: Zone
    reason: str


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


def kinetics(zone: Zone, lightener: Lightener, volume_strength: float, *, has_additive: bool) -> LaneKinetics:
    """How a lane with this developer is expected to lift."""
    return LaneKinetics(
        start_level=zone.hair.start_level,
        volume=effective_volume(volume_strength, has_additive=has_additive),
        factors=zone_factors(zone, lightener),
    )


def _entries(
    request: PlanRequest, lanes: tuple[Zone, ...], factors: list[LiftFactors]
) -> tuple[list[Entry], list[LeftOut]]:
    entries, left_out = [], []
    weakest_bottle = min(b.volume_strength for b in request.bottles)
    strongest_bottle = max(b.volume_strength for b in request.bottles)
    for i, zone in enumerate(lanes):
        limit, reason = strongest_volume(zone, request.lightener, request.elasticity)
        if strongest_bottle < limit:
            limit, reason = strongest_bottle, "strongest bottle on the shelf"
        if weakest_bottle > limit:
            why = f"{reason} allows {limit:g} vol, the weakest bottle is {weakest_bottle:g} vol"
            left_out.append(LeftOut(zone, f"{why}: put a weaker one on the shelf."))
            continue
        if request.choice.aim is Aim.GENTLE and limit > max(GENTLE_MAX_VOLUME, weakest_bottle):
            limit, reason = max(GENTLE_MAX_VOLUME, weakest_bottle), "the gentle aim"
        if request.choice.step is VolumeStep.BOTTLES:
            limit = max(b.volume_strength for b in request.bottles if b.volume_strength <= limit + 1e-9)
        asked = request.choice.volumes.get(zone.key)
        own = None if asked is None else min(max(asked, weakest_bottle), limit)
        entries.append(
            Entry(
                zone=zone,
                factors=factors[i],
                weakest=weakest_bottle,
                strongest=limit,
                limit_reason=reason,
                own=own,
                asked=asked if asked is not None and asked != own else None,
            )
        )
    return entries, left_out


_Unit = tuple[int, ...]
"""The lanes of one zone, by their place among all lanes."""


def _units(entries: list[Entry]) -> list[_Unit]:
    units: dict[str, list[int]] = {}
    for place, entry in enumerate(entries):
        units.setdefault(entry.zone.zone_key, []).append(place)
    return [tuple(u) for u in units.values()]


@dataclass(frozen=True, slots=True)
class _Solved:
    """One wave with its line chosen; `at` is the line's index in the outcome."""

    wave: Wave
    outcome: Outcome
    at: int
    is_own: bool

    @property
    def finish(self) -> float:
        return float(self.outcome.finishes[self.at])

    @property
    def hands_free(self) -> float:
        return float(self.outcome.hands_free[self.at])

    @property
    def missed(self) -> float:
        return float(self.outcome.missed[self.at])


def choose_line(outcome: Outcome, aim: Aim) -> int:
    """Index of an aim's best line.

    All aims miss as little as can be. Gentle then has the least contact load; even the least spread among the lines
    that need hardly more than the weakest strongest developer, and of those the earliest; quick is the earliest.
    """
    candidates = np.flatnonzero(outcome.missed <= outcome.missed.min() + LEVEL_TOLERANCE)
    if aim is Aim.GENTLE:
        return int(candidates[np.argmin(outcome.load[candidates])])
    if aim is Aim.EVEN and candidates.size > 1:
        strongest = outcome.strongest[candidates]
        candidates = candidates[strongest <= strongest.min() + STRONGER_ALLOWED_VOLUME]
        spread = np.round(outcome.spread[candidates] / SPREAD_STEP)
        candidates = candidates[spread <= spread.min()]
    return int(candidates[0])


class Solver:
    """The search over waves and lines for one request; waves once solved are kept, since the search comes back to them.

    Args:
        entries: the lanes to be planned; None to make them from the request.
    """

    def __init__(self, request: PlanRequest, entries: list[Entry] | None = None) -> None:
        if entries is None:
            lanes = lanes_of(request.zones)
            entries, _ = _entries(request, lanes, [zone_factors(z, request.lightener) for z in lanes])
        self.request = request
        self.entries = entries
        self.units = _units(entries)
        self.table = LaneTable(entries)
        self.known: dict[tuple[object, ...], _Solved] = {}
        self.mixing = Mixing(
            step=request.choice.step,
            bottle_volumes=np.array(sorted({b.volume_strength for b in request.bottles})),
            strength_factor=ADDITIVE_STRENGTH_FACTOR if request.choice.has_additive else 1.0,
        )

    def wave(self, units: list[_Unit], before: _Solved | None, *, is_after: bool) -> Wave:
        """A wave of some zones after another; `is_after`: nothing goes on until the one before is rinsed and toned."""
        rows = [row for unit in units for row in unit]
        present = {self.entries[row].zone.key for row in rows}
        joins = [row for row in rows if self.entries[row].zone.waits_for in present]
        mains = [row for row in rows if self.entries[row].zone.waits_for not in present]
        busy: Busy = ()
        start = 0.0
        if before:
            over = before.finish + WAVE_BREAK_MIN
            busy = (*before.wave.busy, (before.finish, over))
            start = over if is_after else before.hands_free
        return Wave(
            self.table,
            mains,
            joins,
            label_max_min=self.request.lightener.label_max_min,
            start_min=start,
            busy=busy,
        )

    def solve(self, wave: Wave, own_finish: float | None) -> _Solved:
        """The wave with the line of the aim, or the technician's own held to where it can stand."""
        if own_finish is not None:
            line = min(max(own_finish, float(wave.low)), float(wave.high_most))
            return _Solved(wave, wave.try_lines(np.array([line]), self.mixing), 0, True)
        outcome = wave.try_lines(wave.lines(), self.mixing)
        at = choose_line(outcome, self.request.choice.aim)
        if self.request.choice.step is VolumeStep.EXACT:
            near = float(outcome.finishes[at]) + np.linspace(-1.0, 1.0, 41)
            inside = near[(near >= wave.low) & (near <= wave.high)]
            outcome = wave.try_lines(inside, self.mixing)
            at = choose_line(outcome, self.request.choice.aim)
        return _Solved(wave, outcome, at, False)

    def best(self, units: list[_Unit], before: _Solved | None, own: float | None = None) -> _Solved:
        """The wave solved, going on during the one before unless waiting for that misses less."""
        key = (units[0][0], units[-1][-1], before and (before.finish, before.hands_free, before.wave.busy), own)
        if key in self.known:
            return self.known[key]
        found = self.solve(self.wave(units, before, is_after=False), own)
        if before is not None and found.missed > LEVEL_TOLERANCE:
            after = self.solve(self.wave(units, before, is_after=True), own)
            found = after if after.missed < found.missed - LEVEL_TOLERANCE else found
        self.known[key] = found
        return found

    def chain(self, groups: list[list[_Unit]], own: tuple[float, ...] = ()) -> list[_Solved]:
        """Waves one after the other."""
        solved: list[_Solved] = []
        for i, group in enumerate(groups):
            solved.append(self.best(group, solved[-1] if solved else None, own[i] if i < len(own) else None))
        return solved

    def cost(self, groups: list[list[_Unit]], limit: float = math.inf) -> float:
        """Levels missed over all lanes, and what the waves after the first cost, in levels; infinity past a limit."""
        total = WAVE_COST_LEVELS * (len(groups) - 1)
        before: _Solved | None = None
        for group in groups:
            before = self.best(group, before)
            total += before.missed + self.harshness(before)
            if total >= limit:
                return math.inf
        return total

    def harshness(self, solved: _Solved) -> float:
        """What strong developers weigh when waves are counted, in levels: the even aim would rather part again."""
        if self.request.choice.aim is not Aim.EVEN:
            return 0.0
        over = np.maximum(solved.outcome.volumes[:, solved.at] - HARSH_VOLUME, 0.0)
        return float(over.sum()) * HARSH_LEVELS_PER_VOLUME

    def groups(self, units: list[_Unit]) -> list[list[_Unit]]:
        """Zones by wave: as told, or as many waves as are worth their trouble, and where to part them."""
        starts = self.request.choice.wave_starts
        if starts is not None:
            return self.told_groups(units, starts)
        minutes = [self.table.application[list(unit)].sum() + CHANGEOVER_MIN for unit in units]
        filled = USUAL_FILL * self.request.lightener.label_max_min
        first = min(max(1, round(sum(minutes) / filled)), len(units))
        best = _even_groups(units, minutes, first)
        least = self.cost(best)
        for step in (-1, 1):
            count = first + step
            while 1 <= count <= len(units):
                tried = _even_groups(units, minutes, count)
                cost = self.cost(tried, least)
                if cost >= least:
                    break
                best, least, count = tried, cost, count + step
        return self.shift(best, least) if len(units) <= SHIFTED_UNITS_MAX else best

    def told_groups(self, units: list[_Unit], starts: tuple[str, ...]) -> list[list[_Unit]]:
        """Zones by wave as the technician parted them."""
        groups: list[list[_Unit]] = []
        for unit in units:
            if not groups or self.entries[unit[0]].zone.zone_key in starts:
                groups.append([])
            groups[-1].append(unit)
        return groups

    def shift(self, groups: list[list[_Unit]], least: float) -> list[list[_Unit]]:
        """Moves single zones over the partings while that misses less."""
        i, moved = 0, False
        while i < len(groups) - 1 or moved:
            if i >= len(groups) - 1:
                i, moved = 0, False
                continue
            for tried in _shifted(groups, i):
                cost = self.cost(tried, least)
                if cost < least - LEVEL_TOLERANCE:
                    groups, least, moved = tried, cost, True
                    break
            else:
                i += 1
        return groups


def _even_groups(units: list[_Unit], minutes: list[float], count: int) -> list[list[_Unit]]:
    """Zones in `count` runs of about equal application time."""
    ends = np.cumsum(minutes)
    middles = ends - np.array(minutes) / 2.0
    number = np.minimum(middles / ends[-1] * count, count - 1).astype(int)
    groups = [[u for u, n in zip(units, number, strict=True) if n == k] for k in range(count)]
    return [g for g in groups if g]


def _shifted(groups: list[list[_Unit]], i: int) -> list[list[list[_Unit]]]:
    """The groups with one zone moved over the parting after group i, either way; a group that empties is gone."""
    left, right = groups[i], groups[i + 1]
    pairs = [[left[:-1], [left[-1], *right]], [[*left, right[0]], right[1:]]]
    return [[*groups[:i], *[g for g in pair if g], *groups[i + 2 :]] for pair in pairs]


def _short_reason(
    entry: Entry, request: PlanRequest, *, volume: float, rinse: float, wall: float, can_move: bool
) -> str:
    """Why a lane misses its target, and what would help."""
    seen = effective_volume(volume, has_additive=request.choice.has_additive)
    zone = entry.zone
    work = float(level_to_effort(zone.target_level) - level_to_effort(zone.hair.start_level))
    if entry.factors.extent * float(capacity(seen)) <= work:
        if volume < entry.strongest - 1e-9:
            return f"{volume:g} vol cannot lift this far; up to {entry.strongest:g} vol is allowed here."
        limit = f"{volume:g} vol ({entry.limit_reason})"
        return f"This hair stops short with {limit}: lower the target or plan another visit."
    if rinse >= wall - 1e-9:
        label = f"{request.lightener.label_max_min:g} min"
        return f"The label's {label} end first: apply this zone faster or in a wave of its own, or plan another visit."
    if not can_move:
        return (
            f"{volume:g} vol ({entry.limit_reason}) needs longer than its wave's first label time leaves: "
            "apply it earlier or in a wave of its own, or plan another visit."
        )
    if volume < entry.strongest - 1e-9:
        return f"{volume:g} vol needs longer: move the line later; up to {entry.strongest:g} vol is allowed here."
    return f"The finish line comes too early for {volume:g} vol ({entry.limit_reason}): move it later."


def _note(entry: Entry) -> str:
    notes = [entry.zone.note] if entry.zone.note else []
    if entry.asked is not None and entry.own is not None:
        held = "held at" if entry.asked > entry.own else "raised to"
        why = entry.limit_reason if entry.asked > entry.own else "weakest bottle on the shelf"
        notes.append(f"{entry.asked:g} vol asked, {held} {entry.own:g} ({why}).")
    return " ".join(notes)


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
    expected = [zone_factors(z, request.lightener) for z in lanes]
    taught = teach(lanes, request.strands, request.lightener, expected)
    learnt = [taught.factors(i, f) for i, f in enumerate(expected)] if has_read_strand(request) else expected
    entries, left_out = _entries(request, lanes, learnt)
    move = head_move(taught) if has_read_strand(request) else None
    if not entries:
        return Plan((), (), tuple(left_out), (), prior(()), move)
    solver = Solver(request, entries)
    solved = solver.chain(solver.groups(solver.units), request.choice.finish_mins)
    rows = [(number, s, k) for number, s in enumerate(solved, start=1) for k in range(len(s.outcome.starts))]
    belief = _belief(request, lanes, taught, expected, rows)
    windows = ready_windows(belief, [s.wave.all_table.entries[k].zone.target_level for _, s, k in rows]).tolist()
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
    servings = tuple(Serving(z.zone, z.volume_strength, z.start_min, z.end_min) for z in zones)
    bowls = plan_bowls(
        servings,
        request.lightener,
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
    rows: list[tuple[int, _Solved, int]],
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
        found.append(LaneKinetics(zone.hair.start_level, seen, expected[i]))
    return Belief(tuple(found), taught.mean[order], taught.covariance[np.ix_(order, order)])


def _zone_plan(request: PlanRequest, solved: _Solved, k: int, wave: int, window: list[float]) -> ZonePlan:
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

    lane_name: str
    expected_volume: float
    volume: float


def strand_moves(request: PlanRequest, plan: Plan) -> tuple[DeveloperMove, ...]:
    """What the strand tests changed in the developers, beside the same plan without them."""
    if not has_read_strand(request):
        return ()
    before = make_plan(replace(request, strands=()))
    expected = {z.zone.key: z.volume_strength for z in before.zones}
    return tuple(
        DeveloperMove(z.zone.name, expected[z.zone.key], z.volume_strength)
        for z in plan.zones
        if z.zone.key in expected and not math.isclose(expected[z.zone.key], z.volume_strength, abs_tol=0.5)
    )
