"""What goes over the wire about the chair. Computed parts are the core's own values, so they cannot drift."""

from __future__ import annotations

import dataclasses
import datetime as dt
from typing import Annotated, Any, Literal, Union, cast
from uuid import UUID

from ninja import Schema
from pydantic import Field, RootModel, create_model

from apps.common.schemas import In
from apps.common.words import Words
from apps.services.plan.schemas import BowlOut
from apps.services.schemas import ConflictOut, UndoOut
from fervens_core.chair import Board, LaneOption
from fervens_core.log import KINDS, EventData, Step


class Sent(In):
    """What every event from a device brings: its own id, when it happened, and up to where it had heard the log."""

    event_id: UUID
    occurred_at: dt.datetime
    device: str = Field("", max_length=40)
    seen: int | None = None


def _sent(kind: str, data: type[EventData]) -> type[Sent]:
    """An event of one kind as a device sends it; its data are the core's own declaration."""
    has_default = all(f.default is not dataclasses.MISSING for f in dataclasses.fields(data))
    default: Any = Field(default_factory=data) if has_default else ...
    made: type[Sent] = create_model(
        f"{kind}In", __base__=Sent, __doc__=data.__doc__, kind=(cast(Any, Literal[kind]), ...), data=(data, default)
    )
    return made


class EventIn(RootModel[Annotated[Union[tuple(_sent(*k) for k in KINDS.items())], Field(discriminator="kind")]]):  # type: ignore[misc] # noqa: UP007
    """An event from a device, of any kind."""


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
    clock_behind_min: float = 0.0
    is_practice: bool = False


class LogLine(Schema):
    """One act of the log, newest first; `conflict` says why it did not fit what others did, if it did not."""

    event_id: str
    at: dt.datetime
    recorded_at: dt.datetime
    by: str
    text: Words
    is_voided: bool
    voided_by: str | None
    conflict: Words | None


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
