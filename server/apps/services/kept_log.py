"""Logs that were read and folded, kept in this process: a long log is not read from its beginning at every act.

What is kept is never trusted over the log itself: every time, the database says how many lines there are, which is the
last, and by which transactions they were written; lines that came are folded on, and anything else is read anew. Lines
are only ever added, and only with the service's row locked, so that they are seen in their order.
"""

from __future__ import annotations

import threading
from collections import OrderedDict
from dataclasses import dataclass
from uuid import UUID

from django.db import connection

from apps.services.adapters import event_value
from apps.services.models import Service, ServiceEvent
from fervens_core.log import Event, ServiceState, fold, fold_on, latest

LOGS_MAX, LINES_MAX = 400, 200_000


@dataclass(frozen=True, slots=True)
class KeptLog:
    """A log as it was read: its lines, as events, and folded; `written` sums the transactions that wrote them."""

    written: int
    rows: tuple[ServiceEvent, ...]
    events: tuple[Event, ...]
    state: ServiceState
    last: Event | None

    @property
    def end(self) -> int:
        """The place of the last line, 0 for an empty log."""
        return self.rows[-1].pk if self.rows else 0


_lock = threading.Lock()
_kept: OrderedDict[UUID, KeptLog] = OrderedDict()


def read_log(row: Service) -> KeptLog:
    """The log of a service as it stands in the database."""
    lines = ServiceEvent.objects.filter(service_id=row.pk)
    with _lock:
        known = _kept.get(row.pk)
    with connection.cursor() as cursor:
        end = known.end if known else 0
        cursor.execute(_TOLD, [end, end, row.pk])
        count, written, count_before, written_before = cursor.fetchone()
    found = None
    if known is not None and (len(known.rows), known.written) == (count_before, written_before):
        if count == count_before:
            found = known
        else:
            found = _more(known, tuple(lines.filter(pk__gt=known.end).order_by("pk")), int(count), int(written))
    if found is None:
        found = of_rows(tuple(lines.order_by("pk")), int(written))
        if len(found.rows) != count:
            return found  # lines came between the two questions
    _keep(row.pk, found)
    return found


_TOLD = """
SELECT count(*), coalesce(sum(xmin::text::bigint), 0),
       count(*) FILTER (WHERE id <= %s), coalesce(sum(xmin::text::bigint) FILTER (WHERE id <= %s), 0)
FROM services_serviceevent WHERE service_id = %s
"""
"""How many lines, and by which transactions: of all, and of those up to a place. A line that was changed, for instance
when a client was erased, bears another transaction."""


def of_rows(rows: tuple[ServiceEvent, ...], written: int = 0) -> KeptLog:
    """A log read from its beginning."""
    events = tuple(event_value(e) for e in rows)
    return KeptLog(written, rows, events, fold(events), latest(events))


def _more(known: KeptLog, rows: tuple[ServiceEvent, ...], count: int, written: int) -> KeptLog | None:
    """A log with the lines that came; None where these are not all that changed."""
    if len(known.rows) + len(rows) != count:
        return None
    more = [event_value(e) for e in rows]
    events = (*known.events, *more)
    state = fold_on(known.state, known.last, more)
    after = fold(events) if state is None else state
    last = latest([*more, known.last] if known.last else more)
    return KeptLog(written, (*known.rows, *rows), events, after, last)


def _keep(key: UUID, log: KeptLog) -> None:
    with _lock:
        _kept[key] = log
        _kept.move_to_end(key)
        while len(_kept) > LOGS_MAX or sum(len(x.rows) for x in _kept.values()) > LINES_MAX:
            if len(_kept) == 1:
                break
            _kept.popitem(last=False)
