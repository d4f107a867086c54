package box_test

import (
	"math"
	"math/rand/v2"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/ask/box"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"

	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

// body is a box of 2 × 1.2 × 1.5 m of steel tube and plywood with a roof.
const body = `"long":2,"wide":1.2,"high":1.5,"stick":{"shape":"tube","height":0.03,"width":0.03,"wall":0.002,"material":"s235"},"apart":0.6,
	"skin":"plywood","skinThick":0.009,"roof":true,"braced":"skin","bolts":6,"boltAcross":0.008,"boltGrade":"8.8","latches":2,"latchMax":300`

// on puts a body on the sample's deck (2.5 × 1.5 m) with half a cubic metre of gravel where that is wanted.
func on(t *testing.T, doc string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/parts", `{"b":{"order":1,"name":"Box","size":{},"centre":{},"box":{` + doc + `}}}`, "/outings/o/layouts/t/parts", `{"b":{"at":{"back":0.2}}}`,
		"/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`, "/trailers/t/track", `{"value":1.4,"plusMinus":0,"how":"weighed"}`,
		"/outings/o/layouts/t/placements", `{}`,
	}, sets...)...), "t", "o")
}

var gravel = []string{
	"/loads", `{"l":{"order":1,"name":"Gravel","kind":"heap","size":{"length":{"value":2,"how":"weighed"},"width":{"value":1.2,"how":"weighed"}},"centre":{},
		"bulk":{"material":"gravel","by":"volume","volume":{"value":0.48,"plusMinus":0,"how":"weighed"}}}}`,
	"/outings/o/layouts/t/placements", `{"l":{"on":"deck","at":{"back":0.2}}}`,
}

func found(t *testing.T, r *rig.Rig, code string) *finding.Finding {
	t.Helper()
	fs := box.Check(r)
	for i := range fs {
		if fs[i].Code == code {
			return &fs[i]
		}
	}
	return nil
}

// By hand: 5 posts a side and 1 between the corners of each end, of 1.5 m; rails of 4 × 2 m and 4 × 1.2 m; three bows of
// 1.2 m: 38.4 m of 2.2 cm² or so; plywood 2·3 + 2·1.8 + 2.4 m² of 9 mm. The part weighs what its pieces do.
func TestMassIsItsPieces(t *testing.T) {
	r := on(t, body)
	b := r.Plan.Parts["b"].Box
	sticks, skin := 0.0, 0.0
	for _, p := range parts.BoxPieces(b) {
		sticks += float64(p.Count) * p.Long
		skin += float64(p.Count) * p.Area
	}
	if want := 10*1.5 + 2*1*1.5 + 4*2 + 4*1.2 + 3*1.2; math.Abs(sticks-want) > 1e-9 {
		t.Errorf("%v m of sticks, want %v", sticks, want)
	}
	if want := 2*3 + 2*1.8 + 2.4; math.Abs(skin-want) > 1e-9 {
		t.Errorf("%v m² of skin, want %v", skin, want)
	}
	m, back, up := parts.BoxMass(b)
	stick := 2.14e-4 * 7850 // 30 × 30 × 2 with round corners, EN 10219-2: 2.14 cm²
	if want := sticks*stick + skin*0.009*625; math.Abs(m.Nominal-want) > 0.01*want {
		t.Errorf("%v kg, want %v", m.Nominal, want)
	}
	if math.Abs(back-1) > 1e-9 || up < 0.75 || up > 0.95 { // the same before and behind; the roof lifts it
		t.Errorf("centre %v, %v", back, up)
	}
	if it := r.Items[0]; math.Abs(it.Mass.Nominal-m.Nominal) > 1e-9 {
		t.Errorf("on the trailer %v kg", it.Mass.Nominal)
	}
}

// The body in the balance is the same thing as a part that is stated with its mass, size and centre.
func TestBoxIsAPart(t *testing.T) {
	a := on(t, body)
	b := a.Plan.Parts["b"].Box
	m, back, up := parts.BoxMass(b)
	share := math.Max(m.High-m.Nominal, m.Nominal-m.Low) / m.Nominal
	num := func(v float64) string { return strings.TrimSpace(quantityText(v)) }
	c := on(t, body, "/parts", `{"b":{"order":1,"name":"Box","mass":{"value":`+num(m.Nominal)+`,"relative":`+num(share)+`,"how":"typical"},
		"size":{"length":{"value":2,"how":"weighed"},"width":{"value":1.2,"how":"weighed"},"height":{"value":1.5,"how":"weighed"}},
		"centre":{"back":{"value":`+num(back)+`,"how":"weighed"},"right":{"value":0,"how":"weighed"},"up":{"value":`+num(up)+`,"how":"weighed"}}}}`)
	if x, y := a.Bears.Ball, c.Bears.Ball; math.Abs(x.Nominal-y.Nominal) > 1e-6 || math.Abs(x.Low-y.Low) > 0.02 || math.Abs(x.High-y.High) > 0.02 {
		t.Errorf("built %+v, stated %+v", x, y)
	}
	if x, y := a.CentreHeight(), c.CentreHeight(); math.Abs(x.Nominal-y.Nominal) > 1e-6 {
		t.Errorf("height %+v, stated %+v", x, y)
	}
}

// mower is a machine of a kind that rolls, without its wheels stated.
func mower(kg string) []string {
	return []string{"/loads/crate/kind", `"ride-on"`, "/loads/crate/mass/value", kg, "/outings/o/layouts/t/placements", `{"crate":{"on":"deck","at":{"back":0.3}}}`}
}

// Each check, held and broken.
func TestChecks(t *testing.T) {
	for _, c := range []struct {
		from, to, code string
		sets           []string
		want           finding.Outcome
		says           string
	}{
		{"", "", box.CodeMass, nil, finding.Holds, "payload"},
		{`"skinThick":0.009`, `"skinThick":0.04`, box.CodeMass, nil, finding.Tight, "uses up"},
		{`"stick":{"shape":"tube","height":0.03,"width":0.03,"wall":0.002,"material":"s235"},`, ``, box.CodeRacking, nil, "", ""},
		{`"high":1.5`, `"high":2.4`, box.CodeWind, nil, finding.Tight, "gale"},
		{`"high":1.5`, `"high":0.4`, box.CodeWind, nil, finding.Holds, "side gust"},
		{`"high":1.5`, `"high":4`, box.CodeWind, nil, finding.Fails, "turn it over"},
		{`"latches":2`, `"latches":2,"lowest":2.5`, box.CodeHeight, nil, finding.Holds, "lowest gate"},
		{`"latches":2`, `"latches":2,"lowest":2.1`, box.CodeHeight, nil, finding.Fails, "Build it lower"},
		{`"latches":2`, `"latches":2,"rampDoor":true,"stiles":3`, box.CodeDoor, nil, finding.Holds, "one person lifts"},
		{`"skinThick":0.009`, `"skinThick":0.03,"rampDoor":true,"stiles":5`, box.CodeDoor, nil, finding.Fails, "struts"},
		{`"latches":2`, `"latches":2,"rampDoor":true`, box.CodeRamp, nil, finding.Unknown, "stiles"},
		{`"latches":2`, `"latches":2,"rampDoor":true,"stiles":3`, box.CodeRamp, nil, finding.Holds, "Two stiles"},
		{"", "", box.CodeBulk, gravel, finding.Fails, "headboard"},
		{`"skinThick":0.009`, `"skinThick":0.035`, box.CodeBulk, gravel, finding.Holds, "net"},
		{`"apart":0.6,`, ``, box.CodeBulk, gravel, finding.Unknown, "posts"},
		{`"skin":"plywood"`, `"skin":"glass"`, box.CodeBulk, gravel, finding.Unknown, "skin"},
		{"", "", box.CodePosts, gravel, finding.Fails, "posts"},
		{`"height":0.03,"width":0.03,"wall":0.002`, `"height":0.06,"width":0.06,"wall":0.004`, box.CodePosts, gravel, finding.Holds, "a post carries"},
		{`"latchMax":300`, `"latchMax":200`, box.CodeLatch, gravel, finding.Fails, "latch"},
		{`"latchMax":300`, `"latchMax":900`, box.CodeLatch, gravel, finding.Holds, "latch"},
		{`"latches":2,`, ``, box.CodeLatch, gravel, finding.Unknown, "latches"},
		// 8.4 m of tube at 1.68 kg and 1.8 m² of plywood at 700 kg/m³ are 25.4 kg in two leaves 1.5 × 0.6:
		// 2·12.7·0.6/(2·0.8·1.5) = 6.4 kg across, 2·12.7/2 = 12.7 kg down: 14.2 kg
		{`"latches":2`, `"latches":2,"leaves":2,"hinges":2,"hingeMax":17`, box.CodeHinges, nil, finding.Holds, "through the frame"},
		{`"latches":2`, `"latches":2,"leaves":2,"hinges":2,"hingeMax":8`, box.CodeHinges, nil, finding.Fails, "farther apart"},
		{`"latches":2`, `"latches":2,"leaves":2,"hinges":2,"hingeMax":40`, box.CodeHinges, gravel, finding.Fails, "two leaves"},
		{`"latches":2`, `"latches":2,"leaves":2,"hinges":1,"hingeMax":40`, box.CodeHinges, nil, finding.Unknown, "hinges"},
		{`"latches":2`, `"latches":2,"leaves":2,"hinges":2`, box.CodeHinges, nil, finding.Unknown, "hinge can take"},
		{`"latches":2`, `"latches":2,"rampDoor":true,"stiles":3,"hinges":4,"hingeMax":100`, box.CodeHinges, mower("400"), finding.Fails, "bar"},
		{`"latches":2`, `"latches":2,"rampDoor":true,"stiles":3,"hinges":4,"hingeMax":300`, box.CodeHinges, mower("400"), finding.Holds, "worst hinge"},
		{"", "", box.CodeGusts, nil, finding.Holds, "swings"},
		{`"high":1.5`, `"high":4`, box.CodeGusts, []string{"/trailers/t/empty", `{"ball":{"mass":10,"plusMinus":0},"axle":{"mass":130,"plusMinus":0}}`}, finding.Tight, "ballast"},
		{"", "", box.CodeRacking, nil, finding.Holds, "aside"},
		{`"braced":"skin"`, `"braced":"none"`, box.CodeRacking, nil, finding.Fails, "diagonal"},
		{`"material":"s235"`, `"material":"c24"`, box.CodeRacking, nil, finding.Holds, "aside"},
		{`"material":"s235"},"apart":0.6,`, `"material":"c24"},"apart":0.6,"x":0,`, box.CodeHeld, nil, finding.Holds, "washers"},
		{`"boltAcross":0.008`, `"boltAcross":0.004`, box.CodeHeld, gravel, finding.Fails, "thicker"},
		{`"boltGrade":"8.8"`, `"pockets":false`, box.CodeHeld, nil, finding.Tight, "weakest"},
		{`"bolts":6`, `"bolts":0`, box.CodeHeld, nil, finding.Unknown, "bolts"},
		{"", "", box.CodeHeld, []string{"/outings/o/layouts/t/placements", `{"crate":{"on":"deck","at":{"back":0.5}}}`, "/loads/crate/mass", "-", "/loads/crate/kind", "-"}, finding.Unknown, "weight of what"},
		{"", "", box.CodeLatch, []string{"/outings/o/layouts/t/placements", `{"crate":{"on":"deck","at":{"back":0.5}}}`, "/loads/crate/mass", "-", "/loads/crate/kind", "-"}, finding.Unknown, "weight of what"},
		{"", "", box.CodePosts, append(gravel[:len(gravel):len(gravel)], "/loads/l/bulk/volume", "-"), finding.Unknown, "weight of what"},
		{"", "", box.CodeMass, []string{"/trailers/t/label", "-"}, finding.Unknown, "is not known"},
		{`"latches":2`, `"latches":2,"doorWide":1.3,"doorHigh":2`, box.CodeOut, nil, finding.Holds, "gets out"},
		{`"latches":2`, `"latches":2,"doorWide":1.22,"doorHigh":2`, box.CodeOut, nil, finding.Tight, "just"},
		{`"latches":2`, `"latches":2,"doorWide":1.1,"doorHigh":2`, box.CodeOut, nil, finding.Fails, "come apart in 2"},
		{`"latches":2`, `"latches":2,"doorWide":0.9,"doorHigh":0.9`, box.CodeOut, nil, finding.Fails, "together there"},
		{`"latches":2`, `"latches":2,"pathWide":1.3,"corner":1.3`, box.CodeOut, nil, finding.Fails, "come apart in 2"},
		{`"latches":2`, `"latches":2,"helpers":2`, box.CodeCarry, nil, finding.Tight, "There are 2"},
		{`"latches":2`, `"latches":2,"helpers":9`, box.CodeCarry, nil, finding.Holds, "people"},
		{"", "", box.CodeWind, []string{"/trailers/t/track", "-"}, finding.Unknown, "track"},
		{`"latches":2`, `"latches":2,"doorWide":1.3`, box.CodeOut, nil, finding.Unknown, "how high"},
		{`"latches":2`, `"latches":2,"corner":1.3`, box.CodeOut, nil, finding.Unknown, "path"},
		{`"latches":2`, `"latches":2,"rampDoor":true,"stiles":3`, box.CodeRamp, mower("400"), finding.Fails, "a prop"},
		{`"latches":2`, `"latches":2,"rampDoor":true,"stiles":3`, box.CodeRamp, append(mower("400"), "/loads/crate/mass", "-"), finding.Fails, "a prop"}, // as heavy as its kind may be
		{`"latches":2`, `"latches":2,"rampDoor":true,"stiles":3`, box.CodeRamp, append(mower("400"), "/loads/crate/mass", "-", "/loads/crate/kind", "-", "/loads/crate/rolling", `{}`), finding.Unknown, "weight of what"},
	} {
		if c.from != "" && !strings.Contains(body, c.from) {
			t.Fatalf("no %q", c.from)
		}
		doc := strings.Replace(strings.Replace(body, c.from, c.to, 1), `"x":0,`, "", 1)
		f := found(t, on(t, doc, c.sets...), c.code)
		if c.want == "" {
			if f != nil {
				t.Errorf("%s: %s", c.code, f.Outcome)
			}
			continue
		}
		if f == nil {
			t.Errorf("%s %s: no finding", c.code, c.to)
			continue
		}
		if says := f.Says.Text(quantity.Locale{}); f.Outcome != c.want || !strings.Contains(says, c.says) || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s %s: %s %q", c.code, c.to, f.Outcome, says)
		}
	}
}

func quantityText(v float64) string { return strconv.FormatFloat(v, 'g', -1, 64) }

// The wind by hand: a wall of 2 × 1.5 m at 0.6 + 0.75 m on a trailer of the empty weight and the body's least, 0.7 m to the wheel:
// w² = m·g·0.7/(½·1.225·1.2·3·1.35) standing; driven w·√(w² + (80/3.6)²) is as much.
func TestWindByHand(t *testing.T) {
	r := on(t, body)
	m, _, _ := parts.BoxMass(r.Plan.Parts["b"].Box)
	k := (r.EmptyMass().Low + m.Low) * 9.80665 * 0.7 / (0.5 * 1.225 * 1.2 * 3 * 1.35)
	w := found(t, r, box.CodeWind).Figure.Value
	if got := w * math.Sqrt(w*w+80*80/3.6/3.6); math.Abs(got-k) > 1e-6*k {
		t.Errorf("%v m/s: %v, want %v", w, got, k)
	}
}

// Bulk by hand: 960 kg at most stand 0.2 m high over 2.4 m²; at the headboard, two bays of 0.6 m, the skin's foot bears
// K₀·ρ·g·h + 0.8·m·g/(1.2·0.2) Pa, its post (F·h/3 + 0.8·m·g/1.2·h/2)·0.6 N·m.
func TestBulkByHand(t *testing.T) {
	r := on(t, body, gravel...)
	kg := r.Items[1].Mass.High
	if r.Items[1].Part {
		kg = r.Items[0].Mass.High
	}
	k, g := 0.5, 9.80665
	p := k*kg/(2.4*0.2)*g*0.2 + 0.8*kg*g/(1.2*0.2)
	if got, want := found(t, r, box.CodeBulk).Figure.Value, p*0.36/8/(0.009*0.009/6); math.Abs(got-want) > 1e-6*want {
		t.Errorf("skin %v, want %v", got, want)
	}
	push := k * kg / (2.4 * 0.2) * g * 0.02
	moment := (push*0.2/3 + 0.8*kg*g/1.2*0.1) * 0.6
	s, _ := section.Of(parts.SizeOf(r.Plan.Parts["b"].Box.Stick))
	if got, want := found(t, r, box.CodePosts).Figure.Value, moment/s.Wy; math.Abs(got-want) > 1e-6*want {
		t.Errorf("post %v, want %v", got, want)
	}
}

// Racking: a portal on pins with stiff corners leans by H·h²·(h/(3·I) + w/(6·I))/(2·E)… of Kleinlogel, both ends sharing; a
// diagonal makes it far stiffer, a skin too, and corner braces lie between.
func TestRacking(t *testing.T) {
	b := box.Bodies(on(t, body))[0]
	not := b.Rack(plan.BracedNot)
	s, _ := section.Of(parts.SizeOf(b.Plan().Stick))
	h, w, e := 1.5, 1.2, 210e9
	half := b.Push() / 4 // each foot's share of an end's push
	want := half * h * h * (h/3 + w/6) / (e * s.Iy)
	if math.Abs(not.Leans-want) > 0.01*want {
		t.Errorf("leans %v m, by the portal %v", not.Leans, want)
	}
	if stress := half * h / s.Wy; math.Abs(not.Stress-stress) > 0.03*stress { // and a little from the rail's and posts' N
		t.Errorf("bears %v, by the portal %v", not.Stress, stress)
	}
	knees, diagonal, skin := b.Rack(plan.BracedCorners), b.Rack(plan.BracedDiagonals), b.Rack(plan.BracedSkin)
	if !(knees.Leans < not.Leans) || !(diagonal.Leans < knees.Leans/5) || !(skin.Leans < not.Leans/5) {
		t.Errorf("none %v, corners %v, diagonals %v, skin %v", not.Leans, knees.Leans, diagonal.Leans, skin.Leans)
	}
	// a panel alone: F·h/(G·t·w), both ends
	panel := b.Push() / 2 * h / (0.5 * 0.5e9 * 0.009 * w)
	if skin.Leans > panel*1.2 || skin.Leans < panel { // posts and rails give a little besides
		t.Errorf("skin %v, a panel alone %v", skin.Leans, panel)
	}
	// an end that is open leans on the other under a roof, and falls without one where its corners are hinged; a door is no panel.
	// By hand: the front takes all of F, roof and sides the couple F/2·l: F·h/(G·t·w) there, F/2·l/(G·t·w) of the roof and
	// 2·(F/2·l/w)·h/(G·t·l)/w·l of the turning at the rear.
	timber := func(more string) *box.Body {
		thick := strings.NewReplacer("s235", "c24", `"height":0.03,"width":0.03,"wall":0.002`, `"height":0.08,"width":0.08,"wall":0.03`)
		return box.Bodies(on(t, thick.Replace(body)+more))[0]
	}
	open := timber(`,"openRear":true`)
	f, gt, l := open.Push(), 0.5*0.5e9*0.009, 2.0
	byHand := f*h/(gt*w) + f/2*l/(gt*w) + 2*(f/2*l/w)*h/(gt*l)/w*l
	if got := open.Rack(plan.BracedSkin); got.Falls || got.Leans < byHand || got.Leans > 1.3*byHand { // rails and posts give too
		t.Errorf("open behind it leans %v, by hand %v", got.Leans, byHand)
	}
	if door := timber(`,"leaves":2`); door.Rack(plan.BracedSkin).Leans < 2*timber("").Rack(plan.BracedSkin).Leans {
		t.Error("a door counts as a wall")
	}
	roofless := box.Bodies(on(t, strings.Replace(strings.Replace(body, "s235", "c24", 1), `"roof":true`, `"openRear":true`, 1)))[0]
	if !roofless.Rack(plan.BracedSkin).Falls {
		t.Error("an open end of hinged corners stands")
	}
	// forward: 0.8 g of half of it on the sides' panels
	if got, want := timber("").RackAlong(plan.BracedSkin).Leans, timber("").PushAlong()/2*h/(gt*l); got < want || got > 1.2*want {
		t.Errorf("forward %v, by its panels %v", got, want)
	}
	if !timber("").RackAlong(plan.BracedNot).Falls {
		t.Error("hinged corners stand lengthways")
	}
	stiff := box.Bodies(on(t, strings.Replace(body, "s235", "c24", 1)))[0]
	if !stiff.Rack(plan.BracedNot).Falls || stiff.Rack(plan.BracedDiagonals).Falls {
		t.Error("timber's corners are hinges")
	}
}

// The best way out is the best of all six, whichever way it is built: its sizes in another order need the same room.
func TestWaysOut(t *testing.T) {
	for _, order := range []string{`"long":2,"wide":1.2,"high":1.5`, `"long":1.5,"wide":2,"high":1.2`, `"long":1.2,"wide":1.5,"high":2`} {
		doc := strings.Replace(body, `"long":2,"wide":1.2,"high":1.5`, order, 1) + `,"doorWide":1.4,"doorHigh":2.1,"pathWide":1.7,"corner":1.6`
		w := box.Bodies(on(t, doc))[0].Ways()
		if len(w) != 6 || math.Abs(w[0].Room()-0.1319513) > 1e-6 { // 2 m long, 1.2 wide round the corner: a scan outside the code
			t.Errorf("%s: %+v", order, w[0])
		}
		for _, o := range w {
			if o.Room() > w[0].Room()+1e-9 {
				t.Errorf("%s is better", o.Name)
			}
		}
	}
}

// A picture of everything; without a corner there is no path.
func TestShow(t *testing.T) {
	s := box.Show(on(t, body+`,"pathWide":1.7,"corner":1.6`))
	if len(s) != 1 || s[0].Path == nil || len(s[0].Pieces) != 11 || len(s[0].Ways) != 6 || s[0].Mass == nil || s[0].Ways[0].Room == nil {
		t.Errorf("%+v", s)
	}
	if s = box.Show(on(t, body)); s[0].Path != nil || s[0].Ways[0].Room != nil {
		t.Errorf("%+v", s[0].Ways)
	}
}

// Wherever it stands on the deck, wind, mass and the way out do not change; mirrored, the other wheel bears the same.
func TestSameBody(t *testing.T) {
	of := func(doc string, sets ...string) (wind, mass, out float64) {
		r := on(t, doc+`,"doorWide":1.4,"doorHigh":2.1`, sets...)
		return found(t, r, box.CodeWind).Figure.Value, found(t, r, box.CodeMass).Figure.Value, found(t, r, box.CodeOut).Figure.Value
	}
	w, m, o := of(body)
	for name, c := range map[string]struct {
		doc  string
		sets []string
	}{
		"shifted":    {body, []string{"/outings/o/layouts/t/parts", `{"b":{"at":{"back":0.4}}}`}},
		"aside":      {body, []string{"/outings/o/layouts/t/parts", `{"b":{"at":{"back":0.2,"right":0.1}}}`}},
		"other side": {body, []string{"/outings/o/layouts/t/parts", `{"b":{"at":{"back":0.2,"right":-0.1}}}`}},
	} {
		if a, b, c := of(c.doc, c.sets...); math.Abs(a-w) > 1e-9 || math.Abs(b-m) > 1e-9 || math.Abs(c-o) > 1e-9 {
			t.Errorf("%s: %v %v %v, want %v %v %v", name, a, b, c, w, m, o)
		}
	}
	// with its sizes changed over and set on across it is the same body to wind
	across := strings.Replace(body, `"long":2,"wide":1.2`, `"long":1.2,"wide":2`, 1)
	turned := on(t, across, "/outings/o/layouts/t/parts", `{"b":{"at":{"back":0.2},"turn":90}}`)
	weighs, _, _ := parts.BoxMass(turned.Plan.Parts["b"].Box)
	k := (turned.EmptyMass().Low + weighs.Low) * 9.80665 * 0.7 / (0.5 * 1.225 * 1.2 * 3 * 1.35)
	if v := found(t, turned, box.CodeWind).Figure.Value; math.Abs(v*math.Sqrt(v*v+80*80/3.6/3.6)-k) > 1e-6*k {
		t.Errorf("turned: %v m/s", v)
	}
	left := on(t, body, "/outings/o/layouts/t/parts", `{"b":{"at":{"back":0.2,"right":-0.1}}}`)
	right := on(t, body, "/outings/o/layouts/t/parts", `{"b":{"at":{"back":0.2,"right":0.1}}}`)
	if a, b := left.Bears, right.Bears; math.Abs(a.Left.Nominal-b.Right.Nominal) > 1e-9 || math.Abs(a.Ball.Nominal-b.Ball.Nominal) > 1e-9 {
		t.Errorf("mirrored: %+v %+v", a.Left, b.Right)
	}
}

// The way out as it is drawn has its tightest place where the closed sums have it, whichever way is best.
func TestWayOutAgrees(t *testing.T) {
	r := on(t, body)
	rnd := rand.New(rand.NewPCG(3, 4))
	p := r.Plan.Parts["b"].Box
	for range 400 {
		m := func(low, high float64) *quantity.Length {
			v := quantity.Length(low + rnd.Float64()*(high-low))
			return &v
		}
		p.Long, p.Wide, p.High = *m(0.5, 3), *m(0.5, 2), *m(0.3, 2)
		p.DoorWide, p.DoorHigh, p.PathWide, p.Corner = nil, nil, nil, nil
		if rnd.IntN(3) > 0 {
			p.DoorWide, p.DoorHigh = m(0.6, 3), m(1.5, 2.5)
		}
		if rnd.IntN(3) > 0 {
			p.PathWide = m(0.6, 3)
			if rnd.IntN(3) > 0 {
				p.Corner = m(0.6, 3)
			}
		}
		s := box.Show(r)[0]
		if p.DoorWide == nil && p.PathWide == nil {
			if s.Path != nil || s.Ways[0].Room != nil {
				t.Fatal("a way out of nothing")
			}
			continue
		}
		if got, want := s.Turns[s.Tight].Room, *s.Ways[0].Room; math.Abs(got-want) > 0.003 {
			t.Fatalf("%+v %+v: drawn %v, said %v", *p, s.Ways[0], got, want)
		}
		for _, x := range s.Turns {
			for _, q := range x.Shape.Points {
				if q[0] < s.Path.Min[0] || q[0] > s.Path.Max[0] || q[1] < s.Path.Min[1] || q[1] > s.Path.Max[1] {
					t.Fatal("drawn beside the picture")
				}
			}
		}
	}
}
