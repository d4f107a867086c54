package begin

import (
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// FirstAnswers are what a first run asks: each may be left out.
type FirstAnswers struct {
	Region quantity.Region `json:"region"`
	Units  quantity.System `json:"units"`
	Name   string          `json:"name,omitempty"` // of the plan
	Loads  []FirstLoad     `json:"loads"`
	// the label's number, and what it counts
	Label  *quantity.Mass   `json:"label,omitempty"`
	Counts plan.Counts      `json:"counts,omitempty"`
	Kind   string           `json:"kind,omitempty"`  // of trailer
	Axle   *quantity.Length `json:"axle,omitempty"`  // coupling to axle
	Front  *quantity.Length `json:"front,omitempty"` // coupling to deck
	Deck   *quantity.Length `json:"deck,omitempty"`
	Width  *quantity.Length `json:"width,omitempty"`
	Tow    *quantity.Mass   `json:"tow,omitempty"`
	Brakes plan.Brakes      `json:"brakes,omitempty"`
	Ball   *quantity.Mass   `json:"ball,omitempty"`  // the car's limit
	Scale  *quantity.Mass   `json:"scale,omitempty"` // under the empty trailer's coupling
}

// FirstLoad is one thing, or several alike, with the weight of each.
type FirstLoad struct {
	Name     string         `json:"name"`
	Kind     string         `json:"kind,omitempty"`
	Material string         `json:"material,omitempty"` // of a heap: key into catalogue.Materials
	Count    int            `json:"count"`
	Weight   *quantity.Mass `json:"weight,omitempty"`
	// of what was typed: ± so much, or a share
	PlusMinus *quantity.Mass `json:"plusMinus,omitempty"`
	Relative  *float64       `json:"relative,omitempty"`
}

// MostFirst is how many loads a first run places; what is more is a Refusal.
const MostFirst = 100

// mostAlike is how many of a kind are counted: bricks come by the thousand.
const mostAlike = 100_000

// First is the plan of a first run's answers. Its loads are left to the app to place. Several alike
// of a kind that lies together, bags, boards, sheets, loose material, are one load: it weighs their
// number times one, and so much is its doubt, for what one is off, all are off.
func First(a *FirstAnswers) (*plan.Plan, error) {
	car := plan.TowVehicle{Order: 1, Name: "Car", BallLimit: a.Ball, TowBraked: a.Tow}
	if a.Brakes == plan.BrakesNone {
		car.TowBraked, car.TowUnbraked = nil, a.Tow
	}
	trailer := plan.Trailer{
		Order: 1, Name: "Trailer", Kind: a.Kind, Brakes: a.Brakes,
		CouplingToAxle: taped(a.Axle), CouplingToDeck: taped(a.Front),
		DeckLength: taped(a.Deck), DeckWidth: taped(a.Width),
	}
	if a.Label != nil {
		trailer.Label = &plan.Rating{Value: *a.Label, Counts: a.Counts}
		if a.Counts == "" {
			trailer.Label.Counts = plan.CountsUnsure
		}
	}
	if a.Scale != nil {
		trailer.Empty.Ball = &plan.Reading{Mass: *a.Scale}
	}
	loads, err := firstLoads(a.Loads)
	if err != nil {
		return nil, err
	}
	placements := make(map[string]plan.Placement, len(loads))
	for id := range loads {
		placements[id] = plan.Placement{On: plan.OnAny}
	}
	return &plan.Plan{
		Format: plan.Format, Version: plan.Version, Name: firstName(a),
		Region: a.Region, Units: a.Units, Chosen: "trailer",
		Loads:       loads,
		TowVehicles: map[string]plan.TowVehicle{"car": car},
		Trailers:    map[string]plan.Trailer{"trailer": trailer},
		Parts:       map[string]plan.Part{},
		Outings: map[string]plan.Outing{"first": {
			Order: 1, Name: "First outing", Vehicle: "car",
			Layouts: map[string]plan.Layout{"trailer": {Placements: placements}},
		}},
	}, nil
}

// firstLoads are the loads by their ids, load-1 and on.
func firstLoads(told []FirstLoad) (map[string]plan.Load, error) {
	many := 0
	for i := range told {
		if l := &told[i]; l.Count > mostAlike {
			return nil, Refusal(fmt.Sprintf("How many: %d is more than %d, which is the limit.",
				l.Count, mostAlike))
		} else if m := l.mass(); m != nil &&
			!(quantity.Finite(float64(m.Value)) && (m.PlusMinus == nil || quantity.Finite(float64(*m.PlusMinus)))) {
			return nil, Refusal("Weight of each: nothing weighs that much.")
		}
		many += told[i].loads()
	}
	if many > MostFirst {
		return nil, Refusal(fmt.Sprintf("How many: %d is too many to begin with; the limit is %d. "+
			"Things that lie together count as one load.", many, MostFirst))
	}
	loads := make(map[string]plan.Load, many)
	for i := range told {
		l := &told[i]
		for k := range l.loads() {
			n := len(loads) + 1
			loads[fmt.Sprintf("load-%d", n)] = plan.Load{
				Order: n, Name: l.called(k + 1), Kind: l.Kind, Mass: l.mass(), Bulk: l.bulk(),
			}
		}
	}
	return loads, nil
}

// count is how many there are: one at least.
func (l *FirstLoad) count() int { return max(1, l.Count) }

// together reports whether several of it are one load.
func (l *FirstLoad) together() bool {
	k, _ := catalogue.LoadOf(l.Kind)
	return k.Pack
}

// loads is how many loads it makes.
func (l *FirstLoad) loads() int {
	if l.together() {
		return 1
	}
	return l.count()
}

// called is the name of the nth: of several in one load all of them, of several loads one with its
// number.
func (l *FirstLoad) called(n int) string {
	name := strings.TrimSpace(l.Name)
	switch {
	case name == "" && l.together() && l.count() > 1:
		return fmt.Sprintf("%d things", l.count())
	case name == "":
		name = "Load"
	}
	switch {
	case l.count() == 1 || l.Kind == "heap":
		return name
	case l.together():
		return fmt.Sprintf("%d %s", l.count(), small(name))
	default:
		return fmt.Sprintf("%s %d", single(name), n)
	}
}

// mass is what one load weighs: m times the number that lies in it, and so its doubt.
func (l *FirstLoad) mass() *plan.MassEstimate {
	if l.Weight == nil {
		return nil
	}
	times := quantity.Mass(1)
	if l.together() {
		times = quantity.Mass(l.count())
	}
	m := &plan.MassEstimate{Value: *l.Weight * times, Relative: l.Relative, How: plan.Guessed}
	if l.PlusMinus != nil {
		doubt := *l.PlusMinus * times
		m.PlusMinus = &doubt
	}
	return m
}

// bulk is of a heap: the material by its weight where that is stated, else level with the sides.
func (l *FirstLoad) bulk() *plan.Bulk {
	if l.Kind != "heap" {
		return nil
	}
	b := &plan.Bulk{Material: l.Material, By: plan.ByLevel}
	if b.Material == "" {
		b.Material = "gravel"
	}
	if l.Weight != nil {
		b.By = plan.ByMass
	}
	return b
}

// firstName is the plan's: its owner's, or by the first load.
func firstName(a *FirstAnswers) string {
	if name := strings.TrimSpace(a.Name); name != "" {
		return name
	}
	name := "load"
	if len(a.Loads) > 0 && strings.TrimSpace(a.Loads[0].Name) != "" {
		name = strings.TrimSpace(a.Loads[0].Name)
	}
	r, n := utf8.DecodeRuneInString(name)
	return string(unicode.ToUpper(r)) + name[n:] + " on the trailer"
}

// small is a name inside a sentence: its first letter small, unless the next is a capital too.
func small(name string) string {
	r, n := utf8.DecodeRuneInString(name)
	if next, _ := utf8.DecodeRuneInString(name[n:]); unicode.IsUpper(next) || !unicode.IsLetter(next) {
		return name
	}
	return string(unicode.ToLower(r)) + name[n:]
}

// single is the name of one of several that were named together: "fishing hulls" are each a
// fishing hull. Words under four letters and those in -ss and -us stay.
func single(name string) string {
	cut := strings.LastIndexFunc(name, func(r rune) bool { return !unicode.IsLetter(r) }) + 1
	word := strings.ToLower(name[cut:])
	ends := func(with ...string) bool {
		return slices.ContainsFunc(with, func(w string) bool { return strings.HasSuffix(word, w) })
	}
	switch {
	case len(word) < 4 || !ends("s") || ends("ss", "us"):
		return name
	case ends("ies"):
		return name[:len(name)-3] + "y"
	case ends("ches", "shes", "sses", "xes"):
		return name[:len(name)-2]
	}
	return name[:len(name)-1]
}

// taped is a length from a tape; nil stays nil.
func taped(v *quantity.Length) *plan.LengthEstimate {
	if v == nil {
		return nil
	}
	return &plan.LengthEstimate{Value: *v, How: plan.Weighed}
}
