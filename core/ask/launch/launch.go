// Package launch answers how a boat comes off the water onto its cradle: what
// rollers and bunks bear, bow stop, winch line, how deep the tail goes on the slip.
// Formulas: docs/method/launch.md.
package launch

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/statics"
)

// Stage under which the findings stand: cradles are stated beside racks.
const Stage = "racks"

// Codes of the findings made here.
const (
	CodeSupport = "launch.support"
	CodeWidth   = "launch.width"
	CodeBow     = "launch.bow"
	CodeWinch   = "launch.winch"
	CodeStern   = "launch.stern"
	CodeHubs    = "launch.hubs"
	CodeCar     = "launch.car"
)

// Figures of practice (confidence C).
const (
	bowGap     = 0.02                 // m between stem and stop
	lineWithin = 15.0 * math.Pi / 180 // of the winch line to level
	hubLower   = 0.06                 // m from a hub's middle to its lowest seal
	leastShare = 0.1                  // of the boat on the support that bears least
)

// Edge is where the water's edge lies behind the ball, m, when a stern at (x, z) is
// draft deep: a point's depth is (x − e)·sin θ − z·cos θ, so
// e = x − (draft + z·cos θ)/sin θ. θ is above zero.
func Edge(x, z, draft, slip float64) float64 {
	return x - (draft+z*math.Cos(slip))/math.Sin(slip)
}

// Depth of a point at x behind the ball and z above the wheels' ground under water
// whose edge is at e, m; negative when it is dry.
func Depth(x, z, e, slip float64) float64 { return (x-e)*math.Sin(slip) - z*math.Cos(slip) }

// Peak is the greatest load of bunks from a to b under a stiff boat of m kg with its
// centre at c, kg/m: m/l·(1 + 6·|d|/l) for d = c − middle within a sixth of l; beyond
// it only 3·(l/2 − |d|) of them bears, by twice the mean. lifts says so; a centre at or
// beyond an end is not carried.
func Peak(m, c, a, b float64) (peak float64, lifts, carried bool) {
	l, d := b-a, math.Abs(c-(a+b)/2)
	switch {
	case !(l > 0) || d >= l/2:
		return 0, true, false
	case d <= l/6:
		return m / l * (1 + 6*d/l), false, true
	}
	return 2 * m / (3 * (l/2 - d)), true, true
}

// Check judges every boat that lies on a cradle.
func Check(r *rig.Rig) []finding.Finding {
	if r.Layout == nil {
		return nil
	}
	var out []finding.Finding
	for i := range r.Items {
		it := &r.Items[i]
		pl := r.Layout.Placements[it.ID]
		part, ok := r.Plan.Parts[pl.ID]
		if it.Part || pl.On != plan.OnPart || !ok || part.Cradle == nil {
			continue
		}
		k := slices.IndexFunc(r.Items, func(o rig.Item) bool { return o.Part && o.ID == pl.ID })
		if k < 0 {
			continue
		}
		b := boat{
			r:      r,
			it:     it,
			hull:   plan.Hull{},
			cradle: part.Cradle,
			front:  r.Items[k].Front,
			path:   "/parts/" + pl.ID + "/cradle",
		}
		if it.Load != nil && it.Load.Hull != nil {
			b.hull = *it.Load.Hull
		}
		if it.Mass != nil {
			b.body = r.Moves(i)
			b.mass = b.body.Mass
		}
		out = append(out, b.support(), b.bow(), b.stern())
		for _, check := range []func() (finding.Finding, bool){b.width, b.winch} {
			if f, ok := check(); ok {
				out = append(out, f)
			}
		}
		out = append(out, b.slip()...)
	}
	return out
}

// boat is a boat on a cradle.
type boat struct {
	r      *rig.Rig
	it     *rig.Item
	hull   plan.Hull
	cradle *plan.Cradle
	front  float64 // of the cradle behind the ball, m
	path   string
	body   rig.Body // with what rides in it
	mass   float64  // … its mass; zero where not known
}

func (b *boat) base(code, title string) finding.Finding {
	return finding.Finding{
		Code:    code,
		Stage:   Stage,
		Scope:   b.r.Scope,
		Subject: b.it.Path,
		Title:   said.Say(title),
		Outcome: finding.Holds,
	}
}

func (b *boat) name() said.Piece { return said.Name(b.it.Name, "The boat") }

func (b *boat) support() finding.Finding {
	f := b.base(CodeSupport, "Rollers and bunks")
	f.Gate, f.Source = finding.GateCut, norms.Practice("a tenth of the boat on each support")
	if b.mass <= 0 {
		f.Outcome, f.Says = finding.Unknown, said.Say("Not known: the weight of %.", b.name())
		f.Needs = []finding.Need{
			{
				Path:  b.it.Path + "/mass",
				Says:  said.Say("the weight of %", b.name()),
				Where: said.Say("Weigh it, or look at its papers."),
			},
		}
		return f
	}
	at := b.body.X - b.front
	var places []float64
	for _, id := range plan.Ordered(b.cradle.Rollers, func(r plan.Roller) int { return r.Order }) {
		places = append(places, float64(b.cradle.Rollers[id].At))
	}
	switch bunks := b.cradle.Bunks; {
	case len(places) == 0 && bunks == nil:
		f.Outcome, f.Says = finding.Unknown, said.Say("What does the keel lie on? Add rollers, or bunks.")
		f.Needs = []finding.Need{
			{
				Path:  b.path + "/rollers",
				Says:  said.Say("rollers or bunks"),
				Where: said.Say("Tape them from the cradle's front."),
			},
		}
	case len(places) > 1:
		on, bears := statics.Bearing(b.mass, at, places)
		least, most := slices.Min(on), slices.Max(on)
		f.Figure, f.Limit = finding.Exactly(
			quantity.KindMass,
			least,
		), finding.Exactly(
			quantity.KindMass,
			leastShare*b.mass,
		)
		f.Says = said.Say(
			"% rollers carry from % to % of %.",
			said.Count(len(on)),
			said.Mass(least),
			said.Mass(most),
			b.name(),
		)
		switch {
		case !bears:
			f.Outcome, f.Says = finding.Fails, said.Say(
				"% tips off its rollers: its weight is beyond them. Move a roller under it.",
				b.name(),
			)
		case least < leastShare*b.mass:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(f.Says, said.Say(" Move the idle one toward the stern.")...)
		}
		f.HasWork, f.Work = true, func() []finding.Step {
			return []finding.Step{
				{
					Symbol:  "R",
					Says:    said.Say("the roller that carries least"),
					Formula: "R_i = m·(1/n + (c − x̄)(x_i − x̄)/Σ(x − x̄)²)",
					Result:  f.Figure,
					Terms: []finding.StepTerm{
						{
							Symbol:  "m",
							Says:    said.Say("the boat, as it travels"),
							Measure: finding.Exactly(quantity.KindMass, b.mass),
							How:     "stated",
							Path:    b.it.Path + "/mass",
						},
						{
							Symbol:  "c",
							Says:    said.Say("its centre behind the cradle's front"),
							Measure: finding.Exactly(quantity.KindLength, at),
							How:     "computed",
						}},
				},
			}
		}
	case bunks != nil:
		peak, lifts, carried := Peak(b.mass, at, float64(bunks.From), float64(bunks.To))
		f.Figure = finding.Exactly(quantity.KindMass, peak)
		f.Says = said.Say("Bunks carry % on their busiest metre, both together.", said.Mass(peak))
		switch {
		case !carried:
			f.Figure, f.Outcome, f.Says = nil, finding.Fails, said.Say(
				"% tips off its bunks: its weight is beyond them. Use longer bunks, or slide them.",
				b.name(),
			)
		case lifts:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(f.Says, said.Say(" One end carries nothing: slide them under the weight.")...)
		}
	default:
		f.Outcome, f.Says = finding.Fails, said.Say("One roller is a see-saw: use two, or bunks.")
	}
	return f
}

// width tells whether bunks lie under the hull's firm lines.
func (b *boat) width() (finding.Finding, bool) {
	bunks := b.cradle.Bunks
	if bunks == nil {
		return finding.Finding{}, false
	}
	f := b.base(CodeWidth, "Between the bunks")
	f.Gate, f.Source = finding.GateCut, norms.Practice("within a tenth of the hull's firm lines")
	wide := b.it.Right - b.it.Left
	lines := 0.6 * wide
	if a := b.hull.Apart; a != nil {
		lines = float64(a.Value)
	}
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		bunks.Apart,
	), finding.Exactly(
		quantity.KindLength,
		lines,
	)
	apart := float64(bunks.Apart)
	switch {
	case apart >= wide:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The bunks are % apart and the hull is % wide: it falls between them.",
			said.Length(apart),
			said.Length(wide),
		)
	case math.Abs(apart-lines) > 0.1*lines:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The bunks are % apart; the hull is firm at %. Set them there.",
			said.Length(apart),
			said.Length(lines),
		)
	default:
		f.Says = said.Say("The bunks are % apart, under the hull's firm lines.", said.Length(apart))
	}
	return f, true
}

func (b *boat) bow() finding.Finding {
	f := b.base(CodeBow, "Bow stop")
	f.Gate, f.Source = finding.GateGo, norms.Practice("the stem touches")
	stop := b.cradle.BowStop
	if stop == nil {
		f.Outcome, f.Says = finding.Unknown, said.Say("No bow stop is entered: braking sends % forward.", b.name())
		f.Needs = []finding.Need{
			{
				Path:  b.path + "/bowStop",
				Says:  said.Say("the bow stop's place"),
				Where: said.Say("From the cradle's front, where the stem stops."),
			},
		}
		return f
	}
	gap := b.it.Front - (b.front + float64(*stop))
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, gap), finding.Exactly(quantity.KindLength, bowGap)
	switch {
	case gap < -1e-9:
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The stem is % into the bow stop. Move the boat back or the stop forward.",
			said.Length(-gap),
		)
	case gap > bowGap+1e-9:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("The stem is % short of its stop: braking slides it there.", said.Length(gap))
	default:
		f.Says = said.Say("The stem rests against its stop.")
	}
	return f
}

func (b *boat) winch() (finding.Finding, bool) {
	c := b.cradle
	if c.WinchAt == nil || c.WinchUp == nil {
		return finding.Finding{}, false
	}
	f := b.base(CodeWinch, "Winch line")
	f.Gate, f.Source = finding.GateCut, norms.Practice("within 15° of level when the boat is home")
	if b.hull.EyeUp == nil {
		f.Outcome, f.Says = finding.Unknown, said.Say("Not known: the bow eye of %.", b.name())
		f.Needs = []finding.Need{
			{
				Path:  b.it.Path + "/hull/eyeUp",
				Says:  said.Say("the bow eye's height"),
				Where: said.Say("Tape it from the keel."),
			},
		}
		return f, true
	}
	eye := b.it.Front
	if b.hull.EyeAt != nil {
		eye += float64(*b.hull.EyeAt)
	}
	up := float64(*c.WinchUp) - float64(c.Keel) - float64(*b.hull.EyeUp) // of the winch over the eye
	run := eye - (b.front + float64(*c.WinchAt))
	if run <= 0 {
		f.Outcome, f.Says = finding.Fails, said.Say(
			"The winch is % behind the bow eye. Move its stand forward.",
			said.Length(-run),
		)
		return f, true
	}
	angle := math.Atan2(up, run)
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindAngle,
		math.Abs(angle),
	), finding.Exactly(
		quantity.KindAngle,
		lineWithin,
	)
	level := float64(c.Keel) + float64(*b.hull.EyeUp)
	switch {
	case angle > lineWithin:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The line rises % to the winch and lifts the bow. Set the drum at %, level with the eye.",
			said.Of(quantity.KindAngle, angle),
			said.Length(level),
		)
	case angle < -lineWithin:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The line falls % to the winch and pulls the bow down. Set the drum at %, level with the eye.",
			said.Of(quantity.KindAngle, -angle),
			said.Length(level),
		)
	default:
		f.Says = said.Say("The winch line runs within % of level.", said.Of(quantity.KindAngle, math.Abs(angle)))
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "α",
				Says:    said.Say("the line to level"),
				Formula: "α = atan(h/l)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "h",
						Says:    said.Say("the winch over the eye"),
						Measure: finding.Exactly(quantity.KindLength, up),
						How:     "computed",
					},
					{
						Symbol:  "l",
						Says:    said.Say("between them"),
						Measure: finding.Exactly(quantity.KindLength, run),
						How:     "computed",
					}},
			},
		}
	}
	return f, true
}

func (b *boat) stern() finding.Finding {
	f := b.base(CodeStern, "Stern tied down")
	f.Gate, f.Source = finding.GateGo, norms.Practice("the winch alone holds only the bow")
	if !b.cradle.Transom {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Nothing ties the stern of %: run two straps from the stern's eyes to the frame.", b.name())
		return f
	}
	f.Says = said.Say("The stern has a strap of its own.")
	return f
}

// slip is how deep hubs and car stand when the boat floats on.
func (b *boat) slip() []finding.Finding {
	o := b.r.Outing
	if o == nil || o.Slip == nil || b.r.Axle == nil {
		return nil
	}
	hubs := b.base(CodeHubs, "Hubs in the water")
	hubs.Source = norms.Practice("hubs 60 mm to their lowest seal")
	if b.hull.Draft == nil {
		hubs.Outcome, hubs.Says = finding.Unknown, said.Say("Not known: how deep the keel of % lies.", b.name())
		hubs.Needs = []finding.Need{
			{
				Path:  b.it.Path + "/hull/draft",
				Says:  said.Say("draft at the stern"),
				Where: said.Say("Afloat, from the waterline down to the keel."),
			},
		}
		return []finding.Finding{hubs}
	}
	slip, draft := o.Slip.Angle, float64(*b.hull.Draft)
	edge := Edge(b.it.Rear, b.it.Bottom, draft, slip)
	hub := Depth(b.r.LastAxle(), b.r.WheelRadius(), edge, slip)
	tail := Depth(b.it.Rear, 0, edge, slip)
	hubs.Figure, hubs.Limit = finding.Exactly(
		quantity.KindLength,
		hub,
	), finding.Exactly(
		quantity.KindLength,
		-hubLower,
	)
	if hub > -hubLower {
		hubs.Outcome, hubs.Tight = finding.Tight, finding.LittleRoom
		hubs.Says = said.Say(
			"The boat floats when the ground under its tail is % under water; the hubs are then % under. Let them cool first, unplug the lamps, then rinse and grease.",
			said.Length(tail),
			said.Length(max(0, hub+hubLower)),
		)
	} else {
		hubs.Says = said.Say("The boat floats when the ground under its tail is % under water; the hubs stay dry.", said.Length(tail))
	}
	hubs.HasWork, hubs.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "d",
				Says:    said.Say("hubs' middle under water"),
				Formula: "d = (x − e)·sin θ − z·cos θ,  e = x_s − (D + z_s·cos θ)/sin θ",
				Result:  hubs.Figure,
				Terms: []finding.StepTerm{
					{
						Symbol:  "θ",
						Says:    said.Say("slip"),
						Measure: finding.Exactly(quantity.KindAngle, slip),
						How:     "stated",
						Path:    "/outings/" + b.r.Scope.Outing + "/slip/angle",
					},
					{
						Symbol:  "D",
						Says:    said.Say("draft"),
						Measure: finding.Exactly(quantity.KindLength, draft),
						How:     "stated",
						Path:    b.it.Path + "/hull/draft",
					},
					{
						Symbol:  "z_s",
						Says:    said.Say("keel at the stern above the ground"),
						Measure: finding.Exactly(quantity.KindLength, b.it.Bottom),
						How:     "computed",
					}},
			},
		}
	}
	out := []finding.Finding{hubs}
	if v := b.r.Vehicle; v != nil && v.RearOverhang != nil {
		f := b.base(CodeCar, "The car at the slip")
		f.Source = hubs.Source
		wet := Depth(-float64(v.RearOverhang.Value), 0, edge, slip)
		f.Figure, f.Limit = finding.Exactly(quantity.KindLength, wet), finding.Exactly(quantity.KindLength, 0.0)
		if wet > 0 {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say(
				"The car's rear {tyre}s stand % in the water. Use a {drawbar} % longer or lower rollers, or wait for the tide.",
				said.Length(wet),
				said.Length(wet/math.Sin(slip)),
			)
		} else {
			f.Says = said.Say("The car's rear {tyre}s stay % from the water.", said.Length(-wet/math.Sin(slip)))
		}
		out = append(out, f)
	}
	return out
}
