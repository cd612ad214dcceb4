"""A version kept because it was taken to the chair says so by a flag, a service that came from the last by a code."""

from django.db import migrations, models

TAKEN = "taken to the chair"


def coded(apps, schema_editor):
    versions = apps.get_model("services", "PlanVersion")
    versions.objects.filter(label=TAKEN).update(label="", is_taken=True)
    apps.get_model("services", "Service").objects.filter(source="last time").update(source="last_time")


def worded(apps, schema_editor):
    versions = apps.get_model("services", "PlanVersion")
    versions.objects.filter(is_taken=True).update(label=TAKEN)
    apps.get_model("services", "Service").objects.filter(source="last_time").update(source="last time")


class Migration(migrations.Migration):
    dependencies = [("services", "0006_scalp_unsaid")]

    operations = [
        migrations.AddField(
            model_name="planversion",
            name="is_taken",
            field=models.BooleanField(default=False, help_text="Kept because it was taken to the chair."),
        ),
        migrations.RunPython(coded, worded),
    ]
