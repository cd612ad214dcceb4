"""The colour reader: its lines, the simulated one, and the level of what was measured."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from make import POWDER, at, event, zone
from told import refused

from fervens_core.base import CoreError, LimitError
from fervens_core.chair import Chair, as_lab, simulated_level
from fervens_core.colour import hair_lab
from fervens_core.formats import PROTOCOL, SimulatedReader, lab_to_line, level_of_lab, line_to_lab
from fervens_core.log import ApplicationFinished, ApplicationStarted, ConsultationFinished, PlanTaken, Rinsed, fold


def reader() -> SimulatedReader:
    return SimulatedReader(np.random.default_rng(7))


@given(st.floats(0, 100), st.floats(-128, 128), st.floats(-128, 128))
def test_a_measurement_is_read_back_from_its_line(lightness, a, b):
    assert line_to_lab(lab_to_line((lightness, a, b))) == pytest.approx((lightness, a, b), abs=0.0051)


@pytest.mark.parametrize(
    ("line", "message"),
    [
        ("ERR no lamp", "The colour reader says: no lamp"),
        ("LAB 50 1", "not a measurement"),
        ("hello", "not a measurement"),
        ("LAB 120 0 0", "L: must be a number from 0 to 100, got 120"),
        ("LAB 50 nan 0", "a: must be a number from -128 to 128"),
        ("LAB 50 0 x", "b: must be a number, got 'x'"),
    ],
)
def test_a_bad_line_is_named(line, message):
    with refused(CoreError, match=message):
        line_to_lab(line)


def test_the_simulated_reader_speaks_its_lines():
    one = reader()
    assert one.answer("ID\n") == f"{PROTOCOL} simulated"
    assert one.answer("MEASURE") == "ERR nothing under the reader"
    assert one.answer("PLACE 200 0 0").startswith("ERR value_out_of_limit")
    assert one.answer("DANCE") == "ERR not understood"
    assert one.answer("PLACE 60 14 40") == "OK"
    seen = np.array([line_to_lab(one.answer("MEASURE")) for _ in range(400)])
    assert seen.mean(axis=0) == pytest.approx([60, 14, 40], abs=0.1)
    assert seen.std(axis=0) == pytest.approx([0.35] * 3, abs=0.06)


@pytest.mark.parametrize("start", [3.0, 5.0, 7.5])
@pytest.mark.parametrize("level", [7.5, 8.2, 9.6])
def test_hair_of_a_level_is_read_as_that_level(start, level):
    lab = tuple(hair_lab(start, np.array([level]))[0].tolist())
    found = level_of_lab(start, lab)
    assert found.level == pytest.approx(level, abs=0.051)
    assert found.delta_e < 0.5


def test_what_is_no_hair_of_this_lane_is_said_so():
    with refused(CoreError, match="looks like no level of this hair") as caught:
        level_of_lab(4.0, (50.0, -40.0, 20.0))
    assert caught.value.code == "unlike_hair"
    with refused(LimitError, match="start_level"):
        level_of_lab(12.0, (50.0, 0.0, 0.0))


def test_simulated_hair_is_the_same_hair_each_time_and_stops_at_the_rinse():
    zones = {"back": zone("back", 3, 8)}
    log = [
        event(0, ConsultationFinished()),
        event(1, PlanTaken(("back",), (22.0,), 60.0)),
        event(2, ApplicationStarted("back", 22.0)),
        event(6, ApplicationFinished("back")),
    ]

    def lab(minute, events=log, seed=3):
        return as_lab(zones["back"], simulated_level(Chair(fold(events), zones, POWDER, at(minute)), "back", seed))

    assert lab(20) == lab(20)
    assert lab(20) != lab(20, seed=4)
    assert lab(30)[0] > lab(15)[0]  # lighter
    rinsed = [*log, event(25, Rinsed("back"))]
    assert lab(40, rinsed) == pytest.approx(lab(25))
