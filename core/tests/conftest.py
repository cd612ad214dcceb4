"""Properties are checked on a machine of any speed: no deadline for one example."""

from hypothesis import settings

settings.register_profile("any_machine", deadline=None)
settings.load_profile("any_machine")
