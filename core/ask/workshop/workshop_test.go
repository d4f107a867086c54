package workshop_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/workshop"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

func found(t *testing.T, doc, code string) *finding.Finding {
	t.Helper()
	fs := workshop.Check(rig.Resolve(sample.Plan(t, "/trailers/t/workshop", "{"+doc+"}"), "t", "o"))
	for i := range fs {
		if fs[i].Code == code {
			return &fs[i]
		}
	}
	return nil
}

// sides of 1.5 × 2.5 m whose rear stands so far to the right.
func sides(skew float64) string {
	l := math.Hypot(2.5, skew)
	return fmt.Sprintf(`"square":{"front":1.5,"rear":1.5,"left":%.7f,"right":%.7f,"fromFL":%.7f,"fromFR":%.7f}`,
		l, l, math.Hypot(2.5, 1.5+skew), math.Hypot(2.5, 1.5-skew))
}

// wires to two spindles 1.6 m apart, the axle 2.5 m behind the coupling and its right end so far ahead, rad.
func wires(yaw float64) string {
	s, c := math.Sincos(yaw)
	return fmt.Sprintf(`"left":%.7f,"right":%.7f,"apart":1.6`, math.Hypot(2.5+0.8*s, 0.8*c), math.Hypot(2.5-0.8*s, 0.8*c))
}

func stands(h [4]float64, by string) string {
	out := []string{}
	for i, p := range [4][2]float64{{0, -0.7}, {0, 0.7}, {2.5, 0.7}, {2.5, -0.7}} {
		out = append(out, fmt.Sprintf(`"s%d":{"order":%d,"name":"%s","back":%v,"right":%v,"read":%v}`, i, i+1, string(rune('A'+i)), p[0], p[1], h[i]))
	}
	return `"level":{"by":"` + by + `","stands":{` + strings.Join(out, ",") + `}}`
}

// Each instrument, held and broken.
func TestChecks(t *testing.T) {
	deg := math.Pi / 180
	for _, c := range []struct {
		doc, code string
		want      finding.Outcome
		says      string
	}{
		{sides(0), workshop.CodeSquare, finding.Holds, "as far as the tape can show"},
		{sides(0.004), workshop.CodeSquare, finding.Holds, "too far to the right"},
		{sides(-0.012), workshop.CodeSquare, finding.Tight, "rear left corner towards the front right"},
		{strings.Replace(sides(0.0065), `"square":{`, `"square":{"tape":0.003,`, 1), workshop.CodeSquare, finding.Tight, "more care"},
		{strings.Replace(sides(0), `"fromFL":2.9`, `"fromFL":2.95`, 1), workshop.CodeSquare, finding.Unknown, "do not agree"},
		{`"square":{"front":1.5,"rear":1.5}`, workshop.CodeSquare, finding.Unknown, "five"},
		{`"square":{"legA":1.5,"legB":2,"across":2.5}`, workshop.CodeTriangle, finding.Holds, "2500"},
		{`"square":{"legA":1.5,"legB":2,"across":2.52}`, workshop.CodeTriangle, finding.Tight, "open"},
		{`"square":{"legA":1.5,"legB":2,"across":4}`, workshop.CodeTriangle, finding.Fails, "no triangle"},
		{stands([4]float64{0.5, 0.5, 0.5, 0.5}, "laser"), workshop.CodeLevel, finding.Holds, "No twist"},
		{stands([4]float64{0.5, 0.5, 0.52, 0.5}, "laser"), workshop.CodeLevel, finding.Tight, "under C: a shim of 20"},
		{stands([4]float64{0.5, 0.5, 0.48, 0.5}, "water"), workshop.CodeLevel, finding.Tight, "under C: a shim of 20"},
		{`"level":{"stands":{"a":{"order":1,"name":"A","back":0,"right":0,"read":1}}}`, workshop.CodeLevel, finding.Unknown, "three stands"},
		{`"axle":{` + wires(0) + `}`, workshop.CodeAxle, finding.Holds, "square"},
		{`"axle":{` + wires(0.6*deg) + `,"hangers":1.1}`, workshop.CodeAxle, finding.Tight, "right hanger 12 mm"}, // 1.1·tan 0.6°
		{`"axle":{` + wires(-1.5*deg) + `,"hangers":1.1,"slots":0.01}`, workshop.CodeAxle, finding.Fails, "slots"},
		{`"axle":{` + wires(0.3*deg) + `,"tape":0.003}`, workshop.CodeAxle, finding.Tight, "more care"},
		{`"axle":{"left":1,"right":3,"apart":1.6}`, workshop.CodeAxle, finding.Fails, "no triangle"},
		{`"axle":{"left":1}`, workshop.CodeAxle, finding.Unknown, "spindles"},
		{`"axle":{` + wires(0) + `,"secondLeft":3.4,"secondRight":3.4,"tape":0.0005}`, workshop.CodeTandem, finding.Holds, "dragged sideways"},
		{`"axle":{` + wires(0) + `,"secondLeft":3.42,"secondRight":3.4,"tape":0.0005}`, workshop.CodeTandem, finding.Tight, "hangers"},
		{`"axle":{` + wires(0) + `,"secondLeft":3.46,"secondRight":3.4,"tape":0.0005}`, workshop.CodeTandem, finding.Fails, "hangers"},
		{`"axle":{` + wires(0) + `,"rimFront":1.6,"rimRear":1.601,"rimAcross":0.35,"tape":0.0002}`, workshop.CodeToe, finding.Holds, "toed in"},
		{`"axle":{` + wires(0) + `,"rimFront":1.604,"rimRear":1.6,"rimAcross":0.35,"tape":0.0005}`, workshop.CodeToe, finding.Tight, "bent"},
		{`"axle":{` + wires(0) + `,"rimFront":1.6,"rimRear":1.601,"rimAcross":0.35}`, workshop.CodeToe, finding.Tight, "rough"},
	} {
		f := found(t, c.doc, c.code)
		if f == nil {
			t.Errorf("%s %.60s: no finding", c.code, c.doc)
			continue
		}
		if says := f.Says.Text(quantity.Locale{}); f.Outcome != c.want || !strings.Contains(says, c.says) || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s %.90s: %s %q", c.code, c.doc, f.Outcome, says)
		}
	}
}

// An axle that sits aside but square reads as a yaw until both rails are taped to the hubs.
func TestAside(t *testing.T) {
	l, r := math.Hypot(2.5, 0.8-0.02), math.Hypot(2.5, 0.8+0.02) // 20 mm to the right
	doc := fmt.Sprintf(`"axle":{"left":%.7f,"right":%.7f,"apart":1.6`, l, r)
	if f := found(t, doc+`}`, workshop.CodeAxle); f.Outcome != finding.Tight || !strings.Contains(f.Says.Text(quantity.Locale{}), "looks the same") {
		t.Errorf("%s %q", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
	if f := found(t, doc+`,"railLeft":0.23,"railRight":0.27}`, workshop.CodeAxle); f.Outcome != finding.Holds || f.Figure.Value > 0.001 {
		t.Errorf("%s %+v", f.Outcome, f.Figure)
	}
}

// The drawing shows what the tape can tell: a frame within its doubt is drawn square and without an arrow, one that is off with
// it; every stand has its shim; an axle that stands square is level across; 3-4-5 fits the sides.
func TestShow(t *testing.T) {
	show := func(doc string) *workshop.Drawn {
		return workshop.Show(rig.Resolve(sample.Plan(t, "/trailers/t/workshop", "{"+doc+"}"), "t", "o"))
	}
	still, off := show(sides(0.001)), show(sides(0.012))
	if n := len(still.Square.Shapes); n != 2 {
		t.Errorf("square as far as the tape can show: %d shapes", n)
	}
	a, b := still.Square.Shapes[0].Points, still.Square.Shapes[1].Points
	for i := range a {
		if math.Hypot(a[i][0]-b[i][0], a[i][1]-b[i][1]) > 1e-9 {
			t.Errorf("drawn off by %v", b[i][0]-a[i][0])
		}
	}
	if n := len(off.Square.Shapes); n != 5 { // arrow in two strokes, its millimetres
		t.Errorf("off square: %d shapes", n)
	}
	if tr := off.Triangle; math.Abs(math.Hypot(tr[0], tr[1])-tr[2]) > 1e-12 || tr[2] == 0 {
		t.Errorf("triangle %v", tr)
	}
	if l := show(stands([4]float64{0.5, 0.5, 0.52, 0.5}, "laser")).Level; len(l.Shapes) != 1+4*2 {
		t.Errorf("%d shapes of four stands", len(l.Shapes))
	}
	straight, askew := show(`"axle":{`+wires(0)+`}`).Axle, show(`"axle":{`+wires(0.02)+`}`).Axle
	if p := straight.Shapes[2].Points; math.Abs(p[0][1]-p[1][1]) > 1e-9 {
		t.Errorf("a square axle is drawn askew: %v", p)
	}
	if p := askew.Shapes[2].Points; !(p[1][1] < p[0][1]-0.02) { // its right end ahead, on top
		t.Errorf("drawn %v", p)
	}
	if d := show(`"square":{"front":1}`); d.Square != nil || d.Level != nil || d.Axle != nil {
		t.Errorf("%+v", d)
	}
}
