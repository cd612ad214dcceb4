"""Who is asking: the signed-in member, with the studio whose rows they may see."""

from __future__ import annotations

from typing import cast

from django.contrib.auth import logout
from django.http import HttpRequest
from ninja.security import APIKeyCookie

from apps.common.problems import NotAllowed
from apps.common.words import measure_in
from apps.studio.models import Membership
from apps.studio.sessions import note_here, stands
from fervens_core.base import say

OPEN_WHILE_OWING = ("/api/account", "/api/session")
"""What a member who owes a password or a second factor may still ask for."""


def owed(member: Membership) -> str | None:
    """What a member has to do before anything else: choose a password, set a second factor up; None for nothing."""
    if member.owes_password:
        return "password"
    if member.studio.demands_second_factor and member.second_factor_at is None:
        return "second_factor"
    return None


class MemberAuth(APIKeyCookie):
    """Django's session cookie (CSRF-checked by the cookie scheme), and a membership behind it."""

    param_name = "sessionid"

    def authenticate(self, request: HttpRequest, key: str | None) -> Membership | None:
        """The membership of the session's user, or None. Raises NotAllowed for one who owes something first."""
        if not request.user.is_authenticated:
            return None
        found = Membership.objects.select_related("studio", "user").filter(user_id=request.user.pk).first()
        if found is None:
            return None
        if not stands(request.session, found):
            logout(request)
            return None
        if request.method not in ("GET", "HEAD", "OPTIONS"):
            note_here(request.session)
        owes = owed(found)
        if owes and not request.path_info.startswith(OPEN_WHILE_OWING):
            raise NotAllowed(say(f"error-owes_{owes}"))
        measure_in(found.studio.units)
        return found


member_auth = MemberAuth()


def member_of(request: HttpRequest) -> Membership:
    """The member set by `MemberAuth`."""
    return cast(Membership, request.auth)  # type: ignore[attr-defined]
