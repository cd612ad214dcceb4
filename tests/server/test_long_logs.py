"""Logs far longer than anyone works: kept folded, never trusted over the log, and a board in time."""

import datetime as dt
import time
from uuid import uuid4

import pytest
from conftest import Actor, to_chair
from django.utils import timezone

from apps.services import kept_log
from apps.services.chair.kept_board import _kept as kept_boards
from apps.services.models import Service, ServiceEvent
from fervens_core.log import fold


@pytest.fixture
def chair(owner):
    """A service at the chair with its lanes on since twenty minutes."""
    service = to_chair(owner)["id"]
    for lane in owner.get(f"/services/{service}/board")["board"]["lanes"]:
        key, volume = lane["key"], lane["volume_strength"]
        owner.event(service, "ApplicationStarted", minutes_ago=25, zone_key=key, volume_strength=volume)
        owner.event(service, "ApplicationFinished", minutes_ago=24, zone_key=key)
    return service


def lengthen(service, count):
    """So many lines more, as a device would have sent them: readings of the last minutes."""
    first = ServiceEvent.objects.filter(service_id=service, kind="ApplicationFinished").first()
    key, now = first.data["zone_key"], timezone.now()
    rows = [
        ServiceEvent(
            service_id=service,
            event_id=uuid4(),
            kind="ReadingTaken",
            occurred_at=now - dt.timedelta(minutes=20 * (1 - i / count)),
            recorded_at=now,
            by_name="Owner",
            schema_version=1,
            data={"zone_key": key, "level": 6.0, "mode": "wiped"},
        )
        for i in range(count)
    ]
    ServiceEvent.objects.bulk_create(rows)
    return key


def board_of(actor, service):
    kept_boards.clear()
    return actor.get(f"/services/{service}/board")


def state_now(service):
    return fold(kept_log.of_rows(tuple(ServiceEvent.objects.filter(service_id=service).order_by("pk"))).events)


def test_what_is_kept_is_the_log_whatever_happens_to_it(owner, chair):
    key = lengthen(chair, 30)
    row = Service.objects.get(pk=chair)

    def is_right():
        row.refresh_from_db()
        kept = kept_log.read_log(row)
        lines = list(ServiceEvent.objects.filter(service_id=chair).order_by("pk").values_list("pk", "data"))
        assert [(e.pk, e.data) for e in kept.rows] == lines
        assert kept.state == state_now(chair)
        return kept

    first = is_right()
    assert is_right() is first  # nothing came: nothing is read
    owner.event(chair, "ReadingTaken", zone_key=key, level=6.5, mode="wiped")
    assert is_right().rows[:-1] == first.rows  # one line more
    event = str(uuid4())
    owner.event(chair, "ReadingTaken", event_id=event, minutes_ago=10, zone_key=key, level=5.5, mode="wiped")
    is_right()  # told late: it happened before others
    void = {"event_id": str(uuid4()), "kind": "EventVoided", "data": {"event_id": event}}
    owner.post(f"/services/{chair}/events", void | {"occurred_at": timezone.now().isoformat()})
    is_right()
    ServiceEvent.objects.filter(service_id=chair, kind="ReadingTaken").last().delete()
    is_right()  # not a thing that happens; the log is right all the same
    ServiceEvent.objects.filter(service_id=chair, kind="ReadingTaken").update(by_name="Erased")
    assert {e.by_name for e in is_right().rows if e.kind == "ReadingTaken"} == {"Erased"}


def test_a_transaction_that_fails_leaves_nothing_behind_in_what_is_kept(owner, chair):
    from django.db import transaction

    row = Service.objects.get(pk=chair)
    before = kept_log.read_log(row)
    with transaction.atomic():
        lengthen(chair, 3)
        assert len(kept_log.read_log(row).rows) == len(before.rows) + 3
        transaction.set_rollback(True)
    assert kept_log.read_log(row).rows == before.rows
    lengthen(chair, 3)
    assert kept_log.read_log(row).state == state_now(chair)


@pytest.mark.parametrize(("lines", "most_ms"), [(2000, 60), (10_000, 150)])
def test_a_long_log_is_a_board_in_time(owner, chair, lines, most_ms):
    key = lengthen(chair, lines)
    board_of(owner, chair)
    times = []
    for level in (6.0, 6.5, 7.0, 6.5):
        owner.event(chair, "ReadingTaken", zone_key=key, level=level, mode="wiped")
        began = time.perf_counter()
        found = board_of(owner, chair)
        times.append((time.perf_counter() - began) * 1e3)
    assert min(times) < most_ms * 2  # on a quiet machine within it: bin/bench load
    lane = next(x for x in found["board"]["lanes"] if x["key"] == key)
    assert [r["level"] for r in lane["readings"][-4:]] == [6.0, 6.5, 7.0, 6.5]
    assert len(lane["readings"]) == 60


def test_lists_read_logs_without_keeping_them(owner, chair):
    kept_log._kept.clear()
    Actor(owner.user).get("/day")
    assert not kept_log._kept
