"""A service: what was read at the consultation, what was planned, and its append-only log."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.conf import settings
from django.contrib.postgres.indexes import GinIndex, OpClass
from django.db import models
from django.db.models.functions import Upper

from apps.clients.models import Client
from apps.shelf.models import Lightener
from apps.studio.models import Studio


class Visits(models.Manager["Service"]):
    """Services as every list, number and lesson has them: practice is none of them."""

    def get_queryset(self) -> models.QuerySet[Service]:
        """Without practice rounds."""
        return super().get_queryset().filter(is_practice=False)


class Service(models.Model):
    """One visit of one client."""

    PERSONAL: ClassVar[dict[str, Any]] = {
        "wish": "",
        "facts": {},
        "strands": [],
        "scalp": "sound",
        "elasticity": "returns",
        "salts_test": "not_done",
        "summary": {"worked": "", "change": ""},
        "known": None,
    }
    """What tells of the client, and what it becomes when they are erased; of a summary, these of its keys."""
    IMPERSONAL: ClassVar[set[str]] = {"kind", "step", "tone", "choice", "toner_idea", "source"}

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="services")
    starts_at = models.DateTimeField()
    kind = models.CharField(max_length=20, default="lighten_and_tone", help_text="What it does.")
    step = models.CharField(max_length=20, default="consultation", help_text="The log's step, kept for lists.")
    wish = models.TextField(blank=True, max_length=2000)
    tone = models.CharField(max_length=20, default="neutral")
    wanted_level = models.FloatField(null=True, blank=True)
    scalp = models.CharField(max_length=20, default="sound")
    elasticity = models.CharField(max_length=20, default="returns")
    salts_test = models.CharField(max_length=20, default="not_done")
    facts = models.JSONField(default=dict, help_text="What else was found out, as the service file has it.")
    strands = models.JSONField(default=list, help_text="Strand tests, as the service file has them, with their times.")
    lightener = models.ForeignKey(Lightener, null=True, blank=True, on_delete=models.PROTECT)
    choice = models.JSONField(default=dict, help_text="What was chosen for the plan, as the service file has it.")
    toner_idea = models.CharField(max_length=60, blank=True)
    source = models.CharField(max_length=20, blank=True, help_text="request, last time, or nothing: the studio's own.")
    known = models.JSONField(null=True, blank=True, help_text="What earlier visits taught of the client's hair.")
    previous = models.ForeignKey("self", null=True, blank=True, on_delete=models.SET_NULL)
    reminded_at = models.DateTimeField(null=True, blank=True)
    summary = models.JSONField(null=True, blank=True, help_text="What it came to, kept when it is filed.")
    revision = models.PositiveIntegerField(default=0)
    is_practice = models.BooleanField(default=False, db_default=False, help_text="Of a practice round.")
    created_at = models.DateTimeField(auto_now_add=True)

    objects = Visits()
    everything = models.Manager()

    class Meta:
        base_manager_name = "everything"
        indexes = [
            models.Index(fields=["studio", "starts_at"]),
            models.Index(fields=["client", "-starts_at"]),
            GinIndex(OpClass(Upper("wish"), name="gin_trgm_ops"), name="service_wish_trigrams"),
        ]

    def __str__(self) -> str:
        return f"{self.client} {self.starts_at:%Y-%m-%d %H:%M}"


class Zone(models.Model):
    """A zone of the head in one service, in order of application; `data` as the service file has it."""

    PERSONAL: ClassVar[dict[str, Any]] = {}
    IMPERSONAL: ClassVar[set[str]] = {"key", "data"}

    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="zones")
    key = models.CharField(max_length=40)
    position = models.PositiveSmallIntegerField()
    data = models.JSONField(default=dict)

    class Meta:
        ordering = ["position"]
        constraints = [models.UniqueConstraint(fields=["service", "key"], name="zone_key_once")]

    def __str__(self) -> str:
        return self.key


class PlanVersion(models.Model):
    """A plan as it was once kept: what was chosen, and what it came to."""

    PERSONAL: ClassVar[dict[str, Any]] = {"label": ""}
    IMPERSONAL: ClassVar[set[str]] = {"by_name", "choice", "summary"}

    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="versions")
    number = models.PositiveSmallIntegerField()
    kept_at = models.DateTimeField()
    by_name = models.CharField(max_length=160)
    label = models.CharField(max_length=80, blank=True)
    is_taken = models.BooleanField(default=False, help_text="Kept because it was taken to the chair.")
    choice = models.JSONField()
    summary = models.JSONField()

    class Meta:
        ordering = ["number"]
        constraints = [models.UniqueConstraint(fields=["service", "number"], name="version_number_once")]

    def __str__(self) -> str:
        return f"{self.number} {self.label}"


class ServiceEvent(models.Model):
    """One line of the log. Rows are only ever added."""

    PERSONAL: ClassVar[dict[str, Any]] = {"data": {}}
    """Of its data, the fields that the core's own declaration of the event calls personal."""
    IMPERSONAL: ClassVar[set[str]] = {"kind", "by_name", "device"}

    id = models.BigAutoField(primary_key=True)
    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="events")
    event_id = models.UUIDField(unique=True)
    kind = models.CharField(max_length=40)
    occurred_at = models.DateTimeField()
    recorded_at = models.DateTimeField()
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL)
    by_name = models.CharField(max_length=160)
    device = models.CharField(max_length=40, blank=True)
    schema_version = models.PositiveSmallIntegerField()
    data = models.JSONField()

    class Meta:
        indexes = [models.Index(fields=["service", "occurred_at"])]

    def __str__(self) -> str:
        return f"{self.occurred_at:%H:%M} {self.kind}"


class Addendum(models.Model):
    """What was added to a filed service; rows are only ever added."""

    PERSONAL: ClassVar[dict[str, Any]] = {"text": "Erased on request."}
    IMPERSONAL: ClassVar[set[str]] = {"by_name"}

    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="addenda")
    at = models.DateTimeField()
    by_name = models.CharField(max_length=160)
    text = models.TextField(max_length=2000)

    class Meta:
        ordering = ["at", "id"]

    def __str__(self) -> str:
        return f"{self.at:%Y-%m-%d} {self.by_name}"


class Photo(models.Model):
    """A picture of the hair: scaled, without what the camera wrote into it; shown to the studio only."""

    PERSONAL: ClassVar[dict[str, Any]] = {"caption": "", "jpeg": b""}
    """A photo is taken out as a whole."""
    IMPERSONAL: ClassVar[set[str]] = {"kind", "by_name"}

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="photos")
    kind = models.CharField(max_length=20, choices=[("before", "Before"), ("after", "After"), ("other", "Other")])
    caption = models.CharField(max_length=120, blank=True)
    width = models.PositiveIntegerField()
    height = models.PositiveIntegerField()
    jpeg = models.BinaryField()
    at = models.DateTimeField()
    by_name = models.CharField(max_length=160)

    class Meta:
        ordering = ["at", "id"]

    def __str__(self) -> str:
        return f"{self.kind} {self.at:%Y-%m-%d}"


class StockUse(models.Model):
    """What an act of the log took from the shelf."""

    PERSONAL: ClassVar[dict[str, Any]] = {}
    IMPERSONAL: ClassVar[set[str]] = {"name"}

    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="uses")
    event_id = models.UUIDField(db_index=True)
    product_id = models.UUIDField(db_index=True)
    name = models.CharField(max_length=80)
    grams = models.FloatField()
    cost = models.FloatField(null=True, blank=True, help_text="At the price it had then.")
    at = models.DateTimeField()

    class Meta:
        ordering = ["at", "id"]

    def __str__(self) -> str:
        return f"{self.grams:g} g {self.name}"


class PracticeRound(models.Model):
    """A practice round: what its head really is, its own clock, and the service it is played on."""

    PERSONAL: ClassVar[dict[str, Any]] = {}
    IMPERSONAL: ClassVar[set[str]] = {"setup", "clock", "result", "played_by"}
    """A past client's head comes without anything that tells of them."""

    service = models.OneToOneField(Service, on_delete=models.CASCADE, related_name="round")
    user = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="practice_rounds")
    setup = models.JSONField(help_text="As the core's Setup has it.")
    clock = models.JSONField(help_text="Its moment, the moment on the server's clock that was told, and its speed.")
    played_by = models.CharField(max_length=160, blank=True, help_text="Whose a round from a file is.")
    result = models.JSONField(null=True, blank=True, help_text="What it came to in numbers, once it is over.")
    ended_at = models.DateTimeField(null=True, blank=True)
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["-created_at"]

    def __str__(self) -> str:
        return f"round of {self.created_at:%Y-%m-%d %H:%M}"
