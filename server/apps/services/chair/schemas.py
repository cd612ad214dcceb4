"""What goes over the wire about the chair. Computed parts are the core's own values, so they cannot drift."""

from __future__ import annotations

import datetime as dt
from typing import Any
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.services.plan.schemas import BowlOut
from apps.services.schemas import ConflictOut, UndoOut
from fervens_core.chair import Board, LaneOption
from fervens_core.log import Step


class EventIn(Schema):
    """An event from a device: its own id, when it happened, what; and up to where the device had heard the log."""

    event_id: UUID
    kind: str
    occurred_at: dt.datetime
    data: dict[str, Any] = {}
    device: str = Field("", max_length=40)
    seen: int | None = None


class BoardOut(Schema):
    """The chair, with the service's step and what can be undone."""

    service_id: UUID
    client_name: str
    step: Step
    board: Board
    lightener_key: str | None
    lightener_name: str | None
    label_max_min: float | None
    is_dark_lightener: bool
    bowls: list[BowlOut]
    undo: UndoOut | None
    conflicts: list[ConflictOut]
    position: int
    has_reader: bool
    server_now: dt.datetime


class LogLine(Schema):
    """One act of the log, newest first; `conflict` says why it did not fit what others did, if it did not."""

    event_id: str
    at: dt.datetime
    recorded_at: dt.datetime
    by: str
    text: str
    is_voided: bool
    voided_by: str | None
    conflict: str | None


class LogOut(Schema):
    """Who did what."""

    lines: list[LogLine]


class OptionsOut(Schema):
    """What can be done with a lane now, and what each would do."""

    options: list[LaneOption]


class MeasuredOut(Schema):
    """What the colour reader measured, the level it looks like, both as colours, and what it calls itself."""

    lab: list[float]
    level: float
    delta_e: float
    hex: str
    level_hex: str
    instrument: str
