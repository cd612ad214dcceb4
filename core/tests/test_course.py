"""Working time: what happens to product put back into the rate law by a general solver, and what each thing does."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.integrate import solve_ivp
from told import refused

from fervens_core.base import LimitError
from fervens_core.head import Covering
from fervens_core.lift import (
    LATER_EXTENT_FACTOR,
    TIME_CONSTANT_MIN,
    Application,
    Change,
    Happening,
    LaneKinetics,
    LiftFactors,
    capacity,
    dries_from_by,
    make_course,
    minutes_of_work,
    working_minutes,
)
from fervens_core.lift.course import DRIES_BY_MIN, HEAT_WARMER_K, OPENING_COOLING_K, Course, wetness
from fervens_core.lift.kinetics import temperature_rate_factor

PLAIN = Application(0.0, 20.0)
AIR, FOIL, FILM = Covering.OPEN_AIR, Covering.FOIL, Covering.FILM


def course(*happened, covering=FOIL, applications=(PLAIN,)) -> Course:
    return make_course(tuple(applications), covering, tuple(Happening(at, change) for at, change in happened))


def worked(made: Course, minute: float, term: int = 0) -> float:
    return float(made.terms[term].worked_by(np.array(minute)))


def test_undisturbed_product_under_foil_works_minute_by_minute():
    plain = course()
    assert worked(plain, 45.0) == pytest.approx(45.0)
    assert worked(plain, -3.0) == 0.0
    assert not plain.has_stopped(100.0)


@pytest.mark.parametrize("covering", list(Covering))
def test_drying_is_the_closed_form_and_ends_the_gain(covering):
    made = course(covering=covering)
    dries_from, dries_by = dries_from_by(covering)
    minutes = np.arange(0.0, 250.0, 0.7)
    closed = working_minutes(minutes, np.array(dries_from), np.array(dries_by))
    assert made.terms[0].worked_by(minutes) == pytest.approx(closed, abs=0.02)
    assert made.has_stopped(dries_by + 2.0)
    assert closed[-1] == pytest.approx((dries_from + dries_by) / 2.0)


# Open-air product dries; foils leak air and dry after an hour or two; dry lightener has stopped
# (common practice, no source).
def test_foil_outlasts_the_open_air():
    assert 60.0 <= DRIES_BY_MIN[FOIL] <= 120.0
    assert DRIES_BY_MIN[AIR] < DRIES_BY_MIN[FOIL] < DRIES_BY_MIN[FILM]
    assert (wetness(0.0), wetness(0.5), wetness(1.0), wetness(2.0)) == (1.0, 1.0, 0.0, 0.0)


@given(st.floats(0.0, 89.0), st.sampled_from(list(Covering)))
def test_minutes_of_work_is_the_inverse_of_working_minutes(minutes, covering):
    dries_from, dries_by = (np.array(x) for x in dries_from_by(covering))
    done = working_minutes(np.array(minutes), dries_from, dries_by)
    back = float(minutes_of_work(done, dries_from, dries_by))
    if minutes < float(dries_by) - 0.01:
        assert back == pytest.approx(minutes, abs=0.01)
    assert np.isinf(minutes_of_work(np.array(300.0), dries_from, dries_by))


@given(
    st.lists(st.tuples(st.floats(0.0, 80.0), st.sampled_from(list(Change))), max_size=8),
    st.sampled_from(list(Covering)),
    st.lists(st.floats(5.0, 60.0), max_size=2),
)
def test_work_only_grows_and_its_inverse_finds_the_minute(happened, covering, refreshes):
    starts = [0.0, *np.cumsum(sorted(refreshes)).tolist()]
    made = course(*happened, covering=covering, applications=[Application(s, 20.0) for s in starts])
    minutes = np.arange(0.0, 200.0, 1.0)
    for term in made.terms:
        done = term.worked_by(minutes)
        assert np.all(np.diff(done) >= -1e-12)
        assert np.all(np.diff(done) <= temperature_rate_factor(HEAT_WARMER_K + 3.0) + 1e-9)
        grew = np.flatnonzero(np.diff(done) > 1e-6)[:-1]  # in the last such minute it may have stopped
        for i in grew[:: max(1, grew.size // 5)]:
            assert float(term.minute_of(done[i + 1])) == pytest.approx(minutes[i + 1], abs=1e-6)


def test_heat_works_and_dries_faster_from_when_it_is_on():
    factor = temperature_rate_factor(HEAT_WARMER_K)
    warm = course((10.0, Change.HEAT_ON), (20.0, Change.HEAT_OFF))
    assert worked(warm, 10.0) == pytest.approx(10.0)
    assert worked(warm, 30.0) == pytest.approx(20.0 + 10.0 * factor, abs=0.05)
    for_long = course((0.0, Change.HEAT_ON))
    assert for_long.has_stopped(DRIES_BY_MIN[FOIL] / factor + 2.0)


def test_an_opened_foil_is_cooler_for_two_minutes_and_open_air_is_not():
    lost = 2.0 * (1.0 - temperature_rate_factor(-OPENING_COOLING_K))
    assert worked(course((10.0, Change.OPENED)), 30.0) == pytest.approx(30.0 - lost, abs=1e-6)
    assert worked(course((10.0, Change.OPENED), covering=AIR), 25.0) == pytest.approx(25.0)


def test_pulled_out_of_the_foil_it_cools_and_dries_and_dried_it_stops():
    open_air = course((20.0, Change.OPEN_AIR))
    assert worked(open_air, 30.0) == pytest.approx(20.0 + 10.0 * temperature_rate_factor(-2.0), abs=0.05)
    assert open_air.has_stopped(80.0)
    dried = course((20.0, Change.DRIED))
    assert worked(dried, 60.0) == pytest.approx(20.0)
    assert dried.has_stopped(20.5)
    assert np.isinf(dried.terms[0].minute_of(np.array(21.0)))
    # new product after that works again
    again = course((20.0, Change.DRIED), applications=[Application(0.0, 20.0), Application(25.0, 20.0)])
    assert worked(again, 35.0, term=1) == pytest.approx(10.0)
    assert worked(again, 35.0, term=0) == pytest.approx(20.0)


def test_stale_and_later_applications_lift_less_far():
    made = course(applications=[Application(0.0, 20.0, 0.1), Application(30.0, 30.0)])
    assert made.terms[0].capacity == pytest.approx(0.9 * float(capacity(20.0)))
    assert made.terms[1].capacity == pytest.approx(LATER_EXTENT_FACTOR * float(capacity(30.0)))
    with refused(LimitError, match=r"lift_lost_share: must be a number from 0 to 0\.9"):
        Application(0.0, 20.0, 0.95)
    with refused(LimitError, match="at_min"):
        course(applications=[Application(30.0, 20.0), Application(10.0, 20.0)])
    with refused(LimitError, match="applications: must be at least one"):
        make_course((), FOIL)


def test_chained_pieces_are_what_a_general_solver_makes_of_the_rate_law():
    """Heat from 12 to 22 min, pulled out at 28, refreshed at 40: soak in, then oxidise, each with speed f / tau."""
    made = course(
        (12.0, Change.HEAT_ON),
        (22.0, Change.HEAT_OFF),
        (28.0, Change.OPEN_AIR),
        (40.0, Change.FOIL),
        applications=[Application(0.0, 20.0), Application(40.0, 30.0)],
    )
    kinetics = LaneKinetics(3.0, 20.0, LiftFactors(), made)
    hot, air = temperature_rate_factor(HEAT_WARMER_K), temperature_rate_factor(-2.0)

    def rates(t, y):
        dryness, soaked, first, again, second = y
        is_hot, is_air = 12.0 <= t < 22.0, 28.0 <= t < 40.0
        speed = hot if is_hot else air if is_air else 1.0
        drying = (hot if is_hot else 1.0) / DRIES_BY_MIN[AIR if is_air else FOIL]
        if t < 40.0:
            k = speed * wetness(dryness) / TIME_CONSTANT_MIN
            return [drying, k * (1.0 - soaked), k * (float(capacity(20.0)) * soaked - first), 0.0, 0.0]
        full = LATER_EXTENT_FACTOR * float(capacity(30.0))
        k = 1.0 / TIME_CONSTANT_MIN
        return [0.0, 0.0, 0.0, k * (1.0 - again), k * (full * again - second)]

    solved = solve_ivp(rates, (0.0, 60.0), [0.0] * 5, max_step=0.05, rtol=1e-8, atol=1e-10)
    ours = kinetics.gained(np.array([60.0]), np.array([1.0]), np.array([1.0]))[0, 0]
    assert ours == pytest.approx(solved.y[2, -1] + solved.y[4, -1], abs=0.01)
