package frame

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// CodeWheels is the code of the finding on the wheels' room beside the frame.
const CodeWheels = "frame.wheels"

// Figures of practice (confidence C), m.
const (
	tyreUsual = 0.205 // width of a tyre whose size is not stated: a wide one
	tyreRoom  = 0.020 // between tyre and steel
)

// wheels holds the tyre's inner wall against what is drawn beside it: members that reach down to the tyre's
// height, over the length of the wheel. Wheels under the deck are a matter of height, which stance asks.
func wheels(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeWheels, "Room beside the wheels")
	if r.Trailer.Track == nil || r.DeckFront == nil || r.Axle == nil {
		return f, false // the track is asked for where balance needs it
	}
	radius, half := r.WheelRadius(), float64(r.Trailer.Track.Value)/2
	broad := tyreUsual
	if w := r.Tyre().Width; w != nil {
		broad = float64(*w)
	}
	inner := half - broad/2
	top := 2*radius - r.DeckHeight() // of the tyre, over the deck's underside
	least, by := math.Inf(1), -1
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		bottom := math.Min(b.From.Z, b.To.Z) - b.High/2
		if b.Length == 0 || bottom > top {
			continue
		}
		for _, x := range r.AxlesAt() {
			x -= r.DeckFront.Nominal
			if math.Max(b.From.X, b.To.X) < x-radius || math.Min(b.From.X, b.To.X) > x+radius {
				continue
			}
			y := math.Max(math.Abs(b.From.Y), math.Abs(b.To.Y))
			if math.Abs(b.Axes[0].X) > 0.5 { // along: its face; across: its end
				y += b.Wide / 2
			}
			if d := inner - y; d < least {
				least, by = d, i
			}
		}
	}
	if by < 0 {
		return f, false
	}
	f.Subject = "/trailers/" + r.Scope.Trailer + "/frame/members/" + r.Drawn.Bars[by].ID
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, least), finding.Exactly(quantity.KindLength, tyreRoom)
	name := said.Name(r.Drawn.Bars[by].Member.Name, "a member")
	switch {
	case least < 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"The {tyre} would stand % inside %. Use a wider axle or narrower rails.",
			name,
			said.Length(-least),
		)
	case least < tyreRoom:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"Only % between the {tyre} and %; the usual minimum is %.",
			said.Length(least),
			name,
			said.Length(tyreRoom),
		)
	default:
		f.Says = said.Say("% between the {tyre} and %.", said.Length(least), name)
	}
	return f, true
}
