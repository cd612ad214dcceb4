"""The people whose hair it is."""

from __future__ import annotations

import uuid
from typing import Any, ClassVar

from django.contrib.postgres.indexes import GinIndex, OpClass
from django.db import models
from django.db.models.functions import Upper

from apps.studio.models import Studio


class People(models.Manager["Client"]):
    """Clients as every list has them: heads to practise on are none."""

    def get_queryset(self) -> models.QuerySet[Client]:
        """Without heads to practise on."""
        return super().get_queryset().filter(is_practice=False)


class Client(models.Model):
    """A client of one studio, with the health facts that change the work."""

    PERSONAL: ClassVar[dict[str, Any]] = {
        "name": "Erased client",
        "birth_date": None,
        "notes": "",
        "reacts_to_oxidative": None,
        "patch_test_placed_at": None,
        "patch_test_result": "not_done",
        "language": "",
    }
    """What tells of the client, and what it becomes when they are erased."""
    IMPERSONAL: ClassVar[set[str]] = set()

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE, related_name="clients")
    name = models.CharField(max_length=80)
    birth_date = models.DateField(null=True, blank=True)
    notes = models.TextField(blank=True, max_length=2000)
    reacts_to_oxidative = models.BooleanField(null=True, blank=True, help_text="Nothing when it was not asked.")
    patch_test_placed_at = models.DateTimeField(null=True, blank=True)
    patch_test_result = models.CharField(max_length=20, default="not_done")
    growth_mm_per_month = models.FloatField(null=True, blank=True, help_text="Own growth; none is the studio's.")
    language = models.CharField(
        max_length=5, default="", db_default="", blank=True, help_text="Of what they take home; none is the studio's."
    )
    is_hair_piece = models.BooleanField(default=False, help_text="A piece or wig: no person, no scalp.")
    is_practice = models.BooleanField(default=False, db_default=False, help_text="A head to practise on.")
    erased_at = models.DateTimeField(null=True, blank=True)
    created_at = models.DateTimeField(auto_now_add=True)

    objects = People()
    everyone = models.Manager()

    class Meta:
        base_manager_name = "everyone"
        indexes = [
            models.Index(fields=["studio", "name"]),
            GinIndex(OpClass(Upper("name"), name="gin_trgm_ops"), name="client_name_trigrams"),
        ]

    def __str__(self) -> str:
        return self.name
