package plan

import (
	"cmp"
	"reflect"
	"slices"
	"strings"

	"zygonos/core/lang/quantity"
)

// Guess is an estimate of a plan that may be further from its value than a scale, a plate or a tape
// would be: figure, range and what sets it, in SI.
type Guess struct {
	Path  string // of the estimate
	Says  string // what it is called in a sentence
	Kind  quantity.Kind
	Range quantity.Range[float64]
	Set   func(v float64) // in the plan that it was found in
	Taken bool            // from the kind of the thing: nobody stated it
}

// Rough is the doubt, as a share of a weight or a volume, over which an estimate is a guess: more than a maker's
// figure has. A length is one over two fifths of it, and over what a tape does at an awkward place (practice, C).
const (
	Rough      = 0.05
	roughLong  = 0.4
	roughTaped = length(0.015)
)

// Guesses lists the estimates of a plan whose doubt is over a share of their value, such as Rough; what stands in
// entries that within does not want is left out. within is asked once for each entry of a collection, by its path.
// The roughest come first, by their doubt as a share of their value.
func (p *Plan) Guesses(within func(path string) bool, share float64) []Guess {
	var out []Guess
	p.guesses(reflect.ValueOf(p).Elem(), "", within, &out)
	out = slices.DeleteFunc(out, func(g Guess) bool {
		least := share * g.Range.Nominal
		if g.Kind == quantity.KindLength && share > 0 {
			least = max(roughLong*least, float64(roughTaped))
		}
		return !(g.Range.Nominal > 0) || g.Range.Width()/2 <= least*(1+1e-9)
	})
	Roughest(out)
	return out
}

// Roughest sorts guesses by their doubt as a share of their value, the roughest first.
func Roughest(all []Guess) {
	rough := func(g Guess) float64 { return g.Range.Width() / g.Range.Nominal }
	slices.SortStableFunc(all, func(a, b Guess) int {
		return cmp.Or(cmp.Compare(rough(b), rough(a)), strings.Compare(a.Path, b.Path))
	})
}

func (p *Plan) guesses(v reflect.Value, path string, within func(string) bool, out *[]Guess) {
	list := described[v.Type()]
	for i := range list {
		f, at := &list[i], path
		if f.name != "" {
			at += "/" + f.name
		}
		field := v.Field(f.index)
		switch {
		case field.Kind() == reflect.Map && f.Form == FormGroup:
			for it := field.MapRange(); it.Next(); {
				entry := at + "/" + escape(it.Key().String())
				if !within(entry) {
					continue
				}
				copied := reflect.New(field.Type().Elem()).Elem() // what it points to is the plan's own
				copied.Set(it.Value())
				p.guesses(copied, entry, within, out)
			}
		case f.Form == FormGroup && f.pointer:
			if !field.IsNil() {
				p.guesses(field.Elem(), at, within, out)
			}
		case f.Form == FormGroup && field.Kind() == reflect.Struct:
			p.guesses(field, at, within, out)
		case f.Form == FormEstimate && f.pointer && !field.IsNil():
			g := p.guess(field.Interface())
			g.Path, g.Says, g.Kind = at, f.Says, f.Kind
			*out = append(*out, g)
		}
	}
}

// guess is an estimate with its range.
func (p *Plan) guess(estimate any) (g Guess) {
	switch e := estimate.(type) {
	case *MassEstimate:
		g.Range, g.Set = e.Range(p).Floats(), func(v float64) { e.Value = mass(v) }
	case *LengthEstimate:
		g.Range, g.Set = e.Range().Floats(), func(v float64) { e.Value = length(v) }
	case *VolumeEstimate:
		g.Range, g.Set = e.Range().Floats(), func(v float64) { e.Value = quantity.Volume(v) }
	}
	return g
}
