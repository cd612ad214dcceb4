"""What blocks and what warns. Common practice; age, strength: Regulation (EC) No 1223/2009, Annex III (from memory)."""

import pytest
from make import POWDER, zone

from fervens_core.errors import LimitError
from fervens_core.hair import History
from fervens_core.products import DyeFamily, TonerShade
from fervens_core.quantities import Ratio
from fervens_core.safety import (
    Elasticity,
    Findings,
    Scalp,
    Severity,
    TestResult,
    lightening_cautions,
    strongest_volume,
    toner_block,
)

CLEAR = {"patch_test": TestResult.NEGATIVE, "patch_test_age_h": 50.0}
DYE = TonerShade("t", "Fog", 9, ((DyeFamily.VIOLET, 1.0),), Ratio(1), 7, 20)
WASH = TonerShade("w", "Wash", 9, ((DyeFamily.VIOLET, 1.0),), Ratio(1), 5, 10, is_oxidative=False)


def codes(severity, zones=None, **findings):
    zones = [zone()] if zones is None else zones
    return [c.code for c in lightening_cautions(Findings(**findings), tuple(zones)) if c.severity is severity]


@pytest.mark.parametrize(
    ("findings", "code"),
    [
        ({"scalp": Scalp.BROKEN}, "scalp_broken"),
        ({"elasticity": Elasticity.SNAPS}, "elasticity"),
        ({"elasticity": Elasticity.STAYS_STRETCHED}, "elasticity"),
        ({"salts_test": TestResult.POSITIVE}, "metallic_salts"),
    ],
)
def test_must_not_be_lightened(findings, code):
    assert codes(Severity.BLOCK, **findings, **CLEAR) == [code]


def test_metallic_history_blocks_even_untested_and_henna_until_tested():
    metallic, henna = zone(history=History.METALLIC), zone(history=History.HENNA)
    assert codes(Severity.BLOCK, [metallic]) == ["metallic_history"]
    assert codes(Severity.BLOCK, [henna]) == ["henna_untested"]
    assert codes(Severity.BLOCK, [henna], salts_test=TestResult.NEGATIVE) == []
    assert "henna" in codes(Severity.WARN, [henna], salts_test=TestResult.NEGATIVE)


def test_a_sound_head_only_asks_for_gloves_and_air():
    assert codes(Severity.BLOCK, **CLEAR) == []
    assert codes(Severity.WARN, **CLEAR) == ["professional_use"]
    assert lightening_cautions(Findings(**CLEAR), ()) == ()


def test_blocks_come_first():
    found = lightening_cautions(Findings(scalp=Scalp.BROKEN), (zone(is_delicate=True),))
    severities = [c.severity for c in found]
    assert severities == sorted(severities, key=lambda s: s is not Severity.BLOCK)
    assert len(found) >= 3


@pytest.mark.parametrize(
    ("made", "code"),
    [
        (zone(is_delicate=True), "delicate"),
        (zone(history=History.LIGHTENED), "lightened"),
        (zone(start=4, target=10), "white_in_one"),
    ],
)
def test_warnings(made, code):
    assert code in codes(Severity.WARN, [made], **CLEAR)


def test_white_from_level_7_needs_no_warning():
    assert "white_in_one" not in codes(Severity.WARN, [zone(start=7, target=10)], **CLEAR)


@pytest.mark.parametrize(
    ("findings", "code"),
    [
        ({}, "patch_test"),
        ({"patch_test": TestResult.NEGATIVE}, "patch_test_early"),
        ({"patch_test": TestResult.NEGATIVE, "patch_test_age_h": 47.9}, "patch_test_early"),
        ({"patch_test": TestResult.POSITIVE, "patch_test_age_h": 60.0}, "dye_reaction"),
        ({**CLEAR, "has_reacted_before": True}, "dye_reaction"),
        ({**CLEAR, "age_years": 15}, "under_16"),
    ],
)
def test_oxidative_toner_is_locked(findings, code):
    found = Findings(**findings)
    assert toner_block(found, DYE).code == code
    assert toner_block(found, WASH) is None


def test_oxidative_toner_opens_after_48_hours_from_16_years():
    assert toner_block(Findings(**CLEAR, age_years=16), DYE) is None


def test_strongest_developer_is_the_least_of_all_limits():
    assert strongest_volume(zone(), POWDER)[0] == 40.0
    assert strongest_volume(zone(is_on_scalp=True), POWDER) == (20.0, "on the scalp, label of Powder")
    assert strongest_volume(zone(is_delicate=True), POWDER) == (20.0, "delicate hair")


def test_findings_guard_their_ages():
    with pytest.raises(LimitError, match="age_years"):
        Findings(age_years=130)
