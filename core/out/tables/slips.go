package tables

import (
	"strings"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// SlipRead is what a list of weighbridge slips came to.
type SlipRead struct {
	Rows  []SlipLine  `json:"rows"`
	Wrong []CellError `json:"wrong"`
}

// SlipLine is a line of it.
type SlipLine struct {
	On   string             `json:"on,omitempty"`
	Slip records.SlipRecord `json:"slip"`
}

var slipHeads = []heading{
	{"on", []string{"day", "date", "when"}},
	{"material", []string{"material", "product", "goods", "waste"}},
	{"full", []string{"loaded", "full", "gross", "in"}},
	{"empty", []string{"empty", "tare", "out"}},
	{"fill", []string{"fill", "volume"}},
	{"price", []string{"price", "cost", "amount", "sum"}},
}

// ReadSlips reads a list with a heading: loaded and empty weight at least. A material is found by its name; a line with a cell that
// cannot be used is left out and named.
func ReadSlips(p *plan.Plan, text []byte) (*SlipRead, error) {
	out := &SlipRead{Rows: []SlipLine{}}
	l := quantity.Locale{Units: p.Units, Region: p.Region}
	wrong, err := headed(text, slipHeads, func(has func(string) bool) string {
		if !has("full") || !has("empty") {
			return "The first line must name the columns: the loaded and the empty weight."
		}
		return ""
	}, func(row []string, fields map[string]int, head []string) *CellError {
		line, wrong := slipOf(l, row, fields, head)
		if wrong == nil {
			out.Rows = append(out.Rows, *line)
		}
		return wrong
	})
	out.Wrong = wrong
	return out, err
}

func slipOf(l quantity.Locale, row []string, fields map[string]int, head []string) (*SlipLine, *CellError) {
	out := &SlipLine{}
	cell := func(f string) (string, int) {
		i, ok := fields[f]
		if !ok || i >= len(row) {
			return "", 0
		}
		return strings.TrimSpace(row[i]), i
	}
	wrong := func(i int, says string) *CellError {
		return &CellError{Column: i + 1, Head: strings.TrimSpace(head[i]), Says: says}
	}
	if s, i := cell("on"); s != "" {
		day, ok := dayOf(l, s)
		if !ok {
			return nil, wrong(i, "“"+s+"” is not a date.")
		}
		out.On = day
	}
	if s, i := cell("material"); s != "" {
		low := strings.ToLower(s)
		for _, m := range catalogue.Materials {
			if low == m.ID || strings.HasPrefix(strings.ToLower(m.Name), low) {
				out.Slip.Material = m.ID
				break
			}
		}
		if out.Slip.Material == "" {
			return nil, wrong(i, "“"+s+"” is not a material known here.")
		}
	}
	for _, f := range []struct {
		field string
		kind  quantity.Kind
		put   func(v float64)
	}{
		{"full", quantity.KindMass, func(v float64) { m := quantity.Mass(v); out.Slip.Full = &m }},
		{"empty", quantity.KindMass, func(v float64) { m := quantity.Mass(v); out.Slip.Empty = &m }},
		{"fill", quantity.KindVolume, func(v float64) { m := quantity.Volume(v); out.Slip.Fill = &m }},
		{"price", quantity.KindMoney, func(v float64) { m := quantity.Money(v); out.Slip.Price = &m }},
	} {
		s, i := cell(f.field)
		if s == "" {
			continue
		}
		v, err := l.Parse(f.kind, s)
		if err != nil {
			return nil, wrong(i, err.Error())
		}
		if !(v.Value > 0) {
			return nil, wrong(i, "It must be more than zero.")
		}
		f.put(v.Value)
	}
	if out.Slip.Full == nil || out.Slip.Empty == nil {
		return nil, wrong(fields["full"], "Both weights are needed, loaded and empty.")
	}
	return out, nil
}
