package lashing_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/lashing"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

func only(t *testing.T, r *rig.Rig, name string) lashing.Load {
	t.Helper()
	for _, l := range lashing.Loads(r) {
		if l.Item.Name == name {
			return l
		}
	}
	t.Fatalf("no load %s", name)
	return lashing.Load{}
}

func lacks(l lashing.Load, r *rig.Rig) string {
	if len(l.Broken) == 0 {
		return ""
	}
	return l.Broken[0].Says.Text(r.Plan.Locale())
}

const thing = `{"order":2,"name":"Other","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":0.4,"how":"weighed"},"width":{"value":0.6,"how":"weighed"},"height":{"value":1,"how":"weighed"}},"centre":{}}`

// A strap is hooked where a hook reaches and runs where nothing stands.
func TestWays(t *testing.T) {
	wide := []string{"/loads/crate/size/width/value", `1.46`}
	for _, p := range []string{"fl", "rl"} {
		wide = append(wide, "/trailers/t/tiePoints/"+p+"/at/right", `-0.3`)
	}
	for _, p := range []string{"fr", "rr"} {
		wide = append(wide, "/trailers/t/tiePoints/"+p+"/at/right", `0.3`)
	}
	at := "/outings/o/layouts/t/placements/"
	for name, c := range map[string]struct {
		sets []string
		want string
	}{
		"free":          {nil, ""},
		"rings beneath": {wide, "Crate stands on this one"},
		// On blocks 0.2 m high the strap runs round its lower edge.
		"raised":          {append(wide, sample.Crate+"/at/up", `0.2`), ""},
		"a ring stood on": {[]string{"/loads/other", thing, at + "other", `{"on":"deck","at":{"back":0.6,"right":-0.6}}`, sample.Crate + "/at/back", `1.1`}, "Other stands on this one"},
		// 0.7 to 1.1 m behind the board and 0.42 to 0.66 m aside it stands between crate and ring.
		"through a neighbour": {[]string{"/loads/other", strings.Replace(thing, `"width":{"value":0.6`, `"width":{"value":0.24`, 1), at + "other", `{"on":"deck","at":{"back":0.7,"right":-0.54}}`}, "it would run through Other"},
		"over what rides":     {[]string{"/loads/other", thing, at + "other", `{"on":"load","id":"crate","at":{"back":0}}`}, "Other is in the way"},
		"between riders":      {[]string{"/loads/other", thing, at + "other", `{"on":"load","id":"crate","at":{"back":0.3}}`}, ""},
	} {
		r := tied(t, c.sets...)
		l := only(t, r, "Crate")
		got := lacks(l, r)
		if c.want == "" && got != "" || !strings.Contains(got, c.want) {
			t.Errorf("%s: %q, want %q", name, got, c.want)
		}
		if c.want != "" {
			if f := sample.Find(t, lashing.Check(r), lashing.CodeRule); f.Outcome == finding.Holds {
				t.Errorf("%s: holds", name)
			}
		}
	}
}

// Round the lower edge: the box stands 0.2 m over the deck (0.5 m up), 0.7 m high, 1.46 m wide;
// the ring on the deck 0.43 m further in and 50 mm ahead. The pull acts at the lower edge, the
// strap is 0.7 + √(0.05² + 0.43² + 0.2²) long to that side.
func TestRoundTheLowerEdge(t *testing.T) {
	r := tied(t, "/loads/crate/size/width/value", `1.46`, sample.Crate+"/at/up", `0.2`, "/trailers/t/tiePoints/fl/at/right", `-0.3`, "/trailers/t/tiePoints/fr/at/right", `0.3`)
	l := only(t, r, "Crate")
	if len(l.Ties) == 0 {
		t.Fatal(lacks(l, r))
	}
	e := l.Ties[0].Ends[0]
	slant := math.Sqrt(0.05*0.05 + 0.43*0.43 + 0.2*0.2)
	near(t, "height of the pull", e.Hold[2], 0.7, 1e-9)
	near(t, "inward", e.Along[1], 0.43/slant, 1e-9)
	near(t, "length", l.Ties[0].Long, 1.46+2*(0.7+slant), 1e-9)
}

// A narrow box on a wide crate: the strap bends over the crate's edge. The crate reaches 0.7 m
// aside and 1.2 m up, the box 0.3 and 1.6 m; the ring lies at 0.72, 0.5 m up.
func TestBendsOverTheCarrier(t *testing.T) {
	box := `{"order":2,"name":"Box","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":0.6,"how":"weighed"},"width":{"value":0.6,"how":"weighed"},"height":{"value":0.4,"how":"weighed"}},"centre":{}}`
	r := tied(t, "/loads/crate/size/width/value", `1.4`, "/loads/box", box, "/outings/o/layouts/t/placements/box", `{"on":"load","id":"crate","at":{"back":0.2}}`,
		"/trailers/t/tiePoints/fl/at/right", `-0.72`, "/trailers/t/tiePoints/fr/at/right", `0.72`,
		"/trailers/t/tiePoints/fl/at/back", `1.25`, "/trailers/t/tiePoints/fr/at/back", `1.25`,
		"/outings/o/layouts/t/lashings", `{"a":{"order":1,"load":"box","strap":"s","from":"fl","to":"fr","hold":{"back":0.3}}}`)
	l := only(t, r, "Box")
	if len(l.Ties) != 1 {
		t.Fatal(lacks(l, r))
	}
	e := l.Ties[0].Ends[0]
	near(t, "bends at the crate's edge", e.Toward[1], -0.7, 1e-9)
	near(t, "… its top", e.Toward[2], 1.2, 1e-9)
	near(t, "pulls down by", -e.Along[2], 0.4/math.Hypot(0.4, 0.4), 1e-9)
	near(t, "length", l.Ties[0].Long, 0.6+2*(math.Hypot(0.4, 0.4)+math.Hypot(0.02, 0.7)), 1e-9)
}
