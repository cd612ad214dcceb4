"""Mail to members: by the server named in the environment; without one it stands in the server's own output."""

from __future__ import annotations

import logging
import smtplib

from django.conf import settings
from django.core.mail import send_mail

from apps.common.words import in_words, speaking
from fervens_core.base import Message

log = logging.getLogger("fervens")


def address_of(path: str) -> str:
    """The whole address of a path of the page, from settings: never from what a request says of its host."""
    return f"{settings.PUBLIC_ADDRESS}{path}"


def send(to: str, title: Message, text: Message, language: str = "") -> bool:
    """Send a mail in a language, the request's if it is none; False when the mail server did not take it."""
    with speaking(language):
        subject, body = in_words(title), in_words(text)
    try:
        return send_mail(subject, body, None, [to]) > 0
    except (OSError, smtplib.SMTPException) as error:
        log.error("Mail was not taken: %s", type(error).__name__)
        return False
