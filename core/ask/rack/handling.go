package rack

import (
	"cmp"
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Codes of the handling of a rack.
const (
	CodeLift  = "rack.lift"
	CodeOrder = "rack.order"
	CodeLamps = "rack.lamps"
	CodeSide  = "rack.side"
)

// FrameMass is what one frame of a rack weighs, kg: the piece that lifts off.
func FrameMass(rk *plan.Rack) float64 {
	sum := 0.0
	for _, m := range parts.Members(rk) {
		sum += m.Mass()
	}
	return sum / float64(len(parts.FramesAt(rk)))
}

// lift is whether one person takes the rack off frame by frame, and whether a frame
// goes in where the trailer is stored.
func lift(base func(string, string) finding.Finding, r *rig.Rig, it *rig.Item, part *plan.Part) finding.Finding {
	f := base(CodeLift, "Taking it off")
	f.Gate, f.Source = "", norms.Practice("25 kg easy, 40 kg at most")
	each := FrameMass(part.Rack)
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, each), finding.Exactly(quantity.KindMass, liftEasy)
	undo := said.Name(part.Undo, "what holds them")
	f.Says = said.Say(
		"% frames of % each; undo %.",
		said.Count(len(parts.FramesAt(part.Rack))),
		said.Mass(each),
		undo,
	)
	wide, high := it.Right-it.Left, it.Top-it.Bottom
	for _, id := range plan.Ordered(r.Plan.Wants, func(w plan.Want) int { return w.Order }) {
		w := r.Plan.Wants[id]
		if w.What != plan.WantStorage || w.Size == nil || w.Size.Length == nil || w.Size.Height == nil {
			continue
		}
		// A frame is flat: it leans against the longest wall.
		long, tall := float64(w.Size.Length.Value), float64(w.Size.Height.Value)
		if max(wide, high) > max(long, tall) || min(wide, high) > min(long, tall) {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = append(
				f.Says,
				said.Say(
					" % × % does not fit where it is stored: % × %.",
					said.Length(wide),
					said.Length(high),
					said.Length(long),
					said.Length(tall),
				)...)
			return f
		}
		f.Says = append(f.Says, said.Say(" Stored, they lean against the wall.")...)
		break
	}
	switch {
	case part.Rack.Foot == plan.FootWelded:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Welded feet do not come off.")...)
	case each > liftMost:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Lift it with two people, or make it in more pieces.")...)
	case each > liftEasy:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Heavy for one.")...)
	}
	return f
}

// order is what loading from the bottom up does to the ball load: the least and the
// most while the hulls go on one after another, the bow of each first put on the rear
// frame, where half of it bears. Unhitched, the least must stay above zero.
func order(base func(string, string) finding.Finding, r *rig.Rig, hulls []Hull) (finding.Finding, bool) {
	if r.Bears == nil || r.Axle == nil || r.Axle.Nominal <= 0 {
		return finding.Finding{}, false
	}
	f := base(CodeOrder, "While loading")
	f.Gate, f.Source = "", norms.Practice("25 kg left on the jockey wheel")
	up := slices.Clone(hulls)
	slices.SortStableFunc(up, func(a, b Hull) int {
		return cmp.Or(cmp.Compare(a.Item.Bottom, b.Item.Bottom), cmp.Compare(b.Mass, a.Mass))
	})
	l := r.Axle.Nominal
	ball := r.Bears.Ball.Nominal
	for _, h := range up { // with none on
		ball -= h.Mass * (l - h.X) / l
	}
	start := ball
	least, most, at := ball, ball, ""
	see := func(v float64, name string) {
		if v < least {
			least, at = v, name
		}
		most = max(most, v)
	}
	for _, h := range up {
		part := r.Plan.Parts[r.Layout.Placements[h.Item.ID].ID]
		frames := parts.FramesAt(part.Rack)
		rear := h.X - h.At + frames[len(frames)-1]
		see(ball+h.Mass/2*(l-rear)/l, h.Item.Name)
		ball += h.Mass * (l - h.X) / l
		see(ball, h.Item.Name)
	}
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, least), finding.Exactly(quantity.KindMass, 0.0)
	f.Says = said.Say(
		"Loaded from the bottom up, taken off from the top down, the {ball load} goes from % to %.",
		said.Mass(start),
		said.Mass(ball),
	)
	switch {
	case least < 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Unhitched it tips up while % goes on (% at the {coupling}). Hitch it or prop the tail first.",
			said.Name(at, "a hull"),
			said.Mass(least),
		)
	case least < jockeyLeast:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Only % between: load it hitched.", said.Mass(least))...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "R",
				Says:    said.Say("least at the {coupling} while loading"),
				Formula: "R = R₀ + Σ m·(L − x)/L, each hull first with m/2 on the rear frame",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "R₀",
						Says:    said.Say("before the first hull"),
						Measure: finding.Exactly(quantity.KindMass, start),
						How:     "computed",
					},
					{
						Symbol:  "L",
						Says:    said.Say("{coupling} to axle"),
						Measure: finding.Exactly(quantity.KindLength, l),
						How:     "stated",
						Path:    r.AxlePath,
					}},
			},
		}
	}
	return f, true
}

// jockeyLeast is what should stay on the jockey wheel of an unhitched trailer, kg (C).
const jockeyLeast = 25.0

// aside is a hull put up from the side: half of it hangs at the bar's end beyond the
// wheel, and the other wheel must keep some load, W·t/2 − m/2·(a − t/2) over t.
func aside(
	base func(string, string) finding.Finding,
	r *rig.Rig,
	rk *plan.Rack,
	hulls []Hull,
) (finding.Finding, bool) {
	empty := r.EmptyMass()
	if r.Trailer.Track == nil || empty == nil {
		return finding.Finding{}, false
	}
	track := float64(r.Trailer.Track.Value)
	worst, left := "", math.Inf(1)
	for _, h := range hulls {
		if v := Aside(empty.Nominal, h.Mass, float64(rk.Tiers[h.Tier].Length)/2, track); v < left {
			worst, left = h.Item.Name, v
		}
	}
	if worst == "" {
		return finding.Finding{}, false
	}
	f := base(CodeSide, "Loading from the side")
	f.Gate, f.Source = "", norms.Practice("a fifth of the trailer on the far wheel")
	limit := empty.Nominal / 5
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, left), finding.Exactly(quantity.KindMass, limit)
	f.Says = said.Say(
		"Lifting % on from the side leaves % on the far wheel of the empty trailer.",
		said.Name(worst, "A hull"),
		said.Mass(left),
	)
	if left < limit {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" Chock it, and have someone on the far side.")...)
	}
	return f, true
}

// Aside is what stays on the far wheel of a trailer of so much when half a hull hangs at a
// from its middle, kg: (W·t/2 − m/2·(a − t/2))/t.
func Aside(trailer, hull, a, track float64) float64 {
	return (trailer*track/2 - hull/2*(a-track/2)) / track
}

// lampsSeen is how far above a rear lamp it must be seen, rad (UNECE R48, 6.10.5).
const lampsSeen = 15 * math.Pi / 180

// lampUnder is how far below the deck lamps usually hang, m (C).
const lampUnder = 0.10

// Lamps judges whether what reaches beyond the tail hides the rear lamps from 15°
// above: a load that reaches o beyond them must leave o·tan 15° over them.
func Lamps(r *rig.Rig) (finding.Finding, bool) {
	if r.Layout == nil || r.DeckFront == nil || r.Trailer.DeckLength == nil {
		return finding.Finding{}, false
	}
	_, tail := r.Deck()
	var by *rig.Item
	worst, over := math.Inf(1), 0.0
	for i := range r.Items {
		it := &r.Items[i]
		o := it.Rear - tail
		if it.Open || o <= 0.02 {
			continue
		}
		if spare := it.Bottom - (r.DeckHeight() - lampUnder) - o*math.Tan(lampsSeen); spare < worst {
			worst, over, by = spare, o, it
		}
	}
	if by == nil {
		return finding.Finding{}, false
	}
	f := finding.Finding{
		Code:    CodeLamps,
		Stage:   Stage,
		Scope:   r.Scope,
		Gate:    finding.GateGo,
		Subject: by.Path,
		Title:   said.Say("Rear lamps and {number plate}"),
		Outcome: finding.Holds,
		Source: &finding.Source{
			Title:      "UNECE R48",
			Clause:     "6.10.5, 15° above",
			AsOf:       norms.AsOf,
			Confidence: "B",
		},
	}
	height := by.Bottom - (r.DeckHeight() - lampUnder)
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		height,
	), finding.Exactly(
		quantity.KindLength,
		over*math.Tan(lampsSeen),
	)
	name := said.Name(by.Name, "A load")
	if worst < -1e-9 {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"% reaches % beyond the lamps, only % above them: fit a lamp bar with the {number plate} at its end.",
			name,
			said.Length(over),
			said.Length(height),
		)
	} else {
		f.Says = said.Say("% reaches % beyond the lamps and leaves them in sight.", name, said.Length(over))
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "h",
				Says:    said.Say("needed over the lamps"),
				Formula: "h = o·tan 15°",
				Result:  f.Limit,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol: "o",
						Says: said.Say(
							"beyond the lamps, taken at the tail, % under the deck",
							said.Length(lampUnder),
						),
						Measure: finding.Exactly(quantity.KindLength, over),
						How:     "computed",
					}},
			},
		}
	}
	return f, true
}

// foot is the bolts of a bolted foot: half of them pull against the edge of the foot,
// T = M/(n/2·e), against F = 0.9·f_ub·A_s/1.25.
func foot(
	base func(string, string) finding.Finding,
	rk *plan.Rack,
	hulls []Hull,
	shock float64,
	path string,
) finding.Finding {
	f := base(CodeFoot, "Feet's bolts")
	f.Source = &norms.BoltSource
	if rk.Bolts < 2 || rk.Bolt <= 0 || rk.Gauge <= 0 {
		f.Outcome, f.Says = finding.Unknown, said.Say(
			"Bolted feet: enter how many bolts a foot has, how thick they are and how far apart their rows are.",
		)
		for _, n := range []struct {
			lacks              bool
			field, says, where string
		}{
			{rk.Bolts < 2, "bolts", "how many bolts a foot has", "Four to a foot is usual."},
			{rk.Bolt <= 0, "bolt", "how thick the feet's bolts are", "Measure across the thread; the grade is on the head."},
			{rk.Gauge <= 0, "gauge", "how far apart the rows of bolts are", "Measure between the holes' middles."},
		} {
			if n.lacks {
				f.Needs = append(
					f.Needs,
					finding.Need{Path: path + "/rack/" + n.field, Says: said.Say(n.says), Where: said.Say(n.where)},
				)
			}
		}
		return f
	}
	worst := bend{}
	for _, b := range atFoot(rk, hulls, shock) {
		if b.moment > worst.moment {
			worst = b
		}
	}
	pull := worst.moment / (math.Floor(float64(rk.Bolts)/2) * float64(rk.Gauge))
	grade, known := norms.BoltOf(rk.Grade)
	limit := grade.TensionOf(float64(rk.Bolt))
	f.AtMost(quantity.KindForce, pull, limit)
	f.Says = said.Say(
		"Each of % bolts pulls % of % "+worst.when+"; use big washers or a plate under the deck.",
		said.Count(rk.Bolts),
		said.Of(quantity.KindForce, pull),
		said.Of(quantity.KindForce, limit),
	)
	if !known && f.Outcome != finding.Fails {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Their grade is not entered; the weakest is assumed.")...)
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "T",
				Says:    said.Say("pull of one bolt"),
				Formula: "T = M/((n/2)·e)",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "M",
						Says:    said.Say("at a post's foot, as a weight on one metre"),
						Measure: finding.Exactly(quantity.KindMass, worst.moment/quantity.Gravity),
						How:     "computed",
					},
					{
						Symbol:  "e",
						Says:    said.Say("between the rows"),
						Measure: finding.Exactly(quantity.KindLength, rk.Gauge),
						How:     "stated",
						Path:    path + "/rack/gauge",
					}},
			},
		}
	}
	return f
}
