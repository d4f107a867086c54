package store_test

import (
	"context"
	"errors"
	"testing"
	"time"

	"zygonos/store"
)

func TestLibrary(t *testing.T) {
	s, path := open(t)
	ctx := context.Background()
	now := time.Date(2026, 5, 1, 8, 0, 0, 0, time.UTC)
	s.SetNow(func() time.Time { return now })
	skiff := store.Shelved{ID: "k", Collection: "loads", Name: "Skiff", From: "Yard", Document: []byte(`{"a":1}`)}
	shelve := func(want int64) {
		t.Helper()
		got, err := s.Shelve(ctx, skiff)
		if err != nil || got.Revision != want {
			t.Fatalf("revision %d, want %d: %v", got.Revision, want, err)
		}
	}
	shelve(1)
	shelve(1) // the same again is no new revision
	skiff.Document = []byte(`{"a":2}`)
	shelve(2)
	other := skiff
	other.Collection = "straps"
	if _, err := s.Shelve(ctx, other); !errors.Is(err, store.ErrConflict) {
		t.Errorf("a load became straps: %v", err)
	}
	list := func(want int) []store.Shelved {
		t.Helper()
		all, err := s.Library(ctx)
		if err != nil || len(all) != want {
			t.Fatalf("%d things, want %d: %v", len(all), want, err)
		}
		return all
	}
	got := list(1)[0]
	if got.Name != "Skiff" || got.From != "Yard" || string(got.Document) != `{"a":2}` || !got.At.Equal(now) {
		t.Errorf("kept as %+v", got)
	}
	if err := s.SetShelvedDeleted(ctx, "k", true); err != nil {
		t.Fatal(err)
	}
	list(0)
	if err := s.SetShelvedDeleted(ctx, "k", false); err != nil {
		t.Fatal(err)
	}
	list(1)
	if err := s.SetShelvedDeleted(ctx, "none", true); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("nothing was taken out: %v", err)
	}
	// a flipped bit spoils the thing and not the list
	db := raw(t, path)
	exec(t, db, `UPDATE library SET document = '{"a":3}'`)
	if got := list(1)[0]; got.Document != nil || got.Name != "Skiff" {
		t.Errorf("a damaged record was taken: %+v", got)
	}
	// kept again it is sound again
	shelve(3)
	if got := list(1)[0]; got.Document == nil {
		t.Error("still damaged")
	}
	// deleted long ago, it goes
	if err := s.SetShelvedDeleted(ctx, "k", true); err != nil {
		t.Fatal(err)
	}
	now = now.Add(100 * 24 * time.Hour)
	if _, err := s.Tidy(ctx); err != nil {
		t.Fatal(err)
	}
	if err := s.SetShelvedDeleted(ctx, "k", false); !errors.Is(err, store.ErrNotFound) {
		t.Errorf("it is still there: %v", err)
	}
}
