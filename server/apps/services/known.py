"""What filed services taught of a person's hair and of a product, told beside what is expected today."""

from __future__ import annotations

import math
from collections.abc import Mapping
from typing import Any
from uuid import UUID

from apps.services.models import Service
from apps.shelf.adapters import lightener_value
from apps.shelf.models import Lightener
from fervens_core import head as core
from fervens_core.base import plain, read
from fervens_core.followup import Filed, FiledLane, read_filed
from fervens_core.lift import KnownHead, known_head
from fervens_core.log import Step

VISITS_MAX = 10
LOG_MAX = 2.0


def lighteners_by_key(studio_id: UUID) -> dict[str, core.Lightener]:
    """The studio's lighteners as they are today."""
    return {str(x.pk): lightener_value(x) for x in Lightener.objects.filter(studio_id=studio_id)}


def beside_today(summary: Filed, lane: FiledLane, shelf: Mapping[str, core.Lightener]) -> tuple[float, float]:
    """Natural logs of how far and how fast a lane lifted beside what would be expected of it today."""
    farther = faster = 0.0
    today = shelf.get(summary.lightener_key)
    if today is not None:
        hair = core.Hair(5.0, history=lane.history, thickness=lane.thickness, porosity=lane.porosity)
        far, fast = today.factors_on(hair)
        farther = math.log((summary.lift_factor if lane.product_extent is None else lane.product_extent) / far)
        faster = math.log((1.0 if lane.product_rate is None else lane.product_rate) / fast)
    return (
        min(max(lane.log_extent + farther, -LOG_MAX), LOG_MAX),
        min(max(lane.log_rate + faster, -LOG_MAX), LOG_MAX),
    )


def known_of(studio_id: UUID, client_id: UUID) -> dict[str, Any] | None:
    """What a client's last filed services taught of their hair, as a service keeps it; None where nothing was read."""
    rows = Service.objects.filter(
        studio_id=studio_id, client_id=client_id, step=Step.RECORD.value, summary__isnull=False
    ).order_by("-starts_at")
    shelf = lighteners_by_key(studio_id)
    visits = []
    for summary in rows.values_list("summary", flat=True)[:VISITS_MAX]:
        filed = read_filed(summary or {})
        visits.append([beside_today(filed, x, shelf) for x in filed.lanes if x.readings])
    found = known_head(visits)
    return None if found is None else plain(found)


def known_value(row: Service) -> KnownHead | None:
    """What a service knows of its client's hair from before."""
    return read(KnownHead, row.known, "known") if row.known else None
