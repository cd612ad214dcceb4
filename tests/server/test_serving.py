"""The server's own protocol: slow headers end, lines that are long do not."""

import json
import socket
import threading
import time

import pytest
import uvicorn

from config import serve


async def app(scope, receive, send):
    """Answers at once; /slow takes its time, and sends in two pieces."""
    await receive()
    await send({"type": "http.response.start", "status": 200, "headers": [(b"content-length", b"4")]})
    if scope["path"] == "/slow":
        import asyncio

        await send({"type": "http.response.body", "body": b"ok", "more_body": True})
        await asyncio.sleep(1.2)
    await send({"type": "http.response.body", "body": b"ok" if scope["path"] == "/slow" else b"okok"})


@pytest.fixture
def port(monkeypatch):
    monkeypatch.setattr(serve, "HEADERS_S", 0.6)
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        found = probe.getsockname()[1]
    config = uvicorn.Config(app, port=found, http=serve.TimedProtocol, lifespan="off", log_level="critical")
    server = uvicorn.Server(config)
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    while not server.started:
        time.sleep(0.02)
    yield found
    server.should_exit = True
    thread.join(timeout=5)


def line(port):
    found = socket.create_connection(("127.0.0.1", port), timeout=5)
    return found


def until_closed(found):
    began = time.monotonic()
    while found.recv(4096):
        pass
    return time.monotonic() - began


@pytest.mark.parametrize("sent", [b"", b"GET / HTTP/1.1\r\nHost: x\r\nX-Slow: "])
def test_headers_that_do_not_come_end_the_connection(port, sent):
    found = line(port)
    found.sendall(sent)
    assert until_closed(found) < 4.5  # a line left open runs into its own 5 s


def test_headers_that_drip_end_it_too_also_those_of_a_second_request(port):
    found = line(port)
    found.sendall(b"GET / HTTP/1.1\r\nHost: x\r\n\r\n")
    assert b"200" in found.recv(4096)
    began = time.monotonic()

    def drip():
        for _ in range(200):
            found.sendall(b"G")
            time.sleep(0.05)

    with pytest.raises(OSError, match=r"reset|[Bb]roken pipe"):
        drip()
    assert time.monotonic() - began < 8.0  # each letter alone would have kept it for 10 s


def test_a_long_answer_is_not_cut_off_and_the_line_serves_on(port):
    found = line(port)
    for _ in range(2):
        found.sendall(b"GET /slow HTTP/1.1\r\nHost: x\r\n\r\n")
        got = b""
        while not got.endswith(b"okok"):
            piece = found.recv(4096)
            assert piece
            got += piece


LATIN = "node_modules/@fontsource-variable/archivo/files/archivo-latin-wdth-normal.woff2"
ARROWS = "node_modules/@fontsource-variable/noto-sans-arabic/files/noto-sans-arabic-math-wght-normal.woff2"
ARABIC = "node_modules/@fontsource-variable/noto-sans-arabic/files/noto-sans-arabic-arabic-wght-normal.woff2"


def test_the_page_is_told_at_once_what_its_address_needs(client, settings, tmp_path):
    """Parts come beside one another, in the language that is read; without a manifest the page is served too."""
    (tmp_path / "index.html").write_text('<html lang="en"><head></head></html>')
    settings.WEB_DIST = tmp_path
    assert b"modulepreload" not in client.get("/services/x/chair").content
    (tmp_path / ".vite").mkdir()
    chunks = {
        "src/app.ts": {"file": "assets/app.js", "css": ["assets/app.css"], "imports": ["_shared.js"]},
        "_shared.js": {"file": "assets/shared.js"},
        "src/languages/de.json": {"file": "assets/de.js"},
        "src/views/Service.vue": {"file": "assets/service.js", "imports": ["_shared.js"]},
        "src/views/Chair.vue": {"file": "assets/chair.js"},
        "src/views/Day.vue": {"file": "assets/day.js"},
        LATIN: {"file": "assets/latin.woff2"},
        ARROWS: {"file": "assets/arrows.woff2"},
        ARABIC: {"file": "assets/arabic.woff2"},
    }
    (tmp_path / ".vite" / "manifest.json").write_text(json.dumps(chunks))
    chair = client.get("/services/x/chair", headers={"accept-language": "de"}).content.decode()
    for name in ("app", "shared", "de", "service", "chair"):
        assert chair.count(f'modulepreload" crossorigin href="/static/assets/{name}.js"') == 1
    assert '<link rel="stylesheet" crossorigin href="/static/assets/app.css">' in chair
    font = '<link rel="preload" as="font" type="font/woff2" crossorigin href="/static/assets/{}.woff2">'
    assert font.format("latin") in chair
    assert font.format("arrows") in chair  # "4 → 8": else it comes when the chair is drawn, and draws it again
    assert "arabic" not in chair
    assert font.format("arabic") in client.get("/", headers={"accept-language": "ar"}).content.decode()
    assert "day.js" not in chair
    assert "day.js" in client.get("/").content.decode()
