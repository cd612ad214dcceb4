"""Properties are checked on a machine of any speed, with the same examples each time: a gate must not depend on luck.

To look further: HYPOTHESIS_PROFILE=explore python -m pytest core/tests -p no:django
"""

import os

from hypothesis import settings

settings.register_profile("any_machine", deadline=None, derandomize=True)
settings.register_profile("explore", deadline=None, max_examples=2000)
settings.load_profile(os.environ.get("HYPOTHESIS_PROFILE", "any_machine"))
