"""Which sessions stand: by password, by 'sign out everywhere', and by how long nobody has acted on a device."""

from __future__ import annotations

import time
from collections.abc import Mapping, MutableMapping
from typing import Any

from django.conf import settings
from django.contrib.auth import HASH_SESSION_KEY, SESSION_KEY, login
from django.contrib.sessions.backends.db import SessionStore
from django.http import HttpRequest
from django.utils.crypto import constant_time_compare

from apps.studio.models import Membership

REVISION, HERE, STUDIOS = "revision", "here", "studios"
"""In a session: which revision of the member's it is of; when its device was last acted on, in s; whether the device is
the studio's own, which is not signed out for standing still."""
HERE_EVERY_S = 60.0


def open_session(request: HttpRequest, member: Membership, *, is_studios: bool = False) -> None:
    """Sign a member in on the device that asks.

    Args:
        is_studios: the device stays in the studio: it stays signed in for two weeks, and is not signed out for idling.
    """
    login(request, member.user, backend="apps.studio.backends.StudioBackend")
    request.session[REVISION] = member.sessions_revision
    request.session[HERE] = time.time()
    request.session[STUDIOS] = is_studios
    # any other device forgets its cookie when the browser is closed
    request.session.set_expiry(settings.SESSION_COOKIE_AGE if is_studios else 0)


def is_idle(kept: Mapping[str, Any], member: Membership) -> bool:
    """Whether a device that is not the studio's was left alone for too long."""
    here = kept.get(HERE)
    if here is None or kept.get(STUDIOS, True):
        return False
    return time.time() - float(here) > member.studio.idle_min * 60.0


def stands(kept: Mapping[str, Any], member: Membership) -> bool:
    """Whether a session is still good for its member."""
    return kept.get(REVISION, 0) == member.sessions_revision and not is_idle(kept, member)


def member_of_kept(kept: Mapping[str, Any]) -> Membership | None:
    """The member of what a session store holds; None once it has ended, by sign-out, another password or idling."""
    user_id = kept.get(SESSION_KEY)
    if user_id is None:
        return None
    found = Membership.objects.select_related("user", "studio").filter(user_id=user_id, user__is_active=True).first()
    if found is None or not stands(kept, found):
        return None
    is_same = constant_time_compare(kept.get(HASH_SESSION_KEY, ""), found.user.get_session_auth_hash())
    return found if is_same else None


def note_here(kept: MutableMapping[str, Any]) -> bool:
    """Note that someone acts on the device; True when that is news, once a minute."""
    now = time.time()
    if kept.get(STUDIOS, True) or abs(now - float(kept.get(HERE, 0.0))) < HERE_EVERY_S:
        return False
    kept[HERE] = now
    return True


def note_at_work(session_key: str) -> None:
    """The device follows a head with product on: that is work, though nobody taps."""
    store = SessionStore(session_key)
    if note_here(store):
        store.save()
