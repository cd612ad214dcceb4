"""Addresses: the API, the owner's housekeeping, and the page for everything else."""

from django.contrib import admin
from django.urls import path, re_path

from apps.services.chair.stream import stream
from config import health
from config.api import api
from config.page import page, service_worker

admin.site.site_header = "Fervens housekeeping"
admin.site.site_title = "Fervens"

urlpatterns = [
    path("api/stream", stream, name="stream"),
    path("api/", api.urls),
    path("admin/", admin.site.urls),
    path("healthz", health.process, name="healthz"),
    path("readyz", health.ready, name="readyz"),
    path("sw.js", service_worker, name="service-worker"),
    re_path(r"^(?!api/|admin/|static/|healthz$|readyz$).*$", page, name="page"),
]
