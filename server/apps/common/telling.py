"""Telling other devices: a notice that travels when, and only if, the transaction is kept."""

from __future__ import annotations

import json
from uuid import UUID

from django.db import connection

CHANNEL = "fervens"


def tell_sessions(studio_id: UUID) -> None:
    """Say that sessions of a studio may have ended: every open stream of it looks whether its own still stands."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_notify(%s, %s)", [CHANNEL, json.dumps({"studio": str(studio_id), "what": "session"})])


def tell(studio_id: UUID, service_id: UUID, what: str, position: int = 0, device: str = "") -> None:
    """Say that a service changed: `what` happened, at which place of its log, by which device.

    PostgreSQL sends it on commit.
    """
    notice = {"studio": str(studio_id), "service": str(service_id), "what": what, "position": position}
    text = json.dumps(notice | ({"device": device} if device else {}))
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_notify(%s, %s)", [CHANNEL, text])
