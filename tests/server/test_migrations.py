"""Data kept by an older version is carried over."""

import pytest
from django.db import connection
from django.db.migrations.executor import MigrationExecutor
from django.utils import timezone

from apps.services import adapters, loading

OLD_ZONE = {
    "key": "crown",
    "name": "Crown",
    "position": 0,
    "start_level": 4.5,
    "target_level": 8.0,
    "history": "tinted",
    "thickness": "coarse",
    "porosity": "low",
    "covering": "film",
    "foil_count": 7,
    "pace_min_per_foil": 1.3,
    "is_delicate": True,
    "is_on_scalp": False,
}


@pytest.fixture
def executor(transactional_db):
    yield MigrationExecutor(connection)
    fresh = MigrationExecutor(connection)
    fresh.migrate(fresh.loader.graph.leaf_nodes())


def test_zones_lines_and_own_developers_of_version_1_are_kept(executor):
    then = [
        ("services", "0001_initial"),
        ("clients", "0001_initial"),
        ("shelf", "0001_initial"),
        ("studio", "0001_initial"),
    ]
    executor.migrate(then)
    old = executor.loader.project_state(then).apps
    studio = old.get_model("studio", "Studio").objects.create(name="The hair room")
    client = old.get_model("clients", "Client").objects.create(studio=studio, name="Ida Fern")
    service = old.get_model("services", "Service").objects.create(
        studio=studio, client=client, starts_at=timezone.now(), finish_min=52.0, has_additive=True
    )
    zones = old.get_model("services", "Zone").objects
    zones.create(service=service, volume_override=25.0, **OLD_ZONE)
    zones.create(service=service, volume_override=None, **OLD_ZONE | {"key": "top", "name": "Top", "position": 1})

    fresh = MigrationExecutor(connection)
    fresh.migrate(fresh.loader.graph.leaf_nodes())
    from apps.services.models import Service

    loaded = loading.load(loading.with_parts(Service.objects.filter(pk=service.pk)).get())
    first, second = loaded.zones
    assert (first.key, first.hair.start_level, first.hair.history, first.covering) == ("crown", 4.5, "tinted", "film")
    assert (first.is_delicate, first.foil_count, first.pace_min_per_foil) == (True, 7, 1.3)
    assert second.name == "Top"
    choice = adapters.choice_value(loaded.row, ["crown", "top"])
    assert (choice.visit_mins, choice.volumes, choice.has_additive) == ((52.0,), {"crown": 25.0}, True)
