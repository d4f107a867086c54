package scene

import (
	"encoding/xml"
	"fmt"
	"math"
	"strings"

	"zygonos/core/lang/quantity"
)

// SVG writes a view to scale, one user unit a millimetre, so that it prints 1:1 where
// the sheet is large enough. Each class of shape is a group.
func (v *View) SVG(l quantity.Locale) []byte {
	var b strings.Builder
	w, h := (v.Max[0]-v.Min[0])*1000, (v.Max[1]-v.Min[1])*1000
	fmt.Fprintf(
		&b,
		`<svg xmlns="http://www.w3.org/2000/svg" width="%smm" height="%smm" viewBox="%s %s %s %s">`+"\n",
		mm(w),
		mm(h),
		mm(v.Min[0]*1000),
		mm(v.Min[1]*1000),
		mm(w),
		mm(h),
	)
	fmt.Fprintf(&b, "<title>%s</title>\n", escaped(v.Title.Text(l)))
	b.WriteString(
		`<g fill="none" stroke="#000" stroke-width="2" stroke-linejoin="round" font-family="sans-serif">` + "\n",
	)
	texts := v.spread(l)
	for i := range v.Shapes {
		s := &v.Shapes[i]
		if !s.drawable() {
			continue
		}
		switch s.Form {
		case Polygon, Polyline:
			fmt.Fprintf(&b, `<%s class="%s" points="`, s.Form, escaped(s.Class))
			for k, p := range s.Points {
				if k > 0 {
					b.WriteByte(' ')
				}
				b.WriteString(mm(p[0]*1000) + "," + mm(p[1]*1000))
			}
			b.WriteString("\"/>\n")
		case Circle:
			fmt.Fprintf(
				&b,
				`<circle class="%s" cx="%s" cy="%s" r="%s"/>`+"\n",
				escaped(s.Class),
				mm(s.Points[0][0]*1000),
				mm(s.Points[0][1]*1000),
				mm(s.Radius*1000),
			)
		case Text:
			anchor := s.Anchor
			if anchor == "" {
				anchor = "start"
			}
			fmt.Fprintf(
				&b,
				`<text class="%s" x="%s" y="%s" text-anchor="%s" dominant-baseline="middle" font-size="%s" fill="#000" stroke="none">%s</text>`+"\n",
				escaped(
					s.Class,
				),
				mm(texts[s][0]*1000),
				mm(texts[s][1]*1000),
				anchor,
				mm(letter*1000),
				escaped(s.Says.Text(l)),
			)
		}
	}
	b.WriteString("</g>\n</svg>\n")
	return []byte(b.String())
}

// letter is the height of a drawing's letters, m.
const letter = 0.045

// drawable reports whether a shape has the points that its form needs, all finite.
func (s *Shape) drawable() bool {
	least := map[Form]int{Polygon: 3, Polyline: 2, Circle: 1, Text: 1}[s.Form]
	if least == 0 || len(s.Points) < least {
		return false
	}
	for _, p := range s.Points {
		if !quantity.Finite(p[0]) || !quantity.Finite(p[1]) {
			return false
		}
	}
	return quantity.Finite(s.Radius)
}

func escaped(s string) string {
	var b strings.Builder
	_ = xml.EscapeText(&b, []byte(s)) // a strings.Builder never fails
	return b.String()
}

// mm prints a figure in millimetres, to a hundredth, without a negative zero.
func mm(v float64) string {
	return strings.TrimSuffix(strings.TrimRight(fmt.Sprintf("%.2f", math.Round(v*100)/100+0), "0"), ".")
}

// DXF writes a view to scale in millimetres as an ASCII drawing of release 12: a
// layer for each class of shape, y upward.
func (v *View) DXF(l quantity.Locale) []byte {
	var b strings.Builder
	pair := func(code int, value string) { fmt.Fprintf(&b, "%d\r\n%s\r\n", code, value) }
	point := func(code int, p Point) {
		pair(code, mm(p[0]*1000))
		pair(code+10, mm(-p[1]*1000))
		pair(code+20, "0")
	}
	var layers []string
	seen := map[string]bool{}
	for i := range v.Shapes {
		if n := layer(v.Shapes[i].Class); !seen[n] {
			seen[n] = true
			layers = append(layers, n)
		}
	}
	pair(0, "SECTION")
	pair(2, "HEADER")
	pair(9, "$ACADVER")
	pair(1, "AC1009")
	pair(9, "$EXTMIN")
	point(10, Point{v.Min[0], v.Max[1]})
	pair(9, "$EXTMAX")
	point(10, Point{v.Max[0], v.Min[1]})
	pair(0, "ENDSEC")
	pair(0, "SECTION")
	pair(2, "TABLES")
	pair(0, "TABLE")
	pair(2, "LAYER")
	pair(70, fmt.Sprint(len(layers)))
	for _, n := range layers {
		pair(0, "LAYER")
		pair(2, n)
		pair(70, "0")
		pair(62, "7")
		pair(6, "CONTINUOUS")
	}
	pair(0, "ENDTAB")
	pair(0, "ENDSEC")
	pair(0, "SECTION")
	pair(2, "ENTITIES")
	texts := v.spread(l)
	for i := range v.Shapes {
		s := &v.Shapes[i]
		if !s.drawable() {
			continue
		}
		on := layer(s.Class)
		switch s.Form {
		case Polygon, Polyline:
			pair(0, "POLYLINE")
			pair(8, on)
			pair(66, "1")
			pair(70, map[Form]string{Polygon: "1", Polyline: "0"}[s.Form])
			for _, p := range s.Points {
				pair(0, "VERTEX")
				pair(8, on)
				point(10, p)
			}
			pair(0, "SEQEND")
		case Circle:
			pair(0, "CIRCLE")
			pair(8, on)
			point(10, s.Points[0])
			pair(40, mm(s.Radius*1000))
		case Text:
			pair(0, "TEXT")
			pair(8, on)
			point(10, texts[s])
			pair(40, mm(letter*1000))
			pair(1, plain(s.Says.Text(l)))
			if a := map[string]string{"middle": "1", "end": "2"}[s.Anchor]; a != "" {
				pair(72, a)
				point(11, texts[s])
			}
		}
	}
	pair(0, "ENDSEC")
	pair(0, "EOF")
	return []byte(b.String())
}

// layer is a class as release 12 allows it in a name.
func layer(class string) string {
	n := strings.Map(func(r rune) rune {
		switch {
		case r >= 'a' && r <= 'z':
			return r - 'a' + 'A'
		case r >= 'A' && r <= 'Z', r >= '0' && r <= '9', r == '-', r == '_':
			return r
		}
		return '_'
	}, class)
	if n == "" {
		return "0"
	}
	return n[:min(len(n), 31)]
}

// plain is a text in the letters that release 12 has: others are stated by their
// code, line ends become blanks.
func plain(s string) string {
	var b strings.Builder
	for _, r := range s {
		switch {
		case r == '\u00a0', r < ' ', r == 127: // a group code stands alone on its line
			b.WriteByte(' ')
		case r == '°':
			b.WriteString("%%d")
		case r == '±':
			b.WriteString("%%p")
		case r == '−', r == '–':
			b.WriteByte('-')
		case r < 127:
			b.WriteRune(r)
		default:
			fmt.Fprintf(&b, "\\U+%04X", r)
		}
	}
	return b.String()
}
