package workshop

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// AxleOrder is the sheet for an axle maker or dealer.
type AxleOrder struct {
	Lines []OrderLine    `json:"lines"`
	Needs []finding.Need `json:"needs"`
	Says  said.Sentence  `json:"says"`
}

// OrderLine is a line of it.
type OrderLine struct {
	Name said.Sentence `json:"name"`
	Says said.Sentence `json:"says"`
}

// reserveAxle is how much more than the heaviest load an axle is ordered for (practice, C).
const reserveAxle = 1.15

// axleSizes are ratings that are sold, kg; one over the greatest is named as it is (practice, C).
var axleSizes = []float64{350, 500, 600, 750, 850, 1000, 1200, 1350, 1500, 1800, 2000, 2500, 3000, 3500}

// OrderAxle is the axle that the plan asks for: each axle's rating over its heaviest load, what each side bears, hub face to
// hub face by the track and the wheel's offset, and what else a maker asks.
//
//	hub faces = track + 2·offset,  rating ≥ 1.15·load,  both springs ≥ twice the heavier side
//
// over are the rigs of all outings: the heaviest of them counts.
func OrderAxle(r *rig.Rig, over ...*rig.Rig) *AxleOrder {
	out := &AxleOrder{Lines: []OrderLine{}, Needs: []finding.Need{}}
	if r == nil {
		return out
	}
	t, root := r.Trailer, "/trailers/"+r.Scope.Trailer
	line := func(name string, says said.Sentence) {
		out.Lines = append(out.Lines, OrderLine{said.Say(name), says})
	}
	need := func(path, says, where string) {
		out.Needs = append(out.Needs, finding.Need{Path: root + path, Says: said.Say(says), Where: said.Say(where)})
	}
	n := t.AxleCount()
	line("Axles", said.Sentence{said.Count(n)})
	heaviest, unknown := heaviestOf(append([]*rig.Rig{r}, over...))
	for _, name := range unknown {
		out.Needs = append(out.Needs, finding.Need{
			Path: root + "/couplingToAxle", Says: said.Say("what the axle bears on “%”", name), Where: said.Say("Place its loads and weigh them."),
		})
	}
	if heaviest.axle > 0 {
		least := math.Max(reserveAxle*heaviest.axle/float64(n), 2*heaviest.wheel)
		size := least
		for _, s := range axleSizes {
			if s >= least {
				size = s
				break
			}
		}
		line(
			"Rating of each",
			said.Say(
				"% or more; the heaviest load is %",
				said.Mass(math.Ceil(size)),
				said.Mass(math.Ceil(heaviest.axle/float64(n))),
			),
		)
		if left, right := heaviest.left, heaviest.right; left > 0 && right > 0 {
			line("Per spring", said.Say(
				"left %, right % at most; each spring % or more",
				said.Mass(
					math.Ceil(left/float64(n)),
				),
				said.Mass(math.Ceil(right/float64(n))),
				said.Mass(math.Ceil(size/2)),
			))
			if math.Abs(left-right) > 0.1*(left+right) {
				out.Says = said.Say(
					"The load sits to one side, so the heavier wheel sets the rating. Move it to the middle and a smaller axle will do.",
				)
			}
		}
	}
	if t.Track == nil {
		need("/track", "the track", "Between the {tyre}s’ middles.")
	} else {
		offset, known := 0.0, t.Workshop != nil && t.Workshop.WheelOffset != nil
		if known {
			offset = float64(*t.Workshop.WheelOffset)
		} else {
			need("/workshop/wheelOffset", "the wheel’s offset", "Stamped in the rim, as ET or mm; how far its face stands outside the middle.")
		}
		says := said.Say("% for a track of %", said.Length(float64(t.Track.Value)+2*offset), said.Length(t.Track.Value))
		if !known {
			says = said.Say("the track % and twice the wheel’s offset", said.Length(t.Track.Value))
		}
		line("Hub face to hub face", says)
	}
	springs, told := 0.0, false
	switch {
	case t.Frame != nil && t.Frame.SpringsApart != nil:
		springs, told = float64(*t.Frame.SpringsApart), true
	case t.Gear != nil && t.Gear.Seats != nil:
		springs, told = float64(*t.Gear.Seats), true
	}
	switch {
	case !told && (t.Suspension == plan.SpringsLeaf || t.Suspension == ""):
		need("/frame/springsApart", "the distance of the springs", "Between the middles of the hangers’ rails.")
	case told:
		line("Spring centres", said.Sentence{said.Length(springs)})
	}
	if f := t.Frame; f != nil && f.AxleDrop != nil {
		line("Drop", said.Sentence{said.Length(*f.AxleDrop)})
	}
	line("Brakes", said.Say(map[plan.Brakes]string{
		plan.BrakesNone: "none", plan.BrakesOverrun: "overrun, to suit the {coupling}", plan.BrakesElectric: "electric, 12 V",
		plan.BrakesFitted: "braked", "": "not entered",
	}[t.Brakes]))
	if g := t.Gear; g != nil && g.Studs > 0 && g.Circle != nil {
		line("Wheel bolts", said.Say("% on %", said.Count(g.Studs), said.Length(*g.Circle)))
	} else {
		need("/gear/studs", "how many wheel bolts, on which circle", "Across two opposite holes; with five, by the maker’s table.")
	}
	if w := t.Workshop; w != nil && w.SpindleEnd != "" {
		line("Spindle’s end", said.Sentence{said.Name(w.SpindleEnd, "–")})
	} else {
		line("Spindle’s end", said.Say("castle nut with split pin, or the maker’s unit"))
	}
	if t.WheelDiameter != nil {
		line("Wheel", said.Say("% across", said.Length(*t.WheelDiameter)))
	}
	if r.Plan.Trailers[r.Scope.Trailer].TyreText != "" {
		line("{Tyre}", said.Sentence{said.Name(t.TyreText, "–")})
	}
	if len(out.Needs) > 0 {
		out.Says = append(
			out.Says,
			said.Say(" % missing before you order.", said.Counted(len(out.Needs), "figure is", "figures are"))...)
	} else if len(out.Says) == 0 {
		out.Says = said.Say("Ready to send. The maker’s own drawing comes first.")
	}
	return out
}

// onWheels is the most that an axle group, its heavier wheel and its sides bear, kg.
type onWheels struct{ axle, wheel, left, right float64 }

// heaviestOf is the most over rigs; unknown are the outings of which it is not known.
func heaviestOf(rigs []*rig.Rig) (h onWheels, unknown []said.Piece) {
	seen := map[string]bool{}
	for _, r := range rigs {
		if r == nil || seen[r.Scope.Outing] {
			continue
		}
		seen[r.Scope.Outing] = true
		if r.Bears == nil {
			name := "this outing"
			if r.Outing != nil {
				name = r.Outing.Name
			}
			unknown = append(unknown, said.Name(name, "this outing"))
			continue
		}
		h.axle = math.Max(h.axle, r.Bears.OnAxle.High)
		h.wheel = math.Max(h.wheel, r.HeaviestWheel())
		if r.Bears.Left != nil && r.Bears.Right != nil {
			h.left, h.right = math.Max(h.left, r.Bears.Left.High), math.Max(h.right, r.Bears.Right.High)
		}
	}
	return h, unknown
}
