package plan_test

import (
	"encoding/json"
	"strings"
	"testing"

	"zygonos/core/lang/finding"
	"zygonos/core/plan"
)

// No unknown word passes in silence: each is stated by its path and taken as not stated; a
// provenance that is none is a guess, with a guess's doubt.
func TestUnknownWords(t *testing.T) {
	for path, value := range map[string]string{
		"/trailers/grey-flatbed/couplingToAxle/how": `"measured"`, "/loads/skiff/mass/how": `"sure"`, "/loads/pea-gravel/bulk/heap/how": `"read"`,
		"/ballSchool": `"mine"`, "/tieSchool": `"mine"`, "/loads/skiff/kind": `"yacht"`, "/loads/skiff/massCounts": `"half"`, "/loads/pea-gravel/bulk/material": `"gold"`,
		"/trailers/grey-flatbed/label/counts": `"all"`, "/trailers/grey-flatbed/kind": `"spaceship"`, "/trailers/grey-flatbed/plug": `"usb"`, "/trailers/grey-flatbed/lights": `"torch"`,
		"/towVehicles/crew-pickup/socket": `"usb"`, "/trailers/grey-flatbed/tyreSymbol": `"Ö"`, "/parts/ramps/kind": `"lift"`,
		"/trailers/grey-flatbed/tiePoints/front-left/kind": `"knot"`, "/parts/boat-rack/rack/bar/material": `"mithril"`, "/parts/boat-rack/rack/grade": `"99"`,
		"/outings/boat-day/layouts/grey-flatbed/placements/skiff/surface": `"soap"`,
	} {
		p := skarrow(t)
		var v any
		if err := json.Unmarshal([]byte(value), &v); err != nil {
			t.Fatal(err)
		}
		p, err := plan.Apply(p, []finding.Op{{Op: "add", Path: path, Value: v}})
		if err != nil {
			t.Errorf("%s: %v", path, err)
			continue
		}
		problems := plan.Clean(p)
		if len(problems) != 1 || problems[0].Path != path {
			t.Errorf("%s: %+v", path, problems)
			continue
		}
		if again := plan.Clean(p); len(again) != 0 {
			t.Errorf("%s: told twice: %+v", path, again)
		}
	}
	p := skarrow(t)
	e := p.Trailers["grey-flatbed"].CouplingToAxle
	e.How, e.PlusMinus, e.Relative = "measured", nil, nil
	plan.Clean(p)
	if got := p.Trailers["grey-flatbed"].CouplingToAxle; got.How != plan.Guessed || got.Range().Width() < 0.15*got.Value {
		t.Errorf("%+v is known within %v", got, got.Range().Width())
	}
}

// Problems beyond the hundredth are counted.
func TestManyProblems(t *testing.T) {
	p := skarrow(t)
	for i := range 250 {
		p.Loads["x"+strings.Repeat("a", i%60)+strings.Repeat("b", i/60)] = plan.Load{Kind: "none"}
	}
	problems := plan.Clean(p)
	if len(problems) != 101 || !strings.Contains(problems[100].Says.Text(p.Locale()), "150 more values") {
		t.Errorf("%d problems, the last %s", len(problems), problems[len(problems)-1].Says.Text(p.Locale()))
	}
}

func skarrow(t *testing.T) *plan.Plan {
	t.Helper()
	p, _ := demoPlan(t, "skarrow-hut")
	plan.Clean(p)
	return p
}
