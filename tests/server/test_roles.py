"""The matrix of roles and acts, tried in full: who may not is refused by name, who may is not; docs/roles.md is it."""

from pathlib import Path
from uuid import uuid4

import pytest
from conftest import Actor, make_member, picture, to_chair, to_plan
from django.utils import timezone, translation

from apps.services.models import Photo, Service
from apps.studio.management.commands.roles import table
from apps.studio.policies import LEAD, MATRIX, may

from .test_service_flow import AGAIN
from .whole import run


def event(kind, **data):
    def ask(actor, ids):
        body = {"event_id": str(uuid4()), "kind": kind, "occurred_at": timezone.now().isoformat(), "data": data}
        return actor, "POST", f"/services/{ids['chair']}/events", body

    return ask


def asks(method, path, body=None):
    return lambda actor, ids: (actor, method, path.format(**ids), body)


def plan(actor, ids):
    revision = Service.objects.get(pk=ids["plan"]).revision
    return actor, "PUT", f"/services/{ids['plan']}/plan", {"revision": revision, "lightener_key": ids["lightener"]}


def version(actor, ids):
    revision = Service.objects.get(pk=ids["plan"]).revision
    return actor, "POST", f"/services/{ids['plan']}/plan/versions", {"revision": revision}


TRIES = {
    "acknowledge_a_caution": event("CautionAcknowledged", caution="professional_use"),
    "finish_a_consultation": lambda actor, ids: (
        actor,
        "POST",
        f"/services/{ids['new']}/events",
        {"event_id": str(uuid4()), "kind": "ConsultationFinished", "occurred_at": timezone.now().isoformat()},
    ),
    "read_a_patch_test": asks("PATCH", "/clients/{client}", {"patch_test_result": "positive"}),
    "write_a_plan": plan,
    "keep_a_plan": version,
    "take_a_plan_to_the_chair": asks("POST", "/services/{plan}/plan/take", {"event_id": str(uuid4())}),
    "change_a_strength": event("DeveloperChanged", zone_key="crown", volume_strength=15),
    "lighten_again": event("LighteningResumed", **AGAIN),
    "file_a_service": event("ServiceClosed"),
    "remove_a_filed_photo": asks("DELETE", "/services/{filed}/photos/{photo}"),
    "cancel_a_visit": asks("DELETE", "/services/{new}"),
    "move_a_visit": asks("PUT", "/services/{new}/time", {"starts_at": "2027-06-01T10:00:00Z"}),
    "take_a_service_file_in": asks(
        "POST", "/services/import", {"document": {"format": "fervens-service", "version": 2, "client": "X"}}
    ),
    "change_the_shelf": asks("POST", "/stock/developer", {"name": "15 vol", "volume_strength": 15}),
    "measure_the_card": asks("PUT", "/card", {"text": "CGATS.17"}),
    "make_links": asks("POST", "/links", {"kind": "feed"}),
    "revoke_links": asks("DELETE", "/links/{link}"),
    "take_clients_out": asks("GET", "/tables/clients"),
    "bring_clients_in": asks("POST", "/tables/clients", {"text": ""}),
    "erase_a_client": asks("POST", "/clients/{client}/erase", {"typed_name": "no"}),
    "add_members": asks("POST", "/members", {"username": "x", "role": "assistant", "password": "quite-long-words"}),
    "change_members": asks("PATCH", "/members/{member}", {"pace_min_per_foil": 1.0}),
    "change_the_studio": asks("PATCH", "/studio", {"pace_min_per_foil": 1.3}),
    "read_the_audit_trail": asks("GET", "/audit"),
    "take_the_studio_out": asks("GET", "/archive"),
    "bring_a_studio_in": lambda actor, ids: (actor, "ARCHIVE", "/archive", None),
}


@pytest.fixture
def ids(owner):
    filed = run(owner, client=owner.post("/clients", {"name": "Filed"}, 201), toner=False)
    added = owner.browser.post(f"/api/services/{filed}/photos", {"photo": picture()})
    chair = to_chair(owner, client=owner.post("/clients", {"name": "Chair"}, 201))["id"]
    owner.event(chair, "ApplicationStarted", minutes_ago=20, zone_key="crown", volume_strength=20)
    client = owner.post("/clients", {"name": "New"}, 201)["id"]
    return {
        "filed": filed,
        "photo": added.json()["photos"][0]["id"],
        "chair": chair,
        "plan": to_plan(owner, client=owner.post("/clients", {"name": "Plan"}, 201))["id"],
        "new": owner.post("/services", {"client_id": client}, 201)["id"],
        "client": client,
        "member": owner.get("/members")[0]["id"],
        "link": owner.post("/links", {"kind": "feed"}, 201)["id"],
        "lightener": owner.get("/shelf")["lighteners"][0]["key"],
    }


def status(actor, ids, act):
    actor, method, path, body = TRIES[act](actor, ids)
    if method == "ARCHIVE":
        answer = actor.browser.post(f"/api{path}", {"file": picture()})
    else:
        import json

        answer = actor.browser.generic(method, f"/api{path}", json.dumps(body or {}), "application/json")
    refused = answer.status_code == 403 and answer.json()["code"] == "not_allowed"
    return refused, answer


def test_every_act_is_tried():
    assert set(TRIES) == set(MATRIX)


@pytest.mark.parametrize("act", MATRIX)
@pytest.mark.parametrize("role", ["owner", "technician", "assistant"])
def test_who_may_not_is_refused_by_name_and_who_may_is_not(owner, ids, act, role):
    actor = owner if role == "owner" else Actor(make_member(owner.user.membership.studio, role))
    refused, answer = status(actor, ids, act)
    assert refused is not may(role, act), answer.content[:200]
    if refused:
        assert ("technician" if MATRIX[act] == LEAD else "owner") in answer.json()["detail"]


def test_an_assistant_mixes_what_is_planned_and_nothing_else(owner, ids):
    helper = Actor(make_member(owner.user.membership.studio, "assistant"))
    fresh = to_chair(owner, client=owner.post("/clients", {"name": "Fresh"}, 201))["id"]
    (lane,) = owner.get(f"/services/{fresh}/board")["board"]["lanes"]
    planned = lane["volume_strength"]
    start = {"zone_key": lane["key"], "volume_strength": 10 if planned != 10 else 15}
    assert helper.event(fresh, "ApplicationStarted", 403, **start)["code"] == "not_allowed"
    helper.event(fresh, "ApplicationStarted", **(start | {"volume_strength": planned}))


def test_a_photo_of_a_service_that_is_not_filed_an_assistant_may_take_out(owner, ids):
    helper = Actor(make_member(owner.user.membership.studio, "assistant"))
    added = helper.browser.post(f"/api/services/{ids['chair']}/photos", {"photo": picture()}).json()
    helper.ask("DELETE", f"/services/{ids['chair']}/photos/{added['photos'][0]['id']}")
    assert Photo.objects.count() == 1


def test_the_page_of_roles_is_the_matrix_whatever_language_was_spoken_before():
    page = Path(__file__).parents[2] / "docs" / "roles.md"
    with translation.override("es"):
        assert page.read_text() == table()
