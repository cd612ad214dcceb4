"""The studio's own numbers, and what they say of a product."""

from __future__ import annotations

from uuid import UUID

from django.shortcuts import get_object_or_404

from apps.services.known import beside_today, lighteners_by_key
from apps.services.loading import of_studio
from apps.shelf.actions import carry_learnt
from apps.shelf.models import Lightener
from apps.studio.models import Membership
from fervens_core import head as core
from fervens_core.base import CoreError
from fervens_core.followup import Filed, LaneFact, LearntProduct, learnt_product, read_filed
from fervens_core.log import Step

SERVICES_MAX = 3000


def _facts(rows: list[tuple[UUID, Filed]], shelf: dict[str, core.Lightener]) -> list[LaneFact]:
    """Lanes of filed services; how far and fast they lifted is told beside what is expected of the product today."""
    found = []
    for service_id, summary in rows:
        for x in summary.lanes:
            if not x.readings:
                continue  # a lane that was never read says nothing of its hair
            applied = x.applied_min
            far, fast = beside_today(summary, x, shelf)
            found.append(
                LaneFact(
                    service=str(service_id),
                    zone=x.label,
                    history=x.history,
                    thickness=x.thickness,
                    porosity=x.porosity,
                    product=summary.lightener_key,
                    product_name=summary.lightener_name,
                    log_extent=far,
                    log_rate=fast,
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
    return _facts(values, lighteners_by_key(member.studio_id))


def proposed(facts: list[LaneFact], key: str) -> LearntProduct | None:
    """What a product's services say should change; None while too few speak."""
    own = [f for f in facts if f.product == key]
    try:
        return learnt_product(own)
    except CoreError:
        return None


def carry(member: Membership, key: UUID) -> Lightener:
    """Carry what was learnt into a lightener's profile. Raises LimitError while too few services speak."""
    row = get_object_or_404(Lightener, pk=key, studio_id=member.studio_id)
    own = [f for f in facts_of(member) if f.product == str(row.pk)]
    return carry_learnt(member, key, learnt_product(own))
