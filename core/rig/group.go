package rig

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/statics"
)

// Group is how axles without an equaliser share, each on springs of its own: by the height
// at which the ball holds the trailer. docs/method/stance.md.
type Group struct {
	Axles []span  // what each bears, from the front, kg
	High  span    // of the ball over where it would ride level, m
	Rate  float64 // of one axle's springs, kg/m
	Even  float64 // the ball's height at which all bear alike, m
	Needs []finding.Need
}

// Heaviest is what the heaviest axle of the group bears.
func (g *Group) Heaviest() span {
	out := span{}
	for _, a := range g.Axles {
		out = span{Nominal: max(out.Nominal, a.Nominal), Low: max(out.Low, a.Low), High: max(out.High, a.High)}
	}
	return out
}

// Figures of practice (confidence C).
const (
	ballOff     = 0.05  // m that a ball is taken to be high or low where heights are not stated
	sinksLeast  = 0.05  // m that springs sink at their rating where it is not stated: the stiff end
	tyreRate    = 40000 // kg/m of an axle without springs, on its two tyres
	emptyOnBall = 0.08  // of the empty trailer on the ball, where it was not weighed
)

// usualCoupling is the coupling's height of a trailer for which none is stated, m.
const usualCoupling = 0.43

// evens reports whether what carries the axles shares the weight among them.
func evens(t *plan.Trailer) bool { return t.AxleCount() < 2 || t.Suspension == plan.SpringsLeaf }

// group brings into the beam what axles without an equaliser shift between ball and axle.
// Where heights or springs are not stated it is a range, from the ball 50 mm low to 50 mm
// high; where it is not stated how the axles are sprung, too.
func (r *Rig) group() {
	t := r.Trailer
	if evens(t) || r.Axle == nil || len(r.Needs) > 0 {
		return
	}
	r.Beam.Axle = *r.Axle
	even, ok := r.Beam.Solve()
	at := r.AxlesAt()
	if !ok || at[0] <= 0 {
		return
	}
	g := &Group{}
	need := func(field, says, where string) {
		g.Needs = append(
			g.Needs,
			finding.Need{Path: r.trailerPath(field), Says: said.Say(says), Where: said.Say(where)},
		)
	}
	if t.Suspension == "" {
		need(
			"/suspension",
			"how the axles are sprung",
			"Look between the wheels: does a rocker join the springs of both axles?",
		)
	}
	rate, known := r.SpringRate()
	switch {
	case known:
		g.Rate = rate / float64(len(at))
	case t.Suspension == plan.SpringsNone:
		g.Rate, known = tyreRate, true
	default:
		if t.Sinks == nil || *t.Sinks <= 0 {
			need("/sinks", "how far the springs sink", "Tape the deck's height empty and at full load.")
		} else {
			need("/axleRating", "what the axles may carry", "It is on the axle's plate, or on the springs'.")
		}
		rated := even.OnAxle.High
		for _, v := range []*quantity.Mass{t.SpringRating, t.AxleRating} {
			if v != nil {
				rated = float64(*v)
				break
			}
		}
		g.Rate = max(rated, 1) / sinksLeast / float64(len(at))
	}
	sink := 0.0
	if empty := r.EmptyMass(); empty != nil {
		ball := emptyOnBall * empty.Nominal
		if b := t.Empty.Ball; b != nil {
			ball = float64(b.Range(r.Plan).Nominal)
		}
		sink = (even.OnAxle.Nominal - (empty.Nominal - ball)) / (g.Rate * float64(len(at)))
	}
	coupling := usualCoupling
	if c := t.CouplingHeight; c != nil {
		coupling = float64(*c)
	}
	g.Even = coupling - sink
	g.High = span{Low: -ballOff, High: ballOff}
	v := r.Vehicle
	heights := known && t.CouplingHeight != nil && v != nil && v.BallHeight != nil
	if heights {
		d := 2 * float64(plan.LengthDoubt) // two heights taped
		z := float64(*v.BallHeight) - g.Even
		g.High = span{Nominal: z, Low: z - d, High: z + d}
	} else if known {
		if t.CouplingHeight == nil {
			need("/couplingHeight", "the {coupling}'s height", "Tape it to its middle, trailer empty and level.")
		}
		if v != nil && v.BallHeight == nil {
			g.Needs = append(g.Needs, finding.Need{Path: "/towVehicles/" + r.VehicleID + "/ballHeight", Says: said.Say("the ball's height"), Where: said.Say("Tape it to its middle, the car loaded as it tows.")})
		}
	}
	if t.Suspension == "" { // as if a rocker shared, or as the springs do
		g.High = span{Low: min(-ballOff, g.High.Low), High: max(ballOff, g.High.High)}
	}
	// At the corners of masses and height; between them it is monotone in each.
	shift := span{}
	l := r.Axle.Nominal
	for n, c := range []struct{ onAxle, mass, dz float64 }{
		{even.OnAxle.Nominal, even.Mass.Nominal, g.High.Nominal},
		{even.OnAxle.Low, even.Mass.Low, g.High.Low}, {even.OnAxle.Low, even.Mass.Low, g.High.High},
		{even.OnAxle.High, even.Mass.High, g.High.Low}, {even.OnAxle.High, even.Mass.High, g.High.High},
	} {
		if heights { // heavier, it sinks deeper, and the ball stands so much higher over level
			c.dz += (c.onAxle - even.OnAxle.Nominal) / (g.Rate * float64(len(at)))
		}
		axles, ball := statics.Tandem(c.mass, c.onAxle*l, g.Rate, at, c.dz)
		s := ball - (c.mass - c.onAxle)
		if n == 0 {
			shift = quantity.Exactly(s)
			for _, f := range axles {
				g.Axles = append(g.Axles, quantity.Exactly(f))
			}
			continue
		}
		shift.Low, shift.High = min(shift.Low, s), max(shift.High, s)
		for i, f := range axles {
			g.Axles[i].Low, g.Axles[i].High = min(g.Axles[i].Low, f), max(g.Axles[i].High, f)
		}
	}
	r.Group = g
	place := r.trailerPath("/sinks")
	if len(g.Needs) > 0 {
		place = g.Needs[0].Path
		r.Rough = append(r.Rough, g.Needs...)
	}
	r.Beam.Terms = append(
		r.Beam.Terms,
		statics.Term{Path: place, Name: t.Name, How: "computed", Amount: quantity.Exactly(1.0),
			OnAxle: negative(shift), Place: place, Shift: true},
	)
}
