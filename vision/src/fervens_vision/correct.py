"""From the card's patches to a correction of colour: root-polynomial, degree 2 (Finlayson et al. 2015).

It does not depend on how bright the picture is, so a strand may lie darker than any patch.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_vision.card import CardValues, Floats
from fervens_vision.colours import WHITE_10, lab_to_xyz, science, xyz_to_lab
from fervens_vision.light import Light, Sample

DEGREE = 2


@dataclass(frozen=True, slots=True)
class Correction:
    """The correction, and what it leaves on the card's own patches: spread of each of L*, a*, b*."""

    matrix: Floats
    lab_std: Floats

    def lab(self, reflectance: Floats) -> Floats:
        """CIELAB (D65, 10 degrees) of what three channels stand for, shape (n, 3)."""
        told = science().characterisation.apply_matrix_colour_correction_Finlayson2015(
            reflectance, self.matrix, degree=DEGREE
        )
        return xyz_to_lab(np.maximum(np.asarray(told), 0.0) * WHITE_10)


def fit_correction(samples: tuple[Sample, ...], light: Light, values: CardValues) -> Correction:
    """The correction that brings the patches nearest to what the card is known to be."""
    seen = light.reflectance(np.array([s.light for s in samples]), np.array([s.at for s in samples]))
    wanted = np.array([values.lab[s.name] for s in samples])
    relative = lab_to_xyz(wanted) / WHITE_10
    # dark patches weigh by their share of lightness, not of light
    weight = 1.0 / np.maximum(relative[:, 1:2], 0.02) ** (2.0 / 3.0)
    matrix = science().characterisation.matrix_colour_correction_Finlayson2015(
        seen * weight, relative * weight, degree=DEGREE
    )
    found = Correction(np.asarray(matrix), np.zeros(3))
    left = found.lab(seen) - wanted
    return Correction(found.matrix, np.sqrt((left**2).mean(axis=0)))
