"""A second factor: codes from a phone by time (RFC 6238), and recovery codes for when it is gone."""

from __future__ import annotations

import hashlib
import io
import secrets
from dataclasses import dataclass

import segno
from django.db import transaction
from django.utils import timezone
from django_otp.plugins.otp_totp.models import TOTPDevice

from apps.common.problems import HIDDEN
from apps.common.telling import tell_sessions
from apps.studio.actions import audit
from apps.studio.models import Membership
from fervens_core.base import ConflictError, LimitError, say

RECOVERY_CODES = 10
_LETTERS = "abcdefghjkmnpqrstuvwxyz23456789"
"""Those that are not taken for one another."""


@dataclass(frozen=True, slots=True)
class SetUp:
    """What a phone needs: the key as letters, and as a drawing to be photographed (SVG)."""

    key: str
    svg: str


def _hash(code: str) -> str:
    return hashlib.sha256(_plain(code).encode()).hexdigest()


def _plain(code: str) -> str:
    return "".join(c for c in code.lower() if c.isalnum())


@transaction.atomic
def set_up(member: Membership) -> SetUp:
    """A new key for the member's phone; it counts once a code of it was typed. Raises ConflictError."""
    if member.second_factor_at is not None:
        raise ConflictError("second_factor_set")
    TOTPDevice.objects.filter(user=member.user).delete()
    device = TOTPDevice.objects.create(user=member.user, name="phone", confirmed=False)
    drawn = io.BytesIO()
    segno.make(device.config_url, error="m").save(drawn, kind="svg", scale=5, border=2, xmldecl=False, svgns=True)
    key = device.config_url.split("secret=")[1].split("&")[0]
    return SetUp(key, drawn.getvalue().decode())


def confirm(member: Membership, code: str) -> list[str]:
    """The first code from the phone: from now on codes are asked for. The recovery codes, told this once.

    Raises:
        ConflictError: nothing was set up. LimitError: the code is not the phone's.
    """
    with transaction.atomic():
        device = TOTPDevice.objects.select_for_update().filter(user=member.user, confirmed=False).first()
        if device is None:
            raise ConflictError("second_factor_none")
        is_right = device.verify_token(_plain(code))
        if is_right:
            device.confirmed = True
            device.save()
            codes = _new_codes(member)
            Membership.objects.filter(pk=member.pk).update(second_factor_at=timezone.now())
            audit(member, "second_factor_set", member.name)
    if not is_right:  # told outside, so that the try stays counted
        raise LimitError("code", say("limit-code_of_phone"), HIDDEN)
    return codes


def _new_codes(member: Membership) -> list[str]:
    codes = ["".join(secrets.choice(_LETTERS) for _ in range(12)) for _ in range(RECOVERY_CODES)]
    Membership.objects.filter(pk=member.pk).update(recovery_hashes=[_hash(c) for c in codes])
    return ["-".join((c[:4], c[4:8], c[8:])) for c in codes]


@transaction.atomic
def new_recovery_codes(member: Membership) -> list[str]:
    """Ten others; those before open nothing. Raises ConflictError without a second factor."""
    if member.second_factor_at is None:
        raise ConflictError("second_factor_none")
    audit(member, "recovery_codes_made", member.name)
    return _new_codes(member)


def is_right(member: Membership, code: str) -> bool:
    """Whether a code is the phone's of now, each good once, or one of the recovery codes, which is used up by it.

    Wrong ones make the next try wait longer and longer (the device's own throttling).
    """
    plain = _plain(code)
    with transaction.atomic():
        row = Membership.objects.select_for_update(of=("self",)).get(pk=member.pk)
        if len(plain) > 6:
            if _hash(plain) not in row.recovery_hashes:
                return False
            row.recovery_hashes = [h for h in row.recovery_hashes if h != _hash(plain)]
            row.save(update_fields=["recovery_hashes"])
            audit(member, "recovery_code_used", len(row.recovery_hashes))
            return True
        device = TOTPDevice.objects.select_for_update().filter(user=member.user, confirmed=True).first()
        return device is not None and bool(device.verify_token(plain))


def forget(row: Membership) -> None:
    """No codes are asked of a member any more; inside a transaction."""
    TOTPDevice.objects.filter(user=row.user).delete()
    row.second_factor_at, row.recovery_hashes = None, []
    row.save(update_fields=["second_factor_at", "recovery_hashes"])
    tell_sessions(row.studio_id)


@transaction.atomic
def switch_off(member: Membership) -> None:
    """Raises ConflictError where the studio demands one."""
    if member.studio.demands_second_factor:
        raise ConflictError("second_factor_demanded")
    forget(member)
    audit(member, "second_factor_off", member.name)
