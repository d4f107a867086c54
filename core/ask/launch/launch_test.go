package launch_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/launch"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

func near(t *testing.T, what string, got, want float64) {
	t.Helper()
	if math.Abs(got-want) > 1e-4*math.Max(1e-6, math.Abs(want)) {
		t.Errorf("%s: got %.7g, want %.7g", what, got, want)
	}
}

const seven = 7 * math.Pi / 180

// A stern 5 m behind the ball, its keel 0.5 m up, draft 0.25 m, slip 7°: the water's
// edge lies at 5 − (0.25 + 0.5·cos 7°)/sin 7° = −1.12355 m; hubs at 3.2 m, 0.3 m up are
// 0.22914 m under. A second way: turn all by the slip and compare heights.
func TestSlip(t *testing.T) {
	e := launch.Edge(5, 0.5, 0.25, seven)
	near(t, "edge", e, -1.1235505)
	near(t, "hubs", launch.Depth(3.2, 0.3, e, seven), 0.2291444)
	for _, slip := range []float64{0.03, 0.1, 0.2, 0.5} {
		e := launch.Edge(4.2, 0.6, 0.3, slip)
		height := func(x, z float64) float64 { return z*math.Cos(slip) - x*math.Sin(slip) }
		water := height(4.2, 0.6) + 0.3
		for _, p := range [][2]float64{{4.2, 0.6}, {2, 0.3}, {-1, 0}} {
			near(t, "depth", 1+launch.Depth(p[0], p[1], e, slip), 1+water-height(p[0], p[1]))
		}
	}
}

// 300 kg on bunks of 2 m: in the middle 150 kg/m; 0.2 m off 150·1.6 = 240; 0.5 m off, beyond
// a sixth, 2·300/(3·0.5) = 400.
func TestPeak(t *testing.T) {
	for _, c := range []struct {
		at, want       float64
		lifts, carried bool
	}{{1, 150, false, true}, {1.2, 240, false, true}, {0.8, 240, false, true}, {1.5, 400, true, true}, {2, 0, true, false}, {-1, 0, true, false}} {
		got, lifts, carried := launch.Peak(300, c.at, 0, 2)
		if math.Abs(got-c.want) > 1e-9 || lifts != c.lifts || carried != c.carried {
			t.Errorf("at %v: %v %v %v", c.at, got, lifts, carried)
		}
	}
	if _, _, carried := launch.Peak(300, 1, 2, 2); carried {
		t.Error("bunks without length carry")
	}
	for d := 0.0; d < 0.9; d += 0.1 { // the line of load that Peak tells balances the boat
		peak, _, _ := launch.Peak(100, 1+d, 0, 2)
		const n = 20000
		sum, moment := 0.0, 0.0
		for i := range n {
			x := (float64(i) + 0.5) / n * 2
			q := peak + (x-2)*(peak-50)
			if d > 1.0/3 {
				q = math.Max(0, peak*(1-(2-x)/(3*(1-d))))
			}
			sum, moment = sum+q*2/n, moment+q*x*2/n
		}
		near(t, "sum", sum, 100)
		near(t, "moment", moment, 100*(1+d))
	}
}

// cradled puts the crate as a boat of 300 kg, 4 m long, onto a cradle 0.2 m behind the
// headboard: stem at the stop, centre 2 m behind it.
func cradled(t *testing.T, more ...string) *rig.Rig {
	sets := []string{"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`,
		"/parts/k", `{"order":1,"name":"Cradle","mass":{"value":30,"how":"weighed"},"size":{"length":{"value":3,"how":"weighed"}},"centre":{},
		"cradle":{"keel":0.1,"bowStop":-0.8,"winchAt":-1.2,"winchUp":0.55,"transom":true,"rollers":{"a":{"order":1,"at":0.2},"b":{"order":2,"at":2.2}}}}`,
		"/outings/o/layouts/t/parts", `{"k":{"at":{"back":0.2}}}`, "/loads/crate/kind", `"dinghy"`, "/loads/crate/mass/value", `300`,
		"/loads/crate/size", `{"length":{"value":4,"how":"weighed"},"width":{"value":1.5,"how":"weighed"},"height":{"value":0.7,"how":"weighed"}}`,
		"/loads/crate/centre", `{"back":{"value":2,"how":"weighed"}}`, "/loads/crate/hull", `{"eyeUp":0.4,"eyeAt":0.1,"draft":0.25}`,
		sample.Crate, `{"on":"part","id":"k","at":{"back":-0.8}}`, "/outings/o/slip", `{"angle":0.12217304763960307}`}
	return rig.Resolve(sample.Plan(t, append(sets, more...)...), "t", "o")
}

// Rollers at 0.2 and 2.2 m under a centre at 1.2 m: 150 kg each. The winch stands 0.05 m
// over the eye, 0.5 m before it: 5.71°.
func TestCradle(t *testing.T) {
	r := cradled(t)
	fs := launch.Check(r)
	near(t, "least", sample.Find(t, fs, launch.CodeSupport).Figure.Value, 150)
	near(t, "line", sample.Find(t, fs, launch.CodeWinch).Figure.Value, math.Atan2(0.05, 0.5))
	// The stern lies 1 + 0.2 − 0.8 + 4 = 4.4 m behind the ball, keel 0.6 m up.
	e := launch.Edge(4.4, 0.6, 0.25, seven)
	near(t, "hubs", sample.Find(t, fs, launch.CodeHubs).Figure.Value, launch.Depth(2.5, r.WheelRadius(), e, seven))
	for _, f := range fs {
		if f.HasWork && len(f.Work()) == 0 {
			t.Errorf("%s has no working", f.Code)
		}
	}
	at := "/parts/k/cradle/"
	for name, c := range map[string]struct {
		sets                []string
		code, outcome, says string
	}{
		"well borne":      {nil, launch.CodeSupport, "holds", "2 rollers carry from 150 kg to 150 kg"},
		"idle roller":     {[]string{at + "rollers/b/at", `1.25`}, launch.CodeSupport, "tight", "idle"},
		"tips":            {[]string{at + "rollers/b/at", `1`}, launch.CodeSupport, "fails", "tips off"},
		"one roller":      {[]string{at + "rollers/b", `-`}, launch.CodeSupport, "fails", "see-saw"},
		"nothing under":   {[]string{at + "rollers", `{}`}, launch.CodeSupport, "unknown", "Add rollers"},
		"bunks":           {[]string{at + "rollers", `{}`, at + "bunks", `{"from":0.2,"to":2.2,"apart":0.9}`}, launch.CodeSupport, "holds", "150 kg on their busiest metre"},
		"bunks too short": {[]string{at + "rollers", `{}`, at + "bunks", `{"from":0.2,"to":1.0,"apart":0.9}`}, launch.CodeSupport, "fails", "tips off its bunks"},
		"bunks well":      {[]string{at + "bunks", `{"from":0.2,"to":2.2,"apart":0.9}`}, launch.CodeWidth, "holds", "firm lines"},
		"bunks narrow":    {[]string{at + "bunks", `{"from":0.2,"to":2.2,"apart":0.5}`}, launch.CodeWidth, "tight", "Set them there"},
		"bunks wide":      {[]string{at + "bunks", `{"from":0.2,"to":2.2,"apart":1.6}`}, launch.CodeWidth, "fails", "falls between"},
		"stem at stop":    {nil, launch.CodeBow, "holds", "rests against its stop"},
		"stem short":      {[]string{at + "bowStop", `-1`}, launch.CodeBow, "tight", "200 mm short"},
		"stem in stop":    {[]string{at + "bowStop", `-0.5`}, launch.CodeBow, "fails", "300 mm into the bow stop"},
		"no stop":         {[]string{at + "bowStop", `-`}, launch.CodeBow, "unknown", "No bow stop"},
		"low winch":       {[]string{at + "winchUp", `0.2`}, launch.CodeWinch, "tight", "pulls the bow down"},
		"high winch":      {[]string{at + "winchUp", `0.9`}, launch.CodeWinch, "tight", "lifts the bow"},
		"winch behind":    {[]string{at + "winchAt", `1`}, launch.CodeWinch, "fails", "behind the bow eye"},
		"no eye":          {[]string{"/loads/crate/hull/eyeUp", `-`}, launch.CodeWinch, "unknown", "bow eye"},
		"no tie":          {[]string{at + "transom", `false`}, launch.CodeStern, "tight", "Nothing ties the stern"},
		"wet hubs":        {nil, launch.CodeHubs, "tight", "rinse"},
		"steep and long":  {[]string{"/outings/o/slip/angle", `0.3`, "/loads/crate/hull/draft", `0.1`, at + "keel", `0`, "/trailers/t/deckHeight/value", `0.2`}, launch.CodeHubs, "holds", "stay dry"},
		"no draft":        {[]string{"/loads/crate/hull/draft", `-`}, launch.CodeHubs, "unknown", "how deep the keel"},
		"wet car":         {[]string{"/loads/crate/hull/draft", `0.6`}, launch.CodeCar, "tight", "stand"},
		"dry car":         {[]string{"/outings/o/slip/angle", `0.3`}, launch.CodeCar, "holds", "from the water"},
		"no weight":       {[]string{"/loads/crate/mass", `-`, "/loads/crate/kind", `"odd"`}, launch.CodeSupport, "unknown", "the weight of"},
	} {
		r := cradled(t, c.sets...)
		f := sample.Find(t, launch.Check(r), c.code)
		if says := f.Says.Text(r.Plan.Locale()); string(f.Outcome) != c.outcome || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s %q", name, f.Outcome, says)
		}
		if f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s: it does not say what is missing", name)
		}
	}
}
