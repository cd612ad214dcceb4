"""The trade's rules and computation of a lightening and toning service. Pure: no interface, no clock, no storage."""
