"""bin/manage: Django's own commands on the private database, which is started for the command if it is not running."""

from __future__ import annotations

import os
import subprocess
import sys

from cluster import Cluster
from project import PYTHON, ensure_python, python_env
from start import secret_key
from steps import LOCAL, ROOT, main
from system import ensure_postgres


def manage() -> None:
    """Run one of Django's commands; DATABASE_URL names another database."""
    ensure_python()
    own = os.environ.get("DATABASE_URL")
    cluster = None if own else Cluster(ensure_postgres(), LOCAL / "pg")
    was_running = bool(cluster and cluster.is_running())
    if cluster:
        cluster.create()
        if was_running:
            cluster.find_port()
        else:
            cluster.start()
    env = python_env(FERVENS_SECRET_KEY=os.environ.get("FERVENS_SECRET_KEY") or secret_key())
    env["DATABASE_URL"] = own or (cluster.url if cluster else "")
    try:
        done = subprocess.run([str(PYTHON), str(ROOT / "server" / "manage.py"), *sys.argv[1:]], env=env, check=False)
    finally:
        if cluster and not was_running:
            cluster.stop()
    raise SystemExit(done.returncode)


if __name__ == "__main__":
    main(manage)
