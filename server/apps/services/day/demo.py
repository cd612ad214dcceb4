"""A demo that was left open: its day goes on from where it stood, instead of standing past every label."""

from __future__ import annotations

import datetime as dt

from django.db import transaction
from django.db.models import F, Max, Q
from django.utils import timezone

from apps.common.telling import tell
from apps.services.models import Service, ServiceEvent
from apps.studio.models import Membership
from fervens_core.base import ConflictError
from fervens_core.log import Step

ASLEEP_MIN = 20.0
"""[MODEL] a demo in which nothing was done for so long has been left."""
PAUSE = dt.timedelta(minutes=1)
"""What is left between its last act and now."""


def _stood(member: Membership) -> dt.timedelta | None:
    """How long the open services of a demo have stood since the last act in any of them; None where none was."""
    last = ServiceEvent.objects.filter(_open(member)).aggregate(last=Max("occurred_at"))["last"]
    return timezone.now() - last if last else None


def _open(member: Membership) -> Q:
    return Q(service__studio_id=member.studio_id, service__is_practice=False) & ~Q(service__step=Step.RECORD.value)


def asleep_min(member: Membership) -> float | None:
    """For how many minutes a demo has been left; None while it is used, and in a studio that is no demo."""
    if not member.studio.is_demo:
        return None
    stood = _stood(member)
    minutes = stood.total_seconds() / 60.0 if stood else 0.0
    return minutes if minutes >= ASLEEP_MIN else None


@transaction.atomic
def wake(member: Membership) -> None:
    """All moments of the demo's open services later by as long as it stood. Raises ConflictError in a real studio."""
    if not member.studio.is_demo:
        raise ConflictError("not_a_demo")
    stood = _stood(member)
    if stood is None or stood <= PAUSE:
        return
    by = stood - PAUSE
    rows = Service.objects.filter(studio_id=member.studio_id).exclude(step=Step.RECORD.value)
    for pk in list(rows.select_for_update().values_list("pk", flat=True)):
        lines = ServiceEvent.objects.filter(service_id=pk)
        lines.update(occurred_at=F("occurred_at") + by, recorded_at=F("recorded_at") + by)
        # another revision: no board that was kept of it is shown again
        Service.objects.filter(pk=pk).update(starts_at=F("starts_at") + by, revision=F("revision") + 1)
        tell(member.studio_id, pk, "woken")
