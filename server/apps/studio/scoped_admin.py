"""Housekeeping within one studio: staff who are not superusers see and change only their own studio's rows."""

from __future__ import annotations

from typing import Any

from django.contrib import admin
from django.db.models import QuerySet
from django.http import HttpRequest

from apps.studio.models import Membership


def own_studio_id(request: HttpRequest) -> Any:
    """The studio of the signed-in user, or None."""
    return Membership.objects.filter(user_id=request.user.pk or 0).values_list("studio_id", flat=True).first()


class ScopedAdmin(admin.ModelAdmin):  # type: ignore[type-arg]
    """Base for models with a `studio`."""

    studio_field = "studio"

    def get_queryset(self, request: HttpRequest) -> QuerySet[Any]:
        """Only the own studio's rows."""
        rows: QuerySet[Any] = super().get_queryset(request)
        if getattr(request.user, "is_superuser", False):
            return rows
        return rows.filter(**{self.studio_field: own_studio_id(request)})

    def formfield_for_foreignkey(self, db_field: Any, request: HttpRequest, **kwargs: Any) -> Any:
        """Offer only the own studio's rows to link to."""
        if not getattr(request.user, "is_superuser", False):
            model = db_field.related_model
            own = own_studio_id(request)
            if db_field.name == "studio":
                kwargs["queryset"] = model.objects.filter(pk=own)
            elif any(f.name == "studio" for f in model._meta.get_fields()):
                kwargs["queryset"] = model.objects.filter(studio=own)
        return super().formfield_for_foreignkey(db_field, request, **kwargs)
