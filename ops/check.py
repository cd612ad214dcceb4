"""bin/test: sets up and runs every check and test, or the parts asked for."""

from __future__ import annotations

import argparse
import os
import re
import subprocess
import tempfile
import threading
import time
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

from cluster import Cluster
from exercise import exercise
from project import PYTHON, VENV, WEB, ensure_page, ensure_python, ensure_web, python_env
from steps import LOCAL, ROOT, SetupError, main, step
from system import ensure_chromium, ensure_paper, ensure_postgres

PARTS = ("static", "core", "server", "web", "e2e", "deploy")


_printing = threading.Lock()


ALONE_MOST = 2
"""So many browser tests that failed beside others are tried once more by themselves, and told in any case."""


def _ran(title: str, command: list[str], *, env: dict[str, str], cwd: Path = ROOT) -> tuple[bool, str]:
    """Run a check and print its output when it ends, whole; whether it passed, and the output."""
    began = time.monotonic()
    done = subprocess.run(
        command, cwd=cwd, env=env, stdin=subprocess.DEVNULL, stdout=subprocess.PIPE, stderr=subprocess.STDOUT,
        text=True, check=False,
    )  # fmt: skip
    with _printing:
        print(f"\n== {title}\n{done.stdout.rstrip()}")
        print(f"-- {title}: {'ok' if done.returncode == 0 else 'FAILED'}, {time.monotonic() - began:.1f} s", flush=True)
    return done.returncode == 0, done.stdout


def _show(title: str, command: list[str], *, env: dict[str, str], cwd: Path = ROOT) -> None:
    """The same; raises SetupError when it fails."""
    if not _ran(title, command, env=env, cwd=cwd)[0]:
        raise SetupError(f"{title} failed.")


def _browser_tests(pytest: list[str], hands: list[str], env: dict[str, str]) -> list[str]:
    """The browser tests. A slow machine can make one of them lose a race that is the test's own: so one or two that
    fail are tried once more by themselves. What passes only then is no failure, but never silent.

    Returns:
        Those that passed only by themselves.
    Raises:
        SetupError: more failed, or one failed again.
    """
    title = "End-to-end tests"
    is_ok, said = _ran(title, [*pytest, *hands, "tests/e2e", "--durations=8"], env=env)
    failed = re.findall(r"^(?:FAILED|ERROR) (tests/\S+?::.+?)(?: - .*)?$", said, re.MULTILINE)
    if is_ok:
        return []
    if not 0 < len(failed) <= ALONE_MOST or not _ran(f"{title}, by themselves", [*pytest, *failed], env=env)[0]:
        raise SetupError(f"{title} failed.")
    return failed


def _both(*works: Callable[[], None]) -> None:
    """Run two rows of checks side by side, one on each core; both end before the first failure is raised."""
    with ThreadPoolExecutor(max_workers=len(works)) as pool:
        running = [pool.submit(work) for work in works]
    for row in running:
        row.result()


def _each(*works: Callable[[], None]) -> None:
    """Run checks one after another; a failure hides no later one, and all are told. Raises SetupError."""
    failed: list[str] = []
    for work in works:
        try:
            work()
        except SetupError as error:
            failed.append(str(error))
    if failed:
        raise SetupError(" ".join(failed))


def _tool(name: str) -> str:
    return str(VENV / "bin" / name)


def _schema_drift(env: dict[str, str], node: dict[str, str]) -> None:
    kept, typed = ROOT / "docs" / "format" / "openapi.json", WEB / "src" / "api" / "schema.d.ts"
    with tempfile.TemporaryDirectory() as folder:
        fresh, fresh_types = Path(folder) / "openapi.json", Path(folder) / "schema.d.ts"
        export = [str(PYTHON), "server/manage.py", "export_openapi_schema", "--api", "config.api.api"]
        subprocess.run([*export, "--indent", "1", "--output", str(fresh)], cwd=ROOT, env=env, check=True)
        subprocess.run(
            ["npx", "--no-install", "openapi-typescript", str(fresh), "-o", str(fresh_types)],
            cwd=WEB, env=node, check=True, capture_output=True,
        )  # fmt: skip
        subprocess.run([str(PYTHON), "ops/file_schema.py", folder], cwd=ROOT, env=env, check=True)
        for name in ("service-file.schema.json", "answers.schema.json", "round-file.schema.json"):
            if (Path(folder) / name).read_text() != (ROOT / "docs" / "format" / name).read_text():
                raise SetupError(f"{name} has drifted: run bin/schema and commit what it writes.")
        if fresh.read_text().strip() != kept.read_text().strip() or fresh_types.read_text() != typed.read_text():
            raise SetupError("The API schema has drifted: run bin/schema and commit what it writes.")
    with _printing:
        print("-- API schema and its types are the code's own: ok", flush=True)


def _static(node: dict[str, str]) -> None:
    env = python_env()
    _show("Format (Python)", [_tool("ruff"), "format", "--check", "."], env=env)
    _show("Lint (Python)", [_tool("ruff"), "check", "."], env=env)
    _show("Types (core, command line, server)", [_tool("mypy"), "core/src", "vision/src", "cli", "server"], env=env)
    _show("Import direction (Python)", [_tool("lint-imports"), "--no-cache"], env=env)
    migrations = ["server/manage.py", "makemigrations", "--check", "--dry-run"]
    _show("Migrations match the models", [str(PYTHON), "-W", "ignore", *migrations], env=env)
    _schema_drift(env, node)
    _show("Format (page)", ["npm", "run", "-s", "format"], env=node, cwd=WEB)
    _show("Lint and import direction (page)", ["npm", "run", "-s", "lint"], env=node, cwd=WEB)
    _show("Types (page)", ["npm", "run", "-s", "types"], env=node, cwd=WEB)


def check() -> None:
    """Run the parts in order; whatever fails, the other tests are run too."""
    parser = argparse.ArgumentParser(prog="bin/test", description="Run all checks and tests, or some parts.")
    parser.add_argument("parts", nargs="*", help=f"of {', '.join(PARTS)}; all when none is given")
    parser.add_argument("-k", default=None, help="only tests whose names match")
    args = parser.parse_args()
    unknown = [p for p in args.parts if p not in PARTS]
    if unknown:
        raise SetupError(f"parts: must be of {', '.join(PARTS)}, got {unknown[0]!r}.")
    parts = args.parts or list(PARTS)
    began = time.monotonic()
    LOCAL.mkdir(exist_ok=True)
    ensure_python()
    node = ensure_web() if {"static", "web", "e2e"} & set(parts) else dict(os.environ)
    cluster = (
        Cluster(ensure_postgres(), LOCAL / "pg-test", is_for_tests=True) if {"server", "e2e"} & set(parts) else None
    )
    if {"server", "e2e"} & set(parts):
        ensure_paper()
        ensure_page()  # printed sheets are set in its type
    if "e2e" in parts:
        ensure_chromium()
    set_up = time.monotonic() - began
    hands = ["-n", str(min(os.cpu_count() or 1, 4)), "--dist", "worksteal"]
    pytest = [str(PYTHON), "-m", "pytest", *(["-k", args.k] if args.k else [])]
    only_alone: list[str] = []

    def page_and_rules() -> None:
        if "static" in parts:
            _static(node)
        if "web" in parts:
            _show("Page unit tests", ["npm", "run", "-s", "test"], env=node, cwd=WEB)
        if "deploy" in parts:
            exercise()

    def core_tests() -> None:
        command = [*pytest, *hands, "core/tests", "vision/tests", "-p", "no:django"]
        _show("Core and vision tests", command, env=python_env())

    def python_tests() -> None:
        env = python_env(DATABASE_URL=cluster.url) if cluster else {}
        server = [*pytest, *hands, "tests/server", "tests/ops"]
        works: dict[str, Callable[[], None]] = {
            "core": core_tests,
            "server": lambda: _show("Server and script tests", server, env=env),
            "e2e": lambda: only_alone.extend(_browser_tests(pytest, hands, env)),
        }
        _each(*(work for part, work in works.items() if part in parts))

    try:
        if cluster:
            with step("Starting a database for the tests"):
                cluster.create()
                cluster.start()
        _both(page_and_rules, python_tests)
    finally:
        if cluster:
            cluster.stop()
    for test in only_alone:
        print(f"\nTo be mended: {test} failed beside others, and passed by itself.")
    print(f"\nAll of {', '.join(parts)} passed in {time.monotonic() - began - set_up:.0f} s (set-up {set_up:.0f} s).")


if __name__ == "__main__":
    main(check)
