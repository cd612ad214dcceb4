"""The API: routers of the apps, and one place where errors become problem+json."""

from __future__ import annotations

import json
import logging
from collections.abc import Sequence
from typing import Any

from django.conf import settings
from django.core.exceptions import PermissionDenied, RequestDataTooBig
from django.db import DataError, OperationalError
from django.http import Http404, HttpRequest, HttpResponse
from ninja import NinjaAPI
from ninja.errors import AuthenticationError, HttpError, ValidationError, ValidationErrorContext
from ninja.renderers import JSONRenderer

from apps.clients.api import router as clients_router
from apps.common.heavy import BusyError
from apps.common.problems import HIDDEN, NotAllowed, problem
from apps.common.words import WordsEncoder, language
from apps.records.api import router as records_router
from apps.records.studio_api import router as whole_router
from apps.records.trail_api import router as trail_router
from apps.services.camera_api import router as camera_router
from apps.services.chair.api import router as chair_router
from apps.services.consultation.api import router as consultation_router
from apps.services.day.api import router as day_router
from apps.services.exchange.api import router as exchange_router
from apps.services.plan.api import router as plan_router
from apps.services.practice.api import router as practice_router
from apps.services.tone.api import router as tone_router
from apps.services.visits.api import router as visits_router
from apps.shelf.api import router as shelf_router
from apps.studio.account_api import router as account_router
from apps.studio.api import router as studio_router
from apps.studio.auth import member_auth
from apps.studio.begin_api import router as begin_router
from apps.studio.people_api import router as people_router
from apps.studio.throttle import TooBusyError
from fervens_core.base import BlockedError, ConflictError, CoreError, LimitError, Message, limit_error, say
from fervens_core.log import KINDS
from fervens_words import words

log = logging.getLogger("fervens")


class Api(NinjaAPI):
    """The API; a complaint about a body keeps the core's own error, with its field, limit and value."""

    def validation_error_from_error_contexts(
        self, error_contexts: list[ValidationErrorContext[Any]]
    ) -> ValidationError:
        """All complaints, the core's own errors among them as they are."""
        found = super().validation_error_from_error_contexts(error_contexts)
        raised = [e for c in error_contexts for e in c.pydantic_validation_error.errors(include_url=False)]
        for told, known in zip(found.errors, raised, strict=True):
            told["ctx"] = known.get("ctx", {})
        return found


class Renderer(JSONRenderer):
    """Answers as JSON, messages told."""

    encoder_class = WordsEncoder


api = Api(title="Fervens", version="1", auth=member_auth, docs_url=None, openapi_url=None, renderer=Renderer())
api.add_router("", studio_router)
api.add_router("", begin_router)
api.add_router("", account_router)
api.add_router("", clients_router)
api.add_router("", shelf_router)
api.add_router("", exchange_router)
api.add_router("", day_router)
api.add_router("", consultation_router)
api.add_router("", plan_router)
api.add_router("", chair_router)
api.add_router("", practice_router)
api.add_router("", camera_router)
api.add_router("", tone_router)
api.add_router("", records_router)
api.add_router("", visits_router)
api.add_router("", people_router)
api.add_router("", whole_router)
api.add_router("", trail_router)


READABLE = 1e9
"""A greater number is told as it was sent."""


def _measured(error: LimitError) -> dict[str, Message | str]:
    """A weight or length out of its limits in the units its reader types; a file's in those of files, g and mm."""
    unit = dict(error.limit.items).get("unit")
    value = error.value
    if unit not in ("g", "mm") or not isinstance(value, int | float) or not abs(value) < READABLE:
        return {}
    if " " in error.field or ".json" in error.field:
        return {"limit": words(error.limit, language())}
    return {"value": say(f"got-{unit}", value=float(value))}


def _told(error: CoreError) -> HttpResponse:
    if isinstance(error, LimitError):
        value = error.value if isinstance(error.value, str | int | float | bool) else repr(error.value)[:200]
        detail = error.message
        if detail.code == "error-value_out_of_limit":  # a person reads it: the field by its name, not by its key
            code = "error-secret_out_of_limit" if value == HIDDEN else "error-field_out_of_limit"
            detail = say(code, **dict(detail.items) | _measured(error))
        return problem(422, error.code, detail, field=error.field, limit=error.limit, value=value)
    status = 409 if isinstance(error, ConflictError | BlockedError) else 422
    return problem(status, error.code, error.message)


@api.exception_handler(CoreError)
def _core(request: HttpRequest, error: CoreError) -> HttpResponse:
    return _told(error)


def _sent_value(request: HttpRequest, loc: Sequence[str | int]) -> str | int | float | bool | None:
    """The value a validation error is about, dug out of the request by its path."""
    place: Any = request.GET.dict()
    path = [p for p in loc if p not in ("body", "query", "payload")]
    if "body" in loc:
        try:
            place = json.loads(request.body)
        except ValueError:
            return None
    for part in path:
        try:
            place = place[part]
        except (KeyError, IndexError, TypeError):
            return None
    return place if isinstance(place, str | int | float | bool | None) else repr(place)[:100]


@api.exception_handler(ValidationError)
def _validation(request: HttpRequest, error: ValidationError) -> HttpResponse:
    first: dict[str, Any] = error.errors[0] if error.errors else {}
    if "path" in first.get("loc", []):
        return problem(404, "not_found")
    sent = first.get("loc", ())
    place = tuple(p for p in sent if p not in ("body", "payload", "query", "path"))
    if place[:1] and place[0] in KINDS:  # the tag of a union is no place in the body
        sent, place = tuple(p for p in sent if p != place[0]), place[1:]
    return _told(limit_error({**first, "loc": place or ("body",), "input": _sent_value(request, sent)}))


@api.exception_handler(TooBusyError)
def _hashing(request: HttpRequest, error: TooBusyError) -> HttpResponse:
    return problem(429, "sign_in_busy")


@api.exception_handler(BusyError)
def _busy(request: HttpRequest, error: BusyError) -> HttpResponse:
    answer = problem(503, "busy")
    answer["Retry-After"] = "5"
    return answer


@api.exception_handler(OperationalError)
def _no_database(request: HttpRequest, error: OperationalError) -> HttpResponse:
    log.error("The database does not answer: %s", str(error).splitlines()[0])
    return problem(503, "no_database")


@api.exception_handler(DataError)
def _unkept(request: HttpRequest, error: DataError) -> HttpResponse:
    log.error("A value the database cannot hold: %s", str(error).splitlines()[0])
    return problem(422, "value_out_of_limit", say("error-not_kept_at_all"), field="body")


@api.exception_handler(RequestDataTooBig)
def _too_large(request: HttpRequest, error: RequestDataTooBig) -> HttpResponse:
    most = settings.DATA_UPLOAD_MAX_MEMORY_SIZE
    detail = say("error-too_large", most=most, value=request.headers.get("Content-Length", ">"))
    return problem(413, "too_large", detail, field="body", limit=say("limit-most_bytes", most=most))


@api.exception_handler(Http404)
def _missing(request: HttpRequest, error: Http404) -> HttpResponse:
    return problem(404, "not_found")


@api.exception_handler(AuthenticationError)
def _signed_out(request: HttpRequest, error: AuthenticationError) -> HttpResponse:
    return problem(401, "signed_out")


@api.exception_handler(PermissionDenied)
def _forbidden(request: HttpRequest, error: PermissionDenied) -> HttpResponse:
    return problem(403, "not_allowed", error.message if isinstance(error, NotAllowed) else None)


@api.exception_handler(HttpError)
def _http(request: HttpRequest, error: HttpError) -> HttpResponse:
    return problem(error.status_code, "refused")
