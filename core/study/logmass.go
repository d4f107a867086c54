package study

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/learn"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/rig"
)

// MassRow is a mass as the slips have it: of a load, or of the empty trailer.
type MassRow struct {
	Path  string          `json:"path"` // of the estimate in the plan
	Name  said.Piece      `json:"name"`
	Mean  finding.Measure `json:"mean"` // with its band of nine in ten
	Slips int             `json:"slips"`
	Says  said.Sentence   `json:"says"`
	Use   []finding.Op    `json:"use"`
	Used  []string        `json:"used"` // records of the slips behind it
	Out   []string        `json:"out"`
}

// massPrior is how far a mass may be off from what the plan has before a slip is read, share (practice, C).
const massPrior = 0.25

// massesOf learns the masses of loads that were weighed by slips, and of the trailer that stood alone on the bridge.
func (o *LogBook) massesOf(p *plan.Plan, trailer string, all records.All) {
	wrong := map[string]bool{}
	for _, s := range o.Slips {
		wrong[s.Record] = len(s.Wrong) > 0
	}
	loads, empty := map[string][]learn.Reading{}, []learn.Reading(nil)
	for _, id := range slices.Sorted(maps.Keys(all)) {
		rec := all[id]
		if rec.Slip == nil || rec.Trailer != trailer {
			continue
		}
		s := rec.Slip
		if s.Alone && s.Empty != nil && (s.Full == nil || !wrong[id]) {
			empty = append(empty, learn.Reading{ID: id, Value: float64(*s.Empty), Doubt: massDoubt})
		}
		if _, is := p.Loads[s.Load]; is && !wrong[id] && s.Full != nil && s.Empty != nil {
			loads[s.Load] = append(loads[s.Load],
				learn.Reading{ID: id, Value: float64(*s.Full - *s.Empty), Doubt: math.Sqrt2 * massDoubt})
		}
	}
	if r := rig.Resolve(p, trailer, ""); r != nil && len(empty) > 0 {
		o.massOf("/trailers/"+trailer+"/empty/mass", said.Piece{Text: "The empty trailer"}, r.EmptyMass(), 0, empty,
			p.Trailers[trailer].Empty.Mass)
	}
	for _, id := range slices.Sorted(maps.Keys(loads)) {
		var now *quantity.Range[float64]
		if m := p.Loads[id].Mass; m != nil {
			r := m.Range(p).Floats()
			now = &r
		}
		if e := p.Loads[id].Ends; e != nil && !e.One {
			continue // its ends were weighed: that counts before its weight
		}
		o.massOf(
			"/loads/"+id+"/mass",
			said.Name(p.Loads[id].Name, "A load"),
			now,
			ownScatter,
			loads[id],
			p.Loads[id].Mass,
		)
	}
}

// massOf narrows one by its slips; the prior is what the plan has, a quarter to each side at least. scatter is the thing's own, from
// one time to the next.
func (o *LogBook) massOf(
	path string,
	name said.Piece,
	now *quantity.Range[float64],
	scatter float64,
	readings []learn.Reading,
	have *plan.MassEstimate,
) {
	middle := 0.0
	for _, r := range readings {
		middle += r.Value / float64(len(readings))
	}
	prior := learn.Prior{Low: 0, High: 4 * middle}
	if now != nil && now.Nominal > 0 {
		prior.Low = math.Min(now.Low, (1-massPrior)*now.Nominal)
		prior.High = math.Max(now.High, (1+massPrior)*now.Nominal)
	}
	l := learn.Normal(prior, readings, scatter*middle)
	half := math.Hypot(l.High-l.Mean, band90*scatter*middle)
	value, doubt := math.Round(l.Mean), math.Ceil(half)
	row := MassRow{
		Path: path, Name: name, Slips: len(l.Used), Use: []finding.Op{}, Used: l.Used, Out: l.Out,
		Mean: *finding.Of(quantity.KindMass, quantity.Range[float64]{Low: l.Mean - half, Nominal: l.Mean, High: l.Mean + half}),
		Says: said.Say(
			"%: % by %, to within %.",
			name,
			said.Mass(value),
			said.Counted(len(l.Used), "slip", "slips"),
			said.Mass(doubt),
		),
	}
	if len(l.Out) > 0 {
		row.Says = append(
			row.Says,
			said.Say(" % not counted.", said.Counted(len(l.Out), "slip is", "slips are"))...)
	}
	if have == nil || math.Abs(float64(have.Value)-value) > 0.5 || have.How != plan.Learned || have.Slips != len(l.Used) {
		row.Use = append(row.Use, finding.Op{Op: "add", Path: path, Value: map[string]any{
			"value": value, "plusMinus": doubt, "how": string(plan.Learned), "slips": len(l.Used),
		}})
	}
	o.Masses = append(o.Masses, row)
}

// band90 is how many standard deviations nine in ten lie within.
const band90 = 1.6448536269514722

// offOf is what was read on a trip against what was computed: the ball, and what was filled up.
func offOf(k *rates, rec *records.Happened) (out said.Sentence) {
	t := rec.Trip
	if a, b := t.BallSaid, t.BallRead; a != nil && b != nil && *a > 0 {
		out = append(out, said.Say("On the ball %, expected %.", said.Mass(*b), said.Mass(*a))...)
	}
	if ratio, ok := k.filled(t); ok {
		way := "over"
		if ratio < 1 {
			way = "under"
		}
		if out != nil {
			out = append(out, said.Say(" ")...)
		}
		out = append(
			out,
			said.Say(
				"Fuel % "+way+" the sum.",
				said.Of(quantity.KindShare, math.Round(math.Abs(ratio-1)*100)/100),
			)...)
	}
	return out
}

// mileage names a trip whose mileage is less than an earlier one's.
func (o *LogBook) mileage(all records.All) {
	type at struct {
		row  *TripRow
		read float64
	}
	var rows []at
	for i := range o.Trips {
		if m := all[o.Trips[i].Record].Trip.Mileage; m != nil && o.Trips[i].On != "" {
			rows = append(rows, at{&o.Trips[i], float64(*m)})
		}
	}
	slices.SortStableFunc(rows, func(a, b at) int { return cmp.Compare(a.row.On, b.row.On) })
	for i := 1; i < len(rows); i++ {
		if rows[i].read < rows[i-1].read && rows[i].row.On > rows[i-1].row.On && len(rows[i].row.Warns) == 0 {
			rows[i].row.Warns = said.Say("The mileage runs backward: it was % on an earlier trip.",
				said.Of(quantity.KindDistance, rows[i-1].read))
		}
	}
}
