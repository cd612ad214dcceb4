"""Whatever the exported API schema allows, and what it does not: no request makes the server fail."""

import json
from pathlib import Path
from zlib import crc32

import pytest
import schemathesis
from conftest import picture
from hypothesis import HealthCheck, given, settings
from schemathesis.config import SchemathesisConfig

from .whole import run

ROOT = Path(__file__).parents[2]
EXPORTED = json.loads((ROOT / "docs" / "format" / "openapi.json").read_text())
schema = schemathesis.openapi.from_dict(EXPORTED, config=SchemathesisConfig())
EXAMPLES = 10


@pytest.fixture
def known(owner):
    """Ids that lead to rows, so that requests go past the door."""
    sid = run(owner)
    other = run(owner, file=False, client=owner.post("/clients", {"name": "Open"}, 201), toner=False)
    photo = owner.browser.post(f"/api/services/{sid}/photos", {"photo": picture()}).json()["photos"][0]["id"]
    return {
        "service_id": [sid, other],
        "client_id": [c["id"] for c in owner.get("/clients")["clients"]],
        "photo_id": [photo],
        "member_id": [m["id"] for m in owner.get("/members")],
        "link_id": [owner.post("/links", {"kind": "feed"}, 201)["id"]],
        "secret": [owner.post("/links", {"kind": "request"}, 201)["path"].split("/")[-1]],
        "key": ["crown", owner.get("/shelf")["lighteners"][0]["key"]],
    }


def ask(owner, known, case):
    """Send a case, three times in four to rows that are there; it may be refused, but not fail."""
    picks = case.path_parameters or {}
    for place, name in enumerate(picks):
        ids = known.get(name, [])
        if ids and crc32(case.formatted_path.encode()) % 4:
            picks[name] = ids[(len(case.formatted_path) + place) % len(ids)]
    case.path_parameters = picks
    sent = case.as_transport_kwargs(base_url="http://testserver")
    body = sent.get("json")
    data = json.dumps(body, default=str) if body is not None else sent.get("data") or ""
    kind = "application/json" if body is not None else (case.media_type or "application/octet-stream")
    if not isinstance(data, str | bytes):
        data, kind = json.dumps(data, default=str), "application/json"
    query = {k: v for k, v in (case.query or {}).items() if v is not None}
    answer = owner.browser.generic(case.method, case.formatted_path, data, content_type=kind, query_params=query)
    assert answer.status_code < 500, (case.method, case.formatted_path, query, data[:300], answer.content[:300])
    if hasattr(answer, "streaming_content"):
        assert b"".join(answer.streaming_content)
    return answer.status_code


def try_out(operation, does):
    """Ten cases of an operation, always the same ones."""

    @given(case=operation.as_strategy())
    @settings(max_examples=EXAMPLES, deadline=None, derandomize=True, suppress_health_check=list(HealthCheck))
    def check(case):
        does(case)

    check()


def test_no_request_makes_the_server_fail(owner, known):
    codes = {}
    for found in schema.get_all_operations():
        operation = found.ok()

        owner.browser.force_login(owner.user, backend="apps.studio.backends.StudioBackend")
        seen = codes.setdefault((operation.method, operation.path), set())
        try_out(operation, lambda case, seen=seen: seen.add(ask(owner, known, case)))
    assert len(codes) > 70
    assert sum(200 in c or 201 in c for c in codes.values()) > 35  # requests do get past the door
