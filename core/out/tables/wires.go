package tables

import (
	"strconv"

	"zygonos/core/ask/wiring"
	"zygonos/core/facts/norms"
	"zygonos/core/rig"
)

// Wires is a trailer's harness: a row for each wire, then one for each contact of the plug. Lengths in mm, sections in
// mm²; labels for both ends of a wire.
func Wires(r *rig.Rig) []byte {
	rows := [][]string{
		{
			"what",
			"contact",
			"colour",
			"does",
			"to",
			"length mm",
			"shared mm",
			"section mm2",
			"awg",
			"label",
			"lamps",
		},
	}
	var h *wiring.Harness
	if r != nil {
		h = wiring.New(r)
	}
	if h == nil {
		return write(rows)
	}
	mm := func(v float64) string { return strconv.FormatFloat(v*1000, 'f', 0, 64) }
	section := h.Section()
	for _, w := range h.Wires() {
		rows = append(rows, []string{"wire", w.Pole, w.Colour, w.Does, w.To, mm(w.Length), mm(w.Shared),
			strconv.FormatFloat(section, 'f', -1, 64), norms.Gauge(section), w.Label, ""})
	}
	for _, p := range h.Pins() {
		rows = append(
			rows,
			[]string{"contact", p.Number, p.Colour, p.Does, "", "", "", "", "", "", strconv.Itoa(p.Lamps)},
		)
	}
	return write(rows)
}
