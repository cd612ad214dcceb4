"""What is learnt of a lightener: how fast beside how far, and by kind of hair."""

from django.db import migrations, models


def keep_what_was_before(apps, schema_editor):
    """A factor that was carried in before can be taken back still."""
    for row in apps.get_model("shelf", "Lightener").objects.filter(lift_factor_before__isnull=False):
        row.learnt_before = {"lift_factor": row.lift_factor_before, "rate_factor": 1.0, "learnt": []}
        row.save(update_fields=["learnt_before"])


def as_it_was(apps, schema_editor):
    for row in apps.get_model("shelf", "Lightener").objects.filter(learnt_before__isnull=False):
        row.lift_factor_before = row.learnt_before["lift_factor"]
        row.save(update_fields=["lift_factor_before"])


class Migration(migrations.Migration):
    dependencies = [("shelf", "0007_lightener_counts_from_end")]

    operations = [
        migrations.AddField(
            model_name="lightener",
            name="learnt",
            field=models.JSONField(blank=True, default=list, help_text="Kinds of hair it lifts otherwise."),
        ),
        migrations.AddField(
            model_name="lightener",
            name="learnt_before",
            field=models.JSONField(
                blank=True, help_text="What was so before learning was carried in.", null=True
            ),
        ),
        migrations.AddField(model_name="lightener", name="rate_factor", field=models.FloatField(default=1.0)),
        migrations.RunPython(keep_what_was_before, as_it_was),
        # the column stays for servers of the state before, and goes in a later release
        migrations.SeparateDatabaseAndState(
            state_operations=[migrations.RemoveField(model_name="lightener", name="lift_factor_before")]
        ),
    ]
