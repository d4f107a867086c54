package catalogue_test

import (
	"strings"
	"testing"

	"zygonos/core/facts/catalogue"
)

// Every kind of load has a range, a size and a place in a group, and what it
// says of its centre, wheels and hull makes sense.
func TestLoads(t *testing.T) {
	groups := map[string]int{}
	for _, g := range catalogue.Groups {
		groups[g] = 0
	}
	shapes := map[string]bool{"box": true, "hull": true, "wheels": true, "heap": true}
	seen := map[string]bool{}
	for _, k := range catalogue.Loads {
		if seen[k.ID] {
			t.Errorf("%s stands twice", k.ID)
		}
		seen[k.ID] = true
		if _, ok := groups[k.Group]; !ok {
			t.Errorf("%s: no group %q", k.ID, k.Group)
		}
		groups[k.Group]++
		if !(k.Low > 0 && k.High > k.Low) || k.High > 3000 {
			t.Errorf("%s: %v to %v", k.ID, k.Low, k.High)
		}
		if k.Length <= 0 || k.Width <= 0 || k.Height <= 0 || k.Length > 10 || !shapes[k.Shape] || k.Name == "" {
			t.Errorf("%s: %+v", k.ID, k)
		}
		if k.CentreLow < 0 || k.CentreHigh > 1 || k.CentreHigh < k.CentreLow || (k.CentreLow == 0) != (k.CentreHigh == 0) || k.CentreUp < 0 || k.CentreUp > 0.7 {
			t.Errorf("%s: its centre lies from %v to %v, %v up", k.ID, k.CentreLow, k.CentreHigh, k.CentreUp)
		}
		if (k.Shape == "wheels") != (k.Rolls != nil) || (k.Shape == "hull") != (k.Bears != nil) {
			t.Errorf("%s: a machine rolls and a hull is held", k.ID)
		}
		if r := k.Rolls; r != nil && (r.FrontAxle+r.Wheelbase > k.Length || r.Track > k.Width || r.Clearance <= 0 || r.Clearance > 0.5) {
			t.Errorf("%s: its wheels stand beyond it: %+v", k.ID, *r)
		}
		if b := k.Bears; b != nil && (b.From < 0 || b.To > 1 || b.From >= b.To || b.Apart > k.Width) {
			t.Errorf("%s: held at %+v", k.ID, *b)
		}
	}
	for g, n := range groups {
		if n < 3 {
			t.Errorf("group %q has %d kinds", g, n)
		}
	}
	if len(catalogue.Loads) < 45 {
		t.Errorf("%d kinds", len(catalogue.Loads))
	}
	if _, ok := catalogue.LoadOf("no such thing"); ok {
		t.Error("found what is not there")
	}
}

// A centre of a machine lies between its axles.
func TestCentreBetweenAxles(t *testing.T) {
	for _, k := range catalogue.Loads {
		r := k.Rolls
		if r == nil {
			continue
		}
		front, rear := float64(r.FrontAxle/k.Length), float64((r.FrontAxle+r.Wheelbase)/k.Length)
		if k.CentreLow <= front || k.CentreHigh >= rear {
			t.Errorf("%s: centre from %v to %v, axles at %v and %v", k.ID, k.CentreLow, k.CentreHigh, front, rear)
		}
	}
}

// The figures as they were gathered; wet is never lighter than dry.
func TestMaterials(t *testing.T) {
	for _, c := range []struct {
		id                 string
		dryLow, wetHigh    float64
		reposeLow, reposeH float64
	}{
		{"sand", 1450, 2100, 30, 45}, {"gravel", 1500, 2000, 30, 40}, {"crushed-stone", 1450, 1900, 35, 45}, {"topsoil", 1000, 1900, 30, 45},
		{"compost", 450, 1000, 40, 45}, {"bark", 180, 550, 40, 50}, {"chips", 300, 450, 40, 45}, {"rubble", 1200, 1600, 35, 40},
	} {
		m, ok := catalogue.MaterialOf(c.id)
		if !ok || m.DryLow != c.dryLow || m.WetHigh != c.wetHigh || m.ReposeLow != c.reposeLow || m.ReposeHigh != c.reposeH {
			t.Errorf("%s: %+v", c.id, m)
		}
	}
	for _, m := range catalogue.Materials {
		low, high := m.Density()
		if !(m.DryLow > 0 && m.DryHigh >= m.DryLow && m.WetHigh >= m.WetLow && m.WetLow >= m.DryLow && m.WetHigh >= m.DryHigh) || low != m.DryLow || high != m.WetHigh {
			t.Errorf("%s: %+v", m.ID, m)
		}
		if m.ReposeLow < 20 || m.ReposeHigh > 70 || m.ReposeHigh < m.ReposeLow {
			t.Errorf("%s reposes at %v to %v", m.ID, m.ReposeLow, m.ReposeHigh)
		}
	}
	for _, list := range [][]catalogue.Substance{catalogue.Fluids, catalogue.Solids} {
		for _, s := range list {
			if !(s.Low > 0 && s.High >= s.Low) || s.High > 8000 {
				t.Errorf("%s: %+v", s.ID, s)
			}
		}
	}
	if w, ok := catalogue.FluidOf("water"); !ok || w.High != 1000 {
		t.Error("water")
	}
	if s, ok := catalogue.SolidOf("steel"); !ok || s.Low != 7850 {
		t.Error("steel")
	}
}

func TestFittingsAndAnchors(t *testing.T) {
	where := map[string]bool{"deck": true, "drawbar": true, "tail": true}
	for _, f := range catalogue.Fittings {
		if !(f.Low > 0 && f.High > f.Low) || !where[f.Where] || f.Hours <= 0 || f.Height <= 0 || !f.PerArea && f.Length <= 0 {
			t.Errorf("%s: %+v", f.ID, f)
		}
		if got, ok := catalogue.FittingOf(f.ID); !ok || got.Name != f.Name {
			t.Errorf("%s is not found", f.ID)
		}
	}
	counts := 0
	for _, a := range catalogue.AnchorKinds {
		if a.Weak == "" {
			t.Errorf("%s: no weak spot", a.ID)
		}
		if a.Counts {
			counts++
		}
	}
	if p, ok := catalogue.AnchorOf("pocket"); !ok || p.Counts || counts < 5 {
		t.Error("a stake pocket is no anchor")
	}
	for _, i := range catalogue.Inspections {
		if i.Look == "" || i.Bad == "" || i.Repair == "" {
			t.Errorf("%+v", i)
		}
	}
}

// Every kind goes by an everyday word, and every word is of a kind.
func TestWords(t *testing.T) {
	for _, k := range catalogue.Loads {
		if k.Words == "" {
			t.Errorf("%s goes by no word", k.ID)
		}
	}
}

// Every kind says where its figures come from, and no caution stands with a kind that is none.
func TestOrigins(t *testing.T) {
	noted := 0
	for _, k := range catalogue.Loads {
		if k.From == "" {
			t.Errorf("%s does not say where its figures come from", k.ID)
		}
		if k.Note != "" {
			noted++
		}
	}
	if noted != 9 { // a note under a key that is no kind is lost
		t.Errorf("%d kinds carry a note", noted)
	}
	if k, _ := catalogue.LoadOf("livestock"); !strings.Contains(k.Note, "rules of their own") {
		t.Error("animals carry no note")
	}
}
