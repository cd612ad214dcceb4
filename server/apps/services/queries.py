"""Reading services: the state, the plan, the board, the tone, all computed by the core from the rows."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass
from uuid import UUID

from django.db.models import QuerySet
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients.models import Client
from apps.services.adapters import StrandRow, choice_value, event_values, findings_value, strand_rows, zone_values
from apps.services.models import PlanVersion, Service
from apps.shelf.adapters import lightener_value
from apps.shelf.queries import developers, lighteners, toners
from apps.studio.models import Membership
from fervens_core.board import Board, make_board
from fervens_core.errors import ConflictError, CoreError
from fervens_core.events import Event
from fervens_core.findings import Findings
from fervens_core.hair import Tone
from fervens_core.request import PlanRequest
from fervens_core.safety import Caution, Severity, lightening_cautions
from fervens_core.service import ServiceState, fold
from fervens_core.strand import Strand
from fervens_core.tonestep import ToneLane, tone_lanes
from fervens_core.verdict import Verdict, make_verdict
from fervens_core.zones import Zone, lanes_of

DAY_MAX = 100
VERSIONS_MAX = 50
PATCH_TEST_OPEN_DAYS = 14
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
    lanes: tuple[Zone, ...]
    strands: tuple[StrandRow, ...]
    events: list[Event]
    state: ServiceState
    findings: Findings

    @property
    def strand_values(self) -> tuple[Strand, ...]:
        """The strands as the core knows them."""
        return tuple(s.value for s in self.strands)

    @property
    def cautions(self) -> tuple[Caution, ...]:
        """Cautions of the consultation, blocks first."""
        has_test = any(s.readings for s in self.strand_values)
        return lightening_cautions(self.findings, self.zones, has_strand_test=has_test)

    @property
    def is_blocked(self) -> bool:
        """Whether any caution blocks the lightening."""
        return any(c.severity is Severity.BLOCK for c in self.cautions)

    def zone(self, key: str) -> Zone:
        """A lane, or a zone, by key. Raises ConflictError."""
        found = next((z for z in (*self.lanes, *self.zones) if z.key == key), None)
        if found is None:
            raise ConflictError("unknown_zone", f"This service has no zone {key!r}.")
        return found


def load(row: Service) -> Loaded:
    """Everything of a service as core values."""
    events, zones = event_values(row), zone_values(row)
    shelf = {x.key: x for x in lighteners(row.studio_id)} if row.strands else {}
    return Loaded(
        row=row,
        zones=zones,
        lanes=lanes_of(zones),
        strands=strand_rows(row, shelf),
        events=events,
        state=fold(events),
        findings=findings_value(row, row.client),
    )


def plan_request(loaded: Loaded) -> PlanRequest:
    """The saved choices of a service as a request to plan. Raises ConflictError without a lightener."""
    row = loaded.row
    if row.lightener is None:
        raise ConflictError("no_lightener", "Choose a lightener first; the shelf may be empty.")
    return PlanRequest(
        zones=loaded.zones,
        lightener=lightener_value(row.lightener),
        bottles=tuple(developers(row.studio_id)),
        choice=choice_value(row, [z.key for z in loaded.zones]),
        strands=loaded.strand_values,
        elasticity=loaded.findings.elasticity,
    )


def verdict(loaded: Loaded) -> Verdict:
    """What the consultation comes to, with the plan's lightener and the shelf's bottles."""
    try:
        request: PlanRequest | None = plan_request(loaded)
    except CoreError:
        request = None
    return make_verdict(loaded.findings, loaded.zones, loaded.cautions, request)


def versions(member: Membership, service_id: UUID) -> list[PlanVersion]:
    """The kept plans of a service, newest first. 404 for another studio's."""
    row = get_object_or_404(of_studio(member), pk=service_id)
    return list(row.versions.order_by("-number")[:VERSIONS_MAX])


def patch_tests(member: Membership, now: dt.datetime) -> list[Client]:
    """Clients whose patch test was placed in the last two weeks and is not read yet, the oldest first."""
    rows = Client.objects.filter(studio_id=member.studio_id, patch_test_result="not_done")
    since = now - dt.timedelta(days=PATCH_TEST_OPEN_DAYS)
    return list(rows.filter(patch_test_placed_at__gte=since).order_by("patch_test_placed_at")[:DAY_MAX])


def board(loaded: Loaded, now: dt.datetime) -> Board:
    """The chair at a moment; an empty board before the plan is taken."""
    row = loaded.row
    if row.lightener is None or not loaded.state.lanes:
        return Board(now=now, lanes=(), acts=())
    return make_board(
        loaded.state,
        {z.key: z for z in loaded.lanes},
        lightener_value(row.lightener),
        has_additive=bool(row.choice.get("has_additive")),
        now=now,
        strands=loaded.strand_values,
    )


def tone(loaded: Loaded, now: dt.datetime, *, most_options: int = 5) -> tuple[ToneLane, ...]:
    """The rinsed zones with their shades; nothing before the plan is taken."""
    row = loaded.row
    if row.lightener is None or not loaded.state.lanes:
        return ()
    return tone_lanes(
        loaded.state,
        {z.key: z for z in loaded.lanes},
        lightener_value(row.lightener),
        tuple(toners(row.studio_id)),
        has_additive=bool(row.choice.get("has_additive")),
        strands=loaded.strand_values,
        findings=loaded.findings,
        tone=Tone(row.tone),
        now=now,
        most_options=most_options,
    )
