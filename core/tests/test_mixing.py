"""Bowls and blends. The alligation rule (Pearson square) is checked by its own arithmetic."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from make import BOTTLES

from fervens_core.errors import LimitError
from fervens_core.mixing import Bowl, Pour, blend, bowls_for
from fervens_core.products import Developer
from fervens_core.quantities import Ratio


def test_equal_parts_of_20_and_30_make_25():
    # common practice, and arithmetic
    pours = blend(25.0, 36.0, BOTTLES)
    assert [(p.developer.volume_strength, p.mass_g) for p in pours] == [(20, 18.0), (30, 18.0)]


def test_seven_raised_by_additions_of_twenty_climbs_step_by_step():
    strengths = [Bowl(10.0, (Pour(BOTTLES[0], 30.0), Pour(BOTTLES[2], 10.0 * n))).volume_strength for n in range(1, 5)]
    assert strengths == sorted(strengths)
    assert strengths[0] == pytest.approx((30 * 7 + 10 * 20) / 40)


@given(st.floats(7.0, 40.0), st.floats(1.0, 500.0))
def test_blend_has_the_strength_and_the_mass(wanted, mass):
    pours = blend(wanted, mass, BOTTLES)
    assert len(pours) <= 2
    assert sum(p.mass_g for p in pours) == pytest.approx(mass)
    mixed = sum(p.mass_g * p.developer.volume_strength for p in pours) / mass
    assert mixed == pytest.approx(wanted, abs=0.05)


@given(st.floats(7.2, 39.8))
def test_pearson_square(wanted):
    pours = blend(wanted, 100.0, BOTTLES)
    if len(pours) == 2:
        low, high = (p.developer.volume_strength for p in pours)
        # parts of the weak bottle are strong minus wanted, and the other way round
        assert pours[0].mass_g / pours[1].mass_g == pytest.approx((high - wanted) / (wanted - low), rel=1e-6)


def test_a_strength_outside_the_bottles_is_named():
    with pytest.raises(LimitError, match=r"volume_strength: must be from 7 to 40 vol .*got 5.0"):
        blend(5.0, 10.0, BOTTLES)
    with pytest.raises(LimitError, match="bottles"):
        blend(20.0, 10.0, ())


def test_a_long_zone_takes_fresh_bowls():
    wanted = {"foil_count": 20, "bowl_life_min": 20.0, "ratio": Ratio(1.5), "volume_strength": 20.0, "bottles": BOTTLES}
    assert len(bowls_for(application_min=20.0, **wanted)) == 1
    two = bowls_for(application_min=24.0, **wanted)
    assert len(two) == 2
    # over-mixed by 8 %, rather than run out
    assert sum(b.total_g for b in two) == pytest.approx(20 * 7.0 * 1.08)
    assert two[0].product_g * 1.5 == pytest.approx(two[0].total_g - two[0].product_g)


def test_one_bottle_is_poured_alone():
    assert blend(20.02, 40.0, (Developer("a", "A", 20.0),)) == (Pour(Developer("a", "A", 20.0), 40.0),)
