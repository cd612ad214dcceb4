"""The built page: one HTML file; its router does the rest."""

from __future__ import annotations

from django.conf import settings
from django.http import HttpRequest, HttpResponse
from django.views.decorators.cache import never_cache
from django.views.decorators.csrf import ensure_csrf_cookie


@never_cache
def service_worker(request: HttpRequest) -> HttpResponse:
    """The service worker, from the root, so that it may serve the whole page."""
    try:
        return HttpResponse((settings.WEB_DIST / "sw.js").read_bytes(), content_type="text/javascript; charset=utf-8")
    except FileNotFoundError:
        return HttpResponse("The page is not built yet: run bin/start.", status=503, content_type="text/plain")


@never_cache
@ensure_csrf_cookie
def page(request: HttpRequest) -> HttpResponse:
    """Serve the page and set the CSRF cookie it needs."""
    index = settings.WEB_DIST / "index.html"
    try:
        return HttpResponse(index.read_bytes(), content_type="text/html; charset=utf-8")
    except FileNotFoundError:
        return HttpResponse("The page is not built yet: run bin/start.", status=503, content_type="text/plain")
