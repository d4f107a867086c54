package rack_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/rack"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/parts"
)

// Braces of 0.2 m on posts ±0.5 of a bar ±0.8: at ±0.3 and ±0.7, eight of 0.2828 m; with
// 20.612 kg 28.0885 kg in all. Hulls' lines at ±0.24 bend the bar by 7.4828 N·m (an
// independent frame of 800 elements), twice that over 4.66178 cm³: 3.2103 MPa.
func TestBraces(t *testing.T) {
	r := rackOf(t, "/parts/r/rack/brace", `0.2`)
	built, fs := rack.Check(r)
	near(t, "mass", built[0].Mass.Value, 28.0885)
	bar := sample.Find(t, fs, rack.CodeBar)
	near(t, "stress", bar.Figure.Value/1e6, 3.21027)
	rk := r.Plan.Parts["r"].Rack
	tier := rk.Tiers["one"]
	near(t, "outermost", parts.BracesAt(rk, tier)[0], -0.7)
	lines := parts.BraceLines(rk, tier)
	if len(lines) != 4 {
		t.Errorf("%d braces are drawn", len(lines))
	}
	for _, b := range lines { // at 45°, from a post to the bar's underside 0.76 m up
		if math.Abs(math.Abs(b[0][0])-0.5) > 1e-9 || math.Abs(math.Abs(b[1][0]-b[0][0])-0.2) > 1e-9 || math.Abs(b[1][1]-0.76) > 1e-9 || math.Abs(b[1][1]-b[0][1]-0.2) > 1e-9 {
			t.Errorf("a brace runs %v", b)
		}
	}
	for name, c := range map[string]struct {
		leg, apart float64
		want       int
	}{"none": {0, 1, 0}, "longer than the post": {0.76, 1, 0}, "posts near": {0.3, 0.5, 2}, "short arms": {0.4, 1, 2}, "both": {0.25, 1, 4}} {
		k := *rk
		k.Brace, k.Apart = length(c.leg), length(c.apart)
		if got := len(parts.BracesAt(&k, tier)); got != c.want {
			t.Errorf("%s: %d braces, want %d", name, got, c.want)
		}
	}
}

// Four bolts M10 of 8.8, rows 80 mm apart: Σm·h = 60.0616 kg·m on four posts at 0.8 g:
// 117.8 N·m, 736.25 N each; one bears 35.286 kN.
func TestFoot(t *testing.T) {
	at := "/parts/r/rack/"
	r := rackOf(t, at+"foot", `"bolted"`)
	_, fs := rack.Check(r)
	if f := sample.Find(t, fs, rack.CodeFoot); f.Outcome != finding.Unknown || len(f.Needs) != 3 {
		t.Errorf("%s", f.Says.Text(r.Plan.Locale()))
	}
	_, fs = rack.Check(rackOf(t, at+"foot", `"bolted"`, at+"bolts", `4`, at+"bolt", `0.01`, at+"gauge", `0.08`, at+"grade", `"8.8"`))
	f := sample.Find(t, fs, rack.CodeFoot)
	near(t, "pull", f.Figure.Value, 736.254)
	near(t, "bears", f.Limit.Value, 35286.37)
	if f.Outcome != finding.Holds || len(f.Work()) != 1 {
		t.Errorf("%s", f.Outcome)
	}
	_, fs = rack.Check(rackOf(t, at+"foot", `"bolted"`, at+"bolts", `2`, at+"bolt", `0.004`, at+"gauge", `0.02`))
	if f := sample.Find(t, fs, rack.CodeFoot); f.Outcome != finding.Fails {
		t.Errorf("%s %v", f.Outcome, f.Figure.Value)
	}
}

// Ball: 20 kg empty, the rack's 20.612 kg at 2.2 m adds 20.612·0.3/2.5 = 2.4734. The hull
// first bears 30 kg on the rear frame at 3.2 m: −30·0.7/2.5 = −8.4, then 60·0.3/2.5 = 7.2.
func TestOrder(t *testing.T) {
	r := rackOf(t)
	_, fs := rack.Check(r)
	f := sample.Find(t, fs, rack.CodeOrder)
	near(t, "least", f.Figure.Value, 20+2.47345-8.4)
	if f.Outcome != finding.Tight || !strings.Contains(f.Says.Text(r.Plan.Locale()), "from 22 kg to 30 kg") {
		t.Errorf("%s %q", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	_, fs = rack.Check(rackOf(t, "/outings/o/layouts/t/parts/r/at/back", `2`))
	if f := sample.Find(t, fs, rack.CodeOrder); !strings.Contains(f.Says.Text(r.Plan.Locale()), "tips up") {
		t.Errorf("%q", f.Says.Text(r.Plan.Locale()))
	}
}

func TestHandling(t *testing.T) {
	shed := func(l, h string) []string {
		size := `{"length":{"value":` + l + `,"how":"weighed"},"width":{"value":1,"how":"weighed"},"height":{"value":` + h + `,"how":"weighed"}}`
		return []string{"/wants", `{"w":{"order":1,"what":"storage","size":` + size + `}}`}
	}
	heavy := `{"shape":"tube","height":0.1,"width":0.1,"wall":0.01,"material":"s235"}`
	for name, c := range map[string]struct {
		sets          []string
		outcome, says string
	}{
		"light":       {nil, "holds", "2 frames of 10 kg each"},
		"stored":      {shed("3", "2"), "holds", "lean against the wall"},
		"low shed":    {shed("1.4", "1.2"), "tight", "does not fit"},
		"welded":      {[]string{"/parts/r/rack/foot", `"welded"`}, "tight", "do not come off"},
		"heavy frame": {[]string{"/parts/r/rack/bar", heavy}, "tight", "two people"},
	} {
		r := rackOf(t, c.sets...)
		_, fs := rack.Check(r)
		f := sample.Find(t, fs, rack.CodeLift)
		if says := f.Says.Text(r.Plan.Locale()); string(f.Outcome) != c.outcome || !strings.Contains(strings.ToLower(says), strings.ToLower(c.says)) {
			t.Errorf("%s: %s %q", name, f.Outcome, says)
		}
	}
	// 250 kg on 1.6 m, 60 kg on a bar's end at 0.8: nothing hangs beyond the wheel, 125 kg; at 1.2 m
	// 30·0.4/1.6 = 7.5 less.
	near(t, "far wheel", rack.Aside(250, 60, 0.8, 1.6), 125)
	near(t, "far wheel, long bar", rack.Aside(250, 60, 1.2, 1.6), 117.5)
	near(t, "a frame", rack.FrameMass(rackOf(t).Plan.Parts["r"].Rack), 20.6122/2)
}

// On a deck 0.6 m up lamps hang at 0.5: what reaches 0.5 m beyond needs 0.134 m over them,
// 0.3 m needs 0.080 m.
func TestLamps(t *testing.T) {
	deck := []string{"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`, sample.Crate + "/at/back"}
	for back, want := range map[string]string{"2.0": "tight", "1.8": "holds", "1.2": ""} {
		r := resolved(t, append(deck, back)...)
		f, ok := rack.Lamps(r)
		if string(f.Outcome) != want || ok != (want != "") {
			t.Errorf("%s: %s %q", back, f.Outcome, f.Says.Text(r.Plan.Locale()))
		}
		if want == "tight" {
			near(t, "needed", f.Limit.Value, 0.5*math.Tan(15*math.Pi/180))
		}
	}
}

// A hull of 0.8 × 0.4 m at 75°: 0.8·cos + 0.4·sin = 0.593427 wide, 0.8·sin + 0.4·cos =
// 0.876268 high. Its centre, 0.16 m up of 0.4, lies 0.04 under the middle: aside by
// −0.04·sin 75°, up 0.438134 − 0.04·cos 75°; upside down it lies at 0.24 m.
func TestPoses(t *testing.T) {
	pose := func(v string, more ...string) (w, h, aside, up float64) {
		r := rackOf(t, append([]string{"/loads/crate/centre/up", `{"value":0.16,"how":"weighed"}`, "/parts/r/slots/s/pose", v}, more...)...)
		for _, it := range r.Items {
			if !it.Part {
				return it.Right - it.Left, it.Top - it.Bottom, it.Y, it.Z - it.Bottom
			}
		}
		return 0, 0, 0, 0
	}
	w, h, aside, up := pose(`"edge"`)
	near(t, "wide", w, 0.593427)
	near(t, "high", h, 0.876268)
	near(t, "aside", aside, -0.0386370)
	near(t, "up", up, 0.427781)
	w, h, aside, up = pose(`"up"`)
	near(t, "upside down, wide", w, 0.8)
	near(t, "upside down, up", up, 0.24)
	if math.Abs(aside) > 1e-9 || math.Abs(h-0.4) > 1e-9 {
		t.Errorf("upside down: %v aside, %v high", aside, h)
	}
	w, h, _, _ = pose(`"edge"`, "/parts/r/slots/s/lean", `1.5707963267948966`)
	near(t, "upright, wide", w, 0.4)
	near(t, "upright, high", h, 0.8)
}
