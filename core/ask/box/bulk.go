package box

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/goods"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/sums/earth"
)

// Accelerations of a load on its walls, shares of g (EN 12195-1; B).
const (
	ahead = 0.8
	aside = 0.5
)

var restraint = finding.Source{
	Title: "EN 12195-1 and earth pressure at rest (Jáky)", Clause: "0.8 g forward, 0.5 g to side and rear", AsOf: "2010", Confidence: "B",
}

// heap is the loose material that lies in the body.
type heap struct {
	kg, k, density, high float64 // at its most; K₀; kg/m³; height against the walls, m
	ok                   bool
	light                string // load of which the weight is not known
}

// heap sums what is poured into it: all loose loads of the outing, the least slope of repose of them.
func (b *Body) heap() (h heap) {
	volume := 0.0
	for i := range b.r.Items {
		it := &b.r.Items[i]
		if it.Load == nil || it.Load.Bulk == nil {
			continue
		}
		if it.Mass == nil || it.Lot == nil {
			h.ok, h.light = true, it.Path
			return h
		}
		stuff, _ := goods.StuffOf(b.r.Plan, it.Load.Bulk)
		h.kg += it.Mass.High
		h.k = math.Max(h.k, earth.AtRest(stuff.ReposeLow*math.Pi/180))
		volume += it.Lot.Volume.High
	}
	floor := float64(b.b.Long) * float64(b.b.Wide)
	if !(h.kg > 0) || !(floor > 0) {
		return h
	}
	h.ok = true
	h.high = float64(b.b.High)
	if volume > 0 {
		h.high = math.Min(h.high, volume/floor)
	}
	if h.high > 0 {
		h.density = h.kg / (floor * h.high)
	}
	return h
}

// accel is what a wall bears: where the body stands turned, its sides may look ahead, and all bear what the front does.
func (b *Body) accel(as float64) float64 {
	if b.it.Turn%180 != 0 {
		return ahead
	}
	return as
}

// boards asks whether a skin spans from post to post under the push of what lies against it, at its foot:
//
//	p = K₀·ρ·g·h + a·m·g/A_wall,  σ = p·s²/8/(t²/6)
//
// the worse of headboard (0.8 g) and sides (0.5 g).
func (b *Body) boards() (finding.Finding, bool) {
	f := b.base(CodeBulk, "Bulk against the skins", "skinThick")
	h := b.heap()
	if !h.ok {
		return f, false
	}
	f.Source = &restraint
	if h.light != "" {
		return weigh(f, h.light), true
	}
	strong, known := boardOf(b.b.Skin)
	switch {
	case b.b.SkinThick == nil || !known:
		return b.need(
			f,
			"skinThick",
			"what the skin is made of and how thick it is",
			"Plywood, boards or sheet, with a caliper.",
		), true
	case b.b.Apart == nil:
		return b.need(f, "apart", "how far apart the posts are", "Tape from middle to middle."), true
	}
	t, worst, wall := float64(*b.b.SkinThick), 0.0, ""
	side, end := parts.PostsOf(b.b)
	for _, w := range []struct {
		name      string
		long, bay float64
		accel     float64
	}{
		{"headboard", float64(b.b.Wide), float64(b.b.Wide) / float64(end+1), ahead},
		{"sides", float64(b.b.Long), float64(b.b.Long) / float64(side-1), aside},
	} {
		if w.name == "headboard" && b.b.OpenFront || !(h.high > 0) {
			continue
		}
		w.accel = b.accel(w.accel)
		p := h.k*h.density*quantity.Gravity*h.high + w.accel*h.kg*quantity.Gravity/(w.long*h.high)
		if s := p * w.bay * w.bay / 8 / (t * t / 6); s > worst {
			worst, wall = s, w.name
		}
	}
	f.AtMost(quantity.KindStress, worst, strong)
	f.Says = said.Say("Worst at the "+wall+": the skin carries %, of the % it may carry.",
		said.Of(quantity.KindStress, worst), said.Of(quantity.KindStress, strong))
	if f.Outcome == finding.Fails {
		f.Says = append(
			f.Says,
			said.Say(" Set the posts closer together, or use a thicker skin. Put a net or cover over light stuff.")...)
	} else {
		f.Says = append(f.Says, said.Say(" Put a net or cover over light stuff.")...)
	}
	return f, true
}

// boardOf is what a skin is used to in bending, Pa (practice, C: boards by EN 338 over 2.5, plywood 30 MPa over 2.5 across a
// wet grain, sheets by their yield over 1.5).
func boardOf(id string) (float64, bool) {
	switch id {
	case "plywood":
		return 10e6, true
	case "chipboard", "mdf":
		return 4e6, true
	case "softwood", "softwood-wet":
		c16, _ := catalogue.StockOf("c16")
		return c16.Working(), true
	case "hardwood":
		c24, _ := catalogue.StockOf("c24")
		return c24.Working(), true
	case "steel":
		mild, _ := catalogue.StockOf("mild")
		return mild.Working(), true
	case "aluminium":
		return 100e6 / 1.5, true // soft sheet
	case "acrylic":
		return 15e6, true
	}
	return 0, false
}

// posts asks whether the posts hold the walls at the deck as cantilevers, each with its bay:
//
//	M = (F·z + a·m·g/L_wall·h/2)·s,  σ = M/W
//
// F and z of the earth pressure a metre. A top rail, a roof or a skin around the corners help and are not counted.
func (b *Body) posts() (finding.Finding, bool) {
	f := b.base(CodePosts, "Bulk against the posts", "stick")
	h := b.heap()
	if !h.ok {
		return f, false
	}
	f.Source = &restraint
	if h.light != "" {
		return weigh(f, h.light), true
	}
	if b.bar == nil {
		return b.need(f, "stick", "what the posts are made of", "Their section with a caliper."), true
	}
	side, end := parts.PostsOf(b.b)
	worst, wall := 0.0, ""
	force, up := earth.Push(h.k, h.density, h.high, 0)
	for _, w := range []struct {
		name      string
		long, bay float64
		accel     float64
	}{
		{"front", float64(b.b.Wide), float64(b.b.Wide) / float64(end+1), ahead},
		{"sides", float64(b.b.Long), float64(b.b.Long) / float64(side-1), aside},
	} {
		if w.name == "front" && b.b.OpenFront {
			continue
		}
		w.accel = b.accel(w.accel)
		moment := (force*up + w.accel*h.kg*quantity.Gravity/w.long*h.high/2) * w.bay
		if s := moment / math.Min(b.bar.Wy, b.bar.Wz); s > worst {
			worst, wall = s, w.name
		}
	}
	f.AtMost(quantity.KindStress, worst, b.of.Working())
	f.Says = said.Say("Worst at the "+wall+": a post carries % at its foot, of the % it may carry.",
		said.Of(quantity.KindStress, worst), said.Of(quantity.KindStress, b.of.Working()))
	if b.b.Pockets {
		f.Says = append(f.Says, said.Say(" Its pocket carries as much: make it two hands deep, with no play.")...)
	} else {
		f.Says = append(f.Says, said.Say(" Its weld or bolts carry as much.")...)
	}
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use stronger posts, more of them, or a bar across the top.")...)
	}
	return f, true
}

// latch asks whether the latches of the rear hold the load at 0.5 g with what it presses at rest.
func (b *Body) latch() (finding.Finding, bool) {
	f := b.base(CodeLatch, "Latches of the rear", "latches")
	if b.b.OpenRear {
		return f, false
	}
	kg, light := b.carried()
	if light != "" {
		return weigh(f, light), true
	}
	if !(kg > 0) {
		return f, false
	}
	f.Source = &restraint
	switch {
	case b.b.Latches < 1:
		return b.need(f, "latches", "how many latches hold the rear", "At least two, one on each side."), true
	case b.b.LatchMax == nil:
		return b.need(f, "latchMax", "what a latch can take", "Its leaflet gives a working load."), true
	}
	each := b.outward(kg) / float64(b.b.Latches)
	f.AtMost(quantity.KindMass, each, float64(*b.b.LatchMax))
	f.Says = said.Say(
		"A latch carries %, of %, if nothing else holds the load.",
		said.Mass(each),
		said.Mass(*b.b.LatchMax),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Fit more or stronger ones, or lash the load on its own.")...)
	}
	return f, true
}

// outward is what presses the rear open, kg: 0.5 g of what is in it, and bulk at rest.
func (b *Body) outward(kg float64) float64 {
	force := aside * kg
	if h := b.heap(); h.ok {
		push, _ := earth.Push(h.k, h.density, h.high, 0)
		force += push * float64(b.b.Wide) / quantity.Gravity
	}
	return force
}

// carried is what stands in the body at its most, kg; light is a load there of which the weight is not known.
func (b *Body) carried() (kg float64, light string) {
	for i := range b.r.Items {
		it := &b.r.Items[i]
		switch {
		case it.Part || it.Path == b.it.Path:
		case it.Mass == nil:
			return kg, it.Path // wherever it stands: its place says little before it is placed
		case it.X >= b.it.Front && it.X <= b.it.Rear:
			kg += it.Mass.High
		}
	}
	return kg, ""
}

// weigh asks for the weight of a load.
func weigh(f finding.Finding, path string) finding.Finding {
	f.Outcome, f.Figure, f.Limit = finding.Unknown, nil, nil
	f.Says = said.Say("Not known: the weight of what is in it.")
	f.Needs = []finding.Need{
		{
			Path:  path + "/mass",
			Says:  said.Say("the weight of what is in it"),
			Where: said.Say("Weigh it, or look at its plate."),
		},
	}
	return f
}
