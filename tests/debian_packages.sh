#!/usr/bin/env bash
# Install the Debian packages that the tests need, where they are missing and it is allowed; otherwise say what to install.
set -u
wanted=(chromium libgl1-mesa-dri libegl1 libosd-dev g++)
missing=()
for package in "${wanted[@]}"; do
  dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q "install ok installed" || missing+=("$package")
done
[ ${#missing[@]} -eq 0 ] && exit 0
if [ "$(id -u)" -eq 0 ]; then run=(); elif sudo -n true 2>/dev/null; then run=(sudo -n); else run=(no); fi
if [ "${run[0]:-}" = no ] || ! command -v apt-get >/dev/null; then
  echo "The tests need these packages of Debian, and this user may not install them: ${missing[*]}"
  echo "Please run: sudo apt-get install ${missing[*]}"
  exit 1
fi
echo "Installing for the tests: ${missing[*]}"
"${run[@]}" apt-get update -qq && "${run[@]}" env DEBIAN_FRONTEND=noninteractive \
  apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null
