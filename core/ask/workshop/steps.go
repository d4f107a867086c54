package workshop

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// list gathers steps.
type list struct {
	r     *rig.Rig
	from  plan.BuildBegins
	steps []WorkStep
}

func (l *list) add(s WorkStep) { l.steps = append(l.steps, s) }

// last are those of some ids that are there: what does not exist is not waited for.
func (l *list) last(ids ...string) (out []string) {
	for _, id := range ids {
		if slices.ContainsFunc(l.steps, func(s WorkStep) bool { return s.ID == id }) {
			out = append(out, id)
		}
	}
	return out
}

// contributors add the steps of what the plan has; a new part of a trailer adds its own here.
var contributors = []func(*list){frameSteps, dipSteps, gearSteps, wiringSteps, deckSteps, bodySteps, endSteps}

// beginsOf is what it is made from: as stated, else bars or a kit by the drawn joints, else a trailer that is there.
func beginsOf(r *rig.Rig) plan.BuildBegins {
	if w := r.Trailer.Workshop; w != nil && w.Begins != "" {
		return w.Begins
	}
	if r.Drawn == nil || len(r.Drawn.Bars) == 0 {
		return plan.FromBought
	}
	bolted := 0
	for i := range r.Drawn.Bars {
		if m := &r.Drawn.Bars[i].Member; m.FromJoint == plan.JointBolt && m.ToJoint == plan.JointBolt {
			bolted++
		}
	}
	if 2*bolted > len(r.Drawn.Bars) {
		return plan.FromKit
	}
	return plan.FromBars
}

// frameSteps are those of the frame itself.
func frameSteps(l *list) {
	n := 0
	if l.r.Drawn != nil {
		n = len(l.r.Drawn.Bars)
	}
	members := said.Count(n)
	some := float64(max(4, n))
	switch l.from {
	case plan.FromKit:
		l.add(
			WorkStep{
				ID:      "check-in",
				Says:    said.Say("Lay out all parts, count them, try every bolt in its hole."),
				Minutes: [2]float64{30, 90},
				Why:     "Find a missing or undrilled rail now, not under the half-built trailer.",
			},
		)
		l.add(
			WorkStep{
				ID:    "fit",
				Says:  said.Say("Bolt the frame together, nuts finger-tight."),
				Tool:  "spanners",
				Side:  "down",
				after: l.last("check-in"),
				Minutes: [2]float64{
					10 * some,
					20 * some,
				},
				Why: "Once the bolts are tight you cannot square it; upside down, the axle goes on without lifting.",
			},
		)
		l.add(
			WorkStep{
				ID:      "square",
				Says:    said.Say("Square it: both diagonals alike."),
				after:   l.last("fit"),
				gate:    CodeSquare,
				Minutes: [2]float64{15, 40},
				Tool:    "tape",
				Why:     "The axle hangs on these rails and follows them.",
			},
		)
		l.add(
			WorkStep{
				ID:    "tighten",
				Says:  said.Say("Tighten the frame from the middle outward, in two rounds."),
				Tool:  "spanners",
				Side:  "down",
				after: l.last("square"),
				Minutes: [2]float64{
					4 * some,
					8 * some,
				},
				Torque: frameTorque(l.r),
				Why:    "Each bolt loosens its neighbours a little: the second round catches that.",
			},
		)
	case plan.FromBars:
		l.add(
			WorkStep{
				ID:      "cut",
				Says:    said.Say("Cut % members by the cut list, deburr, mark each.", members),
				Tool:    "saw",
				Minutes: [2]float64{8 * some, 18 * some},
				Why:     "Cut everything of one length at one setting of the saw.",
				Hazard:  "Goggles and ears; zinc or paint ground off where it is welded.",
			},
		)
		l.add(
			WorkStep{
				ID:      "stands",
				Says:    said.Say("Set the stands level, with a straight edge as datum."),
				gate:    CodeLevel,
				Minutes: [2]float64{20, 60},
				Tool:    "level",
				Why:     "What is welded on twisted stands stays twisted.",
			},
		)
		l.add(
			WorkStep{
				ID:    "tack",
				Says:  said.Say("Lay out and tack every joint, opposite corners in turn."),
				Side:  "up",
				Tool:  "welder",
				after: l.last("cut", "stands"),
				Minutes: [2]float64{
					6 * some,
					15 * some,
				},
				Why:    "A tack can still be broken; a seam cannot.",
				Hazard: fire,
			},
		)
		l.add(
			WorkStep{
				ID:      "square",
				Says:    said.Say("Square it again: both diagonals alike."),
				after:   l.last("tack"),
				gate:    CodeSquare,
				Minutes: [2]float64{15, 40},
				Tool:    "tape",
				Why:     "Tacks pull; the seams would fix the error in place.",
			},
		)
		l.add(
			WorkStep{
				ID:    "weld-up",
				Says:  said.Say("Weld what you can reach from above, far apart and in opposite pairs."),
				Side:  "up",
				Tool:  "welder",
				after: l.last("square"),
				Minutes: [2]float64{
					10 * some,
					25 * some,
				},
				Why:    "Heat and pull balance about the middle.",
				Hazard: fire,
			},
		)
		l.add(
			WorkStep{
				ID:    "weld-down",
				Says:  said.Say("Weld the undersides in the same order."),
				Side:  "down",
				Tool:  "welder",
				after: l.last("weld-up"),
				Minutes: [2]float64{
					8 * some,
					20 * some,
				},
				Why:    "The other side pulls it straight again.",
				Hazard: fire,
			},
		)
		l.add(
			WorkStep{
				ID: "welds",
				Says: said.Say(
					"Have a competent welder look at the welds of {drawbar}, hangers and cross members.",
				),
				after:   l.last("weld-down"),
				Minutes: [2]float64{20, 60},
				Why:     "Do it before paint: a crack only shows on bare metal.",
			},
		)
	case plan.FromCamper:
		l.add(
			WorkStep{
				ID:      "strip",
				Says:    said.Say("Strip it to the frame; keep lamps, plates and papers."),
				Tool:    "spanners",
				Minutes: [2]float64{300, 900},
				Why:     "What is on it hides the rust.",
				Hazard:  "Gloves and mask: glass wool, screws, mice. First gas and mains off and out.",
			},
		)
		l.add(
			WorkStep{
				ID: "rust",
				Says: said.Say(
					"Knock along rails, {drawbar}, hangers and axle with a hammer; scrape wherever it sounds dull.",
				),
				after:   l.last("strip"),
				Minutes: [2]float64{40, 120},
				Why:     "A rotten rail ends the plan here, while that is cheap.",
			},
		)
		l.add(
			WorkStep{
				ID:      "weigh",
				Says:    said.Say("Weigh the stripped frame."),
				after:   l.last("strip"),
				Minutes: [2]float64{20, 60},
				Why:     "The payload is worked out from this figure.",
			},
		)
		l.add(
			WorkStep{
				ID:      "square",
				Says:    said.Say("Tape sides and diagonals of what is there."),
				after:   l.last("rust"),
				gate:    CodeSquare,
				Minutes: [2]float64{15, 40},
				Tool:    "tape",
				Why:     "An old knock shows here before the deck shows it.",
			},
		)
	}
}

const fire = "Mask, gloves, leather. Nothing that burns within reach, no plastic tank, no fuel; every closed tube vented. Look again an hour " +
	"later. Zinc and paint off: their smoke is poison."

// frameTorque is that of the frame's bolts; nil where none is stated, or where they are not all alike.
func frameTorque(r *rig.Rig) *finding.Measure {
	if r.Drawn == nil {
		return nil
	}
	torque := 0.0
	for i := range r.Drawn.Bars {
		m := &r.Drawn.Bars[i].Member
		if m.Bolt <= 0 {
			continue
		}
		g, known := norms.BoltOf(m.BoltGrade)
		own := g.TorqueOf(float64(m.Bolt))
		if !known || torque > 0 && math.Abs(own-torque) > 1e-9*torque {
			return nil
		}
		torque = own
	}
	if torque == 0 {
		return nil
	}
	return finding.Exactly(quantity.KindMoment, torque)
}

// frameEnd are the steps after which the frame is one.
func (l *list) frameEnd() []string { return l.last("tighten", "welds", "rust", "square", "dip") }

// gearSteps are axle, wheels, coupling and brakes.
func gearSteps(l *list) {
	if l.from == plan.FromBought {
		return
	}
	t := l.r.Trailer
	ends := l.frameEnd()
	if l.from != plan.FromCamper && l.way() != plan.FinishDip && l.way() != plan.FinishBare {
		l.add(
			WorkStep{
				ID:    "paint-hidden",
				Says:  said.Say("Paint the faces that axle, deck and plates will hide."),
				after: ends,
				Tool:  "brush",
				Minutes: [2]float64{
					40,
					120,
				},
				Dry:    l.dries(),
				Why:    "Rust starts where no brush reaches later.",
				Hazard: "Air; no flame; skin covered.",
			},
		)
	}
	rubber := ""
	if t.Suspension == plan.SpringsTorsion {
		rubber = "No weld near the rubber: only bolts."
	}
	l.add(
		WorkStep{
			ID:      "axle",
			Says:    said.Say("Bolt the axle on, nuts finger-tight."),
			Side:    "down",
			Tool:    "spanners",
			after:   append(l.last("paint-hidden"), ends...),
			Minutes: [2]float64{30, 90},
			Why:     "With the frame upside down nobody has to lie under it.",
			Hazard:  rubber,
		},
	)
	l.add(
		WorkStep{
			ID:      "align",
			Says:    said.Say("Align it from the {coupling} to both spindles."),
			Tool:    "tape",
			after:   l.last("axle"),
			gate:    CodeAxle,
			Minutes: [2]float64{20, 60},
			Why:     "A few millimetres wear out tyres or make it run crooked.",
		},
	)
	l.add(
		WorkStep{
			ID:      "axle-tight",
			Says:    said.Say("Tighten the axle’s bolts in turn; spring eyes so that they still turn."),
			Side:    "down",
			Tool:    "spanners",
			after:   l.last("align"),
			Minutes: [2]float64{15, 40},
			Why:     "Clamped eyes break the spring.",
		},
	)
	l.add(
		WorkStep{
			ID:      "wheels",
			Says:    said.Say("Wheels on, nuts by the axle’s plate, crosswise; again after [50 km]."),
			after:   l.last("axle-tight"),
			Tool:    "wrench",
			Minutes: [2]float64{15, 30},
			Why:     "On its wheels you can move it before it gets heavy.",
		},
	)
	l.add(
		WorkStep{
			ID:      "coupling",
			Says:    said.Say("Bolt the {coupling} on with its own bolts and locking nuts."),
			after:   ends,
			Tool:    "spanners",
			Minutes: [2]float64{20, 45},
			Why:     "Its maker’s bolts and torque are part of its rating.",
		},
	)
	if t.Brakes != "" && t.Brakes != plan.BrakesNone {
		l.add(
			WorkStep{
				ID:      "brakes",
				Says:    said.Say("Brakes: rods or wires, adjust at the wheels first, then at the rod."),
				Side:    "down",
				after:   l.last("axle-tight", "coupling"),
				Tool:    "spanners",
				Minutes: [2]float64{60, 150},
				Why:     "The other way round they drag.",
			},
		)
	}
}

// wiringSteps are cable, lamps and their test.
func wiringSteps(l *list) {
	w := l.r.Trailer.Wiring
	if w == nil || len(w.Lamps) == 0 {
		return
	}
	side := "down"
	if l.from == plan.FromBought { // nobody turns a whole trailer over for that
		side = ""
	}
	after := append(l.last("paint-hidden", "strip"), l.frameEnd()...)
	l.add(
		WorkStep{
			ID:      "cable",
			Says:    said.Say("Run the cable along the frame, grommets where it enters, slack at the plug."),
			Side:    side,
			Tool:    "pliers",
			after:   after,
			Minutes: [2]float64{60, 150},
			Why:     "Under the floor nobody can reach it later.",
		},
	)
	l.add(
		WorkStep{
			ID: "lamps",
			Says: said.Say(
				"% lamps on, joints sealed, earths on bare metal and greased.",
				said.Count(len(w.Lamps)),
			),
			after: l.last("cable"),
			Tool:  "pliers",
			Minutes: [2]float64{
				15 * float64(len(w.Lamps)),
				30 * float64(len(w.Lamps)),
			},
			Why: "Every second fault is an earth through paint.",
		},
	)
	if w.FoldAt != nil {
		l.add(
			WorkStep{
				ID:      "fold",
				Says:    said.Say("Fold it once and look at the cable; then the ties."),
				after:   l.last("cable"),
				Minutes: [2]float64{10, 20},
				Why:     "A cable tied too short tears at the first fold.",
				Hazard:  "Fingers out of the hinge; two people hold it.",
			},
		)
	}
	l.add(
		WorkStep{
			ID:      "test-lamps",
			Says:    said.Say("Test every lamp at the plug before the floor goes on."),
			after:   l.last("lamps", "fold"),
			Tool:    "meter",
			Minutes: [2]float64{15, 30},
			Why:     "A fault is found in minutes now.",
		},
	)
}

// deckSteps are the floor.
func deckSteps(l *list) {
	if l.r.Trailer.Decking == nil {
		return
	}
	l.add(
		WorkStep{
			ID:      "deck-cut",
			Says:    said.Say("Cut boards or sheets, paint or oil their edges and undersides, let them dry."),
			Tool:    "saw",
			Minutes: [2]float64{60, 150},
			Why:     "A cut end soaks up water, and no brush reaches the underside later.",
			Hazard:  "Goggles; dust of treated wood is poison: mask.",
		},
	)
	l.add(
		WorkStep{
			ID:   "deck",
			Says: said.Say("Lay the floor and screw it down."),
			Side: "up",
			Tool: "driver",
			after: append(
				l.last("deck-cut", "test-lamps", "cable", "paint-hidden", "weld-down"),
				l.frameEnd()...),
			Minutes: [2]float64{60, 180},
			Why:     "Wires, paint and welds under it are finished.",
		},
	)
}

// bodySteps are a bed that tips, and bodies on the deck.
func bodySteps(l *list) {
	if l.r.Trailer.Tipping != nil {
		l.add(
			WorkStep{
				ID:    "bed",
				Says:  said.Say("Hang the bed in its hinges; latch, prop and chain before the first lift."),
				Side:  "up",
				after: append(l.last("deck", "wheels"), l.frameEnd()...),
				Minutes: [2]float64{
					60,
					180,
				},
				Why:    "Nobody works under a bed without a prop.",
				Hazard: "Nobody under it, hands off the hinge.",
			},
		)
	}
	for i := range l.r.Items {
		it := &l.r.Items[i]
		if !it.Part || l.r.Plan.Parts[it.ID].Box == nil {
			continue
		}
		l.add(
			WorkStep{
				ID:      "body-" + it.ID,
				Says:    said.Say("Set % on and bolt it down.", said.Name(it.Name, "the body")),
				Side:    "up",
				Tool:    "spanners",
				after:   l.last("deck", "wheels", "bed"),
				Minutes: [2]float64{30, 120},
				Why:     "Last of the heavy parts: it catches wind and hides the deck.",
			},
		)
	}
	if len(l.r.Trailer.TiePoints) > 0 && l.from != plan.FromBought {
		l.add(
			WorkStep{
				ID:    "rings",
				Says:  said.Say("% tie points on, through the frame.", said.Count(len(l.r.Trailer.TiePoints))),
				after: append(l.last("deck"), l.frameEnd()...),
				Tool:  "spanners",
				Minutes: [2]float64{
					8 * float64(len(l.r.Trailer.TiePoints)),
					15 * float64(len(l.r.Trailer.TiePoints)),
				},
				Why: "Fix them through a member, not through the floor alone.",
			},
		)
	}
}

// endSteps are the last.
func endSteps(l *list) {
	if l.from == plan.FromBought {
		return
	}
	all := make([]string, 0, len(l.steps))
	for i := range l.steps {
		all = append(all, l.steps[i].ID)
	}
	l.coats(all)
	l.add(
		WorkStep{
			ID:      "weigh-built",
			Says:    said.Say("Weigh it: whole, and at the {coupling}."),
			after:   []string{"paint"},
			Minutes: [2]float64{30, 90},
			Why:     "From here on the plan uses what was built.",
		},
	)
	l.add(
		WorkStep{
			ID:      "plates",
			Says:    said.Say("Plates and papers, as the authority gives them."),
			after:   []string{"weigh-built"},
			Minutes: [2]float64{30, 120},
			Why:     "The figures come from the scale.",
		},
	)
	l.add(
		WorkStep{
			ID:      "first-drive",
			Says:    said.Say("A short drive empty; feel the hubs, look at nuts, bolts and lamps."),
			after:   []string{"plates"},
			Minutes: [2]float64{30, 60},
			Why:     "What settles, settles in the first hour. Tighten the bolts again after the first loads.",
		},
	)
}
