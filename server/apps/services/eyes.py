"""Members' eyes: learnt from the pairs in filed services, kept with the studio, subtracted at the chair."""

from __future__ import annotations

from uuid import UUID

from ninja import Schema

from apps.common.words import Words
from apps.services.adapters import event_value
from apps.services.models import Service
from apps.studio.models import Studio
from fervens_core.base import say
from fervens_core.followup import learn_eyes
from fervens_core.head import ReadingMode
from fervens_core.lift import Eye

SERVICES_MAX = 60
"""An eye is what it was in so many of the latest filed services."""


class EyeOut(Schema):
    """A member's eye in one way of reading, levels; `says` in words."""

    name: str
    mode: ReadingMode
    bias: float
    bias_std: float
    spread: float
    pairs: int
    is_calibrated: bool
    says: Words


def relearn(studio_id: UUID) -> None:
    """Learn every eye anew from the latest filed services of a studio."""
    rows = Service.objects.filter(studio_id=studio_id, step="record").order_by("-starts_at")
    logs = [[event_value(e) for e in row.events.all()] for row in rows.prefetch_related("events")[:SERVICES_MAX]]
    kept = [
        {"name": by, "mode": mode.value, "bias": e.bias, "bias_std": e.bias_std, "spread": e.spread, "pairs": e.pairs}
        for (by, mode), e in sorted(learn_eyes(logs).items())
    ]
    Studio.objects.filter(pk=studio_id).update(eyes=kept)


def eyes_of(studio: Studio) -> dict[tuple[str, ReadingMode], Eye]:
    """What is known of the members' eyes, by name and way of reading."""
    return {
        (e["name"], ReadingMode(e["mode"])): Eye(e["bias"], e["bias_std"], e["spread"], e["pairs"]) for e in studio.eyes
    }


def eyes_out(studio: Studio) -> list[EyeOut]:
    """The eyes as the studio's page has them."""
    found = []
    for (name, mode), eye in eyes_of(studio).items():
        way = "true" if abs(eye.bias) < TRUE_LEVELS else "light" if eye.bias > 0.0 else "dark"
        says = say("eye-reads", way=way, levels=abs(eye.bias), mode=mode, pairs=eye.pairs)
        found.append(
            EyeOut(
                name=name,
                mode=mode,
                bias=eye.bias,
                bias_std=eye.bias_std,
                spread=eye.spread,
                pairs=eye.pairs,
                is_calibrated=eye.is_calibrated,
                says=says,
            )
        )
    return found


TRUE_LEVELS = 0.1
"""Less than this nobody sees."""
