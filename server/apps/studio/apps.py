"""The studio app."""

from django.apps import AppConfig


class StudioConfig(AppConfig):
    """Names the app."""

    name = "apps.studio"
