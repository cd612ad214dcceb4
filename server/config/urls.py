"""Addresses: the API, the owner's housekeeping, and the page for everything else."""

from django.contrib import admin
from django.http import HttpRequest, HttpResponse
from django.urls import path, re_path

from apps.common.problems import problem
from apps.services.chair.stream import stream
from config import health
from config.api import api
from config.page import page, service_worker

admin.site.site_header = "Fervens housekeeping"
admin.site.site_title = "Fervens"


def unknown(request: HttpRequest) -> HttpResponse:
    """An address of the API that there is not."""
    return problem(404, "not_found")


urlpatterns = [
    path("api/stream", stream, name="stream"),
    path("api/", api.urls),
    re_path(r"^api/", unknown),
    path("admin/", admin.site.urls),
    path("healthz", health.process, name="healthz"),
    path("readyz", health.ready, name="readyz"),
    path("metrics", health.metrics, name="metrics"),
    path("sw.js", service_worker, name="service-worker"),
    re_path(r"^(?!api/|admin/|static/|healthz$|readyz$|metrics$).*$", page, name="page"),
]
