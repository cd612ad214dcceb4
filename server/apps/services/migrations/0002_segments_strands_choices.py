"""Zones keep what was read as the service file has it; strands, plan choices and kept plans are new."""

from __future__ import annotations

from django.db import migrations, models

OLD_ZONE = (
    "name",
    "start_level",
    "target_level",
    "history",
    "thickness",
    "porosity",
    "covering",
    "foil_count",
    "pace_min_per_foil",
    "is_delicate",
    "is_on_scalp",
)


def carry_over(apps, schema_editor):
    """Old columns into the new values."""
    Zone, Service = apps.get_model("services", "Zone"), apps.get_model("services", "Service")
    for zone in Zone.objects.all():
        zone.data = {"key": zone.key} | {f: getattr(zone, f) for f in OLD_ZONE}
        zone.save(update_fields=["data"])
    for service in Service.objects.all():
        own = {z.key: z.volume_override for z in service.zones.all() if z.volume_override is not None}
        service.choice = {
            "finish_mins": [] if service.finish_min is None else [service.finish_min],
            "volumes": own,
            "has_additive": service.has_additive,
        }
        service.save(update_fields=["choice"])


class Migration(migrations.Migration):
    dependencies = [("services", "0001_initial")]

    operations = [
        migrations.AddField("service", "facts", models.JSONField(default=dict, help_text="What else was found out, as the service file has it.")),
        migrations.AddField("service", "strands", models.JSONField(default=list, help_text="Strand tests, as the service file has them, with their times.")),
        migrations.AddField("service", "choice", models.JSONField(default=dict, help_text="What was chosen for the plan, as the service file has it.")),
        migrations.AddField("service", "toner_idea", models.CharField(blank=True, max_length=60)),
        migrations.AddField("zone", "data", models.JSONField(default=dict)),
        migrations.RunPython(carry_over, migrations.RunPython.noop),
        *[migrations.RemoveField("zone", f) for f in (*OLD_ZONE, "volume_override")],
        migrations.RemoveField("service", "finish_min"),
        migrations.RemoveField("service", "has_additive"),
        migrations.CreateModel(
            name="PlanVersion",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("number", models.PositiveSmallIntegerField()),
                ("kept_at", models.DateTimeField()),
                ("by_name", models.CharField(max_length=160)),
                ("label", models.CharField(blank=True, max_length=80)),
                ("choice", models.JSONField()),
                ("summary", models.JSONField()),
                ("service", models.ForeignKey(on_delete=models.deletion.CASCADE, related_name="versions", to="services.service")),
            ],
            options={
                "ordering": ["number"],
                "constraints": [models.UniqueConstraint(fields=["service", "number"], name="version_number_once")],
            },
        ),
    ]
