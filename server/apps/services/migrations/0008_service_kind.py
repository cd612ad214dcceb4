"""What a service does: those there were all lighten."""

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("services", "0007_taken_versions")]

    operations = [
        migrations.AddField(
            model_name="service",
            name="kind",
            field=models.CharField(default="lighten_and_tone", help_text="What it does.", max_length=20),
        ),
    ]
