"""What whoever runs the server sees of it, never whose hair; and whose word on addresses counts."""

import json
import logging

import pytest
from asgiref.sync import async_to_sync
from django.core import mail
from django.test import Client as Browser

from apps.common.logs import ErrorMail, settings_of
from config.proxies import behind


@pytest.fixture
def lines(caplog):
    """Lines as a program reads them."""
    formatter = settings_of("json")["formatters"]["lines"]
    caplog.set_level(logging.INFO, "fervens.request")
    made = formatter["()"](processors=formatter["processors"], foreign_pre_chain=formatter["foreign_pre_chain"])
    yield lambda: [json.loads(made.format(r)) for r in caplog.records if r.name == "fervens.request"]
    settings_of("")


def test_every_request_is_one_line_with_an_id_and_tells_nothing_of_anyone(owner, lines):
    client = owner.post("/clients", {"name": "Ida Fern", "notes": "sore scalp"}, 201)
    secret = owner.post("/links", {"kind": "request"}, 201)["path"].split("/")[-1]
    Browser().get(f"/api/request/{secret}")
    answer = owner.browser.get("/api/search?text=Ida+Fern")
    told = lines()
    assert [x["route"] for x in told][-2:] == ["api/request/<secret>", "api/search"]
    last = told[-1]
    assert last["id"] == answer["X-Request-ID"]
    assert (last["method"], last["status"], last["level"], last["event"]) == ("GET", 200, "info", "request")
    assert last["member"] == owner.user.membership.pk
    assert last["studio"] == str(owner.user.membership.studio_id)
    assert last["queries"] > 0
    assert last["database_ms"] <= last["ms"]
    assert len({x["id"] for x in told}) == len(told)
    everything = json.dumps(told)
    for word in ("Ida", "Fern", secret, client["id"], "sore", "127.0.0.1", owner.user.username):
        assert word not in everything


def test_numbers_are_for_this_machine_or_for_who_brings_the_token(owner, settings):
    owner.get("/day")
    here = Browser().get("/metrics")
    text = here.content.decode()
    assert here.status_code == 200
    assert 'fervens_requests_total{method="GET",route="api/day",status="200"}' in text
    assert "fervens_database_seconds_total" in text
    assert Browser().get("/metrics", REMOTE_ADDR="203.0.113.7").status_code == 404
    settings.METRICS_TOKEN = "sesame"
    assert Browser().get("/metrics").status_code == 404
    assert Browser().get("/metrics", headers={"Authorization": "Bearer guess"}).status_code == 404
    brought = Browser().get("/metrics", headers={"Authorization": "Bearer sesame"}, REMOTE_ADDR="203.0.113.7")
    assert brought.status_code == 200


def test_an_error_goes_out_by_mail_without_what_was_typed_and_not_twice(settings):
    settings.ADMINS = [("Operator", "operator@studio.example")]
    handler, log = ErrorMail(), logging.getLogger("fervens.test")
    log.addHandler(handler)
    log.propagate = False
    try:
        for _ in range(3):
            try:
                name = "Ida Fern"
                raise ValueError(f"{name} has sore scalp")
            except ValueError:
                log.exception("It failed for Ida Fern")
    finally:
        log.removeHandler(handler)
    (sent,) = mail.outbox
    assert "ValueError" in sent.subject
    assert "test_watching.py" in sent.body
    assert "Ida" not in sent.body.replace('name = "Ida Fern"', "")


def asked_through(trusted, peer, **headers):
    """What the app sees of a request from a peer."""
    seen = {}

    async def app(scope, receive, send):
        seen.update(client=scope["client"][0], scheme=scope["scheme"], headers=dict(scope["headers"]))

    scope = {
        "type": "http",
        "scheme": "http",
        "client": (peer, 5000),
        "headers": [(k.replace("_", "-").encode(), v.encode()) for k, v in headers.items()] + [(b"host", b"x")],
    }
    async_to_sync(behind(trusted, app))(scope, None, None)
    return seen


FORGED = {"x_forwarded_for": "127.0.0.1", "x_forwarded_proto": "https", "x_real_ip": "127.0.0.1", "forwarded": "for=1"}


@pytest.mark.parametrize("trusted", [[], ["10.0.0.2"], ["10.1.0.0/16"]])
def test_forwarded_headers_of_strangers_change_nothing(trusted):
    seen = asked_through(trusted, "203.0.113.9", **FORGED)
    assert (seen["client"], seen["scheme"]) == ("203.0.113.9", "http")
    assert set(seen["headers"]) == {b"host"}


def test_a_named_proxy_tells_who_asks_and_what_a_client_put_before_it_does_not_count():
    told = {"x_forwarded_for": "127.0.0.1, 198.51.100.4", "x_forwarded_proto": "https"}
    for trusted in (["10.0.0.2"], ["10.0.0.0/8"]):
        seen = asked_through(trusted, "10.0.0.2", **told)
        assert (seen["client"], seen["scheme"]) == ("198.51.100.4", "https")
