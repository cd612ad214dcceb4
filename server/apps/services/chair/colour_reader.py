"""The colour reader beside the chair: a line asked, a line answered, over TCP on the studio's own network."""

from __future__ import annotations

import datetime as dt
import os
import socket
import zlib

from apps.services.loading import Loaded, chair, kept_parts
from fervens_core.base import ConflictError, CoreError
from fervens_core.chair import as_lab, kept_level, simulated_level
from fervens_core.formats import LINE_MAX, PROTOCOL, SIMULATED, Measured, lab_to_line, level_of_lab, line_to_lab

TIMEOUT_S = 3.0


def reader_address() -> tuple[str, int] | None:
    """Where the reader is (FERVENS_READER=host:port), or None when there is none."""
    host, _, port = os.environ.get("FERVENS_READER", "").rpartition(":")
    return (host, int(port)) if host and port.isdigit() else None


def _ask(line: socket.socket, text: str) -> str:
    line.sendall(f"{text}\n".encode("ascii"))
    found = b""
    while not found.endswith(b"\n"):
        part = line.recv(LINE_MAX)
        if not part or len(found) > LINE_MAX:
            raise CoreError("reader_line")
        found += part
    return found.decode("ascii", "replace").strip()


def measure(loaded: Loaded, key: str, now: dt.datetime) -> tuple[Measured, str]:
    """What the reader measures on a lane, its level, and what the reader calls itself.

    The simulated one is given the lane's simulated hair first.

    Raises:
        ConflictError: no reader, or no such lane. CoreError: what it measured is no hair of this lane.
    """
    there = chair(loaded, now)
    if there is None:
        raise ConflictError("no_plan")
    kept = next((z for z in kept_parts(loaded) if z.key == key), None)
    zone = kept or there.zones[there.state.lane(key).key]
    address = reader_address()
    if address is None:
        raise ConflictError("no_reader")
    try:
        with socket.create_connection(address, timeout=TIMEOUT_S) as line:
            name = _ask(line, "ID")
            if not name.startswith(PROTOCOL):
                raise CoreError("reader_line.other", address=f"{address[0]}:{address[1]}")
            instrument = name.removeprefix(PROTOCOL).strip()[:60]
            if instrument == SIMULATED:
                seed = zlib.crc32(f"{loaded.row.pk} {key}".encode())
                lab = as_lab(zone, kept_level(kept, seed) if kept else simulated_level(there, key, seed))
                _ask(line, lab_to_line(lab).replace("LAB", "PLACE"))
            return level_of_lab(zone.hair.colour_start, line_to_lab(_ask(line, "MEASURE"))), instrument
    except OSError:
        raise ConflictError("reader_away") from None
