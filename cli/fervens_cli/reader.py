"""`bin/fervens reader`: a simulated colour reader on a loopback port. docs/format/reader.md."""

from __future__ import annotations

import socketserver

import numpy as np

from fervens_core.formats import LINE_MAX, SimulatedReader


class _Line(socketserver.StreamRequestHandler):
    timeout = 60

    def handle(self) -> None:
        """Answer lines until the other side hangs up or says nothing for a minute."""
        reader = SimulatedReader(np.random.default_rng())
        try:
            while line := self.rfile.readline(LINE_MAX):
                self.wfile.write(f"{reader.answer(line.decode('ascii', 'replace'))}\n".encode("ascii", "replace"))
        except (TimeoutError, ConnectionError):
            return


class ReaderServer(socketserver.ThreadingTCPServer):
    """A simulated reader for any number of askers, each with hair of its own under it."""

    allow_reuse_address = True
    daemon_threads = True

    def __init__(self, port: int) -> None:
        """Bind to a loopback port; 0 takes a free one."""
        super().__init__(("127.0.0.1", port), _Line)


def serve(port: int) -> None:
    """Answer until interrupted."""
    with ReaderServer(port) as server:
        print(f"Simulated colour reader at 127.0.0.1:{server.server_address[1]}", flush=True)
        try:
            server.serve_forever()
        except KeyboardInterrupt:
            return
