package workshop

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/rig"
)

// AsBuilt holds what was built against what was drawn.
type AsBuilt struct {
	Rows []BuiltRow    `json:"rows"`
	Says said.Sentence `json:"says"`
	Use  []finding.Op  `json:"use"` // puts every measured figure in the plan, as measured
}

// BuiltRow is a measure.
type BuiltRow struct {
	What   string           `json:"what"`
	Name   said.Sentence    `json:"name"`
	Record string           `json:"record"`
	Field  string           `json:"field"` // of the record's body: long or heavy
	Drawn  *finding.Measure `json:"drawn,omitempty"`
	Built  *finding.Measure `json:"built,omitempty"`
	Off    *finding.Measure `json:"off,omitempty"` // built less drawn
	InPlan bool             `json:"inPlan,omitempty"`
	Member bool             `json:"member,omitempty"` // of the frame: a member, or a hole or notch in one
	Plan   *float64         `json:"plan,omitempty"`   // what the plan has now
}

// builtField is a measure of the trailer with the plan's field that it replaces.
type builtField struct {
	what records.BuiltWhat
	name string
	path string
	of   func(t *plan.Trailer) *plan.LengthEstimate
}

var builtFields = []builtField{
	{
		records.BuiltAxle,
		"{Coupling} to axle",
		"couplingToAxle",
		func(t *plan.Trailer) *plan.LengthEstimate { return t.CouplingToAxle },
	},
	{
		records.BuiltDeckFront,
		"{Coupling} to the deck’s front",
		"couplingToDeck",
		func(t *plan.Trailer) *plan.LengthEstimate { return t.CouplingToDeck },
	},
	{
		records.BuiltDeckLength,
		"Deck length",
		"deckLength",
		func(t *plan.Trailer) *plan.LengthEstimate { return t.DeckLength },
	},
	{
		records.BuiltDeckWidth,
		"Deck width",
		"deckWidth",
		func(t *plan.Trailer) *plan.LengthEstimate { return t.DeckWidth },
	},
	{
		records.BuiltDeckHeight,
		"Deck height",
		"deckHeight",
		func(t *plan.Trailer) *plan.LengthEstimate { return t.DeckHeight },
	},
	{records.BuiltTrack, "Track", "track", func(t *plan.Trailer) *plan.LengthEstimate { return t.Track }},
}

// asBuiltDoubt is how far a measure of the finished thing may be off, m: read twice with a steel tape (practice, C).
const asBuiltDoubt = 0.002

// builtOf is the id of a measure's record.
func builtOf(trailer string, what string) string {
	return "built" + TickOf(trailer, what)[len("step"):]
}

// Built holds the measures of the finished trailer against the plan. What was measured replaces what was drawn once it is in
// the plan; what was drawn stays in the record.
func Built(r *rig.Rig, all records.All) *AsBuilt {
	out := &AsBuilt{Rows: []BuiltRow{}, Use: []finding.Op{}}
	if r == nil {
		return out
	}
	root := "/trailers/" + r.Scope.Trailer
	measured, off := 0, 0
	for _, f := range builtFields {
		row := BuiltRow{
			What: string(
				f.what,
			), Name: said.Say(f.name), Record: builtOf(r.Scope.Trailer, string(f.what)), Field: "long",
		}
		now := f.of(r.Trailer)
		if now != nil {
			v := float64(now.Value)
			row.Plan, row.Drawn = &v, finding.Exactly(quantity.KindLength, v)
		}
		rec := all[row.Record]
		if rec != nil && rec.Built != nil && rec.Built.Long != nil {
			b := float64(*rec.Built.Long)
			row.Built = finding.Exactly(quantity.KindLength, b)
			if d := rec.Built.DrawnLong; d != nil {
				row.Drawn = finding.Exactly(quantity.KindLength, *d)
			}
			row.InPlan = now != nil && math.Abs(float64(now.Value)-b) < 1e-6 && now.How == plan.Weighed
			if !row.InPlan {
				out.Use = append(out.Use, finding.Op{Op: "add", Path: root + "/" + f.path, Value: map[string]any{
					"value": b, "plusMinus": asBuiltDoubt, "how": string(plan.Weighed),
				}})
			}
			measured++
			if row.Drawn != nil {
				d := b - row.Drawn.Value
				row.Off = finding.Exactly(quantity.KindLength, d)
				if math.Abs(d) > asBuiltDoubt {
					off++
				}
			}
		}
		out.Rows = append(out.Rows, row)
	}
	for _, w := range []struct {
		what       records.BuiltWhat
		name, path string
		now        *float64
	}{
		{records.BuiltMass, "Empty weight", "empty/mass", emptyNow(r.Trailer)},
		{records.BuiltBall, "{Ball load}, empty", "empty/ball", ballNow(r.Trailer)},
	} {
		row := BuiltRow{
			What:   string(w.what),
			Name:   said.Say(w.name),
			Record: builtOf(r.Scope.Trailer, string(w.what)),
			Field:  "heavy",
			Plan:   w.now,
		}
		if w.now != nil {
			row.Drawn = finding.Exactly(quantity.KindMass, *w.now)
		} else if e := r.EmptyMass(); e != nil && w.what == records.BuiltMass {
			row.Drawn = finding.Of(quantity.KindMass, *e)
		}
		if rec := all[row.Record]; rec != nil && rec.Built != nil && rec.Built.Heavy != nil {
			b := float64(*rec.Built.Heavy)
			row.Built = finding.Exactly(quantity.KindMass, b)
			if d := rec.Built.DrawnHeavy; d != nil {
				row.Drawn = finding.Exactly(quantity.KindMass, *d)
			}
			row.InPlan = w.now != nil && math.Abs(*w.now-b) < 1e-6
			if !row.InPlan {
				value := map[string]any{"value": b, "how": string(plan.Weighed)}
				if w.what == records.BuiltBall {
					value = map[string]any{"mass": b}
				}
				out.Use = append(out.Use, finding.Op{Op: "add", Path: root + "/" + w.path, Value: value})
			}
			measured++
			if row.Drawn != nil {
				row.Off = finding.Exactly(quantity.KindMass, b-row.Drawn.Value)
			}
		}
		out.Rows = append(out.Rows, row)
	}
	m, o := out.frame(r, all)
	measured, off = measured+m, off+o
	switch {
	case measured == 0:
		out.Says = said.Say("Nothing is measured on the finished trailer yet.")
	case off > 0:
		out.Says = said.Say("% measured, and % differ from the drawing by more than the tape can explain.",
			said.Counted(measured, "figure", "figures"), said.Counted(off, "length", "lengths"))
	default:
		out.Says = said.Say("% measured; the lengths are as drawn.", said.Counted(measured, "figure", "figures"))
	}
	if len(out.Use) > 0 {
		out.Says = append(out.Says, said.Say(" % not in the plan yet.", said.Counted(len(out.Use), "is", "are"))...)
	}
	return out
}

func emptyNow(t *plan.Trailer) *float64 {
	if m := t.Empty.Mass; m != nil {
		v := float64(m.Value)
		return &v
	}
	return nil
}

func ballNow(t *plan.Trailer) *float64 {
	if b := t.Empty.Ball; b != nil {
		v := float64(b.Mass)
		return &v
	}
	return nil
}

// SnagList is what is still to be put right, what stops the trailer first.
type SnagList struct {
	Rows  []SnagRow     `json:"rows"`
	Open  int           `json:"open"`
	Stops int           `json:"stops"`
	Says  said.Sentence `json:"says"`
}

// SnagRow is a snag.
type SnagRow struct {
	Record string     `json:"record"`
	Says   said.Piece `json:"says"`
	Done   bool       `json:"done,omitempty"`
	Stops  bool       `json:"stops,omitempty"`
}

// Snags are a trailer's snags: open ones that stop it, other open ones by their day, then those that are done.
func Snags(r *rig.Rig, all records.All) *SnagList {
	out := &SnagList{Rows: []SnagRow{}}
	if r == nil {
		return out
	}
	due := map[string]string{}
	for _, id := range slices.Sorted(maps.Keys(all)) {
		rec := all[id]
		if rec.Kind != records.KindSnag || rec.Trailer != r.Scope.Trailer || rec.Snag == nil {
			continue
		}
		s := rec.Snag
		out.Rows = append(out.Rows, SnagRow{id, said.Name(s.Says, "a snag"), s.Done, s.Stops})
		due[id] = cmp.Or(s.Due, "9999")
		if !s.Done {
			out.Open++
			if s.Stops {
				out.Stops++
			}
		}
	}
	rank := func(s *SnagRow) int {
		switch {
		case s.Done:
			return 2
		case s.Stops:
			return 0
		}
		return 1
	}
	slices.SortStableFunc(out.Rows, func(a, b SnagRow) int {
		return cmp.Or(
			cmp.Compare(rank(&a), rank(&b)),
			cmp.Compare(due[a.Record], due[b.Record]),
			cmp.Compare(a.Record, b.Record),
		)
	})
	switch {
	case len(out.Rows) == 0:
		out.Says = said.Say("No snags noted.")
	case out.Open == 0:
		out.Says = said.Say("All % are fixed.", said.Counted(len(out.Rows), "snag", "snags"))
	case out.Stops > 0:
		out.Says = said.Say(
			"% open, % before it is driven.",
			said.Counted(out.Open, "snag", "snags"),
			said.Count(out.Stops),
		)
	default:
		out.Says = said.Say("% open, none that stops it.", said.Counted(out.Open, "snag", "snags"))
	}
	return out
}
