"""Volume strength and percent. Sources: IUPAC atomic weights (periodictable), CODATA molar volume (scipy.constants);
12 % limit: Regulation (EC) No 1223/2009, Annex III (from memory)."""

import periodictable
import pytest
from scipy import constants
from told import refused

from fervens_core.base import LimitError, nominal_percent
from fervens_core.base.quantities import percent_to_volume, volume_to_percent


def grams_per_litre(volume: float) -> float:
    """2 H2O2 -> 2 H2O + O2, gas at 0 degC and 1 atm, from the libraries' own constants."""
    molar_volume = constants.R * 273.15 / constants.atm * 1000.0
    return 2.0 * volume / molar_volume * periodictable.formula("H2O2").mass


@pytest.mark.parametrize("volume", [5, 7, 10, 20, 25, 30, 40])
def test_percent_holds_the_peroxide_the_oxygen_came_from(volume):
    percent = volume_to_percent(volume)
    density = 0.9982 + 0.0036 * percent
    # the constants of two libraries agree to 3e-5
    assert percent * 10.0 * density == pytest.approx(grams_per_litre(volume), rel=5e-5)


@pytest.mark.parametrize(("volume", "label"), [(5, 1.5), (7, 2.1), (10, 3), (20, 6), (30, 9), (40, 12)])
def test_label_percent(volume, label):
    # common practice, no source: the bottle says 0.3 % per vol; chemistry by mass stays within 4 % of it
    assert nominal_percent(volume) == pytest.approx(label)
    assert volume_to_percent(volume) == pytest.approx(label, rel=0.04)


def test_forty_volume_is_the_most_for_hair():
    assert volume_to_percent(40) <= 12.0
    with refused(LimitError, match=r"volume_strength: must be a number from 0.5 to 40 vol, got 41"):
        volume_to_percent(41)
    with refused(LimitError, match=r"percent: .*12 %, got 12.5"):
        percent_to_volume(12.5)


@pytest.mark.parametrize("volume", [0.5, 3.0, 18.5, 39.9])
def test_percent_and_back(volume):
    assert percent_to_volume(volume_to_percent(volume)) == pytest.approx(volume, rel=1e-12)
