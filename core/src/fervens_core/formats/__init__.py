"""Files and lines of other programs: the service file, CSV, CGATS, the colour reader."""

from fervens_core.formats.answers import BANDS_MAX, advise_answer, answers_schema, learn_answer, tone_answer
from fervens_core.formats.cells import cell as as_cell
from fervens_core.formats.cgats import ColourSample, samples_from_cgats, samples_to_cgats
from fervens_core.formats.client_csv import ClientLine, ClientTable, clients_from_csv, clients_to_csv
from fervens_core.formats.colour_reader import (
    LINE_MAX,
    PROTOCOL,
    SIMULATED,
    Measured,
    SimulatedReader,
    lab_to_line,
    level_of_lab,
    level_spread,
    line_to_lab,
)
from fervens_core.formats.plan_json import plan_to_json
from fervens_core.formats.reading_csv import ReadingLine, readings_to_csv
from fervens_core.formats.service_file import (
    FORMAT,
    VERSION,
    FileEvent,
    ServiceFile,
    choice_in_visits,
    lighteners_named,
    read_service_file,
    service_file_schema,
    with_lighteners,
    write_service_file,
    zone_in_parts,
)
from fervens_core.formats.shelf_csv import ShelfLine, ShelfTable, shelf_from_text, shelf_to_csv, shelf_to_file
from fervens_core.formats.strand_csv import strands_from_csv, strands_to_csv

__all__ = [
    "BANDS_MAX",
    "FORMAT",
    "LINE_MAX",
    "PROTOCOL",
    "SIMULATED",
    "VERSION",
    "ClientLine",
    "ClientTable",
    "ColourSample",
    "FileEvent",
    "Measured",
    "ReadingLine",
    "ServiceFile",
    "ShelfLine",
    "ShelfTable",
    "SimulatedReader",
    "advise_answer",
    "answers_schema",
    "as_cell",
    "choice_in_visits",
    "clients_from_csv",
    "clients_to_csv",
    "lab_to_line",
    "learn_answer",
    "level_of_lab",
    "level_spread",
    "lighteners_named",
    "line_to_lab",
    "plan_to_json",
    "read_service_file",
    "readings_to_csv",
    "samples_from_cgats",
    "samples_to_cgats",
    "service_file_schema",
    "shelf_from_text",
    "shelf_to_csv",
    "shelf_to_file",
    "strands_from_csv",
    "strands_to_csv",
    "tone_answer",
    "with_lighteners",
    "write_service_file",
    "zone_in_parts",
]
