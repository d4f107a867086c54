package lashing

import (
	"math"
	"strings"

	"zygonos/core/finding"
	"zygonos/core/norms"
	"zygonos/core/plan"
	"zygonos/core/quantity"
	"zygonos/core/rig"
	"zygonos/core/said"
	"zygonos/core/scene"
)

// Codes of the findings made here.
const (
	CodeRule     = "tie.rule"
	CodeStatics  = "tie.statics"
	CodeLength   = "tie.length"
	CodePractice = "tie.practice"
	CodeWind     = "tie.wind"
	CodePress    = "tie.press"
)

// Tied is a load with what the schools and statics say, for the screen.
type Tied struct {
	Load    string          `json:"load"` // path
	Name    string          `json:"name"`
	Grip    float64         `json:"grip"`
	Straps  []TiedStrap     `json:"straps"`
	Schools []SchoolVerdict `json:"schools"`
	Bars    []GBar          `json:"bars,omitempty"`
	Weak    string          `json:"weak,omitempty"` // path of the strap that gives first, in the direction that governs
	Points  []PointOf       `json:"points"`         // where its straps may be hooked
}

// PointOf is a tie point by name, with what it takes.
type PointOf struct {
	ID   string        `json:"id"`
	Name string        `json:"name"`
	Says said.Sentence `json:"says"`
}

// TiedStrap is one lashing as it runs.
type TiedStrap struct {
	Path  string           `json:"path"`
	Name  string           `json:"name"`
	Over  bool             `json:"over"`
	Limit *finding.Measure `json:"limit"`
	Weak  string           `json:"weak"`
	Long  *finding.Measure `json:"long"`
	Floor *finding.Measure `json:"floor"`           // angle to the floor at its first end
	Pull  *finding.Measure `json:"pull"`            // that its tightener leaves
	Eased bool             `json:"eased,omitempty"` // … no more, for the hull's sake
}

// SchoolVerdict is what one school says.
type SchoolVerdict struct {
	ID     string           `json:"id"`
	Name   string           `json:"name"`
	Holds  bool             `json:"holds"`
	Has    *finding.Measure `json:"has"`
	Needs  *finding.Measure `json:"needs"`
	Count  int              `json:"count,omitempty"`
	Least  int              `json:"least,omitempty"`
	Bound  string           `json:"bound"`
	Source string           `json:"source"`
	Says   string           `json:"says"` // its direction that governs
	Chosen bool             `json:"chosen,omitempty"`
}

// GBar is how many g a load withstands in a direction against what is asked.
type GBar struct {
	Direction string  `json:"direction"`
	Has       float64 `json:"has"`
	Asked     float64 `json:"asked"`
	Gives     string  `json:"gives"`
	Known     bool    `json:"known"`
	Holds     bool    `json:"holds"`
}

func judge(school string, l *Load) Verdict {
	switch school {
	case "na":
		return NorthAmerica(l)
	case "au":
		return Guides(l)
	}
	return European(l)
}

// Check judges every load's ties under the chosen school, and practice.
func Check(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	school := norms.TieSchoolOf(r.Plan.TieSchool, r.Plan.Region)
	for i := range r.Items { // what weighs nobody knows how much is held by nobody knows what
		it := &r.Items[i]
		if it.Part || it.Mass != nil && it.Mass.Nominal > 0 {
			continue
		}
		name := said.Name(it.Name, "a load")
		out = append(out, finding.Finding{Code: CodeRule, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: it.Path, Title: said.Say("Tied down"), Outcome: finding.Unknown,
			Says:  said.Say("Not known whether % stays: its weight is not known.", name),
			Needs: []finding.Need{{Path: it.Path + "/mass", Says: said.Say("the weight of %", name), Where: said.Say("Weigh it, or look at its plate or papers.")}}})
	}
	loads := Loads(r)
	for i := range loads {
		l := &loads[i]
		base := func(code, title string) finding.Finding {
			return finding.Finding{Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: l.Item.Path, Title: said.Say(title), Outcome: finding.Holds}
		}
		name := said.Name(l.Item.Name, "a load")
		f := base(CodeRule, "Tied down")
		f.Source = &finding.Source{Title: school.Name, Clause: school.Source, AsOf: norms.AsOf, Confidence: "B"}
		switch {
		case l.Item.Shape == "heap":
			f.Says = said.Say("Cover %: a net or tarpaulin over the sides.", name)
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			out = append(out, f)
			continue
		case len(l.Broken) > 0:
			f.Outcome, f.Needs = finding.Unknown, l.Broken
			f.Says = append(append(said.Say("% is not told to the end: ", name), l.Broken[0].Says...), said.Piece{Text: "."})
			out = append(out, f)
			continue
		case len(l.Ties) == 0:
			f.Outcome = finding.Unknown
			f.Says = said.Say("% is not tied down yet.", name)
			f.Needs = []finding.Need{{Path: r.LayoutPath("/lashings"), Says: said.Say("how % is tied down", name), Where: said.Say("Let it be planned, or draw straps yourself.")}}
			out = append(out, f)
			continue
		}
		v := judge(school.ID, l)
		f.Figure, f.Limit = finding.Exactly(quantity.KindMass, v.Has), finding.Exactly(quantity.KindMass, v.Needs)
		switch {
		case v.Count < v.Least:
			f.Outcome, f.Says = finding.Fails, said.Say("% has % tie-downs, by its length and weight it takes %.", name, said.Count(v.Count), said.Count(v.Least))
		case !v.Holds():
			f.Outcome, f.Says = finding.Fails, said.Say("% is held by % of %"+v.toward()+".", name, said.Mass(v.Has), said.Mass(v.Needs))
			advice := advise(ImproveRule(r, l, school.ID), &f, quantity.KindMass, func(w Better) said.Sentence { return said.Say("% of %", said.Mass(w.Has), said.Mass(w.Needs)) })
			if advice == nil {
				advice = said.Say(" Straps that take more, or other tie points.")
			}
			f.Says = append(f.Says, advice...)
		case guessed(l):
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
			f.Says = said.Say("% is held, if strap and tie points take what is usual. Look for their tags and plates.", name)
		default:
			f.Says = said.Say("% is held: % of % asked"+v.toward()+".", name, said.Mass(v.Has), said.Mass(v.Needs))
		}
		out = append(out, f)
		for k := range l.Ties {
			if t := &l.Ties[k]; t.Has != nil && quantity.Exceeds(t.Long, *t.Has) {
				g := base(CodeLength, "Strap's length")
				g.Subject = t.Path
				g.Figure, g.Limit = finding.Exactly(quantity.KindLength, t.Long), finding.Exactly(quantity.KindLength, *t.Has)
				g.Outcome, g.Says = finding.Fails, said.Say("% is % long, its way %.", said.Name(t.Name, "A strap"), said.Length(*t.Has), said.Length(t.Long))
				out = append(out, g)
			}
		}
		if g, ok := press(r, l, base(CodePress, "Not too tight")); ok {
			out = append(out, g)
		}
		if g, ok := wind(r, l, base(CodeWind, "Wind at speed")); ok {
			out = append(out, g)
		}
		if g, ok := practice(r, l, base(CodePractice, "As it is done")); ok {
			out = append(out, g)
		}
	}
	return out
}

// press says how far straps over a hull are drawn, where their tighteners would draw more
// than it bears: 2·T·sin α of a strap down to both sides.
func press(r *rig.Rig, l *Load, f finding.Finding) (finding.Finding, bool) {
	for i := range l.Ties {
		t := &l.Ties[i]
		if t.Eased == 0 {
			continue
		}
		f.Source = norms.Practice("100 kg of a strap's press, or 1.5 times the hull's weight")
		f.Figure, f.Limit = finding.Exactly(quantity.KindMass, t.Pull*t.down()), finding.Exactly(quantity.KindMass, l.press())
		f.Says = said.Say("% over % could press it with %; it bears %. Draw it to %, no more; slacker in the heat.", said.Name(t.Name, "A strap"), said.Name(l.Item.Name, "the hull"), said.Mass(t.Eased*t.down()), said.Mass(l.press()), said.Mass(t.Pull))
		if p := r.Plan.Straps[r.Layout.Lashings[t.ID].Strap].Pull; p != nil { // told, not usual
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		}
		return f, true
	}
	return f, false
}

func guessed(l *Load) bool {
	for i := range l.Ties {
		if l.Ties[i].Guess {
			return true
		}
	}
	return false
}

// A pack thinner and longer than that, m, is sheets: they lift and slide (practice, C).
const (
	sheetThick = 0.15
	sheetLong  = 2.0
)

// practice are the rules that no sum gives: machines at four corners, hulls twice over
// and, where they reach far or go fast, a line at bow and stern; nothing on the tailgate
// alone.
func practice(r *rig.Rig, l *Load, f finding.Finding) (finding.Finding, bool) {
	f.Source = norms.Practice("four corners for machines, two over a hull")
	name := said.Name(l.Item.Name, "a load")
	overs, front, rear := 0, 0, 0
	for i := range l.Ties {
		t := &l.Ties[i]
		if t.Over {
			overs++
			continue
		}
		if t.Ends[0].Along[0] < -0.2 {
			front++
		} else if t.Ends[0].Along[0] > 0.2 {
			rear++
		}
	}
	tight := func(says said.Sentence) (finding.Finding, bool) {
		f.Outcome, f.Tight, f.Says = finding.Tight, finding.LittleRoom, says
		return f, true
	}
	_, tail := r.Deck()
	deck, _ := r.Deck()
	switch {
	case l.Item.Shape == "wheels" && (front < 2 || rear < 2):
		return tight(said.Say("Hold % at four corners: two forward, two back, at its axles or frame.", name))
	case l.Item.Lot != nil && l.Item.Top-l.Item.Bottom < sheetThick && l.Item.Length() > sheetLong && !l.Blocked:
		return tight(said.Say("Something before % too: long sheets slide out from under straps. One strap down their belly.", name))
	case l.Item.Shape == "hull" && overs < 2:
		return tight(said.Say("Two straps over %, not one.", name))
	case l.Item.Shape == "hull" && !l.NoLines && front+rear < 2 && (l.Item.Rear-tail > 1 || deck-l.Item.Front > 1 || r.Outing.Speed != nil && float64(*r.Outing.Speed) > 22.3):
		return tight(said.Say("A line at bow and stern of %: it reaches far, or goes fast.", name))
	}
	return f, false
}

// Statics judges every tied load by the programme, and gives its bars.
func Statics(r *rig.Rig) ([]finding.Finding, []Tied) {
	var out []finding.Finding
	var tied []Tied
	loads := Loads(r)
	school := norms.TieSchoolOf(r.Plan.TieSchool, r.Plan.Region)
	for i := range loads {
		l := &loads[i]
		if l.Item.Shape == "heap" {
			continue
		}
		t := Tied{Load: l.Item.Path, Name: l.Item.Name, Grip: l.friction(), Straps: []TiedStrap{}, Schools: []SchoolVerdict{}, Points: []PointOf{}}
		for _, id := range append(OnBars(r, l.Item.ID), plan.Ordered(r.Trailer.TiePoints, func(t plan.TiePoint) int { return t.Order })...) {
			h := holdAt(r, id, Vector{math.Sqrt2 / 2, 0, -math.Sqrt2 / 2})
			says := said.Say("% at 45°", said.Mass(h.Low))
			switch {
			case h.High <= 0:
				says = said.Say("not known: tell its kind, or what its plate says")
			case h.High > h.Low:
				says = said.Say("% to % at 45°; gives first: %", said.Mass(h.Low), said.Mass(h.High), said.Piece{Text: h.Gives})
			}
			t.Points = append(t.Points, PointOf{id, PointName(r, id), says})
		}
		for k := range l.Ties {
			x := &l.Ties[k]
			t.Straps = append(t.Straps, TiedStrap{x.Path, x.Name, x.Over, finding.Exactly(quantity.KindMass, x.Limit), x.Weak, finding.Exactly(quantity.KindLength, x.Long),
				finding.Exactly(quantity.KindAngle, math.Asin(math.Min(1, math.Abs(x.Ends[0].Along[2])))),
				finding.Exactly(quantity.KindMass, x.Pull), x.Eased > 0})
		}
		for _, s := range norms.TieSchools {
			v := judge(s.ID, l)
			if math.IsInf(v.Has, 0) {
				v.Has = 0
			}
			t.Schools = append(t.Schools, SchoolVerdict{s.ID, s.Name, v.Holds() && len(l.Ties) > 0, finding.Exactly(quantity.KindMass, v.Has), finding.Exactly(quantity.KindMass, v.Needs), v.Count, v.Least, s.Bound, s.Source, v.Direction, s.ID == school.ID})
		}
		if v := Performance(l); len(l.Ties) > 0 {
			t.Schools = append(t.Schools, SchoolVerdict{ID: "na-g", Name: "North America in g", Holds: v.Holds(), Has: finding.Exactly(quantity.KindMass, v.Has), Needs: finding.Exactly(quantity.KindMass, v.Needs), Bound: "what meets the rules above is held to meet it", Source: "49 CFR 393.102", Says: v.Direction})
		}
		if len(l.Ties) > 0 && len(l.Broken) == 0 {
			f, bars, weak := balance(r, l)
			out, t.Bars, t.Weak = append(out, f), bars, weak
		}
		tied = append(tied, t)
	}
	return out, tied
}

// balance judges one load by the programme, gives its bars and the path of the strap that gives first.
func balance(r *rig.Rig, l *Load) (finding.Finding, []GBar, string) {
	f := finding.Finding{Code: CodeStatics, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Subject: l.Item.Path, Title: said.Say("Balance of forces"), Outcome: finding.Holds,
		Source: &finding.Source{Title: "Statics", Clause: "0.8 g forward, 0.5 rearward and sideways, 0.2 upward", AsOf: norms.AsOf, Confidence: "B"}}
	name := said.Name(l.Item.Name, "a load")
	var bars []GBar
	worst, at, weak := math.Inf(1), -1, ""
	for k, d := range Directions {
		h, err := Hold(l, d.Push, l.friction())
		if err != nil {
			f.Outcome, f.Says = finding.Unknown, said.Say("Not known whether % holds %: the sum found no answer.", name, said.Piece{Text: d.Name})
			f.Needs = []finding.Need{{Path: l.Item.Path, Says: said.Say("another way to tie it"), Where: said.Say("Move a strap.")}}
			return f, append(bars, GBar{Direction: d.ID, Asked: d.Asked}), ""
		}
		bars = append(bars, GBar{d.ID, h.G, d.Asked, h.Gives, true, h.G >= d.Asked*(1-1e-9)})
		if s := h.G / d.Asked; s < worst {
			worst, at, weak = s, k, ""
			if h.Tie >= 0 {
				weak = l.Ties[h.Tie].Path
			}
		}
	}
	b := bars[at]
	f.Figure, f.Limit = finding.Exactly(quantity.KindShare, b.Has), finding.Exactly(quantity.KindShare, b.Asked)
	margin := worst - 1
	f.Margin = &margin
	gives := map[string]string{"slips": "then it slips", "tips": "then it tips", "lifts": "then it lifts", "strap": "then a strap is at its limit"}[b.Gives]
	f.Says = said.Say("% stays to % of its weight "+b.Direction+", % asked; "+gives+".", name, said.Share(b.Has), said.Share(b.Asked))
	switch {
	case worst < 1-1e-9:
		f.Outcome = finding.Fails
		ways := Improve(r, l, at)
		advice := advise(ways, &f, quantity.KindShare, func(w Better) said.Sentence { return said.Say("%", said.Share(w.Has)) })
		if advice == nil {
			advice = said.Say([...]string{" A strap that pulls back and down.", " A strap that pulls forward and down.", " A strap across, low and to the right.", " A strap across, low and to the left.", " A strap that pulls straight down."}[at])
		}
		f.Says = append(f.Says, advice...)
	case worst < 1.1:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{{Symbol: "λ", Says: said.Say("the most, %", said.Piece{Text: b.Direction}), Formula: "max λ: Σ forces = 0, Σ moments = 0, |f| ≤ μN, 0 ≤ T ≤ limit", Result: f.Figure, Source: f.Source, Terms: []finding.StepTerm{
			{Symbol: "m", Says: said.Say("the load"), Measure: finding.Exactly(quantity.KindMass, l.Mass), How: "computed"},
			{Symbol: "μ", Says: said.Say("friction, the low end"), Measure: finding.Exactly(quantity.KindShare, l.friction()), How: "typical"}}}}
	}
	return f, bars, weak
}

// Answer is the stage's one answer from its findings: what fails, what is open, what is
// tight, or that all stays.
func Answer(fs []finding.Finding) said.Sentence {
	var open, little *finding.Finding
	guess := false
	n, seen := 0, false
	for i := range fs {
		f := &fs[i]
		if f.Stage != Stage || f.Compares {
			continue
		}
		seen = true
		switch {
		case f.Outcome == finding.Fails:
			return f.Says
		case f.Outcome == finding.Unknown:
			if n++; open == nil {
				open = f
			}
		case f.Tight == finding.LittleRoom && little == nil:
			little = f
		case f.Tight == finding.GuessTooRough:
			guess = true
		}
	}
	switch {
	case n == 1:
		return open.Says
	case n > 1:
		return said.Say("% loads are not tied down yet, or not told to the end.", said.Count(n))
	case little != nil:
		return little.Says
	case guess:
		return said.Say("All loads stay, if straps and tie points take what is usual: look for tags and plates.")
	case seen:
		return said.Say("All loads stay where they are, by the rule and by statics.")
	}
	return said.Say("Nothing stands on the trailer yet.")
}

// Layer draws straps as they run, from the side and from above; from above their ends may
// be let go at other tie points.
func Layer(r *rig.Rig) (side, above []scene.Shape, hooks []scene.Target) {
	points := plan.Ordered(r.Trailer.TiePoints, func(t plan.TiePoint) int { return t.Order })
	front, _ := r.Deck()
	for _, id := range points {
		at, ok := point(r, id)
		if !ok || at[0] < front-5 {
			continue
		}
		side = append(side, scene.Disc("tie-point", at[0], -at[2], 0.03))
		above = append(above, scene.Disc("tie-point", at[0], at[1], 0.03))
	}
	loads := Loads(r)
	for i := range loads {
		for k := range loads[i].Ties {
			t := &loads[i].Ties[k]
			for n, e := range t.Ends {
				path := t.Path + [2]string{"/from", "/to"}[n]
				if !strings.Contains(e.PointID, ".") { // not round a rack's bar
					grip := scene.Disc("strap-end", e.Point[0], e.Point[1], 0.06)
					grip.Thing = path
					above = append(above, grip)
					for _, id := range points {
						if at, ok := point(r, id); ok && id != e.PointID {
							hooks = append(hooks, scene.Target{Thing: path, Min: scene.Point{at[0] - hookNear, at[1] - hookNear}, Max: scene.Point{at[0] + hookNear, at[1] + hookNear},
								Label: said.Say("%", said.Piece{Text: PointName(r, id)}), Moves: []scene.Move{{Path: path, To: id}}})
						}
					}
				}
				run := [2]scene.Shape{scene.Line("strap", e.Hold[0], -e.Hold[2], e.Point[0], -e.Point[2]), scene.Line("strap", e.Hold[0], e.Hold[1], e.Point[0], e.Point[1])}
				run[0].Thing, run[1].Thing = t.Path, t.Path
				side, above = append(side, run[0]), append(above, run[1])
			}
			if t.Over {
				across := scene.Line("strap", t.Ends[0].Hold[0], t.Ends[0].Hold[1], t.Ends[1].Hold[0], t.Ends[1].Hold[1])
				across.Thing = t.Path
				above = append(above, across)
			}
		}
	}
	return side, above, hooks
}

// hookNear is how near to a tie point a strap's end hooks in, m.
const hookNear = 0.12

// Wind at a hull or a flat sheet: lift and drag on its area, ½ρv²·C·A (ρ 1.25 kg/m³; lift 0.3
// to 1.0 of the area from above, drag 0.6 to 1.1 of the front's; practice, C).
const (
	airDensity = 1.25
	liftMost   = 1.0
	dragMost   = 1.1
)

// Wind is lift and drag at their high end, kg.
func Wind(length, width, height, speed float64) (lift, drag float64) {
	q := airDensity / 2 * speed * speed / quantity.Gravity
	return q * liftMost * length * width, q * dragMost * width * height
}

// wind holds lift and drag against weight and straps.
func wind(r *rig.Rig, l *Load, f finding.Finding) (finding.Finding, bool) {
	flat := l.Item.Shape == "hull" || l.Item.Lot != nil && l.Item.Top-l.Item.Bottom < sheetThick
	if !flat || r.Outing.Speed == nil {
		return f, false
	}
	v := float64(*r.Outing.Speed)
	lift, drag := Wind(l.Item.Length(), l.Item.Right-l.Item.Left, l.Item.Top-l.Item.Bottom, v)
	// Lift and drag draw the straps up to their limits; it rubs only on what presses it: its
	// weight and what the tighteners left.
	down, pressed, back := l.Mass, l.Mass, 0.0
	for i := range l.Ties {
		t := &l.Ties[i]
		pressed += t.down() * t.Pull
		down += t.down() * t.Limit
		for k, e := range t.Ends {
			back += math.Max(0, -e.Along[0]) * t.bears(k, Vector{1, 0, 0})
		}
	}
	back += l.friction() * math.Max(0, pressed-lift)
	f.Code, f.Title, f.Source = CodeWind, said.Say("Wind at speed"), norms.Practice("lift up to 1.0 of its area, drag up to 1.1 of its front")
	f.Figure, f.Limit = finding.Exactly(quantity.KindMass, lift), finding.Exactly(quantity.KindMass, down)
	name := said.Name(l.Item.Name, "a load")
	f.Says = said.Say("At % the wind lifts % by up to % and pushes % back; % holds it down.", said.Of(quantity.KindSpeed, v), name, said.Mass(lift), said.Mass(drag), said.Mass(down))
	switch {
	case lift > down:
		f.Outcome = finding.Fails
		f.Says = append(f.Says, said.Say(" Straps that take more, or slower.")...)
	case drag > back:
		f.Outcome = finding.Fails
		f.Figure, f.Limit = finding.Exactly(quantity.KindMass, drag), finding.Exactly(quantity.KindMass, back)
		f.Says = append(f.Says, said.Say(" Only % hold it back: a line from its bow forward, or slower.", said.Mass(back))...)
	case lift > 0.7*down:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	return f, true
}
