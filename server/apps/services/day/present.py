"""The day as answers."""

from __future__ import annotations

import datetime as dt

from django.utils import timezone

from apps.clients.models import Client
from apps.common.words import in_words, speaking
from apps.services import loading
from apps.services.chair import queries as chair_queries
from apps.services.day.schemas import DayPatchTest, DayReminder, DayService, DayVisit
from apps.services.hexes import _zone_hexes
from apps.services.loading import Loaded
from apps.services.models import Service
from apps.services.tone import queries as tone_queries
from fervens_core.base import Message, say
from fervens_core.followup import reminder_text
from fervens_core.head import PATCH_TEST_WAIT_H, Tone
from fervens_core.log import Step
from fervens_core.safety import CLEARED_TODAY, Severity


def patch_test_out(client: Client, now: dt.datetime) -> DayPatchTest:
    """A patch test that waits to be read."""
    placed = client.patch_test_placed_at or now
    due = placed + dt.timedelta(hours=PATCH_TEST_WAIT_H)
    return DayPatchTest(client_id=client.pk, client_name=client.name, placed_at=placed, due_at=due, is_due=due <= now)


def visit_out(row: Service) -> DayVisit:
    """A visit to come."""
    return DayVisit(service_id=row.pk, client_name=row.client.name, starts_at=row.starts_at)


def reminder_out(row: Service) -> DayReminder:
    """A visit whose client is to be reminded now."""
    with speaking(row.client.language):  # it is for the client
        text = in_words(reminder_text(timezone.localdate(row.starts_at), is_toned=True))
    return DayReminder(**visit_out(row).dict(), text=text)


def _next_text(loaded: Loaded, now: dt.datetime) -> tuple[Message, dt.datetime | None, list[str]]:
    """What the day's list says of a service, when it is due, and the zones' colours now."""
    start_hex, _ = _zone_hexes(loaded.zones)
    state = loaded.state
    match state.step:
        case Step.CONSULTATION:
            if loaded.is_blocked:
                blocks = [c.code for c in loaded.cautions if c.severity is Severity.BLOCK]
                text = say("day-clarify") if CLEARED_TODAY.issuperset(blocks) else say("day-not_today")
                return text, None, start_hex
            return say("day-finish" if loaded.zones else "day-read_head"), None, start_hex
        case Step.PLAN:
            return say("day-plan"), None, start_hex
        case Step.STRANDS:
            return say("day-strands"), None, start_hex
        case Step.CHAIR:
            board = chair_queries.board(loaded, now)
            act = board.acts[0] if board.acts else None
            colours = [lane.hex_now for lane in board.lanes]
            return (act.title if act else say("day-chair")), (act.due_at if act else None), colours
        case Step.REVIEW:
            board = chair_queries.board(loaded, now)
            return say("day-review"), None, [lane.hex_now for lane in board.lanes]
        case Step.TONE:
            board = chair_queries.board(loaded, now)
            colours = [lane.hex_now for lane in board.lanes]
            step = tone_queries.tone(loaded, now) if state.toners_on else None
            if step:
                due = min((x.toner.due_at for x in step.lanes if x.toner and not x.toner.rinsed_at), default=None)
                return say("day-toner_on", on=state.toners_on, of=len(step.lanes)), due, colours
            return say("day-tone"), None, colours
        case Step.RECORD:
            board = chair_queries.board(loaded, now)
            return say("day-filed"), None, [lane.hex_now for lane in board.lanes]


def day_service(row: Service, now: dt.datetime) -> DayService:
    """One line of the day."""
    loaded = loading.load(row)
    text, due, hexes = _next_text(loaded, now)
    worked = loaded.lanes or loaded.zones
    starts = [z.hair.start_level for z in worked]
    targets = [z.target_level for z in worked]
    return DayService(
        id=row.pk,
        client_name=row.client.name,
        starts_at=row.starts_at,
        kind=loaded.kind,
        step=loaded.state.step,
        is_blocked=loaded.is_blocked,
        next_text=text,
        next_due_at=due,
        wish=row.wish,
        tone=Tone(row.tone),
        hexes_now=hexes,
        hexes_target=_zone_hexes(loaded.zones)[1],
        level_from=min(starts) if starts else None,
        level_to=max(targets) if targets else None,
    )
