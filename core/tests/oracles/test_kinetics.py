"""The lift's closed form: put back into its differential equation, and against a general solver (scipy solve_ivp)."""

import numpy as np
import pytest
from scipy.integrate import solve_ivp
from scipy.optimize import brentq

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
from fervens_core.lift.kinetics import hair_factors, temperature_rate_factor

CASES = [(3.0, 10.0, 1.0, 1.0), (3.0, 40.0, 1.0, 1.3), (5.5, 20.0, 0.8, 0.7), (2.0, 33.0, 1.1, 2.0)]


def slope(t, gained, volume, extent, rate):
    """dE/dt = (f / tau) (s A(v) - E): what is left to lift, lifts at a constant share of itself."""
    return rate / 16.0 * (extent * (2.9 + 0.12 * volume) - gained)


@pytest.mark.parametrize(("start", "volume", "extent", "rate"), CASES)
def test_closed_form_satisfies_its_equation(start, volume, extent, rate):
    t, h = np.linspace(0.5, 80.0, 60), 1e-4
    numeric = (effort_gained(t + h, volume, extent, rate) - effort_gained(t - h, volume, extent, rate)) / (2 * h)
    # central differences are good to h squared
    np.testing.assert_allclose(
        numeric, slope(t, effort_gained(t, volume, extent, rate), volume, extent, rate), rtol=1e-7
    )


@pytest.mark.parametrize(("start", "volume", "extent", "rate"), CASES)
def test_closed_form_is_the_solvers(start, volume, extent, rate):
    minutes = np.linspace(0.0, 60.0, 25)
    solved = solve_ivp(slope, (0, 60), [0.0], t_eval=minutes, args=(volume, extent, rate), rtol=1e-10, atol=1e-12)
    levels = effort_to_level(level_to_effort(start) + solved.y[0])
    ours = level_at(minutes, start_level=start, volume_strength=volume, factors=LiftFactors(extent, rate))
    np.testing.assert_allclose(ours, levels, atol=1e-7)


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
