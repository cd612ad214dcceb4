"""Files and lines of other programs: the service file, CSV, CGATS, the colour reader."""

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
    line_to_lab,
)
from fervens_core.formats.head_file import (
    choice_to_json,
    findings_to_json,
    read_choice,
    read_findings,
    read_strand,
    read_zone,
    strand_to_json,
    zone_to_json,
)
from fervens_core.formats.json_reader import JsonReader
from fervens_core.formats.reading_csv import ReadingLine, readings_to_csv
from fervens_core.formats.service_file import FORMAT, VERSION, FileEvent, ServiceFile, read_service_file
from fervens_core.formats.service_write import plan_to_json, write_service_file
from fervens_core.formats.strand_csv import strands_from_csv, strands_to_csv

__all__ = [
    "FORMAT",
    "LINE_MAX",
    "PROTOCOL",
    "SIMULATED",
    "VERSION",
    "ClientLine",
    "ClientTable",
    "ColourSample",
    "FileEvent",
    "JsonReader",
    "Measured",
    "ReadingLine",
    "ServiceFile",
    "SimulatedReader",
    "choice_to_json",
    "clients_from_csv",
    "clients_to_csv",
    "findings_to_json",
    "lab_to_line",
    "level_of_lab",
    "line_to_lab",
    "plan_to_json",
    "read_choice",
    "read_findings",
    "read_service_file",
    "read_strand",
    "read_zone",
    "readings_to_csv",
    "samples_from_cgats",
    "samples_to_cgats",
    "strand_to_json",
    "strands_from_csv",
    "strands_to_csv",
    "write_service_file",
    "zone_to_json",
]
