package towing

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Fill is how far a bed may be filled with loose material before the first
// rating is full: docs/method/bulk.md.
type Fill struct {
	Load    string           `json:"load"` // path
	Name    string           `json:"name"`
	Mass    *finding.Measure `json:"mass"`    // as planned
	Volume  *finding.Measure `json:"volume"`  // as planned
	Allowed *finding.Measure `json:"allowed"` // kg; of what a loader drops in one place, once it is raked level
	By      said.Sentence    `json:"by"`      // the rating that rules
	Dry     FillLine         `json:"dry"`
	Wet     FillLine         `json:"wet"`
	Side    float64          `json:"side"`   // height of the sides, m
	Level   *finding.Measure `json:"level"`  // kg, level with the sides, from dry to wet
	Spills  float64          `json:"spills"` // m³ that find no room
	Open    bool             `json:"open"`   // ratings that are not known yet may allow less
}

// FillLine is the line up to which one may fill.
type FillLine struct {
	Depth  float64 `json:"depth"`  // m above the deck; above the sides it is the heap's
	Volume float64 `json:"volume"` // m³
	Trips  int     `json:"trips"`  // for the whole heap; 0: not asked
	Full   bool    `json:"full"`   // the bed is full before a rating is
}

// fills judges every load of loose material.
func fills(r *rig.Rig, all []*link) (out []Fill, fs []finding.Finding) {
	own, open := told(r, all)
	for i := range r.Items {
		it := &r.Items[i]
		if it.Lot == nil || it.Load.Bulk == nil || it.Lot.Mass == nil || it.Lot.Volume.Nominal <= 0 {
			continue
		}
		b := it.Load.Bulk
		m, ok := goods.StuffOf(r.Plan, b)
		left, ruling, known := room(r, all, it.X, likely)
		if !ok || !known {
			continue
		}
		now := math.Max(0, it.Lot.Mass.Nominal+left) // where it lies
		allowed := now
		foot := goods.Footprint(it.Load, r.Bed())
		if b.By == plan.ByScoops { // the depth is that of the bed, so the room is asked there too
			if at, by, ok := leveled(r, it, foot); ok {
				allowed, ruling = at, by
			}
		}
		fill := Fill{
			Load:   it.Path,
			Name:   it.Name,
			Mass:   finding.Of(quantity.KindMass, *it.Lot.Mass),
			Volume: finding.Of(quantity.KindVolume, it.Lot.Volume),
			Allowed: finding.Exactly(
				quantity.KindMass,
				allowed,
			),
			By:     ruling.name,
			Side:   foot.Side,
			Spills: it.Lot.Spills,
			Open:   open,
		}
		slope := goods.Tan((m.ReposeLow + m.ReposeHigh) / 2)
		line := func(density float64) FillLine {
			box := foot.Length * foot.Width * foot.Side
			most := box + goods.HeapVolume(
				foot.Length,
				foot.Width,
				slope,
				goods.PeakHeight(foot.Length, foot.Width, slope),
			)
			l := FillLine{Volume: allowed / density}
			if l.Volume > most {
				l.Volume, l.Full = most, true
			}
			if area := foot.Length * foot.Width; area > 0 {
				if l.Volume <= box {
					l.Depth = l.Volume / area
				} else {
					h, _ := goods.HeapHeight(foot.Length, foot.Width, slope, l.Volume-box)
					l.Depth = foot.Side + h
				}
			}
			if it.Shape != "heap" { // bags have no depth
				l.Depth = 0
			}
			if b.Heap != nil && l.Volume > 0 {
				l.Trips = int(math.Ceil(float64(b.Heap.Value)/l.Volume - 1e-9))
			}
			return l
		}
		// The heavy end of each: to the line it holds whatever the pile.
		fill.Dry, fill.Wet = line(m.DryHigh), line(m.WetHigh)
		if foot.Side > 0 {
			low, high := m.Material.Density()
			v := foot.Length * foot.Width * foot.Side
			fill.Level = finding.Of(
				quantity.KindMass,
				span{Nominal: v * (low + high) / 2, Low: v * low, High: v * high},
			)
		}
		out = append(out, fill)
		f := fillFinding(r, it, &fill, &m, now, own, all)
		if over, by, _ := room(r, all, it.X, heavy); f.Outcome == finding.Holds && over < 0 {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = slices.Concat(f.Says, said.Say(" By the guesses a rating may already be reached: "), by.name, said.Say("."))
		}
		fs = append(fs, f)
	}
	return out, fs
}

// leveled is what may go of a load that a loader drops in one place once it is raked level
// over its bed, and the rating that rules: the rig is resolved again with it so laid, since
// both supports and sides bear otherwise then.
func leveled(r *rig.Rig, it *rig.Item, foot goods.Bed) (allowed float64, ruling *link, ok bool) {
	p := *r.Plan
	p.Loads, p.Outings = maps.Clone(p.Loads), maps.Clone(p.Outings)
	l := p.Loads[it.ID]
	bulk := *l.Bulk
	exact := quantity.Volume(0)
	bulk.By, bulk.Count, bulk.Volume = plan.ByVolume, nil, &plan.VolumeEstimate{
		Value:     quantity.Volume(it.Lot.Volume.Nominal),
		PlusMinus: &exact,
		How:       plan.Weighed,
	}
	l.Bulk = &bulk
	p.Loads[it.ID] = l
	o := *r.Outing
	layout := *r.Layout
	layout.Placements = maps.Clone(layout.Placements)
	pl := layout.Placements[it.ID]
	if foot.Length == r.DeckLength() {
		pl.At.Back = 0
	}
	if foot.Width == r.DeckWidth() {
		pl.At.Right = 0
	}
	layout.Placements[it.ID] = pl
	o.Layouts = maps.Clone(o.Layouts)
	o.Layouts[r.Scope.Trailer] = layout
	p.Outings[r.Scope.Outing] = o
	on := rig.Resolve(&p, r.Scope.Trailer, r.Scope.Outing)
	for i := range on.Items {
		q := &on.Items[i]
		if q.Part || q.ID != it.ID || q.Lot == nil || q.Lot.Mass == nil {
			continue
		}
		left, by, known := room(on, links(on), q.X, likely)
		return math.Max(0, q.Lot.Mass.Nominal+left), by, known
	}
	return 0, nil, false
}

func fillFinding(
	r *rig.Rig,
	it *rig.Item,
	fill *Fill,
	m *goods.Stuff,
	allowed float64,
	own bool,
	all []*link,
) finding.Finding {
	f := finding.Finding{
		Code:    CodeFill,
		Stage:   "job",
		Scope:   r.Scope,
		Gate:    finding.GateGo,
		Subject: it.Path,
		Title:   said.Say("%", said.Name(it.Name, "Loose material")),
		Figure:  fill.Mass,
		Limit:   finding.Exactly(quantity.KindMass, allowed),
		Source:  &catalogue.MaterialSource,
	}
	name := said.Name(it.Name, "Loose material")
	f.Outcome, f.Tight = finding.Under(*it.Lot.Mass, allowed, Reserve)
	line := fill.Wet
	wetter := "wet"
	if it.Load.Bulk.Wet == plan.Dry {
		line, wetter = fill.Dry, "dry"
	}
	if allowed > 0 {
		margin := (allowed - it.Lot.Mass.Nominal) / allowed
		f.Margin = &margin
	}
	if !own && f.Outcome != finding.Fails {
		// The other ratings bound it; the trailer's own may allow less.
		f.Outcome, f.Tight, f.Margin = finding.Unknown, "", nil
		f.Needs = []finding.Need{{Path: all[0].path, Says: all[0].name, Where: all[0].where}}
		f.Says = said.Say(
			"How much of % can go on is not known: enter the trailer's rating. The others limit it to %.",
			name,
			said.Mass(allowed),
		)
		return f
	}
	upTo := said.Say("Fill to %, "+wetter+".", said.Length(line.Depth))
	switch {
	case it.Shape != "heap":
		upTo = nil
	case it.Load.Bulk.By == plan.ByScoops:
		upTo = said.Say(
			"Raked level, % can go on: fill to %, "+wetter+".",
			said.Mass(fill.Allowed.Value),
			said.Length(line.Depth),
		)
	}
	switch {
	case allowed <= 0:
		f.Outcome, f.Tight = finding.Fails, ""
		f.Says = said.Say("No room for %: the rest is already over.", name)
	case f.Outcome == finding.Fails:
		f.Says = append(
			said.Say("% weighs %, and % can go on. ", name, said.Mass(it.Lot.Mass.Nominal), said.Mass(allowed)),
			upTo...)
	case f.Tight == finding.GuessTooRough:
		f.Says = append(
			said.Say(
				"% may weigh % when "+heavier(it)+", % may go. ",
				name,
				said.Mass(it.Lot.Mass.High),
				said.Mass(allowed),
			),
			upTo...)
	default:
		f.Says = append(
			said.Say("%: % of the % that can go on. ", name, said.Mass(it.Lot.Mass.Nominal), said.Mass(allowed)),
			upTo...)
		if line.Full {
			f.Says = said.Say("%: % even heaped, and % can go on.", name, said.Mass(it.Lot.Mass.High), said.Mass(allowed))
		}
	}
	if line.Trips > 1 {
		f.Says = append(f.Says, said.Say(" The whole heap takes % trips.", said.Count(line.Trips))...)
	}
	if fill.Open {
		f.Says = append(f.Says, said.Piece{Text: " Ratings not known yet may allow less."})
	}
	if fill.Spills > 1e-6 {
		f.Says = append(f.Says, said.Say(" % will not stay on.", said.Of(quantity.KindVolume, fill.Spills))...)
	}
	f.HasWork, f.Work = true, func() []finding.Step { return fillSteps(it, fill, m, allowed) }
	return f
}

func heavier(it *rig.Item) string {
	if it.Load.Bulk.Wet == "" {
		return "wet"
	}
	return "dense"
}

func fillSteps(it *rig.Item, fill *Fill, m *goods.Stuff, allowed float64) []finding.Step {
	return []finding.Step{
		{
			Symbol:  "m",
			Says:    said.Say("as planned"),
			Formula: "m = V·ρ",
			Result:  fill.Mass,
			Source:  &catalogue.MaterialSource,
			Terms: []finding.StepTerm{
				{
					Symbol:  "V",
					Says:    said.Say("volume"),
					Measure: fill.Volume,
					How:     string(it.Lot.How),
					Path:    it.Path + "/bulk",
				},
				{
					Symbol:  "ρ",
					Says:    said.Say("density of %", said.Piece{Text: m.Name}),
					Measure: finding.Of(quantity.KindDensity, m.Lies),
					How:     string(m.How),
					Path:    m.Path,
				}},
		},
		{
			Symbol:  "m_max",
			Says:    said.Say("what may go there until the first rating is full"),
			Formula: "m_max = m + min of what the ratings leave",
			Result:  finding.Exactly(quantity.KindMass, allowed),
			Terms: []finding.StepTerm{
				{
					Symbol:  "first",
					Says:    fill.By,
					Measure: finding.Exactly(quantity.KindMass, allowed-it.Lot.Mass.Nominal),
					How:     "computed",
				},
			},
		},
		{
			Symbol:  "h",
			Says:    said.Say("depth, from dry to wet"),
			Formula: "h = m_max / (ρ·A) up to the sides, then a heap at the angle of repose",
			Result: finding.Of(
				quantity.KindLength,
				span{Nominal: fill.Wet.Depth, Low: fill.Wet.Depth, High: fill.Dry.Depth},
			),
			Terms: []finding.StepTerm{
				{
					Symbol:  "ρ_dry",
					Says:    said.Say("heaviest dry"),
					Measure: finding.Exactly(quantity.KindDensity, m.DryHigh),
					How:     string(plan.Typical),
				},
				{
					Symbol:  "ρ_wet",
					Says:    said.Say("heaviest wet"),
					Measure: finding.Exactly(quantity.KindDensity, m.WetHigh),
					How:     string(plan.Typical),
				}},
		},
	}
}

// FillLayer draws the fill lines on the side view, with one word over both.
func FillLayer(r *rig.Rig, fills []Fill) (out []scene.Shape) {
	_, tail := r.Deck()
	for i := range r.Items {
		it := &r.Items[i]
		for k := range fills {
			f := &fills[k]
			if f.Load != it.Path {
				continue
			}
			if it.Shape != "heap" {
				continue
			}
			dry, wet := -(it.Bottom + f.Dry.Depth), -(it.Bottom + f.Wet.Depth)
			out = append(
				out,
				scene.Line("fill-line fill-dry", it.Front-0.05, dry, it.Rear+0.05, dry),
				scene.Line("fill-line fill-wet", it.Front-0.05, wet, it.Rear+0.05, wet),
				scene.Label(
					"fill-label",
					"end",
					tail+0.2,
					min(dry, -it.Top)-0.13,
					said.Say("dry to %, wet to %", said.Length(f.Dry.Depth), said.Length(f.Wet.Depth)),
				),
			)
		}
	}
	return out
}
