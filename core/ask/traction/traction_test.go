package traction

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/facts/norms"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// mower is a garden tractor of 300 kg with its driver, 200 kg of it behind, on 1.2 m, drawing 200 kg
// with 20 on its ball.
func mower() *Rig {
	return &Rig{Car: 300, RearShare: 200.0 / 300, Wheelbase: 1.2, Overhang: 0.3, CarUp: 0.6, Ball: 0.35,
		Trailer: 200, OnBall: 20, Axle: 1.5, TrailerUp: 0.6, Rear: true, RearBrake: true}
}

// On 10°: sin 0.17365, cos 0.98481. Standing, the trailer pulls 34.73. The ball bears
// (0.98481·30 − 34.73·0.6 + 34.73·0.35)/1.5 = 13.91, the rear axle (0.98481·200·1.2 + 52.09·0.6 +
// 13.91·1.5 + 34.73·0.35)/1.2 = 250.5: 86.82/250.5 = 0.3466.
func TestStand(t *testing.T) {
	got, l := mower().Stand(10 * math.Pi / 180)
	if math.Abs(l.Ball-13.91) > 0.01 || math.Abs(l.Rear-250.5) > 0.05 || math.Abs(got-0.3466) > 2e-4 {
		t.Errorf("%v %+v", got, l)
	}
}

// Going down 10° slowed by 0.1 g all weights are drawn forward by 0.27365 of them, at their centres; the trailer pushes
// 200·0.27365 = 54.73. Ball: (29.544 + 54.73·0.6 − 54.73·0.35)/1.5 = 28.818; rear: (236.354 − 82.094·0.6 + 28.818·1.5 −
// 19.155)/1.2 = 175.97; 136.82/175.97 = 0.7775.
func TestDescend(t *testing.T) {
	got, l := mower().Descend(10 * math.Pi / 180)
	if math.Abs(l.Ball-28.818) > 0.001 || math.Abs(l.Rear-175.97) > 0.01 || math.Abs(got-0.7775) > 1e-4 {
		t.Errorf("%v %+v", got, l)
	}
}

// Whatever the rig, standing on a slope it is in balance as a whole: what presses on the ground adds
// up, and its moments about the front wheels do.
func TestBalance(t *testing.T) {
	rnd := rand.New(rand.NewPCG(5, 5))
	for range 500 {
		r := Rig{Car: 200 + 2500*rnd.Float64(), RearShare: 0.3 + 0.4*rnd.Float64(), Wheelbase: 1 + 2*rnd.Float64(), Overhang: rnd.Float64(),
			CarUp: 0.4 + rnd.Float64()/2, Ball: 0.3 + rnd.Float64()/3, Trailer: 50 + 2000*rnd.Float64(), Axle: 1 + 3*rnd.Float64(), TrailerUp: rnd.Float64(), Rear: true}
		r.OnBall = r.Trailer * (0.2*rnd.Float64() - 0.02)
		slope := 0.5 * rnd.Float64()
		_, l := r.Stand(slope)
		sin, cos := math.Sincos(slope)
		onAxle := r.Trailer*cos - l.Ball
		if d := l.Front + l.Rear + onAxle - (r.Car+r.Trailer)*cos; math.Abs(d) > 1e-9*r.Car {
			t.Fatalf("%+v: %v kg too many", r, d)
		}
		x := r.Axle - r.OnBall*r.Axle/r.Trailer // of the trailer's centre behind the ball
		hung := r.Wheelbase + r.Overhang
		bears := l.Rear*r.Wheelbase + onAxle*(hung+r.Axle)
		weighs := r.Car*cos*r.RearShare*r.Wheelbase + r.Car*sin*r.CarUp + r.Trailer*cos*(hung+x) + r.Trailer*sin*r.TrailerUp
		if math.Abs(bears-weighs) > 1e-9*weighs {
			t.Fatalf("%+v: moments %v and %v", r, bears, weighs)
		}
	}
}

// What it manages it manages with less; the heaviest is the edge; steeper is never heavier.
func TestHeaviest(t *testing.T) {
	grass, _ := norms.GroundOf("grass")
	last := math.Inf(1)
	for deg := 0.0; deg <= 14; deg += 2 {
		slope := deg * math.Pi / 180
		most := mower().Heaviest(slope, grass.Rolling, grass.Low)
		if most > last+1 {
			t.Errorf("%v°: %v kg after %v", deg, most, last)
		}
		last = most
		if most == 0 {
			continue
		}
		for _, c := range []struct {
			kg   float64
			want bool
		}{{most * 0.98, true}, {most*1.02 + 1, false}} {
			r := mower()
			r.OnBall, r.Trailer = r.OnBall/r.Trailer*c.kg, c.kg
			if r.Manages(slope, grass.Rolling, grass.Low) != c.want {
				t.Errorf("%v°: %v kg of %v: not %v", deg, c.kg, most, c.want)
			}
		}
	}
	if last != 0 {
		t.Errorf("14° of dry grass for a mower that brakes behind: %v kg", last)
	}
}

func TestCheck(t *testing.T) {
	deck := []string{"/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/towVehicles/car/drive", `"front"`}
	with := func(ground string) []finding.Finding {
		return Check(rig.Resolve(sample.Plan(t, append(deck, "/outings/o/ground", ground)...), "t", "o"))
	}
	for ground, want := range map[string]finding.Outcome{
		`{"on":"road","slope":0.05}`: finding.Holds, `{"on":"mud","slope":0.1}`: finding.Fails, `{"on":"grass","slope":0.1}`: finding.Fails,
	} {
		if f := sample.Find(t, with(ground), CodeClimb); f.Outcome != want {
			t.Errorf("%s: %s %v", ground, f.Outcome, f.Figure.Value)
		}
	}
	// Nothing stated of the ground, nothing said; nothing stated of the car, nothing known.
	if fs := Check(rig.Resolve(sample.Plan(t, deck...), "t", "o")); len(fs) > 0 {
		t.Errorf("%v", fs)
	}
	fs := Check(rig.Resolve(sample.Plan(t, "/outings/o/ground", `{"on":"grass","slope":0.1}`), "t", "o"))
	if f := sample.Find(t, fs, CodeClimb); f.Outcome != finding.Unknown || len(f.Needs) != 2 {
		t.Errorf("%+v", f)
	}
	// A slip is such ground too.
	fs = Check(rig.Resolve(sample.Plan(t, append(deck, "/outings/o/slip", `{"angle":0.15}`)...), "t", "o"))
	if f := sample.Find(t, fs, CodeClimb); f.Outcome == finding.Holds || f.Subject != "/outings/o/slip" {
		t.Errorf("%+v", f)
	}
}

// What holds with the weight that is guessed is Tight where the guess may be too heavy for it.
func TestGuesses(t *testing.T) {
	at := func(plusMinus string) finding.Outcome {
		p := sample.Plan(t, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, "/towVehicles/car/drive", `"all"`,
			"/outings/o/ground", `{"on":"grass","slope":0.12}`,
			"/loads/crate/mass", `{"value":400,"plusMinus":`+plusMinus+`,"how":"guessed"}`)
		f := sample.Find(t, Check(rig.Resolve(p, "t", "o")), CodeFolds)
		return f.Outcome
	}
	if exact, rough := at("0"), at("399"); exact != finding.Holds || rough != finding.Tight {
		t.Errorf("%s, guessed %s", exact, rough)
	}
}
