"""Services in the owner's housekeeping."""

from django.contrib import admin

from apps.services.models import Service
from apps.studio.scoped_admin import ScopedAdmin

admin.site.register(Service, ScopedAdmin)
