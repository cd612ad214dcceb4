"""A service: what was read at the consultation, what was planned, and its append-only log."""

from __future__ import annotations

import uuid

from django.conf import settings
from django.db import models

from apps.clients.models import Client
from apps.shelf.models import Lightener
from apps.studio.models import Studio


class Service(models.Model):
    """One visit of one client."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE)
    client = models.ForeignKey(Client, on_delete=models.CASCADE, related_name="services")
    starts_at = models.DateTimeField()
    step = models.CharField(max_length=20, default="consultation", help_text="The log's step, kept for lists.")
    wish = models.TextField(blank=True, max_length=2000)
    tone = models.CharField(max_length=20, default="neutral")
    wanted_level = models.FloatField(null=True, blank=True)
    scalp = models.CharField(max_length=20, default="sound")
    elasticity = models.CharField(max_length=20, default="returns")
    salts_test = models.CharField(max_length=20, default="not_done")
    lightener = models.ForeignKey(Lightener, null=True, blank=True, on_delete=models.PROTECT)
    finish_min = models.FloatField(null=True, blank=True)
    has_additive = models.BooleanField(default=False)
    revision = models.PositiveIntegerField(default=0)
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        indexes = [models.Index(fields=["studio", "starts_at"])]

    def __str__(self) -> str:
        return f"{self.client} {self.starts_at:%Y-%m-%d %H:%M}"


class Zone(models.Model):
    """A zone of the head in one service, in order of application."""

    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="zones")
    key = models.CharField(max_length=40)
    name = models.CharField(max_length=60)
    position = models.PositiveSmallIntegerField()
    start_level = models.FloatField()
    target_level = models.FloatField()
    history = models.CharField(max_length=20)
    thickness = models.CharField(max_length=20)
    porosity = models.CharField(max_length=20)
    covering = models.CharField(max_length=20, default="foil")
    foil_count = models.PositiveSmallIntegerField()
    pace_min_per_foil = models.FloatField()
    is_delicate = models.BooleanField(default=False)
    is_on_scalp = models.BooleanField(default=False)
    volume_override = models.FloatField(null=True, blank=True)

    class Meta:
        ordering = ["position"]
        constraints = [models.UniqueConstraint(fields=["service", "key"], name="zone_key_once")]

    def __str__(self) -> str:
        return self.name


class ServiceEvent(models.Model):
    """One line of the log. Rows are only ever added."""

    id = models.BigAutoField(primary_key=True)
    service = models.ForeignKey(Service, on_delete=models.CASCADE, related_name="events")
    event_id = models.UUIDField(unique=True)
    kind = models.CharField(max_length=40)
    occurred_at = models.DateTimeField()
    recorded_at = models.DateTimeField()
    by = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL)
    by_name = models.CharField(max_length=160)
    schema_version = models.PositiveSmallIntegerField()
    data = models.JSONField()

    class Meta:
        indexes = [models.Index(fields=["service", "occurred_at"])]

    def __str__(self) -> str:
        return f"{self.occurred_at:%H:%M} {self.kind}"
