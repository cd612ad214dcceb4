"""What is to be toned at the basin: parts and root shadows, their own wishes, order of hands, and the session."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np

from fervens_core.base import LimitError, Message, say
from fervens_core.basin.results import ReadZone
from fervens_core.basin.uptake import LEAST_ON_MIN, Uptake, UptakeSeen, learn_uptake
from fervens_core.chair import Chair, minutes_between
from fervens_core.head import Findings, Part, Porosity, Tone, TonerShade, is_deeper, lane_label
from fervens_core.log import SHADOW, Grab, TonedPart, ToneFormulaSet, TonerState, WishSet
from fervens_core.planning import Paces
from fervens_core.safety import toner_block
from fervens_core.toning import (
    BOWLS_MAX,
    BRIGHT_FROM_LEVEL,
    Formula,
    Hand,
    Result,
    SessionPart,
    SessionTone,
    ToneSession,
    ToneShelf,
    Wish,
    best_session,
    choose_session,
    cool_share,
    deposit,
    formulas_of,
    lay_out,
)

SHADOW_SHARE = 0.4
"""[MODEL] a root shadow takes about so much of a zone's toner and time."""
APPLICATION_MOST_MIN = 15.0
PART_SHARES = {Part.BAND: 0.6, Part.ENDS: 0.5}
"""[MODEL] sections that are open already take bands and ends in so much of the time of roots or lengths."""
ALIKE_ROOM_LEVELS, BRIGHT_ALIKE_LEVELS = 1.0, 0.5
"""Parts that are to end alike meet at the deepest of them, but no part gives up more levels, pale ones less."""


@dataclass(frozen=True, slots=True)
class ToneChoice:
    """How a session is chosen: at most so many bowls, 1 to 3, and whether pale wishes stay bright."""

    most_bowls: int = BOWLS_MAX
    stays_bright: bool = True


AS_USUAL = ToneChoice()


@dataclass(frozen=True, slots=True)
class TonePart:
    """A part or a root shadow, with what is to be done to it. `tone` is None where nothing of the shelf may go on."""

    id: str
    part: TonedPart
    read: ReadZone
    wish: Wish
    state: TonerState | None
    asked: SessionPart
    tone: SessionTone | None = None

    @property
    def result(self) -> Result:
        """What it has become."""
        return self.asked.result


def allowed_shades(shades: Sequence[TonerShade], findings: Findings) -> tuple[TonerShade, ...]:
    """The shades that may go on this person."""
    return tuple(s for s in shades if toner_block(findings, s) is None)


@lru_cache(maxsize=32)
def tone_shelf(shades: tuple[TonerShade, ...], own: tuple[Formula, ...] = ()) -> ToneShelf:
    """Every formula of the shelf, and the technician's own."""
    return lay_out(formulas_of(shades, own))


def own_formula(shades: Sequence[TonerShade], own: ToneFormulaSet) -> Formula:
    """The formula that was set. Raises LimitError for shades that do not mix, or that are not there."""
    by_key = {s.key: s for s in shades}
    keys = [k for k in (own.shade_key, own.second_key) if k]
    missing = [k for k in keys if k not in by_key]
    if missing:
        raise LimitError("shade_key", say("limit-one_of", known=tuple(by_key)), missing[0])
    shares = (own.share, 1.0 - own.share)[: len(keys)]
    return Formula(tuple(by_key[k] for k in keys), shares, own.developer_parts or None, own.dilution)


def _wished(own: WishSet) -> Wish:
    return Wish(Tone(own.tone), own.level, own.hue_deg, own.lab or None, own.is_warmth_back)


def own_level(read: ReadZone) -> float:
    """The depth a part is to end at by the consultation, as far as it was lifted; deeper where that was wished."""
    wanted = read.zone.target_level
    if is_deeper(read.zone):
        return wanted
    return min(read.result.level, max(wanted, read.before_level))


def _alike(read: ReadZone, tone: Tone) -> str:
    """Parts with the same tone and depth in the consultation are to end alike."""
    return f"{(read.zone.tone or tone).value} {max(read.zone.target_level, read.before_level):.2f}"


def usual_wishes(reads: Sequence[ReadZone], tone: Tone, *, stays_bright: bool = True) -> dict[str, Wish]:
    """Each part's wish by the consultation: its tone, and its own depth.

    Parts that were to end alike and did not come out so meet at the depth they can share: that of the deepest, at most
    a level below the middle one; no part gives up more than a level for it, and pale ones at most half a level.
    """
    families: dict[str, list[ReadZone]] = {}
    for read in reads:
        families.setdefault(_alike(read, tone), []).append(read)
    found = {}
    for some in families.values():
        levels = [own_level(r) for r in some]
        shared = max(min(levels), float(np.median(levels)) - 1.0)
        for read, level in zip(some, levels, strict=True):
            is_bright = stays_bright and level >= BRIGHT_FROM_LEVEL
            met = min(max(shared, level - (BRIGHT_ALIKE_LEVELS if is_bright else ALIKE_ROOM_LEVELS)), level)
            depth = float(np.clip(np.floor(met * 2.0) / 2.0, 1.0, 10.0))
            found[read.lane.key] = Wish(read.zone.tone or tone, depth, grey_share=_grey_share(read))
    return found


def _grey_share(read: ReadZone) -> float:
    """Of the client's own hair there, as read on the root or on the part itself."""
    root = read.zone.root_hair
    return max(read.zone.hair.grey_share, root.grey_share if root else 0.0)


def wishes_of(chair: Chair, reads: Sequence[ReadZone], tone: Tone, *, stays_bright: bool = True) -> dict[str, Wish]:
    """Each part's wish by lane key: its own, else the head's as it was set, else the consultation's."""
    own = {k: _wished(w) for k, w in chair.state.own_wishes}
    found = usual_wishes(reads, tone, stays_bright=stays_bright)
    if chair.state.wish is not None:
        found = dict.fromkeys(found, _wished(chair.state.wish))
    shares = {r.lane.key: _grey_share(r) for r in reads}
    return {k: replace(own.get(k, wish), grey_share=shares[k]) for k, wish in found.items()}


def _hand(read: ReadZone, grab: Grab | None) -> Hand:
    """What resists or regrew goes on first, ends and what grabs last."""
    porosity = read.zone.hair.porosity
    if read.zone.part is Part.ENDS or porosity is Porosity.HIGH or grab is Grab.MUCH:
        return Hand.LAST
    is_first = read.zone.part in (Part.ROOT, Part.REGROWTH) or porosity is Porosity.LOW
    return Hand.FIRST if is_first else Hand.LENGTHS


def _application_min(reads: Sequence[ReadZone], pace: Paces) -> dict[str, float]:
    """How long hands take to tone each part: a zone's sections once, shared among its parts."""
    weights = {r.lane.key: PART_SHARES.get(r.zone.part, 1.0) for r in reads}
    by_zone: dict[str, list[ReadZone]] = {}
    for read in reads:
        by_zone.setdefault(f"{read.zone.zone_key} {read.zone.piece}", []).append(read)
    found: dict[str, float] = {}
    for some in by_zone.values():
        longest = max(r.zone.foil_count for r in some)
        pace_min = max(r.zone.pace_min_per_foil for r in some)
        whole = min(longest * pace_min * pace.tone_share, APPLICATION_MOST_MIN)
        total = sum(weights[r.lane.key] for r in some)
        found |= {r.lane.key: whole * weights[r.lane.key] / max(total, 1.0) for r in some}
    return found


def tone_parts_of(
    chair: Chair,
    reads: Sequence[ReadZone],
    shades: Sequence[TonerShade],
    tone: Tone,
    choice: ToneChoice = AS_USUAL,
) -> tuple[list[TonePart], tuple[Formula, ...]]:
    """Parts and root shadows with their wishes, and the technician's own formulas.

    Args:
        shades: that may go on this person.
    """
    wishes = wishes_of(chair, reads, tone, stays_bright=choice.stays_bright)
    minutes = _application_min(reads, chair.pace)
    by_key = {s.key for s in shades}
    own = {
        i: own_formula(shades, f)
        for i, f in chair.state.own_formulas
        if f.shade_key in by_key and (not f.second_key or f.second_key in by_key)
    }
    only = {i: frozenset({f.key}) for i, f in own.items()}
    shadow = chair.state.shadow
    found = []
    for read in reads:
        key = read.lane.key
        is_under = shadow is not None and read.zone.part is Part.ROOT and shadow.length_mm >= read.zone.length_mm
        if is_under and read.lane.toner is None:
            continue  # the shadow goes over all of it
        asked = SessionPart(
            key=key,
            result=read.result,
            wish=wishes[key],
            hand=_hand(read, read.lane.grab),
            application_min=minutes[key],
            only=only.get(key),
            alike="" if key in only or wishes[key].lab is not None else _alike(read, tone),
        )
        found.append(TonePart(key, "", read, wishes[key], read.lane.toner, asked))
    if shadow is not None:
        rooted = {(r.zone.zone_key, r.zone.piece) for r in reads if r.zone.part is Part.ROOT}
        at_root = [r for r in reads if r.zone.part is Part.ROOT or (r.zone.zone_key, r.zone.piece) not in rooted]
        for read in at_root:
            if read.zone.part in (Part.BAND, Part.ENDS):
                continue
            lane_id, of_head = f"{read.lane.key}~{SHADOW}", wishes[read.lane.key]
            wish = Wish(of_head.tone, shadow.level, of_head.hue_deg)
            result = replace(read.result, key=lane_id, grams=max(read.result.grams * SHADOW_SHARE, 1.0))
            asked = SessionPart(
                key=lane_id,
                result=result,
                wish=wish,
                hand=Hand.FIRST,
                application_min=minutes[read.lane.key] * SHADOW_SHARE,
                only=only.get(lane_id),
                may_deepen=True,
                alike="shadow",
            )
            found.append(TonePart(lane_id, SHADOW, read, wish, read.lane.shadow, asked))
    return found, tuple(dict.fromkeys(own.values()))


@lru_cache(maxsize=64)
def _sessions(
    asked: tuple[SessionPart, ...], shades: tuple[TonerShade, ...], own: tuple[Formula, ...], choice: ToneChoice
) -> tuple[ToneSession, ...]:
    shelf = tone_shelf(shades, own)
    return choose_session(asked, shelf, most_bowls=choice.most_bowls, stays_bright=choice.stays_bright)


def sessions_for(
    tone_parts: Sequence[TonePart],
    shades: tuple[TonerShade, ...],
    own: tuple[Formula, ...] = (),
    choice: ToneChoice = AS_USUAL,
) -> tuple[ToneSession, ...]:
    """The best sessions with one bowl, two and three; empty when nothing may be used or nothing is rinsed.

    Hair that grabbed a probe gets less ash and more gold or neutral than hair that did not; hair that took little
    keeps its formula, and gets longer.
    """
    if not shades or not tone_parts:
        return ()
    asked = tuple(p.asked for p in tone_parts)
    probed = {p.id: p.read.lane.grab for p in tone_parts if p.read.lane.grab not in (None, Grab.EVEN) and not p.part}
    if probed:
        before = best_session(_sessions(tuple(_unprobed(p) for p in tone_parts), shades, own, choice)).by_key
        shelf = tone_shelf(shades, own)
        narrowed = []
        for part in asked:
            grab = probed.get(part.key)
            was = before[part.key].formula
            if grab is Grab.LITTLE and part.only is None:
                part = replace(part, only=frozenset({was.key}))
            elif grab is Grab.MUCH and part.only is None:
                is_less = shelf.cool_shares < cool_share(was) - LESS_ASH
                less = frozenset(shelf.formulas.keys[k] for k in np.flatnonzero(is_less))
                part = replace(part, only=less or None)
            narrowed.append(part)
        asked = tuple(narrowed)
    return _sessions(asked, shades, own, choice)


LESS_ASH = 0.05
"""[MODEL] so much less of the dye is ash, at least, where a probe grabbed."""


def _unprobed(tone_part: TonePart) -> SessionPart:
    """A part as if no probe had been on it."""
    if tone_part.read.lane.grab is None:
        return tone_part.asked
    plain = replace(tone_part.asked.result, uptake_factor=1.0, rest=None, rest_amount=0.0)
    return replace(tone_part.asked, result=plain, hand=_hand(tone_part.read, None))


def before_probes(
    tone_parts: Sequence[TonePart], shades: tuple[TonerShade, ...], own: tuple[Formula, ...], choice: ToneChoice
) -> dict[str, SessionTone]:
    """What probed parts would have had without their probes, by id."""
    if not shades or not any(p.read.lane.grab is not None for p in tone_parts):
        return {}
    before = best_session(_sessions(tuple(_unprobed(p) for p in tone_parts), shades, own, choice)).by_key
    return {p.id: before[p.id] for p in tone_parts if p.read.lane.grab is not None and not p.part}


def with_tones(tone_parts: Sequence[TonePart], session: ToneSession | None) -> list[TonePart]:
    """The parts with what the session makes of them."""
    by_key = session.by_key if session else {}
    return [replace(p, tone=by_key.get(p.id)) for p in tone_parts]


def toning_for(
    chair: Chair,
    reads: Sequence[ReadZone],
    shades: Sequence[TonerShade],
    findings: Findings,
    tone: Tone,
    choice: ToneChoice = AS_USUAL,
) -> ToneSession | None:
    """The session to propose; None when nothing may be used or nothing is rinsed."""
    allowed = allowed_shades(shades, findings)
    tone_parts, own = tone_parts_of(chair, reads, allowed, tone, choice)
    sessions = sessions_for(tone_parts, allowed, own, choice)
    return best_session(sessions) if sessions else None


def part_name(tone_part: TonePart) -> Message | str:
    """What to call a part at the basin."""
    zone = tone_part.read.zone
    return lane_label(
        zone.name,
        zone.part,
        piece=zone.piece,
        at_mm=zone.at_mm,
        is_again=zone.is_again,
        is_shadow=bool(tone_part.part),
    )


def uptakes_of(tone_parts: Sequence[TonePart]) -> tuple[Uptake, ...]:
    """How much dye each part takes, by the strands that were looked at."""
    seen = []
    for index, tone_part in enumerate(tone_parts):
        for strand in tone_part.state.strands if tone_part.state else ():
            on = max(minutes_between(tone_part.state.applied_at, strand.at), LEAST_ON_MIN)  # type: ignore[union-attr]
            expected = float(deposit(on, tone_part.result.porosity)) * tone_part.result.uptake_factor
            seen.append(UptakeSeen(index, strand.deposit_share / max(expected, 1e-3)))
    return learn_uptake(len(tone_parts), seen) if tone_parts else ()
