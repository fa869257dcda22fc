# Two commands: `make start` runs the program with the demo lessons, `make test` passes the tests.
PYTHON ?= $(shell command -v python3.11 || command -v python3)
VENV := .venv
PORT ?= 8200
CLASS_PORT ?= $(shell expr $(PORT) + 1)

MINUTES ?= 4

.PHONY: start test walks bench chromium campaign screenshots

start: $(VENV)/ready
	@$(VENV)/bin/python -m compileall -q ruddy_trellis
	$(VENV)/bin/python -m ruddy_trellis --port $(PORT) --class-site $(CLASS_PORT)

test: $(VENV)/ready-for-tests
	@command -v chromium >/dev/null || (echo "Installing Chromium for the browser tests" && apt-get update -qq && apt-get install -y -qq chromium)
	@$(VENV)/bin/python -m compileall -q ruddy_trellis tests
	$(VENV)/bin/python -m tests

walks: $(VENV)/ready-for-tests
	@command -v pdflatex >/dev/null && command -v rsvg-convert >/dev/null && command -v pdffonts >/dev/null || (echo "Installing readers of files" && \
		apt-get update -qq && apt-get install -y -qq --no-install-recommends texlive-latex-base texlive-latex-recommended texlive-pictures \
		texlive-fonts-recommended librsvg2-bin poppler-utils)
	WALKS=all $(VENV)/bin/python -m tests tests.browser tests.drawings tests.core.test_claims

bench: $(VENV)/ready-for-tests
	$(VENV)/bin/python -m bench

chromium: $(VENV)/ready-for-tests
	$(VENV)/bin/python -m tests.chromium

campaign: $(VENV)/ready-for-tests
	$(VENV)/bin/python -m tests.campaign $(MINUTES)

screenshots: $(VENV)/ready-for-tests
	$(VENV)/bin/python -m docs.take_screenshots

$(VENV)/ready: requirements.txt
	$(PYTHON) -m venv $(VENV)
	$(VENV)/bin/pip install --quiet -r requirements.txt
	touch $@

$(VENV)/ready-for-tests: $(VENV)/ready requirements-test.txt
	$(VENV)/bin/pip install --quiet -r requirements-test.txt
	touch $@
