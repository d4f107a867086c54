package tip_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/tip"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// hand raises the empty sample bed of 80 kg by hand, 2.05 m before its hinge.
const hand = `"by":"hand","hinge":{"back":2.1,"up":0},"pick":{"back":0.05,"up":0},"stop":0.8,"prop":true,"propMax":200,
	"mass":{"value":80,"plusMinus":0,"how":"weighed"}`

// struts of 0.44 to 0.85 m stand under the bed at 1.6 m with their feet 0.45 m lower, a little before.
const struts = `,"struts":2,"strutPush":400,"strutClosed":0.44,"strutOpen":0.85,"strutFoot":{"back":1.55,"up":-0.45},"strutPick":{"back":1.6,"up":0}`

func found(t *testing.T, doc, code string, sets ...string) *finding.Finding {
	t.Helper()
	fs := tip.Check(bed(t, doc, sets...))
	for i := range fs {
		if fs[i].Code == code {
			return &fs[i]
		}
	}
	return nil
}

// Each of the further checks, held and broken.
func TestMoreChecks(t *testing.T) {
	empty := []string{"/outings/o/layouts/t/placements", `{}`}
	const ab = `"atHand":{"a":{"order":1,"name":"A","lifts":600,"lifting":true,"brake":true},"b":{"order":2,"name":"B","lifts":300,"lifting":true,"brake":true}}`
	for _, c := range []struct {
		doc, from, to, code string
		want                finding.Outcome
		says                string
		sets                []string
	}{
		{hand + struts, "", "", tip.CodeStrut, finding.Holds, "within their stroke", empty},
		{hand + struts, `"strutPush":400,`, ``, tip.CodeStrut, finding.Unknown, "pushes", empty},
		{hand + struts, `"strutClosed":0.44,`, ``, tip.CodeStrut, finding.Unknown, "closed", empty},
		{hand + struts, `"strutOpen":0.85`, `"strutOpen":0.3`, tip.CodeStrut, finding.Fails, "wrong", empty},
		{hand + struts, `"strutOpen":0.85`, `"strutOpen":0.7`, tip.CodeStrut, finding.Fails, "no stop", empty},
		{hand + struts, `"strutClosed":0.44`, `"strutClosed":0.5`, tip.CodeStrut, finding.Fails, "crushed", empty},
		{hand + struts, `"strutPush":400`, `"strutPush":600`, tip.CodeStrut, finding.Tight, "by themselves", empty},
		{hand + struts, `"strutPush":400`, `"strutPush":1200`, tip.CodeStrut, finding.Fails, "too strong", empty},
		{mast, `"stop":0.8`, `"stop":0.8,"hingePin":0.02,"pinBoth":true`, tip.CodeHinge, finding.Holds, "sheared", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"hingePin":0.004`, tip.CodeHinge, finding.Fails, "thicker", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"mastOf":{"shape":"tube","height":0.1,"width":0.1,"wall":0.006,"material":"s235"}`, tip.CodeMast, finding.Holds, "its foot", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"mastOf":{"shape":"tube","height":0.03,"width":0.03,"wall":0.002,"material":"s235"}`, tip.CodeMast, finding.Fails, "stay", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"mastOf":{"shape":"tube","height":0.08,"width":0.08,"wall":0.09,"material":"s235"}`, tip.CodeMast, finding.Unknown, "section", nil},
		{mast, `"parts":2`, `"parts":2,"lineLong":10`, tip.CodeReach, finding.Holds, "line needs", nil},
		{mast, `"parts":2`, `"parts":2,"lineLong":8`, tip.CodeReach, finding.Fails, "longer line", nil},
		{mast, `"parts":2`, `"parts":2,"layers":1,` + ab, tip.CodeAtHand, finding.Holds, "is B", nil},
		// of 300 a full drum keeps 195, of 600 it keeps 390: 281 on the drum
		{mast, `"parts":2`, `"parts":2,` + ab, tip.CodeAtHand, finding.Holds, "is A: 281 kg on the drum, of 390 kg", nil},
		{mast, `"parts":2`, `"parts":2,` + strings.Replace(ab, "600", "400", 1), tip.CodeAtHand, finding.Unknown, "Enter how many layers", nil},
		{mast, `"parts":2`, `"parts":2,"atHand":{"a":{"order":1,"name":"A","lifts":600,"lifting":false,"brake":true},"b":{"order":2,"name":"B","lifts":90,"lifting":true,"brake":true}}`, tip.CodeAtHand, finding.Tight, "None", nil},
		{mast, `"parts":2`, `"parts":2,"atHand":{"a":{"order":1,"name":"A","lifts":600,"brake":true}}`, tip.CodeAtHand, finding.Unknown, "may do", nil},
		{mast, "", "", tip.CodeSpread, finding.Unknown, "hung", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"gateHung":"top"`, tip.CodeSpread, finding.Holds, "upper pins", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"gateHung":"bottom","sidesTied":true`, tip.CodeSpread, finding.Holds, "tied", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"gateHung":"off"`, tip.CodeSpread, finding.Holds, "stakes", nil},
		{mast, `"stop":0.8`, `"stop":0.8,"pieces":{"p":{"order":1,"name":"Box","at":{"back":1,"up":0}}}`, tip.CodeGear, finding.Unknown, "piece", nil},
	} {
		if c.from != "" && !strings.Contains(c.doc, c.from) {
			t.Fatalf("no %q", c.from)
		}
		f := found(t, strings.Replace(c.doc, c.from, c.to, 1), c.code, c.sets...)
		if f == nil {
			t.Errorf("%s %s: no finding", c.code, c.to)
			continue
		}
		if text := f.Says.Text(quantity.Locale{}); f.Outcome != c.want || !strings.Contains(text, c.says) {
			t.Errorf("%s %s: %s %q", c.code, c.to, f.Outcome, text)
		}
	}
}

// By hand: with the bed flat its front takes 80·0.85/2.05 kg; two struts in frost push 2·400·0.82·(1 + 0.2·(0.85 − L)/0.41),
// L √(0.05² + 0.45²), at their lever.
func TestStrutsHelp(t *testing.T) {
	alone := tip.Pull(tip.New(bed(t, hand, "/outings/o/layouts/t/placements", `{}`)), 0)
	if want := 80 * 9.80665 * (0.85 / 2.05); math.Abs(alone-want) > 1e-6 {
		t.Errorf("alone %v N, want %v", alone, want)
	}
	long := math.Hypot(0.05, 0.45)
	push := 2 * 400 * 0.82 * (1 + 0.2*(0.85-long)/0.41)
	lever := 0.5 * 0.45 / long // up before the hinge
	got := tip.Pull(tip.New(bed(t, hand+struts, "/outings/o/layouts/t/placements", `{}`)), 0)
	if want := alone - push*lever/2.05; math.Abs(got-want) > 1e-6 {
		t.Errorf("with struts %v N, want %v", got, want)
	}
}

// The bed stated as one and as its pieces is the same bed, in any order: 50 kg of floor at the middle and a tailgate of
// 30 kg at 2.4 m are 80 kg whose centre lies at (50·1.25 + 30·2.4)/80 m.
func TestPieces(t *testing.T) {
	pieces := func(a, b int, at float64) string {
		return strings.Replace(mast, `"mass":{"value":80,"plusMinus":0,"how":"weighed"}`, `"pieces":{"f":{"order":`+string(rune('0'+a))+
			`,"name":"Floor","mass":{"value":50,"plusMinus":0,"how":"weighed"},"at":{"back":1.25,"up":0.05}},"g":{"order":`+string(rune('0'+b))+
			`,"name":"Gate","mass":{"value":30,"plusMinus":0,"how":"weighed"},"at":{"back":`+map[bool]string{true: "2.4", false: "1.25"}[at > 2]+`,"up":0.05}}}`, 1)
	}
	one, same := tip.New(bed(t, mast)), tip.New(bed(t, pieces(1, 2, 1.25)))
	if a, b := tip.Pull(one, 0.3), tip.Pull(same, 0.3); math.Abs(a-b) > 1e-9*a {
		t.Errorf("one %v, pieces %v", a, b)
	}
	gate, turned := tip.New(bed(t, pieces(1, 2, 2.4))), tip.New(bed(t, pieces(2, 1, 2.4)))
	if a, b := tip.Pull(gate, 0.3), tip.Pull(turned, 0.3); a != b || !(a < tip.Pull(one, 0.3)) {
		t.Errorf("gate %v, in the other order %v", a, b)
	}
	if c := bed(t, pieces(1, 2, 2.4)).Tip().Likely[0].Centre.X; math.Abs(c-(50*1.25+30*2.4)/80) > 1e-12 {
		t.Errorf("centre %v", c)
	}
}

// The figures of hinge, mast and line by hand from the pull: the hinge bears weight less the line's force; a post of
// 80 × 80 × 5 its moment over W, W = (8⁴ − 7⁴)/12/4 cm³ with sharp corners, more with round ones.
func TestStrengthByHand(t *testing.T) {
	doc := strings.Replace(mast, `"stop":0.8`, `"stop":0.8,"hingePin":0.02,"pinBoth":true,"lineLong":10`, 1)
	r := bed(t, doc)
	s := tip.New(r)
	most := 0.0
	weight := 0.0
	for _, w := range r.Tip().Heavy {
		weight += w.Kg * 9.80665
	}
	for i := range s.Swept {
		f := &s.Swept[i]
		u := math.Hypot(f.Top.X-f.Pick.X, f.Top.Z-f.Pick.Z)
		most = math.Max(most, math.Hypot(f.Pull*(f.Top.X-f.Pick.X)/u, f.Pull*(f.Top.Z-f.Pick.Z)/u-weight))
	}
	if got, want := found(t, doc, tip.CodeHinge).Figure.Value, most*0.65/(2*math.Pi*0.01*0.01); math.Abs(got-want) > 1e-6*want {
		t.Errorf("shear %v, want %v", got, want)
	}
	// two parts of √(0.05² + 2.6²) m, √(0.1² + 2.6²) down the mast, three turns of 0.08 m
	if got, want := found(t, doc, tip.CodeReach).Figure.Value, 2*math.Hypot(0.05, 2.6)+math.Hypot(0.1, 2.6)+3*math.Pi*0.08; math.Abs(got-want) > 1e-9 {
		t.Errorf("line %v, want %v", got, want)
	}
	// the push on the sides: K₀ of gravel's least slope, load over the floor of 2.5 m
	sides := found(t, strings.Replace(mast, `"stop":0.8`, `"stop":0.8,"gateHung":"top"`, 1), tip.CodeSpread)
	it := &r.Items[0]
	if want := (1 - math.Sin(30*math.Pi/180)) * it.Mass.High / (2.5 * r.DeckWidth()) * 0.3 / 2; math.Abs(sides.Figure.Value-want) > 1e-9*want {
		t.Errorf("sides %v kg, want %v", sides.Figure.Value, want)
	}
}
