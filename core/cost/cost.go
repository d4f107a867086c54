// Package cost answers what a trailer costs in money and hours until it is on
// the road.
package cost

import (
	"slices"

	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// Line is one entry of the bill.
type Line struct {
	What  string          `json:"what"` // price, offer, tax, delivery, fetch, office, buy, repair, assembly, papers-risk
	Name  string          `json:"name,omitempty"`
	Path  string          `json:"path"`
	Money *quantity.Money `json:"money,omitempty"` // nil: not stated
	Hours *quantity.Time  `json:"hours,omitempty"`
	Risk  bool            `json:"risk,omitempty"` // only where it comes to the worst
}

// Bill is what a trailer comes to.
type Bill struct {
	Lines []Line         `json:"lines"`
	Money quantity.Money `json:"money"` // of what is stated
	Risk  quantity.Money `json:"risk"`  // on top, at the worst
	Hours quantity.Time  `json:"hours"`
	Open  int            `json:"open"`  // entries without a price
	Known bool           `json:"known"` // the price itself is stated
}

// Of adds up a trailer's bill. Tax is taken of the price, or of the offer where
// one is made.
func Of(id string, t *plan.Trailer) Bill {
	b := Bill{Lines: []Line{}}
	d := t.Deal
	if d == nil {
		return b
	}
	path := "/trailers/" + id + "/deal/"
	add := func(l Line) {
		l.Path = path + l.Path
		b.Lines = append(b.Lines, l)
		switch {
		case l.Money == nil && (l.What == "buy" || l.What == "repair"):
			b.Open++
		case l.Money != nil && l.Risk:
			b.Risk += *l.Money
		case l.Money != nil:
			b.Money += *l.Money
		}
		if l.Hours != nil {
			b.Hours += *l.Hours
		}
	}
	price, what := d.Price, "price"
	if d.Offer != nil {
		price, what = d.Offer, "offer"
	}
	if price != nil {
		b.Known = true
		add(Line{What: what, Path: what, Money: price})
		if d.Tax != nil && *d.Tax > 0 {
			tax := *price * quantity.Money(*d.Tax)
			add(Line{What: "tax", Path: "tax", Money: &tax})
		}
	}
	for _, l := range []Line{{What: "delivery", Path: "delivery", Money: d.Delivery}, {What: "fetch", Path: "fetch", Money: d.Fetch}, {What: "office", Path: "office", Money: d.Office}} {
		if l.Money != nil {
			add(l)
		}
	}
	if d.PapersRisk != nil && t.Papers != plan.PapersComplete {
		add(Line{What: "papers-risk", Path: "papersRisk", Money: d.PapersRisk, Risk: true})
	}
	if d.Hours != nil {
		add(Line{What: "assembly", Path: "hours", Hours: d.Hours})
	}
	for _, of := range []struct {
		what, path string
		list       map[string]plan.Buy
	}{{"buy", "buys/", d.Buys}, {"repair", "repairs/", d.Repairs}} {
		for _, k := range plan.Ordered(of.list, func(b plan.Buy) int { return b.Order }) {
			e := of.list[k]
			add(Line{What: of.what, Path: of.path + k, Name: e.Name, Money: e.Price, Hours: e.Hours})
		}
	}
	return b
}

// Needs is the skill that a trailer takes: as stated, or the usual one for how
// it comes; empty takes none.
func Needs(t *plan.Trailer) plan.Skill {
	if t.Deal != nil && t.Deal.Skill != "" {
		return t.Deal.Skill
	}
	switch t.Comes {
	case plan.ComesKit, plan.ComesFrame:
		return plan.SkillBolt
	case plan.ComesOwn:
		return plan.SkillWeld
	}
	return ""
}

// Can reports whether the skills at hand cover one; who welds also bolts, and
// what is welded may be given to a welder.
func Can(have map[plan.Skill]bool, needs plan.Skill) bool {
	switch needs {
	case "":
		return true
	case plan.SkillBolt:
		return slices.ContainsFunc(plan.Skills, func(s plan.Skill) bool { return have[s] })
	case plan.SkillWeld:
		return have[plan.SkillWeld] || have[plan.SkillWelder]
	}
	return have[needs]
}
