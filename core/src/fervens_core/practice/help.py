"""How much of the board a learner is shown: what is left out is taken out here, not hidden by a page."""

from __future__ import annotations

from dataclasses import replace

from fervens_core.chair import Board, CurvePoint, Lane, Window
from fervens_core.practice.setup import Help

BARE = "#8a8a8a"
"""A strip without colour."""
OF_HANDS = frozenset({"mix", "start", "finish", "stop", "tone"})
"""Acts that follow from the plan and from what must not wait; looking and rinsing are for the learner to decide."""


def with_help(board: Board, help: Help) -> Board:
    """The board as it is shown with so much help."""
    if help is Help.FULL:
        return board
    lanes = tuple(_unadvised(x) for x in board.lanes)
    if help is Help.CLOCKS:
        lanes = tuple(_bare(x) for x in lanes)
    return replace(board, lanes=lanes, acts=tuple(a for a in board.acts if a.code in OF_HANDS), proposals=())


def _unadvised(lane: Lane) -> Lane:
    return replace(lane, window_min=Window(None, None, None), advice=None, ratio_extent=1.0, ratio_rate=1.0)


def _bare(lane: Lane) -> Lane:
    """Only its clocks: what it should look like is for the learner to know."""
    start = lane.start_level
    band = replace(lane.level_now, slow=start, likely=start, fast=start)
    ends = [p.minute for p in (lane.curve[0], lane.curve[-1])] if lane.curve else []
    return replace(
        lane,
        level_now=band,
        level_first=band,
        hex_now=BARE,
        hex_first=BARE,
        curve=tuple(CurvePoint(minute, start, start, start, BARE) for minute in ends),
        fibres=(),
        crossings=(),
        notes=(),
    )
