package cost

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// Cents are sums in the smallest unit of a currency, whole: they add up to the cent.
type Cents int64

// CentsOf rounds a sum to whole cents, halves away from zero.
func CentsOf(m quantity.Money) Cents { return Cents(math.Round(float64(m) * 100)) }

// Money is the sum again.
func (c Cents) Money() quantity.Money { return quantity.Money(c) / 100 }

func (c Cents) measure() *finding.Measure { return finding.Exactly(quantity.KindMoney, c.Money()) }

// Planned is a line that follows from the plan: its key is part of the id of the record that takes what was spent on it.
type Planned struct {
	Key   string
	What  said.Sentence
	For   records.SpendFor
	Money *quantity.Money // nil: it is needed, and nobody entered its price
}

// Ledger is what is planned, spent and to come.
type Ledger struct {
	Rows   []LedgerRow     `json:"rows"`
	By     []LedgerPart    `json:"by"`
	Spent  finding.Measure `json:"spent"`
	ToCome finding.Measure `json:"toCome"` // planned and not spent yet
	Whole  finding.Measure `json:"whole"`  // both
	Worth  finding.Measure `json:"worth"`  // of scrap and gifts, apart
	Tax    finding.Measure `json:"tax"`    // in what was spent
	// of the log, upkeep and trips: no part of what it costs to have the trailer
	Running finding.Measure  `json:"running"`
	Target  *finding.Measure `json:"target,omitempty"`
	Over    *finding.Measure `json:"over,omitempty"` // by which the whole passes the target
	Open    int              `json:"open"`           // lines without any sum
	Outcome finding.Outcome  `json:"outcome,omitempty"`
	Says    said.Sentence    `json:"says"`
}

// LedgerRow is a line.
type LedgerRow struct {
	Record  string           `json:"record"`
	What    said.Sentence    `json:"what"`
	For     string           `json:"for,omitempty"`
	On      string           `json:"on,omitempty"`
	Planned *finding.Measure `json:"planned,omitempty"` // tax counted
	Spent   *finding.Measure `json:"spent,omitempty"`   // tax counted
	Worth   *finding.Measure `json:"worth,omitempty"`
	Own     bool             `json:"own,omitempty"` // typed or read; else from the plan
	Log     bool             `json:"log,omitempty"` // of the log, where it is changed
}

// LedgerPart is what goes for one kind of cost.
type LedgerPart struct {
	For    string          `json:"for"`
	Spent  finding.Measure `json:"spent"`
	ToCome finding.Measure `json:"toCome"`
}

// gross is a sum with its tax, and the tax in it, each to the cent.
func gross(m quantity.Money, s *records.SpendRecord) (whole, tax Cents) {
	c := CentsOf(m)
	if s.Tax == nil || !(*s.Tax > 0) {
		return c, 0
	}
	if s.TaxOn {
		tax = Cents(math.Round(float64(c) * *s.Tax))
		return c + tax, tax
	}
	return c, c - Cents(math.Round(float64(c)/(1+*s.Tax)))
}

// Paid is what was spent on a line, its tax counted.
func Paid(s *records.SpendRecord) quantity.Money {
	if s.Spent == nil {
		return 0
	}
	c, _ := gross(*s.Spent, s)
	return c.Money()
}

// SpendOf is the id of the record of a line that follows from the plan.
func SpendOf(trailer, key string) string {
	return records.IDOf(records.KindSpend, trailer, key)
}

// LedgerOf adds up the lines of a trailer: those that follow from the plan, and the owner's own. Sums are whole cents; what was
// spent replaces what was planned; scrap and gifts stand apart.
func LedgerOf(m *plan.MoneyPlan, trailer string, planned []Planned, all records.All) *Ledger {
	out := &Ledger{Rows: []LedgerRow{}, By: []LedgerPart{}}
	var spent, toCome, worth, tax Cents
	by := map[records.SpendFor]*[2]Cents{}
	add := func(id string, what said.Sentence, s *records.SpendRecord, on string, own bool) {
		row := LedgerRow{Record: id, What: what, For: string(s.For), On: on, Own: own}
		kind := cmp.Or(s.For, records.ForOther)
		part := by[kind]
		if part == nil {
			part = &[2]Cents{}
			by[kind] = part
		}
		if s.Planned != nil {
			c, _ := gross(*s.Planned, s)
			row.Planned = c.measure()
			if s.Spent == nil {
				toCome += c
				part[1] += c
			}
		}
		if s.Spent != nil {
			c, t := gross(*s.Spent, s)
			row.Spent = c.measure()
			spent, tax = spent+c, tax+t
			part[0] += c
		}
		if s.Worth != nil {
			c := CentsOf(*s.Worth)
			row.Worth, worth = c.measure(), worth+c
		}
		if s.Planned == nil && s.Spent == nil && s.Worth == nil {
			out.Open++
		}
		out.Rows = append(out.Rows, row)
	}
	taken := map[string]bool{}
	for _, p := range planned {
		id := SpendOf(trailer, p.Key)
		taken[id] = true
		s := records.SpendRecord{For: p.For, Planned: p.Money}
		on := ""
		if rec := all[id]; rec != nil && rec.Spend != nil {
			on = rec.On
			own := *rec.Spend
			own.For = cmp.Or(own.For, p.For)
			if own.Planned == nil {
				own.Planned = p.Money
			}
			s = own
		}
		add(id, p.What, &s, on, false)
	}
	ids := slices.SortedFunc(maps.Keys(all), func(a, b string) int {
		return cmp.Or(cmp.Compare(all[a].On, all[b].On), cmp.Compare(all[a].Order, all[b].Order), cmp.Compare(a, b))
	})
	for _, id := range ids {
		rec := all[id]
		if rec.Kind != records.KindSpend || rec.Trailer != trailer || rec.Spend == nil || taken[id] {
			continue
		}
		add(id, said.Sentence{said.Name(rec.Spend.What, "An item")}, rec.Spend, rec.On, true)
	}
	out.running(trailer, ids, all)
	for _, k := range records.SpendFors {
		if p := by[k]; p != nil && (p[0] != 0 || p[1] != 0) {
			out.By = append(out.By, LedgerPart{string(k), *p[0].measure(), *p[1].measure()})
		}
	}
	out.Spent, out.ToCome, out.Whole = *spent.measure(), *toCome.measure(), *(spent + toCome).measure()
	out.Worth, out.Tax = *worth.measure(), *tax.measure()
	out.judge(m, spent, toCome)
	return out
}

// running adds what the log has of money: upkeep, trips. It stands apart and is not held against the target,
// which is for having the trailer.
func (l *Ledger) running(trailer string, ids []string, all records.All) {
	var sum Cents
	for _, id := range ids {
		rec := all[id]
		row := LedgerRow{Record: id, On: rec.On, Log: true}
		var paid *quantity.Money
		switch {
		case rec.Trailer != trailer:
			continue
		case rec.Wear != nil:
			row.What, row.For, paid = said.Say(
				norms.WearingName(rec.Wear.What),
			), string(
				records.ForKeep,
			), rec.Wear.Cost
		case rec.Trip != nil:
			row.What, row.For, paid = said.Say("A trip"), string(records.ForFuel), rec.Trip.Cost
		}
		if paid == nil {
			continue
		}
		c := CentsOf(*paid)
		row.Spent, sum = c.measure(), sum+c
		l.Rows = append(l.Rows, row)
	}
	l.Running = *sum.measure()
}

// nearTarget is the share of a target from which its reserve is small.
const nearTarget = 0.95

// judge holds the whole against the target, before it is passed: what is still to come counts.
func (l *Ledger) judge(m *plan.MoneyPlan, spent, toCome Cents) {
	whole := spent + toCome
	l.Says = said.Say(
		"% spent, % to come.",
		said.Of(quantity.KindMoney, spent.Money()),
		said.Of(quantity.KindMoney, toCome.Money()),
	)
	if m == nil || m.Target == nil {
		return
	}
	target := CentsOf(*m.Target)
	l.Target = target.measure()
	l.Outcome = finding.Holds
	over := whole - target
	of := said.Of(quantity.KindMoney, target.Money())
	switch {
	case spent > target:
		l.Outcome = finding.Fails
		l.Over = over.measure()
		l.Says = append(l.Says, said.Say(" The target of % has been passed.", of)...)
	case over > 0:
		l.Outcome = finding.Fails
		l.Over = over.measure()
		l.Says = append(
			l.Says,
			said.Say(
				" With what is to come, the target of % will be passed by %. Leave something out before you buy it.",
				of,
				said.Of(quantity.KindMoney, over.Money()),
			)...)
	case float64(whole) > nearTarget*float64(target):
		l.Outcome = finding.Tight
		l.Says = append(
			l.Says,
			said.Say(" That leaves % of the target of %.", said.Of(quantity.KindMoney, (-over).Money()), of)...)
	default:
		l.Says = append(
			l.Says,
			said.Say(" % of the target of % is left.", said.Of(quantity.KindMoney, (-over).Money()), of)...)
	}
	if l.Open > 0 && l.Outcome != finding.Fails {
		l.Outcome = finding.Unknown
		l.Says = append(l.Says, said.Say(" % without a sum.", said.Counted(l.Open, "line is", "lines are"))...)
	}
}
