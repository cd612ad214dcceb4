"""After the service: contact load, what is learnt, the next visit, the head as it comes back, the shelf, the sheet."""

import datetime as dt
import math
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from make import BOTTLES, POWDER, Apart, at, event, request, zone
from test_toning import shade
from told import refused, told

from fervens_core.base import LimitError
from fervens_core.chair import Chair, lane_contact
from fervens_core.chair.contact import ContactLoad
from fervens_core.followup import (
    LaneFact,
    WornLane,
    grown_mm,
    handout,
    has_regrowth,
    head_since,
    last_formulas,
    learnt_product,
    propose_visit,
    reminder_text,
    studio_numbers,
    swept,
    with_learnt,
)
from fervens_core.followup.next_visit import days_to_regrowth
from fervens_core.head import ROOT_MM, Hair, History, Part, Porosity, ReadingMode, StrandPart, Thickness, Tone, lanes_of
from fervens_core.lift import LiftFactors, known_head, level_at
from fervens_core.log import (
    ApplicationFinished,
    ApplicationStarted,
    BowlMixed,
    ConsultationFinished,
    LightenerRefreshed,
    PlanTaken,
    Rinsed,
    TonerApplied,
    fold,
    uses_of,
)
from fervens_core.planning import make_plan

FILED = dt.date(2026, 3, 1)


def test_contact_load_counts_each_application_by_its_own_volume():
    crown = zone("crown", 4, 8)
    data = [
        (0, ConsultationFinished()),
        (1, PlanTaken(("crown",), (20.0,), 50.0)),
        (10, ApplicationStarted("crown", 20.0)),
        (14, ApplicationFinished("crown")),
        (30, LightenerRefreshed("crown", 30.0)),
        (34, ApplicationFinished("crown")),
        (50, Rinsed("crown")),
    ]
    state = fold([event(m, d) for m, d in data])
    chair = Chair(state, {"crown": crown}, POWDER, at(80))
    assert lane_contact(chair, state.lane("crown")) == ContactLoad(40.0, 20 * 20.0 + 20 * 30.0)


def fact(service, log_extent, product="chalk", **more):
    kind = {"history": History.VIRGIN, "thickness": Thickness.MEDIUM, "porosity": Porosity.NORMAL}
    values = kind | {"zone": "crown", "pace_min": 1.0, "off_levels": 0.0, "is_past_wall": False}
    own = values | {"log_rate": 0.0, "mixed_g": 40.0, "wasted_g": 5.0} | more
    return LaneFact(service=service, product=product, product_name=product.title(), log_extent=log_extent, **own)


def test_a_studios_numbers_are_means_with_spread_and_count():
    facts = [fact("a", 0.1), fact("a", 0.3, off_levels=-1.0, pace_min=2.0), fact("b", 0.2, "clay", is_past_wall=True)]
    numbers = studio_numbers(facts)
    assert (numbers.services, numbers.lanes, numbers.walls_passed) == (2, 3, 1)
    assert numbers.on_target_share == pytest.approx(2 / 3)
    assert (numbers.mixed_g, numbers.wasted_g) == (120.0, 15.0)
    chalk = numbers.by_product[0]
    assert (chalk.name, chalk.lanes, chalk.services) == ("Chalk", 2, 1)
    assert chalk.extent == pytest.approx(math.exp(0.2))
    assert chalk.extent_spread == pytest.approx(math.exp(np.std([0.1, 0.3], ddof=1)))
    assert numbers.paces[0].mean_min == pytest.approx(4 / 3)
    empty = studio_numbers([])
    assert (empty.services, empty.on_target_share, empty.by_hair) == (0, None, ())


def carried(facts, lightener=POWDER):
    return with_learnt(lightener, learnt_product(facts))


def test_a_product_is_learnt_slowly_and_within_limits():
    def of(n, value):
        found = carried([fact(f"s{i}", value) for i in range(n)])
        return found.factors_on(Hair(5.0))[0]

    assert 1.0 > of(3, -0.2) > of(10, -0.2) > of(200, -0.2) > math.exp(-0.2)
    # one kind alone: the posterior mean of a Gaussian whose prior is the product's and the kind's spread together
    prior = 0.10**2 + 0.07**2
    assert of(9, -0.2) == pytest.approx(math.exp(-0.2 * prior / (prior + 0.15**2 / 9)))
    far = carried([fact(f"s{i}", 0.9, log_rate=1.5) for i in range(50)])
    assert (far.lift_factor, far.rate_factor) == (1.2, 2.0)
    assert all(0.5 <= x.extent <= 2.0 and 0.4 <= x.rate <= 2.5 for x in far.learnt)
    with refused(LimitError, match="at least 3"):
        of(2, 0.1)


def test_how_fast_is_learnt_as_well_and_hair_kinds_are_partly_pooled():
    slow = [fact(f"s{i}", 0.0, log_rate=-0.3) for i in range(8)]
    coarse = [fact(f"c{i}", -0.1, log_rate=0.2, thickness=Thickness.COARSE) for i in range(8)]
    found = carried(slow + coarse)
    fine = Hair(5.0, thickness=Thickness.FINE)  # never seen: only what the product does to all hair
    assert found.factors_on(fine) == (found.lift_factor, found.rate_factor)
    medium_rate, coarse_rate = (
        found.factors_on(Hair(5.0, thickness=t))[1] for t in (Thickness.MEDIUM, Thickness.COARSE)
    )
    assert medium_rate < found.rate_factor < coarse_rate
    assert math.exp(-0.3) < medium_rate < 1.0 < coarse_rate < math.exp(0.2)
    # against the joint posterior written out: product p, kinds k1 and k2, eight looks at each p + k
    unit, p2, k2, s2 = np.eye(2), 0.15**2, 0.12**2, 0.25**2 / 8
    means = np.array([-0.3, 0.2])
    together = p2 * np.ones((2, 2)) + k2 * unit
    expected = np.exp(together @ np.linalg.solve(together + s2 * unit, means))
    assert [medium_rate, coarse_rate] == pytest.approx(expected, rel=1e-6)
    # a kind that was seen once is drawn to the others
    once = carried([*slow, fact("x", 0.0, log_rate=0.5, thickness=Thickness.COARSE)])
    assert abs(math.log(once.factors_on(Hair(5.0, thickness=Thickness.COARSE))[1])) < 0.25


def test_what_was_learnt_is_planned_with_and_settles():
    facts = [fact(f"s{i}", -0.15, log_rate=-0.25) for i in range(12)]
    slow = carried(facts)
    plans = [make_plan(request(zone("back", 4, 8), bottles=BOTTLES, lightener=x)) for x in (POWDER, slow)]
    assert plans[1].lanes[0].ready_min[1] > plans[0].lanes[0].ready_min[1] or (
        plans[1].lanes[0].volume_strength > plans[0].lanes[0].volume_strength
    )
    far, fast = (math.log(x) for x in slow.factors_on(Hair(5.0)))
    rest = [fact(f"s{i}", -0.15 - far, log_rate=-0.25 - fast) for i in range(12)]
    again = carried(rest, slow)
    assert abs(math.log(again.factors_on(Hair(5.0))[0] / slow.factors_on(Hair(5.0))[0])) < abs(far) / 2


def test_many_lanes_of_one_service_are_one_look():
    one_head = [fact("a", -0.3)] * 20 + [fact("b", 0.0), fact("c", 0.0)]
    even = [fact("a", -0.3), fact("b", 0.0), fact("c", 0.0)]
    assert carried(one_head) == carried(even)


# ---- a person's own hair


def test_a_person_is_known_from_their_visits_as_a_gaussian_is():
    assert known_head([]) is None
    assert known_head([[], []]) is None
    one = known_head([[(-0.1, -0.2)] * 6])
    seen = 0.06**2 + 0.06**2 / 6
    assert one.log_extent == pytest.approx(-0.1 * 0.09**2 / (0.09**2 + seen))
    three = known_head([[(-0.1, -0.2)] * 6] * 3)
    assert -0.1 < three.log_extent < one.log_extent
    assert three.extent_std < one.extent_std <= 0.09
    assert (one.visits, three.visits) == (1, 3)


@pytest.mark.parametrize("more", [{}, {"history": History.LIGHTENED}, {"is_on_scalp": True}])
def test_what_a_person_s_hair_taught_moves_the_next_plan_whatever_hair_it_is(more):
    known = known_head([[(-0.12, -0.3)] * 6] * 2)
    plans = [make_plan(request(zone("back", 4, 8, **more), bottles=BOTTLES, known_head=k)) for k in (None, known)]
    for a, b in zip(plans[0].lanes, plans[1].lanes, strict=True):
        assert b.volume_strength > a.volume_strength or b.ready_min[1] > a.ready_min[1]
    spreads = [p.lanes[0].level_high - p.lanes[0].level_low for p in plans]
    assert spreads[1] < 1.05 * spreads[0]


def test_roots_are_proposed_before_they_band():
    visit = propose_visit(FILED, is_short=False, has_roots=True, is_toned=True)
    # 12 mm a month (common practice, no source): a month on, less some days
    assert 25 <= (visit.on - FILED).days <= 30
    assert 10.0 < visit.regrowth_mm < 12.0
    assert 14 <= (visit.on - visit.remind_on).days <= 21
    assert "violet" in told(visit.reminder)
    quick = propose_visit(FILED, is_short=False, has_roots=True, is_toned=False, mm_per_month=15)
    assert quick.on < visit.on
    assert quick.regrowth_mm < 12.0


def test_hair_that_goes_further_rests_and_the_reminder_is_three_weeks_ahead():
    visit = propose_visit(FILED, is_short=True, has_roots=True, is_toned=False)
    assert (visit.on - FILED).days == 42
    assert (visit.on - visit.remind_on).days == 21
    assert "two lanes" in told(visit.reason)
    far = propose_visit(FILED, is_short=False, has_roots=False, is_toned=True)
    assert far.on > visit.on


@pytest.mark.parametrize("mm", [0.0, 5.0, 12.0, 80.0])
def test_growth_and_its_inverse(mm):
    days = days_to_regrowth(mm, 10.0)
    assert grown_mm(days, 10.0) <= mm
    assert grown_mm(days + 1, 10.0) > mm
    with refused(LimitError, match="mm_per_month"):
        grown_mm(30, 30.0)


def test_a_virgin_head_comes_back_with_its_root_grown_and_its_lengths_light():
    (back,) = head_since([zone("back", 4, 8.5)], {"back": 8.0}, 61)
    assert back.root_part is not None
    assert back.root_part.hair == Hair(4.0)
    assert back.root_part.to_mm == pytest.approx(24.0, abs=0.2)
    assert (back.hair.start_level, back.hair.history) == (8.0, History.LIGHTENED)
    assert back.target_level == 8.0  # half a level short is on target: only what grew is lightened
    (short,) = head_since([zone("back", 4, 8.5)], {"back": 7.5}, 61)
    assert short.target_level == 8.5
    assert {x.part.value for x in lanes_of((back,))} >= {"root", "regrowth"}


def test_old_roots_join_the_lengths_and_untouched_ones_go_on_growing():
    root = Apart(Hair(3.0), 12.0)
    old = zone("back", 8, 9, history=History.LIGHTENED, length_mm=300.0, root=root)
    (done,) = head_since([old], {"back.root": 8.5}, 30.44)
    assert done.root_part.hair.start_level == 3.0
    assert done.root_part.to_mm == pytest.approx(12.0, abs=0.1)
    assert done.hair.start_level == 8.5
    (left,) = head_since([old], {}, 30.44)
    assert left.root_part.to_mm == pytest.approx(24.0, abs=0.1)
    assert left.hair.start_level == 8.0


def test_a_zone_that_was_not_touched_grows_without_a_root():
    (same,) = head_since([zone("back", 4, 8)], {}, 61)
    assert same.root_part is None
    assert same.length_mm > 250.0


def test_depth_that_was_kept_is_kept_the_next_time():
    kept = replace(zone("back", 5, 9, length_mm=300.0), parts=(StrandPart(Hair(5.0), 0.0, 50.0, is_left_out=True),))
    off_scalp = zone("back", 5, 9, length_mm=300.0, off_scalp_mm=25.0)
    for then, grown in ((kept, 74.0), (off_scalp, 49.0)):
        (now,) = head_since([then], {"back": 9.0}, 61)
        assert now.root_part.is_left_out
        assert now.root_part.to_mm == pytest.approx(grown, abs=0.3)
        assert lanes_of((now,)) == () or all(x.part is Part.LENGTHS for x in lanes_of((now,)))
    (roots,) = head_since([zone("back", 5, 9, length_mm=300.0)], {"back": 9.0}, 61)
    assert not roots.root_part.is_left_out
    assert has_regrowth([roots])
    assert not has_regrowth(head_since([kept, off_scalp], {"back": 9.0}, 61))


@given(st.floats(4.0, 25.0), st.booleans(), st.booleans(), st.booleans())
def test_the_next_visit_is_on_the_weekday_of_this_one_and_roots_are_short_by_then(growth, short, roots, strand):
    visit = propose_visit(
        FILED, is_short=short, has_roots=roots, is_toned=True, is_strand_test=strand, mm_per_month=growth
    )
    assert visit.on.weekday() == FILED.weekday()
    if roots and not short and (visit.on - FILED).days > 14:
        assert visit.regrowth_mm < ROOT_MM
        # a week later it would be too long, or within two days of it
        assert grown_mm((visit.on - FILED).days + 9, growth) > ROOT_MM


def test_no_days_no_root():
    (same,) = head_since([zone("back", 4, 8)], {"back": 8.0}, 0)
    assert same.root_part is None
    with refused(LimitError, match="days"):
        head_since([], {}, -1)


def worn(extent=1.0, level=8.0, **more):
    seen = tuple((m, v, ReadingMode.WIPED) for m, v in ((10.0, 5.5), (20.0, 6.5), (30.0, 7.0)))
    return WornLane(zone("back", 4, 8, **more), level, 25.0, 35.0, extent, 1.0, seen)


def test_last_times_formula_is_corrected_by_how_it_lifted():
    weak, fair, kind = last_formulas([worn(0.7, 7.0), worn(), replace(worn(0.7, 7.0), has_additive=True)], POWDER)
    assert kind.corrected_volume > weak.corrected_volume  # an additive weakens the mix: more is needed
    assert fair.corrected_volume == 25.0
    assert weak.corrected_volume > fair.corrected_volume
    assert "1.0 short" in told(weak.says)
    assert f"{weak.corrected_volume:.0f} vol" in told(weak.says)
    assert "came to the target" in told(fair.says)


@pytest.mark.parametrize(
    ("extent", "level", "minutes", "volume", "longer"),
    [(1.0, 7.0, 22.0, 25.0, True), (0.9, 7.0, 35.0, 30.0, False), (1.0, 8.75, 40.0, 20.0, False)],
)
def test_other_minutes_come_before_another_strength(extent, level, minutes, volume, longer):
    (last,) = last_formulas([replace(worn(extent, level), minutes=minutes)], POWDER)
    assert last.corrected_volume % 5.0 == 0.0
    if longer:
        assert last.corrected_volume == volume
        assert last.corrected_minutes > minutes
    elif level > 8.0:
        assert last.corrected_volume == 25.0
        assert last.corrected_minutes < minutes
    else:
        assert last.corrected_volume >= 25.0
        assert last.is_within_reach
    start = worn().zone.hair.start_level
    reached = level_at(
        np.array(last.corrected_minutes),
        start_level=start,
        volume_strength=last.corrected_volume,
        factors=LiftFactors(extent, 1.0),
    )
    assert float(reached) == pytest.approx(8.0, abs=0.05)


def test_bowls_and_toners_take_what_they_weigh_from_the_shelf():
    bowl = uses_of(BowlMixed("back", 25.0, 20.0, 30.0), lightener_key="chalk", bottles=BOTTLES, shades=())
    assert bowl[0].key == "chalk"
    assert bowl[0].grams == 20.0
    assert sum(u.grams for u in bowl) == pytest.approx(50.0)
    assert len(bowl) == 3  # 25 vol is poured from two bottles
    fog, oat = shade("fog", 9, violet=1.0), shade("oat", 9, yellow=1.0)
    on = TonerApplied("back", "fog", "Fog", 15.0, 12.0, 18.0, second_key="oat", second_name="Oat", share=0.75)
    toner = uses_of(on, lightener_key=None, bottles=BOTTLES, shades=(fog, oat))
    grams = {u.key: u.grams for u in toner}
    assert (grams["fog"], grams["oat"]) == (9.0, 3.0)
    assert sum(grams.values()) == pytest.approx(30.0)
    assert uses_of(Rinsed("back"), lightener_key="chalk", bottles=BOTTLES, shades=()) == ()
    beyond = uses_of(BowlMixed("back", 40.0, 20.0, 30.0), lightener_key=None, bottles=BOTTLES[:1], shades=())
    assert [u.grams for u in beyond] == [30.0]


def test_the_take_home_sheet_is_plain_and_tells_no_internals():
    reminder = reminder_text(FILED, is_toned=True)
    parts = handout(
        [("Crown", 4.0, 8.0), ("Nape", 4.0, 8.2), ("Sides", 6.0, 8.0)],
        tones=[Tone.COOL, Tone.COOL],
        is_short=True,
        reminder=reminder,
    )
    said = " ".join(told(line) for p in parts for line in p.lines)
    assert "crown and nape by four steps" in said
    assert "sides by two steps" in said
    assert said.count("a cool tone") == 1
    assert "another visit" in said
    assert parts[-1].lines == (reminder,)
    for word in ("vol", " g ", "developer", "level"):
        assert word not in said
    assert handout([], tones=[], is_short=False, reminder=None)[0].lines


@pytest.mark.parametrize(("minutes", "applications"), [(91.0, 1), (35.0, 2)])
def test_what_ran_past_its_label_or_twice_is_never_the_same_again(minutes, applications):
    ran = replace(worn(), minutes=minutes, applications=applications)
    (last,) = last_formulas([ran], POWDER)
    assert "the same again" not in told(last.says)
    assert last.corrected_minutes + ran.zone.application_min <= POWDER.label_max_min + 1e-9
    assert ("past the label" in told(last.says)) or ("in 2 applications" in told(last.says))


def test_a_delicate_zone_gets_more_minutes_or_another_visit_never_more_than_its_limit():
    short = replace(worn(0.95, 7.5, is_delicate=True), volume_strength=20.0, minutes=25.0)
    (longer,) = last_formulas([short], POWDER)
    assert longer.corrected_volume == 20.0
    assert longer.is_within_reach
    assert 25.0 < longer.corrected_minutes <= 50.0 - short.zone.application_min
    (never,) = last_formulas([replace(short, extent=0.5, level=6.0)], POWDER)
    assert (never.corrected_volume, never.is_within_reach) == (20.0, False)
    assert "another visit" in told(never.says)


def test_learnt_hair_is_swept_beside_the_models():
    """Hair that lifts less far ends darker than the model's; both begin alike at the scalp."""
    model, less, more = swept(1.0, 1.0), swept(0.8, 0.9), swept(1.2, 1.1)
    light = [sum(int(h[i : i + 2], 16) for i in (1, 3, 5)) for h in (less[-1], model[-1], more[-1])]
    assert light == sorted(light)
    assert len(set(light)) == 3
    assert model[0] == less[0] == more[0]
    assert len(swept(9.0, 0.01)) == len(model)  # what is past the model's limits is drawn at them
