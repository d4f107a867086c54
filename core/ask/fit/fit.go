// Package fit answers whether a trailer is what was asked for: each must and
// each wish, held against the figure that it names. Practice figures and the
// geometry of the storage stand in docs/method/wants.md.
package fit

import (
	"cmp"
	"fmt"
	"slices"

	"zygonos/core/cost"
	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// State is a want with what it comes to on one trailer.
type State struct {
	ID      string           `json:"id"`
	What    plan.WantWhat    `json:"what"`
	Wish    bool             `json:"wish"`
	Outing  string           `json:"outing,omitempty"`
	Outcome finding.Outcome  `json:"outcome"`
	Title   said.Sentence    `json:"title"`
	Says    said.Sentence    `json:"says"`
	Figure  *finding.Measure `json:"figure,omitempty"`
	Limit   *finding.Measure `json:"limit,omitempty"`
	Needs   []finding.Need   `json:"needs,omitempty"`
}

// CodeMust is the code of the finding that a must makes.
const CodeMust = "job.must"

// Check judges every want of the plan on the rig's trailer, in order. A want
// to carry an outing is left Not known here: enter a whole review, which
// stands above.
func Check(r *rig.Rig) []State {
	var out []State
	p := r.Plan
	for _, id := range plan.Ordered(p.Wants, func(w plan.Want) int { return w.Order }) {
		w := p.Wants[id]
		s := State{ID: id, What: w.What, Wish: w.Wish, Outing: w.Outing, Outcome: finding.Unknown}
		j := judge{r: r, w: &w, s: &s, tp: "/trailers/" + r.Scope.Trailer, wp: "/wants/" + id}
		checks[w.What](&j)
		out = append(out, s)
	}
	return out
}

// Findings makes findings of the musts; wishes are counted, never failed.
func Findings(r *rig.Rig, states []State) []finding.Finding {
	var out []finding.Finding
	for i := range states {
		s := &states[i]
		if s.Wish || s.What == plan.WantCarry {
			continue
		}
		out = append(
			out,
			finding.Finding{
				Code:    CodeMust,
				Stage:   "job",
				Scope:   finding.Scope{Trailer: r.Scope.Trailer},
				Gate:    finding.GateBuy,
				Outcome: s.Outcome,
				Tight:   finding.LittleRoom,
				Subject: "/wants/" + s.ID,
				Title:   s.Title,
				Says:    s.Says,
				Figure:  s.Figure,
				Limit:   s.Limit,
				Needs:   s.Needs,
				Source:  norms.Practice("a must that the owner stated"),
			},
		)
		if f := &out[len(out)-1]; f.Outcome != finding.Tight {
			f.Tight = ""
		}
	}
	return out
}

// judge is one want on one trailer while it is judged.
type judge struct {
	r      *rig.Rig
	w      *plan.Want
	s      *State
	tp, wp string
}

func (j *judge) say(o finding.Outcome, pattern string, parts ...said.Piece) {
	j.s.Outcome, j.s.Says = o, said.Say(pattern, parts...)
}

// need leaves the want Not known.
func (j *judge) need(path, says, where string) {
	j.s.Outcome = finding.Unknown
	j.asks(path, said.Say(says), where)
	j.s.Says = append(append(said.Say("Not known: enter "), said.Say(says)...), said.Piece{Text: "."})
}

// asks names what would settle a want.
func (j *judge) asks(path string, says said.Sentence, where string) {
	j.s.Needs = append(j.s.Needs, finding.Need{Path: path, Says: says, Where: said.Say(where)})
}

// atMost judges a figure against what may be.
func (j *judge) atMost(k quantity.Kind, v, limit float64, holds, fails string) {
	j.s.Figure, j.s.Limit = finding.Exactly(k, v), finding.Exactly(k, limit)
	if quantity.Exceeds(v, limit) {
		j.say(finding.Fails, fails, said.Of(k, v), said.Of(k, limit))
		return
	}
	j.say(finding.Holds, holds, said.Of(k, v), said.Of(k, limit))
}

var checks = map[plan.WantWhat]func(*judge){
	plan.WantCarry: carry, plan.WantStorage: storage, plan.WantSheet: sheet, plan.WantRacksOff: racksOff, plan.WantRoad: road, plan.WantAlone: alone,
	plan.WantFloor: floor, plan.WantFlatRamp: flatRamp, plan.WantAnchors: anchors, plan.WantBudget: budget, plan.WantSkills: skills, plan.WantHours: hours,
}

func carry(j *judge) {
	name := j.r.Plan.Outings[j.w.Outing].Name
	j.s.Title = said.Say("Carry %", said.Name(name, "an outing"))
	if j.w.Outing == "" {
		j.need(j.wp+"/outing", "which outing", "Choose one of the plan's outings.")
		return
	}
	j.say(finding.Unknown, "Judged with the other outings.")
}

// Box is the room that a trailer takes when it is put away, m.
type Box struct{ Length, Width, Height float64 }

// drawbarAhead is how far the coupling reaches before the ball's middle, lamps
// and latch behind the deck, m: practice.
const (
	drawbarAhead = 0.10
	behindDeck   = 0.08
)

// lowDoor is what goes under any garage door, closeBay the doubt of two tapes, m: practice.
const (
	lowDoor  = 1.9
	closeBay = 0.01
)

// Stored is the room that the trailer takes as it stands, with what is fitted
// to it but without racks; folded where it folds.
func Stored(r *rig.Rig) (b Box, needs []finding.Need) {
	t, tp := r.Taped(), "/trailers/"+r.Scope.Trailer
	need := func(field, says, where string) {
		needs = append(needs, finding.Need{Path: tp + field, Says: said.Say(says), Where: said.Say(where)})
	}
	if f := t.Folded; f != nil && f.Length != nil && f.Width != nil && f.Height != nil {
		return Box{float64(f.Length.Value), float64(f.Width.Value), float64(f.Height.Value)}, nil
	}
	if t.CouplingToDeck == nil {
		need(
			"/couplingToDeck",
			"the distance from {coupling} to the {headboard}",
			"Tape from the ball's middle to the front edge of the deck.",
		)
	}
	if t.DeckLength == nil {
		need("/deckLength", "the deck's length", "Tape from the {headboard}'s inside to the tail.")
	} else if t.CouplingToDeck != nil {
		b.Length = drawbarAhead + float64(t.CouplingToDeck.Value+t.DeckLength.Value) + behindDeck
	}
	switch {
	case t.WidthOverAll != nil:
		b.Width = float64(t.WidthOverAll.Value)
	case t.Track != nil:
		b.Width = float64(t.Track.Value) + 0.17
	}
	if t.DeckWidth != nil {
		b.Width = max(b.Width, float64(t.DeckWidth.Value))
	}
	if t.WidthOverAll == nil && t.Track == nil {
		need("/widthOverAll", "the width over wheels and {mudguard}s", "Tape it.")
	} else if t.WidthOverAll == nil && t.DeckWidth == nil {
		need("/deckWidth", "the deck's width", "Tape it over its sides.")
	}
	if t.DeckHeight == nil {
		need("/deckHeight", "the deck's height", "Tape it from the ground.")
	} else {
		b.Height = float64(t.DeckHeight.Value)
		if s := t.SideHeight; s != nil {
			b.Height += float64(*s)
		}
	}
	for id, on := range t.Fitted {
		part := r.Plan.Parts[id]
		if part.Kind == "rack" || part.Size.Height == nil || t.DeckHeight == nil {
			continue // racks are taken off
		}
		b.Height = max(b.Height, float64(t.DeckHeight.Value+on.At.Up+part.Size.Height.Value))
	}
	return b, needs
}

// storage: the trailer fits where it goes in as it stands, or turned round, or
// stood on its edge where it may be.
func storage(j *judge) {
	j.s.Title = said.Say("Fits the storage")
	bay := j.w.Size
	if bay == nil || bay.Length == nil {
		j.need(j.wp+"/size/length", "the bay's length", "Tape the bay and its door.")
		return
	}
	if bay.Width == nil {
		j.need(j.wp+"/size/width", "the bay's width", "Tape the bay and its door.")
		return
	}
	b, needs := Stored(j.r)
	if needs != nil {
		j.s.Needs = needs
		j.s.Says = append(append(said.Say("Not known: enter "), needs[0].Says...), said.Piece{Text: "."})
		return
	}
	room := Box{float64(bay.Length.Value), float64(bay.Width.Value), 10}
	if bay.Height != nil {
		room.Height = float64(bay.Height.Value)
	}
	ways := []Box{b, {b.Width, b.Length, b.Height}}
	if j.r.Trailer.OnEdge { // on its side: the width stands up
		ways = append(ways, Box{b.Length, b.Height, b.Width}, Box{b.Height, b.Length, b.Width})
	}
	over, what, stands := 1e9, "", 0.0
	for i, w := range ways {
		worst, name := w.Length-room.Length, "long"
		if d := w.Width - room.Width; d > worst {
			worst, name = d, "wide"
		}
		if d := w.Height - room.Height; d > worst {
			worst, name = d, "high"
		}
		if worst < over {
			over, what, stands = worst, name, w.Height
			if i > 1 && worst <= 1e-9 {
				what = "on its edge"
			}
		}
	}
	j.s.Figure, j.s.Limit = finding.Exactly(
		quantity.KindLength,
		b.Length,
	), finding.Exactly(
		quantity.KindLength,
		room.Length,
	)
	size := []said.Piece{said.Length(b.Length), said.Length(b.Width), said.Length(b.Height)}
	switch {
	case over > 1e-9:
		j.say(
			finding.Fails,
			"Stored, it measures % × % × %: % too "+what+" for the bay.",
			append(size, said.Length(over))...)
	case bay.Height == nil && stands > lowDoor:
		j.say(finding.Tight, "Stored, it measures % × % × %: it fits if the bay is that high. Tape its door.", size...)
		j.asks(j.wp+"/size/height", said.Say("the bay's height"), "Tape the bay and its door.")
	case over > -closeBay:
		j.say(
			finding.Tight,
			"Stored, it measures % × % × %: it fits with only % to spare.",
			append(size, said.Length(-over))...,
		)
	case what == "on its edge":
		j.say(finding.Holds, "Stored, it measures % × % × %: it fits on its edge.", size...)
	default:
		j.say(finding.Holds, "Stored, it measures % × % × %: it fits.", size...)
	}
}

func sheet(j *judge) {
	j.s.Title = said.Say("Takes a full sheet flat")
	l, w := 2.44, 1.22
	if s := j.w.Size; s != nil && s.Length != nil && s.Width != nil {
		l, w = float64(s.Length.Value), float64(s.Width.Value)
	}
	t := j.r.Taped()
	if t.DeckLength == nil {
		j.need(j.tp+"/deckLength", "the deck's length", "Tape from the {headboard}'s inside to the tail.")
		return
	}
	if t.DeckWidth == nil {
		j.need(j.tp+"/deckWidth", "the deck's width", "Tape it between the sides.")
		return
	}
	dl, dw := float64(t.DeckLength.Value), float64(t.DeckWidth.Value)
	open := t.Tail != plan.TailGate && t.Tail != "" || t.SideHeight == nil
	j.s.Figure, j.s.Limit = finding.Exactly(quantity.KindLength, dw), finding.Exactly(quantity.KindLength, w)
	switch {
	case dw < w-1e-9 && t.SideHeight != nil && *t.SideHeight > 0:
		j.say(
			finding.Fails,
			"The deck is % wide and the sheet %: it will not lie between the sides.",
			said.Length(dw),
			said.Length(w),
		)
	case dl < l-1e-9 && !open:
		j.say(finding.Fails, "The deck is % long and the sheet %: the tail does not close.", said.Length(dl), said.Length(l))
	case dl < l*0.75:
		j.say(
			finding.Fails,
			"The deck is % long and the sheet %: more than a quarter hangs out.",
			said.Length(dl),
			said.Length(l),
		)
	case dl < l-1e-9:
		j.say(finding.Tight, "The sheet hangs out % at the tail.", said.Length(l-dl))
	case dw < w-1e-9:
		j.say(finding.Tight, "The sheet hangs over the sides by % each.", said.Length((w-dw)/2))
	default:
		j.say(finding.Holds, "The deck is % × %: the sheet lies flat.", said.Length(dl), said.Length(dw))
	}
}

func racksOff(j *judge) {
	j.s.Title = said.Say("Racks come off without tools")
	racks := 0
	for _, id := range plan.Ordered(j.r.Trailer.Fitted, func(plan.PartOn) int { return 0 }) {
		part := j.r.Plan.Parts[id]
		if part.Kind != "rack" && len(part.Slots) == 0 {
			continue
		}
		racks++
		name := said.Name(part.Name, "the rack")
		switch part.Undo {
		case "pins":
		case "":
			j.need("/parts/"+id+"/undo", "how the rack is held", "Pins, bolts or welds.")
			return
		case "bolts":
			j.say(finding.Fails, "% is bolted and takes a spanner. Pins would do.", name)
			return
		default:
			j.say(finding.Fails, "% is welded on.", name)
			return
		}
	}
	if racks == 0 {
		j.say(finding.Holds, "No rack is fixed on.")
		return
	}
	j.say(finding.Holds, "They are held by pins.")
}

func road(j *judge) {
	j.s.Title = said.Say("Goes at speed")
	if j.w.Speed == nil {
		j.need(j.wp+"/speed", "how fast it must go", "Say how fast it must be towed.")
		return
	}
	j.s.Title = said.Say("Goes at %", said.Of(quantity.KindSpeed, *j.w.Speed))
	t := j.r.Trailer
	v, ok := quantity.Speed(0), false
	switch {
	case t.TyreSpeed != nil:
		v, ok = *t.TyreSpeed, true
	case t.TyreSymbol != "":
		v, ok = norms.TyreSpeed(t.TyreSymbol)
	default:
		v, ok = norms.TyreSpeed(j.r.Tyre().Symbol)
	}
	if !ok {
		j.need(j.tp+"/tyreText", "the {tyre}'s speed letter", "It follows the load index on the wall.")
		return
	}
	j.s.Figure, j.s.Limit = finding.Exactly(quantity.KindSpeed, v), finding.Exactly(quantity.KindSpeed, *j.w.Speed)
	far := j.w.Distance != nil && *j.w.Distance > smallWheelFar
	small := t.WheelDiameter != nil && float64(*t.WheelDiameter) < 0.45
	if d := j.r.Tyre().Diameter; t.WheelDiameter == nil && d != nil {
		small = *d < 0.45
	}
	switch {
	case float64(*j.w.Speed-v) > 0.14:
		j.say(finding.Fails, "The {tyre}s are made for % at most.", said.Of(quantity.KindSpeed, v))
	case far && t.WheelDiameter == nil && j.r.Tyre().Diameter == nil:
		j.say(
			finding.Tight,
			"The {tyre}s are made for %. Small wheels run hot at %: enter the {tyre}'s size.",
			said.Of(quantity.KindSpeed, v),
			said.Of(quantity.KindDistance, *j.w.Distance),
		)
		j.asks(j.tp+"/tyreText", said.Say("the {tyre}'s size"), "It is on the wall.")
	case far && small:
		j.say(
			finding.Tight,
			"The {tyre}s are made for %, but small wheels run hot at %: check the hubs on the way.",
			said.Of(quantity.KindSpeed, v),
			said.Of(quantity.KindDistance, *j.w.Distance),
		)
	default:
		j.say(finding.Holds, "The {tyre}s are made for %.", said.Of(quantity.KindSpeed, v))
	}
}

// smallWheelFar is the trip from which small wheels are stated to run hot, m.
const smallWheelFar = 80_000

// Lift is what one person lifts: 25 kg easily, 40 kg at most, less above the
// shoulder (practice).
const (
	liftEasy = 25.0
	liftMost = 40.0
	shoulder = 1.4
)

// alone: what does not roll is lifted at one end at a time, so half of it
// counts, and no higher than stated. Loose material is shovelled.
func alone(j *judge) {
	j.s.Title = said.Say("Loaded by one person")
	lift, height := liftMost, shoulder
	if j.w.Mass != nil {
		lift = float64(*j.w.Mass)
	}
	if j.w.Height != nil {
		height = float64(*j.w.Height)
	}
	if j.r.Outing == nil {
		j.say(finding.Unknown, "Judged with an outing.")
		return
	}
	var worst, most, dark *rig.Item // by what is likely, by what it may weigh, of no known weight
	var share, high float64
	for i := range j.r.Items {
		it := &j.r.Items[i]
		if it.Part || it.Shape == "wheels" || it.Load != nil && it.Load.Bulk != nil {
			continue
		}
		if it.Bottom > height {
			j.say(
				finding.Fails,
				"% has to go % high: more than one person can reach.",
				said.Name(it.Name, "A load"),
				said.Length(it.Bottom),
			)
			return
		}
		if it.Mass == nil {
			dark = cmp.Or(dark, it)
			continue
		}
		end := *it.Mass
		if it.Length() > 1.8 { // one end at a time
			end.Nominal, end.High = end.Nominal/2, end.High/2
		}
		if worst == nil || end.Nominal > share {
			worst, share = it, end.Nominal
		}
		if most == nil || end.High > high {
			most, high = it, end.High
		}
	}
	switch {
	case dark != nil && (worst == nil || !quantity.Exceeds(share, lift)):
		weight := said.Say("the weight of %", said.Name(dark.Name, "a load"))
		j.s.Outcome, j.s.Says = finding.Unknown, slices.Concat(said.Say("Not known: enter "), weight, said.Say("."))
		j.asks(dark.Path+"/mass", weight, "A bathroom scale.")
		return
	case worst == nil:
		j.say(finding.Holds, "There is nothing to lift.")
		return
	}
	j.s.Figure, j.s.Limit = finding.Exactly(quantity.KindMass, share), finding.Exactly(quantity.KindMass, lift)
	name := said.Name(worst.Name, "a load")
	switch {
	case quantity.Exceeds(share, lift):
		j.say(
			finding.Fails,
			"%: % at a lift, and % is the limit. Get help, a ramp or a winch.",
			name,
			said.Mass(share),
			said.Mass(lift),
		)
	case quantity.Exceeds(share, liftEasy):
		j.say(finding.Tight, "%: % at a lift; % is easy.", name, said.Mass(share), said.Mass(liftEasy))
	case quantity.Exceeds(high, liftEasy):
		j.say(
			finding.Tight,
			"% may be % at a lift; % is easy. Weigh it.",
			said.Name(most.Name, "A load"),
			said.Mass(high),
			said.Mass(liftEasy),
		)
		j.asks(most.Path+"/mass", said.Say("the weight of %", said.Name(most.Name, "a load")), "A bathroom scale.")
	default:
		j.say(finding.Holds, "%: % at a lift.", name, said.Mass(share))
	}
}

func floor(j *judge) {
	j.s.Title = said.Say("Closed, stone-proof floor")
	t := j.r.Trailer
	for id := range t.Fitted {
		if k := j.r.Plan.Parts[id].Kind; k == "floor-ply" || k == "floor-plate" {
			j.say(finding.Holds, "A closed floor is fitted.")
			return
		}
	}
	switch t.Floor {
	case "":
		j.need(j.tp+"/floor", "what the floor is made of", "Look at it.")
	case plan.FloorPly, plan.FloorPlate:
		j.say(finding.Holds, "The floor is closed.")
	case plan.FloorBoards:
		j.say(finding.Tight, "Boards have gaps: grit falls through. Lay a sheet.")
	default:
		j.say(finding.Fails, "The floor is open. A plywood floor fixes that.")
	}
}

func flatRamp(j *judge) {
	j.s.Title = said.Say("Tail ramp lies flat")
	switch j.r.Trailer.Tail {
	case "":
		j.need(j.tp+"/tail", "what closes the tail", "Look at it.")
	case plan.TailFlat:
		j.say(finding.Holds, "The ramp lies flat on the road.")
	case plan.TailRamp:
		j.say(finding.Fails, "The ramp stands up and catches the wind.")
	default:
		j.say(finding.Fails, "There is no tail ramp.")
	}
}

func anchors(j *judge) {
	j.s.Title = said.Say("Tie-down points")
	want := 4
	if j.w.Count != nil {
		want = *j.w.Count
	}
	n, pockets := 0, 0
	for _, a := range j.r.Trailer.Anchors {
		if k, ok := catalogue.AnchorOf(a.Kind); ok && !k.Counts {
			pockets += a.Count
			continue
		}
		n += a.Count
	}
	if len(j.r.Trailer.Anchors) == 0 {
		j.need(
			j.tp+"/anchors",
			"how many tie-down points it has",
			"Count rings and slots; stake pockets do not count.",
		)
		return
	}
	j.s.Figure, j.s.Limit = finding.Exactly(
		quantity.KindCount,
		float64(n),
	), finding.Exactly(
		quantity.KindCount,
		float64(want),
	)
	switch {
	case n >= want:
		j.say(finding.Holds, "% tie-down points, and you asked for %.", said.Count(n), said.Count(want))
	case pockets > 0:
		j.say(
			finding.Fails,
			"% tie-down points, and you asked for %; % stake pockets are made for stakes, not straps.",
			said.Count(n),
			said.Count(want),
			said.Count(pockets),
		)
	default:
		j.say(
			finding.Fails,
			"% tie-down points, and you asked for %. Rings through a cross-member can be added.",
			said.Count(n),
			said.Count(want),
		)
	}
}

func budget(j *judge) {
	j.s.Title = said.Say("Within the budget")
	if j.w.Money == nil {
		j.need(j.wp+"/money", "the budget", "Say what may be spent in all.")
		return
	}
	b := cost.Of(j.r.Scope.Trailer, j.r.Trailer)
	if !b.Known {
		j.need(j.tp+"/deal/price", "the price", "Ask the seller.")
		return
	}
	limit := float64(*j.w.Money)
	j.atMost(
		quantity.KindMoney,
		float64(b.Money),
		limit,
		"% of % before it is on the road.",
		"% before it is on the road; the budget is %.",
	)
	if j.s.Outcome == finding.Holds && quantity.Exceeds(float64(b.Money+b.Risk), limit) {
		j.say(
			finding.Tight,
			"% of %, but missing papers may cost % more.",
			said.Of(quantity.KindMoney, b.Money),
			said.Of(quantity.KindMoney, limit),
			said.Of(quantity.KindMoney, b.Risk),
		)
	}
	if b.Open == 0 {
		return
	}
	if j.s.Outcome != finding.Fails {
		j.s.Outcome = finding.Unknown
		for _, l := range b.Lines {
			if l.Money == nil && (l.What == "buy" || l.What == "repair") {
				j.asks(l.Path+"/price", said.Say("the price of %", said.Name(l.Name, "a must-buy")), "Ask where you buy it.")
			}
		}
	}
	j.s.Says = append(j.s.Says, said.Say(" % no price yet.", said.Counted(b.Open, "must-buy has", "must-buys have"))...)
}

func skills(j *judge) {
	j.s.Title = said.Say("Skills you have")
	needs := cost.Needs(j.r.Trailer)
	word := map[plan.Skill]string{"": "no building", plan.SkillBolt: "bolting together", plan.SkillWeld: "welding", plan.SkillWelder: "a welder's work"}[needs]
	switch {
	case j.r.Trailer.Comes == "" && needs == "":
		j.need(j.tp+"/comes", "how it comes: ready, kit, used, frame or own", "Say so under the trailer.")
	case cost.Can(j.w.Skills, needs):
		j.say(finding.Holds, fmt.Sprintf("It needs %s.", word))
	default:
		j.say(finding.Fails, fmt.Sprintf("It needs %s, and you do not have that.", word))
	}
}

func hours(j *judge) {
	j.s.Title = said.Say("Done in time")
	if j.w.Hours == nil && j.w.Date == "" {
		j.need(j.wp+"/hours", "the hours you have", "Say how many hours there are until the day.")
		return
	}
	b, ready := cost.Of(j.r.Scope.Trailer, j.r.Trailer), ""
	if d := j.r.Trailer.Deal; d != nil {
		ready = d.ReadyOn
	}
	work, day := j.w.Hours != nil, j.w.Date != ""
	// its hours are stated, or it takes none
	told := b.Hours > 0 || cost.Needs(j.r.Trailer) == "" && j.r.Trailer.Comes != ""
	// what fails comes before what is not known
	switch over := work && quantity.Exceeds(float64(b.Hours), float64(*j.w.Hours)); {
	case day && ready > j.w.Date:
		j.say(
			finding.Fails,
			"It arrives on %, too late for %.",
			said.Piece{Text: ready},
			said.Piece{Text: j.w.Date},
		)
	case work && !told && !over:
		j.need(j.tp+"/deal/hours", "the hours of work on it", "Work them out before you buy.")
	case day && ready == "" && !over:
		j.need(j.tp+"/deal/readyOn", "the day it is ready", "Ask the seller.")
	case work:
		j.atMost(
			quantity.KindTime,
			float64(b.Hours),
			float64(*j.w.Hours),
			"% of work, and you have %.",
			"% of work, and you have only %.",
		)
	default:
		j.say(finding.Holds, "In time.")
	}
}
