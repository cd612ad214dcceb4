"""Review and tone of a whole head, from its log: results, bands, ways on, formulas, clocks and acts."""

import dataclasses

import numpy as np
import pytest
from make import BOTTLES, POWDER, Apart, at, event, request, zone
from test_toning import SHELF, shade
from told import told

from fervens_core.base import ConflictError
from fervens_core.basin import ToneChoice, lanes_today, make_review, read_zones, tone_step, toning_for, try_formula
from fervens_core.basin.review import Way
from fervens_core.chair import Chair, make_board
from fervens_core.colour import WAVELENGTHS_NM, delta_e_2000
from fervens_core.head import (
    DyeHue,
    Elasticity,
    Findings,
    Hair,
    History,
    Lightener,
    Part,
    Porosity,
    ReadingMode,
    ScalpFeel,
    TestResult,
    Tone,
    kept_parts_of,
    lanes_of,
)
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    ConsultationFinished,
    Grab,
    HairNoted,
    LighteningResumed,
    PlanTaken,
    ProbeRead,
    ReadingTaken,
    Rinsed,
    ServiceClosed,
    ShadowSet,
    TonerApplied,
    TonerEmulsified,
    TonerPulledBack,
    TonerRinsed,
    TonerStrandRead,
    WishSet,
    fold,
)
from fervens_core.toning import Formula, deposit

CLEAR = Findings(patch_test=TestResult.NEGATIVE, patch_test_age_h=60.0)
KEYS = ("nape", "back", "crown")
ZONES = (zone("nape", 4.0, 8.5), zone("back", 4.0, 8.5), zone("crown", 4.0, 8.5))
READ = {"nape": 8.5, "back": 7.5, "crown": 6.5}


def rinsed(read=READ, *more, zones=ZONES):
    data = [(0, ConsultationFinished()), (1, PlanTaken(tuple(z.key for z in zones), (20.0,) * len(zones), 60.0))]
    for i, z in enumerate(zones):
        data += [(2 + 4 * i, ApplicationStarted(z.key, 20.0)), (5 + 4 * i, ApplicationFinished(z.key))]
        data += [(45 + i, Rinsed(z.key))]
        if z.key in read:
            data += [(55 + i, ReadingTaken(z.key, read[z.key], ReadingMode.DRY))]
    return [event(m, d) for m, d in (*data, *more)]


def chair(log, now=70.0, zones=ZONES, lightener=POWDER):
    state = fold(log)
    assert state.conflicts == ()
    lanes = lanes_today(zones, state)
    return Chair(state, {z.key: z for z in lanes}, lightener, at(now))


def step(there, findings=CLEAR, tone=Tone.NEUTRAL, shelf=SHELF, most_bowls=3):
    return tone_step(there, shelf, findings=findings, tone=tone, choice=ToneChoice(most_bowls))


def review(there, findings=CLEAR, zones=ZONES, kept=()):
    reads = read_zones(there)
    choice = toning_for(there, reads, SHELF, findings, Tone.NEUTRAL)
    wanted = request(*zones, bottles=BOTTLES, lightener=there.lightener)
    return make_review(there, reads, request=wanted, choice=choice, elasticity=findings.elasticity, kept=kept)


# ---- review


def test_achieved_is_set_against_target_and_bands_are_named():
    found = review(chair(rinsed()))
    by_key = {x.key: x for x in found.lanes}
    assert found.on_target_share == pytest.approx(1 / 3)
    assert by_key["nape"].is_on_target
    assert by_key["crown"].off_levels == -2.0
    assert told(by_key["crown"].band) == "1.0 level darker than most of the head, the whole zone"
    assert by_key["back"].band is None
    assert {o.way for o in by_key["nape"].options} == {Way.TONE}
    assert {o.way for o in by_key["crown"].options} == set(Way)
    assert by_key["crown"].advised is Way.AGAIN
    assert "Crown" in told(found.advice)


def test_unread_zones_are_read_first():
    found = review(chair(rinsed({"nape": 8.5})))
    assert found.unread == ("Back", "Crown")
    assert told(found.advice) == "Read Back and 1 more dry or damp first."


def test_a_segment_that_differs_is_a_band_as_wide_as_it_is():
    zones = (zone("back", 4.0, 8.5, length_mm=300.0), zone("back.root", 4.0, 8.5, length_mm=12.0))
    root = dataclasses.replace(zones[1], part=Part.ROOT, parent_key="back")
    found = review(chair(rinsed({"back": 7.5, "back.root": 8.5}, zones=(zones[0], root)), zones=(zones[0], root)))
    band = told(next(x for x in found.lanes if x.key == "back.root").band)
    assert band == "1.0 level lighter than the rest of the zone, 12 mm wide"


def test_another_application_is_planned_by_the_same_planner_and_ends_where_it_says():
    there = chair(rinsed())
    crown = next(x for x in review(there).lanes if x.key == "crown")
    again = next(o for o in crown.options if o.way is Way.AGAIN)
    assert again.blocked is None
    assert again.asks_label
    assert 6.5 < again.level <= 9.0
    assert again.minutes <= POWDER.label_max_min
    assert again.volume_strength <= 40.0


@pytest.mark.parametrize(
    ("more", "findings", "lightener", "said"),
    [
        ([(60, HairNoted("crown", elasticity=Elasticity.SLOW))], CLEAR, POWDER, "does not simply return"),
        ([(60, HairNoted("crown", elasticity=Elasticity.SNAPS))], CLEAR, POWDER, "rinse at once"),
        ([(60, HairNoted("crown", scalp=ScalpFeel.WARM))], CLEAR, POWDER, "the scalp was felt"),
        ([], dataclasses.replace(CLEAR, elasticity=Elasticity.SLOW), POWDER, "does not simply return"),
        ([], CLEAR, Lightener("p", "Once", 1.5, 50, max_applications=1), "allows 1 application a visit"),
        ([(60, TonerApplied("crown", "fog", "Fog", 9.0, 5.0, 7.5))], CLEAR, POWDER, "it has been toned"),
    ],
)
def test_no_more_lightening_today_for_hair_scalp_label_or_toner(more, findings, lightener, said):
    found = review(chair(rinsed(READ, *more), lightener=lightener), findings)
    crown = next(x for x in found.lanes if x.key == "crown")
    again = next(o for o in crown.options if o.way is Way.AGAIN)
    assert said in told(again.blocked)
    assert crown.advised is Way.VISIT


def test_no_more_lightening_past_two_hours_of_product():
    log = [e for e in rinsed({}) if not isinstance(e.data, Rinsed)]
    late = [*log, *(event(130 + i, Rinsed(k)) for i, k in enumerate(KEYS))]
    late += [event(140, ReadingTaken("crown", 6.5, ReadingMode.DRY))]
    crown = next(x for x in review(chair(late, 150.0)).lanes if x.key == "crown")
    assert "had product on for" in told(next(o for o in crown.options if o.way is Way.AGAIN).blocked)


def test_a_zone_lightened_again_goes_on_from_what_was_read_and_keeps_its_warmth():
    more = [
        (70, LighteningResumed(("crown",), (10.0,), (6.5,))),
        (72, ApplicationStarted("crown.again", 10.0)),
        (75, ApplicationFinished("crown.again")),
        (95, Rinsed("crown.again")),
        (99, ReadingTaken("crown.again", 8.0, ReadingMode.DRY)),
    ]
    there = chair(rinsed(READ, *more), 100.0)
    lane = there.zones["crown.again"]
    assert (lane.hair.start_level, lane.hair.colour_start, told(lane.label)) == (6.5, 4.0, "Crown again")
    reads = {r.lane.key: r for r in read_zones(there)}
    assert set(reads) == {"nape", "back", "crown.again"}
    assert reads["crown.again"].result.start_level == 4.0
    again = next(x for x in review(there).lanes if x.key == "crown.again")
    assert again.is_on_target


def test_the_chair_sends_to_the_review_and_once_toner_is_on_to_the_basin():
    def title(*more):
        return told(make_board(chair(rinsed(READ, *more))).acts[0].title)

    assert title() == "All zones rinsed: review"
    assert title((60, TonerApplied("nape", "fog", "fog", 15.0, 12.0, 18.0))) == "At the basin now"


# ---- tone


def test_each_result_its_own_formula_and_fewer_bowls_give_something_up():
    found = step(chair(rinsed()))
    assert [c.count for c in found.counts] == sorted({c.count for c in found.counts})
    assert [c.is_proposed for c in found.counts].count(True) == 1
    one = step(chair(rinsed()), most_bowls=1)
    assert [len(one.bowls), len(one.counts)] == [1, 1]
    proposed = next(c for c in found.counts if c.is_proposed)
    assert proposed.count == len(found.bowls)
    assert {i for b in found.bowls for i in b.lane_ids} == set(KEYS)
    for bowl in found.bowls:
        product = sum(bowl.shades_g)
        assert bowl.developer_g == pytest.approx(product * bowl.developer_parts)
        mixed = sum(x.proposal.grams for x in found.lanes if x.id in bowl.lane_ids)
        assert product + bowl.developer_g == pytest.approx(mixed)


def test_the_zones_say_the_same_distance_from_the_wish_as_the_head():
    found = step(chair(rinsed()))
    away = [x.proposal.delta_e for x in found.lanes]
    proposed = next(c for c in found.counts if c.is_proposed)
    assert proposed.mean_delta_e == pytest.approx(sum(away) / len(away))
    assert proposed.worst_delta_e == pytest.approx(max(away))
    for lane in found.lanes:
        apart = delta_e_2000(np.array(lane.proposal.lab), np.array(lane.wanted_lab))
        assert lane.proposal.delta_e == pytest.approx(float(apart))


def test_the_wish_can_be_set_as_a_tone_at_a_level_or_as_a_measured_colour():
    usual = step(chair(rinsed()))
    assert not usual.is_own_wish
    # they were to end alike: the pale one gives up half a level for it, no more
    assert {k: w.wish.level for w in usual.wishes for k in w.keys} == {"nape": 8.0, "back": 6.5, "crown": 6.5}
    set_to = step(chair(rinsed(READ, (60, WishSet(Tone.GOLD, 7.5)))))
    assert (set_to.wish.tone, set_to.wish.level, set_to.is_own_wish) == (Tone.GOLD, 7.5, True)
    own = step(chair(rinsed(READ, (60, WishSet(Tone.GOLD, 7.5)), (61, WishSet(Tone.COOL, 6.0, zone_keys=("crown",))))))
    assert {w.wish.tone: w.keys for w in own.wishes} == {Tone.GOLD: ("nape", "back"), Tone.COOL: ("crown",)}
    measured = step(chair(rinsed(READ, (60, WishSet(Tone.NEUTRAL, 7.5, lab=(58.0, 6.0, 20.0))))))
    assert measured.wish.wanted.tolist() == [58.0, 6.0, 20.0]


def test_locked_shades_leave_only_the_wash_and_none_at_all_says_why():
    locked = step(chair(rinsed()), Findings(patch_test=TestResult.POSITIVE))
    assert locked.is_wash_only
    assert {k for b in locked.bowls for k in b.shade_keys} == {"wash"}
    assert [s.blocked is None for s in locked.shelf] == [s.key == "wash" for s in locked.shelf]
    nothing = step(chair(rinsed()), Findings(patch_test=TestResult.POSITIVE), shelf=SHELF[:2])
    assert told(nothing.blocked).startswith("Reacted to oxidative dye")
    assert all(x.proposal is None for x in nothing.lanes)


def ash_laid(bowl, minutes):
    """Dye that takes yellow and orange light, as it would lie on normal hair after some minutes."""
    shades = {x.key: x for x in SHELF}
    parts = (bowl.share, 1.0 - bowl.share)
    formula = Formula(tuple(shades[k] for k in bowl.shade_keys), parts[: len(bowl.shade_keys)])
    band = (WAVELENGTHS_NM >= 550.0) & (WAVELENGTHS_NM <= 630.0)
    return float(formula.absorption[band].sum() * deposit(minutes, Porosity.NORMAL))


@pytest.mark.parametrize("tone", [Tone.NEUTRAL, Tone.BEIGE])
def test_the_probe_lowers_ash_where_it_grabbed_and_says_what_it_moved(tone):
    plain = step(chair(rinsed({"nape": 9.0}, zones=ZONES[:1]), zones=ZONES[:1]), tone=tone)
    there = chair(rinsed({"nape": 9.0}, (60, ProbeRead("nape", Grab.MUCH)), zones=ZONES[:1]), zones=ZONES[:1])
    probed = step(there, tone=tone)
    before, after = plain.lanes[0].proposal, probed.lanes[0].proposal
    said = told(probed.lanes[0].probe_change)
    assert said.startswith(f"Before the probe: {before.formula_name}, {before.minutes:.0f} min.")
    assert ash_laid(probed.bowls[0], after.minutes) < 0.9 * ash_laid(plain.bowls[0], before.minutes)
    assert probed.lanes[0].rest == ""


def test_a_green_rest_is_met_in_two_ways_and_both_are_shown():
    green = rinsed(dict.fromkeys(KEYS, 8.5))
    green.append(event(62, ReadingTaken("crown", 8.5, ReadingMode.DRY, (), 0.0, DyeHue.GREEN, 0.5)))
    found = step(chair(green))
    crown = next(x for x in found.lanes if x.key == "crown")
    assert told(crown.says).startswith("A green rest on pale yellow at 8.5: red or pink")
    assert [told(w.title) for w in crown.remedies] == ["Counter it with red or pink", "Go deeper, neutral"]
    assert "rose" in crown.remedies[0].formula_name
    assert crown.remedies[1].formula_name != crown.remedies[0].formula_name
    assert crown.remedies[0].delta_e < crown.remedies[1].delta_e + 10.0
    band = next(x for x in review(chair(green)).lanes if x.key == "crown").band
    assert "clear green rest" in told(band)


def test_ends_that_hold_ash_are_warmed_or_the_rest_is_toned_toward_them():
    ash = rinsed(dict.fromkeys(KEYS, 9.0))
    ash.append(event(62, ReadingTaken("crown", 9.0, ReadingMode.DRY, (), 0.0, DyeHue.VIOLET, 0.5)))
    crown = next(x for x in step(chair(ash)).lanes if x.key == "crown")
    assert [told(w.title) for w in crown.remedies] == [
        "Draw it out first: left-over lightener with shampoo, or a remover",
        "Warm these ends",
        "Tone the rest toward these ends",
    ]
    assert all(-15.0 < w.gained_l < 15.0 for w in crown.remedies)
    # each says where it ends: drawn out first it comes nearest to the wish
    assert crown.remedies[0].delta_e < crown.remedies[1].delta_e


def test_a_root_shadow_is_a_lane_of_its_own_with_its_meeting_line():
    deep = shade("umber", 5, ratio=1.0, blue=0.4, violet=0.15, red=0.2, orange=0.25)
    found = step(chair(rinsed(READ, (60, ShadowSet(5.5, 30.0, 10.0)))), shelf=(*SHELF, deep))
    shadows = [x for x in found.lanes if x.part == "shadow"]
    assert {x.key for x in shadows} == set(KEYS)
    # on at the same time as the lengths, for their full time, and rinsed with them
    assert len({x.proposal.rinse_min for x in found.lanes}) == 1
    assert max(x.proposal.on_min for x in shadows) < min(x.proposal.on_min for x in found.lanes if not x.part)
    nape = next(x for x in shadows if x.key == "nape")
    assert told(nape.name) == "Nape, root shadow"
    assert nape.meeting[0].hex != nape.meeting[-1].hex
    assert nape.meeting[-1].minute == pytest.approx(48.0)
    length = next(x for x in found.lanes if x.id == "nape")
    assert nape.meeting[-1].hex == length.proposal.hex
    assert len({x.proposal.bowl for x in shadows}) == 1


KEPT = (zone("nape", 4.0, 8.5, ends=Apart(Hair(9.0, History.LIGHTENED), 60.0)), zone("crown", 7.0, 7.0))


def test_kept_hair_that_was_lightened_has_the_warmth_of_what_grows_there():
    root = Apart(Hair(5.0), 22.0)
    grown_out = zone("back", 9.0, 9.0, history=History.LIGHTENED, length_mm=320.0, root=root)
    plain = zone("side", 8.0, 8.0, history=History.LIGHTENED)
    virgin = zone("top", 6.0, 6.0)
    head = (grown_out, plain, virgin)
    parts = {p.key: p.hair.colour_start for p in kept_parts_of(head, lanes_of(head))}
    assert parts == {"back": 5.0, "side": 5.0, "top": 6.0}
    alone = kept_parts_of((plain,), ())
    # nothing is known of what grows: lifted hair is warm all the same, as from a medium brown
    assert [p.hair.colour_start for p in alone] == [4.0]


def kept_parts():
    return kept_parts_of(KEPT, lanes_of(KEPT))


def test_parts_no_lightener_went_on_are_read_and_toned_with_the_rest():
    parts = kept_parts()
    assert [(p.key, told(p.label), p.target_level) for p in parts] == [
        ("nape.ends", "Nape ends", 9.0),
        ("crown", "Crown", 7.0),
    ]
    log = rinsed({"nape": 8.5}, zones=lanes_of(KEPT))
    before = review(chair(log, zones=KEPT), zones=KEPT, kept=parts)
    assert [k.key for k in before.kept] == ["nape.ends", "crown"]
    log.append(
        event(60, ReadingTaken("nape.ends", 9.0, ReadingMode.DRY, rest=DyeHue.VIOLET, rest_amount=0.5, is_kept=True))
    )
    there = chair(log, zones=KEPT)
    after = review(there, zones=KEPT, kept=parts)
    ends = next(x for x in after.lanes if x.key == "nape.ends")
    assert (ends.is_kept, ends.level, ends.rest, [o.way for o in ends.options]) == (True, 9.0, "violet", [Way.TONE])
    assert [k.key for k in after.kept] == ["crown"]
    assert after.on_target_share == 1.0  # of what was lightened
    assert [x.id for x in step(there).lanes if x.proposal] == ["nape", "nape.ends"]
    toned = [*rinsed({"nape": 8.5}, zones=lanes_of(KEPT)), log[-1]]
    toned += [event(70, TonerApplied("nape.ends", "fog", "fog", 15.0, 12.0, 18.0))]
    there = chair(toned, 74.0, zones=KEPT)
    assert make_board(there).toners_on == 1
    assert [x.key for x in make_board(there).lanes] == ["nape"]
    closed = fold([*toned, event(80, ServiceClosed())])
    assert [c.code for c in closed.conflicts] == ["toner_open"]


def test_a_kept_part_is_taken_in_after_the_rinse_only_and_a_lane_never():
    early = fold([event(0, ReadingTaken("crown", 7.0, ReadingMode.DRY, is_kept=True))])
    assert [c.code for c in early.conflicts] == ["not_rinsed"]
    log = rinsed({"nape": 8.5}, zones=lanes_of(KEPT))
    twice = fold([*log, event(60, ReadingTaken("nape", 8.0, ReadingMode.DRY, is_kept=True))])
    assert [c.code for c in twice.conflicts] == ["not_kept"]


def test_porous_zones_go_on_last():
    zones = (zone("nape", 4.0, 8.5), zone("ends", 4.0, 8.5, porosity=Porosity.HIGH))
    found = step(chair(rinsed({"nape": 8.5, "ends": 8.5}, zones=zones), zones=zones))
    assert [x.key for x in found.lanes] == ["nape", "ends"]
    assert found.lanes[1].proposal.minutes < found.lanes[0].proposal.minutes


FOG = TonerApplied("nape", "fog", "fog", 15.0, 12.0, 18.0)


def clock(*more, now):
    there = chair(rinsed(READ, (70, FOG), *more), now)
    return next(x.toner for x in step(there).lanes if x.id == "nape")


def test_a_toner_lane_darkens_and_warns_against_rinsing_early():
    early, late = clock(now=74.0), clock(now=86.0)
    assert told(early.warning).startswith("It only looks dark")
    assert early.curve[2].hex != early.curve[15].hex
    assert early.emulsify_at is not None
    assert (late.due_at - late.applied_at).total_seconds() / 60 == pytest.approx(15.0)
    assert "rinse one low strand" in told(late.warning)
    assert early.window_min.early < 15.0 < (early.window_min.late or 99.0)
    hexes = {early.outcome.little_hex, early.outcome.likely_hex, early.outcome.much_hex}
    assert len(hexes) == 3


def test_a_rinsed_strand_moves_its_lane_and_the_others():
    expected = float(deposit(8.0, Porosity.NORMAL))
    other = TonerApplied("back", "fog", "fog", 15.0, 12.0, 18.0)
    plain = clock((71, other), now=78.0)
    pale = clock((71, other), (78, TonerStrandRead("nape", expected * 0.7)), now=78.0)
    dark = clock((71, other), (78, TonerStrandRead("nape", expected * 1.4)), now=78.0)
    assert dark.due_at < plain.due_at < pale.due_at
    assert pale.uptake.likely < 1.0 < dark.uptake.likely
    assert dark.strand_count == 1
    there = chair(rinsed(READ, (70, FOG), (71, other), (78, TonerStrandRead("nape", expected * 1.4))), 78.0)
    back = next(x.toner for x in step(there).lanes if x.id == "back")
    assert 1.0 < back.uptake.likely < dark.uptake.likely
    lanes = {x.id: x for x in step(there).lanes}
    # what was read on one part is not stretched to others unsaid
    assert told(lanes["back"].taught_by) == "goes by a strand of Nape"
    assert lanes["nape"].taught_by is None
    middle = next(s for s in plain.strand_scale if s.is_expected)
    assert middle.deposit_share == pytest.approx(expected, rel=1e-6)


def test_a_strand_as_expected_moves_nothing_however_early():
    fog = TonerApplied("back", "fog", "fog", 15.0, 12.0, 18.0)
    early = clock((71, fog), now=70.1)
    expected = next(s for s in early.strand_scale if s.is_expected).deposit_share
    read = clock((71, fog), (70.1, TonerStrandRead("nape", expected)), now=70.2)
    assert read.uptake.likely == pytest.approx(1.0, abs=0.01)
    rinsed_one = ((71, fog), (80, TonerStrandRead("nape", 0.5)), (84, TonerRinsed("nape")))
    there = chair(rinsed(READ, (70, FOG), *rinsed_one), 84.5)
    assert "strand" not in [a.code for a in step(there).acts]  # the strand that was looked at is off, and told of all


def test_pulled_back_over_it_goes_on_for_the_minutes_that_were_said():
    found = clock((79, TonerStrandRead("nape", 0.3)), (80, TonerPulledBack("nape", 19.0)), now=81.0)
    assert (found.due_at - found.applied_at).total_seconds() / 60 == pytest.approx(19.0)
    assert found.is_pulled_back


def test_acts_at_the_basin_come_in_their_order_and_the_label_stops_it():
    there = chair(rinsed(READ, (70, FOG)), 71.0)
    codes = [a.code for a in step(there).acts if "nape" in a.ids]
    assert codes == ["emulsify", "strand", "rinse"]
    done = chair(rinsed(READ, (70, FOG), (77, TonerEmulsified("nape")), (79, TonerStrandRead("nape", 0.6))), 80.0)
    assert [a.code for a in step(done).acts if "nape" in a.ids] == ["rinse"]
    over = step(chair(rinsed(READ, (70, FOG)), 91.0))
    assert over.acts[0].code == "stop"
    off = chair(rinsed(READ, (70, FOG), (84, TonerRinsed("nape"))), 90.0)
    nape = next(x for x in step(off).lanes if x.id == "nape")
    assert nape.toner.on_min == pytest.approx(14.0)
    assert nape.toner.strand_scale == ()
    assert not [a for a in step(off).acts if "nape" in a.ids]


def test_an_own_formula_is_tried_over_chosen_zones():
    there = chair(rinsed())
    tried = try_formula(there, Formula((SHELF[0], SHELF[4]), (0.5, 0.5)), ["nape", "back"], tone=Tone.NEUTRAL)
    assert [z.key for z in tried.zones] == ["nape", "back"]
    assert tried.formula_name == "fog + rose 1:1"
    assert tried.spread > 0.0
    assert [s.minute for s in tried.zones[0].steps] == [5.0, 10.0, 15.0, 20.0]
    with pytest.raises(ConflictError):
        try_formula(there, Formula((SHELF[0],)), ["fringe"], tone=Tone.NEUTRAL)


def test_parts_end_nearer_to_one_another_than_they_were():
    there = chair(rinsed())
    reads = read_zones(there)
    before = np.array([r.result.lab for r in reads])
    apart = float(delta_e_2000(before[:, None], before[None]).max())
    assert next(c for c in step(there).counts if c.is_proposed).spread < apart
    assert reads[0].result.rest is None or reads[0].result.rest is DyeHue.VIOLET
