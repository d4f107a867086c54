# make demo — set up what is missing, build, serve the demo plans.
# make test — set up what is missing, check and test everything.
SHELL := /bin/bash
.DEFAULT_GOAL := help
.DELETE_ON_ERROR:
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD = 1

DEPS   := node_modules/.package-lock.json
TYPES  := ui/src/generated/types.ts
TABLES := ui/src/generated/tables.ts
PAGE   := ui/dist/index.html
BIN    := bin/zygonos
GO_SRC := $(shell find cmd core demo standin store web ui/embed.go -name '*.go' -not -name '*_test.go') $(wildcard demo/*.json store/migrations/*.sql) go.mod go.sum
UI_SRC := $(shell find ui/src ui/public -type f) ui/index.html ui/vite.config.ts

.PHONY: help demo build dev fmt quick test deep bench shots sentences stats types lint go-test e2e browser release

help:
	@sed -n 's/^# //p' $(MAKEFILE_LIST) | head -2

$(DEPS): package.json package-lock.json
	npm ci --no-audit --no-fund --loglevel=error
	@touch $@

$(PAGE): $(DEPS) $(UI_SRC) package.json
	npx vite build ui --logLevel warn
	@touch ui/dist/.keep

$(BIN): $(PAGE) $(GO_SRC)
	go build -trimpath -ldflags '-s -w' -o $@ ./cmd/zygonos

build: $(BIN)

# Static programs for every machine, with checksums, in dist/: pure Go, nothing to install beside them.
TARGETS := linux/amd64 linux/arm64 darwin/amd64 darwin/arm64 windows/amd64
VERSION := $(shell git describe --tags --exact-match 2>/dev/null || git log -1 --format=%cd --date=format:%Y.%m.%d 2>/dev/null)
release: $(PAGE)
	@rm -rf dist && mkdir -p dist
	@for t in $(TARGETS); do \
	  os=$${t%/*} arch=$${t#*/}; out=dist/zygonos-$$os-$$arch; test $$os = windows && out=$$out.exe; \
	  echo $$out; CGO_ENABLED=0 GOOS=$$os GOARCH=$$arch go build -trimpath -ldflags '-s -w -X main.release=$(VERSION)' -o $$out ./cmd/zygonos || exit 1; \
	done
	@cp docs/zygonos.service dist/ && cd dist && sha256sum zygonos-* > SHA256SUMS && cat SHA256SUMS

demo: $(BIN)
	@exec $(BIN) demo -db data/demo.db

# The server and the page, both anew at each change of a file: http://127.0.0.1:5173
dev: $(DEPS)
	@mkdir -p data ui/dist && touch ui/dist/index.html
	@trap 'kill 0' EXIT; npx vite ui --logLevel warn & \
	while true; do \
	  go build -o bin/zygonos-dev ./cmd/zygonos && { bin/zygonos-dev demo -db data/demo.db & server=$$!; }; \
	  before=$$(find cmd core demo standin store web -name '*.go' -newer bin/zygonos-dev | wc -l); \
	  while [ $$(find cmd core demo standin store web -name '*.go' -newer bin/zygonos-dev | wc -l) = $$before ]; do sleep 1; done; \
	  kill $$server 2>/dev/null; wait $$server 2>/dev/null; \
	done

fmt: $(DEPS)
	gofmt -w cmd core demo standin store web ui/embed.go
	npm run -s format

# What fits between two thoughts: formats, vet, types, and the tests without the long ones.
quick: $(DEPS)
	@test -z "$$(gofmt -l cmd core demo standin store web ui/embed.go)" || { gofmt -l cmd core demo standin store web ui/embed.go; exit 1; }
	npm run -s types & npm run -s unit & go vet ./... && wait
	go test -short ./...

# The interface's types, from the Go types.
types: $(DEPS)
	@mkdir -p tmp
	go build -o tmp/types ./cmd/types && tmp/types schema > tmp/schema.json && tmp/types tables > tmp/tables.ts
	npx json2ts -i tmp/schema.json --no-additionalProperties --bannerComment "/* Generated from the Go types by make types. Do not edit. */" > tmp/types.ts
	@cmp -s tmp/types.ts $(TYPES) || cp tmp/types.ts $(TYPES)
	@cmp -s tmp/tables.ts $(TABLES) || cp tmp/tables.ts $(TABLES)

lint: $(DEPS)
	@test -z "$$(gofmt -l cmd core demo standin store web ui/embed.go)" || { gofmt -l cmd core demo standin store web ui/embed.go; echo "gofmt: these files are not formatted"; exit 1; }
	go vet ./...
	go tool staticcheck ./...
	@before=$$(cat $(TYPES) $(TABLES) | cksum); $(MAKE) -s types; test "$$before" = "$$(cat $(TYPES) $(TABLES) | cksum)" || { echo "what is generated was stale: commit $(TYPES) and $(TABLES)"; exit 1; }
	npm run -s types
	npm run -s lint
	npm run -s unit

go-test: $(PAGE)
	go test ./...

browser:
	@command -v chromium-headless-shell >/dev/null || { \
	  if [ "$$(id -u)" = 0 ]; then \
	    echo "Installing Debian's headless Chromium."; \
	    apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq chromium-headless-shell >/dev/null || command -v chromium >/dev/null; \
	  elif ! command -v chromium >/dev/null; then \
	    echo "A browser is missing. Install it, then run again: sudo apt-get install chromium-headless-shell"; exit 1; \
	  fi; }

e2e: $(BIN) $(DEPS) browser
	npm run -s e2e

test: $(DEPS) lint go-test e2e

# Long runs: what is offered over many random rigs, fuzzing, kills, savers, flipped bits. Each
# prints its figures; docs/reliability.md holds those of the last whole run.
FUZZTIME ?= 10m
FUZZ := $(shell grep -rHo --include='*_test.go' 'func Fuzz[A-Za-z]*' core web store | sed -E 's|/[^/]*:func |:|')
deep: $(BIN) $(DEPS) browser
	KEYS=1 DARK=1 OTHER=1 WIDE=390 PRINT=1 npx playwright test -c e2e stories
	DEEP=1 go test ./core/study -run 'TestOffered|TestEveryReportEncodes' -v -timeout 90m
	DEEP=1 go test ./core/review -run 'TestGuesses|AtRandom|AnyUsual' -v -timeout 60m
	DEEP=1 go test ./core/practice -run Makers -timeout 180m
	DEEP=1 go test ./store -run Anywhere -v
	DEEP=1 go test ./cmd/zygonos -run Deep -v -timeout 60m
	DEEP=1 go test ./web -run Soak -v -timeout 60m
	@for t in $(FUZZ); do \
	  echo $$t; go test ./$${t%:*} -run NONE -fuzz "^$${t#*:}$$" -fuzztime $(FUZZTIME) -fuzzminimizetime 20x || exit 1; \
	done

bench: $(BIN) $(DEPS) browser
	go test ./core/... -run NONE -bench . -benchtime 1s
	SPEED=1 npx playwright test -c e2e speed --workers 1 --reporter line

shots: $(BIN) $(DEPS) browser
	SHOTS=1 npx playwright test -c e2e shots

sentences:
	@go run ./cmd/sentences $(WHAT)

stats:
	@scripts/stats
