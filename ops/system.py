"""Debian packages: installed only when a program of theirs is missing."""

from __future__ import annotations

import os
import shutil
from pathlib import Path

from steps import SetupError, run, step


def as_root() -> list[str]:
    """Prefix for commands that need root. Raises SetupError when there is no way to become it."""
    if os.geteuid() == 0:
        return []
    if shutil.which("sudo"):
        return ["sudo", "-n"] if not os.isatty(0) else ["sudo"]
    raise SetupError(
        "Debian packages are missing and this user may not install them: run once as root, or install sudo."
    )


def install(packages: list[str], why: str) -> None:
    """Install Debian packages by name."""
    root = as_root()
    env = [*root, "env", "DEBIAN_FRONTEND=noninteractive"]
    with step(f"Installing Debian's {' '.join(packages)} ({why})"):
        run([*root, "apt-get", "update", "-qq"], fails="Debian's package lists could not be read")
        run(
            [*env, "apt-get", "install", "-y", "-qq", "--no-install-recommends", *packages],
            fails=f"{' '.join(packages)} could not be installed",
        )


def postgres_bin() -> Path | None:
    """Folder of the newest PostgreSQL's programs, or None."""
    found = [p for p in Path("/usr/lib/postgresql").glob("*/bin") if (p / "initdb").exists()]
    return max(found, key=lambda p: float(p.parent.name)) if found else None


def ensure_postgres() -> Path:
    """PostgreSQL from Debian's packages, without a cluster of Debian's own."""
    found = postgres_bin()
    if found is None:
        config = Path("/etc/postgresql-common/createcluster.d/no-main.conf")
        if not config.exists():
            root = as_root()
            run([*root, "mkdir", "-p", str(config.parent)], fails="PostgreSQL could not be prepared")
            run(
                [*root, "tee", str(config)],
                stdin="create_main_cluster = false\n",
                fails="PostgreSQL could not be prepared",
            )
        install(["postgresql"], "database")
        found = postgres_bin()
    if found is None:
        raise SetupError("PostgreSQL is still missing after installing Debian's package postgresql.")
    return found


PAPER_PACKAGES = {
    "fonts-dejavu-core": "/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf",
    "libpango-1.0-0": "/usr/lib/*/libpango-1.0.so.0",
    "libpangoft2-1.0-0": "/usr/lib/*/libpangoft2-1.0.so.0",
    "libharfbuzz-subset0": "/usr/lib/*/libharfbuzz-subset.so.0",
}
"""What sets type on paper, letters joined where a script joins them, and DejaVu for most of the world's letters."""


def ensure_paper() -> None:
    """What printed sheets need, from Debian's packages."""
    missing = [package for package, file in PAPER_PACKAGES.items() if not any(Path("/").glob(file.removeprefix("/")))]
    if missing:
        install(missing, "printed sheets")


def ensure_proxies() -> None:
    """The two proxies whose sample settings are tried, from Debian's packages, and what checks units."""
    missing = [
        package
        for program, package in (("nginx", "nginx-light"), ("caddy", "caddy"), ("systemd-analyze", "systemd"))
        if not (shutil.which(program) or Path(f"/usr/sbin/{program}").exists())
    ]
    if missing:
        install(missing, "trying the files in deploy/")


def ensure_chromium() -> None:
    """Chromium from Debian's packages, for the browser tests."""
    if not Path("/usr/bin/chromium-headless-shell").exists():
        install(["chromium-headless-shell", "fonts-dejavu-core"], "browser tests")
