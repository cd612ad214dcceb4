"""Writes the service file's JSON Schema, as the core's contract has it: file_schema.py PATH"""

from __future__ import annotations

import json
import sys
from pathlib import Path

from fervens_core.formats import service_file_schema

if __name__ == "__main__":
    text = json.dumps(service_file_schema(), indent=1, ensure_ascii=False)
    Path(sys.argv[1]).write_text(f"{text}\n", encoding="utf-8")
