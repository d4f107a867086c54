// Package without answers whether an outing needs its trailer: the same loads on the roof, in the bed,
// in several trips, brought, with a hired trailer or a bigger car. It compares ways; none of them is a
// verdict on the rig. Formulas: docs/method/without.md.
package without

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// Figures of practice (confidence C).
const (
	liftTwo   = 50.0 // kg that two people lift overhead
	roofLong  = 4.0  // m that bars carry without a support at bow and stern
	loadsMost = 20   // trips beyond which it is not stated
)

// Other is one way to do the outing without its trailer.
type Other struct {
	ID      string           `json:"id"`
	Name    string           `json:"name"`
	Outcome finding.Outcome  `json:"outcome,omitempty"` // empty: nothing is judged
	Says    said.Sentence    `json:"says"`
	Trips   int              `json:"trips,omitempty"`
	Path    string           `json:"path,omitempty"` // of what is not known
	Mass    *finding.Measure `json:"mass,omitempty"`
}

// job is what the outing carries.
type job struct {
	sum, heaviest          float64 // kg
	longest, widest        float64 // m
	heaviestName, longest0 string
	loose, known           bool
}

func of(r *rig.Rig) job {
	j := job{known: true}
	for i := range r.Items {
		it := &r.Items[i]
		if it.Part {
			continue
		}
		if it.Mass == nil {
			j.known = false
			continue
		}
		j.sum += it.Mass.High
		if it.Lot != nil {
			j.loose = true
			continue
		}
		if m := it.Mass.High; m > j.heaviest {
			j.heaviest, j.heaviestName = m, it.Name
		}
		long, wide := it.Length(), it.Right-it.Left
		if long < wide {
			long, wide = wide, long
		}
		if long > j.longest {
			j.longest, j.longest0 = long, it.Name
		}
		j.widest = max(j.widest, wide)
	}
	return j
}

// Ways lists the ways for the outing; nil where it carries nothing.
func Ways(r *rig.Rig) []Other {
	if r.Layout == nil || r.Outing == nil || r.Vehicle == nil {
		return nil
	}
	j := of(r)
	if j.sum == 0 && j.known {
		return nil
	}
	return []Other{roof(r, j), bed(r, j), hired(r, j), brought(j)}
}

func unknown(id, name, path string, says said.Sentence) Other {
	return Other{ID: id, Name: name, Outcome: finding.Unknown, Says: says, Path: path}
}

// roof: within the roof load, nothing loose, nobody lifts more than two people can.
func roof(r *rig.Rig, j job) Other {
	const id, name = "roof", "On the roof"
	switch {
	case !j.known:
		return unknown(id, name, "", said.Say("The weight of some load is not known."))
	case j.loose:
		return Other{
			ID:      id,
			Name:    name,
			Outcome: finding.Fails,
			Says:    said.Say("Loose material does not go on a roof."),
		}
	case j.heaviest > liftTwo:
		return Other{ID: id, Name: name, Outcome: finding.Fails,
			Says: said.Say(
				"% weighs %: two people lift % overhead at most.",
				said.Name(j.heaviestName, "one load"),
				said.Mass(j.heaviest),
				said.Mass(liftTwo),
			)}
	case r.Vehicle.RoofLimit == nil:
		return unknown(id, name, "/towVehicles/"+r.VehicleID+"/roofLimit",
			said.Say("% in all: what can the roof take, bars included?", said.Mass(j.sum)))
	}
	limit := float64(*r.Vehicle.RoofLimit)
	w := Other{ID: id, Name: name, Outcome: finding.Holds, Mass: finding.Exactly(quantity.KindMass, limit),
		Says: said.Say("% of the roof's %.", said.Mass(j.sum), said.Mass(limit))}
	switch {
	case j.sum > limit:
		w.Outcome = finding.Fails
		if n := math.Ceil(j.sum / limit); j.heaviest <= limit && n <= loadsMost {
			w.Outcome, w.Trips = finding.Tight, int(n)
			w.Says = append(w.Says, said.Say(" That makes % trips, if it can be divided.", said.Count(w.Trips))...)
		}
	case j.longest > roofLong:
		w.Outcome = finding.Tight
		w.Says = append(
			w.Says,
			said.Say(
				" % is % long: tie it at its ends too.",
				said.Name(j.longest0, "one load"),
				said.Length(j.longest),
			)...)
	}
	return w
}

// bed: within what the car's own gross leaves with people and luggage, and its bed's size.
func bed(r *rig.Rig, j job) Other {
	const id, name = "bed", "In the car alone"
	v, path := r.Vehicle, "/towVehicles/"+r.VehicleID
	mass, needs := r.CarMass()
	switch {
	case !j.known:
		return unknown(id, name, "", said.Say("The weight of some load is not known."))
	case len(needs) > 0:
		return unknown(
			id,
			name,
			needs[0].Path,
			append(said.Say("Not known: "), append(finding.Takes(needs), said.Piece{Text: "."})...),
		)
	case v.Gross == nil:
		return unknown(id, name, path+"/gross", said.Say("What may the car weigh at most? Read its {car gross}."))
	}
	left := float64(*v.Gross) - mass.High
	if left <= 0 {
		return Other{ID: id, Name: name, Outcome: finding.Fails, Says: said.Say("With its people the car is full.")}
	}
	w := Other{ID: id, Name: name, Outcome: finding.Holds, Trips: 1, Mass: finding.Exactly(quantity.KindMass, left)}
	w.Trips = int(math.Ceil(j.sum/left - 1e-9))
	w.Says = said.Say(
		"The car has % left for %: %.",
		said.Mass(left),
		said.Mass(j.sum),
		said.Counted(w.Trips, "trip", "trips"),
	)
	if v.BedLength != nil && j.longest > float64(*v.BedLength) ||
		v.BedWidth != nil && j.widest > float64(*v.BedWidth) {
		w.Outcome = finding.Fails
		w.Says = append(
			w.Says,
			said.Say(
				" But % is % long, more than fits inside.",
				said.Name(j.longest0, "one load"),
				said.Length(j.longest),
			)...)
		return w
	}
	switch {
	case w.Trips > loadsMost, j.heaviest > left:
		w.Outcome = finding.Fails
	case w.Trips > 1:
		w.Outcome = finding.Tight
	}
	if w.Outcome != finding.Fails && (v.BedLength == nil || v.BedWidth == nil) {
		w.Outcome, w.Path = finding.Unknown, path+"/bedLength"
		w.Says = append(w.Says, said.Say(" To see whether it fits, tape the bed or the inside.")...)
	}
	return w
}

// hired tells what a hired trailer must take; the car's rating stays what it is.
func hired(r *rig.Rig, j job) Other {
	w := Other{ID: "hire", Name: "With a hired trailer or a bigger car",
		Says: said.Say(
			"It must carry %, % long. Your car's towing limits stay what they are: ask for one that weighs less empty.",
			said.Mass(j.sum),
			said.Length(j.longest),
		)}
	if !j.known {
		w.Outcome, w.Says = finding.Unknown, said.Say("The weight of some load is not known.")
	}
	return w
}

func brought(j job) Other {
	w := Other{ID: "brought", Name: "Brought to you",
		Says: said.Say(
			"% delivered: ask where the crane or tail lift sets it down, and who moves it from there.",
			said.Mass(j.sum),
		)}
	if !j.known {
		w.Outcome, w.Says = finding.Unknown, said.Say("The weight of some load is not known.")
	}
	return w
}
