"""The log's lines: for people on a terminal, or as JSON for programs (FERVENS_LOG=json)."""

from __future__ import annotations

import logging
import time
import traceback
from typing import Any

import structlog
from django.core.mail import mail_admins
from structlog.typing import EventDict, WrappedLogger

from apps.common.watching import request_id


def with_request(logger: WrappedLogger, name: str, event: EventDict) -> EventDict:
    """The id of the request a line is about, where it is about one."""
    if "id" not in event and request_id.get():
        event["id"] = request_id.get()
    return event


_BEFORE = (
    structlog.stdlib.add_log_level,
    structlog.stdlib.add_logger_name,
    with_request,
    structlog.processors.TimeStamper(fmt="iso", utc=True),
    structlog.processors.StackInfoRenderer(),
    structlog.processors.format_exc_info,
)


def settings_of(kind: str) -> dict[str, Any]:
    """Django's LOGGING: `json` has every request's line, anything else warnings and errors only."""
    is_json = kind == "json"
    structlog.configure(
        processors=[
            structlog.stdlib.filter_by_level, *_BEFORE, structlog.stdlib.ProcessorFormatter.wrap_for_formatter,
        ],
        logger_factory=structlog.stdlib.LoggerFactory(),
        cache_logger_on_first_use=False,
    )  # fmt: skip
    last = structlog.processors.JSONRenderer() if is_json else structlog.dev.ConsoleRenderer(colors=False)
    return {
        "version": 1,
        "disable_existing_loggers": False,
        "formatters": {
            "lines": {
                "()": structlog.stdlib.ProcessorFormatter,
                "processors": [structlog.stdlib.ProcessorFormatter.remove_processors_meta, last],
                "foreign_pre_chain": list(_BEFORE),
            }
        },
        "handlers": {
            "console": {"class": "logging.StreamHandler", "formatter": "lines"},
            "mail": {"class": "apps.common.logs.ErrorMail", "level": "ERROR"},
        },
        "root": {"handlers": ["console", "mail"], "level": "INFO" if is_json else "WARNING"},
        "loggers": {
            "axes": {"level": "ERROR"},
            "django.request": {"level": "ERROR"},
            "fervens.request": {"level": "INFO" if is_json else "WARNING"},
            "uvicorn.access": {"level": "WARNING"},
        },
    }


class ErrorMail(logging.Handler):
    """Errors by mail to FERVENS_ERROR_MAIL: where in the code, never with what data; a kind once in ten minutes."""

    EVERY_S = 600.0

    def __init__(self) -> None:
        super().__init__()
        self._sent: dict[str, float] = {}

    def emit(self, record: logging.LogRecord) -> None:
        """Send one error."""
        from django.conf import settings

        if not settings.ADMINS or record.name == "django.security.DisallowedHost":
            return
        error = record.exc_info[1] if record.exc_info else None
        place = traceback.extract_tb(error.__traceback__) if error else traceback.StackSummary()
        kind = f"{record.name} {type(error).__name__ if error else record.msg} {place[-1:] and place[-1].lineno}"
        if time.monotonic() - self._sent.get(kind, -self.EVERY_S) < self.EVERY_S:
            return
        self._sent[kind] = time.monotonic()
        where = "".join(traceback.format_list(place))
        name = type(error).__name__ if error else record.levelname
        try:
            mail_admins(name, f"{record.name}\nrequest {request_id.get()}\n{name}\n{where}")
        except Exception:
            self.handleError(record)
