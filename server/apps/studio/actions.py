"""The audit trail."""

from __future__ import annotations

import json
from collections.abc import Mapping
from typing import Any

from django.db import models

from apps.studio.models import AuditEntry, Membership

UNTOLD = {"recovery_hashes", "secret_hash", "updated_at", "revision"}
VALUE_MAX = 120


def audit(member: Membership, act: str, target: object, changes: Mapping[str, Any] | None = None) -> None:
    """Note an act; call it inside the act's transaction.

    Args:
        changes: what was changed from what to what, from `changes_between`.
    """
    AuditEntry.objects.create(
        studio_id=member.studio_id, member_name=member.name, act=act, target=str(target)[:80], changes=changes or {}
    )


def values_of(row: models.Model) -> dict[str, Any]:
    """What a row holds now, to be compared with later; secrets and pictures left out."""
    return {
        f.attname: getattr(row, f.attname)
        for f in row._meta.concrete_fields
        if not isinstance(f, models.BinaryField) and f.attname not in UNTOLD
    }


def changes_between(before: Mapping[str, Any], after: Mapping[str, Any]) -> dict[str, list[Any]]:
    """Each field that differs with what it was and what it is, long values shortened."""
    return {k: [_short(before.get(k)), _short(v)] for k, v in after.items() if before.get(k) != v}


def _short(value: Any) -> Any:
    if value is None or isinstance(value, bool | int | float):
        return value
    text = value if isinstance(value, str) else json.dumps(value, default=str, ensure_ascii=False)
    return text if len(text) <= VALUE_MAX else text[: VALUE_MAX - 1] + "…"
