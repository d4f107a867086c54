package review

import (
	"math"
	"strings"

	"zygonos/core/ask/towing"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/scene"
	"zygonos/core/rig"
)

// MomentRoom tells how far the moment of all loads about the ball may change,
// kg·m, so that the ball load keeps its window and no rating that depends on
// places is over, by the nominal figures; ok is false where that is not known.
// Sliding a mass m by d takes m·d/L off the ball and puts it on the axle
// (docs/method/balance.md), so each limit bounds Σm·d on one side. With sides the
// wheels' own limits count too, as unevenly as they bear now.
func (rep *Report) MomentRoom(r *rig.Rig, sides bool) (low, high float64, ok bool) {
	w := rep.Figures.Window
	if r.Layout == nil || r.Bears == nil || w == nil || w.High < w.Low {
		return 0, 0, false
	}
	k := 1 / r.Axle.Nominal
	low, high = (r.Bears.Ball.Nominal-w.High)/k, (r.Bears.Ball.Nominal-w.Low)/k
	for c := range rep.Chain {
		if sides || rep.Chain[c].Reads != norms.ReadsSide {
			low, high = bound(&rep.Chain[c], r, k, low, high)
		}
	}
	return low, high, true
}

// zones tells for each load where along the deck it may stand within the
// room that its moment has.
func zones(rep *Report, r *rig.Rig) {
	low, high, ok := rep.MomentRoom(r, true)
	if !ok {
		return
	}
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
		m := r.Moves(i).Mass
		if it.Pinned || m <= 0 {
			continue
		}
		from, to := r.Room(it)
		shift := it.Front - float64(it.At.Back)
		lo, hi := math.Max(it.Front+low/m, from+shift), math.Min(it.Front+high/m, to+shift)
		if lo > hi {
			continue
		}
		zone := &scene.Zone{From: lo, To: hi, Length: it.Length(), Level: -it.Bottom}
		for _, hd := range handles[it.Path] {
			hd.Zone = zone
		}
	}
}

// bound narrows by one link how far forward (lo) or back (hi) a mass may slide
// that puts k on the axle for each metre.
func bound(l *towing.Link, r *rig.Rig, k, lo, hi float64) (float64, float64) {
	if l.Figure == nil || l.Limit == nil || l.ID == "hitch-d" {
		return lo, hi
	}
	room := l.Limit.Value - l.Figure.Value
	switch l.Reads {
	case norms.ReadsWheels:
		hi = math.Min(hi, room/k/l.Part)
	case norms.ReadsSide:
		hi = math.Min(hi, 2*room/k/l.Part)
	case norms.ReadsBall, norms.ReadsCar:
		lo = math.Max(lo, -room/k)
	case norms.ReadsRear:
		lo = math.Max(
			lo,
			-room/k/rig.Lever(float64(r.Vehicle.Wheelbase.Value), float64(r.Vehicle.RearOverhang.Value)),
		)
	}
	return lo, hi
}
