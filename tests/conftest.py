"""What the server and browser tests share: a studio with members and a shelf, and ways to act as them."""

from __future__ import annotations

import datetime as dt
import io
import json
import os
import socket
import threading
import time
from pathlib import Path
from typing import Any
from uuid import uuid4

import pytest
from django.contrib.auth import get_user_model
from django.core.cache import cache
from django.core.management import call_command
from django.test import Client as Browser
from django.utils import timezone, translation
from PIL import Image

from apps.common.words import measure_in
from fervens_words import METRIC

os.environ.setdefault("DJANGO_ALLOW_ASYNC_UNSAFE", "true")  # the browser driver runs a loop of its own

ROOT = Path(__file__).parent.parent
PASSWORD = "a-long-password-for-tests"


@pytest.fixture(autouse=True)
def _quick_passwords(settings):
    settings.PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]
    settings.REQUEST_PUZZLE_BITS = 4
    settings.ALLOWED_HOSTS = ["testserver", "127.0.0.1", "localhost"]


@pytest.fixture(autouse=True)
def _nobody_tried_before():
    cache.clear()
    translation.deactivate()  # a request leaves its language in the thread that answered it
    measure_in(METRIC)


@pytest.fixture
def address(transactional_db):
    """A real server in a thread, on the test database."""
    import uvicorn

    from config.asgi import application

    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    config = uvicorn.Config(application, port=port, log_level="error", lifespan="off", timeout_graceful_shutdown=1)
    server = uvicorn.Server(config)
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    for _ in range(200):
        if server.started:
            break
        time.sleep(0.02)
    yield f"http://127.0.0.1:{port}"
    server.should_exit = True
    thread.join(timeout=10)


@pytest.fixture
def reader(monkeypatch):
    """A simulated colour reader on a free port."""
    from fervens_cli.reader import ReaderServer

    with ReaderServer(0) as server:
        threading.Thread(target=server.serve_forever, daemon=True).start()
        monkeypatch.setenv("FERVENS_READER", f"127.0.0.1:{server.server_address[1]}")
        yield server
        server.shutdown()


class Actor:
    """A browser session of one member, speaking JSON."""

    def __init__(self, user: Any = None) -> None:
        self.browser = Browser()
        self.user = user
        if user is not None:
            self.browser.force_login(user, backend="apps.studio.backends.StudioBackend")

    def ask(self, method: str, path: str, body: Any = None, expect: int | None = 200) -> Any:
        answer = self.browser.generic(
            method, f"/api{path}", json.dumps(body) if body is not None else "", content_type="application/json"
        )
        if expect is not None:
            assert answer.status_code == expect, answer.content[:500]
        return answer.json()

    def get(self, path: str, expect: int = 200) -> Any:
        return self.ask("GET", path, None, expect)

    def post(self, path: str, body: Any = None, expect: int = 200) -> Any:
        return self.ask("POST", path, {} if body is None else body, expect)

    def put(self, path: str, body: Any, expect: int = 200) -> Any:
        return self.ask("PUT", path, body, expect)

    def event(
        self,
        service: str,
        kind: str,
        expect: int = 200,
        *,
        event_id: str | None = None,
        minutes_ago: float = 0,
        **data: Any,
    ) -> Any:
        at = timezone.now() - dt.timedelta(minutes=minutes_ago)
        body = {"event_id": event_id or str(uuid4()), "kind": kind, "occurred_at": at.isoformat(), "data": data}
        return self.post(f"/services/{service}/events", body, expect)


def picture(width: int = 40, height: int = 30, *, kind: str = "JPEG", exif: bytes | None = None) -> Any:
    """A small picture as a browser sends it."""
    out = io.BytesIO()
    out.name = f"hair.{kind.lower()}"
    Image.new("RGB", (width, height), (150, 120, 80)).save(out, kind, **({"exif": exif} if exif else {}))
    out.seek(0)
    return out


def make_studio(name: str) -> Any:
    from apps.shelf.models import Developer, Lightener, Toner
    from apps.studio.models import Studio

    studio = Studio.objects.create(name=name)
    Lightener.objects.create(studio=studio, name="Chalk powder", label_max_min=50)
    for volume in (7, 10, 20, 30, 40):
        Developer.objects.create(studio=studio, name=f"Developer {volume}", volume_strength=volume)
    Toner.objects.create(
        studio=studio,
        name="Fog 9",
        level=9,
        dyes={"violet": 0.6, "blue": 0.4},
        developer_parts=1.5,
        developer_volume=7,
    )
    Toner.objects.create(
        studio=studio, name="Wash 9", level=9, dyes={"violet": 1.0}, is_oxidative=False, label_max_min=10
    )
    return studio


def make_member(studio: Any, role: str) -> Any:
    from apps.studio.models import Membership

    user = get_user_model().objects.create_user(f"{role}-{uuid4().hex[:8]}", password=PASSWORD, first_name=role.title())
    Membership.objects.create(user=user, studio=studio, role=role)
    return user


@pytest.fixture
def studio(db):
    return make_studio("The hair room")


@pytest.fixture
def owner(studio):
    return Actor(make_member(studio, "owner"))


@pytest.fixture
def technician(studio):
    return Actor(make_member(studio, "technician"))


@pytest.fixture
def assistant(studio):
    return Actor(make_member(studio, "assistant"))


@pytest.fixture
def stranger(db):
    return Actor(make_member(make_studio("Another studio"), "owner"))


@pytest.fixture
def nobody(db):
    return Actor()


@pytest.fixture
def demo(db):
    call_command("load_demo", username="maren", password=PASSWORD, verbosity=0)
    return Actor(get_user_model().objects.get(username="maren"))


COMPUTED = ("start_hex", "target_hex", "part_hexes", "pieces_hexes", "touches_the_scalp")
"""What the server adds to a zone; it is not sent back."""
ZONE = {"key": "crown", "name": "Crown", "start_level": 4, "target_level": 8, "foil_count": 5}


def consult(
    actor: Actor, service: dict[str, Any], zones: list[dict[str, Any]] | None = None, **more: Any
) -> dict[str, Any]:
    told = [ZONE] if zones is None else [{k: v for k, v in z.items() if k not in COMPUTED} for z in zones]
    body = {"revision": service["revision"], "zones": told, **more}
    return actor.put(f"/services/{service['id']}/consultation", body)


def to_plan(
    actor: Actor, client: dict[str, Any] | None = None, zones: list[dict[str, Any]] | None = None
) -> dict[str, Any]:
    """A service read and acknowledged, standing at its plan."""
    client = client or actor.post("/clients", {"name": "Ida Fern"}, 201)
    service = consult(actor, actor.post("/services", {"client_id": client["id"]}, 201), zones)
    for entry in service["cautions"]:
        actor.event(service["id"], "CautionAcknowledged", caution=entry["caution"]["code"])
    actor.event(service["id"], "ConsultationFinished")
    return actor.get(f"/services/{service['id']}")


def to_chair(actor: Actor, choice: dict[str, Any] | None = None, **more: Any) -> dict[str, Any]:
    """A service whose plan, with some choices of its own, was taken to the chair an hour ago."""
    from apps.services.models import ServiceEvent

    service = to_plan(actor, **more)
    if any((choice or {}).values()):
        plan = actor.get(f"/services/{service['id']}/plan")
        body = {"revision": plan["revision"], "lightener_key": plan["lightener_key"]}
        actor.put(f"/services/{service['id']}/plan", body | (choice or {}))
    actor.post(f"/services/{service['id']}/plan/take", {"event_id": str(uuid4())})
    for row in ServiceEvent.objects.filter(service_id=service["id"]):
        row.occurred_at -= dt.timedelta(hours=1)
        row.save()
    return actor.get(f"/services/{service['id']}")
