"""What a studio on its own server needs: it says whether it can work, keeps an owner, and takes no act twice."""

from unittest.mock import patch
from uuid import uuid4

import pytest
from conftest import Actor, make_member, make_studio, to_chair
from django.db import DatabaseError
from django.test import Client as Browser

from apps.services.models import ServiceEvent
from apps.studio.models import Membership

from .test_two_hands import together


def test_the_process_answers_without_the_database(db):
    with patch("config.health.connection.cursor", side_effect=DatabaseError):
        assert Browser().get("/healthz").content == b"ok\n"
        away = Browser().get("/readyz")
    assert (away.status_code, away.content) == (503, b"database away\n")


def test_it_is_ready_when_its_tables_are(db):
    assert Browser().get("/readyz").content == b"ready\n"
    with patch("config.health.MigrationExecutor.migration_plan", return_value=[("shelf", "next")]):
        behind = Browser().get("/readyz")
    assert (behind.status_code, behind.content) == (503, b"migrations waiting\n")
    assert Browser().post("/healthz").status_code == 405


def test_two_owners_who_demote_each_other_leave_one(transactional_db):
    studio = make_studio("The hair room")
    one, two = (make_member(studio, "owner") for _ in range(2))
    ids = {m.user: m.user.membership.pk for m in (Actor(one), Actor(two))}
    works = [
        lambda a=a, b=b: Actor(a).ask("PATCH", f"/members/{ids[b]}", {"role": "technician"}, None)
        for a, b in ((one, two), (two, one))
    ]
    answers = together(*works)
    assert Membership.objects.filter(studio=studio, role="owner").count() == 1
    assert sum("code" in a for a in answers) == 1


@pytest.mark.parametrize("password", ["wrenadair-2026", "Wren.Adair.1", "adairwren!"])
def test_a_password_like_the_name_is_refused(owner, password):
    body = {"username": "wrenadair", "first_name": "Wren", "last_name": "Adair", "role": "assistant"}
    assert owner.post("/members", body | {"password": password}, 422)["field"] == "password"
    assert owner.post("/members", body | {"password": "quite-another-thing"}, 201)["username"] == "wrenadair"


def test_an_id_with_another_body_is_refused_and_the_same_is_taken_once(owner):
    sid = to_chair(owner)["id"]
    event_id = str(uuid4())
    first = {"event_id": event_id, "zone_key": "crown", "volume_strength": 20}
    owner.event(sid, "ApplicationStarted", **first)
    owner.event(sid, "ApplicationStarted", **first)
    other = owner.event(sid, "ApplicationStarted", 409, **(first | {"volume_strength": 30}))
    assert (other["code"], "another act: ApplicationStarted" in other["detail"]) == ("event_id_taken", True)
    assert owner.event(sid, "Rinsed", 409, event_id=event_id, zone_key="crown")["code"] == "event_id_taken"
    (row,) = ServiceEvent.objects.filter(event_id=event_id)
    assert row.data["volume_strength"] == 20
