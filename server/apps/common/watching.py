"""What is told of requests to whoever watches over the server: a line each, numbers for Prometheus; never whose hair.

A line has time, level, an id that the answer bears as well, the route (never the path: links are secrets), status, ms,
the member's number and the studio's id. No names, no texts, no addresses.
"""

from __future__ import annotations

import time
from collections.abc import Callable
from contextvars import ContextVar
from typing import Any
from uuid import uuid4

import structlog
from django.db.backends.base.base import BaseDatabaseWrapper
from django.db.backends.signals import connection_created
from django.dispatch import receiver
from django.http import HttpRequest, HttpResponseBase
from prometheus_client import Counter, Gauge, Histogram

from apps.common.middleware import BothWays

log = structlog.stdlib.get_logger("fervens.request")
request_id: ContextVar[str] = ContextVar("request_id", default="")

SECONDS = (0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1.0, 2.5, 5.0, 10.0, 30.0)
REQUESTS = Counter("fervens_requests", "Requests answered.", ["method", "route", "status"])
REQUEST_SECONDS = Histogram("fervens_request_seconds", "Time to an answer.", ["method", "route"], buckets=SECONDS)
QUERIES = Counter("fervens_database_queries", "Questions to the database.", ["route"])
QUERY_SECONDS = Counter("fervens_database_seconds", "Time of the database.", ["route"])
BOARDS = Counter("fervens_boards", "Boards computed.")
STREAMS = Gauge("fervens_streams_open", "Open lines of devices.", multiprocess_mode="livesum")
HELPERS = Gauge("fervens_heavy_work", "Pieces of heavy work computed or waiting.", multiprocess_mode="livesum")


class _Asked:
    """What one request asked of the database: how often, and for how long."""

    def __init__(self) -> None:
        self.count, self.seconds = 0, 0.0


_asked: ContextVar[_Asked | None] = ContextVar("asked", default=None)
_began: ContextVar[float] = ContextVar("began", default=0.0)


def _count(execute: Callable[..., Any], sql: str, params: Any, many: bool, context: Any) -> Any:
    asked, began = _asked.get(), time.perf_counter()
    try:
        return execute(sql, params, many, context)
    finally:
        if asked is not None:
            asked.count += 1
            asked.seconds += time.perf_counter() - began


@receiver(connection_created)
def _count_on(connection: BaseDatabaseWrapper, **_: Any) -> None:
    if _count not in connection.execute_wrappers:
        connection.execute_wrappers.append(_count)


def route_of(request: HttpRequest) -> str:
    """The pattern a request was answered by."""
    match = request.resolver_match
    return match.route if match else "none"


class Watched(BothWays):
    """Middleware: an id for each request, its line and its numbers."""

    def before(self, request: HttpRequest) -> None:
        """The clock and the counts of one request."""
        request_id.set(uuid4().hex[:16])
        _asked.set(_Asked())
        _began.set(time.perf_counter())

    def after(self, request: HttpRequest, answer: HttpResponseBase) -> HttpResponseBase:
        """Its line and its numbers."""
        began, asked = _began.get(), _asked.get() or _Asked()
        seconds, route = time.perf_counter() - began, route_of(request)
        method = request.method or ""
        answer["X-Request-ID"] = request_id.get()
        REQUESTS.labels(method, route, answer.status_code).inc()
        REQUEST_SECONDS.labels(method, route).observe(seconds)
        QUERIES.labels(route).inc(asked.count)
        QUERY_SECONDS.labels(route).inc(asked.seconds)
        member = getattr(request, "auth", None)
        log.log(
            40 if answer.status_code >= 500 else 20,
            "request",
            id=request_id.get(),
            method=method,
            route=route,
            status=answer.status_code,
            ms=round(seconds * 1e3, 1),
            queries=asked.count,
            database_ms=round(asked.seconds * 1e3, 1),
            member=getattr(member, "pk", None),
            studio=str(getattr(member, "studio_id", "") or ""),
        )
        return answer
