"""The demo in the test database: loaded once, then copied back as rows, with its times moved to now."""

from __future__ import annotations

import datetime as dt

from conftest import PASSWORD
from django.core.management import call_command
from django.db import connection, transaction
from django.utils import timezone

from apps.studio.models import Studio

KEEP = {"django_migrations", "django_content_type", "auth_permission"}
_rows: dict[str, bytes] = {}
_made_at: list[dt.datetime] = []


def _tables() -> list[str]:
    with connection.cursor() as cursor:
        return [t for t in connection.introspection.table_names(cursor) if t not in KEEP]


def _take() -> None:
    connection.ensure_connection()
    for table in _tables():
        with connection.connection.cursor().copy(f'COPY "{table}" TO STDOUT') as lines:
            _rows[table] = b"".join(bytes(x) for x in lines)
    _made_at.append(timezone.now())


@transaction.atomic
def _put_back() -> None:
    moved = timezone.now() - _made_at[0]
    with connection.cursor() as cursor:
        cursor.execute("SET LOCAL session_replication_role = replica")
        for table, rows in _rows.items():
            if not rows:
                continue
            with connection.connection.cursor().copy(f'COPY "{table}" FROM STDIN') as lines:
                lines.write(rows)
            cursor.execute(
                "SELECT column_name, data_type, pg_get_serial_sequence(quote_ident(table_name), column_name) "
                "FROM information_schema.columns WHERE table_name = %s AND table_schema = 'public'",
                [table],
            )
            for column, kind, sequence in cursor.fetchall():
                if kind == "timestamp with time zone":
                    cursor.execute(f'UPDATE "{table}" SET "{column}" = "{column}" + %s', [moved])
                if sequence:
                    cursor.execute(f'SELECT setval(%s, (SELECT max("{column}") FROM "{table}"))', [sequence])


def load_demo() -> None:
    """The demo studio, as `load_demo` makes it, into an empty database."""
    if Studio.objects.exists():
        return
    if _rows:
        _put_back()
        return
    call_command("load_demo", username="maren", password=PASSWORD, verbosity=0)
    _take()
