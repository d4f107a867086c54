// Package practice lets an owner try on the own rig what costs most in the yard: reversing it, and judging it by eye. Rules:
// docs/method/practice.md and docs/method/reversing.md.
package practice

import (
	"math"

	"zygonos/core/ask/clearance"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
	"zygonos/core/sums/tow"
)

// Box is a rectangle in the frame of car or trailer, m: x ahead of the car's rear axle, or behind the ball; y to the right.
type Box struct {
	Front float64 `json:"front"`
	Rear  float64 `json:"rear"`
	Left  float64 `json:"left"`
	Right float64 `json:"right"`
}

// Outline is car and trailer as they are drawn and as they touch.
type Outline struct {
	Wheelbase float64         `json:"wheelbase"`
	Overhang  float64         `json:"overhang"`
	Length    float64         `json:"length"` // ball to the trailer's axle
	Track     float64         `json:"track"`
	Car       Box             `json:"car"`
	Trailer   Box             `json:"trailer"`
	Steer     float64         `json:"steer"`    // rad, most
	Critical  float64         `json:"critical"` // hitch angle from which only driving ahead helps
	Touches   float64         `json:"touches"`  // hitch angle at which they touch
	Usual     []said.Sentence `json:"usual"`    // what is typical, since the plan does not tell it
}

// Usual figures of a rig that a plan does not tell (practice, C).
const (
	usualWheelbase = 2.7
	usualOverhang  = 1.1
	usualLength    = 2.4
	usualTrack     = 1.5
	usualDeckFront = 1.1
	usualDeckLong  = 2.4
	usualDeckWide  = 1.4
	carHalf        = 0.9
	carNose        = 0.9 // ahead of its front axle
	carTail        = 0.25
	lockMost       = 0.60 // rad of the front wheels
	lockRate       = 0.45 // rad/s
	foldMost       = 75 * math.Pi / 180
	walk           = 1.4 // m/s
	ahead          = 2.2
	pulls          = 0.9 // m/s²
)

// OutlineOf is a plan's rig from above, longer by d at its drawbar; what it does not tell is typical, and said so. r may be nil.
func OutlineOf(r *rig.Rig, d float64) Outline {
	o := Outline{
		Wheelbase: usualWheelbase, Overhang: usualOverhang, Length: usualLength, Track: usualTrack,
		Trailer: Box{usualDeckFront, usualDeckFront + usualDeckLong, -usualDeckWide / 2, usualDeckWide / 2},
		Steer:   lockMost, Touches: foldMost, Usual: []said.Sentence{},
	}
	usual := func(says string) { o.Usual = append(o.Usual, said.Say(says)) }
	if r != nil && r.Vehicle != nil && r.Vehicle.Wheelbase != nil {
		o.Wheelbase = float64(r.Vehicle.Wheelbase.Value)
	} else {
		usual("the car’s wheelbase")
	}
	if r != nil && r.Vehicle != nil && r.Vehicle.RearOverhang != nil {
		o.Overhang = float64(r.Vehicle.RearOverhang.Value)
	} else {
		usual("from its rear axle to the ball")
	}
	if r != nil && r.Axle != nil && r.Axle.Nominal > 0.3 {
		o.Length = r.Axle.Nominal
	} else {
		usual("from the ball to the trailer’s axle")
	}
	if r != nil && r.Trailer.Track != nil {
		o.Track = float64(r.Trailer.Track.Value)
	}
	if r != nil && r.DeckFront != nil && r.Trailer.DeckLength != nil && r.Trailer.DeckWidth != nil {
		front, rear := r.Deck()
		half := r.DeckWidth() / 2
		o.Trailer = Box{front, rear, -half, half}
		for i := range r.Items {
			it := &r.Items[i]
			o.Trailer = Box{
				math.Min(o.Trailer.Front, it.Front), math.Max(o.Trailer.Rear, it.Rear),
				math.Min(o.Trailer.Left, it.Left), math.Max(o.Trailer.Right, it.Right),
			}
		}
	} else {
		usual("the trailer’s deck")
	}
	o.Length, o.Trailer.Front, o.Trailer.Rear = o.Length+d, o.Trailer.Front+d, o.Trailer.Rear+d
	if r != nil && r.Vehicle != nil && r.DeckFront != nil && r.Trailer.DeckLength != nil {
		if a := clearance.Articulate(r, d).Angle; a < math.Pi/2 {
			o.Touches = a
		} else {
			o.Touches = math.Pi / 2
		}
	}
	o.Wheelbase, o.Length = math.Max(0.8, o.Wheelbase), math.Max(0.5, o.Length)
	o.Overhang = math.Max(0, o.Overhang)
	o.Touches = math.Max(o.Touches, 0.2)
	o.Car = Box{o.Wheelbase + carNose, math.Min(0, carTail-o.Overhang), -carHalf, carHalf}
	t := o.rig()
	o.Critical = t.Critical()
	return o
}

func (o *Outline) rig() tow.Rig {
	return tow.Rig{
		Wheelbase: o.Wheelbase, Overhang: o.Overhang, Length: o.Length, SteerMost: o.Steer, SteerRate: lockRate,
		FoldMost: o.Touches, Accel: pulls, Ahead: ahead, Back: walk,
	}
}
