package tables

import (
	"strconv"

	"zygonos/core/ask/lashing"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// Loads is what stands on a trailer in an outing: masses in kg, places in mm from the
// headboard and the deck's middle, heights over the ground.
func Loads(r *rig.Rig) []byte {
	rows := [][]string{
		{
			"name",
			"kind",
			"mass kg",
			"from kg",
			"to kg",
			"front mm",
			"right mm",
			"length mm",
			"width mm",
			"height mm",
			"centre behind ball mm",
			"centre up mm",
		},
	}
	if r == nil {
		return write(rows)
	}
	front, _ := r.Deck()
	mm := func(v float64) string { return strconv.FormatFloat(v*1000, 'f', 0, 64) }
	for i := range r.Items {
		it := &r.Items[i]
		kind, mass, low, high := "part", "", "", ""
		if it.Load != nil {
			kind = it.Load.Kind
		}
		if m := it.Mass; m != nil {
			kg := func(v float64) string { return strconv.FormatFloat(v, 'f', 1, 64) }
			mass, low, high = kg(m.Nominal), kg(m.Low), kg(m.High)
		}
		rows = append(
			rows,
			[]string{
				it.Name,
				kind,
				mass,
				low,
				high,
				mm(it.Front - front),
				mm((it.Left + it.Right) / 2),
				mm(it.Length()),
				mm(it.Right - it.Left),
				mm(it.Top - it.Bottom),
				mm(it.X),
				mm(it.Z),
			},
		)
	}
	return write(rows)
}

// Lashings is how an outing's loads are tied, as the straps run.
func Lashings(r *rig.Rig) []byte {
	rows := [][]string{{"load", "strap", "from", "to", "long mm", "limit kg", "weakest", "pull kg"}}
	if r == nil {
		return write(rows)
	}
	for _, l := range lashing.Loads(r) {
		for i := range l.Ties {
			t := &l.Ties[i]
			to := "the load"
			if t.Over {
				to = "over to " + lashing.PointName(r, t.Ends[1].PointID)
			}
			rows = append(
				rows,
				[]string{
					l.Item.Name,
					t.Name,
					lashing.PointName(r, t.Ends[0].PointID),
					to,
					strconv.FormatFloat(t.Long*1000, 'f', 0, 64),
					strconv.FormatFloat(t.Limit, 'f', 0, 64),
					t.Weak,
					strconv.FormatFloat(t.Pull, 'f', 0, 64),
				},
			)
		}
	}
	return write(rows)
}

// RigOf resolves what a table is asked for; what is not stated is picked as a review does.
func RigOf(p *plan.Plan, trailer, outing string) *rig.Rig {
	review.Ready(p)
	q := review.Pick(p, review.Request{Trailer: trailer, Outing: outing})
	return rig.Resolve(p, q.Trailer, q.Outing)
}
