"""The audit trail."""

from __future__ import annotations

from apps.studio.models import AuditEntry, Membership


def audit(member: Membership, act: str, target: object) -> None:
    """Note an act; call it inside the act's transaction."""
    AuditEntry.objects.create(studio_id=member.studio_id, member_name=member.name, act=act, target=str(target)[:80])
