package lashing

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
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
		t := Tied{
			Load:    l.Item.Path,
			Name:    l.Item.Name,
			Grip:    l.friction(),
			Straps:  []TiedStrap{},
			Schools: []SchoolVerdict{},
			Points:  []PointOf{},
		}
		for _, id := range append(OnBars(r, l.Item.ID), plan.Ordered(r.Trailer.TiePoints, func(t plan.TiePoint) int { return t.Order })...) {
			h := holdAt(r, id, Vector{math.Sqrt2 / 2, 0, -math.Sqrt2 / 2})
			says := said.Say("% at 45°", said.Mass(h.Low))
			switch {
			case h.High <= 0:
				says = said.Say("not known: choose its kind, or enter what its plate says")
			case h.High > h.Low:
				says = said.Say(
					"% to % at 45°; gives way first: %",
					said.Mass(h.Low),
					said.Mass(h.High),
					said.Piece{Text: h.Gives},
				)
			}
			t.Points = append(t.Points, PointOf{id, PointName(r, id), says})
		}
		for k := range l.Ties {
			x := &l.Ties[k]
			t.Straps = append(
				t.Straps,
				TiedStrap{
					x.Path,
					x.Name,
					x.Over,
					finding.Exactly(quantity.KindMass, x.Limit),
					x.Weak,
					finding.Exactly(quantity.KindLength, x.Long),
					finding.Exactly(quantity.KindAngle, math.Asin(math.Min(1, math.Abs(x.Ends[0].Along[2])))),
					finding.Exactly(quantity.KindMass, x.Pull),
					x.Eased > 0,
				},
			)
		}
		for _, s := range norms.TieSchools {
			v := judge(s.ID, l)
			if math.IsInf(v.Has, 0) {
				v.Has = 0
			}
			t.Schools = append(
				t.Schools,
				SchoolVerdict{
					s.ID,
					s.Name,
					v.Holds() && len(l.Ties) > 0,
					finding.Exactly(quantity.KindMass, v.Has),
					finding.Exactly(quantity.KindMass, v.Needs),
					v.Count,
					v.Least,
					s.Bound,
					s.Source,
					v.Direction,
					s.ID == school.ID,
				},
			)
		}
		if v := Performance(l); len(l.Ties) > 0 {
			t.Schools = append(
				t.Schools,
				SchoolVerdict{
					ID:     "na-g",
					Name:   "North America in g",
					Holds:  v.Holds(),
					Has:    finding.Exactly(quantity.KindMass, v.Has),
					Needs:  finding.Exactly(quantity.KindMass, v.Needs),
					Bound:  "what meets the rules above is taken to meet it",
					Source: "49 CFR 393.102",
					Says:   v.Direction,
				},
			)
		}
		if len(l.Ties) > 0 && len(l.Broken) == 0 {
			f, bars, weak := balance(r, l)
			out, t.Bars, t.Weak = append(out, f), bars, weak
		}
		tied = append(tied, t)
	}
	return out, tied
}

// heavy is the load at the most that it may weigh; itself where that is known.
func (l *Load) heavy() *Load {
	m := l.Item.Mass
	if m == nil || !(m.High > m.Nominal) || !(m.Nominal > 0) {
		return l
	}
	most := *l
	most.Mass *= m.High / m.Nominal
	return &most
}

// balance judges one load by the programme, gives its bars and the path of the strap that gives first.
func balance(r *rig.Rig, l *Load) (finding.Finding, []GBar, string) {
	f := finding.Finding{
		Code:    CodeStatics,
		Stage:   Stage,
		Scope:   r.Scope,
		Gate:    finding.GateGo,
		Subject: l.Item.Path,
		Title:   said.Say("Balance of forces"),
		Outcome: finding.Holds,
		Source: &finding.Source{
			Title:      "Statics",
			Clause:     "0.8 g forward, 0.5 rearward and sideways, 0.2 upward",
			AsOf:       norms.AsOf,
			Confidence: "B",
		},
	}
	name := said.Name(l.Item.Name, "a load")
	var bars []GBar
	worst, at, weak := math.Inf(1), -1, ""
	for k, d := range Directions {
		h, err := Hold(l, d.Push, l.friction())
		if err != nil {
			f.Outcome, f.Says = finding.Unknown, said.Say(
				"Whether % holds % is not known: the sum found no answer.",
				name,
				said.Piece{Text: d.Name},
			)
			f.Needs = []finding.Need{
				{Path: l.Item.Path, Says: said.Say("another way to tie it"), Where: said.Say("Move a strap.")},
			}
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
	f.Says = said.Say(
		"% stays put up to % of its weight "+Directions[at].Name+", % asked; "+gives+".",
		name,
		said.Share(b.Has),
		said.Share(b.Asked),
	)
	switch {
	case worst < 1-1e-9:
		f.Outcome = finding.Fails
		ways := Improve(r, l, at)
		advice := advise(
			ways,
			&f,
			quantity.KindShare,
			func(w Better) said.Sentence { return said.Say("%", said.Share(w.Has)) },
		)
		if advice == nil {
			advice = said.Say(
				[...]string{" Add a strap that pulls back and down.", " Add a strap that pulls forward and down.", " Add a strap across, low and to the right.", " Add a strap across, low and to the left.", " Add a strap that pulls straight down."}[at],
			)
		}
		f.Says = append(f.Says, advice...)
	case !ByStatics(l.heavy()):
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" At %, which it may weigh, it does not stay: weigh it.", said.Mass(l.heavy().Mass))...)
		f.Needs = []finding.Need{
			{Path: l.Item.Path + "/mass", Says: said.Say("the weight of %", name), Where: said.Say("Weigh it.")},
		}
	case worst < 1.1:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	f.HasWork, f.Work = true, func() []finding.Step {
		return []finding.Step{
			{
				Symbol:  "λ",
				Says:    said.Say("the most, %", said.Piece{Text: Directions[at].Name}),
				Formula: "max λ: Σ forces = 0, Σ moments = 0, |f| ≤ μN, 0 ≤ T ≤ limit",
				Result:  f.Figure,
				Source:  f.Source,
				Terms: []finding.StepTerm{
					{
						Symbol:  "m",
						Says:    said.Say("the load"),
						Measure: finding.Exactly(quantity.KindMass, l.Mass),
						How:     "computed",
					},
					{
						Symbol:  "μ",
						Says:    said.Say("friction, the low end"),
						Measure: finding.Exactly(quantity.KindShare, l.friction()),
						How:     "typical",
					}},
			},
		}
	}
	return f, bars, weak
}
