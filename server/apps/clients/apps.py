"""The clients app."""

from django.apps import AppConfig


class ClientsConfig(AppConfig):
    """Names the app."""

    name = "apps.clients"
