package review

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/ask/balance"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// CodePlaced is the code of the finding on loads that the app placed.
const CodePlaced = "balance.placed"

// Ready cleans a plan and places what its owner left to the app, in place: every study
// begins with it.
func Ready(p *plan.Plan) []plan.Problem {
	problems := plan.Clean(p)
	fill(p)
	return problems
}

// fill gives every load that its owner left to the app a place, in every layout. What it
// placed is marked Auto and never stored: it is derived again whenever the plan changes.
func fill(p *plan.Plan) {
	for _, o := range p.OutingIDs() {
		out := p.Outings[o]
		var layouts map[string]plan.Layout
		for t, l := range out.Layouts {
			var ids []string
			for id, pl := range l.Placements {
				if pl.On == plan.OnAny {
					ids = append(ids, id)
				}
			}
			if len(ids) == 0 {
				continue
			}
			slices.Sort(ids)
			if layouts == nil {
				layouts = maps.Clone(out.Layouts)
			}
			l.Placements = maps.Clone(l.Placements)
			for id, pl := range berths(p, t, o, ids) {
				l.Placements[id] = pl
			}
			layouts[t] = l
		}
		if layouts != nil {
			out.Layouts = layouts
			p.Outings[o] = out
		}
	}
}

// bears reports whether an item may ride on another as the app placed it: alike on alike.
func bears(under, on *rig.Item) bool { return under.Shape == on.Shape && on.Shape != "wheels" }

// PlacedOf are the placements that the app made, by their path in the plan.
func PlacedOf(p *plan.Plan) map[string]plan.Placement {
	out := map[string]plan.Placement{}
	for o, outing := range p.Outings {
		for t, l := range outing.Layouts {
			for id, pl := range l.Placements {
				if pl.Auto {
					pl.Auto = false
					out["/outings/"+o+"/layouts/"+t+"/placements/"+id] = pl
				}
			}
		}
	}
	return out
}

// placed tells what the app placed and offers to confirm it; owner reports whether its owner
// placed anything.
func placed(r *rig.Rig) (f finding.Finding, owner, any bool) {
	f = finding.Finding{
		Code: CodePlaced, Stage: balance.Stage, Scope: r.Scope, Gate: finding.GateGo,
		Subject: r.LayoutPath("/placements"), Title: said.Say("Placed by the app"), Outcome: finding.Unknown,
		Source: norms.Practice("within the window, heavy low, machines over the axle"),
	}
	byID := map[string]*rig.Item{}
	for i := range r.Items {
		if !r.Items[i].Part {
			byID[r.Items[i].ID] = &r.Items[i]
		}
	}
	fix := finding.Fix{Variant: finding.Variant{Name: said.Say("confirm where they stand")}, Outcome: finding.Holds}
	n := 0
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || r.Layout == nil {
			continue
		}
		pl := r.Layout.Placements[it.ID]
		if !pl.Auto {
			owner = true
			continue
		}
		n++
		if c := byID[pl.ID]; pl.On == plan.OnLoad && c != nil &&
			(!r.Layout.Placements[c.ID].Auto || !bears(c, it)) ||
			inOther(r, it) {
			none := said.Say(noRoom(it), said.Name(it.Name, "a load"))
			if len(f.Says) > 0 {
				f.Says = append(f.Says, said.Say(" ")...)
			}
			f.Says = append(f.Says, none...)
			f.Needs = append(f.Needs, finding.Need{
				Path: it.PlacePath, Says: said.Say("where % goes", said.Name(it.Name, "the load")), Where: none,
			})
			continue
		}
		pl.Auto, pl.Pinned = false, true
		fix.Patch = append(fix.Patch, finding.Op{Op: "replace", Path: it.PlacePath, Value: pl})
		f.Needs = append(f.Needs, finding.Need{
			Path: it.PlacePath, Where: said.Say("Confirm it, or drag it to where it stands."),
			Says: said.Say("whether % stands where it is drawn", said.Name(it.Name, "the load")),
		})
	}
	if n == 0 {
		return f, owner, false
	}
	if len(f.Says) == 0 {
		f.Says = append(instruction(r), said.Say(". Confirm it, or move it.")...)
	}
	if len(fix.Patch) > 0 {
		f.Fixes = []finding.Fix{fix}
	}
	return f, owner, true
}

// inOther reports whether an item stands in another.
func inOther(r *rig.Rig, it *rig.Item) bool {
	for i := range r.Items {
		o := &r.Items[i]
		if o != it && it.Overlaps(o) && it.Front < o.Rear-1e-6 && o.Front < it.Rear-1e-6 && !r.Interlock(it, o) {
			return true
		}
	}
	return false
}

// noRoom tells what to do with a load that finds no room beside the others.
func noRoom(it *rig.Item) string {
	if it.Shape == "hull" {
		return "There is no room on the deck for % beside the rest: plan a rack for it, or leave it behind."
	}
	return "There is no room on the deck for % beside the rest: place it yourself, leave it behind, or go twice."
}

// mostTold is how many loads an instruction places one by one.
const mostTold = 2

// instruction tells where the loads that the app placed go, without a full stop.
func instruction(r *rig.Rig) said.Sentence {
	front, _ := r.Deck()
	var out said.Sentence
	var rides []said.Sentence
	n := 0
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part || !r.Layout.Placements[it.ID].Auto {
			continue
		}
		if n++; n > mostTold {
			return said.Say("Place the loads as they are drawn")
		}
		if pl := r.Layout.Placements[it.ID]; it.Carrier != "" {
			under := said.Name(r.Plan.Loads[pl.ID].Name, "the other")
			rides = append(rides, said.Say("% on %", said.Name(it.Name, "the load"), under))
			continue
		}
		if len(out) > 0 {
			out = append(out, said.Say(", ")...)
		} else {
			out = append(out, said.Say("Set ")...)
		}
		d := it.Front - front
		where := "behind"
		if d < 0 {
			d, where = -d, "before"
		}
		name := said.Name(it.Name, "the load")
		if d < 0.005 {
			out = append(out, said.Say("the front of % against the {headboard}", name)...)
		} else {
			out = append(out, said.Say("the front of % % "+where+" the {headboard}", name, said.Length(d))...)
		}
		if mid := (it.Left + it.Right) / 2; math.Abs(mid) > 0.02 {
			side := "right"
			if mid < 0 {
				side = "left"
			}
			out = append(out, said.Say(", % to the "+side, said.Length(math.Abs(mid)))...)
		}
		out = append(out, r.Turned(it)...)
	}
	for _, ride := range rides {
		begin := ", "
		if len(out) == 0 {
			begin = "Set "
		}
		out = append(append(out, said.Say(begin)...), ride...)
	}
	return out
}

// crowded reports whether a load found no room.
func crowded(f *finding.Finding) bool {
	return len(f.Fixes) == 0 || len(f.Fixes[0].Patch) < len(f.Needs) // what found room can be confirmed
}

// heavyAsPlaced tells of a ball load above the usual that the app moved its loads as far back as they go.
func (rep *Report) heavyAsPlaced(many bool) {
	for i := range rep.Findings {
		f := &rep.Findings[i]
		if f.Code != balance.CodeWindow || f.Outcome != finding.Tight || len(f.Says) == 0 {
			continue
		}
		says := slices.Clone(f.Says)
		if last := &says[len(says)-1]; last.Text == balance.MoveBack {
			if last.Text = " It lies as far back as it goes."; many {
				last.Text = " They lie as far back as they go."
			}
			f.Says = says
		}
	}
}

// head is the headline; of a rig on which its owner placed nothing it is what to do, and a
// failure of the ball load says how far the loads were moved.
func (rep *Report) head() {
	rep.Headline = HeadlineOf(rep.Findings, func(*finding.Finding) bool { return true })
	r := rep.rig
	f, owner, any := placed(r)
	if owner || !any || r.Axle == nil || r.Trailer.DeckLength == nil {
		return // without an axle and a deck there is nothing to tape a place on
	}
	h := &rep.Headline
	if crowded(&f) {
		says := f.Says
		if h.Outcome == finding.Fails && h.Code != balance.CodeWindow {
			says = slices.Concat(says, said.Say(" "), h.Says)
		}
		h.Says, h.Code, h.Outcome = says, CodePlaced, finding.Worse(h.Outcome, f.Outcome)
		return
	}
	if h.Outcome == finding.Fails {
		if b := r.Bears; h.Code == balance.CodeWindow && b != nil {
			way, who := "back", "it goes"
			if w := balance.Check(r).Window; w != nil && b.Ball.Nominal < w.Low {
				way = "forward"
			}
			if len(f.Needs) > 1 {
				who = "they go"
			}
			h.Says = append(said.Say("Even as far "+way+" as "+who+": "), h.Says...)
			// it cannot be moved on: the axle is what is wrong
			switch last := &h.Says[len(h.Says)-1]; last.Text {
			case balance.MoveForward, balance.MoveBack:
				last.Text = " The axle stands too far " + way + " for that."
			}
		}
		return
	}
	b := r.Bears
	if b == nil || b.Share == nil {
		return // what it comes to is not known: no place is better than another
	}
	rep.heavyAsPlaced(len(f.Needs) > 1)
	says := append(instruction(r),
		said.Say(": {ball load} %, %.", said.Mass(b.Ball.Nominal), said.Share(b.Share.Nominal))...)
	if rep.isRough(balance.CodeWindow) {
		says = append(said.Say(rough), says...)
	}
	if h.Outcome == finding.Unknown || h.Outcome == finding.Holds {
		says = append(
			says,
			said.Say(" % of % essential links checked.", said.Count(h.Checked), said.Count(h.Of))...)
	}
	h.Says, h.Code = says, CodePlaced
	if h.Outcome == finding.Holds { // its place is not confirmed yet
		h.Outcome = finding.Unknown
	}
}
