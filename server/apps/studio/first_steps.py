"""A new studio's first steps, told by what is there: no list of its own that could be wrong."""

from __future__ import annotations

from typing import Literal

from django.apps import apps

from apps.studio.models import AuditEntry, Membership

Step = Literal["shelf", "toners", "school", "members", "eye", "service"]


def steps_of(member: Membership) -> list[tuple[Step, bool]]:
    """Each step and whether it is done: what to lighten and to tone with, the school, others, an eye, a service."""
    own = {"studio_id": member.studio_id}

    def has(app: str, model: str) -> bool:
        return bool(apps.get_model(app, model)._base_manager.filter(**own).exists())

    return [
        ("shelf", has("shelf", "Lightener") and has("shelf", "Developer")),
        ("toners", has("shelf", "Toner")),
        ("school", AuditEntry.objects.filter(**own, act="studio_changed").exists()),
        ("members", Membership.objects.filter(**own).count() > 1),
        ("eye", bool(member.eye_rounds)),
        ("service", has("services", "Service")),
    ]
