package without_test

import (
	"testing"

	"zygonos/core/ask/without"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

func way(t *testing.T, id string, sets ...string) without.Other {
	t.Helper()
	for _, w := range without.Ways(rig.Resolve(sample.Plan(t, sets...), "t", "o")) {
		if w.ID == id {
			return w
		}
	}
	t.Fatalf("no way %s", id)
	return without.Other{}
}

// The sample's crate of 400 kg: nobody lifts it overhead. Its car may weigh 2000 kg and weighs 1700 with its people:
// 300 left, two trips, but the crate is one piece. A box of 40 kg, 1 m long, goes in once and on a roof of 75.
func TestWays(t *testing.T) {
	light := []string{"/loads/crate/mass", `{"value":40,"plusMinus":0,"how":"weighed"}`}
	bed := []string{"/towVehicles/car/bedLength", "1.5", "/towVehicles/car/bedWidth", "1.2"}
	for _, c := range []struct {
		id    string
		sets  []string
		want  finding.Outcome
		trips int
	}{
		{"roof", nil, finding.Fails, 0},
		{"roof", light, finding.Unknown, 0},
		{"roof", append(light, "/towVehicles/car/roofLimit", "75"), finding.Holds, 0},
		{"roof", append(light, "/towVehicles/car/roofLimit", "30"), finding.Fails, 0},
		{"bed", bed, finding.Fails, 2},
		{"bed", light, finding.Unknown, 1},
		{"bed", append(light, bed...), finding.Holds, 1},
		{"bed", append(light, "/towVehicles/car/bedLength", "0.9", "/towVehicles/car/bedWidth", "1.2"), finding.Fails, 1},
		{"bed", append(light, "/towVehicles/car/gross", "-"), finding.Unknown, 0},
		{"hire", nil, "", 0}, {"brought", nil, "", 0}, // stated, not judged
	} {
		if w := way(t, c.id, c.sets...); w.Outcome != c.want || w.Trips != c.trips {
			t.Errorf("%s %v: %s, %d trips", c.id, c.sets, w.Outcome, w.Trips)
		}
	}
	heap := []string{"/loads/crate/bulk", `{"material":"gravel","by":"mass"}`, "/loads/crate/kind", `"heap"`}
	if w := way(t, "roof", heap...); w.Outcome != finding.Fails {
		t.Errorf("a heap on the roof: %+v", w)
	}
}
