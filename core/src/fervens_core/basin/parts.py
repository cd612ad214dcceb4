"""Zones and root shadows to be toned: the wish, the formulas, the time each takes, how much dye each takes up."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np

from fervens_core.basin.results import ReadZone
from fervens_core.basin.uptake import Uptake, UptakeSeen, learn_uptake
from fervens_core.chair import Chair, minutes_between
from fervens_core.head import Findings, Part, Tone, TonerShade, Zone
from fervens_core.log import SHADOW, TonedPart, TonerState
from fervens_core.safety import toner_block
from fervens_core.toning import (
    Match,
    Result,
    ToneShelf,
    ToneTimes,
    ToningPlan,
    ToTone,
    Wish,
    all_formulas,
    choose,
    deposit,
    lay_out,
    time_constant_min,
    time_toner,
)

TONER_MIN_PER_FOIL = 0.35
"""[MODEL] a toner goes on with a bottle or a wide brush, section by section, about so quickly."""
SHADOW_SHARE = 0.4
"""[MODEL] a root shadow takes about so much of a zone's toner."""

SECOND_SHADOW_BOWL = 3.0
"""[MODEL] a second bowl for the root shadow has to leave the head so much nearer, in CIEDE2000 units."""


@lru_cache(maxsize=32)
def tone_shelf(shades: tuple[TonerShade, ...]) -> ToneShelf:
    return lay_out(all_formulas(shades))


def usual_wish(reads: Sequence[ReadZone], tone: Tone) -> Wish:
    """The wish when none was set: the head's tone, at the depth all its zones can share.

    That of the darkest zone, but never more than a level below the middle one.
    """
    levels = [min(r.result.level, max(r.zone.target_level, r.before_level)) for r in reads]
    shared = max(min(levels), float(np.median(levels)) - 1.0) if levels else 8.0
    return Wish(tone, float(np.floor(shared * 2.0) / 2.0))


def wish_of(chair: Chair, reads: Sequence[ReadZone], tone: Tone) -> Wish:
    """The wish that was set, or the usual one."""
    own = chair.state.wish
    if own is None:
        return usual_wish(reads, tone)
    return Wish(Tone(own.tone), own.level, own.hue_deg, own.lab or None, own.is_warmth_back)


def allowed_shades(shades: Sequence[TonerShade], findings: Findings) -> tuple[TonerShade, ...]:
    """The shades that may go on this person."""
    return tuple(s for s in shades if toner_block(findings, s) is None)


def toning_plans_for(
    chair: Chair, reads: Sequence[ReadZone], shades: Sequence[TonerShade], findings: Findings, tone: Tone, most: int
) -> tuple[ToningPlan, ...]:
    """The best formulas with one bowl, two, and so on; empty when nothing may be used or nothing is rinsed."""
    allowed = allowed_shades(shades, findings)
    if not allowed or not reads:
        return ()
    wish = wish_of(chair, reads, tone)
    return choose([r.result for r in reads], tone_shelf(allowed), wish.wanted, most_bowls=most)


@dataclass(frozen=True, slots=True)
class TonePart:
    """A zone or a root shadow, with what is to be done to it."""

    id: str
    part: TonedPart
    read: ReadZone
    result: Result
    match: Match | None
    wish: Wish
    state: TonerState | None


def find_tone_parts(
    chair: Chair, reads: Sequence[ReadZone], choice: ToningPlan | None, wish: Wish, shelf: ToneShelf | None
) -> list[TonePart]:
    matches = choice.matches if choice else {}
    tone_parts = [TonePart(r.lane.key, "", r, r.result, matches.get(r.lane.key), wish, r.lane.toner) for r in reads]
    shadow = chair.state.shadow
    if shadow is None or shelf is None:
        return tone_parts
    rooted = {(r.zone.zone_key, r.zone.piece) for r in reads if r.zone.part is Part.ROOT}
    at_root = [r for r in reads if r.zone.part is Part.ROOT or (r.zone.zone_key, r.zone.piece) not in rooted]
    at_root = [r for r in at_root if r.zone.part not in (Part.BAND, Part.ENDS)]
    deep = Wish(wish.tone, shadow.level, wish.hue_deg)
    results = [replace(r.result, grams=max(r.result.grams * SHADOW_SHARE, 1.0)) for r in at_root]
    picked = _for_shadow(results, shelf, deep) if results else {}
    return tone_parts + [
        TonePart(f"{r.lane.key}~{SHADOW}", SHADOW, r, x, picked.get(r.lane.key), deep, r.lane.shadow)
        for r, x in zip(at_root, results, strict=True)
    ]


def _for_shadow(results: Sequence[Result], shelf: ToneShelf, deep: Wish) -> dict[str, Match]:
    """One bowl for all root shadows, or two where one would leave pale and dark zones plainly apart."""
    one, *more = choose(results, shelf, deep.wanted, most_bowls=2)
    is_worth = bool(more) and one.score - more[-1].score >= SECOND_SHADOW_BOWL
    return more[-1].matches if is_worth else one.matches


def uptakes_of(tone_parts: Sequence[TonePart]) -> tuple[Uptake, ...]:
    seen = []
    for index, tone_part in enumerate(tone_parts):
        for strand in tone_part.state.strands if tone_part.state else ():
            on = max(minutes_between(tone_part.state.applied_at, strand.at), 0.25)  # type: ignore[union-attr]
            expected = float(deposit(on, tone_part.result.porosity)) * tone_part.result.uptake_factor
            seen.append(UptakeSeen(index, strand.deposit_share / max(expected, 1e-3)))
    return learn_uptake(len(tone_parts), seen) if tone_parts else ()


def _application_min(zone: Zone, part: str) -> float:
    return min(zone.foil_count * TONER_MIN_PER_FOIL * (SHADOW_SHARE if part else 1.0), 15.0)


MORE_DYE = 1.08
"""[MODEL] so much more dye than planned does not show."""


def _slack_min(tone_part: TonePart, found: Match) -> float:
    """How much longer than planned a zone may be on before it shows, min."""
    tau = time_constant_min(tone_part.result.porosity)
    share = -math.expm1(-found.minutes / tau) * MORE_DYE
    longest = found.formula.label_max_min
    until = -tau * math.log1p(-share) if share < 1.0 else longest
    return max(min(until, longest) - found.minutes, 1.0)


def times_of(tone_parts: Sequence[TonePart]) -> ToneTimes | None:
    asked = [
        ToTone(
            key=s.id,
            application_min=_application_min(s.read.zone, s.part),
            minutes=s.match.minutes,
            label_max_min=s.match.formula.label_max_min,
            slack_min=_slack_min(s, s.match),
        )
        for s in tone_parts
        if s.match
    ]
    return time_toner(asked) if asked else None
