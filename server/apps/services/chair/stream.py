"""The stream of a device: which services of its studio have changed, and the board of the one it follows."""

from __future__ import annotations

import asyncio
import json
import random
import time
from collections import Counter
from collections.abc import AsyncIterator
from datetime import timedelta
from typing import Any
from uuid import UUID

from asgiref.sync import sync_to_async
from django.contrib.sessions.models import Session
from django.core.exceptions import ValidationError
from django.db import OperationalError, connection
from django.db.models import Max
from django.http import Http404, HttpRequest, HttpResponse, StreamingHttpResponse
from django.utils import timezone
from django.views.decorators.http import require_GET

from apps.common.hub import hub
from apps.common.problems import problem
from apps.common.watching import STREAMS
from apps.services import loading
from apps.services.chair.kept_board import board_bytes
from apps.services.models import Service
from apps.studio.models import Membership
from apps.studio.sessions import member_of_kept, note_at_work
from fervens_core.base import CoreError, say
from fervens_core.log import Step

PING_S = 8.0
"""A device that hears nothing for two and a half pings knows that it is behind."""


LINES_MAX = 12
"""Open lines of one session in a process: a device has one or two."""


CHECK_S = (60.0, 120.0)
"""How long until a session is looked at again, each time another, so that a hundred streams do not ask at once."""


def _member_of(request: HttpRequest) -> Membership | None:
    """Who is signed in as the session stands now; None once it has ended, by time, sign-out or another password."""
    key = request.session.session_key
    row = Session.objects.filter(session_key=key, expire_date__gt=timezone.now()).first() if key else None
    return member_of_kept(row.get_decoded()) if row else None


def _studio_of(request: HttpRequest) -> str | None:
    """The studio of the session; None once it has ended. Gives its connection back at once."""
    try:
        member = _member_of(request)
        return str(member.studio_id) if member else None
    finally:
        connection.close()


def _board_for(request: HttpRequest, service: str) -> bytes | None:
    """The board of a service for a session that still stands; None when there is none to give."""
    try:
        member = _member_of(request)
        return board_bytes(member, UUID(service)) if member else None
    except (Http404, CoreError, OperationalError, ValueError):
        return None  # the device asks for it then, and is told why not
    finally:
        connection.close()


def _position_of(request: HttpRequest, service: str) -> int | None:
    """The place at which a service's log ends; None for another studio's."""
    try:
        member = _member_of(request)
        rows = loading.openable(member).filter(pk=UUID(service)) if member else None
        return rows.aggregate(end=Max("events__id"))["end"] if rows is not None else None
    except (OperationalError, ValueError):
        return None  # the device takes the board anew when the database is back
    finally:
        connection.close()


def _line(event: str, data: dict[str, Any], board: bytes | None = None) -> bytes:
    said = json.dumps(data).encode()
    if board is not None:
        said = said[:-1] + b', "board": ' + board + b"}"
    return b"event: " + event.encode() + b"\ndata: " + said + b"\n\n"


_open: Counter[str] = Counter()
"""Lines that are open in this process, by session."""


async def _counted(lines: AsyncIterator[bytes], session: str) -> AsyncIterator[bytes]:
    """The lines, counted to their session while they are open."""
    _open[session] += 1
    STREAMS.inc()
    try:
        async for line in lines:
            yield line
    finally:
        STREAMS.dec()
        _open[session] -= 1
        if _open[session] <= 0:
            del _open[session]


async def _told(studio: str, service: str | None, request: HttpRequest) -> AsyncIterator[bytes]:
    device = request.GET.get("device", "")
    async with hub.listening(studio, service) as listener:
        is_live = await hub.stands()
        hello = {"server_now": timezone.now().isoformat(), "is_live": is_live}
        if service is not None and is_live:  # a board that was taken before the line stood may lack what came between
            hello["position"] = await sync_to_async(_position_of)(request, service)
        yield b"retry: 1000\n" + _line("hello", hello)
        check_at = time.monotonic() + random.uniform(*CHECK_S)
        while True:
            try:
                notice = await asyncio.wait_for(listener.queue.get(), PING_S * random.uniform(0.7, 1.0))
            except TimeoutError:
                yield _line("ping", {"server_now": timezone.now().isoformat(), "is_live": hub.is_live})
                if time.monotonic() >= check_at:
                    if not await _is_still_in(request):
                        yield _line("ended", {})
                        return
                    check_at = time.monotonic() + random.uniform(*CHECK_S)
                continue
            if notice.get("what") == "stopping":
                return
            if notice.get("what") == "session":
                if await _is_still_in(request):
                    continue
                yield _line("ended", {})
                return
            board = None
            is_followed = service is not None and notice.get("position") and listener.queue.empty()
            if is_followed and (not device or notice.get("device") != device):
                board = await sync_to_async(_board_for)(request, str(service))
            yield _line("changed", notice, board)


AT_WORK = (Step.CHAIR.value, Step.REVIEW.value, Step.TONE.value)


def _may_listen(request: HttpRequest) -> bool:
    """Whether the session still stands. A device that follows today's head in work is not idle."""
    try:
        member = _member_of(request)
        service = request.GET.get("service")
        if member and service:
            since = timezone.now() - timedelta(hours=12)
            rows = Service.objects.filter(studio_id=member.studio_id, step__in=AT_WORK, starts_at__gt=since)
            if rows.filter(pk=service).exists():
                note_at_work(request.session.session_key or "")
        return member is not None
    except (ValueError, ValidationError):
        return True  # followed by no id: what it follows tells nothing of the session
    finally:
        connection.close()


async def _is_still_in(request: HttpRequest) -> bool:
    try:
        return await sync_to_async(_may_listen)(request)
    except OperationalError:
        return True  # the database is away; nobody is signed out for that


@require_GET
async def stream(request: HttpRequest) -> HttpResponse | StreamingHttpResponse:
    """Server-sent events: `hello`, `changed` with the service, `ping`, and `ended` when the session has ended.

    `?service=` follows one service only: `hello` then says where its log ends, and `changed` brings its board along,
    except to the `?device=` that acted; without it all of the studio's services are told.
    """
    try:
        studio = await sync_to_async(_studio_of)(request)
    except OperationalError:
        return problem(503, "no_database", say("error-no_database.stream"))
    if studio is None:
        return problem(401, "signed_out")
    hub.end_with_process()
    session = request.session.session_key or ""
    if _open[session] >= LINES_MAX:
        return problem(429, "too_many_lines")
    lines = _counted(_told(studio, request.GET.get("service") or None, request), session)
    answer = StreamingHttpResponse(lines, content_type="text/event-stream")
    answer["Cache-Control"] = "no-cache, no-transform"
    answer["X-Accel-Buffering"] = "no"
    return answer
