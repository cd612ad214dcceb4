"""What goes over the wire about files."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In


class CsvIn(In):
    """Strand tests as CSV."""

    revision: int
    text: str = Field(max_length=200_000)


class CsvOut(Schema):
    """Strand tests as CSV."""

    text: str


class ImportIn(In):
    """A service file, as JSON, and when the visit is."""

    document: dict[str, Any]
    starts_at: dt.datetime | None = None


class ImportOut(Schema):
    """The service made of a file, and what was put on the shelf for it."""

    service_id: UUID
    client_name: str
    added_to_shelf: list[str]


class FileOut(Schema):
    """A service as a service file."""

    document: dict[str, Any]
    file_name: str
