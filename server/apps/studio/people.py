"""Members, the studio's own settings, and its secret links."""

from __future__ import annotations

import hashlib
import secrets
from typing import Any
from uuid import UUID

from django.contrib.auth import get_user_model
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import transaction
from django.http import Http404
from django.shortcuts import get_object_or_404
from django.utils import timezone

from apps.common.problems import HIDDEN
from apps.common.telling import tell_sessions
from apps.studio import second_factor
from apps.studio.actions import audit, changes_between, values_of
from apps.studio.models import Membership, Role, Studio, StudioLink
from apps.studio.policies import require_may
from apps.studio.throttle import one_hash
from fervens_core.base import ConflictError, Count, LimitError, check_range, check_text, plain, read, say
from fervens_core.followup import CLOSED_MAX, ClosedDays

MEMBERS_MAX = 100
LINKS_MAX = 20
PACE = (0.1, 6.0)
WEAKEST = ("weakest_natural", "weakest_worn", "weakest_old_dye")
"""Weakest developers proposed to lighten with, by hair."""
WEAKEST_VOLUME = (0.5, 40.0)
GROWTH = (4.0, 25.0)
IDLE_MIN = (15, 720)


def check_password_of(user: Any, text: str) -> None:
    """Whether a password may be someone's. Raises LimitError."""
    try:
        validate_password(text, user)
    except ValidationError as error:
        raise LimitError("password", say("limit-password", why=" ".join(error.messages)), HIDDEN) from error


def _other_owners(member: Membership) -> bool:
    rows = Membership.objects.filter(studio_id=member.studio_id, role=Role.OWNER, user__is_active=True)
    return rows.exclude(pk=member.pk).exists()


def make_user(*, username: str, first_name: str, last_name: str, password: str) -> Any:
    """An account that is not kept yet, its names and password checked. Raises LimitError, ConflictError."""
    check_text("username", username, 60)
    users = get_user_model().objects
    if users.filter(username__iexact=username).exists():
        raise ConflictError("name_taken", name=username)
    user = get_user_model()(username=username.strip(), first_name=first_name.strip(), last_name=last_name.strip())
    try:
        user.clean_fields(exclude=["password"])
    except ValidationError as error:
        field, messages = next(iter(error.message_dict.items()))
        raise LimitError(
            field, say("limit-field_of_model", why=messages[0]), str(getattr(user, field, ""))[:80]
        ) from error
    check_password_of(user, password)
    with one_hash():
        user.set_password(password)
    return user


def add_member(
    member: Membership, *, username: str, first_name: str, last_name: str, role: str, password: str
) -> Membership:
    """A new member with a first password, which they change before anything else.

    Raises:
        LimitError: a field, or too many members. ConflictError: the name is taken.
    """
    require_may(member, "add_members")
    user = make_user(username=username, first_name=first_name, last_name=last_name, password=password)
    with transaction.atomic():
        Studio.objects.select_for_update().get(pk=member.studio_id)
        if Membership.objects.filter(studio_id=member.studio_id).count() >= MEMBERS_MAX:
            raise LimitError("members", say("limit-at_most_so_many", most=MEMBERS_MAX), MEMBERS_MAX + 1)
        user.save()
        made = Membership.objects.create(user=user, studio_id=member.studio_id, role=role, owes_password=True)
        audit(member, "member_added", made.name)
    return made


def told_of(row: Membership) -> dict[str, Any]:
    """What the trail compares of a member."""
    return {
        "role": row.role,
        "pace_min_per_foil": row.pace_min_per_foil,
        "is_active": row.user.is_active,
        "has_second_factor": row.second_factor_at is not None,
    }


@transaction.atomic
def change_member(member: Membership, member_id: int, values: dict[str, Any]) -> Membership:
    """Another role, pace or password, or out of the studio. The last owner stays one. 404 for another studio's."""
    own = Membership.objects.filter(studio_id=member.studio_id).select_related("user", "studio")
    row = get_object_or_404(own, pk=member_id)
    require_may(member, "change_members")
    # owners change one another one after the other, or two could leave a studio without one
    Studio.objects.select_for_update().get(pk=member.studio_id)
    row = own.select_for_update(of=("self",)).get(pk=member_id)
    before = told_of(row)
    is_leaving = values.get("is_active") is False or values.get("role", Role.OWNER) != Role.OWNER
    if row.role == Role.OWNER and is_leaving and not _other_owners(row):
        raise ConflictError("last_owner")
    if values.get("role"):
        row.role = values["role"]
    if "pace_min_per_foil" in values:
        pace = values["pace_min_per_foil"]
        row.pace_min_per_foil = None if pace is None else check_range("pace_min_per_foil", pace, *PACE, "min")
    if values.get("password"):
        check_password_of(row.user, values["password"])
        row.user.set_password(values["password"])
        row.owes_password = row.pk != member.pk
    if values.get("has_second_factor") is False:
        second_factor.forget(row)
    if values.get("is_active") is not None:
        row.user.is_active = values["is_active"]
    row.user.save()
    row.save()
    changes = changes_between(before, told_of(row)) | ({"password": [HIDDEN, HIDDEN]} if values.get("password") else {})
    audit(member, "member_changed", row.name, changes)
    tell_sessions(member.studio_id)
    return row


def checked_closed(values: list[Any], field: str = "closed_on") -> list[ClosedDays]:
    """Holidays and breaks as they are kept, the first one first. Raises LimitError, also for too many."""
    Count(0, CLOSED_MAX, "closed").check(field, values)
    days = {read(ClosedDays, x, f"{field}[{i}]") for i, x in enumerate(values)}
    return sorted(days, key=lambda x: (x.first, x.last, x.is_every_year))


@transaction.atomic
def change_studio(member: Membership, values: dict[str, Any]) -> Studio:
    """The studio's name, paces, growth, weakest developers, currency, units, closed days. Raises LimitError."""
    require_may(member, "change_the_studio")
    row = Studio.objects.select_for_update().get(pk=member.studio_id)
    before = values_of(row)
    if values.get("name") is not None:
        row.name = check_text("name", values["name"]).strip()
    if values.get("currency") is not None:
        row.currency = check_text("currency", values["currency"], 8).strip()
    if values.get("units") is not None:
        row.units = values["units"]
    if values.get("pace_min_per_foil") is not None:
        row.pace_min_per_foil = check_range("pace_min_per_foil", values["pace_min_per_foil"], *PACE, "min")
    if values.get("growth_mm_per_month") is not None:
        row.growth_mm_per_month = check_range("growth_mm_per_month", values["growth_mm_per_month"], *GROWTH, "mm")
    for field in WEAKEST:
        if values.get(field) is not None:
            setattr(row, field, check_range(field, values[field], *WEAKEST_VOLUME, "vol"))
    if values.get("hands") is not None:
        row.hands = plain(values["hands"])
    if values.get("school") is not None:
        row.school = plain(values["school"])
    if values.get("idle_min") is not None:
        row.idle_min = int(check_range("idle_min", values["idle_min"], *IDLE_MIN, "min"))
    if values.get("demands_second_factor") is not None:
        row.demands_second_factor = values["demands_second_factor"]
    if values.get("closed_on") is not None:
        row.closed_on = plain(checked_closed(values["closed_on"]))
    row.save()
    audit(member, "studio_changed", row.pk, changes_between(before, values_of(row)))
    return row


def hash_of(secret: str) -> str:
    """What is kept of a secret link."""
    return hashlib.sha256(secret.encode()).hexdigest()


@transaction.atomic
def make_link(member: Membership, kind: str) -> tuple[StudioLink, str]:
    """A new secret link and its secret, which is shown this once and kept as a hash only."""
    require_may(member, "make_links")
    if member.studio.links.filter(revoked_at=None).count() >= LINKS_MAX:
        raise LimitError("links", say("limit-most_links", most=LINKS_MAX), LINKS_MAX + 1)
    secret = secrets.token_urlsafe(32)
    row = StudioLink.objects.create(
        studio_id=member.studio_id, kind=kind, secret_hash=hash_of(secret), by_name=member.name
    )
    audit(member, f"{kind}_link_made", row.pk)
    return row, secret


@transaction.atomic
def revoke_link(member: Membership, link_id: UUID) -> StudioLink:
    """The link stops working at once."""
    row = get_object_or_404(StudioLink.objects.filter(studio_id=member.studio_id), pk=link_id)
    require_may(member, "revoke_links")
    row.revoked_at = row.revoked_at or timezone.now()
    row.save()
    audit(member, f"{row.kind}_link_revoked", row.pk)
    return row


def link_of(secret: str, kind: str) -> StudioLink:
    """The working link of a secret. Raises Http404 for a wrong or revoked one."""
    row = StudioLink.objects.select_related("studio").filter(secret_hash=hash_of(secret[:200]), kind=kind).first()
    if row is None or row.revoked_at is not None:
        raise Http404
    return row
