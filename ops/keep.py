"""bin/backup and bin/restore: of DATABASE_URL's database, or of this checkout's own cluster."""

from __future__ import annotations

import os
import subprocess
import sys

from cluster import Cluster
from steps import LOCAL, ROOT, SetupError, main
from system import postgres_bin


def keep() -> None:
    """Hand the arguments to deploy/backup.py, with the database to work on; `--own` is that of bin/start --empty."""
    arguments = [a for a in sys.argv[1:] if a != "--own"]
    env = dict(os.environ)
    cluster = None
    if not env.get("DATABASE_URL"):
        programs = postgres_bin()
        folder = LOCAL / ("pg-own" if "--own" in sys.argv else "pg")
        if programs is None or not (folder / "PG_VERSION").exists():
            raise SetupError(f"There is no database in {folder}: start the app once, or set DATABASE_URL.")
        cluster = Cluster(programs, folder)
        is_running = cluster.is_running()
        if is_running:
            cluster.find_port()
        else:
            cluster.start()
        env["DATABASE_URL"] = cluster.url
    try:
        done = subprocess.run([sys.executable, str(ROOT / "deploy/backup.py"), *arguments], env=env, check=False)
    finally:
        if cluster and not is_running:
            cluster.stop()
    raise SystemExit(done.returncode)


if __name__ == "__main__":
    main(keep)
