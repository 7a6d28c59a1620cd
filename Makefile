# Everything is installed into .venv and web/node_modules; stamps in .stamps say what is up to date.
PYTHON ?= python3.11
ifeq ($(shell command -v $(PYTHON)),)
PYTHON := python3
endif
BIN := .venv/bin
HOST ?= 127.0.0.1
PORT ?= 8420
WEB_SOURCES := $(shell find web/src web/public -type f 2>/dev/null) web/index.html web/vite.config.ts
.DEFAULT_GOAL := help

help: ## this list
	@grep -hE '^[a-z-]+:.*##' $(MAKEFILE_LIST) | sed 's/:.*## /\t/' | expand -t 14

.venv/bin/uv:
	$(PYTHON) -m venv .venv
	$(BIN)/pip install --quiet --disable-pip-version-check uv || true

.stamps/python: requirements.txt requirements-dev.txt pyproject.toml | .venv/bin/uv
	@mkdir -p .stamps
	@if [ -x $(BIN)/uv ]; then $(BIN)/uv pip install --quiet --python .venv -r requirements-dev.txt && $(BIN)/uv pip install --quiet --python .venv --no-deps -e .; \
	else $(BIN)/pip install --quiet -r requirements-dev.txt && $(BIN)/pip install --quiet --no-deps -e .; fi
	@touch $@

.stamps/node: web/package-lock.json web/.npmrc
	@mkdir -p .stamps
	cd web && npm ci --no-audit --no-fund --loglevel=error
	@touch $@

.stamps/web: .stamps/node $(WEB_SOURCES)
	cd web && npx vite build --logLevel warn
	@touch $@

DRAWN_BY := $(wildcard garnetfern/demo/*.py garnetfern/stock/brush.py garnetfern/core/film/*.py)
.stamps/sample: .stamps/python $(DRAWN_BY)
	$(BIN)/python -c "from garnetfern.demo.drawn import main; main()"
	@touch $@

.stamps/chromium:
	@mkdir -p .stamps
	@test -x /usr/bin/chromium-headless-shell || { \
	  if [ "$$(id -u)" = 0 ]; then root=; else root=sudo; fi; \
	  $$root apt-get update -qq && $$root apt-get install -y -qq chromium-headless-shell >/dev/null; } \
	  || test -x /usr/bin/chromium
	@touch $@

setup: .stamps/python .stamps/web .stamps/sample .stamps/chromium ## everything that demo and tests need; starts nothing

demo: .stamps/python .stamps/web .stamps/sample ## build, start with the sample site, print the address
	$(BIN)/garnetfern serve --demo --host $(HOST) --port $(PORT) --data data/demo

test: setup ## all tests, the interface in headless Chromium included
	cd web && npm run --silent test -- --silent
	$(BIN)/pytest -n 2 --dist worksteal || { echo "Once more, by themselves, those that failed:"; \
	  $(BIN)/pytest --last-failed --last-failed-no-failures none; }

lint: .stamps/python .stamps/node ## every check that runs nothing
	$(BIN)/ruff check .
	$(BIN)/ruff format --check .
	$(BIN)/mypy
	$(BIN)/lint-imports --no-logo
	cd web && npm run --silent check && npm run --silent lint

wheel: .stamps/python .stamps/web .stamps/sample ## dist/garnetfern-*.whl, which holds everything that the application needs
	rm -rf build dist
	@if [ -x $(BIN)/uv ]; then $(BIN)/uv build --quiet --wheel --out-dir dist; else $(BIN)/pip wheel --quiet --no-deps -w dist .; fi
	rm -rf build *.egg-info
	@ls dist/*.whl

fuzz: setup ## thousands of requests and files at the edges; takes minutes
	GARNETFERN_MORE=60 $(BIN)/pytest -s tests/fuzz
	GARNETFERN_MORE=10 $(BIN)/pytest tests/service/test_accepted.py

mutants: .stamps/python ## do the tests of the core bite? some 20 minutes
	$(BIN)/python scripts/mutants.py 60

kills: .stamps/python ## two hundred kills, each followed by a look at everything that was kept
	rm -rf .stamps/kills && $(BIN)/python -m tests.service.kill_rounds .stamps/kills/data 200

clean: ## remove everything that was made here, but for the data
	rm -rf .venv .stamps web/node_modules garnetfern/web garnetfern/demo/drawings build dist *.egg-info test-results
	rm -rf .pytest_cache .mypy_cache .ruff_cache .hypothesis .import_linter_cache
	find . -name __pycache__ -not -path './web/*' -prune -exec rm -rf {} +

types: .stamps/python .stamps/node ## the interface's types, from the API
	$(BIN)/python scripts/openapi.py
	cd web && npm run --silent types

screenshots: setup ## docs/screenshots, from the sample site
	$(BIN)/python scripts/screenshots.py

film: setup ## docs/film.webp, from the sample site
	$(BIN)/python scripts/film.py

bench: setup ## speed of the bench and of the check, beside a scripted browser
	$(BIN)/python -m benchmarks

fidelity: setup ## docs/fidelity*.md, measured in Chromium
	$(BIN)/python scripts/fidelity.py
	$(BIN)/python scripts/fidelity_met.py
	$(BIN)/python scripts/fidelity_moving.py
	$(BIN)/python scripts/fidelity_fonts.py
	$(BIN)/python scripts/fidelity_photographs.py
	$(BIN)/python scripts/fidelity_banners.py
	GARNETFERN_ALL=1 $(BIN)/pytest -n 2 --dist worksteal tests/referee tests/interface/test_every_size.py

.PHONY: help setup demo test lint types wheel fuzz kills mutants clean screenshots film bench fidelity
