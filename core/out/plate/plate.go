// Package plate makes plates and labels as SVG to scale in millimetres, for engraving and for print.
package plate

import (
	"encoding/xml"
	"fmt"
	"strings"

	"zygonos/core/ask/papers"
	"zygonos/core/lang/quantity"
)

// Sizes, mm.
const (
	wide  = 120.0
	row   = 9.0
	edge  = 6.0
	small = 4.2
)

// SVG is lines under a heading as a plate with four holes; a draft says so across it.
func SVG(heading string, lines []papers.TextLine, draft bool, l quantity.Locale) []byte {
	high := 2*edge + row*float64(len(lines)+1)
	var b strings.Builder
	fmt.Fprintf(
		&b,
		`<svg xmlns="http://www.w3.org/2000/svg" width="%.1fmm" height="%.1fmm" viewBox="0 0 %.1f %.1f">`,
		wide,
		high,
		wide,
		high,
	)
	fmt.Fprintf(
		&b,
		`<rect x="0.25" y="0.25" width="%.2f" height="%.2f" rx="3" fill="none" stroke="#000" stroke-width="0.5"/>`,
		wide-0.5,
		high-0.5,
	)
	for _, x := range []float64{4, wide - 4} {
		for _, y := range []float64{4, high - 4} {
			fmt.Fprintf(
				&b,
				`<circle cx="%.1f" cy="%.1f" r="1.6" fill="none" stroke="#000" stroke-width="0.3"/>`,
				x,
				y,
			)
		}
	}
	text := func(x, y, size float64, anchor, weight, s string) {
		fmt.Fprintf(
			&b,
			`<text x="%.1f" y="%.1f" font-family="sans-serif" font-size="%.1f" font-weight="%s" text-anchor="%s">%s</text>`,
			x,
			y,
			size,
			weight,
			anchor,
			escaped(s),
		)
	}
	text(wide/2, edge+row*0.7, 5, "middle", "bold", heading)
	for i, line := range lines {
		y := edge + row*(float64(i)+1.7)
		text(10, y, small, "start", "normal", line.Name.Text(l))
		size := small
		if line.Big {
			size = 6.5
		}
		text(wide-10, y, size, "end", "bold", line.Says.Text(l))
	}
	if draft {
		fmt.Fprintf(
			&b,
			`<text x="%.1f" y="%.1f" font-family="sans-serif" font-size="20" font-weight="bold" text-anchor="middle" fill="none" stroke="#000" stroke-width="0.4" transform="rotate(-14 %.1f %.1f)">DRAFT</text>`,
			wide/2,
			high/2+7,
			wide/2,
			high/2,
		)
	}
	b.WriteString("</svg>\n")
	return []byte(b.String())
}

func escaped(s string) string {
	var b strings.Builder
	_ = xml.EscapeText(&b, []byte(s)) // a builder takes all
	return b.String()
}
