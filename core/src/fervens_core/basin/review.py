"""The review: achieved against target, bands, and what can be done with each zone now. docs/models/review.md."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, CoreError, Message, say, semicolons
from fervens_core.basin.results import ReadZone
from fervens_core.chair import Chair, minutes_between
from fervens_core.colour import Undertone, delta_e_2000, hair_lab, seen_hexes
from fervens_core.head import AGAIN, DyeHue, Elasticity, Part, Zone
from fervens_core.log import LaneState
from fervens_core.planning import WORTH_LEVELS, LanePlan, PlanRequest, again_key, again_zone, plan_round
from fervens_core.safety import again_block
from fervens_core.toning import ToneSession, explain

BAND_LEVELS = 0.75
BAND_DELTA_E = 6.0
"""[MODEL] a zone that differs so much from what lies beside it is a band."""


class Way(StrEnum):
    """What can be done with a zone after the rinse."""

    TONE = "tone"
    AGAIN = "again"
    VISIT = "visit"
    LOWER = "lower"


@dataclass(frozen=True, slots=True)
class ReviewOption:
    """One way on for a zone.

    Args:
        hex, level: where it would end. volume_strength, minutes: of another application. blocked: why not, or None.
        asks_label: the label has to be read for it first.
    """

    way: Way
    title: Message
    reason: Message
    hex: str
    level: float
    volume_strength: float | None = None
    minutes: float | None = None
    blocked: Message | None = None
    asks_label: bool = False


@dataclass(frozen=True, slots=True)
class ReviewLane:
    """One zone as it came out; `is_kept` when no lightener went on it.

    `off_levels`: level reached less level wanted. `advised`: the way proposed first. `part`: of the strand; `side`:
    left or right, empty elsewhere.
    """

    key: str
    zone_key: str
    part: Part
    side: str
    areas: tuple[str, ...]
    name: Message | str
    before_level: float
    target_level: float
    level: float
    off_levels: float
    is_read: bool
    is_on_target: bool
    undertone: Undertone
    says: Message
    rest: str
    rest_amount: float
    warmth: float
    before_hex: str
    now_hex: str
    target_hex: str
    band: Message | None
    options: tuple[ReviewOption, ...]
    advised: Way
    is_kept: bool


@dataclass(frozen=True, slots=True)
class KeptPart:
    """A part no lightener went on: it can be read and taken in among what is toned."""

    key: str
    name: Message | str
    before_level: float
    target_level: float
    now_hex: str


@dataclass(frozen=True, slots=True)
class Review:
    """A head as it came out. `kept`: parts no lightener went on that are not taken in yet."""

    lanes: tuple[ReviewLane, ...]
    kept: tuple[KeptPart, ...]
    on_target_share: float
    unread: tuple[Message | str, ...]
    advice: Message


def contact_min(chair: Chair, lane: LaneState) -> float:
    """Minutes a lane had alkaline product on today, all its applications and those of the lane before it together."""
    before = contact_min(chair, chair.state.lane(lane.again_of)) if lane.again_of else 0.0
    if lane.started_at is None:
        return before
    return before + max(minutes_between(lane.started_at, lane.rinsed_at or chair.now), 0.0)


def again_block_of(chair: Chair, read: ReadZone, elasticity: Elasticity) -> Message | None:
    """Why a zone may not be lightened once more today, or None."""
    lane = read.lane
    return again_block(
        chair.lightener_of(lane.key),
        scalp=lane.scalp,
        elasticity=lane.elasticity,
        told=frozenset({read.zone.hair.elasticity, elasticity}),
        is_toned=bool(lane.toner or lane.shadow),
        is_second_round=bool(lane.again_of),
        applications=len(lane.applications),
        contact_min=contact_min(chair, lane),
    )


def plan_again(reads: Sequence[ReadZone], request: PlanRequest) -> dict[str, LanePlan]:
    """Another round today for some zones by the same planner, by lane key; empty when it cannot be planned."""
    wanted = {again_key(r.lane.key): r for r in reads if r.zone.target_level - r.result.level >= WORTH_LEVELS / 2}
    if not wanted:
        return {}
    try:
        plan = plan_round(request, [again_zone(r.zone, key, r.result.level) for key, r in wanted.items()])
    except CoreError:
        return {}
    return {wanted[x.zone.key].lane.key: x for x in plan.lanes}


def _rest(hue: DyeHue, amount: float) -> Message:
    return say("band-rest", amount="faint" if amount < 0.35 else "clear" if amount < 0.75 else "strong", hue=hue)


def _beside(reads: Sequence[ReadZone], read: ReadZone) -> tuple[list[ReadZone], Message]:
    """What a zone is compared with: other parts of the same zone, else all zones that are to be of like depth."""
    own = [r for r in reads if r is not read and r.zone.zone_key == read.zone.zone_key]
    if own:
        return own, say("band-beside_zone")
    same = [r for r in reads if abs(r.zone.target_level - read.zone.target_level) < BAND_LEVELS]
    return (same if len(same) > 1 else []), say("band-beside_head")


def _width(zone: Zone) -> Message:
    if zone.part in (Part.ROOT, Part.REGROWTH, Part.BAND, Part.ENDS):
        return say("band-width", mm=zone.length_mm)
    return say("band-whole_zone")


def band_of(reads: Sequence[ReadZone], read: ReadZone) -> Message | None:
    """What sets a zone apart from what lies beside it: how many levels, or how much hue, and how wide; or None."""
    beside, what = _beside(reads, read)
    if not beside:
        return None
    wanted_off = read.zone.target_level - float(np.median([r.zone.target_level for r in beside]))
    off = read.result.level - float(np.median([r.result.level for r in beside])) - wanted_off
    hue = None
    rest = read.result.rest
    if rest is not None and read.result.rest_amount > 0.0 and read.lane.grab is None:
        hue = _rest(rest, read.result.rest_amount)
    if abs(off) >= BAND_LEVELS:
        level = say("band-darker" if off < 0 else "band-lighter", levels=abs(off), beside=what)
        return say("band", facts=[level, *([hue] if hue else []), _width(read.zone)])
    plain = np.median([r.result.lab for r in beside], axis=0)
    away = float(delta_e_2000(read.result.lab, plain))
    if hue or (away >= BAND_DELTA_E and read.result.warmth != 0.0):
        way = hue or say("band-warmer" if read.result.warmth > 0 else "band-cooler", beside=what)
        return say("band", facts=[way, say("band-difference", difference=away), _width(read.zone)])
    return None


def _options(
    chair: Chair, read: ReadZone, again: LanePlan | None, choice: ToneSession | None, elasticity: Elasticity
) -> tuple[tuple[ReviewOption, ...], Way]:
    target, level = read.zone.target_level, read.result.level
    short = target - level
    now_hex = seen_hexes(read.result.lab)[0]
    tone = choice.by_key.get(read.lane.key) if choice else None
    toned_hex = seen_hexes(np.array(tone.lab))[0] if tone else now_hex
    is_there = short <= ON_TARGET_LEVELS
    reasons = [say("way_tone-on_target") if is_there else say("way_tone-short", short=short)]
    if tone:
        said = {"formula": tone.formula.name, "minutes": tone.minutes, "away": tone.wish_delta_e}
        reasons.append(say("way_tone-formula", **said))
    found = [ReviewOption(Way.TONE, say("way-tone"), semicolons(reasons), toned_hex, level)]
    advised = Way.TONE
    if short > ON_TARGET_LEVELS and not read.is_kept:
        block = again_block_of(chair, read, elasticity)
        end = again.level_at_rinse if again else level
        gains = again is not None and end - level >= WORTH_LEVELS
        if again is None:
            block = block or say("again_block-no_gain")
        so_far = contact_min(chair, read.lane)
        reason = say("way_again-not_planned", so_far=so_far)
        if again:
            reason = say("way_again-gain", level=level, end=end, so_far=so_far)
        if again and not gains:
            block = block or say("again_block-little_gain", end=end)
        again_lab = hair_lab(read.before_level, np.array(end))
        found.append(
            ReviewOption(
                way=Way.AGAIN,
                title=say("way-again"),
                reason=reason,
                hex=seen_hexes(again_lab)[0],
                level=end,
                volume_strength=again.volume_strength if again else None,
                minutes=again.minutes_on if again else None,
                blocked=block,
                asks_label=chair.lightener_of(read.lane.key).max_applications is None,
            )
        )
        wanted_hex = seen_hexes(hair_lab(read.before_level, np.array(max(target, read.before_level))))[0]
        found.append(
            ReviewOption(
                Way.VISIT,
                say("way-visit"),
                say("way_visit-later", level=level, short=short),
                wanted_hex,
                target,
            )
        )
        found.append(ReviewOption(Way.LOWER, say("way-lower"), say("way_lower-even", level=level), toned_hex, level))
        advised = Way.AGAIN if block is None and short > ON_TARGET_LEVELS else Way.VISIT
    return tuple(found), advised


def make_review(
    chair: Chair,
    reads: Sequence[ReadZone],
    *,
    request: PlanRequest | None,
    choice: ToneSession | None,
    elasticity: Elasticity,
    kept: Sequence[Zone] = (),
) -> Review:
    """The review of a head.

    Args:
        request: the service's plan request, for another application; None when nothing can be planned.
        choice: the tone session that would be worked now, or None. elasticity: as the head's stretch test had it.
        kept: the parts no lightener went on.
    """
    short = [r for r in reads if r.zone.target_level - r.result.level > ON_TARGET_LEVELS]
    again = plan_again(short, request) if request and short else {}
    lanes = []
    for read in reads:
        options, advised = _options(chair, read, again.get(read.lane.key), choice, elasticity)
        start, target = read.before_level, read.zone.target_level
        was = read.zone.hair.start_level if read.is_kept else start
        natural = hair_lab(start, np.array([was, max(target, start)]))
        before_hex, target_hex, now_hex = seen_hexes(np.vstack([natural, read.result.lab]))
        off = read.result.level - target
        lanes.append(
            ReviewLane(
                key=read.lane.key,
                zone_key=read.zone.zone_key.removesuffix(AGAIN),
                part=read.zone.part,
                side=read.zone.side or "",
                areas=read.zone.areas,
                name=read.zone.label,
                before_level=start,
                target_level=target,
                level=read.result.level,
                off_levels=off,
                is_read=read.is_read,
                is_on_target=abs(off) <= ON_TARGET_LEVELS,
                undertone=read.result.undertone,
                says=explain(read.result),
                rest=read.result.rest.value if read.result.rest and read.lane.grab is None else "",
                rest_amount=read.result.rest_amount if read.lane.grab is None else 0.0,
                warmth=read.result.warmth,
                before_hex=before_hex,
                now_hex=now_hex,
                target_hex=target_hex,
                band=band_of(reads, read),
                options=options,
                advised=advised,
                is_kept=read.is_kept,
            )
        )
    lifted = [x for x in lanes if not x.is_kept]
    on = sum(x.is_on_target for x in lifted) / len(lifted) if lifted else 0.0
    return Review(tuple(lanes), _kept(kept, reads), on, tuple(x.name for x in lanes if not x.is_read), _advice(lanes))


def _kept(kept: Sequence[Zone], reads: Sequence[ReadZone]) -> tuple[KeptPart, ...]:
    known = {r.lane.key for r in reads}
    return tuple(
        KeptPart(
            key=z.key,
            name=z.label,
            before_level=z.hair.colour_start,
            target_level=z.target_level,
            now_hex=seen_hexes(hair_lab(z.hair.colour_start, np.array([z.hair.start_level])))[0],
        )
        for z in kept
        if z.key not in known
    )


def _advice(lanes: Sequence[ReviewLane]) -> Message:
    unread = [x.name for x in lanes if not x.is_read]
    if unread:
        return say("review-read_first", lane=unread[0], more=len(unread) - 1)
    again = [x.name for x in lanes if x.advised is Way.AGAIN]
    if again:
        return say("review-again", lanes=again)
    later = [x.name for x in lanes if x.advised is Way.VISIT]
    if later:
        return say("review-later", lanes=later)
    return say("review-on_target")
