"""The core from the command line."""
