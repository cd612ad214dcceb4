"""A demo left open goes on from where it stood."""

from __future__ import annotations

import datetime as dt

import pytest
from conftest import Actor
from demo import load_demo
from django.contrib.auth import get_user_model
from django.db.models import F
from django.utils import timezone

from apps.services.models import Service, ServiceEvent

pytestmark = pytest.mark.django_db


def test_a_demo_left_for_hours_is_woken_with_one_tap_and_nothing_but_time_is_changed():
    load_demo()
    maren = Actor(get_user_model().objects.get(username="maren"))
    assert maren.get("/session")["is_demo"]
    assert maren.get("/demo")["asleep_min"] is None
    hours = dt.timedelta(hours=5)
    ServiceEvent.objects.update(occurred_at=F("occurred_at") - hours, recorded_at=F("recorded_at") - hours)
    Service.objects.update(starts_at=F("starts_at") - hours)
    sid = str(Service.objects.get(client__name="Ilse Varga").pk)
    filed = Service.objects.filter(step="record").first()
    left = maren.get(f"/services/{sid}/board")["board"]
    assert any(x["is_passed_wall"] for x in left["lanes"])
    assert maren.get("/demo")["asleep_min"] == pytest.approx(300, abs=5)
    assert maren.post("/demo/wake", {})["asleep_min"] is None
    woken = maren.get(f"/services/{sid}/board")["board"]
    assert not any(x["is_passed_wall"] for x in woken["lanes"])
    assert [[r["level"] for r in x["readings"]] for x in woken["lanes"]] == [
        [r["level"] for r in x["readings"]] for x in left["lanes"]
    ]
    assert Service.objects.get(pk=filed.pk).starts_at == filed.starts_at  # what is filed stays
    last = ServiceEvent.objects.filter(service_id=sid).order_by("-occurred_at").first()
    assert last.occurred_at <= timezone.now()


def test_a_real_studio_is_never_moved_in_time(owner):
    assert owner.get("/demo")["asleep_min"] is None
    assert owner.post("/demo/wake", {}, 409)["code"] == "not_a_demo"
