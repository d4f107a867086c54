package box

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/sums/passage"
)

// boltWorks is a bolt's resistance over what it is used to; uneven is how much more than its share the worst bears (C).
const (
	boltWorks = 1.5
	uneven    = 2.0
)

// held asks whether its bolts hold it under braking with all that is in it and not lashed, and against wind that lifts its side:
//
//	shear 2·0.8·m·g/n,  tension by the wind's moment over half of the bolts at the width
//	(F_v/F_v,Rd)² + (F_t/F_t,Rd)² against 1
func (b *Body) held() (finding.Finding, bool) {
	f := b.base(CodeHeld, "Held to the trailer", "bolts")
	if b.b.Pockets {
		return f, false
	}
	switch {
	case b.b.Bolts < 1:
		return b.need(f, "bolts", "how many bolts hold it to the trailer", "At least four, near its corners."), true
	case b.b.BoltAcross == nil:
		return b.need(f, "boltAcross", "how thick the bolts are", "M8 is 8 mm."), true
	}
	kg, light := b.carried()
	if light != "" {
		return weigh(f, light), true
	}
	kg += b.mass.High
	grade, known := norms.BoltOf(b.b.BoltGrade)
	d, n := float64(*b.b.BoltAcross), float64(b.b.Bolts)
	shear := uneven * ahead * kg * quantity.Gravity / n
	// wind on its side and half a g of what is in it, about its foot, less nothing of its own weight
	moment := air/2*broad*gale*gale*b.area()*float64(b.b.High)/2 + aside*kg*quantity.Gravity*float64(b.b.High)/2
	foot := math.Min(float64(b.b.Wide), float64(b.b.Long)) // whichever way it stands
	pull := uneven * moment / (foot * math.Max(1, n/2))
	share := math.Hypot(shear/(grade.ShearOf(d)/boltWorks), pull/(grade.TensionOf(d)/boltWorks))
	f.Source = &norms.BoltSource
	f.AtMost(quantity.KindShare, share, 1)
	f.Says = said.Say(
		"Under full braking and a gale on its side, its bolts are loaded to %, with % inside that nothing else holds.",
		said.Share(math.Round(share*100)/100),
		said.Mass(kg-b.mass.High),
	)
	switch {
	case f.Outcome == finding.Fails:
		f.Says = append(f.Says, said.Say(" Use more or thicker ones, with large washers.")...)
	case !known:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Their grade is not entered; the weakest is assumed.")...)
	default:
		f.Says = append(f.Says, said.Say(" Use large washers and locking nuts, and keep lamps and {number plate} in sight.")...)
	}
	if b.b.Minutes != nil {
		f.Says = append(f.Says, said.Say(" It comes off again in %.", said.Of(quantity.KindTime, *b.b.Minutes*60))...)
	}
	return f, true
}

// Way is how a body gets out: which of its sizes stand along, across and up.
type Way struct {
	Long, Wide, High float64 // as it is carried
	Name             string
	Door, Corner     float64 // room left, m; +Inf where it is not stated
}

// cornerOf is the room at the corner and the angle at which it is least.
func cornerOf(w Way, a, b float64) (room, angle float64) { return passage.Corner(w.Long, w.Wide, a, b) }

// Room is the least room on a way.
func (w *Way) Room() float64 { return math.Min(w.Door, w.Corner) }

// Ways are the body's ways out, the one with most room first: on its feet, on its side, on its end, each carried along or
// across.
func (b *Body) Ways() (out []Way) {
	l, w, h := float64(b.b.Long), float64(b.b.Wide), float64(b.b.High)
	for _, o := range []struct {
		name       string
		a, b, high float64
	}{
		{"on its feet", l, w, h}, {"on its feet, across", w, l, h}, {"on its side", l, h, w}, {"on its side, across", h, l, w},
		{"on its end", w, h, l}, {"on its end, across", h, w, l},
	} {
		way := Way{Long: o.a, Wide: o.b, High: o.high, Name: o.name, Door: math.Inf(1), Corner: math.Inf(1)}
		if b.b.DoorWide != nil && b.b.DoorHigh != nil {
			way.Door = math.Min(float64(*b.b.DoorWide)-o.b, float64(*b.b.DoorHigh)-o.high)
		}
		if b.b.PathWide != nil {
			way.Corner = float64(*b.b.PathWide) - o.b
			if b.b.Corner != nil {
				room, _ := cornerOf(way, float64(*b.b.PathWide), float64(*b.b.Corner))
				way.Corner = math.Min(way.Corner, room)
			}
		}
		out = append(out, way)
	}
	best := 0
	for i := range out {
		if out[i].Room() > out[best].Room()+1e-9 {
			best = i
		}
	}
	out[0], out[best] = out[best], out[0]
	return out
}

// fingers are left beside what is carried through (practice, C), m.
const fingers = 0.05

// out asks whether it gets out of where it is built.
func (b *Body) out() (finding.Finding, bool) {
	f := b.base(CodeOut, "Out of the workshop", "doorWide")
	switch {
	case b.b.DoorWide == nil && b.b.DoorHigh == nil && b.b.PathWide == nil && b.b.Corner == nil:
		return f, false
	case b.b.DoorWide == nil && b.b.DoorHigh != nil:
		return b.need(f, "doorWide", "how wide the door is", "Between its posts."), true
	case b.b.DoorHigh == nil && b.b.DoorWide != nil:
		return b.need(f, "doorHigh", "how high the door is", "From the sill."), true
	case b.b.PathWide == nil && b.b.Corner != nil:
		return b.need(f, "pathWide", "how wide the path is in front of its corner", "At its narrowest."), true
	}
	best := b.Ways()[0]
	room := best.Room()
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, room), finding.Exactly(quantity.KindLength, fingers)
	where := "the door"
	if best.Corner < best.Door {
		where = "the path and its corner"
	}
	switch {
	case room < 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"It does not get out, "+best.Name+" the way it fits best: % too large for "+where+".",
			said.Length(-room),
		)
		if parts := b.split(); parts > 1 {
			f.Says = append(
				f.Says,
				said.Say(" Build it to come apart in % across its length, % each.", said.Count(parts),
					said.Length(float64(b.b.Long)/float64(parts)))...)
		} else {
			f.Says = append(f.Says, said.Say(" Build it outside, or so that it can be put together there.")...)
		}
	case room < fingers:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"It just gets out "+best.Name+", with % at "+where+": there is no room for hands beside it.",
			said.Length(room),
		)
	default:
		f.Says = said.Say("It gets out "+best.Name+", with % at "+where+".", said.Length(room))
	}
	return f, true
}

// split is the fewest parts across its length that get out; zero where four do not.
func (b *Body) split() int {
	for n := 2; n <= 4; n++ {
		part := *b.b
		part.Long /= quantity.Length(n)
		if (&Body{b: &part}).Ways()[0].Room() >= 0 {
			return n
		}
	}
	return 0
}

// oneCarries is what one person lifts of a thing that others carry with (practice, C), kg.
const oneCarries = 25.0

// carry is how many people it takes to lift it.
func (b *Body) carry() (finding.Finding, bool) {
	f := b.base(CodeCarry, "Lifting it on", "helpers")
	if !(b.mass.High > 0) || b.b.Helpers < 1 {
		return f, false
	}
	n := int(math.Ceil(b.mass.High/oneCarries - 1e-9))
	f.Figure = finding.Exactly(quantity.KindCount, float64(n))
	f.Says = said.Say("Lifting it onto the deck, % high, takes % people.", said.Length(b.r.DeckHeight()), said.Count(n))
	f.Limit = finding.Exactly(quantity.KindCount, float64(b.b.Helpers))
	if n > b.b.Helpers {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(f.Says, said.Say(" There are %: take it up in parts, or with a hoist.", said.Count(b.b.Helpers))...)
	}
	return f, true
}
