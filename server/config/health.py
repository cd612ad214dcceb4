"""For whoever watches over the server: whether the process answers, and whether it can work."""

from __future__ import annotations

import os

from django.conf import settings
from django.db import DatabaseError, connection
from django.db.migrations.executor import MigrationExecutor
from django.http import HttpRequest, HttpResponse
from django.utils.crypto import constant_time_compare
from django.views.decorators.cache import never_cache
from django.views.decorators.http import require_safe
from prometheus_client import CONTENT_TYPE_LATEST, REGISTRY, CollectorRegistry, generate_latest
from prometheus_client.multiprocess import MultiProcessCollector

from apps.common.problems import problem
from apps.studio.backends import is_from_here


def _said(text: str, status: int = 200) -> HttpResponse:
    return HttpResponse(f"{text}\n", status=status, content_type="text/plain; charset=utf-8")


@never_cache
@require_safe
def process(request: HttpRequest) -> HttpResponse:
    """The process answers; nothing else is asked."""
    return _said("ok")


@never_cache
@require_safe
def metrics(request: HttpRequest) -> HttpResponse:
    """Numbers for Prometheus: to who brings the token, or without one to this machine; nobody else learns of them."""
    token, brought = settings.METRICS_TOKEN, request.headers.get("Authorization", "")
    may_read = constant_time_compare(brought, f"Bearer {token}") if token else is_from_here(request)
    if not may_read:
        return problem(404, "not_found")
    registry = REGISTRY
    if "PROMETHEUS_MULTIPROC_DIR" in os.environ:  # several processes: each writes its own, all are told together
        registry = CollectorRegistry()
        MultiProcessCollector(registry)  # type: ignore[no-untyped-call]
    return HttpResponse(generate_latest(registry), content_type=CONTENT_TYPE_LATEST)


@never_cache
@require_safe
def ready(request: HttpRequest) -> HttpResponse:
    """The database answers and its tables are up to date; 503 with what is missing until then."""
    try:
        with connection.cursor() as cursor:
            cursor.execute("SELECT 1")
        executor = MigrationExecutor(connection)
        waiting = executor.migration_plan(executor.loader.graph.leaf_nodes())
    except DatabaseError:
        return _said("database away", 503)
    return _said("migrations waiting", 503) if waiting else _said("ready")
