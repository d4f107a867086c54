package steady

import "math"

// Figures of what is taken (practice, C).
const (
	leastTaken = 2.0 // kg: less is the empty plate
	liftedOff  = 0.2 // of what was taken last, or leastTaken: below it lies nothing any more
)

// Taken is a value that was taken, kg, to a tenth.
type Taken struct{ Value, Doubt float64 }

// Taking takes one value from each thing that is laid on a scale: once it stands still, and not again before
// it was lifted off.
type Taking struct {
	Filter
	last float64 // what was taken and still lies there; 0: nothing does
}

// Add takes a reading as Filter.Add does; taken is set where the value of a thing is taken with it.
func (t *Taking) Add(at, kg float64) (now State, taken *Taken) {
	now = t.Filter.Add(at, kg)
	if t.last > 0 && math.Abs(kg) < math.Max(leastTaken, liftedOff*t.last) {
		t.last = 0
	}
	if now.Steady && t.last == 0 && now.Value > leastTaken {
		v := now.Rounded()
		t.last, taken = v.Value, &v
	}
	return now, taken
}

// Rounded is a state as it is written down: both to a tenth of a kilogram, the doubt never to nothing.
func (s State) Rounded() Taken {
	return Taken{Value: math.Round(s.Value*10) / 10, Doubt: math.Max(resolution, math.Round(s.Doubt*10)/10)}
}
