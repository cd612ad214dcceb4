"""The session's cookie is taken away by signing out only."""

from __future__ import annotations

from django.conf import settings
from django.contrib.sessions.middleware import SessionMiddleware
from django.http import HttpRequest, HttpResponseBase


class OwnSessionMiddleware(SessionMiddleware):
    """Django's, but that an answer to a question with an old cookie takes no new one away.

    A password that is changed gives this device another session. A question that was on its way with the old one finds
    nothing, and Django would delete the cookie in its answer: the new one, and the member would be signed out.
    """

    def process_response(self, request: HttpRequest, response: HttpResponseBase) -> HttpResponseBase:  # type: ignore[override]
        """The answer, with the session's cookie as it should be then."""
        found: HttpResponseBase = super().process_response(request, response)  # type: ignore[arg-type]
        cookie = found.cookies.get(settings.SESSION_COOKIE_NAME)
        if cookie is not None and cookie["max-age"] == 0 and request.method != "DELETE":
            del found.cookies[settings.SESSION_COOKIE_NAME]
        return found
