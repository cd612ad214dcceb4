"""What each role may do, in one place: whatever is not named here every member may."""

from __future__ import annotations

from apps.common.problems import NotAllowed
from apps.studio.models import Membership, Role
from fervens_core.base import say

LEAD, OWNER = "lead", "owner"
"""Owners and technicians; owners alone. An assistant does the rest: reads, mixes, applies, rinses, tones."""
LEADS = {Role.OWNER.value, Role.TECHNICIAN.value}
MATRIX: dict[str, str] = {
    "acknowledge_a_caution": LEAD,
    "finish_a_consultation": LEAD,
    "read_a_patch_test": LEAD,
    "write_a_plan": LEAD,
    "keep_a_plan": LEAD,
    "take_a_plan_to_the_chair": LEAD,
    "change_a_strength": LEAD,
    "lighten_again": LEAD,
    "file_a_service": LEAD,
    "remove_a_filed_photo": LEAD,
    "cancel_a_visit": LEAD,
    "move_a_visit": LEAD,
    "take_a_service_file_in": LEAD,
    "change_the_shelf": LEAD,
    "measure_the_card": LEAD,
    "make_links": LEAD,
    "revoke_links": LEAD,
    "take_clients_out": LEAD,
    "bring_clients_in": LEAD,
    "erase_a_client": LEAD,
    "add_members": OWNER,
    "change_members": OWNER,
    "change_the_studio": OWNER,
    "read_the_audit_trail": OWNER,
    "take_the_studio_out": OWNER,
    "bring_a_studio_in": OWNER,
}
"""Act to who may do it; the catalogues have its words as `doing-<act>`."""


def may(role: str, act: str) -> bool:
    """Whether a role may do an act of the matrix. KeyError for one that is not in it."""
    return role == Role.OWNER.value or (MATRIX[act] == LEAD and role in LEADS)


def require_may(member: Membership, act: str) -> None:
    """Raises NotAllowed that says who may."""
    if not may(member.role, act):
        raise NotAllowed(say(f"error-not_allowed.{MATRIX[act]}", act=say(f"doing-{act}")))
