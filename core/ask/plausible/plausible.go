// Package plausible catches slips of the pen in what the owner typed and asks
// about them, with the likely correction as a patch. A question never blocks.
// It reads the plan itself, since a slip is in what was typed.
package plausible

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// Question asks whether a stated figure is meant as it stands.
type Question struct {
	Code string           `json:"code"`
	Path string           `json:"path"`
	Says said.Sentence    `json:"says"`
	Fix  *finding.Variant `json:"fix,omitempty"`
}

// Densities beyond which a box is not what it says: lead is 11 340 kg/m³ and
// no load is lead all through; an inflated toy is about 5 kg/m³.
const (
	densest  = 8000.0 // kg/m³, steel all through
	lightest = 4.0
)

const pound = 0.45359237

// Ask goes through the plan and lists the questions.
func Ask(p *plan.Plan) []Question {
	var out []Question
	for _, id := range p.LoadIDs() {
		l := p.Loads[id]
		out = append(out, load(p, "/loads/"+id, &l)...)
	}
	for _, id := range p.TrailerIDs() {
		t := p.Trailers[id]
		out = append(out, trailer(p, "/trailers/"+id, &t)...)
	}
	for _, id := range plan.Ordered(p.Straps, func(s plan.Strap) int { return s.Order }) {
		s := p.Straps[id]
		out = append(out, strap("/straps/"+id, &s)...)
	}
	for _, id := range p.VehicleIDs() {
		v := p.TowVehicles[id]
		if v.Wheelbase != nil {
			out = slipOfLength(out, "/towVehicles/"+id+"/wheelbase", "wheelbase", v.Wheelbase, 1.5, 5)
		}
	}
	return out
}

// Webbing up to a width, m, with the working load limit, kg, beyond which none of it is sold (makers' lists, C): what is
// printed larger on the pack is its breaking strength.
var webbing = []struct{ wide, most float64 }{{0.027, 800}, {0.037, 1600}, {0.055, 2700}}

// strap asks about a working load limit that is the breaking strength, by the width of the webbing.
func strap(path string, s *plan.Strap) []Question {
	if s.Limit == nil || s.Breaks != nil || s.Width <= 0 || s.Kind == plan.StrapChain || s.Kind == plan.StrapRope {
		return nil
	}
	for _, w := range webbing {
		if float64(s.Width) > w.wide+1e-9 {
			continue
		}
		if float64(*s.Limit) <= w.most {
			return nil
		}
		return []Question{{
			Code: "plausible.strap", Path: path + "/limit",
			Says: said.Say("% at % wide: is % its breaking strength? A third of it counts then.",
				said.Name(s.Name, "A strap"), said.Length(s.Width), said.Mass(*s.Limit)),
			Fix: &finding.Variant{Name: said.Say("it breaks at %", said.Mass(*s.Limit)), Patch: []finding.Op{
				{Op: "test", Path: path + "/limit", Value: *s.Limit},
				{Op: "remove", Path: path + "/limit"},
				{Op: "add", Path: path + "/breaks", Value: *s.Limit},
			}},
		}}
	}
	return nil
}

// correct offers value at path, after a test that it still is what it was.
func correct[Q ~float64](path string, was, value Q, name said.Sentence) *finding.Variant {
	return &finding.Variant{Name: name, Patch: []finding.Op{
		{Op: "test", Path: path, Value: was},
		{Op: "replace", Path: path, Value: value},
	}}
}

// slipOfMass asks about a mass outside its kind's range when pounds for
// kilograms or a factor of ten would bring it inside.
func slipOfMass(out []Question, path string, name said.Piece, v, low, high float64) []Question {
	if v >= low*0.8 && v <= high*1.25 || v <= 0 {
		return out
	}
	for _, c := range []struct {
		code, pattern string
		k             float64
	}{
		{"pounds", "% at %: is it pounds? That is %.", pound},
		{"kilograms", "% at %: is it kilograms? That is %.", 1 / pound},
		{"ten-up", "% at %: one zero too many? Then it is %.", 0.1},
		{"ten-down", "% at %: a zero missing? Then it is %.", 10},
	} {
		if w := v * c.k; w >= low && w <= high {
			return append(
				out,
				Question{
					Code: "plausible." + c.code,
					Path: path,
					Says: said.Say(c.pattern, name, said.Mass(v), said.Mass(w)),
					Fix:  correct(path+"/value", v, w, said.Say("make it %", said.Mass(w))),
				},
			)
		}
	}
	return append(out, Question{Code: "plausible.unusual", Path: path,
		Says: said.Say(
			"% at %: usual is % to %. Is it right?",
			name,
			said.Mass(v),
			said.Mass(low),
			said.Mass(high),
		)})
}

func slipOfLength(out []Question, path, what string, e *plan.LengthEstimate, low, high float64) []Question {
	v := float64(e.Value)
	if v >= low*0.999 && v <= high*1.001 || v <= 0 {
		return out
	}
	for _, c := range []struct {
		pattern string
		k       float64
	}{
		{"The " + what + " is %: centimetres for millimetres? Then it is %.", 10},
		{"The " + what + " is %: one zero too many? Then it is %.", 0.1},
		{"The " + what + " is %: inches for millimetres? Then it is %.", 25.4},
	} {
		if w := v * c.k; w >= low && w <= high {
			return append(
				out,
				Question{
					Code: "plausible.length",
					Path: path,
					Says: said.Say(c.pattern, said.Length(v), said.Length(w)),
					Fix:  correct(path+"/value", v, w, said.Say("make it %", said.Length(w))),
				},
			)
		}
	}
	return append(
		out,
		Question{
			Code: "plausible.length",
			Path: path,
			Says: said.Say("The "+what+" is %. Is it right?", said.Length(v)),
		},
	)
}

func load(p *plan.Plan, path string, l *plan.Load) (out []Question) {
	name := said.Name(l.Name, "This load")
	if l.Mass != nil {
		m := float64(l.Mass.Value)
		if k, ok := catalogue.LoadOf(l.Kind); ok && k.ID != "box" {
			out = slipOfMass(out, path+"/mass", name, m, float64(k.Low), float64(k.High))
		}
		if v, ok := volume(&l.Size); ok && len(out) == 0 && m > 0 {
			switch d := m / v; {
			case d > densest:
				q := Question{
					Code: "plausible.dense",
					Path: path + "/mass",
					Says: said.Say(
						"% would be denser than steel: %. Weight or size?",
						name,
						said.Of(quantity.KindDensity, d),
					),
				}
				if d/1000 < densest && float64(l.Size.Length.Value) < 0.2 { // 120 × 80 × 60 mm typed for cm
					q.Says = said.Say(
						"% would be denser than steel: %. Is its size in centimetres?",
						name,
						said.Of(quantity.KindDensity, d),
					)
				}
				out = append(out, q)
			case d < lightest:
				out = append(
					out,
					Question{
						Code: "plausible.light",
						Path: path + "/mass",
						Says: said.Say(
							"% would be lighter than foam: %. Weight or size?",
							name,
							said.Of(quantity.KindDensity, d),
						),
					},
				)
			}
		}
	}
	sum := 0.0
	seen := map[string]string{}
	for _, id := range plan.Ordered(l.Contents, func(c plan.Content) int { return c.Order }) {
		c := l.Contents[id]
		if c.Mass == nil {
			continue
		}
		sum += float64(c.Mass.Value)
		if l.Mass != nil && l.MassCounts == plan.MassAlone && c.Mass.Value > 0 && c.Mass.Value == l.Mass.Value {
			out = append(
				out,
				Question{
					Code: "plausible.same",
					Path: path + "/contents/" + id + "/mass",
					Says: said.Say("% weighs as much as % itself. Counted twice?", said.Name(c.Name, "This"), name),
				},
			)
		}
		key := c.Name
		if other, ok := seen[key]; ok && key != "" && l.Contents[other].Mass.Value == c.Mass.Value {
			out = append(
				out,
				Question{
					Code: "plausible.twice",
					Path: path + "/contents/" + id,
					Says: said.Say("% is listed twice in %. Counted twice?", said.Name(c.Name, "This"), name),
					Fix: &finding.Variant{
						Name:  said.Say("take one out"),
						Patch: []finding.Op{{Op: "remove", Path: path + "/contents/" + id}},
					},
				},
			)
		}
		seen[key] = id
	}
	if l.Mass != nil && l.MassCounts == plan.MassWhole && sum > float64(l.Mass.Value)*(1+1e-9) {
		out = append(
			out,
			Question{
				Code: "plausible.contents",
				Path: path + "/contents",
				Says: said.Say(
					"The contents of % weigh %, but the whole only %. Is the weight without contents?",
					name,
					said.Mass(sum),
					said.Mass(l.Mass.Value),
				),
				Fix: &finding.Variant{
					Name:  said.Say("count contents on top"),
					Patch: []finding.Op{{Op: "replace", Path: path + "/massCounts", Value: plan.MassAlone}},
				},
			},
		)
	}
	for _, d := range []struct {
		field, what string
		e           *plan.LengthEstimate
		high        float64
	}{{"length", "length of a load", l.Size.Length, 12}, {"width", "width of a load", l.Size.Width, 3}, {"height", "height of a load", l.Size.Height, 3}} {
		if d.e != nil {
			out = slipOfLength(out, path+"/size/"+d.field, d.what, d.e, 0.02, d.high)
		}
	}
	return out
}

func volume(s *plan.Size) (float64, bool) {
	if s.Length == nil || s.Width == nil || s.Height == nil {
		return 0, false
	}
	v := float64(s.Length.Value) * float64(s.Width.Value) * float64(s.Height.Value)
	return v, v > 1e-9
}

func trailer(p *plan.Plan, path string, t *plan.Trailer) (out []Question) {
	name := said.Name(t.Name, "This trailer")
	for _, d := range []struct {
		field, what string
		e           *plan.LengthEstimate
		low, high   float64
	}{
		{"couplingToAxle", "distance from {coupling} to axle", t.CouplingToAxle, 0.8, 9},
		{"deckLength", "deck length", t.DeckLength, 0.6, 9},
		{"deckWidth", "deck width", t.DeckWidth, 0.5, 2.6},
		{"track", "track", t.Track, 0.6, 2.5},
		{"deckHeight", "deck height", t.DeckHeight, 0.15, 1.4},
	} {
		if d.e != nil {
			out = slipOfLength(out, path+"/"+d.field, d.what, d.e, d.low, d.high)
		}
	}
	m := t.Empty.Mass
	if m != nil {
		if k, ok := catalogue.TrailerOf(t.Kind); ok {
			out = slipOfMass(out, path+"/empty/mass", name, float64(m.Value), float64(k.Low), float64(k.High))
		}
	}
	if t.Label == nil || m == nil {
		return out
	}
	label := path + "/label"
	switch {
	case t.Label.Counts == plan.CountsGross && t.Label.Value <= m.Value:
		out = append(out, Question{Code: "plausible.payload-for-gross", Path: label,
			Says: said.Say(
				"With the label's % as {gross}, nothing is left beside the trailer's own %. Is it the load alone?",
				said.Mass(t.Label.Value),
				said.Mass(m.Value),
			),
			Fix: &finding.Variant{
				Name:  said.Say("count the load alone"),
				Patch: []finding.Op{{Op: "replace", Path: label + "/counts", Value: plan.CountsPayload}},
			}})
	case t.Label.Counts == plan.CountsPayload && t.AxleRating != nil && float64(t.Label.Value+m.Value) > float64(*t.AxleRating)*1.15 && float64(t.Label.Value) <= float64(*t.AxleRating)*1.15:
		out = append(out, Question{Code: "plausible.gross-for-payload", Path: label,
			Says: said.Say(
				"A load of % and the trailer's own % is more than its axle bears (%). Does the label count the trailer itself?",
				said.Mass(t.Label.Value),
				said.Mass(m.Value),
				said.Mass(*t.AxleRating),
			),
			Fix: &finding.Variant{
				Name:  said.Say("count the whole"),
				Patch: []finding.Op{{Op: "replace", Path: label + "/counts", Value: plan.CountsGross}},
			}})
	}
	if e := t.Empty; e.Ball != nil && e.Axle != nil {
		sum := float64(e.Ball.Mass + e.Axle.Mass)
		if math.Abs(sum-float64(m.Value)) > 0.15*float64(m.Value) {
			out = append(
				out,
				Question{
					Code: "plausible.sum",
					Path: path + "/empty/mass",
					Says: said.Say(
						"Ball and axle weighed % together, the papers say %. Which was weighed loaded?",
						said.Mass(sum),
						said.Mass(m.Value),
					),
				},
			)
		}
	}
	return out
}
