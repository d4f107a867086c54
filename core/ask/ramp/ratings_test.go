package ramp_test

import (
	"math"
	"slices"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/ask/ramp"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// What a bought ramp's number may count: 300 kg, wheels 1.2 m apart, the centre 0.55 m ahead of the
// rear ones: on the level 162.5 kg there, going up 14.48° by 300·0.5·tan/1.2 = 32.3 kg more.
func TestRatings(t *testing.T) {
	part := "/parts/ramps/ramp"
	axle := 300*0.65/1.2 + 300*0.5*math.Tan(math.Asin(0.25))/1.2
	for name, c := range map[string]struct {
		counts, per string
		want        float64
	}{
		"vehicle, pair": {`"vehicle"`, `"pair"`, 300}, "vehicle, each": {`"vehicle"`, `"each"`, 150},
		"axle, pair": {`"axle"`, `"pair"`, axle}, "axle, each": {`"axle"`, `"each"`, axle / 2},
	} {
		f := sample.Find(t, ramp.Check(resolved(t, part+"/counts", c.counts, part+"/per", c.per)), ramp.CodeRating)
		near(t, name, f.Figure.Value, c.want, 0.05)
	}
	full := sample.Find(t, ramp.Check(resolved(t, part+"/kind", `"full"`, part+"/per", `"each"`)), ramp.CodeRating)
	near(t, "one ramp bears all", full.Figure.Value, 300, 1e-9)
}

// Who drives a machine on rides on it, stated or not: 300 kg and a usual 90 on ramps rated 400 leave under a tenth. On foot,
// or by a line, the machine comes alone.
func TestDriverOfNoToldWeight(t *testing.T) {
	const loading = "/outings/o/layouts/t/loading"
	for name, c := range map[string]struct {
		sets    []string
		want    float64
		outcome finding.Outcome
	}{
		"told":     {[]string{loading + "/driver/value", `70`}, 370, finding.Tight},
		"not told": {[]string{loading + "/driver", "-"}, 390, finding.Tight},
		"drawn":    {[]string{loading + "/driver", "-", loading + "/drive", `"winch"`}, 300, finding.Holds},
		"on foot":  {[]string{loading + "/driver", "-", "/loads/crate/kind", `"dumper"`}, 300, finding.Holds},
	} {
		f := sample.Find(t, ramp.Check(resolved(t, c.sets...)), ramp.CodeRating)
		if near(t, name, f.Figure.Value, c.want, 1e-9); f.Outcome != c.outcome {
			t.Errorf("%s: %s", name, f.Outcome)
		}
	}
}

// Tyres of 200 mm on a track of 0.9 m: a ramp of 260 mm takes them with 30 mm to either side; 1100 mm over both, one ramp of
// full width 1160.
func TestRampWidths(t *testing.T) {
	const part = "/parts/ramps/ramp"
	for name, c := range map[string]struct {
		sets    []string
		outcome finding.Outcome
		says    string
	}{
		"wide enough":       {[]string{part + "/width", `0.26`}, finding.Holds, ""},
		"narrow":            {[]string{part + "/width", `0.25`}, finding.Tight, "leave little"},
		"not told":          {[]string{part + "/width", "-"}, finding.Tight, "How wide is one ramp? It needs 260 mm."},
		"whole, wide":       {[]string{part + "/kind", `"full"`, part + "/width", `1.16`}, finding.Holds, ""},
		"whole, little":     {[]string{part + "/kind", `"full"`, part + "/width", `1.15`}, finding.Tight, "the ramp is 1150 mm"},
		"whole, too narrow": {[]string{part + "/kind", `"full"`, part + "/width", `1.09`}, finding.Fails, "Over its tyres it is 1100 mm wide, and the ramp is 1090 mm."},
		"whole, not told":   {[]string{part + "/kind", `"full"`, part + "/width", "-"}, finding.Holds, ""},
	} {
		p := onRamps(t, c.sets...)
		f := sample.Find(t, ramp.Check(rig.Resolve(p, "t", "o")), ramp.CodeWidth)
		if says := f.Says.Text(p.Locale()); f.Outcome != c.outcome || !strings.Contains(says, c.says) {
			t.Errorf("%s: %s %q", name, f.Outcome, says)
		}
	}
}

// Two machines get on over the same ramps, and the card tells how the first does: the second is judged too. What stands
// behind a machine gets on after it and is not on yet.
func TestAnotherMachine(t *testing.T) {
	second := func(kg, back string) []string {
		return []string{"/loads/b", `{"order":2,"name":"Second","kind":"quad","mass":{"value":` + kg + `,"plusMinus":0,"how":"weighed"},
			"size":{"length":{"value":1.9,"how":"weighed"},"width":{"value":1.1,"how":"weighed"},"height":{"value":1.1,"how":"weighed"}},
			"centre":{"back":{"value":1.0,"how":"weighed"},"up":{"value":0.5,"how":"weighed"}},
			"rolling":{"frontAxle":{"value":0.35,"how":"weighed"},"wheelbase":{"value":1.2,"how":"weighed"},"track":{"value":0.9,"how":"weighed"},"clearance":{"value":0.25,"how":"weighed"},"wheel":0.56,"tyre":0.2,"nose":0.4,"tail":0.4}}`,
			"/outings/o/layouts/t/placements/b", `{"on":"deck","at":{"back":` + back + `}}`, "/trailers/t/deckLength/value", `4.5`, "/trailers/t/couplingToAxle/value", `3.4`}
	}
	of := func(fs []finding.Finding, code string) *finding.Finding {
		for i := range fs {
			if fs[i].Code == code && fs[i].Subject == "/loads/b" {
				return &fs[i]
			}
		}
		return nil
	}
	heavy := onRamps(t, second("450", "2.3")...)
	fs := ramp.Check(rig.Resolve(heavy, "t", "o"))
	if f := of(fs, ramp.CodeRating); f == nil || f.Outcome != finding.Fails ||
		f.Says.Text(heavy.Locale()) != "Second: Either way, 450 kg on ramps rated 400 kg." {
		t.Errorf("%+v", f)
	}
	if f := sample.Find(t, fs, ramp.CodeRating); f.Outcome != finding.Holds || f.Subject == "/loads/b" {
		t.Errorf("the first: %s %s", f.Outcome, f.Subject)
	}
	// what is no worse than with the first is not stated again; where all holds that is stated
	n := 0
	for _, f := range fs {
		if f.Subject == "/loads/b" {
			n++
		}
	}
	if n != 1 {
		t.Errorf("%d findings on the second", n)
	}
	easy := append(second("200", "2.3"), "/loads/b/mass/value", `120`, "/parts/ramps/ramp/length", `3`)
	if f := of(ramp.Check(rig.Resolve(onRamps(t, easy...), "t", "o")), ramp.CodeSetup); f == nil || f.Outcome != finding.Holds {
		t.Errorf("an easy one: %+v", f)
	}
	// The first at 0.3 m gets on before the second at 2.3, which is not on yet: it tips the rig as it does alone.
	alone := sample.Find(t, ramp.Check(resolved(t, "/trailers/t/deckLength/value", `4.5`, "/trailers/t/couplingToAxle/value", `3.4`)), ramp.CodeTip)
	if with := sample.Find(t, fs, ramp.CodeTip); math.Abs(with.Figure.Value-alone.Figure.Value) > 1e-9 {
		t.Errorf("least at the coupling %v, alone %v", with.Figure.Value, alone.Figure.Value)
	}
	// What is no machine may be flat and lie there already: behind the axle it stays on.
	box := append(second("100", "2.3"), "/loads/b/kind", `"sheets"`, "/loads/b/rolling", "-")
	if f := sample.Find(t, ramp.Check(rig.Resolve(onRamps(t, box...), "t", "o")), ramp.CodeTip); !(f.Figure.Value < alone.Figure.Value-1) {
		t.Errorf("with sheets behind the axle %v, alone %v", f.Figure.Value, alone.Figure.Value)
	}
	// On the card it comes after the first, whose place is in front, and goes off before it.
	lines := func(all []ramp.CardLine) (out []string) {
		for _, l := range all {
			if strings.Contains(l.ID, "-b") || l.ID == "drive" {
				out = append(out, l.Says.Text(heavy.Locale()))
			}
		}
		return out
	}
	s, _, _ := ramp.Prepare(rig.Resolve(heavy, "t", "o"))
	on, off := s.Card(s.Course(20))
	if got := lines(on); len(got) != 2 || !strings.HasPrefix(got[1], "Then Second. Stop with the front wheels' middle 2650 mm") {
		t.Errorf("to load: %q", got)
	}
	if got := lines(off); len(got) != 2 || got[0] != "First take Second down the same way." {
		t.Errorf("to unload: %q", got)
	}
	// Told the other way round, the second finds the first on, and the same figures come for the first.
	turned := ramp.Check(ramp.Of(rig.Resolve(heavy, "t", "o"), "b"))
	if f := sample.Find(t, turned, ramp.CodeRating); f.Outcome != finding.Fails {
		t.Errorf("told as the first: %s", f.Outcome)
	}
	for i := range turned {
		if turned[i].Code == ramp.CodeTip && turned[i].Subject == "/loads/crate" && math.Abs(turned[i].Figure.Value-alone.Figure.Value) > 1e-9 {
			t.Errorf("told as the other: %v, alone %v", turned[i].Figure.Value, alone.Figure.Value)
		}
	}
}

// Ramps that are neither on the trailer nor a part of it weigh nowhere: it is asked where they travel.
func TestRampsTravelSomewhere(t *testing.T) {
	for name, c := range map[string]struct {
		sets []string
		asks bool
	}{
		"on this outing": {nil, false},
		"nowhere":        {[]string{"/outings/o/layouts/t/parts", "-"}, true},
		"fitted":         {[]string{"/outings/o/layouts/t/parts", "-", "/trailers/t/fitted", `{"ramps":{"at":{"back":2.3}}}`}, false},
		"in the car":     {[]string{"/outings/o/layouts/t/parts", "-", "/outings/o/layouts/t/loading/rampInCar", `true`}, false},
		"a tailgate":     {[]string{"/outings/o/layouts/t/parts", "-", "/parts/ramps/ramp/kind", `"gate"`}, false},
	} {
		p := onRamps(t, c.sets...)
		asks := false
		for _, f := range ramp.Check(rig.Resolve(p, "t", "o")) {
			if f.Code == ramp.CodeTravel {
				asks = f.Outcome == finding.Tight && strings.Contains(f.Says.Text(p.Locale()), "Ramps of 30 kg are not on the trailer")
			}
		}
		if asks != c.asks {
			t.Errorf("%s: asks %v", name, asks)
		}
	}
}

// The shortest ramp that clears does, and one 100 mm shorter does not.
func TestShortest(t *testing.T) {
	sets := []string{"/loads/crate/rolling/clearance/value", `0.1`}
	s, _, _ := ramp.Prepare(resolved(t, sets...))
	l := s.Shortest(0.03)
	if l <= 2 {
		t.Fatalf("%v", l)
	}
	clear := func(length float64) float64 {
		r := resolved(t, append(sets, "/parts/ramps/ramp/length", ftoa(length))...)
		s, _, _ := ramp.Prepare(r)
		steps := s.Drive(300)
		return steps[ramp.WorstOf(steps).Clearance].Clearance
	}
	if got := clear(l); got < 0.0295 {
		t.Errorf("%v m leave %v", l, got)
	}
	if got := clear(l - 0.1); got >= 0.03 {
		t.Errorf("%v m leave %v too", l-0.1, got)
	}
	low := []string{"/loads/crate/rolling/clearance/value", `0.02`}
	s, _, _ = ramp.Prepare(resolved(t, low...))
	if got := s.Shortest(0.03); got != 0 {
		t.Errorf("a belly 20 mm up clears 30 on %v m", got)
	}
}

// The least that the coupling is raised clears, and 20 mm less does not.
func TestLeastRaise(t *testing.T) {
	sets := []string{"/loads/crate/rolling/clearance/value", `0.1`}
	s, _, _ := ramp.Prepare(resolved(t, sets...))
	up := s.LeastRaise(0.03)
	if up <= 0.02 {
		t.Fatalf("%v", up)
	}
	for raised, want := range map[float64]bool{up: true, up - 0.02: false} {
		s, _, _ := ramp.Prepare(resolved(t, append(sets, "/outings/o/layouts/t/loading/raised", ftoa(raised))...))
		steps := s.Drive(300)
		if got := steps[ramp.WorstOf(steps).Clearance].Clearance; got >= 0.0295 != want {
			t.Errorf("raised by %v it leaves %v", raised, got)
		}
	}
}

// What draws a tilted bed down: the machine's weight on the lever of its centre behind the
// pivot, over that of the headboard, both level.
func TestHand(t *testing.T) {
	s, _, _ := ramp.Prepare(resolved(t, "/outings/o/layouts/t/loading/ramp", "-", "/trailers/t/pivot", `2.4`))
	u := -3.4
	q := s.Body.Stand(s.Path, u, 0)
	centre := s.Body.Place(q, s.Body.CentreAhead, s.Body.CentreUp)
	want := 300 * (-2.4 - centre.U) / (1.4 * math.Cos(s.Angle))
	if want < 20 {
		t.Fatalf("a poor case: %v", want)
	}
	near(t, "hand", s.Hand(&ramp.Step{U: u}), want, 0.01)
	near(t, "past the pivot", s.Hand(&ramp.Step{U: -2.2}), 0, 0)
}

// What the winch needs on 2 m ramps at 0.5 m, worked outside by circles on sampled points and
// elimination: worst with the front wheels at the hinge, 166.6 kg on hard ground, 278.2 on
// soft, 244.0 over a step of 50 mm, each 1.15 times from rest; sampled to 2 parts in a
// hundred. A block halves it and loses a tenth. Filled it is the slope's.
func TestNeeded(t *testing.T) {
	loading := "/outings/o/layouts/t/loading"
	winch := func(step, more string) (most float64, lifts bool) {
		sets := []string{loading + "/drive", `"winch"`, loading + "/winch", `{"back":-0.5,"up":0.3` + more + `}`}
		if step != "" {
			sets = append(sets, "/parts/ramps/ramp/step", step)
		}
		r := resolved(t, sets...)
		s, _, _ := ramp.Prepare(r)
		steps := s.Drive(300)
		m, _, ok := s.Needed(steps)
		if !ok {
			t.Fatal("it does not climb")
		}
		lifts = slices.ContainsFunc(steps, func(st ramp.Step) bool { return st.Lifts })
		if !lifts {
			near(t, "the curve's most", slices.Max(ramp.DriveOf(r).Line.Values), m, 0.03*m)
		}
		return m, lifts
	}
	for name, c := range map[string]struct {
		step, more string
		want       float64
	}{
		"hard":         {"", "", 191.5},
		"soft":         {"", `,"wheels":"soft"`, 320.0},
		"50 mm":        {"0.05", "", 280.6},
		"with a block": {"", `,"block":true`, 191.5 / 1.8},
	} {
		got, lifts := winch(c.step, c.more)
		if near(t, name, got, c.want, 0.02*c.want); lifts {
			t.Errorf("%s: it lifts an axle", name)
		}
	}
	// Locked wheels against the step would be 882 kg on the front ones and −177 on the rear.
	if _, lifts := winch("", `,"wheels":"locked"`); !lifts {
		t.Error("locked wheels climb the step")
	}
	got, lifts := winch("0", `,"wheels":"locked"`)
	if near(t, "locked, filled", got, 472, 0.02*472); lifts { // 410.4 from rest
		t.Error("locked wheels on a filled step lift")
	}
	// On the level, pulled at axle height: what each axle bears by its resistance.
	b := ramp.Body{Base: 1.95, FrontR: 0.3, RearR: 0.3, Before: 0.4, Behind: 0.4, Belly: 0.25, CentreAhead: 0.9, CentreUp: 0.65}
	level := ramp.Path{{-20, 0}, {20, 0}}
	q := b.Stand(level, 0, 0)
	line := ramp.Line{Hook: ramp.Point{U: 2.35, Z: 0.3}, Winch: ramp.Point{U: 5, Z: 0.3}, Front: ramp.Resistance{Rolls: 0.04}, Rear: ramp.Resistance{Rolls: 0.04}}
	w, _ := b.Forces(q, 500, ramp.ByLine, line)
	near(t, "flat", w.Line, 20, 1e-9)
	line.Front.Bump, _ = ramp.Bump(1, 0.3, 0.02) // 0.384654: tan of both leans 0.424654/0.984614 = 0.431290
	w, _ = b.Forces(q, 500, ramp.ByLine, line)
	near(t, "a step in front", w.Line, 500*0.9/1.95*0.431290+500*1.05/1.95*0.04, 1e-3)
	line = ramp.Line{Hook: line.Hook, Winch: line.Winch, Front: ramp.Resistance{Rolls: 0.8, Locked: true}, Rear: ramp.Resistance{Rolls: 0.8, Locked: true}}
	w, _ = b.Forces(q, 500, ramp.ByLine, line)
	near(t, "locked", w.Line, 400, 1e-9)
}

// A motorcycle rides on one ramp of a pair: a number for the pair counts half, one for each in
// full; sides bear all of it, not half and a little more.
func TestOneTrack(t *testing.T) {
	part := "/parts/ramps/ramp"
	bike := []string{"/loads/crate/kind", `"motorcycle"`, "/loads/crate/rolling/track", "-"}
	for per, want := range map[string]float64{`"pair"`: 600, `"each"`: 300} {
		f := sample.Find(t, ramp.Check(resolved(t, append(bike, part+"/per", per)...)), ramp.CodeRating)
		near(t, per, f.Figure.Value, want, 1e-9)
		if says := f.Says.Text(resolved(t).Plan.Locale()); !strings.Contains(says, "only one ramp") {
			t.Error(says)
		}
	}
	sides := []string{part + "/profile", `{"shape":"tube","height":0.06,"width":0.04,"wall":0.003,"material":"s235"}`}
	one := sample.Find(t, ramp.Check(resolved(t, append(sides, bike...)...)), ramp.CodeStrength)
	two := sample.Find(t, ramp.Check(resolved(t, sides...)), ramp.CodeStrength)
	near(t, "of the sides", one.Figure.Value/two.Figure.Value, 1/(0.5+0.1/0.9), 1e-6)
	narrow := sample.Find(t, ramp.Check(resolved(t, append(sides, "/loads/crate/rolling/track", `{"value":0.12,"how":"weighed"}`)...)), ramp.CodeStrength)
	near(t, "never more than all", narrow.Figure.Value, one.Figure.Value, one.Figure.Value*1e-9)
}

// Both axles stand on 2 m ramps with 1.2 m between them: 0.8·300·cos 14.478° kick them off; on
// 0.9 m ramps one does, at most all of it.
func TestHoldCountsBothAxles(t *testing.T) {
	f := sample.Find(t, ramp.Check(resolved(t)), ramp.CodeHold)
	near(t, "along the ramp", f.Figure.Value, 0.8*300*0.9682458, 0.01)
	short := sample.Find(t, ramp.Check(resolved(t, "/parts/ramps/ramp/length", `0.9`)), ramp.CodeHold)
	if !(short.Figure.Value > 0.8*300*0.5*0.8 && short.Figure.Value < 0.8*300*0.8314794) {
		t.Errorf("one axle on short ramps: %v", short.Figure.Value)
	}
}

// With a block its shackle bears both parts of the line, and so does what they hang on.
func TestBlockBearsBoth(t *testing.T) {
	loading := "/outings/o/layouts/t/loading"
	at := func(more string) []finding.Finding {
		return ramp.Check(resolved(t, loading+"/drive", `"winch"`, loading+"/winch",
			`{"pull":900,"back":-0.5,"up":0.3,"lineMax":400,"tieMax":600,"post":{"shape":"tube","height":0.06,"width":0.06,"wall":0.003,"material":"s235"}`+more+`}`))
	}
	one, two := at(""), at(`,"block":true`)
	line, shackle := sample.Find(t, one, ramp.CodeLine), sample.Find(t, two, ramp.CodeLine)
	if line.Limit.Value != 400 || shackle.Limit.Value != 600 {
		t.Errorf("weakest: %v and %v", line.Limit.Value, shackle.Limit.Value)
	}
	near(t, "the shackle", shackle.Figure.Value, line.Figure.Value/0.9, 1e-6)
	near(t, "the post", sample.Find(t, two, ramp.CodePost).Figure.Value, sample.Find(t, one, ramp.CodePost).Figure.Value/0.9, 1)
	f := sample.Find(t, at(`,"wheels":"locked"`), ramp.CodeWinch)
	if says := f.Says.Text(resolved(t).Plan.Locale()); f.Outcome != finding.Fails || !strings.Contains(says, "lifts an axle") {
		t.Errorf("locked: %s %s", f.Outcome, says)
	}
}

// Higher centres load the lower wheels more on the way up; the flat model does not see it.
func TestCentreHeight(t *testing.T) {
	at := func(up string) ramp.Step {
		s, _, _ := ramp.Prepare(resolved(t, "/loads/crate/centre/up/value", up))
		return s.At(s.Foot.U+0.2, 0)
	}
	low, high := at(`0.2`), at(`0.9`)
	if !(high.Wheels.Rear.Down > low.Wheels.Rear.Down+5) {
		t.Errorf("rear wheels %v and %v", low.Wheels.Rear.Down, high.Wheels.Rear.Down)
	}
	near(t, "all of it", high.Wheels.Rear.Down+high.Wheels.Front.Down, 300, 1e-9)
}

// Tail first, what was behind goes ahead: it ends where Balance has it all the same.
func TestBackward(t *testing.T) {
	r := resolved(t, sample.Crate+"/turn", `180`)
	s, missing, _ := ramp.Prepare(r)
	if s == nil {
		t.Fatal(missing)
	}
	steps := s.Drive(200)
	near(t, "ball at home", steps[199].Ball, r.Bears.Ball.Nominal+30*0.9/2.5-15*1.0/2.5, 0.01)
	near(t, "before the front wheels", s.Body.Before, 1.9-0.35-1.2, 1e-9)
	if got := rig.Resolve(sample.Plan(t), "t", "o"); len(ramp.Check(got)) != 0 {
		t.Error("a drive without a machine")
	}
}

func ftoa(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }
