package study

import (
	"context"

	"zygonos/core/ask/finish"
	"zygonos/core/ask/workshop"
	"zygonos/core/cost"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study/cut"
)

// MoneyBook is a trailer's ledger, the ways side by side and its jobs.
type MoneyBook struct {
	Ledger *cost.Ledger `json:"ledger"`
	Ways   *cost.Ways   `json:"ways"`
}

// Book makes it, of the plan and what happened.
func Book(ctx context.Context, p *plan.Plan, trailer, outing string, all records.All) *MoneyBook {
	review.Ready(p)
	t, ok := p.Trailers[trailer]
	if !ok {
		return &MoneyBook{
			Ledger: cost.LedgerOf(nil, trailer, nil, nil),
			Ways:   cost.WaysOf(nil, trailer, cost.Known{}),
		}
	}
	r := rig.Resolve(p, trailer, outing)
	planned := append(plannedOf(ctx, p, &t, trailer, r), toolsToPay(r, all)...)
	ledger := cost.LedgerOf(t.Money, trailer, planned, all)
	known := cost.Known{}
	if v := ledger.Whole.Value; v > 0 && ledger.Open == 0 { // with lines that lack a sum it would be too little
		known.Build = &v
	}
	bill := cost.Of(trailer, &t)
	if bill.Known && bill.Open == 0 { // as with the ledger
		v := float64(bill.Money)
		known.Buy, known.BuyHours = &v, float64(bill.Hours)/3600
	}
	if w := workshop.Order(r, all); w != nil {
		for i := range w.Steps {
			s := &w.Steps[i]
			if s.Took != nil {
				known.BuildHours += *s.Took / 60
			} else if !s.Done {
				known.BuildHours += (s.Minutes[0] + s.Minutes[1]) / 120
			}
		}
	}
	return &MoneyBook{ledger, cost.WaysOf(t.Money, trailer, known)}
}

// plannedOf are the lines that follow from the plan: bill, bars, tins, the bath, tools.
func plannedOf(
	ctx context.Context,
	p *plan.Plan,
	t *plan.Trailer,
	trailer string,
	r *rig.Rig,
) (out []cost.Planned) {
	add := func(key string, what said.Sentence, of records.SpendFor, m *quantity.Money) {
		if m == nil || *m > 0 {
			out = append(out, cost.Planned{Key: key, What: what, For: of, Money: m})
		}
	}
	words := map[string]struct {
		says string
		of   records.SpendFor
	}{
		"price": {
			"The trailer",
			records.ForPart,
		}, "offer": {"The trailer, as bid", records.ForPart}, "tax": {"Tax on it", records.ForFee},
		"delivery": {"Its delivery", records.ForFuel}, "fetch": {"The drive to fetch it", records.ForFuel},
		"office": {
			"Papers and plates",
			records.ForFee,
		}, "buy": {"%", records.ForPart}, "repair": {"%", records.ForPart},
	}
	bill := cost.Of(trailer, t)
	for _, l := range bill.Lines {
		w, known := words[l.What]
		if !known || l.Money == nil && w.says != "%" {
			continue
		}
		what := said.Say(w.says)
		if w.says == "%" {
			what = said.Sentence{said.Name(l.Name, "something to buy")}
		}
		add("bill-"+key(l.Path), what, w.of, l.Money)
	}
	if c := cut.Frame(ctx, p, trailer); c != nil {
		for i := range c.Sections {
			s := &c.Sections[i]
			if bought := s.Price != nil || len(s.Bars) > 0 || len(s.Fails) > 0; bought {
				add(
					"bars-"+key(s.Says.Text(quantity.Locale{})),
					append(said.Say("Bars: "), s.Says...),
					records.ForMaterial,
					moneyOf(s.Price),
				)
			}
		}
	}
	for _, tin := range finish.Tins(r) {
		add("tin-"+key(tin.Name), said.Sentence{said.Piece{Text: tin.Name}}, records.ForFinish, moneyOf(tin.Cost))
	}
	if f := t.Finish; f != nil && f.Way == plan.FinishDip {
		for _, w := range finish.Ways(r) {
			if w.Chosen && w.First != nil {
				add("dip", said.Say("The zinc bath and its drives"), records.ForFinish, moneyOf(w.First))
			}
		}
	}
	return out
}

// toolsToPay are what is hired and bought of tools and what is used up.
func toolsToPay(r *rig.Rig, all records.All) (out []cost.Planned) {
	box := workshop.Tools(r, workshop.Order(r, all), all)
	for _, list := range [][]workshop.ToolRow{box.Tools, box.Used} {
		for i := range list {
			row := &list[i]
			of := map[string]records.SpendFor{string(records.ToolHired): records.ForHire, string(records.ToolBought): records.ForTool}[row.From]
			if of != "" {
				out = append(
					out,
					cost.Planned{Key: key(row.Record), What: row.Name, For: of, Money: moneyOf(row.Cost)},
				)
			}
		}
	}
	return out
}

func moneyOf(m *finding.Measure) *quantity.Money {
	if m == nil {
		return nil
	}
	v := quantity.Money(m.Value)
	return &v
}

// key is a path or name as an id may hold it.
func key(s string) string {
	out := make([]byte, 0, len(s))
	for i := range len(s) {
		switch c := s[i]; {
		case c >= 'a' && c <= 'z', c >= '0' && c <= '9':
			out = append(out, c)
		case c >= 'A' && c <= 'Z':
			out = append(out, c+'a'-'A')
		default:
			if n := len(out); n > 0 && out[n-1] != '-' {
				out = append(out, '-')
			}
		}
	}
	return string(out)
}
