package papers_test

import (
	"slices"
	"strings"
	"testing"

	"zygonos/core/ask/papers"
	"zygonos/core/facts/norms"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/records"
	"zygonos/core/rig"
)

func texts(s said.Sentence) string { return s.Text(quantity.Locale{Region: quantity.UK}) }

func resolved(t *testing.T, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, sets...), "t", "o")
}

func lines(list []papers.TextLine) string {
	var out []string
	for _, l := range list {
		out = append(out, texts(l.Name)+": "+texts(l.Says))
	}
	return strings.Join(out, "\n")
}

// own is a trailer built by its owner with all that a plate asks for: axle 1000 kg, two tyres of 450, coupling 750.
var own = []string{
	"/trailers/t/axleRating", "1000", "/trailers/t/tyreRating", "450", "/trailers/t/couplingRating", "750", "/trailers/t/couplingBall", "75",
	"/trailers/t/plate", `{"kind":"built","maker":"A. Club","identity":"SA9-1","issued":true,"year":2026}`,
}

// Each region and kind has its own, in the order of the places; a gross of 750 kg asks for no approval in the UK, 751 does.
func TestPapers(t *testing.T) {
	for _, region := range quantity.Regions {
		for _, kind := range norms.PaperKinds {
			list := norms.PapersOf(region, kind, 1000)
			seen, last := map[string]bool{}, -1
			for _, p := range list {
				at := slices.Index([]string{"seller", "home", "test", "office", "road"}, p.When)
				if at < last || seen[p.ID] || p.Says == "" || p.Where == "" {
					t.Errorf("%s %s: %+v", region, kind, p)
				}
				seen[p.ID], last = true, at
			}
			if len(list) < 4 || !seen["insurance"] {
				t.Errorf("%s %s: %d papers", region, kind, len(list))
			}
		}
	}
	has := func(gross float64) bool {
		return slices.ContainsFunc(norms.PapersOf(quantity.UK, norms.PaperBuilt, gross), func(p norms.Paper) bool { return p.ID == "iva" })
	}
	if has(750) || !has(751) {
		t.Error("approval begins above 750 kg")
	}
	f := papers.Open(resolved(t, own...), records.All{
		"paper-t-receipts": {Kind: records.KindPaper, Trailer: "t", Paper: &records.PaperRecord{Done: true}},
	})
	if f.Kind != "built" || f.Left != len(f.Rows)-1 || len(f.Theft) < 4 || !strings.Contains(texts(f.Says), "1 of ") {
		t.Errorf("%+v", f)
	}
}

// By hand: the coupling's 750 kg are less than two tyres' 900 and the axle's 1000. More than that is refused; no plate is made
// where the maker's stands; without what the authority issued it is a draft.
func TestPlate(t *testing.T) {
	p := papers.Plate(resolved(t, own...))
	if p.Draft || len(p.Refused) > 0 || p.Least.Value != 750 || texts(p.Part) != "coupling head" || !strings.Contains(lines(p.Lines), "Gross: 750 kg") {
		t.Errorf("%+v\n%s", p, lines(p.Lines))
	}
	// Two axles are rated together, as everywhere: 1000 kg for both, however many they are; their four tyres bear 1800.
	two := papers.Plate(resolved(t, append(own[:8:8], own[8], own[9], "/trailers/t/axles", "2", "/trailers/t/couplingRating", "2000")...))
	if two.Least == nil || two.Least.Value != 1000 || texts(two.Part) != "axles" || !strings.Contains(lines(two.Lines), "Axles together: 1000 kg") {
		t.Errorf("two axles: %+v\n%s", two, lines(two.Lines))
	}
	for _, c := range []struct {
		plate, says string
		draft       bool
	}{
		{`{"kind":"built","maker":"A","identity":"SA9-1","issued":true,"gross":751}`, "750 kg at most", true},
		{`{"kind":"built","maker":"A","identity":"SA9-1","issued":true,"gross":600}`, "", false},
		{`{"kind":"built","maker":"A","identity":"MADE-UP"}`, "", true},
		{`{"kind":"built","identity":"SA9-1","issued":true}`, "", true},
		{`{"kind":"used"}`, "maker’s plate", false},
		{`{"kind":"kit"}`, "maker’s plate", false},
	} {
		p := papers.Plate(resolved(t, append(own[:8:8], "/trailers/t/plate", c.plate)...))
		if p.Draft != c.draft || !strings.Contains(texts(p.Refused), c.says) || (c.says == "") != (len(p.Refused) == 0) {
			t.Errorf("%s: %+v", c.plate, p)
		}
		if strings.Contains(lines(p.Lines), "MADE-UP") {
			t.Error("a number of one's own making stands on the plate")
		}
	}
	if p := papers.Plate(resolved(t, "/trailers/t/plate", `{"kind":"built"}`, "/trailers/t/axleRating", "-")); !p.Draft || len(p.Needs) < 3 {
		t.Errorf("%+v", p)
	}
	check := func(plate string) finding.Outcome {
		fs := papers.Check(resolved(t, append(own[:8:8], "/trailers/t/plate", plate)...))
		if len(fs) == 0 {
			return ""
		}
		return fs[0].Outcome
	}
	if a, b, c := check(own[9]), check(strings.Replace(own[9], `"year"`, `"gross":800,"year"`, 1)), check(`{"kind":"used"}`); a != finding.Holds || b != finding.Fails || c != "" {
		t.Errorf("%s %s %s", a, b, c)
	}
}

// By hand: a gross of 750 less 250 kg carries 500; on 2.5 × 1.4 m of gravel of at most 1800 kg/m³ dry they lie 7 cm high.
func TestLabel(t *testing.T) {
	r := resolved(t, "/trailers/t/label", `{"value":750,"counts":"gross"}`, "/trailers/t/tyrePressure", "250000", "/trailers/t/couplingSize", "0.05")
	got := lines(papers.Open(r, nil).Label)
	for _, want := range []string{"Carries: 500 kg", "2.5 bar", "Ball: 50 mm", "level when dry"} {
		if !strings.Contains(got, want) {
			t.Errorf("no %q in\n%s", want, got)
		}
	}
	// tyres of 300 kg each bear 600 together: 350 and not 500
	weak := resolved(t, "/trailers/t/label", `{"value":750,"counts":"gross"}`, "/trailers/t/tyreRating", "300")
	if got := lines(papers.Open(weak, nil).Label); !strings.Contains(got, "Carries: 350 kg") {
		t.Errorf("%s", got)
	}
	if got := papers.Open(resolved(t, "/trailers/t/label", "-"), nil).Label; len(got) > 0 && strings.Contains(lines(got), "Carries") {
		t.Errorf("%s", lines(got))
	}
	if got := lines(papers.Open(resolved(t, "/trailers/t/label", `{"value":400,"counts":"payload"}`), nil).Label); !strings.Contains(got, "Carries: 400 kg") {
		t.Errorf("%s", got)
	}
	if got := lines(papers.Open(resolved(t, "/trailers/t/label", `{"value":400,"counts":"unsure"}`), nil).Label); strings.Contains(got, "Carries") {
		t.Errorf("an unsure label carries: %s", got)
	}
}
