"""What the guides say of the house, held against the house itself."""

import ast
import re
from pathlib import Path

import fervens_core
from fervens_core.log.events import KINDS

ROOT = Path(__file__).parents[2]
CORE = Path(fervens_core.__file__).parent
ARCHITECTURE = (ROOT / "docs" / "architecture.md").read_text()


def rooms():
    return {p.name for p in CORE.iterdir() if (p / "__init__.py").exists()}


def test_the_guide_lists_every_room_and_no_other():
    table = ARCHITECTURE.split("## Rooms of the core")[1].split("## Server")[0]
    assert set(re.findall(r"^\| `(\w+)` \|", table, re.M)) == rooms()


def test_the_linter_holds_every_room_in_the_order_of_the_guide():
    table = ARCHITECTURE.split("## Rooms of the core")[1].split("## Server")[0]
    listed = re.findall(r"^\| `(\w+)` \|", table, re.M)
    config = (ROOT / "pyproject.toml").read_text()
    layers = config.split('name = "Rooms of the core')[1].split("layers = [")[1].split("]")[0]
    assert re.findall(r'"(\w+)"', layers) == list(reversed(listed))
    for room in listed:
        assert f'protected_modules = ["fervens_core.{room}.*"]' in config


def test_the_log_page_lists_every_event_and_no_other():
    page = (
        (ROOT / "docs" / "models" / "service.md")
        .read_text()
        .split("Events, each kind")[1]
        .split("Fields and limits")[0]
    )
    assert set(re.findall(r"\b([A-Z][a-z]+[A-Z]\w+|Rinsed)\b", page)) == set(KINDS)


def test_files_named_in_the_guides_are_there():
    for guide in (ARCHITECTURE, (ROOT / "CONTRIBUTING.md").read_text()):
        for name in re.findall(r"`([\w/]+\.(?:py|ts|vue|md))`", guide):
            vision = ROOT / "vision" / "src" / "fervens_vision"
            places = (
                ROOT,
                CORE,
                vision,
                ROOT / "server" / "apps",
                ROOT / "server" / "apps" / "services",
                ROOT / "web" / "src",
            )
            found = any((p / name).exists() for p in places)
            assert found or [*(ROOT / "server" / "apps").rglob(name), *CORE.rglob(name)], name


def test_a_docstring_names_no_field_that_is_gone():
    """Names before a colon in an Args section are parameters or fields of what they describe."""
    wrong = []
    for path in CORE.rglob("*.py"):
        for node in ast.walk(ast.parse(path.read_text())):
            if not isinstance(node, ast.ClassDef) or not (text := ast.get_docstring(node)) or "Args:" not in text:
                continue
            known = {
                n.target.id for n in ast.walk(node) if isinstance(n, ast.AnnAssign) and isinstance(n.target, ast.Name)
            }
            known |= {
                a.arg for f in node.body if isinstance(f, ast.FunctionDef) for a in f.args.args + f.args.kwonlyargs
            }
            section = text.split("Args:")[1].split("\n\n")[0]
            for named in re.findall(r"(?:^|[.;]) *\n? *((?:[a-z_]+(?:, )?)+):", section):
                for name in named.split(", "):
                    if "_" in name and name not in known and not name.endswith("_"):
                        wrong.append(f"{path.name} {node.name}: {name}")
    assert wrong == []
