// Package energy asks what a drive with the trailer takes: fuel or charge, money, and whether it comes home. Formulas:
// docs/method/energy.md.
package energy

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage is where it is shown.
const Stage = "log"

type span = quantity.Range[float64]

// Figures of a drive (practice, C; air by ISO 2533, heat of fuels and their CO₂ A).
const (
	air       = 1.225 // kg/m³
	usualAt   = 25.0  // m/s at which a car's own figure is taken where it is not stated
	usualGo   = 80 / 3.6
	leastBase = 0.3 // of the car's own figure that slow driving leaves
	kWh       = 3.6e6
)

// engine is what a fuel gives at the wheels.
type engine struct {
	heat  float64 // kWh of a litre or kilowatt-hour
	takes span    // share of one more kilowatt-hour that comes to the wheels
	back  span    // share of a descent that is given back
	co2   float64 // kg of a litre
}

var engines = map[plan.CarFuel]engine{
	plan.Petrol:   {8.9, span{Nominal: 0.275, Low: 0.25, High: 0.30}, span{Nominal: 0.25, High: 0.5}, 2.31},
	plan.Diesel:   {10.0, span{Nominal: 0.35, Low: 0.32, High: 0.38}, span{Nominal: 0.25, High: 0.5}, 2.66},
	plan.Electric: {1, span{Nominal: 0.84, Low: 0.80, High: 0.88}, span{Nominal: 0.5, Low: 0.4, High: 0.6}, 0},
}

// Rolling of a trailer's tyres, share of its weight, and the doubt of a car's own figure as its driver knows it.
var (
	rollRoad  = span{Nominal: 0.013, Low: 0.010, High: 0.016}
	rollTrack = span{Nominal: 0.030, Low: 0.020, High: 0.045}
	baseDoubt = span{Nominal: 1, Low: 0.95, High: 1.05}
)

// carDrags are C_d·A of a car, m².
var carDrags = map[plan.CarBody]span{
	"":              {Nominal: 0.70, Low: 0.55, High: 0.95},
	plan.BodyHatch:  {Nominal: 0.65, Low: 0.55, High: 0.75},
	plan.BodyEstate: {Nominal: 0.67, Low: 0.58, High: 0.78},
	plan.BodyTall:   {Nominal: 0.90, Low: 0.75, High: 1.10},
	plan.BodyPickup: {Nominal: 1.05, Low: 0.90, High: 1.25},
	plan.BodyVan:    {Nominal: 1.20, Low: 1.00, High: 1.45},
}

// leg is a stretch in one direction, SI.
type leg struct{ far, speed, climb, drop, stops, wind float64 }

// half is a way out or home: its legs, what is towed and how it stands in the wind.
type half struct {
	legs          []leg
	trailer, drag span
}

// what goes into a drive, each with its doubt.
type job struct {
	engine  engine
	base    float64 // l or kWh of 100 km
	at      float64 // m/s
	car     span    // kg
	carDrag span
	roll    span
	factor  float64
	halves  []half
}

// parts are where the energy goes, in what is bought.
type parts struct{ car, rolls, air, climbs, stops float64 }

func (p parts) sum() float64 { return p.car + p.rolls + p.air + p.climbs + p.stops }

// doubts are what is varied one at a time.
const doubts = 8

// of takes the figure of a span that a choice asks for.
func of(s span, choice int) float64 { return [3]float64{s.Nominal, s.Low, s.High}[choice] }

// takes is what the drive takes with each figure at its middle (0), low (1) or high (2):
//
//	E = f·[b·s + (s·½ρ·(A_c·(u|u| − v₀²) + A_t·u|u|) + c·m·g·s + (M+m)·g·(up − β·down) + n·½m·v²·(1 − β_e))/(η·H)],  u = v + w
//
// of fuel n·½m·v² is lost whole. A car driven slowly takes three tenths of its own figure at least.
func (j *job) takes(h *half, choice [doubts]int) parts {
	e, p := &j.engine, parts{}
	base, car, roll := j.base*of(baseDoubt, choice[0]), of(j.car, choice[1]), of(j.roll, choice[2])
	drag, own := of(h.drag, choice[3]), of(j.carDrag, choice[4])
	eta, back, m := of(e.takes, choice[5]), of(e.back, choice[6]), of(h.trailer, choice[7])
	bought := eta * e.heat * kWh
	lost := 1.0
	if e.heat == 1 {
		lost = 1 - back
	}
	for _, l := range h.legs {
		u := (l.speed + l.wind) * math.Abs(l.speed+l.wind)
		alone := base * l.far / 1e5
		p.car += max(leastBase*alone, alone+l.far*air/2*own*(u-j.at*j.at)/bought)
		p.air += l.far * air / 2 * drag * u / bought
		p.rolls += l.far * roll * m * quantity.Gravity / bought
		p.climbs += (car + m) * quantity.Gravity * (l.climb - back*l.drop) / bought
		p.stops += l.stops * m / 2 * l.speed * l.speed * lost / bought
	}
	for _, x := range []*float64{&p.car, &p.air, &p.rolls, &p.climbs, &p.stops} {
		*x *= j.factor
	}
	return p
}

// all is the drive over its halves; each figure's doubt is tried one at a time and they are added as squares are.
func (j *job) all(halves ...half) (span, parts) {
	eval := func(choice [doubts]int) parts {
		var p parts
		for i := range halves {
			q := j.takes(&halves[i], choice)
			p = parts{p.car + q.car, p.rolls + q.rolls, p.air + q.air, p.climbs + q.climbs, p.stops + q.stops}
		}
		return p
	}
	mid := eval([doubts]int{})
	middle, up, down := mid.sum(), 0.0, 0.0
	for i := range doubts {
		more, less := 0.0, 0.0
		for _, end := range []int{1, 2} {
			var c [doubts]int
			c[i] = end
			d := eval(c).sum() - middle
			more, less = max(more, d), max(less, -d)
		}
		up, down = math.Hypot(up, more), math.Hypot(down, less)
	}
	return span{Nominal: max(0, middle), Low: max(0, middle-down), High: max(0, middle+up)}, mid
}

// legsOf are an outing's stretches; its distance at its speed where none are drawn.
func legsOf(o *plan.Outing) (out []leg) {
	speed := usualGo
	if o.Speed != nil {
		speed = float64(*o.Speed)
	}
	wind := 0.0
	if d := o.Drive; d != nil {
		if d.Headwind != nil {
			wind = float64(*d.Headwind)
		}
		for _, id := range plan.Ordered(d.Stretches, func(s plan.Stretch) int { return s.Order }) {
			s := d.Stretches[id]
			if s.Far == nil {
				continue
			}
			l := leg{far: float64(*s.Far), speed: speed, stops: float64(s.Stops), wind: wind}
			if s.Speed != nil {
				l.speed = float64(*s.Speed)
			}
			l.climb, l.drop = length(s.Climb), length(s.Drop)
			out = append(out, l)
		}
	}
	if len(out) == 0 && o.Distance != nil && *o.Distance > 0 {
		out = append(out, leg{far: float64(*o.Distance), speed: speed, wind: wind})
	}
	return out
}

func length(l *quantity.Length) float64 {
	if l == nil {
		return 0
	}
	return float64(*l)
}

// homeward is the same way back: climbs are descents, the wind comes from behind.
func homeward(legs []leg) []leg {
	out := make([]leg, 0, len(legs))
	for i := len(legs) - 1; i >= 0; i-- {
		l := legs[i]
		l.climb, l.drop, l.wind = l.drop, l.climb, -l.wind
		out = append(out, l)
	}
	return out
}

// withParts is the trailer with all that stays on it.
func withParts(r *rig.Rig) span {
	s := *r.EmptyMass()
	for i := range r.Items {
		if m := r.Items[i].Mass; m != nil && r.Items[i].Part {
			s = span{Nominal: s.Nominal + m.Nominal, Low: s.Low + m.Low, High: s.High + m.High}
		}
	}
	return s
}

// loads is what is carried, without what is built on the trailer; a load whose mass is not known counts nothing.
func loads(r *rig.Rig) (s span) {
	for i := range r.Items {
		if m := r.Items[i].Mass; m != nil && !r.Items[i].Part {
			s = span{Nominal: s.Nominal + m.Nominal, Low: s.Low + m.Low, High: s.High + m.High}
		}
	}
	return s
}

// jobOf an outing's rig: what goes into the drive, or what is missing.
func jobOf(r *rig.Rig) (*job, []finding.Need) {
	needs := lacks(r)
	if needs != nil {
		return nil, needs
	}
	t, o := r.Vehicle.Thirst, r.Outing
	j := &job{engine: engines[t.By], at: usualAt, factor: 1, roll: rollRoad}
	j.carDrag = carDrags[r.Vehicle.Body]
	if t.By == plan.Electric {
		j.base = float64(*t.Draws)
	} else {
		j.base = float64(*t.Burns)
	}
	if t.At != nil {
		j.at = float64(*t.At)
	}
	if t.Factor != nil {
		j.factor = *t.Factor
	}
	if o.Road == plan.RoadTrack {
		j.roll = rollTrack
	}
	if m, _ := r.CarMass(); m != nil {
		j.car = *m
	}
	out := legsOf(o)
	laden, empty := r.Total(), withParts(r)
	j.halves = []half{{out, *laden, DragOf(r, false)}}
	if o.Drive != nil {
		switch o.Drive.Home {
		case plan.HomeEmpty:
			j.halves = append(j.halves, half{homeward(out), empty, DragOf(r, true)})
		case plan.HomeLoaded:
			j.halves = append(j.halves, half{homeward(out), *laden, DragOf(r, false)})
		}
	}
	return j, nil
}
