"""Who may sign in: Django's own names and passwords; a demo's only from the machine it runs on."""

from __future__ import annotations

import ipaddress
from typing import Any

from django.contrib.auth.backends import ModelBackend
from django.http import HttpRequest

from apps.studio.models import Membership


def is_from_here(request: HttpRequest | None) -> bool:
    """Whether a request comes from this machine; one without an address, from a script of this machine, does."""
    address = request.META.get("REMOTE_ADDR", "") if request else ""
    if not address:
        return True
    try:
        return ipaddress.ip_address(address).is_loopback
    except ValueError:
        return False


class StudioBackend(ModelBackend):
    """Names and passwords; the demo's passwords are known to everyone, so they open nothing from elsewhere."""

    def authenticate(
        self, request: HttpRequest | None, username: str | None = None, password: str | None = None, **more: Any
    ) -> Any:
        """The user, or None."""
        user = super().authenticate(request, username=username, password=password, **more)
        if user is None or is_from_here(request):
            return user
        is_demo = Membership.objects.filter(user=user, studio__is_demo=True).exists()
        return None if is_demo else user
