package wiring

import (
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
)

// CodeAdapter is the code of the finding on what an adapter between car and trailer loses.
const CodeAdapter = "wiring.adapter"

// has reports whether poles have a feed.
func has(poles []norms.Pole, f norms.Feed) bool {
	return slices.ContainsFunc(poles, func(p norms.Pole) bool { return p.Feed == f })
}

// joined reports whether poles stop and turn by one wire a side.
func joined(poles []norms.Pole) bool { return has(poles, norms.FeedStopLeft) }

// converts reports whether car and trailer differ in that, so that only a converter brings them together.
func (h *Harness) converts() bool { return h.car != nil && joined(h.car) != joined(h.poles) }

// gives reports whether a switch of the car puts a feed of the trailer under voltage: over the car's own socket
// and what lies between. Without a converter a joined lamp shows the turn alone, and a lamp for turning what the
// car's joined wire says; a stop lamp of its own stays dark.
func (h *Harness) gives(s Switch, f norms.Feed, broken bool) bool {
	if !slices.Contains(feeds[s], f) {
		if h.car == nil || !joined(h.car) || joined(h.poles) || h.w.Converter && !broken {
			return false
		}
		return s == SwitchStop && (f == norms.FeedLeft || f == norms.FeedRight)
	}
	if h.car == nil {
		return true
	}
	works := h.w.Converter && !broken
	switch f {
	case norms.FeedStopLeft, norms.FeedStopRight:
		return joined(h.car) || s != SwitchStop || works
	case norms.FeedStop:
		return !joined(h.car) || works
	case norms.FeedLeft, norms.FeedRight:
		return true
	case norms.FeedTail, norms.FeedTailLeft, norms.FeedTailRight:
		return has(h.car, norms.FeedTail) || has(h.car, norms.FeedTailLeft) || has(h.car, norms.FeedTailRight)
	}
	return has(h.car, f)
}

// adapted says what is lost between the car's socket and the trailer's plug.
func (h *Harness) adapted() (finding.Finding, bool) {
	f := base(h.r, CodeAdapter, "Between socket and plug")
	if h.car == nil {
		return f, false
	}
	f.Source, f.Subject = &norms.PolesSource, "/trailers/"+h.r.Scope.Trailer+"/plug"
	var dark, poor []said.Sentence
	for i := range h.lamps {
		p := h.lamps[i].pole
		if p < 0 {
			continue
		}
		feed := h.poles[p].Feed
		lit := slices.ContainsFunc(Switches, func(s Switch) bool { return h.gives(s, feed, false) })
		stops := feed != norms.FeedStopLeft && feed != norms.FeedStopRight || h.gives(SwitchStop, feed, false)
		name := said.Say("%", said.Name(h.called(i), "a lamp"))
		switch {
		case !lit && feed == norms.FeedStop:
			poor = append(poor, name)
		case !lit:
			dark = append(dark, name)
		case !stops:
			poor = append(poor, name)
		}
	}
	switch {
	case h.converts() && !h.w.Converter:
		f.Outcome, f.Subject = finding.Fails, "/trailers/"+h.r.Scope.Trailer+"/wiring/converter"
		one, other := "by lamps of their own", "both by one lamp a side"
		if joined(h.car) {
			one, other = other, one
		}
		f.Says = said.Say("The car stops and turns " + one + ", the trailer " + other +
			": with a plain adapter no brake light shows. Put a converter between them, with its own 12 V if it needs that.")
		return f, true
	case len(dark)+len(poor) > 0:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = slices.Concat(said.Say("The car's socket has nothing for "), said.List(append(poor, dark...)...),
			said.Say(": dark with this car. Check your local code, or have the other socket fitted."))
	case h.converts():
		f.Says = said.Say(
			"With the converter every lamp is fed from the car's socket. Try each switch before you drive.",
		)
	default:
		f.Says = said.Say(
			"With the adapter every lamp is fed from the car's socket. Try each switch before you drive.",
		)
	}
	if lost := h.unfed(); len(lost) > 0 {
		f.Says = slices.Concat(f.Says, said.Say(" Not on that socket: "), said.List(lost...), said.Say("."))
	}
	return f, true
}

// unfed are what the plug has besides lamps and the car's socket has not: supplies and brakes.
func (h *Harness) unfed() (out []said.Sentence) {
	for _, f := range []norms.Feed{norms.FeedSupply, norms.FeedCharge, norms.FeedBrake} {
		if has(h.poles, f) && !has(h.car, f) {
			out = append(out, said.Say(feedWord[f]))
		}
	}
	return out
}
