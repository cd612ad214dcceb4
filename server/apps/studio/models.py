"""Studios, their members, and the trail of what members did."""

from __future__ import annotations

import uuid

from django.conf import settings
from django.db import models

from fervens_words import METRIC, UNITS


class Studio(models.Model):
    """A place where colour is done; every other row belongs to one."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    name = models.CharField(max_length=80)
    pace_min_per_foil = models.FloatField(default=1.2, help_text="Minutes a section, when a member has no own pace.")
    growth_mm_per_month = models.FloatField(default=12.0, help_text="How fast hair grows, when a client has no own.")
    weakest_natural = models.FloatField(default=20.0, help_text="Weakest vol proposed on natural hair.")
    weakest_worn = models.FloatField(default=10.0, help_text="On hair that is light, fine, porous or delicate.")
    weakest_old_dye = models.FloatField(default=5.0, help_text="On old direct dye.")
    hands = models.JSONField(default=dict, blank=True, help_text="How fast its hands are; what is missing is usual.")
    school = models.JSONField(
        default=dict, db_default={}, blank=True, help_text="With what its plans begin; what is missing is usual."
    )
    eyes = models.JSONField(
        default=list, db_default=[], blank=True, help_text="What filed services taught of members' eyes."
    )
    eyes_revision = models.PositiveIntegerField(default=0, db_default=0)
    card = models.JSONField(null=True, blank=True, help_text="What a reader said of its printed card.")
    to_order = models.JSONField(default=list, blank=True)
    closed_on = models.JSONField(default=list, db_default=[], blank=True, help_text="Holidays and breaks.")
    currency = models.CharField(max_length=8, default="€")
    units = models.CharField(
        max_length=6,
        choices=[(u, u) for u in UNITS],
        default=METRIC,
        db_default=METRIC,
        help_text="g and mm, or oz and in.",
    )
    is_demo = models.BooleanField(default=False, help_text="Its members sign in from this machine only.")
    idle_min = models.PositiveIntegerField(
        default=120, db_default=120, help_text="Minutes without an act until others' devices end."
    )
    demands_second_factor = models.BooleanField(
        default=False, db_default=False, help_text="Every member has to have one."
    )

    def __str__(self) -> str:
        return self.name


class Role(models.TextChoices):
    """What a member may do."""

    OWNER = "owner", "Owner"
    TECHNICIAN = "technician", "Technician"
    ASSISTANT = "assistant", "Assistant"


class Membership(models.Model):
    """A user in a studio; a user works in one."""

    user = models.OneToOneField(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="membership")
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="members")
    role = models.CharField(max_length=20, choices=Role.choices, default=Role.TECHNICIAN)
    pace_min_per_foil = models.FloatField(null=True, blank=True, help_text="Own minutes a section.")
    eye_rounds = models.JSONField(
        default=list, db_default=[], blank=True, help_text="Calibration rounds of the member's own eye."
    )
    shares_practice = models.BooleanField(
        default=False, db_default=False, help_text="The owner may see what practice came to."
    )
    language = models.CharField(
        max_length=5, default="", db_default="", blank=True, help_text="None is what the device asks for."
    )
    owes_password = models.BooleanField(
        default=False, db_default=False, help_text="Someone else chose the password: own one first."
    )
    second_factor_at = models.DateTimeField(null=True, blank=True, help_text="Since when codes are asked for.")
    recovery_hashes = models.JSONField(
        default=list, db_default=[], blank=True, help_text="Of codes that were not used yet."
    )
    sessions_revision = models.PositiveIntegerField(
        default=0, db_default=0, help_text="Sessions of an earlier one have ended."
    )

    def __str__(self) -> str:
        return f"{self.name} ({self.role})"

    @property
    def pace(self) -> float:
        """Minutes a section: the member's own, or the studio's."""
        return self.pace_min_per_foil or self.studio.pace_min_per_foil

    @property
    def name(self) -> str:
        """The name shown at the chair and in the record."""
        return self.user.get_full_name() or self.user.get_username()


class StudioLink(models.Model):
    """A secret address that works without signing in, until it is revoked; only the secret's hash is kept."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="links")
    kind = models.CharField(max_length=20, choices=[("feed", "Diary feed"), ("request", "Request form")])
    secret_hash = models.CharField(max_length=64, unique=True)
    by_name = models.CharField(max_length=160)
    created_at = models.DateTimeField(auto_now_add=True)
    revoked_at = models.DateTimeField(null=True, blank=True)

    def __str__(self) -> str:
        return f"{self.kind} of {self.created_at:%Y-%m-%d}"


class LinkUse(models.Model):
    """A request that came in by a link: from whom, as a keyed hash that is forgotten after a day, and its puzzle."""

    studio = models.ForeignKey(Studio, on_delete=models.CASCADE)
    sender = models.CharField(max_length=64)
    puzzle = models.CharField(max_length=64, unique=True)
    service = models.UUIDField(null=True)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        indexes = [models.Index(fields=["studio", "-at"])]

    def __str__(self) -> str:
        return f"{self.at:%Y-%m-%d %H:%M}"


class Invitation(models.Model):
    """A place in the studio for whoever holds the secret, once and for a few days; only the secret's hash is kept."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="invitations")
    role = models.CharField(max_length=20, choices=Role.choices)
    for_name = models.CharField(max_length=80, blank=True)
    email = models.EmailField(blank=True)
    secret_hash = models.CharField(max_length=64, unique=True)
    by_name = models.CharField(max_length=160)
    created_at = models.DateTimeField(auto_now_add=True)
    expires_at = models.DateTimeField()
    ended_at = models.DateTimeField(null=True, blank=True, help_text="Taken up or taken back.")

    def __str__(self) -> str:
        return f"{self.role} {self.for_name}"


class AuditEntry(models.Model):
    """Who did what to which row, and when. Written in the same transaction as the act."""

    studio = models.ForeignKey(Studio, on_delete=models.CASCADE)
    member_name = models.CharField(max_length=160)
    act = models.CharField(max_length=60)
    target = models.CharField(max_length=80)
    changes = models.JSONField(default=dict, db_default={}, blank=True, help_text="Field to [before, after].")
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        indexes = [models.Index(fields=["studio", "-at"])]
        verbose_name_plural = "audit entries"

    def __str__(self) -> str:
        return f"{self.at:%Y-%m-%d %H:%M} {self.member_name}: {self.act} {self.target}"
