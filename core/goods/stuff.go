package goods

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/plan"
)

// Stuff is the loose material that a load is of. Its dry and wet figures are those of the owner's
// own material where that was weighed.
type Stuff struct {
	catalogue.Material
	Lies span // density as it lies on this load, kg/m³
	How  plan.How
	Path string // of the owner's own figure; empty: a usual one
}

// StuffOf finds the material of a load: the owner's own, with the density that was weighed, before
// the usual one. It is false where neither says what it is made of.
func StuffOf(p *plan.Plan, b *plan.Bulk) (Stuff, bool) {
	own, is := p.Materials[b.Own]
	kind := b.Material
	if is && own.Like != "" {
		kind = own.Like
	}
	m, ok := catalogue.MaterialOf(kind)
	s := Stuff{Material: m, Lies: Density(&m, b.Wet), How: plan.Typical}
	if !is {
		return s, ok
	}
	s.Name = own.Name
	if own.Density == nil || !ok { // without its like nobody knows how high it heaps
		return s, ok
	}
	read := own.Density.Range()
	wet := soaked(read, &m, own.Wet)
	s.WetLow, s.WetHigh = wet.Low, wet.High
	s.DryLow, s.DryHigh = read.Low, read.High
	if own.Wet == plan.Soaked && m.DryHigh > 0 { // dry it may be as light as is usual
		s.DryLow, s.DryHigh = math.Min(m.DryLow, read.Low), math.Min(m.DryHigh, read.High)
	}
	s.How, s.Path = own.Density.How, "/materials/"+b.Own+"/density"
	switch {
	case own.Wet == b.Wet, b.Wet == plan.Dry && own.Wet == "":
		s.Lies = read
	case b.Wet == plan.Soaked:
		s.Lies = wet
	case own.Wet == plan.Soaked: // it may lie drier
		s.Lies = span{Nominal: (s.DryLow + read.High) / 2, Low: s.DryLow, High: read.High}
	default: // weighed dry, it may lie wet
		s.Lies = span{Nominal: read.Nominal, Low: read.Low, High: wet.High}
	}
	return s, true
}

// soaked is a density as it is when wet, from one read in the given state: as much heavier as the
// usual material is, mean by mean.
func soaked(d span, m *catalogue.Material, read plan.Wet) span {
	from := Density(m, read).Nominal
	if read == plan.Soaked || !(from > 0) {
		return d
	}
	k := math.Max(1, Density(m, plan.Soaked).Nominal/from)
	return span{Nominal: d.Nominal * k, Low: d.Low * k, High: d.High * k}
}
