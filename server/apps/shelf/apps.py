"""The shelf app."""

from django.apps import AppConfig


class ShelfConfig(AppConfig):
    """Names the app."""

    name = "apps.shelf"
