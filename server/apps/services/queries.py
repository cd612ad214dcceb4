"""Reading services: the state, the plan, the board, the tone, all computed by the core from the rows."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass
from uuid import UUID

from django.db.models import QuerySet
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients.models import Client
from apps.services.adapters import StrandRow, choice_value, event_value, findings_value, strand_rows, zone_values
from apps.services.models import PlanVersion, Service, ServiceEvent
from apps.shelf.adapters import lightener_value
from apps.shelf.queries import developers, lighteners, toners
from apps.studio.models import Membership
from fervens_core.base import ConflictError, CoreError
from fervens_core.basin import (
    USUAL_BOWLS,
    Review,
    ToneStep,
    Tried,
    lanes_today,
    make_review,
    read_zones,
    tone_step,
    toning_plans_for,
    try_formula,
)
from fervens_core.chair import Board, Chair, LaneOption, bowls_to_mix, head_belief, lane_options, lane_times, make_board
from fervens_core.followup import REMINDER_DAYS
from fervens_core.head import Findings, Tone, Zone, kept_parts_of, lanes_of
from fervens_core.lift import Strand
from fervens_core.log import Event, Phase, ServiceState, Step, fold
from fervens_core.planning import PlannedBowl, PlanRequest, Verdict, make_verdict
from fervens_core.safety import Caution, Severity, lightening_cautions
from fervens_core.toning import Formula

DAY_MAX = 100
VERSIONS_MAX = 50
PATCH_TEST_OPEN_DAYS = 14
OPEN_SINCE_H = 12
REMIND_LEAST_DAYS = 2
"""Later than this a reminder changes nothing any more."""


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
    """A service's rows as core values; `log` are the rows of its events, as `events` has them."""

    row: Service
    zones: tuple[Zone, ...]
    lanes: tuple[Zone, ...]
    strands: tuple[StrandRow, ...]
    log: tuple[ServiceEvent, ...]
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
        """A lane, a part left as it was, or a zone, by key. Raises ConflictError."""
        found = next((z for z in (*self.lanes, *kept_parts(self), *self.zones) if z.key == key), None)
        if found is None:
            raise ConflictError("unknown_zone", f"This service has no zone {key!r}.")
        return found


def load(row: Service) -> Loaded:
    """Everything of a service as core values."""
    log, zones = tuple(row.events.all()), zone_values(row)
    events = [event_value(e) for e in log]
    shelf = {x.key: x for x in lighteners(row.studio_id)} if row.strands else {}
    state = fold(events)
    return Loaded(
        row=row,
        zones=zones,
        lanes=lanes_today(zones, state),
        strands=strand_rows(row, shelf),
        log=log,
        events=events,
        state=state,
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


def open_requests(member: Membership, now: dt.datetime) -> list[Service]:
    """Requests of new clients that nobody has begun to work on, the next day first."""
    rows = of_studio(member).filter(source="request", step=Step.CONSULTATION.value, starts_at__gte=now, revision=0)
    return list(rows.select_related("client").order_by("starts_at")[:DAY_MAX])


def reminders_due(member: Membership, now: dt.datetime) -> list[Service]:
    """Booked visits whose client is to be reminded now: within three weeks, not begun, not reminded yet."""
    until = now + dt.timedelta(days=REMINDER_DAYS[0])
    soon = now + dt.timedelta(days=REMIND_LEAST_DAYS)
    rows = of_studio(member).filter(
        step=Step.CONSULTATION.value, reminded_at=None, starts_at__gte=soon, starts_at__lte=until
    )
    return list(rows.exclude(source="request").select_related("client").order_by("starts_at")[:DAY_MAX])


def chair(loaded: Loaded, now: dt.datetime) -> Chair | None:
    """The chair's lanes as the core knows them; None before the plan is taken."""
    row = loaded.row
    if row.lightener is None or not loaded.state.lanes:
        return None
    return Chair(
        state=loaded.state,
        zones={z.key: z for z in loaded.lanes},
        lightener=lightener_value(row.lightener),
        now=now,
        has_additive=bool(row.choice.get("has_additive")),
        strands=loaded.strand_values,
    )


@dataclass(frozen=True, slots=True)
class AtChair:
    """The board at a moment, and the bowls still to be mixed."""

    board: Board
    bowls: tuple[PlannedBowl, ...]


def at_chair(loaded: Loaded, now: dt.datetime) -> AtChair:
    """The board and the mixing list; both empty before the plan is taken.

    When the shelf has changed so that nothing can be planned, the chair goes on without amounts and proposals.
    """
    there = chair(loaded, now)
    if there is None:
        return AtChair(Board(now=now, lanes=(), acts=()), ())
    if all(x.phase is Phase.RINSED for x in there.state.lanes):
        return AtChair(make_board(there), ())
    try:
        request = plan_request(loaded)
    except CoreError:
        return AtChair(make_board(there), ())
    return AtChair(make_board(there, request), bowls_to_mix(there, lane_times(there), request))


def board(loaded: Loaded, now: dt.datetime) -> Board:
    """The chair at a moment; an empty board before the plan is taken."""
    return at_chair(loaded, now).board


def options(loaded: Loaded, key: str, now: dt.datetime) -> tuple[LaneOption, ...]:
    """What can be done with a lane now. Raises ConflictError for one the plan has not."""
    there = chair(loaded, now)
    if there is None:
        raise ConflictError("no_plan", "No plan is at the chair yet.")
    times = lane_times(there)
    return lane_options(there, head_belief(there, times), times, key)


def tone(loaded: Loaded, now: dt.datetime, *, most_bowls: int = USUAL_BOWLS) -> ToneStep | None:
    """The tone step at a moment; None before the plan is taken."""
    there = chair(loaded, now)
    if there is None:
        return None
    shades = tuple(toners(loaded.row.studio_id))
    return tone_step(there, shades, findings=loaded.findings, tone=Tone(loaded.row.tone), most_bowls=most_bowls)


def formula(loaded: Loaded, shade_key: str, second_key: str, share: float, parts: float | None) -> Formula:
    """A formula out of the studio's shelf. Raises ConflictError for a shade it has not, LimitError for a bad one."""
    shelf = {t.key: t for t in toners(loaded.row.studio_id)}
    keys = [k for k in (shade_key, second_key) if k]
    for key in keys:
        if key not in shelf:
            raise ConflictError("unknown_shade", "This shade is not on the shelf any more.")
    return Formula(tuple(shelf[k] for k in keys), (share, 1.0 - share)[: len(keys)], parts)


def tried(loaded: Loaded, now: dt.datetime, own: Formula, keys: list[str]) -> Tried:
    """What an own formula would do. Raises ConflictError before there is anything to tone."""
    there = chair(loaded, now)
    if there is None:
        raise ConflictError("no_plan", "No plan is at the chair yet.")
    return try_formula(there, own, keys, tone=Tone(loaded.row.tone))


def kept_parts(loaded: Loaded) -> tuple[Zone, ...]:
    """Parts of the head that no lightener goes on today, as lanes; they may be read and toned."""
    return kept_parts_of(loaded.zones, lanes_of(loaded.zones))


def review(loaded: Loaded, now: dt.datetime) -> Review | None:
    """How the head came out; None before the plan is taken."""
    there = chair(loaded, now)
    if there is None:
        return None
    reads = read_zones(there)
    try:
        request: PlanRequest | None = plan_request(loaded)
    except CoreError:
        request = None
    shades = tuple(toners(loaded.row.studio_id))
    choices = toning_plans_for(there, reads, shades, loaded.findings, Tone(loaded.row.tone), USUAL_BOWLS)
    return make_review(
        there,
        reads,
        request=request,
        choice=choices[-1] if choices else None,
        elasticity=loaded.findings.elasticity,
        kept=kept_parts(loaded),
    )
