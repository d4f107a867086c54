package store_test

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"math/rand"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
	"time"

	"zygonos/store"
)

// raw opens the file beside the store.
func raw(t *testing.T, path string, pragmas ...string) *sql.DB {
	t.Helper()
	q := ""
	for i, p := range pragmas {
		q += []string{"?", "&"}[min(i, 1)] + "_pragma=" + p
	}
	db, err := sql.Open("sqlite", "file:"+strings.ReplaceAll(strings.ReplaceAll(path, " ", "%20"), "#", "%23")+q)
	if err != nil {
		t.Fatal(err)
	}
	db.SetMaxOpenConns(1)
	t.Cleanup(func() { db.Close() })
	return db
}

func exec(t *testing.T, db *sql.DB, statements ...string) {
	t.Helper()
	for _, s := range statements {
		if _, err := db.Exec(s); err != nil {
			t.Fatalf("%s: %v", s, err)
		}
	}
}

// A revision with a flipped bit is stated by its number; the one before it, the other plans and
// the list stay usable, and the next save makes the plan whole again.
func TestFlippedBit(t *testing.T) {
	s, path := open(t)
	ctx := t.Context()
	for _, id := range []string{"p", "q"} {
		_, _ = s.Create(ctx, id, store.Save{ID: "0" + id, Document: []byte(`{"a":1}`)})
	}
	for i := range 3 {
		if _, err := s.Update(ctx, "p", int64(i+1), store.Save{ID: fmt.Sprint(i), Sitting: fmt.Sprint(i), Document: []byte(`{"a":1}`)}); err != nil {
			t.Fatal(err)
		}
	}
	db := raw(t, path)
	exec(
		t,
		db,
		`UPDATE revisions SET document = '{"a":3}' WHERE plan_id = 'p' AND revision = 4`,
		`UPDATE revisions SET label = 'x' WHERE plan_id = 'p' AND revision = 3`,
	)
	var spoilt *store.SpoiltError
	if _, err := s.Get(ctx, "p"); !errors.As(err, &spoilt) || spoilt.Revision != 4 || spoilt.Earlier != 2 {
		t.Errorf("%v %+v", err, spoilt)
	}
	if _, err := s.At(ctx, "p", 3); !errors.As(err, &spoilt) {
		t.Errorf("a changed label goes unseen: %v", err)
	}
	if doc, err := s.At(ctx, "p", 2); err != nil || string(doc) != `{"a":1}` {
		t.Errorf("%s %v", doc, err)
	}
	if l, err := s.List(ctx); err != nil || len(l) != 2 {
		t.Errorf("%v %v", l, err)
	}
	if _, err := s.Get(ctx, "q"); err != nil {
		t.Error(err)
	}
	if _, err := s.Update(ctx, "p", 4, store.Save{ID: "new", Document: []byte(`{}`)}); err != nil {
		t.Error(err)
	}
	if _, err := s.Get(ctx, "p"); err != nil {
		t.Error(err)
	}
}

// While another program holds the database a save says so before long, reads go on, and nothing
// of the save is kept.
func TestAnotherWriter(t *testing.T) {
	t.Parallel()
	s, path := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", save("s", `1`))
	db := raw(t, path)
	exec(t, db, "BEGIN IMMEDIATE")
	began := time.Now()
	failed := make(chan error, 6)
	for i := range 6 {
		go func() {
			_, err := s.Update(ctx, "p", 1, save(fmt.Sprint("w", i), `2`))
			failed <- err
		}()
	}
	for range 20 {
		at := time.Now()
		if l, err := s.List(ctx); err != nil || len(l) != 1 || time.Since(at) > time.Second {
			t.Errorf("%v %v after %v", l, err, time.Since(at))
		}
	}
	for range 6 {
		if err := <-failed; !errors.Is(err, store.ErrBusy) {
			t.Errorf("%v", err)
		}
	}
	if d := time.Since(began); d > 10*time.Second {
		t.Errorf("it took %v", d)
	}
	exec(t, db, "ROLLBACK")
	if rev, err := s.Update(ctx, "p", 1, save("w9", `2`)); err != nil || rev != 2 {
		t.Errorf("%d %v", rev, err)
	}
	ended, cancel := context.WithCancel(ctx)
	cancel()
	if _, err := s.Update(ended, "p", 2, save("w10", `3`)); errors.Is(err, store.ErrBusy) || err == nil {
		t.Errorf("a caller's own end is no lock: %v", err)
	}
}

// Each trouble of the file has its own name.
func TestReasons(t *testing.T) {
	dir := t.TempDir()
	full := raw(t, filepath.Join(dir, "full.db"), "max_page_count(3)")
	_, err := full.Exec("CREATE TABLE t AS SELECT randomblob(100000)")
	if !errors.Is(store.Reason(err), store.ErrFull) {
		t.Errorf("full: %v", store.Reason(err))
	}
	only := raw(t, filepath.Join(dir, "only.db"), "query_only(1)")
	_, err = only.Exec("CREATE TABLE t (a)")
	if !errors.Is(store.Reason(err), store.ErrReadOnly) {
		t.Errorf("read-only: %v", store.Reason(err))
	}
	if _, err := store.Open(t.Context(), dir); err == nil || errors.Is(err, store.ErrDamaged) {
		t.Errorf("a directory: %v", err)
	}
	file := filepath.Join(dir, "file")
	if err := os.WriteFile(file, nil, 0o600); err != nil {
		t.Fatal(err)
	}
	if _, err := store.Open(t.Context(), filepath.Join(file, "x.db")); err == nil ||
		errors.Is(err, store.ErrDamaged) {
		t.Errorf("under a file: %v", err)
	}
	if os.Getuid() != 0 { // who is root may write everywhere
		locked := filepath.Join(dir, "locked")
		if err := os.Mkdir(locked, 0o500); err != nil {
			t.Fatal(err)
		}
		if _, err := store.Open(t.Context(), filepath.Join(locked, "x.db")); !errors.Is(err, store.ErrReadOnly) {
			t.Errorf("a directory without leave to write: %v", err)
		}
	}
	if err := os.WriteFile(filepath.Join(dir, "text.db"), []byte(strings.Repeat("no database ", 100)), 0o600); err != nil {
		t.Fatal(err)
	}
	if _, err := store.Open(t.Context(), filepath.Join(dir, "text.db")); !errors.Is(err, store.ErrDamaged) {
		t.Errorf("no database: %v", err)
	}
}

// A database of the second version is taken over: a copy beside it, sums for what is there, times
// of one length, sorted as times.
func TestTakenOver(t *testing.T) {
	path := filepath.Join(t.TempDir(), "old.db")
	s, err := store.Open(t.Context(), path)
	if err != nil {
		t.Fatal(err)
	}
	for i, id := range []string{"a", "b"} {
		_, _ = s.Create(t.Context(), id, save(fmt.Sprint(i), `{"a":1}`))
	}
	s.Close()
	db := raw(t, path)
	exec(
		t,
		db,
		"DROP INDEX sessions_expires",
		"ALTER TABLE revisions DROP COLUMN sum",
		"DROP TABLE library",
		"DROP TABLE photos",
		"DROP TABLE records",
		"DELETE FROM goose_db_version WHERE version_id > 2",
		"UPDATE plans SET updated_at = '2026-05-01T10:00:00.12Z' WHERE id = 'a'",
		"UPDATE plans SET updated_at = '2026-05-01T10:00:00.123456Z' WHERE id = 'b'",
		"UPDATE plans SET created_at = '2026-05-01T10:00:00Z'",
		"UPDATE revisions SET saved_at = '2026-05-01T10:00:00.5Z'",
	)
	db.Close()
	if s, err = store.Open(t.Context(), path); err != nil {
		t.Fatal(err)
	}
	defer s.Close()
	l, err := s.List(t.Context())
	if err != nil || len(l) != 2 || l[0].ID != "b" || l[0].UpdatedAt.Nanosecond() != 123456000 {
		t.Errorf("%+v %v", l, err)
	}
	if p, err := s.Get(t.Context(), "a"); err != nil || string(p.Document) != `{"a":1}` {
		t.Errorf("%+v %v", p, err)
	}
	for _, name := range []string{path, path + ".before-5"} {
		if info, err := os.Stat(name); err != nil || info.Mode().Perm() != 0o600 {
			t.Errorf("%s: %v %v", name, info, err)
		}
	}
}

// Of old autosaves the last of each day stays, of older ones the last of each month; what has a
// name stays, and so does the latest. A plan deleted long ago goes.
func TestTidy(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	at := time.Date(2026, 1, 10, 9, 0, 0, 0, time.UTC)
	s.SetNow(func() time.Time { return at })
	_, _ = s.Create(ctx, "p", save("s0", `0`))
	_, _ = s.Create(ctx, "gone", save("g", `0`))
	_ = s.SetDeleted(ctx, "gone", true)
	rev := int64(1)
	step := func(day int, hour int, label string) {
		t.Helper()
		at = time.Date(2026, 1, day, hour, 0, 0, 0, time.UTC)
		next, err := s.Update(
			ctx,
			"p",
			rev,
			store.Save{
				ID:       fmt.Sprint(day, hour),
				Sitting:  fmt.Sprint(day, hour),
				Label:    label,
				Document: []byte(fmt.Sprint(day, hour)),
			},
		)
		if err != nil {
			t.Fatal(err)
		}
		rev = next
	}
	step(10, 10, "")                // revision 2: January, folded
	step(10, 11, "before the trip") // 3: has a name
	step(20, 9, "")                 // 4: January's last
	step(90, 9, "")                 // 5: 31 March, folded into 6
	step(90, 12, "")                // 6: that day's last
	step(91, 9, "")                 // 7: 1 April
	step(120, 9, "")                // 8: 30 April, each kept
	step(120, 10, "")               // 9: the latest
	got, err := s.Tidy(ctx)
	if err != nil || got.Plans != 1 {
		t.Fatalf("%+v %v", got, err)
	}
	h, err := s.History(ctx, "p")
	if err != nil {
		t.Fatal(err)
	}
	var left string
	for _, r := range h {
		left += fmt.Sprint(r.Revision, " ")
	}
	if left != "9 8 7 6 4 3 " || got.Revisions != 3 {
		t.Errorf("left %q, %+v", left, got)
	}
	if again, err := s.Tidy(ctx); err != nil || again != (store.Tidied{}) {
		t.Errorf("%+v %v", again, err)
	}
	if err := s.SetDeleted(ctx, "gone", false); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("%v", err)
	}
}

// A backup that cannot be made leaves nothing behind, and does not stand in the way of the next.
func TestBackupFails(t *testing.T) {
	s, path := open(t)
	_, _ = s.Create(t.Context(), "p", save("s1", `1`))
	dir := t.TempDir()
	if err := store.Backup(t.Context(), path, filepath.Join(dir, "none", "copy.db")); err == nil {
		t.Error("into a directory that is not there")
	}
	ended, cancel := context.WithCancel(t.Context())
	cancel()
	to := filepath.Join(dir, "copy.db")
	if err := store.Backup(ended, path, to); err == nil {
		t.Error("with an end before it began")
	}
	if err := os.WriteFile(to+".part", []byte("half of one that was killed"), 0o644); err != nil {
		t.Fatal(err)
	}
	if err := store.Backup(t.Context(), path, to); err != nil {
		t.Fatal(err)
	}
	left, _ := os.ReadDir(dir)
	if info, err := os.Stat(to); err != nil || info.Mode().Perm() != 0o600 || len(left) != 1 {
		t.Errorf("%v %v %v", info, err, left)
	}
}

// Wherever one bit of the file flips, no document comes back other than as it was written: the
// file is refused, the revision is stated to be damaged, or all is as it was.
func TestFlippedBitsAnywhere(t *testing.T) {
	t.Parallel()
	path := filepath.Join(t.TempDir(), "p.db")
	s, err := store.Open(t.Context(), path)
	if err != nil {
		t.Fatal(err)
	}
	want := map[string]string{}
	for i := range 8 {
		id := fmt.Sprint("p", i)
		want[id] = fmt.Sprintf(
			`{"name":"plan %d","text":%q}`,
			i,
			strings.Repeat(fmt.Sprint("weight ", i, " "), 400),
		)
		if _, err := s.Create(t.Context(), id, save(id, want[id])); err != nil {
			t.Fatal(err)
		}
	}
	s.Close()
	whole, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	flips := 60
	if os.Getenv("DEEP") != "" {
		flips = 3000
	}
	rng := rand.New(rand.NewSource(1))
	refused, told, same := 0, 0, 0
	for range flips {
		broken := slices.Clone(whole)
		broken[rng.Intn(len(broken))] ^= 1 << rng.Intn(8)
		file := filepath.Join(t.TempDir(), "b.db")
		if err := os.WriteFile(file, broken, 0o600); err != nil {
			t.Fatal(err)
		}
		s, err := store.Open(t.Context(), file)
		if err != nil {
			refused++
			continue
		}
		seen := false
		for id, doc := range want {
			p, err := s.Get(t.Context(), id)
			if err != nil {
				seen = true
			} else if string(p.Document) != doc {
				t.Errorf("%s came back as %.60q", id, p.Document)
			}
		}
		s.Close()
		if seen {
			told++
		} else {
			same++
		}
	}
	t.Logf(
		"%d flips: %d files refused, %d revisions told, %d without effect on a document",
		flips,
		refused,
		told,
		same,
	)
}
