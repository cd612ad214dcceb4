"""From each landed state of the tables to this one, with data; and servers of the last one while the tables are new."""

import datetime as dt
from uuid import uuid4

import pytest
from django.db import connection, models
from django.db.migrations.executor import MigrationExecutor
from django.utils import timezone

OURS = ("studio", "clients", "shelf", "services")
LANDED = {
    "first": {"studio": "0001", "clients": "0001", "shelf": "0001", "services": "0001"},
    "after the service": {"studio": "0003", "clients": "0002", "shelf": "0004", "services": "0004"},
    "reminders": {"studio": "0003", "clients": "0002", "shelf": "0004", "services": "0005"},
    "limits": {"studio": "0006", "clients": "0003", "shelf": "0006", "services": "0006"},
    "a head as it is": {"studio": "0006", "clients": "0004", "shelf": "0007", "services": "0008"},
    "schedule": {"studio": "0007", "clients": "0004", "shelf": "0007", "services": "0008"},
    "tone session": {"studio": "0008", "clients": "0004", "shelf": "0007", "services": "0008"},
    "eyes": {"studio": "0010", "clients": "0004", "shelf": "0008", "services": "0009"},
}
LAST = ("tone session", "eyes")
"""What may still be serving while the tables are brought up to date."""


@pytest.fixture
def executor(transactional_db):
    yield MigrationExecutor(connection)
    fresh = MigrationExecutor(connection)
    fresh.migrate(fresh.loader.graph.leaf_nodes())


def nodes(executor, names):
    graph = executor.loader.graph
    found = [next(n for n in graph.nodes if n[0] == app and n[1].startswith(names[app])) for app in names]
    return [*found, ("auth", max(n[1] for n in graph.nodes if n[0] == "auth"))]


def value_of(field):
    """Something that fits a field that has to be given."""
    if isinstance(field, models.UUIDField):
        return uuid4()
    if isinstance(field, models.DateTimeField):
        return timezone.now()
    if isinstance(field, models.DateField):
        return dt.date(1990, 1, 1)
    if isinstance(field, models.BooleanField):
        return False
    if isinstance(field, models.JSONField):
        return {"violet": 1.0} if field.name == "dyes" else {}
    if isinstance(field, models.BinaryField):
        return b"\xff\xd8\xff"
    if isinstance(field, models.FloatField | models.IntegerField):
        return 8.0 if field.name == "level" else 20
    return f"{field.name}-{uuid4().hex[:6]}"[: field.max_length or 20]


def fill(apps):
    """A row of every table, as a server of that state writes them."""
    user = apps.get_model("auth", "User").objects.create(username=uuid4().hex)
    made = {("auth", "User"): user}

    def one(model):
        key = (model._meta.app_label, model._meta.object_name)
        if key in made:
            return made[key]
        values = {}
        for field in model._meta.concrete_fields:
            if field.remote_field:
                if not field.null:
                    values[field.name] = one(field.remote_field.model)
            elif not (field.has_default() or field.null or field.primary_key or getattr(field, "auto_now_add", False)):
                values[field.name] = value_of(field)
        made[key] = model.objects.create(**values)
        return made[key]

    for app in OURS:
        for model in apps.get_app_config(app).get_models():
            one(model)
    return made


@pytest.mark.parametrize("landed", LANDED)
def test_data_of_each_landed_state_is_carried_over(executor, landed):
    then = nodes(executor, LANDED[landed])
    executor.migrate(then)
    made = fill(executor.loader.project_state(then).apps)
    fresh = MigrationExecutor(connection)
    fresh.migrate(fresh.loader.graph.leaf_nodes())
    from django.apps import apps

    for (app, name), row in made.items():
        assert apps.get_model(app, name)._default_manager.filter(pk=row.pk).exists(), (app, name)


@pytest.mark.parametrize("landed", LAST)
def test_a_server_of_the_last_state_goes_on_writing_while_the_tables_are_new(executor, landed):
    then = nodes(executor, LANDED[landed])
    old = executor.loader.project_state(then).apps
    made = fill(old)  # into the tables as they are now
    for (app, name), row in made.items():
        again = old.get_model(app, name).objects.get(pk=row.pk)
        again.save()
