"""Clients in the owner's housekeeping."""

from django.contrib import admin

from apps.clients.models import Client

admin.site.register(Client)
