"""Where zones hang on a drawn head."""

from __future__ import annotations

from dataclasses import replace

import pytest
from make import zone

from fervens_core.head import USUAL_HEAD, across


def test_the_usual_head_hangs_from_left_to_right_and_mirrored():
    places = {z.key: across(zone(z.key, 4, 8)) for z in USUAL_HEAD}
    assert len(set(places.values())) == 12
    for z in USUAL_HEAD:
        if z.mirror:
            assert places[z.key] == -places[z.mirror]
            assert (places[z.key] < 0) == z.key.startswith("left_")
        else:
            assert abs(places[z.key]) <= 0.2


@pytest.mark.parametrize(
    ("areas", "place"),
    [(("left_temple", "right_temple"), 0.0), (("left_side",), -0.8), (("crown/2",), -0.03), (("crown/1",), -0.07)],
)
def test_a_zone_of_several_areas_hangs_in_their_middle(areas, place):
    assert across(replace(zone("own", 4, 8), areas=areas)) == pytest.approx(place)


def test_a_zone_on_no_area_hangs_on_its_side():
    assert across(zone("left_quarter", 4, 8)) == -0.6
    assert across(zone("quarter", 4, 8)) == 0.0
