package plan

import (
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/said"
)

// word clears a word that stands in none of the tables that it is looked up in, and says so:
// an unknown one would be passed over in silence where it is used.
func word[T ~string](c *cleaner, path, what string, v *T, known bool) {
	if *v == "" || known {
		return
	}
	c.say(path, "The "+what+" “%” is not known here; it is taken as not told.", said.Name(string(*v), "?"))
	*v = ""
}

// ok is the second of two values.
func ok[T any](_ T, known bool) bool { return known }

// how takes an unknown provenance for a guess.
func (c *cleaner) how(path string, h *How) {
	if *h == "" || slices.Contains(Hows, *h) {
		return
	}
	c.say(path+"/how", "How it is known must be weighed, plate, maker, typical or guessed, not “%”; a guess is taken.", said.Name(string(*h), "?"))
	*h = Guessed
}

func (c *cleaner) planWords(p *Plan) {
	school := func(id string) bool {
		return slices.ContainsFunc(norms.Schools, func(s norms.School) bool { return s.ID == id })
	}
	tie := func(id string) bool {
		return slices.ContainsFunc(norms.TieSchools, func(s norms.TieSchool) bool { return s.ID == id })
	}
	word(c, "/ballSchool", "rule for the {ball load}", &p.BallSchool, school(p.BallSchool))
	word(c, "/tieSchool", "rule for tie-downs", &p.TieSchool, tie(p.TieSchool))
}

func (c *cleaner) loadWords(path string, l *Load) {
	word(c, path+"/kind", "kind of load", &l.Kind, ok(catalogue.LoadOf(l.Kind)))
	one(c, path+"/massCounts", "what the weight counts", &l.MassCounts, []MassCounts{MassAlone, MassWhole})
	if b := l.Bulk; b != nil {
		word(c, path+"/bulk/material", "material", &b.Material, ok(catalogue.MaterialOf(b.Material)))
	}
	if t := l.Tank; t != nil {
		word(c, path+"/tank/fluid", "fluid", &t.Fluid, ok(catalogue.FluidOf(t.Fluid)))
	}
	if s := l.Pieces; s != nil {
		word(c, path+"/pieces/material", "material", &s.Material, ok(catalogue.SolidOf(s.Material)))
	}
}

func plug(id string) bool {
	return slices.ContainsFunc(norms.Plugs, func(p norms.Plug) bool { return p.ID == id })
}

// Lamps are the kinds of lamps.
var Lamps = []string{"filament", "led"}

func (c *cleaner) trailerWords(path string, t *Trailer) {
	word(c, path+"/kind", "kind of trailer", &t.Kind, ok(catalogue.TrailerOf(t.Kind)))
	word(c, path+"/plug", "plug", &t.Plug, plug(t.Plug))
	word(c, path+"/lights", "kind of lamps", &t.Lights, slices.Contains(Lamps, t.Lights))
	word(c, path+"/tyreSymbol", "{tyre}'s speed symbol", &t.TyreSymbol, ok(norms.TyreSpeed(t.TyreSymbol)))
	if d := t.Deal; d != nil {
		for k := range d.Inspected {
			if !slices.ContainsFunc(catalogue.Inspections, func(i catalogue.Inspection) bool { return i.ID == k }) {
				c.say(path+"/deal/inspected/"+escape(k), "There is no such point to look at; it is left out.")
				delete(d.Inspected, k)
			}
		}
	}
}

func (c *cleaner) profileWords(path string, p *Profile) {
	word(c, path+"/material", "material", &p.Material, ok(catalogue.StockOf(p.Material)))
}

func (c *cleaner) grade(path string, g *string) {
	word(c, path, "grade of bolt", g, ok(norms.BoltOf(*g)))
}
