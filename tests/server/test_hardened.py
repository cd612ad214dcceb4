"""What must not happen: peroxide in a wash, dye on who may react, 500 for rubbish, sessions that outlive a password."""

import datetime as dt
import json

import pytest
from conftest import PASSWORD, ZONE, consult, make_member, to_chair, to_plan
from django.contrib.auth import get_user_model
from django.utils import timezone

from apps.shelf.models import Toner

from .test_live import Stream, on_stream  # noqa: F401


def shade(actor, name):
    return next(t["key"] for t in actor.get("/shelf")["toners"] if t["name"] == name)


def rinsed(actor):
    sid = to_chair(actor)["id"]
    actor.event(sid, "BowlMixed", minutes_ago=52, zone_key="crown", volume_strength=20, product_g=20, developer_g=30)
    actor.event(sid, "ApplicationStarted", minutes_ago=50, zone_key="crown", volume_strength=20)
    actor.event(sid, "ApplicationFinished", minutes_ago=45, zone_key="crown")
    actor.event(sid, "Rinsed", minutes_ago=15, zone_key="crown")
    actor.event(sid, "ReadingTaken", minutes_ago=12, zone_key="crown", level=8, mode="dry")
    return sid


def test_a_wash_is_proposed_and_taken_without_developer(owner):
    sid = rinsed(owner)
    (bowl,) = owner.get(f"/services/{sid}/tone")["tone_step"]["bowls"]
    assert (bowl["developer_volume"], bowl["developer_g"]) == (None, 0.0)
    wash = shade(owner, "Wash 9")
    on = {"zone_key": "crown", "shade_key": wash, "shade_name": "Wash 9", "minutes": 6, "product_g": 12}
    problem = owner.event(sid, "TonerApplied", 409, **on, developer_g=12)
    assert problem["code"] == "no_peroxide"
    owner.event(sid, "TonerApplied", **on, developer_g=0)


def test_a_wash_is_kept_on_the_shelf_without_developer(owner):
    wash = Toner.objects.get(name="Wash 9")
    assert (wash.developer_parts, wash.developer_volume) == (None, None)
    problem = owner.ask("PATCH", f"/stock/toner/{wash.pk}", {"developer_volume": 5}, 422)
    assert "peroxide" in problem["detail"]


def test_an_allergy_text_locks_oxidative_toner_until_it_is_answered(owner):
    body = {"name": "Ida Fern", "patch_test_result": "negative", "patch_test_placed_at": "2026-06-01T09:00:00Z"}
    client = owner.post("/clients", body, 201)
    service = consult(owner, owner.post("/services", {"client_id": client["id"]}, 201), allergies="something in dye")
    assert service["is_reaction_open"]
    assert service["is_blocked"]
    assert "reaction_open" in [c["caution"]["code"] for c in service["cautions"]]
    answered = consult(owner, service, allergies="something in dye", reacts_to_oxidative=False)
    assert not answered["is_reaction_open"]
    assert not answered["is_blocked"]
    assert owner.get(f"/clients/{client['id']}")["reacts_to_oxidative"] is False


UNFIT = {
    "NUL": b'{"name": "a\\u0000b"}',
    "a lone surrogate": b'{"name": "\\ud800"}',
    "NaN": b'{"name": "Ada", "growth_mm_per_month": NaN}',
    "an infinity": b'{"name": "Ada", "growth_mm_per_month": 1e999}',
    "a key with NUL": b'{"a\\u0000": 1}',
    "no JSON": b"{",
    "a deep nest": b"[" * 50_000,
}


@pytest.mark.parametrize("body", list(UNFIT.values()), ids=list(UNFIT))
def test_unfit_text_and_numbers_are_refused_with_their_place(owner, body):
    answer = owner.browser.post("/api/clients", body, content_type="application/json")
    assert answer.status_code == 400
    assert json.loads(answer.content)["field"]


@pytest.mark.parametrize("path", ["/clients?search=%00", "/search?text=%00ab", "/clients/%00"])
def test_unfit_addresses_are_refused(owner, path):
    assert owner.browser.get(f"/api{path}").status_code in (400, 404)


def test_a_stream_ends_at_once_when_the_password_is_changed_or_the_member_signs_out(on_stream, owner, studio):  # noqa: F811
    from conftest import Actor

    user = make_member(studio, "technician")
    away = Actor(user)
    stream: Stream = on_stream(away).ready()
    member = next(m for m in owner.get("/members") if m["username"] == user.username)
    owner.ask("PATCH", f"/members/{member['id']}", {"password": "another-long-password"})
    stream.next("ended")
    user.refresh_from_db()
    again = Actor(user)
    second = on_stream(again).ready()
    again.ask("DELETE", "/session")
    second.next("ended")


@pytest.mark.parametrize(("address", "status"), [("127.0.0.1", 200), ("::1", 200), ("192.0.2.7", 401)])
def test_the_demos_sign_in_works_on_its_own_machine_only(demo, client, address, status):
    body = {"username": "maren", "password": PASSWORD}
    answer = client.post("/api/session", body, content_type="application/json", REMOTE_ADDR=address)
    assert answer.status_code == status


def test_a_studios_own_members_sign_in_from_anywhere(owner, client):
    body = {"username": get_user_model().objects.get(pk=owner.user.pk).username, "password": PASSWORD}
    answer = client.post("/api/session", body, content_type="application/json", REMOTE_ADDR="192.0.2.7")
    assert answer.status_code == 200


def test_a_simulated_readers_measurement_is_called_simulated_in_the_log(owner, reader):
    sid = to_chair(owner)["id"]
    owner.event(sid, "BowlMixed", minutes_ago=42, zone_key="crown", volume_strength=20, product_g=20, developer_g=30)
    owner.event(sid, "ApplicationStarted", minutes_ago=40, zone_key="crown", volume_strength=20)
    owner.event(sid, "ApplicationFinished", minutes_ago=35, zone_key="crown")
    found = owner.post(f"/services/{sid}/lanes/crown/measure")
    assert found["instrument"] == "simulated"
    read = {"zone_key": "crown", "level": found["level"], "mode": "wiped", "lab": found["lab"]}
    owner.event(sid, "ReadingTaken", **read, instrument=found["instrument"])
    assert "simulated colour reader" in owner.get(f"/services/{sid}/log")["lines"][0]["text"]


def test_short_nape_hair_is_planned_and_taken_within_the_skins_limit(owner):
    nape = ZONE | {"key": "nape", "name": "Nape", "length_mm": 40, "target_level": 9}
    service = to_plan(owner, zones=[nape])
    assert service["zones"][0]["touches_the_scalp"]
    plan = owner.get(f"/services/{service['id']}/plan")
    assert plan["lanes"][0]["volume_strength"] <= 20


def test_where_the_servers_clock_is_set_back_time_goes_on_from_the_log(owner, monkeypatch):
    service = to_chair(owner)["id"]
    board = owner.get(f"/services/{service}/board")
    key, volume = (board["board"]["lanes"][0][k] for k in ("key", "volume_strength"))
    owner.event(service, "ApplicationStarted", minutes_ago=2, zone_key=key, volume_strength=volume)
    owner.event(service, "ApplicationFinished", zone_key=key)
    real = timezone.now
    monkeypatch.setattr("django.utils.timezone.now", lambda: real() - dt.timedelta(hours=3))
    board = owner.get(f"/services/{service}/board")
    assert board["clock_behind_min"] == pytest.approx(180, abs=1)
    (lane,) = [x for x in board["board"]["lanes"] if x["key"] == key]
    assert lane["phase"] == "processing"
    owner.event(service, "ReadingTaken", zone_key=key, level=5.0, mode="wiped")
    owner.event(service, "Rinsed", zone_key=key)  # not before it was put on
    board = owner.get(f"/services/{service}/board")
    assert board["conflicts"] == []
    (lane,) = [x for x in board["board"]["lanes"] if x["key"] == key]
    assert (lane["phase"], len(lane["readings"])) == ("rinsed", 1)
