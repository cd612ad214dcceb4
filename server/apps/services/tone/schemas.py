"""What goes over the wire about review and tone."""

from __future__ import annotations

import datetime as dt
from uuid import UUID

from ninja import Schema
from pydantic import Field

from apps.common.schemas import In
from apps.common.words import Words
from apps.services.schemas import ConflictOut, UndoOut
from fervens_core.basin import Review, ToneStep
from fervens_core.head import Tone
from fervens_core.log import Step
from fervens_core.toning import WishCell


class ToneOut(Schema):
    """The tone step."""

    service_id: UUID
    step: Step
    tone: Tone
    wanted_level: float | None
    most_bowls: int
    tone_step: ToneStep | None
    open_zones: list[Words]
    undo: UndoOut | None
    conflicts: list[ConflictOut]
    has_reader: bool
    server_now: dt.datetime


class ReviewOut(Schema):
    """The review step; `lightener_name` is whose label another application would ask."""

    service_id: UUID
    step: Step
    tone: Tone
    review: Review | None
    open_zones: list[Words]
    lightener_name: str
    undo: UndoOut | None
    has_reader: bool
    server_now: dt.datetime


class WishesOut(Schema):
    """The painted scale of wishes."""

    cells: list[WishCell]


class FormulaIn(In):
    """A formula of the technician's own, for some zones."""

    shade_key: str = Field(max_length=60)
    second_key: str = Field("", max_length=60)
    share: float = Field(1.0, ge=0.01, le=1.0)
    developer_parts: float | None = Field(None, ge=0.5, le=4.0)
    dilution: float = Field(0.0, ge=0.0, le=20.0)
    ids: list[str] = Field(min_length=1, max_length=240)
