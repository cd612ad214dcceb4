"""The built page: one HTML file; its router does the rest."""

from __future__ import annotations

import json
import re
from collections.abc import Iterator
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


_STEP = re.compile(r"services/[^/]+/(consultation|strands|plan|chair|review|tone|record)/?$")


def _parts_of(path: str, spoken: str) -> tuple[str, ...]:
    """Which parts of the page an address will ask for, by their sources: they need not wait for one another."""
    step = _STEP.match(path)
    views = ("Service", step[1].capitalize()) if step else ("Day",) if not path else ()
    return (
        *_faces_of(spoken),
        f"src/languages/{spoken}.json",
        "src/app.ts",
        *(f"src/views/{view}.vue" for view in views),
    )


_FACES = "node_modules/@fontsource-variable/"
_LATIN = f"{_FACES}archivo/files/archivo-latin-wdth-normal.woff2"
_ARROWS = f"{_FACES}noto-sans-arabic/files/noto-sans-arabic-math-wght-normal.woff2"
_ARABIC = f"{_FACES}noto-sans-arabic/files/noto-sans-arabic-arabic-wght-normal.woff2"


def _faces_of(spoken: str) -> tuple[str, ...]:
    """The letters a reader will need: asked for only once there is text, they would draw every page twice."""
    return (_LATIN, _ARROWS, _ARABIC) if spoken == "ar" else (_LATIN, _ARROWS)


@lru_cache(maxsize=64)
def _hints_of(manifest: Path, changed_ns: int, parts: tuple[str, ...]) -> str:
    chunks = json.loads(manifest.read_text(encoding="utf-8"))
    seen: dict[str, None] = {}

    def walk(name: str) -> Iterator[str]:
        if name in seen or name not in chunks:
            return
        seen[name] = None
        if name.endswith(".woff2"):
            href = f"{settings.STATIC_URL}{chunks[name]['file']}"
            yield f'<link rel="preload" as="font" type="font/woff2" crossorigin href="{href}">'
            return
        yield from (
            f'<link rel="stylesheet" crossorigin href="{settings.STATIC_URL}{x}">' for x in chunks[name].get("css", ())
        )
        yield f'<link rel="modulepreload" crossorigin href="{settings.STATIC_URL}{chunks[name]["file"]}">'
        for other in chunks[name].get("imports", ()):
            yield from walk(other)

    return "".join(link for part in parts for link in walk(part))


def hints(path: str, spoken: str) -> str:
    """Links that bring what an address needs at once, from the build's manifest; none without one."""
    manifest = settings.WEB_DIST / ".vite" / "manifest.json"
    try:
        return _hints_of(manifest, manifest.stat().st_mtime_ns, _parts_of(path, spoken))
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
        text = text.replace("</head>", hints(request.path_info.strip("/"), language()) + "</head>", 1)
        return HttpResponse(text, content_type="text/html; charset=utf-8")
    except FileNotFoundError:
        return HttpResponse("The page is not built yet: run bin/start.", status=503, content_type="text/plain")
