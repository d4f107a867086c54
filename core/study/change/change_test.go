package change_test

import (
	"math"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/study/change"
)

// three outings: o carries the crate of 400 kg; a a box of 30 kg and a rack on pins of 20; b the box alone, the
// axle 200 mm farther back.
func three(t *testing.T) *plan.Plan {
	t.Helper()
	box := `{"order":2,"name":"Box","kind":"box","mass":{"value":30,"how":"weighed"},"size":{},"centre":{}}`
	rack := `{"order":1,"name":"Rack","mass":{"value":20,"how":"weighed"},"size":{},"centre":{},"undo":"pins"}`
	outing := func(order, layout string) string {
		return `{"order":` + order + `,"name":"x","vehicle":"car","layouts":{"t":` + layout + `}}`
	}
	return sample.Plan(t, "/loads/box", box, "/parts/rack", rack,
		"/outings/a", outing("2", `{"parts":{"rack":{"at":{"back":0}}},"placements":{"box":{"on":"deck","at":{"back":0}}}}`),
		"/outings/b", outing("3", `{"axleAt":2.7,"placements":{"box":{"on":"deck","at":{"back":0}}}}`))
}

// From a to b the rack comes off: 3 + 20·0.05 = 4 minutes, and the axle moves: 64. From o to a the crate off,
// 2 + 20 = 22, box on 3.5, rack on 4: 29.5 minutes and 450 kg.
func TestBetween(t *testing.T) {
	p := three(t)
	s := change.Between(p, "t", "a", "b")
	if len(s.Off) != 1 || len(s.On) != 0 || s.Axle == nil || math.Abs(s.Axle.Value-0.2) > 1e-9 || math.Abs(s.Time.Value-64*60) > 1e-6 {
		t.Errorf("%+v", s)
	}
	s = change.Between(p, "t", "o", "a")
	if math.Abs(s.Time.Value-29.5*60) > 1e-6 || math.Abs(s.Carried.Value-450) > 1e-9 || s.People != 4 || s.Axle != nil {
		t.Errorf("%+v", s)
	}
	// To and fro takes the same, and a change to itself nothing.
	if back := change.Between(p, "t", "a", "o"); back.Time.Value != s.Time.Value || back.Carried.Value != s.Carried.Value {
		t.Errorf("%+v", back)
	}
	if none := change.Between(p, "t", "a", "a"); none.Time.Value != 0 || len(none.Off)+len(none.On) != 0 {
		t.Errorf("%+v", none)
	}
}

// All orders looked through by hand (minutes, from a bare trailer): o 22, a 7.5, b 3.5; o–a 29.5, o–b 85.5, a–b 64. Least
// o a b: 22 + 29.5 + 64 = 115.5 against b a o 3.5 + 64 + 29.5 = 97.
func TestOrder(t *testing.T) {
	got := change.Of(t.Context(), three(t), "t")
	if len(got.Order) != 3 || got.Order[0] != "b" || got.Order[1] != "a" || got.Order[2] != "o" || math.Abs(got.Time.Value-97*60) > 1e-6 ||
		math.Abs(got.Before.Value-115.5*60) > 1e-6 || !got.Best {
		t.Errorf("%v %v %v", got.Order, got.Time.Value/60, got.Before.Value/60)
	}
	if got := change.Of(t.Context(), three(t), "none"); len(got.Steps) != 0 {
		t.Errorf("%+v", got)
	}
}
