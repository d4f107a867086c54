// Package papers answers which papers a trailer is usually asked for, what a plate made by its owner may say, what goes on the
// label at the drawbar, and what can be unscrewed by hand. Pointers, not the law. Formulas: docs/method/papers.md.
package papers

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "papers"

// CodeGross is the code of the finding made here.
const CodeGross = "papers.gross"

// Folder is a trailer's papers, plate, label and marks.
type Folder struct {
	Kind  string        `json:"kind"`
	Rows  []PaperRow    `json:"rows"`
	Left  int           `json:"left"`
	Says  said.Sentence `json:"says"`
	AsOf  string        `json:"asOf"`
	Plate PlateDraft    `json:"plate"`
	Label []TextLine    `json:"label"`
	Theft []PaperRow    `json:"theft"`
}

// PaperRow is a paper, or a thing to do against theft.
type PaperRow struct {
	Record string        `json:"record"`
	When   string        `json:"when,omitempty"`
	Says   said.Sentence `json:"says"`
	Where  said.Sentence `json:"where,omitempty"`
	Done   bool          `json:"done,omitempty"`
}

// TextLine is a line of a plate or label.
type TextLine struct {
	Name said.Sentence `json:"name"`
	Says said.Sentence `json:"says"`
	Big  bool          `json:"big,omitempty"`
}

// PlateDraft is what a plate should say, or why none is made.
type PlateDraft struct {
	Lines   []TextLine       `json:"lines"`
	Draft   bool             `json:"draft,omitempty"` // not to be fixed yet
	Refused said.Sentence    `json:"refused,omitempty"`
	Least   *finding.Measure `json:"least,omitempty"` // rating of the least rated part
	Part    said.Sentence    `json:"part,omitempty"`  // that part
	Needs   []finding.Need   `json:"needs"`
}

// kindOf is how it comes to its papers: as chosen, else by how it comes.
func kindOf(t *plan.Trailer) norms.PaperKind {
	if p := t.Plate; p != nil && p.Kind != "" {
		return norms.PaperKind(p.Kind)
	}
	switch {
	case t.Comes == plan.ComesOwn || t.NoPlate:
		return norms.PaperBuilt
	case t.Comes == plan.ComesKit:
		return norms.PaperKit
	case t.Comes == plan.ComesFrame:
		return norms.PaperChanged
	case t.Papers == plan.PapersMissing:
		return norms.PaperNone
	case t.Papers == plan.PapersNew:
		return norms.PaperKit
	}
	return norms.PaperUsed
}

// recordOf is the id of the record of a paper.
func recordOf(trailer, id string) string {
	return records.IDOf(records.KindPaper, trailer, id)
}

// Open is a rig's folder with what was ticked.
func Open(r *rig.Rig, all records.All) *Folder {
	out := &Folder{Rows: []PaperRow{}, Label: []TextLine{}, Theft: []PaperRow{}, AsOf: norms.AsOf}
	if r == nil {
		out.Plate = PlateDraft{Lines: []TextLine{}, Needs: []finding.Need{}}
		return out
	}
	t := r.Trailer
	kind := kindOf(t)
	out.Kind = string(kind)
	row := func(id, when, says, where string) PaperRow {
		x := PaperRow{Record: recordOf(r.Scope.Trailer, id), When: when, Says: said.Say(says), Where: said.Say(where)}
		if rec := all[x.Record]; rec != nil && rec.Paper != nil {
			x.Done = rec.Paper.Done
		}
		return x
	}
	gross := 0.0
	if l := t.Label; l != nil {
		gross = float64(l.Value)
	} else if least, _ := leastRated(r); least > 0 {
		gross = least
	}
	for _, p := range norms.PapersOf(r.Plan.Region, kind, gross) {
		x := row(p.ID, p.When, p.Says, p.Where)
		if !x.Done {
			out.Left++
		}
		out.Rows = append(out.Rows, x)
	}
	out.Says = said.Say("% of % papers are there.", said.Count(len(out.Rows)-out.Left), said.Count(len(out.Rows)))
	out.Plate = Plate(r)
	out.Label = labelOf(r)
	for _, x := range theftOf(r) {
		out.Theft = append(out.Theft, row(x[0], "", x[1], x[2]))
	}
	return out
}

// leastRated is the least rating of the parts that a plate's gross may not pass, kg, and the part; zero where none is known.
// The ball bears some of the gross: that it is left out keeps to the careful side.
func leastRated(r *rig.Rig) (kg float64, part string) {
	t := r.Trailer
	n := float64(t.AxleCount())
	axle := "axle"
	if n > 1 { // their rating is that of all together
		axle = "axles"
	}
	take := func(v float64, name string) {
		if v > 0 && (kg == 0 || v < kg) {
			kg, part = v, name
		}
	}
	if t.AxleRating != nil {
		take(float64(*t.AxleRating), axle)
	}
	if t.SpringRating != nil {
		take(float64(*t.SpringRating), "springs")
	}
	if one, _, _ := r.TyreLimit(); one != nil {
		take(2*n**one, "{tyre}s")
	}
	if t.CouplingRating != nil {
		take(float64(*t.CouplingRating), "{coupling}")
	}
	return kg, part
}

// Plate is what a plate made by the owner should say. None is made for a trailer with a maker's plate; the gross is at most the
// least rated part's; the identity number stands only as it was issued, else it is a draft.
func Plate(r *rig.Rig) PlateDraft {
	t, root := r.Trailer, "/trailers/"+r.Scope.Trailer
	out := PlateDraft{Lines: []TextLine{}, Needs: []finding.Need{}}
	kind := kindOf(t)
	if kind != norms.PaperBuilt && kind != norms.PaperNone && kind != norms.PaperChanged {
		out.Refused = said.Say(
			"This trailer has its maker’s plate: leave it as it is. If it is lost, the maker replaces it.",
		)
		return out
	}
	need := func(path, says, where string) {
		out.Needs = append(out.Needs, finding.Need{Path: root + path, Says: said.Say(says), Where: said.Say(where)})
		out.Draft = true
	}
	text := plan.PlateText{}
	if t.Plate != nil {
		text = *t.Plate
	}
	line := func(name string, says said.Sentence) {
		out.Lines = append(out.Lines, TextLine{Name: said.Say(name), Says: says})
	}
	if text.Maker == "" {
		need("/plate/maker", "who built it", "Your name, or the club’s.")
	} else {
		line("Built by", said.Sentence{said.Name(text.Maker, "–")})
	}
	switch {
	case text.Identity == "" || !text.Issued:
		need("/plate/identity", "the identity number as the authority issued it", "Never make one up.")
		line("Identity", said.Say("as issued"))
	default:
		line("Identity", said.Sentence{said.Name(text.Identity, "–")})
	}
	if text.Year > 0 {
		line("Year", said.Sentence{said.Piece{Text: year(text.Year)}})
	}
	least, part := leastRated(r)
	if least > 0 {
		out.Least, out.Part = finding.Exactly(quantity.KindMass, least), said.Say(part)
	}
	gross := least
	if text.Gross != nil {
		gross = float64(*text.Gross)
	}
	for _, x := range []struct {
		v          bool
		path, says string
	}{{t.AxleRating == nil, "/axleRating", "the axle’s rating"}, {t.CouplingRating == nil, "/couplingRating", "the {coupling}’s rating"}, {hasNo(r), "/tyreText", "the {tyre}s’ rating"}} {
		if x.v {
			need(x.path, x.says, "On its plate or wall.")
		}
	}
	switch {
	case gross <= 0:
		line("Gross", said.Say("not known"))
	case least > 0 && gross > least+1e-9:
		out.Draft = true
		out.Refused = said.Say(
			"A gross of % is more than the % can carry: % at most.",
			said.Mass(gross),
			said.Say(part)[0],
			said.Mass(least),
		)
		return out
	default:
		line("Gross", said.Sentence{said.Mass(math.Floor(gross))})
	}
	if t.AxleRating != nil {
		name := "Axle"
		if t.AxleCount() > 1 {
			name = "Axles together"
		}
		line(name, said.Sentence{said.Mass(*t.AxleRating)})
	}
	if t.CouplingBall != nil {
		line("{Ball load}, most", said.Sentence{said.Mass(*t.CouplingBall)})
	} else {
		need("/couplingBall", "the {ball load} that the {coupling} can take", "On its plate, as S.")
	}
	if t.TyreText != "" {
		says := said.Sentence{said.Name(t.TyreText, "–")}
		if t.TyrePressure != nil {
			says = append(says, said.Say(", %", said.Of(quantity.KindPressure, *t.TyrePressure))...)
		}
		line("{Tyre}s", says)
	}
	return out
}

func hasNo(r *rig.Rig) bool {
	one, _, _ := r.TyreLimit()
	return one == nil
}

func year(n int) string {
	out := []byte{}
	for ; n > 0; n /= 10 {
		out = append([]byte{byte('0' + n%10)}, out...)
	}
	return string(out)
}

// payload is what it may carry, kg, at its careful end: by its label, and by the least rated part where that is less; ok is
// false where label or empty weight are not known.
func payload(r *rig.Rig) (kg float64, ok bool) {
	l, e := r.Trailer.Label, r.EmptyMass()
	if l == nil {
		return 0, false
	}
	switch {
	case l.Counts == plan.CountsPayload:
		kg = float64(l.Value)
	case l.Counts == plan.CountsGross && e != nil:
		kg = float64(l.Value) - e.High
	default:
		return 0, false
	}
	if least, _ := leastRated(r); least > 0 {
		if e == nil {
			return 0, false
		}
		kg = math.Min(kg, least-e.High)
	}
	return math.Max(0, kg), true
}

// labelOf is what stands on the drawbar: payload, how high loose material may lie, dry and wet, pressure, ball and plug:
//
//	h = payload/(ρ·L·W),  ρ the heavy end of the material
func labelOf(r *rig.Rig) (out []TextLine) {
	out = []TextLine{}
	line := func(name string, says said.Sentence, big bool) {
		out = append(out, TextLine{said.Say(name), says, big})
	}
	t := r.Trailer
	kg, ok := payload(r)
	if ok {
		line("Carries", said.Sentence{said.Mass(math.Floor(kg))}, true)
		floor := r.DeckLength() * r.DeckWidth()
		for _, id := range materialsOf(r) {
			m, known := catalogue.MaterialOf(id)
			if !known || !(floor > 0) {
				continue
			}
			dry, wet := kg/(math.Max(m.DryHigh, 1)*floor), kg/(math.Max(math.Max(m.WetHigh, m.DryHigh), 1)*floor)
			if side := sideOf(t); side > 0 && wet > side {
				line(m.Name, said.Say("to the brim"), false)
				continue
			}
			line(m.Name, said.Say("% level when dry, % when wet", down(dry), down(wet)), false)
		}
	}
	if t.TyrePressure != nil {
		line("{Tyre}s", said.Sentence{said.Of(quantity.KindPressure, *t.TyrePressure)}, false)
	}
	if t.CouplingSize != nil {
		if i := slices.IndexFunc(norms.BallSizes, func(b norms.BallSize) bool { return b.Diameter == *t.CouplingSize }); i >= 0 {
			line("Ball", said.Sentence{said.Piece{Text: norms.BallSizes[i].Name}}, false)
		}
	}
	if t.Plug != "" {
		if i := slices.IndexFunc(norms.Plugs, func(p norms.Plug) bool { return p.ID == t.Plug }); i >= 0 {
			line("Plug", said.Sentence{said.Piece{Text: norms.Plugs[i].Name}}, false)
		}
	}
	return out
}

// down is a height to the centimetre below.
func down(m float64) said.Piece { return said.Length(math.Floor(m*100) / 100) }

func sideOf(t *plan.Trailer) float64 {
	if t.SideHeight == nil {
		return 0
	}
	return float64(*t.SideHeight)
}

// materialsOf are the loose materials of the plan's loads, else three that most carry.
func materialsOf(r *rig.Rig) (ids []string) {
	for _, id := range plan.Ordered(r.Plan.Loads, func(l plan.Load) int { return l.Order }) {
		if b := r.Plan.Loads[id].Bulk; b != nil && b.Material != "" && !slices.Contains(ids, b.Material) {
			ids = append(ids, b.Material)
		}
	}
	if len(ids) == 0 {
		ids = []string{"gravel", "sand", "topsoil"}
	}
	return ids[:min(len(ids), 4)]
}

// theftOf is what can be unscrewed by hand, locks, marks and photos: id, what to do, why.
func theftOf(r *rig.Rig) (out [][3]string) {
	add := func(id, says, why string) { out = append(out, [3]string{id, says, why}) }
	t := r.Trailer
	add("lock-coupling", "A lock in the {coupling}, also while it stands alone", "Taking it needs only a ball and a pin.")
	add("wheel-clamp", "A clamp or a chain through a wheel and the frame", "One spanner takes the wheels off.")
	if r.Bears != nil && t.WheelDiameter != nil {
		add("wheel-nuts", "One locking nut on each wheel", "So that the wheels stay too.")
	}
	for _, id := range slices.Sorted(maps.Keys(t.Fitted)) {
		part := r.Plan.Parts[id]
		switch part.Kind {
		case "spare":
			add("spare", "The spare wheel locked to its bracket", "It hangs on a wing nut.")
		case "jockey":
			add("jockey", "The {jockey wheel}’s clamp with a bolt through", "It can be pulled out by hand.")
		}
	}
	if t.Tipping != nil {
		add("winch", "Winch handle taken off and kept inside", "And the pins with clips.")
	}
	if t.Wiring != nil {
		add("board", "A light board taken inside", "It comes off in a minute.")
	}
	add("mark", "Your code stamped or burnt in where nobody looks, twice", "Under the axle, inside a rail.")
	add("photos", "Photos of all sides, of plate, number and marks", "Kept apart from the trailer.")
	add("stands", "Where it stands, what is behind it, who sees it", "Nose in, against a wall, in the light.")
	return out
}

// Check judges what a plate would say.
func Check(r *rig.Rig) (out []finding.Finding) {
	if r == nil || r.Trailer.Plate == nil {
		return nil
	}
	p := Plate(r)
	f := finding.Finding{
		Code: CodeGross, Stage: Stage, Scope: r.Scope, Title: said.Say("Gross on the plate"), Outcome: finding.Holds,
		Subject: "/trailers/" + r.Scope.Trailer + "/plate/gross", Source: norms.Practice("the gross is at most the rating of the weakest part"),
	}
	switch {
	case len(p.Refused) > 0 && r.Trailer.Plate.Gross == nil:
		return nil
	case len(p.Refused) > 0:
		f.Outcome, f.Says = finding.Fails, p.Refused
	case len(p.Needs) > 0:
		return nil // a draft is no verdict on the outing: the stage shows what it lacks
	default:
		f.Says = said.Say("The plate is complete. Whoever approves the trailer has the last word on it.")
	}
	if p.Least != nil && r.Trailer.Plate.Gross != nil {
		f.Figure, f.Limit = finding.Exactly(quantity.KindMass, *r.Trailer.Plate.Gross), p.Least
	}
	return []finding.Finding{f}
}
