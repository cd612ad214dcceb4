from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("studio", "0003_after_the_service")]

    operations = [
        migrations.AddField(
            "studio",
            "is_demo",
            models.BooleanField(default=False, help_text="Its members sign in from this machine only."),
        ),
    ]
