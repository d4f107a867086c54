// Package sample gives tests a plan whose figures were worked by hand
// (docs/method/sample.md), and ways to change it.
package sample

import (
	"encoding/json"
	"fmt"
	"testing"

	"zygonos/core/lang/finding"
	"zygonos/core/plan"
)

// Doc is a rig without doubt: empty 250 kg with 20 kg on the ball, axle 2.5 m
// behind it, deck from 1.0 m to 3.5 m, a 400 kg crate 1.0 m long with its middle
// at 2.25 m.
//
//	m = 650 kg, R_ball = 20 + 400·0.25/2.5 = 60 kg (9.2308 %), R_axle = 590 kg
const Doc = `{"format":"zygonos-plan","version":1,"name":"Sample","region":"uk","units":"metric","ballSchool":"about-ten","chosen":"t",
"loads":{"crate":{"order":1,"name":"Crate","kind":"box","mass":{"value":400,"plusMinus":0,"how":"weighed"},
  "size":{"length":{"value":1,"plusMinus":0,"how":"weighed"},"width":{"value":0.8,"plusMinus":0,"how":"weighed"},"height":{"value":0.7,"plusMinus":0,"how":"weighed"}},
  "centre":{"back":{"value":0.5,"plusMinus":0,"how":"weighed"},"right":{"value":0,"plusMinus":0,"how":"weighed"}}}},
"towVehicles":{"car":{"order":1,"name":"Car","kerb":{"value":1500,"plusMinus":0,"how":"plate"},"rearEmpty":{"value":600,"plusMinus":0,"how":"weighed"},
  "gross":2000,"train":3000,"rearLimit":1000,"towBraked":1200,"towUnbraked":700,"ballLimit":75,"hitchTow":1300,"hitchBall":80,"ballRating":1500,"ballSize":0.05,
  "wheelbase":{"value":2.5,"how":"weighed"},"rearOverhang":{"value":1.0,"how":"weighed"}}},
"trailers":{"t":{"order":1,"name":"Trailer","couplingToAxle":{"value":2.5,"plusMinus":0,"how":"weighed"},"couplingToDeck":{"value":1.0,"plusMinus":0,"how":"weighed"},
  "deckLength":{"value":2.5,"plusMinus":0,"how":"weighed"},"deckWidth":{"value":1.4,"plusMinus":0,"how":"weighed"},"track":{"value":1.6,"how":"weighed"},
  "label":{"value":750,"counts":"gross"},"axleRating":800,"tyreIndex":84,"couplingRating":900,"couplingSize":0.05,"brakes":"none","chains":1,
  "empty":{"ball":{"mass":20,"plusMinus":0},"axle":{"mass":230,"plusMinus":0}}}},
"parts":{},
"outings":{"o":{"order":1,"name":"Outing","vehicle":"car","people":{"value":150,"plusMinus":0,"how":"weighed"},"gear":{"value":50,"plusMinus":0,"how":"weighed"},
  "layouts":{"t":{"placements":{"crate":{"on":"deck","at":{"back":0.75}}}}}}}}`

// Crate is the path of the crate's placement.
const Crate = "/outings/o/layouts/t/placements/crate"

// Plan gives the sample with values put at paths: "path", "JSON value", ….
// The value "-" takes out what stands there.
func Plan(t testing.TB, sets ...string) *plan.Plan {
	t.Helper()
	p, err := plan.Read([]byte(Doc))
	if err != nil {
		t.Fatal(err)
	}
	var patch []finding.Op
	for i := 0; i+1 < len(sets); i += 2 {
		if sets[i+1] == "-" {
			patch = append(patch, finding.Op{Op: "remove", Path: sets[i]})
			continue
		}
		var v any
		if err := json.Unmarshal([]byte(sets[i+1]), &v); err != nil {
			t.Fatal(err)
		}
		patch = append(patch, finding.Op{Op: "add", Path: sets[i], Value: v})
	}
	if p, err = plan.Apply(p, patch); err != nil {
		t.Fatal(err)
	}
	plan.Clean(p)
	return p
}

// Find gives the finding with that code, failing the test where there is none.
func Find(t testing.TB, fs []finding.Finding, code string) finding.Finding {
	t.Helper()
	for _, f := range fs {
		if f.Code == code {
			return f
		}
	}
	t.Fatalf("no finding %s", code)
	return finding.Finding{}
}

// Loose is the sample in North America with its crate under two straps that the rule is content with (240 of 200 kg) and
// that do not hold it by the balance of forces: what fails at rest alone.
func Loose(t testing.TB) *plan.Plan {
	t.Helper()
	ring := func(back, right float64) string {
		return fmt.Sprintf(`{"order":1,"kind":"ring-welded","rating":500,"at":{"back":%v,"right":%v}}`, back, right)
	}
	tie := func(from, to string, back float64) string {
		return fmt.Sprintf(`{"order":1,"load":"crate","strap":"s","from":"%s","to":"%s","hold":{"back":%v}}`, from, to, back)
	}
	return Plan(t, "/region", `"na"`, "/trailers/t/chains", `2`, "/trailers/t/floor", `"ply"`,
		"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`,
		"/trailers/t/tiePoints", fmt.Sprintf(`{"a":%s,"b":%s,"c":%s,"d":%s}`, ring(0.7, -0.68), ring(0.7, 0.68), ring(1.8, -0.68), ring(1.8, 0.68)),
		"/straps", `{"s":{"order":1,"name":"Strap","kind":"ratchet","limit":120,"count":6}}`,
		"/outings/o/layouts/t/lashings", fmt.Sprintf(`{"x":%s,"y":%s}`, tie("a", "b", 0.1), tie("c", "d", 0.9)),
	)
}
