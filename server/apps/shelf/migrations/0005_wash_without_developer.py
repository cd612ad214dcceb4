"""A pigment wash has no developer: it never goes on with peroxide."""

from django.db import migrations, models


def without(apps, schema_editor):
    apps.get_model("shelf", "Toner").objects.filter(is_oxidative=False).update(
        developer_parts=None, developer_volume=None
    )


def with_again(apps, schema_editor):
    apps.get_model("shelf", "Toner").objects.filter(is_oxidative=False).update(
        developer_parts=1.0, developer_volume=5.0
    )


class Migration(migrations.Migration):
    dependencies = [("shelf", "0004_after_the_service")]

    operations = [
        migrations.AlterField(
            "toner",
            "developer_parts",
            models.FloatField(blank=True, help_text="Nothing for a pigment wash.", null=True),
        ),
        migrations.AlterField(
            "toner",
            "developer_volume",
            models.FloatField(blank=True, help_text="Nothing for a pigment wash.", null=True),
        ),
        migrations.RunPython(without, with_again),
    ]
