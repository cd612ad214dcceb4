"""Reading services: the state, the plan, the board, the tone, all computed by the core from the rows."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass
from uuid import UUID

from django.db.models import QuerySet
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.services.adapters import event_values, findings_value, zone_values
from apps.services.models import Service
from apps.shelf.adapters import lightener_value
from apps.shelf.queries import developers, toners
from apps.studio.models import Membership
from fervens_core.board import Board, make_board
from fervens_core.errors import ConflictError
from fervens_core.events import Event
from fervens_core.hair import Zone
from fervens_core.plan import PlanRequest
from fervens_core.safety import Caution, Findings, Severity, lightening_cautions
from fervens_core.service import ServiceState, fold
from fervens_core.toner import Tone
from fervens_core.tonestep import ToneLane, tone_lanes

DAY_MAX = 100
OPEN_SINCE_H = 12


def of_studio(member: Membership) -> QuerySet[Service]:
    """Only the member's own studio's services."""
    return Service.objects.filter(studio_id=member.studio_id)


def with_parts(rows: QuerySet[Service]) -> QuerySet[Service]:
    """The rows with everything the core needs, in a fixed number of queries."""
    return rows.select_related("client", "lightener").prefetch_related("zones", "events")


def get(member: Membership, service_id: UUID) -> Service:
    """One service with its parts; 404 when it is another studio's."""
    return get_object_or_404(with_parts(of_studio(member)), pk=service_id)


def of_day(member: Membership, day: dt.date) -> list[Service]:
    """Services that start on a day, and today also those of the last 12 hours, which may still be open."""
    start = dt.datetime.combine(day, dt.time.min, tzinfo=timezone.get_current_timezone())
    end = start + dt.timedelta(days=1)
    now = timezone.now()
    if start <= now < end:
        start = min(start, now - dt.timedelta(hours=OPEN_SINCE_H))
    rows = of_studio(member).filter(starts_at__gte=start, starts_at__lt=end)
    return list(with_parts(rows).order_by("starts_at")[:DAY_MAX])


@dataclass(frozen=True, slots=True)
class Loaded:
    """A service's rows as core values."""

    row: Service
    zones: tuple[Zone, ...]
    events: list[Event]
    state: ServiceState
    findings: Findings

    @property
    def cautions(self) -> tuple[Caution, ...]:
        """Cautions of the consultation, blocks first."""
        return lightening_cautions(self.findings, self.zones)

    @property
    def is_blocked(self) -> bool:
        """Whether any caution blocks the lightening."""
        return any(c.severity is Severity.BLOCK for c in self.cautions)

    def zone(self, key: str) -> Zone:
        """A zone by key. Raises ConflictError."""
        found = next((z for z in self.zones if z.key == key), None)
        if found is None:
            raise ConflictError("unknown_zone", f"This service has no zone {key!r}.")
        return found


def load(row: Service) -> Loaded:
    """Everything of a service as core values."""
    events = event_values(row)
    return Loaded(row, zone_values(row), events, fold(events), findings_value(row, row.client))


def plan_request(loaded: Loaded) -> PlanRequest:
    """The saved choices of a service as a request to plan. Raises ConflictError without a lightener."""
    row = loaded.row
    if row.lightener is None:
        raise ConflictError("no_lightener", "Choose a lightener first; the shelf may be empty.")
    return PlanRequest(
        zones=loaded.zones,
        lightener=lightener_value(row.lightener),
        bottles=tuple(developers(row.studio_id)),
        finish_min=row.finish_min,
        volumes={z.key: z.volume_override for z in row.zones.all() if z.volume_override is not None},
        has_additive=row.has_additive,
    )


def board(loaded: Loaded, now: dt.datetime) -> Board:
    """The chair at a moment; an empty board before the plan is taken."""
    row = loaded.row
    if row.lightener is None or not loaded.state.lanes:
        return Board(now=now, lanes=(), acts=())
    return make_board(
        loaded.state,
        {z.key: z for z in loaded.zones},
        lightener_value(row.lightener),
        has_additive=row.has_additive,
        now=now,
    )


def tone(loaded: Loaded, now: dt.datetime, *, most_options: int = 5) -> tuple[ToneLane, ...]:
    """The rinsed zones with their shades; nothing before the plan is taken."""
    row = loaded.row
    if row.lightener is None or not loaded.state.lanes:
        return ()
    return tone_lanes(
        loaded.state,
        {z.key: z for z in loaded.zones},
        lightener_value(row.lightener),
        tuple(toners(row.studio_id)),
        has_additive=row.has_additive,
        findings=loaded.findings,
        tone=Tone(row.tone),
        now=now,
        most_options=most_options,
    )
