"""Members' eyes: learnt when a service is filed, shown in words, subtracted at the chair, kept apart by studio."""

import pytest
from conftest import to_chair

from apps.services import loading
from apps.services.models import Service
from apps.studio.models import Studio
from fervens_core.chair import head_belief


def rinsed(actor):
    """A crown that was wiped and read just before its rinse, and read dry after it."""
    sid = to_chair(actor)["id"]
    actor.event(sid, "ApplicationStarted", minutes_ago=40, zone_key="crown", volume_strength=20)
    actor.event(sid, "ApplicationFinished", minutes_ago=36, zone_key="crown")
    actor.event(sid, "ReadingTaken", minutes_ago=13, zone_key="crown", level=7.5, mode="wiped")
    actor.event(sid, "Rinsed", minutes_ago=12, zone_key="crown")
    actor.event(sid, "ReadingTaken", minutes_ago=5, zone_key="crown", level=7, mode="dry")
    return sid


def test_filing_teaches_the_eye_of_whoever_read_twice(owner, stranger):
    assert owner.get("/eyes") == []
    sid = rinsed(owner)
    owner.event(sid, "ServiceClosed", worked="", change="")
    (eye,) = owner.get("/eyes")
    assert (eye["mode"], eye["pairs"], eye["is_calibrated"]) == ("wiped", 1, False)
    assert 0.0 < eye["bias"] < 0.4
    assert eye["bias_std"] < 0.25
    assert eye["says"].startswith("wiped: reads")
    assert eye["name"] == Service.objects.get().events.first().by_name
    assert stranger.get("/eyes") == []


@pytest.mark.parametrize("bias", [0.6, -0.6])
def test_what_is_known_of_an_eye_is_subtracted_at_the_chair_and_the_reading_is_kept(owner, bias):
    sid = rinsed(owner)
    row = loading.with_parts(Service.objects.filter(pk=sid)).get()
    by = row.events.first().by_name
    now = row.events.last().occurred_at

    def likely():
        there = loading.chair(loading.load(loading.with_parts(Service.objects.filter(pk=sid)).get()), now)
        assert there.state.lanes[0].readings[0].level == 7.5
        return head_belief(there).factors(0).extent

    before = likely()
    known = {"name": by, "mode": "wiped", "bias": bias, "bias_std": 0.08, "spread": 0.3, "pairs": 30}
    Studio.objects.filter(pk=row.studio_id).update(eyes=[known])
    assert (likely() < before) is (bias > 0)
