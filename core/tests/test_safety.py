"""What blocks and what warns. Common practice; age, strength: Regulation (EC) No 1223/2009, Annex III (from memory)."""

from dataclasses import replace

import pytest
from make import POWDER, Apart, request, zone
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.head import (
    Breakage,
    Developer,
    DeveloperUse,
    DyeFamily,
    DyeHue,
    Elasticity,
    Findings,
    Hair,
    History,
    HomeCare,
    PatchState,
    Porosity,
    SaltsSign,
    Scalp,
    Stretch,
    TestResult,
    Thickness,
    TonerShade,
    judge_salts,
    patch_state,
)
from fervens_core.head.findings import judge_elasticity
from fervens_core.log import TonerApplied, uses_of
from fervens_core.planning import Aim, make_plan
from fervens_core.safety import Severity, lightening_cautions, strongest_volume, toner_block
from fervens_core.toning import Formula

CLEAR = {"patch_test": TestResult.NEGATIVE, "patch_test_age_h": 50.0}
DYE = TonerShade("t", "Fog", 9, ((DyeFamily.VIOLET, 1.0),), 20, 1, 7)
WASH = TonerShade("w", "Wash", 9, ((DyeFamily.VIOLET, 1.0),), 10, is_oxidative=False)


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
        ({**CLEAR, "reacts_to_oxidative": True}, "dye_reaction"),
        ({**CLEAR, "age_years": 15}, "under_16"),
    ],
)
def test_oxidative_toner_is_locked(findings, code):
    found = Findings(**findings)
    assert toner_block(found, DYE).code == code
    assert toner_block(found, WASH) is None


def test_oxidative_toner_opens_after_48_hours_from_16_years():
    assert toner_block(Findings(**CLEAR, age_years=16), DYE) is None


def limit(*of):
    volume, why = strongest_volume(*of)
    return volume, told(why)


def test_strongest_developer_is_the_least_of_all_limits():
    assert strongest_volume(zone(), POWDER)[0] == 40.0
    assert limit(zone(is_on_scalp=True), POWDER) == (20.0, "on the scalp, label of Powder")
    assert limit(zone(is_delicate=True), POWDER) == (20.0, "delicate hair")


def test_findings_guard_their_ages():
    with refused(LimitError, match="age_years"):
        Findings(age_years=130)


@pytest.mark.parametrize(
    ("made", "findings", "code"),
    [
        (zone(history=History.UNKNOWN), {}, "unknown_untested"),
        (zone(elasticity=Elasticity.SNAPS), {}, "elasticity_zone"),
        (zone(breakage=Breakage.MUCH), {}, "breakage"),
        (zone(), {"home_care": frozenset({HomeCare.MINERALS})}, "build_up"),
    ],
)
def test_hair_and_build_up_that_block(made, findings, code):
    assert codes(Severity.BLOCK, [made], **findings, **CLEAR) == [code]


def test_gummy_hair_that_is_left_alone_does_not_block():
    ends = Apart(Hair(7, elasticity=Elasticity.STAYS_STRETCHED), 40, is_left_out=True)
    assert codes(Severity.BLOCK, [zone(ends=ends)], **CLEAR) == []
    assert codes(Severity.BLOCK, [zone(elasticity=Elasticity.SNAPS, keeps_depth=True)], **CLEAR) == []


def test_metallic_salts_block_wherever_they_are():
    ends = Apart(Hair(7, History.METALLIC), 40, is_left_out=True)
    assert codes(Severity.BLOCK, [zone(ends=ends)], **CLEAR) == ["metallic_history"]


def test_washing_build_up_out_lifts_its_block():
    care = frozenset({HomeCare.VIOLET_SHAMPOO})
    assert codes(Severity.BLOCK, home_care=care, is_clarified=True, **CLEAR) == []
    assert codes(Severity.BLOCK, home_care=frozenset({HomeCare.HEAT_TOOLS}), **CLEAR) == []


@pytest.mark.parametrize(
    ("made", "findings", "code"),
    [
        (zone(breakage=Breakage.SOME), {}, "frail"),
        (zone(start=5, history=History.DIRECT_DYE, dye_hue=DyeHue.BLUE), {}, "direct_dye"),
        (zone(), {"allergies": "latex"}, "allergies"),
        (zone(), {"medication": "thyroid"}, "medication"),
        (zone(), {"age_years": 15}, "under_16"),
        (zone(root=Apart(Hair(3), 25)), {}, "long_regrowth"),
    ],
)
def test_more_warnings(made, findings, code):
    assert code in codes(Severity.WARN, [made], **findings, **CLEAR)


def test_worked_hair_asks_for_a_strand_test():
    tinted = (zone(history=History.TINTED),)
    for has_test in (True, False):
        found = [c.code for c in lightening_cautions(Findings(**CLEAR), tinted, has_strand_test=has_test)]
        assert ("no_strand_test" in found) is not has_test
    assert "no_strand_test" not in [
        c.code for c in lightening_cautions(Findings(**CLEAR), (zone(),), has_strand_test=False)
    ]


def test_unsound_hair_and_old_dye_have_their_own_limits():
    assert limit(zone(elasticity=Elasticity.SLOW), POWDER) == (20.0, "hair that is not quite sound")
    assert limit(zone(), POWDER, Elasticity.SLOW) == (20.0, "hair that is not quite sound")
    dyed = zone(history=History.DIRECT_DYE, dye_hue=DyeHue.GREEN)
    assert limit(dyed, POWDER) == (5.0, "old direct dye is lifted with 1.5 %")
    assert strongest_volume(zone(history=History.DIRECT_DYE, dye_hue=DyeHue.RED), POWDER)[0] == 40.0


def test_the_labels_own_hours_hold():
    slow = TonerShade("t", "Fog", 9, ((DyeFamily.VIOLET, 1.0),), 20, 1, 7, patch_test_wait_h=72)
    assert toner_block(Findings(**CLEAR), slow).code == "patch_test_early"
    assert "72 h" in told(toner_block(Findings(**CLEAR), slow).title)
    old = Findings(patch_test=TestResult.NEGATIVE, patch_test_age_h=24 * 200.0)
    assert toner_block(old, DYE).code == "patch_test_old"


@pytest.mark.parametrize(
    ("result", "age_h", "state"),
    [
        (TestResult.NOT_DONE, None, PatchState.NOT_PLACED),
        (TestResult.NOT_DONE, 12.0, PatchState.WAITING),
        (TestResult.NOT_DONE, 48.0, PatchState.DUE),
        (TestResult.NEGATIVE, 48.0, PatchState.CLEAR),
        (TestResult.NEGATIVE, 20.0, PatchState.WAITING),
        (TestResult.NEGATIVE, 5000.0, PatchState.EXPIRED),
        (TestResult.POSITIVE, 2.0, PatchState.REACTED),
    ],
)
def test_where_a_patch_test_stands(result, age_h, state):
    assert patch_state(result, age_h) is state


# Wet healthy hair stretches by roughly a third to a half and returns (common practice, no source).
@pytest.mark.parametrize(
    ("stretch", "back", "snapped", "found"),
    [
        (33, 100, False, Elasticity.RETURNS),
        (50, 95, False, Elasticity.RETURNS),
        (40, 80, False, Elasticity.SLOW),
        (10, 100, False, Elasticity.SLOW),
        (45, 40, False, Elasticity.STAYS_STRETCHED),
        (95, 95, False, Elasticity.STAYS_STRETCHED),
        (40, 100, True, Elasticity.SNAPS),
    ],
)
def test_elasticity(stretch, back, snapped, found):
    assert judge_elasticity(stretch_percent=stretch, return_percent=back, has_snapped=snapped) is found


def test_a_hair_on_a_ruler():
    hair = Stretch(rest_mm=120, pulled_mm=162, back_mm=126)
    assert hair.stretch_percent == pytest.approx(35.0)
    assert hair.return_percent == pytest.approx(100 * 36 / 42)
    assert hair.elasticity is Elasticity.SLOW
    assert Stretch(100, 135, 100).elasticity is Elasticity.RETURNS
    assert Stretch(100, 100, 100).return_percent == 100.0
    assert Stretch(100, 140, 100, has_snapped=True).elasticity is Elasticity.SNAPS
    with refused(LimitError, match=r"stretch.back_mm: must be a number from 100 to 140 mm, got 150"):
        Stretch(100, 140, 150)


def test_any_sign_makes_a_salts_test_positive():
    assert judge_salts(frozenset()) is TestResult.NEGATIVE
    for sign in SaltsSign:
        assert judge_salts(frozenset({sign})) is TestResult.POSITIVE
    with refused(LimitError, match="stretch_percent"):
        judge_elasticity(stretch_percent=-1, return_percent=50, has_snapped=False)


def test_a_pigment_wash_never_meets_peroxide():
    wash = Formula((WASH,))
    assert (wash.developer_volume, wash.developer_parts, wash.split_g(30.0)) == (None, 0.0, ((30.0,), 0.0))
    on = TonerApplied("z", "w", "Wash", 8.0, 30.0, 0.0)
    uses = uses_of(on, lightener_key=None, bottles=(Developer("d7", "7 vol", 7),), shades=(WASH,))
    assert [u.key for u in uses] == ["w"]
    with refused(LimitError, match="never goes on with peroxide"):
        replace(WASH, developer_volume=5.0)
    with refused(LimitError, match="never goes on with peroxide"):
        Formula((WASH,), parts=1.0)
    with refused(LimitError, match="developer_volume: must be given"):
        replace(DYE, developer_volume=None)


@pytest.mark.parametrize(
    "told",
    [
        {"allergies": "hair dye, as a girl"},
        {"medication": "cream for eczema"},
        {"told_elsewhere": "Reacted to box colour in spring"},
    ],
)
def test_an_allergy_that_is_told_locks_oxidative_toner_until_it_is_asked_about(told):
    open_question = Findings(**CLEAR, **told)
    assert toner_block(open_question, DYE).code == "reaction_open"
    assert toner_block(open_question, WASH) is None
    assert "reaction_open" in codes(Severity.BLOCK, **CLEAR, **told)
    assert toner_block(replace(open_question, reacts_to_oxidative=False), DYE) is None
    assert toner_block(replace(open_question, reacts_to_oxidative=True), DYE).code == "dye_reaction"
    assert "reaction_open" not in codes(Severity.BLOCK, **CLEAR, **told, reacts_to_oxidative=False)


@pytest.mark.parametrize(
    ("made", "most"),
    [
        (zone("nape", length_mm=40), 20.0),
        (zone("nape-2", length_mm=40, areas=("nape/1",)), 20.0),
        (zone("nape", length_mm=40, is_on_scalp=False), 40.0),
        (zone("nape", length_mm=300), 40.0),
        (zone("crown", length_mm=40), 40.0),
        (zone(history=History.LIGHTENED), 20.0),
        (zone(porosity=Porosity.HIGH), 20.0),
        (zone(thickness=Thickness.FINE), 30.0),
    ],
)
def test_hair_at_the_skin_worn_porous_or_fine_is_spared(made, most):
    assert strongest_volume(made, POWDER)[0] == most


def test_porous_ends_that_join_late_stay_within_their_limit():
    ends = Apart(Hair(7, History.LIGHTENED, porosity=Porosity.HIGH), 60)
    plan = make_plan(request(zone("back", 4, 9.5, ends=ends), volumes={"back.ends": 40.0}))
    assert {z.zone.key: z.volume_strength for z in plan.lanes}["back.ends"] <= 20.0


@pytest.mark.parametrize(
    ("made", "least"),
    [
        (zone(), 20.0),
        (zone(history=History.TINTED), 20.0),
        (zone(history=History.LIGHTENED), 10.0),
        (zone(porosity=Porosity.HIGH), 10.0),
        (zone(thickness=Thickness.FINE), 10.0),
        (zone(is_delicate=True), 10.0),
        (zone(history=History.DIRECT_DYE, dye_hue=DyeHue.GREEN), 5.0),
    ],
)
def test_no_toner_strength_is_proposed_to_lighten_but_on_old_dye(made, least):
    bottles = (
        Developer("d5", "5 vol", 5, DeveloperUse.TONING),
        *(Developer(f"d{v}", f"{v} vol", v) for v in (10, 20, 30)),
    )
    wanted = replace(made, target_level=min(made.hair.start_level + 2.0, 10.0))
    for aim in Aim:
        plan = make_plan(request(wanted, bottles=bottles, aim=aim))
        assert plan.lanes[0].volume_strength >= least
    own = make_plan(request(wanted, bottles=bottles, volumes={"back": 12.0})).lanes[0]
    assert own.volume_strength == (5.0 if least == 5.0 else 12.0)
