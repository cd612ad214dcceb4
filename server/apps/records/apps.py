"""The records app."""

from django.apps import AppConfig


class RecordsConfig(AppConfig):
    """Names the app."""

    name = "apps.records"
