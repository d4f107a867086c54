package parts

import (
	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// Unsure makes what holds by a material that is not known a guess: unknown mild steel was
// taken for it.
func Unsure(f *finding.Finding, p plan.Profile) {
	if _, known := catalogue.StockOf(p.Material); known || f.Outcome != finding.Holds {
		return
	}
	f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
	f.Says = append(f.Says, said.Say(" Its material is not known: mild steel is assumed.")...)
}
