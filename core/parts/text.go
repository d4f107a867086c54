package parts

import (
	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// SectionText tells a profile as the trade writes it, in mm.
func SectionText(p plan.Profile) said.Sentence {
	mm := func(v quantity.Length) said.Piece { return said.Length(v) }
	stock, _ := catalogue.StockOf(p.Material)
	name := said.Piece{Text: stock.Name}
	switch section.Shape(p.Shape) {
	case section.Round:
		return said.Say("round % × %, %", mm(p.Height), mm(p.Wall), name)
	case section.Rod:
		return said.Say("rod %, %", mm(p.Height), name)
	case section.Bar:
		return said.Say("% × %, %", mm(p.Width), mm(p.Height), name)
	}
	return said.Say("% % × % × %, %", said.Piece{Text: p.Shape}, mm(p.Height), mm(p.Width), mm(p.Wall), name)
}
