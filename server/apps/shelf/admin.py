"""The shelf in the owner's housekeeping."""

from django.contrib import admin

from apps.shelf.models import Developer, Lightener, Toner
from apps.studio.scoped_admin import ScopedAdmin

admin.site.register([Developer, Lightener, Toner], ScopedAdmin)
