"""Who is asking: the signed-in member, with the studio whose rows they may see."""

from __future__ import annotations

from typing import cast

from django.http import HttpRequest
from ninja.security import APIKeyCookie

from apps.studio.models import Membership


class MemberAuth(APIKeyCookie):
    """Django's session cookie (CSRF-checked by the cookie scheme), and a membership behind it."""

    param_name = "sessionid"

    def authenticate(self, request: HttpRequest, key: str | None) -> Membership | None:
        """The membership of the session's user, or None."""
        if not request.user.is_authenticated:
            return None
        return Membership.objects.select_related("studio", "user").filter(user_id=request.user.pk).first()


member_auth = MemberAuth()


def member_of(request: HttpRequest) -> Membership:
    """The member set by `MemberAuth`."""
    return cast(Membership, request.auth)  # type: ignore[attr-defined]
