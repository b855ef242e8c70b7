# Everything that a newcomer types: `make demo` and `make test`. All targets do nothing where nothing changed.
SHELL := /bin/bash
PYTHON ?= python3
PORT ?= 8420
export ZINC_OTTER_DATA ?= data
# Compiled once, not at each start: a server or a worker begins in two thirds of the time.
unexport PYTHONDONTWRITEBYTECODE

VENV := .venv/bin
WEB_SOURCES := $(shell find web/src web/public -type f 2>/dev/null) web/index.html web/vite.config.ts web/tsconfig.json

.PHONY: setup wheel demo serve test test-core test-e2e bench shots tables solids lint types clean

setup: .stamps/python .stamps/web

.stamps/python: requirements.lock pyproject.toml
	@mkdir -p .stamps
	@command -v $(PYTHON) >/dev/null || { echo "Install Python 3.11 or newer; there is no $(PYTHON) here."; exit 1; }
	@$(PYTHON) -c 'import sys; sys.exit(sys.version_info < (3, 11))' || { echo "Python 3.11 or newer is needed; $(PYTHON) is $$($(PYTHON) --version 2>&1). Another one is named by: make PYTHON=python3.12"; exit 1; }
	@# One that was broken off while it was made has no pip: it is made anew.
	@$(VENV)/python -m pip --version >/dev/null 2>&1 || { rm -rf .venv; $(PYTHON) -m venv .venv; } || { rm -rf .venv; echo "Install the venv module of Python (Debian: python3-venv)."; exit 1; }
	$(VENV)/python -m pip install --quiet --disable-pip-version-check -r requirements.lock
	$(VENV)/python -m pip install --quiet --disable-pip-version-check --no-deps --no-build-isolation -e .
	@touch $@

# What tests, looks over and measures; the application itself needs none of it.
.stamps/develop: develop.lock .stamps/python
	$(VENV)/python -m pip install --quiet --disable-pip-version-check -r develop.lock
	@touch $@

.stamps/npm: web/package-lock.json web/package.json
	@mkdir -p .stamps
	@command -v npm >/dev/null && command -v node >/dev/null || { echo "Install Node.js 20.19 or newer (or 22.12 or newer) with npm."; exit 1; }
	@node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(+(a === 20 ? b < 19 : a === 22 ? b < 12 : a < 23))' || { echo "Node.js 20.19 or newer (or 22.12 or newer) is needed; this is $$(node --version)."; exit 1; }
	cd web && npm ci --ignore-scripts --no-audit --no-fund --loglevel=error
	@touch $@

.stamps/web: .stamps/npm $(WEB_SOURCES)
	cd web && npm run --silent build
	@touch $@

# Debian's packages for the tests: a browser, software drawing, and the independent reference for surfaces.
.stamps/debian:
	@mkdir -p .stamps
	@bash tests/debian_packages.sh
	@touch $@

demo: setup
	$(VENV)/zinc-otter serve --demo --port $(PORT)

serve: setup
	$(VENV)/zinc-otter serve --port $(PORT)

test: setup .stamps/develop .stamps/debian
	$(VENV)/python -m tests

test-core: .stamps/develop .stamps/debian
	$(VENV)/python -m tests core studio store api

test-e2e: setup .stamps/develop .stamps/debian
	$(VENV)/python -m tests e2e

bench: setup .stamps/develop .stamps/debian
	$(VENV)/python -m bench
	$(VENV)/python -m sheets.solids

shots: setup .stamps/develop .stamps/debian
	$(VENV)/python -m tests.e2e.shots
	$(VENV)/python -m sheets.verbs

tables: .stamps/develop
	$(VENV)/python -m sheets.tables
	$(VENV)/python -m sheets.notices

solids: .stamps/develop
	$(VENV)/python -m sheets.solids

types: .stamps/python .stamps/npm
	$(VENV)/zinc-otter openapi > docs/openapi.json
	cd web && npm run --silent types

lint: .stamps/develop .stamps/npm
	$(VENV)/ruff check .
	$(VENV)/mypy
	cd web && npm run --silent check && npm run --silent lint

# One file for a Python that has no Node: the front end lies in it.
wheel: setup
	rm -rf build src/zinc_otter/web && cp -r web/dist src/zinc_otter/web
	$(VENV)/python -m pip wheel --quiet --no-deps --no-build-isolation --wheel-dir dist . ; rm -rf build src/zinc_otter/web

clean:
	rm -rf .venv .stamps build web/node_modules web/dist
