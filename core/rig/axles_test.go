package rig_test

import (
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/rig"
)

// A trailer that is said to have two axles has them before anybody counts: without an equaliser they shift what the
// ball bears, so its range is as wide as where their number is stated; one axle, if stated, is one.
func TestAxlesOfKind(t *testing.T) {
	told := rig.Resolve(sample.Plan(t, "/trailers/t/axles", "2"), "t", "o")
	kind := rig.Resolve(sample.Plan(t, "/trailers/t/kind", `"tandem"`), "t", "o")
	if told.Group == nil || kind.Group == nil || len(kind.AxlesAt()) != 2 || kind.Tyres() != 4 {
		t.Fatalf("told %v, by its kind %v", told.Group, kind.Group)
	}
	if a, b := told.Bears.Ball, kind.Bears.Ball; a.Width() <= 0 || a != b {
		t.Errorf("ball %v as told, %v by its kind", a, b)
	}
	one := rig.Resolve(sample.Plan(t, "/trailers/t/kind", `"tandem"`, "/trailers/t/axles", "1"), "t", "o")
	if one.Group != nil || one.Tyres() != 2 {
		t.Error("one axle was told")
	}
}
