"""The studio's own numbers, and what they say of a product."""

from __future__ import annotations

import math
from uuid import UUID

from django.shortcuts import get_object_or_404

from apps.services.loading import of_studio
from apps.shelf.actions import carry_learnt
from apps.shelf.models import Lightener
from apps.studio.models import Membership
from fervens_core.base import CoreError
from fervens_core.followup import Filed, LaneFact, learnt_lift_factor, read_filed
from fervens_core.log import Step

SERVICES_MAX = 3000
LOG_MAX = 2.0


def _facts(rows: list[tuple[UUID, Filed]], factors: dict[str, float]) -> list[LaneFact]:
    """Lanes of filed services; how far they lifted is told beside the product's factor of today."""
    found = []
    for service_id, summary in rows:
        then, key = summary.lift_factor, summary.lightener_key
        moved = math.log(then / factors[key]) if key in factors else 0.0
        for x in summary.lanes:
            if not x.readings:
                continue  # a lane that was never read says nothing of its hair
            applied = x.applied_min
            found.append(
                LaneFact(
                    service=str(service_id),
                    zone=x.label,
                    history=x.history,
                    thickness=x.thickness,
                    porosity=x.porosity,
                    product=key,
                    product_name=summary.lightener_name,
                    log_extent=min(max(x.log_extent + moved, -LOG_MAX), LOG_MAX),
                    log_rate=min(max(x.log_rate, -LOG_MAX), LOG_MAX),
                    pace_min=applied / x.foils if applied and x.foils else None,
                    off_levels=x.level - x.target if x.is_read and x.level is not None else None,
                    is_past_wall=x.is_past_wall,
                    mixed_g=x.mixed_g,
                    wasted_g=x.wasted_g,
                )
            )
    return found


def facts_of(member: Membership) -> list[LaneFact]:
    """What the studio's last filed services say."""
    rows = of_studio(member).filter(step=Step.RECORD.value, summary__isnull=False).order_by("-starts_at")
    values = [(pk, read_filed(summary)) for pk, summary in rows.values_list("pk", "summary")[:SERVICES_MAX] if summary]
    factors = {str(x.pk): x.lift_factor for x in Lightener.objects.filter(studio_id=member.studio_id)}
    return _facts(values, factors)


def proposed_factor(facts: list[LaneFact], key: str, current: float) -> float | None:
    """A product's learnt lift factor; None while too few services speak."""
    own = [f for f in facts if f.product == key]
    try:
        return learnt_lift_factor(current, own)
    except CoreError:
        return None


def carry(member: Membership, key: UUID) -> Lightener:
    """Carry what was learnt into a lightener's profile. Raises LimitError while too few services speak."""
    row = get_object_or_404(Lightener, pk=key, studio_id=member.studio_id)
    own = [f for f in facts_of(member) if f.product == str(row.pk)]
    return carry_learnt(member, key, learnt_lift_factor(row.lift_factor, own))
