package balance

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
	"zygonos/core/sums/statics"
	"zygonos/core/sums/vessel"
)

// FillStep is what a fill of a tank does to the ball, all else on the trailer as it is.
type FillStep struct {
	Fill    float64         `json:"fill"`
	Litres  float64         `json:"litres"`
	Level   float64         `json:"level"` // of the surface over the tank's floor, m
	Mass    finding.Measure `json:"mass"`  // of the fluid
	Whole   finding.Measure `json:"whole"` // of the rig
	Ball    finding.Measure `json:"ball"`
	Brakes  float64         `json:"brakes"` // kg on the ball while braking with 0.3 g, as the fluid runs forward
	Pulls   float64         `json:"pulls"`  // kg while pulling away with 0.2 g, as it runs back
	Window  [2]float64      `json:"window"` // kg
	Outside bool            `json:"outside"`
	Minutes *float64        `json:"minutes,omitempty"` // that a pump draws from it; stated elsewhere
	Wheel   float64         `json:"wheel"`             // on the heavier wheel, at most, kg
	OnAxle  float64         `json:"onAxle"`            // kg
	// what a tyre needs for that wheel; stated elsewhere
	Pressure *quantity.Pressure `json:"pressure,omitempty"`
	unsure   bool               // the guesses alone may take it out
}

// FilledTank is a tank over every fill.
type FilledTank struct {
	Path   string        `json:"path"`
	Name   said.Piece    `json:"name"`
	Now    int           `json:"now"` // of the steps, the nearest to how full it is
	Steps  []FillStep    `json:"steps"`
	Says   said.Sentence `json:"says"`
	Side   scene.Shape   `json:"side"`            // from the left, on its floor, m
	Behind scene.Shape   `json:"behind"`          // from behind
	Tyres  said.Sentence `json:"tyres,omitempty"` // what the fills do to tyres and springs; stated elsewhere
}

// fillSteps of a tank, empty to full.
const fillSteps = 20

// pullsAway is the acceleration with which fluid runs back, shares of g (practice, C).
const pullsAway = 0.2

// turned reports whether a load stands turned, so that its length does not run along the trailer.
func turned(it *rig.Item) bool { return it.Turn%180 != 0 || it.Lean != 0 }

// Fills are the outing's tanks over every fill.
func Fills(r *rig.Rig) (out []FilledTank) {
	if r == nil || r.Axle == nil || r.Bears == nil {
		return nil
	}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Lot == nil || it.Lot.Contents == nil || it.Lot.Contents.Vessel == nil || turned(it) {
			continue
		}
		if t, ok := fillsOf(r, it); ok {
			out = append(out, t)
		}
	}
	return out
}

// fillsOf solves the balance again for each fill: the fluid's term at fill times the full tank, the ball with what runs
// forward and back, R + m·Δx/L and R − m·Δx/L.
func fillsOf(r *rig.Rig, it *rig.Item) (out FilledTank, ok bool) {
	c := it.Lot.Contents
	v := c.Vessel
	at := slices.IndexFunc(r.Beam.Terms, func(t statics.Term) bool { return t.Path == it.Path+"/tank/fill" })
	if at < 0 || !(v.Volume() > 0) {
		return out, false
	}
	out = FilledTank{Path: it.Path, Name: said.Name(it.Name, "The tank"), Now: int(math.Round(c.Fill * fillSteps))}
	out.Side, out.Behind = outlines(v)
	beam := r.Beam
	beam.Terms = slices.Clone(beam.Terms)
	term := &beam.Terms[at]
	term.Group = ""
	for k := range fillSteps + 1 {
		fill := float64(k) / fillSteps
		m := span{Nominal: fill * c.Full.Nominal, Low: fill * c.Full.Low, High: fill * c.Full.High}
		term.Amount = m
		bears, ok := beam.Solve()
		if !ok {
			return out, false
		}
		brakes, pulls := runs(v, fill, goods.SurgeDecel), runs(v, fill, pullsAway)
		win := windowAt(r, bears.Mass.Nominal)
		f := FillStep{
			Fill: fill, Litres: fill * v.Volume() * 1000, Level: v.Level(fill),
			Mass: *finding.Of(quantity.KindMass, m), Whole: *finding.Of(quantity.KindMass, bears.Mass),
			Ball:   *finding.Of(quantity.KindMass, bears.Ball),
			Brakes: bears.Ball.Nominal + m.Nominal*brakes/r.Axle.Nominal,
			Pulls:  bears.Ball.Nominal - m.Nominal*pulls/r.Axle.Nominal,
			Window: [2]float64{win.Low, win.High},
			OnAxle: bears.OnAxle.Nominal, Wheel: r.HeaviestWheel() * bears.OnAxle.High / r.Bears.OnAxle.High,
		}
		if bears.Left != nil && r.Group == nil {
			f.Wheel = math.Max(bears.Left.High, bears.Right.High) / float64(r.Trailer.AxleCount())
		}
		if c.Fill > 0 && it.Load.Tank.Capacity != nil {
			f.Litres = fill * float64(it.Load.Tank.Capacity.Value) * 1000
		}
		f.Outside = bears.Ball.Nominal < win.Low || bears.Ball.Nominal > win.High
		f.unsure = bears.Ball.Low < win.Low || bears.Ball.High > win.High
		out.Steps = append(out.Steps, f)
	}
	out.Says = saysOf(&out)
	return out, true
}

// runs is how far a tank's fluid runs along under an acceleration, shares of g: in a box by its closed form.
func runs(v *vessel.Tank, fill, accel float64) float64 {
	if v.Kind == vessel.Box {
		return goods.Surge(v.Long/float64(max(0, v.Baffles)+1), v.High, fill, accel)
	}
	dx, _ := v.Tilt(fill, accel, false)
	return dx
}

// outlines are a tank from the left and from behind, its floor's middle at (0, 0), up being less.
func outlines(v *vessel.Tank) (side, behind scene.Shape) {
	box := func(w, h float64) scene.Shape { return scene.Rect("tank", "", -w/2, 0, w/2, -h) }
	round := func(d float64) scene.Shape { return scene.Disc("tank", 0, -d/2, d/2) }
	switch v.Kind {
	case vessel.Upright:
		d := math.Min(v.Long, v.Wide)
		return box(d, v.High), box(d, v.High)
	case vessel.Along:
		d := math.Min(v.High, v.Wide)
		return box(v.Long, d), round(d)
	case vessel.Across:
		d := math.Min(v.High, v.Long)
		return round(d), box(v.Wide, d)
	case vessel.Saddle:
		w, h, a, b := v.Wide/2, v.High, v.TunnelWide/2, v.TunnelHigh
		return box(v.Long, v.High), scene.Shape{Form: scene.Polygon, Class: "tank", Points: []scene.Point{
			{-w, 0}, {-w, -h}, {w, -h}, {w, 0}, {a, 0}, {a, -b}, {-a, -b}, {-a, 0},
		}}
	}
	return box(v.Long, v.High), box(v.Wide, v.High)
}

// saysOf sums a tank up in a sentence.
func saysOf(t *FilledTank) said.Sentence {
	low, high, outside := t.ends()
	says := said.Say("From empty to full the ball bears % to %", said.Mass(low), said.Mass(high))
	if len(outside) == 0 {
		return append(says, said.Say(", by the likely weights within its window at every fill.")...)
	}
	says = append(says, said.Say(", outside its window ")...)
	for i := 0; i < len(outside); { // one stretch of fills after another
		k := i
		for k+1 < len(outside) && outside[k+1] == outside[k]+1 {
			k++
		}
		if i > 0 {
			says = append(says, said.Say(" and ")...)
		}
		from, to := said.Share(t.Steps[outside[i]].Fill), said.Share(t.Steps[outside[k]].Fill)
		if i == k {
			says = append(says, said.Say("at %", from)...)
		} else {
			says = append(says, said.Say("from % to %", from, to)...)
		}
		i = k + 1
	}
	return append(says, said.Say(" full.")...)
}

// ends are the least and the greatest ball load over the fills, standing, and the steps outside the window.
func (t *FilledTank) ends() (low, high float64, outside []int) {
	low, high = math.Inf(1), math.Inf(-1)
	for i := range t.Steps {
		s := &t.Steps[i]
		low, high = math.Min(low, s.Ball.Value), math.Max(high, s.Ball.Value)
		if s.Outside {
			outside = append(outside, i)
		}
	}
	return low, high, outside
}

// CheckFills says of each tank whether the ball load stays in its window at every fill, and while its fluid runs.
func CheckFills(r *rig.Rig) (out []finding.Finding) {
	for _, t := range Fills(r) {
		if f, wrong := tooMuch(r, &t); wrong {
			out = append(out, f)
			continue
		}
		f := finding.Finding{
			Code: CodeFills, Stage: Stage, Scope: r.Scope, Subject: t.Path, Title: said.Say("% at every fill", t.Name),
			Outcome: finding.Holds, Compares: true, Source: norms.Practice("the balance solved for each fill; fluid level under 0.3 g and 0.2 g"),
		}
		low, _, outside := t.ends()
		f.Figure = finding.Exactly(quantity.KindMass, low)
		f.Says = append(append(said.Sentence{t.Name}, said.Say(": ")...), t.Says...)
		runs, unsure := false, false
		for i := range t.Steps {
			s := &t.Steps[i]
			unsure = unsure || s.unsure
			runs = runs || s.Brakes > s.Window[1] || s.Pulls < s.Window[0]
		}
		switch {
		case len(outside) > 0:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(f.Says, said.Say(" Move the tank, or drive with it only full or empty.")...)
		case runs:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(
				f.Says,
				said.Say(" Slosh takes it out of the window for a moment: fit baffles, or fill it.")...)
		case unsure:
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = append(f.Says, said.Say(" The guesses allow more: weigh tank and trailer.")...)
		}
		out = append(out, f)
	}
	return out
}

// tooMuch reports a tank of which more is stated than its shape holds in its outer sizes.
func tooMuch(r *rig.Rig, t *FilledTank) (f finding.Finding, wrong bool) {
	i := slices.IndexFunc(r.Items, func(it rig.Item) bool { return it.Path == t.Path })
	it := &r.Items[i]
	told, holds := it.Load.Tank.Capacity, it.Lot.Contents.Vessel.Volume()
	if told == nil || told.Range().Low <= holds {
		return f, false
	}
	f = finding.Finding{
		Code: CodeFills, Stage: Stage, Scope: r.Scope, Subject: t.Path + "/tank/capacity",
		Title: said.Say("% at every fill", t.Name), Outcome: finding.Unknown, Compares: true,
		Figure: finding.Exactly(
			quantity.KindVolume,
			float64(told.Value),
		), Limit: finding.Exactly(quantity.KindVolume, holds),
		Source: norms.Practice("a tank's volume by its outer sizes"),
	}
	f.Says = append(
		said.Sentence{t.Name},
		said.Say(": by its outer size it holds % at most, but % is entered. One of the two is wrong.",
			said.Of(quantity.KindVolume, holds), said.Of(quantity.KindVolume, float64(told.Value)))...)
	f.Needs = []finding.Need{{
		Path: t.Path + "/tank/capacity", Says: said.Say("what the tank holds"), Where: said.Say("It is moulded into its wall."),
	}}
	return f, true
}
