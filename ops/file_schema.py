"""Writes the JSON Schemas of service and round file and of the answers, as the core has them: file_schema.py FOLDER"""

from __future__ import annotations

import json
import sys
from collections.abc import Mapping
from pathlib import Path
from typing import Any

from fervens_core.formats import answers_schema, service_file_schema
from fervens_core.practice import round_file_schema


def _write(path: Path, schema: Mapping[str, Any]) -> None:
    path.write_text(f"{json.dumps(schema, indent=1, ensure_ascii=False)}\n", encoding="utf-8")


if __name__ == "__main__":
    folder = Path(sys.argv[1])
    _write(folder / "service-file.schema.json", service_file_schema())
    _write(folder / "answers.schema.json", answers_schema())
    _write(folder / "round-file.schema.json", round_file_schema())
