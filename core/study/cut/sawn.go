package cut

import (
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// fits is by how much a piece that is cut may miss what is needed, m.
const fits = 0.0015

// Sawn is a piece that was cut and is not needed as it is.
type Sawn struct {
	Bar    string          `json:"bar"` // key into the frame's bars
	For    string          `json:"for"`
	Says   said.Sentence   `json:"says"` // its section
	Length finding.Measure `json:"length"`
}

// piece is a member as it is cut.
func (w *work) piece(i int) CutPiece {
	return CutPiece{
		Member: w.bars[i].ID, Name: w.bars[i].Member.Name, Mark: w.marks[i],
		Length: *finding.Exactly(quantity.KindLength, w.overall(i)),
		Ends:   [2]said.Sentence{w.ends[i][0].Text(), w.ends[i][1].Text()},
	}
}

// matched takes out of a section's members those for which a piece is cut already: of its own name first, of
// the same length then. It gives the members that are still to be cut, those that are done, and the pieces
// that fit none.
func (w *work) matched(group []int) (left []int, done []CutPiece, loose []string) {
	profile := w.bars[group[0]].Member.Profile
	left = slices.Clone(group)
	ids := plan.Ordered(w.f.Bars, func(b plan.BarStock) int { return b.Order })
	ids = slices.DeleteFunc(ids, func(id string) bool {
		b := w.f.Bars[id]
		return b.Sawn == "" || !alike(b.Profile, profile)
	})
	take := func(of func(b *plan.BarStock, i int) bool) {
		ids = slices.DeleteFunc(ids, func(id string) bool {
			b := w.f.Bars[id]
			at := slices.IndexFunc(left, func(i int) bool {
				return math.Abs(float64(b.Length)-w.overall(i)) <= fits && of(&b, i)
			})
			if at < 0 {
				return false
			}
			done = append(done, w.piece(left[at]))
			left = slices.Delete(left, at, at+1)
			return true
		})
	}
	take(func(b *plan.BarStock, i int) bool { return b.Sawn == w.bars[i].Member.Name })
	take(func(*plan.BarStock, int) bool { return true })
	return left, done, ids
}

// lost are the pieces that are cut and fit no member, of any section, and what their metres cost.
func (w *work) lost() (out []Sawn, price *finding.Measure) {
	fit := map[string]bool{}
	for _, group := range bySection(w.bars) {
		_, _, loose := w.matched(group)
		profile := w.bars[group[0]].Member.Profile
		for id, b := range w.f.Bars {
			if b.Sawn != "" && alike(b.Profile, profile) && !slices.Contains(loose, id) {
				fit[id] = true
			}
		}
	}
	sum, known := 0.0, true
	for _, id := range plan.Ordered(w.f.Bars, func(b plan.BarStock) int { return b.Order }) {
		b := w.f.Bars[id]
		if b.Sawn == "" || fit[id] {
			continue
		}
		out = append(out, Sawn{
			Bar: id, For: b.Sawn, Says: parts.SectionText(b.Profile),
			Length: *finding.Exactly(quantity.KindLength, float64(b.Length)),
		})
		if p := perBar(w.perMetre(b.Profile), float64(b.Length)); p != nil {
			sum += *p
		} else {
			known = false
		}
	}
	if known && len(out) > 0 {
		price = finding.Exactly(quantity.KindMoney, sum)
	}
	return out, price
}

// perMetre is what a section's metre costs, by itself or by a member of it.
func (w *work) perMetre(p plan.Profile) *quantity.Money {
	if p.PerMetre != nil {
		return p.PerMetre
	}
	for i := range w.bars {
		if q := w.bars[i].Member.Profile; alike(p, q) && q.PerMetre != nil {
			return q.PerMetre
		}
	}
	return nil
}
