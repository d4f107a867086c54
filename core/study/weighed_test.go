package study_test

import (
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/study"
)

// A value at the ball is a reading after the last; at the ends of a load it is its weight: front and rear of
// 60 and 40 kg, 2 m apart, are 100 kg with the centre 0.8 m behind the front, in whatever order they are
// read again.
func TestEnter(t *testing.T) {
	p := sample.Plan(t)
	put := func(w study.Weighed) {
		t.Helper()
		e := study.Enter(p, "t", "o", &w)
		if e.Wrong != nil {
			t.Fatalf("%+v: %s", w, saidText(e.Wrong))
		}
		next, err := plan.Apply(p, e.Ops)
		if err != nil {
			t.Fatalf("%+v: %v", w, err)
		}
		if problems := plan.Clean(next); len(problems) > 0 {
			t.Fatalf("%+v: %+v", w, problems)
		}
		p = next
	}
	put(study.Weighed{At: "ball", ID: "a", Value: 48, Doubt: 0.2})
	put(study.Weighed{At: "left", ID: "b", Value: 310, Doubt: 0.4})
	readings := p.Outings["o"].Layouts["t"].Readings
	if a, b := readings["a"], readings["b"]; a.What != plan.ReadBall || a.Mass != 48 || *a.PlusMinus != 0.2 || b.Order != a.Order+1 {
		t.Errorf("%+v", readings)
	}
	length := float64(p.Loads["crate"].Size.Length.Value)
	put(study.Weighed{At: study.PlaceFront, Load: "crate", Value: 50, Doubt: 1})
	if e := p.Loads["crate"].Ends; !e.One || float64(e.RearAt) != length || e.Front.Value != 50 {
		t.Errorf("%+v", e)
	}
	put(study.Weighed{At: study.PlaceFront, Load: "crate", Value: 60, Doubt: 1})
	if e := p.Loads["crate"].Ends; !e.One || e.Rear.Value != 60 {
		t.Errorf("%+v", e)
	}
	put(study.Weighed{At: study.PlaceRear, Load: "crate", Value: 40, Doubt: 1})
	if e := p.Loads["crate"].Ends; e.One || e.Front.Value != 60 || e.Rear.Value != 40 {
		t.Errorf("%+v", e)
	}
	put(study.Weighed{At: study.PlaceFront, Load: "crate", Value: 61, Doubt: 1})
	if e := p.Loads["crate"].Ends; e.One || e.Front.Value != 61 || e.Rear.Value != 40 {
		t.Errorf("%+v", e)
	}
}

// What cannot be written down is said, and nothing is changed; a rear end alone is no front end.
func TestEnterRefuses(t *testing.T) {
	for _, c := range []struct {
		w    study.Weighed
		sets []string
		says string
	}{
		{study.Weighed{At: "ball", ID: "a", Value: 0}, nil, "not a weight"},
		{study.Weighed{At: "ball", ID: "a", Value: 5, Doubt: -1}, nil, "not a weight"},
		{study.Weighed{At: "roof", ID: "a", Value: 5}, nil, "not a place"},
		{study.Weighed{At: "ball", Value: 5}, nil, "does not take"},
		{study.Weighed{At: study.PlaceRear, Load: "crate", Value: 5}, nil, "front end first"},
		{study.Weighed{At: study.PlaceFront, Load: "none", Value: 5}, nil, "Which load"},
		{study.Weighed{At: study.PlaceFront, Load: "crate", Value: 5}, []string{"/loads/crate/size", "{}"}, "How long"},
	} {
		e := study.Enter(sample.Plan(t, c.sets...), "t", "o", &c.w)
		if c.says == "" && e.Wrong != nil || !strings.Contains(saidText(e.Wrong), c.says) || e.Ops == nil || c.says != "" && len(e.Ops) > 0 {
			t.Errorf("%+v: %q %+v", c.w, saidText(e.Wrong), e.Ops)
		}
	}
}
