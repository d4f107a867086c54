package frame_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// cutInto is the sample's frame with something cut out of a member.
func cutInto(id, cut string) string {
	at := strings.Index(doc(usual), `"`+id+`":{`) + len(id) + 4
	return doc(usual)[:at] + `"cuts":{"a":` + cut + `},` + doc(usual)[at:]
}

// worst is the greatest use of a member over all cases, and where.
func worst(t *testing.T, doc, member string) (use, at float64) {
	t.Helper()
	p := frame.Whole(resolve(t, doc))
	for _, m := range p.Members {
		if m.Name == member && m.Use != nil {
			return m.Use.Value, m.At.Value
		}
	}
	t.Fatalf("no %s", member)
	return 0, 0
}

// The drawbar of 80 × 80 × 4 bends over the front cross member, 970 mm from its beginning. A hole of 20
// through its flanges there takes 2·20·4 mm² at ±38: I = 111 − 2·(0.8·3.8²) = 88 cm⁴, four fifths, so its
// bending counts 1.26 times. A notch of 30 off its underside leaves less than half; a plate over it gives some
// back. What is cut where nothing bends changes nothing.
func TestCuts(t *testing.T) {
	whole, at := worst(t, doc(usual), "drawbar")
	if math.Abs(at-0.97) > 0.03 {
		t.Fatalf("the drawbar is worst at %v", at)
	}
	cases := []struct {
		cut       string
		low, high float64 // times the whole's use
	}{
		{`{"order":1,"what":"hole","at":0.97,"size":0.02}`, 1.15, 1.30},
		{`{"order":1,"what":"hole","at":0.97,"size":0.02,"face":"left"}`, 1.0, 1.06}, // near its middle height
		{`{"order":1,"what":"notch","at":0.97,"size":0.03,"long":0.06,"face":"bottom"}`, 2.2, 20},
		{`{"order":1,"what":"notch","at":0.97,"size":0.03,"long":0.06,"face":"bottom","closed":true}`, 1.6, 2.2},
		{`{"order":1,"what":"notch","at":0.1,"size":0.005,"long":0.02,"face":"bottom"}`, 1, 1},
	}
	for _, c := range cases {
		use, _ := worst(t, cutInto("drawbar", c.cut), "drawbar")
		if r := use / whole; r < c.low-1e-9 || r > c.high+1e-9 {
			t.Errorf("%s: %.3f times the whole, want %v to %v", c.cut, r, c.low, c.high)
		}
	}
}

// Sharp corners are flagged, round ones stated; what goes right through, beyond the end or into the end bears
// nothing.
func TestCutsTold(t *testing.T) {
	f := find(t, resolve(t, cutInto("left", `{"order":1,"what":"notch","at":1,"size":0.02,"long":0.1}`)), frame.CodeCuts)
	if f.Outcome != finding.Tight || !strings.Contains(f.Says.Text(quantity.Locale{}), "sharp corners") {
		t.Errorf("%+v", f)
	}
	f = find(t, resolve(t, cutInto("left", `{"order":1,"what":"notch","at":1,"size":0.02,"long":0.1,"rounded":true}`)), frame.CodeCuts)
	if f.Outcome != finding.Holds || f.Figure == nil || f.Figure.Value > 0.7 || f.Figure.Value < 0.1 {
		t.Errorf("%+v", f)
	}
	for _, c := range []string{
		`{"order":1,"what":"notch","at":1,"size":0.2,"long":0.1}`, `{"order":1,"what":"hole","at":9,"size":0.01}`,
		`{"order":1,"what":"notch","at":1,"size":0.02,"face":"rear"}`, `{"order":1,"what":"hole","at":1,"size":0.01,"off":0.2}`,
	} {
		r := resolve(t, cutInto("left", c))
		if f := find(t, r, frame.CodeWhole); f.Outcome != finding.Fails || r.Drawn.Whole {
			t.Errorf("%s: %+v", c, f)
		}
	}
}

// A member that is split where nothing else meets it bears what it bore: the joint of its halves holds
// neither against buckling.
func TestSplitBearsAlike(t *testing.T) {
	whole, _ := worst(t, doc(usual), "drawbar")
	d := doc(usual)
	at := strings.Index(d, `"drawbar":{`)
	front := strings.Replace(d[at:], `"to":{"back":1.27`, `"to":{"back":-0.5`, 1)
	rear := strings.Replace(strings.Replace(d[at:], `"from":{"back":-0.95`, `"from":{"back":-0.5`, 1), `"drawbar":{"order":8,"name":"drawbar"`, `"rear":{"order":9,"name":"rear"`, 1)
	split := d[:at] + strings.TrimSuffix(front, "}}") + "," + rear
	a, _ := worst(t, split, "drawbar")
	b, _ := worst(t, split, "rear")
	if math.Abs(math.Max(a, b)-whole) > 0.002*whole {
		t.Errorf("split %v and %v, whole %v", a, b, whole)
	}
}

// A notch that is too deep can be closed or left out: both are offered, and both bear more.
func TestCutWays(t *testing.T) {
	r := resolve(t, cutInto("drawbar", `{"order":1,"what":"notch","at":0.97,"size":0.03,"long":0.06,"face":"bottom","rounded":true}`))
	f := find(t, r, frame.CodeStrength)
	offered := 0
	for _, w := range frame.Ways(r, &f) {
		if strings.Contains(w.Name.Text(quantity.Locale{}), "notch") {
			offered++
		}
	}
	if offered != 2 {
		t.Errorf("%d ways out of a notch, %s", offered, f.Says.Text(quantity.Locale{}))
	}
}
