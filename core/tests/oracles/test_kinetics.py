"""The lift's closed form: put back into its differential equation, and against a general solver (scipy solve_ivp)."""

import numpy as np
import pytest
from scipy.integrate import solve_ivp
from scipy.optimize import brentq
from scipy.special import lambertw

from fervens_core.head import Hair, Thickness
from fervens_core.lift import (
    LiftFactors,
    capacity,
    effort_gained,
    effort_to_level,
    level_at,
    level_to_effort,
    time_to_level,
    volume_for,
)
from fervens_core.lift.kinetics import hair_factors, scaled_time_for, share_done, share_pace, temperature_rate_factor

CASES = [(3.0, 10.0, 1.0, 1.0), (3.0, 40.0, 1.0, 1.3), (5.5, 20.0, 0.8, 0.7), (2.0, 33.0, 1.1, 2.0)]


def stages(t, state, volume, extent, rate):
    """Product soaks in, dS/dt = k (1 - S); what is soaked in oxidises, dE/dt = k (s A(v) S - E); k = f / 9.25 min."""
    soaked, gained = state
    k = rate / 9.25
    return [k * (1.0 - soaked), k * (extent * (3.1 + 0.108 * volume) * soaked - gained)]


@pytest.mark.parametrize(("start", "volume", "extent", "rate"), CASES)
def test_closed_form_satisfies_its_two_equations(start, volume, extent, rate):
    t, h = np.linspace(0.5, 80.0, 60), 1e-4
    soaked = -np.expm1(-rate * t / 9.25)
    gained = effort_gained(t, volume, extent, rate)
    numeric = (effort_gained(t + h, volume, extent, rate) - effort_gained(t - h, volume, extent, rate)) / (2 * h)
    # central differences are good to h squared, and to rounding over h
    np.testing.assert_allclose(numeric, stages(t, (soaked, gained), volume, extent, rate)[1], rtol=1e-6, atol=1e-10)


@pytest.mark.parametrize(("start", "volume", "extent", "rate"), CASES)
def test_closed_form_is_the_solvers(start, volume, extent, rate):
    minutes = np.linspace(0.0, 60.0, 25)
    solved = solve_ivp(stages, (0, 60), [0.0, 0.0], t_eval=minutes, args=(volume, extent, rate), rtol=1e-10, atol=1e-12)
    levels = effort_to_level(level_to_effort(start) + solved.y[1])
    ours = level_at(minutes, start_level=start, volume_strength=volume, factors=LiftFactors(extent, rate))
    np.testing.assert_allclose(ours, levels, atol=1e-7)


def test_time_for_a_share_is_the_lower_branch_of_lamberts_w():
    share = np.concatenate([np.linspace(0.001, 0.999, 400), 1.0 - np.logspace(-3, -12, 40)])
    lambert = -1.0 - np.real(lambertw(-(1.0 - share) / np.e, -1))
    np.testing.assert_allclose(scaled_time_for(share), lambert, rtol=1e-12)
    # near a share of 0 scipy's branch point loses digits: there the series x^2 / 2 - x^3 / 3 holds
    small = np.logspace(-12, -9, 7)
    series = np.sqrt(2.0 * small) * (1.0 + np.sqrt(2.0 * small) / 3.0)
    np.testing.assert_allclose(scaled_time_for(small), series, rtol=1e-8)
    assert scaled_time_for(np.array([0.0, 1.0, 1.5])).tolist() == [0.0, np.inf, np.inf]


def test_share_and_its_pace_go_with_each_other():
    x = np.linspace(0.0, 12.0, 200)
    np.testing.assert_allclose(share_done(scaled_time_for(share_done(x))), share_done(x), atol=1e-14)
    np.testing.assert_allclose(
        share_pace(x),
        np.gradient(share_done(np.linspace(0.0, 12.0, 20_000)), 12.0 / 19_999)[np.round(x / 12.0 * 19_999).astype(int)],
        atol=1e-3,
    )
    # steepest after one time constant: lift starts slowly
    assert x[int(np.argmax(share_pace(x)))] == pytest.approx(1.0, abs=0.05)


def test_time_to_level_is_where_a_root_finder_meets_it():
    factors = LiftFactors(0.95, 1.2)
    ours = time_to_level(8.0, start_level=4.0, volume_strength=25.0, factors=factors)
    met = brentq(lambda t: float(level_at(t, start_level=4.0, volume_strength=25.0, factors=factors)) - 8.0, 0.1, 200.0)
    assert ours == pytest.approx(met, abs=1e-8)


def test_volume_for_is_the_inverse_in_strength():
    factors = hair_factors(Hair(3.0, thickness=Thickness.COARSE))
    for minutes in (20.0, 35.0, 50.0):
        volume = volume_for(7.0, minutes, start_level=3.0, factors=factors)
        reached = level_at(minutes, start_level=3.0, volume_strength=volume, factors=factors)
        assert float(reached) == pytest.approx(7.0, abs=1e-9)


def test_limits():
    assert float(level_at(0.0, start_level=4.5, volume_strength=20.0)) == 4.5
    assert float(level_at(-5.0, start_level=4.5, volume_strength=20.0)) == 4.5
    assert float(effort_gained(1e4, 20.0, 1.0, 1.0)) == pytest.approx(float(capacity(20.0)))
    assert float(level_at(500.0, start_level=8.0, volume_strength=40.0)) == 10.0
    assert time_to_level(9.0, start_level=3.0, volume_strength=10.0) is None
    assert time_to_level(4.0, start_level=4.0, volume_strength=10.0) == 0.0


def test_ten_kelvin_double_the_rate():
    assert temperature_rate_factor(0.0) == 1.0
    assert temperature_rate_factor(10.0) == pytest.approx(2.0)
    assert temperature_rate_factor(-10.0) == pytest.approx(0.5)
