"""Service rows as core values. Only here are rows turned into what the core works with."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone

from apps.clients.models import Client
from apps.services.models import Service, ServiceEvent, Zone
from fervens_core import hair
from fervens_core.events import Event, data_from_json
from fervens_core.safety import Elasticity, Findings, Scalp, TestResult


def zone_value(row: Zone) -> hair.Zone:
    """A zone row as the core knows it."""
    return hair.Zone(
        key=row.key,
        name=row.name,
        hair=hair.Hair(
            start_level=row.start_level,
            history=hair.History(row.history),
            thickness=hair.Thickness(row.thickness),
            porosity=hair.Porosity(row.porosity),
        ),
        target_level=row.target_level,
        foil_count=row.foil_count,
        pace_min_per_foil=row.pace_min_per_foil,
        covering=hair.Covering(row.covering),
        is_delicate=row.is_delicate,
        is_on_scalp=row.is_on_scalp,
    )


def zone_row(service: Service, zone: hair.Zone, position: int, volume_override: float | None = None) -> Zone:
    """A new row of a zone value."""
    return Zone(
        service=service,
        key=zone.key,
        name=zone.name,
        position=position,
        start_level=zone.hair.start_level,
        target_level=zone.target_level,
        history=zone.hair.history.value,
        thickness=zone.hair.thickness.value,
        porosity=zone.hair.porosity.value,
        covering=zone.covering.value,
        foil_count=zone.foil_count,
        pace_min_per_foil=zone.pace_min_per_foil,
        is_delicate=zone.is_delicate,
        is_on_scalp=zone.is_on_scalp,
        volume_override=volume_override,
    )


def zone_values(service: Service) -> tuple[hair.Zone, ...]:
    """The service's zones in order."""
    return tuple(zone_value(z) for z in service.zones.all())


def event_value(row: ServiceEvent) -> Event:
    """A log row as the core knows it."""
    return Event(
        event_id=str(row.event_id),
        occurred_at=row.occurred_at,
        recorded_at=row.recorded_at,
        by=row.by_name,
        data=data_from_json(row.kind, row.data),
    )


def event_values(service: Service) -> list[Event]:
    """The service's log."""
    return [event_value(e) for e in service.events.all()]


def age_years(born: dt.date | None, today: dt.date) -> int | None:
    """Full years on a day."""
    if born is None:
        return None
    return today.year - born.year - ((today.month, today.day) < (born.month, born.day))


def findings_value(service: Service, client: Client) -> Findings:
    """What is known of the person, at this moment."""
    now = timezone.now()
    placed = client.patch_test_placed_at
    return Findings(
        scalp=Scalp(service.scalp),
        elasticity=Elasticity(service.elasticity),
        salts_test=TestResult(service.salts_test),
        patch_test=TestResult(client.patch_test_result),
        patch_test_age_h=max((now - placed).total_seconds() / 3600.0, 0.0) if placed else None,
        has_reacted_before=client.has_reacted_before,
        age_years=age_years(client.birth_date, now.date()),
    )
