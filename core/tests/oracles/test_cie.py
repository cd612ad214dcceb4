"""Colour against reference libraries: colour-science (CIE tables, integration) and coloraide (Lab, sRGB, CIEDE2000)."""

import warnings

import numpy as np
import pytest
from coloraide import Color

from fervens_core.colour import WAVELENGTHS_NM, delta_e_2000, hair_absorption, hair_lab
from fervens_core.colour.cie_tables import CIE_1964_AND_D65
from fervens_core.colour.spaces import lab_to_hex, lab_to_srgb, reflectance_to_lab

with warnings.catch_warnings():
    warnings.simplefilter("ignore")
    import colour

SHAPE = colour.SpectralShape(380, 780, 5)
OBSERVER = colour.MSDS_CMFS["CIE 1964 10 Degree Standard Observer"].copy().align(SHAPE)
D65 = colour.SDS_ILLUMINANTS["D65"].copy().align(SHAPE)


def test_tables_are_the_cies():
    ours = np.array(CIE_1964_AND_D65)
    np.testing.assert_allclose(ours[:, :3], OBSERVER.values, atol=1e-9)
    np.testing.assert_allclose(ours[:, 3], D65.values, rtol=1e-6)


def reference_lab(reflectance):
    sd = colour.SpectralDistribution(reflectance, SHAPE.wavelengths)
    xyz = colour.sd_to_XYZ(sd, OBSERVER, D65, method="Integration") / 100.0
    white = colour.sd_to_XYZ(colour.sd_ones(SHAPE), OBSERVER, D65, method="Integration") / 100.0
    return colour.XYZ_to_Lab(xyz, colour.XYZ_to_xy(white))


@pytest.mark.parametrize("level", [1, 3, 5, 7, 9, 10])
def test_spectrum_to_lab_as_the_reference_integrates(level):
    reflectance = 0.02 + 0.98 * np.exp(-5.9 * np.sqrt(hair_absorption(3.0, np.array(float(level)))))
    # both sum the same tables; the reference rounds its white to chromaticity, which moves Lab by under 0.001
    np.testing.assert_allclose(reflectance_to_lab(reflectance), reference_lab(reflectance), atol=2e-3)
    np.testing.assert_allclose(hair_lab(3.0, np.array(float(level))), reference_lab(reflectance), atol=2e-3)


def test_coloured_spectra_too():
    for peak in (450, 550, 620):
        reflectance = 0.05 + 0.9 * np.exp(-0.5 * ((WAVELENGTHS_NM - peak) / 30.0) ** 2)
        np.testing.assert_allclose(reflectance_to_lab(reflectance), reference_lab(reflectance), atol=5e-3)


def test_screen_colours_are_the_second_librarys():
    rng = np.random.default_rng(1)
    labs = np.column_stack([rng.uniform(15, 85, 60), rng.uniform(-5, 20, 60), rng.uniform(-5, 45, 60)])
    theirs = [Color("lab-d65", [float(v) for v in lab]).convert("srgb").coords() for lab in labs]
    # the sRGB matrix is published to seven digits
    np.testing.assert_allclose(lab_to_srgb(labs), np.clip(theirs, 0, 1), atol=3e-4)
    assert lab_to_hex(np.array([[100.0, 0.0, 0.0], [0.0, 0.0, 0.0]])) == ["#ffffff", "#000000"]


def test_difference_is_the_second_librarys():
    rng = np.random.default_rng(2)
    a = np.column_stack([rng.uniform(5, 95, 200), rng.uniform(-60, 60, 200), rng.uniform(-60, 60, 200)])
    b = a + rng.normal(0, 12, (200, 3))
    theirs = [
        Color("lab-d65", list(map(float, p))).delta_e(
            Color("lab-d65", list(map(float, q))), method="2000", space="lab-d65"
        )
        for p, q in zip(a, b, strict=True)
    ]
    np.testing.assert_allclose(delta_e_2000(a, b), theirs, atol=1e-6)
