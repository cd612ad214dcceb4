"""Boards just computed, kept for a second: every device that is told of one act asks for the same board at once."""

from __future__ import annotations

import datetime as dt
import threading
from collections.abc import Callable
from uuid import UUID

from django.db.models import Max
from django.http import Http404, HttpResponse
from django.utils import timezone

from apps.common.watching import BOARDS
from apps.common.words import spoken, told_json
from apps.services import loading
from apps.services.chair.present import board_out, end_of_log
from apps.services.loading import Loaded
from apps.studio.models import Membership

KEPT_S = 1.0


MOST = 500


WAIT_S = 5.0


Place = tuple[UUID, int, int, int, str]
"""A service, its revision, the end of its log, what is known of its members' eyes, and the language it is told in."""


_lock = threading.Lock()


_kept: dict[Place, tuple[dt.datetime, bytes]] = {}


_made_now: dict[Place, threading.Event] = {}


def _answer(body: bytes) -> HttpResponse:
    return HttpResponse(body, content_type="application/json; charset=utf-8")


def _once(place: Place, make: Callable[[], bytes]) -> bytes:
    """What is kept of a place, or made now; whoever asks while it is being made waits for it."""
    with _lock:
        made_at, body = _kept.get(place, (None, b""))
        if made_at and abs((timezone.now() - made_at).total_seconds()) <= KEPT_S:
            return body
        going = _made_now.get(place)
        if going is None:
            _made_now[place] = threading.Event()
    if going is not None:
        going.wait(WAIT_S)
        return _kept.get(place, (None, b""))[1] or make()
    began_at = timezone.now()
    BOARDS.inc()
    try:
        body = make()
        with _lock:
            if len(_kept) >= MOST:
                _kept.clear()
            _kept[place] = (began_at, body)
        return body
    finally:
        _made_now.pop(place).set()


def board_answer(loaded: Loaded) -> HttpResponse:
    """The board of a service as it stands now, as an answer."""
    if loaded.round is not None:
        return _answer(told_json(board_out(loaded)))
    return _answer(_once(place_of(loaded), lambda: told_json(board_out(loaded))))


def place_of(loaded: Loaded) -> Place:
    """Where a loaded service stands."""
    return loaded.row.pk, loaded.row.revision, end_of_log(loaded), loaded.row.studio.eyes_revision, spoken()


def board_now(member: Membership, service_id: UUID) -> HttpResponse:
    """The board of a service as an answer. 404 for another studio's."""
    return _answer(board_bytes(member, service_id))


def board_bytes(member: Membership, service_id: UUID) -> bytes:
    """The board of a service as JSON; one of the last second, if nothing has happened since.

    Raises Http404 for another studio's.
    """
    found = (
        loading.openable(member)
        .filter(pk=service_id)
        .annotate(position=Max("events__id"))
        .values_list("revision", "position", "studio__eyes_revision", "is_practice")
        .first()
    )
    if found is None:
        raise Http404
    place = (service_id, found[0], found[1] or 0, found[2], spoken())

    def make() -> bytes:
        return told_json(board_out(loading.load(loading.get(member, service_id))))

    return make() if found[3] else _once(place, make)  # a minute may go by in a second of practice
