"""The scripts' own Python: one clear line for what goes wrong, and nothing done twice."""

import os
import re
import signal
import socket
import subprocess
import sys
import time
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
sys.path.insert(0, str(ROOT / "ops"))

import check  # noqa: E402
import cluster  # noqa: E402
import project  # noqa: E402
import start  # noqa: E402
import steps  # noqa: E402
import system  # noqa: E402


def script(*arguments, **env):
    return subprocess.run(
        [str(ROOT / "bin" / arguments[0]), *arguments[1:]],
        capture_output=True,
        text=True,
        check=False,
        env={**os.environ, **env},
        timeout=120,
    )


def test_a_port_in_use_gets_one_line():
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        done = script("start", "--port", str(taken.getsockname()[1]))
    assert done.returncode == 1
    assert done.stderr.count("\n") == 1
    assert "in use" in done.stderr
    assert "--port N" in done.stderr


@pytest.mark.parametrize(
    ("arguments", "words"),
    [
        (("start", "--port", "99999"), "--port: must be from 1 to 65535, got 99999"),
        (("start", "--workers", "0"), "--workers: must be from 1 to 64, got 0"),
        (
            ("start", "--host", "0.0.0.0"),
            "FERVENS_SECRET_KEY, FERVENS_ALLOWED_HOSTS not set: the demo is served on loopback only",
        ),
        (("test", "everything"), "parts: must be of static, core"),
        (
            ("bench", "no"),
            "bench: must be one of answers board camera colour_fit fleet lift live load page plan search tone, got no",
        ),
    ],
)
def test_wrong_arguments_get_one_line(arguments, words):
    done = script(*arguments)
    assert done.returncode in (1, 2)
    assert words in done.stderr
    assert done.stderr.count("\n") == 1


def test_the_command_line_runs_from_anywhere():
    done = script("fervens", "curve", "--from", "3", "--volume", "20", "--minutes", "50")
    assert done.returncode == 0
    assert re.search(r"50\s+8\.\d\s+#[0-9a-f]{6}", done.stdout)
    bad = script("fervens", "curve", "--from", "30", "--volume", "20")
    assert (bad.returncode, bad.stderr.count("\n")) == (2, 1)


def test_a_failing_command_is_told_in_one_line_with_its_last_words(tmp_path, monkeypatch):
    monkeypatch.setattr(steps, "LOGS", tmp_path)
    with pytest.raises(steps.SetupError, match=r"It failed \(the last words; more in .*sh.log\)"):
        steps.run(["sh", "-c", "echo first; echo the last words >&2; exit 3"], fails="It failed")
    assert "first" in (tmp_path / "sh.log").read_text()
    with pytest.raises(steps.SetupError, match="No such file"):
        steps.run(["/no/such/program"], fails="It failed")
    assert steps.run(["cat"], fails="no", stdin="told") == "told"


def test_a_set_up_error_ends_with_one_line_and_code_1(capsys):
    def work():
        raise steps.SetupError("The cellar is dark: bring a lamp.")

    with pytest.raises(SystemExit) as caught:
        steps.main(work)
    assert caught.value.code == 1
    assert capsys.readouterr().err == "The cellar is dark: bring a lamp.\n"


def test_steps_say_what_and_how_long(capsys):
    with steps.step("Sweeping"):
        pass
    with pytest.raises(ValueError, match="dust"), steps.step("Dusting"):
        raise ValueError("dust")
    out = capsys.readouterr().out
    assert re.search(r"Sweeping \.\.\. \d+\.\d s\n", out)
    assert "Dusting ... failed" in out


def test_a_digest_changes_with_content_and_name(tmp_path, monkeypatch):
    monkeypatch.setattr(project, "ROOT", tmp_path)
    one, two = tmp_path / "one", tmp_path / "two"
    one.write_text("a")
    first = project.digest([one])
    assert project.digest([one]) == first
    one.write_text("b")
    assert project.digest([one]) != first
    one.rename(two)
    assert project.digest([two]) != first


def test_an_old_node_is_not_taken(tmp_path):
    node = tmp_path / "node"
    node.write_text("#!/bin/sh\necho v18.19.0\n")
    node.chmod(0o755)
    assert project._node_version(str(node)) == (18, 19)
    assert project._node_version(str(node)) < project.NODE_LEAST
    assert project._node_version("/no/node/here") == (0,)


def test_without_root_or_sudo_the_way_out_is_named(monkeypatch):
    monkeypatch.setattr(os, "geteuid", lambda: 1000)
    monkeypatch.setattr(system.shutil, "which", lambda _name: None)
    with pytest.raises(steps.SetupError, match="run once as root, or install sudo"):
        system.as_root()
    monkeypatch.setattr(os, "geteuid", lambda: 0)
    assert system.as_root() == []


def test_free_ports_are_free():
    port = cluster.free_port()
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", port))
    start.check_port("127.0.0.1", port)


def test_the_database_never_runs_as_root(tmp_path, monkeypatch):
    made = cluster.Cluster(Path("/usr/lib/postgresql/15/bin"), tmp_path / "pg")
    monkeypatch.setattr(os, "geteuid", lambda: 0)
    as_root = made._command("initdb")
    assert as_root[:3] == ["setpriv", "--reuid", "postgres"]
    assert "--no-new-privs" in as_root
    monkeypatch.setattr(os, "geteuid", lambda: 1000)
    assert made._command("initdb") == ["/usr/lib/postgresql/15/bin/initdb"]


def test_the_secret_key_is_made_once_and_only_for_its_owner(tmp_path, monkeypatch):
    monkeypatch.setattr(start, "LOCAL", tmp_path)
    first = start.secret_key()
    assert start.secret_key() == first
    assert len(first) >= 50
    assert (tmp_path / "secret-key").stat().st_mode & 0o077 == 0


def test_lock_files_name_no_registry():
    for name in ("requirements.lock", "web/package-lock.json", "web/.npmrc"):
        text = (ROOT / name).read_text()
        assert '"resolved"' not in text
        assert not re.search(r"https?://[^\s\"]*(registry|pypi|pythonhosted)", text)
    assert text.startswith("omit-lockfile-registry-resolved=true")


@pytest.mark.parametrize(
    ("env", "code", "words"),
    [
        ({"FERVENS_ALLOWED_HOSTS": "hair.example"}, 1, "FERVENS_SECRET_KEY must be set"),
        ({"FERVENS_ALLOWED_HOSTS": "hair.example", "FERVENS_SECRET_KEY": "x" * 50, "FERVENS_HTTPS": "1"}, 0, ""),
        ({"DATABASE_URL": "oracle://x"}, 1, "DATABASE_URL must look like"),
    ],
)
def test_production_settings_come_from_the_environment(env, code, words):
    done = subprocess.run(
        [sys.executable, "-c", "import config.settings as s; print(s.ALLOWED_HOSTS, s.DEBUG)"],
        capture_output=True,
        text=True,
        check=False,
        env={**project.python_env(), "DATABASE_URL": "postgres://a@127.0.0.1/b", "FERVENS_SECRET_KEY": "", **env},
    )
    assert done.returncode == code
    assert words in done.stderr
    if code == 0:
        assert done.stdout.split() == ["['hair.example']", "False"]


LOST = "tests/e2e/test_taps.py::test_a_head[chromium-Case 4, Day to filed record-all but roots 7-9.5]"
SUMMARY = "\n".join(
    [
        f"FAILED {LOST} - AssertionError: Locator expected - to be visible",
        "ERROR tests/e2e/test_a.py::test_b",
        "2 failed",
    ]
)


@pytest.mark.parametrize(
    ("said", "is_ok_alone", "found"),
    [
        (None, None, []),
        (SUMMARY, True, [LOST, "tests/e2e/test_a.py::test_b"]),
        (SUMMARY, False, None),  # failed again
        (SUMMARY + "\nFAILED tests/e2e/test_a.py::test_c", None, None),  # three are no chance
        ("INTERNALERROR", None, None),
    ],
)
def test_a_browser_test_that_failed_beside_others_is_tried_by_itself_and_told(monkeypatch, said, is_ok_alone, found):
    asked = []

    def ran(title, command, *, env):
        asked.append(command)
        return (said is None, said or "") if len(asked) == 1 else (bool(is_ok_alone), "")

    monkeypatch.setattr(check, "_ran", ran)
    if found is None:
        with pytest.raises(steps.SetupError, match="End-to-end tests failed"):
            check._browser_tests(["pytest"], ["-n", "2"], {})
    else:
        assert check._browser_tests(["pytest"], ["-n", "2"], {}) == found
    again = [LOST, "tests/e2e/test_a.py::test_b"]
    assert asked[1:] == ([] if is_ok_alone is None else [["pytest", *again]])  # alone: without the hands


def test_a_failed_check_hides_no_later_one():
    done = []

    def fails(name):
        done.append(name)
        raise steps.SetupError(f"{name} failed.")

    with pytest.raises(steps.SetupError, match=r"^Core failed\. Browser failed\.$"):
        check._each(lambda: fails("Core"), lambda: done.append("Server"), lambda: fails("Browser"))
    assert done == ["Core", "Server", "Browser"]


def test_a_server_that_falls_is_started_again_and_a_stop_stops_it(tmp_path):
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    code = (
        f"import os, sys; sys.path.insert(0, {str(ROOT / 'ops')!r}); import start; "
        f"sys.exit(start._serve([sys.executable, '-m', 'http.server', '{port}', '--bind', '127.0.0.1'], "
        f"dict(os.environ), None, ('127.0.0.1', {port}), ''))"
    )
    quiet = {"stdout": subprocess.DEVNULL, "stderr": subprocess.DEVNULL}
    parent = subprocess.Popen([sys.executable, "-c", code], cwd=tmp_path, **quiet)

    def answers():
        with socket.socket() as probe:
            return probe.connect_ex(("127.0.0.1", port)) == 0

    def child():
        tasks = Path(f"/proc/{parent.pid}/task/{parent.pid}/children").read_text().split()
        return int(tasks[0]) if tasks else 0

    def until(what):
        end = time.monotonic() + 20
        while not what():
            assert time.monotonic() < end
            time.sleep(0.05)

    try:
        until(answers)
        time.sleep(0.5)  # it has seen that it is up
        first = child()
        os.kill(first, signal.SIGKILL)
        until(lambda: child() not in (0, first) and answers())
        parent.terminate()
        assert parent.wait(timeout=20) == 0
        assert not answers()
    finally:
        parent.kill()
