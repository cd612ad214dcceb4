"""Acts on a consultation."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from django.db import transaction
from django.utils import timezone

from apps.clients import queries as client_queries
from apps.common.telling import tell
from apps.services import loading
from apps.services.acts import check_revision, locked
from apps.services.adapters import StrandRow, findings_value, strand_data, zone_row
from apps.services.known import known_of
from apps.services.loading import Loaded, load
from apps.services.models import Service
from apps.shelf.models import Lightener
from apps.studio.actions import audit
from apps.studio.models import Membership, Studio
from fervens_core.base import ConflictError, LimitError, check_level, plain, read, say
from fervens_core.formats import lighteners_named
from fervens_core.head import ServiceKind, Zone, lanes_of
from fervens_core.log import Step
from fervens_core.planning import OrderWay, School, propose_order

LASTING_FACTS = ("allergies", "medication", "home_care")
"""What was told at the last visit is asked again from there."""


@transaction.atomic
def start_service(
    member: Membership,
    client_id: UUID,
    starts_at: dt.datetime | None,
    kind: ServiceKind = ServiceKind.LIGHTEN_AND_TONE,
) -> Service:
    """A new service for a client, with the shelf's first lightener proposed."""
    client = client_queries.get(member, client_id)
    if client.erased_at:
        raise ConflictError("erased")
    lightener = Lightener.objects.filter(studio_id=member.studio_id).order_by("name").first()
    last = Service.objects.filter(studio_id=member.studio_id, client=client).order_by("-starts_at").first()
    known = known_of(member.studio_id, client.pk)
    row = Service.objects.create(
        studio_id=member.studio_id,
        client=client,
        starts_at=starts_at or timezone.now(),
        known=known,
        choice=begins_with(member.studio) | ({"known_head": known} if known else {}),
        kind=kind.value,
        lightener=lightener,
        facts={k: last.facts[k] for k in LASTING_FACTS if k in last.facts} if last else {},
    )
    audit(member, "service_started", row.pk)
    tell(member.studio_id, row.pk, "begun")
    return loading.get(member, row.pk)


@dataclass(frozen=True, slots=True)
class Consultation:
    """What was read at a consultation, as core values.

    Args:
        columns: wish, tone, wanted level, scalp, elasticity and salts test. reacts_to_oxidative: kept with the client.
        facts: the rest of what was found out, as the service file has it.
    """

    columns: dict[str, Any]
    facts: dict[str, Any]
    reacts_to_oxidative: bool | None
    zones: tuple[Zone, ...]
    strands: tuple[StrandRow, ...]


def begins_with(studio: Studio) -> dict[str, Any]:
    """With what a plan of a studio begins."""
    if not studio.school:
        return {}
    school = read(School, studio.school)
    return {k: v for k, v in plain(school).items() if k != "order_way"} | {"keeps_order": school.order_way is not None}


def _way_of(studio: Studio) -> OrderWay | None:
    """Where a studio begins on every head."""
    return read(School, studio.school).order_way


def in_order(zones: tuple[Zone, ...], planned: list[str] | None, way: OrderWay | None = None) -> tuple[Zone, ...]:
    """Zones in the order of application: the school's or the proposed one; once planned hers, new ones last."""
    by_key = {z.key: z for z in zones}
    proposed = [p.key for p in (propose_order(zones, way) if way else propose_order(zones))]
    kept = [k for k in planned or [] if k in by_key]
    return tuple(by_key[k] for k in [*kept, *(k for k in proposed if k not in kept)])


@transaction.atomic
def write_consultation(member: Membership, service_id: UUID, *, revision: int, read: Consultation) -> Loaded:
    """Keep what was read at the consultation. Raises ConflictError when it was changed elsewhere or is behind."""
    loaded = locked(member, service_id)
    check_revision(loaded, revision)
    if loaded.state.step not in (Step.CONSULTATION, Step.PLAN, Step.STRANDS):
        raise ConflictError("already_started.consultation")
    row = loaded.row
    for field, keys in (("zones", [z.key for z in read.zones]), ("strands", [s.value.key for s in read.strands])):
        if len(set(keys)) != len(keys):
            raise LimitError(field, say("limit-different_keys_of", field=field), keys)
    kind = ServiceKind(read.columns.get("kind", row.kind))
    if kind is not loaded.kind and loaded.state.step is not Step.CONSULTATION:
        raise ConflictError("already_started.consultation")
    if len(lanes_of(read.zones, kind)) == 0 and loaded.state.step is Step.PLAN:
        raise ConflictError("nothing_to_lift.consultation")
    shelf = {str(pk) for pk in Lightener.objects.filter(studio_id=member.studio_id).values_list("pk", flat=True)}
    for i, zone in enumerate(read.zones):
        for path, key in lighteners_named(zone):
            if key not in shelf:
                raise LimitError(f"zones[{i}].{path}", say("limit-on_shelf"), key)
    if read.columns.get("wanted_level") is not None:
        check_level("wanted_level", read.columns["wanted_level"])
    for field, value in read.columns.items():
        setattr(row, field, getattr(value, "value", value))
    row.facts = read.facts
    if row.client.reacts_to_oxidative is not read.reacts_to_oxidative:
        row.client.reacts_to_oxidative = read.reacts_to_oxidative
        row.client.save(update_fields=["reacts_to_oxidative"])
        audit(member, "reaction_to_oxidative_colour_answered", row.client_id)
    row.strands = [strand_data(s) for s in read.strands]
    row.revision += 1
    row.save()
    planned = [z.key for z in loaded.zones] if loaded.state.step is Step.PLAN else None
    zones = in_order(read.zones, planned, _way_of(member.studio))
    row.zones.all().delete()
    row.zones.bulk_create(zone_row(row, z, i) for i, z in enumerate(zones))
    findings_value(row, row.client)  # raises LimitError for a fact out of its limits, and nothing is kept
    audit(member, "consultation_written", row.pk)
    tell(member.studio_id, row.pk, "consultation")
    return load(loading.get(member, service_id))
