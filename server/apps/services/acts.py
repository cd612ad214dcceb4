"""Acts of the log: who acts, may they, load and lock, core, save, audit; in one transaction."""

from __future__ import annotations

import datetime as dt
import logging
from dataclasses import replace
from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.common.moments import moment
from apps.common.telling import tell
from apps.services import loading
from apps.services.adapters import event_value
from apps.services.eyes import relearn
from apps.services.loading import Loaded, load
from apps.services.models import Service, ServiceEvent
from apps.services.policies import check_event
from apps.services.round_clock import at_least
from apps.services.stock import book
from apps.services.summary import summarise
from apps.studio.actions import audit
from apps.studio.models import Membership
from fervens_core.base import ConflictError, LimitError, plain, say
from fervens_core.basin import lanes_today
from fervens_core.head import ServiceKind, is_deeper
from fervens_core.log import (
    BowlMixed,
    ConsultationFinished,
    EventData,
    ServiceClosed,
    data_to_json,
    merge_addition,
    version_of,
)

log = logging.getLogger("fervens")
FUTURE_MAX = dt.timedelta(minutes=2)


PAST_MAX = dt.timedelta(days=2)


ONE_AFTER_ANOTHER = dt.timedelta(milliseconds=1)


LINES_MAX = 20_000
"""Lines of one service's log: a day of work has some two hundred."""


def locked(member: Membership, service_id: UUID) -> Loaded:
    """A service for changing; others wait. 404 for another studio's."""
    rows = loading.with_zones(loading.openable(member)).select_for_update(of=("self",))
    return load(get_object_or_404(rows, pk=service_id))


def check_revision(loaded: Loaded, revision: int) -> None:
    """Raises ConflictError when the service was changed since."""
    if loaded.row.revision != revision:
        raise ConflictError("changed_elsewhere")


@transaction.atomic
def record_event(
    member: Membership,
    service_id: UUID,
    *,
    event_id: UUID,
    occurred_at: dt.datetime,
    data: EventData,
    device: str = "",
    seen: int | None = None,
) -> Loaded:
    """Add one event to the log. Sent again with the same id, it is taken once.

    Args:
        device, seen: which device sends it, and the place in the log up to which it had heard of the others' events.
    """
    loaded = locked(member, service_id)
    return append(member, loaded, event_id=event_id, occurred_at=occurred_at, data=data, device=device, seen=seen)


def completed(loaded: Loaded, data: EventData) -> EventData:
    """An event with what the server knows of it: which parts a service that lightens nothing takes to the basin."""
    if isinstance(data, ConsultationFinished):
        if data.tone_keys:
            raise ConflictError("not_by_hand")
        if data.kind is not ServiceKind.LIGHTEN_AND_TONE:
            raise ConflictError("not_by_hand")
        parts = [z for z in loading.kept_parts(loaded) if not z.keeps_depth] if loaded.kind.only_tones else []
        if loaded.kind is ServiceKind.DEEPEN:
            parts = [z for z in parts if is_deeper(z)]
        return ConsultationFinished(tuple(z.key for z in parts), tuple(z.hair.start_level for z in parts), loaded.kind)
    return data


def _is_same(row: ServiceEvent, data: EventData) -> bool:
    """Whether an event that was sent again is the one that was kept under its id.

    What the server completed by itself, or wrote in an older version, is known by its kind alone.
    """
    kind = type(data).__name__
    if row.kind != kind or isinstance(data, ConsultationFinished) or row.schema_version != version_of(kind):
        return row.kind == kind
    return bool(row.data == data_to_json(data))


def append(
    member: Membership,
    loaded: Loaded,
    *,
    event_id: UUID,
    occurred_at: dt.datetime,
    data: EventData,
    device: str = "",
    seen: int | None = None,
) -> Loaded:
    """One event more, if it may be and fits; the service as it then stands."""
    known = next((e for e in loaded.log if e.event_id == event_id), None)
    if known is not None:
        if not _is_same(known, data):
            raise ConflictError("event_id_taken.other", kind=known.kind)
        return loaded
    if ServiceEvent.objects.filter(event_id=event_id).exists():
        raise ConflictError("event_id_taken")
    if len(loaded.log) >= LINES_MAX:
        raise LimitError("events", say("limit-at_most_so_many", most=LINES_MAX), LINES_MAX + 1)
    practice = loaded.round
    if practice is not None and practice.ended_at is not None:
        raise ConflictError("round_over")
    now, behind = timezone.now() if practice is None else loaded.now, loaded.clock_behind
    occurred_at = moment("occurred_at", occurred_at)
    if practice is not None and loaded.log:  # its clock may stand still: acts keep the order of the hand all the same
        occurred_at = max(occurred_at, max(e.occurred_at for e in loaded.log) + ONE_AFTER_ANOTHER)
    if behind > loading.CLOCK_SLACK:  # it was set back: this did not happen before what is logged already
        log.warning("clock_behind_s=%.0f", behind.total_seconds())
        is_now = abs(now - occurred_at) < FUTURE_MAX
        now, occurred_at = now + behind, occurred_at + behind
        occurred_at = max(occurred_at, now) if is_now else occurred_at
    future_max = FUTURE_MAX if practice is None else PAST_MAX  # a round's clock is its device's
    if occurred_at.tzinfo is None or not now - PAST_MAX <= occurred_at <= now + future_max:
        raise LimitError("occurred_at", say("limit-within_two_days"), occurred_at.isoformat())
    data = completed(loaded, data)
    check_event(member, loaded, data)
    row = ServiceEvent(
        service=loaded.row,
        event_id=event_id,
        kind=type(data).__name__,
        occurred_at=occurred_at,
        recorded_at=now,
        by=member.user,
        by_name=member.name,
        device=device,
        schema_version=version_of(type(data).__name__),
        data=data_to_json(data),
    )
    heard = [e for e in loaded.log if seen is None or e.pk <= seen or (device and e.device == device)]
    event = event_value(row)
    state = merge_addition(loaded.events, event, seen={str(e.event_id) for e in heard}, before=loaded.state)
    row.save()
    if practice is None:
        book(loaded.row, row, data, loaded.lightener_of(data.zone_key).key if isinstance(data, BowlMixed) else None)
        audit(member, row.kind, loaded.row.pk)
    else:
        at_least(practice, occurred_at)
    Service.everything.filter(pk=loaded.row.pk).update(step=state.step.value)
    tell(member.studio_id, loaded.row.pk, row.kind, row.pk, device)
    loaded.row.step = state.step.value
    lanes = lanes_today(loaded.zones, state, loaded.kind, loaded.choice)
    after = replace(loaded, lanes=lanes, log=(*loaded.log, row), events=[*loaded.events, event], state=state)
    if isinstance(data, ServiceClosed) and practice is None:
        summary = plain(summarise(after, occurred_at))
        Service.objects.filter(pk=loaded.row.pk).update(summary=summary)
        relearn(member.studio_id)
    return after
