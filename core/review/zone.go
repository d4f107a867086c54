package review

import (
	"math"
	"strings"

	"zygonos/core/norms"
	"zygonos/core/rig"
	"zygonos/core/scene"
	"zygonos/core/towing"
)

// zones tells for each load where along the deck it may stand so that the ball
// load keeps its window and no rating that depends on places is over, by the
// nominal figures. Sliding a mass m by d takes m·d/L off the ball and puts it on
// the axle (docs/method/balance.md), so each limit bounds d on one side.
func zones(rep *Report, r *rig.Rig) {
	w := rep.Figures.Window
	if r.Layout == nil || r.Bears == nil || w == nil || w.High < w.Low {
		return
	}
	riding := r.Riding()
	handles := map[string][]*scene.Handle{}
	for v := range rep.Views {
		for h := range rep.Views[v].Handles {
			if hd := &rep.Views[v].Handles[h]; strings.HasSuffix(hd.Path, "/at/back") {
				handles[hd.Thing] = append(handles[hd.Thing], hd)
			}
		}
	}
	for i := range r.Items {
		it := &r.Items[i]
		m := riding[i]
		if it.Pinned || m <= 0 {
			continue
		}
		k := m / r.Axle.Nominal
		lo, hi := (r.Bears.Ball.Nominal-w.High)/k, (r.Bears.Ball.Nominal-w.Low)/k
		for c := range rep.Chain {
			lo, hi = bound(&rep.Chain[c], r, k, lo, hi)
		}
		from, to := r.Room(it)
		shift := it.Front - float64(it.At.Back)
		lo, hi = math.Max(it.Front+lo, from+shift), math.Min(it.Front+hi, to+shift)
		if lo > hi {
			continue
		}
		zone := &scene.Zone{From: lo, To: hi, Length: it.Length(), Level: -it.Bottom}
		for _, hd := range handles[it.Path] {
			hd.Zone = zone
		}
	}
}

// bound narrows how far back (hi) or forward (lo) a mass may slide by one link.
func bound(l *towing.Link, r *rig.Rig, k, lo, hi float64) (float64, float64) {
	if l.Figure == nil || l.Limit == nil || l.ID == "hitch-d" {
		return lo, hi
	}
	room := l.Limit.Value - l.Figure.Value
	switch l.Reads {
	case norms.ReadsWheels:
		hi = math.Min(hi, room/k)
	case norms.ReadsSide:
		hi = math.Min(hi, 2*room/k)
	case norms.ReadsBall, norms.ReadsCar:
		lo = math.Max(lo, -room/k)
	case norms.ReadsRear:
		lo = math.Max(lo, -room/k/towing.Lever(float64(r.Vehicle.Wheelbase.Value), float64(r.Vehicle.RearOverhang.Value)))
	}
	return lo, hi
}
