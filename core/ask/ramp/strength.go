package ramp

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/sums/beam"
	"zygonos/core/sums/section"
)

// strength is the ramp's own: side sections bent by the wheels of one track, shock
// counted, the machine driven a little off the middle.
func (s *Setup) strength(steps []Step, at int) (finding.Finding, bool) {
	p := s.Ramp.Profile
	if p == nil {
		return finding.Finding{}, false
	}
	f := s.base(CodeStrength, "Ramp's sides")
	f.Gate = finding.GateCut
	f.Source = norms.Practice("shock 1.5, 100 mm off the middle; reserve 1.5 on yield, 2.5 on timber")
	sec, err := section.Of(parts.SizeOf(*p))
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say("The ramp's section makes no sense: "+err.Error()+".")
		return f, true
	}
	allowed := allowed(*p)
	share := 1.0 // of what stands on them, on the busier one
	if s.paired() && s.Track > 0 {
		share = min(1, 0.5+offCentre/s.Track)
	}
	sides := float64(sidesOf(s.Ramp))
	moment := steps[at].Bending * quantity.Gravity
	length := float64(s.Ramp.Length)
	if s.Ramp.Middle { // on three supports, at the worst of the steps
		moment = 0
		for i := range steps {
			moment = max(moment, s.onMiddle(&steps[i], length))
		}
	}
	w, inertia := sec.Weak(true)
	stress := shock * share * moment / (sides * w)
	f.AtMost(quantity.KindStress, stress, allowed)
	// Taken as loaded in the middle by what bends it as much: w = M·l²/(12·E·I).
	sag := share * moment * length * length / (12 * sides * stockOf(*p).Modulus * inertia)
	f.Says = said.Say(
		"The ramp's sides are loaded to % and bend % as it rolls over.",
		said.Share(stress/allowed),
		said.Length(sag),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use a stronger section, or a leg under the middle.")...)
	}
	parts.Unsure(&f, *p)
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "σ",
				Says:    said.Say("greatest stress in a side"),
				Formula: "σ = 1.5·share·M/(n·W)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "M",
						Says:    said.Say("greatest bending of the ramps together, as a weight on one metre"),
						Measure: finding.Exactly(quantity.KindMass, moment/quantity.Gravity),
						How:     "computed",
					},
					{
						Symbol:  "share",
						Says:    said.Say("on the busier ramp"),
						Measure: finding.Exactly(quantity.KindShare, share),
						How:     "rule followed",
					},
					{
						Symbol:  "n",
						Says:    said.Say("sides of a ramp"),
						Measure: finding.Exactly(quantity.KindCount, sides),
						How:     "stated",
					}},
			},
		}
	}
	return f, true
}

// paired reports whether there are two ramps, one to a track.
func (s *Setup) paired() bool { return s.Ramp.Kind == "" || s.Ramp.Kind == plan.RampPair }

// onMiddle is the greatest moment of a ramp with a leg under its middle, N·m.
func (s *Setup) onMiddle(st *Step, l float64) float64 {
	b := beam.Beam{Length: l, Stiffness: 1, Supports: []beam.Support{{At: 0}, {At: l / 2}, {At: l}}}
	cos := math.Cos(s.Angle)
	for _, f := range []Push{st.Wheels.Front, st.Wheels.Rear} {
		if p := (f.At.U - s.Foot.U) / cos; p > 0 && p < l {
			b.Loads = append(
				b.Loads,
				beam.Load{At: p, Force: (f.Down*cos + f.Ahead*math.Sin(s.Angle)) * quantity.Gravity},
			)
		}
	}
	if len(b.Loads) == 0 {
		return 0
	}
	res, err := b.Solve()
	if err != nil { // as if the leg were not there
		return st.Bending * quantity.Gravity
	}
	return math.Abs(res.Moment)
}

// Piece is a line of what own ramps are cut from.
type Piece struct {
	Name    string
	Profile plan.Profile
	Count   int
	Length  float64 // m, each
	Mass    float64 // kg, of all
}

// Pieces are what own ramps are cut from: sides of the ramp's length, treads between
// them a gap apart; none where they are not of own make, no treads where the width is
// not stated.
func Pieces(r *plan.Ramp) []Piece {
	if r.Profile == nil {
		return nil
	}
	ramps := 2
	if r.Kind != "" && r.Kind != plan.RampPair {
		ramps = 1
	}
	piece := func(name string, p plan.Profile, count int, l float64) Piece {
		out := Piece{Name: name, Profile: p, Count: count, Length: l}
		if s, err := section.Of(parts.SizeOf(p)); err == nil {
			out.Mass = float64(count) * s.Area * l * stockOf(p).Density
		}
		return out
	}
	out := []Piece{piece("side", *r.Profile, ramps*sidesOf(r), float64(r.Length))}
	of := treadOf(r)
	broad, tread := float64(max(of.Width, of.Height)), treadLength(r)
	if tread > 0 && float64(r.Gap)+broad > 0 {
		n := int(math.Floor((float64(r.Length)+float64(r.Gap))/(broad+float64(r.Gap)) + 1e-9))
		out = append(out, piece("tread", of, ramps*n, tread))
	}
	return out
}

// sidesOf is how many side sections one ramp has.
func sidesOf(r *plan.Ramp) int {
	if r.Sides == 0 {
		return 2
	}
	return r.Sides
}

// treadOf is a tread's section: the sides' own where it is not stated.
func treadOf(r *plan.Ramp) plan.Profile {
	if r.Tread != nil {
		return *r.Tread
	}
	return *r.Profile
}

// treadLength is that of a tread between the outer sides, m; zero or less where the
// width is not stated.
func treadLength(r *plan.Ramp) float64 {
	return float64(r.Width) - 2*float64(max(r.Profile.Width, r.Profile.Height))
}

// TreadMoment bends a tread of span l between two sides under a wheel's load P spread
// over the tyre's width c in its middle: P·(2l − c)/8, c at most l.
func TreadMoment(load, span, tyre float64) float64 {
	return load * (2*span - min(tyre, span)) / 8
}

// treads judges a tread of own ramps: it bears the busiest wheel alone, shock counted.
func (s *Setup) treads(steps []Step) (finding.Finding, bool) {
	if s.Ramp.Profile == nil || treadLength(s.Ramp) <= 0 || sidesOf(s.Ramp) < 2 {
		return finding.Finding{}, false
	}
	of := treadOf(s.Ramp)
	sec, err := section.Of(parts.SizeOf(of))
	f := s.base(CodeTreads, "Ramp's treads")
	f.Gate, f.Source = finding.GateCut, norms.Practice(
		"one tread bears a wheel; shock 1.5; reserve 1.5 on yield, 2.5 on timber",
	)
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say("The tread's section makes no sense: "+err.Error()+".")
		return f, true
	}
	wheel := 0.0
	for i := range steps {
		for _, p := range []Push{steps[i].Wheels.Front, steps[i].Wheels.Rear} {
			if p.At.U > s.Foot.U && p.At.U < s.Top.U {
				wheel = max(wheel, p.Down)
			}
		}
	}
	if s.Track > 0 { // else one behind the other
		wheel /= 2
	}
	span := treadLength(s.Ramp) / float64(sidesOf(s.Ramp)-1)
	w, _ := sec.Weak(true)
	stress := shock * TreadMoment(wheel*quantity.Gravity, span, s.Tyre) / w
	limit := allowed(of)
	f.AtMost(quantity.KindStress, stress, limit)
	f.Says = said.Say(
		"A tread of % carries a wheel of % and is loaded to %.",
		said.Length(span),
		said.Mass(wheel),
		said.Share(stress/limit),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use a stronger section, or one more side.")...)
	}
	parts.Unsure(&f, of)
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "σ",
				Says:    said.Say("greatest stress in a tread"),
				Formula: "σ = 1.5·P·(2l − c)/(8·W)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "P",
						Says:    said.Say("the busiest wheel"),
						Measure: finding.Exactly(quantity.KindMass, wheel),
						How:     "computed",
					},
					{
						Symbol:  "l",
						Says:    said.Say("between sides"),
						Measure: finding.Exactly(quantity.KindLength, span),
						How:     "computed",
					},
					{
						Symbol:  "c",
						Says:    said.Say("{tyre}'s width"),
						Measure: finding.Exactly(quantity.KindLength, s.Tyre),
						How:     "stated",
					}},
			},
		}
	}
	return f, true
}

// allowed is the stress that a profile's stock may take, Pa.
func allowed(p plan.Profile) float64 {
	stock := stockOf(p)
	if stock.Timber {
		return stock.Yield / timber
	}
	return stock.Yield / reserve
}

// cut tells the pieces of own ramps.
func (s *Setup) cut() (finding.Finding, bool) {
	if s.Ramp.Profile == nil || s.Tilts {
		return finding.Finding{}, false
	}
	pieces, mass := Pieces(s.Ramp), 0.0
	f := s.base(CodeCut, "Cutting the ramps")
	f.Gate, f.Source = finding.GateCut, norms.Practice("treads between the sides")
	for i, p := range pieces {
		between := ""
		if i > 0 {
			between = ", "
		}
		f.Says = append(
			f.Says,
			said.Say(between+"% "+p.Name+"s of %", said.Count(p.Count), said.Length(p.Length))...)
		mass += p.Mass
	}
	f.Figure = finding.Exactly(quantity.KindMass, mass)
	f.Says = append(f.Says, said.Say(": % in all.", said.Mass(mass))...)
	if len(pieces) < 2 {
		f.Outcome, f.Says = finding.Unknown, append(f.Says, said.Say(" Treads: enter the ramp's width.")...)
		f.Needs = []finding.Need{
			{
				Path:  "/parts/" + s.RampID + "/ramp/width",
				Says:  said.Say("the width of one ramp"),
				Where: said.Say("The widest {tyre} and [60 mm]."),
			},
		}
	}
	return f, true
}
