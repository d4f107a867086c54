package review

import (
	"math"

	"zygonos/core/ask/access"
	"zygonos/core/ask/balance"
	"zygonos/core/ask/box"
	"zygonos/core/ask/clearance"
	"zygonos/core/ask/deck"
	"zygonos/core/ask/drawbar"
	"zygonos/core/ask/energy"
	"zygonos/core/ask/finish"
	"zygonos/core/ask/fit"
	"zygonos/core/ask/frame"
	"zygonos/core/ask/gear"
	"zygonos/core/ask/hands"
	"zygonos/core/ask/lashing"
	"zygonos/core/ask/latch"
	"zygonos/core/ask/launch"
	"zygonos/core/ask/papers"
	"zygonos/core/ask/parked"
	"zygonos/core/ask/power"
	"zygonos/core/ask/pump"
	"zygonos/core/ask/rack"
	"zygonos/core/ask/ramp"
	"zygonos/core/ask/secondlink"
	"zygonos/core/ask/shift"
	"zygonos/core/ask/sight"
	"zygonos/core/ask/stance"
	"zygonos/core/ask/sway"
	"zygonos/core/ask/tank"
	"zygonos/core/ask/tip"
	"zygonos/core/ask/towing"
	"zygonos/core/ask/traction"
	"zygonos/core/ask/wiring"
	"zygonos/core/ask/without"
	"zygonos/core/ask/workshop"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// Question is one question put to every rig. It is stated here once: what is made each frame, what
// at rest, what it draws, the ways out that it knows, and what the departure card has of it. All
// but Name, Stage and Live may be nil. What it tells beside its findings (a panel's figures, a
// layer of a drawing) it sets on the report, in a field of its own.
type Question struct {
	Name  string
	Stage string // of its findings, where it breaks off
	// it takes long, or hangs on little that a hand moves elsewhere: live it is asked where its stage is on screen alone
	Slow bool

	Live func(r *rig.Rig, rep *Report) []finding.Finding // each frame while a hand moves
	Rest func(r *rig.Rig) []finding.Finding              // more of them, at rest
	Draw func(r *rig.Rig, rep *Report)                   // what the screen shows beside the answers
	Show func(r *rig.Rig, rep *Report)                   // and what it shows at rest

	Ways  func(r *rig.Rig, f *finding.Finding) []finding.Way // out of one of its findings
	Ticks func(r *rig.Rig) []finding.Tick                    // of the departure card
}

// Questions are all that are put, in the order in which they are asked.
var Questions = []Question{
	{Name: "balance", Stage: balance.Stage, Live: func(r *rig.Rig, rep *Report) []finding.Finding {
		b := balance.Check(r)
		rep.Figures.Window = b.Window
		return b.Findings
	}, Rest: balance.CheckFills},
	{Name: "towing", Stage: "trailer", Live: func(r *rig.Rig, rep *Report) []finding.Finding {
		t := towing.Check(r)
		rep.Chain, rep.Payload, rep.Fills = append(rep.Chain, t.Chain...), t.Payload, append(rep.Fills, t.Fills...)
		return t.Findings
	}, Draw: drawTowing},
	{Name: "second link", Stage: secondlink.Stage, Live: only(secondlink.Check)},
	{Name: "gear", Stage: gear.Stage, Live: only(gear.Check)},
	{Name: "latch", Stage: latch.Stage, Live: only(latch.Check), Ticks: latch.Ticks},
	{Name: "sight", Stage: sight.Stage, Live: only(sight.Check)},
	{Name: "traction", Stage: traction.Stage, Live: only(traction.Check)},
	{Name: "clearance", Stage: balance.Stage, Live: func(r *rig.Rig, _ *Report) []finding.Finding {
		_, fs := clearance.Check(r)
		return fs
	}, Show: func(r *rig.Rig, rep *Report) { rep.Swing = clearance.SwingOf(r) }},
	{Name: "stance", Stage: balance.Stage, Live: only(stance.Check)},
	{Name: "sway", Stage: balance.Stage, Live: only(sway.Check),
		Show: func(r *rig.Rig, rep *Report) { rep.Sway = sway.ChartOf(r) }},
	{Name: "rack", Stage: rack.Stage, Live: func(r *rig.Rig, rep *Report) []finding.Finding {
		built, fs := rack.Check(r)
		rep.Racks = append(rep.Racks, built...)
		if f, ok := rack.Lamps(r); ok {
			fs = append(fs, f)
		}
		return fs
	}, Draw: func(r *rig.Rig, rep *Report) { rep.Schools = rack.Schools(r) }},
	{Name: "launch", Stage: launch.Stage, Live: only(launch.Check)},
	{Name: "deck", Stage: deck.Stage, Live: only(deck.Check)},
	{Name: "access", Stage: access.Stage, Live: only(access.Check)},
	{Name: "frame", Stage: frame.Stage, Slow: true, Live: func(r *rig.Rig, rep *Report) []finding.Finding {
		fs, draw := frame.Check(r)
		rep.drawFrame = draw
		return fs
	}, Draw: func(_ *rig.Rig, rep *Report) {
		if rep.drawFrame != nil {
			rep.Frame = rep.drawFrame()
		}
	}, Rest: frame.Rest, Show: func(r *rig.Rig, rep *Report) { rep.Frame = frame.Whole(r) }, Ways: frame.Ways},
	{Name: "power", Stage: power.Stage, Slow: true, Live: only(power.Check)},
	{Name: "wiring", Stage: wiring.Stage, Slow: true, Live: only(wiring.Check), Rest: wiring.Rest},
	{Name: "tank", Stage: tank.Stage, Slow: true, Live: only(tank.Check)},
	{Name: "workshop", Stage: workshop.Stage, Slow: true, Live: only(workshop.Check)},
	{Name: "finish", Stage: finish.Stage, Slow: true, Live: only(finish.Check)},
	{Name: "energy", Stage: energy.Stage, Slow: true, Live: only(energy.Check)},
	{Name: "papers", Stage: papers.Stage, Slow: true, Live: only(papers.Check)},
	{Name: "box", Stage: box.Stage, Slow: true, Live: only(box.Check)},
	{Name: "pump", Stage: pump.Stage, Slow: true, Live: only(pump.Check)},
	{Name: "tip", Stage: tip.Stage, Slow: true, Live: only(tip.Check), Ticks: tip.Ticks},
	{Name: "drawbar", Stage: rack.Stage, Live: only(drawbar.Check)},
	{
		Name:  "ramp",
		Stage: ramp.Stage,
		Live:  only(ramp.Check),
		Ticks: ramp.Ticks,
		Draw:  func(r *rig.Rig, rep *Report) { rep.Loaders = ramp.LoadersOf(r) },
		Show:  func(r *rig.Rig, rep *Report) { rep.Drive = ramp.DriveOf(r) },
	},
	{Name: "shift", Stage: shift.Stage, Live: only(shift.Check), Ticks: shift.Ticks,
		Draw: func(r *rig.Rig, rep *Report) { rep.Ways = shift.Ways(r) }},
	{Name: "hands", Stage: ramp.Stage, Live: only(hands.Check)},
	{Name: "lashing", Stage: lashing.Stage, Live: only(lashing.Check), Ticks: lashing.Ticks, Draw: drawLashing,
		Rest: func(r *rig.Rig) []finding.Finding {
			fs, _ := lashing.Statics(r)
			return fs
		},
		Show: func(r *rig.Rig, rep *Report) {
			_, rep.Tied = lashing.Statics(r)
			rep.TieSays = lashing.Answer(rep.Findings)
		}},
	{Name: "parked", Stage: parked.Stage, Live: only(parked.Check)},
	{Name: "fit", Stage: "job", Live: func(r *rig.Rig, rep *Report) []finding.Finding {
		wants := fit.Check(r)
		rep.Wants = append(rep.Wants, wants...)
		return fit.Findings(r, wants)
	}, Draw: func(r *rig.Rig, rep *Report) { rep.Without = without.Ways(r) }},
}

// Stages lists the stages whose worst outcome a report tells, in the order of the work.
var Stages = []string{
	"job",
	"vehicle",
	"trailer",
	balance.Stage,
	rack.Stage,
	ramp.Stage,
	lashing.Stage,
	frame.Stage,
	wiring.Stage,
	tip.Stage,
	workshop.Stage,
	finish.Stage,
	"road",
	papers.Stage,
	"log",
	"money",
	"practice",
}

// only is a question that tells findings alone.
func only(check func(*rig.Rig) []finding.Finding) func(*rig.Rig, *Report) []finding.Finding {
	return func(r *rig.Rig, _ *Report) []finding.Finding { return check(r) }
}

// ask puts the questions, each to the same rig; one that breaks off takes no other with it.
func ask(r *rig.Rig, rep *Report) []finding.Finding {
	var out []finding.Finding
	for i := range Questions {
		q := &Questions[i]
		if q.Slow && !rep.shows(q.Stage) {
			continue
		}
		fs := found(r, q.Stage, func(r *rig.Rig) []finding.Finding { return q.Live(r, rep) })
		for k := range fs {
			fs[k].Rest = fs[k].Rest || q.Slow
		}
		out = append(out, fs...)
	}
	return out
}

// rest puts what is asked at rest alone.
func rest(r *rig.Rig) []finding.Finding {
	var out []finding.Finding
	for i := range Questions {
		if q := &Questions[i]; q.Rest != nil {
			out = append(out, found(r, q.Stage, q.Rest)...)
		}
	}
	return out
}

func drawTowing(r *rig.Rig, rep *Report) {
	side := &rep.Views[0]
	for _, s := range towing.FillLayer(r, rep.Fills) {
		side.Shapes = append(side.Shapes, s)
		side.Min[1] = math.Min(side.Min[1], s.Points[0][1]-0.12)
	}
	rep.Bare, rep.FitOut = towing.Sold(r.Plan, r.Scope.Trailer)
	rep.Labels = towing.LabelReadings(r)
}

func drawLashing(r *rig.Rig, rep *Report) {
	straps, above, hooks := lashing.Layer(r)
	rep.Views[0].Shapes = append(rep.Views[0].Shapes, straps...)
	rep.Views[1].Shapes, rep.Views[1].Targets = append(rep.Views[1].Shapes, above...), hooks
}
