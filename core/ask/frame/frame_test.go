package frame_test

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

const (
	rail  = `{"shape":"tube","height":0.08,"width":0.04,"wall":0.003,"material":"s235"}`
	cross = `{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}`
	bar   = `{"shape":"tube","height":0.08,"width":0.08,"wall":0.004,"material":"s235"}`
)

// doc is a ladder under the sample's deck (1.0 m behind the ball, 2.5 m long, 1.4 m wide; axle 2.5 m behind
// the ball): rails 1.2 m apart, five cross bars flush with them, a drawbar under the front three.
func doc(profile func(id string) string) string {
	var b strings.Builder
	b.WriteString(`{"extra":0,"springLength":0.6,"members":{`)
	add := func(n int, id, role string, x0, y0, x1, y1, up float64) {
		if n > 1 {
			b.WriteByte(',')
		}
		fmt.Fprintf(&b, `%q:{"order":%d,"name":%q,"role":%q,"from":{"back":%v,"right":%v,"up":%v},"to":{"back":%v,"right":%v,"up":%v},"profile":%s}`,
			id, n, id, role, x0, y0, up, x1, y1, up, profile(id))
	}
	add(1, "left", "rail", 0, -0.6, 2.5, -0.6, 0)
	add(2, "right", "rail", 0, 0.6, 2.5, 0.6, 0)
	for i := range 5 {
		x := 0.02 + float64(i)*0.615
		add(3+i, "c"+string(rune('0'+i)), "cross", x, -0.58, x, 0.58, 0)
	}
	add(8, "drawbar", "drawbar", -0.95, 0, 1.27, 0, -0.04)
	b.WriteString("}}")
	return b.String()
}

func usual(id string) string {
	switch id {
	case "left", "right":
		return rail
	case "drawbar":
		return bar
	}
	return cross
}

// exact are the sample's trailer by its drawing, with no doubt but in what is neither drawn nor fitted.
func sets(frame string, more ...string) []string {
	return append([]string{
		"/trailers/t/frame", frame, "/trailers/t/empty", "{}", "/trailers/t/runningGear", `{"value":70,"plusMinus":0,"how":"weighed"}`,
		"/trailers/t/suspension", `"leaf"`, "/trailers/t/deckHeight", `{"value":0.55,"plusMinus":0,"how":"weighed"}`,
		"/trailers/t/floor", `"open"`, "/trailers/t/couplingHeight", "0.45",
	}, more...)
}

func resolve(t *testing.T, frame string, more ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, sets(frame, more...)...), "t", "o")
}

func find(t *testing.T, r *rig.Rig, code string) finding.Finding {
	t.Helper()
	fs, _ := frame.Check(r)
	return sample.Find(t, append(fs, frame.Rest(r)...), code)
}

// What the frame's supports bear is what balance says of the same rig: ball and wheels, to a millionth.
func TestSupportsAgree(t *testing.T) {
	for _, more := range [][]string{
		nil,
		{sample.Crate + "/at/back", "0.2"},
		{sample.Crate + "/at/right", "0.15"},
		{"/trailers/t/suspension", `"torsion"`},
		{"/trailers/t/suspension", `"none"`},
		{"/trailers/t/couplingToAxle/value", "2.7"},
		{"/trailers/t/sideHeight", "0.3"},
		{"/loads/crate/contents", `{"a":{"order":1,"name":"A","mass":{"value":60,"plusMinus":0,"how":"weighed"},"at":{"back":0.9,"right":0.2,"up":0.3}}}`},
		{"/loads/top", `{"order":2,"name":"Top","mass":{"value":50,"plusMinus":0,"how":"weighed"},"size":{},"centre":{}}`,
			"/outings/o/layouts/t/placements/top", `{"on":"load","id":"crate","at":{"back":0.4,"right":0.1}}`},
	} {
		r := resolve(t, doc(usual), more...)
		got := frame.Reactions(r)
		want := []float64{r.Bears.Ball.Nominal, r.Bears.Left.Nominal, r.Bears.Right.Nominal}
		for i := range want {
			if math.Abs(got[i]-want[i]) > 1e-6*math.Abs(want[i]) {
				t.Errorf("%v: supports bear %v, balance says %v", more, got, want)
				break
			}
		}
	}
}

// On two axles the springs share; all together the supports bear what there is, and one wheel on a kerb takes
// from the other axle and twists the frame.
func TestTandem(t *testing.T) {
	r := resolve(t, doc(usual), "/trailers/t/axles", "2", "/trailers/t/axleGap", "0.6", "/trailers/t/frame/springLength", "0.5")
	sum := func(v []float64) (s float64) {
		for _, x := range v {
			s += x
		}
		return s
	}
	level, kerb := frame.Reactions(r), frame.ReactionsOf(r, "kerb")
	if len(level) != 5 || math.Abs(sum(level)-r.Bears.Mass.Nominal) > 1e-6*sum(level) {
		t.Fatalf("%v bear %v of %v", level, sum(level), r.Bears.Mass.Nominal)
	}
	if math.Abs(sum(kerb)-sum(level)) > 1e-6*sum(level) {
		t.Errorf("on a kerb %v", kerb)
	}
	if frame.UseOf(r, "kerb") <= frame.UseOf(r, "level") {
		t.Error("a kerb under one wheel of two axles twists nothing")
	}
	for _, id := range []string{"kerb", "scrub"} {
		if frame.UseOf(r, id) <= 0 {
			t.Errorf("%s uses nothing", id)
		}
	}
}

// A bump on one wheel alone leaves the other wheel as it was: the rig lifts about the ball and rolls.
func TestOneWheel(t *testing.T) {
	r := resolve(t, doc(usual), sample.Crate+"/at/right", "0.1")
	level, bump := frame.Reactions(r), frame.ReactionsOf(r, "bump-right")
	if math.Abs(bump[1]-level[1]) > 1e-6*level[1] {
		t.Errorf("level %v, bump %v", level, bump)
	}
	sprung := level[2] - 35 // half of the axle is not sprung
	if want := level[2] + sprung*(r.Shock()-1); math.Abs(bump[2]-want) > 1e-6*want {
		t.Errorf("the wheel bears %v, want %v", bump[2], want)
	}
}

// A drawbar alone in front of the first cross bar bends as a beam on ball and cross bar: with the ball load
// R and the shock k the moment where it meets the front cross bar is k·R·l less its own weight's part.
func TestDrawbarMoment(t *testing.T) {
	r := resolve(t, doc(usual))
	stress := frame.StressAt(r, "bump", "drawbar", 0.97) // 0.95 + 0.02, at the front cross bar
	ball := r.Bears.Ball.Nominal - 4                     // the coupling head hangs on the ball itself
	w := 9.22                                            // kg/m by the table
	l := 1.02                                            // from ball to cross bar
	jockey := 8.5 * (l - 0.4)
	want := 2 * 9.80665 * (ball*l - w*0.97*0.97/2 - jockey) / 27.8e-6 // W 27.8 cm³ by EN 10219-2
	if math.Abs(stress-want) > 0.01*want {
		t.Errorf("bends with %.4g Pa, by hand %.4g", stress, want)
	}
}

func TestOutcomes(t *testing.T) {
	if f := find(t, resolve(t, doc(usual), "/loads/crate/mass/value", "250"), frame.CodeStrength); f.Outcome != finding.Holds || len(f.Work()) != 2 {
		t.Errorf("%s %+v %s %+v", f.Outcome, f.Figure, f.Says.Text(quantity.Locale{}), f.Needs)
	}
	thin := func(id string) string {
		if id == "drawbar" {
			return `{"shape":"tube","height":0.04,"width":0.04,"wall":0.002,"material":"s235"}`
		}
		return usual(id)
	}
	f := find(t, resolve(t, doc(thin)), frame.CodeStrength)
	if f.Outcome != finding.Fails || !strings.HasSuffix(f.Subject, "/drawbar") {
		t.Errorf("a thin drawbar: %s %s %+v", f.Outcome, f.Subject, f.Figure)
	}
	// a channel for a drawbar is twisted where the load stands to one side
	channel := func(id string) string {
		if id == "left" || id == "right" {
			return `{"shape":"channel","height":0.08,"width":0.04,"wall":0.004,"material":"s235"}`
		}
		return usual(id)
	}
	if f := find(t, resolve(t, doc(channel), sample.Crate+"/at/right", "0.2"), frame.CodeOpen); f.Outcome != finding.Tight {
		t.Errorf("open rails under a load to one side: %s", f.Outcome)
	}
	for name, more := range map[string][]string{
		"an unweighed load": {"/loads/crate/mass", "-", "/loads/crate/kind", "-"},
		"an island": {"/trailers/t/frame/members/i", `{"order":9,"name":"I","from":{"back":3,"right":-0.2},"to":{"back":3,"right":0.2},"profile":` +
			cross + `}`},
		"drawn twice": {"/trailers/t/frame/members/again", `{"order":9,"name":"Again","from":{"back":0,"right":-0.6},"to":{"back":2.5,"right":-0.6},"profile":` +
			rail + `}`},
		"no drawbar":         {"/trailers/t/frame/members/drawbar", "-"},
		"no axle":            {"/trailers/t/couplingToAxle", "-"},
		"rails end too soon": {"/trailers/t/frame/members/left/to/back", "1.6", "/trailers/t/frame/members/right/to/back", "1.6", "/trailers/t/frame/members/c3", "-", "/trailers/t/frame/members/c4", "-"},
	} {
		fs, _ := frame.Check(resolve(t, doc(usual), more...))
		for _, f := range fs {
			if (f.Code == frame.CodeStrength || f.Code == frame.CodeWhole) && (f.Outcome != finding.Unknown || len(f.Needs) == 0) {
				t.Errorf("%s: %s is %s, needs %d", name, f.Code, f.Outcome, len(f.Needs))
			}
		}
		if len(fs) == 0 {
			t.Errorf("%s: nothing is said", name)
		}
	}
	// a hinge in a drawbar that only one cross bar holds: it folds
	f = find(t, resolve(t, doc(usual), "/trailers/t/frame/members/left/fromJoint", `"hinge"`), frame.CodeStrength)
	if f.Outcome == finding.Fails && f.Figure == nil {
		t.Errorf("hinged: %+v", f)
	}
}

// Heavier loads, a harder road: never less is used. A thicker wall of the member that is used most brings its
// use down.
func TestMonotone(t *testing.T) {
	last := 0.0
	for _, m := range []string{"100", "200", "400", "700"} {
		f := find(t, resolve(t, doc(usual), "/loads/crate/mass/value", m), frame.CodeStrength)
		if f.Figure.Value < last {
			t.Errorf("%s kg use %v, less than %v", m, f.Figure.Value, last)
		}
		last = f.Figure.Value
	}
	road := find(t, resolve(t, doc(usual)), frame.CodeStrength)
	track := find(t, resolve(t, doc(usual), "/outings/o/road", `"track"`), frame.CodeStrength)
	if track.Figure.Value <= road.Figure.Value {
		t.Errorf("track %v, road %v", track.Figure.Value, road.Figure.Value)
	}
	last = math.Inf(1)
	for _, wall := range []string{"0.003", "0.004", "0.005"} {
		r := resolve(t, doc(func(id string) string {
			if id == "drawbar" {
				return `{"shape":"tube","height":0.08,"width":0.08,"wall":` + wall + `,"material":"s235"}`
			}
			return usual(id)
		}))
		if s := frame.StressAt(r, "bump", "drawbar", 0.97); s >= last {
			t.Errorf("wall %s: %v, not under %v", wall, s, last)
		} else {
			last = s
		}
	}
}

// Mirrored, and with its members in another order, the frame is used the same.
func TestSame(t *testing.T) {
	a := find(t, resolve(t, doc(usual), sample.Crate+"/at/right", "0.2"), frame.CodeStrength)
	b := find(t, resolve(t, doc(usual), sample.Crate+"/at/right", "-0.2"), frame.CodeStrength)
	// jack and corner stand on the right, so the cases that do not are held against each other
	for _, id := range [][2]string{{"bump-left", "bump-right"}, {"bend-left", "bend-right"}, {"brake", "brake"}} {
		x := frame.UseOf(resolve(t, doc(usual), sample.Crate+"/at/right", "0.2"), id[0])
		y := frame.UseOf(resolve(t, doc(usual), sample.Crate+"/at/right", "-0.2"), id[1])
		if math.Abs(x-y) > 1e-6*x {
			t.Errorf("%v: %v mirrored is %v", id, x, y)
		}
	}
	if a.Outcome != b.Outcome {
		t.Errorf("%s mirrored is %s", a.Outcome, b.Outcome)
	}
	turned := strings.Replace(doc(usual), `"order":1,`, `"order":12,`, 1)
	if c := find(t, resolve(t, turned, sample.Crate+"/at/right", "0.2"), frame.CodeStrength); math.Abs(c.Figure.Value-a.Figure.Value) > 1e-6 {
		t.Errorf("other order: %v, %v", c.Figure.Value, a.Figure.Value)
	}
}

// The frame of TestGrid stands on three corners: softer without its cross bars, stiffer closed than open.
func TestTwist(t *testing.T) {
	p := frame.Whole(resolve(t, doc(usual)))
	if p.Twist == nil {
		t.Fatal("no twist")
	}
	q := frame.Whole(resolve(t, doc(func(id string) string {
		if strings.HasPrefix(id, "c") {
			return `{"shape":"channel","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}`
		}
		return usual(id)
	})))
	if q.Twist == nil || q.Twist.Corner.Value <= p.Twist.Corner.Value {
		t.Errorf("open cross bars %+v, closed %+v", q.Twist, p.Twist)
	}
	// the angle is the dip over the rails' distance, a kN·m over 1.2 m is 0.8333 kN
	dip := p.Twist.Corner.Value / (100 * 9.80665) * (1000 / 1.2)
	if want := dip / 1.2; math.Abs(p.Twist.Degrees.Value-want) > 1e-9 {
		t.Errorf("angle %v, want %v", p.Twist.Degrees.Value, want)
	}
}

// The scale's figure is held against the drawing.
func TestWeighed(t *testing.T) {
	drawn := resolve(t, doc(usual)).EmptyMass().Nominal
	for off, want := range map[float64]finding.Outcome{0: finding.Holds, 10: finding.Holds, 90: finding.Tight, -60: finding.Tight} {
		m := fmt.Sprint(drawn + off - 20)
		f := find(t, resolve(t, doc(usual), "/trailers/t/empty", `{"ball":{"mass":20,"plusMinus":0},"axle":{"mass":`+m+`,"plusMinus":0}}`), frame.CodeWeighed)
		if f.Outcome != want {
			t.Errorf("off by %v kg: %s: %s", off, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
}

// Nothing drawn, nothing said.
func TestNone(t *testing.T) {
	if fs, p := frame.Check(rig.Resolve(sample.Plan(t), "t", "o")); len(fs) > 0 || p != nil {
		t.Error("a bought trailer is asked for its frame")
	}
}

func BenchmarkFrame(b *testing.B) {
	r := rig.Resolve(sample.Plan(b, sets(doc(usual))...), "t", "o")
	for b.Loop() {
		frame.Check(r)
	}
}

func BenchmarkAllCases(b *testing.B) {
	r := rig.Resolve(sample.Plan(b, sets(doc(usual))...), "t", "o")
	for b.Loop() {
		frame.Whole(r)
	}
}

// Rails 1.2 m apart and 40 mm wide reach 620 mm from the middle; a track of 1.6 m leaves 800 − 82.5 − 620 =
// 97.5 mm beside a tyre of 165 mm, one of 1.42 m 7.5 mm, one of 1.36 m none; a tyre of no stated size counts 205 mm. A tyre that ends under the rails has room.
func TestWheels(t *testing.T) {
	for track, want := range map[string]struct {
		outcome finding.Outcome
		room    float64
	}{"1.6": {finding.Holds, 0.0975}, "1.42": {finding.Tight, 0.0075}, "1.36": {finding.Fails, -0.0225}} {
		f := find(t, resolve(t, doc(usual), "/trailers/t/track/value", track, "/trailers/t/tyreText", `"165 R13C 94N"`), frame.CodeWheels)
		if f.Outcome != want.outcome || math.Abs(f.Figure.Value-want.room) > 1e-9 {
			t.Errorf("track %s: %s %+v", track, f.Outcome, f.Figure)
		}
	}
	if f := find(t, resolve(t, doc(usual), "/trailers/t/track/value", "1.6"), frame.CodeWheels); math.Abs(f.Figure.Value-0.0775) > 1e-9 {
		t.Errorf("a tyre of no told size: %+v", f.Figure)
	}
	// a wheel of 0.4 m under a deck at 0.55: 150 mm under it, the rails end 80 mm under it
	fs, _ := frame.Check(resolve(t, doc(usual), "/trailers/t/track/value", "1.1", "/trailers/t/wheelDiameter", "0.4"))
	for _, f := range fs {
		if f.Code == frame.CodeWheels {
			t.Errorf("under the deck: %s", f.Outcome)
		}
	}
}

// A rail in two pieces that are welded end to end is one rail.
func TestTwoPieces(t *testing.T) {
	whole := frame.UseOf(resolve(t, doc(usual)), "bump")
	two := frame.UseOf(resolve(t, doc(usual), "/trailers/t/frame/members/left/to/back", "0.94", "/trailers/t/frame/members/rest",
		`{"order":20,"name":"rest","role":"rail","from":{"back":0.94,"right":-0.6},"to":{"back":2.5,"right":-0.6},"profile":`+rail+`}`), "bump")
	if math.Abs(two-whole) > 1e-6*whole {
		t.Errorf("in two pieces %v, whole %v", two, whole)
	}
}

// A frame whose cross members are bolted: the dip that the model with a share of 0.3 gives is read back as
// 0.3, and it is computed with; a welded frame that dips more than expected has a joint that gives.
func TestTwistRead(t *testing.T) {
	bolts := []string{}
	for i := range 5 {
		at := fmt.Sprintf("/trailers/t/frame/members/c%d/", i)
		bolts = append(bolts, at+"fromJoint", `"bolt"`, at+"toJoint", `"bolt"`)
	}
	for _, share := range []float64{0.2, 0.3, 0.8} {
		dip := frame.DipAt(resolve(t, doc(usual), bolts...), share) * 60 * 9.80665
		told := append([]string{"/trailers/t/frame/twistLoad", "60", "/trailers/t/frame/twistDip", fmt.Sprint(dip)}, bolts...)
		r := resolve(t, doc(usual), told...)
		if got := frame.Narrowed(r); math.Abs(got-share) > 0.002 {
			t.Errorf("a share of %v is read back as %v", share, got)
		}
		if f := find(t, r, frame.CodeTwist); f.Figure == nil || math.Abs(f.Figure.Value-dip) > 1e-9 {
			t.Errorf("%+v", f)
		}
	}
	welded := frame.DipAt(resolve(t, doc(usual)), 0.5) * 60 * 9.80665
	for times, want := range map[float64]finding.Outcome{1: finding.Holds, 1.5: finding.Tight, 0.6: finding.Holds} {
		r := resolve(t, doc(usual), "/trailers/t/frame/twistLoad", "60", "/trailers/t/frame/twistDip", fmt.Sprint(welded*times))
		if f := find(t, r, frame.CodeTwist); f.Outcome != want {
			t.Errorf("%v times: %s", times, f.Outcome)
		}
	}
}

// What could be lighter is offered with the weight it saves, and holds once it is taken.
func TestLighter(t *testing.T) {
	heavy := func(id string) string {
		if strings.HasPrefix(id, "c") {
			return `{"shape":"tube","height":0.08,"width":0.08,"wall":0.004,"material":"s235"}`
		}
		return usual(id)
	}
	p := sample.Plan(t, sets(strings.ReplaceAll(doc(heavy), `"up":-0.04`, `"up":-0.08`), "/loads/crate/mass/value", "200")...)
	r := rig.Resolve(p, "t", "o")
	found := frame.Whole(r).Lighter
	at := slices.IndexFunc(found, func(l frame.Lighter) bool {
		return strings.Contains(l.Says.Text(quantity.Locale{}), "cross")
	})
	if at < 0 {
		t.Fatalf("%+v", found)
	}
	q, err := plan.Apply(p, found[at].Patch)
	if err != nil {
		t.Fatal(err)
	}
	lighter := rig.Resolve(q, "t", "o")
	if got := r.Drawn.Mass - lighter.Drawn.Mass; math.Abs(got-found[at].Saves.Value) > 1e-9 {
		t.Errorf("saves %v kg, said %v", got, found[at].Saves.Value)
	}
	if !lighter.Drawn.Whole {
		t.Error("the lighter cross members no longer meet the drawbar")
	}
	if f := find(t, lighter, frame.CodeStrength); f.Outcome == finding.Fails {
		t.Errorf("%s %+v", f.Outcome, f.Figure)
	}
}

// Cracks begin first where bumps work a weld hardest: worst first, with their band; aluminium is not known.
func TestCracks(t *testing.T) {
	r := resolve(t, doc(usual))
	got := frame.Whole(r).Cracks
	sorted := slices.IsSortedFunc(got, func(a, b frame.Crack) int { return cmp.Compare(b.Share.Value, a.Share.Value) })
	if len(got) == 0 || !sorted {
		t.Fatalf("%+v", got)
	}
	for _, c := range got {
		if c.Class.Value != 71e6 && c.Class.Value != 36e6 || *c.Range.Low >= *c.Range.High ||
			math.Abs(c.Share.Value-c.Range.Value/c.Class.Value) > 1e-12 {
			t.Errorf("%+v", c)
		}
		// ±0.75 g about the weight: one and a half times what it bears at rest
		if c.Name == "drawbar" && math.Abs(c.At.Value-0.97) < 0.02 {
			if want := frame.StressAt(r, "level", "drawbar", 0.97) * 1.5; math.Abs(c.Range.Value-want) > 0.1*want {
				t.Errorf("range %.4g, bending alone %.4g", c.Range.Value, want)
			}
		}
	}
	al := resolve(t, strings.ReplaceAll(doc(usual), "s235", "al6082"))
	if got := frame.Whole(al).Cracks; len(got) > 0 {
		t.Errorf("aluminium: %+v", got)
	}
}

// A machine of 300 kg comes on over the tail: 0.6·300·1.2 = 216 kg stand 1 m behind the axle, so the ball loses
// 216·1/2.5 kg of what the empty trailer puts on it, and gets it back from the props.
func TestOnTail(t *testing.T) {
	machine := []string{"/outings/o/layouts/t/loading", `{"machine":"crate","driver":{"value":0,"plusMinus":0,"how":"weighed"}}`, "/loads/crate/mass/value", "300"}
	empty := resolve(t, doc(usual), "/outings/o/layouts/t/placements/crate", "-")
	r := resolve(t, doc(usual), machine...)
	got := frame.ReactionsOf(r, "tail")
	if want := frame.Reactions(empty)[0] - 216*1/2.5; math.Abs(got[0]-want) > 1e-6*math.Abs(want) {
		t.Errorf("the ball bears %v, want %v", got[0], want)
	}
	// With 80 kg of a driver on it 0.6·380·1.2 = 273.6 kg; drawn on by a line it comes without him.
	driver := `{"machine":"crate","driver":{"value":80,"plusMinus":0,"how":"weighed"}`
	ridden := frame.ReactionsOf(resolve(t, doc(usual), append(machine, "/outings/o/layouts/t/loading", driver+`}`)...), "tail")
	if want := frame.Reactions(empty)[0] - 273.6*1/2.5; math.Abs(ridden[0]-want) > 1e-6*math.Abs(want) {
		t.Errorf("with its driver the ball bears %v, want %v", ridden[0], want)
	}
	untold := frame.ReactionsOf(resolve(t, doc(usual), append(machine, "/outings/o/layouts/t/loading", `{"machine":"crate"}`)...), "tail")
	if want := frame.Reactions(empty)[0] - 0.6*(300+90)*1.2*1/2.5; math.Abs(untold[0]-want) > 1e-6*math.Abs(want) {
		t.Errorf("with a driver of no told weight the ball bears %v, want %v", untold[0], want)
	}
	// The heavier of two that roll on, the other standing where it does: 0.6·500·1.2 = 360 kg.
	second := append(machine, "/loads/b", `{"order":2,"name":"Second","kind":"quad","mass":{"value":500,"plusMinus":0,"how":"weighed"},
		"size":{"length":{"value":1.8,"how":"weighed"},"width":{"value":1.1,"how":"weighed"},"height":{"value":1,"how":"weighed"}},"centre":{}}`,
		"/outings/o/layouts/t/placements/b", `{"on":"deck","at":{"back":0.2}}`)
	heavier := frame.ReactionsOf(resolve(t, doc(usual), second...), "tail")
	if want := frame.Reactions(resolve(t, doc(usual), machine...))[0] - 360*1/2.5; math.Abs(heavier[0]-want) > 1e-6*math.Abs(want) {
		t.Errorf("with two machines the ball bears %v, want %v", heavier[0], want)
	}
	drawn := frame.ReactionsOf(resolve(t, doc(usual), append(machine, "/outings/o/layouts/t/loading", driver+`,"drive":"winch"}`)...), "tail")
	if math.Abs(drawn[0]-got[0]) > 1e-9 {
		t.Errorf("drawn on the ball bears %v, want %v", drawn[0], got[0])
	}
	with := frame.ReactionsOf(resolve(t, doc(usual), append(machine, "/outings/o/layouts/t/loading", `{"machine":"crate","driver":{"value":0,"plusMinus":0,"how":"weighed"},"props":{}}`)...), "tail")
	if len(with) != 5 || with[0] <= got[0] || with[3] <= 0 || with[4] <= 0 {
		t.Errorf("on props %v, without %v", with, got)
	}
}

// A tie point on the right rail, 0.6 m off the middle, is drawn at with 400 kg: up with 400·sin 45° = 282.8 kg, which
// the load gives back in the middle. Nothing is lifted off the road; the right wheel bears 282.843·0.6/1.6 = 106.066 kg less
// and the left one as much more, and no force is left that pushes the trailer aside.
func TestTiePull(t *testing.T) {
	point := func(right string) []string {
		return []string{"/trailers/t/tiePoints", `{"p":{"order":1,"kind":"ring-bolted","at":{"back":1.2,"right":` + right + `},"rating":400}}`}
	}
	level := frame.Reactions(resolve(t, doc(usual)))
	got := frame.ReactionsOf(resolve(t, doc(usual), point("0.6")...), "tie-p")
	sum := func(v []float64) float64 { return v[0] + v[1] + v[2] }
	if math.Abs(sum(got)-sum(level)) > 1e-6*sum(level) || math.Abs(got[0]-level[0]) > 1e-6*sum(level) {
		t.Errorf("bears %v, want %v", got, level)
	}
	for i, by := range []float64{106.066, -106.066} {
		if math.Abs(got[i+1]-level[i+1]-by) > 1e-3 {
			t.Errorf("wheel %d bears %v, want %v more", i, got[i+1]-level[i+1], by)
		}
	}
	// all over the deck, its middle at the ring: not a wheel bears more or less
	for _, right := range []string{"0.6", "-0.3", "0"} {
		wide := frame.ReactionsOf(resolve(t, doc(usual), point(right)...), "tie-wide-p")
		for i := range wide {
			if math.Abs(wide[i]-level[i]) > 1e-6*sum(level) {
				t.Errorf("%s: bears %v, want %v", right, wide, level)
			}
		}
	}
	// a ring in the very middle loads the frame too: its load does not stand on it
	none, middle := frame.UseOf(resolve(t, doc(usual)), "level"), resolve(t, doc(usual), point("0")...)
	if use := frame.UseOf(middle, "tie-p"); use < 1.1*none {
		t.Errorf("drawn at in the middle %v, undrawn %v", use, none)
	}
	if a, b := frame.UseOf(resolve(t, doc(usual), point("0.6")...), "tie-p"), frame.UseOf(resolve(t, doc(usual), point("-0.6")...), "tie-p"); math.Abs(a-b) > 1e-6*a {
		t.Errorf("right %v, left %v", a, b)
	}
}

// many is the ladder with so many cross members.
func many(n int) string {
	var b strings.Builder
	b.WriteString(strings.TrimSuffix(doc(usual), "}}"))
	for i := range n {
		x := 0.02 + 0.615*float64(i%4) + 0.615*float64(i/4+1)/float64((n+3)/4+1)
		fmt.Fprintf(&b, `,"m%d":{"order":%d,"name":"m","role":"cross","from":{"back":%.4f,"right":-0.58},"to":{"back":%.4f,"right":0.58},"profile":%s}`, i, 20+i, x, x, `{"shape":"tube","height":0.04,"width":0.02,"wall":0.002,"material":"s235"}`)
	}
	return b.String() + "}}"
}

func benchmarkCases(b *testing.B, members int) {
	r := rig.Resolve(sample.Plan(b, sets(many(members-8))...), "t", "o")
	for b.Loop() {
		frame.Whole(r)
	}
}

// The cases alone, without what is drawn of them: 40 members are to take 5 ms.
func BenchmarkJudged40(b *testing.B) {
	r := rig.Resolve(sample.Plan(b, sets(many(32))...), "t", "o")
	for b.Loop() {
		if n := frame.Judged(r); n < 10 {
			b.Fatal(n, "cases")
		}
	}
}

func BenchmarkCases20(b *testing.B) { benchmarkCases(b, 20) }
func BenchmarkCases40(b *testing.B) { benchmarkCases(b, 40) }
func BenchmarkCases80(b *testing.B) { benchmarkCases(b, 80) }

// A member's end passes on what its first place bears: the drawbar's front end the ball load and the pull of
// braking, a hinged end no moment.
func TestEnds(t *testing.T) {
	p := frame.Whole(resolve(t, doc(usual)))
	for _, m := range p.Members {
		if len(m.Ends) != 2 || !(m.Ends[0].Force.Value > 0) {
			t.Errorf("%s: %+v", m.Name, m.Ends)
		}
		if m.Name == "drawbar" { // its front end hangs on the ball by an arm of 50 mm
			ball := 0.0
			for _, id := range []string{"level", "bump", "brake", "bend-left", "bend-right", "jack"} {
				f := frame.BallForce(resolve(t, doc(usual)), id)
				ball = math.Max(ball, f)
			}
			if math.Abs(m.Ends[0].Force.Value-ball) > 0.05*ball {
				t.Errorf("%v N at the coupling, the ball bears %v", m.Ends[0].Force.Value, ball)
			}
		}
	}
}

// What lies across snaps to others' ends and between them, both ends alike.
func TestSnaps(t *testing.T) {
	p := frame.Whole(resolve(t, doc(usual)))
	for _, h := range p.Views[0].Handles {
		if strings.HasSuffix(h.Thing, "/c2") && strings.HasSuffix(h.Path, "/from/back") {
			if !slices.ContainsFunc(h.Snaps, func(s float64) bool { return math.Abs(s-(0.02+2.48)/2) < 1e-9 || math.Abs(s-1.25) < 0.3 }) {
				t.Errorf("%v", h.Snaps)
			}
			if !slices.IsSorted(h.Snaps) || len(h.Snaps) < 8 {
				t.Errorf("%v", h.Snaps)
			}
		}
		if strings.HasSuffix(h.Thing, "/left") && strings.HasSuffix(h.Path, "/from/back") && len(h.Snaps) > 0 {
			t.Errorf("a rail's ends would snap apart: %v", h.Snaps)
		}
		if strings.HasSuffix(h.Thing, "/left/to") && h.Path != h.Thing+"/back" && h.Path != h.Thing+"/right" {
			t.Errorf("gripped by its end it moves %s", h.Path)
		}
	}
}

// Bolted cross members: without their bolts not known; four of 10 mm, 50 mm apart, against what EN 1993-1-8 gives
// by hand; one bolt carries no bending.
func TestBolts(t *testing.T) {
	bolted := func(with ...string) *rig.Rig {
		var sets []string
		for i := range 5 {
			at := fmt.Sprintf("/trailers/t/frame/members/c%d/", i)
			sets = append(sets, at+"fromJoint", `"bolt"`, at+"toJoint", `"bolt"`)
			for k := 0; k < len(with); k += 2 {
				sets = append(sets, at+with[k], with[k+1])
			}
		}
		return resolve(t, doc(usual), sets...)
	}
	if f := find(t, bolted(), frame.CodeBolts); f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("no bolts told: %s", f.Outcome)
	}
	r := bolted("bolts", "4", "bolt", "0.01", "boltGrade", `"8.8"`, "boltGauge", "0.05")
	f := find(t, r, frame.CodeBolts)
	// M10 8.8: 0.6·800·58 mm²/1.25 = 22.3 kN; its hole in 3 mm of S235: 2.5·0.66·270.25·10·3/1.25 = 10.70 kN
	hole := 2.5 * 0.66 * 1.15 * 235e6 * 0.01 * 0.003 / 1.25
	worst := 0.0
	for _, m := range frame.Whole(r).Members {
		if !strings.HasPrefix(m.Name, "c") {
			continue
		}
		for _, e := range m.Ends {
			worst = math.Max(worst, (e.Force.Value/4+e.Moment.Value/(0.05*2))/(hole/1.5))
		}
	}
	if f.Figure == nil || math.Abs(f.Figure.Value-worst) > 1e-9*worst {
		t.Errorf("%+v, by hand %v", f.Figure, worst)
	}
	if f := find(t, bolted("bolts", "1", "bolt", "0.01"), frame.CodeBolts); f.Outcome != finding.Fails {
		t.Errorf("one bolt: %s", f.Outcome)
	}
	for _, f := range frame.Rest(resolve(t, doc(usual))) {
		if f.Code == frame.CodeBolts {
			t.Error("a welded frame is asked for bolts")
		}
	}
}

// A machine bears on its wheels however it is turned, and the supports bear what balance says.
func TestTurnedMachine(t *testing.T) {
	for _, turn := range []string{"0", "90", "180", "270"} {
		r := resolve(t, doc(usual), "/loads/crate/rolling",
			`{"frontAxle":{"value":0.15,"plusMinus":0,"how":"weighed"},"wheelbase":{"value":0.6,"plusMinus":0,"how":"weighed"}}`,
			sample.Crate+"/turn", turn)
		got, want := frame.Reactions(r), []float64{r.Bears.Ball.Nominal, r.Bears.Left.Nominal, r.Bears.Right.Nominal}
		for i := range want {
			if math.Abs(got[i]-want[i]) > 1e-6*math.Abs(want[i]) {
				t.Errorf("turned %s: %v, balance says %v", turn, got, want)
				break
			}
		}
	}
}

// A cross member in two halves that meet over the drawbar is one cross member; a rail over the deck bears no
// floor; members across that end well beside a place bear nothing of it.
func TestSaidTwoWays(t *testing.T) {
	halves := func(id, x string) []string {
		half := func(from, to string) string {
			return `{"order":30,"name":"h","role":"cross","from":{"back":` + x + `,"right":` + from + `},"to":{"back":` + x + `,"right":` + to + `},"profile":` + cross + `}`
		}
		at := "/trailers/t/frame/members/" + id
		return []string{at, "-", at + "-a", half("-0.58", "0"), at + "-b", half("0", "0.58")}
	}
	for _, id := range []string{"level", "bump", "brake"} {
		whole := frame.UseOf(resolve(t, doc(usual)), id)
		two := frame.UseOf(resolve(t, doc(usual), halves("c1", "0.635")...), id)
		if math.Abs(two-whole) > 1e-6*whole {
			t.Errorf("%s: in halves %v, whole %v", id, two, whole)
		}
	}
	post := func(id, y string) []string {
		at := "/trailers/t/frame/members/"
		return []string{
			at + "p" + id, `{"order":40,"name":"p","role":"upright","from":{"back":1.2,"right":` + y + `,"up":-0.02},"to":{"back":1.2,"right":` + y + `,"up":0.4},"profile":` + cross + `}`,
			at + "h" + id, `{"order":41,"name":"h","role":"rail","from":{"back":0.4,"right":` + y + `,"up":0.44},"to":{"back":2.0,"right":` + y + `,"up":0.44},"profile":` + cross + `}`,
		}
	}
	r := resolve(t, doc(usual), append(post("l", "-0.6"), post("r", "0.6")...)...)
	fs, _ := frame.Check(r)
	if f := sample.Find(t, fs, frame.CodeStrength); f.Figure == nil {
		t.Errorf("with a hand rail: %s %s", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
	for _, m := range frame.Whole(r).Members {
		if m.Name == "h" && m.Use != nil && m.Use.Value > 0.3 {
			t.Errorf("the hand rail bears the load: %v", m.Use.Value)
		}
	}
}

// What is not all known bends nobody knows how far; a drawbar that ends half a metre before the ball reaches
// nothing; timber is not welded, so its bolts are asked for.
func TestNotKnown(t *testing.T) {
	fs, _ := frame.Check(resolve(t, doc(usual), "/loads/crate/mass", "-", "/loads/crate/kind", "-"))
	for _, f := range fs {
		if f.Code == frame.CodeBend {
			t.Errorf("an unweighed load bends the frame by %+v", f.Figure)
		}
	}
	fs, _ = frame.Check(resolve(t, doc(usual), "/trailers/t/frame/members/drawbar/from/back", "-0.5"))
	if f := sample.Find(t, fs, frame.CodeWhole); f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("a short drawbar: %s", f.Outcome)
	}
	timber := resolve(t, doc(func(id string) string {
		if strings.HasPrefix(id, "c") {
			return `{"shape":"bar","height":0.07,"width":0.045,"material":"c24"}`
		}
		return usual(id)
	}), "/trailers/t/frame/members/drawbar/from/up", "-0.07", "/trailers/t/frame/members/drawbar/to/up", "-0.07")
	if f := find(t, timber, frame.CodeBolts); f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("timber cross members: %s", f.Outcome)
	}
}
