"""The clock of a practice round: its device's, hurried or still, and never past what falls due."""

from __future__ import annotations

import datetime as dt

import pytest
from django.utils import timezone

from apps.services.models import PracticeRound

from .learner import Learner


def test_the_clock_is_the_devices_and_stops_when_nobody_tells_it(technician):
    learner = Learner(technician)
    later = learner.start + dt.timedelta(minutes=30)
    told = technician.put(f"/practice/{learner.id}/clock", {"at": later.isoformat(), "speed": 60})
    assert set(told) == {"now", "speed"}
    assert dt.datetime.fromisoformat(told["now"]) >= later
    row = PracticeRound.objects.get()
    row.clock["told_at"] = (timezone.now() - dt.timedelta(hours=3)).isoformat()
    row.save()
    now = dt.datetime.fromisoformat(learner.round()["now"])
    assert now == later + dt.timedelta(minutes=20)  # twenty seconds of its own at most
    still = technician.put(f"/practice/{learner.id}/clock", {"at": later.isoformat(), "speed": 0})
    assert still["now"] == learner.round()["now"]


@pytest.mark.parametrize(
    ("body", "field"),
    [
        ({"speed": 61}, "speed"),
        ({"speed": -1}, "speed"),
        ({"at": "9999-01-01T00:00:00Z"}, "at"),
        ({"at": "2026-01-01T00:00:00"}, "at"),
        ({"until": "9999-01-01T00:00:00Z"}, "until"),
        ({"until": "2026-01-01T00:00:00"}, "until"),
    ],
)
def test_a_clock_out_of_its_limits_is_refused_by_field(technician, body, field):
    learner = Learner(technician)
    whole = {"at": learner.start.isoformat(), "speed": 1} | body
    said = technician.put(f"/practice/{learner.id}/clock", whole, 422)
    assert field in said["field"]


def test_a_hurried_clock_stops_at_what_falls_due_however_late_the_device_tells_it(technician):
    learner = Learner(technician)
    due = learner.start + dt.timedelta(minutes=40)
    told = {"at": (due - dt.timedelta(minutes=2)).isoformat(), "speed": 60, "until": due.isoformat()}
    technician.put(f"/practice/{learner.id}/clock", told)
    row = PracticeRound.objects.get()
    row.clock["told_at"] = (timezone.now() - dt.timedelta(seconds=15)).isoformat()
    row.save()
    assert dt.datetime.fromisoformat(learner.round()["now"]) == due
    learner.act(40, "PracticeAsked", topic="stretch")  # an act then leaves it there, and one later takes it along
    assert dt.datetime.fromisoformat(learner.round()["now"]) == due
    technician.put(f"/practice/{learner.id}/clock", told | {"at": (due + dt.timedelta(minutes=1)).isoformat()})
    assert dt.datetime.fromisoformat(learner.round()["now"]) == due + dt.timedelta(minutes=1)


def test_an_act_of_the_round_takes_its_clock_along(technician):
    learner = Learner(technician)
    learner.to_chair()
    board = learner.act(50, "FoilOpened", zone_key="crown")
    assert dt.datetime.fromisoformat(board["server_now"]) >= learner.start + dt.timedelta(minutes=50)


def test_acts_while_the_clock_stands_keep_the_order_of_the_hand(technician):
    learner = Learner(technician)
    learner.to_chair()
    for kind, data in (
        ("BowlMixed", {"volume_strength": 20, "product_g": 20, "developer_g": 30}),
        ("ApplicationStarted", {"volume_strength": 20}),
        ("ApplicationFinished", {}),
        ("Rinsed", {}),
    ):
        board = learner.act(0, kind, zone_key="crown", **data)
    lane = next(x for x in board["board"]["lanes"] if x["key"] == "crown")
    assert lane["phase"] == "rinsed"
    assert board["conflicts"] == []
