"""Whether product touches the scalp: a false that nobody had said becomes not said."""

from django.db import migrations


def unsaid(apps, schema_editor):
    for zone in apps.get_model("services", "Zone").objects.filter(data__is_on_scalp=False):
        zone.data["is_on_scalp"] = None
        zone.save(update_fields=["data"])


def said(apps, schema_editor):
    for zone in apps.get_model("services", "Zone").objects.filter(data__is_on_scalp=None):
        zone.data["is_on_scalp"] = False
        zone.save(update_fields=["data"])


class Migration(migrations.Migration):
    dependencies = [("services", "0005_reminded_at")]

    operations = [migrations.RunPython(unsaid, said)]
