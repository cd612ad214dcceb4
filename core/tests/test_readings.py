"""The belief: against a fine grid, in its limits, and honest on simulated heads."""

import math

import numpy as np
import pytest
from told import refused

from fervens_core.base import LimitError
from fervens_core.head import ReadingMode
from fervens_core.lift import (
    LaneKinetics,
    LiftFactors,
    Reading,
    effort_gained,
    effort_to_level,
    learn,
    level_at,
    level_to_effort,
    prior,
)
from fervens_core.lift.belief import HEAD_EXTENT_STD, HEAD_RATE_STD, ZONE_EXTENT_STD, ZONE_RATE_STD

LANE = LaneKinetics(start_level=3.0, volume=20.0, factors=LiftFactors())


def wiped(lane, minutes, level):
    return Reading(lane, minutes, level, ReadingMode.WIPED)


def test_no_reading_teaches_nothing():
    before = prior((LANE, LANE))
    assert learn(before, ()) is before


def test_one_lane_against_a_fine_grid():
    readings = (wiped(0, 12.0, 6.5), wiped(0, 25.0, 8.0))
    learnt = learn(prior((LANE,)), readings)
    s_std, f_std = math.hypot(HEAD_EXTENT_STD, ZONE_EXTENT_STD), math.hypot(HEAD_RATE_STD, ZONE_RATE_STD)
    s, f = np.meshgrid(np.linspace(-5, 5, 401) * s_std, np.linspace(-5, 5, 401) * f_std, indexing="ij")
    cost = (s / s_std) ** 2 + (f / f_std) ** 2
    for r in readings:
        seen = effort_to_level(level_to_effort(3.0) + effort_gained(r.minutes, 20.0, np.exp(s), np.exp(f)))
        cost = cost + ((r.level - r.bias - seen) / r.level_std) ** 2
    weight = np.exp(-0.5 * (cost - cost.min()))
    weight /= weight.sum()
    mean = np.array([(weight * s).sum(), (weight * f).sum()])
    std = np.sqrt([(weight * (s - mean[0]) ** 2).sum(), (weight * (f - mean[1]) ** 2).sum()])
    # Laplace's approximation of a mildly bent posterior: within a fifth of its own spread
    np.testing.assert_allclose(learnt.mean, mean, atol=0.2 * std.max())
    np.testing.assert_allclose(np.sqrt(np.diag(learnt.covariance)), std, rtol=0.15)


def test_two_lanes_against_weighted_samples():
    readings = (wiped(0, 12.0, 7.0), wiped(0, 22.0, 8.5))
    before = prior((LANE, LANE))
    learnt = learn(before, readings)
    rng = np.random.default_rng(5)
    x = rng.multivariate_normal(before.mean, before.covariance, 200_000)
    cost = np.zeros(len(x))
    for r in readings:
        seen = effort_to_level(level_to_effort(3.0) + effort_gained(r.minutes, 20.0, np.exp(x[:, 0]), np.exp(x[:, 1])))
        cost += ((r.level - r.bias - seen) / r.level_std) ** 2
    weight = np.exp(-0.5 * (cost - cost.min()))
    mean = weight @ x / weight.sum()
    # the second lane, never read, has moved with the first
    assert mean[3] > 0.05
    np.testing.assert_allclose(learnt.mean, mean, atol=0.03)


def test_order_of_readings_does_not_matter():
    readings = [wiped(0, 10.0, 5.5), wiped(1, 15.0, 7.0), wiped(0, 25.0, 7.5)]
    forward, backward = (learn(prior((LANE, LANE)), tuple(r)) for r in (readings, readings[::-1]))
    np.testing.assert_allclose(forward.mean, backward.mean, atol=1e-9)


def test_many_exact_readings_find_the_truth():
    truth = LiftFactors(extent=1.08, rate=0.75)
    minutes = np.linspace(5, 45, 30)
    levels = level_at(minutes, start_level=3.0, volume_strength=20.0, factors=truth)
    readings = tuple(Reading(0, float(t), float(v), ReadingMode.DRY) for t, v in zip(minutes, levels, strict=True))
    found = learn(prior((LANE,)), readings).factors(0)
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
    belief = prior((LANE,))
    assert belief.outlook(0).ready_window(3.0) == (0.0, 0.0, 0.0)
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
    learnt = learn(prior((lane,)), (reading,))
    s_std, f_std = math.hypot(HEAD_EXTENT_STD, ZONE_EXTENT_STD), math.hypot(HEAD_RATE_STD, ZONE_RATE_STD)
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
    np.testing.assert_allclose(learnt.mean, mean, atol=0.25 * std.max())
    np.testing.assert_allclose(np.sqrt(np.diag(learnt.covariance)), std, rtol=0.2)


def test_ten_said_of_hair_far_past_it_teaches_nothing_and_of_hair_far_below_much():
    past = LaneKinetics(start_level=9.5, volume=40.0, factors=LiftFactors())
    below = LaneKinetics(start_level=5.0, volume=10.0, factors=LiftFactors())
    ten = (Reading(0, 45.0, 10.0, ReadingMode.DRY),)
    assert abs(learn(prior((past,)), ten).mean).max() < 0.01
    assert learn(prior((below,)), ten).mean[0] > 0.1
    one = learn(prior((LaneKinetics(start_level=2.0, volume=20.0, factors=LiftFactors()),)), (wiped(0, 1.0, 1.0),))
    assert abs(one.mean[0]) < 0.2
