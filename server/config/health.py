"""For whoever watches over the server: whether the process answers, and whether it can work."""

from __future__ import annotations

from django.db import DatabaseError, connection
from django.db.migrations.executor import MigrationExecutor
from django.http import HttpRequest, HttpResponse
from django.views.decorators.cache import never_cache
from django.views.decorators.http import require_safe


def _said(text: str, status: int = 200) -> HttpResponse:
    return HttpResponse(f"{text}\n", status=status, content_type="text/plain; charset=utf-8")


@never_cache
@require_safe
def process(request: HttpRequest) -> HttpResponse:
    """The process answers; nothing else is asked."""
    return _said("ok")


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
