"""Brings the tables up to date; processes that start together do it one after another."""

from __future__ import annotations

from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand
from django.db import connection

_LOCK = 0x46455257


class Command(BaseCommand):
    """python server/manage.py upgrade"""

    help = "Bring the tables up to date, one process at a time."

    def handle(self, *args: Any, **options: Any) -> None:
        """Wait for others, then migrate."""
        with connection.cursor() as cursor:
            cursor.execute("SELECT pg_advisory_lock(%s)", [_LOCK])
        try:
            call_command("migrate", verbosity=0, interactive=False)
        finally:
            with connection.cursor() as cursor:
                cursor.execute("SELECT pg_advisory_unlock(%s)", [_LOCK])
