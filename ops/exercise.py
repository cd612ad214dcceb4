"""Exercises deploy/: its steps into a clean folder, and what they made on a machine's terms; `bin/test deploy`.

Images cannot be built where there is no registry of images, so the steps that the Dockerfile runs are run here, in the
same order, and what comes out is started as an unprivileged user, in two process groups behind a real proxy.
"""

from __future__ import annotations

import contextlib
import http.cookiejar
import json
import os
import re
import shutil
import subprocess
import tempfile
import threading
import time
import urllib.error
import urllib.request
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from cluster import Cluster, free_port
from project import node_env
from steps import ROOT, SetupError, step
from system import ensure_postgres, ensure_proxies

NOT_WANTED = ("pip", "uv", "pytest", "ruff", "mypy", "playwright", "hypothesis", "setuptools", "lint-imports")
PASSWORD = "curtain-at-seven"


def need(is_so: object, what: str) -> None:
    """Raise SetupError where something is not so."""
    if not is_so:
        raise SetupError(f"deploy: {what}.")


def dockerfile_steps() -> list[list[str]]:
    """The steps of our own that the Dockerfile runs; each line of it is one this file understands."""
    known = {"FROM", "COPY", "RUN", "USER", "ENV", "EXPOSE", "HEALTHCHECK", "STOPSIGNAL", "ENTRYPOINT", "CMD"}
    text = re.sub(r"\\\n", " ", (ROOT / "deploy/Dockerfile").read_text())
    lines = [x.strip() for x in text.splitlines() if x.strip() and not x.startswith("#")]
    unknown = [x for x in lines if x.split()[0] not in known]
    need(not unknown, f"the Dockerfile has a line that is not understood: {unknown[:1]}")
    last = lines[max(i for i, x in enumerate(lines) if x.startswith("FROM")) :]
    need(any(x.startswith("USER 10001") for x in last), "the image's last stage must not run as root")
    need(any(x.startswith("HEALTHCHECK") for x in last), "the image has no health check")
    need(not any("deploy/steps" in x for x in last if x.startswith("RUN")), "the last stage builds something")
    need(not any("://" in x for x in lines), "the Dockerfile names a host")
    return [x.split()[1:] for x in lines if x.startswith("RUN /src/deploy/steps/")]


def _shell(command: list[str], **env: str) -> str:
    done = subprocess.run(
        command, cwd="/", env={**os.environ, **env}, capture_output=True, text=True, check=False,
        stdin=subprocess.DEVNULL,
    )  # fmt: skip
    if done.returncode != 0:
        last = (done.stderr.strip() or done.stdout.strip()).splitlines()
        raise SetupError(f"deploy: {' '.join(command)[:120]} failed ({last[-1][:200] if last else done.returncode}).")
    return done.stdout


def build(folder: Path) -> Path:
    """Run the Dockerfile's steps into a clean folder; where the app then stands."""
    source, made = folder / "src", folder / "srv" / "fervens"
    tracked = subprocess.run(
        ["git", "ls-files", "-co", "--exclude-standard"], cwd=ROOT, capture_output=True, text=True, check=True
    ).stdout.splitlines()
    for name in tracked:
        if (ROOT / name).is_file():
            (source / name).parent.mkdir(parents=True, exist_ok=True)
            shutil.copy2(ROOT / name, source / name)
    names = {"/src": str(source), "/srv/fervens": str(made)}
    for command in dockerfile_steps():
        for of_image, here in names.items():
            command = [re.sub(rf"^{of_image}(?=/|$)", here, part) for part in command]
        with step(f"deploy: {' '.join(Path(p).name for p in command)}"):
            path = node_env()["PATH"]
            _shell(command, PATH=path, PYTHON=shutil.which("python3.11") or "python3")
    left = [n for n in NOT_WANTED if (made / "venv/bin" / n).exists()]
    need(not left, f"tools are left in the app: {', '.join(left)}")
    need(not list((made / "app").rglob("node_modules")), "packages of the page's build are left in the app")
    need(list((made / "app/static").rglob("*.js.gz")), "static files are not compressed")
    return made


class Group:
    """A process group of the app on a port, as an unprivileged user."""

    def __init__(self, made: Path, port: int, url: str, log: Path, **more: str) -> None:
        self.address = f"http://127.0.0.1:{port}"
        self.log = log
        # as root here: somebody who may do nothing but pass through folders to where Python itself stands
        user = ["setpriv", "--reuid", "nobody", "--regid", "nogroup", "--clear-groups", "--no-new-privs",
                *(f"--{k}=-all,+dac_read_search" for k in ("bounding-set", "inh-caps", "ambient-caps"))]  # fmt: skip
        user = user if os.geteuid() == 0 else []
        env = {
            "PATH": "/usr/bin:/bin",
            "DATABASE_URL": url,
            "FERVENS_SECRET_KEY": "k" * 50,
            "FERVENS_ALLOWED_HOSTS": "hair.example,127.0.0.1",
            "FERVENS_ADDRESS": "https://hair.example",
            "FERVENS_PORT": str(port),
            "FERVENS_LOG": "json",
            **more,
        }
        with log.open("wb") as out:
            self.process = subprocess.Popen(
                [*user, str(made / "app/deploy/steps/run"), "serve"],
                cwd="/", env=env, stdout=out, stderr=subprocess.STDOUT, start_new_session=True,
            )  # fmt: skip

    def wait(self) -> None:
        """Until it can work."""
        for _ in range(400):
            with contextlib.suppress(OSError):
                if urllib.request.urlopen(f"{self.address}/readyz", timeout=2).status == 200:
                    return
            if self.process.poll() is not None:
                break
            time.sleep(0.1)
        raise SetupError(f"deploy: the app did not come up: {self.log.read_text()[-400:]}")

    def stop(self) -> float:
        """Ask it to stop; how long that took, s."""
        began = time.monotonic()
        self.process.terminate()
        self.process.wait(timeout=20)
        return time.monotonic() - began


class Device:
    """A browser's part: cookies, and JSON."""

    def __init__(self, address: str) -> None:
        self.address = address
        self.jar = http.cookiejar.CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.jar))

    def ask(self, path: str, body: Any = None) -> Any:
        """GET, or POST of a body."""
        token = next((c.value for c in self.jar if c.name == "csrftoken"), "") or ""
        headers = {"Content-Type": "application/json", "X-CSRFToken": token, "Referer": self.address}
        data = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(f"{self.address}/api{path}", data, headers)
        with self.opener.open(request, timeout=20) as answer:
            return json.loads(answer.read())


def _nginx(folder: Path, groups: list[Group]) -> tuple[subprocess.Popen[bytes], str]:
    """The sample settings on ports of this machine; nothing else of them is changed."""
    _shell(["openssl", "req", "-x509", "-newkey", "rsa:2048", "-nodes", "-days", "2", "-subj", "/CN=hair.example",
            "-keyout", str(folder / "key.pem"), "-out", str(folder / "full.pem")])  # fmt: skip
    text = (ROOT / "deploy/proxies/nginx.conf").read_text()
    plain, secure = free_port(), free_port()
    servers = "\n".join(f"    server {g.address.removeprefix('http://')} max_fails=2 fail_timeout=5s;" for g in groups)
    text = re.sub(r"(    server 127\.0\.0\.1:\d+ .*;\n?)+", servers + "\n", text, count=1)
    for was, now in (
        ("listen 80;", f"listen 127.0.0.1:{plain};"),
        ("listen 443 ssl http2;", f"listen 127.0.0.1:{secure} ssl http2;"),
        ("/etc/letsencrypt/live/hair.example/fullchain.pem", str(folder / "full.pem")),
        ("/etc/letsencrypt/live/hair.example/privkey.pem", str(folder / "key.pem")),
        ("/etc/nginx/fervens-headers", str(ROOT / "deploy/proxies/fervens-headers")),
    ):
        need(was in text, f"nginx.conf: {was} is not there")
        text = text.replace(was, now)
    own = "".join(f"{n}_temp_path {folder}/{n};\n" for n in ("client_body", "proxy", "fastcgi", "uwsgi", "scgi"))
    user = "user root;\n" if os.geteuid() == 0 else ""
    main = f"{user}daemon off;\npid {folder}/nginx.pid;\nerror_log {folder}/error.log;\nevents {{}}\n"
    (folder / "nginx.conf").write_text(f"{main}http {{\naccess_log off;\n{own}\n{text}\n}}\n")
    program = shutil.which("nginx") or "/usr/sbin/nginx"
    _shell([program, "-t", "-c", str(folder / "nginx.conf")])
    # the plain listener redirects; devices here speak to a second one that does not need the certificate to be known
    insecure = free_port()
    text = text.replace(f"listen 127.0.0.1:{secure} ssl http2;", f"listen 127.0.0.1:{insecure};", 1)
    text = re.sub(r"    ssl_certificate.*\n", "", text).replace("$scheme", "https")
    (folder / "nginx.conf").write_text(f"{main}http {{\naccess_log off;\n{own}\n{text}\n}}\n")
    return subprocess.Popen([program, "-c", str(folder / "nginx.conf")], cwd="/"), f"http://127.0.0.1:{insecure}"


def _check_files(folder: Path, made: Path) -> None:
    """Units and the other proxy's settings, by the programs that read them."""
    units = folder / "units"
    units.mkdir()
    for unit in (ROOT / "deploy/systemd").iterdir():
        name = unit.name.replace("@", "@8001")
        (units / name).write_text(
            unit.read_text().replace("/srv/fervens", str(made)).replace("User=fervens", "User=nobody")
            .replace("Group=fervens", "Group=nogroup")
        )  # fmt: skip
    said = subprocess.run(
        ["systemd-analyze", "verify", "--man=no", *map(str, units.iterdir())],
        capture_output=True,
        text=True,
        check=False,
    )
    wrong = [x for x in said.stderr.splitlines() if str(units) in x or "fervens" in x]
    need(said.returncode == 0 or not wrong, f"a unit is wrong: {wrong[:1]}")
    _shell(["caddy", "validate", "--adapter", "caddyfile", "--config", str(ROOT / "deploy/proxies/Caddyfile")],
           HOME=str(folder), XDG_DATA_HOME=str(folder))  # fmt: skip
    compose = (ROOT / "deploy/compose.yaml").read_text()
    need("read_only: true" in compose and "no-new-privileges" in compose, "compose.yaml lets the app write or rise")


def _check_statics(group: Group) -> None:
    page = urllib.request.urlopen(f"{group.address}/", timeout=5)
    script = re.search(r'src="(/static/assets/[^"]+\.js)"', page.read().decode())
    need(script, "the page has no script")
    assert script
    request = urllib.request.Request(f"{group.address}{script[1]}", headers={"Accept-Encoding": "gzip"})
    answer = urllib.request.urlopen(request, timeout=5)
    need("immutable" in answer.headers.get("Cache-Control", ""), "hashed files are not cached for good")
    need("max-age=315360000" in answer.headers["Cache-Control"], "hashed files are not cached for years")
    need(answer.headers.get("Content-Encoding") == "gzip", "scripts are not compressed")
    need(page.headers.get("Server") is None, "the server names its program")


def _work(address: str, groups: list[Group], token: str) -> None:
    """A studio is begun through the proxy, and what one device does by one group is told to another by the other."""
    first = Device(address)
    first.ask("/begin")
    owner = {"username": "ines", "first_name": "Ines", "last_name": "Farrow", "password": PASSWORD}
    first.ask("/begin", {"token": token, "studio": "The Dressing Room", **owner})
    one, two = (Device(g.address) for g in groups)
    for device in (one, two):
        device.ask("/session")
        device.ask("/session", {"username": "ines", "password": PASSWORD})
    cookies = "; ".join(f"{c.name}={c.value}" for c in two.jar)
    heard: list[bytes] = []
    through = urllib.request.Request(f"{address}/api/stream", headers={"Cookie": cookies})
    line = urllib.request.urlopen(through, timeout=15)
    need(line.readline().startswith(b"retry"), "the stream does not begin through the proxy")

    def listen() -> None:
        with contextlib.suppress(OSError, ValueError):
            for text in line:
                heard.append(text)
                if b'"begun"' in text:
                    return

    ear = threading.Thread(target=listen, daemon=True)
    ear.start()
    time.sleep(0.5)
    client = one.ask("/clients", {"name": "Ida"})
    began = time.monotonic()
    one.ask("/services", {"client_id": client["id"]})
    ear.join(timeout=5)
    need(any(b'"begun"' in x for x in heard), "what one group did was not told through the other")
    need(time.monotonic() - began < 3.0, "it was told late: the proxy keeps the stream back")
    need(two.ask("/clients")["total"] == 1, "the groups do not share one database")
    forged = urllib.request.Request(f"{groups[0].address}/metrics", headers={"X-Forwarded-For": "203.0.113.5"})
    need(urllib.request.urlopen(forged, timeout=5).status == 200, "numbers are not told to this machine")
    for path in ("/metrics", "/readyz"):
        with contextlib.suppress(urllib.error.HTTPError):
            urllib.request.urlopen(f"{address}{path}", timeout=5)
            raise SetupError(f"deploy: the proxy tells {path} to the world.")


def _tables(cluster: Cluster, database: str) -> str:
    """Every table with how many rows it has and a sum over them."""
    env = {"PGPASSWORD": cluster.secret.read_text().strip()}
    psql = [str(cluster.programs / "psql"), "-h", "127.0.0.1", "-p", str(cluster.port), "-U", "fervens", "-d", database]
    names = _shell([*psql, "-Atc", "SELECT tablename FROM pg_tables WHERE schemaname = 'public' ORDER BY 1"], **env)
    rows = "SELECT count(*), md5(string_agg(md5(t::text), '' ORDER BY t::text))"
    told = [_shell([*psql, "-Atc", f'{rows} FROM "{n}" t'], **env) for n in names.split()]
    return "".join(f"{n} {x}" for n, x in zip(names.split(), told, strict=True))


def _check_backup(made: Path, cluster: Cluster, folder: Path) -> None:
    """Out, and into another database: the same, row by row; into one that is not empty: refused."""
    run = str(made / "app/deploy/steps/run")
    out = _shell([run, "backup", "--to", str(folder / "backups"), "--keep", "2"], DATABASE_URL=cluster.url)
    path = out.split(" (")[0]
    need(Path(path).stat().st_mode & 0o077 == 0, "a backup can be read by others")
    env = {"PGPASSWORD": cluster.secret.read_text().strip()}
    place = ["-h", "127.0.0.1", "-p", str(cluster.port), "-U", "fervens"]
    _shell([str(cluster.programs / "createdb"), *place, "again"], **env)
    again = cluster.url.rsplit("/", 1)[0] + "/again"
    _shell([run, "restore", path], DATABASE_URL=again)
    need(_tables(cluster, "fervens") == _tables(cluster, "again"), "what was restored is not what was backed up")
    with contextlib.suppress(SetupError):
        _shell([run, "restore", path], DATABASE_URL=again)
        need(False, "a restore overwrote what was there")
    _shell([run, "restore", path, "--replace"], DATABASE_URL=again)
    broken = folder / "broken.dump"
    broken.write_bytes(Path(path).read_bytes()[:2000])
    with contextlib.suppress(SetupError):
        _shell([run, "restore", str(broken), "--replace"], DATABASE_URL=again)
        need(False, "half a backup was restored")
    need(_tables(cluster, "fervens") == _tables(cluster, "again"), "half a backup threw away what was there")


@contextlib.contextmanager
def _place() -> Iterator[Path]:
    folder = Path(tempfile.mkdtemp(prefix="fervens-deploy-"))
    folder.chmod(0o755)
    try:
        yield folder
    finally:
        shutil.rmtree(folder, ignore_errors=True)


def exercise() -> None:
    """All of it; raises SetupError at the first thing that is not so."""
    ensure_proxies()
    with _place() as folder:
        made = build(folder)
        _check_files(folder, made)
        cluster = Cluster(ensure_postgres(), folder / "pg", is_for_tests=True)
        cluster.create()
        cluster.start()
        groups: list[Group] = []
        proxy = None
        try:
            with step("deploy: two process groups behind a proxy"):
                more = {"FERVENS_TRUSTED_PROXIES": "127.0.0.2"}
                groups = [Group(made, free_port(), cluster.url, folder / f"group{i}.log", **more) for i in (1, 2)]
                for group in groups:
                    group.wait()
                token = re.search(r"token=(\S+)", "".join(g.log.read_text() for g in groups))
                need(token, "the address of the first visit is not printed")
                assert token
                _check_statics(groups[0])
                proxy, address = _nginx(folder, groups)
                time.sleep(0.5)
                _work(address, groups, token[1])
                lines = [json.loads(x) for x in groups[0].log.read_text().splitlines() if x.startswith("{")]
                need(any(x.get("route") == "api/services" for x in lines), "requests have no line in the log")
                need(not any("Ida" in json.dumps(x) or "Ines" in json.dumps(x) for x in lines), "the log tells names")
            with step("deploy: backup and restore"):
                _check_backup(made, cluster, folder)
            took = [g.stop() for g in groups]
            need(max(took) < 8.0, f"stopping took {max(took):.1f} s")
        finally:
            if proxy:
                proxy.terminate()
                proxy.wait(timeout=10)
            for group in groups:
                if group.process.poll() is None:
                    group.process.kill()
            cluster.stop()
    print("-- deploy: its steps, two groups behind a proxy, backup and restore: ok", flush=True)
