# Everything that a newcomer types: `make demo` and `make test`. All targets do nothing where nothing changed.
SHELL := /bin/bash
PYTHON ?= python3
PORT ?= 8420
export ZINC_OTTER_DATA ?= data

VENV := .venv/bin
WEB_SOURCES := $(shell find web/src web/public -type f 2>/dev/null) web/index.html web/vite.config.ts web/tsconfig.json

.PHONY: setup demo serve test test-core test-e2e bench shots tables solids lint types clean

setup: .stamps/python .stamps/web

.stamps/python: requirements.lock pyproject.toml
	@mkdir -p .stamps
	@test -x $(VENV)/python || $(PYTHON) -m venv .venv || { echo "Install Python 3.11 or newer with its venv module (Debian: python3-venv)."; exit 1; }
	$(VENV)/python -m pip install --quiet --disable-pip-version-check -r requirements.lock
	$(VENV)/python -m pip install --quiet --disable-pip-version-check --no-deps --no-build-isolation -e .
	@touch $@

.stamps/npm: web/package-lock.json web/package.json
	@mkdir -p .stamps
	@command -v npm >/dev/null || { echo "Install Node.js 20 or newer with npm."; exit 1; }
	cd web && npm ci --no-audit --no-fund --loglevel=error
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

test: setup .stamps/debian
	$(VENV)/python -m tests

test-core: .stamps/python .stamps/debian
	$(VENV)/python -m tests core studio store api

test-e2e: setup .stamps/debian
	$(VENV)/python -m tests e2e

bench: setup .stamps/debian
	$(VENV)/python -m bench
	$(VENV)/python -m sheets.solids

shots: setup .stamps/debian
	$(VENV)/python -m tests.e2e.shots
	$(VENV)/python -m sheets.verbs

tables: .stamps/python
	$(VENV)/python -m sheets.tables
	$(VENV)/python -m sheets.notices

solids: .stamps/python
	$(VENV)/python -m sheets.solids

types: .stamps/python .stamps/npm
	$(VENV)/zinc-otter openapi > docs/openapi.json
	cd web && npm run --silent types

lint: .stamps/python .stamps/npm
	$(VENV)/ruff check .
	$(VENV)/mypy
	cd web && npm run --silent check && npm run --silent lint

clean:
	rm -rf .venv .stamps build web/node_modules web/dist
