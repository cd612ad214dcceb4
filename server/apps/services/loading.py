"""Services as the core knows them: rows of one studio, loaded whole."""

from __future__ import annotations

import datetime as dt
from dataclasses import dataclass
from uuid import UUID

from django.db.models import Q, QuerySet
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.services.adapters import (
    StrandRow,
    choice_value,
    findings_value,
    names_lighteners,
    strand_rows,
    zone_values,
)
from apps.services.eyes import eyes_of
from apps.services.kept_log import KeptLog, of_rows, read_log
from apps.services.models import PracticeRound, Service, ServiceEvent
from apps.services.round_clock import clock_now
from apps.shelf.adapters import lightener_value
from apps.shelf.models import Lightener as ShelfLightener
from apps.shelf.queries import developers, lighteners
from apps.studio.models import Membership, Studio
from fervens_core.base import ConflictError
from fervens_core.basin import lanes_today
from fervens_core.chair import Chair
from fervens_core.head import (
    NO_LIGHTENER,
    Findings,
    Lightener,
    ServiceKind,
    Zone,
    kept_parts_of,
    lanes_of,
    lightener_among,
)
from fervens_core.lift import Strand
from fervens_core.log import Event, ServiceState
from fervens_core.planning import Paces, PlanChoice, PlanRequest
from fervens_core.safety import Caution, Severity, WeakestVolumes, cautions_of


def of_studio(member: Membership) -> QuerySet[Service]:
    """Only the member's own studio's services."""
    return Service.objects.filter(studio_id=member.studio_id)


def openable(member: Membership) -> QuerySet[Service]:
    """What a member may open: the studio's services, and practice rounds of their own."""
    own = Q(is_practice=False) | Q(round__user_id=member.user_id)
    return Service.everything.filter(own, studio_id=member.studio_id)


def with_parts(rows: QuerySet[Service]) -> QuerySet[Service]:
    """The rows with everything the core needs, in a fixed number of queries."""
    return with_zones(rows).prefetch_related("events")


def with_zones(rows: QuerySet[Service]) -> QuerySet[Service]:
    """As `with_parts`, for one service, whose log is kept where it was read before."""
    return rows.select_related("client", "lightener", "studio", "round").prefetch_related("zones")


def get(member: Membership, service_id: UUID) -> Service:
    """One service with its parts; 404 when it is another studio's."""
    return get_object_or_404(with_zones(openable(member)), pk=service_id)


CLOCK_SLACK = dt.timedelta(seconds=5)
"""Processes on several machines may differ by so much."""


@dataclass(frozen=True, slots=True)
class Loaded:
    """A service's rows as core values; `log` are the rows of its events, as `events` has them.

    `choice` is the plan's; `others` are lighteners beside the service's own that its zones or lanes name.
    """

    row: Service
    zones: tuple[Zone, ...]
    lanes: tuple[Zone, ...]
    strands: tuple[StrandRow, ...]
    log: tuple[ServiceEvent, ...]
    events: list[Event]
    state: ServiceState
    findings: Findings
    choice: PlanChoice
    others: tuple[Lightener, ...] = ()

    @property
    def kind(self) -> ServiceKind:
        """What the service does."""
        return ServiceKind(self.row.kind)

    @property
    def lightener(self) -> ShelfLightener | None:
        """The lightener of the service; none where nothing is lightened."""
        return self.row.lightener if self.kind.lightens else None

    def lightener_of(self, key: str) -> Lightener:
        """What a lane, a part or a zone is lightened with. Raises ConflictError when none was chosen."""
        if self.row.lightener is None:
            raise ConflictError("no_lightener")
        return lightener_among(self.zone(key).lightener, lightener_value(self.row.lightener), self.others)

    @property
    def round(self) -> PracticeRound | None:
        """The practice round it is played for; None for a client's service."""
        return self.row.round if self.row.is_practice else None

    @property
    def clock_behind(self) -> dt.timedelta:
        """How far the server's clock stands before the last line that was recorded: then it was set back."""
        if self.row.is_practice:
            return dt.timedelta()
        last = max((e.recorded_at for e in self.log[-20:]), default=None)
        return max(last - timezone.now(), dt.timedelta()) if last else dt.timedelta()

    @property
    def now(self) -> dt.datetime:
        """The moment for this service: where the server's clock was set back, time goes on from the last line.

        A practice round has a clock of its own.
        """
        if self.round is not None:
            return clock_now(self.round)
        behind = self.clock_behind
        return timezone.now() + (behind if behind > CLOCK_SLACK else dt.timedelta())

    @property
    def strand_values(self) -> tuple[Strand, ...]:
        """The strands as the core knows them."""
        return tuple(s.value for s in self.strands)

    @property
    def cautions(self) -> tuple[Caution, ...]:
        """Cautions of the consultation, blocks first."""
        has_test = any(s.readings for s in self.strand_values)
        return cautions_of(self.kind, self.findings, self.zones, has_strand_test=has_test)

    @property
    def is_blocked(self) -> bool:
        """Whether any caution blocks the lightening."""
        return any(c.severity is Severity.BLOCK for c in self.cautions)

    def zone(self, key: str) -> Zone:
        """A lane, a part left as it was, or a zone, by key. Raises ConflictError."""
        found = next((z for z in (*self.lanes, *kept_parts(self), *self.zones) if z.key == key), None)
        if found is None:
            raise ConflictError("unknown_zone", key=key)
        return found


def _log_of(row: Service) -> KeptLog:
    if "events" in getattr(row, "_prefetched_objects_cache", {}):
        return of_rows(tuple(row.events.all()))
    return read_log(row)


def load(row: Service) -> Loaded:
    """Everything of a service as core values."""
    kept, zones = _log_of(row), zone_values(row)
    choice = choice_value(row, [z.key for z in zones])
    is_named = names_lighteners(zones, choice)
    shelf = {x.key: x for x in lighteners(row.studio_id)} if row.strands or is_named else {}
    state = kept.state
    return Loaded(
        row=row,
        zones=zones,
        lanes=lanes_today(zones, state, ServiceKind(row.kind), choice),
        strands=strand_rows(row, shelf),
        log=kept.rows,
        events=list(kept.events),
        state=state,
        findings=findings_value(row, row.client),
        choice=choice,
        others=tuple(x for k, x in shelf.items() if k != str(row.lightener_id)) if is_named else (),
    )


def check_lanes(loaded: Loaded) -> None:
    """Whether everything the log put product on is a lane of the zones. Raises ConflictError naming the first."""
    known = {z.key for z in loaded.lanes}
    for lane in loaded.state.toned:
        if lane.key not in known:
            raise ConflictError("unknown_zone", key=lane.key)


def weakest_volumes(studio: Studio) -> WeakestVolumes:
    """The weakest developers the studio proposes to lighten with."""
    return WeakestVolumes(studio.weakest_natural, studio.weakest_worn, studio.weakest_old_dye)


def pace_of(studio: Studio) -> Paces:
    """How fast the studio's hands are."""
    return Paces(**studio.hands)


def plan_request(loaded: Loaded) -> PlanRequest:
    """The saved choices of a service as a request to plan. Raises ConflictError without a lightener."""
    row = loaded.row
    if row.lightener is None:
        raise ConflictError("no_lightener.shelf")
    return PlanRequest(
        zones=loaded.zones,
        lightener=lightener_value(row.lightener),
        bottles=tuple(developers(row.studio_id)),
        choice=loaded.choice,
        strands=loaded.strand_values,
        elasticity=loaded.findings.elasticity,
        weakest=weakest_volumes(row.studio),
        others=loaded.others,
        pace=pace_of(row.studio),
    )


def chair(loaded: Loaded, now: dt.datetime) -> Chair | None:
    """The chair's lanes as the core knows them; None before the plan is taken, or the parts to tone are known."""
    row = loaded.row
    lightener = lightener_value(row.lightener) if row.lightener else None
    if loaded.kind.only_tones:
        lightener = NO_LIGHTENER
    if lightener is None or not loaded.state.toned:
        return None
    return Chair(
        state=loaded.state,
        zones={z.key: z for z in loaded.lanes},
        lightener=lightener,
        now=now,
        has_additive=bool(row.choice.get("has_additive")),
        strands=loaded.strand_values,
        others=loaded.others,
        pace=pace_of(row.studio),
        eyes=eyes_of(row.studio),
        known=loaded.choice.known_head,
    )


def kept_parts(loaded: Loaded) -> tuple[Zone, ...]:
    """Parts of the head that no lightener goes on today, as lanes; they may be read and toned."""
    return kept_parts_of(loaded.zones, lanes_of(loaded.zones, loaded.kind))
