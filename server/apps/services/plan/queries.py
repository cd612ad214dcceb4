"""Kept plans."""

from __future__ import annotations

from uuid import UUID

from django.shortcuts import get_object_or_404

from apps.services.loading import openable
from apps.services.models import PlanVersion
from apps.studio.models import Membership

VERSIONS_MAX = 50


def versions(member: Membership, service_id: UUID) -> list[PlanVersion]:
    """The kept plans of a service, newest first. 404 for another studio's."""
    row = get_object_or_404(openable(member), pk=service_id)
    return list(row.versions.order_by("-number")[:VERSIONS_MAX])
