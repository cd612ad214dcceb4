"""The shelf in the owner's housekeeping."""

from django.contrib import admin

from apps.shelf.models import Developer, Lightener, Toner

admin.site.register([Lightener, Developer, Toner])
