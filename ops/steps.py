"""Steps of a set-up: each says what it does and how long it took; a failure is one clear line."""

from __future__ import annotations

import subprocess
import sys
import time
from collections.abc import Iterator, Mapping, Sequence
from contextlib import contextmanager
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
LOCAL = ROOT / ".local"
LOGS = LOCAL / "logs"


class SetupError(Exception):
    """What went wrong, in one line that says what to do."""


@contextmanager
def step(text: str) -> Iterator[None]:
    """Say what is being done, and how long it took."""
    print(f"  {text} ...", end="", flush=True)
    began = time.monotonic()
    try:
        yield
    except BaseException:
        print(" failed", flush=True)
        raise
    print(f" {time.monotonic() - began:.1f} s", flush=True)


def run(
    command: Sequence[str],
    *,
    fails: str,
    cwd: Path = ROOT,
    env: Mapping[str, str] | None = None,
    stdin: str | None = None,
) -> str:
    """Run a command quietly, its output kept in .local/logs; raises SetupError with `fails` and the last line."""
    LOGS.mkdir(parents=True, exist_ok=True)
    log = LOGS / f"{Path(command[0]).name}.log"
    try:
        done = subprocess.run(
            command, cwd=cwd, env=env, input=stdin, stdin=None if stdin is not None else subprocess.DEVNULL,
            capture_output=True, text=True, check=False,
        )  # fmt: skip
    except OSError as error:
        raise SetupError(f"{fails} ({error.strerror}: {command[0]})") from None
    log.write_text(f"$ {' '.join(command)}\n{done.stdout}\n{done.stderr}\n", encoding="utf-8")
    if done.returncode != 0:
        said = [x for x in (done.stderr.strip() or done.stdout).splitlines() if x.strip()]
        last = said[-1].strip()[:200] if said else f"exit code {done.returncode}"
        raise SetupError(f"{fails} ({last}; more in {log})")
    return done.stdout


def main(work: object) -> None:
    """Run a script's work; SetupError becomes one line and exit code 1."""
    try:
        work()  # type: ignore[operator]
    except SetupError as error:
        print(str(error), file=sys.stderr)
        sys.exit(1)
    except KeyboardInterrupt:
        print("\nStopped.", file=sys.stderr)
        sys.exit(130)
