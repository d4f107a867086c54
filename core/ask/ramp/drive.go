package ramp

import "math"

// Step is one moment of the drive.
type Step struct {
	U         float64 // of the rear wheels
	Pose      Pose
	Wheels    Wheels
	Ball      float64 // kg
	Clearance float64 // m
	Touches   float64 // of what comes nearest, ahead of the rear wheels
	Prop      float64 // kg on the rear props
	Sinks     float64 // of the tail on its springs, m; 0 where they are not known
	Bending   float64 // greatest in the ramp, both of a pair together, as kg on one metre
	Level     bool    // a tilted bed has dropped
	Loose     bool    // it would, with the machine's rear wheels still on the ground
	Tips      bool    // unhitched, with its props where they are it tips back over them, or has none
	Lifts     bool    // the line would lift an axle here: Wheels are those without it
}

// Drive rolls the machine from the ground to its place in n steps, and judges each
// alone, at rest.
func (s *Setup) Drive(n int) []Step {
	n = max(2, n)
	out := make([]Step, 0, n)
	guess := 0.0
	for i := range n {
		u := s.Start + (s.Home-s.Start)*float64(i)/float64(n-1)
		st := s.At(u, guess)
		guess = st.Pose.Front.Centre.U - st.Pose.Rear.Centre.U
		out = append(out, st)
	}
	return out
}

// At judges the machine with its rear wheels at u.
func (s *Setup) At(u, guess float64) Step {
	b, path := s.riding(), s.Path
	q := b.Stand(path, u, guess)
	if s.Tilts && (u >= s.Home-1e-9 || s.dropped(b.Forces(q, s.All, s.Way, s.line(q)))) { // drawn down at home
		path = s.Level
		q = b.Stand(path, u, guess)
	}
	st := Step{U: u, Pose: q, Level: s.Tilts && &path[0] == &s.Level[0]}
	st.Clearance, st.Touches = b.Clearance(path, q)
	w, ok := b.Forces(q, s.All, s.Way, s.line(q))
	if !ok {
		w, _ = b.Forces(q, s.All, AllWheels, Line{})
		st.Lifts = s.Way == ByLine
	}
	st.Wheels = w
	st.Loose = s.Tilts && !st.Level && w.Rear.At.U <= s.Foot.U && s.onTail(w) < 0
	held := 0.0
	if !s.Loading.Unhitched {
		held = s.Rig.BallHeight()
	}
	front, rear := Carry(w.Front, s.Foot, s.Top), Carry(w.Rear, s.Foot, s.Top)
	if s.Tilts {
		if front, rear = w.Front, w.Rear; &path[0] == &s.Path[0] {
			front, rear = s.onBed(w.Front), s.onBed(w.Rear)
		}
	}
	pushes := []Push{front, rear}
	if w.Line != 0 {
		hook := s.Hook(q)
		du, dz := s.Winch.U-hook.U, s.Winch.Z-hook.Z
		l := math.Hypot(du, dz)
		// The line pulls the winch toward the machine.
		pushes = append(pushes, Push{At: s.Winch, Down: w.Line * dz / l, Ahead: -w.Line * du / l})
	}
	st.Ball = s.Bare + BallLoad(s.Axle, held, pushes...)
	st.Prop, st.Tips = s.prop(st.Ball-s.Bare, front.Down+rear.Down)
	if s.Springs > 0 { // the axle's part of what came on, on the lever about the coupling
		_, tail := s.Rig.Deck()
		st.Sinks = max(0, (front.Down+rear.Down-(st.Ball-s.Bare))/s.Springs) * tail / s.Axle
	}
	st.Bending = s.bending(w)
	return st
}

// onBed is what a push on a tilted bed comes to at its pivot: all of it on the lever from
// the tail, beyond the pivot more than itself.
func (s *Setup) onBed(f Push) Push {
	if f.At.U <= s.Foot.U {
		return Push{At: s.Top}
	}
	return Push{At: s.Top, Down: f.Down * (f.At.U - s.Foot.U) / (s.Top.U - s.Foot.U), Ahead: f.Ahead}
}

// onTail is what wheels on a tilted bed leave on its tail, kg; less than zero where they
// would tip it level.
func (s *Setup) onTail(w Wheels) float64 {
	left := 0.0
	for _, f := range []Push{w.Front, w.Rear} {
		if f.At.U > s.Foot.U {
			left += f.Down - s.onBed(f).Down
		}
	}
	return left
}

// dropped reports whether a tilted bed has come down level: both axles are on it and
// nothing is left on its tail.
func (s *Setup) dropped(w Wheels, ok bool) bool {
	return ok && w.Front.At.U > s.Foot.U && w.Rear.At.U > s.Foot.U && s.onTail(w) < 0
}

// Drops is how far the front wheels have come from the headboard when a tilted bed comes
// down, m; ok false where it does not on the way.
func (s *Setup) Drops(steps []Step) (m float64, ok bool) {
	front, _ := s.Rig.Deck()
	for i := range steps {
		if st := &steps[i]; st.Level && st.U < s.Home-2*eventWithin { // at home it is drawn down
			return -front - st.Pose.Front.At.U, true
		}
	}
	return 0, false
}

// riding is the body with its driver on it.
func (s *Setup) riding() Body {
	b := s.Body
	if s.Driver > 0 && s.All > 0 {
		b.CentreAhead = (b.CentreAhead*s.Mass + driverAhead*b.Base*s.Driver) / s.All
		b.CentreUp = (b.CentreUp*s.Mass + driverUp*s.Driver) / s.All
	}
	return b
}

// prop is what rear props bear, kg, when the ball bears more by dBall and ball and
// wheels together by down. Hitched the trailer turns about the ball: its springs (K)
// bear K·L·φ until the gap is closed at φ = gap/x, the prop what is left of the moment
// about the ball,
//
//	P = (ΣV·x − K·L²·gap/x)/x.
//
// Unhitched, where the coupling would lift, it bears P = −R·L/(x − L), and what the wheels
// bear is the rest of all that presses, W − P. Where that is less than zero, or the prop
// stands before the axle, it tips back over it all the same.
func (s *Setup) prop(dBall, down float64) (bears float64, tips bool) {
	p := s.Loading.Props
	r := s.Bare + dBall
	if p == nil {
		return 0, s.Loading.Unhitched && r < 0
	}
	front, _ := s.Rig.Deck()
	x := front + float64(p.Back)
	if s.Loading.Unhitched {
		switch {
		case r >= 0:
			return 0, false
		case x <= s.Axle:
			return 0, true
		}
		bears = -r * s.Axle / (x - s.Axle)
		return bears, bears > s.Rig.Bears.Mass.Nominal-s.Mass+down
	}
	if s.Springs <= 0 || x <= 0 {
		return 0, false // not known
	}
	moment := (down - dBall) * s.Axle // about the ball: Σ V·x = (ΣV − ΔR)·L
	return PropLoad(s.Axle, x, float64(p.Gap), s.Springs, moment), false
}

// PropLoad is what props at x with a gap bear, kg, of a moment about the ball (kg·m)
// beside springs of K kg/m at the axle: max(0, (M − K·L²·gap/x)/x).
func PropLoad(axle, x, gap, springs, moment float64) float64 {
	return max(0, (moment-springs*axle*axle*gap/x)/x)
}

// bending is the greatest moment in ramps that lie on tail and ground under the wheels
// that stand on them, M(p) = Σ P_i·min(p_i, p)·(l − max(p_i, p))/l at each wheel.
func (s *Setup) bending(w Wheels) float64 {
	length := math.Hypot(s.Top.U-s.Foot.U, s.Top.Z-s.Foot.Z)
	cos, sin := (s.Top.U-s.Foot.U)/length, (s.Top.Z-s.Foot.Z)/length
	var at, load [2]float64
	n := 0
	for _, f := range []Push{w.Front, w.Rear} {
		if p := (f.At.U - s.Foot.U) / cos; p > 0 && p < length {
			at[n], load[n] = p, f.Down*cos+f.Ahead*sin
			n++
		}
	}
	most := 0.0
	for i := range n {
		m := 0.0
		for k := range n {
			m += load[k] * min(at[i], at[k]) * (length - max(at[i], at[k])) / length
		}
		most = max(most, m)
	}
	return most
}

// sinks is how far the tail goes down at most while a wheel is on the ramp, m.
func (s *Setup) sinks(steps []Step) float64 {
	most := 0.0
	for i := range steps {
		st := &steps[i]
		if u := st.Pose.Rear.At.U; u < s.Top.U && st.Pose.Front.At.U > s.Foot.U {
			most = max(most, st.Sinks)
		}
	}
	return most
}

// Hand is what draws a tilted bed down at its headboard with the machine where a step has
// it, as a weight: what is left on the tail, on the lever about the pivot. The bed's own
// weight is not in it.
func (s *Setup) Hand(st *Step) float64 {
	b := s.riding()
	q := b.Stand(s.Path, st.U, 0)
	w, _ := b.Forces(q, s.All, AllWheels, Line{})
	left := 0.0
	for _, f := range []Push{w.Front, w.Rear} {
		left += f.Down - s.onBed(f).Down
	}
	front, tail := s.Rig.Deck()
	pivot := -s.Top.U
	return max(0, left*(tail-pivot)/(pivot-front))
}

// Worst are the steps that the answer hangs on.
type Worst struct {
	Ball, Clearance, Prop, Bending, Line int // indices
}

// WorstOf finds them.
func WorstOf(steps []Step) (w Worst) {
	for i := range steps {
		if steps[i].Ball < steps[w.Ball].Ball {
			w.Ball = i
		}
		if steps[i].Clearance < steps[w.Clearance].Clearance {
			w.Clearance = i
		}
		if steps[i].Prop > steps[w.Prop].Prop {
			w.Prop = i
		}
		if steps[i].Bending > steps[w.Bending].Bending {
			w.Bending = i
		}
		if steps[i].Wheels.Line > steps[w.Line].Wheels.Line {
			w.Line = i
		}
	}
	return w
}

// Shortest is the shortest ramp under which the belly clears by at least least, m; 0
// where 6 m do not help.
func (s *Setup) Shortest(least float64) float64 {
	if s.Tilts {
		return 0
	}
	l := s.leastThat(least, float64(s.Ramp.Length), 6, func(t *Setup, v float64) {
		own := *s.Ramp
		own.Length = length(v)
		t.Ramp = &own
	})
	return math.Ceil(l*20-1e-9) / 20
}

// raiseMost is how far a coupling is raised at most to load, by a jockey wheel or by
// blocks under the car's wheels, m (C).
const raiseMost = 0.35

// LeastRaise is how much higher the coupling clears the belly by at least least, m, in
// steps of 10 mm; 0 where 350 mm over its level do not.
func (s *Setup) LeastRaise(least float64) float64 {
	if s.Tilts {
		return 0
	}
	now := float64(s.Loading.Raised)
	up := s.leastThat(least, now, raiseMost, func(t *Setup, v float64) {
		own := *s.Loading
		own.Raised = length(v)
		t.Loading = &own
	})
	return math.Max(0, math.Ceil((up-now)*100-1e-9)/100)
}

// leastThat is the least value between lo and hi under which the drive clears, halved
// between; lo where that clears, 0 where hi does not.
func (s *Setup) leastThat(clear, lo, hi float64, set func(*Setup, float64)) float64 {
	clears := func(v float64) bool {
		t := *s
		set(&t, v)
		if t.lay() != nil {
			return false
		}
		return t.leastClearance(60) >= clear
	}
	if clears(lo) {
		return lo
	}
	if hi <= lo || !clears(hi) {
		return 0
	}
	for hi-lo > 0.01 {
		if m := (lo + hi) / 2; clears(m) {
			hi = m
		} else {
			lo = m
		}
	}
	return hi
}

// raises says what raises the coupling.
func (s *Setup) raises() string {
	if s.Loading.Unhitched {
		return "wind the {jockey wheel} down"
	}
	return "blocks under the car's wheels"
}
