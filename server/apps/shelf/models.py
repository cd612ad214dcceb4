"""What stands on a studio's shelf, each product with its label's limits."""

from __future__ import annotations

import uuid

from django.db import models

from apps.studio.models import Studio


class Product(models.Model):
    """What all products share."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    studio = models.ForeignKey(Studio, on_delete=models.CASCADE)
    name = models.CharField(max_length=80)
    stock_g = models.FloatField(null=True, blank=True, help_text="Grams left; nothing when it is not counted.")
    low_g = models.FloatField(null=True, blank=True, help_text="Below this it is to be ordered.")
    price_per_g = models.FloatField(null=True, blank=True)

    class Meta:
        abstract = True

    def __str__(self) -> str:
        return self.name


class Lightener(Product):
    """A lightener, as its label tells it."""

    developer_parts = models.FloatField(default=1.5)
    label_max_min = models.FloatField(default=50)
    max_volume = models.FloatField(default=40)
    max_volume_on_scalp = models.FloatField(default=20)
    bowl_life_min = models.FloatField(default=20)
    lift_factor = models.FloatField(default=1.0)
    rate_factor = models.FloatField(default=1.0, db_default=1.0)
    learnt = models.JSONField(default=list, db_default=[], blank=True, help_text="Kinds of hair it lifts otherwise.")
    learnt_before = models.JSONField(null=True, blank=True, help_text="What was so before learning was carried in.")
    is_dark = models.BooleanField(default=False)
    is_heat_allowed = models.BooleanField(default=False)
    max_applications = models.PositiveSmallIntegerField(null=True, blank=True)
    counts_from_end = models.BooleanField(default=False, help_text="The label's time counts from the last section on.")


class Developer(Product):
    """A bottle of developer."""

    volume_strength = models.FloatField()
    use = models.CharField(
        max_length=12,
        default="both",
        choices=[("lightening", "Lightening"), ("toning", "Toning"), ("both", "Both")],
        help_text="One for toning lifts nothing but old dye.",
    )


class Toner(Product):
    """A toner shade; `dyes` maps dye family to share."""

    level = models.FloatField()
    dyes = models.JSONField()
    developer_parts = models.FloatField(null=True, blank=True, help_text="Nothing for a pigment wash.")
    developer_volume = models.FloatField(null=True, blank=True, help_text="Nothing for a pigment wash.")
    label_min_min = models.FloatField(default=2)
    label_max_min = models.FloatField(default=20)
    is_oxidative = models.BooleanField(default=True)
    patch_test_wait_h = models.FloatField(default=48)
