"""Tables out and in: clients, readings, colour measurements."""

from __future__ import annotations

import datetime as dt
from dataclasses import replace
from uuid import UUID, uuid4

from django.db import transaction
from django.utils import timezone

from apps.clients.models import Client
from apps.common.words import in_words
from apps.records.record import readings_of
from apps.services.acts import append, locked
from apps.services.loading import Loaded
from apps.services.policies import check_event
from apps.services.wording import zone_names
from apps.studio.actions import audit
from apps.studio.models import Membership
from apps.studio.policies import require_may
from fervens_core.base import ConflictError, CoreError, LimitError, say
from fervens_core.formats import (
    ClientLine,
    ClientTable,
    ColourSample,
    ReadingLine,
    clients_from_csv,
    clients_to_csv,
    level_of_lab,
    readings_to_csv,
    samples_from_cgats,
    samples_to_cgats,
)
from fervens_core.head import ReadingMode, TestResult
from fervens_core.log import Phase, ReadingTaken

EXPORT_MAX = 50_000
CGATS_ROUND = 1


def clients_csv(member: Membership) -> str:
    """The studio's clients as CSV; audited, for they leave by a member's act."""
    require_may(member, "take_clients_out")
    rows = Client.objects.filter(studio_id=member.studio_id, erased_at=None).order_by("name")[:EXPORT_MAX]
    lines = [
        ClientLine(
            name=c.name,
            birth_date=c.birth_date,
            notes=c.notes,
            has_reacted_before=c.reacts_to_oxidative,
            patch_test_placed_on=timezone.localdate(c.patch_test_placed_at) if c.patch_test_placed_at else None,
            patch_test_result=TestResult(c.patch_test_result),
        )
        for c in rows
    ]
    audit(member, "clients_taken_out", len(lines))
    return clients_to_csv(lines)


def preview_clients(member: Membership, text: str) -> tuple[ClientTable, list[str]]:
    """What a CSV would bring, what is wrong with it, and the names that are there already."""
    require_may(member, "bring_clients_in")
    found = clients_from_csv(text, timezone.localdate())
    names = {c.name for c in found.lines}
    known = Client.objects.filter(studio_id=member.studio_id, name__in=names).values_list("name", flat=True)
    return found, sorted(set(known))


@transaction.atomic
def take_clients(member: Membership, text: str) -> int:
    """The clients of a CSV, all or nothing; those with a known name are left as they are.

    Raises:
        LimitError: the first bad line, with how many there are.
    """
    found, known = preview_clients(member, text)
    if found.problems:
        p = found.problems[0]
        limit = say("limit-first_of_bad_lines", limit=p.limit, count=len(found.problems))
        raise LimitError(f"line {p.line}, {p.column}", limit, p.value)
    zone = timezone.get_current_timezone()
    rows = []
    for c in found.lines:
        if c.name in known:
            continue
        placed = c.patch_test_placed_on
        rows.append(
            Client(
                studio_id=member.studio_id,
                name=c.name,
                birth_date=c.birth_date,
                notes=c.notes,
                reacts_to_oxidative=c.has_reacted_before,
                patch_test_placed_at=dt.datetime.combine(placed, dt.time(0), tzinfo=zone) if placed else None,
                patch_test_result=c.patch_test_result.value,
            )
        )
    Client.objects.bulk_create(rows, batch_size=500)
    audit(member, "clients_brought_in", len(rows))
    return len(rows)


def readings_csv(loaded: Loaded) -> str:
    """The readings of a service as CSV."""
    lines = [
        ReadingLine(in_words(r.zone_name), r.at, r.minute, r.level, r.mode, tuple(r.lab), r.by)
        for r in readings_of(loaded)
    ]
    return readings_to_csv(lines)


def colours_cgats(loaded: Loaded, now: dt.datetime) -> str:
    """What a colour reader measured in a service, as CGATS text. Raises ConflictError when it measured nothing."""
    found = [r for r in readings_of(loaded) if len(r.lab) == 3]
    if not found:
        raise ConflictError("nothing_measured")
    samples = [ColourSample(in_words(r.zone_name), (r.lab[0], r.lab[1], r.lab[2])) for r in found]
    title = f"{loaded.row.client.name}, {timezone.localdate(loaded.row.starts_at)}"
    return samples_to_cgats(samples, made_at=now, title=title)


@transaction.atomic
def take_colours(member: Membership, service_id: UUID, text: str, mode: ReadingMode) -> Loaded:
    """Measurements of CGATS text as readings of the lanes with those names, all or nothing.

    Raises:
        LimitError: a name that is no zone of this service, or a colour that is none of its hair. ConflictError.
    """
    loaded = locked(member, service_id)
    samples = samples_from_cgats(text)
    names = zone_names(loaded)
    by_name = {in_words(n).casefold(): k for k, n in names.items()} | {k.casefold(): k for k in names}
    now = timezone.now()
    for i, sample in enumerate(samples, 1):
        key = by_name.get(sample.name.casefold())
        lane = next((x for x in loaded.state.lanes if x.key == key), None)
        if key is None or lane is None or lane.phase not in (Phase.PROCESSING, Phase.RINSED):
            open_names = [names[x.key] for x in loaded.state.lanes if x.phase in (Phase.PROCESSING, Phase.RINSED)]
            known = tuple(open_names) or (say("limit-no_zone_open"),)
            raise LimitError(f"measurement {i}, SAMPLE_NAME", say("limit-one_of", known=known), sample.name)
        try:
            measured = level_of_lab(loaded.zone(key).hair.colour_start, sample.lab)
        except CoreError as error:
            raise error.within(f"measurement {i}, {sample.name}") from error
        data = ReadingTaken(key, round(measured.level, CGATS_ROUND), mode, lab=sample.lab)
        check_event(member, loaded, data)
        at = now + dt.timedelta(milliseconds=i)
        loaded = append(member, loaded, event_id=uuid4(), occurred_at=at, data=data, device="", seen=None)
    audit(member, "measurements_brought_in", service_id)
    return replace(loaded)
