package frame_test

import (
	"strings"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/begin"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// A closed tube that goes to the bath unvented fails; vented it holds; an aluminium member fails whatever its
// holes; undipped nothing is asked. The bath is asked for, and too small a one fails.
func TestDipped(t *testing.T) {
	with := func(fields string) string { return `{` + fields + strings.TrimPrefix(doc(usual), "{") }
	plain := resolve(t, doc(usual))
	if fs, _ := frame.Check(plain); len(of(fs, frame.CodeVents)) > 0 {
		t.Error("vents of a frame that is not dipped")
	}
	r := resolve(t, with(`"dipped":true,`))
	if f := find(t, r, frame.CodeVents); f.Outcome != finding.Fails || f.Figure.Value != 5 {
		t.Errorf("%s %+v", f.Outcome, f.Figure)
	}
	if f := find(t, r, frame.CodeBath); f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("%s", f.Outcome)
	}
	p := sample.Plan(t, sets(with(`"dipped":true,"bathLong":7,"bathWide":1.3,"bathDeep":2.5,`))...)
	ops, err := begin.Patch(p, &begin.Asked{What: "vents", ID: "v", Trailer: "t"})
	if err != nil {
		t.Fatal(err)
	}
	if p, err = plan.Apply(p, ops); err != nil {
		t.Fatal(err)
	}
	r = rig.Resolve(p, "t", "o")
	for _, code := range []string{frame.CodeVents, frame.CodeBath} {
		if f := find(t, r, code); f.Outcome != finding.Holds {
			t.Errorf("%s %s", code, f.Outcome)
		}
	}
	if d := frame.Whole(r).Dip; d == nil || d.Zinc.Value < 2 || d.Zinc.Value > 15 || len(d.Rows) != 8 {
		t.Errorf("%+v", d)
	}
	// on its side: 1.24 m wide into 0.5, 0.12 deep into 2.5
	narrow := resolve(t, with(`"dipped":true,"bathLong":7,"bathWide":0.5,"bathDeep":2.5,`))
	if f := find(t, narrow, frame.CodeBath); f.Outcome != finding.Holds {
		t.Errorf("on its side %s", f.Outcome)
	}
	short := resolve(t, with(`"dipped":true,"bathLong":3,"bathWide":1.5,"bathDeep":2.5,`))
	if f := find(t, short, frame.CodeBath); f.Outcome != finding.Fails {
		t.Errorf("3 m long %s", f.Outcome)
	}
	mixed := resolve(t, strings.Replace(with(`"dipped":true,`), `"material":"s235"`, `"material":"al6082"`, 1))
	if f := find(t, mixed, frame.CodeVents); f.Outcome != finding.Fails || !strings.Contains(f.Says.Text(p.Locale()), "aluminium") {
		t.Errorf("%s", f.Says.Text(p.Locale()))
	}
	// what the zinc weighs counts once
	a, b := plain.EmptyMass().Nominal, resolve(t, with(`"dipped":true,`)).EmptyMass().Nominal
	if d := b - a; d < 2 || d > 15 {
		t.Errorf("dipped it weighs %v more", d)
	}
}

func of(fs []finding.Finding, code string) (out []finding.Finding) {
	for _, f := range fs {
		if f.Code == code {
			out = append(out, f)
		}
	}
	return out
}
