"""What each role may do."""

from __future__ import annotations

from apps.common.problems import NotAllowed
from apps.studio.models import Membership, Role
from fervens_core.base import say

LEADS = {Role.OWNER.value, Role.TECHNICIAN.value}


def require_lead(member: Membership, act: str) -> None:
    """Owners and technicians only. Raises NotAllowed that says so; the catalogues have the act as `doing-<act>`."""
    if member.role not in LEADS:
        raise NotAllowed(say("error-not_allowed.lead", act=say(f"doing-{act}")))


def require_owner(member: Membership, act: str) -> None:
    """Owners only. Raises NotAllowed that says so; the catalogues have the act as `doing-<act>`."""
    if member.role != Role.OWNER.value:
        raise NotAllowed(say("error-not_allowed.owner", act=say(f"doing-{act}")))
