#!/usr/bin/env bash
# Installs the locked packages when the lock has changed, and takes over the compiled core and what is written from it.
set -euo pipefail
cd "$(dirname "$0")"
if ! cmp -s package-lock.json node_modules/.installed-lock; then
  npm ci --no-audit --no-fund --silent
  cp package-lock.json node_modules/.installed-lock
fi
mkdir -p src/core/generated
cp ../core-js/target/js/core.js ../core-js/target/js/*.ts src/core/generated/
