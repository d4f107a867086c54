package store_test

import (
	"errors"
	"fmt"
	"sync"
	"testing"
	"time"

	"zygonos/store"
)

func put(t *testing.T, s *store.Store, id, doc string) store.Record {
	t.Helper()
	r, err := s.ChangeRecord(t.Context(), "p", id, func([]byte) (string, []byte, error) { return "step", []byte(doc), nil })
	if err != nil {
		t.Fatal(err)
	}
	return r
}

// Records count their own revisions, leave the plan's alone, and come back after they were taken away.
func TestRecords(t *testing.T) {
	s, path := open(t)
	ctx := t.Context()
	if _, err := s.ChangeRecord(ctx, "p", "a", nil); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("a record of no plan: %v", err)
	}
	_, _ = s.Create(ctx, "p", save("s1", `{}`))
	if r := put(t, s, "a", `1`); r.Revision != 1 {
		t.Errorf("%+v", r)
	}
	if r := put(t, s, "a", `1`); r.Revision != 1 { // the same again is no new one
		t.Errorf("%+v", r)
	}
	if r := put(t, s, "a", `2`); r.Revision != 2 {
		t.Errorf("%+v", r)
	}
	put(t, s, "b", `3`)
	if _, err := s.ChangeRecord(ctx, "p", "a", func(old []byte) (string, []byte, error) {
		return "", nil, fmt.Errorf("no: %s", old)
	}); err == nil || err.Error() != "no: 2" {
		t.Errorf("%v", err)
	}
	if err := s.SetRecordDeleted(ctx, "p", "a", true); err != nil {
		t.Fatal(err)
	}
	list := func(kinds ...string) (out string) {
		rs, err := s.Records(ctx, "p", kinds...)
		if err != nil {
			t.Fatal(err)
		}
		for _, r := range rs {
			out += r.ID + string(r.Document) + " "
		}
		return out
	}
	if got := list(); got != "b3 " {
		t.Errorf("left: %s", got)
	}
	if err := s.SetRecordDeleted(ctx, "p", "a", false); err != nil || list() != "a2 b3 " {
		t.Errorf("%v, %s", err, list())
	}
	if got := list("snag"); got != "" {
		t.Errorf("snags: %s", got)
	}
	if got := list("snag", "step"); got != "a2 b3 " {
		t.Errorf("both: %s", got)
	}
	if err := s.SetRecordDeleted(ctx, "p", "none", true); !errors.Is(err, store.ErrNotFound) {
		t.Error(err)
	}
	// a change of one that was taken away begins again, and counts on
	_ = s.SetRecordDeleted(ctx, "p", "a", true)
	if r, err := s.ChangeRecord(ctx, "p", "a", func(old []byte) (string, []byte, error) {
		if old != nil {
			t.Errorf("it is still %s", old)
		}
		return "step", []byte(`4`), nil
	}); err != nil || r.Revision != 3 || list() != "a4 b3 " {
		t.Errorf("%+v %v %s", r, err, list())
	}
	if p, err := s.Get(ctx, "p"); err != nil || p.Revision != 1 {
		t.Errorf("the plan is at %d (%v)", p.Revision, err)
	}
	// a flipped bit is known
	db := raw(t, path)
	exec(t, db, `UPDATE records SET document = '5' WHERE id = 'b'`)
	db.Close()
	rs, _ := s.Records(ctx, "p")
	if rs[0].Document == nil || rs[1].Document != nil {
		t.Errorf("%+v", rs)
	}
}

// Many hands at once: every change stands.
func TestRecordsAtOnce(t *testing.T) {
	s, _ := open(t)
	_, _ = s.Create(t.Context(), "p", save("s1", `{}`))
	var all sync.WaitGroup
	for range 8 {
		all.Go(func() {
			for range 10 {
				_, err := s.ChangeRecord(t.Context(), "p", "n", func(old []byte) (string, []byte, error) {
					return "step", append(old[:len(old):len(old)], 'x'), nil
				})
				if err != nil {
					t.Error(err)
				}
			}
		})
	}
	all.Wait()
	if rs, err := s.Records(t.Context(), "p"); err != nil || len(rs[0].Document) != 80 || rs[0].Revision != 80 {
		t.Errorf("%+v %v", rs, err)
	}
}

// Photos are kept once, come back, and are tidied away with what was deleted long ago.
func TestPhotos(t *testing.T) {
	s, path := open(t)
	ctx := t.Context()
	_, _ = s.Create(ctx, "p", save("s1", `{}`))
	f := store.Photo{Plan: "p", ID: "f", Wide: 4, High: 3, Picture: []byte("jpeg")}
	for range 2 {
		if err := s.AddPhoto(ctx, f); err != nil {
			t.Fatal(err)
		}
	}
	got, err := s.Photo(ctx, "p", "f")
	if err != nil || string(got.Picture) != "jpeg" || got.Wide != 4 {
		t.Errorf("%+v %v", got, err)
	}
	if _, err := s.Photo(ctx, "p", "g"); !errors.Is(err, store.ErrNotFound) {
		t.Error(err)
	}
	if err := s.SetPhotoDeleted(ctx, "p", "f", true); err != nil {
		t.Fatal(err)
	}
	if l, _ := s.Photos(ctx, "p"); len(l) != 0 {
		t.Errorf("%d left", len(l))
	}
	if _, err := s.Photo(ctx, "p", "f"); err != nil {
		t.Errorf("a photo that may come back is gone: %v", err)
	}
	put(t, s, "a", `1`)
	_ = s.SetRecordDeleted(ctx, "p", "a", true)
	db := raw(t, path)
	long := time.Now().Add(-100 * 24 * time.Hour).UTC().Format("2006-01-02T15:04:05.000000000Z")
	exec(t, db, `UPDATE photos SET deleted_at = '`+long+`'`, `UPDATE records SET deleted_at = '`+long+`'`)
	db.Close()
	if _, err := s.Tidy(ctx); err != nil {
		t.Fatal(err)
	}
	if _, err := s.Photo(ctx, "p", "f"); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("it is still there: %v", err)
	}
	if err := s.SetRecordDeleted(ctx, "p", "a", false); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("it is still there: %v", err)
	}
}

// A plan with all that is beside it is kept whole or not at all.
func TestCreateWhole(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	rows := []store.Record{{ID: "a", Kind: "step", Revision: 7, Document: []byte(`1`)}}
	if err := s.CreateWhole(ctx, "p", save("s", `{}`), rows, []store.Photo{{ID: "f", Picture: []byte("x")}, {ID: "f", Picture: []byte("x")}}); err == nil {
		t.Error("a photo twice")
	}
	if l, _ := s.List(ctx); len(l) != 0 {
		t.Errorf("%+v", l)
	}
	if err := s.CreateWhole(ctx, "p", save("s", `{}`), rows, []store.Photo{{ID: "f", Picture: []byte("x")}}); err != nil {
		t.Fatal(err)
	}
	if rs, err := s.Records(ctx, "p"); err != nil || len(rs) != 1 || rs[0].Revision != 7 || string(rs[0].Document) != "1" {
		t.Errorf("%+v %v", rs, err)
	}
	if err := s.CreateWhole(ctx, "p", save("t", `{}`), nil, nil); !errors.Is(err, store.ErrConflict) {
		t.Error(err)
	}
	if err := s.CreateWhole(ctx, "q", save("t", `{}`), nil, make([]store.Photo, store.MostPhotos+1)); !errors.Is(err, store.ErrManyPhotos) {
		t.Error(err)
	}
}

// A plan takes as many records and photos as is stated and no more; what is there can still be changed, and
// nothing is lost.
// What a write does may take longer than it would wait for its turn; meanwhile another is asked to wait.
func TestSlowWrite(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	if err := s.CreateWhole(ctx, "p", save("s", `{}`), []store.Record{{ID: "r", Kind: "snag", Document: []byte(`{}`), Revision: 1}}, nil); err != nil {
		t.Fatal(err)
	}
	s.SetTurn(5 * time.Millisecond)
	change := func(slow func()) error {
		_, err := s.ChangeRecords(ctx, "p", []store.RecordChange{{ID: "r", Make: func([]byte) (string, []byte, error) {
			slow()
			return "snag", []byte(`{"changed":1}`), nil
		}}})
		return err
	}
	var other error
	err := change(func() {
		other = change(func() {}) // gives up after its turn, so that this one has outlasted it
	})
	if err != nil || !errors.Is(other, store.ErrBusy) {
		t.Errorf("the slow one: %v; the other: %v", err, other)
	}
	if all, err := s.Records(ctx, "p"); err != nil || len(all) != 1 || string(all[0].Document) != `{"changed":1}` {
		t.Errorf("%+v %v", all, err)
	}
}

func TestFull(t *testing.T) {
	s, _ := open(t)
	ctx := t.Context()
	rows := make([]store.Record, store.MostRecords)
	for i := range rows {
		rows[i] = store.Record{ID: fmt.Sprintf("r-%05d", i), Kind: "snag", Document: []byte(`{}`), Revision: 1}
	}
	photos := make([]store.Photo, store.MostPhotos)
	for i := range photos {
		photos[i] = store.Photo{ID: fmt.Sprintf("f-%03d", i), Picture: []byte("x")}
	}
	if err := s.CreateWhole(ctx, "p", save("s", `{}`), rows, photos); err != nil {
		t.Fatal(err)
	}
	same := func([]byte) (string, []byte, error) { return "snag", []byte(`{"changed":1}`), nil }
	change := func(id string) error {
		_, err := s.ChangeRecords(ctx, "p", []store.RecordChange{{ID: id, Make: same}})
		return err
	}
	if err := change("r-new"); !errors.Is(err, store.ErrManyRecords) {
		t.Error(err)
	}
	if err := change("r-00007"); err != nil {
		t.Error(err)
	}
	if err := s.AddPhoto(ctx, store.Photo{Plan: "p", ID: "f-new", Picture: []byte("x")}); !errors.Is(err, store.ErrManyPhotos) {
		t.Error(err)
	}
	if all, err := s.Records(ctx, "p"); err != nil || len(all) != store.MostRecords {
		t.Errorf("%d %v", len(all), err)
	}
}
