"""Who may see and do what: every endpoint, for nobody, a stranger and each role."""

import datetime as dt
import json
from uuid import uuid4

import pytest
from conftest import PASSWORD, Actor, make_member, picture, to_plan
from django.contrib.auth import get_user_model
from django.test import Client as Browser
from django.utils import timezone

from config.api import api

PUBLIC = {
    ("get", "/api/session"),
    ("post", "/api/session"),
    ("get", "/api/begin"),
    ("post", "/api/begin"),
    ("get", "/api/feed/{secret}.ics"),
    ("get", "/api/request/{secret}"),
    ("post", "/api/request/{secret}"),
    ("get", "/api/invitation/{secret}"),
    ("post", "/api/invitation/{secret}"),
    ("post", "/api/reset"),
    ("get", "/api/reset/{uid}/{token}"),
    ("post", "/api/reset/{uid}/{token}"),
}
FILES = {
    "/api/services/{service_id}/photos": "photo",
    "/api/archive": "file",
    "/api/camera": "picture",
    "/api/services/{service_id}/lanes/{key}/camera": "picture",
}
"""What takes a file, and the name of its part."""


def endpoints():
    """Every method and path of the API, from its own schema, so that a new one cannot be forgotten."""
    return [(method, path) for path, methods in api.get_openapi_schema()["paths"].items() for method in methods]


BODIES = {
    "/api/clients": {"name": "X"},
    "/api/clients/{client_id}": {"name": "X"},
    "/api/services": {"client_id": "CLIENT"},
    "/api/shorthand": {"text": "5 all"},
    "/api/demo/wake": {},
    "/api/account/language": {"language": "de"},
    "/api/services/{service_id}/time": {"starts_at": "2030-01-01T10:00:00Z"},
    "/api/services/{service_id}/tone/try": {"shade_key": "x", "ids": ["crown"]},
    "/api/services/{service_id}/consultation": {"revision": 0, "zones": []},
    "/api/services/{service_id}/plan/preview": {"revision": 0, "lightener_key": "LIGHTENER"},
    "/api/services/{service_id}/plan": {"revision": 0, "lightener_key": "LIGHTENER"},
    "/api/services/{service_id}/plan/aims": {"revision": 0, "lightener_key": "LIGHTENER"},
    "/api/services/{service_id}/plan/versions": {"revision": 1},
    "/api/services/{service_id}/plan/take": {"event_id": str(uuid4())},
    "/api/services/{service_id}/strands/csv": {"revision": 1, "text": ""},
    "/api/services/import": {"document": {"format": "fervens-service", "version": 2, "client": "X"}},
    "/api/mix": {
        "lightener_key": "LIGHTENER",
        "product_g": 10,
        "pours": [{"volume_strength": 20, "mass_g": 15}],
        "wanted_volume": 20,
    },
    "/api/services/{service_id}/lanes/{key}/measure": {},
    "/api/services/{service_id}/addenda": {"text": "x"},
    "/api/services/{service_id}/photos": {},
    "/api/services/{service_id}/colours": {"text": "CGATS.17"},
    "/api/clients/{client_id}/again": {},
    "/api/services/{service_id}/reminder": {},
    "/api/clients/{client_id}/erase": {"typed_name": "x"},
    "/api/orders": {"what": "violet 9"},
    "/api/practice": {"head": "first", "seed": 1},
    "/api/practice/sharing": {"is_shared": False},
    "/api/practice/file": {"document": {"format": "fervens-round", "version": 1}},
    "/api/practice/drill": {},
    "/api/practice/drill/answers": {"seed": 1, "answers": [{"number": 0, "level": 7}]},
    "/api/practice/{service_id}/clock": {"at": "2026-01-01T00:00:00Z", "speed": 1},
    "/api/practice/{service_id}/end": {},
    "/api/practice/{service_id}/again": {},
    "/api/shelf/preview": {"text": ""},
    "/api/shelf/in": {"text": ""},
    "/api/stock/{kind}": {"name": "X", "volume_strength": 12},
    "/api/stock/{kind}/{key}": {"name": "X"},
    "/api/members": {"username": "x", "role": "assistant", "password": "a-long-one-for-tests"},
    "/api/members/{member_id}": {"role": "assistant"},
    "/api/members/{member_id}/reset": {},
    "/api/account": {"old_password": "x"},
    "/api/account/password": {"old_password": "x", "password": "y"},
    "/api/account/sign-out-everywhere": {},
    "/api/account/here": {},
    "/api/account/second-factor": {"old_password": "x"},
    "/api/account/recovery-codes": {"old_password": "x"},
    "/api/invitations": {"role": "assistant"},
    "/api/studio": {"name": "X"},
    "/api/links": {"kind": "feed"},
    "/api/learning/{key}/carry": {},
    "/api/learning/{key}/undo": {},
    "/api/tables/clients": {"text": ""},
    "/api/tables/clients/preview": {"text": ""},
    "/api/archive": {},
    "/api/card": {"text": "CGATS.17"},
    "/api/camera": {},
    "/api/services/{service_id}/lanes/{key}/camera": {},
    "/api/eyes/round": {"mode": "wiped", "pairs": []},
    "/api/services/{service_id}/events": {
        "event_id": str(uuid4()),
        "kind": "ConsultationFinished",
        "occurred_at": timezone.now().isoformat(),
    },
}


def call(actor, method, path, ids):
    body = {k: ids.get(v, v) if isinstance(v, str) else v for k, v in BODIES.get(path, {}).items()}
    own_key = "crown" if "/lanes/" in path else ids["LIGHTENER"]
    address = path.removeprefix("/api").format(
        client_id=ids["CLIENT"],
        service_id=ids["SERVICE"],
        key=own_key,
        kind="lightener",
        photo_id=ids["PHOTO"],
        member_id=ids["MEMBER"],
        link_id=ids["LINK"],
        invitation_id=ids["INVITATION"],
        secret="not-a-secret",
        seed=7,
        number=3,
    )
    if path in FILES and method == "post":
        return actor.browser.post(f"/api{address}", {FILES[path]: picture()})
    return actor.browser.generic(method.upper(), f"/api{address}", json.dumps(body), "application/json")


@pytest.fixture
def ids(owner):
    service = to_plan(owner)
    added = owner.browser.post(f"/api/services/{service['id']}/photos", {"photo": picture()})
    return {
        "PHOTO": added.json()["photos"][0]["id"],
        "MEMBER": owner.get("/members")[0]["id"],
        "INVITATION": owner.post("/invitations", {"role": "assistant"}, 201)["id"],
        "LINK": owner.post("/links", {"kind": "feed"}, 201)["id"],
        "CLIENT": service["client_id"],
        "SERVICE": service["id"],
        "LIGHTENER": owner.get("/shelf")["lighteners"][0]["key"],
    }


def test_the_matrix_knows_every_endpoint():
    written = [(m, p) for m, p in endpoints() if m in ("post", "put", "patch") and (m, p) not in PUBLIC]
    assert {p for _, p in written} == set(BODIES)
    assert len(endpoints()) >= 60


@pytest.mark.parametrize(("method", "path"), endpoints(), ids=lambda v: str(v))
def test_nobody_is_asked_to_sign_in(method, path, ids, nobody):
    if (method, path) in PUBLIC:
        return
    answer = call(nobody, method, path, ids)
    assert answer.status_code == 401
    assert answer["Content-Type"] == "application/problem+json"
    assert answer.json()["code"] == "signed_out"


OF_NOBODY = ("/api/stock/{kind}", "/api/eyes/strands/{seed}/{number}")
OWN = [e for e in endpoints() if "{" in e[1] and e[1] not in OF_NOBODY and e not in PUBLIC]


@pytest.mark.parametrize(("method", "path"), OWN, ids=lambda v: str(v))
def test_another_studios_rows_are_not_there(method, path, ids, stranger):
    technician = Actor(make_member(stranger.user.membership.studio, "technician"))
    for actor in (stranger, technician):
        answer = call(actor, method, path, ids)
        assert answer.status_code == 404
        assert answer.json()["code"] == "not_found"


def test_lists_hold_only_the_own_studios_rows(ids, stranger, owner):
    assert stranger.get("/clients")["total"] == 0
    assert stranger.get("/day")["services"] == []
    assert owner.get("/clients")["total"] == 1
    own = {x["key"] for x in owner.get("/shelf")["developers"]}
    assert own.isdisjoint(x["key"] for x in stranger.get("/shelf")["developers"])


def test_another_studios_rows_cannot_be_reached_through_a_body(ids, stranger, owner):
    client = stranger.post("/clients", {"name": "Theirs"}, 201)
    assert owner.post("/services", {"client_id": client["id"]}, 404)["code"] == "not_found"
    lightener = stranger.get("/shelf")["lighteners"][0]["key"]
    mix = BODIES["/api/mix"] | {"lightener_key": lightener}
    assert owner.post("/mix", mix, 404)["code"] == "not_found"
    body = {"revision": 0, "lightener_key": lightener}
    assert owner.post(f"/services/{ids['SERVICE']}/plan/preview", body, 404)["code"] == "not_found"


def test_only_owners_keep_house(ids, technician, assistant):
    for actor in (technician, assistant):
        assert actor.get("/audit", 403)["code"] == "not_allowed"
        assert actor.get("/archive", 403)["code"] == "not_allowed"
        assert actor.post("/members", BODIES["/api/members"], 403)["code"] == "not_allowed"
        assert actor.ask("PATCH", f"/members/{ids['MEMBER']}", {"role": "assistant"}, 403)["code"] == "not_allowed"
        assert actor.ask("PATCH", "/studio", {"name": "X"}, 403)["code"] == "not_allowed"
        assert call(actor, "post", "/api/archive", ids).status_code == 403


def test_an_assistant_does_not_change_the_shelf_nor_take_clients_out(ids, assistant):
    for method, path in (
        ("post", "/api/stock/{kind}"),
        ("patch", "/api/stock/{kind}/{key}"),
        ("delete", "/api/stock/{kind}/{key}"),
        ("post", "/api/learning/{key}/undo"),
        ("post", "/api/links"),
        ("delete", "/api/links/{link_id}"),
        ("get", "/api/tables/clients"),
        ("post", "/api/tables/clients"),
        ("post", "/api/clients/{client_id}/erase"),
    ):
        assert call(assistant, method, path, ids).status_code == 403, path


def test_an_assistant_works_the_chair_but_does_not_lead(ids, assistant, owner):
    service = ids["SERVICE"]
    assert assistant.get(f"/services/{service}")["step"] == "plan"
    refused = assistant.post(f"/services/{service}/plan/take", {"event_id": str(uuid4())}, 403)
    assert refused["code"] == "not_allowed"
    assert "assistant cannot take a plan" in refused["detail"]
    board = owner.post(f"/services/{service}/plan/take", {"event_id": str(uuid4())})["board"]
    planned = board["lanes"][0]["volume_strength"]
    assistant.event(service, "ApplicationStarted", zone_key="crown", volume_strength=planned)
    assistant.event(service, "Rinsed", zone_key="crown")
    assert assistant.event(service, "ServiceClosed", 403)["code"] == "not_allowed"
    body = {"revision": 1, "lightener_key": ids["LIGHTENER"]}
    assert assistant.put(f"/services/{service}/plan", body, 403)["code"] == "not_allowed"
    assert assistant.post(f"/services/{service}/plan/versions", {"revision": 1}, 403)["code"] == "not_allowed"
    assert assistant.post("/services/import", BODIES["/api/services/import"], 403)["code"] == "not_allowed"


def sign_in(browser, username, password):
    return browser.post("/api/session", {"username": username, "password": password}, content_type="application/json")


def test_signing_in_and_out(studio):
    user = make_member(studio, "technician")
    browser = Browser()
    assert browser.get("/api/session").json()["member_name"] is None
    wrong = sign_in(browser, user.username, "not it")
    assert (wrong.status_code, wrong.json()["code"]) == (401, "wrong_password")
    assert sign_in(browser, user.username, PASSWORD).json()["studio_name"] == "The hair room"
    assert browser.get("/api/shelf").status_code == 200
    assert browser.delete("/api/session").status_code == 200
    assert browser.get("/api/shelf").status_code == 401


def test_guessing_is_throttled(studio, settings):
    user = make_member(studio, "technician")
    browser = Browser()
    codes = [
        sign_in(browser, user.username, f"guess {i}").json()["code"] for i in range(settings.AXES_FAILURE_LIMIT + 1)
    ]
    assert codes[0] == "wrong_password"
    assert codes[-1] == "locked_out"
    assert sign_in(browser, user.username, PASSWORD).status_code == 403


def test_an_account_without_a_studio_is_told_so(db):
    get_user_model().objects.create_user("loose", password=PASSWORD)
    assert sign_in(Browser(), "loose", PASSWORD).json()["code"] == "no_studio"


def test_writing_needs_the_csrf_token(owner):
    browser = Browser(enforce_csrf_checks=True)
    browser.force_login(owner.user, backend="apps.studio.backends.StudioBackend")
    assert browser.post("/api/clients", {"name": "X"}, content_type="application/json").status_code == 403
    token = browser.get("/").cookies["csrftoken"].value
    answer = browser.post(
        "/api/clients", {"name": "X"}, content_type="application/json", headers={"X-CSRFToken": token}
    )
    assert answer.status_code == 201
    assert sign_in(Browser(enforce_csrf_checks=True), "x", "y").status_code == 403


def test_pages_carry_strict_headers(nobody):
    answer = nobody.browser.get("/")
    policy = answer["Content-Security-Policy"]
    assert "script-src 'self'" in policy
    assert "unsafe" not in policy
    assert answer["X-Frame-Options"] == "DENY"
    assert answer["X-Content-Type-Options"] == "nosniff"


def test_admin_shows_staff_only_their_own_studio(ids, stranger, owner):
    from django.contrib.auth.models import Permission

    user = owner.user
    user.is_staff = True
    user.save()
    user.user_permissions.set(Permission.objects.filter(codename__in=["view_client", "view_studio", "view_auditentry"]))
    stranger.post("/clients", {"name": "Hidden Person"}, 201)
    page = owner.browser.get("/admin/clients/client/").content.decode()
    assert "Ida Fern" in page
    assert "Hidden Person" not in page
    assert "Another studio" not in owner.browser.get("/admin/studio/studio/").content.decode()
    assert "ConsultationFinished" in owner.browser.get("/admin/studio/auditentry/").content.decode()
    assert owner.browser.get("/admin/studio/auditentry/add/").status_code == 403


def test_a_session_ends(owner, settings):
    session = owner.browser.session
    session.set_expiry(dt.timedelta(seconds=-1))
    session.save()
    assert owner.get("/shelf", 401)["code"] == "signed_out"
