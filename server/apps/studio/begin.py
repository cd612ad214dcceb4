"""A studio's first visit: who holds the token that the server printed makes the studio and its owner, once."""

from __future__ import annotations

from django.core import signing
from django.db import connection, transaction

from apps.studio.actions import audit
from apps.studio.models import Membership, Role, Studio
from apps.studio.people import make_user
from fervens_core.base import ConflictError, check_text

SALT, DAYS = "fervens.begin", 7
_LOCK = 0x46455256
"""Two first visits at once: one of them is told."""


def is_open() -> bool:
    """Whether there is no studio yet."""
    return not Studio.objects.exists()


def begin_token() -> str:
    """What a first visit has to bring; good for a week, and for nothing once there is another studio more."""
    return signing.dumps(f"begin {Studio.objects.count()}", salt=SALT)


def is_good(token: str) -> bool:
    """Whether a token makes a studio now."""
    try:
        return bool(signing.loads(token, salt=SALT, max_age=DAYS * 86400) == f"begin {Studio.objects.count()}")
    except signing.BadSignature:
        return False


def _check(token: str) -> None:
    """Raises ConflictError: the token is none, or a studio was made with it."""
    if is_good(token):
        return
    raise ConflictError("begin_token" if is_open() else "begun_already")


def begin(*, token: str, studio: str, username: str, first_name: str, last_name: str, password: str) -> Membership:
    """Make the studio and its owner.

    Raises:
        ConflictError: there is a studio already, or the token is none. LimitError: a field.
    """
    _check(token)
    name = check_text("studio", studio, 80).strip()
    user = make_user(username=username, first_name=first_name, last_name=last_name, password=password)
    user.is_staff = user.is_superuser = is_open()  # who was here first keeps the server's house
    with transaction.atomic():
        with connection.cursor() as cursor:
            cursor.execute("SELECT pg_advisory_xact_lock(%s)", [_LOCK])
        _check(token)
        row = Studio.objects.create(name=name)
        user.save()
        member = Membership.objects.create(user=user, studio=row, role=Role.OWNER)
        audit(member, "studio_begun", row.name)
    return member
