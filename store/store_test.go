package store_test

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"sync"
	"testing"
	"time"

	"zygonos/store"
)

func open(t *testing.T) (*store.Store, string) {
	t.Helper()
	path := filepath.Join(t.TempDir(), "sub dir", "plans#1.db")
	s, err := store.Open(t.Context(), path)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { s.Close() })
	return s, path
}

func save(id, doc string) store.Save {
	return store.Save{ID: id, Sitting: "tab", Name: "Plan", Document: []byte(doc)}
}

func TestSaveAndReopen(t *testing.T) {
	s, path := open(t)
	ctx := t.Context()
	if _, err := s.Create(ctx, "p", save("s1", `{"a":1}`)); err != nil {
		t.Fatal(err)
	}
	if rev, err := s.Update(ctx, "p", 1, save("s2", `{"a":2}`)); err != nil || rev != 2 {
		t.Fatalf("revision %d, %v", rev, err)
	}
	s.Close()
	again, err := store.Open(ctx, path)
	if err != nil {
		t.Fatal(err)
	}
	defer again.Close()
	p, err := again.Get(ctx, "p")
	if err != nil || p.Revision != 2 || string(p.Document) != `{"a":2}` {
		t.Errorf("got %+v, %v", p, err)
	}
}

func TestStaleSaveIsRefused(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", save("s1", `1`))
	if _, err := s.Update(ctx, "p", 1, save("s2", `2`)); err != nil {
		t.Fatal(err)
	}
	if _, err := s.Update(ctx, "p", 1, save("s3", `3`)); !errors.Is(err, store.ErrConflict) {
		t.Errorf("a stale save: %v", err)
	}
	if p, _ := s.Get(ctx, "p"); string(p.Document) != `2` {
		t.Errorf("it holds %s", p.Document)
	}
	// A retry of the save that did commit succeeds, though its base is old by now.
	if rev, err := s.Update(ctx, "p", 1, save("s2", `2`)); err != nil || rev != 2 {
		t.Errorf("retry: %d, %v", rev, err)
	}
	if rev, err := s.Create(ctx, "p", save("s2", `2`)); err != nil || rev != 2 {
		t.Errorf("create again by the same save: %d, %v", rev, err)
	}
	if _, err := s.Create(ctx, "p", save("s9", `9`)); !errors.Is(err, store.ErrConflict) {
		t.Errorf("another plan under the same id: %v", err)
	}
	if _, err := s.Update(ctx, "none", 1, save("s4", `4`)); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("no such plan: %v", err)
	}
}

// A save whose answer was lost and that was edited on is not another's change.
func TestAfterALostAnswer(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", save("s1", `1`))
	_, _ = s.Update(ctx, "p", 1, save("lost", `2`)) // the client never heard of it
	next := save("s3", `3`)
	next.After = []string{"other", "lost"}
	if rev, err := s.Update(ctx, "p", 1, next); err != nil || rev != 3 {
		t.Errorf("after its own save: %d, %v", rev, err)
	}
	stale := save("s4", `4`)
	stale.After = []string{"lost"} // no longer the latest
	if _, err := s.Update(ctx, "p", 1, stale); !errors.Is(err, store.ErrConflict) {
		t.Errorf("after another's save: %v", err)
	}
}

// Autosaves of one sitting fold into one; a named revision and another
// sitting's stay.
func TestHistoryFolds(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", store.Save{ID: "0", Sitting: "", Document: []byte(`0`)})
	step := func(base int64, id, sitting, label string) {
		t.Helper()
		if _, err := s.Update(ctx, "p", base, store.Save{ID: id, Sitting: sitting, Label: label, Document: []byte(id)}); err != nil {
			t.Fatal(err)
		}
	}
	step(1, "1", "a", "")
	step(2, "2", "a", "")
	step(3, "3", "a", "before the trip")
	step(4, "4", "a", "")
	step(5, "5", "a", "")
	step(6, "6", "b", "")
	h, err := s.History(ctx, "p")
	if err != nil {
		t.Fatal(err)
	}
	var got string
	for _, r := range h {
		got += fmt.Sprintf("%d%s ", r.Revision, r.Label)
	}
	if got != "7 6 4before the trip 1 " {
		t.Errorf("history %q", got)
	}
	if doc, err := s.At(ctx, "p", 4); err != nil || string(doc) != "3" {
		t.Errorf("revision 4: %s, %v", doc, err)
	}
	if _, err := s.At(ctx, "p", 2); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("a folded revision: %v", err)
	}
}

func TestDeleteAndRestore(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", save("s1", `1`))
	if err := s.SetDeleted(ctx, "p", true); err != nil {
		t.Fatal(err)
	}
	if _, err := s.Get(ctx, "p"); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("deleted: %v", err)
	}
	if l, _ := s.List(ctx); len(l) != 0 {
		t.Errorf("listed: %v", l)
	}
	if err := s.SetDeleted(ctx, "p", false); err != nil {
		t.Fatal(err)
	}
	if p, err := s.Get(ctx, "p"); err != nil || string(p.Document) != `1` {
		t.Errorf("restored: %v", err)
	}
	if err := s.SetDeleted(ctx, "none", true); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("no such plan: %v", err)
	}
}

// Of many saves on the same base one wins and the others are stated.
func TestRace(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", save("s", `0`))
	var wg sync.WaitGroup
	results := make(chan error, 12)
	for i := range 12 {
		wg.Go(func() {
			_, err := s.Update(ctx, "p", 1, save(fmt.Sprint("r", i), fmt.Sprint(i)))
			results <- err
		})
	}
	wg.Wait()
	close(results)
	won := 0
	for err := range results {
		if err == nil {
			won++
		} else if !errors.Is(err, store.ErrConflict) {
			t.Errorf("lost with %v", err)
		}
	}
	if won != 1 {
		t.Errorf("%d saves won", won)
	}
}

// A damaged, a newer and a foreign database are refused and not touched.
func TestRefusedDatabases(t *testing.T) {
	dir := t.TempDir()
	sqlFile := func(name string, statements ...string) string {
		path := filepath.Join(dir, name)
		db, err := sql.Open("sqlite", path)
		if err != nil {
			t.Fatal(err)
		}
		defer db.Close()
		for _, s := range statements {
			if _, err := db.Exec(s); err != nil {
				t.Fatal(err)
			}
		}
		return path
	}
	damaged := filepath.Join(dir, "damaged.db")
	if err := os.WriteFile(damaged, []byte("SQLite format 3\x00 and then nothing that it should hold, at some length"), 0o600); err != nil {
		t.Fatal(err)
	}
	newer := sqlFile("newer.db", "CREATE TABLE goose_db_version (id INTEGER PRIMARY KEY, version_id INTEGER, is_applied INTEGER, tstamp TEXT)",
		"INSERT INTO goose_db_version (version_id, is_applied) VALUES (99, 1)")
	foreign := sqlFile("foreign.db", "CREATE TABLE recipes (name TEXT)")
	for path, want := range map[string]error{damaged: store.ErrDamaged, newer: store.ErrNewer, foreign: nil} {
		before, _ := os.ReadFile(path)
		_, err := store.Open(t.Context(), path)
		if err == nil || want != nil && !errors.Is(err, want) {
			t.Errorf("%s: %v", filepath.Base(path), err)
		}
		if after, _ := os.ReadFile(path); string(before) != string(after) {
			t.Errorf("%s was touched", filepath.Base(path))
		}
	}
}

func TestBackupWhileInUse(t *testing.T) {
	s, path := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", save("s1", `1`))
	to := filepath.Join(t.TempDir(), "copy.db")
	if err := store.Backup(ctx, path, to); err != nil {
		t.Fatal(err)
	}
	if err := store.Backup(ctx, path, to); !errors.Is(err, os.ErrExist) {
		t.Errorf("over an existing file: %v", err)
	}
	_, _ = s.Update(ctx, "p", 1, save("s2", `2`))
	c, err := store.Open(ctx, to)
	if err != nil {
		t.Fatal(err)
	}
	defer c.Close()
	if p, err := c.Get(ctx, "p"); err != nil || string(p.Document) != `1` {
		t.Errorf("the copy holds %s, %v", p.Document, err)
	}
	if err := store.Backup(context.Background(), filepath.Join(t.TempDir(), "none.db"), to+"2"); err == nil {
		t.Error("a database that is not there was copied")
	}
}

func TestSettings(t *testing.T) {
	s, _ := open(t)
	if v, err := s.Setting(t.Context(), "k"); err != nil || v != "" {
		t.Errorf("%q, %v", v, err)
	}
	_ = s.SetSetting(t.Context(), "k", "one")
	_ = s.SetSetting(t.Context(), "k", "two")
	if v, _ := s.Setting(t.Context(), "k"); v != "two" {
		t.Errorf("%q", v)
	}
}

// A session is kept over a restart, for its time.
func TestSessions(t *testing.T) {
	path := filepath.Join(t.TempDir(), "s.db")
	s, err := store.Open(t.Context(), path)
	if err != nil {
		t.Fatal(err)
	}
	if err := s.Sessions().Set("a", []byte("in"), time.Hour); err != nil {
		t.Fatal(err)
	}
	if err := s.Sessions().Set("late", []byte("in"), time.Nanosecond); err != nil {
		t.Fatal(err)
	}
	s.Close()
	if s, err = store.Open(t.Context(), path); err != nil {
		t.Fatal(err)
	}
	defer s.Close()
	of := s.Sessions()
	if v, err := of.Get("a"); err != nil || string(v) != "in" {
		t.Errorf("%q %v", v, err)
	}
	for _, key := range []string{"late", "none"} {
		if v, err := of.Get(key); err != nil || v != nil {
			t.Errorf("%s: %q %v", key, v, err)
		}
	}
	if err := errors.Join(of.Set("b", []byte("in"), 0), of.Set("", nil, 0), of.Delete("a")); err != nil {
		t.Error(err)
	}
	if v, _ := of.Get("a"); v != nil {
		t.Error("an ended session goes on")
	}
	if err := errors.Join(of.Reset(), of.Close()); err != nil {
		t.Error(err)
	}
	if v, _ := of.Get("b"); v != nil {
		t.Error("a session goes on after all were ended")
	}
}
