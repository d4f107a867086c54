// Package access answers whether one gets at wheels, deck and spare wheel: room under the mudguard, the wheel
// off on the road, people on mudguards and steps. Formulas: docs/method/access.md.
package access

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/section"
)

// Stage under which the findings stand.
const Stage = "frame"

// Codes of the findings made here.
const (
	CodeGuard = "access.guard"
	CodeWheel = "access.wheel-off"
	CodeStood = "access.stood"
	CodeStep  = "access.step"
	CodeSpare = "access.spare"
	CodeStick = "access.sticks"
	CodeCab   = "access.cab"
)

// Figures of practice (confidence C).
const (
	room       = 0.010 // m between tyre and mudguard at the spring's stop
	usualMove  = 0.060 // m of spring travel from empty to the stop, where it is not stated
	droops     = 0.040 // m that a wheel hangs down when the trailer is jacked up
	usualTyre  = 0.165 // m, width where no size is stated
	standing   = 100.0 // kg
	stamps     = 1.5   // times, one who steps on it
	reserve    = 1.5   // on yield
	firstStep  = 0.50  // m over the ground at most
	stepMost   = 0.40  // m between steps
	holdFrom   = 0.60  // m of deck from which one needs something to hold on to
	spareLift  = 25.0  // kg for one person
	spareUp    = 1.10  // m over the ground, to where it is lifted
	spareReach = 0.60  // m from the side, reached over
)

// Check judges what is stated of it.
func Check(r *rig.Rig) (out []finding.Finding) {
	a := r.Trailer.Access
	if a != nil {
		for _, ask := range []func(*rig.Rig, *plan.Access) (finding.Finding, bool){guard, wheelOff, stood, step, sticks} {
			if f, ok := ask(r, a); ok {
				out = append(out, f)
			}
		}
	}
	if f, ok := spare(r); ok {
		out = append(out, f)
	}
	return append(out, cabs(r)...)
}

func base(r *rig.Rig, code, title, field string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateCut, Title: said.Say(title),
		Subject: "/trailers/" + r.Scope.Trailer + "/access/" + field, Outcome: finding.Holds,
		Source: norms.Practice("room, steps and hands of practice"),
	}
}

// travel is how far a wheel comes up from where it stands empty to its stop, m, and whether that is stated.
func travel(r *rig.Rig) (m float64, told bool) {
	t := r.Trailer
	switch {
	case t.Travel != nil:
		return float64(*t.Travel), true
	case t.Suspension == plan.SpringsNone:
		return 0, true
	}
	return usualMove, false
}

// Least is the least mudguard over a rig's wheel, m: its radius over the hub and its width.
func Least(r *rig.Rig) (radius, width float64) {
	up, _ := travel(r)
	return r.WheelRadius() + up + room, tyreWide(r)
}

func tyreWide(r *rig.Rig) float64 {
	if w := r.Tyre().Width; w != nil {
		return float64(*w)
	}
	return usualTyre
}

// guard holds a mudguard's radius against tyre and travel, and its width against the tyre's.
func guard(r *rig.Rig, a *plan.Access) (finding.Finding, bool) {
	f := base(r, CodeGuard, "Room under the {mudguard}", "guardRadius")
	if a.GuardRadius == nil {
		if a.GuardWide == nil && a.GuardSkirt == nil && !a.Stood {
			return f, false
		}
		radius, wide := Least(r)
		f.Outcome = finding.Unknown
		f.Says = said.Say(
			"A {mudguard} here wants % over the hub and % of width at least.",
			said.Length(radius),
			said.Length(wide),
		)
		f.Needs = []finding.Need{{
			Path: f.Subject, Says: said.Say("the {mudguard}'s inside over the hub"),
			Where: said.Say("From the hub's middle straight up to the inside of the guard, empty."),
		}}
		return f, true
	}
	up, told := travel(r)
	clear := float64(*a.GuardRadius) - r.WheelRadius() - up
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, clear), finding.Exactly(quantity.KindLength, room)
	if wide := tyreWide(r); a.GuardWide != nil && float64(*a.GuardWide) < wide-1e-6 {
		f.Outcome, f.Subject = finding.Fails, "/trailers/"+r.Scope.Trailer+"/access/guardWide"
		f.Says = said.Say(
			"The {mudguard} is % wide and the {tyre} %: the tread must lie under it. Check your local code.",
			said.Length(*a.GuardWide),
			said.Length(wide),
		)
		return f, true
	}
	switch {
	case clear < 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"At the spring's stop the {tyre} goes % into the {mudguard}. It wants % over the hub at least.",
			said.Length(-clear),
			said.Length(r.WheelRadius()+up+room),
		)
	case clear < room:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("Only % between {tyre} and {mudguard} at the spring's stop.", said.Length(clear))
	default:
		f.Says = said.Say("% between {tyre} and {mudguard} at the spring's stop.", said.Length(clear))
	}
	if !told {
		if f.Outcome == finding.Holds {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		}
		f.Says = append(f.Says, said.Say(" The travel is not entered; % is assumed.", said.Length(up))...)
	}
	return f, true
}

// wheelOff asks whether the wheel comes off outward under the mudguard's skirt, the trailer jacked up: its top
// then lies under the guard's by what is between them and by what the wheel hangs down.
func wheelOff(r *rig.Rig, a *plan.Access) (finding.Finding, bool) {
	f := base(r, CodeWheel, "Wheel off on the road", "guardSkirt")
	if a.GuardRadius == nil || a.GuardSkirt == nil {
		return f, false
	}
	hangs := droops
	if r.Trailer.Suspension == plan.SpringsNone {
		hangs = 0
	}
	left := float64(*a.GuardRadius) - r.WheelRadius() + hangs - float64(*a.GuardSkirt)
	f.Figure, f.Limit = finding.Exactly(quantity.KindLength, left), finding.Exactly(quantity.KindLength, 0.0)
	if left < 0 {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The wheel is % short of coming out under the skirt, so the {mudguard} must come off first. Carry the spanner for it.",
			said.Length(-left),
		)
		return f, true
	}
	f.Says = said.Say("Jacked up, the wheel clears the skirt by %.", said.Length(left))
	return f, true
}

// stood judges a mudguard that people stand on: one on its outer edge, stepping on, over the brackets.
func stood(r *rig.Rig, a *plan.Access) (finding.Finding, bool) {
	f := base(r, CodeStood, "Standing on the {mudguard}", "stood")
	if !a.Stood {
		return f, false
	}
	path := "/trailers/" + r.Scope.Trailer + "/access/"
	need := func(field, says, where string) (finding.Finding, bool) {
		f.Outcome, f.Subject = finding.Unknown, path+field
		f.Says = said.Say("Whether the {mudguard} bears a person is not known.")
		f.Needs = []finding.Need{{Path: f.Subject, Says: said.Say(says), Where: said.Say(where)}}
		return f, true
	}
	if a.GuardWide == nil {
		return need("guardWide", "the width of the {mudguard}", "Measure it.")
	}
	if a.Brackets < 1 || a.Bracket == (plan.Profile{}) {
		return need(
			"bracket",
			"what holds the {mudguard}",
			"Measure its brackets; a guard of plastic or thin tin carries nobody.",
		)
	}
	s, err := section.Of(parts.SizeOf(a.Bracket))
	if err != nil {
		f.Outcome, f.Subject = finding.Fails, path+"bracket"
		f.Says = said.Say("The bracket's section makes no sense: " + err.Error() + ". Enter its sizes again.")
		return f, true
	}
	stock, _ := catalogue.StockOf(a.Bracket.Material)
	// one foot may stand over one bracket
	moment := standing * stamps * quantity.Gravity * float64(*a.GuardWide)
	f.AtMost(quantity.KindStress, moment/s.Wy, stock.Yield/reserve)
	f.Says = said.Say("% stepping on its outer edge uses % of a bracket's strength.",
		said.Mass(standing), said.Share(math.Round(100*moment/s.Wy/(stock.Yield/reserve))/100))
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Deeper brackets, or a step beside it.")...)
	}
	return f, true
}

// step judges the way up on the deck.
func step(r *rig.Rig, a *plan.Access) (finding.Finding, bool) {
	f := base(r, CodeStep, "Steps up to the deck", "stepUp")
	if a.StepUp == nil || r.Trailer.DeckHeight == nil {
		return f, false
	}
	up, deck := float64(*a.StepUp), float64(r.Trailer.DeckHeight.Value)
	rise := deck - up
	if a.StepApart != nil && *a.StepApart > 0 && rise > 0 {
		n := math.Max(1, math.Round(rise/float64(*a.StepApart)))
		rise = math.Max(float64(*a.StepApart), rise-(n-1)*float64(*a.StepApart))
	}
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindLength,
		math.Max(up, rise),
	), finding.Exactly(
		quantity.KindLength,
		firstStep,
	)
	switch {
	case up > firstStep+1e-9:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("The lowest step is % up; the usual limit is %.", said.Length(up), said.Length(firstStep))
	case rise > stepMost+1e-9:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"One step rises %; the usual limit is %. Add a step.",
			said.Length(rise),
			said.Length(stepMost),
		)
	case deck > holdFrom && !a.Handhold:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say(
			"The deck is % up and there is nothing to hold on to: a handle at breast height.",
			said.Length(deck),
		)
	default:
		f.Says = said.Say("Steps of % at most up to the deck.", said.Length(math.Max(up, rise)))
	}
	return f, true
}

// spare looks at where the spare wheel is: its weight against one person's lift, how high and how far in.
func spare(r *rig.Rig) (finding.Finding, bool) {
	f := base(r, CodeSpare, "The spare wheel's place", "")
	f.Gate = ""
	for i := range r.Items {
		it := &r.Items[i]
		if !it.Part || r.Plan.Parts[it.ID].Kind != "spare" || it.Mass == nil {
			continue
		}
		f.Subject = it.Path
		mass := it.Mass.High
		half := r.DeckWidth() / 2
		reach := math.Max(0, math.Min(half-it.Right, half+it.Left))
		f.Figure = finding.Exactly(quantity.KindMass, mass)
		ball := 0.0
		if r.Axle != nil && r.Axle.Nominal > 0 {
			ball = it.Mass.Nominal * (r.Axle.Nominal - it.X) / r.Axle.Nominal
		}
		front, tail := r.Deck()
		switch {
		case mass > spareLift:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say(
				"The spare wheel weighs %: more than % is a lift for two.",
				said.Mass(mass),
				said.Mass(spareLift),
			)
		case it.Top > spareUp:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say(
				"The spare wheel has to be lifted to %: lower is easier on the back.",
				said.Length(it.Top),
			)
		case reach > spareReach && it.X > front && it.X < tail:
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say(
				"The spare wheel is % in from the side: with a load on, you cannot get at it.",
				said.Length(reach),
			)
		default:
			f.Says = said.Say("The spare wheel, %, can be reached from outside.", said.Mass(mass))
		}
		f.Says = append(f.Says, said.Say(" It brings % to the ball.", said.Mass(ball))...)
		return f, true
	}
	return f, false
}
