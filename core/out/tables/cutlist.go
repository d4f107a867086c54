package tables

import (
	"strconv"
	"strings"

	"zygonos/core/ask/ramp"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// CutList is the pieces of the racks that are on, of own ramps and of a drawn frame, as a table: lengths
// in mm, masses in kg.
func CutList(p *plan.Plan, rep *review.Report) []byte {
	l := p.Locale()
	rows := [][]string{
		{"rack", "piece", "section", "count", "length mm", "mass kg", "holes", "cost", "marks", "ends"},
	}
	for _, b := range rep.Racks {
		for _, x := range b.Pieces {
			rows = append(rows, []string{b.Name, x.Name, x.Section.Text(l), strconv.Itoa(x.Count),
				strconv.FormatFloat(
					x.Length.Value*1000,
					'f',
					0,
					64,
				), strconv.FormatFloat(x.Mass.Value, 'f', 3, 64), strconv.Itoa(x.Holes), money(x.Cost)})
		}
		rows = append(
			rows,
			[]string{
				b.Name,
				"padding on the bars",
				"",
				"",
				strconv.FormatFloat(b.Foam.Value*1000, 'f', 0, 64),
				"",
				"",
				"",
			},
		)
		rows = append(
			rows,
			[]string{
				b.Name,
				"in all",
				"",
				"",
				"",
				strconv.FormatFloat(b.Mass.Value, 'f', 3, 64),
				"",
				money(b.Cost),
			},
		)
	}
	if layout := p.Outings[rep.Scope.Outing].Layouts[rep.Scope.Trailer]; layout.Loading != nil {
		part := p.Parts[layout.Loading.Ramp]
		if part.Ramp != nil {
			rows = append(rows, rampPieces(part, l)...)
		}
	}
	rows = append(rows, framePieces(p, rep, l)...)
	for i := range rows { // every row as long as the first
		rows[i] = append(rows[i], make([]string, len(rows[0])-len(rows[i]))...)
	}
	return write(rows)
}

// framePieces are the rows of the trailer's own frame, those of one section and length together.
func framePieces(p *plan.Plan, rep *review.Report, l quantity.Locale) (rows [][]string) {
	if rep.Frame == nil {
		return nil
	}
	for _, x := range rep.Frame.Pieces {
		name := p.Trailers[rep.Scope.Trailer].Frame.Members[x.Members[0]].Name
		rows = append(rows, []string{"frame", name, x.Says.Text(l), strconv.Itoa(x.Count),
			strconv.FormatFloat(
				x.Length.Value*1000,
				'f',
				0,
				64,
			), strconv.FormatFloat(x.Mass.Value, 'f', 3, 64), strconv.Itoa(x.Holes), "", strings.Join(x.Marks, " "),
			x.Ends[0].Text(l) + "; " + x.Ends[1].Text(l)})
	}
	return append(rows, []string{"frame", "in all", "", "", "",
		strconv.FormatFloat(rep.Frame.Mass.Value, 'f', 3, 64), "", ""})
}

// rampPieces are the rows of own ramps; none of bought ones.
func rampPieces(part plan.Part, l quantity.Locale) (rows [][]string) {
	sum := 0.0
	for _, x := range ramp.Pieces(part.Ramp) {
		text := parts.SectionText(x.Profile)
		rows = append(rows, []string{part.Name, x.Name, text.Text(l), strconv.Itoa(x.Count),
			strconv.FormatFloat(x.Length*1000, 'f', 0, 64), strconv.FormatFloat(x.Mass, 'f', 3, 64), "", ""})
		sum += x.Mass
	}
	if len(rows) > 0 {
		rows = append(rows, []string{part.Name, "in all", "", "", "", strconv.FormatFloat(sum, 'f', 3, 64), "", ""})
	}
	return rows
}

// money is a sum with two decimals; empty where it is not known.
func money(m *finding.Measure) string {
	if m == nil {
		return ""
	}
	return strconv.FormatFloat(m.Value, 'f', 2, 64)
}
