"""Clients in the owner's housekeeping."""

from django.contrib import admin

from apps.clients.models import Client
from apps.studio.scoped_admin import ScopedAdmin

admin.site.register(Client, ScopedAdmin)
