"""What blocks the work and what must be acknowledged before it. The label and local codes outrank all of it."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from fervens_core.hair import History, Zone
from fervens_core.products import Lightener, TonerShade
from fervens_core.quantities import VOLUME_MAX, check_range

PATCH_TEST_WAIT_H = 48.0
"""As most labels say (common practice, no source); the product's label wins."""
DELICATE_MAX_VOLUME = 20.0
"""[MODEL] strongest developer proposed for hairline, temples, nape and fine baby hair."""
OXIDATIVE_AGE_MIN = 16
"""Not intended for people under 16, says the label: Regulation (EC) No 1223/2009, Annex III (from memory)."""
ONE_VISIT_WHITE_FROM_LEVEL = 7.0
"""White in one visit is realistic from level 7 up (common practice, no source)."""


class Severity(StrEnum):
    """Blocks cannot be passed; warnings are acknowledged by name and time; the rest is for reading."""

    BLOCK = "block"
    WARN = "warn"


class Scalp(StrEnum):
    """State of the scalp."""

    SOUND = "sound"
    SENSITIVE = "sensitive"
    BROKEN = "broken"


class Elasticity(StrEnum):
    """How a wet strand behaves when stretched by a third to a half."""

    RETURNS = "returns"
    SLOW = "slow"
    STAYS_STRETCHED = "stays_stretched"
    SNAPS = "snaps"


class TestResult(StrEnum):
    """Result of a patch test or a salts test."""

    __test__ = False  # not a pytest class

    NOT_DONE = "not_done"
    NEGATIVE = "negative"
    POSITIVE = "positive"


@dataclass(frozen=True, slots=True)
class Findings:
    """What the consultation found out about the person.

    Args:
        age_years: full years, 0 to 120, or None when not asked.
        patch_test: result, and hours since it was placed (None when not placed).
        has_reacted_before: any past reaction to oxidative colour.
    """

    scalp: Scalp = Scalp.SOUND
    elasticity: Elasticity = Elasticity.RETURNS
    salts_test: TestResult = TestResult.NOT_DONE
    patch_test: TestResult = TestResult.NOT_DONE
    patch_test_age_h: float | None = None
    has_reacted_before: bool = False
    age_years: int | None = None

    def __post_init__(self) -> None:
        if self.age_years is not None:
            check_range("age_years", self.age_years, 0, 120, "years")
        if self.patch_test_age_h is not None:
            check_range("patch_test_age_h", self.patch_test_age_h, 0.0, 24.0 * 3650, "h")


@dataclass(frozen=True, slots=True)
class Caution:
    """One caution: a stable code, whether it blocks, and what to say and do."""

    code: str
    severity: Severity
    title: str
    advice: str


def _block(code: str, title: str, advice: str) -> Caution:
    return Caution(code, Severity.BLOCK, title, advice)


def _warn(code: str, title: str, advice: str) -> Caution:
    return Caution(code, Severity.WARN, title, advice)


def lightening_cautions(findings: Findings, zones: tuple[Zone, ...]) -> tuple[Caution, ...]:
    """Everything that blocks a lightening, then everything to acknowledge. An empty head is neither."""
    found: list[Caution] = []
    if findings.scalp is Scalp.BROKEN:
        found.append(
            _block(
                "scalp_broken",
                "Scalp is broken, sore or sunburnt",
                "Do not lighten. Book again once it has healed.",
            )
        )
    if findings.elasticity in (Elasticity.STAYS_STRETCHED, Elasticity.SNAPS):
        behaviour = "stays stretched" if findings.elasticity is Elasticity.STAYS_STRETCHED else "snaps"
        found.append(
            _block(
                "elasticity",
                f"A wet strand {behaviour}",
                "Do not lighten. Care and cutting first, then test again.",
            )
        )
    if findings.salts_test is TestResult.POSITIVE:
        found.append(
            _block(
                "metallic_salts",
                "Salts test is positive",
                "Do not lighten: metallic salts react violently with peroxide. The hair has to grow out.",
            )
        )
    histories = {z.hair.history for z in zones}
    if History.METALLIC in histories and findings.salts_test is not TestResult.POSITIVE:
        found.append(
            _block(
                "metallic_history",
                "Metallic salts in the hair's history",
                "Do not lighten. The hair that carries them has to grow out or be cut.",
            )
        )
    if History.HENNA in histories:
        if findings.salts_test is TestResult.NOT_DONE:
            found.append(
                _block(
                    "henna_untested",
                    "Henna, and no salts test",
                    "Do the salts test on a cut strand before anything else.",
                )
            )
        else:
            found.append(_warn("henna", "Henna lifts little and unevenly", "Strand test first; promise less."))
    if findings.scalp is Scalp.SENSITIVE:
        found.append(_warn("scalp_sensitive", "Sensitive scalp", "Stay off the scalp; stop at the first burning."))
    if findings.elasticity is Elasticity.SLOW:
        found.append(
            _warn(
                "elasticity_slow",
                "A wet strand returns slowly",
                "Weaker developer, shorter time, strand test.",
            )
        )
    if findings.patch_test is not TestResult.NEGATIVE or (findings.patch_test_age_h or 0.0) < PATCH_TEST_WAIT_H:
        found.append(
            _warn(
                "patch_test_open",
                f"No patch test read after {PATCH_TEST_WAIT_H:.0f} h",
                "Oxidative toner stays locked; plan a non-oxidative one, or book the tone.",
            )
        )
    if any(z.is_delicate for z in zones):
        found.append(
            _warn(
                "delicate",
                "Delicate hair: " + ", ".join(z.name for z in zones if z.is_delicate),
                f"Lifts fast and breaks: {DELICATE_MAX_VOLUME:.0f} vol at most, later, and never the whole time.",
            )
        )
    if any(z.hair.history is History.LIGHTENED for z in zones):
        found.append(
            _warn(
                "lightened",
                "Hair that has been lightened",
                "Never overlap hair that is already light; keep to the new growth.",
            )
        )
    if any(z.target_level >= 9.5 and z.hair.start_level < ONE_VISIT_WHITE_FROM_LEVEL for z in zones):
        found.append(
            _warn(
                "white_in_one",
                "White from below level 7",
                "Realistic in one visit from level 7 up; agree on two visits or a lower target.",
            )
        )
    if zones:
        found.append(
            _warn(
                "professional_use",
                "Label, gloves, air",
                "Follow the product's label and data sheet; gloves, fresh air, fold powder in without dust. "
                "Burning: cool water at once. Eyes: rinse 15 min and get help.",
            )
        )
    return tuple(sorted(found, key=lambda c: c.severity is not Severity.BLOCK))


def toner_block(findings: Findings, shade: TonerShade) -> Caution | None:
    """Why this shade may not go on this person, or None."""
    if not shade.is_oxidative:
        return None
    if findings.has_reacted_before or findings.patch_test is TestResult.POSITIVE:
        return _block("dye_reaction", "Reacted to oxidative dye", "Pigmented shampoo and conditioner only.")
    if findings.age_years is not None and findings.age_years < OXIDATIVE_AGE_MIN:
        return _block("under_16", "Under 16", "Oxidative dye is not intended for people under 16.")
    if findings.patch_test is not TestResult.NEGATIVE:
        return _block(
            "patch_test",
            "Patch test not read",
            "Place it, read it after 48 h, or take a non-oxidative shade.",
        )
    if findings.patch_test_age_h is None or findings.patch_test_age_h < PATCH_TEST_WAIT_H:
        return _block("patch_test_early", "Patch test younger than 48 h", "Wait for it, or take a non-oxidative shade.")
    return None


def strongest_volume(zone: Zone, lightener: Lightener) -> tuple[float, str]:
    """Strongest developer allowed on a zone, vol, and what sets the limit."""
    limits = [
        (VOLUME_MAX, "40 vol is the most for hair"),
        (lightener.max_volume, f"label of {lightener.name}"),
    ]
    if zone.is_on_scalp:
        limits.append((lightener.max_volume_on_scalp, f"on the scalp, label of {lightener.name}"))
    if zone.is_delicate:
        limits.append((DELICATE_MAX_VOLUME, "delicate hair"))
    return min(limits, key=lambda pair: pair[0])
