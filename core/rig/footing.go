package rig

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// oneTrack is half of what a machine in one track stands on across, m: its tyres touch along a line.
const oneTrack = 0.02

// Footing is where an item stands on what carries it: its corners, front left, front right, rear
// left, rear right, in the rig's axes, m. A box's are those of its underside; a machine's are where
// the middles of its tyres stand, as stated or as usual for its kind, at most as wide and as long as
// it is: about these it tips, not about its bodywork. A machine in one track stands on a line.
func (i *Item) Footing() (corners [4][3]float64) {
	front, rear := i.Front, i.Rear
	left, right := [2]float64{i.Left, i.Left}, [2]float64{i.Right, i.Right} // at the front, at the rear
	if w, ok := i.stands(); ok {
		mid := (i.Left + i.Right) / 2
		along := func(ahead, behind float64) (float64, float64) { return i.Front + ahead, i.Rear - behind }
		switch i.Turn {
		case 0:
			front, rear = along(w.before, w.behind)
			left, right = [2]float64{mid - w.front, mid - w.rear}, [2]float64{mid + w.front, mid + w.rear}
		case 180:
			front, rear = along(w.behind, w.before)
			left, right = [2]float64{mid - w.rear, mid - w.front}, [2]float64{mid + w.rear, mid + w.front}
		default: // across: its axles stand to the left and to the right
			l, r := i.Left+w.behind, i.Right-w.before
			onLeft, onRight := w.rear, w.front
			if i.Turn == 270 {
				l, r = i.Left+w.before, i.Right-w.behind
				onLeft, onRight = w.front, w.rear
			}
			mid = (i.Front + i.Rear) / 2
			return [4][3]float64{
				{mid - onLeft, l, i.Bottom}, {mid - onRight, r, i.Bottom},
				{mid + onLeft, l, i.Bottom}, {mid + onRight, r, i.Bottom},
			}
		}
	}
	return [4][3]float64{
		{front, left[0], i.Bottom}, {front, right[0], i.Bottom},
		{rear, left[1], i.Bottom}, {rear, right[1], i.Bottom},
	}
}

// OneTrack reports whether an item stands on wheels one behind the other.
func (i *Item) OneTrack() bool {
	w, ok := i.stands()
	return ok && w.front <= oneTrack && w.rear <= oneTrack
}

// bodyWide is how wide a machine on one track is behind its bars, at seat and pegs, m (practice, C).
const bodyWide = 0.45

// HeadToTail is how far apart the middles of two machines on one track stand, each as wide at its
// bars, one of them turned round: the bars of each beside the other's seat, (w + 0.45 m)/2.
func HeadToTail(wide float64) float64 { return (wide + bodyWide) / 2 }

// Interlock reports whether two machines on one track stand head to tail and no nearer than that,
// their middles within three tenths of a length along, so that no bars meet (practice, C): neither
// stands in the other, though the boxes around them do.
func (r *Rig) Interlock(a, b *Item) bool {
	if r.Layout == nil || a == b || !a.OneTrack() || !b.OneTrack() ||
		(r.Layout.Placements[a.ID].Turn+180)%360 != r.Layout.Placements[b.ID].Turn%360 {
		return false
	}
	if math.Abs(a.Front+a.Rear-b.Front-b.Rear)/2 > 0.3*math.Min(a.Length(), b.Length()) {
		return false
	}
	apart := math.Abs(a.Left+a.Right-b.Left-b.Right) / 2
	return apart >= HeadToTail(math.Max(a.Right-a.Left, b.Right-b.Left))-0.01
}

// Turned says how a load stands that does not stand nose first; empty where it does.
func (r *Rig) Turned(it *Item) said.Sentence {
	if r.Layout == nil || it.Part {
		return nil
	}
	switch r.Layout.Placements[it.ID].Turn {
	case 90, 270:
		return said.Say(", set across")
	case 180:
		return said.Say(", turned round")
	}
	return nil
}

// standing is how a machine stands on its wheels: what of it lies before the front and behind the
// rear ones, and half of the way between the middles of each axle's tyres, m.
type standing struct{ before, behind, front, rear float64 }

// stands tells that of an item; ok is false for one that does not stand on wheels, or of whose
// wheels nothing is known.
func (i *Item) stands() (w standing, ok bool) {
	if i.Load == nil {
		return w, false
	}
	kind, _ := catalogue.LoadOf(i.Load.Kind)
	told, usual := i.Load.Rolling, kind.Rolls
	if told == nil && usual == nil {
		return w, false
	}
	if told == nil {
		told = new(plan.Rolling)
	}
	if usual == nil {
		usual = new(catalogue.Rolls)
	}
	take := func(e *plan.LengthEstimate, or quantity.Length) float64 {
		if e != nil {
			return float64(e.Value)
		}
		return float64(or)
	}
	long, wide := i.Rear-i.Front, i.Right-i.Left
	if i.Turn == 90 || i.Turn == 270 {
		long, wide = wide, long
	}
	before, base := take(told.FrontAxle, usual.FrontAxle), take(told.Wheelbase, usual.Wheelbase)
	if base > 0 && before >= 0 && before+base <= long {
		w.before, w.behind = before, long-before-base
	}
	half := func(track float64) float64 { return math.Min(wide/2, math.Max(oneTrack, track/2)) }
	track := take(told.Track, usual.Track)
	if told.Track == nil && kind.Rolls == nil { // nothing tells how far its wheels stand apart
		track = wide
	}
	w.rear, w.front = half(track), half(track)
	switch {
	case told.FrontTrack != nil:
		w.front = half(float64(*told.FrontTrack))
	case told.Track == nil && usual.FrontTrack > 0:
		w.front = half(float64(usual.FrontTrack))
	}
	return w, true
}
