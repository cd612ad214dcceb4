"""The tone step: what each zone became, the formulas that bring all nearest to the wish, their timing and lanes."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime

import numpy as np

from fervens_core.base import Message, say, semicolons
from fervens_core.basin.parts import (
    TonePart,
    allowed_shades,
    find_tone_parts,
    times_of,
    tone_shelf,
    toning_plans_for,
    uptakes_of,
    wish_of,
)
from fervens_core.basin.remedies import Remedy, probe_changes, remedies_of
from fervens_core.basin.results import ReadZone, read_zones
from fervens_core.basin.toner_lane import (
    LEVEL_L,
    STEP_MINUTES,
    ToneMinute,
    ToneOutcome,
    TonerClock,
    outcome_of,
    toned_hexes,
    toner_clock,
)
from fervens_core.basin.uptake import Uptake
from fervens_core.chair import Chair, after
from fervens_core.colour import Undertone, delta_e_2000, lab_hex, lab_to_hex
from fervens_core.head import Findings, Tone, TonerShade, lane_label
from fervens_core.log import TonedPart
from fervens_core.safety import Caution, toner_block
from fervens_core.toning import Formula, Result, ToneTimes, ToningPlan, Wish, can_mix, explain, toned_lab

USUAL_BOWLS = 3


@dataclass(frozen=True, slots=True)
class ToneBowl:
    """One bowl to mix: grams by shade, developer, and where it goes."""

    number: int
    formula_key: str
    formula_name: str
    shade_keys: tuple[str, ...]
    shade_names: tuple[str, ...]
    shades_g: tuple[float, ...]
    developer_g: float
    developer_volume: float | None
    developer_parts: float
    share: float
    label_max_min: float
    lane_ids: tuple[str, ...]
    lane_names: tuple[Message | str, ...]
    hex: str


@dataclass(frozen=True, slots=True)
class ToneProposal:
    """What a bowl does to one zone, minute by minute; `delta_e`: CIEDE2000 to the wish, depth and all."""

    bowl: int
    formula_name: str
    minutes: float
    hex: str
    lab: tuple[float, ...]
    delta_e: float
    depth_lost_levels: float
    is_too_dark: bool
    grams: float
    product_g: float
    developer_g: float
    steps: tuple[ToneMinute, ...]
    outcome: ToneOutcome
    start_min: float
    rinse_min: float
    emulsify_min: float
    over_min: float
    is_alone: bool


@dataclass(frozen=True, slots=True)
class ToneLane:
    """One zone at the tone step, or its root shadow. `id` is its key, with the part behind it for a shadow."""

    id: str
    key: str
    part: TonedPart
    name: Message | str
    zone_key: str
    areas: tuple[str, ...]
    porosity: str
    before_level: float
    target_level: float
    level: float
    is_read: bool
    undertone: Undertone
    says: Message
    rest: str
    grab: str
    now_hex: str
    now_lab: tuple[float, ...]
    wanted_lab: tuple[float, ...]
    wanted_hex: str
    proposal: ToneProposal | None
    toner: TonerClock | None
    remedies: tuple[Remedy, ...]
    probe_change: Message | None
    meeting: tuple[ToneMinute, ...]


@dataclass(frozen=True, slots=True)
class BowlCount:
    """What so many bowls come to: how far apart the zones end, and how far from the wish. `gives_up` in words."""

    count: int
    spread: float
    mean_delta_e: float
    worst_delta_e: float
    gives_up: Message


@dataclass(frozen=True, slots=True)
class ToneAct:
    """The next act at the basin."""

    code: str
    id: str
    zone_key: str
    part: TonedPart
    title: Message
    detail: Message | str
    due_at: datetime
    hex: str | None


@dataclass(frozen=True, slots=True)
class ShelfShade:
    """A shade of the shelf for this person: `blocked` says why it may not be used; what it can be mixed with."""

    key: str
    name: str
    hex: str
    level: float
    is_oxidative: bool
    label_max_min: float
    blocked: Message | None
    pairs_with: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class ToneStep:
    """The tone step as a whole.

    Args:
        flat_hex: grey of the same lightness beside a white, else None. finish_min: after the first toner.
        blocked: why nothing of the shelf may be used, or None. is_wash_only: only pigmented shampoo is left.
    """

    wish: Wish
    is_own_wish: bool
    wanted_hex: str
    flat_hex: str | None
    counts: tuple[BowlCount, ...]
    bowls: tuple[ToneBowl, ...]
    lanes: tuple[ToneLane, ...]
    acts: tuple[ToneAct, ...]
    shelf: tuple[ShelfShade, ...]
    finish_min: float
    shadow_length_mm: float
    shadow_blend_mm: float
    blocked: Message | None
    is_wash_only: bool


def _counts(choices: Sequence[ToningPlan]) -> tuple[BowlCount, ...]:
    found = []
    best = choices[-1] if choices else None
    for choice in choices:
        gives_up = say("gives_up-nearest")
        if best is not None and choice is not best:
            apart, away = choice.spread - best.spread, choice.mean_delta_e - best.mean_delta_e
            said = []
            if apart >= 0.05:
                bowls = len(best.bowls)
                said.append(say("gives_up-apart", apart=choice.spread, best=best.spread, bowls=bowls))
            if away >= 0.05:
                said.append(say("gives_up-away", away=away))
            gives_up = semicolons(said) if said else say("gives_up-nothing")
        worst = max(choice.delta_es.values())
        found.append(BowlCount(len(choice.bowls), choice.spread, choice.mean_delta_e, worst, gives_up))
    unique = {c.count: c for c in found}
    return tuple(unique.values())


def _bowls(tone_parts: Sequence[TonePart]) -> tuple[ToneBowl, ...]:
    groups: dict[str, list[TonePart]] = {}
    for tone_part in tone_parts:
        if tone_part.match:
            groups.setdefault(tone_part.match.formula.key, []).append(tone_part)
    found = []
    for number, group in enumerate(groups.values(), start=1):
        formula = group[0].match.formula  # type: ignore[union-attr]
        shades_g, developer_g = formula.split_g(sum(s.result.grams for s in group))
        labs = np.array([s.match.lab for s in group if s.match])
        found.append(
            ToneBowl(
                number=number,
                formula_key=formula.key,
                formula_name=formula.name,
                shade_keys=tuple(s.key for s in formula.shades),
                shade_names=tuple(s.name for s in formula.shades),
                shades_g=shades_g,
                developer_g=developer_g,
                developer_volume=formula.developer_volume,
                developer_parts=formula.developer_parts,
                share=formula.shares[0],
                label_max_min=formula.label_max_min,
                lane_ids=tuple(s.id for s in group),
                lane_names=tuple(_name(s) for s in group),
                hex=lab_hex(labs.mean(axis=0)),
            )
        )
    return tuple(found)


def _name(tone_part: TonePart) -> Message | str:
    zone = tone_part.read.zone
    return lane_label(zone.name, zone.part, is_again=zone.is_again, is_shadow=bool(tone_part.part))


def _proposal(tone_part: TonePart, bowls: Sequence[ToneBowl], times: ToneTimes, uptake: Uptake) -> ToneProposal | None:
    found = tone_part.match
    if found is None:
        return None
    formula, start = found.formula, next(s for s in times.starts if s.key == tone_part.id)
    steps = [m for m in STEP_MINUTES if m <= formula.label_max_min]
    hexes = toned_hexes(tone_part.result, formula, np.array(steps))
    shades_g, developer_g = formula.split_g(tone_part.result.grams)
    return ToneProposal(
        bowl=next(b.number for b in bowls if tone_part.id in b.lane_ids),
        formula_name=formula.name,
        minutes=found.minutes,
        hex=lab_hex(found.lab),
        lab=found.lab,
        delta_e=float(delta_e_2000(np.array(found.lab), tone_part.wish.wanted)),
        depth_lost_levels=found.depth_lost_l / LEVEL_L,
        is_too_dark=found.is_too_dark,
        grams=tone_part.result.grams,
        product_g=sum(shades_g),
        developer_g=developer_g,
        steps=tuple(ToneMinute(m, h) for m, h in zip(steps, hexes, strict=True)),
        outcome=outcome_of(tone_part.result, formula, found.minutes, uptake),
        start_min=start.start_min,
        rinse_min=start.rinse_min,
        emulsify_min=start.emulsify_min,
        over_min=start.over_min,
        is_alone=start.is_alone,
    )


def _meeting(chair: Chair, tone_part: TonePart, tone_parts: Sequence[TonePart]) -> tuple[ToneMinute, ...]:
    """The meeting line of a root shadow, as colours by mm from the scalp: shadow, blend, lengths."""
    shadow = chair.state.shadow
    length = next((s for s in tone_parts if not s.part and s.read is tone_part.read), None)
    if shadow is None or not tone_part.part or tone_part.match is None or length is None or length.match is None:
        return ()
    at_root = np.array(tone_part.match.lab)
    below = np.array(length.match.lab)
    millimetres = np.linspace(0.0, shadow.length_mm * 1.6, 17)
    blend = max(shadow.blend_mm, 0.1)
    share = np.clip((shadow.length_mm - millimetres) / blend, 0.0, 1.0)
    labs = share[:, None] * at_root + (1.0 - share[:, None]) * below
    return tuple(ToneMinute(float(mm), h) for mm, h in zip(millimetres, lab_to_hex(labs), strict=True))


def _lane(tone_part: TonePart, **more: object) -> ToneLane:
    read, result = tone_part.read, tone_part.result
    return ToneLane(
        id=tone_part.id,
        key=read.lane.key,
        part=tone_part.part,
        name=_name(tone_part),
        zone_key=read.zone.zone_key,
        areas=read.zone.areas,
        porosity=read.zone.hair.porosity.value,
        before_level=read.before_level,
        target_level=read.zone.target_level,
        level=result.level,
        is_read=read.is_read,
        undertone=result.undertone,
        says=explain(result if read.lane.grab is None else replace(result, rest=None, rest_amount=0.0)),
        rest=result.rest.value if result.rest and read.lane.grab is None else "",
        grab=read.lane.grab.value if read.lane.grab else "",
        now_hex=lab_hex(result.lab),
        now_lab=tuple(result.lab.tolist()),
        wanted_lab=tuple(tone_part.wish.wanted.tolist()),
        wanted_hex=tone_part.wish.hex,
        **more,  # type: ignore[arg-type]
    )


def _acts(lanes: Sequence[ToneLane], times: ToneTimes | None, now: datetime) -> tuple[ToneAct, ...]:
    """What is to be done at the basin, the most urgent first."""
    found: list[ToneAct] = []

    def add(code: str, lane: ToneLane, detail: Message | str, due: datetime, colour: str | None) -> None:
        title = say(f"tone_act-{code}", lane=lane.name)
        found.append(ToneAct(code, lane.id, lane.key, lane.part, title, detail, due, colour))

    on = [x.toner for x in lanes if x.toner]
    zero = now
    if times and on:
        starts = {s.key: s.start_min for s in times.starts}
        zero = min((after(x.toner.applied_at, -starts.get(x.id, 0.0)) for x in lanes if x.toner), default=now)
    for lane in lanes:
        clock = lane.toner
        if clock is None:
            if lane.proposal:
                start = after(zero, lane.proposal.start_min) if on else after(now, lane.proposal.start_min)
                planned = lane.proposal
                detail = say("tone_act-bowl", bowl=planned.bowl, formula=planned.formula_name, minutes=planned.minutes)
                add("apply", lane, detail, start, planned.hex)
            continue
        if clock.rinsed_at is not None:
            continue
        if now >= clock.label_at:
            add("stop", lane, clock.formula_name, clock.label_at, None)
            continue
        if clock.emulsify_at and clock.emulsify_at < clock.due_at and clock.strand_count == 0:
            add("emulsify", lane, say("tone_act-emulsify.detail"), clock.emulsify_at, clock.hex_now)
        if clock.strand_at and clock.strand_at < clock.due_at:
            add("strand", lane, say("tone_act-strand.detail"), clock.strand_at, None)
        seen = say("tone_act-should_look", formula=clock.formula_name)
        add("rinse", lane, seen, clock.due_at, clock.hex_now)
    order = {x.id: i for i, x in enumerate(lanes)}
    return tuple(sorted(found, key=lambda a: (a.code != "stop", a.due_at, order[a.id])))


def tone_step(
    chair: Chair,
    shades: Sequence[TonerShade],
    *,
    findings: Findings,
    tone: Tone,
    most_bowls: int = USUAL_BOWLS,
    reads: Sequence[ReadZone] | None = None,
) -> ToneStep:
    """The tone step at a moment.

    Args:
        shades: of the shelf. tone: the head's, when no wish was set. most_bowls: 1 to 4.
        reads: the rinsed zones, when they are known already.
    """
    reads = read_zones(chair) if reads is None else reads
    wish = wish_of(chair, reads, tone)
    blocks = {s.key: toner_block(findings, s) for s in shades}
    allowed = allowed_shades(shades, findings)
    shelf = tone_shelf(allowed) if allowed else None
    choices = toning_plans_for(chair, reads, shades, findings, tone, most_bowls)
    choice = choices[-1] if choices else None
    tone_parts = find_tone_parts(chair, reads, choice, wish, shelf)
    times, bowls, uptakes = times_of(tone_parts), _bowls(tone_parts), uptakes_of(tone_parts)
    probes = probe_changes(reads, choice, shelf, wish) if shelf else {}
    by_key, shadow = {s.key: s for s in shades}, chair.state.shadow
    lanes = tuple(
        _lane(
            tone_part,
            proposal=_proposal(tone_part, bowls, times, uptake) if times and tone_part.state is None else None,
            toner=toner_clock(tone_part.state, tone_part.result, by_key, uptake, chair.now)
            if tone_part.state
            else None,
            remedies=remedies_of(tone_part, tone_parts, wish, shelf) if shelf else (),
            probe_change=None if tone_part.part else probes.get(tone_part.read.lane.key),
            meeting=_meeting(chair, tone_part, tone_parts),
        )
        for tone_part, uptake in zip(tone_parts, uptakes, strict=True)
    )
    order = {s.key: i for i, s in enumerate(times.starts)} if times else {}
    lanes = tuple(sorted(lanes, key=lambda x: order.get(x.id, len(order))))
    why = next((_said(b) for b in blocks.values() if b), say("tone-empty_shelf"))
    return ToneStep(
        wish=wish,
        is_own_wish=chair.state.wish is not None,
        wanted_hex=wish.hex,
        flat_hex=lab_to_hex(wish.flat_lab)[0] if wish.is_white else None,
        counts=_counts(choices),
        bowls=bowls,
        lanes=lanes,
        acts=_acts(lanes, times, chair.now),
        shelf=tuple(_shelf_shade(s, shades, _said(b) if (b := blocks[s.key]) else None) for s in shades),
        finish_min=times.finish_min if times else 0.0,
        shadow_length_mm=shadow.length_mm if shadow else 0.0,
        shadow_blend_mm=shadow.blend_mm if shadow else 0.0,
        blocked=None if allowed else why,
        is_wash_only=bool(allowed) and not any(s.is_oxidative for s in allowed) and any(s.is_oxidative for s in shades),
    )


def _said(caution: Caution) -> Message:
    return say("caution", title=caution.title, advice=caution.advice)


def _shelf_shade(shade: TonerShade, shades: Sequence[TonerShade], blocked: Message | None) -> ShelfShade:
    pale = Result("pale", "pale", 5.0, 10.0)
    colour = lab_hex(toned_lab(pale, Formula((shade,)), shade.label_max_min, 1.6))
    return ShelfShade(
        key=shade.key,
        name=shade.name,
        hex=colour,
        level=shade.level,
        is_oxidative=shade.is_oxidative,
        label_max_min=shade.label_max_min,
        blocked=blocked,
        pairs_with=tuple(x.key for x in shades if x.key != shade.key and can_mix(shade, x)),
    )
