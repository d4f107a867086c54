package study_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math/rand"
	"os"
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

// odd are values that no field has in earnest.
var odd = []float64{0, -1, 5e-324, 1e-9, 1e-3, 0.01, 10, 1e4, 1e6, 1e12, 1e30, 1e154, 1e300, 1.7e308}

// numbers are the paths of all numbers of a document.
func numbers(v any, path string, out *[]string) {
	switch v := v.(type) {
	case map[string]any:
		for k, e := range v {
			numbers(e, path+"/"+strings.NewReplacer("~", "~0", "/", "~1").Replace(k), out)
		}
	case float64:
		*out = append(*out, path)
	}
}

// encodes judges a plan as the pages do, and reports what cannot be sent.
func encodes(t testing.TB, p *plan.Plan, outing, what string) {
	data, err := plan.Write(p)
	if err != nil {
		t.Errorf("%s: the plan: %v", what, err)
		return
	}
	for name, ask := range map[string]func(*plan.Plan) any{
		"live": func(p *plan.Plan) any { return review.Review(p, review.Request{Outing: outing}) },
		"settled": func(p *plan.Plan) any {
			return study.Settled(context.Background(), p, review.Request{Outing: outing})
		},
	} {
		q, err := plan.Read(data)
		if err != nil {
			return // refused by its shape
		}
		if _, err := json.Marshal(ask(q)); err != nil {
			t.Errorf("%s: %s: %v", what, name, err)
		}
	}
}

// In these tests a check that breaks off is a slip, however quietly the review takes it.
func init() {
	review.Broke = func(what string, why any) { panic(fmt.Sprintf("%s breaks off: %v", what, why)) }
}

// Every report can be sent, whatever one figure of a plan is.
func TestEveryReportEncodes(t *testing.T) {
	long(t)
	stride := 101
	if os.Getenv("DEEP") != "" {
		stride = 1
	}
	tiny, err := plan.Apply(
		sample.Plan(t),
		[]finding.Op{{Op: "replace", Path: "/trailers/t/couplingToAxle/value", Value: 5e-324}},
	)
	if err != nil {
		t.Fatal(err)
	}
	encodes(t, tiny, "o", "an axle under the ball")
	n := 0
	for name, p := range plansToBreak(t) {
		data, _ := plan.Write(p)
		var doc any
		if err := json.Unmarshal(data, &doc); err != nil {
			t.Fatal(err)
		}
		var paths []string
		numbers(doc, "", &paths)
		for _, path := range paths {
			for _, v := range odd {
				if n++; n%stride != 0 {
					continue
				}
				q, err := plan.Apply(p, []finding.Op{{Op: "replace", Path: path, Value: v}})
				if err != nil {
					continue
				}
				for _, o := range p.OutingIDs() {
					encodes(t, q, o, name+" with "+path)
				}
			}
		}
	}
}

func plansToBreak(t testing.TB) map[string]*plan.Plan {
	out := map[string]*plan.Plan{"sample": sample.Plan(t)}
	for _, name := range []string{"skarrow-hut", "heather-hives"} {
		out[name] = sample.Demo(t, name)
	}
	return out
}

// FuzzReport breaks up to six figures of a plan at once.
func FuzzReport(f *testing.F) {
	plans := plansToBreak(f)
	type target struct {
		p     *plan.Plan
		paths []string
	}
	var targets []target
	for _, name := range []string{"sample", "skarrow-hut", "heather-hives"} {
		data, _ := plan.Write(plans[name])
		var doc any
		if err := json.Unmarshal(data, &doc); err != nil {
			f.Fatal(err)
		}
		var paths []string
		numbers(doc, "", &paths)
		slices.Sort(paths)
		targets = append(targets, target{plans[name], paths})
	}
	for i := range 12 {
		f.Add(int64(i), 1.0)
	}
	f.Fuzz(func(t *testing.T, seed int64, v float64) {
		rng := rand.New(rand.NewSource(seed))
		x := targets[rng.Intn(len(targets))]
		var ops []finding.Op
		for range 1 + rng.Intn(6) {
			value := odd[rng.Intn(len(odd))]
			if quantity.Finite(v) && rng.Intn(3) == 0 {
				value = v
			}
			ops = append(ops, finding.Op{Op: "replace", Path: x.paths[rng.Intn(len(x.paths))], Value: value})
		}
		q, err := plan.Apply(x.p, ops)
		if err != nil {
			return
		}
		ids := q.OutingIDs()
		encodes(t, q, ids[rng.Intn(len(ids))], "fuzzed")
	})
}
