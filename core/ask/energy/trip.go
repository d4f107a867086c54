package energy

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Trip is what a drive takes.
type Trip struct {
	Says   said.Sentence    `json:"says"`
	Home   said.Sentence    `json:"home,omitempty"` // whether tank or battery lasts
	Needs  []finding.Need   `json:"needs"`
	Far    *finding.Measure `json:"far,omitempty"`   // out, and home where one comes home
	Whole  *finding.Measure `json:"whole,omitempty"` // fuel or charge
	By     *finding.Measure `json:"by,omitempty"`    // the same by distance
	Alone  *finding.Measure `json:"alone,omitempty"` // the car without the trailer, the same way
	Shares []Share          `json:"shares"`
	Drag   *finding.Measure `json:"drag,omitempty"` // C_d·A that the trailer adds, m²
	Money  *finding.Measure `json:"money,omitempty"`
	PerTon *finding.Measure `json:"perTon,omitempty"` // money for 1000 kg of load
	CO2    *finding.Measure `json:"co2,omitempty"`    // kg
	Range  *finding.Measure `json:"range,omitempty"`  // until what is to be left
	Short  *finding.Measure `json:"short,omitempty"`  // that has to be filled or charged on the way
}

// Share is where some of it goes.
type Share struct {
	Name    said.Sentence   `json:"name"`
	Measure finding.Measure `json:"measure"`
}

// CodeRange is the finding of whether it comes home.
const CodeRange = "energy.range"

// lacks is what must be stated first.
func lacks(r *rig.Rig) (needs []finding.Need) {
	need := func(path, says, where string) {
		needs = append(needs, finding.Need{Path: path, Says: said.Say(says), Where: said.Say(where)})
	}
	if r == nil || r.Outing == nil {
		return []finding.Need{{Path: "/outings", Says: said.Say("an outing"), Where: said.Say("Under Job.")}}
	}
	outing := "/outings/" + r.Scope.Outing
	if r.Vehicle == nil {
		need(outing+"/vehicle", "the tow vehicle", "Under Vehicle.")
		return needs
	}
	root, t := "/towVehicles/"+r.VehicleID, r.Vehicle.Thirst
	switch {
	case t == nil || t.By == "":
		need(root+"/thirst/by", "what the car runs on", "Petrol, diesel or electric.")
	case t.By == plan.Electric && t.Draws == nil:
		need(root+"/thirst/draws", "what the car draws on its own", "Read the car’s display after an ordinary week.")
	case t.By != plan.Electric && t.Burns == nil:
		need(root+"/thirst/burns", "what the car burns on its own", "Read the car’s display after an ordinary week.")
	}
	legs := legsOf(r.Outing)
	if len(legs) == 0 {
		need(outing+"/distance", "the distance", "One way, off a map.")
	}
	if d := r.Outing.Drive; d != nil { // a stretch that is left out would make the way too short
		for _, id := range plan.Ordered(d.Stretches, func(s plan.Stretch) int { return s.Order }) {
			if d.Stretches[id].Far == nil {
				need(outing+"/drive/stretches/"+id+"/far", "how long each stretch is", "Off a map.")
			}
		}
	}
	for _, l := range legs {
		if l.climb > 0 || l.drop > 0 {
			if _, miss := r.CarMass(); miss != nil {
				needs = append(needs, miss...)
			}
			break
		}
	}
	if r.EmptyMass() == nil {
		need("/trailers/"+r.Scope.Trailer+"/empty", "the empty weight", "On a {weighbridge}, or the plate’s.")
	} else if r.Total() == nil {
		needs = append(needs, r.Needs...)
		if len(r.Needs) == 0 {
			need(outing, "the weight of the load", "Weigh it, or take a typical one.")
		}
	}
	return needs
}

// units are the kinds of what a car takes, in all and by distance.
func units(by plan.CarFuel) (whole, far quantity.Kind) {
	if by == plan.Electric {
		return quantity.KindEnergy, quantity.KindPowerUse
	}
	return quantity.KindFuel, quantity.KindFuelUse
}

// Of is what an outing's drive takes.
func Of(r *rig.Rig) *Trip {
	out := &Trip{Needs: []finding.Need{}, Shares: []Share{}}
	j, needs := jobOf(r)
	if needs != nil {
		out.Needs = needs
		out.Says = said.Say("What the drive takes is not known: % is missing.", needs[0].Says[0])
		if len(needs[0].Says) > 1 {
			out.Says = said.Say("What the drive takes is not known yet.")
		}
		return out
	}
	t := r.Vehicle.Thirst
	whole, far := units(t.By)
	total, p := j.all(j.halves...)
	s := j.far()
	out.Far = finding.Exactly(quantity.KindDistance, s)
	out.Whole = finding.Of(whole, total)
	out.By = finding.Of(
		far,
		span{Nominal: total.Nominal / s * 1e5, Low: total.Low / s * 1e5, High: total.High / s * 1e5},
	)
	alone := *j
	alone.halves = nil
	for _, h := range j.halves {
		alone.halves = append(alone.halves, half{legs: h.legs})
	}
	own, _ := alone.all(alone.halves...)
	out.Alone = finding.Exactly(whole, own.Nominal)
	for _, x := range []struct {
		says string
		v    float64
	}{
		{"the car alone, on the flat", p.car}, {"air at trailer and load", p.air}, {"the trailer’s {tyre}s", p.rolls},
		{"climbs, less what descents give back", p.climbs}, {"stops", p.stops},
	} {
		if math.Abs(x.v) > 1e-9 {
			out.Shares = append(out.Shares, Share{said.Say(x.says), *finding.Exactly(whole, x.v)})
		}
	}
	drag := j.halves[0].drag
	out.Drag = finding.Of(quantity.KindArea, drag)
	out.price(r, j, total)
	out.comes(r, j)
	out.Says = said.Say("% for %", said.Of(whole, total.Nominal), said.Of(quantity.KindDistance, s))
	if own.Nominal > 0 {
		more, way := total.Nominal/own.Nominal-1, "more"
		if more < 0 {
			more, way = -more, "less"
		}
		out.Says = append(
			out.Says,
			said.Say(", % "+way+" than the car alone", said.Of(quantity.KindShare, math.Round(more*100)/100))...)
	}
	out.Says = append(out.Says, said.Say(".")...)
	if f, ok := comesHome(r, j); ok {
		out.Home = f.Says
	}
	return out
}

// far is how long the whole drive is, m.
func (j *job) far() float64 {
	s := 0.0
	for _, h := range j.halves {
		for _, l := range h.legs {
			s += l.far
		}
	}
	return s
}

// price is what it costs, and what by the load's weight.
func (out *Trip) price(r *rig.Rig, j *job, total span) {
	if j.engine.co2 > 0 {
		out.CO2 = finding.Exactly(quantity.KindMass, total.Nominal*j.engine.co2)
	}
	p := r.Vehicle.Thirst.Price
	if p == nil {
		return
	}
	m := float64(*p)
	out.Money = finding.Of(
		quantity.KindMoney,
		span{Nominal: total.Nominal * m, Low: total.Low * m, High: total.High * m},
	)
	if c := loads(r).Nominal; c > 0 {
		out.PerTon = finding.Exactly(quantity.KindMoney, total.Nominal*m/c*1000)
	}
}

// stock is what can be used of tank or battery until what is to be left, and what a full one holds.
func stock(r *rig.Rig) (has, full float64, ok bool) {
	t := r.Vehicle.Thirst
	switch {
	case t.By == plan.Electric && t.Battery != nil:
		full = float64(*t.Battery)
	case t.By != plan.Electric && t.Tank != nil:
		full = float64(*t.Tank)
	default:
		return 0, 0, false
	}
	begins, spare := 1.0, spareUsual
	if d := r.Outing.Drive; d != nil {
		if d.Begins != nil {
			begins = *d.Begins
		}
		if d.Spare != nil {
			spare = *d.Spare
		}
	}
	return full * max(0, begins-spare), full, true
}

// spareUsual is what is to be left of tank or battery where it is not stated (practice, C).
const spareUsual = 0.1

// comes tells the range, as the way out is, and what has to be filled on the way.
func (out *Trip) comes(r *rig.Rig, j *job) {
	has, _, ok := stock(r)
	if !ok {
		return
	}
	way, _ := j.all(j.halves[0])
	s := 0.0
	for _, l := range j.halves[0].legs {
		s += l.far
	}
	if way.Low > 0 {
		out.Range = finding.Of(quantity.KindDistance,
			span{Nominal: has / way.Nominal * s, Low: has / way.High * s, High: has / way.Low * s})
	}
	whole, _ := units(r.Vehicle.Thirst.By)
	if total, _ := j.all(j.halves...); total.High > has {
		out.Short = finding.Of(whole, span{
			Nominal: max(0, total.Nominal-has), Low: max(0, total.Low-has), High: total.High - has,
		})
	}
}

// comesHome asks whether tank or battery lasts, the unkind end counted.
func comesHome(r *rig.Rig, j *job) (finding.Finding, bool) {
	has, _, ok := stock(r)
	if !ok {
		return finding.Finding{}, false
	}
	t := r.Vehicle.Thirst
	whole, _ := units(t.By)
	total, _ := j.all(j.halves...)
	f := finding.Finding{
		Code: CodeRange, Stage: Stage, Scope: r.Scope, Title: said.Say("Tank and distance"), Outcome: finding.Holds,
		Subject: "/towVehicles/" + r.VehicleID + "/thirst", Source: norms.Practice("rolling, air and climbs of car and trailer"),
	}
	fill, goes := "fill up", "gets there"
	if t.By == plan.Electric {
		f.Title, fill = said.Say("Charge and distance"), "charge"
	}
	if len(j.halves) > 1 {
		goes = "comes home"
	}
	f.Figure, f.Limit = finding.Of(whole, total), finding.Exactly(whole, has)
	f.Work = func() []finding.Step { return working(r, j) }
	switch {
	case total.High <= has:
		f.Says = said.Say(
			"It "+goes+": % at most, of % usable"+begun(r)+".",
			said.Of(whole, total.High),
			said.Of(whole, has),
		)
	case total.Nominal <= has:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("It likely "+goes+" on %, but may take %: plan a place to "+fill+".",
			said.Of(whole, has), said.Of(whole, total.High))
	default:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = said.Say("It takes %, and only % is usable: "+fill+" at least % on the way.",
			said.Of(whole, total.Nominal), said.Of(whole, has), said.Of(whole, total.High-has))
	}
	return f, true
}

// begun says that it is taken to begin full, where nobody stated how full.
func begun(r *rig.Rig) string {
	if d := r.Outing.Drive; d != nil && d.Begins != nil {
		return ""
	}
	return " if you start full"
}

// Check asks whether it comes home, where tank or battery and the way are stated.
func Check(r *rig.Rig) []finding.Finding {
	if r == nil || r.Outing == nil || r.Vehicle == nil || r.Vehicle.Thirst == nil {
		return nil
	}
	if _, _, ok := stock(r); !ok || len(legsOf(r.Outing)) == 0 {
		return nil
	}
	j, needs := jobOf(r)
	if needs != nil {
		return []finding.Finding{{
			Code: CodeRange, Stage: Stage, Scope: r.Scope, Title: said.Say("Tank and distance"), Outcome: finding.Unknown,
			Subject: "/towVehicles/" + r.VehicleID + "/thirst", Says: said.Say("Not known: whether the tank or battery lasts."),
			Needs: needs, Source: norms.Practice("rolling, air and climbs of car and trailer"),
		}}
	}
	f, _ := comesHome(r, j)
	return []finding.Finding{f}
}

func working(r *rig.Rig, j *job) []finding.Step {
	whole, _ := units(r.Vehicle.Thirst.By)
	total, p := j.all(j.halves...)
	term := func(symbol, says string, m *finding.Measure, how string) finding.StepTerm {
		return finding.StepTerm{Symbol: symbol, Says: said.Say(says), Measure: m, How: how}
	}
	return []finding.Step{{
		Symbol: "E", Says: said.Say("all that the drive takes"),
		Formula: "E = car + air + tyres + climbs + stops",
		Terms: []finding.StepTerm{
			term("car", "the car alone", finding.Exactly(whole, p.car), "computed"),
			term("air", "½ρ·A·u²·s/η", finding.Exactly(whole, p.air), "computed"),
			term("tyres", "c·m·g·s/η", finding.Exactly(whole, p.rolls), "computed"),
			term("climbs", "(M + m)·g·(up − β·down)/η", finding.Exactly(whole, p.climbs), "computed"),
			term("stops", "n·½m·v²/η", finding.Exactly(whole, p.stops), "computed"),
		},
		Result: finding.Of(whole, total), Source: norms.Practice("rolling, air and climbs of car and trailer"),
	}}
}

// Rate is what the way out takes by distance with another mass in the trailer, as the sum has it without a factor of trips: l or
// kWh of a metre. ok is false where something is missing.
func Rate(r *rig.Rig, cargo *float64) (perMetre float64, ok bool) {
	j, needs := jobOf(r)
	if needs != nil {
		return 0, false
	}
	j.factor = 1
	if c := r.Cargo(); cargo != nil && c != nil {
		laden := j.halves[0].trailer.Nominal
		for i := range j.halves {
			if h := &j.halves[i]; h.trailer.Nominal == laden {
				h.trailer.Nominal = max(0, laden+*cargo-c.Nominal)
			}
		}
	}
	sum := 0.0
	for i := range j.halves {
		sum += j.takes(&j.halves[i], [doubts]int{}).sum()
	}
	return sum / j.far(), sum > 0
}

// Split is one heavy drive against two that carry half each, fuel or charge of all; ok is false where something is missing.
func Split(r *rig.Rig) (one, two *finding.Measure, ok bool) {
	j, needs := jobOf(r)
	if needs != nil || !(loads(r).Nominal > 0) {
		return nil, nil, false
	}
	whole, _ := units(r.Vehicle.Thirst.By)
	bare, carried := withParts(r), loads(r)
	if len(j.halves) == 1 { // the second drive has to go back
		j.halves = append(j.halves, half{homeward(j.halves[0].legs), bare, DragOf(r, true)})
	}
	heavy, _ := j.all(j.halves...)
	light := *j
	light.halves = nil
	for _, h := range j.halves {
		if h.trailer.Nominal > bare.Nominal { // laden: what is built on it goes along each time, the loads by half
			h.trailer = span{
				Nominal: h.trailer.Nominal - carried.Nominal/2, Low: h.trailer.Low - carried.Low/2,
				High: h.trailer.High - carried.High/2,
			}
		}
		light.halves = append(light.halves, h)
	}
	each, _ := light.all(light.halves...)
	return finding.Of(whole, heavy),
		finding.Of(whole, span{Nominal: 2 * each.Nominal, Low: 2 * each.Low, High: 2 * each.High}), true
}
