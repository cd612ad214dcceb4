"""Services in the owner's housekeeping; the log is for reading only."""

from django.contrib import admin

from apps.services.models import Service

admin.site.register(Service)
