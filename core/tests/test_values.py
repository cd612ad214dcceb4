"""Values guard themselves: every error names field, limit and value."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from make import zone
from told import refused, told

from fervens_core.base import LimitError, Ratio, check_level, check_range, check_text
from fervens_core.head import DyeFamily, Hair, Lightener, TonerShade, kept_parts_of, lanes_of


@pytest.mark.parametrize("bad", [0.99, 10.01, math.nan, math.inf, -math.inf, "7", None, True])
def test_level_refuses(bad):
    with pytest.raises(LimitError) as caught:
        check_level("start_level", bad)
    assert caught.value.field == "start_level"
    assert "1 to 10" in told(caught.value.limit)
    assert caught.value.code == "value_out_of_limit"


@given(st.floats(allow_nan=True, allow_infinity=True))
def test_range_takes_exactly_what_is_inside(value):
    is_inside = math.isfinite(value) and -3.0 <= value <= 7.5
    if is_inside:
        assert check_range("x", value, -3.0, 7.5) == value
    else:
        with pytest.raises(LimitError):
            check_range("x", value, -3.0, 7.5)


@pytest.mark.parametrize("bad", ["", "   ", "x" * 81, 4])
def test_text_refuses(bad):
    with refused(LimitError, match="name: must be 1 to 80 characters"):
        check_text("name", bad)


def test_a_zone_that_is_wanted_deeper_is_not_lightened_and_goes_to_the_toner_with_its_wish():
    deeper = zone(start=7, target=6)
    assert lanes_of((deeper,)) == ()
    (part,) = kept_parts_of((deeper,), ())
    assert (part.hair.start_level, part.target_level) == (7, 6)


def test_zone_application_time_is_sections_times_pace():
    assert zone(foil_count=8, pace_min_per_foil=1.25).application_min == 10.0


@given(st.floats(0.5, 4.0), st.floats(0.1, 2000.0))
def test_ratio_splits_without_loss(parts, total):
    product, developer = Ratio(parts).split_g(total)
    assert product + developer == pytest.approx(total)
    assert developer == pytest.approx(product * parts)


def test_label_limits_must_make_sense():
    with refused(LimitError, match="max_volume_on_scalp"):
        Lightener("l", "L", 1.5, 50, max_volume=10, max_volume_on_scalp=20)
    with refused(LimitError, match=r"label_max_min: .*10 to 90 min, got 5"):
        Lightener("l", "L", 1.5, 5)
    with refused(LimitError, match=r"dyes: must be shares that sum to 1, got 0\.9"):
        TonerShade("t", "T", 9, ((DyeFamily.VIOLET, 0.9),), 20, 1, 7)
    with refused(LimitError, match="dyes: must be at least one"):
        TonerShade("t", "T", 9, (), 20, 1, 7)
    with refused(LimitError, match="label_min_min"):
        TonerShade("t", "T", 9, ((DyeFamily.VIOLET, 1.0),), 5, 1, 7, label_min_min=6)


def test_values_are_frozen():
    hair = Hair(4.0)
    with pytest.raises(AttributeError):
        hair.start_level = 5.0
