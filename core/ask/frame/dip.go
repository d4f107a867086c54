package frame

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/rig"
)

// Codes of the zinc bath.
const (
	CodeVents = "frame.vents"
	CodeBath  = "frame.bath"
)

// Dip is what the zinc bath and the rain ask of a frame.
type Dip struct {
	Dipped bool            `json:"dipped"`
	Area   finding.Measure `json:"area"` // m², that zinc covers
	Zinc   finding.Measure `json:"zinc"` // kg
	Rows   []DipRow        `json:"rows"` // closed members, those that need something first
	Laps   []said.Sentence `json:"laps,omitempty"`
	Long   finding.Measure `json:"long"` // as it goes into the bath
	Wide   finding.Measure `json:"wide"`
	Deep   finding.Measure `json:"deep"`
}

// DipRow is a closed member with what it needs.
type DipRow struct {
	Path   string          `json:"path"`
	Name   string          `json:"name"`
	Mark   string          `json:"mark"`
	Bursts bool            `json:"bursts,omitempty"` // an end has no way out
	Small  bool            `json:"small,omitempty"`  // its holes are too small
	Stands bool            `json:"stands,omitempty"` // water that gets in stays
	Wants  finding.Measure `json:"wants"`            // diameter of a pair of holes, m
	Says   said.Sentence   `json:"says"`
}

// dip is what the panel shows.
func dip(r *rig.Rig) *Dip {
	bars := r.Drawn.Bars
	touches := parts.FrameTouches(bars)
	ends := parts.FrameEnds(bars, touches)
	marks := parts.Marks(bars)
	area, zinc := parts.Galvanised(bars)
	out := &Dip{
		Dipped: r.Trailer.Frame.Dipped, Rows: []DipRow{},
		Area: *finding.Exactly(quantity.KindArea, area), Zinc: *finding.Exactly(quantity.KindMass, zinc),
	}
	for _, v := range parts.Volumes(bars, ends) {
		b := &bars[v.Bar]
		row := DipRow{
			Path: "/trailers/" + r.Scope.Trailer + "/frame/members/" + b.ID, Name: b.Member.Name, Mark: marks[v.Bar],
			Stands: v.Wet && !v.Drain,
		}
		pair, ok := norms.Vent((b.High+b.Wide)/2, 2)
		if !ok {
			pair, _ = norms.Vent((b.High+b.Wide)/2, 1)
		}
		row.Wants = *finding.Exactly(quantity.KindLength, pair)
		for e := range v.Ends {
			row.Bursts = row.Bursts || !v.Ends[e].Open && v.Ends[e].Holes == 0
			row.Small = row.Small || !v.Ends[e].Vented() && v.Ends[e].Holes > 0
		}
		switch {
		case row.Bursts && (v.Ends[0].Open || v.Ends[0].Holes > 0 || v.Ends[1].Open || v.Ends[1].Holes > 0):
			row.Says = said.Say(
				"shut at one end: gas is trapped and zinc does not reach it. Drill holes of % there.",
				said.Length(pair),
			)
		case row.Bursts:
			row.Says = said.Say("shut: it can burst in the bath. Drill holes of % at both ends.", said.Length(pair))
		case row.Small:
			row.Says = said.Say("its holes are too small: % in a pair.", said.Length(pair))
		case row.Stands:
			row.Says = said.Say("rain collects in it: drill a hole in the underside, or fit caps.")
		default:
			row.Says = said.Say("open at both ends.")
		}
		out.Rows = append(out.Rows, row)
	}
	rank := func(r *DipRow) int {
		switch {
		case r.Bursts:
			return 0
		case r.Small:
			return 1
		case r.Stands:
			return 2
		}
		return 3
	}
	slices.SortStableFunc(out.Rows, func(a, b DipRow) int { return rank(&a) - rank(&b) })
	for _, l := range parts.Laps(bars, touches, ends) {
		if l.Area < norms.Overlap {
			break
		}
		out.Laps = append(out.Laps, said.Say(
			"% and % lie against each other over %: drill through one of them there, or leave the weld open on one side.",
			said.Name(bars[l.A].Member.Name, "a member"),
			said.Name(bars[l.B].Member.Name, "a member"),
			said.Of(quantity.KindArea, l.Area),
		))
	}
	long, wide, deep := reach(bars)
	out.Long, out.Wide = *finding.Exactly(quantity.KindLength, long), *finding.Exactly(quantity.KindLength, wide)
	out.Deep = *finding.Exactly(quantity.KindLength, deep)
	return out
}

// reach is the frame's box, m.
func reach(bars []parts.FrameBar) (long, wide, deep float64) {
	low, high := [3]float64{}, [3]float64{}
	for k := range 3 {
		low[k], high[k] = math.Inf(1), math.Inf(-1)
	}
	for i := range bars {
		b := &bars[i]
		for _, end := range [2]vec{b.From, b.To} {
			at := [3]float64{end.X, end.Y, end.Z}
			y, z := [3]float64{
				b.Axes[1].X,
				b.Axes[1].Y,
				b.Axes[1].Z,
			}, [3]float64{
				b.Axes[2].X,
				b.Axes[2].Y,
				b.Axes[2].Z,
			}
			for k := range 3 {
				half := math.Abs(y[k])*b.Wide/2 + math.Abs(z[k])*b.High/2
				low[k], high[k] = math.Min(low[k], at[k]-half), math.Max(high[k], at[k]+half)
			}
		}
	}
	if !(high[0] >= low[0]) {
		return 0, 0, 0
	}
	return high[0] - low[0], high[1] - low[1], high[2] - low[2]
}

// dipped judges a frame that goes to the zinc bath: every closed section vented at both ends, nothing in it
// that is not steel, and the bath as large as the frame.
func dipped(r *rig.Rig) []finding.Finding {
	t := r.Trailer.Frame
	if !t.Dipped {
		return nil
	}
	f := base(r, CodeVents, "Vents for the zinc bath")
	f.Source = &norms.VentSource
	d := dip(r)
	for i := range r.Drawn.Bars {
		if b := &r.Drawn.Bars[i]; b.Stock.Density < 7000 {
			f.Outcome = finding.Fails
			f.Subject += "/members/" + b.ID
			f.Says = said.Say("% is of %: it does not go into the bath. Bolt it on afterwards.",
				said.Name(b.Member.Name, "A member"), said.Piece{Text: b.Stock.Name})
			return []finding.Finding{f, bath(r, d)}
		}
	}
	burst, small := 0, 0
	for _, row := range d.Rows {
		switch {
		case row.Bursts:
			burst++
		case row.Small:
			small++
		}
	}
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindCount,
		float64(burst+small),
	), finding.Exactly(
		quantity.KindCount,
		0.0,
	)
	if len(d.Rows) > 0 {
		f.Subject = d.Rows[0].Path
	}
	switch {
	case burst > 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"% has a closed end: in the bath it can burst. Drill a pair of holes of % close to each closed end, at opposite corners.",
			said.Name(d.Rows[0].Name, "A member"),
			said.Length(d.Rows[0].Wants.Value),
		)
		if burst > 1 {
			f.Says = append(f.Says, said.Say(" So do % more.", said.Count(burst-1))...)
		}
	case small > 0:
		f.Outcome = finding.Fails
		f.Says = said.Say("The holes in % are too small to vent it: they need to be %, in a pair.",
			said.Name(d.Rows[0].Name, "a member"), said.Length(d.Rows[0].Wants.Value))
	default:
		f.Says = said.Say(
			"Every closed member is open or vented at both ends. Show it to the galvaniser before you weld it shut.",
		)
	}
	return []finding.Finding{f, bath(r, d)}
}

// bath holds the frame against the bath.
func bath(r *rig.Rig, d *Dip) finding.Finding {
	f := base(r, CodeBath, "Size of the bath")
	f.Source = &practice
	t := r.Trailer.Frame
	for _, need := range []struct {
		of   *quantity.Length
		path string
		says string
	}{
		{t.BathLong, "bathLong", "the length of the bath"}, {t.BathWide, "bathWide", "the width of the bath"},
		{t.BathDeep, "bathDeep", "the depth of the bath"},
	} {
		if need.of == nil {
			f.Outcome, f.Subject = finding.Unknown, f.Subject+"/"+need.path
			f.Says = said.Say("Whether the frame, % long and % wide, fits the bath is not known.",
				said.Length(d.Long.Value), said.Length(d.Wide.Value))
			f.Needs = []finding.Need{{
				Path: f.Subject, Says: said.Say(need.says), Where: said.Say("Ask the galvaniser, and for the greatest weight too."),
			}}
			return f
		}
	}
	// flat, or on its side: the length stays along the bath
	sides := [2]float64{d.Wide.Value, d.Deep.Value}
	wide, deep := float64(*t.BathWide), float64(*t.BathDeep)
	over := math.Min(math.Max(sides[0]-wide, sides[1]-deep), math.Max(sides[1]-wide, sides[0]-deep))
	over = math.Max(over, d.Long.Value-float64(*t.BathLong))
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		d.Long.Value,
	), finding.Exactly(
		quantity.KindLength,
		float64(*t.BathLong),
	)
	if over > 0 {
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"The frame is % by % by %, too large for the bath by %. Ask about dipping it in two goes, or bolt the {drawbar} on.",
			said.Length(d.Long.Value),
			said.Length(d.Wide.Value),
			said.Length(d.Deep.Value),
			said.Length(over),
		)
		return f
	}
	f.Says = said.Say(
		"The frame, % by % by %, fits the bath.",
		said.Length(d.Long.Value),
		said.Length(d.Wide.Value),
		said.Length(d.Deep.Value),
	)
	return f
}
