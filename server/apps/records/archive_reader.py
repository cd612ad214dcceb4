"""An archive's entries and rows, looked over before anything of them is believed: docs/format/archive.md."""

from __future__ import annotations

import datetime as dt
import json
import math
import zipfile
from collections.abc import Iterator
from typing import IO, Any

from django.core.exceptions import ValidationError
from django.db import models

from apps.common.moments import EARLIEST, LATEST, moment
from apps.common.plain import unfit
from apps.records.archive import NAMES, PARTS_OF_SERVICE, SKIPPED, TRAIL, fields_of
from fervens_core.base import CoreError, LimitError, say

FILE_MAX = 500_000_000
WHOLE_MAX = 4_000_000_000
ENTRY_MAX = 1_500_000_000
PHOTO_MAX = 3_000_000
LINE_MAX = 64_000_000
RATIO_MAX = 250
SLACK = 1_000_000
ENTRIES_MAX = 200_000


def _no_number(text: str) -> Any:
    raise LimitError("archive", say("limit-finite_only"), text)


def _float(text: str) -> float:
    value = float(text)
    return value if math.isfinite(value) else _no_number(text[:40])


def as_json(data: bytes, where: str) -> Any:
    """The value of an entry or a line, of plain texts and finite numbers. Raises LimitError, CoreError."""
    try:
        found = json.loads(data.decode("utf-8"), parse_constant=_no_number, parse_float=_float)
    except UnicodeDecodeError as error:
        raise LimitError(where, say("limit-utf8"), error.start) from error
    except (ValueError, RecursionError) as error:
        if isinstance(error, CoreError):
            raise
        raise CoreError("bad_archive.json", where=where, why=str(error)[:80]) from error
    for place, limit, shown in unfit(found, where.removesuffix(".json")):
        raise LimitError(place[:160], limit, shown)
    return found


class Reader:
    """A zip that was looked over before anything of it is unpacked."""

    def __init__(self, upload: IO[bytes], size: int) -> None:
        if not 0 < size <= FILE_MAX:
            raise LimitError("archive", say("limit-file_of_bytes", most=FILE_MAX), size)
        try:
            self.file = zipfile.ZipFile(upload)
        except (zipfile.BadZipFile, OSError, ValueError, NotImplementedError) as error:
            raise CoreError("bad_archive") from error
        entries = self.file.infolist()
        if len(entries) > ENTRIES_MAX:
            raise LimitError("archive", say("limit-most_entries", most=ENTRIES_MAX), len(entries))
        names = [e.filename for e in entries]
        if len(set(names)) != len(names):
            raise LimitError("archive", say("limit-entry_once"), len(entries))
        for e in entries:
            is_photo = e.filename.startswith("photos/") and e.filename.endswith(".jpg") and e.filename.count("/") == 1
            if e.filename not in (*NAMES, TRAIL) and not is_photo:
                raise LimitError("archive", say("limit-archive_entries", names=tuple(NAMES)), e.filename[:80])
            if e.flag_bits & 1:
                raise LimitError("archive", say("limit-not_encrypted"), e.filename[:80])
            most = PHOTO_MAX if is_photo else ENTRY_MAX
            if e.file_size > most or e.file_size > SLACK + RATIO_MAX * max(e.compress_size, 1):
                raise LimitError(
                    f"archive, {e.filename[:80]}", say("limit-packed", most=most, ratio=RATIO_MAX), e.file_size
                )
        if (total := sum(e.file_size for e in entries)) > WHOLE_MAX:
            raise LimitError("archive", say("limit-unpacked", most=WHOLE_MAX), total)
        missing = [n for n in NAMES if n not in names]
        if missing:
            raise LimitError("archive", say("limit-with", names=tuple(NAMES)), [n for n in NAMES if n in names])

    def read(self, name: str, most: int = ENTRY_MAX) -> bytes:
        """One entry, never more than its limit whatever it says of itself."""
        try:
            with self.file.open(name) as entry:
                data = entry.read(most + 1)
        except (KeyError, zipfile.BadZipFile, OSError, ValueError, EOFError, NotImplementedError) as error:
            raise CoreError("bad_archive.unreadable", name=name) from error
        if len(data) > most:
            raise LimitError(f"archive, {name}", say("limit-most_bytes", most=most), most + 1)
        return data

    def lines(self, name: str) -> Iterator[tuple[int, bytes]]:
        """The lines of an entry, one after another."""
        try:
            with self.file.open(name) as entry:
                number = 0
                while line := entry.readline(LINE_MAX + 1):
                    number += 1
                    if len(line) > LINE_MAX:
                        raise LimitError(f"{name}, line {number}", say("limit-most_bytes", most=LINE_MAX), LINE_MAX + 1)
                    yield number, line
        except (zipfile.BadZipFile, EOFError, OSError) as error:
            raise CoreError("bad_archive.unreadable", name=name) from error


def as_object(value: Any, where: str) -> dict[str, Any]:
    if not isinstance(value, dict):
        raise LimitError(where, say("limit-object"), type(value).__name__)
    return value


def as_list(value: Any, where: str, most: int) -> list[Any]:
    if not isinstance(value, list) or len(value) > most:
        raise LimitError(where, say("limit-at_most_so_many", most=most), type(value).__name__)
    return value


def any_json(f: models.Field[Any, Any], raw: Any, where: str) -> Any:
    """A JSON value of the kind its field holds: a list, an object, or nothing where that may be."""
    usual = f.get_default()
    wanted = list if isinstance(usual, list) else dict
    if isinstance(raw, wanted) or (raw is None and f.null):
        return raw
    raise LimitError(where, say("limit-list") if wanted is list else say("limit-object"), str(raw)[:40])


def made(kind: type[models.Model], value: Any, where: str, **own: Any) -> Any:
    """A row of plain values, each checked by its field; unknown fields are refused."""
    values = dict(as_object(value, where))
    row = kind(**own)
    for f in fields_of(kind):
        if f.name in own or (f.primary_key and f.name not in values):
            continue
        if f.name not in values:
            if f.has_default():
                continue  # younger than the archive
            raise LimitError(f"{where}.{f.name}", say("limit-given"), None)
        raw = values.pop(f.name)
        if isinstance(f, models.JSONField):
            setattr(row, f.attname, any_json(f, raw, f"{where}.{f.name}"))
            continue
        try:
            clean = f.clean(raw, row) if raw is not None or not f.null else None
        except (TypeError, ValueError, ArithmeticError, AttributeError) as error:
            raise LimitError(f"{where}.{f.name}", say("limit-as_kept"), str(raw)[:60]) from error
        except ValidationError as error:
            raise LimitError(
                f"{where}.{f.name}", say("limit-field_of_model", why=error.messages[0][:120]), str(raw)[:60]
            ) from error
        if isinstance(clean, dt.datetime):
            clean = moment(f"{where}.{f.name}", clean)
        elif isinstance(clean, dt.date) and not EARLIEST.date() <= clean <= LATEST.date():
            years = say("limit-moment_between", low=str(EARLIEST.year), high=str(LATEST.year))
            raise LimitError(f"{where}.{f.name}", years, clean.isoformat())
        if isinstance(clean, float) and not math.isfinite(clean):
            raise LimitError(f"{where}.{f.name}", say("limit-finite"), str(raw)[:40])
        if isinstance(clean, str) and "\x00" in clean:
            raise LimitError(f"{where}.{f.name}", say("limit-no_control"), repr(raw)[:60])
        setattr(row, f.attname, clean)
    left = [k for k in values if k not in SKIPPED and k not in PARTS_OF_SERVICE]
    if left:
        raise LimitError(f"{where}.{left[0][:40]}", say("limit-known_field"), str(values[left[0]])[:40])
    return row
