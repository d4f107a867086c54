package main

import (
	"bytes"
	"context"
	"encoding/json"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"
)

const hut = "../../demo/skarrow-hut.zygonos.json"

func call(t *testing.T, in string, args ...string) (code int, out, errs string) {
	t.Helper()
	var o, e bytes.Buffer
	code = run(t.Context(), args, strings.NewReader(in), &o, &e)
	return code, o.String(), e.String()
}

func write(t *testing.T, name, text string) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), name)
	if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
		t.Fatal(err)
	}
	return path
}

func TestCheck(t *testing.T) {
	data, err := os.ReadFile(hut)
	if err != nil {
		t.Fatal(err)
	}
	broken := func(old, new string) string {
		s := strings.Replace(string(data), old, new, 1)
		if s == string(data) {
			t.Fatalf("%q is not in the demo plan", old)
		}
		return write(t, "p.json", s)
	}
	for _, c := range []struct {
		name string
		args []string
		code int
		word string // in what is printed, on either side
	}{
		{"something fails", []string{hut}, exitFails, "way out: slide Pea gravel 170 mm forward"},
		{"nothing fails", []string{"-outing", "boat-day", hut}, exitHolds, "TIGHT"},
		{"strict", []string{"-strict", "-outing", "boat-day", hut}, exitFails, "TIGHT"},
		{"unknown field", []string{broken(`"notes"`, `"nots"`)}, exitUnusable, "/nots: There is no such field."},
		{"negative", []string{broken(`"value": 640`, `"value": -640`)}, exitUnusable, "/loads/pea-gravel/mass: The weight cannot be less than zero: −640 kg."},
		{"no plan", []string{write(t, "x.json", `{`)}, exitUnusable, "not readable JSON"},
		{"no file", []string{"none.json"}, exitUnusable, "none.json"},
		{"no such outing", []string{"-outing", "moon", hut}, exitUnusable, `no outing "moon"`},
		{"no such trailer", []string{"-trailer", "moon", hut}, exitUnusable, `no trailer "moon"`},
		{"two files", []string{hut, hut}, exitUnusable, "one plan file"},
		{"name with steering signs", []string{"-outing", "gravel-day", broken(`"Pea gravel"`, `"Pea\u001b[2J\u202egravel"`)}, exitFails, "Pea [2J·gravel"},
	} {
		code, out, errs := call(t, "", append([]string{"check"}, c.args...)...)
		if code != c.code || !strings.Contains(out+errs, c.word) {
			t.Errorf("%s: %d\n%s%s", c.name, code, out, errs)
		}
	}
	code, out, _ := call(t, "", "check", "-json", "-outing", "gravel-day", hut)
	var reports []struct{ Headline struct{ Outcome string } }
	if err := json.Unmarshal([]byte(out), &reports); err != nil || code != exitFails || len(reports) != 1 || reports[0].Headline.Outcome != "fails" {
		t.Errorf("as JSON: %d %v", code, err)
	}
}

func TestUsage(t *testing.T) {
	for _, args := range [][]string{{}, {"fly"}, {"serve", "-no-such-flag"}, {"backup"}} {
		if code, _, errs := call(t, "", args...); code != exitUnusable || errs == "" {
			t.Errorf("%v: %d %q", args, code, errs)
		}
	}
	if code, out, _ := call(t, "", "help"); code != exitHolds || !strings.Contains(out, "zygonos check") {
		t.Errorf("help: %d", code)
	}
	if code, out, _ := call(t, "", "schema"); code != exitHolds || !json.Valid([]byte(out)) || !strings.Contains(out, "couplingToAxle") {
		t.Errorf("schema: %d", code)
	}
}

// An address that others can reach needs a passcode.
func TestPasscodeForOpenAddress(t *testing.T) {
	db := filepath.Join(t.TempDir(), "z.db")
	if code, _, errs := call(t, "", "serve", "-addr", "0.0.0.0:0", "-db", db); code != exitFails || !strings.Contains(errs, "needs a passcode") {
		t.Errorf("without: %d %s", code, errs)
	}
	if code, _, errs := call(t, "", "serve", "-addr", "127.0.0.1:0", "-ask", "-db", db); code != exitFails || !strings.Contains(errs, "needs a passcode") {
		t.Errorf("asking without one: %d %q", code, errs)
	}
	if code, _, errs := call(t, "short\n", "passcode", "-db", db); code != exitFails || !strings.Contains(errs, "8 to 72") {
		t.Errorf("short: %d %s", code, errs)
	}
	if code, _, errs := call(t, "long enough\n", "passcode", "-db", db); code != exitHolds {
		t.Errorf("set: %d %s", code, errs)
	}
	for addr, want := range map[string]bool{"127.0.0.1:1": true, "[::1]:1": true, "localhost:1": true, "0.0.0.0:1": false, ":1": false, "192.168.1.2:1": false, "x": false} {
		if loopback(addr) != want {
			t.Errorf("%s: loopback is %v", addr, !want)
		}
	}
}

type safeBuffer struct {
	ch chan string
}

func (b safeBuffer) Write(p []byte) (int, error) {
	b.ch <- string(p)
	return len(p), nil
}

// Serve, restart on the same database, back up while serving: nothing is lost.
func TestServeRestartBackup(t *testing.T) {
	dir := t.TempDir()
	db := filepath.Join(dir, "z.db")
	get := func(command string) string {
		ctx, stop := context.WithCancel(t.Context())
		out := safeBuffer{make(chan string, 4)}
		done := make(chan int, 1)
		go func() { done <- run(ctx, []string{command, "-addr", "127.0.0.1:0", "-db", db}, nil, out, out) }()
		var line string
		select {
		case line = <-out.ch:
		case <-time.After(20 * time.Second):
			t.Fatal("the server did not start")
		}
		_, base, ok := strings.Cut(strings.TrimSpace(line), " on ")
		if !ok {
			t.Fatalf("it says %q", line)
		}
		res, err := http.Get(base + "/api/plans")
		if err != nil {
			t.Fatal(err)
		}
		var b bytes.Buffer
		_, _ = b.ReadFrom(res.Body)
		res.Body.Close()
		if command == "serve" {
			if code, _, errs := call(t, "", "backup", "-db", db, filepath.Join(dir, "copy.db")); code != exitHolds {
				t.Errorf("backup: %s", errs)
			}
		}
		stop()
		if code := <-done; code != exitHolds {
			t.Errorf("%s ended with %d", command, code)
		}
		return b.String()
	}
	first := get("demo")
	if !strings.Contains(first, "skarrow-hut") || !strings.Contains(first, "heather-hives") {
		t.Fatalf("the demo plans are not there: %s", first)
	}
	if again := get("serve"); again != first {
		t.Errorf("after a restart: %s", again)
	}
}

// Flags stand before or behind the file, with one dash or two; the version tells what was built.
func TestFlagsAnywhere(t *testing.T) {
	var first string
	for i, args := range [][]string{{"-json", "-outing", "boat-day", hut}, {hut, "--json", "--outing=boat-day"}, {"--outing", "boat-day", hut, "-json"}} {
		code, out, errs := call(t, "", append([]string{"check"}, args...)...)
		if code != exitHolds || !json.Valid([]byte(out)) {
			t.Errorf("%v: %d %s", args, code, errs)
		}
		if i == 0 {
			first = out
		} else if out != first {
			t.Errorf("%v says something else", args)
		}
	}
	if code, _, errs := call(t, "", "check", "--nope", hut); code != exitUnusable || !strings.Contains(errs, "nope") || !strings.Contains(errs, "--json") {
		t.Errorf("%d %s", code, errs)
	}
	if code, out, _ := call(t, "", "version"); code != exitHolds || !strings.HasPrefix(out, "zygonos ") {
		t.Errorf("%d %s", code, out)
	}
}
