package workshop_test

import (
	"slices"
	"strings"
	"testing"

	"zygonos/core/ask/workshop"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// ladder is a drawn frame of two rails and three rungs, welded or bolted.
func ladder(joint string) string {
	tube := `"profile":{"shape":"tube","height":0.06,"width":0.04,"wall":0.003,"material":"s235"},"bolts":2,"bolt":0.01,"boltGrade":"8.8","boltGauge":0.05,"fromJoint":"` + joint + `","toJoint":"` + joint + `"`
	at := func(x, y string) string { return `{"back":` + x + `,"right":` + y + `,"up":-0.05}` }
	bar := func(id, role, x0, y0, x1, y1 string) string {
		return `"` + id + `":{"order":1,"name":"` + id + `","role":"` + role + `","from":` + at(x0, y0) + `,"to":` + at(x1, y1) + `,` + tube + `}`
	}
	return `{"members":{` + strings.Join([]string{
		bar("left", "rail", "0", "-0.6", "2.4", "-0.6"), bar("right", "rail", "0", "0.6", "2.4", "0.6"),
		bar("a", "cross", "0", "-0.6", "0", "0.6"), bar("b", "cross", "1.2", "-0.6", "1.2", "0.6"), bar("c", "cross", "2.4", "-0.6", "2.4", "0.6"),
	}, ",") + `}}`
}

const lamps = `{"lamps":{"l":{"order":1,"what":"tail","back":2.4,"right":-0.6,"height":0.6},"r":{"order":2,"what":"tail","back":2.4,"right":0.6,"height":0.6}},"foldAt":1.2}`

func order(t *testing.T, sets ...string) *workshop.Work {
	t.Helper()
	return workshop.Order(rig.Resolve(sample.Plan(t, sets...), "t", "o"), nil)
}

func ids(w *workshop.Work) (out []string) {
	for _, s := range w.Steps {
		out = append(out, s.ID)
	}
	return out
}

// A bolted kit, a welded frame and a stripped camper have three orders; each names its own steps alone, and what must come
// first comes first.
func TestThreeOrders(t *testing.T) {
	all := []string{"/trailers/t/wiring", lamps, "/trailers/t/decking", `{}`}
	kit := order(t, append(all, "/trailers/t/frame", ladder("bolt"))...)
	bars := order(t, append(all, "/trailers/t/frame", ladder("weld"))...)
	camper := order(t, append(all, "/trailers/t/workshop", `{"begins":"camper"}`)...)
	for name, c := range map[string]struct {
		w            *workshop.Work
		begins       string
		has, hasNone []string
		pairs        [][2]string
	}{
		"kit": {kit, "kit", []string{"fit", "tighten"}, []string{"weld-up", "strip", "cut"},
			[][2]string{{"fit", "square"}, {"square", "tighten"}, {"tighten", "axle"}, {"align", "axle-tight"}, {"cable", "deck"}, {"fold", "test-lamps"}, {"weigh-built", "plates"}}},
		"bars": {bars, "bars", []string{"tack", "weld-down", "paint-hidden"}, []string{"fit", "strip"},
			[][2]string{{"stands", "tack"}, {"tack", "square"}, {"square", "weld-up"}, {"weld-up", "weld-down"}, {"welds", "paint-hidden"}, {"paint-hidden", "deck"}, {"test-lamps", "deck"}}},
		"camper": {camper, "camper", []string{"strip", "rust", "weigh"}, []string{"weld-up", "fit", "paint-hidden"},
			[][2]string{{"strip", "rust"}, {"rust", "axle"}, {"cable", "deck"}, {"deck", "paint"}}},
	} {
		got := ids(c.w)
		if c.w.Begins != c.begins {
			t.Errorf("%s begins as %s", name, c.w.Begins)
		}
		for _, id := range c.has {
			if !slices.Contains(got, id) {
				t.Errorf("%s lacks %s: %v", name, id, got)
			}
		}
		for _, id := range c.hasNone {
			if slices.Contains(got, id) {
				t.Errorf("%s has %s", name, id)
			}
		}
		for _, p := range c.pairs {
			if a, b := slices.Index(got, p[0]), slices.Index(got, p[1]); a < 0 || b < 0 || a > b {
				t.Errorf("%s: %s at %d, %s at %d of %v", name, p[0], a, p[1], b, got)
			}
		}
		if c.w.Turns > 2 {
			t.Errorf("%s is turned over %d times", name, c.w.Turns)
		}
	}
	if slices.Equal(ids(kit), ids(bars)) || slices.Equal(ids(bars), ids(camper)) {
		t.Error("two orders are the same")
	}
}

// No step names what the plan does not have: without lamps, deck, fold, bed, rings and frame their steps are gone.
func TestNothingThatIsNotThere(t *testing.T) {
	got := ids(order(t, "/trailers/t/frame", ladder("weld")))
	for _, id := range []string{"cable", "lamps", "fold", "test-lamps", "deck", "bed", "rings"} {
		if slices.Contains(got, id) {
			t.Errorf("%s in %v", id, got)
		}
	}
	if got = ids(order(t)); len(got) != 0 {
		t.Errorf("a bought trailer has %v to do", got)
	}
	if w := order(t, "/trailers/t/wiring", lamps, "/trailers/t/decking", `{}`); len(w.Steps) != 6 || w.Turns != 0 {
		t.Errorf("%v, turned %d times", ids(w), w.Turns)
	}
	if w := order(t, "/trailers/t/wiring", lamps); len(w.Steps) != 4 || w.Turns != 0 {
		t.Errorf("%v, turned %d times", ids(w), w.Turns)
	}
}

// A gate waits until it is taped; ticks and times stay with their steps; the torque is the bolt's.
func TestGatesAndTicks(t *testing.T) {
	at := func(w *workshop.Work, id string) workshop.WorkStep { return w.Steps[slices.Index(ids(w), id)] }
	sets := []string{"/trailers/t/frame", ladder("bolt")}
	w := order(t, sets...)
	if s := at(w, "square"); len(s.Waits) == 0 || s.Done {
		t.Errorf("%+v", s)
	}
	if s := at(w, "tighten"); s.Torque == nil || s.Torque.Value < 43 || s.Torque.Value > 53 { // M10 8.8: 48 N·m
		t.Errorf("%+v", s.Torque)
	}
	// a frame that is 12 mm off square waits to be pushed
	w = order(t, append(sets, "/trailers/t/workshop", "{"+sides(0.012)+"}")...)
	if s := at(w, "square"); !strings.Contains(s.Waits.Text(quantity.Locale{}), "Push") {
		t.Errorf("%+v", s.Waits)
	}
	// every turn stands before a step; onto its feet it is turned with the axle on, which takes no fewer
	turns, last := 0, 0
	for _, s := range w.Steps {
		if s.Turn {
			turns++
			if s.People < max(1, last) {
				t.Errorf("%s: %d people, %d before", s.ID, s.People, last)
			}
			last = s.People
		}
	}
	if turns != w.Turns {
		t.Errorf("%d turns said, %d shown", w.Turns, turns)
	}
	left := w.Left
	w = order(t, append(sets, "/trailers/t/workshop", "{"+sides(0)+`,"done":{"square":{"minutes":25},"gone":{}}}`)...)
	if s := at(w, "square"); len(s.Waits) != 0 || !s.Done || *s.Took != 25 {
		t.Errorf("%+v", s)
	}
	if w.Left != left-1 {
		t.Errorf("%d left of %d", w.Left, left)
	}
	for _, s := range w.Steps {
		if s.Why == "" || len(s.Says) == 0 || !(s.Minutes[1] >= s.Minutes[0] && s.Minutes[0] > 0) {
			t.Errorf("%+v", s)
		}
	}
	if w.Chain <= 0 || w.Chain > w.Hours[1] {
		t.Errorf("chain %v of %v", w.Chain, w.Hours)
	}
}
