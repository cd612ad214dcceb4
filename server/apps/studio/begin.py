"""A studio's first visit: who holds the token that the server printed makes the studio and its owner, once."""

from __future__ import annotations

from typing import Any

from django.contrib.auth import get_user_model
from django.core import signing
from django.core.exceptions import ValidationError
from django.db import connection, transaction

from apps.studio.actions import audit
from apps.studio.models import Membership, Role, Studio
from apps.studio.people import check_password_of
from fervens_core.base import ConflictError, LimitError, check_text, say

SALT, DAYS = "fervens.begin", 7
_LOCK = 0x46455256
"""Two first visits at once: one of them is told."""


def is_open() -> bool:
    """Whether there is no studio yet."""
    return not Studio.objects.exists()


def begin_token() -> str:
    """What the first visit has to bring; good for a week, and for nothing once there is a studio."""
    return signing.dumps("begin", salt=SALT)


def _check(token: str) -> None:
    try:
        signing.loads(token, salt=SALT, max_age=DAYS * 86400)
    except signing.BadSignature:
        raise ConflictError("begin_token") from None


@transaction.atomic
def begin(*, token: str, studio: str, username: str, first_name: str, last_name: str, password: str) -> Any:
    """Make the studio and its owner; the owner's account.

    Raises:
        ConflictError: there is a studio already, or the token is none. LimitError: a field.
    """
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_advisory_xact_lock(%s)", [_LOCK])
    if not is_open():
        raise ConflictError("begun_already")
    _check(token)
    row = Studio.objects.create(name=check_text("studio", studio, 80).strip())
    user = get_user_model()(
        username=check_text("username", username, 60).strip(),
        first_name=first_name.strip(),
        last_name=last_name.strip(),
        is_staff=True,
        is_superuser=True,
    )
    try:
        user.clean_fields(exclude=["password"])
    except ValidationError as error:
        field, messages = next(iter(error.message_dict.items()))
        raise LimitError(field, say("limit-field_of_model", why=messages[0]), "") from error
    check_password_of(user, password)
    user.set_password(password)
    user.save()
    member = Membership.objects.create(user=user, studio=row, role=Role.OWNER)
    audit(member, "studio_begun", row.name)
    return user
