// Package silhouette draws what a kind of load looks like from the side, from above and from
// behind: lines in a unit box, scaled to the size of the thing. They are sketches to tell a mower
// from a boat by; no figure is taken from them.
package silhouette

import (
	_ "embed" // the figures
	"strconv"
	"strings"

	"zygonos/core/lang/scene"
)

// Stroke is one line or face of a figure. Points run from zero to one: U from the front to the
// rear (from left to right in the view from behind), V from the bottom up (from left to right in
// the view from above). A radius is a share of the height and stays round however it is scaled.
type Stroke struct {
	Tone   Tone
	Points []scene.Point
	Radius float64 // of a circle about its one point
}

// Tone is how a stroke is painted.
type Tone byte

// The tones, as the letters in the data.
const (
	Body  Tone = 'b' // face in the load's colour
	Dark  Tone = 'd' // face in its dark one: seats, motors
	Light Tone = 'l' // glass, the inside of a boat
	Line  Tone = 's' // open line
	Wheel Tone = 'w' // dark circle that stands on the bottom: place, radius
	Ring  Tone = 'c' // circle as a line: place, height, radius
)

// Figure is a kind in its three views.
type Figure struct{ Side, Top, Rear []Stroke }

// Of is the figure of a kind; where it has none, of its shape: hull, wheels or box.
func Of(kind, shape string) *Figure {
	if f, ok := drawn[kind]; ok {
		return f
	}
	if f, ok := drawn[shape]; ok {
		return f
	}
	return drawn["box"]
}

// Known reports whether a kind has a figure of its own.
func Known(kind string) bool { return drawn[kind] != nil }

//go:embed figures.txt
var text string

var drawn = parse(text)

// parse reads the figures: a name at the margin, then its views with their strokes, indented. A
// name with @ is a set of strokes that others take; a = b is alike.
func parse(text string) map[string]*Figure {
	out, sets := map[string]*Figure{}, map[string][]Stroke{}
	name, view, strokes := "", "", ""
	flush := func() {
		if name == "" || strokes == "" {
			return
		}
		if strings.HasPrefix(name, "@") {
			sets[name] = read(strokes, sets)
			return
		}
		if out[name] == nil {
			out[name] = &Figure{}
		}
		f, drawn := out[name], read(strokes, sets)
		switch view {
		case "side":
			f.Side = drawn
		case "top":
			f.Top = drawn
		case "rear":
			f.Rear = drawn
		case "round":
			f.Side, f.Rear = drawn, drawn
		}
	}
	for line := range strings.Lines(text) {
		line = strings.TrimRight(line, "\n")
		switch {
		case line == "" || line[0] == '#':
		case line[0] != ' ':
			flush()
			name, view, strokes = line, "", ""
			if kind, like, ok := strings.Cut(line, " = "); ok {
				out[kind], name = out[like], ""
			}
		default:
			if v, rest, ok := strings.Cut(strings.TrimSpace(line), ": "); ok {
				flush()
				view, strokes = v, ""
				line = rest
			}
			strokes += " " + line
		}
	}
	flush()
	return out
}

// read takes strokes parted by semicolons: a letter, then numbers, or the name of a set. What is
// neither is left out; the tests see to it that nothing is.
func read(text string, sets map[string][]Stroke) []Stroke {
	var out []Stroke
	for part := range strings.SplitSeq(text, ";") {
		words := strings.Fields(part)
		if len(words) == 0 {
			continue
		}
		if set, ok := sets[words[0]]; ok {
			out = append(out, set...)
			continue
		}
		s := Stroke{Tone: Tone(words[0][0])}
		var n []float64
		for _, w := range words[1:] {
			v, err := strconv.ParseFloat(w, 64)
			if err != nil {
				return nil
			}
			n = append(n, v)
		}
		switch {
		case s.Tone == Wheel && len(n) == 2:
			s.Points, s.Radius = []scene.Point{{n[0], n[1]}}, n[1]
		case s.Tone == Ring && len(n) == 3:
			s.Points, s.Radius = []scene.Point{{n[0], n[1]}}, n[2]
		default:
			for i := 0; i+1 < len(n); i += 2 {
				s.Points = append(s.Points, scene.Point{n[i], n[i+1]})
			}
		}
		out = append(out, s)
	}
	return out
}
