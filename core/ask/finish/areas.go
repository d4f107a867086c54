// Package finish answers how frame and deck are kept: areas, tins, what each way costs over ten years, whether it may be
// painted now, and when the weather allows it. Formulas: docs/method/finish.md.
package finish

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Stage under which the findings stand.
const Stage = "finish"

type span = quantity.Range[float64]

// Areas are what is painted, m².
type Areas struct {
	Steel  float64 // of the frame, as a brush reaches it
	Dipped float64 // inside too
	Mass   float64 // of the steel that goes to the bath, kg
	Hidden float64 // of faces that lie on each other
	Deck   float64 // both sides and edges
	Skins  float64 // of bodies on it, both sides
	Ferric bool    // some of it is steel
	Other  string  // a material of it that is not, empty where there is none
}

// AreasOf are a rig's.
func AreasOf(r *rig.Rig) (a Areas) {
	if r == nil {
		return a
	}
	if d := r.Drawn; d != nil {
		for i := range d.Bars {
			b := &d.Bars[i]
			if b.Wrong != "" || b.Stock.Timber {
				continue
			}
			if b.Stock.Density < 7000 {
				a.Other = b.Stock.Name
				continue
			}
			a.Ferric = true
			a.Steel += b.Painted()
			a.Dipped += b.Coated()
			a.Mass += b.Each
		}
		for _, l := range parts.Laps(d.Bars, d.Touches, parts.FrameEnds(d.Bars, d.Touches)) {
			a.Hidden += 2 * l.Area
		}
	}
	a.Deck = deckArea(r)
	for i := range r.Items {
		if part := r.Plan.Parts[r.Items[i].ID]; r.Items[i].Part && part.Box != nil {
			for _, p := range parts.BoxPieces(part.Box) {
				a.Skins += 2 * p.Area * float64(p.Count)
			}
		}
	}
	return a
}

// deckArea is both sides of the deck and its edges, m²; zero for plate and mesh, or where the deck is not known:
//
//	boards of width b, n = W/b:  2·L·W + 2·n·L·t + 2·W·t;  sheets:  2·L·W + 2·(L + W)·t
func deckArea(r *rig.Rig) float64 {
	t := r.Trailer
	if t.Floor == plan.FloorPlate || t.Floor == plan.FloorMesh || t.DeckLength == nil || t.DeckWidth == nil {
		return 0
	}
	l, w, thick := r.DeckLength(), r.DeckWidth(), usualThick
	if t.FloorThick != nil {
		thick = float64(*t.FloorThick)
	}
	if t.Floor == plan.FloorBoards {
		b := usualBoard
		if t.BoardWide != nil {
			b = float64(*t.BoardWide)
		}
		return 2*l*w + 2*math.Ceil(w/b)*l*thick + 2*w*thick
	}
	return 2*l*w + 2*(l+w)*thick
}

// Usual sizes of a floor (practice, C), m.
const (
	usualThick = 0.021
	usualBoard = 0.14
)

// Tin is how much of something is bought.
type Tin struct {
	Name   string           `json:"name"`
	Area   float64          `json:"area"` // m² of one coat
	Coats  int              `json:"coats"`
	Litres finding.Measure  `json:"litres"`
	Tins   int              `json:"tins,omitempty"` // of the size that is entered
	Cost   *finding.Measure `json:"cost,omitempty"`
}

// waste is what stays in tin and brush, and on corners (practice, C).
const waste = 1.1

// of is the litres and the cost of so many coats on an area.
func tinOf(name string, area float64, coats int, cover, price [2]float64, size *quantity.Fuel) Tin {
	at := func(c float64) float64 { return area * float64(coats) / c * waste }
	l := span{Low: at(cover[1]), High: at(cover[0]), Nominal: at((cover[0] + cover[1]) / 2)}
	t := Tin{Name: name, Area: area, Coats: coats, Litres: *finding.Of(quantity.KindFuel, l)}
	if size != nil && *size > 0 {
		t.Tins = int(math.Ceil(l.Nominal/float64(*size) - 1e-9))
	}
	if price[1] > 0 {
		t.Cost = finding.Of(quantity.KindMoney, span{
			Low: l.Low * price[0], High: l.High * price[1], Nominal: l.Nominal * (price[0] + price[1]) / 2,
		})
	}
	return t
}

func both[Q ~float64](v *Q, usual [2]float64) [2]float64 {
	if v != nil && *v > 0 {
		return [2]float64{float64(*v), float64(*v)}
	}
	return usual
}

// deckCoats are what a deck takes (practice, C).
var deckCoats = map[plan.DeckFinish]struct {
	coats        int
	cover, price [2]float64
	name         string
}{
	plan.DeckOil:   {2, [2]float64{6, 12}, [2]float64{8, 20}, "deck oil"},
	plan.DeckPaint: {2, [2]float64{7, 11}, [2]float64{12, 30}, "deck paint"},
}

// Tins are what the chosen ways take.
func Tins(r *rig.Rig) (out []Tin) {
	out = []Tin{}
	f := finishOf(r)
	a := AreasOf(r)
	if c, ok := norms.CoatOf(string(f.Way)); ok && c.Coats > 0 && a.Steel > 0 {
		coats := c.Coats
		if f.Coats > 0 {
			coats = f.Coats
		}
		area := a.Steel
		if f.Way == plan.FinishPregal {
			area *= weldShare
		}
		out = append(out, tinOf(c.Name, area, coats, both(f.Cover, c.Cover), both(f.PerLitre, c.Price), f.Tin))
	}
	if d, ok := deckCoats[f.DeckBy]; ok && a.Deck > 0 {
		coats := d.coats
		if f.DeckCoats > 0 {
			coats = f.DeckCoats
		}
		out = append(
			out,
			tinOf(d.name, a.Deck, coats, both(f.DeckCover, d.cover), both(f.DeckPerLitre, d.price), nil),
		)
	}
	return out
}

// weldShare is how much of the surface of zinc-coated tube is bare after welding and sawing (practice, C).
const weldShare = 0.15

// finishOf is what the plan says of it.
func finishOf(r *rig.Rig) plan.Finish {
	if r == nil || r.Trailer.Finish == nil {
		return plan.Finish{}
	}
	return *r.Trailer.Finish
}

// CoatWay is a way to keep the frame over ten years, with this plan's figures.
type CoatWay struct {
	ID     string           `json:"id"`
	Name   string           `json:"name"`
	First  *finding.Measure `json:"first"` // money
	Later  *finding.Measure `json:"later"` // in the ten years after
	Ten    *finding.Measure `json:"ten"`   // both
	Hours  *finding.Measure `json:"hours"` // all of them
	Says   said.Sentence    `json:"says"`
	Cannot said.Sentence    `json:"cannot,omitempty"` // why it does not suit this frame
	Usual  bool             `json:"usual,omitempty"`  // prices are typical ones
	Chosen bool             `json:"chosen,omitempty"`
}

// years over which ways are compared.
const years = 10.0

// Ways are all ways side by side.
func Ways(r *rig.Rig) (out []CoatWay) {
	out = []CoatWay{}
	a := AreasOf(r)
	if !(a.Steel > 0) && a.Other == "" {
		return out
	}
	f := finishOf(r)
	for _, c := range norms.Coats {
		w := CoatWay{ID: c.ID, Name: c.Name, Chosen: string(f.Way) == c.ID}
		chosen := f
		if !w.Chosen { // coats and tin are the chosen way's own
			chosen.Coats, chosen.Cover, chosen.PerLitre = 0, nil, nil
		}
		w.cost(&a, &c, &chosen)
		w.Cannot = cannot(&c, &a)
		out = append(out, w)
	}
	return out
}

func cannot(c *norms.Coat, a *Areas) said.Sentence {
	switch {
	case c.ID == "bare" && a.Ferric:
		return said.Say("Steel rusts.")
	case c.ID == "dip" && a.Other != "":
		return said.Say("% does not fit the bath.", said.Piece{Text: a.Other})
	case c.ID == "dip" && !a.Ferric, c.ID == "pregal" && !a.Ferric:
		return said.Say("It is for steel.")
	}
	return nil
}

// cost of a way: first, and what is done again in ten years. Repainting takes the same litres and hours, as often as its
// years go into ten without the last; what the air takes of zinc is stated by ISO 9223.
func (w *CoatWay) cost(a *Areas, c *norms.Coat, f *plan.Finish) {
	add := func(x, y span) span {
		return span{Low: x.Low + y.Low, Nominal: x.Nominal + y.Nominal, High: x.High + y.High}
	}
	var first, later, hours span
	switch c.ID {
	case "dip":
		price := both(f.DipPerKg, c.Price)
		w.Usual = f.DipPerKg == nil
		first = span{Low: a.Mass * price[0], High: a.Mass * price[1], Nominal: a.Mass * (price[0] + price[1]) / 2}
		hours = span{Low: 2, Nominal: 4, High: 8} // vents, two drives, runs filed off
		if f.DipFar != nil && f.DriveCost != nil {
			drive := 4 * float64(*f.DipFar) / 1000 * float64(*f.DriveCost) // there and back, twice
			first = add(first, span{Low: drive, Nominal: drive, High: drive})
		}
		low, high := norms.ZincRate(f.Indoors, f.Salt)
		thin := norms.Zinc(0.002) / 7140
		w.Says = said.Say(
			"Zinc lasts % to % years on steel of [2 mm]. Make the vents first and weld nothing afterwards. It will be away for one or two weeks.",
			years10(thin/high),
			years10(thin/low),
		)
	case "pregal", "paint", "liner":
		coats := c.Coats
		if f.Coats > 0 {
			coats = f.Coats
		}
		area := a.Steel
		if c.ID == "pregal" {
			area *= weldShare
		}
		t := tinOf("", area, coats, both(f.Cover, c.Cover), both(f.PerLitre, c.Price), nil)
		w.Usual = f.PerLitre == nil
		first = rangeOf(t.Cost)
		each := span{
			Low: area * float64(coats) / c.PerHour[1], High: area * float64(coats) / c.PerHour[0],
			Nominal: area * float64(coats) * 2 / (c.PerHour[0] + c.PerHour[1]),
		}
		anew := c.Anew
		switch {
		case f.Salt:
			anew = [2]float64{anew[0] * 0.6, anew[1] * 0.6}
		case f.Indoors:
			anew = [2]float64{anew[0] * 2, anew[1] * 2}
		}
		often := span{
			Low: math.Max(0, math.Ceil(years/anew[1])-1), High: math.Max(0, math.Ceil(years/anew[0])-1),
			Nominal: math.Max(0, math.Ceil(years*2/(anew[0]+anew[1]))-1),
		}
		later = span{
			Low:     often.Low * first.Low,
			Nominal: often.Nominal * first.Nominal,
			High:    often.High * first.High,
		}
		hours = span{
			Low: each.Low * (1 + often.Low), Nominal: each.Nominal * (1 + 1.5*often.Nominal), High: each.High * (1 + 2*often.High),
		} // rust is ground off before
		w.Says = said.Say("Repaint every % to % years.", years10(anew[0]), years10(anew[1]))
		if c.ID == "pregal" {
			low, high := norms.ZincRate(f.Indoors, f.Salt)
			w.Says = append(
				w.Says,
				said.Say(
					" The tube’s own zinc lasts % to %; it is coated inside too. Its smoke is poisonous when welded.",
					years10(norms.Pregalvanised/high),
					years10(norms.Pregalvanised/low),
				)...)
		}
		if c.ID == "liner" {
			w.Says = append(w.Says, said.Say(" It can hide rust creeping under an edge.")...)
		}
	case "bare":
		w.Says = said.Say("Wash off salt. Use no bare steel bolts on it: fit plastic washers, or use coated ones.")
	}
	w.First, w.Later = finding.Of(quantity.KindMoney, first), finding.Of(quantity.KindMoney, later)
	w.Ten = finding.Of(quantity.KindMoney, add(first, later))
	w.Hours = finding.Of(
		quantity.KindTime,
		span{Low: hours.Low * 3600, Nominal: hours.Nominal * 3600, High: hours.High * 3600},
	)
}

func rangeOf(m *finding.Measure) span {
	if m == nil {
		return span{}
	}
	s := span{Low: m.Value, Nominal: m.Value, High: m.Value}
	if m.Low != nil {
		s.Low = *m.Low
	}
	if m.High != nil {
		s.High = *m.High
	}
	return s
}

// years10 is a number of years as it is said: to the half under ten, whole above.
func years10(v float64) said.Piece {
	if v < 10 {
		return said.Of(quantity.KindCount, math.Round(v*2)/2)
	}
	return said.Of(quantity.KindCount, math.Round(v))
}

// Touch is where bare metal will show, and what to keep for it.
func Touch(r *rig.Rig) (out []said.Sentence) {
	out = []said.Sentence{}
	f := finishOf(r)
	with := map[plan.FinishWay]string{
		plan.FinishDip: "zinc paint", plan.FinishPregal: "zinc paint", plan.FinishPaint: "primer and enamel", plan.FinishLiner: "primer and lining",
	}[f.Way]
	if with == "" {
		return out
	}
	out = append(out, said.Say("Edges, sawn ends and drilled holes: "+with+", two coats, right after drilling."))
	if r.Trailer.Tipping != nil {
		out = append(out, said.Say("Hinges and stops of the bed: grease them instead; paint wears off there."))
	}
	if len(r.Trailer.TiePoints) > 0 {
		out = append(out, said.Say("Under tie points and where straps run over an edge: check each season."))
	}
	if r.Trailer.Tail != "" {
		out = append(out, said.Say("Where ramps rest on the tail: a strip of plate or rubber."))
	}
	out = append(out, said.Say("Behind the wheels, where stones fly: a thicker coat, or a flap."))
	return out
}
