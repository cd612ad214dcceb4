"""The plan: every lane's developer, turn, minutes and visit; bowls; the price; and reasons. docs/models/plan.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, fields, replace
from enum import StrEnum

import numpy as np

from fervens_core.base import Message, say, sentences
from fervens_core.head import LIFT_LEAST, Covering, Zone
from fervens_core.lift import (
    HEAD_UNKNOWNS,
    Application,
    Belief,
    HeadMove,
    LaneKinetics,
    LiftFactors,
    Taught,
    capacity,
    effective_volume,
    head_move,
    lane_block,
    level_ranges,
    level_to_effort,
    make_course,
    prior,
    ready_windows,
    teach,
    uncapped,
    zone_factors,
)
from fervens_core.planning.bowls import PlannedBowl, Serving, plan_bowls
from fervens_core.planning.entry import PROCESSING_MIN_MIN, Entry, LeftOut, entries_of
from fervens_core.planning.finder import WIPED, Found
from fervens_core.planning.price import NOTHING, Price, prices_for
from fervens_core.planning.request import PlanRequest
from fervens_core.planning.search import search, search_again
from fervens_core.planning.weigh import WIPE_SECTION_MIN

ROUND_TONE_MIN = 8.0
"""[MODEL] where the head is parted on purpose: toner on what was rinsed, before the next goes on."""
LOST_WORTH_SHARE = 0.05
"""[MODEL] bowls staler than this are worth another look at the schedule."""
LABEL_APPLIED_SHARE = 0.7
"""A lane that takes longer to apply leaves its label no time."""


STAYS_LONGER_MIN = 3.0
"""[MODEL] hair that is read to be slow stays on so much longer than planned before others wait for it."""


class Ending(StrEnum):
    """How a lane's time ends: rinsed at the basin, wiped out in its foil or film, or painted and left to dry."""

    RINSED = "rinsed"
    WIPED = "wiped"
    DRIED = "dried"


@dataclass(frozen=True, slots=True)
class LanePlan:
    """One lane of a plan; times in min after the first product touches hair.

    Args:
        round, visit: which round of the day and which basin visit, both from 1.
        volume_strength: vol in the bowl. strongest_volume: what is allowed; limit_reason says why.
        start_min, end_min: first and last section on. wall_min: when the label's time ends.
        rinse_min: when its product is off. ending: how; what is wiped out is rinsed in its visit with the rest.
        ready_min: when its first section may be ready early, its last likely and late; infinity for never.
        level_at_rinse: likely level of its last section then; level_low: nine heads in ten have more there; level_high:
            nine in ten have less on its first section. level_sure: what nine in ten reach when slow hair stays on
            three minutes longer where the label allows; at most the target and what is likely.
        lift_lost_share: for a bowl that is past its life.
        reason: why the target is not reached, or None. note: what else is to be known of this lane.
    """

    zone: Zone
    round: int
    visit: int
    volume_strength: float
    strongest_volume: float
    limit_reason: Message
    start_min: float
    end_min: float
    wall_min: float
    rinse_min: float
    ending: Ending
    ready_min: tuple[float, float, float]
    level_at_rinse: float
    level_low: float
    level_high: float
    level_sure: float
    lift_lost_share: float
    reason: Message | None
    note: Message | None = None

    @property
    def minutes_on(self) -> float:
        """Minutes its first section has product on."""
        return self.rinse_min - self.start_min

    @property
    def short_levels(self) -> float:
        """Levels it likely misses its target by; 0 when it is reached or passed."""
        return max(self.zone.target_level - self.level_at_rinse, 0.0)


@dataclass(frozen=True, slots=True)
class BasinVisit:
    """One trip to the basin, min.

    Args:
        at_min: when. asked_min: when it was asked for: it waits for the section under the brush; who lays the plan out
            again asks for the same. least_min, most_min: how far it can be moved for every lane in it.
    """

    number: int
    round: int
    at_min: float
    asked_min: float
    lane_keys: tuple[str, ...]
    least_min: float
    most_min: float


@dataclass(frozen=True, slots=True)
class Plan:
    """A plan for one head; `lanes` in the order they go on. `again`: a second round in the same sitting, or None."""

    lanes: tuple[LanePlan, ...]
    visits: tuple[BasinVisit, ...]
    left_out: tuple[LeftOut, ...]
    bowls: tuple[PlannedBowl, ...]
    belief: Belief
    move: HeadMove | None
    price: Price
    again: Plan | None = None

    @property
    def finish_min(self) -> float:
        """The first round's last rinse, min; 0 for an empty plan."""
        return max((v.at_min for v in self.visits), default=0.0)

    @property
    def last_rinse_min(self) -> float:
        """The last rinse of the day, min."""
        return self.again.finish_min if self.again else self.finish_min

    @property
    def strengths(self) -> tuple[float, ...]:
        """Every strength in it, vol, rising."""
        return tuple(sorted({round(x.volume_strength, 3) for x in self.lanes}))

    @property
    def contact_load_volume_min(self) -> float:
        """Sum over lanes of volume times minutes on the hair: a way to compare plans, not a promise about damage."""
        return sum(x.volume_strength * x.minutes_on for x in self.lanes)

    @property
    def contact_min(self) -> float:
        """Longest time alkaline product stays on one lane, min."""
        return max((x.minutes_on for x in self.lanes), default=0.0)

    @property
    def strongest_volume(self) -> float:
        """Strongest developer in it, vol."""
        return max((x.volume_strength for x in self.lanes), default=0.0)

    @property
    def spread_levels(self) -> float:
        """Levels between the lane that passes its target most and the one that misses it most."""
        off = [x.level_at_rinse - x.zone.target_level for x in self.lanes]
        return max(off) - min(off) if off else 0.0

    @property
    def short(self) -> tuple[LanePlan, ...]:
        """Lanes that do not reach their target."""
        return tuple(x for x in self.lanes if x.reason)

    @property
    def waste_g(self) -> float:
        """Product mixed and not used, g."""
        return sum(b.waste_g for b in self.bowls)


def undisturbed(zone: Zone, volume: float, factors: LiftFactors, lift_lost_share: float = 0.0) -> LaneKinetics:
    """How a lane lifts in one application that nothing happens to; `volume` as the hair sees it, vol."""
    course = make_course((Application(0.0, volume, lift_lost_share),), zone.covering)
    return LaneKinetics(zone.hair.start_level, volume, factors, course)


def has_read_strand(request: PlanRequest) -> bool:
    """Whether any strand was read."""
    return any(s.readings for s in request.strands)


def _rounds(request: PlanRequest, entries: Sequence[Entry]) -> list[list[int]]:
    """Lanes by round: parted where the technician said so."""
    starts, rounds, seen = set(request.choice.round_starts), [[]], set()  # type: ignore[var-annotated]
    for i, e in enumerate(entries):
        key = e.zone.zone_key
        if key in starts and key not in seen and rounds[-1]:
            rounds.append([])
        seen.add(key)
        rounds[-1].append(i)
    return [r for r in rounds if r]


@dataclass(frozen=True, slots=True)
class _Row:
    """A lane with its schedule."""

    entry: Entry
    round: int
    start: float
    end: float
    rinse: float
    volume: float
    asked: float
    is_wiped: bool = False


def _schedule(request: PlanRequest, entries: Sequence[Entry], begin: float) -> tuple[list[_Row], Price]:
    """Every lane's times, round after round, and the price without bowls."""
    rows: list[_Row] = []
    price = NOTHING
    own = list(request.choice.visit_mins)
    rounds = _rounds(request, entries)
    for number, places in enumerate(rounds, start=1):
        part = [entries[i] for i in places]
        wanted = request
        if own and len(rounds) > 1:
            work = sum(e.application_min + request.pace.change_min for e in part)
            count = next((i for i, t in enumerate(own, start=1) if t >= begin + work), len(own))
            lines, own = own[:count], own[count:] if number < len(rounds) else []
            wanted = replace(request, choice=replace(request.choice, visit_mins=tuple(lines)))
        found, by = search(wanted, part, start_min=begin)
        told = by.told(found)
        mine = _rows(wanted, part, told, number)
        lost = _lost(_bowls(wanted, mine))
        if max(lost.values()) > LOST_WORTH_SHARE:
            stale = [replace(e, factors=_staled(e.factors, lost.get(e.zone.key, 0.0))) for e in part]
            found, by = search_again(found, by, stale)
        told = by.told(found)
        mine = _rows(wanted, part, told, number)
        rows += mine
        begin = max(r.rinse for r in rows) + request.pace.rinse_min + ROUND_TONE_MIN
        price = _sum(price, told.parts)
    return sorted(rows, key=lambda r: (r.round, r.start, r.end)), price


def _sum(one: Price, other: Price) -> Price:
    """Rounds one after the other: minutes run on, the rest adds up."""
    added = {f.name: getattr(one, f.name) + getattr(other, f.name) for f in fields(Price)}
    return Price(**added | {"minutes": max(one.minutes, other.minutes)})


def _staled(factors: LiftFactors, lost_share: float) -> LiftFactors:
    """What is expected of a lane with a bowl past its life."""
    return replace(factors, extent=max(factors.extent * (1.0 - lost_share), 0.2))


def _rows(request: PlanRequest, entries: Sequence[Entry], found: Found, number: int) -> list[_Row]:
    rows = []
    for i, e in enumerate(entries):
        start, end, rinse = float(found.starts[i]), float(found.ends[i]), float(found.rinses[i])
        is_wiped = found.visit[i] == WIPED
        asked = rinse if is_wiped else found.asked[found.visit[i]]
        wall = (end if e.counts_from_end else start) + e.label_max_min
        if not end + PROCESSING_MIN_MIN - 1e-6 <= rinse <= wall + 1e-6:  # no trip suits it: it is rinsed alone
            rinse = asked = wall
        own = request.choice.minutes.get(e.zone.key)
        if own is not None:
            rinse = asked = min(max(start + own, end + 1.0), wall)
        rows.append(_Row(e, number, start, end, rinse, float(found.volumes[i]), asked, is_wiped))
    return rows


def _bowls(request: PlanRequest, rows: Sequence[_Row]) -> tuple[PlannedBowl, ...]:
    servings = tuple(Serving(r.entry.zone, request.lightener_of(r.entry.zone), r.volume, r.start, r.end) for r in rows)
    choice = request.choice
    return plan_bowls(servings, request.bottles, style=choice.bowl_style, mix_per_foil_g=choice.mix_per_foil_g)


def _lost(bowls: Sequence[PlannedBowl]) -> dict[str, float]:
    """How much less far each lane lifts for the age of its bowls, over its sections."""
    masses: dict[str, list[tuple[float, float]]] = {}
    for bowl in bowls:
        for fill in bowl.fills:
            masses.setdefault(fill.lane_key, []).append((fill.mass_g, fill.lift_lost_share))
    return {key: sum(m * x for m, x in told) / sum(m for m, _ in told) for key, told in masses.items()}


def plan_from(request: PlanRequest, start_min: float = 0.0) -> Plan:
    """Plan one round: each lane's developer, turn, minutes and visit, the bowls, and what it costs.

    Lanes that cannot be planned or fall short carry a reason; nothing that can be mixed raises.

    Args:
        start_min: when hands are free.
    Raises:
        LimitError: input out of range.
    """
    lanes = request.lanes
    expected = [zone_factors(z, request.lightener_of(z)) for z in lanes]
    taught = teach(lanes, request.strands, expected, request.choice.known_head)
    is_taught = has_read_strand(request) or request.choice.known_head is not None
    learnt = [taught.factors(i, f) for i, f in enumerate(expected)] if is_taught else expected
    entries, left_out = entries_of(request, lanes, learnt)
    move = head_move(taught) if is_taught else None
    if not entries:
        return Plan((), (), tuple(left_out), (), prior(()), move, NOTHING)
    rows, price = _schedule(request, entries, start_min)
    bowls = _bowls(request, rows)
    lost = _lost(bowls)
    belief = _belief(request, lanes, taught, expected, rows, lost)
    return _told(request, rows, price, left_out, bowls, lost, belief, move)


def _told(
    request: PlanRequest,
    rows: Sequence[_Row],
    price: Price,
    left_out: list[LeftOut],
    bowls: tuple[PlannedBowl, ...],
    lost: dict[str, float],
    belief: Belief,
    move: HeadMove | None,
) -> Plan:
    zones = [r.entry.zone for r in rows]
    windows = ready_windows(belief, [z.target_level for z in zones], [z.covering for z in zones])
    first = np.array([r.rinse - r.start for r in rows])
    last = np.array([r.rinse - r.end for r in rows])
    levels = level_ranges(belief, first, last, [z.covering for z in zones])
    walls = np.array([_wall(r) - r.end for r in rows])
    longer = np.maximum(np.minimum(walls, last + STAYS_LONGER_MIN), last)
    longest = level_ranges(belief, longer, longer, [z.covering for z in zones])[:, 0]
    aimed = np.array([max(z.target_level, z.hair.start_level) for z in zones])
    sure = np.minimum(np.maximum(levels[:, 0], longest), np.minimum(aimed, levels[:, 1]))
    moments: list[tuple[int, float]] = []
    lasts = {(n, max(_off_min(r) for r in rows if r.round == n)) for n in {r.round for r in rows}}
    for at in sorted({(r.round, r.rinse) for r in rows if not r.is_wiped} | lasts):
        if not moments or at[0] != moments[-1][0] or at[1] - moments[-1][1] > 1e-6:
            moments.append(at)
    asked = {(r.round, r.rinse): r.asked for r in rows if not r.is_wiped}
    number_of = {m: i for i, m in enumerate(moments, start=1)}
    planned = []
    for i, r in enumerate(rows):
        visit = min(number_of.items(), key=lambda p: (p[0][0] != r.round, p[0][1] < r.rinse - 1e-6, p[0][1]))[1]
        planned.append(_lane(request, r, visit, windows[i].tolist(), [*levels[i].tolist(), float(sure[i])], lost))
    visits = tuple(
        _visit(n, m, asked.get(m, m[1]), [x for x in planned if x.visit == n and x.ending is Ending.RINSED])
        for n, m in enumerate(moments, start=1)
    )
    bowled = prices_for(request.choice.aim, request.pace).bowl * len(bowls)
    return Plan(tuple(planned), visits, tuple(left_out), bowls, belief, move, replace(price, bowls=bowled))


def _off_min(row: _Row) -> float:
    """When all of a lane's product is off: wiping takes its time."""
    return row.rinse + (WIPE_SECTION_MIN * row.entry.zone.foil_count if row.is_wiped else 0.0)


def _visit(number: int, moment: tuple[int, float], asked_min: float, lanes: Sequence[LanePlan]) -> BasinVisit:
    return BasinVisit(
        number=number,
        round=moment[0],
        at_min=moment[1],
        asked_min=asked_min,
        lane_keys=tuple(x.zone.key for x in lanes),
        least_min=max((x.end_min for x in lanes), default=moment[1]),
        most_min=min((x.wall_min for x in lanes), default=moment[1]),
    )


def _belief(
    request: PlanRequest,
    lanes: tuple[Zone, ...],
    taught: Taught,
    expected: list[LiftFactors],
    rows: Sequence[_Row],
    lost: dict[str, float],
) -> Belief:
    """What is believed of the planned lanes, in their planned order."""
    place = {z.key: i for i, z in enumerate(lanes)}
    order, found = list(range(HEAD_UNKNOWNS)), []
    for row in rows:
        zone = row.entry.zone
        i = place[zone.key]
        block = lane_block(i)
        order += list(range(block.start, block.stop))
        seen = effective_volume(row.volume, has_additive=request.choice.has_additive)
        found.append(undisturbed(zone, seen, expected[i], lost.get(zone.key, 0.0)))
    return Belief(tuple(found), taught.mean[order], taught.covariance[np.ix_(order, order)])


def _wall(row: _Row) -> float:
    """When the label's time of a lane is up."""
    return (row.end if row.entry.counts_from_end else row.start) + row.entry.label_max_min


def _lane(
    request: PlanRequest, row: _Row, visit: int, window: list[float], levels: list[float], lost: dict[str, float]
) -> LanePlan:
    entry = row.entry
    early, likely, late = window
    wall = _wall(row)
    is_short = levels[1] < entry.zone.target_level - LIFT_LEAST
    return LanePlan(
        zone=entry.zone,
        round=row.round,
        visit=visit,
        volume_strength=row.volume,
        strongest_volume=entry.strongest,
        limit_reason=entry.limit_reason,
        start_min=row.start,
        end_min=row.end,
        wall_min=wall,
        rinse_min=row.rinse,
        ending=_ending(row),
        ready_min=(row.start + early, row.end + likely, row.end + late),
        level_at_rinse=levels[1],
        level_low=levels[0],
        level_high=levels[2],
        level_sure=levels[3],
        lift_lost_share=lost.get(entry.zone.key, 0.0),
        reason=_short_reason(entry, request, volume=row.volume, rinse=row.rinse, wall=wall) if is_short else None,
        note=_note(entry),
    )


def _ending(row: _Row) -> Ending:
    if not row.is_wiped:
        return Ending.RINSED
    return Ending.DRIED if row.entry.zone.covering is Covering.OPEN_AIR else Ending.WIPED


def _short_reason(entry: Entry, request: PlanRequest, *, volume: float, rinse: float, wall: float) -> Message:
    """Why a lane misses its target, and what would help."""
    seen = effective_volume(volume, has_additive=request.choice.has_additive)
    zone = entry.zone
    work = float(level_to_effort(zone.target_level) - level_to_effort(zone.hair.start_level))
    room = entry.factors.room(zone.hair.start_level)
    if work >= room - 1e-9:
        return say("plan_short-stalls", level=entry.factors.ceiling)
    if entry.factors.extent * float(capacity(seen)) <= float(uncapped(work, room)):
        if volume < entry.strongest - 1e-9:
            return say("plan_short-stronger", volume=volume, most=entry.strongest)
        return say("plan_short-stops", volume=volume, limit=entry.limit_reason)
    if rinse >= wall - 1.0 or entry.application_min > LABEL_APPLIED_SHARE * entry.label_max_min:
        return say("plan_short-label", label=entry.label_max_min)
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
