"""Several devices on one service: told at once, merged, a conflict kept and shown; and what may be done to a lane."""

import asyncio
import datetime as dt
import http.client
import json
import threading
import time
from urllib.parse import urlsplit
from uuid import uuid4

import pytest
from conftest import ZONE, to_chair
from django.utils import timezone

from apps.common.hub import Hub
from apps.services.models import ServiceEvent
from apps.shelf.models import Lightener


class Stream:
    """A device's open stream of server-sent events."""

    def __init__(self, address, actor, service=""):
        place = urlsplit(address)
        self.line = http.client.HTTPConnection(place.hostname, place.port, timeout=15)
        cookies = "; ".join(f"{k}={v.value}" for k, v in actor.browser.cookies.items())
        self.line.request("GET", f"/api/stream?service={service}", headers={"Cookie": cookies})
        self.answer = self.line.getresponse()

    def next(self, wanted):
        """The next event of a name, and its data; others are passed over."""
        name, until = None, time.monotonic() + 10
        while time.monotonic() < until:
            text = self.answer.readline().decode().strip()
            if text.startswith("event: "):
                name = text.removeprefix("event: ")
            elif text.startswith("data: ") and name == wanted:
                return json.loads(text.removeprefix("data: "))
        raise AssertionError(f"no {wanted} within ten seconds")

    def ready(self):
        """Wait until what happens is told here."""
        if not self.next("hello")["is_live"]:
            assert self.next("changed") == {"what": "resync"}
        return self

    def heard_nothing(self, name):
        """Whether no event of a name came before the next ping."""
        while text := self.answer.readline().decode().strip() or " ":
            if text.startswith("event: "):
                return text.removeprefix("event: ") != name
        return True

    def close(self):
        self.line.close()


@pytest.fixture
def on_stream(address):
    opened = []

    def open_one(actor, service=""):
        opened.append(Stream(address, actor, service))
        return opened[-1]

    yield open_one
    for stream in opened:
        stream.close()


def waiting(actor):
    service = to_chair(actor)["id"]
    return service, actor.get(f"/services/{service}/board")


def processing(actor, minutes_ago=30.0):
    service, _ = waiting(actor)
    actor.event(service, "ApplicationStarted", zone_key="crown", volume_strength=20, minutes_ago=minutes_ago + 4)
    actor.event(service, "ApplicationFinished", zone_key="crown", minutes_ago=minutes_ago)
    return service


def test_a_stream_tells_its_studio_and_nobody_else(on_stream, owner, assistant, stranger):
    service, board = waiting(owner)
    here, elsewhere = on_stream(assistant).ready(), on_stream(stranger).ready()
    assert here.answer.getheader("Content-Type") == "text/event-stream"
    owner.event(service, "ApplicationStarted", zone_key="crown", volume_strength=20)
    began = time.monotonic()
    told = here.next("changed")
    assert time.monotonic() - began < 1.0  # once it is logged
    assert (told["service"], told["what"]) == (service, "ApplicationStarted")
    assert told["position"] == owner.get(f"/services/{service}/board")["position"] > board["position"]
    # the other studio hears of its own service only
    theirs, _ = waiting(stranger)
    heard = elsewhere.next("changed")
    assert heard["service"] == theirs


def test_who_comes_first_is_greeted_once_the_line_stands_and_takes_nothing_anew(on_stream, owner):
    service, board = waiting(owner)
    first = on_stream(owner)
    assert first.next("hello")["is_live"]  # "behind" flashed at every opening while the line was still being laid
    first.close()
    again = on_stream(owner, service)
    told = again.next("hello")
    assert (told["is_live"], told["position"]) == (True, board["position"])
    owner.event(service, "ApplicationStarted", zone_key="crown", volume_strength=20)
    assert again.next("changed")["what"] == "ApplicationStarted"  # and no "resync" before it


def test_a_line_that_does_not_stand_is_told_as_behind_and_made_good(on_stream, owner, monkeypatch):
    stands = threading.Event()
    listen = Hub._listen

    async def late(self):
        await asyncio.to_thread(stands.wait)
        await listen(self)

    monkeypatch.setattr(Hub, "_listen", late)
    monkeypatch.setattr("apps.common.hub.STANDS_S", 0.2)
    service, _ = waiting(owner)
    here = on_stream(owner, service)
    told = here.next("hello")
    assert (told["is_live"], "position" in told) == (False, False)
    stands.set()
    assert here.next("changed") == {"what": "resync"}


def test_a_service_that_is_begun_is_told_to_the_day_of_the_others(on_stream, owner, assistant):
    here = on_stream(assistant).ready()
    client = owner.post("/clients", {"name": "Ilse Varga"}, 201)
    begun = owner.post("/services", {"client_id": client["id"]}, 201)
    told = here.next("changed")
    assert (told["service"], told["what"]) == (begun["id"], "begun")
    taken_in = owner.post("/services/import", {"document": owner.get(f"/services/{begun['id']}/file")["document"]}, 201)
    told = here.next("changed")
    assert (told["service"], told["what"]) == (taken_in["service_id"], "begun")


def test_a_stream_can_follow_one_service(on_stream, owner):
    service, _ = waiting(owner)
    other, _ = waiting(owner)
    here = on_stream(owner, service).ready()
    owner.event(other, "ApplicationStarted", zone_key="crown", volume_strength=20)
    owner.event(service, "ApplicationStarted", zone_key="crown", volume_strength=20)
    told = here.next("changed")
    assert told["service"] == service
    assert told["board"]["position"] == told["position"]
    assert {z["key"]: z["phase"] for z in told["board"]["board"]["lanes"]}["crown"] == "applying"


def test_a_followed_board_stays_in_its_studio_and_ends_with_its_session(on_stream, owner, assistant, stranger):
    service, _ = waiting(owner)
    elsewhere, here = on_stream(stranger, service).ready(), on_stream(assistant, service).ready()
    assistant.browser.logout()
    owner.event(service, "ApplicationStarted", zone_key="crown", volume_strength=20)
    told = here.next("changed")
    assert told["service"] == service
    assert "board" not in told
    theirs, _ = waiting(stranger)
    stranger.event(theirs, "ApplicationStarted", zone_key="crown", volume_strength=20)
    owner.event(service, "ApplicationFinished", zone_key="crown")
    assert here.next("changed")["what"] == "ApplicationFinished"
    assert elsewhere.heard_nothing("changed")


def test_nothing_is_told_of_what_is_refused(on_stream, owner):
    service, _ = waiting(owner)
    here = on_stream(owner).ready()
    owner.event(service, "Rinsed", 409, zone_key="crown")
    owner.event(service, "ApplicationStarted", zone_key="crown", volume_strength=20)
    assert here.next("changed")["what"] == "ApplicationStarted"


def test_a_stream_ends_with_its_session(on_stream, owner, monkeypatch):
    monkeypatch.setattr("apps.services.chair.stream.PING_S", 0.2)
    monkeypatch.setattr("apps.services.chair.stream.CHECK_S", (0.0, 0.1))
    here = on_stream(owner).ready()
    here.next("ping")
    owner.browser.logout()
    assert here.next("ended") == {}


def test_a_suspended_member_hears_nothing_more(on_stream, owner, assistant, monkeypatch):
    monkeypatch.setattr("apps.services.chair.stream.CHECK_S", (0.0, 0.1))
    monkeypatch.setattr("apps.services.chair.stream.PING_S", 0.2)
    stream = on_stream(assistant)
    stream.next("hello")
    theirs = next(m for m in owner.get("/members") if m["role"] == "assistant")
    owner.ask("PATCH", f"/members/{theirs['id']}", {"is_active": False})
    assert stream.next("ended") == {}


def test_a_stream_needs_a_session(on_stream, nobody):
    stream = on_stream(nobody)
    assert stream.answer.status == 401


def test_two_hands_at_once_merge_and_what_clashes_is_shown(owner, assistant):
    service = processing(owner)
    seen = owner.get(f"/services/{service}/board")["position"]

    def send(actor, kind, device, seen, expect=200, **data):
        body = {
            "event_id": str(uuid4()),
            "kind": kind,
            "occurred_at": timezone.now().isoformat(),
            "data": data,
            "device": device,
            "seen": seen,
        }
        return actor.post(f"/services/{service}/events", body, expect)

    rinsed = send(owner, "Rinsed", "tablet", seen, zone_key="crown")
    # the phone had not heard: its rinse is kept, named, and counts for nothing
    both = send(assistant, "Rinsed", "phone", seen, zone_key="crown")
    assert [(c["by"], c["text"], c["code"]) for c in both["conflicts"]] == [
        ("Assistant", "Crown: rinsed", "already_rinsed")
    ]
    assert both["board"]["lanes"][0]["rinsed_min"] == rinsed["board"]["lanes"][0]["rinsed_min"]
    # it has heard now: refused
    assert send(assistant, "Rinsed", "phone", both["position"], 409, zone_key="crown")["code"] == "already_rinsed"
    # what never fitted is refused whatever was heard
    assert send(assistant, "Rinsed", "phone", seen, 409, zone_key="ear")["code"] == "unknown_zone"
    lines = owner.get(f"/services/{service}/log")["lines"]
    assert lines[0]["conflict"] == "This zone has been rinsed already."
    assert [x["by"] for x in lines[:2]] == ["Assistant", "Owner"]


def test_a_device_that_was_away_sends_in_order_what_rests_on_its_own_acts(owner):
    service, board = waiting(owner)
    now = timezone.now()

    def send(kind, minutes_ago, **data):
        body = {
            "event_id": str(uuid4()),
            "kind": kind,
            "occurred_at": (now - dt.timedelta(minutes=minutes_ago)).isoformat(),
            "data": data,
            "device": "tablet",
            "seen": board["position"],
        }
        return owner.post(f"/services/{service}/events", body)

    send("ApplicationStarted", 30, zone_key="crown", volume_strength=20)
    send("ApplicationFinished", 25, zone_key="crown")
    last = send("ReadingTaken", 10, zone_key="crown", level=6.5, mode="wiped")
    lane = last["board"]["lanes"][0]
    # it lands where it belongs, and the curve is learnt from there
    assert lane["readings"][0]["minute"] == pytest.approx(15, abs=0.1)
    assert lane["ratio_rate"] != 1.0
    assert last["conflicts"] == []


def test_any_act_can_be_taken_back_within_the_log_and_everyone_sees_who(owner, assistant):
    service = processing(owner)
    owner.event(service, "ReadingTaken", zone_key="crown", level=9, mode="wiped", minutes_ago=10)
    owner.event(service, "HairNoted", zone_key="crown", scalp="warm", minutes_ago=5)
    lines = owner.get(f"/services/{service}/log")["lines"]
    wrong = next(x for x in lines if "read 9" in x["text"])
    body = {
        "event_id": str(uuid4()),
        "kind": "EventVoided",
        "occurred_at": timezone.now().isoformat(),
        "data": {"event_id": wrong["event_id"]},
    }
    after = assistant.post(f"/services/{service}/events", body)
    assert after["board"]["lanes"][0]["readings"] == []
    line = next(x for x in owner.get(f"/services/{service}/log")["lines"] if x["event_id"] == wrong["event_id"])
    assert (line["is_voided"], line["voided_by"], line["by"]) == (True, "Assistant", "Owner")


def test_new_product_only_as_often_as_the_label_allows(owner, studio):
    service = processing(owner)
    refresh = {"zone_key": "crown", "volume_strength": 20}
    asked = owner.event(service, "LightenerRefreshed", 409, **refresh)
    assert asked["code"] == "label_unread"
    assert "Chalk powder" in asked["detail"]
    owner.event(service, "LightenerRefreshed", is_label_read=True, **refresh)
    board = owner.event(service, "ApplicationFinished", zone_key="crown")
    assert board["board"]["lanes"][0]["application_count"] == 2
    Lightener.objects.filter(studio=studio).update(max_applications=2)
    refused = owner.event(service, "LightenerRefreshed", 409, is_label_read=True, **refresh)
    assert refused["code"] == "no_refresh"
    assert "allows 2 applications in one visit" in refused["detail"]
    assert owner.event(service, "LightenerRefreshed", 409, zone_key="crown", volume_strength=40)["code"] in (
        "volume_over_limit",
        "no_refresh",
    )


def test_heat_only_where_the_label_allows(owner, studio):
    service = processing(owner)
    refused = owner.event(service, "HeatStarted", 409, zone_key="crown")
    assert refused["code"] == "no_heat"
    options = owner.get(f"/services/{service}/lanes/crown/options")["options"]
    assert "does not allow heat" in next(o for o in options if o["kind"] == "HeatStarted")["blocked"]
    Lightener.objects.filter(studio=studio).update(is_heat_allowed=True)
    assert owner.event(service, "HeatStarted", zone_key="crown")["board"]["lanes"][0]["is_heated"]
    options = owner.get(f"/services/{service}/lanes/crown/options")["options"]
    assert {o["kind"] for o in options} >= {"LightenerRefreshed", "HeatEnded", "CoveringChanged", "DriedOut"}


def test_product_is_dragged_only_to_ends_that_may_have_it(owner):
    ends = {"start_level": 4, "breakage": "some", "from_mm": 190, "target_level": 8}
    zones = [ZONE | {"parts": [ends]}, ZONE | {"key": "top", "name": "Top"}]
    service = to_chair(owner, zones=zones)["id"]
    owner.event(service, "ApplicationStarted", zone_key="crown", volume_strength=30, minutes_ago=20)
    owner.event(service, "ApplicationFinished", zone_key="crown", minutes_ago=15)
    wrong = owner.event(service, "ProductDragged", 409, zone_key="top", from_key="crown")
    assert wrong["code"] == "no_ends"
    strong = owner.event(service, "ProductDragged", 409, zone_key="crown.ends", from_key="crown")
    assert strong["code"] == "volume_over_limit"
    assert "at most 20 vol (hair that is not quite sound), got 30" in strong["detail"]


def test_discomfort_brings_the_stop_act_first(owner):
    service = processing(owner)
    board = owner.event(service, "HairNoted", zone_key="crown", scalp="burns")["board"]
    assert (board["acts"][0]["code"], board["acts"][0]["title"]) == ("stop", "Rinse Crown now")
    bad = owner.event(service, "HairNoted", 422, zone_key="crown", scalp="lava")
    assert "Scalp: must be one of fine, warm, burns" in bad["detail"]
    assert "given, or scalp" in owner.event(service, "HairNoted", 422, zone_key="crown")["detail"]


def test_the_colour_reader_is_used_instead_of_the_eye(owner, reader):
    service = processing(owner, minutes_ago=20)
    assert owner.get(f"/services/{service}/board")["has_reader"]
    seen = owner.post(f"/services/{service}/lanes/crown/measure")
    likely = owner.get(f"/services/{service}/board")["board"]["lanes"][0]["level_now"]
    assert likely["slow"] - 0.5 < seen["level"] < likely["fast"] + 0.5
    assert seen["delta_e"] < 4.0
    again = owner.post(f"/services/{service}/lanes/crown/measure")
    assert abs(again["level"] - seen["level"]) < 0.5  # the same hair, a reader's own spread
    board = owner.event(service, "ReadingTaken", zone_key="crown", level=seen["level"], mode="wiped", lab=seen["lab"])
    assert board["board"]["lanes"][0]["readings"][0]["level"] == seen["level"]
    assert "colour reader" in owner.get(f"/services/{service}/log")["lines"][0]["text"]


def test_without_a_reader_the_eye_is_asked_for(owner, monkeypatch):
    monkeypatch.delenv("FERVENS_READER", raising=False)
    service = processing(owner)
    assert not owner.get(f"/services/{service}/board")["has_reader"]
    assert owner.post(f"/services/{service}/lanes/crown/measure", expect=409)["code"] == "no_reader"
    monkeypatch.setenv("FERVENS_READER", "127.0.0.1:9")
    assert owner.post(f"/services/{service}/lanes/crown/measure", expect=409)["code"] == "reader_away"


def test_a_developer_is_changed_before_its_zone_goes_on(owner):
    service, board = waiting(owner)
    before = board["board"]["lanes"][0]["volume_strength"]
    after = owner.event(service, "DeveloperChanged", zone_key="crown", volume_strength=before - 5, reason="faster")
    assert after["board"]["lanes"][0]["volume_strength"] == before - 5
    # the mixing list follows
    (bowl,) = [b for b in after["bowls"] if b["fills"][0]["lane_key"] == "crown"][:1]
    assert bowl["volume_strength"] == before - 5
    too_strong = owner.event(service, "DeveloperChanged", 422, zone_key="crown", volume_strength=41)
    assert "Strength, vol: must be a number from 0.5 to 40 vol" in too_strong["detail"]


def test_the_log_keeps_which_device_sent_what(owner):
    service, board = waiting(owner)
    body = {
        "event_id": str(uuid4()),
        "kind": "ApplicationStarted",
        "occurred_at": timezone.now().isoformat(),
        "data": {"zone_key": "crown", "volume_strength": 20},
        "device": "d" * 40,
        "seen": board["position"],
    }
    owner.post(f"/services/{service}/events", body)
    assert ServiceEvent.objects.get(event_id=body["event_id"]).device == "d" * 40
    assert "Device" in owner.post(f"/services/{service}/events", body | {"device": "d" * 41}, 422)["detail"]
