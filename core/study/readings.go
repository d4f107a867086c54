package study

import (
	"cmp"
	"errors"
	"maps"
	"math"
	"slices"
	"strings"

	"zygonos/core/ask/balance"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/sums/statics"
)

// Scales is what an outing's readings say of its guesses: docs/method/readings.md.
type Scales struct {
	Rows    []ScaleRow        `json:"rows"`
	Expect  []ScaleRow        `json:"expect"`  // what scales would read that were not asked yet
	Guesses []Narrowed        `json:"guesses"` // that the readings narrow
	Before  *finding.Measure  `json:"before,omitempty"`
	After   *finding.Measure  `json:"after,omitempty"` // share on the ball
	Moved   bool              `json:"moved,omitempty"` // something was moved since the last reading
	Outcome finding.Outcome   `json:"outcome"`         // agree, or not
	Says    said.Sentence     `json:"says"`
	Fix     *finding.Variant  `json:"fix,omitempty"`     // takes the narrowed weights over
	Settles said.Sentence     `json:"settles,omitempty"` // the one further reading that would settle the ball window
	Suspect []finding.Variant `json:"suspects"`          // each: the guess that cannot be true, corrected
}

// ScaleRow is one scale: what it read and what was to be expected before.
type ScaleRow struct {
	ID     string           `json:"id,omitempty"`
	What   plan.What        `json:"what"`
	Name   said.Sentence    `json:"name"`
	Read   *finding.Measure `json:"read,omitempty"`
	Expect *finding.Measure `json:"expect"`
}

// Narrowed is a guess before and after.
type Narrowed struct {
	Path   string           `json:"path"`
	Name   string           `json:"name"`
	Before *finding.Measure `json:"before"`
	After  *finding.Measure `json:"after"`
}

// ReadScales holds an outing's readings against its guesses.
func ReadScales(p *plan.Plan, q review.Request) *Scales {
	review.Ready(p)
	out := &Scales{
		Rows:    []ScaleRow{},
		Expect:  []ScaleRow{},
		Guesses: []Narrowed{},
		Suspect: []finding.Variant{},
		Outcome: finding.Unknown,
	}
	r := rig.Resolve(p, q.Trailer, q.Outing)
	if r == nil || r.Bears == nil || r.Bears.Share == nil || r.Layout == nil {
		out.Says = said.Say("Not known yet what a scale would read: fill in the rest first.")
		return out
	}
	out.Before = finding.Of(quantity.KindShare, *r.Bears.Share)
	if then := stood(p, q, r.Layout); then != nil { // something was moved since: the scale speaks of how it stood
		if was := rig.Resolve(then, q.Trailer, q.Outing); was != nil && was.Bears != nil && was.Bears.Share != nil {
			readingsOf := r.Layout.Readings
			r, out.Moved = was, true
			r.Layout.Readings = readingsOf
		}
	}
	var readings []statics.Reading
	taken := map[plan.What]bool{}
	for _, id := range plan.Ordered(r.Layout.Readings, func(x plan.LoadReading) int { return x.Order }) {
		rd := r.Layout.Readings[id]
		reading, name, ok := balance.Reading(r, &rd)
		if !ok || !r.Layout.Is(rd.Stood) {
			continue
		}
		taken[rd.What] = true
		readings = append(readings, reading)
		out.Rows = append(
			out.Rows,
			ScaleRow{
				id,
				rd.What,
				name,
				finding.Of(quantity.KindMass, reading.Range),
				finding.Of(quantity.KindMass, r.Beam.Expect(reading)),
			},
		)
	}
	for _, w := range plan.Whats {
		if reading, name, ok := balance.Reading(r, &plan.LoadReading{What: w}); ok && !taken[w] {
			out.Expect = append(
				out.Expect,
				ScaleRow{What: w, Name: name, Expect: finding.Of(quantity.KindMass, r.Beam.Expect(reading))},
			)
		}
	}
	out.Settles = settles(r, readings)
	if len(readings) == 0 {
		out.Says = said.Say("Put the {coupling} on a bathroom scale, trailer level, and enter what it reads.")
		return out
	}
	amounts, err := r.Beam.Agree(readings)
	if errors.Is(err, statics.ErrTooMany) {
		out.Says = said.Say(
			"More than % guesses at once: weigh some loads on their own first.",
			said.Count(statics.MaxDoubts),
		)
		return out
	}
	if errors.Is(err, statics.ErrDisagree) {
		out.disagree(r, readings)
		return out
	}
	out.Outcome, out.Says = finding.Holds, said.Say("The readings agree with the guesses.")
	if share, err := r.Beam.AgreeShare(readings); err == nil {
		out.After = finding.Of(quantity.KindShare, share)
	}
	var patch []finding.Op
	for i := range r.Beam.Terms {
		t := &r.Beam.Terms[i]
		if t.Amount.Width() <= 0 || amounts[i].Width() > 0.98*t.Amount.Width() {
			continue
		}
		out.Guesses = append(
			out.Guesses,
			Narrowed{
				t.Path,
				t.Name,
				finding.Of(quantity.KindMass, t.Amount),
				finding.Of(quantity.KindMass, amounts[i]),
			},
		)
		patch = append(patch, takeOver(p, t.Path, amounts[i])...)
	}
	if len(patch) > 0 {
		out.Says = said.Say("The readings agree and narrow % guesses.", said.Count(len(out.Guesses)))
		out.Fix = &finding.Variant{Name: said.Say("use the narrowed weights"), Patch: patch}
	}
	return out
}

// stood is the plan with the layout as it stood at the last reading; nil where
// it stands so now.
func stood(p *plan.Plan, q review.Request, l *plan.Layout) *plan.Plan {
	ids := plan.Ordered(l.Readings, func(x plan.LoadReading) int { return x.Order })
	for _, id := range slices.Backward(ids) {
		s := l.Readings[id].Stood
		if l.Is(s) {
			return nil
		}
		then := *p
		then.Outings = maps.Clone(p.Outings)
		o := then.Outings[q.Outing]
		o.Layouts = maps.Clone(o.Layouts)
		o.Layouts[q.Trailer] = plan.Layout{
			AxleAt:     s.AxleAt,
			Parts:      s.Parts,
			Placements: s.Placements,
			Readings:   l.Readings,
		}
		then.Outings[q.Outing] = o
		return &then
	}
	return nil
}

// disagree names the guess that cannot be true and by how much, or that the
// readings contradict each other.
func (s *Scales) disagree(r *rig.Rig, readings []statics.Reading) {
	s.Outcome = finding.Fails
	suspects := r.Beam.Suspects(readings)
	type suspect struct {
		term int
		off  float64
	}
	var list []suspect
	for i, want := range suspects {
		t := &r.Beam.Terms[i]
		gap := math.Max(want.Low-t.Amount.High, t.Amount.Low-want.High)
		list = append(list, suspect{i, gap / math.Max(1, t.Amount.Nominal)})
	}
	slices.SortFunc(list, func(a, b suspect) int {
		return cmp.Or(cmp.Compare(a.off, b.off), cmp.Compare(a.term, b.term))
	})
	if len(list) == 0 {
		s.Says = said.Say(
			"The readings contradict each other. Was the scale under the {jockey wheel}, the trailer not level, or a wheel on a slope?",
		)
		return
	}
	t, want := &r.Beam.Terms[list[0].term], suspects[list[0].term]
	name := said.Name(t.Name, "one weight")
	if want.High <= want.Low+0.5 {
		s.Says = said.Say(
			"% cannot be %: the scale says %.",
			name,
			said.Mass(t.Amount.Nominal),
			said.Mass(want.Nominal),
		)
	} else {
		s.Says = said.Say("% cannot be %: the scale says % to %.", name, said.Mass(t.Amount.Nominal), said.Mass(want.Low), said.Mass(want.High))
	}
	for _, x := range list[:min(3, len(list))] {
		t, want := &r.Beam.Terms[x.term], suspects[x.term]
		if patch := takeOver(r.Plan, t.Path, want); len(patch) > 0 {
			s.Suspect = append(
				s.Suspect,
				finding.Variant{
					Name:  said.Say("% weighs %", said.Name(t.Name, "it"), said.Between(quantity.KindMass, want)),
					Patch: patch,
				},
			)
		}
	}
}

// takeOver writes a narrowed amount where the plan states an estimate of it;
// readings of the empty trailer and what follows from a volume stay as they are.
func takeOver(p *plan.Plan, path string, amount quantity.Range[float64]) []finding.Op {
	last := path[strings.LastIndexByte(path, '/')+1:]
	switch last {
	case "mass", "front", "rear", "runningGear":
	default:
		return nil
	}
	round := func(v float64) float64 { return math.Round(v*10) / 10 }
	value := round((amount.Low + amount.High) / 2)
	half := quantity.Mass(math.Ceil((amount.High-amount.Low)/2*10) / 10)
	return []finding.Op{
		{
			Op:    "add",
			Path:  path,
			Value: plan.MassEstimate{Value: quantity.Mass(value), PlusMinus: &half, How: plan.Weighed},
		},
	}
}

// settles names the one further reading after which the ball window is settled
// whatever else is guessed, taking it to read what is expected within two per
// cent; nil where the window is settled already or no one reading does it.
func settles(r *rig.Rig, readings []statics.Reading) said.Sentence {
	low, high := balance.Margins(r, true)
	if low >= 0 && high >= 0 {
		return nil
	}
	if low, high = balance.Margins(r, false); low < 0 || high < 0 {
		return nil // it misses by the stated weights: move something first
	}
	try := func(more ...statics.Reading) bool {
		share, err := r.Beam.AgreeShare(append(slices.Clone(readings), more...))
		return err == nil && share.Low >= r.School.Low-1e-9 && share.High <= r.School.High+1e-9
	}
	if len(readings) > 0 && try() {
		return nil
	}
	for _, w := range plan.Whats[:3] {
		reading, name, ok := balance.Reading(r, &plan.LoadReading{What: w})
		if !ok {
			continue
		}
		n := r.Beam.Expect(reading).Nominal
		reading.Range = quantity.Range[float64]{Nominal: n, Low: n * 0.98, High: n * 1.02}
		if try(reading) {
			return append(said.Say("One more reading settles it: "), append(name, said.Piece{Text: "."})...)
		}
	}
	for _, g := range r.Beam.Guesses() {
		if g.Place {
			continue
		}
		known := *r
		known.Beam.Terms = slices.Clone(r.Beam.Terms)
		for i := range known.Beam.Terms {
			if t := &known.Beam.Terms[i]; t.Path == g.Path {
				t.Amount.Low, t.Amount.High = t.Amount.Nominal*0.98, t.Amount.Nominal*1.02
			}
		}
		if share, err := known.Beam.AgreeShare(readings); err == nil && share.Low >= r.School.Low &&
			share.High <= r.School.High {
			return said.Say("One more reading settles it: weigh %.", said.Name(g.Name, "it"))
		}
	}
	return said.Say("No one reading settles it: tape the positions too, and weigh the heaviest guess.")
}
