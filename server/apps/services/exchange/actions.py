"""Carrying services out as files and taking files in."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace
from typing import Any
from uuid import UUID

from django.db import transaction
from django.utils import timezone

from apps.common.telling import tell
from apps.services import loading
from apps.services.acts import check_revision, locked
from apps.services.adapters import StrandRow, strand_data
from apps.services.exchange.intake import take_in
from apps.services.loading import Loaded, load
from apps.services.models import Service
from apps.shelf.adapters import lightener_value
from apps.shelf.intake import match_shelf
from apps.shelf.queries import developers, lighteners, toners
from apps.studio.actions import audit
from apps.studio.models import Membership
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, LimitError, say
from fervens_core.formats import FileEvent, ServiceFile, lighteners_named, read_service_file, strands_from_csv
from fervens_core.head import Tone
from fervens_core.lift import told
from fervens_core.log import Step, live_events

YEARS_MAX = 2


def service_file(member: Membership, loaded: Loaded) -> ServiceFile:
    """A service with the studio's shelf as a service file; audited, for client data leaves by a member's act."""
    row = loaded.row
    events = live_events(loaded.events)
    zero = min([row.starts_at, *(e.occurred_at for e in events)])
    audit(member, "service_file_taken_out", row.pk)
    own = str(row.lightener_id)
    named = {key for z in loaded.zones for _, key in lighteners_named(z)}
    named |= set(loaded.choice.lighteners.values())
    others = {s.lightener.key: s.lightener for s in loaded.strand_values if s.lightener.key != own}
    others |= {x.key: x for x in loaded.others if x.key in named}
    return ServiceFile(
        client=row.client.name,
        wish=row.wish,
        kind=loaded.kind,
        tone=Tone(row.tone),
        wanted_level=row.wanted_level,
        findings=loaded.findings,
        zones=loaded.zones,
        lightener=lightener_value(row.lightener) if row.lightener else None,
        developers=tuple(developers(row.studio_id)),
        toners=tuple(toners(row.studio_id)),
        plan=loaded.choice,
        strands=tuple(told(s) for s in loaded.strand_values),
        other_lighteners=tuple(others.values()),
        pace=loading.pace_of(row.studio),
        weakest=loading.weakest_volumes(row.studio),
        toner_idea=row.toner_idea or None,
        events=tuple(
            FileEvent(
                at_min=round((e.occurred_at - zero).total_seconds() / 60.0, 4), by=e.by[:80] or "unknown", data=e.data
            )
            for e in events
        ),
    )


@transaction.atomic
def import_file(
    member: Membership, document: dict[str, Any], starts_at: dt.datetime | None
) -> tuple[Service, list[str]]:
    """A service made of a file, and the products that were put on the shelf for it; all or nothing.

    Raises:
        CoreError: the file is not one, or its log does not fit together.
    """
    require_may(member, "take_a_service_file_in")
    file = read_service_file(document)
    now = timezone.now()
    at = starts_at or now
    if at.tzinfo is None or abs(at - now) > dt.timedelta(days=366 * YEARS_MAX):
        raise LimitError("starts_at", say("limit-years_away", most=YEARS_MAX), at.isoformat())
    if file.events and starts_at is None:
        at = now - dt.timedelta(minutes=max(e.at_min for e in file.events))
    shelf = match_shelf(member.studio, file)
    service = take_in(member.studio, file, starts_at=at, lighteners=shelf.lighteners, shade_keys=shelf.shade_keys)
    audit(member, "service_file_taken_in", service.pk)
    tell(member.studio_id, service.pk, "begun")
    return service, shelf.added


@transaction.atomic
def import_strands(member: Membership, service_id: UUID, *, revision: int, text: str) -> Loaded:
    """Strands of a CSV in place of the service's own. Raises LimitError naming line and column."""
    loaded = locked(member, service_id)
    check_revision(loaded, revision)
    if loaded.state.step not in (Step.CONSULTATION, Step.PLAN, Step.STRANDS):
        raise ConflictError("already_started.strands")
    shelf = {x.name: x for x in lighteners(member.studio_id)}
    strands = strands_from_csv(text, shelf)
    by_zone = {z.key: z for z in loaded.zones}
    rows = []
    for strand in strands:
        zone = by_zone.get(strand.zone_key)
        hair = replace(zone.hair, start_level=strand.hair.start_level) if zone else strand.hair
        rows.append(StrandRow(replace(strand, hair=hair), None, None))
    loaded.row.strands = [strand_data(r) for r in rows]
    loaded.row.revision += 1
    loaded.row.save()
    audit(member, "strand_tests_taken_in", service_id)
    return load(loading.get(member, service_id))
