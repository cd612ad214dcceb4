"""Acts on practice rounds."""

from __future__ import annotations

import datetime as dt
import secrets
from dataclasses import replace
from uuid import UUID, uuid4

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.clients.models import Client
from apps.common.telling import tell
from apps.common.words import in_words
from apps.services import loading
from apps.services.acts import locked
from apps.services.adapters import zone_row, zone_values
from apps.services.consultation.actions import begins_with
from apps.services.exchange.actions import service_file
from apps.services.exchange.intake import take_in
from apps.services.loading import Loaded
from apps.services.models import PracticeRound, Service, ServiceEvent
from apps.services.practice import queries
from apps.services.practice.setups import setup_value
from apps.services.round_clock import SPEED_MOST, told
from apps.shelf.intake import match_shelf
from apps.shelf.models import Lightener
from apps.studio.models import Membership
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, LimitError, check_range, plain, say
from fervens_core.formats import FileEvent
from fervens_core.head import Tone
from fervens_core.log import Step, live_events
from fervens_core.practice import (
    PAST_HEAD,
    RANDOM_HEAD,
    SEED_MAX,
    Difficulty,
    Help,
    Outcome,
    RoundFile,
    Setup,
    head_called,
    random_head,
    read_round_file,
    result_of,
    setup_of,
    told_zones,
    troubled,
    with_names,
)

ROUNDS_MOST = 200
"""Of one member; the oldest that are over make room."""


def _title(setup: Setup) -> str:
    return in_words(say(f"practice_head-{setup.head}"))


def _person(member: Membership, setup: Setup) -> Client:
    """Who sits in the practice chair: an adult with a clear patch test, of whom nothing else is known yet."""
    now = timezone.now()
    return Client.everyone.create(
        studio_id=member.studio_id,
        name=_title(setup),
        is_practice=True,
        birth_date=dt.date(now.year - 30, 1, 1),
        patch_test_placed_at=now - dt.timedelta(days=3),
        patch_test_result="negative",
    )


def _make_room(member: Membership) -> None:
    rows = list(queries.rounds_of(member).order_by("-created_at")[ROUNDS_MOST - 1 :])
    for row in rows:
        row.service.client.delete()


def _row_of(member: Membership, service: Service, setup: Setup, at: dt.datetime, played_by: str = "") -> PracticeRound:
    return PracticeRound.objects.create(
        service=service, user=member.user, setup=plain(setup), clock=told(at, 0.0), played_by=played_by
    )


@transaction.atomic
def begin(member: Membership, setup: Setup) -> Service:
    """A round on a setup's head: its service with what stands on the card. Raises ConflictError without a shelf."""
    lightener = Lightener.objects.filter(studio_id=member.studio_id).order_by("name").first()
    if lightener is None:
        raise ConflictError("no_lightener.shelf")
    _make_room(member)
    at = timezone.now()
    row = Service.everything.create(
        studio_id=member.studio_id,
        client=_person(member, setup),
        is_practice=True,
        starts_at=at,
        wish=setup.wish,
        tone=setup.tone.value,
        wanted_level=setup.wanted_level,
        choice=begins_with(member.studio),
        lightener=lightener,
    )
    row.zones.bulk_create([zone_row(row, z, i) for i, z in enumerate(told_zones(setup))])
    _row_of(member, row, setup, at)
    return loading.get(member, row.pk)


def setup_for(
    member: Membership,
    *,
    head: str,
    difficulty: Difficulty | None,
    seed: int | None,
    help: Help,
    has_mishaps: bool,
    service_id: UUID | None,
) -> Setup:
    """A setup from what a learner chose. LimitError for a head there is not; 404 for another's service."""
    seed = secrets.randbelow(SEED_MAX) if seed is None else seed
    if head == PAST_HEAD:
        return _of_past(member, service_id, seed, difficulty or Difficulty.BANDED, help, has_mishaps)
    if head == RANDOM_HEAD:
        drawn = random_head(seed, difficulty or Difficulty.EVEN)
        return with_names(setup_of(drawn, seed, difficulty=difficulty, help=help, has_mishaps=has_mishaps), in_words)
    found = head_called(head)
    if found is None:
        raise LimitError("head", say("limit-one_of", known=(RANDOM_HEAD, PAST_HEAD)), head)
    return with_names(setup_of(found, seed, difficulty=difficulty, help=help, has_mishaps=has_mishaps), in_words)


def _of_past(
    member: Membership, service_id: UUID | None, seed: int, difficulty: Difficulty, help: Help, has_mishaps: bool
) -> Setup:
    """A filed head as it was planned, with its hair and nothing else: no name, wish, day, note or test."""
    if service_id is None:
        raise LimitError("service_id", say("limit-given"), None)
    rows = loading.with_zones(loading.of_studio(member)).filter(step=Step.RECORD.value)
    row = get_object_or_404(rows, pk=service_id)
    zones = tuple(replace(z, lightener=None) for z in zone_values(row))
    if not zones:
        raise ConflictError("nothing_planned")
    setup = Setup(
        head=PAST_HEAD,
        seed=seed,
        zones=troubled(zones, difficulty),
        difficulty=difficulty,
        help=help,
        has_mishaps=has_mishaps,
        tone=Tone(row.tone),
        wanted_level=row.wanted_level,
    )
    return with_names(setup, in_words)


def _own(member: Membership, service_id: UUID) -> Loaded:
    """A member's own round, locked. 404 for anything else."""
    get_object_or_404(queries.rounds_of(member), service_id=service_id)
    return locked(member, service_id)


@transaction.atomic
def set_clock(
    member: Membership, service_id: UUID, *, at: dt.datetime, speed: float, until: dt.datetime | None = None
) -> PracticeRound:
    """The device's clock of a round: the moment in it, and how fast it runs from now, 0 for standing still.

    Args:
        until: the moment it stops at by itself, because something falls due then; None: it runs on.
    Raises:
        LimitError: a speed out of 0 to 60, or a moment that is before what is logged or days away.
    """
    loaded = _own(member, service_id)
    check_range("speed", speed, 0.0, SPEED_MOST)
    row = loaded.round
    assert row is not None
    if row.ended_at is not None:
        return row
    last = max((e.occurred_at for e in loaded.log), default=loaded.row.starts_at)
    for name, moment in (("at", at), ("until", until or at)):
        if moment.tzinfo is None or abs(moment - loaded.row.starts_at) > dt.timedelta(days=2):
            raise LimitError(name, say("limit-within_two_days"), moment.isoformat())
    row.clock = told(max(at, last), speed, until)
    row.save(update_fields=["clock"])
    return row


@transaction.atomic
def end(member: Membership, service_id: UUID) -> Loaded:
    """The round is over: its clock stands, nothing is added to its log any more."""
    loaded = _own(member, service_id)
    row = loaded.round
    assert row is not None
    if row.ended_at is None:
        row.clock = told(loaded.now, 0.0)
        row.ended_at = timezone.now()
        row.save(update_fields=["clock", "ended_at"])
        tell(member.studio_id, service_id, "round_over")
    return loading.load(loading.get(member, service_id))


def keep_result(row: PracticeRound, outcome: Outcome) -> None:
    """What a round came to, kept for the progress over rounds."""
    if row.result is None:
        row.result = plain(result_of(outcome))
        row.save(update_fields=["result"])


@transaction.atomic
def again(member: Membership, service_id: UUID, until: dt.datetime | None) -> Service:
    """The same head once more: from the beginning, or with everything that was done up to a moment of it."""
    loaded = _own(member, service_id)
    row = loaded.round
    assert row is not None
    fresh = begin(member, setup_value(row))
    if until is None:
        return fresh
    if until.tzinfo is None:
        raise LimitError("until", say("limit-time_zone"), until.isoformat())
    shift = fresh.starts_at - loaded.row.starts_at
    Service.everything.filter(pk=fresh.pk).update(
        **{
            name: getattr(loaded.row, name)
            for name in ("facts", "strands", "scalp", "elasticity", "salts_test", "choice", "toner_idea", "lightener")
        },
        tone=loaded.row.tone,
        wish=loaded.row.wish,
        wanted_level=loaded.row.wanted_level,
    )
    Client.everyone.filter(pk=fresh.client_id).update(reacts_to_oxidative=loaded.row.client.reacts_to_oxidative)
    fresh.zones.all().delete()
    fresh.zones.bulk_create([zone_row(fresh, z, i) for i, z in enumerate(loaded.zones)])
    made: dict[str, UUID] = {}
    rows = []
    for line in loaded.log:
        if line.occurred_at > until:
            continue
        made[str(line.event_id)] = uuid4()
        data = dict(line.data)
        if line.kind == "EventVoided":
            if data["event_id"] not in made:
                continue
            data["event_id"] = str(made[data["event_id"]])
        rows.append(
            ServiceEvent(
                service=fresh,
                event_id=made[str(line.event_id)],
                kind=line.kind,
                occurred_at=line.occurred_at + shift,
                recorded_at=line.recorded_at + shift,
                by=line.by,
                by_name=line.by_name,
                schema_version=line.schema_version,
                data=data,
            )
        )
    ServiceEvent.objects.bulk_create(rows)
    copied = loading.load(loading.get(member, fresh.pk))
    Service.everything.filter(pk=fresh.pk).update(step=copied.state.step.value)
    PracticeRound.objects.filter(service=fresh).update(clock=told(until + shift, 0.0))
    return loading.get(member, fresh.pk)


@transaction.atomic
def drop(member: Membership, service_id: UUID) -> None:
    """A round is thrown away, with everything of it."""
    loaded = _own(member, service_id)
    loaded.row.client.delete()
    tell(member.studio_id, service_id, "round_dropped")


def take_out(member: Membership, service_id: UUID, *, is_played: bool) -> RoundFile:
    """A round as a file: its head alone, as a teacher sets it, or with what was played of it once it is over."""
    row = get_object_or_404(queries.rounds_of(member), service_id=service_id)
    setup = setup_value(row)
    if not is_played:
        return RoundFile(setup)
    if row.ended_at is None:
        raise ConflictError("round_not_over")
    loaded = loading.load(loading.get(member, service_id))
    file = service_file(member, loaded)
    zero = loaded.row.starts_at
    events = tuple(
        FileEvent(max((e.occurred_at - zero).total_seconds() / 60.0, 0.0), e.by[:80] or member.name[:80], e.data)
        for e in live_events(loaded.events)
    )
    used = {key for e in events for key in (getattr(e.data, "shade_key", ""), getattr(e.data, "second_key", "")) if key}
    return RoundFile(setup, replace(file, events=events, toners=tuple(t for t in file.toners if t.key in used)))


@transaction.atomic
def bring_in(member: Membership, document: object) -> Service:
    """A round from a file: a head to play, or one that somebody played, over and to be looked at.

    Raises:
        CoreError: the file is not one.
    """
    file = read_round_file(document)
    if file.service is None:
        return begin(member, file.setup)
    _make_room(member)
    shelf = match_shelf(member.studio, file.service)
    if shelf.added:
        require_may(member, "change_the_shelf")
    at = timezone.now()
    by = next((e.by for e in file.service.events), "")
    service = take_in(
        member.studio,
        file.service,
        starts_at=at,
        lighteners=shelf.lighteners,
        shade_keys=shelf.shade_keys,
        is_practice=True,
    )
    last = max((e.at_min for e in file.service.events), default=0.0)
    row = _row_of(member, service, file.setup, at + dt.timedelta(minutes=last), played_by=by)
    row.ended_at = at
    row.save(update_fields=["ended_at"])
    return loading.get(member, service.pk)
