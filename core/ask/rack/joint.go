package rack

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/sums/joint"
	"zygonos/core/sums/statics"
)

// CodeJoint is the code of the finding on how bars are fastened to posts.
const CodeJoint = "rack.joint"

// Figures of practice (confidence C).
const (
	bounceUp    = 0.2   // g that lifts a hull off its bar
	nailSteel   = 600e6 // Pa
	screwSteel  = 400e6
	boltSteel   = 400e6 // grade not stated: 4.6
	rivetShear  = 110e6 // of an aluminium blind rivet's full area
	softDensity = 310.0 // kg/m³, C16 (EN 338)
)

// busiestPost is the most that a post bears of a bar's hulls, kg: what the frame bears of each, shared
// by levers over the posts of a stiff bar.
func busiestPost(hulls []Hull, tier string, frame int, posts []float64) float64 {
	on := make([]float64, len(posts))
	for _, h := range hulls {
		if h.Tier != tier {
			continue
		}
		for i, v := range statics.Shares(h.Frames[frame], h.Aside, posts) {
			on[i] += v
		}
	}
	most := 0.0
	for _, v := range on {
		most = max(most, math.Abs(v))
	}
	return most
}

// pulls is what acts on the busiest joint of bar and post, N: across its fastener and along it. A bar
// on the post's end is pushed along the trailer and lifts; one at its side also hangs by it.
func pulls(rk *plan.Rack, hulls []Hull, shock float64) (across, along float64) {
	most := 0.0
	for tier := range rk.Tiers {
		for k := range parts.FramesAt(rk) {
			most = max(most, busiestPost(hulls, tier, k, parts.PostsAt(rk)))
		}
	}
	n := most * quantity.Gravity
	if rk.Joint.EndGrain {
		return forward * n, bounceUp * n
	}
	return shock * n, forward * n
}

// joined judges the fasteners between bars and posts.
func joined(
	base func(string, string) finding.Finding,
	rk *plan.Rack,
	hulls []Hull,
	shock float64,
	path string,
) (f finding.Finding, ok bool) {
	j := rk.Joint
	if j == nil || j.With == "" {
		return f, false
	}
	f = base(CodeJoint, "Bars to posts")
	f.Source = &finding.Source{
		Title:      "EN 1995-1-1",
		Clause:     "8.2 to 8.7, k_mod 0.9, γ_M 1.3",
		AsOf:       norms.AsOf,
		Confidence: "A",
	}
	post, _ := catalogue.StockOf(rk.Post.Material)
	across, along := pulls(rk, hulls, shock)
	n := float64(max(1, j.Count))
	if j.With == plan.WithClamps {
		f.Outcome = finding.Unknown
		f.Says = said.Say(
			"What a clamp holds by friction is not worked out: the busiest one is pulled with %. Bolt or pin it through.",
			said.Of(quantity.KindForce, math.Hypot(across, along)),
		)
		f.Needs = []finding.Need{
			{
				Path:  path + "/rack/joint/with",
				Says:  said.Say("a bolt or a pin in place of the clamp"),
				Where: said.Say("Drill through both."),
			},
		}
		return f, true
	}
	if j.Diameter <= 0 {
		f.Outcome, f.Says = finding.Unknown, said.Say("What holds bars to posts is not known.")
		f.Needs = []finding.Need{
			{
				Path:  path + "/rack/joint/diameter",
				Says:  said.Say("the fasteners' diameter"),
				Where: said.Say("Calliper one."),
			},
		}
		return f, true
	}
	d := float64(j.Diameter)
	var shear, draw float64
	if j.With == plan.WithRivets {
		f.Source = norms.Practice("aluminium blind rivets, 110 MPa on their area")
		wall := float64(min(rk.Bar.Wall, rk.Post.Wall))
		bar, _ := catalogue.StockOf(rk.Bar.Material)
		shear = math.Min(rivetShear*math.Pi/4*d*d, 1.5*math.Min(bar.Yield, post.Yield)*d*wall) / reserve
		draw = shear / 2
	} else {
		of, steel := joint.Fastener(j.With), map[plan.JointWith]float64{plan.WithNails: nailSteel, plan.WithScrews: screwSteel, plan.WithBolts: boltSteel}[j.With]
		t := joint.Timber{Thick: float64(min(thick(rk.Bar), thick(rk.Post))), Density: softDensity}
		shear = joint.Shear(of, d, steel, t, j.EndGrain) * joint.Design
		draw = joint.Withdrawal(of, d, float64(j.Length), softDensity, float64(j.Washer), j.EndGrain) * joint.Design
		if !post.Timber {
			f.Outcome, f.Says = finding.Unknown, said.Say("Nails, screws and coach bolts are judged in timber only: these posts are of %.", said.Piece{Text: post.Name})
			f.Needs = []finding.Need{{Path: path + "/rack/post/material", Says: said.Say("what the posts are made of"), Where: said.Say("In the rack's fields.")}}
			return f, true
		}
	}
	shear, draw = n*shear, n*draw
	used := 0.0
	switch {
	case along > 0 && draw <= 0 && !j.EndGrain:
		f.Outcome, f.Says = finding.Unknown, said.Say("How deep the fasteners go into the post is not known.")
		f.Needs = []finding.Need{
			{
				Path:  path + "/rack/joint/length",
				Says:  said.Say("how deep they go into the post, or the washer"),
				Where: said.Say("Their length less the thickness of the bar."),
			},
		}
		return f, true
	case draw <= 0: // end grain: nothing that counts along it
		used = across / shear
	case j.With == plan.WithNails:
		used = across/shear + along/draw // (8.27)
	default:
		used = math.Hypot(across/shear, along/draw) // (8.28)
	}
	f.AtMost(quantity.KindShare, used, 1)
	f.Says = said.Say("The joints of bars and posts are loaded to %: % across and % along the fasteners at the busiest post.",
		said.Share(used), said.Of(quantity.KindForce, across), said.Of(quantity.KindForce, along))
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use more or thicker ones, or bolts through with washers.")...)
	}
	if j.EndGrain && j.With != plan.WithBolts {
		if f.Outcome == finding.Holds {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		}
		f.Says = append(
			f.Says,
			said.Say(
				" Nothing holds in end grain along its axis: a bounce pulls it out. Bolt through the side, with washers, or use a steel strap.",
			)...)
	}
	return f, true
}

// thick is how much wood a fastener goes through.
func thick(p plan.Profile) quantity.Length {
	if p.Width > 0 {
		return min(p.Width, p.Height)
	}
	return p.Height
}
