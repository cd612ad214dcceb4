"""What a bottle of developer is for; weak ones are for toning."""

from django.db import migrations, models

TONER_STRENGTH = 9.0


def by_strength(apps, schema_editor):
    apps.get_model("shelf", "Developer").objects.filter(volume_strength__lt=TONER_STRENGTH).update(use="toning")


class Migration(migrations.Migration):
    dependencies = [("shelf", "0005_wash_without_developer")]

    operations = [
        migrations.AddField(
            "developer",
            "use",
            models.CharField(
                choices=[("lightening", "Lightening"), ("toning", "Toning"), ("both", "Both")],
                default="both",
                help_text="One for toning lifts nothing but old dye.",
                max_length=12,
            ),
        ),
        migrations.RunPython(by_strength, migrations.RunPython.noop),
    ]
