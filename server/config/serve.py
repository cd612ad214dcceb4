"""The server process: uvicorn, with what it does not do by itself: slow headers are timed out.

Run: python -m config.serve [--host H] [--port P] [--workers N]; without arguments from FERVENS_BIND, FERVENS_PORT and
FERVENS_WORKERS.
"""

from __future__ import annotations

import argparse
import asyncio
import os
from pathlib import Path

import uvicorn
from uvicorn.protocols.http.h11_impl import H11Protocol

HEADERS_S = 10.0
"""A request's headers have to be there so soon after its first byte, or after the connection was made."""
GRACE_S = 10
KEEP_ALIVE_S = 20


class TimedProtocol(H11Protocol):
    """Ends connections on which headers come too slowly, or not at all."""

    _headers_due: asyncio.TimerHandle | None = None

    def connection_made(self, transport: asyncio.Transport) -> None:  # type: ignore[override]
        """The clock of the first request runs."""
        super().connection_made(transport)
        self._start_clock()

    def data_received(self, data: bytes) -> None:
        """The clock of a further request starts with its first byte."""
        if self.cycle is None or self.cycle.response_complete:
            self._start_clock()
        super().data_received(data)
        if self.cycle is not None and not self.cycle.response_complete:
            self._stop_clock()

    def connection_lost(self, exc: Exception | None) -> None:
        """Nothing more comes."""
        self._stop_clock()
        super().connection_lost(exc)

    def _start_clock(self) -> None:
        if self._headers_due is None:
            self._headers_due = self.loop.call_later(HEADERS_S, self._too_slow)

    def _stop_clock(self) -> None:
        if self._headers_due is not None:
            self._headers_due.cancel()
            self._headers_due = None

    def _too_slow(self) -> None:
        self._headers_due = None
        if (self.cycle is None or self.cycle.response_complete) and not self.transport.is_closing():
            self.transport.close()


def _arguments() -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="config.serve")
    parser.add_argument("--host", default=os.environ.get("FERVENS_BIND", "127.0.0.1"))
    parser.add_argument("--port", type=int, default=int(os.environ.get("FERVENS_PORT", "8000")))
    parser.add_argument("--workers", type=int, default=int(os.environ.get("FERVENS_WORKERS", "1")))
    return parser.parse_args()


def main() -> None:
    """Serve until asked to stop."""
    args = _arguments()
    os.environ["FERVENS_SERVING"] = "1"
    if args.workers > 1 and (folder := os.environ.get("PROMETHEUS_MULTIPROC_DIR")):
        Path(folder).mkdir(parents=True, exist_ok=True)
        for left in Path(folder).glob("*.db"):  # numbers of processes that are gone
            left.unlink()
    uvicorn.run(
        "config.asgi:application",
        host=args.host,
        port=args.port,
        workers=args.workers,
        http=TimedProtocol,
        proxy_headers=False,
        server_header=False,
        access_log=False,
        log_level="warning",
        lifespan="off",
        timeout_graceful_shutdown=GRACE_S,
        timeout_keep_alive=KEEP_ALIVE_S,
    )


if __name__ == "__main__":
    main()
