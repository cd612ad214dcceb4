"""bin/start: install, start the database, migrate, load the demo once, build, serve. Ctrl-C stops it all."""

from __future__ import annotations

import argparse
import ipaddress
import os
import secrets
import shutil
import signal
import socket
import subprocess
import time

from cluster import Cluster, free_port
from project import PYTHON, ensure_page, ensure_python, python_env
from steps import LOCAL, ROOT, SetupError, main, run, step
from system import ensure_paper, ensure_postgres

PORT = 8733
DEMO_USER, DEMO_PASSWORD = "maren", "prompt-corner-7"
PRODUCTION = ("DATABASE_URL", "FERVENS_SECRET_KEY", "FERVENS_ALLOWED_HOSTS")
"""What has to be set before anyone beyond this machine is served."""
SIMULATED_READER = "simulated"
RESTARTS_A_MINUTE = 5


def _arguments() -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="bin/start", description="Run Fervens with its demo data.")
    parser.add_argument("--port", type=int, default=PORT, help=f"port to serve on (default {PORT})")
    parser.add_argument("--host", default="127.0.0.1", help="address to serve on (default loopback)")
    parser.add_argument("--workers", type=int, default=1, help="server processes on the one database")
    parser.add_argument(
        "--empty", action="store_true", help="a studio of your own, without the demo; kept apart from it"
    )
    parser.add_argument("--fresh", action="store_true", help="throw the data away and start over with the demo")
    args = parser.parse_args()
    if not 1 <= args.port <= 65535:
        raise SetupError(f"--port: must be from 1 to 65535, got {args.port}.")
    if not 1 <= args.workers <= 64:
        raise SetupError(f"--workers: must be from 1 to 64, got {args.workers}.")
    missing = [name for name in PRODUCTION if not os.environ.get(name)]
    if not _is_loopback(args.host) and missing:
        raise SetupError(
            f"--host: {args.host} is beyond this machine, and {', '.join(missing)} not set: the demo is served on "
            "loopback only. Set production's environment (README, Run it for a studio), or leave --host out."
        )
    return args


def _is_loopback(host: str) -> bool:
    try:
        return ipaddress.ip_address(host).is_loopback
    except ValueError:
        return host == "localhost"


def check_port(host: str, port: int) -> None:
    """Raise SetupError when a port is taken."""
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((host, port))
        except OSError as error:
            raise SetupError(
                f"Port {port} on {host} cannot be used ({error.strerror}): stop what runs there, or take --port N."
            ) from None


def secret_key() -> str:
    """The key of this checkout's own sessions, made once."""
    path = LOCAL / "secret-key"
    if not path.exists():
        path.touch(mode=0o600)
        path.write_text(secrets.token_urlsafe(50))
    return path.read_text()


def _serve(
    command: list[str], env: dict[str, str], cluster: Cluster | None, address: tuple[str, int], said: str
) -> int:
    def begun() -> subprocess.Popen[bytes]:
        return subprocess.Popen(command, cwd=ROOT, env=env, start_new_session=True)

    server, fallen = begun(), []
    stop = {"asked": False}

    def ask(*_: object) -> None:
        stop["asked"] = True

    signal.signal(signal.SIGINT, ask)
    signal.signal(signal.SIGTERM, ask)
    host, port = address
    is_up = False
    checked = time.monotonic()
    try:
        while not stop["asked"]:
            time.sleep(0.1)
            if server.poll() is not None:
                fallen = [at for at in fallen if time.monotonic() - at < 60.0] + [time.monotonic()]
                if not is_up or len(fallen) > RESTARTS_A_MINUTE:
                    print(f"The server has stopped by itself (exit code {server.returncode}).", flush=True)
                    return 1
                print(
                    f"The server has stopped by itself (exit code {server.returncode}); starting it again.", flush=True
                )
                server = begun()
            if not is_up:
                with socket.socket() as probe:
                    is_up = probe.connect_ex((host, port)) == 0
                if is_up:
                    print(f"\n  Fervens is at http://{host}:{port}")
                    if said:
                        print(f"  {said}")
                    print(f"  (Ctrl-C stops {'server and database' if cluster else 'the server'})\n", flush=True)
            if cluster and time.monotonic() - checked > 3:
                checked = time.monotonic()
                if not cluster.is_running():
                    print(f"The database has stopped by itself (log: {cluster.log}); starting it again.", flush=True)
                    cluster.start(port=cluster.port)
        return 0
    finally:
        if server.poll() is None:
            server.terminate()
            try:
                server.wait(timeout=12)
            except subprocess.TimeoutExpired:
                server.kill()


def start() -> None:
    """Everything from an empty machine to a served page."""
    args = _arguments()
    check_port(args.host, args.port)
    LOCAL.mkdir(exist_ok=True)
    print("Fervens")
    own_url = os.environ.get("DATABASE_URL")
    cluster = None if own_url else Cluster(ensure_postgres(), LOCAL / ("pg-own" if args.empty else "pg"))
    is_demo = cluster is not None and not args.empty
    ensure_python()
    ensure_paper()
    ensure_page()
    if cluster:
        if args.fresh and cluster.folder.exists():
            with step("Throwing the old data away"):
                cluster.stop()
                shutil.rmtree(cluster.folder)
        with step("Starting the database"):
            cluster.create()
            cluster.start()
    reader = None
    try:
        secret = os.environ.get("FERVENS_SECRET_KEY") or secret_key()
        env = python_env(DATABASE_URL=own_url or (cluster.url if cluster else ""), FERVENS_SECRET_KEY=secret)
        # the demo has a simulated reader; elsewhere one is started only when it is asked for by that name
        asked = os.environ.get("FERVENS_READER", SIMULATED_READER if is_demo else "")
        if asked == SIMULATED_READER:
            port = free_port()
            reader = subprocess.Popen(
                [str(PYTHON), "-m", "fervens_cli", "reader", "--port", str(port)],
                cwd=ROOT, env=env, stdout=subprocess.DEVNULL, start_new_session=True,
            )  # fmt: skip
            env["FERVENS_READER"] = f"127.0.0.1:{port}"
        # so with the camera
        env["FERVENS_CAMERA"] = os.environ.get("FERVENS_CAMERA", SIMULATED_READER if is_demo else "")
        manage = [str(PYTHON), str(ROOT / "server" / "manage.py")]
        if is_demo:
            with step("Bringing the tables up to date, loading the demo once"):
                demo = [*manage, "load_demo", "--migrate", "--username", DEMO_USER, "--password", DEMO_PASSWORD]
                run(demo, env=env, fails="The tables or the demo data could not be prepared")
        else:
            with step("Bringing the tables up to date"):
                run([*manage, "migrate", "--noinput"], env=env, fails="The tables could not be brought up to date")
        command = [
            str(PYTHON), "-m", "config.serve", "--host", args.host, "--port", str(args.port),
            "--workers", str(args.workers),
        ]  # fmt: skip
        if args.workers > 1:
            env.setdefault("PROMETHEUS_MULTIPROC_DIR", str(LOCAL / "metrics"))
        base = f"http://{args.host}:{args.port}"
        first = subprocess.run(
            [*manage, "begin_address", "--base", base], cwd=ROOT, env=env, capture_output=True, text=True, check=False
        ).stdout.strip()
        said = f"Make your studio here, once: {first}" if first else ""
        if is_demo:
            said = f"Demo sign-in: {DEMO_USER} / {DEMO_PASSWORD}"
        code = _serve(command, env | {"FERVENS_SERVING": "1"}, cluster, (args.host, args.port), said)
    finally:
        if reader:
            reader.terminate()
        if cluster:
            cluster.stop()
    print("Server and database are stopped.")
    raise SystemExit(code)


if __name__ == "__main__":
    main(start)
