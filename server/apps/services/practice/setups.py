"""Setups of practice rounds: rows to the core's values."""

from __future__ import annotations

from apps.services.models import PracticeRound
from fervens_core.base import read
from fervens_core.practice import Help, Setup


def setup_value(row: PracticeRound) -> Setup:
    """What a round is set up with."""
    return read(Setup, row.setup)


def help_of(row: PracticeRound | None) -> Help:
    """How much of the board is shown: all of it at a client's chair."""
    return Help.FULL if row is None else Help(row.setup["help"])
