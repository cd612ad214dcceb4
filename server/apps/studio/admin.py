"""The owner's housekeeping."""

from typing import Any

from django.contrib import admin
from django.http import HttpRequest

from apps.studio.models import AuditEntry, Membership, Studio
from apps.studio.scoped_admin import ScopedAdmin


@admin.register(Studio)
class StudioAdmin(ScopedAdmin):
    """The studio itself."""

    studio_field = "pk"


@admin.register(Membership)
class MembershipAdmin(ScopedAdmin):
    """Its members and their roles."""

    list_display = ("user", "studio", "role")


@admin.register(AuditEntry)
class AuditEntryAdmin(ScopedAdmin):
    """The trail, for reading only."""

    list_display = ("at", "member_name", "act", "target")

    def has_add_permission(self, request: HttpRequest) -> bool:
        """Nobody writes the trail by hand."""
        return False

    def has_change_permission(self, request: HttpRequest, obj: Any = None) -> bool:
        """Nor changes it."""
        return False

    def has_delete_permission(self, request: HttpRequest, obj: Any = None) -> bool:
        """Nor takes anything out."""
        return False
