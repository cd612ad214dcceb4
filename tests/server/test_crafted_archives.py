"""Archives changed in one place each, at every place there is: refused with a word, or taken whole and readable after.

The gate tries a fixed sample; `CRAFTED=all` tries every place with every value (a quarter of an hour).
"""

import copy
import io
import json
import os
import random
import zipfile

from conftest import Actor, make_member
from django.db import transaction
from django.http import Http404

from apps.common.problems import NotAllowed
from apps.records import archive_in
from apps.services.models import Service
from apps.studio.models import Studio
from fervens_core.base import CoreError

from .test_tables_and_archive import archive_of, full_studio, parts

SEED, SAMPLE = 20261127, 160
BAD = (
    None, True, -1, 0, 1e300, -1e300, 10**30, 0.5, "", "x", "x" * 5000, "a\x00b", "\ud800", "9999-12-31T23:59:59+00:00",
    "0001-01-01T00:00:00+00:00", "9999-12-31", [], {}, [[]], [None], {"x": 1}, ["x"] * 50, {"a" * 300: 1},
)  # fmt: skip


def leaves(value, path=()):
    """Every place of a JSON value; of lists the first two."""
    yield path
    if isinstance(value, dict):
        for key in value:
            yield from leaves(value[key], (*path, key))
    elif isinstance(value, list):
        for i in range(min(len(value), 2)):
            yield from leaves(value[i], (*path, i))


def with_value(value, path, bad):
    found = copy.deepcopy(value)
    if not path:
        return bad
    place = found
    for key in path[:-1]:
        place = place[key]
    place[path[-1]] = bad
    return found


def packed(files):
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as file:
        for name, data in files.items():
            file.writestr(name, data)
    return out


def looked_at(actor):
    """Everything a page would ask of what came in."""
    yield from ("/day", "/week", "/clients", "/shelf", "/stock", "/learning", "/members", "/studio", "/audit", "/eyes")
    for client in actor.ask("GET", "/clients", None, None).get("clients", [])[:3]:
        yield f"/clients/{client['id']}/history"
    for service in Service.objects.filter(studio_id=actor.user.membership.studio_id)[:4]:
        pk, step = service.pk, service.step
        yield from (f"/services/{pk}", f"/services/{pk}/log", f"/services/{pk}/board", f"/services/{pk}/next")
        if step in ("plan", "strands"):
            yield f"/services/{pk}/plan"
        if step == "record":
            yield from (f"/services/{pk}/record", f"/services/{pk}/export")


def cases(good):
    found = []
    for name in ("archive.json", "members.json", "shelf.json", "clients.json"):
        value = json.loads(good[name])
        found += [(name, path, bad) for path in leaves(value) for bad in BAD]
    lines = [json.loads(x) for x in good["services.jsonl"].splitlines()]
    for i, line in enumerate(lines):
        found += [("services.jsonl", (i, *path), bad) for path in leaves(line) for bad in BAD]
    return found


FOUND_ONCE = (
    ("services.jsonl", (0, "zones"), []),
    ("services.jsonl", (0, "zones", 0, "data", "key"), "x"),
    ("services.jsonl", (0, "zones", 1, "data", "keeps_depth"), True),
)
"""Zones that a log put product on, gone: found by trying every place with every value."""


def test_no_crafted_archive_makes_the_server_fail(owner, db):
    full_studio(owner)
    good = parts(archive_of(owner))
    Service.objects.all().delete()
    Studio.objects.all().delete()
    type(owner.user).objects.all().delete()
    every = cases(good)
    dice = random.Random(SEED)
    some = every if os.environ.get("CRAFTED") == "all" else [*FOUND_ONCE, *dice.sample(every, SAMPLE)]
    studio = Studio.objects.create(name="Nothing yet")
    actor = Actor(make_member(studio, "owner"))
    actor.browser.raise_request_exception = False
    member = actor.user.membership
    failed, taken = [], 0
    for name, path, bad in some:
        files = dict(good)
        if name == "services.jsonl":
            lines = [json.loads(x) for x in good[name].splitlines()]
            files[name] = "\n".join(json.dumps(x) for x in with_value(lines, path, bad))
        else:
            files[name] = json.dumps(with_value(json.loads(good[name]), path, bad))
        out = packed(files)
        with transaction.atomic():
            try:
                with transaction.atomic():
                    archive_in.read_archive(member, out, out.tell())
                taken += 1
                for address in looked_at(actor):
                    answer = actor.browser.get(f"/api{address}")
                    if answer.status_code >= 500:
                        failed.append((name, path, bad, address, answer.status_code))
                        break
            except (CoreError, Http404, NotAllowed):
                pass
            except Exception as error:
                failed.append((name, path, bad, type(error).__name__, str(error)[:160]))
            transaction.set_rollback(True)
        if len(failed) > 400:
            break
    assert not failed, "\n".join(" ".join(repr(x)[:160] for x in one) for one in failed)
    assert taken > 0
