"""Service rows as core values. Only here are rows turned into what the core works with."""

from __future__ import annotations

import datetime as dt
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from django.utils import timezone

from apps.clients.models import Client
from apps.services.models import Service, ServiceEvent, Zone
from fervens_core import head
from fervens_core.base import plain, read
from fervens_core.formats import choice_in_visits, lighteners_named, zone_in_parts
from fervens_core.head import Findings, Lightener
from fervens_core.lift import Strand, ToldStrand, told
from fervens_core.log import Event, data_from_json
from fervens_core.planning import OF_LANES, PlanChoice

FACTS = ("allergies", "medication", "home_care", "is_clarified", "time_min", "booked_min")
"""Findings that a service row keeps among its facts."""


def zone_value(row: Zone) -> head.Zone:
    """A zone row as the core knows it."""
    return read(head.Zone, zone_in_parts(row.data), row.key)


def zone_row(service: Service, zone: head.Zone, position: int) -> Zone:
    """A new row of a zone value."""
    return Zone(service=service, key=zone.key, position=position, data=plain(zone))


@dataclass(frozen=True, slots=True)
class StrandRow:
    """A strand of a test with the times of its clock."""

    value: Strand
    started_at: dt.datetime | None
    ended_at: dt.datetime | None


def _moment(text: str | None) -> dt.datetime | None:
    return dt.datetime.fromisoformat(text) if text else None


def strand_rows(service: Service, lighteners: Mapping[str, Lightener]) -> tuple[StrandRow, ...]:
    """The service's strands; one whose lightener has left the shelf is left out."""
    found = []
    for data in service.strands:
        values = {k: v for k, v in data.items() if k not in ("started_at", "ended_at")}
        if values.get("lightener_key") not in lighteners:
            continue
        value = read(ToldStrand, values, "strands").strand(lighteners)
        found.append(StrandRow(value, _moment(data.get("started_at")), _moment(data.get("ended_at"))))
    return tuple(found)


def names_lighteners(zones: Sequence[head.Zone], choice: PlanChoice | None = None) -> bool:
    """Whether any zone, or a part of one, has a lightener of its own; or a lane, by what was chosen for the plan."""
    return bool(choice and choice.lighteners) or any(lighteners_named(z) for z in zones)


def strand_data(row: StrandRow) -> dict[str, Any]:
    """A strand as the service row keeps it."""
    times = {"started_at": row.started_at, "ended_at": row.ended_at}
    values: dict[str, Any] = plain(told(row.value))
    return values | {k: v and v.isoformat() for k, v in times.items()}


def choice_value(service: Service, keys: list[str]) -> PlanChoice:
    """What was chosen for the plan; choices for zones that are gone are gone with them."""
    data = choice_in_visits(service.choice)
    starts = data.get("round_starts") or []
    if any(k not in keys for k in starts):
        data["round_starts"], data["visit_mins"] = [], []
    for name in OF_LANES:
        data[name] = {k: v for k, v in (data.get(name) or {}).items() if k.split(".")[0] in keys}
    return read(PlanChoice, data, "plan")


def zone_values(service: Service) -> tuple[head.Zone, ...]:
    """The service's zones in order; those of a hair piece have no scalp."""
    zones = tuple(zone_value(z) for z in service.zones.all())
    return head.as_hair_piece(zones) if service.client.is_hair_piece else zones


def event_value(row: ServiceEvent) -> Event:
    """A log row as the core knows it."""
    return Event(
        event_id=str(row.event_id),
        occurred_at=row.occurred_at,
        recorded_at=row.recorded_at,
        by=row.by_name,
        data=data_from_json(row.kind, row.data, row.schema_version),
    )


def age_years(born: dt.date | None, today: dt.date) -> int | None:
    """Full years on a day."""
    if born is None:
        return None
    return today.year - born.year - ((today.month, today.day) < (born.month, born.day))


def findings_value(service: Service, client: Client) -> Findings:
    """What is known of the person, at this moment."""
    now = timezone.now()
    placed = client.patch_test_placed_at
    known = {
        "scalp": service.scalp,
        "elasticity": service.elasticity,
        "salts_test": service.salts_test,
        "patch_test": client.patch_test_result,
        "patch_test_age_h": min(max((now - placed).total_seconds() / 3600.0, 0.0), 87600.0) if placed else None,
        "reacts_to_oxidative": client.reacts_to_oxidative,
        "age_years": age_years(client.birth_date, now.date()),
        "is_hair_piece": client.is_hair_piece,
    }
    facts = {k: v for k, v in service.facts.items() if k in FACTS}
    found = read(Findings, known | facts, "findings")
    return replace(found, told_elsewhere=f"{client.notes} {service.wish}")
