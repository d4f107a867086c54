package wiring

import (
	"math"

	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
)

// Wire is one wire of a harness from the plug to a lamp, or to the earth of lamps at one place.
type Wire struct {
	Pole   string
	Colour string // by the plug's standard
	Does   string
	To     string
	Length float64 // m, from where it leaves the wires that it shares its way with, or from the plug
	Shared float64 // m of the same pole's common wire before that
	Label  string  // for both its ends
}

// Wires are all wires of a harness, pole by pole.
func (h *Harness) Wires() (out []Wire) {
	w := h.wires()
	put := func(pole int, to string, long, shared float64) {
		p := &h.poles[pole]
		does := feedWord[p.Feed]
		out = append(out, Wire{p.Number, p.Colour, does, to, long, shared, p.Number + " " + does + " – " + to})
	}
	for _, p := range h.usedPoles() {
		for i := range h.lamps {
			if h.lamps[i].pole == p {
				put(p, h.lampName(i), w.branch[i], w.trunk[p])
			}
		}
	}
	if h.earth >= 0 && !h.w.EarthFrame {
		for u := range h.units {
			put(h.earth, h.unitName(u), w.unit[u], w.earth)
		}
	} else if h.earth >= 0 {
		put(h.earth, "the frame's front", h.lead, 0)
	}
	return out
}

// Section is the section of its wires, mm².
func (h *Harness) Section() (mm2 float64) { return h.wire }

// Pin is a contact of the plug for a table of its pins.
type Pin struct {
	Number, Colour, Does string
	Lamps                int
}

// Pins are the plug's contacts.
func (h *Harness) Pins() (out []Pin) {
	for i, p := range h.poles {
		n := Pin{p.Number, p.Colour, feedWord[p.Feed], 0}
		for k := range h.lamps {
			if h.lamps[k].pole == i {
				n.Lamps++
			}
		}
		out = append(out, n)
	}
	return out
}

// Trial is a line of the sheet by which a harness is tried: a switch and what must light, nothing else.
type Trial struct {
	Says   said.Sentence `json:"says"`
	Lights said.Sentence `json:"lights"`
}

// trials are what each switch lights when all is sound.
func (h *Harness) trials() (out []Trial) {
	_, on := h.switches()
	for _, s := range on {
		l := h.solve([]Switch{s}, nil)
		var lit []said.Sentence
		for i := range h.lamps {
			if levelOf(l.lights[i].bright) != LevelOff {
				lit = append(lit, said.Say("%", said.Name(h.lampName(i), "a lamp")))
			}
		}
		t := Trial{Says: said.Say(switchWord[s]), Lights: said.List(lit...)}
		if len(lit) == 0 {
			t.Lights = said.Say("nothing")
		}
		out = append(out, t)
	}
	return out
}

// Sizes of the diagram, in its own units.
const (
	rowHigh  = 0.16
	boxWide  = 1.3
	wiresGap = 1.6
)

// Diagram is the harness as a plan of its wires: the plug's contacts on the left, lamps on the right, each wire named
// by what it does.
func (h *Harness) Diagram() *scene.View {
	v := &scene.View{ID: "wiring-diagram", Title: said.Say("Wiring diagram"), Shapes: []scene.Shape{}}
	used := h.usedPoles()
	rows := map[int]float64{} // of a pole's contact
	y := 0.0
	lampRow := make([]float64, len(h.lamps))
	right := boxWide + wiresGap
	line := func(class string, pts ...scene.Point) {
		v.Shapes = append(v.Shapes, scene.Shape{Form: scene.Polyline, Class: class, Points: pts})
	}
	box := func(x, y float64, says said.Sentence) {
		v.Shapes = append(v.Shapes, scene.Rect("diagram-box", "", x, y-rowHigh*0.42, x+boxWide, y+rowHigh*0.42))
		label := scene.Label("mark", "start", x+0.04, y, says)
		label.Room = boxWide - 0.06
		v.Shapes = append(v.Shapes, label)
	}
	for _, p := range used {
		rows[p] = y
		for i := range h.lamps {
			if h.lamps[i].pole == p {
				lampRow[i] = y
				y += rowHigh
			}
		}
	}
	earth := y + rowHigh/2
	for k, p := range used {
		box(0, rows[p], h.poleName(p))
		x := boxWide + wiresGap*(0.15+0.55*float64(k)/math.Max(1, float64(len(used))))
		for i := range h.lamps {
			if h.lamps[i].pole != p {
				continue
			}
			if lampRow[i] == rows[p] {
				line("cable", scene.Point{boxWide, rows[p]}, scene.Point{right, lampRow[i]})
			} else {
				line("cable", scene.Point{x, rows[p]}, scene.Point{x, lampRow[i]}, scene.Point{right, lampRow[i]})
				v.Shapes = append(v.Shapes, scene.Disc("hole", x, rows[p], 0.02))
			}
			box(right, lampRow[i], said.Say("%", said.Name(h.lampName(i), "a lamp")))
		}
	}
	if h.earth >= 0 {
		box(0, earth, h.poleName(h.earth))
		bus := right + boxWide + 0.15
		line("cable earth", scene.Point{boxWide, earth}, scene.Point{bus, earth})
		top := earth
		for i := range h.lamps {
			if h.lamps[i].pole >= 0 {
				line("cable earth", scene.Point{right + boxWide, lampRow[i]}, scene.Point{bus, lampRow[i]})
				top = math.Min(top, lampRow[i])
			}
		}
		line("cable earth", scene.Point{bus, top}, scene.Point{bus, earth})
		says := said.Say("earth, a wire of its own")
		if h.w.EarthFrame {
			says = said.Say("earth, through the frame")
		}
		label := scene.Label("mark", "start", boxWide+0.1, earth-rowHigh*0.35, says)
		v.Shapes = append(v.Shapes, label)
	}
	v.Min, v.Max = scene.Point{-0.05, -rowHigh}, scene.Point{right + boxWide + 0.25, earth + rowHigh}
	v.Sense()
	return v
}
