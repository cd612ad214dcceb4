"""What was done stands as a code; its words are the catalogues'."""

from django.db import migrations
from django.db.models import F, Value
from django.db.models.functions import Lower, Replace


def coded(apps, schema_editor):
    lines = apps.get_model("studio", "AuditEntry").objects.filter(act=Lower(F("act")))
    lines.update(act=Replace("act", Value(" "), Value("_")))


def worded(apps, schema_editor):
    lines = apps.get_model("studio", "AuditEntry").objects.filter(act=Lower(F("act")))
    lines.update(act=Replace("act", Value("_"), Value(" ")))


class Migration(migrations.Migration):
    dependencies = [("studio", "0004_studio_is_demo")]

    operations = [migrations.RunPython(coded, worded)]
