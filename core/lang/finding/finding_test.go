package finding_test

import (
	"math"
	"testing"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

func span(n, lo, hi float64) quantity.Range[float64] {
	return quantity.Range[float64]{Nominal: n, Low: lo, High: hi}
}

// Every edge of Under with a limit of 100 and a reserve of a twentieth.
func TestUnder(t *testing.T) {
	for _, c := range []struct {
		figure  quantity.Range[float64]
		outcome finding.Outcome
		tight   finding.Tightness
	}{
		{span(50, 40, 60), finding.Holds, ""},
		{span(95, 95, 95), finding.Holds, ""},
		{span(95.1, 95, 96), finding.Tight, finding.LittleRoom},
		{span(100, 100, 100), finding.Tight, finding.LittleRoom},
		{span(100*(1+1e-10), 100, 100*(1+1e-10)), finding.Tight, finding.LittleRoom}, // within 1e-9
		{span(90, 80, 101), finding.Tight, finding.GuessTooRough},
		{span(101, 90, 120), finding.Fails, ""},
		{span(-5, -10, 0), finding.Holds, ""},
	} {
		if o, tight := finding.Under(c.figure, 100, 0.05); o != c.outcome || tight != c.tight {
			t.Errorf("%v: %s %s", c.figure, o, tight)
		}
	}
}

func TestWorse(t *testing.T) {
	order := []finding.Outcome{finding.Fails, finding.Unknown, finding.Tight, finding.Holds}
	for i, a := range order {
		for k, b := range order {
			if got := finding.Worse(a, b); got != order[min(i, k)] {
				t.Errorf("%s and %s: %s", a, b, got)
			}
		}
		if finding.Worse("", a) != a || finding.Worse(a, "") != a {
			t.Errorf("%s and nothing", a)
		}
	}
}

// Worst first; of equals the essential, then the one with the least margin.
func TestSort(t *testing.T) {
	m := func(v float64) *float64 { return &v }
	fs := []finding.Finding{
		{Code: "holds", Outcome: finding.Holds, Margin: m(0.9)},
		{Code: "tight", Outcome: finding.Tight, Margin: m(0.01)},
		{Code: "minor unknown", Outcome: finding.Unknown},
		{Code: "fails by little", Outcome: finding.Fails, Margin: m(-0.1)},
		{Code: "unknown", Outcome: finding.Unknown, Essential: true},
		{Code: "fails by much", Outcome: finding.Fails, Margin: m(-0.5)},
		{Code: "holds barely", Outcome: finding.Holds, Margin: m(0.2)},
		{Code: "holds, no margin", Outcome: finding.Holds},
	}
	finding.Sort(fs)
	want := []string{"fails by much", "fails by little", "unknown", "minor unknown", "tight", "holds barely", "holds", "holds, no margin"}
	for i, w := range want {
		if fs[i].Code != w {
			t.Errorf("place %d: %s, want %s", i, fs[i].Code, w)
		}
	}
}

func TestMeasure(t *testing.T) {
	if m := finding.Of(quantity.KindMass, span(5, 5, 5)); m.Low != nil || m.High != nil {
		t.Error("an exact figure has no ends")
	}
	if m := finding.Of(quantity.KindMass, span(5, 4, 6)); *m.Low != 4 || *m.High != 6 {
		t.Error("the ends are lost")
	}
	for _, v := range []float64{math.NaN(), math.Inf(1)} {
		if finding.Exactly(quantity.KindMass, v) != nil {
			t.Errorf("%v is a figure", v)
		}
	}
}

func TestKey(t *testing.T) {
	f := finding.Finding{Code: "c", Subject: "/s", Scope: finding.Scope{Trailer: "t", Outing: "o", State: "x", School: "y"}}
	if f.Key() != "c|t|o|x|y|/s" {
		t.Error(f.Key())
	}
}

// An exact figure against its limit, with the boundary's tolerance and what is no figure.
func TestAtMost(t *testing.T) {
	for _, c := range []struct {
		v, limit float64
		want     finding.Outcome
	}{
		{50, 100, finding.Holds}, {90, 100, finding.Holds}, {91, 100, finding.Tight}, {100, 100, finding.Tight}, {100.01, 100, finding.Fails},
		{math.NaN(), 100, finding.Unknown}, {math.Inf(1), 100, finding.Unknown}, {1, 0, finding.Unknown}, {1, math.NaN(), finding.Unknown},
	} {
		var f finding.Finding
		f.AtMost(quantity.KindForce, c.v, c.limit)
		if f.Outcome != c.want || (f.Figure == nil) != (c.want == finding.Unknown) || (f.Margin == nil) != (c.want == finding.Unknown) {
			t.Errorf("%v of %v: %s %v", c.v, c.limit, f.Outcome, f.Margin)
		}
	}
}
