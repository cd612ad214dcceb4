"""Who may sign in: Django's own names and passwords; a demo's only from the machine it runs on."""

from __future__ import annotations

import ipaddress
import secrets
from functools import lru_cache
from typing import Any

from django.contrib.auth import get_user_model
from django.contrib.auth.backends import ModelBackend
from django.contrib.auth.hashers import check_password, identify_hasher, make_password
from django.http import HttpRequest

from apps.studio.models import Membership
from apps.studio.throttle import one_hash


def is_from_here(request: HttpRequest | None) -> bool:
    """Whether a request comes from this machine; one without an address, from a script of this machine, does."""
    address = request.META.get("REMOTE_ADDR", "") if request else ""
    if not address:
        return True
    try:
        return ipaddress.ip_address(address).is_loopback
    except ValueError:
        return False


@lru_cache(maxsize=1)
def _of_nobody() -> str:
    """A hash that no password is right for, as slow as any."""
    return make_password(secrets.token_urlsafe(30))


class StudioBackend(ModelBackend):
    """Names and passwords; the demo's passwords are known to everyone, so they open nothing from elsewhere."""

    def authenticate(
        self, request: HttpRequest | None, username: str | None = None, password: str | None = None, **more: Any
    ) -> Any:
        """The user, or None. Raises TooBusyError while too many sign in at once."""
        if username is None or password is None:
            return None
        found = get_user_model()._default_manager.filter(username=username).first()
        with one_hash():
            # a name that is not there takes as long as one that is
            is_right = check_password(password, found.password if found else _of_nobody())
        if found and is_right and identify_hasher(found.password).must_update(found.password):
            found.set_password(password)
            found.save(update_fields=["password"])
        user = found if found and is_right and self.user_can_authenticate(found) else None
        if user is None or is_from_here(request):
            return user
        is_demo = Membership.objects.filter(user=user, studio__is_demo=True).exists()
        return None if is_demo else user
