"""A filed service as it is kept, and how one that version 1 kept is read today."""

import copy

import pytest
from told import refused, told

from fervens_core.base import LimitError, plain
from fervens_core.followup import read_filed
from fervens_core.head import History, Part, Porosity, ReadingMode, Thickness, Tone

LANE = {
    "key": "top.root", "zone_key": "top", "name": "Top root", "part": "root", "before": 4.0, "target": 8.0,
    "level": 7.5, "is_read": True, "before_hex": "#513727", "level_hex": "#b99360", "volume": 20.0, "minutes": 35.0,
    "applied_min": 6.0, "foils": 7, "applications": 1, "contact_min": 41.0, "volume_min": 820.0,
    "hair": "direct dye, fine, porosity high", "log_extent": 0.1, "log_rate": 0.0, "extent": 1.1, "rate": 1.0,
    "is_past_wall": False, "mixed_g": 40.0, "wasted_g": 5.0, "readings": [[10.0, 6.0, "wiped"]],
}  # fmt: skip
TONER = {
    "name": "Top root, root shadow", "formula": "Fog", "minutes": 15.0, "product_g": 12.0, "developer_g": 18.0,
    "hex": "#b99360", "wanted": "beige",
}  # fmt: skip
OLD = {
    "version": 1, "worked": "Small bowls", "change": "", "lightener_key": "chalk", "lightener_name": "Chalk",
    "lift_factor": 1.0, "lanes": [LANE], "toners": [TONER],
}  # fmt: skip


def test_what_version_1_kept_is_read_with_its_prose_taken_apart():
    filed = read_filed(OLD)
    lane, toner = filed.lanes[0], filed.toners[0]
    assert (lane.zone, lane.part, told(lane.label)) == ("Top", Part.ROOT, "Top root")
    assert (lane.history, lane.thickness, lane.porosity) == (History.DIRECT_DYE, Thickness.FINE, Porosity.HIGH)
    assert (lane.readings[0].minute, lane.readings[0].mode) == (10.0, ReadingMode.WIPED)
    assert (toner.zone, toner.is_shadow, toner.wanted, told(toner.label)) == (
        "Top", True, Tone.BEIGE, "Top root, root shadow",
    )  # fmt: skip
    assert filed.worked == "Small bowls"


def test_a_lane_lightened_again_keeps_its_zone_its_part_and_that_it_was_again():
    old = copy.deepcopy(OLD)
    old["lanes"] = [LANE | {"key": "top.again", "name": "Top lengths again", "part": "lengths"}]
    del old["lanes"][0]["applications"]  # the oldest did not count them
    lane = read_filed(old).lanes[0]
    assert (lane.zone, lane.part, lane.is_again, lane.applications) == ("Top", Part.LENGTHS, True, 1)
    assert told(lane.label) == "Top lengths again"


def test_what_is_kept_today_comes_back_the_same():
    filed = read_filed(OLD)
    assert plain(filed)["version"] == 2
    assert read_filed(plain(filed), "summary") == filed


@pytest.mark.parametrize(
    ("change", "match"),
    [
        ({"level": "high"}, r"summary.lanes\[0\].level: must be a number"),
        ({"rate": 50.0}, r"summary.lanes\[0\].rate: must be a number from 0.05 to 20"),
        ({"hair": "silk"}, "hair: must be as this program keeps it, got 'silk'"),
        ({"mood": 1}, r"mood: must be"),
    ],
)
def test_what_is_not_as_it_is_kept_is_named(change, match):
    with refused(LimitError, match=match):
        read_filed(OLD | {"lanes": [LANE | change]}, "summary")
