"""The services app."""

from django.apps import AppConfig


class ServicesConfig(AppConfig):
    """Names the app."""

    name = "apps.services"
