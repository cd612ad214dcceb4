"""The belief: against a fine grid, in its limits, and honest on simulated heads."""

import math

import numpy as np
import pytest
from beliefs import CEILING, EXTENT, RATE, START, as_read, known, on_grid, own
from told import refused

from fervens_core.base import LimitError
from fervens_core.chair.advice import MISFIT_SPREADS
from fervens_core.head import ReadingMode
from fervens_core.lift import (
    LaneKinetics,
    LiftFactors,
    Reading,
    condensed,
    departure_shares,
    effort_gained,
    effort_to_level,
    learn,
    level_at,
    level_to_effort,
    prior,
)
from fervens_core.lift.belief import (
    HEAD_EXTENT_STD,
    HEAD_RATE_STD,
    HEAD_START_STD,
    ZONE_EXTENT_STD,
    ZONE_RATE_STD,
    ZONE_START_STD,
)
from fervens_core.lift.update import _as_arrays

S_STD, F_STD = math.hypot(HEAD_EXTENT_STD, ZONE_EXTENT_STD), math.hypot(HEAD_RATE_STD, ZONE_RATE_STD)
START_STD = math.hypot(HEAD_START_STD, ZONE_START_STD)

LANE = LaneKinetics(start_level=3.0, volume=20.0, factors=LiftFactors())


def wiped(lane, minutes, level):
    return Reading(lane, minutes, level, ReadingMode.WIPED)


def test_no_reading_teaches_nothing():
    before = prior((LANE, LANE))
    assert learn(before, ()) is before


def test_one_lane_against_a_fine_grid():
    readings = (wiped(0, 12.0, 6.5), wiped(0, 25.0, 8.0))
    found, spread = own(learn(known(LANE), readings), (EXTENT, RATE))

    def likelihood(s, f):
        gained = {r: effort_gained(r.minutes, 20.0, np.exp(s), np.exp(f)) for r in readings}
        return sum(as_read(r, effort_to_level(level_to_effort(3.0) + g)) for r, g in gained.items())

    mean, std = on_grid((S_STD, F_STD), likelihood, points=401)
    # Laplace's approximation of a mildly bent posterior: within a fifth of its own spread
    np.testing.assert_allclose(found, mean, atol=0.2 * std.max())
    np.testing.assert_allclose(spread, std, rtol=0.15)


def test_start_rate_and_eye_together_against_a_fine_grid():
    by = {"eye": "maren", "eye_bias_std": 0.25}
    readings = (Reading(0, 0.0, 3.5, ReadingMode.WIPED, **by), Reading(0, 15.0, 7.5, ReadingMode.WIPED, **by))
    learnt = learn(known(LANE, free=(RATE, START)), readings)
    found, spread = own(learnt, (RATE, START))
    at_eye = learnt.block(1).start

    def likelihood(f, d, e):
        found = 0.0
        for r in readings:
            gained = effort_gained(r.minutes, 20.0, 1.0, np.exp(f))
            found = found + as_read(r, effort_to_level(level_to_effort(3.0 + d) + gained) + e)
        return found

    mean, std = on_grid((F_STD, START_STD, 0.25), likelihood, points=101)
    np.testing.assert_allclose([*found, learnt.mean[at_eye]], mean, atol=0.15 * std.max())
    np.testing.assert_allclose([*spread, math.sqrt(learnt.covariance[at_eye, at_eye])], std, rtol=0.12)


def test_a_ceiling_against_a_fine_grid():
    lane = LaneKinetics(3.0, 30.0, LiftFactors(ceiling=7.0, ceiling_std=0.8))
    readings = (Reading(0, 25.0, 6.5, ReadingMode.DRY), Reading(0, 45.0, 6.5, ReadingMode.DRY))
    found, spread = own(learn(known(lane, free=(EXTENT, CEILING)), readings), (EXTENT, CEILING))

    def likelihood(s, c):
        start, total = float(level_to_effort(3.0)), 0.0
        for r in readings:
            room = np.maximum(level_to_effort(np.clip(7.0 + c, 1, 10)) - start, 1.0)
            gained = effort_gained(r.minutes, 30.0, np.exp(s), 1.0)
            total = total + as_read(r, effort_to_level(start + gained / (1 + (gained / room) ** 8) ** 0.125))
        return total

    mean, std = on_grid((S_STD, 0.8), likelihood, points=401)
    np.testing.assert_allclose(found, mean, atol=0.25 * std.max())
    np.testing.assert_allclose(spread, std, rtol=0.25)


def test_a_reading_before_anything_happened_teaches_the_start_and_nothing_else():
    learnt = learn(prior((LANE, LANE)), (Reading(0, 0.0, 4.0, ReadingMode.DRY),))
    assert learnt.start_level(0) == pytest.approx(3.7, abs=0.15)
    assert 3.1 < learnt.start_level(1) < learnt.start_level(0)
    assert own(learnt, (EXTENT, RATE))[0] == pytest.approx([0.0, 0.0], abs=1e-6)
    exact = learn(prior((LANE,)), (Reading(0, 0.0, 3.6, ReadingMode.DRY, spread=0.05, is_rounded=False),))
    assert exact.start_level(0) == pytest.approx(3.6, abs=0.03)


def test_slopes_of_the_law_are_what_small_steps_give():
    lane = LaneKinetics(3.5, 25.0, LiftFactors(1.1, 0.9, 7.5, 0.7))
    readings = tuple(Reading(0, m, 6.0, ReadingMode.WIPED, eye="e", eye_bias_std=0.2) for m in (4.0, 18.0, 40.0))
    seen = _as_arrays((lane,), readings, [("e", ReadingMode.WIPED)])
    x = np.array([0.1, -0.05, 0.02, 0.05, -0.1, 0.13, -0.2, 0.07])
    _, slopes = seen.predict(x)
    for place in range(x.size):
        step = np.zeros(x.size)
        step[place] = 1e-5
        near = (seen.predict(x + step)[0] - seen.predict(x - step)[0]) / 2e-5
        np.testing.assert_allclose(slopes[:, place], near, atol=2e-4)


def test_readings_that_do_not_fit_are_noticed_and_widen_what_is_believed():
    fits = tuple(wiped(i, m, v) for i in range(3) for m, v in ((10.0, 5.5), (20.0, 7.5)))
    odd = (*fits, Reading(2, 22.0, 4.5, ReadingMode.DRY))
    good, bad = (learn(prior((LANE,) * 3), told) for told in (fits, odd))
    assert max(good.misfits) < 2.0
    assert bad.misfit(2) > MISFIT_SPREADS > bad.misfit(0)
    minute = np.array([30.0])
    widths = [np.ptp(b.outlook(2).level_bands(minute)) for b in (good, bad)]
    assert widths[1] > 1.1 * widths[0]


def test_one_slip_of_the_finger_moves_no_head_and_two_looks_that_agree_do():
    fits = tuple(wiped(i, m, v) for i in range(3) for m, v in ((10.0, 5.5), (20.0, 7.5)))
    slip = wiped(2, 23.0, 4.5)
    told = [learn(prior((LANE,) * 3), (*fits, *more)) for more in ((), (slip,), (slip, wiped(2, 24.0, 4.5)))]
    minute = np.array([30.0])
    for lane, most in ((0, 0.1), (2, 0.15)):
        plain, once, _ = (float(b.outlook(lane).level_bands(minute)[1, 0]) for b in told)
        assert abs(once - plain) < most
    plain, _, twice = (float(b.outlook(2).level_bands(minute)[1, 0]) for b in told)
    assert twice < plain - 0.5
    assert told[1].misfit(2) > MISFIT_SPREADS


def test_hair_far_from_all_that_is_expected_is_told():
    slow = tuple(Reading(0, m, 3.0, ReadingMode.DRY, spread=0.1) for m in (10.0, 20.0, 30.0, 40.0))
    assert learn(prior((LANE,)), slow).stray(0) > 3.5
    assert learn(prior((LANE,)), (wiped(0, 12.0, 6.0),)).stray(0) < 1.5


def test_two_lanes_against_weighted_samples():
    readings = (wiped(0, 12.0, 7.0), wiped(0, 22.0, 8.5))
    before = prior((LANE, LANE))
    learnt = learn(before, readings)
    rng = np.random.default_rng(5)
    x = rng.multivariate_normal(before.mean, before.covariance, 400_000)
    cost = np.zeros(len(x))
    far, fast, start, _ = (before.block(0).start + k for k in range(4))
    for r in readings:
        gained = effort_gained(r.minutes, 20.0, np.exp(x[:, far]), np.exp(x[:, fast]))
        seen = effort_to_level(level_to_effort(3.0 + x[:, start]) + gained)
        seen += x[:, :3] @ departure_shares(np.array([r.minutes]))[0]
        cost += ((r.level - r.bias - seen) / r.level_std) ** 2
    weight = np.exp(-0.5 * (cost - cost.min()))
    mean = weight @ x / weight.sum()
    # the second lane, never read, has moved with the first
    assert mean[before.block(1).start + RATE] > 0.04
    np.testing.assert_allclose(learnt.mean, mean, atol=0.04)  # Laplace's mode beside the mean


def test_order_of_readings_does_not_matter():
    readings = [wiped(0, 10.0, 5.5), wiped(1, 15.0, 7.0), wiped(0, 25.0, 7.5)]
    forward, backward = (learn(prior((LANE, LANE)), tuple(r)) for r in (readings, readings[::-1]))
    np.testing.assert_allclose(forward.mean, backward.mean, atol=1e-9)


def test_many_exact_readings_find_the_truth():
    truth = LiftFactors(extent=1.08, rate=0.75)
    minutes = np.linspace(5, 45, 30)
    levels = level_at(minutes, start_level=3.0, volume_strength=20.0, factors=truth)
    readings = tuple(Reading(0, float(t), float(v), ReadingMode.DRY) for t, v in zip(minutes, levels, strict=True))
    found = learn(known(LANE), readings).factors(0)
    assert found.extent == pytest.approx(truth.extent, rel=0.03)
    assert found.rate == pytest.approx(truth.rate, rel=0.06)


def test_readings_narrow_the_window_and_a_faster_head_moves_it_forward():
    before = prior((LANE, LANE))
    fast = learn(before, (wiped(0, 10.0, 7.0),))
    assert fast.outlook(0).ready_window(7.5)[1] < before.outlook(0).ready_window(7.5)[1]
    assert fast.outlook(1).ready_window(7.5)[1] < before.outlook(1).ready_window(7.5)[1]
    widths = [b.outlook(0).level_bands(np.array([20.0])) for b in (before, fast)]
    assert widths[1][2, 0] - widths[1][0, 0] < widths[0][2, 0] - widths[0][0, 0]


def test_reading_through_product_counts_for_less_and_darker():
    through = Reading(0, 15.0, 7.0, ReadingMode.THROUGH_PRODUCT)
    dark = Reading(0, 15.0, 7.0, ReadingMode.THROUGH_PRODUCT, is_through_dark=True)
    dry = Reading(0, 15.0, 7.0, ReadingMode.DRY)
    assert through.bias > 0
    assert dry.level_std < through.level_std < dark.level_std


def test_window_of_a_target_already_reached_and_of_one_never_reached():
    belief = known(LANE)
    assert belief.outlook(0).ready_window(3.0) == pytest.approx((0.0, 0.0, 0.0), abs=0.01)
    assert belief.outlook(0).ready_window(10.0)[1] == math.inf
    assert belief.outlook(0).chance_by(10.0, 50.0) < 0.1


def test_eighty_percent_windows_hold_about_eighty_percent_of_truths():
    rng = np.random.default_rng(11)
    hits = total = 0
    for _ in range(120):
        head = rng.normal(0, [HEAD_EXTENT_STD, HEAD_RATE_STD])
        logs = head + rng.normal(0, [ZONE_EXTENT_STD, ZONE_RATE_STD], (3, 2))
        readings = []
        for lane in range(3):
            for minutes in (10.0, 20.0):
                true = level_at(
                    minutes, start_level=3.0, volume_strength=20.0, factors=LiftFactors(*np.exp(logs[lane]).tolist())
                )
                seen = min(max(round((float(true) + 0.1 + rng.normal(0, 0.35)) * 2) / 2, 1.0), 10.0)
                readings.append(wiped(lane, minutes, seen))
        belief = learn(prior((LANE,) * 3), tuple(readings))
        for lane in range(3):
            slow, _, fast = belief.outlook(lane).level_bands(np.array([32.0]))[:, 0]
            true = level_at(
                32.0, start_level=3.0, volume_strength=20.0, factors=LiftFactors(*np.exp(logs[lane]).tolist())
            )
            hits += slow <= float(true) <= fast
            total += 1
    # 360 windows: one standard error is 2.1 points, lanes of a head are not independent
    assert 0.72 <= hits / total <= 0.88


def test_bad_readings_are_named():
    with refused(LimitError, match=r"level: .*got 12"):
        wiped(0, 10.0, 12.0)
    with refused(LimitError, match=r"minutes: .*0 to 240 min, got -1"):
        wiped(0, -1.0, 7.0)


def test_ten_or_more_against_a_fine_grid():
    lane = LaneKinetics(start_level=7.0, volume=30.0, factors=LiftFactors())
    reading = Reading(0, 40.0, 10.0, ReadingMode.DRY)
    found, spread = own(learn(known(lane), (reading,)), (EXTENT, RATE))
    s_std, f_std = S_STD, F_STD
    s, f = np.meshgrid(np.linspace(-5, 5, 401) * s_std, np.linspace(-5, 5, 401) * f_std, indexing="ij")
    gained = effort_gained(40.0, 30.0, np.exp(s), np.exp(f)) + level_to_effort(7.0)
    top = level_to_effort(10.0)
    level = effort_to_level(np.minimum(gained, top)) + np.maximum(gained - top, 0.0) / 2.2
    inside = (level - 9.75) / reading.eye_std
    chance = 0.5 * np.vectorize(math.erfc)(-inside / math.sqrt(2.0))
    weight = np.exp(-0.5 * ((s / s_std) ** 2 + (f / f_std) ** 2)) * chance
    weight /= weight.sum()
    mean = np.array([(weight * s).sum(), (weight * f).sum()])
    std = np.sqrt([(weight * (s - mean[0]) ** 2).sum(), (weight * (f - mean[1]) ** 2).sum()])
    np.testing.assert_allclose(found, mean, atol=0.25 * std.max())
    np.testing.assert_allclose(spread, std, rtol=0.2)


def test_ten_said_of_hair_far_past_it_teaches_nothing_and_of_hair_far_below_much():
    past = LaneKinetics(start_level=9.5, volume=40.0, factors=LiftFactors())
    below = LaneKinetics(start_level=5.0, volume=10.0, factors=LiftFactors())
    ten = (Reading(0, 45.0, 10.0, ReadingMode.DRY),)
    assert abs(learn(known(past), ten).mean).max() < 0.01
    assert own(learn(known(below), ten), (EXTENT,))[0] > 0.1
    one = learn(known(LaneKinetics(start_level=2.0, volume=20.0, factors=LiftFactors())), (wiped(0, 1.0, 1.0),))
    assert abs(own(one, (EXTENT,))[0]) < 0.2


def test_very_many_readings_told_as_their_means_teach_the_same():
    """The whole and the short of it: hundreds of looks at two lanes, of which one was looked at as people do."""
    rng, lanes = np.random.default_rng(20261127), (LANE, LANE)
    times = np.sort(rng.uniform(5.0, 45.0, 300))
    many = tuple(wiped(0, float(t), float(np.round(rng.normal(5.5 + 0.06 * t, 0.3) * 2) / 2)) for t in times)
    few = (wiped(1, 12.0, 6.5), wiped(1, 20.0, 7.5))
    short = condensed((*many, *few))
    assert set(few) <= set(short)  # as they were
    assert len(short) < 30
    assert condensed(few) == few
    before = prior(lanes)
    whole, told = learn(before, (*many, *few)), learn(before, short)
    spread = np.sqrt(np.diag(whole.covariance))
    np.testing.assert_allclose(told.mean, whole.mean, atol=0.35 * float(spread.max()))
    np.testing.assert_allclose(np.sqrt(np.diag(told.covariance)), spread, rtol=0.25)
    ends = condensed(tuple(wiped(0, 30.0 + 0.01 * i, 10.0) for i in range(40)))
    assert len(ends) == 1  # saying it again says nothing more
