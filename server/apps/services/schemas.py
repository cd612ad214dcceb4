"""What more than one step sends."""

from __future__ import annotations

import datetime as dt

from ninja import Schema

from apps.common.words import Words


class UndoOut(Schema):
    """The latest act, which can be taken back."""

    event_id: str
    text: Words


class ConflictOut(Schema):
    """An act that did not fit what another device had done: kept, shown, and not counted."""

    event_id: str
    code: str
    text: Words
    by: str
    at: dt.datetime
    message: Words
