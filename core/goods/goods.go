// Package goods tells what a load comes to that is not a single thing: loose
// material in a bed, fluid in a tank, sheets and boards in a pack. Its formulas
// stand in docs/method/bulk.md.
package goods

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/vessel"
)

type span = quantity.Range[float64]

// Bed is the inside of the box that loose material lies in, m. Side zero is a
// flat deck.
type Bed struct{ Length, Width, Side float64 }

// Lot is what a load of goods comes to.
type Lot struct {
	Mass                  *span // nil: see Needs
	How                   plan.How
	Length, Width, Height float64 // m; zero: not known from here
	Shape                 string
	Contents              *Contents // a tank's fluid, apart from the tank
	Volume                span      // m³, of loose material
	Spills                float64   // m³ that find no room in the bed
	Needs                 []finding.Need
}

// Contents is the fluid in a tank.
type Contents struct {
	Name   string
	Mass   span
	Full   span // of the full tank
	Volume span // m³, as full as it is
	Fill   float64
	Vessel *vessel.Tank // as its outer sizes say; nil where they are not stated
}

// vesselOf is a tank's shape in its outer sizes; nil where they are not stated or make none.
func vesselOf(l *plan.Load) *vessel.Tank {
	s, t := l.Size, l.Tank
	if s.Length == nil || s.Width == nil || s.Height == nil {
		return nil
	}
	v := &vessel.Tank{
		Kind: vessels[t.Shape], Baffles: t.Baffles,
		Long: float64(s.Length.Value), Wide: float64(s.Width.Value), High: float64(s.Height.Value),
	}
	if t.TunnelWide != nil && t.TunnelHigh != nil {
		v.TunnelWide, v.TunnelHigh = float64(*t.TunnelWide), float64(*t.TunnelHigh)
	}
	if !v.OK() {
		return nil
	}
	return v
}

var vessels = map[plan.TankShape]vessel.Kind{
	plan.TankUpright: vessel.Upright, plan.TankAlong: vessel.Along, plan.TankAcross: vessel.Across, plan.TankSaddle: vessel.Saddle,
}

// Of tells what the load comes to, lying in the bed. It returns nil for a load
// that is a single thing.
func Of(p *plan.Plan, path string, l *plan.Load, bed Bed) *Lot {
	switch {
	case l.Bulk != nil:
		return bulk(p, path, l, bed)
	case l.Tank != nil:
		return tank(p, path, l)
	case l.Pieces != nil:
		return pieces(path, l)
	}
	return nil
}

func need(path string, says, where string) finding.Need {
	return finding.Need{Path: path, Says: said.Say(says), Where: said.Say(where)}
}

// Density is the range of a material's density as it lies, kg/m³: from dry to
// wet where that is not known.
func Density(m *catalogue.Material, w plan.Wet) span {
	low, high := m.Density()
	switch w {
	case plan.Dry:
		low, high = m.DryLow, m.DryHigh
	case plan.Soaked:
		low, high = m.WetLow, m.WetHigh
	}
	return span{Nominal: (low + high) / 2, Low: low, High: high}
}

// Footprint is what loose material lies in: the whole bed within its sides, or
// a smaller part of it where the load's size says so. That part has the load's
// own height as its sides, a box on the deck; without one it lies free.
func Footprint(l *plan.Load, bed Bed) Bed {
	const touches = 0.05 // m: nearer than that, it leans on the bed's own sides
	foot := bed
	if e := l.Size.Length; e != nil {
		foot.Length = min(bed.Length, float64(e.Value))
	}
	if e := l.Size.Width; e != nil {
		foot.Width = min(bed.Width, float64(e.Value))
	}
	if bed.Length-foot.Length > touches || bed.Width-foot.Width > touches {
		foot.Side = 0
		if e := l.Size.Height; e != nil {
			foot.Side = float64(e.Value)
		}
	}
	return foot
}

func bulk(p *plan.Plan, path string, l *plan.Load, bed Bed) *Lot {
	b := l.Bulk
	lot := &Lot{How: plan.Typical, Shape: "heap"}
	m, ok := StuffOf(p, b)
	lot.How = m.How
	if !ok {
		lot.Needs = append(
			lot.Needs,
			need(
				path+"/bulk/material",
				"which material it is",
				"Choose the nearest; its range shows how little is known.",
			),
		)
	}
	density := m.Lies
	foot := Footprint(l, bed)
	slope := Tan((m.ReposeLow + m.ReposeHigh) / 2)
	missing := func(field, says string) *Lot {
		lot.Needs = append(lot.Needs, need(path+"/bulk/"+field, says, "Read the delivery note, or tape the heap."))
		return lot
	}
	times := func(v span, n float64) span { return span{Nominal: v.Nominal * n, Low: v.Low * n, High: v.High * n} }
	count := 0.0
	if b.Count != nil {
		count = *b.Count
	}
	switch b.By {
	case plan.ByMass, plan.ByBags:
		amount := l.Mass
		n := 1.0
		if b.By == plan.ByBags {
			amount, n = b.Each, count
			if b.Count == nil {
				return missing("count", "how many bags")
			}
		}
		if amount == nil {
			if b.By == plan.ByBags {
				return missing("each", "the weight of a bag")
			}
			lot.Needs = append(
				lot.Needs,
				need(path+"/mass", "the weight of the load", "It is on the delivery note."),
			)
			return lot
		}
		mass := times(amount.Range(p).Floats(), n)
		lot.Mass, lot.How = &mass, amount.How
		if ok {
			lot.Volume = span{
				Nominal: mass.Nominal / density.Nominal,
				Low:     mass.Low / density.High,
				High:    mass.High / density.Low,
			}
		}
	case plan.ByLevel, plan.ByHeaped:
		if foot.Length <= 0 || foot.Width <= 0 || b.By == plan.ByLevel && foot.Side <= 0 {
			return missing("by", "the bed's length, width and sides")
		}
		lot.Volume = quantity.Exactly(foot.Length * foot.Width * foot.Side)
		if b.By == plan.ByHeaped {
			top := func(degrees float64) float64 {
				t := Tan(degrees)
				return HeapVolume(foot.Length, foot.Width, t, PeakHeight(foot.Length, foot.Width, t))
			}
			low, high := top(m.ReposeLow), top(m.ReposeHigh)
			lot.Volume = span{
				Nominal: lot.Volume.Nominal + top((m.ReposeLow+m.ReposeHigh)/2),
				Low:     lot.Volume.Low + low,
				High:    lot.Volume.High + high,
			}
		}
	default:
		if b.Volume == nil {
			return missing("volume", "its volume")
		}
		lot.Volume = b.Volume.Range()
		if b.By == plan.ByScoops || b.By == plan.ByBulkBags {
			if b.Count == nil {
				return missing("count", "how many")
			}
			lot.Volume = times(lot.Volume, count)
		}
	}
	if lot.Mass == nil && ok {
		v := lot.Volume
		lot.Mass = &span{
			Nominal: v.Nominal * density.Nominal,
			Low:     v.Low * density.Low,
			High:    v.High * density.High,
		}
	}
	if lot.Mass != nil && len(lot.Needs) > 0 && b.By != plan.ByMass && b.By != plan.ByBags {
		lot.Mass = nil
	}
	lot.shape(b, foot, slope, count)
	return lot
}

// shape tells how loose material lies: in a box, level, heaped or in a cone.
func (lot *Lot) shape(b *plan.Bulk, foot Bed, slope, count float64) {
	v := lot.Volume.Nominal
	switch {
	case v <= 0:
		return
	case b.By == plan.ByBags:
		lot.Shape = "box"
		lot.Length, lot.Width = 1.2, 0.8
		lot.Height = v / (lot.Length * lot.Width)
	case b.By == plan.ByBulkBags:
		lot.Shape = "box"
		side := math.Cbrt(v / math.Max(1, count))
		lot.Length, lot.Width, lot.Height = side*math.Max(1, math.Ceil(count)), side, side
	case b.By == plan.ByScoops && slope > 0:
		lot.Height, lot.Length = Cone(foot.Width, slope, v)
		lot.Width = min(foot.Width, lot.Length)
		if lot.Length > foot.Length && foot.Length > 0 { // it reaches both ends: the bed holds it
			lot.level(foot, slope, v)
		}
	default:
		lot.level(foot, slope, v)
	}
}

// level lays a volume in a bed: level up to the sides, then heaped on top.
func (lot *Lot) level(foot Bed, slope, v float64) {
	if foot.Length <= 0 || foot.Width <= 0 {
		return
	}
	lot.Length, lot.Width = foot.Length, foot.Width
	box := foot.Length * foot.Width * foot.Side
	if v <= box {
		lot.Height = v / (foot.Length * foot.Width)
		return
	}
	h := 0.0
	if slope > 0 {
		h, lot.Spills = HeapHeight(foot.Length, foot.Width, slope, v-box)
	}
	lot.Height = foot.Side + h
}

func tank(p *plan.Plan, path string, l *plan.Load) *Lot {
	t := l.Tank
	lot := &Lot{How: plan.Typical, Shape: "box"}
	f, ok := catalogue.FluidOf(t.Fluid)
	if !ok {
		lot.Needs = append(lot.Needs, need(path+"/tank/fluid", "what is in the tank", "Choose the nearest."))
	}
	if t.Fill == nil {
		lot.Needs = append(
			lot.Needs,
			need(path+"/tank/fill", "how full the tank is", "Look at its gauge or through its wall."),
		)
	}
	var v span
	shape := vesselOf(l)
	switch {
	case t.Capacity != nil:
		v = t.Capacity.Range()
	case shape != nil:
		whole := shape.Volume()
		v = span{Nominal: 0.92 * whole, Low: 0.8 * whole, High: whole} // walls and rounded corners
	default:
		lot.Needs = append(
			lot.Needs,
			need(path+"/tank/capacity", "the tank's volume", "It is moulded into its wall."),
		)
	}
	if l.Mass != nil {
		m := l.Mass.Range(p).Floats()
		lot.Mass, lot.How = &m, l.Mass.How
	} else if k, ok := catalogue.LoadOf("tank"); ok {
		lot.Mass = &span{Nominal: float64(k.Low+k.High) / 2, Low: float64(k.Low), High: float64(k.High)}
	}
	if len(lot.Needs) > 0 {
		lot.Mass = nil
		return lot
	}
	fill := *t.Fill
	full := span{Nominal: v.Nominal * (f.Low + f.High) / 2, Low: v.Low * f.Low, High: v.High * f.High}
	lot.Contents = &Contents{Name: f.Name, Fill: fill, Full: full, Vessel: shape,
		Volume: span{Nominal: fill * v.Nominal, Low: fill * v.Low, High: fill * v.High},
		Mass:   span{Nominal: fill * full.Nominal, Low: fill * full.Low, High: fill * full.High}}
	return lot
}

func pieces(path string, l *plan.Load) *Lot {
	s := l.Pieces
	lot := &Lot{How: plan.Typical, Shape: "box"}
	m, ok := catalogue.SolidOf(s.Material)
	volume := float64(s.Count) * float64(s.Length) * float64(s.Width) * float64(s.Thickness)
	if !ok || volume <= 0 {
		lot.Needs = append(
			lot.Needs,
			need(path+"/pieces", "what the pack is made of and how many pieces it has", "Count them and tape one."),
		)
		return lot
	}
	across := max(1, s.Across)
	layers := (s.Count + across - 1) / across
	lot.Length, lot.Width, lot.Height = float64(
		s.Length,
	), float64(
		s.Width,
	)*float64(
		across,
	), float64(
		s.Thickness,
	)*float64(
		layers,
	)
	lot.Mass = &span{Nominal: volume * (m.Low + m.High) / 2, Low: volume * m.Low, High: volume * m.High}
	return lot
}

// Rolls reports whether a load stands on wheels of its own: stated so, or usual for its kind.
func Rolls(l *plan.Load) bool {
	k, ok := catalogue.LoadOf(l.Kind)
	return l.Rolling != nil || ok && k.Rolls != nil
}
