"""What blocks the work and what must be acknowledged before it. The label and local codes outrank all of it."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
from enum import StrEnum
from typing import Any

from fervens_core.base import VOLUME_MAX, Message, Value, Volume, contract, say
from fervens_core.head import (
    PATCH_TEST_WAIT_H,
    ROOT_MM,
    Breakage,
    Curl,
    DyeHue,
    Elasticity,
    Findings,
    Hair,
    History,
    Lightener,
    Part,
    PatchState,
    Porosity,
    Scalp,
    ServiceKind,
    TestResult,
    Thickness,
    TonerShade,
    Zone,
    kept_parts_of,
    lanes_of,
    patch_state,
)

DELICATE_MAX_VOLUME = 20.0
"""[MODEL] strongest developer proposed for hairline, temples, nape, fine baby hair; and for hair that is not sound."""
WORN_MAX_VOLUME = 20.0
"""[MODEL] strongest on hair that was lightened before, and on porous hair: it needs no more and breaks with it."""
LIGHT_LEVEL = 8.5
"""[MODEL] hair of this level is light already: 10 vol may be proposed on it (common practice, no source)."""
FINE_MAX_VOLUME = 30.0
"""[MODEL] strongest on fine hair."""
OLD_VIVID_DYE_MAX_VOLUME = 5.0
"""Old green or blue direct dye is lifted with 1.5 % (common practice, no source)."""
OXIDATIVE_AGE_MIN = 16
"""Not intended for people under 16, says the label: Regulation (EC) No 1223/2009, Annex III (from memory)."""
ONE_VISIT_WHITE_FROM_LEVEL = 7.0
WHITE_FROM_LEVEL = 9.5
"""White in one visit is realistic from level 7 up (common practice, no source)."""


class Severity(StrEnum):
    """Blocks cannot be passed; warnings are acknowledged by name and time."""

    BLOCK = "block"
    WARN = "warn"


@dataclass(frozen=True, slots=True)
class Caution:
    """One caution: a stable code, whether it blocks, and what to say and do."""

    code: str
    severity: Severity
    title: Message
    advice: Message


CLEARED_TODAY = frozenset({"build_up", "reaction_open"})
"""Blocks that a wash or an answer lifts; all others stand for the day."""


def _block(code: str, **values: Any) -> Caution:
    return Caution(code, Severity.BLOCK, say(f"caution-{code}", **values), say(f"caution-{code}.advice", **values))


def _warn(code: str, **values: Any) -> Caution:
    return Caution(code, Severity.WARN, say(f"caution-{code}", **values), say(f"caution-{code}.advice", **values))


def _no_toner(code: str, **values: Any) -> Caution:
    title, advice = say(f"toner_block-{code}", **values), say(f"toner_block-{code}.advice", **values)
    return Caution(code, Severity.BLOCK, title, advice)


def _names(lanes: Iterable[Zone]) -> Value:
    names = tuple(dict.fromkeys(lane.label for lane in lanes))
    return names if len(names) <= 4 else say("lanes-more", lanes=names[:3], more=len(names) - 3)


def all_hair(zones: tuple[Zone, ...]) -> list[Hair]:
    """Every piece of hair that was read, kept ones too."""
    return [h for z in zones for h in z.all_hair]


GUMMY = frozenset({Elasticity.STAYS_STRETCHED, Elasticity.SNAPS})
"""A wet strand that does this is not lightened, and ends its lightening (common practice, no source)."""


def _piece_cautions(findings: Findings) -> list[Caution]:
    """What holds for a hair piece: its hair, and its base."""
    found = [c for c in _person_cautions(replace(findings, is_hair_piece=False)) if c.code in _OF_HAIR]
    return [*found, _warn("piece_base")]


_OF_HAIR = {"elasticity", "metallic_salts", "build_up", "elasticity_slow"}
"""Of what the findings say, what is of the hair and not of a person."""


def _person_cautions(findings: Findings) -> list[Caution]:
    if findings.is_hair_piece:
        return _piece_cautions(findings)
    found: list[Caution] = []
    if findings.scalp is Scalp.BROKEN:
        found.append(_block("scalp_broken"))
    if findings.elasticity in GUMMY:
        found.append(_block("elasticity", elasticity=findings.elasticity.value))
    if findings.salts_test is TestResult.POSITIVE:
        found.append(_block("metallic_salts"))
    if findings.has_build_up:
        found.append(_block("build_up"))
    if findings.scalp is Scalp.SENSITIVE:
        found.append(_warn("scalp_sensitive"))
    if findings.elasticity is Elasticity.SLOW:
        found.append(_warn("elasticity_slow"))
    if patch_state(findings.patch_test, findings.patch_test_age_h) is not PatchState.CLEAR:
        found.append(_warn("patch_test_open", wait=PATCH_TEST_WAIT_H))
    if findings.has_open_reaction:
        found.append(_block("reaction_open"))
    if findings.allergies.strip():
        found.append(_warn("allergies", told=findings.allergies.strip()[:120]))
    if findings.medication.strip():
        found.append(_warn("medication"))
    if findings.age_years is not None and findings.age_years < OXIDATIVE_AGE_MIN:
        found.append(_warn("under_16", age=OXIDATIVE_AGE_MIN))
    return found


def _hair_cautions(findings: Findings, zones: tuple[Zone, ...], lanes: tuple[Zone, ...]) -> list[Caution]:
    found: list[Caution] = []
    histories = {h.history for h in all_hair(zones)}
    if History.METALLIC in histories and findings.salts_test is not TestResult.POSITIVE:
        found.append(_block("metallic_history"))
    if findings.salts_test is TestResult.NOT_DONE:
        if History.HENNA in histories:
            found.append(_block("henna_untested"))
        if History.UNKNOWN in histories:
            found.append(_block("unknown_untested"))
    elif History.HENNA in histories:
        found.append(_warn("henna"))
    gummy = [x for x in lanes if x.hair.elasticity in GUMMY]
    if gummy:
        found.append(_block("elasticity_zone", lanes=_names(gummy)))
    broken = [x for x in lanes if x.hair.breakage is Breakage.MUCH]
    if broken:
        found.append(_block("breakage", lanes=_names(broken)))
    frail = [x for x in lanes if x.hair.breakage is Breakage.SOME or x.hair.elasticity is Elasticity.SLOW]
    if frail:
        found.append(_warn("frail", lanes=_names(frail), most=DELICATE_MAX_VOLUME))
    vivid = [x for x in lanes if x.hair.has_old_vivid_dye]
    if vivid:
        found.append(_warn("direct_dye", lanes=_names(vivid)))
    delicate = [x for x in lanes if x.is_delicate]
    if delicate:
        found.append(_warn("delicate", lanes=_names(delicate), most=DELICATE_MAX_VOLUME))
    if any(x.hair.history is History.LIGHTENED for x in lanes):
        found.append(_warn("lightened"))
    if any(x.target_level >= WHITE_FROM_LEVEL and x.hair.start_level < ONE_VISIT_WHITE_FROM_LEVEL for x in lanes):
        found.append(_warn("white_in_one", least=ONE_VISIT_WHITE_FROM_LEVEL))
    stained = [x for x in lanes if x.hair.dye_hue in (DyeHue.VIOLET, DyeHue.BLUE) and not x.hair.has_old_vivid_dye]
    if stained:
        found.append(_warn("old_ash", lanes=_names(stained)))
    uneven = [z for z in zones if z.pieces and _lifts_over_pieces(z)]
    if uneven:
        found.append(_warn("uneven_ground", zones=_names(uneven)))
    curls = [x for x in lanes if x.hair.curl in (Curl.CURLY, Curl.COILY)]
    if curls:
        found.append(_warn("curl", lanes=_names(curls)))
    grey = [x for x in lanes if x.hair.grey_share >= GREY_LEAST]
    if grey:
        found.append(_warn("grey", lanes=_names(grey), share=max(x.hair.grey_share for x in grey)))
    banding = [x for x in lanes if x.part is Part.REGROWTH]
    if banding:
        found.append(_warn("long_regrowth", lanes=_names(banding), most=ROOT_MM))
    return found


GREY_LEAST = 0.2
"""[MODEL] from a fifth on grey shows between what is lightened."""
UNEVEN_LEVELS = 1.0


def _lifts_over_pieces(zone: Zone) -> bool:
    """Whether hair of two kinds is to come to one level: it stays uneven (common practice, no source)."""
    kinds = lanes_of((zone,))
    starts = {x.hair.start_level for x in kinds}
    targets = {x.target_level for x in kinds}
    return len({x.key.split(".")[-1] == "pieces" for x in kinds}) > 1 and (
        max(starts) - min(starts) >= UNEVEN_LEVELS and max(targets) - min(targets) < UNEVEN_LEVELS
    )


_TEST_FIRST = {History.TINTED, History.HENNA, History.DIRECT_DYE, History.UNKNOWN, History.LIGHTENED}


def lightening_cautions(
    findings: Findings, zones: tuple[Zone, ...], *, has_strand_test: bool = True
) -> tuple[Caution, ...]:
    """Everything that blocks a lightening, then everything to acknowledge.

    Args:
        zones: as read; parts that are kept or left out do not count, except for metallic salts and henna.
        has_strand_test: a strand of this head has been read.
    """
    lanes = lanes_of(zones)
    found = _person_cautions(findings) + _hair_cautions(findings, zones, lanes)
    if not has_strand_test and any(x.hair.history in _TEST_FIRST for x in lanes):
        found.append(_warn("no_strand_test"))
    if zones:
        found.append(_warn("professional_use"))
    return tuple(sorted(found, key=lambda c: c.severity is not Severity.BLOCK))


_TONED_TOO = {
    "scalp_broken", "scalp_sensitive", "build_up", "patch_test_open", "reaction_open", "allergies", "medication",
    "under_16", "piece_base",
}  # fmt: skip
"""Of what the person's findings say, what holds where nothing is lightened too."""


FILL_LEVELS = 2.0
"""Hair made deeper by more than two levels is pre-filled with warmth first (common practice, no source)."""


def toning_cautions(findings: Findings, zones: tuple[Zone, ...]) -> tuple[Caution, ...]:
    """Everything that blocks a service that only tones, then everything to acknowledge.

    Salts, a slow strand and what is in the hair's history are about peroxide on the way up; a weak toner does not lift.
    """
    found = [c for c in _person_cautions(findings) if c.code in _TONED_TOO]
    if any(h.breakage is Breakage.MUCH or h.elasticity in GUMMY for h in all_hair(zones)):
        found.append(_warn("frail_toned"))
    deep = [x for x in kept_parts_of(zones, ()) if x.hair.start_level - x.target_level > FILL_LEVELS]
    if deep:
        found.append(_warn("fill_first", lanes=_names(deep), most=FILL_LEVELS))
    if zones:
        found.append(_warn("toning_use"))
    return tuple(sorted(found, key=lambda c: c.severity is not Severity.BLOCK))


def strand_cautions(findings: Findings, zones: tuple[Zone, ...]) -> tuple[Caution, ...]:
    """What blocks even a strand test: salts that react with peroxide, a strand that snaps; then the label's word."""
    person = _person_cautions(findings)
    found = [c for c in person if c.code in {"elasticity", "metallic_salts", "build_up", "reaction_open", "piece_base"}]
    found += [c for c in _hair_cautions(findings, zones, ()) if c.severity is Severity.BLOCK]
    found.append(_warn("professional_use"))
    return tuple(sorted(found, key=lambda c: c.severity is not Severity.BLOCK))


def cautions_of(
    kind: ServiceKind, findings: Findings, zones: tuple[Zone, ...], *, has_strand_test: bool = True
) -> tuple[Caution, ...]:
    """The cautions of a service of a kind."""
    if kind.only_tones:
        return toning_cautions(findings, zones)
    if kind is ServiceKind.STRAND_TEST:
        return strand_cautions(findings, zones)
    return lightening_cautions(findings, zones, has_strand_test=has_strand_test)


def toner_block(findings: Findings, shade: TonerShade) -> Caution | None:
    """Why this shade may not go on this person, or None."""
    if not shade.is_oxidative or findings.is_hair_piece:
        return None
    if findings.reacts_to_oxidative or findings.patch_test is TestResult.POSITIVE:
        return _no_toner("dye_reaction")
    if findings.age_years is not None and findings.age_years < OXIDATIVE_AGE_MIN:
        return _no_toner("under_16", age=OXIDATIVE_AGE_MIN)
    if findings.has_open_reaction:
        return _no_toner("reaction_open")
    wait = shade.patch_test_wait_h
    if findings.patch_test is not TestResult.NEGATIVE:
        return _no_toner("patch_test", wait=wait)
    state = patch_state(findings.patch_test, findings.patch_test_age_h, wait)
    if state is PatchState.EXPIRED:
        return _no_toner("patch_test_old", wait=wait)
    return None if state is PatchState.CLEAR else _no_toner("patch_test_early", wait=wait)


def _asks_for_little(hair: Hair) -> bool:
    """Whether hair is light, fine or porous."""
    is_worn = hair.history is History.LIGHTENED or hair.porosity is Porosity.HIGH
    return is_worn or hair.start_level >= LIGHT_LEVEL or hair.thickness is Thickness.FINE


def usual_volume(hair: Hair) -> float:
    """What hair is usually lightened with, vol: 10 where it is light, fine or porous, else 20.

    Common practice, no source. Delicate places are spared by their minutes.
    """
    return 10.0 if _asks_for_little(hair) else 20.0


@dataclass(frozen=True, slots=True)
@contract
class WeakestVolumes:
    """Weakest developers a studio proposes to lighten with, vol; a technician may insist on less.

    20 vol is the usual working strength on natural hair, 10 for hair that is light, fine, porous or delicate; 5 and 7
    lift nothing but old dye, or make a ladder that is slow on purpose (common practice, no source).
    """

    natural: Volume = 20.0
    worn: Volume = 10.0
    old_dye: Volume = 5.0

    def on(self, zone: Zone) -> float:
        """The weakest for a lane."""
        if zone.hair.history is History.DIRECT_DYE:
            return self.old_dye
        return self.worn if _asks_for_little(zone.hair) or zone.is_delicate else self.natural


def strongest_volume(
    zone: Zone, lightener: Lightener, head_elasticity: Elasticity = Elasticity.RETURNS
) -> tuple[float, Message]:
    """Strongest developer allowed on a lane, vol, and what sets the limit.

    Args:
        head_elasticity: as the head's own stretch test had it; hair that does not simply return is spared.
    """
    limits = [
        (VOLUME_MAX, say("volume_limit-hair", most=VOLUME_MAX)),
        (lightener.max_volume, say("volume_limit-label", product=lightener.name)),
    ]
    if zone.touches_scalp:
        limits.append((lightener.max_volume_on_scalp, say("volume_limit-scalp", product=lightener.name)))
    if zone.is_delicate:
        limits.append((DELICATE_MAX_VOLUME, say("volume_limit-delicate")))
    if zone.hair.history is History.LIGHTENED:
        limits.append((WORN_MAX_VOLUME, say("volume_limit-lightened")))
    if zone.hair.porosity is Porosity.HIGH:
        limits.append((WORN_MAX_VOLUME, say("volume_limit-porous")))
    if zone.hair.thickness is Thickness.FINE:
        limits.append((FINE_MAX_VOLUME, say("volume_limit-fine")))
    stretches = {zone.hair.elasticity, head_elasticity}
    if zone.hair.breakage is not Breakage.NONE or stretches != {Elasticity.RETURNS}:
        limits.append((DELICATE_MAX_VOLUME, say("volume_limit-frail")))
    if zone.hair.has_old_vivid_dye:
        limits.append((OLD_VIVID_DYE_MAX_VOLUME, say("volume_limit-old_dye")))
    return min(limits, key=lambda pair: pair[0])
