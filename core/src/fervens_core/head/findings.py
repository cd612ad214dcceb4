"""What the consultation found out about the person, and what the small tests say."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from typing import Annotated

from pydantic import PlainSerializer

from fervens_core.base import INTERNAL, PERSONAL, Flag, Number, Text, Whole, Within, check_range, contract
from fervens_core.head.hair import Elasticity

PATCH_TEST_WAIT_H = 48.0
"""As most labels say (common practice, no source); the product's label wins."""
PATCH_TEST_VALID_DAYS = 180.0
"""[MODEL] a clear patch test older than half a year is due again; the label wins."""
STRETCH_SOUND_LEAST, STRETCH_SOUND_MOST = 20.0, 60.0
"""Wet healthy hair stretches by roughly a third to a half and returns (common practice); with room on both sides."""
RETURN_SOUND, RETURN_SLOW = 90.0, 70.0
"""[MODEL] percent of the stretch that goes back: sound from 90, slow from 70, below that it stays stretched."""


class Scalp(StrEnum):
    """State of the scalp."""

    SOUND = "sound"
    SENSITIVE = "sensitive"
    BROKEN = "broken"


class ScalpFeel(StrEnum):
    """What the client says of the scalp while product is on."""

    FINE = "fine"
    WARM = "warm"
    BURNS = "burns"


class TestResult(StrEnum):
    """Result of a patch test or a salts test."""

    __test__ = False  # not a pytest class

    NOT_DONE = "not_done"
    NEGATIVE = "negative"
    POSITIVE = "positive"


class SaltsSign(StrEnum):
    """What a strand does in the salts test."""

    WARMS = "warms"
    FIZZES = "fizzes"
    TURNS = "turns"


class HomeCare(StrEnum):
    """Products and habits at home that change the work."""

    VIOLET_SHAMPOO = "violet_shampoo"
    ASH_SHAMPOO = "ash_shampoo"
    MINERALS = "minerals"
    HEAT_TOOLS = "heat_tools"


BUILD_UP = frozenset({HomeCare.VIOLET_SHAMPOO, HomeCare.ASH_SHAMPOO, HomeCare.MINERALS})
"""What has to be washed out before hair can be read or lightened."""


@dataclass(frozen=True, slots=True)
@contract
class Findings:
    """What the consultation found out about the person.

    Args:
        age_years: full years, 0 to 120, or None when not asked.
        patch_test: result, and hours since it was placed (None when not placed).
        reacts_to_oxidative: a past reaction to oxidative colour; None when it was not asked.
        allergies, medication: as told, at most 500 characters. told_elsewhere: whatever else was written of the person.
        home_care: products in use. is_clarified: build-up was washed out today.
        is_hair_piece: worked on a piece or wig: there is no person, no scalp, nothing grows.
        time_min: time the client has, 15 to 900 min; booked_min: time in the diary; None when not known.
    """

    scalp: Scalp = Scalp.SOUND
    elasticity: Elasticity = Elasticity.RETURNS
    salts_test: TestResult = TestResult.NOT_DONE
    patch_test: TestResult = TestResult.NOT_DONE
    patch_test_age_h: Annotated[Number, Within(0.0, 87600.0, "h")] | None = None
    reacts_to_oxidative: Annotated[Flag | None, PERSONAL] = None
    age_years: Annotated[Annotated[Whole, Within(0, 120, "years")] | None, PERSONAL] = None
    allergies: Annotated[str, Text(500, is_optional=True), PERSONAL] = ""
    medication: Annotated[str, Text(500, is_optional=True), PERSONAL] = ""
    home_care: Annotated[frozenset[HomeCare], PlainSerializer(sorted)] = frozenset()
    is_clarified: Flag = False
    time_min: Annotated[Number, Within(15.0, 900.0, "min")] | None = None
    booked_min: Annotated[Number, Within(15.0, 900.0, "min")] | None = None
    is_hair_piece: Flag = False
    told_elsewhere: Annotated[str, INTERNAL, PERSONAL] = ""

    @property
    def has_open_reaction(self) -> bool:
        """Something was told that may be a reaction to oxidative colour, and nobody has asked whether it was."""
        is_told = bool(self.allergies.strip()) or tells_of_reaction(f"{self.medication} {self.told_elsewhere}")
        return is_told and self.reacts_to_oxidative is None

    @property
    def builds_up(self) -> bool:
        """Something in use at home builds up on the hair."""
        return bool(self.home_care & BUILD_UP)

    @property
    def has_build_up(self) -> bool:
        """Build-up that has not been washed out yet."""
        return self.builds_up and not self.is_clarified


REACTION_STEMS = (
    "allerg",
    "react",
    "ppd",
    "phenylenediamine",
    "dermatitis",
    "eczema",
    "rash",
    "hives",
    "swell",
    "swoll",
)
"""[MODEL] what a text holds that may tell of a reaction; one too many only asks a question."""


def tells_of_reaction(text: str) -> bool:
    """Whether a text that was written about a person may tell of a reaction."""
    plain = text.casefold()
    return any(stem in plain for stem in REACTION_STEMS)


def judge_salts(signs: frozenset[SaltsSign]) -> TestResult:
    """Result of a salts test that was waited out: any sign is a positive (common practice, no source)."""
    return TestResult.POSITIVE if signs else TestResult.NEGATIVE


def judge_elasticity(*, stretch_percent: float, return_percent: float, has_snapped: bool) -> Elasticity:
    """What a wet strand's stretch says.

    Args:
        stretch_percent: longer than at rest when pulled, 0 to 200 %.
        return_percent: how much of the stretch went back, 0 to 100 %.
        has_snapped: it broke while stretched.
    Returns:
        snaps; stays stretched (gummy: far too long, or hardly back); slow; or returns.
    """
    stretch = check_range("stretch_percent", stretch_percent, 0.0, 200.0, "%")
    back = check_range("return_percent", return_percent, 0.0, 100.0, "%")
    if has_snapped:
        return Elasticity.SNAPS
    if back < RETURN_SLOW or stretch > STRETCH_SOUND_MOST + 20.0:
        return Elasticity.STAYS_STRETCHED
    if back < RETURN_SOUND or not STRETCH_SOUND_LEAST <= stretch <= STRETCH_SOUND_MOST:
        return Elasticity.SLOW
    return Elasticity.RETURNS


@dataclass(frozen=True, slots=True)
class Stretch:
    """One wet hair on a ruler: at rest, pulled as far as it gave, and where it came back to, 20 to 1000 mm."""

    rest_mm: float
    pulled_mm: float
    back_mm: float
    has_snapped: bool = False

    def __post_init__(self) -> None:
        check_range("stretch.rest_mm", self.rest_mm, 20.0, 1000.0, "mm")
        check_range("stretch.pulled_mm", self.pulled_mm, self.rest_mm, 1000.0, "mm")
        check_range("stretch.back_mm", self.back_mm, self.rest_mm, self.pulled_mm, "mm")

    @property
    def stretch_percent(self) -> float:
        """How much longer than at rest, %."""
        return (self.pulled_mm / self.rest_mm - 1.0) * 100.0

    @property
    def return_percent(self) -> float:
        """How much of the stretch went back, %; all of it when it did not stretch."""
        stretched = self.pulled_mm - self.rest_mm
        return 100.0 if stretched <= 0.0 else (self.pulled_mm - self.back_mm) / stretched * 100.0

    @property
    def elasticity(self) -> Elasticity:
        """What it says."""
        return judge_elasticity(
            stretch_percent=min(self.stretch_percent, 200.0),
            return_percent=self.return_percent,
            has_snapped=self.has_snapped,
        )


class PatchState(StrEnum):
    """Where a patch test stands."""

    NOT_PLACED = "not_placed"
    WAITING = "waiting"
    DUE = "due"
    CLEAR = "clear"
    EXPIRED = "expired"
    REACTED = "reacted"


def patch_state(result: TestResult, age_h: float | None, wait_h: float = PATCH_TEST_WAIT_H) -> PatchState:
    """Where a patch test stands, from its result and the hours since it was placed."""
    if result is TestResult.POSITIVE:
        return PatchState.REACTED
    if result is TestResult.NEGATIVE and age_h is not None and age_h >= wait_h:
        return PatchState.EXPIRED if age_h > PATCH_TEST_VALID_DAYS * 24.0 else PatchState.CLEAR
    if age_h is None:
        return PatchState.NOT_PLACED
    return PatchState.DUE if age_h >= wait_h else PatchState.WAITING
