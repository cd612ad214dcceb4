"""Taking a service file into a studio: client, service, zones and log, all or nothing."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace
from uuid import uuid4

from django.db import transaction
from django.utils import timezone

from apps.clients.models import Client
from apps.services.adapters import FACTS, StrandRow, event_value, strand_data, zone_row
from apps.services.loading import check_lanes, load
from apps.services.models import Service, ServiceEvent
from apps.services.summary import summarise
from apps.shelf.adapters import lightener_value
from apps.shelf.models import Lightener
from apps.studio.models import Studio
from fervens_core.base import plain
from fervens_core.formats import ServiceFile, with_lighteners
from fervens_core.log import (
    Event,
    EventData,
    ToneBowlApplied,
    ToneFormulaSet,
    TonerApplied,
    check_addition,
    data_to_json,
    fold,
    version_of,
)


def _client(studio: Studio, file: ServiceFile, now: dt.datetime, *, is_practice: bool) -> Client:
    findings = file.findings
    placed = None
    if findings.patch_test_age_h is not None:
        placed = now - dt.timedelta(hours=findings.patch_test_age_h)
    return Client.everyone.create(
        studio=studio,
        is_practice=is_practice,
        name=file.client,
        birth_date=dt.date(now.year - findings.age_years - 1, 7, 1) if findings.age_years is not None else None,
        reacts_to_oxidative=findings.reacts_to_oxidative,
        patch_test_placed_at=placed,
        patch_test_result=findings.patch_test.value,
        is_hair_piece=findings.is_hair_piece,
    )


def _own_keys(data: EventData, shade_keys: dict[str, str]) -> dict[str, object]:
    values = data_to_json(data)
    if isinstance(data, TonerApplied | ToneBowlApplied | ToneFormulaSet):
        for field in ("shade_key", "second_key"):
            values[field] = shade_keys.get(values[field], values[field])
    return values


@transaction.atomic
def take_in(
    studio: Studio,
    file: ServiceFile,
    *,
    starts_at: dt.datetime,
    lighteners: dict[str, Lightener],
    shade_keys: dict[str, str],
    is_practice: bool = False,
) -> Service:
    """Make the client and the service of a file.

    Args:
        starts_at: the moment the file's minutes count from.
        lighteners: the file's lightener keys to the studio's rows.
        shade_keys: the file's toner keys to the studio's. is_practice: of a practice round.
    Raises:
        ConflictError: the file's log does not fit together.
    """
    now = timezone.now()
    findings = file.findings
    own = {key: str(row.pk) for key, row in lighteners.items()}
    lightener_keys = {lane: own[key] for lane, key in file.plan.lighteners.items()}
    service = Service.everything.create(
        studio=studio,
        is_practice=is_practice,
        client=_client(studio, file, now, is_practice=is_practice),
        starts_at=starts_at,
        wish=file.wish,
        kind=file.kind.value,
        tone=file.tone.value,
        wanted_level=file.wanted_level,
        scalp=findings.scalp.value,
        elasticity=findings.elasticity.value,
        salts_test=findings.salts_test.value,
        facts={k: v for k, v in plain(findings).items() if k in FACTS},
        strands=[
            strand_data(StrandRow(replace(s, lightener=lightener_value(lighteners[s.lightener.key])), None, None))
            for s in file.tested
        ],
        lightener=lighteners[file.lightener.key] if file.lightener else None,
        choice=plain(replace(file.plan, lighteners=lightener_keys)),
        toner_idea=shade_keys.get(file.toner_idea or "", ""),
    )
    zones = [with_lighteners(z, own) for z in file.zones]
    service.zones.bulk_create([zone_row(service, z, i) for i, z in enumerate(zones)])
    events: list[Event] = []
    rows = []
    for place, entry in enumerate(file.events):
        at = starts_at + dt.timedelta(minutes=entry.at_min)
        row = ServiceEvent(
            service=service,
            event_id=uuid4(),
            kind=type(entry.data).__name__,
            occurred_at=at,
            recorded_at=at + dt.timedelta(microseconds=place),  # of one moment: in the order of the file
            by_name=entry.by,
            schema_version=version_of(type(entry.data).__name__),
            data=_own_keys(entry.data, shade_keys),
        )
        event = event_value(row)
        check_addition(events, event)
        events.append(event)
        rows.append(row)
    ServiceEvent.objects.bulk_create(rows)
    state = fold(events)
    check_lanes(load(Service.everything.get(pk=service.pk)))
    Service.everything.filter(pk=service.pk).update(step=state.step.value)
    if state.closed_at and not is_practice:
        service.refresh_from_db()
        Service.objects.filter(pk=service.pk).update(summary=plain(summarise(load(service), state.closed_at)))
    return service
