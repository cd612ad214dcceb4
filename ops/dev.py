"""bin/dev: the demo with everything reloading: Django by uvicorn, the page by Vite, one address. Ctrl-C stops all."""

from __future__ import annotations

import argparse
import os
import signal
import subprocess
import time
from collections.abc import Iterator
from contextlib import contextmanager

from cluster import Cluster, free_port
from project import PYTHON, WEB, ensure_python, ensure_web, python_env
from start import DEMO_PASSWORD, DEMO_USER, PORT, check_port, secret_key
from steps import LOCAL, ROOT, SetupError, main, run, step
from system import ensure_postgres


@contextmanager
def running(command: list[str], **more: object) -> Iterator[subprocess.Popen[bytes]]:
    """A program with all it starts, ended when the block is left."""
    program = subprocess.Popen(command, start_new_session=True, **more)  # type: ignore[call-overload]
    try:
        yield program
    finally:
        if program.poll() is None:
            os.killpg(program.pid, signal.SIGTERM)
            try:
                program.wait(timeout=6)
            except subprocess.TimeoutExpired:
                os.killpg(program.pid, signal.SIGKILL)


def dev() -> None:
    """Serve the demo for working on it."""
    parser = argparse.ArgumentParser(prog="bin/dev", description="Run Fervens so that every change shows at once.")
    parser.add_argument("--port", type=int, default=PORT, help=f"the one address to open (default {PORT})")
    args = parser.parse_args()
    if not 1 <= args.port <= 65535:
        raise SetupError(f"--port: must be from 1 to 65535, got {args.port}.")
    check_port("127.0.0.1", args.port)
    LOCAL.mkdir(exist_ok=True)
    print("Fervens, for working on it")
    cluster = Cluster(ensure_postgres(), LOCAL / "pg")
    ensure_python()
    node = ensure_web()
    with step("Starting the database"):
        cluster.create()
        cluster.start()
    behind = free_port()
    env = python_env(
        DATABASE_URL=cluster.url, FERVENS_SECRET_KEY=secret_key(), FERVENS_READER="", FERVENS_CAMERA="simulated"
    )
    stopped = {"asked": False}
    signal.signal(signal.SIGINT, lambda *_: stopped.update(asked=True))
    signal.signal(signal.SIGTERM, lambda *_: stopped.update(asked=True))
    try:
        with step("Bringing the tables up to date, loading the demo once"):
            demo = ["load_demo", "--migrate", "--username", DEMO_USER, "--password", DEMO_PASSWORD]
            manage = [str(PYTHON), str(ROOT / "server" / "manage.py")]
            run([*manage, *demo], env=env, fails="The demo could not be prepared")
        server = [
            str(PYTHON), "-m", "uvicorn", "config.asgi:application", "--port", str(behind), "--reload",
            "--reload-dir", "server", "--reload-dir", "core/src", "--reload-dir", "vision/src", "--lifespan", "off",
            "--log-level", "warning",
            "--timeout-graceful-shutdown", "1",
        ]  # fmt: skip
        page = ["npx", "--no-install", "vite", "--host", "127.0.0.1", "--port", str(args.port), "--strictPort"]
        node |= {"FERVENS_BEHIND": f"http://127.0.0.1:{behind}"}
        with running(server, cwd=ROOT, env=env) as django, running(page, cwd=WEB, env=node) as vite:
            print(
                f"\n  http://127.0.0.1:{args.port}   {DEMO_USER} / {DEMO_PASSWORD}   (Ctrl-C stops all)\n", flush=True
            )
            while not stopped["asked"] and django.poll() is None and vite.poll() is None:
                time.sleep(0.2)
            if not stopped["asked"]:
                raise SetupError("Vite or the server has stopped by itself; its last words stand above.")
    finally:
        cluster.stop()
    print("All is stopped.")


if __name__ == "__main__":
    main(dev)
