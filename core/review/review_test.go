package review_test

import (
	"encoding/json"
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"
	"time"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/review"
)

func TestHeadline(t *testing.T) {
	for _, c := range []struct {
		name    string
		sets    []string
		outcome finding.Outcome
		says    string
	}{
		{"all known", nil, finding.Holds, "Nothing fails: 9 of 9 essential links checked."},
		{"one not known", []string{"/trailers/t/couplingRating", "-"}, finding.Unknown, "Nothing fails yet: 8 of 9 essential links checked."},
		{"one fails", []string{"/trailers/t/couplingRating", "600", "/trailers/t/axleRating", "-"}, finding.Fails, "Coupling head: 650 kg of 600 kg, 50 kg over. Take weight off."},
		{"little room", []string{"/trailers/t/couplingRating", "660"}, finding.Tight, "Coupling head: 650 kg of 660 kg, only 10 kg left."},
		{"no load's weight", []string{"/loads/crate/mass", "-", "/loads/crate/kind", "-"}, finding.Unknown, "Nothing fails yet: 0 of 9 essential links checked."},
	} {
		p := sample.Plan(t, c.sets...)
		h := review.Review(p, review.Request{}).Headline
		if text := h.Says.Text(p.Locale()); h.Outcome != c.outcome || text != c.says {
			t.Errorf("%s: %s %q", c.name, h.Outcome, text)
		}
	}
}

// The headline never says Holds while something essential is open, whatever is
// taken out of the plan.
func TestNeverBareHolds(t *testing.T) {
	for _, path := range []string{
		"/loads/crate/mass", "/trailers/t/couplingToAxle", "/trailers/t/couplingToDeck", "/trailers/t/label", "/trailers/t/axleRating", "/trailers/t/tyreIndex",
		"/trailers/t/couplingRating", "/towVehicles/car/towUnbraked", "/towVehicles/car/hitchTow", "/towVehicles/car/ballLimit", "/towVehicles/car/gross",
		"/towVehicles/car/kerb", "/outings/o/people", "/outings/o/vehicle", "/trailers/t/empty/ball",
	} {
		sets := []string{path, "-"}
		if path == "/loads/crate/mass" {
			sets = append(sets, "/loads/crate/kind", "-")
		}
		p := sample.Plan(t, sets...)
		rep := review.Review(p, review.Request{})
		if rep.Headline.Outcome == finding.Holds {
			t.Errorf("without %s: %s", path, rep.Headline.Says.Text(p.Locale()))
		}
		if path == "/trailers/t/empty/ball" {
			continue // the deck's usual trailer fills in: known, roughly
		}
		found := false
		for _, n := range rep.Next {
			found = found || strings.HasPrefix(n.Path, strings.TrimSuffix(path, "Index")) || strings.HasPrefix(path, n.Path)
		}
		if !found {
			t.Errorf("without %s: what to find next does not name it: %+v", path, rep.Next)
		}
	}
}

func TestEmptyPlan(t *testing.T) {
	p, err := plan.Read([]byte(`{"format":"zygonos-plan","version":1,"name":"","region":"na","units":"imperial","loads":{},"towVehicles":{},"trailers":{},"parts":{},"outings":{}}`))
	if err != nil {
		t.Fatal(err)
	}
	rep := review.Review(p, review.Request{Outing: "none", Trailer: "none"})
	if rep.Headline.Outcome != finding.Unknown || len(rep.Stages) != len(review.Stages) {
		t.Errorf("got %+v", rep.Headline)
	}
	if _, err := json.Marshal(rep); err != nil {
		t.Error(err)
	}
}

// A value that makes no sense is stated at its field, and the rest goes on.
func TestProblemsDoNotStopTheRest(t *testing.T) {
	data := strings.Replace(sample.Doc, `"track":{"value":1.6`, `"track":{"value":0`, 1)
	p, err := plan.Read([]byte(data))
	if err != nil {
		t.Fatal(err)
	}
	rep := review.Review(p, review.Request{})
	if len(rep.Problems) != 1 || rep.Problems[0].Path != "/trailers/t/track" {
		t.Errorf("got %+v", rep.Problems)
	}
	if rep.Figures.Ball == nil || math.Abs(rep.Figures.Ball.Value-60) > 1e-9 || rep.Figures.Left != nil {
		t.Error("the ball load does not hang on the track, the wheels do")
	}
}

// Where a thing stands, stated from the front board, the tail and the axle: the
// crate from 0.75 to 1.75 m on a deck of 2.5 m, the axle 1.5 m behind its front.
func TestTapes(t *testing.T) {
	rep := review.Review(sample.Plan(t), review.Request{})
	th := rep.Things[0]
	want := map[string]float64{"board": 0.75, "tail": 0.75, "axle": -0.25} // its rear face lies behind the axle
	for _, tape := range th.Tapes {
		if got := tape.Sign*th.Back + tape.Offset; got-want[tape.From] > 1e-9 || want[tape.From]-got > 1e-9 {
			t.Errorf("from the %s: %v, want %v", tape.From, got, want[tape.From])
		}
	}
	if len(th.Tapes) != 3 {
		t.Errorf("%d tapes", len(th.Tapes))
	}
}

func TestWorking(t *testing.T) {
	p := sample.Plan(t)
	rep := review.Review(p, review.Request{})
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if steps := review.Working(p, review.Request{}, f.Key()); f.HasWork != (len(steps) > 0) {
			t.Errorf("%s: %d steps", f.Code, len(steps))
		}
	}
	if review.Working(p, review.Request{}, "no such key") != nil {
		t.Error("a working was made of nothing")
	}
}

// many is a plan with n loads.
func many(t testing.TB, n int) *plan.Plan {
	t.Helper()
	p := sample.Plan(t)
	crate := p.Loads["crate"]
	layout := p.Outings["o"].Layouts["t"]
	for i := range n {
		id := fmt.Sprintf("load-%d", i)
		l := crate
		l.Name, l.Order = fmt.Sprintf("<script>%d</script> =cmd \u202e 🛶", i), i
		l.Mass = &plan.MassEstimate{Value: 2, How: plan.Guessed}
		p.Loads[id] = l
		layout.Placements[id] = plan.Placement{On: plan.OnDeck, At: plan.Spot{Back: 0.75}}
	}
	return p
}

func TestFiveHundredHostileLoads(t *testing.T) {
	p := many(t, 500)
	rep := review.Review(p, review.Request{})
	if rep.Figures.Mass == nil || rep.Figures.Mass.Value < 1649.9 || rep.Figures.Mass.Value > 1650.1 {
		t.Errorf("mass %+v", rep.Figures.Mass)
	}
	if _, err := json.Marshal(rep); err != nil {
		t.Error(err)
	}
}

// Whatever stage is on screen, the answers are the same with what was found at rest; what is slow and of other stages
// follows, and the frame's own drawings are made for its stage alone.
func TestStageOnScreen(t *testing.T) {
	p := sample.Demo(t, "ostrel-lock")
	all := review.Review(p, review.Request{})
	for _, stage := range review.Stages {
		rep := review.Review(p, review.Request{Stage: stage})
		if (rep.Frame != nil) != (stage == "frame") {
			t.Errorf("%s: the frame is drawn: %t", stage, rep.Frame != nil)
		}
		fewer := len(rep.Findings)
		rep.Follow(all.Findings)
		for i := range rep.Findings {
			f := &rep.Findings[i]
			if f.Follows && f.Stage == stage {
				t.Errorf("%s: its own %s follows", stage, f.Code)
			}
			f.Follows = false
		}
		if a, b := sorted(t, rep.Findings), sorted(t, all.Findings); !slices.Equal(a, b) || marshalled(t, rep.Headline) != marshalled(t, all.Headline) ||
			marshalled(t, rep.Stages) != marshalled(t, all.Stages) || marshalled(t, rep.Next) != marshalled(t, all.Next) {
			t.Errorf("%s: other findings", stage)
		}
		if fewer == len(all.Findings) {
			t.Errorf("%s: all is asked", stage)
		}
	}
}

// sorted are findings as text, of which equals may stand in another order; ways out come at rest.
func sorted(t *testing.T, fs []finding.Finding) (out []string) {
	t.Helper()
	for _, f := range fs {
		f.Fixes = nil
		out = append(out, marshalled(t, f))
	}
	slices.Sort(out)
	return out
}

func marshalled(t *testing.T, v any) string {
	t.Helper()
	text, err := json.Marshal(v)
	if err != nil {
		t.Fatal(err)
	}
	return string(text)
}

func BenchmarkReview(b *testing.B) {
	p := sample.Demo(b, "skarrow-hut")
	b.Run("demo", func(b *testing.B) {
		b.ReportAllocs()
		for b.Loop() {
			review.Review(p, review.Request{Outing: "boat-day"})
		}
	})
	b.Run("every stage", func(b *testing.B) { // frame, lamps, bed, finish and days are stated
		full := sample.Demo(b, "ostrel-lock")
		b.ReportAllocs()
		for b.Loop() {
			review.Review(full, review.Request{})
		}
	})
	for _, stage := range []string{"balance", "frame", "body"} {
		b.Run("every stage, on screen "+stage, func(b *testing.B) {
			full := sample.Demo(b, "ostrel-lock")
			before := review.Review(full, review.Request{}).Findings
			b.ReportAllocs()
			for b.Loop() {
				review.Review(full, review.Request{Stage: stage}).Follow(before)
			}
		})
	}
	for _, n := range []int{10, 100, 1000} {
		b.Run(fmt.Sprint(n, "-loads"), func(b *testing.B) {
			p := many(b, n)
			b.ReportAllocs()
			for b.Loop() {
				review.Review(p, review.Request{})
			}
		})
	}
}

func ExampleReview() {
	p, _ := plan.Read([]byte(sample.Doc))
	rep := review.Review(p, review.Request{})
	fmt.Println(rep.Headline.Says.Text(p.Locale()))
	// Output: Nothing fails: 9 of 9 essential links checked.
}

// Twice the loads take some four times as long at most, wherever they stand: no question is worse than quadratic.
func TestGrowth(t *testing.T) {
	took := func(n int) time.Duration {
		p := sample.Demo(t, "skarrow-hut")
		layout := p.Outings["gravel-day"].Layouts["grey-flatbed"]
		for i := range n {
			id := fmt.Sprintf("load-%d", i)
			size := func(v quantity.Length) *plan.LengthEstimate { return &plan.LengthEstimate{Value: v, How: plan.Weighed} }
			l := plan.Load{Name: id, Order: i, Size: plan.Size{Length: size(0.2), Width: size(0.15), Height: size(0.1)}}
			l.Mass = &plan.MassEstimate{Value: 2, How: plan.Guessed}
			p.Loads[id] = l
			at := plan.Spot{Back: quantity.Length(float64(i%41) * 0.031), Right: quantity.Length(float64(i%37)*0.029 - 0.5)}
			if i < 40 {
				layout.Placements[id] = plan.Placement{On: plan.OnDeck, At: at}
			} else {
				layout.Placements[id] = plan.Placement{On: plan.OnLoad, ID: fmt.Sprintf("load-%d", i-40), At: at}
			}
		}
		least := time.Hour
		for range 2 {
			began := time.Now()
			review.Review(p, review.Request{Outing: "gravel-day", Trailer: "grey-flatbed"})
			least = min(least, time.Since(began))
		}
		return least
	}
	few, many := took(250), took(1000)
	if many > 40*few || many > 10*time.Second { // sixteen by the square, and a busy machine
		t.Errorf("250 loads take %v, 1000 %v", few, many)
	}
}

// A stage whose checks hold does not hold while a minor one is not known; what is tight in it still shows.
func TestStageWithSomethingOpen(t *testing.T) {
	vehicle := func(sets ...string) finding.Outcome {
		for _, s := range review.Review(sample.Plan(t, sets...), review.Request{}).Stages {
			if s.ID == "vehicle" {
				return s.Outcome
			}
		}
		return ""
	}
	roomy := []string{"/towVehicles/car/gross", "2500", "/towVehicles/car/train", "4000", "/towVehicles/car/towUnbraked", "900", "/towVehicles/car/ballLimit", "100",
		"/towVehicles/car/hitchBall", "100", "/towVehicles/car/rearLimit", "1200"}
	for _, c := range []struct {
		name string
		sets []string
		want finding.Outcome
	}{
		{"all hold", roomy, finding.Holds},
		{"the plug not known", append(roomy, "/towVehicles/car/socket", `"pin-7"`), finding.Unknown},
		{"and something tight", append(roomy, "/towVehicles/car/socket", `"pin-7"`, "/towVehicles/car/gross", "1780"), finding.Tight},
	} {
		if got := vehicle(c.sets...); got != c.want {
			t.Errorf("%s: %s, want %s", c.name, got, c.want)
		}
	}
}
