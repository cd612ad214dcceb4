"""The tone step: what each part became, the session that brings each to its own wish, its lanes and acts."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from fervens_core.base import Message, say, semicolons
from fervens_core.basin.acts import tone_acts
from fervens_core.basin.parts import (
    AS_USUAL,
    ToneChoice,
    TonePart,
    allowed_shades,
    before_probes,
    part_name,
    sessions_for,
    tone_parts_of,
    tone_shelf,
    toning_for,
    uptakes_of,
    with_tones,
)
from fervens_core.basin.remedies import probe_changes, remedies_of
from fervens_core.basin.results import ReadZone, read_zones
from fervens_core.basin.review import Review, make_review
from fervens_core.basin.shown import (
    BowlCount,
    ShelfShade,
    ToneBowl,
    ToneLane,
    ToneProposal,
    ToneStep,
    WishedParts,
)
from fervens_core.basin.toner_lane import STEP_MINUTES, ToneMinute, TonerClock, outcome_of, toned_hexes, toner_clock
from fervens_core.basin.uptake import Uptake
from fervens_core.chair import Chair
from fervens_core.colour import delta_e_2000, seen_hex, seen_hexes
from fervens_core.head import Findings, Part, Tone, TonerShade, Zone
from fervens_core.planning import PlanRequest
from fervens_core.safety import Caution, toner_block
from fervens_core.toning import (
    OUT_OF_REACH_DELTA_E,
    Formula,
    Result,
    ToneSession,
    Wish,
    best_session,
    can_mix,
    explain,
    needed_for,
    toned_lab,
)


def bowl_counts(sessions: Sequence[ToneSession]) -> tuple[BowlCount, ...]:
    """What each count of bowls comes to, beside the session that is proposed."""
    if not sessions:
        return ()
    best, found = best_session(sessions), []
    for session in sessions:
        more = len(session.bowls) - len(best.bowls)
        apart, away = session.spread - best.spread, session.mean_held_e - best.mean_held_e
        said = []
        if more and apart >= 0.5:
            said.append(say("gives_up-apart", apart=apart))
        if more and away >= 0.05:
            said.append(say("gives_up-away", away=away))
        if more > 0 and away <= -0.05:
            said.append(say("gives_up-gains", away=-away))
        if more and not said and session.worst_held_e - best.worst_held_e >= 0.5:
            said.append(say("gives_up-worst", away=session.worst_held_e - best.worst_held_e))
        gives_up = semicolons(said) if said else say("gives_up-nothing" if more else "gives_up-nearest")
        found.append(
            BowlCount(
                len(session.bowls), session.spread, session.mean_delta_e, session.worst_delta_e, not more, gives_up
            )
        )
    return tuple(found)


def _bowls(tone_parts: Sequence[TonePart]) -> tuple[ToneBowl, ...]:
    """The bowls in the order they go on, each with its parts in the order of hands."""
    groups: dict[int, list[TonePart]] = {}
    for tone_part in sorted((p for p in tone_parts if p.tone), key=lambda p: p.tone.on_min):  # type: ignore[union-attr]
        groups.setdefault(tone_part.tone.bowl, []).append(tone_part)  # type: ignore[union-attr]
    found = []
    for number, group in sorted(groups.items()):
        formula = group[0].tone.formula  # type: ignore[union-attr]
        shades_g, added_g = formula.split_g(sum(s.result.grams for s in group))
        labs = np.array([s.tone.lab for s in group if s.tone])
        found.append(
            ToneBowl(
                number=number,
                formula_key=formula.key,
                formula_name=formula.name,
                shade_keys=tuple(s.key for s in formula.shades),
                shade_names=tuple(s.name for s in formula.shades),
                shades_g=shades_g,
                developer_g=added_g if formula.is_oxidative else 0.0,
                developer_volume=formula.developer_volume,
                developer_parts=formula.developer_parts,
                dilution=formula.dilution,
                diluent_g=0.0 if formula.is_oxidative else added_g,
                share=formula.shares[0],
                label_max_min=formula.label_max_min,
                lane_ids=tuple(s.id for s in group),
                lane_names=tuple(part_name(s) for s in group),
                hex=seen_hex(labs.mean(axis=0)),
                is_own=any(s.asked.only is not None and len(s.asked.only) == 1 for s in group),
            )
        )
    return tuple(found)


def _proposal(tone_part: TonePart, uptake: Uptake) -> ToneProposal | None:
    tone = tone_part.tone
    if tone is None:
        return None
    formula = tone.formula
    steps = [m for m in STEP_MINUTES if m <= formula.label_max_min]
    hexes = toned_hexes(tone_part.result, formula, np.array(steps))
    shades_g, added_g = formula.split_g(tone_part.result.grams)
    is_missed = tone.wish_delta_e > OUT_OF_REACH_DELTA_E
    needed = None
    if is_missed:
        needed = needed_for(tone_part.result, tone_part.wish, may_deepen=tone_part.asked.may_deepen)
    return ToneProposal(
        bowl=tone.bowl,
        formula_name=formula.name,
        minutes=tone.minutes,
        hex=seen_hex(tone.lab),
        lab=tone.lab,
        delta_e=tone.wish_delta_e,
        levels_deeper=tone.levels_deeper,
        is_too_deep=tone.is_too_deep,
        needed=needed,
        grams=tone_part.result.grams,
        product_g=sum(shades_g),
        developer_g=added_g if formula.is_oxidative else 0.0,
        steps=tuple(ToneMinute(m, h) for m, h in zip(steps, hexes, strict=True)),
        outcome=outcome_of(tone_part.result, formula, tone.minutes, uptake),
        start_min=tone.start_min,
        on_min=tone.on_min,
        rinse_min=tone.off_min,
    )


def _meeting(chair: Chair, tone_part: TonePart, tone_parts: Sequence[TonePart]) -> tuple[ToneMinute, ...]:
    """The meeting line of a root shadow, as colours by mm from the scalp: shadow, blend, lengths."""
    shadow = chair.state.shadow
    length = next((s for s in tone_parts if not s.part and s.read is tone_part.read), None)
    if shadow is None or not tone_part.part or tone_part.tone is None:
        return ()
    below_part = length if length and length.tone else _below(tone_part, tone_parts)
    if below_part is None or below_part.tone is None:
        return ()
    at_root = np.array(tone_part.tone.lab)
    below = np.array(below_part.tone.lab)
    millimetres = np.linspace(0.0, shadow.length_mm * 1.6, 17)
    blend = max(shadow.blend_mm, 0.1)
    share = np.clip((shadow.length_mm - millimetres) / blend, 0.0, 1.0)
    labs = share[:, None] * at_root + (1.0 - share[:, None]) * below
    return tuple(ToneMinute(float(mm), h) for mm, h in zip(millimetres, seen_hexes(labs), strict=True))


def _taught_by(tone_part: TonePart, tone_parts: Sequence[TonePart]) -> Message | None:
    """What was read on other parts and moves this one is said."""
    state = tone_part.state
    if state is None or not state.is_on or state.strands:
        return None
    others = [part_name(p) for p in tone_parts if p is not tone_part and p.state and p.state.strands]
    return say("tone-taught_by", lanes=others) if others else None


def _below(shadow: TonePart, tone_parts: Sequence[TonePart]) -> TonePart | None:
    """What lies below a shadow that covers all of a root: the lengths of the same zone."""
    own = [p for p in tone_parts if not p.part and p.read.zone.zone_key == shadow.read.zone.zone_key and p.tone]
    return next((p for p in own if p.read.zone.part is not Part.ENDS), own[0] if own else None)


def _lane(tone_part: TonePart, toner: TonerClock | None, **more: object) -> ToneLane:
    read, result = tone_part.read, tone_part.result
    now = toner.lab_now if toner else result.lab
    return ToneLane(
        id=tone_part.id,
        key=read.lane.key,
        part=tone_part.part,
        name=part_name(tone_part),
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
        now_hex=seen_hex(result.lab),
        now_lab=tuple(result.lab.tolist()),
        wanted_lab=tuple(tone_part.wish.wanted.tolist()),
        wanted_hex=tone_part.wish.hex,
        difference=float(delta_e_2000(np.array(now), tone_part.wish.wanted)),
        toner=toner,
        **more,  # type: ignore[arg-type]
    )


def review_of_chair(
    chair: Chair,
    shades: Sequence[TonerShade],
    *,
    findings: Findings,
    tone: Tone,
    request: PlanRequest | None,
    kept: Sequence[Zone] = (),
) -> Review:
    """The review of a head with the tone session that a shelf would give it now; otherwise as `make_review`."""
    reads = read_zones(chair)
    return make_review(
        chair,
        reads,
        request=request,
        choice=toning_for(chair, reads, shades, findings, tone),
        elasticity=findings.elasticity,
        kept=kept,
    )


def tone_step(
    chair: Chair,
    shades: Sequence[TonerShade],
    *,
    findings: Findings,
    tone: Tone,
    choice: ToneChoice = AS_USUAL,
    reads: Sequence[ReadZone] | None = None,
) -> ToneStep:
    """The tone step at a moment.

    Args:
        shades: of the shelf. tone: the head's, when no wish was set. choice: how the session is chosen.
        reads: the rinsed zones, when they are known already.
    """
    reads = read_zones(chair) if reads is None else reads
    blocks = {s.key: toner_block(findings, s) for s in shades}
    allowed = allowed_shades(shades, findings)
    asked, own = tone_parts_of(chair, reads, allowed, tone, choice)
    sessions = sessions_for(asked, allowed, own, choice)
    session = best_session(sessions) if sessions else None
    tone_parts = with_tones(asked, session)
    bowls, uptakes = _bowls(tone_parts), uptakes_of(tone_parts)
    probes = probe_changes(tone_parts, before_probes(asked, allowed, own, choice))
    shelf = tone_shelf(allowed, own) if allowed else None
    by_key, shadow = {s.key: s for s in shades}, chair.state.shadow
    lanes = tuple(
        _lane(
            tone_part,
            toner_clock(tone_part.state, tone_part.result, by_key, uptake, chair.now) if tone_part.state else None,
            proposal=_proposal(tone_part, uptake) if tone_part.state is None else None,
            remedies=remedies_of(tone_part, tone_parts, shelf) if shelf else (),
            probe_change=None if tone_part.part else probes.get(tone_part.read.lane.key),
            taught_by=_taught_by(tone_part, tone_parts),
            meeting=_meeting(chair, tone_part, tone_parts),
        )
        for tone_part, uptake in zip(tone_parts, uptakes, strict=True)
    )
    order = {t.key: i for i, t in enumerate(session.tones)} if session else {}
    lanes = tuple(sorted(lanes, key=lambda x: order.get(x.id, len(order))))
    why = next((_said(b) for b in blocks.values() if b), say("tone-empty_shelf"))
    head = _commonest([p.wish for p in tone_parts if not p.part] or [Wish(tone, 8.0)])
    total_g = sum(p.result.grams for p in tone_parts)
    return ToneStep(
        wish=head,
        is_own_wish=chair.state.wish is not None or bool(chair.state.own_wishes),
        wanted_hex=head.hex,
        flat_hex=seen_hex(head.flat_lab) if head.is_white else None,
        wishes=_wishes(tone_parts),
        counts=bowl_counts(sessions),
        bowls=bowls,
        lanes=lanes,
        acts=tone_acts(lanes, session, chair.now),
        shelf=tuple(_shelf_shade(s, shades, _said(b) if (b := blocks[s.key]) else None) for s in shades),
        finish_min=session.minutes if session else 0.0,
        rinses=session.rinses if session else (),
        total_g=total_g,
        much=say("tone-much", grams=total_g, parts=len(tone_parts)) if total_g > MOST_USUAL_G else None,
        stays_bright=choice.stays_bright,
        fill=_fill(tone_parts),
        shadow_length_mm=shadow.length_mm if shadow else 0.0,
        shadow_blend_mm=shadow.blend_mm if shadow else 0.0,
        blocked=None if allowed else why,
        is_wash_only=bool(allowed) and not any(s.is_oxidative for s in allowed) and any(s.is_oxidative for s in shades),
    )


MOST_USUAL_G = 120.0
"""More mixed toner for a head than technicians usually mix (60 to 120 g, common practice) is explained."""
FILL_LEVELS = 2.0
"""Hair that goes deeper by more levels is filled first, or the deep shade fades out of it (common practice)."""


def _commonest(wishes: Sequence[Wish]) -> Wish:
    return max(dict.fromkeys(wishes), key=wishes.count)


def _wishes(tone_parts: Sequence[TonePart]) -> tuple[WishedParts, ...]:
    """Every wish once, with the parts that share it; the one of most parts first."""
    groups: dict[Wish, list[TonePart]] = {}
    for tone_part in tone_parts:
        if not tone_part.part:
            groups.setdefault(tone_part.wish, []).append(tone_part)
    found = [
        WishedParts(w, w.hex, tuple(p.read.lane.key for p in some), tuple(part_name(p) for p in some))
        for w, some in groups.items()
    ]
    return tuple(sorted(found, key=lambda w: -len(w.keys)))


def _fill(tone_parts: Sequence[TonePart]) -> Message | None:
    """What has to be filled with warm pigment before it is made so much deeper."""
    deep = [p for p in tone_parts if not p.part and p.result.level - p.wish.level > FILL_LEVELS]
    if not deep:
        return None
    level = min(p.wish.level for p in deep)
    return say("tone-fill", lanes=[part_name(p) for p in deep], warm="copper" if level >= 6.0 else "red_brown")


def _said(caution: Caution) -> Message:
    return say("caution", title=caution.title, advice=caution.advice)


def _shelf_shade(shade: TonerShade, shades: Sequence[TonerShade], blocked: Message | None) -> ShelfShade:
    pale = Result("pale", "pale", 5.0, 10.0)
    colour = seen_hex(toned_lab(pale, Formula((shade,)), shade.label_max_min, 1.6))
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
