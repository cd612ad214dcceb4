"""How a level is read."""

from __future__ import annotations

from enum import StrEnum


class ReadingMode(StrEnum):
    """How the level was read."""

    THROUGH_PRODUCT = "through_product"
    WIPED = "wiped"
    RINSED_WET = "rinsed_wet"
    DRY = "dry"


class Foils(StrEnum):
    """Which sections of a lane were read: those that went on first, or last."""

    FIRST = "first"
    LAST = "last"
