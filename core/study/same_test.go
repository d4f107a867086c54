package study_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// atRest are an outing's findings at rest.
func atRest(p *plan.Plan, outing string) []finding.Finding {
	return study.Settled(context.Background(), p, review.Request{Outing: outing}).Findings
}

// differ names the findings of a that b lacks: of the same code and outcome, the figure within a share.
func differ(a, b []finding.Finding, within float64) (out []string) {
	for i := range a {
		f := &a[i]
		same := func(g finding.Finding) bool {
			if f.Code != g.Code || f.Outcome != g.Outcome || f.Tight != g.Tight || (f.Figure == nil) != (g.Figure == nil) {
				return false
			}
			return f.Figure == nil || math.Abs(f.Figure.Value-g.Figure.Value) <= within*math.Abs(f.Figure.Value)+1e-9
		}
		if !slices.ContainsFunc(b, same) {
			out = append(out, fmt.Sprint(f.Code, " ", f.Outcome, " ", f.Says.Text(quantity.Locale{})))
		}
	}
	return out
}

// renamed gives all that the owner made another id, in the opposite alphabetical order.
func renamed(t *testing.T, p *plan.Plan) *plan.Plan {
	t.Helper()
	data, err := json.Marshal(p)
	if err != nil {
		t.Fatal(err)
	}
	var doc map[string]any
	if err := json.Unmarshal(data, &doc); err != nil {
		t.Fatal(err)
	}
	holders := []string{"loads", "trailers", "towVehicles", "straps", "parts", "outings", "materials"}
	ids := map[string]string{}
	for _, h := range holders {
		of, _ := doc[h].(map[string]any)
		keys := []string{}
		for k := range of {
			keys = append(keys, k)
		}
		slices.Sort(keys)
		for i, k := range keys {
			ids[k] = fmt.Sprintf("z-%s-%03d", strings.ToLower(h), 999-i)
		}
	}
	keyed := append(holders, "layouts", "placements", "fitted", "links", "inflation")
	refers := []string{"chosen", "vehicle", "load", "strap", "id", "machine", "ramp", "outing", "trailer", "own", "part", "tank"}
	var walk func(at string, v any) any
	walk = func(at string, v any) any {
		switch v := v.(type) {
		case map[string]any:
			out := map[string]any{}
			for k, x := range v {
				name := k
				if id, is := ids[k]; is && slices.Contains(keyed, at) {
					name = id
				}
				out[name] = walk(k, x)
			}
			return out
		case []any:
			for i := range v {
				v[i] = walk(at, v[i])
			}
			return v
		case string:
			if id, is := ids[v]; is && slices.Contains(refers, at) {
				return id
			}
		}
		return v
	}
	data, err = json.Marshal(walk("", doc))
	if err != nil {
		t.Fatal(err)
	}
	q, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	if wrong := plan.Clean(q); len(wrong) > 0 {
		t.Fatalf("%+v", wrong[0])
	}
	return q
}

// reordered turns the order of everything that has one.
func reordered(t *testing.T, p *plan.Plan) *plan.Plan {
	t.Helper()
	data, err := json.Marshal(p)
	if err != nil {
		t.Fatal(err)
	}
	var doc any
	if err := json.Unmarshal(data, &doc); err != nil {
		t.Fatal(err)
	}
	var walk func(v any)
	walk = func(v any) {
		switch v := v.(type) {
		case map[string]any:
			if n, is := v["order"].(float64); is {
				v["order"] = 1000 - n
			}
			for _, x := range v {
				walk(x)
			}
		case []any:
			for _, x := range v {
				walk(x)
			}
		}
	}
	walk(doc)
	if data, err = json.Marshal(doc); err != nil {
		t.Fatal(err)
	}
	q, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	return q
}

// A rig said in other words is the same rig: with other ids, in other units, judged twice.
func TestSameRigInOtherWords(t *testing.T) {
	long(t)
	compared := 0
	for _, name := range []string{"skarrow-hut", "ostrel-lock", "heather-hives"} {
		p := sample.Demo(t, name)
		other := renamed(t, clone(t, p))
		units := clone(t, p)
		units.Units = map[quantity.System]quantity.System{"metric": "imperial", "imperial": "metric"}[p.Units]
		outings, others := p.OutingIDs(), other.OutingIDs()
		if len(outings) != len(others) {
			t.Fatalf("%s: %d outings, renamed %d", name, len(outings), len(others))
		}
		for i, o := range outings {
			was := atRest(clone(t, p), o)
			compared += len(was)
			for _, c := range []struct {
				what   string
				now    []finding.Finding
				within float64
			}{
				{"with other ids", atRest(other, others[i]), 1e-6},
				{"in other units", atRest(units, o), 1e-6},
				{"again", atRest(p, o), 1e-9},
				// joints are where the first of their bars comes to lie, cables are led in their order
				{"in another order", atRest(reordered(t, p), o), 0.01},
			} {
				if d := append(differ(was, c.now, c.within), differ(c.now, was, c.within)...); len(d) > 0 {
					t.Errorf("%s, %s %s:\n%s", name, o, c.what, strings.Join(d, "\n"))
				}
			}
		}
	}
	if compared < 300 {
		t.Errorf("only %d findings compared", compared)
	}
}
