"""Accounts: invitations, one's own password and address, resets, signing out everywhere."""

from __future__ import annotations

import datetime as dt
import secrets
from typing import Any
from uuid import UUID

from django.contrib.auth import get_user_model
from django.contrib.auth.hashers import check_password
from django.contrib.auth.tokens import default_token_generator
from django.core.exceptions import ValidationError
from django.core.validators import validate_email
from django.db import transaction
from django.http import Http404
from django.shortcuts import get_object_or_404
from django.utils import timezone
from django.utils.http import urlsafe_base64_decode, urlsafe_base64_encode

from apps.common.problems import HIDDEN
from apps.common.telling import tell_sessions
from apps.common.words import checked_language
from apps.studio import mail
from apps.studio.actions import audit
from apps.studio.models import Invitation, Membership, Studio
from apps.studio.people import MEMBERS_MAX, check_password_of, hash_of, make_user
from apps.studio.policies import require_may
from apps.studio.throttle import one_hash
from fervens_core.base import LimitError, check_text, say

INVITATION_DAYS = 7
OPEN_INVITATIONS_MAX = 30


def require_password(member: Membership, password: str) -> None:
    """Raises LimitError where it is not the member's own."""
    with one_hash():
        is_right = check_password(password, member.user.password)
    if not is_right:
        raise LimitError("old_password", say("limit-own_password"), HIDDEN)


def checked_email(text: str) -> str:
    """A mail address, or nothing. Raises LimitError."""
    text = text.strip()
    if not text:
        return ""
    check_text("email", text, 200)
    try:
        validate_email(text)
    except ValidationError as error:
        raise LimitError("email", say("limit-email"), text[:80]) from error
    return text


def end_sessions(member: Membership) -> int:
    """Every session of a member's ends; the revision of those that are opened from now on. Inside a transaction."""
    row = Membership.objects.select_for_update(of=("self",)).get(pk=member.pk)
    row.sessions_revision += 1
    row.save(update_fields=["sessions_revision"])
    tell_sessions(member.studio_id)
    return row.sessions_revision


@transaction.atomic
def sign_out_everywhere(member: Membership) -> int:
    """On every device; the revision of a session that is to stay."""
    revision = end_sessions(member)
    audit(member, "signed_out_everywhere", member.name)
    return revision


def change_password(member: Membership, old: str, new: str) -> None:
    """Another password of one's own, the old one asked; every other device is signed out. Raises LimitError."""
    require_password(member, old)
    check_password_of(member.user, new)
    if old == new:
        raise LimitError("password", say("limit-another_password"), HIDDEN)
    _set_password(member, new, "password_changed")


def _set_password(member: Membership, new: str, act: str) -> None:
    with one_hash():
        member.user.set_password(new)
    with transaction.atomic():
        member.user.save(update_fields=["password"])
        Membership.objects.filter(pk=member.pk).update(owes_password=False)
        tell_sessions(member.studio_id)
        audit(member, act, member.name)
    if member.user.email:
        text = say("mail-password_changed", name=member.name)
        mail.send(member.user.email, say("mail-password_changed.title"), text, member.language)


def change_account(member: Membership, password: str, values: dict[str, Any]) -> None:
    """One's own names and mail address; the address can reset the password, so the password is asked."""
    require_password(member, password)
    user = member.user
    before = {"first_name": user.first_name, "last_name": user.last_name, "email": user.email}
    email = checked_email(values["email"])
    user.email = email
    user.first_name, user.last_name = values["first_name"].strip(), values["last_name"].strip()
    with transaction.atomic():
        user.save(update_fields=["email", "first_name", "last_name"])
        changed = [k for k, v in before.items() if v != getattr(user, k)]
        audit(member, "account_changed", ", ".join(changed))


def change_language(member: Membership, language: str) -> None:
    """The language one reads, on every device; none is what the device asks for. Raises LimitError."""
    member.language = checked_language(language)
    member.save(update_fields=["language"])


@transaction.atomic
def invite(member: Membership, *, role: str, for_name: str, email: str) -> tuple[Invitation, str, bool]:
    """A place in the studio behind a secret link; the invitation, the secret, shown this once, and whether mail went.

    Raises:
        LimitError: the address, or too many places.
    """
    require_may(member, "add_members")
    email = checked_email(email)
    Studio.objects.select_for_update().get(pk=member.studio_id)
    _require_room(member.studio_id)
    if open_invitations(member).count() >= OPEN_INVITATIONS_MAX:
        raise LimitError("invitations", say("limit-at_most_so_many", most=OPEN_INVITATIONS_MAX), OPEN_INVITATIONS_MAX)
    secret = secrets.token_urlsafe(32)
    row = Invitation.objects.create(
        studio_id=member.studio_id,
        role=role,
        for_name=for_name.strip(),
        email=email,
        secret_hash=hash_of(secret),
        by_name=member.name,
        expires_at=timezone.now() + dt.timedelta(days=INVITATION_DAYS),
    )
    audit(member, "member_invited", for_name.strip() or role)
    text = say(
        "mail-invited",
        studio=member.studio.name,
        by=member.name,
        address=mail.address_of(f"/invitation/{secret}"),
        days=INVITATION_DAYS,
    )
    is_sent = bool(email) and mail.send(email, say("mail-invited.title", studio=member.studio.name), text)
    return row, secret, is_sent


def open_invitations(member: Membership) -> Any:
    """Those of the studio that can still be taken up."""
    rows = Invitation.objects.filter(studio_id=member.studio_id, ended_at=None, expires_at__gt=timezone.now())
    return rows.order_by("created_at")


@transaction.atomic
def take_invitation_back(member: Membership, invitation_id: UUID) -> None:
    """Its link opens nothing from now on."""
    row = get_object_or_404(Invitation.objects.filter(studio_id=member.studio_id), pk=invitation_id)
    require_may(member, "add_members")
    row.ended_at = row.ended_at or timezone.now()
    row.save(update_fields=["ended_at"])
    audit(member, "invitation_taken_back", row.for_name or row.role)


def invitation_of(secret: str) -> Invitation:
    """The invitation of a secret. Raises Http404 for one that was never made, taken up, taken back or has expired."""
    row = Invitation.objects.select_related("studio").filter(secret_hash=hash_of(secret[:200]), ended_at=None).first()
    if row is None or row.expires_at <= timezone.now():
        raise Http404
    return row


def _require_room(studio_id: UUID) -> None:
    if Membership.objects.filter(studio_id=studio_id).count() >= MEMBERS_MAX:
        raise LimitError("members", say("limit-at_most_so_many", most=MEMBERS_MAX), MEMBERS_MAX + 1)


def take_up(secret: str, *, username: str, first_name: str, last_name: str, password: str) -> Membership:
    """Take an invitation up, once: an account with a password of one's own.

    Raises:
        Http404: it opens nothing. LimitError: a field. ConflictError: the name is taken.
    """
    invitation_of(secret)
    user = make_user(username=username, first_name=first_name, last_name=last_name, password=password)
    with transaction.atomic():
        row = Invitation.objects.select_for_update().get(pk=invitation_of(secret).pk)
        if row.ended_at is not None:
            raise Http404
        Studio.objects.select_for_update().get(pk=row.studio_id)
        _require_room(row.studio_id)
        user.email = row.email
        user.save()
        made = Membership.objects.create(user=user, studio=row.studio, role=row.role)
        row.ended_at = timezone.now()
        row.save(update_fields=["ended_at"])
        audit(made, "invitation_taken_up", made.name)
    return made


def reset_path(user: Any) -> str:
    """Where a user sets a new password without the old one; good for a day, and until it was used."""
    return f"/reset/{urlsafe_base64_encode(str(user.pk).encode())}/{default_token_generator.make_token(user)}"


@transaction.atomic
def make_reset(member: Membership, member_id: int) -> str:
    """The path of a reset for another member, to be handed over by the owner. 404 for another studio's."""
    rows = Membership.objects.filter(studio_id=member.studio_id, user__is_active=True).select_related("user")
    row = get_object_or_404(rows, pk=member_id)
    require_may(member, "change_members")
    audit(member, "reset_made", row.name)
    return reset_path(row.user)


def ask_reset(email: str) -> None:
    """Mail a reset to whoever has the address; who has none is not told apart."""
    email = checked_email(email)
    if not email:
        raise LimitError("email", say("limit-email"), "")
    users = get_user_model()._default_manager.filter(email__iexact=email, is_active=True)
    for row in Membership.objects.filter(user__in=users).select_related("user", "studio")[:3]:
        audit(row, "reset_asked", row.name)
        text = say("mail-reset", name=row.name, address=mail.address_of(reset_path(row.user)))
        mail.send(row.user.email, say("mail-reset.title"), text, row.language)


def _user_of(uid: str, token: str) -> Membership:
    try:
        pk = int(urlsafe_base64_decode(uid[:60]).decode())
    except (ValueError, UnicodeDecodeError):
        raise Http404 from None
    if not 0 < pk < 2**31:
        raise Http404
    row = Membership.objects.select_related("user", "studio").filter(user_id=pk, user__is_active=True).first()
    if row is None or not default_token_generator.check_token(row.user, token[:200]):
        raise Http404
    return row


def check_reset(uid: str, token: str) -> Membership:
    """Whose reset it is. Raises Http404 for one that was used, is too old or never was."""
    return _user_of(uid, token)


def reset(uid: str, token: str, password: str) -> Membership:
    """Another password without the old one; every session ends. Raises Http404, LimitError."""
    row = _user_of(uid, token)
    check_password_of(row.user, password)
    _set_password(row, password, "password_reset")
    return row
