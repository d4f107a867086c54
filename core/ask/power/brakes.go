package power

import (
	"fmt"
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/circuit"
)

// Codes of the findings on electric brakes.
const (
	CodeBrakeFeed = "power.brake-feed"
	CodeBrakeWire = "power.brake-wire"
	CodeBreakaway = "power.breakaway"
)

// Figures of electric brakes (confidence C, but for the quarter of an hour: 49 CFR 393.43, A).
const (
	magnetOhms  = 3.2  // of one in a drum of 10 or 12 in
	brakeDrop   = 0.05 // of the voltage
	brakeLead   = 0.8  // m of cable before the car
	magnetLead  = 0.8  // m from the axle's middle to a magnet
	holdMinutes = 15.0
)

// breakawayBattery is a small closed lead battery that is emptied once.
var breakawayBattery = norms.Battery{Usable: 0.8, Peukert: 1.25, PerK: 0.01}

// brakes judges what feeds electric brakes, where the wiring is stated.
func brakes(r *rig.Rig) []finding.Finding {
	t := r.Trailer
	w := t.Wiring
	if t.Brakes != plan.BrakesElectric || w == nil {
		return nil
	}
	path := "/trailers/" + r.Scope.Trailer
	base := func(code, title, field string) finding.Finding {
		return finding.Finding{
			Code: code, Stage: Stage, Scope: r.Scope, Gate: finding.GateGo, Title: said.Say(title), Subject: path + field,
			Outcome: finding.Holds, Source: norms.Practice("magnets of 3.0 to 3.3 ohm, 5 % of the voltage"),
		}
	}
	out := []finding.Finding{}
	has := func(plug string) bool {
		return slices.ContainsFunc(norms.Poles[plug], func(p norms.Pole) bool { return p.Feed == norms.FeedBrake })
	}
	f := base(CodeBrakeFeed, "Brakes and plug", "/plug")
	socket := ""
	if r.Vehicle != nil {
		socket = r.Vehicle.Socket
	}
	switch {
	case t.Plug == "":
		f = unknown(f, path+"/plug", said.Say("the trailer's plug"), "Count its pins.")
	case !has(t.Plug):
		f.Outcome = finding.Fails
		f.Says = said.Say("The trailer's plug has no contact for the brake: fit another plug, or do without brakes.")
	case socket != "" && !has(socket):
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"The car's socket has no contact for the brake: it needs a brake controller and a wire for it.",
		)
	default:
		f.Says = said.Say(
			"The plug has a contact for the brake. The car needs a brake controller, set for this trailer.",
		)
	}
	out = append(out, f)
	amps, told := drawn(t, w)
	out = append(out, wired(r, w, base, amps, told))
	return append(out, holds(w, path, base, amps, told))
}

// drawn is what all magnets draw at 12 V, A, and whether their number is stated, as such or by the axles that have
// brakes; brakes without a magnet are none.
func drawn(t *plan.Trailer, w *plan.Wiring) (amps float64, told bool) {
	n := 2 * t.AxleCount()
	if b := t.BrakedAxles; b != nil && *b > 0 {
		n, told = min(n, 2**b), true
	}
	if w.Magnets != nil && *w.Magnets > 0 {
		n, told = *w.Magnets, true
	}
	return float64(n) * nominal / ohmsOf(w), told
}

func ohmsOf(w *plan.Wiring) float64 {
	if w.MagnetOhms != nil && *w.MagnetOhms > 0 {
		return *w.MagnetOhms
	}
	return magnetOhms
}

type baseOf func(code, title, field string) finding.Finding

// wired holds the drop in the brake's wire, and its heat.
func wired(r *rig.Rig, w *plan.Wiring, base baseOf, amps float64, told bool) finding.Finding {
	f := base(CodeBrakeWire, "The brake's wire", "/wiring/brakeWire")
	if r.Axle == nil {
		f.Outcome, f.Says, f.Needs = finding.Unknown, said.Say(
			"The length of the brake wire is not known.",
		), r.Needs
		return f
	}
	long := r.Axle.Nominal + brakeLead + magnetLead
	need := circuit.Copper(2*long, 1, warm) * amps / (brakeDrop * nominal)
	hot, ok := norms.SectionFor(amps, 1)
	mm2 := math.Max(norms.Section(need), hot)
	if w.BrakeWire == nil {
		f = unknown(f, f.Subject, said.Say("the section of the brake's wire"), "On its sheath, or by its gauge.")
		f.Says = said.Say("The magnets draw %: over % the brake wire and its earth need % at least.",
			said.Of(quantity.KindCurrent, amps), said.Length(long), said.Piece{Text: norms.SectionText(mm2)})
		return f
	}
	drop := circuit.Copper(2*long, *w.BrakeWire, warm) * amps
	bears := norms.Ampacity(*w.BrakeWire)
	f.AtMost(quantity.KindVoltage, drop, brakeDrop*nominal)
	f.Says = said.Say("The magnets draw %; % of wire there and back takes % of their voltage.",
		said.Of(quantity.KindCurrent, amps), said.Length(2*long), said.Of(quantity.KindVoltage, drop))
	switch {
	case amps > bears || !ok:
		f.Outcome = finding.Fails
		f.Says = append(
			f.Says,
			said.Say(" The wire is good for %: it burns in a long descent.", said.Of(quantity.KindCurrent, bears))...)
	case f.Outcome == finding.Fails:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom // it brakes less
		f.Says = append(f.Says, said.Say(" The usual limit is %: use % and an earth as thick.",
			said.Of(quantity.KindVoltage, brakeDrop*nominal), said.Piece{Text: norms.SectionText(mm2)})...)
	}
	return rough(f, told)
}

// rough keeps a finding from holding where the number of magnets is not stated.
func rough(f finding.Finding, told bool) finding.Finding {
	if !told {
		if f.Outcome == finding.Holds {
			f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		}
		f.Says = append(f.Says, said.Say(" The magnets are not entered; two an axle are assumed.")...)
	}
	return f
}

// holds asks whether the breakaway's battery holds the brakes on for a quarter of an hour.
func holds(w *plan.Wiring, path string, base baseOf, amps float64, told bool) finding.Finding {
	f := base(CodeBreakaway, "Breakaway", "/wiring/breakaway")
	f.Source = &finding.Source{
		Title:      "49 CFR 393.43",
		Clause:     "(d) brakes held for 15 minutes",
		AsOf:       "2025",
		Confidence: "A",
	}
	if w.Breakaway == nil {
		return unknown(
			f,
			path+"/wiring/breakaway",
			said.Say("the capacity of the breakaway's battery"),
			"On the battery, in A·h.",
		)
	}
	minutes := 0.0
	if amps > 0 {
		minutes = 60 * breakawayBattery.Lasts(*w.Breakaway, amps, 0)
	}
	f.Figure = finding.Exactly(quantity.KindTime, minutes*60)
	f.Limit = finding.Exactly(quantity.KindTime, holdMinutes*60)
	if minutes < holdMinutes {
		f.Outcome = finding.Fails
	}
	f.Says = said.Say("Torn off, the battery holds the brakes for % in frost; % is asked for.",
		said.Of(quantity.KindTime, minutes*60), said.Of(quantity.KindTime, holdMinutes*60))
	if f.Outcome == finding.Fails {
		f.Says = append(
			f.Says,
			said.Say(
				" Fit a larger one, charged over the plug. Pull its pin before each trip: the wheels must lock.",
			)...)
	} else {
		f.Says = append(f.Says, said.Say(" Pull its pin before each trip: the wheels must lock.")...)
	}
	return rough(f, told)
}

// Walk is the first test and adjustment of electric brakes, step by step.
func Walk(r *rig.Rig) []said.Sentence {
	if r.Trailer.Brakes != plan.BrakesElectric || r.Trailer.Wiring == nil {
		return nil
	}
	amps, _ := drawn(r.Trailer, r.Trailer.Wiring)
	return []said.Sentence{
		said.Say(
			"Jack a wheel up, chocks under the others. Turn it forward and tighten the star until it just drags, then back it off until it runs free.",
		),
		said.Say(
			"Measure across each magnet's two wires, unplugged: about %. Much more is a broken one, next to none a short.",
			said.Piece{Text: fmt.Sprintf("%g Ω", ohmsOf(r.Trailer.Wiring))},
		),
		said.Say("Measure from each magnet's wire to the drum's steel: no reading. Any is a chafed wire."),
		said.Say(
			"Plug in, press the controller's lever, meter in the brake's wire: about % with all magnets.",
			said.Of(quantity.KindCurrent, amps),
		),
		said.Say(
			"On an empty level road at walking pace press the lever alone: every wheel brakes, none locks. Set the controller there.",
		),
		said.Say(
			"Brake from 40 km/h or 25 mph ten times, softly, so that the linings bed in; then adjust the stars once more.",
		),
		said.Say(
			"Pull the breakaway's pin with the plug out and try to drive off: it must not roll. Put it back at once.",
		),
		said.Say("If you built or mended the brakes yourself, have someone look at them who does it for a living."),
	}
}
