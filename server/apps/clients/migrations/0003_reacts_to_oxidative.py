"""A reaction to oxidative colour is a fact of its own; a false that nobody had said becomes not asked."""

from django.db import migrations, models


def unsaid(apps, schema_editor):
    apps.get_model("clients", "Client").objects.filter(reacts_to_oxidative=False).update(reacts_to_oxidative=None)


def said(apps, schema_editor):
    apps.get_model("clients", "Client").objects.filter(reacts_to_oxidative=None).update(reacts_to_oxidative=False)


class Migration(migrations.Migration):
    dependencies = [("clients", "0002_after_the_service")]

    operations = [
        migrations.RenameField("client", "has_reacted_before", "reacts_to_oxidative"),
        migrations.AlterField(
            "client",
            "reacts_to_oxidative",
            models.BooleanField(blank=True, help_text="Nothing when it was not asked.", null=True),
        ),
        migrations.RunPython(unsaid, said),
    ]
