"""What a studio on its own server needs: it says whether it can work, keeps an owner, and takes no act twice."""

import contextlib
import json
import socket
import threading
import time
from unittest.mock import patch
from uuid import uuid4

import pytest
from asgiref.sync import async_to_sync
from conftest import PASSWORD, Actor, make_member, make_studio, to_chair
from django.contrib.auth.hashers import PBKDF2PasswordHasher
from django.core.cache import cache
from django.db import DatabaseError, connection
from django.test import Client as Browser

from apps.services.chair.stream import LINES_MAX
from apps.services.models import ServiceEvent
from apps.studio.models import Membership
from apps.studio.throttle import TRIES
from config.limits import _limit

from .test_live import Stream
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


# ---- bodies are counted before they are read


def raw(address, head, pieces=()):
    """Status of the answer to a request sent by hand, and how many bytes were taken before it came."""
    host, port = address.removeprefix("http://").split(":")
    taken = 0
    with socket.create_connection((host, int(port)), timeout=20) as line:
        line.sendall(head.encode("latin-1"))
        try:
            for piece in pieces:
                line.sendall(b"%x\r\n%b\r\n" % (len(piece), piece))
                taken += len(piece)
        except (BrokenPipeError, ConnectionResetError):
            pass  # it has heard enough
        answer = b""
        with contextlib.suppress(ConnectionResetError):
            while part := line.recv(65536):
                answer += part
    return int(answer.split(b" ")[1]) if answer else 0, taken


@pytest.mark.parametrize("path", ["/api/session", "/api/archive", "/api/camera", "/api/services/x/photos"])
def test_a_stranger_s_large_body_is_refused_by_its_length(address, path):
    head = f"POST {path} HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 1500000000\r\n\r\n"
    assert raw(address, head)[0] == 413


def test_a_body_in_pieces_is_cut_off_where_it_is_too_much(address):
    head = "POST /api/session HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: chunked\r\n\r\n"
    status, taken = raw(address, head, (b"x" * 65536 for _ in range(4000)))
    assert status in (0, 413)  # the line may be closed before the word is read
    assert taken < 40_000_000  # of 262 MB; the rest lay on the line


def test_what_is_small_enough_goes_through(address):
    body = '{"username": "nobody", "password": "wrong"}'
    head = "POST /api/session HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nConnection: close\r\n"
    head += f"Content-Length: {len(body)}\r\n\r\n{body}"
    assert raw(address, head)[0] == 403  # no token of this page


def test_a_member_s_archive_may_be_large_and_a_stranger_s_may_not(rf_limit):
    assert rf_limit("/api/archive", signed_in=True) == 510_000_000
    assert rf_limit("/api/archive", signed_in=False) == 2_500_000
    assert rf_limit("/api/members", signed_in=True) == 2_500_000


@pytest.fixture
def rf_limit(transactional_db):
    actor = Actor(make_member(make_studio("The hair room"), "owner"))
    cookie = f"sessionid={actor.browser.cookies['sessionid'].value}".encode()

    def limit(path, *, signed_in):
        return async_to_sync(_limit)(path, {b"cookie": cookie} if signed_in else {b"cookie": b"sessionid=forged"})

    return limit


# ---- strangers stop nobody


def test_only_two_passwords_are_hashed_at_once_and_none_with_a_connection_in_hand(transactional_db, monkeypatch):
    studio = make_studio("The hair room")
    make_member(studio, "owner")
    going, most, held = 0, 0, []
    lock = threading.Lock()

    def slow(password, encoded):
        nonlocal going, most
        with lock:
            going += 1
            most = max(most, going)
            held.append(connection.connection is not None)
        time.sleep(0.05)
        with lock:
            going -= 1
        return False

    monkeypatch.setattr("apps.studio.backends.check_password", slow)
    name = Membership.objects.get().user.get_username()
    body = {"username": name, "password": "wrong-one-again"}
    answers = together(*(lambda: Actor().post("/session", body, None) for _ in range(10)))
    assert most == 2
    assert not any(held)
    assert {a["code"] for a in answers} <= {"wrong_password", "locked_out"}


def test_an_old_hash_is_made_anew_at_sign_in(transactional_db, nobody, settings):
    user = make_member(make_studio("The hair room"), "owner")
    user.password = PBKDF2PasswordHasher().encode(PASSWORD, "salt", iterations=1000)
    user.save()
    settings.PASSWORD_HASHERS = ["django.contrib.auth.hashers.PBKDF2PasswordHasher"]
    nobody.post("/session", {"username": user.get_username(), "password": PASSWORD})
    user.refresh_from_db()
    assert "$1000$" not in user.password
    assert user.check_password(PASSWORD)


def test_one_address_cannot_try_without_end(nobody):
    cache.clear()
    for i in range(TRIES):
        assert nobody.post("/session", {"username": f"n{i}", "password": "x"}, 401)["code"] == "wrong_password"
    busy = nobody.post("/session", {"username": "n", "password": "x"}, 429)
    assert busy["code"] == "sign_in_busy"
    other = nobody.browser.post(
        "/api/session", {"username": "n", "password": "x"}, content_type="application/json", REMOTE_ADDR="192.0.2.7"
    )
    assert other.status_code == 401
    cache.clear()


def test_a_session_opens_only_so_many_lines_and_closed_ones_count_no_more(address, owner):
    lines = [Stream(address, owner) for _ in range(LINES_MAX)]
    for line in lines:
        line.ready()
    refused = Stream(address, owner)
    assert refused.answer.status == 429
    assert json.loads(refused.answer.read())["code"] == "too_many_lines"
    for line in lines:
        line.answer.close()
        line.close()
    until = time.monotonic() + 20
    while time.monotonic() < until:
        again = Stream(address, owner)
        if again.answer.status == 200:
            break
        time.sleep(0.3)
    assert again.answer.status == 200
    again.close()
