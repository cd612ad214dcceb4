"""Middleware that works alike where a request is answered in a thread and where it is awaited."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from asgiref.sync import iscoroutinefunction, markcoroutinefunction
from django.http import HttpRequest, HttpResponseBase


class BothWays:
    """Does something before a request is passed on, and something with its answer."""

    sync_capable = async_capable = True

    def __init__(self, get_response: Callable[[HttpRequest], Any]) -> None:
        self.get_response = get_response
        if iscoroutinefunction(get_response):
            markcoroutinefunction(self)

    def __call__(self, request: HttpRequest) -> HttpResponseBase | Any:
        """Answer the request, or pass it on."""
        if iscoroutinefunction(self.get_response):
            return self._awaited(request)
        found = self.before(request)
        return found if found is not None else self.after(request, self.get_response(request))

    async def _awaited(self, request: HttpRequest) -> HttpResponseBase:
        found = self.before(request)
        return found if found is not None else self.after(request, await self.get_response(request))

    def before(self, request: HttpRequest) -> HttpResponseBase | None:
        """An answer of its own, or None to pass the request on."""
        return None

    def after(self, request: HttpRequest, answer: HttpResponseBase) -> HttpResponseBase:
        """The answer to a request that was passed on."""
        return answer
