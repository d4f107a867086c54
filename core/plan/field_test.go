package plan_test

import (
	"regexp"
	"strings"
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// Every field has a stage; every figure has words, a kind and bounds that hold its own least and
// most; and the walk knows every place that the demo plans fill.
func TestFields(t *testing.T) {
	known := map[string]plan.Field{}
	for _, f := range plan.Fields() {
		known[f.Path] = f
		if f.Stage == "" && strings.Count(f.Path, "/") > 1 {
			t.Errorf("%s has no stage", f.Path)
		}
		figure := f.Form == plan.FormFigure || f.Form == plan.FormEstimate || f.Form == plan.FormReading
		inside := regexp.MustCompile(`/(order|revision|plusMinus|relative|chosen|version|turn)$`).MatchString(f.Path)
		if figure && !inside && !strings.Contains(f.Path, "/ends/") && !strings.Contains(f.Path, "/axleMoves/") && f.Path != "/doubts/*" && (f.Says == "" || f.Kind == "" || f.Most <= f.Least) {
			t.Errorf("%+v tells too little of a figure", f)
		}
	}
	star := regexp.MustCompile(`/(loads|towVehicles|trailers|parts|wants|straps|outings|layouts|placements|lashings|readings|slots|tiers|rollers|contents|anchors|fitted|tiePoints|buys|repairs|departures|inspected|ticks|skills|doubts|ways|jobs|stretches)/[^/]+`)
	for _, name := range []string{"skarrow-hut", "heather-hives"} {
		p, _ := demoPlan(t, name)
		var paths []string
		leaves(doc(t, p), "", &paths)
		for _, path := range paths {
			general := star.ReplaceAllString(path, "/$1/*")
			switch last := general[strings.LastIndex(general, "/")+1:]; last {
			case "value", "how", "plusMinus", "relative", "mass", "at", "plank":
				continue // within an estimate or a reading
			}
			if _, ok := known[general]; !ok && !strings.Contains(general, "/plank/") && !strings.HasSuffix(path, "s") && !strings.HasSuffix(path, "inspected") {
				t.Errorf("%s (%s) is no field", general, path)
			}
		}
	}
	for path, want := range map[string]plan.Field{
		"/trailers/*/deckLength":              {Form: plan.FormEstimate, Kind: quantity.KindLength, Most: 50, Above: true, Stage: "trailer/details"},
		"/trailers/*/deal/tax":                {Form: plan.FormFigure, Kind: quantity.KindShare, Most: 1, Stage: "trailer/money"},
		"/trailers/*/empty/ball":              {Form: plan.FormReading, Kind: quantity.KindMass, Most: 1e5, Above: true, Stage: "trailer/details"},
		"/towVehicles/*/ballSize":             {Form: plan.FormFigure, Kind: quantity.KindLength, Least: 0.02, Most: 0.12, Stage: "vehicle"},
		"/outings/*/layouts/*/loading/driver": {Form: plan.FormEstimate, Kind: quantity.KindMass, Most: 1e5, Stage: "ramps"},
		"/parts/*/rack/tiers/*/up":            {Form: plan.FormFigure, Kind: quantity.KindLength, Most: 5, Stage: "racks"},
		"/loads/*/mass":                       {Form: plan.FormEstimate, Kind: quantity.KindMass, Most: 1e5, Above: true, Stage: "balance"},
		"/loads/*/size/length":                {Form: plan.FormEstimate, Kind: quantity.KindLength, Most: 50, Above: true, Stage: "job"},
		"/outings/*/vehicle":                  {Form: plan.FormOther, Stage: "job"},
	} {
		got := known[path]
		if got.Form != want.Form || got.Kind != want.Kind || got.Least != want.Least || got.Most != want.Most || got.Above != want.Above || got.Stage != want.Stage {
			t.Errorf("%s: %+v, want %+v", path, got, want)
		}
	}
}
