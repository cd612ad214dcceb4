"""The undertone chart's names."""

from __future__ import annotations

from enum import StrEnum


class Undertone(StrEnum):
    """The warm pigment that shows, by the name of the chart (common practice, no source)."""

    DEEP_RED_BROWN = "deep red-brown"
    RED_BROWN = "red-brown"
    RED = "red"
    RED_ORANGE = "red-orange"
    ORANGE = "orange"
    YELLOW_ORANGE = "yellow-orange"
    YELLOW = "yellow"
    PALE_YELLOW = "pale yellow"
    PALEST_YELLOW = "palest yellow"
