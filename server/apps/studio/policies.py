"""What each role may do."""

from __future__ import annotations

from django.core.exceptions import PermissionDenied

from apps.studio.models import Membership, Role

LEADS = {Role.OWNER.value, Role.TECHNICIAN.value}


def require_lead(member: Membership, what: str) -> None:
    """Owners and technicians only. Raises PermissionDenied that says so."""
    if member.role not in LEADS:
        raise PermissionDenied(f"An assistant cannot {what}; ask a technician.")


def require_owner(member: Membership, what: str) -> None:
    """Owners only. Raises PermissionDenied that says so."""
    if member.role != Role.OWNER.value:
        raise PermissionDenied(f"Only an owner can {what}.")
