package plan_test

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"reflect"
	"strings"
	"testing"

	"zygonos/core/lang/finding"
	"zygonos/core/plan"
)

// doc is a plan as a bare document.
func doc(t testing.TB, p *plan.Plan) (out map[string]any) {
	t.Helper()
	data, err := json.Marshal(p)
	if err == nil {
		err = json.Unmarshal(data, &out)
	}
	if err != nil {
		t.Fatal(err)
	}
	return out
}

// leaves lists the paths of a document with their parents.
func leaves(v any, path string, out *[]string) {
	if m, ok := v.(map[string]any); ok {
		for k, x := range m {
			at := path + "/" + strings.ReplaceAll(strings.ReplaceAll(k, "~", "~0"), "/", "~1")
			*out = append(*out, at)
			leaves(x, at, out)
		}
	}
}

// onDocument is the patch's operation on a bare document, with no types.
func onDocument(d map[string]any, op finding.Op) error {
	at := strings.Split(op.Path, "/")[1:]
	for _, k := range at[:len(at)-1] {
		next, ok := d[k].(map[string]any)
		if !ok {
			return fmt.Errorf("no %q", k)
		}
		d = next
	}
	last := at[len(at)-1]
	was, exists := d[last]
	switch {
	case op.Op == "add":
	case !exists:
		return fmt.Errorf("no %q", last)
	case op.Op == "remove":
		delete(d, last)
		return nil
	case op.Op == "test" && !reflect.DeepEqual(was, op.Value):
		return fmt.Errorf("another value")
	}
	d[last] = op.Value
	return nil
}

// A patch through the plan's types does to each demo plan what it does to its bare document.
func TestApplyAsOnDocument(t *testing.T) {
	rnd := rand.New(rand.NewPCG(3, 9))
	for _, name := range []string{"skarrow-hut", "heather-hives"} {
		p, _ := demoPlan(t, name)
		var paths []string
		leaves(doc(t, p), "", &paths)
		for range 400 {
			path := paths[rnd.IntN(len(paths))]
			bare := doc(t, p)
			var at any = bare
			for _, k := range strings.Split(path, "/")[1:] {
				at = at.(map[string]any)[k]
			}
			op := finding.Op{Op: []string{"remove", "replace", "add", "test"}[rnd.IntN(4)], Path: path, Value: at}
			if rnd.IntN(4) == 0 {
				op.Path += "x" // nothing is called so
			}
			wanted := onDocument(bare, op)
			got, err := plan.Apply(p, []finding.Op{op})
			if strings.HasSuffix(op.Path, "x") && op.Op == "add" && err != nil {
				continue // a member that the type does not have
			}
			if (wanted == nil) != (err == nil) {
				t.Fatalf("%s %s: on the document %v, on the plan %v", op.Op, op.Path, wanted, err)
			}
			if err != nil || strings.HasSuffix(op.Path, "x") {
				continue
			}
			data, _ := json.Marshal(bare)
			var through plan.Plan
			if err := json.Unmarshal(data, &through); err != nil {
				t.Fatal(err)
			}
			if !reflect.DeepEqual(doc(t, &through), doc(t, got)) {
				t.Fatalf("%s %s: the plan is another than its document", op.Op, op.Path)
			}
		}
	}
}

// What is patched shares nothing with what it came from.
func TestApplySharesNothing(t *testing.T) {
	p, _ := demoPlan(t, "skarrow-hut")
	before := doc(t, p)
	q, err := plan.Apply(p, nil)
	if err != nil {
		t.Fatal(err)
	}
	for id, l := range q.Loads {
		if l.Mass != nil {
			l.Mass.Value++
		}
		delete(q.Loads, id)
	}
	for _, o := range q.Outings {
		for _, l := range o.Layouts {
			clear(l.Placements)
			clear(l.Parts)
		}
	}
	if !reflect.DeepEqual(before, doc(t, p)) {
		t.Error("a change of the copy changed the plan")
	}
}

func BenchmarkApply(b *testing.B) {
	p, _ := demoPlan(b, "skarrow-hut")
	op := []finding.Op{{Op: "replace", Path: "/loads/skiff/name", Value: "x"}}
	for b.Loop() {
		q, err := plan.Apply(p, op)
		if err != nil || len(plan.Clean(q)) > 0 {
			b.Fatal(err)
		}
	}
}
