"""What every body that is sent has in common."""

from __future__ import annotations

from ninja import Schema
from pydantic import ConfigDict


class In(Schema):
    """A body that is sent: a field that is not known here is refused by name, not dropped."""

    model_config = ConfigDict(extra="forbid")
