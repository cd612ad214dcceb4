"""The owner's housekeeping."""

from django.contrib import admin

from apps.studio.models import AuditEntry, Membership, Studio

admin.site.register(Studio)
admin.site.register(Membership)


@admin.register(AuditEntry)
class AuditEntryAdmin(admin.ModelAdmin):  # type: ignore[type-arg]
    """The trail, for reading only."""

    list_display = ("at", "member_name", "act", "target")

    def has_add_permission(self, request: object) -> bool:
        """Nobody writes the trail by hand."""
        return False

    has_change_permission = has_delete_permission = lambda self, request, obj=None: False
