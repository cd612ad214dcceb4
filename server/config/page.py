"""The built page: one HTML file; its router does the rest."""

from __future__ import annotations

import re
from functools import lru_cache
from pathlib import Path

from django.conf import settings
from django.http import HttpRequest, HttpResponse, HttpResponseBase
from django.views.decorators.cache import never_cache
from django.views.decorators.csrf import ensure_csrf_cookie

from apps.common.middleware import BothWays
from apps.common.words import language


@lru_cache(maxsize=2)
def _build_of(path: Path, changed_ns: int) -> str:
    found = re.search(r'name="fervens-build" content="([^"]*)"', path.read_text(encoding="utf-8"))
    return found[1] if found else ""


def build() -> str:
    """The name of the built page that is served now; empty without one."""
    index = settings.WEB_DIST / "index.html"
    try:
        return _build_of(index, index.stat().st_mtime_ns)
    except OSError:
        return ""


class TellsBuild(BothWays):
    """Middleware: answers of the API say which page belongs to them, so that an old one can tell."""

    def after(self, request: HttpRequest, answer: HttpResponseBase) -> HttpResponseBase:
        """Tell it."""
        if request.path_info.startswith("/api/"):
            answer["X-Fervens-Build"] = build()
        return answer


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
    """Serve the page in the language that is asked for, and set the CSRF cookie it needs."""
    index = settings.WEB_DIST / "index.html"
    try:
        text = index.read_text(encoding="utf-8").replace('<html lang="en">', f'<html lang="{language()}">', 1)
        return HttpResponse(text, content_type="text/html; charset=utf-8")
    except FileNotFoundError:
        return HttpResponse("The page is not built yet: run bin/start.", status=503, content_type="text/plain")
