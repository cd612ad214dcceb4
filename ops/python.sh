# Sourced by bin/start and bin/test: sets $python to a Python 3.11 or 3.12, installing Debian's if there is none.
find_python() {
  local name
  for name in python3.11 python3.12 python3; do
    if command -v "$name" >/dev/null 2>&1 &&
      "$name" -c 'import sys; sys.exit(not (3, 11) <= sys.version_info[:2] < (3, 13))' 2>/dev/null &&
      "$name" -c 'import ensurepip, venv' 2>/dev/null; then
      python=$(command -v "$name")
      return 0
    fi
  done
  return 1
}
if ! find_python; then
  echo "Installing Python (Debian: python3 python3-venv)"
  as_root=""
  if [ "$(id -u)" != 0 ]; then
    if ! command -v sudo >/dev/null 2>&1; then
      echo "Python 3.11 is missing, and this user may not install it: run once as root." >&2
      exit 1
    fi
    as_root=sudo
  fi
  if ! { $as_root apt-get update -qq && $as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq python3 python3-venv; } >/dev/null 2>&1 || ! find_python; then
    echo "Python 3.11 could not be installed from Debian's packages (python3 python3-venv)." >&2
    exit 1
  fi
fi
