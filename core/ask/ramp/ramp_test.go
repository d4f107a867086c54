package ramp_test

import (
	"math"
	"slices"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/ask/ramp"
	"zygonos/core/facts/norms"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

func near(t *testing.T, what string, got, want, within float64) {
	t.Helper()
	if !(math.Abs(got-want) <= within) {
		t.Errorf("%s: got %.7g, want %.7g", what, got, want)
	}
}

// A ground, a ramp of 20° and a deck, with a kerb before them.
var path = ramp.Path{{-12, -0.1}, {-2.5, 0}, {-2.5 + 0.6/math.Tan(20*math.Pi/180), 0.6}, {2.2, 0.6}, {9, 0.7}}

// dense are the path's points every half millimetre.
func dense(p ramp.Path) []ramp.Point {
	var out []ramp.Point
	for i := 0; i+1 < len(p); i++ {
		n := int(math.Hypot(p[i+1].U-p[i].U, p[i+1].Z-p[i].Z)/0.0005) + 1
		for k := range n {
			f := float64(k) / float64(n)
			out = append(out, ramp.Point{p[i].U + f*(p[i+1].U-p[i].U), p[i].Z + f*(p[i+1].Z-p[i].Z)})
		}
	}
	return out
}

// highest is a wheel's middle on dense points: the highest of the circles about them.
func highest(ps []ramp.Point, u, r float64) float64 {
	best := math.Inf(-1)
	for _, p := range ps {
		if d := u - p.U; math.Abs(d) <= r {
			best = math.Max(best, p.Z+math.Sqrt(r*r-d*d))
		}
	}
	return best
}

// Wheels, stance and clearance against sampling that knows no corners.
func TestAgainstSampling(t *testing.T) {
	ps := dense(path)
	b := ramp.Body{Base: 1.95, FrontR: 0.28, RearR: 0.33, Before: 0.45, Behind: 0.4, Belly: 0.2, Nose: 0.3, Tail: 0.25}
	lowest := math.Inf(1)
	for u := -5.0; u < 1.5; u += 0.13 {
		c := path.Rest(u, b.RearR)
		near(t, "wheel's middle", c.Centre.Z, highest(ps, u, b.RearR), 2e-5)
		near(t, "touches at its radius", math.Hypot(c.At.U-c.Centre.U, c.At.Z-c.Centre.Z), b.RearR, 1e-9)
		q := b.Stand(path, u, 0)
		// The front wheel by small steps.
		rear, want := highest(ps, u, b.RearR), math.Hypot(1.95, 0.05)
		lo, hi := 0.7, 2.2
		for range 40 {
			if m := (lo + hi) / 2; math.Hypot(m, highest(ps, u+m, b.FrontR)-rear) < want {
				lo = m
			} else {
				hi = m
			}
		}
		near(t, "front wheel", q.Front.Centre.U-u, lo, 5e-5)
		near(t, "guessed alike", b.Stand(path, u, 1.9).Pitch, q.Pitch, 1e-8)
		// Clearance: turn all path points into the body's own frame and look under it.
		line := math.Atan2(highest(ps, u+lo, b.FrontR)-rear, lo) - math.Atan2(-0.05, 1.95)
		least := math.Inf(1)
		for _, p := range ps {
			du, dz := p.U-u, p.Z-rear
			a := du*math.Cos(line) + dz*math.Sin(line)
			h := -du*math.Sin(line) + dz*math.Cos(line) + b.RearR
			under := 0.2
			switch {
			case a < -0.4 || a > 2.4:
				continue
			case a > 1.95:
				under = 0.3
			case a < 0:
				under = 0.25
			}
			least = math.Min(least, under-h)
		}
		got, ahead := b.Clearance(path, q)
		near(t, "clearance", got, least, 4e-4)
		if ahead < -0.4 || ahead > 2.4 {
			t.Errorf("nearest at %v", ahead)
		}
		lowest = math.Min(lowest, got)
	}
	// A belly of 0.2 m over a wheelbase of 1.95 m on 20°: by hand about 0.2 − 0.25·1.95·sin 20°
	// less what the wheels' roundness gives back; it must come well under a half of 0.2.
	if lowest > 0.1 || lowest < 0 {
		t.Errorf("least clearance %v", lowest)
	}
}

// Forces balance, whichever way it is driven: no force and no moment is left.
func TestForcesBalance(t *testing.T) {
	b := ramp.Body{Base: 1.95, FrontR: 0.3, RearR: 0.33, Before: 0.4, Behind: 0.4, Belly: 0.25, Nose: 0.3, Tail: 0.3, CentreAhead: 0.9, CentreUp: 0.65}
	winch := ramp.Point{U: 2.1, Z: 0.9}
	front, rear := ramp.Resistance{Rolls: 0.04, Bump: 0.38}, ramp.Resistance{Rolls: 0.25}
	for _, way := range []ramp.Way{ramp.AllWheels, ramp.OneAxleRear, ramp.OneAxleFront, ramp.ByLine} {
		for u := -6.0; u < -0.6; u += 0.11 {
			q := b.Stand(path, u, 0)
			hook := b.Place(q, 2.35, 0.3)
			w, ok := b.Forces(q, 500, way, ramp.Line{Hook: hook, Winch: winch, Front: front, Rear: rear})
			if !ok {
				t.Fatalf("%v at %v: no balance", way, u)
			}
			g := b.Place(q, b.CentreAhead, b.CentreUp)
			l := math.Hypot(winch.U-hook.U, winch.Z-hook.Z)
			du, dz := (winch.U-hook.U)/l*w.Line, (winch.Z-hook.Z)/l*w.Line
			near(t, "upright", w.Front.Down+w.Rear.Down+dz, 500, 1e-6)
			near(t, "along", -w.Front.Ahead-w.Rear.Ahead+du, 0, 1e-6)
			moment := -500 * g.U
			for _, f := range []ramp.Push{w.Front, w.Rear} {
				moment += f.Down*f.At.U + f.Ahead*f.At.Z
			}
			moment += hook.U*dz - hook.Z*du
			near(t, "moment", moment, 0, 1e-6)
			if way == ramp.ByLine { // what acts on a wheel that turns passes through its axle
				c := q.Front.Centre
				near(t, "about the axle", (c.U-w.Front.At.U)*w.Front.Down+(c.Z-w.Front.At.Z)*w.Front.Ahead, 0, 1e-6)
			}
		}
	}
	// On a straight slope of 20°, by hand: 500·sin 20° = 171.01 kg on a line along it.
	slope := ramp.Path{{-20, -20 * math.Tan(20*math.Pi/180)}, {20, 20 * math.Tan(20*math.Pi/180)}}
	q := b.Stand(slope, 0, 0)
	at := b.Place(q, 2.35, 0.3)
	w, _ := b.Forces(q, 500, ramp.ByLine, ramp.Line{Hook: at, Winch: ramp.Point{U: at.U + math.Cos(20*math.Pi/180), Z: at.Z + math.Sin(20*math.Pi/180)}})
	near(t, "pull on a slope", w.Line, 500*math.Sin(20*math.Pi/180), 0.2)
}

// Limits of the winch's sums, by hand.
func TestWinchSums(t *testing.T) {
	// Along a slope W(sin θ + c·cos θ): flat, nearly upright, locked on 15°.
	b := ramp.Body{Base: 1.95, FrontR: 0.3, RearR: 0.3, CentreAhead: 0.9, CentreUp: 0.3}
	for _, c := range []struct {
		degrees, want float64
		resists       ramp.Resistance
	}{
		{0, 20, ramp.Resistance{Rolls: 0.04}},
		{85, 500 * (0.9961947 + 0.04*0.0871557), ramp.Resistance{Rolls: 0.04}},
		{15, 500 * (0.2588190 + 0.8*0.9659258), ramp.Resistance{Rolls: 0.8, Locked: true}},
	} {
		sin, cos := math.Sincos(c.degrees * math.Pi / 180)
		slope := ramp.Path{{-20, -20 * sin / cos}, {20, 20 * sin / cos}}
		q := b.Stand(slope, 0, 0)
		at := b.Place(q, 2.35, 0.3)
		w, ok := b.Forces(q, 500, ramp.ByLine, ramp.Line{Hook: at, Winch: ramp.Point{U: at.U + cos, Z: at.Z + sin}, Front: c.resists, Rear: c.resists})
		if near(t, "along a slope", w.Line, c.want, 0.01); !ok {
			t.Errorf("%v° lifts an axle", c.degrees)
		}
	}
	for _, c := range []struct {
		h, want float64
		ok      bool
	}{{0, 0, true}, {0.02, 200 * 0.3846519, true}, {0.15, 200 * math.Sqrt(3), true}, {0.3, 0, false}, {0.4, 0, false}} {
		got, ok := ramp.Bump(200, 0.3, c.h)
		if math.Abs(got-c.want) > 1e-3 || ok != c.ok {
			t.Errorf("step %v: %v %v, want %v", c.h, got, ok, c.want)
		}
	}
	near(t, "first layer", ramp.OnLayer(900, 0.06, 0.006, 1), 900, 0)
	near(t, "third layer", ramp.OnLayer(900, 0.06, 0.006, 3), 900*0.066/0.09, 1e-9)
	near(t, "crank", ramp.Handle(2000, 0.03, 4, 0.25), 60/0.8, 1e-9) // a fifth rubs away
	near(t, "current", ramp.Current(20, 170, 450, 900), 95, 1e-9)
}

// Two wheels of 300 and 200 kg 0.9 m apart on a span of 2 m: e = 0.36,
// 500/2·0.82² = 168.1 kg·m; the heavier alone 150. The drive's own steps find as much.
func TestMovingPair(t *testing.T) {
	near(t, "both", movingPair(300, 200, 0.9, 2), 168.1, 1e-9)
	near(t, "turned", movingPair(200, 300, 0.9, 2), 168.1, 1e-9)
	near(t, "too far apart", movingPair(300, 200, 1.8, 2), 150, 1e-9)
	most := 0.0
	for x := 0.0; x < 2.9; x += 0.0005 {
		at, m := []float64{x, x - 0.9}, 0.0
		for _, p := range at {
			if p <= 0 || p >= 2 {
				continue
			}
			m = 0
			for i, q := range at {
				if q > 0 && q < 2 {
					m += []float64{300, 200}[i] * math.Min(p, q) * (2 - math.Max(p, q)) / 2
				}
			}
			most = math.Max(most, m)
		}
	}
	near(t, "rolled over", movingPair(300, 200, 0.9, 2), most, 0.01)
}

// onRamps gives the sample a machine of 300 kg with 1.2 m between its wheels, 2 m ramps,
// a deck 0.5 m up.
func onRamps(t testing.TB, more ...string) *plan.Plan {
	sets := []string{"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/loads/crate/mass/value", `300`, "/loads/crate/kind", `"quad"`,
		"/loads/crate/size", `{"length":{"value":1.9,"how":"weighed"},"width":{"value":1.1,"how":"weighed"},"height":{"value":1.1,"how":"weighed"}}`,
		"/loads/crate/centre", `{"back":{"value":1.0,"how":"weighed"},"up":{"value":0.5,"how":"weighed"}}`,
		"/loads/crate/rolling", `{"frontAxle":{"value":0.35,"how":"weighed"},"wheelbase":{"value":1.2,"how":"weighed"},"track":{"value":0.9,"how":"weighed"},"clearance":{"value":0.25,"how":"weighed"},"wheel":0.56,"tyre":0.2}`,
		sample.Crate + "/at/back", `0.3`,
		"/parts/ramps", `{"order":1,"name":"Ramps","mass":{"value":30,"plusMinus":0,"how":"weighed"},"size":{"length":{"value":0.2,"how":"weighed"}},"centre":{"back":{"value":0.1,"how":"weighed"}},"ramp":{"length":2,"width":0.3,"rating":400,"counts":"vehicle","per":"pair","held":"pins","lip":0.08}}`,
		"/outings/o/layouts/t/parts", `{"ramps":{"at":{"back":2.3}}}`,
		"/outings/o/layouts/t/loading", `{"machine":"crate","ramp":"ramps","driver":{"value":0,"plusMinus":0,"how":"weighed"}}`}
	return sample.Plan(t, append(sets, more...)...)
}

func resolved(t *testing.T, more ...string) *rig.Rig {
	return rig.Resolve(onRamps(t, more...), "t", "o")
}

// At home the ball bears what Balance says, but for the ramps: laid out, half of their
// 30 kg hangs at the tail, 3.5 m behind the ball; stowed they lay at 3.4 m.
func TestEndsAsBalance(t *testing.T) {
	for _, drive := range []string{`"all"`, `"rear"`, `"front"`, `"winch"`} {
		r := resolved(t, "/outings/o/layouts/t/loading/drive", drive)
		s, missing, fails := ramp.Prepare(r)
		if s == nil || missing != nil || fails != nil {
			t.Fatalf("%v %v", missing, fails)
		}
		steps := s.Drive(200)
		want := r.Bears.Ball.Nominal + 30*0.9/2.5 - 15*1.0/2.5
		near(t, "ball at home "+drive, steps[199].Ball, want, 0.01)
		// Before it: on the ground the trailer bears only the ramps; and the line, which pulls
		// 12.025 kg at 6.641° down over 4.4665 m: (1.5·1.391 − 0.38·11.944)/2.5.
		before := 20 - 15*1.0/2.5
		if drive == `"winch"` {
			before -= 0.981
		}
		near(t, "ball before "+drive, steps[0].Ball, before, 0.01)
	}
	// By hand: the machine's rear wheels at the tail's edge, all wheels driven. Half the
	// ramp's angle is none of it: V_r at 3.5, V_f at the deck.
	r := resolved(t)
	s, _, _ := ramp.Prepare(r)
	st := s.At(-3.2, 0) // both on the deck: front at 2.0, centre ahead of the rear wheels by 0.55
	near(t, "on the deck", st.Ball, 20-6+300*(2.5-(3.2-0.55))/2.5, 0.01)
	near(t, "ramp's angle", s.Angle, math.Asin(0.25), 1e-9)
	// On springs of 800 kg in 40 mm the axle bears 318 of its 300 kg: 15.9 mm there, 22.26 at the tail.
	sprung, _, _ := ramp.Prepare(resolved(t, "/trailers/t/sinks", `0.04`))
	on := sprung.At(-3.2, 0)
	near(t, "tail sinks", on.Sinks, 318/20000.0*3.5/2.5, 1e-5)
}

// A prop 3.4 m behind the ball, springs 800 kg to 0.04 m: K = 20,000 kg/m. 300 kg at the tail
// (ball −120 kg): the moment about the ball 300·3.5 = 1050 kg·m; a gap of 10 mm leaves the
// springs 20,000·2.5²·0.01/3.4 = 367.6: (1050 − 367.6)/3.4 = 200.7 kg.
func TestProps(t *testing.T) {
	r := resolved(t, "/trailers/t/sinks", `0.04`, "/outings/o/layouts/t/loading/props", `{"back":2.4,"gap":0.01}`)
	s, _, _ := ramp.Prepare(r)
	near(t, "hitched", ramp.PropLoad(2.5, 3.4, 0.01, 20000, 1050), 200.692, 1e-3)
	near(t, "snug", ramp.PropLoad(2.5, 3.4, 0, 20000, 1050), 1050/3.4, 1e-6)
	near(t, "wide gap", ramp.PropLoad(2.5, 3.4, 0.1, 20000, 1050), 0, 0)
	if steps := s.Drive(100); !(steps[ramp.WorstOf(steps).Prop].Prop > 100) {
		t.Errorf("props bear %v", steps[ramp.WorstOf(steps).Prop].Prop)
	}
}

func TestCheck(t *testing.T) {
	at, part, l := "/outings/o/layouts/t/loading", "/parts/ramps/ramp", "/loads/crate/rolling"
	tube := `{"shape":"tube","height":0.05,"width":0.03,"wall":0.003,"material":"s235"}`
	for name, c := range map[string]struct {
		sets                []string
		code, outcome, says string
	}{
		"flat enough":       {nil, ramp.CodeAngle, "holds", "rise 500 mm at 14.5°"},
		"steep":             {[]string{part + "/length", `1.2`}, ramp.CodeAngle, "tight", "be 1620 mm long"},
		"too short":         {[]string{part + "/length", `0.45`}, ramp.CodeSetup, "fails", "do not reach the ground"},
		"a loading bank":    {[]string{at + "/kerb", `-0.6`}, ramp.CodeSetup, "fails", "no ramp is needed"},
		"rising ground":     {[]string{at + "/fall", `-0.5`}, ramp.CodeAngle, "holds", "Ramps of"},
		"kerb":              {[]string{at + "/kerb", `0.2`}, ramp.CodeAngle, "tight", "rise 700 mm"},
		"tail lowered":      {[]string{at + "/raised", `0.25`}, ramp.CodeAngle, "holds", "rise 400 mm"},
		"lowered deck":      {[]string{at + "/deck", `0.2`}, ramp.CodeAngle, "holds", "rise 200 mm"},
		"cut":               {[]string{part + "/profile", tube, part + "/gap", `0.1`}, ramp.CodeCut, "holds", "4 sides of 2000 mm, 28 treads of 200 mm"},
		"springs":           {[]string{"/trailers/t/sinks", `0.04`}, ramp.CodeAngle, "holds", "springs let the tail down by"},
		"wheels too large":  {[]string{l + "/wheel", `1`, part + "/length", `0.9`}, ramp.CodeAngle, "tight", "jumps from ground to deck"},
		"raised clears":     {[]string{l + "/clearance/value", `0.1`}, ramp.CodeClear, "tight", "blocks under the car's wheels"},
		"jockey raised":     {[]string{l + "/clearance/value", `0.1`, at + "/unhitched", `true`}, ramp.CodeClear, "tight", "jockey wheel down"},
		"nothing clears":    {[]string{l + "/clearance/value", `0.02`}, ramp.CodeClear, "fails", "planks under its wheels"},
		"treads":            {[]string{part + "/profile", tube}, ramp.CodeTreads, "holds", "A tread of 200 mm carries a wheel"},
		"thin treads":       {[]string{part + "/profile", tube, part + "/tread", `{"shape":"bar","height":0.006,"width":0.03,"material":"s235"}`}, ramp.CodeTreads, "fails", "one more side"},
		"narrow casters":    {[]string{l + "/frontTrack", `0.6`, l + "/frontTyre", `0.1`}, ramp.CodeWidth, "tight", "little room beside tyres over 300 mm. Set the ramps 800 mm apart"},
		"casters miss":      {[]string{l + "/frontTrack", `0.6`, l + "/frontTyre", `0.1`, part + "/width", `0.18`}, ramp.CodeWidth, "fails", "narrower wheels miss ramps"},
		"gaps":              {[]string{part + "/gap", `0.2`}, ramp.CodeSmall, "tight", "let its small wheels sink in by 18 mm"},
		"falls through":     {[]string{part + "/gap", `0.6`}, ramp.CodeSmall, "fails", "fall between"},
		"step at the foot":  {[]string{part + "/step", `0.08`}, ramp.CodeSmall, "tight", "takes 98 % of the axle's load"},
		"step too high":     {[]string{part + "/step", `0.3`}, ramp.CodeSmall, "fails", "do not climb"},
		"long machine":      {[]string{sample.Crate + "/at/back", `2`}, ramp.CodeHome, "fails", "1050 mm behind the tail"},
		"strip":             {[]string{part + "/held", `"strip"`}, ramp.CodeHold, "holds", "knock when reversing"},
		"strip, play":       {[]string{part + "/held", `"strip"`, part + "/play", `0.05`}, ramp.CodeHold, "tight", "only 30 mm"},
		"strip, no lip":     {[]string{part + "/held", `"strip"`, part + "/lip", `0`}, ramp.CodeHold, "unknown", "How far do its tongues"},
		"cut, no width":     {[]string{part + "/profile", tube, part + "/width", "-"}, ramp.CodeCut, "unknown", "enter the ramp's width"},
		"clears":            {nil, ramp.CodeClear, "holds", "is left under it"},
		"belly hangs":       {[]string{l + "/clearance/value", `0.06`, l + "/wheelbase/value", `1.4`}, ramp.CodeClear, "fails", "Ramps of"},
		"usual figures":     {[]string{l, `{}`}, ramp.CodeClear, "tight", "tape them"},
		"hitched, light":    {nil, ramp.CodeTip, "tight", "lifts the car by"},
		"unhitched":         {[]string{at + "/unhitched", `true`}, ramp.CodeTip, "fails", "Hitch it, or prop the tail"},
		"unhitched, props":  {[]string{at + "/unhitched", `true`, at + "/props", `{"back":2.4,"gap":0.02}`}, ramp.CodeTip, "tight", "leans on its props"},
		"car unloads":       {nil, ramp.CodeCar, "holds", "comes off the car's rear axle"},
		"props, no springs": {[]string{at + "/props", `{"back":2.4,"gap":0.02}`}, ramp.CodeProps, "unknown", "how far the springs sink"},
		"props":             {[]string{at + "/props", `{"back":2.4,"gap":0.02}`, "/trailers/t/sinks", `0.04`}, ramp.CodeProps, "holds", "Put plates under them"},
		"props in front":    {[]string{at + "/props", `{"back":1,"gap":0}`, "/trailers/t/sinks", `0.04`}, ramp.CodeProps, "fails", "hold nothing"},
		"rated":             {nil, ramp.CodeRating, "holds", "300 kg on ramps rated 400 kg"},
		"over":              {[]string{part + "/rating", `150`}, ramp.CodeRating, "fails", "Either way"},
		"unclear":           {[]string{part + "/rating", `200`, part + "/counts", "-", part + "/per", "-"}, ramp.CodeRating, "unknown", "an axle or the vehicle"},
		"no plate":          {[]string{part + "/rating", "-"}, ramp.CodeRating, "unknown", "Look for their plate"},
		"a gate":            {[]string{part + "/rating", "-", part + "/kind", `"gate"`}, ramp.CodeRating, "unknown", "hinges and latch"},
		"own make":          {[]string{part + "/profile", tube}, ramp.CodeStrength, "holds", "sides are loaded to"},
		"thin sides":        {[]string{part + "/profile", `{"shape":"tube","height":0.03,"width":0.03,"wall":0.002,"material":"s235"}`}, ramp.CodeStrength, "fails", "stronger section"},
		"some material":     {[]string{part + "/profile", `{"shape":"tube","height":0.06,"width":0.04,"wall":0.003,"material":"found"}`}, ramp.CodeStrength, "tight", "mild steel is assumed"},
		"leg in the middle": {[]string{part + "/profile", `{"shape":"tube","height":0.03,"width":0.03,"wall":0.002,"material":"s235"}`, part + "/middle", `true`}, ramp.CodeStrength, "holds", "loaded to"},
		"pinned":            {nil, ramp.CodeHold, "holds", "pins or chains take that"},
		"bare lip":          {[]string{part + "/held", `"lip"`}, ramp.CodeHold, "tight", "kicks it off"},
		"held by what":      {[]string{part + "/held", "-"}, ramp.CodeHold, "unknown", "What keeps it"},
		"short lip":         {[]string{part + "/lip", `0.03`}, ramp.CodeHold, "tight", "only 30 mm"},
		"narrow deck":       {[]string{"/trailers/t/deckWidth/value", `1.05`}, ramp.CodeWidth, "fails", "the deck is 1050 mm"},
		"room":              {nil, ramp.CodeWidth, "holds", "Set the ramps 900 mm apart"},
		"light ramps":       {nil, ramp.CodeLift, "holds", "weighs 15 kg"},
		"heavy ramps":       {[]string{"/parts/ramps/mass/value", `70`}, ramp.CodeLift, "tight", "two people"},
		"someone at tail":   {nil, ramp.CodePerson, "tight", "tips up under someone"},
		"not placed":        {[]string{sample.Crate, "-"}, ramp.CodeSetup, "unknown", "where the machine stands"},
		"no ramp told":      {[]string{at + "/ramp", "-"}, ramp.CodeSetup, "unknown", "the ramps"},
		"no deck height":    {[]string{"/trailers/t/deckHeight", "-"}, ramp.CodeSetup, "unknown", "the deck's height"},
		"long wheelbase":    {[]string{l + "/wheelbase/value", `3.4`, l + "/clearance/value", `0.12`}, ramp.CodeClear, "fails", "grounds"},
		"winch unknown":     {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3}`}, ramp.CodeWinch, "unknown", "What does the winch pull"},
		"winch strong":      {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900}`}, ramp.CodeWinch, "holds", "the winch pulls 900 kg"},
		"winch weak":        {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":60}`}, ramp.CodeWinch, "fails", "over a step of 20 mm; the winch pulls 60 kg. Fill the step, put a block at the machine"},
		// 192 kg and a quarter in reserve are 240. On the first layer 300 do; a full drum has 195 of them.
		"layer not told": {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":300}`}, ramp.CodeWinch, "tight", "on a full drum about 195 kg. Enter the layer on the drum"},
		"first layer":    {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":300,"layer":1}`}, ramp.CodeWinch, "holds", "the winch pulls 300 kg"},
		"layer, no drum": {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":300,"layer":4}`}, ramp.CodeWinch, "tight", "Enter the bare drum's diameter"},
		// 12 m of 6 mm on 60 mm, 96 wide: 16 turns are 3.32 m, then 3.92; with 4 to 5 m paid out it is the third, 300·66/90.
		"layer by its line": {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":300,"drum":0.06,"line":0.006,"reach":12,"wide":0.096}`}, ramp.CodeWinch, "tight", "the winch pulls 220 kg"},
		"line weak":         {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"lineMax":500,"tieMax":50}`}, ramp.CodeLine, "fails", "The shackle is the weakest"},
		"line only":         {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"lineMax":500}`}, ramp.CodeLine, "tight", "Not entered: the hook's working load limit"},
		"hook only":         {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"hookMax":500}`}, ramp.CodeLine, "unknown", "What can line, hook"},
		"all told":          {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"lineMax":500,"hookMax":450,"tieMax":800}`}, ramp.CodeLine, "holds", "The hook is the weakest"},
		"weak hook":         {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"hookMax":50}`}, ramp.CodeLine, "fails", "of 50 kg"},
		"crank":             {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"drum":0.06,"line":0.006,"ratio":4,"crank":0.2}`}, ramp.CodeCrank, "holds", "The crank takes"},
		// 193 kg are 1893 N: ·0.033/(2.8·0.2·0.8) = 139 N on the first layer, 214 on a full drum
		"crank, full drum": {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"drum":0.06,"line":0.006,"ratio":2.8,"crank":0.2}`}, ramp.CodeCrank, "tight", "On a full drum it is about 0.21 kN"},
		"crank, told":      {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"drum":0.06,"line":0.006,"layer":1,"ratio":2.8,"crank":0.2}`}, ramp.CodeCrank, "holds", "The crank takes 0.14 kN."},
		"lever, full drum": {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"drum":0.06,"line":0.006,"lever":{"handle":0.35}}`}, ramp.CodeLever, "tight", "On a full drum it is about 0.34 kN"},
		"battery":          {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"pull":900,"amps":150,"idle":20,"speed":0.03,"battery":40}`}, ramp.CodeBattery, "holds", "half the battery"},
		// 0.13·900 = 117 A at 900 kg, 20 without: 41 at 192 kg.
		"usual battery":    {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":-0.5,"up":0.3,"pull":900,"battery":40}`}, ramp.CodeBattery, "tight", "41 A for "},
		"post":             {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.6,"pull":900,"post":{"shape":"tube","height":0.02,"width":0.02,"wall":0.002,"material":"s235"}}`}, ramp.CodePost, "fails", "lower or stronger"},
		"brace above line": {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.3,"brace":0.6,"pull":900,"post":{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}}`}, ramp.CodePost, "holds", "on an arm of 150 mm"},
		"braced post":      {[]string{at + "/drive", `"winch"`, at + "/winch", `{"back":0,"up":0.6,"brace":0.55,"pull":900,"post":{"shape":"tube","height":0.02,"width":0.02,"wall":0.002,"material":"s235"}}`}, ramp.CodePost, "holds", "on an arm of 50 mm"},
	} {
		r := resolved(t, c.sets...)
		f := sample.Find(t, ramp.Check(r), c.code)
		if says := f.Says.Text(r.Plan.Locale()); string(f.Outcome) != c.outcome || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s %q", name, f.Outcome, says)
		}
		if f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s: it does not say what is missing", name)
		}
		if f.HasWork && len(f.Work()) == 0 {
			t.Errorf("%s: no working", name)
		}
	}
	// 4 bolts M10 of 8.8 in rows 100 mm apart under 100 kg of pull 0.4 m up: 392.3 N·m... each of two
	// 1961 N of 35.29 kN; a pin of 16 mm of SAE 5 shears at 2·0.6·825·0.78·π/4·16²/1.25 N.
	grade, pin := norms.Bolts[0], norms.Bolts[3]
	near(t, "bolt", grade.TensionOf(0.01), 35286.4, 0.5)
	near(t, "pin", 2*pin.ShearOf(0.016), 2*0.6*825e6*0.78*math.Pi/4*0.016*0.016/1.25, 0.5)
	near(t, "fleet", ramp.Fleet(0.1, 2), 0.0499584, 1e-6)
	mounted := `{"back":0,"up":0.4,"pull":900,"aside":0.2,"bolts":4,"bolt":0.01,"gauge":0.1,"grade":"8.8","pin":0.016}`
	r := resolved(t, at+"/drive", `"winch"`, at+"/winch", mounted)
	fs := ramp.Check(r)
	pull := sample.Find(t, fs, ramp.CodeWinch).Figure.Value
	// Each of two pulls P·0.4/(2·0.1) = 2·P, and each of four is sheared by P/4 of 23.52 kN: stated as a pull 2/1.4·P +
	// 0.25·1.5·P = 1.804·P, less than 2·P. With the drum at the deck's height the shear alone is left, 0.375·P.
	near(t, "bolts pull", sample.Find(t, fs, ramp.CodePostBolts).Figure.Value, pull*9.80665*2, 1e-6)
	low := ramp.Check(resolved(t, at+"/drive", `"winch"`, at+"/winch", strings.Replace(mounted, `"up":0.4`, `"up":0`, 1)))
	near(t, "bolts sheared", sample.Find(t, low, ramp.CodePostBolts).Figure.Value, sample.Find(t, low, ramp.CodeWinch).Figure.Value*9.80665*0.375, 1e-3)
	near(t, "pin is sheared", sample.Find(t, fs, ramp.CodePin).Figure.Value, pull*9.80665, 1e-6)
	if f := sample.Find(t, fs, ramp.CodeFleet); f.Outcome != finding.Tight || !strings.Contains(f.Says.Text(r.Plan.Locale()), "piles up") {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	if fs := ramp.Check(rig.Resolve(sample.Plan(t), "t", "o")); len(fs) != 0 {
		t.Errorf("no machine, and %d findings", len(fs))
	}
}

// On wheels that nobody stated a line holds only where it would on smaller ones too.
func TestWheelsNotTold(t *testing.T) {
	at, wheel, guessed := "/outings/o/layouts/t/loading", "/loads/crate/rolling/wheel", false
	outcome := func(pull, wheels string) finding.Finding {
		fs := ramp.Check(resolved(t, at+"/drive", `"winch"`, wheel, wheels, at+"/winch",
			`{"back":0,"up":0.3,"layer":1,"pull":`+pull+`}`))
		i := slices.IndexFunc(fs, func(f finding.Finding) bool { return f.Code == ramp.CodeWinch })
		return fs[i]
	}
	for pull := 120; pull < 320; pull += 10 {
		p := strconv.Itoa(pull)
		told, less, not := outcome(p, "0.6"), outcome(p, "0.48"), outcome(p, "-") // a quad’s are 0.6
		if not.Outcome == finding.Holds && less.Outcome != finding.Holds {
			t.Errorf("%d kg: holds, with wheels of 0.48 m %s", pull, less.Outcome)
		}
		if told.Outcome == finding.Holds && less.Outcome != finding.Holds {
			guessed = true
			if not.Outcome != finding.Tight || not.Needs[0].Path != wheel {
				t.Errorf("%d kg: %s, needs %v", pull, not.Outcome, not.Needs)
			}
		}
	}
	if !guessed {
		t.Error("no pull on which wheels decide")
	}
}

// The drive that is shown: its steps lie within the view, the curves have a figure for
// each, the card says where to stop.
func TestPieces(t *testing.T) {
	// A pair of 2 m, 300 mm wide, sides and treads of 50 × 30 × 3 (4.2078 cm², 3.3031 kg/m by the
	// product standard's corners), treads 100 mm apart: floor(2.1/0.15) = 14 a ramp, 200 mm long:
	// (4·2 + 28·0.2)·3.3031 = 44.92 kg.
	tube := plan.Profile{Shape: "tube", Height: 0.05, Width: 0.03, Wall: 0.003, Material: "s235"}
	pieces := ramp.Pieces(&plan.Ramp{Length: 2, Width: 0.3, Gap: 0.1, Profile: &tube})
	if len(pieces) != 2 || pieces[0].Count != 4 || pieces[1].Count != 28 {
		t.Fatalf("%+v", pieces)
	}
	near(t, "tread", pieces[1].Length, 0.2, 1e-9)
	area := 2*0.003*(0.08-0.006) - (4-math.Pi)*(0.006*0.006-0.003*0.003)
	near(t, "mass", pieces[0].Mass+pieces[1].Mass, (8+5.6)*area*7850, 1e-6)
	if ramp.Pieces(&plan.Ramp{Length: 2}) != nil {
		t.Error("a bought ramp is cut")
	}
	// A tread under a wheel: spread over the whole span P·l/8, on a point P·l/4.
	near(t, "spread", ramp.TreadMoment(1000, 0.2, 0.3), 25, 1e-9)
	near(t, "point", ramp.TreadMoment(1000, 0.2, 0), 50, 1e-9)
}

func TestDriveOf(t *testing.T) {
	r := resolved(t, "/outings/o/layouts/t/loading/drive", `"winch"`, "/outings/o/layouts/t/loading/winch", `{"back":0,"up":0.3,"pull":900}`)
	d := ramp.DriveOf(r)
	if d == nil || len(d.Steps) != len(d.Ball.Values) || len(d.Steps) != len(d.Clear.Values) || d.Line == nil || len(d.Line.Values) != len(d.Steps) {
		t.Fatalf("%+v", d)
	}
	for _, s := range d.Steps {
		if s.X < d.View.Min[0] || s.X > d.View.Max[0] {
			t.Errorf("a step at %v lies outside of the view", s.X)
		}
	}
	text := ""
	for _, l := range d.On {
		text += l.Says.Text(r.Plan.Locale()) + "\n"
	}
	// Home: front face 1.3 m behind the ball, wheels 0.35 m farther; the headboard at 1.0 m.
	for _, want := range []string{"front wheels' middle 650 mm from the front board", "Only then release", "Stand clear of the line"} {
		if !strings.Contains(text, want) {
			t.Errorf("the card does not say %q:\n%s", want, text)
		}
	}
	single := ramp.DriveOf(resolved(t, "/loads/crate/kind", `"motorcycle"`, "/loads/crate/rolling/track", "-"))
	if single == nil || !strings.Contains(single.On[2].Says.Text(r.Plan.Locale()), "ramp in the middle") {
		t.Errorf("%+v", single.On)
	}
	if ramp.DriveOf(rig.Resolve(sample.Plan(t), "t", "o")) != nil {
		t.Error("no machine, and a drive")
	}
	if d := ramp.DriveOf(resolved(t, "/parts/ramps/ramp/length", `0.4`)); d == nil || len(d.Steps) != 0 || len(d.Why) == 0 {
		t.Error("a ramp that does not reach is not explained")
	}
}

// A bed 0.5 m up that pivots 2.4 m behind the ball, tail at 3.5: sin θ = 0.5/1.1, 27.04°. On
// it the machine's weight stands on the lever from the tail; it drops as its centre
// passes the pivot, and ends as Balance says: ramps stowed, none laid out.
func TestTilt(t *testing.T) {
	r := resolved(t, "/trailers/t/pivot", `2.4`, "/outings/o/layouts/t/loading/ramp", `"gone"`, sample.Crate+"/at/back", `0`)
	s, missing, _ := ramp.Prepare(r)
	if s == nil {
		t.Fatalf("%v", missing)
	}
	near(t, "angle", s.Angle, math.Asin(0.5/1.1), 1e-9)
	steps := s.Drive(400)
	near(t, "ball at home", steps[399].Ball, r.Bears.Ball.Nominal, 0.01)
	dropped := 0
	for i := 1; i < len(steps); i++ {
		if steps[i-1].Pose.Pitch > 0.4 && steps[i].Pose.Pitch < 0.01 {
			dropped = i
		}
		// The centre, along the bed from the pivot, just before it drops.
		if dropped == i {
			g := s.Body.Place(steps[i-1].Pose, s.Body.CentreAhead, s.Body.CentreUp)
			near(t, "centre over the pivot", g.U, -2.4, 0.02)
		}
	}
	if dropped == 0 {
		t.Error("the bed never drops")
	}
	f := sample.Find(t, ramp.Check(r), ramp.CodeBed)
	// 1.2 m between its wheels, 1.1 m of bed behind the pivot: the front ones are past it first.
	if says := f.Says.Text(r.Plan.Locale()); f.Outcome != finding.Tight || !strings.Contains(says, "drops level") || !strings.Contains(says, "still on the ground") {
		t.Errorf("%s %q", f.Outcome, says)
	}
	// Kerb and raised coupling: the pivot at 0.5 + 0.1·0.1/2.5 = 0.504, the tail at 0.46; the bed
	// 1.10088 m long comes down to −0.1: asin(0.604/1.10088). A deck lowered to 0.4: asin(0.5/1.1).
	for _, c := range []struct {
		sets []string
		want float64
	}{
		{[]string{"/outings/o/layouts/t/loading/kerb", `0.1`, "/outings/o/layouts/t/loading/raised", `0.1`}, math.Asin(0.604 / math.Hypot(1.1, 0.044))},
		{[]string{"/outings/o/layouts/t/loading/kerb", `0.1`, "/outings/o/layouts/t/loading/deck", `0.4`}, math.Asin(0.5 / 1.1)},
	} {
		s, _, fails := ramp.Prepare(resolved(t, append([]string{"/trailers/t/pivot", `2.4`, "/outings/o/layouts/t/loading/ramp", `"gone"`}, c.sets...)...))
		if fails != nil {
			t.Fatal(fails)
		}
		near(t, "angle", s.Angle, c.want, 1e-9)
	}
	// Standing 0.3 m farther back its centre does not pass the pivot while it leans back.
	r = resolved(t, "/trailers/t/pivot", `2.4`, "/outings/o/layouts/t/loading/ramp", `"gone"`)
	if f := sample.Find(t, ramp.Check(r), ramp.CodeBed); f.Outcome != finding.Tight || !strings.Contains(f.Says.Text(r.Plan.Locale()), "to pull down") {
		t.Errorf("%s %q", f.Outcome, f.Says.Text(r.Plan.Locale()))
	}
	short := sample.Find(t, ramp.Check(resolved(t, "/trailers/t/pivot", `3.2`, "/outings/o/layouts/t/loading/ramp", `"gone"`)), ramp.CodeSetup)
	if short.Outcome != finding.Fails {
		t.Errorf("%s", short.Says.Text(r.Plan.Locale()))
	}
}

func BenchmarkDrive(b *testing.B) {
	s, _, _ := ramp.Prepare(rig.Resolve(onRamps(b), "t", "o"))
	for b.Loop() {
		s.Drive(500)
	}
}

// movingPair is the greatest moment that two loads a ≥ b, d apart, make on a span l as
// they roll over it: with both on it, (a + b)/l·((l − e)/2)² for e = b·d/(a + b), the
// distance from a to their resultant; or a alone in the middle, a·l/4.
func movingPair(a, b, d, l float64) float64 {
	if a < b {
		a, b = b, a
	}
	alone := a * l / 4
	if d >= l || a+b <= 0 {
		return alone
	}
	e := b * d / (a + b)
	return max(alone, (a+b)/l*(l-e)/2*(l-e)/2)
}

func BenchmarkCheck(b *testing.B) {
	r := rig.Resolve(onRamps(b), "t", "o")
	for b.Loop() {
		ramp.Check(r)
	}
}
