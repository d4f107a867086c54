package rig_test

import (
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/rig"
)

// onRack gives the sample a rack of one tier with three places, the crate as a hull in the
// first and another in the second.
func onRack(t *testing.T, more ...string) *rig.Rig {
	tube := `{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}`
	slot := func(order, right string) string {
		return `{"order":` + order + `,"name":"place ` + order + `","tier":"one","at":{"back":-1,"right":` + right + `}}`
	}
	hull := `{"length":{"value":4,"how":"weighed"},"width":{"value":0.6,"how":"weighed"},"height":{"value":0.4,"how":"weighed"}}`
	sets := []string{"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`,
		"/parts/r", `{"order":1,"name":"Rack","size":{},"centre":{},"rack":{"frontAt":0,"rearAt":2,"posts":2,"apart":1,"post":` + tube + `,"bar":` + tube + `,"tiers":{"one":{"order":1,"up":0.8,"length":2}}},
		"slots":{"a":` + slot("1", "-0.7") + `,"b":` + slot("2", "0") + `,"c":` + slot("3", "0.7") + `}}`,
		"/outings/o/layouts/t/parts", `{"r":{"at":{"back":0.2}}}`, "/loads/crate/kind", `"canoe"`, "/loads/crate/mass/value", `30`, "/loads/crate/size", hull,
		"/loads/other", `{"order":2,"name":"Other","kind":"canoe","mass":{"value":20,"how":"weighed"},"centre":{},"size":` + hull + `}`,
		sample.Crate, `{"on":"part","id":"r","slot":"a","at":{"back":0}}`,
		"/outings/o/layouts/t/placements/other", `{"on":"part","id":"r","slot":"b","at":{"back":0}}`}
	return rig.Resolve(sample.Plan(t, append(sets, more...)...), "t", "o")
}

// A hull may be let go in any other place of its rack; who lies there changes places.
func TestRackTargets(t *testing.T) {
	r := onRack(t)
	var crate []string
	for _, x := range r.Views()[2].Targets {
		if x.Thing != "/loads/crate" {
			continue
		}
		moves := ""
		for _, m := range x.Moves {
			moves += m.Path[strings.LastIndex(m.Path, "placements"):] + "=" + m.To + " "
		}
		crate = append(crate, strings.TrimSpace(moves))
		if x.Max[0]-x.Min[0] < 0.599 || x.Max[1]-x.Min[1] < 0.399 {
			t.Errorf("the box is %v by %v", x.Max[0]-x.Min[0], x.Max[1]-x.Min[1])
		}
	}
	want := "placements/crate/slot=b placements/other/slot=a|placements/crate/slot=c"
	if got := strings.Join(crate, "|"); got != want {
		t.Errorf("%s, want %s", got, want)
	}
	// Place b: its middle is the deck's, its bar 0.6 + 0.8 m up.
	for _, x := range r.Views()[2].Targets {
		if x.Thing == "/loads/crate" && x.Moves[0].To == "b" && (x.Min[0] < -0.301 || x.Max[0] > 0.301 || x.Max[1] < -1.401 || x.Max[1] > -1.399) {
			t.Errorf("place b is %v to %v", x.Min, x.Max)
		}
	}
	pinned := onRack(t, "/outings/o/layouts/t/placements/other/pinned", `true`)
	for _, x := range pinned.Views()[2].Targets {
		if x.Thing == "/loads/other" || len(x.Moves) > 1 {
			t.Errorf("a pinned hull moves: %v", x.Moves)
		}
	}
}

// A hull on edge or upside down is drawn within its box, from behind and from the side.
func TestPosesDrawn(t *testing.T) {
	for _, pose := range []string{`"down"`, `"up"`, `"edge"`} {
		r := onRack(t, "/parts/r/slots/a/pose", pose)
		var it *rig.Item
		for i := range r.Items {
			if r.Items[i].ID == "crate" {
				it = &r.Items[i]
			}
		}
		for n, v := range r.Views() {
			if n == 1 {
				continue
			}
			low, high := it.Left, it.Right
			if n == 0 {
				low, high = it.Front, it.Rear
			}
			for _, s := range v.Shapes {
				if s.Thing != "/loads/crate" {
					continue
				}
				for _, p := range s.Points {
					if p[0] < low-1e-9 || p[0] > high+1e-9 || -p[1] < it.Bottom-1e-9 || -p[1] > it.Top+1e-9 {
						t.Errorf("%s, view %s: %v lies outside of its box", pose, v.ID, p)
					}
				}
			}
		}
	}
}

// A boat on a cradle stands at the keel's height, in no slot.
func TestOnCradle(t *testing.T) {
	r := onRack(t, "/parts/k", `{"order":3,"name":"Cradle","mass":{"value":30,"how":"weighed"},"size":{},"centre":{},"cradle":{"keel":0.15}}`,
		"/outings/o/layouts/t/parts/k", `{"at":{"back":0.1}}`, sample.Crate, `{"on":"part","id":"k","at":{"back":-0.5}}`)
	for i := range r.Items {
		if it := &r.Items[i]; it.ID == "crate" {
			if d := it.Bottom - 0.75; d > 1e-9 || d < -1e-9 {
				t.Errorf("its keel is %v up, want 0.75", it.Bottom)
			}
			if d := it.Front - (1.0 + 0.1 - 0.5); d > 1e-9 || d < -1e-9 {
				t.Errorf("its stem stands at %v", it.Front)
			}
		}
	}
}
