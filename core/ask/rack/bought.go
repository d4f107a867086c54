package rack

import (
	"cmp"
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/beam"
	"zygonos/core/sums/section"
	"zygonos/core/sums/statics"
)

// Codes of the findings on bought carriers.
const (
	CodeCarrier = "rack.carrier"
	CodeRail    = "rack.rail"
)

// Figures of practice (confidence C).
const (
	usualClamps = 0.9  // m between the outer clamps of a bar, where not stated
	barShare    = 0.65 // of a hull that one of two bars bears at most, where their places are not stated
	onRoad      = 2.0  // the shock that a figure "moving" already counts
)

// on is a load on a carrier: what it weighs with all that rides on it, where.
type on struct {
	name  string
	slot  string
	mass  float64
	at    float64 // of its centre behind the part's front face
	aside float64 // … right of the part's middle
	front float64 // of its faces behind the part's front face
	rear  float64
}

// carrierJudge judges one bought carrier.
type carrierJudge struct {
	r    *rig.Rig
	it   *rig.Item
	part *plan.Part
	of   *plan.BoughtCarrier
	on   []on

	unweighed []*rig.Item
	low, high float64 // kg that all of it may weigh less, or more
}

// bought judges the carriers that are on and bear something.
func bought(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	for i := range r.Items {
		it := &r.Items[i]
		part := r.Plan.Parts[it.ID]
		if !it.Part || part.Rack != nil || len(part.Slots) == 0 && part.Carrier == nil {
			continue
		}
		j := carrierJudge{r: r, it: it, part: &part, of: part.Carrier}
		j.load()
		if len(j.on)+len(j.unweighed) == 0 {
			continue
		}
		out = append(out, j.limits())
		if j.of != nil && j.of.Rail != nil && len(j.unweighed) == 0 {
			out = append(out, j.rail())
		}
	}
	return out
}

func (j *carrierJudge) load() {
	for i := range j.r.Items {
		o := &j.r.Items[i]
		pl := j.r.Layout.Placements[o.ID]
		if o.Part || pl.On != plan.OnPart || pl.ID != j.it.ID {
			continue
		}
		if o.Mass == nil {
			j.unweighed = append(j.unweighed, o)
			continue
		}
		b := j.r.Moves(i)
		j.low += b.Mass * (1 - o.Mass.Low/max(o.Mass.Nominal, 1e-9))
		j.high += b.Mass * (o.Mass.High/max(o.Mass.Nominal, 1e-9) - 1)
		j.on = append(j.on, on{
			name: o.Name, slot: pl.Slot, mass: b.Mass, at: b.X - j.it.Front, aside: b.Y - (j.it.Left+j.it.Right)/2,
			front: o.Front - j.it.Front, rear: o.Rear - j.it.Front,
		})
	}
}

func (j *carrierJudge) base(code, title string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: j.r.Scope, Gate: finding.GateGo, Subject: j.it.Path, Title: said.Say(title),
		Outcome: finding.Holds, Source: norms.Practice("a label's figure counts twice the weight on made roads, three times on a track"),
	}
}

// limit is one figure of the label with what lies on it.
type limit struct {
	field string
	what  string
	takes float64
	bears quantity.Range[float64]
}

// bars is what each of the two bars bears, kg: by levers where their places are stated, else the
// usual share of the busier one.
func (j *carrierJudge) bars() (busier quantity.Range[float64], told bool) {
	sum := 0.0
	for _, o := range j.on {
		sum += o.mass
	}
	front, rear := j.of.FrontAt, j.of.RearAt
	if front == nil || rear == nil || *rear <= *front {
		return quantity.Range[float64]{Nominal: barShare * sum, Low: sum / 2, High: sum}, false
	}
	var bears [2]float64
	for _, o := range j.on {
		at, _ := statics.Bearing(o.mass, o.at, []float64{float64(*front), float64(*rear)})
		bears[0], bears[1] = bears[0]+at[0], bears[1]+at[1]
	}
	return quantity.Exactly(max(bears[0], bears[1])), true
}

// sum is the mass of all that lies on it, kg.
func (j *carrierJudge) sum() float64 {
	sum := 0.0
	for _, o := range j.on {
		sum += o.mass
	}
	return max(sum, 1e-9)
}

// beyond names a load whose weight lies beyond the bars, where they are stated.
func (j *carrierJudge) beyond() string {
	front, rear := j.of.FrontAt, j.of.RearAt
	if front == nil || rear == nil || *rear <= *front {
		return ""
	}
	for _, o := range j.on {
		if o.at < float64(*front)-1e-9 || o.at > float64(*rear)+1e-9 {
			return cmp.Or(o.name, "a load")
		}
	}
	return ""
}

// all are the label's figures, each with what it bears at rest.
func (j *carrierJudge) all() []limit {
	var out []limit
	sum, side := 0.0, 0.0
	places := map[string]float64{}
	for _, o := range j.on {
		sum, side = sum+o.mass, side+o.mass*o.aside
		places[o.slot] += o.mass
	}
	if j.of.Whole != nil {
		out = append(out, limit{"whole", "all of it", float64(*j.of.Whole), quantity.Exactly(sum)})
	}
	if j.of.Place != nil {
		most := 0.0
		for _, m := range places {
			most = max(most, m)
		}
		out = append(out, limit{"place", "its busiest place", float64(*j.of.Place), quantity.Exactly(most)})
	}
	busier, _ := j.bars()
	if j.of.Bar != nil {
		out = append(out, limit{"bar", "its busier bar", float64(*j.of.Bar), busier})
	}
	if j.of.Clamp != nil {
		apart, told := usualClamps, j.of.Apart != nil
		if told {
			apart = float64(*j.of.Apart)
		}
		share := 0.5 + math.Abs(side)/math.Max(1e-9, sum)/apart
		bears := quantity.Range[float64]{
			Nominal: busier.Nominal * share,
			Low:     busier.Low * share,
			High:    busier.High * share,
		}
		if !told {
			bears.High = max(bears.High, busier.High*(0.5+math.Abs(side)/math.Max(1e-9, sum)/(0.7*apart)))
		}
		out = append(out, limit{"clamp", "its busiest clamp", float64(*j.of.Clamp), bears})
	}
	return out
}

// limits holds each figure of the label against what lies on it, and tells the one that takes
// most.
func (j *carrierJudge) limits() finding.Finding {
	f := j.base(CodeCarrier, "Carrier")
	name := said.Name(j.part.Name, "The carrier")
	if j.of == nil || j.of.Whole == nil && j.of.Place == nil && j.of.Bar == nil && j.of.Clamp == nil {
		f.Outcome = finding.Unknown
		f.Says = said.Say("What % takes is not known.", name)
		f.Needs = []finding.Need{{
			Path: j.it.Path + "/carrier/whole", Says: said.Say("what % takes", name),
			Where: said.Say("On its label or in its leaflet: for one place, one bar, or all of it."),
		}}
		return f
	}
	if len(j.unweighed) > 0 {
		o := j.unweighed[0]
		f.Outcome, f.Says = finding.Unknown, said.Say("What lies on % is not all weighed.", name)
		f.Needs = []finding.Need{{
			Path: o.Path + "/mass", Says: said.Say("the weight of %", said.Name(o.Name, "a load")),
			Where: said.Say("Weigh it, or one end after the other."),
		}}
		return f
	}
	if loose := j.beyond(); loose != "" {
		f.Outcome = finding.Fails
		f.Says = said.Say("The weight of % is beyond the bars of %: it tips off. Slide it, or the bars.",
			said.Name(loose, "A load"), name)
		return f
	}
	k := j.r.Shock()
	// What a figure of the label leaves for the weight at rest: "moving" counts the road's shock
	// already, "standing" none.
	moving, standing := onRoad/math.Max(onRoad, k), 1/k
	left := standing
	if j.of.Counts == plan.CarrierMoving {
		left = moving
	}
	all := j.all()
	for i := range all { // the weights are guesses
		b := &all[i].bears
		b.Low, b.High = b.Low*(1-j.low/j.sum()), b.High*(1+j.high/j.sum())
	}
	worst, rank, used := &all[0], math.MaxInt, -1.0
	for i := range all {
		o, _ := finding.Under(all[i].bears, all[i].takes*left, finding.Reserve)
		if u := all[i].bears.Nominal / all[i].takes; o.Rank() < rank || o.Rank() == rank && u > used {
			worst, rank, used = &all[i], o.Rank(), u
		}
	}
	allowed := worst.takes * left
	f.Figure, f.Limit = finding.Of(quantity.KindMass, worst.bears), finding.Exactly(quantity.KindMass, allowed)
	margin := (allowed - worst.bears.Nominal) / allowed
	f.Margin = &margin
	f.Outcome, f.Tight = finding.Under(worst.bears, allowed, finding.Reserve)
	unsure := j.of.Counts == "" && f.Outcome == finding.Fails
	if unsure { // as a figure for driving it might hold
		if o, _ := finding.Under(worst.bears, worst.takes*moving, finding.Reserve); o != finding.Fails {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		} else {
			unsure = false
		}
	}
	f.Says = said.Say(
		"%: % carries %, and its label leaves % of %",
		name,
		said.Piece{Text: worst.what},
		said.Mass(worst.bears.Nominal),
		said.Mass(allowed),
		said.Mass(worst.takes),
	)
	switch {
	case j.of.Counts == plan.CarrierMoving && k > onRoad:
		f.Says = append(f.Says, said.Say(" on a track.")...)
	case j.of.Counts == plan.CarrierMoving:
		f.Says = append(f.Says, said.Say(", which is the driving figure.")...)
	default:
		f.Says = append(f.Says, said.Say(" standing, with a shock factor of %.", said.Count(int(k)))...)
	}
	switch {
	case unsure:
		f.Says = append(f.Says, said.Say(" It would hold if the label means driving: which is it?")...)
		f.Needs = append(f.Needs, finding.Need{
			Path: j.it.Path + "/carrier/counts", Says: said.Say("what the label counts"),
			Where: said.Say("Look for “dynamic”, “driving” or “static” on it or in its leaflet."),
		})
	case f.Outcome == finding.Fails:
		f.Says = append(f.Says, said.Say(" Take something off, or use a stronger one.")...)
	case f.Tight == finding.GuessTooRough && worst.bears.Nominal*(1+j.high/j.sum()) > allowed:
		f.Says = append(f.Says, said.Say(" The guesses allow more: weigh what lies on it.")...)
	case f.Tight == finding.GuessTooRough:
		f.Says = append(f.Says, said.Say(" It depends on where its bars are: tape them.")...)
		f.Needs = append(f.Needs, finding.Need{
			Path: j.it.Path + "/carrier/frontAt", Says: said.Say("where its front bar stands"),
			Where: said.Say("Tape from the carrier's front."),
		}, finding.Need{
			Path: j.it.Path + "/carrier/rearAt", Says: said.Say("where its rear bar stands"),
			Where: said.Say("Tape from the carrier's front."),
		})
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		var out []finding.Step
		for _, l := range all {
			out = append(out, finding.Step{
				Symbol: "used", Says: said.Say("of what % takes", said.Piece{Text: l.what}), Formula: "used = m / (label · s)",
				Result: finding.Exactly(quantity.KindShare, l.bears.Nominal/(l.takes*left)), Source: f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "m",
						Says:    said.Say("lies on it"),
						Measure: finding.Of(quantity.KindMass, l.bears),
						How:     "computed",
					},
					{
						Symbol:  "label",
						Says:    said.Say("as printed"),
						Measure: finding.Exactly(quantity.KindMass, l.takes),
						How:     string(plan.Plate),
						Path:    j.it.Path + "/carrier/" + l.field,
					},
					{Symbol: "s", Says: said.Say("share left for the weight at rest"),
						Measure: finding.Exactly(quantity.KindShare, left), How: "rule followed"},
				},
			})
		}
		return out
	}
	return f
}

// rail judges rails of own make that lie along the bars: each hull spread over them where it lies,
// as a beam on two bars.
func (j *carrierJudge) rail() finding.Finding {
	f := j.base(CodeRail, "Rails along the bars")
	f.Gate = finding.GateCut
	c := j.of
	s, err := section.Of(parts.SizeOf(*c.Rail))
	if err != nil {
		f.Outcome = finding.Fails
		f.Says = said.Say("The rails' section makes no sense: " + err.Error() + ". Enter its sizes again.")
		return f
	}
	for _, n := range []struct {
		told              bool
		field, says, tape string
	}{
		{c.FrontAt != nil, "frontAt", "where its front bar stands", "Tape from the carrier's front."},
		{c.RearAt != nil, "rearAt", "where its rear bar stands", "Tape from the carrier's front."},
		{c.RailLength != nil, "railLength", "how long the rails are", "Tape one."},
	} {
		if !n.told {
			f.Needs = append(f.Needs, finding.Need{
				Path: j.it.Path + "/carrier/" + n.field, Says: said.Say(n.says), Where: said.Say(n.tape),
			})
		}
	}
	if len(f.Needs) > 0 {
		f.Outcome, f.Says = finding.Unknown, said.Say("Whether the rails hold is not known.")
		return f
	}
	stock, _ := catalogue.StockOf(c.Rail.Material)
	w, i := s.Weak(true)
	rails := float64(c.Rails)
	if rails == 0 {
		rails = 2
	}
	l := float64(*c.RailLength)
	b := beam.Beam{
		Length: l, Stiffness: stock.Modulus * i, Spread: s.Area * stock.Density * quantity.Gravity,
		Supports: []beam.Support{{At: float64(*c.FrontAt)}, {At: float64(*c.RearAt)}},
	}
	const pieces = 40 // a hull lies spread over its length on the rails
	for _, o := range j.on {
		from, to := max(0, o.front), min(l, o.rear)
		for n := range pieces {
			at := from + (to-from)*(float64(n)+0.5)/pieces
			b.Loads = append(b.Loads, beam.Load{
				At: min(max(at, 0), l), Force: o.mass * quantity.Gravity / rails / pieces,
			})
		}
	}
	res, err := b.Solve()
	if err != nil {
		f.Outcome, f.Says = finding.Fails, said.Say("The rails cannot lie like that: "+err.Error()+".")
		return f
	}
	allowed := stock.Working()
	stress := j.r.Shock() * math.Abs(res.Moment) / w
	f.AtMost(quantity.KindStress, stress, allowed)
	f.Says = said.Say(
		"The rails are loaded to % of what % allows, with a shock factor of %; at rest they sag %.",
		said.Share(
			stress/allowed,
		),
		said.Piece{Text: stock.Name},
		said.Count(int(j.r.Shock())),
		said.Length(math.Abs(res.Deflection)),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use a stronger section, or a third bar.")...)
	}
	parts.Unsure(&f, *c.Rail)
	warm(&f, stock, stress, allowed)
	return f
}
