"""What blocks the work and what must be acknowledged before it. The label and local codes outrank all of it."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum

from fervens_core.base import VOLUME_MAX, Volume, contract
from fervens_core.head import (
    PATCH_TEST_WAIT_H,
    Breakage,
    Elasticity,
    Findings,
    Hair,
    History,
    Lightener,
    Part,
    PatchState,
    Porosity,
    Scalp,
    TestResult,
    Thickness,
    TonerShade,
    Zone,
    lanes_of,
    patch_state,
)

DELICATE_MAX_VOLUME = 20.0
"""[MODEL] strongest developer proposed for hairline, temples, nape, fine baby hair; and for hair that is not sound."""
WORN_MAX_VOLUME = 20.0
"""[MODEL] strongest on hair that was lightened before, and on porous hair: it needs no more and breaks with it."""
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
    title: str
    advice: str


CLEARED_TODAY = frozenset({"build_up", "reaction_open"})
"""Blocks that a wash or an answer lifts; all others stand for the day."""


def _block(code: str, title: str, advice: str) -> Caution:
    return Caution(code, Severity.BLOCK, title, advice)


def _warn(code: str, title: str, advice: str) -> Caution:
    return Caution(code, Severity.WARN, title, advice)


def _names(lanes: Iterable[Zone]) -> str:
    names = list(dict.fromkeys(lane.name for lane in lanes))
    return ", ".join(names) if len(names) <= 4 else f"{', '.join(names[:3])} and {len(names) - 3} more"


def all_hair(zones: tuple[Zone, ...]) -> list[Hair]:
    """Every piece of hair that was read, kept ones too."""
    segments = [s.hair for z in zones for s in (z.root, z.ends) if s]
    return [z.hair for z in zones] + segments


GUMMY = {Elasticity.STAYS_STRETCHED: "stays stretched", Elasticity.SNAPS: "snaps"}
"""A wet strand that does this is not lightened, and ends its lightening (common practice, no source)."""


def _person_cautions(findings: Findings) -> list[Caution]:
    found: list[Caution] = []
    if findings.scalp is Scalp.BROKEN:
        advice = "Do not lighten. Book again once it has healed."
        found.append(_block("scalp_broken", "Scalp is broken, sore or sunburnt", advice))
    if findings.elasticity in GUMMY:
        title = f"A wet strand {GUMMY[findings.elasticity]}"
        found.append(_block("elasticity", title, "Do not lighten. Care and cutting first, then test again."))
    if findings.salts_test is TestResult.POSITIVE:
        advice = "Do not lighten: metallic salts react violently with peroxide. The hair has to grow out."
        found.append(_block("metallic_salts", "Salts test is positive", advice))
    if findings.has_build_up:
        advice = "Clarify first: wash the build-up out, then read the hair again and tick it."
        found.append(_block("build_up", "Build-up from products at home", advice))
    if findings.scalp is Scalp.SENSITIVE:
        found.append(_warn("scalp_sensitive", "Sensitive scalp", "Stay off the scalp; stop at the first burning."))
    if findings.elasticity is Elasticity.SLOW:
        advice = "Weaker developer, shorter time, strand test."
        found.append(_warn("elasticity_slow", "A wet strand returns slowly", advice))
    if patch_state(findings.patch_test, findings.patch_test_age_h) is not PatchState.CLEAR:
        advice = "Oxidative toner stays locked; plan a non-oxidative one, or book the tone."
        found.append(_warn("patch_test_open", f"No patch test read after {PATCH_TEST_WAIT_H:.0f} h", advice))
    if findings.has_open_reaction:
        advice = "Ask: to oxidative colour? Answer yes or no beside it; until then nothing is planned or toned."
        found.append(_block("reaction_open", "An allergy or reaction is told, and not asked about", advice))
    if findings.allergies.strip():
        found.append(_warn("allergies", "Allergies told", f"“{findings.allergies.strip()[:120]}”: check every label."))
    if findings.medication.strip():
        advice = "Some medicines change skin and hair: strand test, and ask a doctor when in doubt."
        found.append(_warn("medication", "Medication told", advice))
    if findings.age_years is not None and findings.age_years < OXIDATIVE_AGE_MIN:
        advice = "Oxidative dye is not intended for people under 16; local codes decide the rest."
        found.append(_warn("under_16", f"Under {OXIDATIVE_AGE_MIN}", advice))
    return found


def _hair_cautions(findings: Findings, zones: tuple[Zone, ...], lanes: tuple[Zone, ...]) -> list[Caution]:
    found: list[Caution] = []
    histories = {h.history for h in all_hair(zones)}
    if History.METALLIC in histories and findings.salts_test is not TestResult.POSITIVE:
        advice = "Do not lighten. The hair that carries them has to grow out or be cut."
        found.append(_block("metallic_history", "Metallic salts in the hair's history", advice))
    if findings.salts_test is TestResult.NOT_DONE:
        advice = "Do the salts test on a cut strand before anything else."
        if History.HENNA in histories:
            found.append(_block("henna_untested", "Henna, and no salts test", advice))
        if History.UNKNOWN in histories:
            found.append(_block("unknown_untested", "Unknown history, and no salts test", advice))
    elif History.HENNA in histories:
        found.append(_warn("henna", "Henna lifts little and unevenly", "Strand test first; promise less."))
    gummy = [x for x in lanes if x.hair.elasticity in GUMMY]
    if gummy:
        advice = "Leave these out, or cut and care first, then test again."
        found.append(_block("elasticity_zone", f"Stretches and stays, or snaps: {_names(gummy)}", advice))
    broken = [x for x in lanes if x.hair.breakage is Breakage.MUCH]
    if broken:
        found.append(_block("breakage", f"Breaking hair: {_names(broken)}", "Leave these out; cut and care first."))
    frail = [x for x in lanes if x.hair.breakage is Breakage.SOME or x.hair.elasticity is Elasticity.SLOW]
    if frail:
        advice = f"{DELICATE_MAX_VOLUME:.0f} vol at most there, short, and look often."
        found.append(_warn("frail", f"Not quite sound: {_names(frail)}", advice))
    vivid = [x for x in lanes if x.hair.has_old_vivid_dye]
    if vivid:
        advice = "1.5 % only, several visits; leave brown pieces out; a green rest is countered with red or pink."
        found.append(_warn("direct_dye", f"Old green or blue dye: {_names(vivid)}", advice))
    delicate = [x for x in lanes if x.is_delicate]
    if delicate:
        advice = f"Lifts fast and breaks: {DELICATE_MAX_VOLUME:.0f} vol at most, later, and never the whole time."
        found.append(_warn("delicate", f"Delicate hair: {_names(delicate)}", advice))
    if any(x.hair.history is History.LIGHTENED for x in lanes):
        advice = "Never overlap hair that is already light; keep to the new growth."
        found.append(_warn("lightened", "Hair that has been lightened", advice))
    if any(x.target_level >= WHITE_FROM_LEVEL and x.hair.start_level < ONE_VISIT_WHITE_FROM_LEVEL for x in lanes):
        advice = "Realistic in one visit from level 7 up; agree on two visits or a lower target."
        found.append(_warn("white_in_one", "White from below level 7", advice))
    banding = [x for x in lanes if x.part is Part.REGROWTH]
    if banding:
        advice = "Two root applications are planned: off the scalp first, then the last 12 mm."
        found.append(_warn("long_regrowth", f"Regrowth past 12 mm: {_names(banding)}", advice))
    return found


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
        advice = "Hair that was worked on before lifts its own way: test a hidden strand, the plan learns from it."
        found.append(_warn("no_strand_test", "No strand test", advice))
    if zones:
        advice = (
            "Follow the product's label and data sheet; gloves, fresh air, fold powder in without dust. "
            "Burning: cool water at once. Eyes: rinse 15 min and get help."
        )
        found.append(_warn("professional_use", "Label, gloves, air", advice))
    return tuple(sorted(found, key=lambda c: c.severity is not Severity.BLOCK))


def toner_block(findings: Findings, shade: TonerShade) -> Caution | None:
    """Why this shade may not go on this person, or None."""
    if not shade.is_oxidative:
        return None
    if findings.reacts_to_oxidative or findings.patch_test is TestResult.POSITIVE:
        return _block("dye_reaction", "Reacted to oxidative dye", "Pigmented shampoo and conditioner only.")
    if findings.age_years is not None and findings.age_years < OXIDATIVE_AGE_MIN:
        return _block("under_16", "Under 16", "Oxidative dye is not intended for people under 16.")
    if findings.has_open_reaction:
        advice = (
            "Ask whether it was to oxidative colour, and answer on the consultation; pigmented shampoo only until then."
        )
        return _block("reaction_open", "An allergy or reaction is told", advice)
    wait = f"{shade.patch_test_wait_h:g} h"
    if findings.patch_test is not TestResult.NEGATIVE:
        advice = f"Place it, read it after {wait}, or take a non-oxidative shade."
        return _block("patch_test", "Patch test not read", advice)
    state = patch_state(findings.patch_test, findings.patch_test_age_h, shade.patch_test_wait_h)
    if state is PatchState.EXPIRED:
        return _block("patch_test_old", "Patch test too old", f"Place a new one and read it after {wait}.")
    if state is not PatchState.CLEAR:
        return _block("patch_test_early", f"Patch test younger than {wait}", "Wait, or take a non-oxidative shade.")
    return None


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
        hair = zone.hair
        if hair.history is History.DIRECT_DYE:
            return self.old_dye
        is_worn = hair.history is History.LIGHTENED or hair.porosity is Porosity.HIGH
        is_tender = hair.thickness is Thickness.FINE or zone.is_delicate
        return self.worn if is_worn or is_tender else self.natural


def strongest_volume(
    zone: Zone, lightener: Lightener, head_elasticity: Elasticity = Elasticity.RETURNS
) -> tuple[float, str]:
    """Strongest developer allowed on a lane, vol, and what sets the limit.

    Args:
        head_elasticity: as the head's own stretch test had it; hair that does not simply return is spared.
    """
    limits = [
        (VOLUME_MAX, "40 vol is the most for hair"),
        (lightener.max_volume, f"label of {lightener.name}"),
    ]
    if zone.touches_scalp:
        limits.append((lightener.max_volume_on_scalp, f"on the scalp, label of {lightener.name}"))
    if zone.is_delicate:
        limits.append((DELICATE_MAX_VOLUME, "delicate hair"))
    if zone.hair.history is History.LIGHTENED:
        limits.append((WORN_MAX_VOLUME, "hair that was lightened before"))
    if zone.hair.porosity is Porosity.HIGH:
        limits.append((WORN_MAX_VOLUME, "porous hair"))
    if zone.hair.thickness is Thickness.FINE:
        limits.append((FINE_MAX_VOLUME, "fine hair"))
    stretches = {zone.hair.elasticity, head_elasticity}
    if zone.hair.breakage is not Breakage.NONE or stretches != {Elasticity.RETURNS}:
        limits.append((DELICATE_MAX_VOLUME, "hair that is not quite sound"))
    if zone.hair.has_old_vivid_dye:
        limits.append((OLD_VIVID_DYE_MAX_VOLUME, "old direct dye is lifted with 1.5 %"))
    return min(limits, key=lambda pair: pair[0])
