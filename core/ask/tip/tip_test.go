package tip_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/tip"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// mast tips the sample's deck (2.5 m, 1 m behind the ball) about 2.1 m by a line over a mast: the bed of 80 kg and the sample's load.
const mast = `"by":"mast","hinge":{"back":2.1,"up":-0.1},"pick":{"back":0.05,"up":0},"top":{"back":0.1,"up":2.6},"foot":{"back":0,"up":0},"drum":{"back":0,"up":0},
	"knee":{"back":0,"up":0},"mass":{"value":80,"plusMinus":0,"how":"weighed"},"stop":0.8,"parts":2,"winchLifts":400,"lifting":true,"brake":true,"prop":true,"propMax":200,"lineMax":900`

// cylinder is one under the same bed.
const cylinder = `"by":"cylinder","hinge":{"back":2.1,"up":-0.1},"pick":{"back":1.0,"up":-0.05},"top":{"back":0,"up":0},"foot":{"back":0.45,"up":-0.4},"drum":{"back":0,"up":0},
	"knee":{"back":0,"up":0},"mass":{"value":80,"plusMinus":0,"how":"weighed"},"stop":0.8,"bore":0.05,"pressure":18000000,"brake":true,"prop":true,"propMax":200`

func bed(t *testing.T, doc string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/loads", `{"l":{"order":1,"name":"Gravel","kind":"heap","size":{},"centre":{},"bulk":{"material":"gravel","by":"volume","volume":{"value":0.2,"plusMinus":0,"how":"weighed"}}}}`,
		"/outings/o/layouts/t/placements", `{"l":{"on":"deck","at":{"back":0}}}`,
		"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`, "/trailers/t/sideHeight", "0.3", "/trailers/t/tipping", "{" + doc + "}",
	}, sets...)...), "t", "o")
}

// The line's pull with the bed down, by hand from the rig's own weights: moments about the hinge, the line's lever
// about it by its direction, two parts over sheaves of 0.96.
func TestPullByHand(t *testing.T) {
	r := bed(t, mast)
	s := tip.New(r)
	it := &r.Items[0]
	x := it.X - r.DeckFront.Nominal
	moment := it.Mass.High*(2.1-x+0.01) + 80*(2.1-1.25) // as far forward as its place allows
	dx, dz := 0.1-0.05, 2.6-0.0
	long := math.Hypot(dx, dz)
	lever := (0.1*dx/long + (2.1-0.05)*dz/long) // r × u about the hinge: r = (−2.05, 0.1)
	want := moment / lever / 1.96
	if got := tip.OnDrum(s, 0); math.Abs(got-want) > 1e-9*want {
		t.Errorf("%v kg on the drum, want %v", got, want)
	}
	// the ball with the bed down is the balance's
	if b, ok := tip.Ball(s, 0); !ok || math.Abs(b-r.Bears.Ball.Nominal) > 1e-9 {
		t.Errorf("ball %v, balance %v", b, r.Bears.Ball.Nominal)
	}
	// at 0.8 rad each mass has gone back by its turn: by hand for both
	back := 0.0
	for _, w := range []struct{ kg, x, z float64 }{{it.Mass.Nominal, x, it.Z - r.DeckHeight()}, {80, 1.25, 0.05}} {
		dx, dz := w.x-2.1, w.z+0.1
		back += w.kg * (dx*math.Cos(.8) + dz*math.Sin(.8) - dx)
	}
	if b, _ := tip.Ball(s, 0.8); math.Abs(b-(r.Bears.Ball.Nominal-back/r.Axle.Nominal)) > 1e-9 {
		t.Errorf("ball raised %v", b)
	}
}

// Every check, held and broken.
func TestChecks(t *testing.T) {
	for _, c := range []struct {
		doc, from, to string
		code          string
		want          finding.Outcome
		says          string
	}{
		{mast, "", "", tip.CodeGear, finding.Holds, "The most it takes"},
		// 281 kg of 400 on the first layer; a full drum gives 260 of them, and nobody said how full it is.
		{mast, "", "", tip.CodePull, finding.Tight, "on a full drum about 260 kg"},
		{mast, `"winchLifts":400`, `"winchLifts":400,"layers":1`, tip.CodePull, finding.Holds, "drum"},
		{mast, `"winchLifts":400`, `"winchLifts":400,"layers":3`, tip.CodePull, finding.Tight, "Enter the bare drum's diameter"},
		{mast, `"winchLifts":400`, `"winchLifts":450`, tip.CodePull, finding.Holds, "drum"},
		{mast, `"winchLifts":400`, `"winchLifts":90`, tip.CodePull, finding.Fails, "part more"},
		{mast, `"winchLifts":400,`, ``, tip.CodePull, finding.Unknown, "rated"},
		{mast, `"lifting":true`, `"lifting":false`, tip.CodeWinch, finding.Fails, "not for lifting"},
		{mast, `"lifting":true,`, ``, tip.CodeWinch, finding.Unknown, "lifting"},
		{mast, `"brake":true`, `"brake":false`, tip.CodeWinch, finding.Fails, "load brake"},
		{mast, `"brake":true,`, ``, tip.CodeWinch, finding.Unknown, "by itself"},
		{mast, `"top":{"back":0.1,"up":2.6}`, `"top":{"back":0.1,"up":1.2}`, tip.CodeGear, finding.Fails, "no farther"},
		{mast, `"top":{"back":0.1,"up":2.6}`, `"top":{"back":0.1,"up":-0.5}`, tip.CodeGear, finding.Fails, "does not lift"},
		{mast, `"top":{"back":0.1,"up":2.6}`, `"top":{"back":0.05,"up":0}`, tip.CodeGear, finding.Fails, "in the same place"},
		{mast, `"hinge":{"back":2.1`, `"hinge":{"back":1.0`, tip.CodeGear, finding.Fails, "at once"},
		{mast, `"mass":{"value":80,"plusMinus":0,"how":"weighed"},`, ``, tip.CodeGear, finding.Unknown, "weight of the bed"},
		{mast, `"stop":0.8,`, ``, tip.CodeGear, finding.Unknown, "stops"},
		{mast, `"stop":0.8`, `"stop":1.5`, tip.CodeGear, finding.Fails, "no farther"},
		{mast, `,"propMax":200`, ``, tip.CodeProp, finding.Tight, "not entered"},
		{mast, `,"lineMax":900`, ``, tip.CodeLine, finding.Unknown, "may carry"},
		{cylinder, `"brake":true`, `"brake":false`, tip.CodeWinch, finding.Fails, "hose"},
		{cylinder, `"brake":true,`, ``, tip.CodeWinch, finding.Unknown, "valve"},
		{mast, `"prop":true`, `"prop":false`, tip.CodeProp, finding.Tight, "no prop"},
		{mast, `"propMax":200`, `"propMax":50`, tip.CodeProp, finding.Fails, "stronger"},
		{mast, `"lineMax":900`, `"lineMax":100,"strap":true`, tip.CodeLine, finding.Fails, "stronger"},
		{mast, `"lineMax":900`, `"lineMax":400,"strap":true`, tip.CodeLine, finding.Holds, "in the line"},
		{mast, `"lineMax":900`, `"lineMax":400,"strap":true,"inTheSun":5`, tip.CodeLine, finding.Fails, "sun"},
		{mast, `"parts":2`, `"parts":2,"ratio":2.5,"crank":0.25,"drumAcross":0.06`, tip.CodeCrank, finding.Tight, "crank"},
		{mast, `"parts":2`, `"parts":2,"ratio":1,"crank":0.25,"drumAcross":0.06`, tip.CodeCrank, finding.Fails, "Nobody"},
		{cylinder, "", "", tip.CodeGear, finding.Holds, "on the cylinder"},
		{cylinder, "", "", tip.CodePull, finding.Holds, "pack"},
		{cylinder, `"bore":0.05`, `"bore":0.02`, tip.CodePull, finding.Fails, "larger bore"},
		{cylinder, `"bore":0.05,`, ``, tip.CodePull, finding.Unknown, "bore"},
		{cylinder, `"foot":{"back":0.45,"up":-0.4}`, `"foot":{"back":0.45,"up":0.2}`, tip.CodeGear, finding.Fails, "past the hinge"},
		{cylinder, `"bore":0.05`, `"bore":0.05,"closed":0.6,"open":1.5`, tip.CodeStroke, finding.Holds, "within"},
		{cylinder, `"bore":0.05`, `"bore":0.05,"closed":0.7,"open":1.5`, tip.CodeStroke, finding.Fails, "holds the bed up"},
		{cylinder, `"bore":0.05`, `"bore":0.05,"closed":0.6,"open":0.9`, tip.CodeStroke, finding.Fails, "runs out first"},
		{cylinder, `"bore":0.05`, `"bore":0.05,"closed":1.6,"open":1.5`, tip.CodeStroke, finding.Fails, "wrong"},
		{cylinder, `"stop":0.8`, `"stop":0.8,"lining":"bright"`, tip.CodeSlide, finding.Holds, "empties"},             // 45.8° of 40
		{cylinder, `"stop":0.8`, `"stop":0.6,"lining":"bright"`, tip.CodeSlide, finding.Tight, "stays"},               // 34.4°
		{cylinder, `"stop":0.8`, `"stop":0.4,"lining":"bright"`, tip.CodeSlide, finding.Tight, "does not slide"},      // 22.9°
		{cylinder, `"stop":0.8`, `"stop":0.8,"lining":"bright","frozen":true`, tip.CodeSlide, finding.Tight, "stays"}, // 65°
		{cylinder, `"stop":0.8`, `"stop":0.8,"gateOpens":0.3,"lumps":0.1`, tip.CodeGate, finding.Holds, "opens"},
		{cylinder, `"stop":0.8`, `"stop":0.8,"gateOpens":0.2,"lumps":0.1`, tip.CodeGate, finding.Tight, "jam"},
		{cylinder, ``, ``, tip.CodeTail, finding.Holds, "above the ground"}, // 0.6 − 0.1 − 0.4·sin 45.8° + 0.1·cos = 0.283
		{cylinder, `"hinge":{"back":2.1`, `"hinge":{"back":1.6`, tip.CodeTail, finding.Fails, "below the ground"},
		{strings.Replace(cylinder, `"stop":0.8`, `"stop":0.8,"unhitched":true`, 1), `"hinge":{"back":2.1`, `"hinge":{"back":2.4`, tip.CodeBall, finding.Fails, "tips over"},
		{cylinder, `"hinge":{"back":2.1`, `"hinge":{"back":2.4`, tip.CodeBall, finding.Tight, "lifts the car"},
		{cylinder, ``, ``, tip.CodeSide, finding.Holds, "topples"},
		{cylinder, `"stop":0.8`, `"stop":0.8,"slope":0.4`, tip.CodeSide, finding.Fails, "level"},
		{cylinder, `"bore":0.05`, `"bore":0.05,"flow":5,"packAmps":150`, tip.CodeTime, finding.Holds, "A·h"},
	} {
		doc := c.doc
		if c.from != "" {
			if !strings.Contains(doc, c.from) {
				t.Fatalf("%q is not in the document", c.from)
			}
			doc = strings.Replace(doc, c.from, c.to, 1)
		}
		f := sample.Find(t, tip.Check(bed(t, doc)), c.code)
		says := f.Says.Text(quantity.Locale{})
		if f.Outcome != c.want || !strings.Contains(says, c.says) || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s → %s: %s is %s %q", c.from, c.to, c.code, f.Outcome, says)
		}
	}
}

// A bed that runs over before its stop wants a chain: gear that reaches so far, a high centre.
func TestRunsOver(t *testing.T) {
	doc := strings.Replace(strings.Replace(cylinder, `"stop":0.8`, `"stop":1.3`, 1), `"hinge":{"back":2.1`, `"hinge":{"back":1.35`, 1)
	doc = strings.Replace(doc, `"foot":{"back":0.45,"up":-0.4}`, `"foot":{"back":0.1,"up":-0.5}`, 1)
	doc = strings.Replace(doc, `"pick":{"back":1.0`, `"pick":{"back":0.3`, 1)
	f := tip.Check(bed(t, doc))[0]
	if f.Code != tip.CodeOver || f.Outcome != finding.Fails {
		t.Errorf("%s %s %s", f.Code, f.Outcome, f.Says.Text(quantity.Locale{}))
	}
	f = tip.Check(bed(t, doc+`,"chain":true`))[0]
	if f.Code != tip.CodeGear || f.Outcome != finding.Holds {
		t.Errorf("with a chain: %s %s %s", f.Code, f.Outcome, f.Says.Text(quantity.Locale{}))
	}
}

// A mast by hand, the bed down: the line's force on its top, its lever about the foot, and two parts less one that comes down.
func TestMast(t *testing.T) {
	doc := strings.Replace(mast, `"foot":{"back":0,"up":0}`, `"foot":{"back":0.1,"up":-0.1}`, 1) + `,"beside":true`
	s := tip.New(bed(t, doc))
	f := sample.Find(t, tip.Check(bed(t, doc)), tip.CodeMast)
	worst := 0.0
	for i := range s.Swept {
		h := &s.Swept[i] // a mast that stands straight: the horizontal part of the line at 2.7 m
		dx, dz := h.Pick.X-0.1, h.Pick.Z-2.6
		worst = math.Max(worst, math.Abs(h.Pull*dx/math.Hypot(dx, dz)*2.7))
	}
	if math.Abs(f.Figure.Value*9.80665-worst) > 1e-6*worst {
		t.Errorf("%v N·m, want %v", f.Figure.Value*9.80665, worst)
	}
	// one that stands 0.3 m behind the bed's front, 2.6 m high: the front edge (2.1 m from the hinge) stands over it from
	// the start; beside the bed it may
	inside := strings.Replace(strings.Replace(mast, `"foot":{"back":0,"up":0}`, `"foot":{"back":0.3,"up":-0.1}`, 1), `"top":{"back":0.1`, `"top":{"back":0.3`, 1)
	if f := sample.Find(t, tip.Check(bed(t, inside)), tip.CodeMast); f.Outcome != finding.Tight || f.Figure.Value != 0 {
		t.Errorf("through the bed: %s %v", f.Outcome, f.Figure)
	}
	if f := sample.Find(t, tip.Check(bed(t, inside+`,"beside":true`)), tip.CodeMast); f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("beside the bed, its section not told: %s", f.Outcome)
	}
}

// A tip's time and current by hand: the line's way times two parts over its speed; the pack's volume over its flow.
func TestTakes(t *testing.T) {
	s := tip.New(bed(t, strings.Replace(mast, `"parts":2`, `"parts":2,"amps":80,"lineSpeed":1.8`, 1)))
	first, last := s.Swept[0], s.Swept[len(s.Swept)-1]
	seconds, hours, ok := s.Takes()
	want := (first.Long - last.Long) * 2 / 0.03
	if !ok || math.Abs(seconds-want) > 1e-9*want || hours <= 0.25*80*want/3600 || hours > 80*want/3600 {
		t.Errorf("%v s, want %v; %v A·h", seconds, want, hours)
	}
	s = tip.New(bed(t, strings.Replace(cylinder, `"bore":0.05`, `"bore":0.05,"flow":5,"packAmps":150`, 1)))
	first, last = s.Swept[0], s.Swept[len(s.Swept)-1]
	seconds, _, _ = s.Takes()
	want = (last.Long - first.Long) * math.Pi / 4 * 0.0025 / (5.0 / 60000 * 0.85)
	if math.Abs(seconds-want) > 1e-9*want {
		t.Errorf("%v s, want %v", seconds, want)
	}
}

// A tank on the bed is not tipped.
func TestStaysDown(t *testing.T) {
	all := tip.Check(bed(t, mast, "/loads/l", `{"order":1,"name":"Tank","mass":{"value":90,"how":"weighed"},"size":{},"centre":{}}`))
	if len(all) != 2 || all[0].Outcome != finding.Holds || !strings.Contains(all[0].Says.Text(quantity.Locale{}), "stays down") {
		t.Errorf("%d findings, %s", len(all), all[0].Says.Text(quantity.Locale{}))
	}
}

// The picture has a step for every fourth angle, its curves as many values; without a bed's weight the places alone.
func TestShow(t *testing.T) {
	p := tip.Show(bed(t, mast))
	if len(p.Angles) != 51 || len(p.Curves) != 3 || len(p.Curves[0].Curve.Values) != 51 || len(p.View.Handles) != 8 || p.Worst != p.Curves[0].Curve.Worst {
		t.Errorf("%d angles, %d curves, %d handles", len(p.Angles), len(p.Curves), len(p.View.Handles))
	}
	p = tip.Show(bed(t, strings.Replace(mast, `"stop":0.8,`, ``, 1)))
	if len(p.Angles) != 0 || len(p.View.Handles) != 8 {
		t.Errorf("%d angles, %d handles", len(p.Angles), len(p.View.Handles))
	}
	if tip.Show(bed(t, mast, "/trailers/t/tipping", "-")) != nil {
		t.Error("no bed is shown")
	}
}

// As it slides off: whole under the range, gone over it, half of it in the middle.
func TestSlidingOff(t *testing.T) {
	s := tip.New(bed(t, strings.Replace(cylinder, `"stop":0.8`, `"stop":1,"lining":"bright"`, 1))) // gravel: 30 to 40 degrees
	at := func(deg float64) float64 { return tip.Sliding(s, deg*math.Pi/180) }
	bare := tip.New(bed(t, strings.Replace(cylinder, `"stop":0.8`, `"stop":1`, 1), "/outings/o/layouts/t/placements", `{}`))
	whole, empty, half := at(35)*2-tip.Pull(bare, 35*math.Pi/180), tip.Pull(bare, 45*math.Pi/180), at(35)
	if math.Abs(at(45)-empty) > 1e-9*empty {
		t.Errorf("gone: %v, empty %v", at(45), empty)
	}
	if want := tip.Likely(s, 35*math.Pi/180); math.Abs(whole-want) > 1e-9*want || !(half < want) {
		t.Errorf("half %v of %v", half, want)
	}
	if want := tip.Likely(s, 0.4); math.Abs(tip.Sliding(s, 0.4)-want) > 1e-9*want {
		t.Errorf("before it slides %v, want %v", tip.Sliding(s, 0.4), want)
	}
}

// With a load that is only guessed the ball never plainly holds where the guesses allow it to lift: over hinges all along the
// deck, by the balance's least ball load and the weights at their most.
func TestBallByGuesses(t *testing.T) {
	tight := 0
	for back := 1.5; back < 2.45; back += 0.05 {
		doc := strings.Replace(cylinder, `"hinge":{"back":2.1`, fmt.Sprintf(`"hinge":{"back":%.2f`, back), 1)
		r := bed(t, doc, "/loads/l/bulk/volume", `{"value":0.2,"plusMinus":0.08,"how":"guessed"}`)
		for _, f := range tip.Check(r) {
			if f.Code != tip.CodeBall {
				continue
			}
			least := r.Bears.Ball.Low * r.Axle.Nominal
			for _, w := range r.Tip().Heavy {
				dx, dz := w.Centre.X-back, w.Centre.Z+0.1
				least -= w.Kg * (dx*math.Cos(.8) + dz*math.Sin(.8) - dx)
			}
			if f.Outcome == finding.Holds && least < 0 {
				t.Errorf("hinge at %.2f: holds, by the guesses %.1f kg·m", back, least)
			}
			if f.Tight == finding.GuessTooRough {
				tight++
			}
		}
	}
	if tight == 0 {
		t.Error("no guess was ever too rough")
	}
}
