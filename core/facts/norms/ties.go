package norms

import (
	"math"

	"zygonos/core/lang/quantity"
)

// TieSchool is a set of rules for tying loads down.
type TieSchool struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Bound  string `json:"bound"` // whom it binds
	Source string `json:"source"`
}

// TieSchools lists them.
var TieSchools = []TieSchool{
	{"na", "North American rules", "binds commercial carriers; a private owner takes it as good practice", "49 CFR 393.100–136"},
	{"en", "European standard", "the yardstick of roadside checks; written for heavier vehicles, light ones may see more",
		"EN 12195-1:2010"},
	{"au", "Australian and New Zealand guides", "the load must not come off, whoever is driving",
		"load restraint guides, 0.8/0.5/0.5/0.2 g"},
}

// TieSchoolOf is the one of a plan: its own, or its region's usual.
func TieSchoolOf(own string, region quantity.Region) TieSchool {
	if own == "" {
		own = map[quantity.Region]string{quantity.NorthAmerica: "na", quantity.Australia: "au", quantity.NewZealand: "au"}[region]
	}
	for _, s := range TieSchools {
		if s.ID == own {
			return s
		}
	}
	return TieSchools[1]
}

// Asked is how much a load must withstand in a direction, g (A: EN 12195-1 table 2 for
// roads, 49 CFR 393.102(a); the guides' 0.2 upward).
type Asked struct{ Forward, Rearward, Sideways, Upward float64 }

// Ask is what all schools ask alike.
var Ask = Asked{0.8, 0.5, 0.5, 0.2}

// AskBreaking and AskWorking are what 49 CFR 393.102(a) asks against breaking strength and
// against working load limits, g (A).
var (
	AskBreaking = Asked{0.8, 0.5, 0.5, 0}
	AskWorking  = Asked{0.435, 0.5, 0.25, 0}
)

// HoldDown is the share of the weight that must press it down where it is not contained
// (49 CFR 393.102(b), A).
const HoldDown = 0.2

// Tilt is what EN 12195-1 asks against tipping sideways while straps hold by their
// tightener's pull, g (B).
const Tilt = 0.6

const foot = 0.3048

// LeastTies is the least number of tie-downs (49 CFR 393.110): one for what is 5 ft or
// shorter and 1,100 lb or lighter, two for what is heavier or up to 10 ft, one more for
// each further 10 ft or part of it; blocked in front one for each 10 ft or part. Boundaries
// belong to the lesser number.
func LeastTies(length, mass float64, blocked bool) int {
	tens := int(math.Ceil(length/(10*foot) - 1e-9))
	switch {
	case blocked:
		return max(1, tens)
	case !quantity.Exceeds(length, 5*foot) && !quantity.Exceeds(mass, 1100*float64(pound)):
		return 1
	case tens <= 1:
		return 2
	}
	return 1 + tens
}

// Webbing is the working load limit of unmarked webbing by its width, kg (49 CFR
// 393.108): 1 3/4 in 1,750 lb, 2 in 2,000, 3 in 3,000, 4 in 4,000; zero when narrower.
func Webbing(width float64) float64 {
	for _, w := range [][2]float64{{4, 4000}, {3, 3000}, {2, 2000}, {1.75, 1750}} {
		if width >= w[0]*0.0254*(1-0.02) {
			return w[1] * float64(pound)
		}
	}
	return 0
}

// ChainGrades lists the grades of chain whose limits are known by their size.
var ChainGrades = []string{"43", "70"}

// Chain is the working load limit of a chain of a grade by its link's thickness, kg (49 CFR
// 393.108, A): grade 43 1/4 in 2,600 lb, 5/16 3,900, 3/8 5,400; grade 70 3,150, 4,700, 6,600; zero
// when thinner, or of another grade.
func Chain(grade string, thick float64) float64 {
	for _, c := range []struct{ inches, g43, g70 float64 }{{0.375, 5400, 6600}, {0.3125, 3900, 4700}, {0.25, 2600, 3150}} {
		if thick < c.inches*0.0254*(1-0.02) {
			continue
		}
		return map[string]float64{"43": c.g43, "70": c.g70}[grade] * float64(pound)
	}
	return 0
}

// LinkGrade is a grade of chain that is used as a second link.
type LinkGrade struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	Stress float64 `json:"stress"` // mean, at which it breaks, Pa, over both legs of a link
}

// LinkGrades lists them: a grade's number is a tenth of its stress in MPa (ISO 1834, B).
var LinkGrades = []LinkGrade{
	{"30", "30, general purpose", 300e6},
	{"43", "43, high test", 430e6},
	{"70", "70, transport", 700e6},
	{"80", "80, alloy", 800e6},
}

// ChainStress is a grade's mean stress at break, Pa; zero for an unknown one.
func ChainStress(grade string) float64 {
	for _, g := range LinkGrades {
		if g.ID == grade {
			return g.Stress
		}
	}
	return 0
}

// ChainBreaks is what a chain of a grade and a link's thickness (m) breaks at, N: 2·π·d²/4 of
// its mean stress.
func ChainBreaks(grade string, thick float64) float64 {
	return ChainStress(grade) * math.Pi / 2 * thick * thick
}

// CableBreaks is what a steel wire rope of that thickness (m) breaks at, N: 0.33·d²·1570 MPa
// (EN 12385-4, fibre core, B), less a fifth for sleeves or clips at its ends (C).
func CableBreaks(thick float64) float64 { return 0.8 * 0.33 * 1570e6 * thick * thick }

// Grip is a range of friction.
type Grip struct{ Low, High float64 }

// Grips under a load by what stands on what (EN 12195-1 annex B, swept clean; ranges and
// rubber by practice, C).
var Grips = map[string]map[string]Grip{
	"ply":   {"wheels": {0.5, 0.6}, "box": {0.25, 0.35}, "hull": {0.15, 0.2}, "heap": {0.4, 0.5}},
	"steel": {"wheels": {0.45, 0.55}, "box": {0.2, 0.3}, "hull": {0.12, 0.15}, "heap": {0.35, 0.45}},
	"alu":   {"wheels": {0.45, 0.55}, "box": {0.25, 0.3}, "hull": {0.12, 0.15}, "heap": {0.35, 0.45}},
	"pads":  {"hull": {0.25, 0.35}, "box": {0.25, 0.35}, "wheels": {0.3, 0.4}, "heap": {0.3, 0.4}},
}

// Surface is what lies on what, with its friction.
type Surface struct {
	ID   string  `json:"id"`
	Name string  `json:"name"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
	Sure string  `json:"sure"` // confidence: B as EN 12195-1 annex B has it, C by practice
}

// Surfaces lists them, swept clean; wet and icy ones are stated on their own.
var Surfaces = []Surface{
	{"sawn-ply", "sawn wood on plywood", 0.45, 0.45, "B"},
	{"sawn-alu", "sawn wood on grooved aluminium", 0.40, 0.40, "B"},
	{"sawn-steel", "sawn wood on steel", 0.30, 0.30, "B"},
	{"planed-ply", "planed wood on plywood", 0.30, 0.30, "B"},
	{"planed-alu", "planed wood on aluminium", 0.25, 0.25, "B"},
	{"planed-steel", "planed wood on steel", 0.20, 0.20, "B"},
	{"plastic-ply", "plastic on plywood", 0.20, 0.20, "B"},
	{"plastic-metal", "plastic on aluminium or steel", 0.15, 0.15, "B"},
	{"crate-ply", "steel crate on plywood", 0.45, 0.45, "B"},
	{"crate-alu", "steel crate on aluminium", 0.30, 0.30, "B"},
	{"crate-steel", "steel crate on steel", 0.20, 0.20, "B"},
	{"tyre-ply", "tyres on dry plywood", 0.5, 0.6, "C"},
	{"carpet", "hull on carpeted bunks", 0.3, 0.4, "C"},
	{"foam", "hull on foam pads", 0.25, 0.35, "C"},
	{"pipe", "hull on bare pipe", 0.1, 0.15, "C"},
	{"wet", "anything wet or muddy", 0.1, 0.2, "C"},
	{"ice", "ice, frost or grease", 0.05, 0.1, "C"},
}

// SurfaceOf finds one.
func SurfaceOf(id string) (Surface, bool) {
	for _, s := range Surfaces {
		if s.ID == id {
			return s, true
		}
	}
	return Surface{}, false
}

// MatGrip is that of an anti-slip mat (EN 12195-1 annex B).
const MatGrip = 0.6

// TieHold is how much a tie point of a kind takes, kg, where it has no plate (practice, C).
var TieHold = map[string]Grip{
	"ring-welded": {400, 800},
	"ring-bolted": {300, 600},
	"ring-ply":    {60, 150},
	"eye-bolt":    {150, 400},
	"track":       {200, 400},
	"receiver":    {500, 1500},
	"chain":       {300, 700},
	"rail":        {80, 200},
	"pocket":      {0, 60},
}
