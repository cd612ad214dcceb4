"""The next visit: when, for how long, and the head as it comes back from the last one."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace
from uuid import UUID

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients import queries as client_queries
from apps.clients.models import Client
from apps.common.telling import tell
from apps.services import loading
from apps.services.adapters import choice_value, names_lighteners, zone_row, zone_values
from apps.services.consultation.actions import LASTING_FACTS
from apps.services.known import known_of
from apps.services.models import Service
from apps.services.planned import planned
from apps.services.summary import summarise
from apps.services.visits.free import Free, left_by
from apps.shelf.adapters import lightener_value
from apps.shelf.queries import developers, lighteners
from apps.studio.actions import audit
from apps.studio.closed import closed_of
from apps.studio.models import Membership
from apps.studio.policies import require_may
from fervens_core.base import ON_TARGET_LEVELS, ConflictError, CoreError, LimitError, check_range, say
from fervens_core.followup import (
    REST_DAYS,
    Filed,
    LastFormula,
    NextVisit,
    WornLane,
    has_regrowth,
    head_since,
    last_formulas,
    propose_visit,
    read_filed,
)
from fervens_core.head import AGAIN, Elasticity, Lightener, ServiceKind, Zone, lanes_of, without_row
from fervens_core.log import Step
from fervens_core.planning import (
    PlanChoice,
    PlanRequest,
    chair_time,
    head_sessions,
    sessions_needed,
    tone_time,
    total_min,
)

AHEAD_MAX = dt.timedelta(days=731)


def growth(client: Client) -> float:
    """How fast a client's hair grows, mm a month: their own, or the studio's."""
    return client.growth_mm_per_month or client.studio.growth_mm_per_month


def summary_of(row: Service) -> Filed:
    """What a filed service came to; worked out anew for one that was filed before summaries were kept."""
    if row.summary is None:
        loaded = loading.load(row)
        return summarise(loaded, loaded.state.closed_at or timezone.now())
    return read_filed(row.summary)


def reached(summary: Filed) -> dict[str, float]:
    """Level by lane key; a lane lightened once more stands for the one before it, rows for their zone by their mean."""
    last = {x.key.removesuffix(AGAIN): x.level for x in summary.lanes if x.level is not None}
    found: dict[str, list[float]] = {}
    for key, level in last.items():
        found.setdefault(without_row(key), []).append(level)
    return {key: sum(levels) / len(levels) for key, levels in found.items()}


def worn_lanes(row: Service, summary: Filed) -> list[WornLane]:
    """The lanes of a filed service as they ran."""
    zones = zone_values(row)
    choice = choice_value(row, [z.key for z in zones])
    lanes = {z.key: z for z in choice.on(lanes_of(zones))}
    has_additive = choice.has_additive
    found = []
    for x in summary.lanes:
        zone = lanes.get(x.key)
        if zone is None or x.level is None or x.minutes is None:
            continue
        readings = tuple((r.minute, r.level, r.mode) for r in x.readings)
        found.append(
            WornLane(
                zone,
                x.level,
                x.volume,
                x.minutes,
                x.extent,
                x.rate,
                readings,
                has_additive,
                x.applications,
            )
        )
    return found


def zones_on(row: Service, summary: Filed, at: dt.datetime) -> tuple[Zone, ...]:
    """The head of a filed service as it would come at a moment."""
    days = max((at - row.starts_at).total_seconds() / 86400.0, 0.0)
    if row.client.is_hair_piece:
        days = 0.0  # nothing grows
    return head_since(zone_values(row), reached(summary), min(days, 3650.0), growth(row.client))


def _request(row: Service, zones: tuple[Zone, ...]) -> PlanRequest | None:
    """Zones to be planned with a service's lightener and the shelf."""
    if row.lightener is None:
        return None
    old = choice_value(row, [z.key for z in zones])
    return PlanRequest(
        zones=zones,
        lightener=lightener_value(row.lightener),
        bottles=tuple(developers(row.studio_id)),
        choice=PlanChoice(has_additive=old.has_additive, aim=old.aim, step=old.step, bowl_style=old.bowl_style),
        strands=(),
        weakest=loading.weakest_volumes(row.studio),
        others=_others(row, zones),
        pace=loading.pace_of(row.studio),
    )


def _others(row: Service, zones: tuple[Zone, ...]) -> tuple[Lightener, ...]:
    """Lighteners beside the service's own that zones, or lanes of its plan, name."""
    choice = choice_value(row, [z.key for z in zones])
    return tuple(lighteners(row.studio_id)) if names_lighteners(zones, choice) else ()


def expected_min(row: Service, zones: tuple[Zone, ...]) -> float | None:
    """Chair time of zones with a service's lightener and the shelf, min; None when it cannot be planned."""
    try:
        request = _request(row, zones)
        return total_min(chair_time(planned(request), request)) or None if request else None
    except CoreError:
        return None


def _is_short(filed: Filed) -> bool:
    return any(x.level is not None and x.target - x.level > ON_TARGET_LEVELS for x in filed.lanes)


def visits_left(row: Service) -> int | None:
    """Visits a filed service's head still takes to its wish, from six weeks on; None when six do not do it.

    None are left where every lane came to its wish: what grows by then is kept up, not still owed.
    """
    if not _is_short(summary_of(row)):
        return 0
    at = row.starts_at + dt.timedelta(days=REST_DAYS)
    try:
        request = _request(row, zones_on(row, summary_of(row), at))
        return sessions_needed(head_sessions(request, planned(request))) if request else None
    except CoreError:
        return None


def propose_next(row: Service) -> NextVisit:
    """The visit to propose after a filed service. Raises ConflictError before it is filed."""
    if row.step != Step.RECORD.value:
        raise ConflictError("not_filed.next")
    summary = summary_of(row)
    is_short = _is_short(summary)
    rested = zones_on(row, summary, row.starts_at + dt.timedelta(days=REST_DAYS))
    has_roots = has_regrowth(rested) and not row.client.is_hair_piece
    is_strand_test = row.kind == ServiceKind.STRAND_TEST.value
    found = propose_visit(
        timezone.localdate(row.starts_at),
        is_short=is_short,
        has_roots=has_roots,
        is_toned=bool(summary.toners),
        is_strand_test=is_strand_test,
        mm_per_month=growth(row.client),
        closed=closed_of(row.client.studio),
    )
    if row.client.is_hair_piece:
        found = replace(found, regrowth_mm=0.0)  # nothing grows
    at = dt.datetime.combine(found.on, dt.time(10), tzinfo=timezone.get_current_timezone())
    zones = zones_on(row, summary, at)
    if not (is_short or has_roots or is_strand_test):  # nothing to lighten: the tone is refreshed
        return replace(found, expected_min=total_min(tone_time(zones, loading.pace_of(row.studio))) or None)
    return replace(found, expected_min=expected_min(row, zones))


def formulas_of(row: Service) -> tuple[LastFormula, ...]:
    """What each lane had, corrected by what was learnt."""
    if row.lightener is None:
        return ()
    stretched = Elasticity(row.elasticity)
    worn = worn_lanes(row, summary_of(row))
    others = _others(row, zone_values(row))
    return last_formulas(worn, lightener_value(row.lightener), stretched, others)


def last_filed(member: Membership, client_id: UUID) -> Service | None:
    """The client's last filed service with its parts."""
    rows = loading.with_parts(loading.of_studio(member)).select_related("client__studio")
    return rows.filter(client_id=client_id, step=Step.RECORD.value).order_by("-starts_at").first()


def filed(member: Membership, service_id: UUID) -> Service:
    """A service with its parts and its client's studio. 404 for another studio's."""
    loading.get(member, service_id)
    rows = loading.with_parts(loading.of_studio(member)).select_related("client__studio")
    return get_object_or_404(rows, pk=service_id)


@transaction.atomic
def start_from(
    member: Membership, client_id: UUID, *, starts_at: dt.datetime | None, booked_min: float | None, after: UUID | None
) -> Service:
    """A new service from a filed one: its regrowth, its levels, and what its readings taught.

    Args:
        after: the filed service; None for the client's last. booked_min: 15 to 900 min in the diary, or None.
    Raises:
        ConflictError: nothing is filed yet. LimitError: a moment out of reach.
    """
    client = client_queries.get(member, client_id)
    if client.erased_at:
        raise ConflictError("erased")
    last = filed(member, after) if after else last_filed(member, client.pk)
    if last is None or last.step != Step.RECORD.value or last.client_id != client.pk:
        raise ConflictError("nothing_filed")
    now = timezone.now()
    at = starts_at or now
    if at.tzinfo is None or not last.starts_at <= at <= now + AHEAD_MAX:
        raise LimitError("starts_at", say("limit-after_last_within_two_years"), str(at))
    if booked_min is not None:
        check_range("booked_min", booked_min, 15.0, 900.0, "min")
    summary = summary_of(last)
    zones = zones_on(last, summary, at)
    known = known_of(member.studio_id, client.pk)
    facts = {k: last.facts[k] for k in LASTING_FACTS if k in last.facts}
    keys = [z.key for z in zones]
    old = choice_value(last, keys)
    row = Service.objects.create(
        studio_id=member.studio_id,
        client=client,
        starts_at=at,
        wish=last.wish,
        tone=last.tone,
        wanted_level=last.wanted_level,
        lightener=last.lightener,
        facts=facts | ({"booked_min": booked_min} if booked_min else {}),
        known=known,
        choice={"has_additive": old.has_additive, "known_head": known},
        source="last_time",
        previous=last,
    )
    row.zones.bulk_create([zone_row(row, z, i) for i, z in enumerate(zones)])
    audit(member, "service_started_from_the_last", row.pk)
    tell(member.studio_id, row.pk, "booked")
    return loading.get(member, row.pk)


@transaction.atomic
def move_visit(member: Membership, service_id: UUID, starts_at: dt.datetime) -> Service:
    """Put a visit that has not begun at another time. Raises ConflictError once it has, LimitError of the day."""
    row = get_object_or_404(loading.of_studio(member).select_for_update(), pk=service_id)
    require_may(member, "move_a_visit")
    if row.step != Step.CONSULTATION.value or row.events.exists():
        raise ConflictError("already_begun")
    now = timezone.now()
    if starts_at.tzinfo is None or not now - dt.timedelta(days=1) <= starts_at <= now + AHEAD_MAX:
        raise LimitError("starts_at", say("limit-from_today_within_two_years"), str(starts_at))
    row.starts_at = starts_at
    row.save(update_fields=["starts_at"])
    audit(member, "visit_moved", service_id)
    tell(member.studio_id, service_id, "booked")
    return row


@transaction.atomic
def cancel_visit(member: Membership, service_id: UUID) -> tuple[UUID, Free | None]:
    """Take a visit that has not begun out of the diary; its client's id and what is free now.

    Raises ConflictError once it has begun.
    """
    row = get_object_or_404(loading.of_studio(member).select_for_update(), pk=service_id)
    require_may(member, "cancel_a_visit")
    if row.step != Step.CONSULTATION.value or row.events.exists():
        raise ConflictError("already_begun")
    client_id: UUID = row.client_id
    free = left_by(member, row)
    row.delete()
    audit(member, "visit_cancelled", service_id)
    tell(member.studio_id, service_id, "cancelled")
    return client_id, free


@transaction.atomic
def note_reminder(member: Membership, service_id: UUID, *, is_sent: bool) -> Service:
    """The client was told what to stop before the visit; or was not after all."""
    row = get_object_or_404(loading.of_studio(member).select_for_update(), pk=service_id)
    row.reminded_at = timezone.now() if is_sent else None
    row.save(update_fields=["reminded_at"])
    audit(member, "client_reminded" if is_sent else "reminder_taken_back", service_id)
    return row
