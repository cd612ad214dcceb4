"""Two devices at once, on real connections: both acts are kept, or one is told plainly."""

import threading
from uuid import uuid4

import pytest
from conftest import Actor, make_member, make_studio, to_chair, to_plan
from django.db import connection

from apps.services.models import ServiceEvent


def together(*works):
    """Run the works at the same moment, each on a database connection of its own."""
    gate = threading.Barrier(len(works))
    answers = [None] * len(works)

    def run(index, work):
        gate.wait()
        try:
            answers[index] = work()
        finally:
            connection.close()

    threads = [threading.Thread(target=run, args=(i, w)) for i, w in enumerate(works)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join(timeout=30)
    return answers


@pytest.fixture
def pair(transactional_db):
    studio = make_studio("The hair room")
    return Actor(make_member(studio, "owner")), Actor(make_member(studio, "technician"))


def post(actor, service, kind, **data):
    from django.utils import timezone

    body = {"event_id": str(uuid4()), "kind": kind, "occurred_at": timezone.now().isoformat(), "data": data}
    return lambda: actor.ask("POST", f"/services/{service}/events", body, None)


def test_both_rinse_the_same_zone_and_one_is_told(pair):
    one, two = pair
    sid = to_chair(one)["id"]
    one.event(sid, "ApplicationStarted", minutes_ago=20, zone_key="crown", volume_strength=20)
    answers = together(post(one, sid, "Rinsed", zone_key="crown"), post(two, sid, "Rinsed", zone_key="crown"))
    # whichever came second in the log's own time is told; the other stands
    codes = sorted(a.get("code", "kept") for a in answers)
    assert codes in (["already_rinsed", "kept"], ["kept", "later_acts_depend"])
    assert ServiceEvent.objects.filter(service_id=sid, kind="Rinsed").count() == 1


def test_acts_on_different_zones_both_count(pair):
    one, two = pair
    zone = {"key": "crown", "name": "Crown", "start_level": 4, "target_level": 8, "foil_count": 5}
    sid = to_chair(one, zones=[zone, zone | {"key": "top", "name": "Top"}])["id"]
    together(
        post(one, sid, "ApplicationStarted", zone_key="crown", volume_strength=20),
        post(two, sid, "ApplicationStarted", zone_key="top", volume_strength=20),
    )
    lanes = two.get(f"/services/{sid}/board")["board"]["lanes"]
    assert [lane["phase"] for lane in lanes] == ["applying", "applying"]


def test_one_event_sent_by_two_connections_is_taken_once(pair):
    one, _ = pair
    sid = to_chair(one)["id"]
    send = post(one, sid, "ApplicationStarted", zone_key="crown", volume_strength=20)
    answers = together(send, send, send)
    assert [a.get("code") for a in answers] == [None] * 3
    assert ServiceEvent.objects.filter(service_id=sid, kind="ApplicationStarted").count() == 1


def test_two_plans_written_at_once_leave_one_and_a_word(pair):
    one, two = pair
    service = to_plan(one)
    key = one.get("/shelf")["lighteners"][0]["key"]

    def write(actor, finish):
        body = {"revision": service["revision"], "lightener_key": key, "visit_mins": [finish]}
        return lambda: actor.ask("PUT", f"/services/{service['id']}/plan", body, None)

    answers = together(write(one, 30), write(two, 40))
    assert sorted(a.get("code", "kept") for a in answers) == ["changed_elsewhere", "kept"]
    kept = next(a for a in answers if "code" not in a)
    assert one.get(f"/services/{service['id']}/plan")["finish_min"] == kept["finish_min"]
