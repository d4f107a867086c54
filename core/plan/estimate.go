package plan

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"zygonos/core/lang/quantity"
)

// Range is the estimate with its doubt: stated, or the plan's default for its
// provenance. A mass is never taken below zero.
func (e *MassEstimate) Range(p *Plan) quantity.Range[mass] {
	d := plusMinus(float64(e.Value), (*float64)(e.PlusMinus), e.Relative, p.Doubt(e.How))
	return quantity.Range[mass]{Nominal: e.Value, Low: max(0, e.Value-mass(d)), High: e.Value + mass(d)}
}

// Range is the estimate with its doubt.
func (e *LengthEstimate) Range() quantity.Range[length] {
	d := length(plusMinus(float64(e.Value), (*float64)(e.PlusMinus), e.Relative, DefaultLengthDoubts[e.How]))
	if e.PlusMinus == nil && e.Relative == nil && (e.How == Weighed || e.How == "") {
		d = LengthDoubt
	}
	return quantity.Range[length]{Nominal: e.Value, Low: e.Value - d, High: e.Value + d}
}

// Range is the reading with its tolerance.
func (r *Reading) Range(p *Plan) quantity.Range[mass] {
	d := plusMinus(float64(r.Mass), (*float64)(r.PlusMinus), nil, p.Doubt(Weighed))
	k := mass(1)
	if r.Plank != nil {
		k = mass(r.Plank.Span / r.Plank.To)
	}
	return quantity.Range[mass]{Nominal: k * r.Mass, Low: k * max(0, r.Mass-mass(d)), High: k * (r.Mass + mass(d))}
}

// ScaleAt is where the scale stood behind the ball.
func (r *Reading) ScaleAt() float64 {
	if r.At == nil {
		return 0
	}
	return float64(*r.At)
}

// Doubt is the plus-minus of a mass of that provenance, as a share.
func (p *Plan) Doubt(h How) float64 {
	if d, ok := p.Doubts[h]; ok {
		return d
	}
	if d, ok := DefaultDoubts[h]; ok {
		return d
	}
	return DefaultDoubts[Guessed]
}

func plusMinus(value float64, absolute, relative *float64, share float64) float64 {
	switch {
	case absolute != nil:
		return *absolute
	case relative != nil:
		return *relative * math.Abs(value)
	}
	return share * math.Abs(value)
}

// Locale is how the plan's quantities are written.
func (p *Plan) Locale() quantity.Locale { return quantity.Locale{Units: p.Units, Region: p.Region} }

// Ordered gives the ids of a collection by Order, then id.
func Ordered[T any](m map[string]T, order func(T) int) []string {
	return slices.SortedFunc(maps.Keys(m), func(a, b string) int {
		return cmp.Or(cmp.Compare(order(m[a]), order(m[b])), cmp.Compare(a, b))
	})
}

// OutingIDs, TrailerIDs, VehicleIDs and LoadIDs list collections in order.
func (p *Plan) OutingIDs() []string { return Ordered(p.Outings, func(o Outing) int { return o.Order }) }
func (p *Plan) TrailerIDs() []string {
	return Ordered(p.Trailers, func(t Trailer) int { return t.Order })
}
func (p *Plan) VehicleIDs() []string {
	return Ordered(p.TowVehicles, func(v TowVehicle) int { return v.Order })
}
func (p *Plan) LoadIDs() []string { return Ordered(p.Loads, func(l Load) int { return l.Order }) }
