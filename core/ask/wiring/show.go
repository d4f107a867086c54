package wiring

import (
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

// Lit is what the stage shows under some switches.
type Lit struct {
	Lamps    []LampState   `json:"lamps"`
	Poles    []PoleState   `json:"poles"`
	Switches []Switch      `json:"switches"` // that the plug has
	Length   []WireRow     `json:"wires"`    // what to buy
	Fittings []HarnessPart `json:"fittings"` // and besides wire
	Points   []ProbePoint  `json:"points"`   // for a meter
	Trials   []Trial       `json:"trials"`   // by which it is tried
	Labels   []string      `json:"labels"`   // of the wires
	View     scene.View    `json:"view"`
	Diagram  *scene.View   `json:"diagram,omitempty"`
	Face     PlugFace      `json:"face"`
}

// LampState is a lamp as it shines.
type LampState struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	Volts  float64 `json:"volts"`
	Bright float64 `json:"bright"` // share of its rated light
	Level  Level   `json:"level"`
	Pole   string  `json:"pole,omitempty"`
	LED    bool    `json:"led,omitempty"`
}

// PoleState is a pole with what it carries.
type PoleState struct {
	Number string        `json:"number"`
	Says   said.Sentence `json:"says"`
	Amps   float64       `json:"amps"`
}

// WireRow is how much wire a pole takes.
type WireRow struct {
	Says   said.Sentence   `json:"says"`
	Length finding.Measure `json:"length"`
}

// Show is a harness under switches; nil where there is none.
func Show(r *rig.Rig, on []Switch) *Lit {
	h := New(r)
	if h == nil {
		return nil
	}
	out := &Lit{Lamps: []LampState{}, Poles: []PoleState{}, Length: []WireRow{}, Labels: []string{}}
	_, out.Switches = h.switches()
	l := h.solve(on, nil)
	for i := range h.lamps {
		s := LampState{
			ID: h.lamps[i].id, Name: h.lampName(i), Volts: l.lights[i].volts, Bright: l.lights[i].bright,
			Level: levelOf(l.lights[i].bright), LED: h.lamps[i].l.LED,
		}
		if p := h.lamps[i].pole; p >= 0 {
			s.Pole = h.poles[p].Number
		}
		out.Lamps = append(out.Lamps, s)
	}
	for i := range h.poles {
		amps := l.poles[i]
		if i == h.earth {
			for _, a := range l.poles {
				amps += a
			}
		}
		out.Poles = append(out.Poles, PoleState{h.poles[i].Number, h.poleName(i), amps})
	}
	out.Length, out.Fittings = h.lengths(), h.fittings()
	out.Trials = h.trials()
	for _, w := range h.Wires() {
		out.Labels = append(out.Labels, w.Label)
	}
	out.Points = h.points(l.net, l.volts, nearRig(r, h.lead-slack))
	out.View, out.Diagram = h.view(l), h.Diagram()
	out.Face = h.face(out.Poles)
	return out
}

// switches are those for which the plug feeds a lamp.
func (h *Harness) switches() (used []int, on []Switch) {
	used = h.usedPoles()
	for _, s := range Switches {
		if slices.ContainsFunc(used, func(p int) bool { return slices.Contains(feeds[s], h.poles[p].Feed) }) {
			on = append(on, s)
		}
	}
	return used, on
}

// lengths are how much wire each pole takes: its trunk and the branches to its lamps.
func (h *Harness) lengths() (out []WireRow) {
	w := h.wires()
	for _, p := range h.usedPoles() {
		sum := w.trunk[p]
		for i := range h.lamps {
			if h.lamps[i].pole == p {
				sum += w.branch[i]
			}
		}
		out = append(out, WireRow{h.poleName(p), toBuy(sum)})
	}
	earth := w.earth
	if h.w.EarthFrame {
		earth = h.lead
	} else {
		for _, u := range w.unit {
			earth += u
		}
	}
	if h.earth >= 0 {
		out = append(out, WireRow{h.poleName(h.earth), toBuy(earth)})
	}
	return out
}

// toBuy is a length of wire as one buys it: rounded up to 50 mm.
func toBuy(m float64) finding.Measure {
	return *finding.Exactly(quantity.KindLength, math.Ceil(m*20-1e-9)/20)
}

// view is the trailer from above with lamps and cable.
func (h *Harness) view(l *lit) scene.View {
	v := scene.View{ID: "wiring", Title: said.Say("Lamps and cable from above"), Shapes: []scene.Shape{}}
	r := h.r
	long, half := r.DeckLength(), r.DeckWidth()/2
	front := nearRig(r, h.lead-slack)
	v.Shapes = append(
		v.Shapes,
		scene.Rect("frame-deck", "", 0, -half, long, half),
		scene.Disc("ball", -front, 0, 0.03),
	)
	w := h.wires()
	last := long
	for i := range h.lamps {
		last = math.Max(last, float64(h.lamps[i].l.Back))
	}
	if r.Drawn != nil { // each member can be clicked
		for i := range r.Drawn.Bars {
			b := &r.Drawn.Bars[i]
			class := "member-way"
			if use := h.w.Route[b.ID]; use != "" {
				class += " " + string(use)
			}
			s := scene.Line(class, b.From.X, b.From.Y, b.To.X, b.To.Y)
			s.Thing = "/trailers/" + r.Scope.Trailer + "/frame/members/" + b.ID
			v.Shapes = append(v.Shapes, s)
		}
	}
	ways, cables := w.stretches()
	for i, s := range ways {
		class := "cable"
		if cables[i] > 1 {
			class = "cable trunk"
		}
		v.Shapes = append(v.Shapes, scene.Shape{Form: scene.Polyline, Class: class, Points: s.pts[:]})
	}
	beside := map[int]int{} // lamps of one unit are drawn behind each other
	for i := range h.lamps {
		x, y := lampAt(&h.lamps[i], beside[h.lamps[i].unit])
		beside[h.lamps[i].unit]++
		d := scene.Disc("lamp "+string(levelOf(l.lights[i].bright)), x, y, 0.045)
		d.Thing = "/trailers/" + r.Scope.Trailer + "/wiring/lamps/" + h.lamps[i].id
		v.Shapes = append(v.Shapes, d)
	}
	v.Min, v.Max = scene.Point{-front - 0.15, -half - 0.2}, scene.Point{last + 0.55, half + 0.2}
	v.Sense()
	return v
}
