package tip

import (
	"math"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// time is how long a tip takes and what it draws.
func (s *Setup) time() (finding.Finding, bool) {
	f := s.base(CodeTime, "Time and current of a tip", "amps")
	f.Gate = ""
	seconds, hours, ok := s.Takes()
	if !ok {
		return f, false
	}
	f.Figure = finding.Exactly(quantity.KindTime, seconds)
	f.Says = said.Say("Up in %, with % A·h of the battery.", said.Of(quantity.KindTime, seconds),
		said.Of(quantity.KindCount, math.Round(hours*100)/100))
	return f, true
}

// Takes is how long a tip takes, s, and what it draws, A·h: over each step of the way the line's or the pack's
// current in proportion to its pull, a quarter of it without load (practice, C).
func (s *Setup) Takes() (seconds, hours float64, ok bool) {
	const idle = 0.25
	t := s.t
	winds := s.winds() && t.Amps != nil && t.LineSpeed != nil && t.WinchLifts != nil
	packs := s.pushes() && t.Bore != nil && t.Flow != nil && t.PackAmps != nil && t.Pressure != nil
	if !winds && !packs || len(s.Swept) < 2 {
		return 0, 0, false
	}
	for i := 1; i < len(s.Swept); i++ {
		a, b := &s.Swept[i-1], &s.Swept[i]
		way, pull := math.Abs(b.Long-a.Long), math.Max(0, (a.Pull+b.Pull)/2)
		var dt, share, amps float64
		if winds {
			dt = way * float64(max(1, t.Parts)) / (*t.LineSpeed / 60)
			share, amps = s.onDrum(pull)/float64(*t.WinchLifts), *t.Amps
		} else {
			area := math.Pi / 4 * float64(*t.Bore) * float64(*t.Bore)
			dt = way * area / (float64(*t.Flow) / 60000 * pumpLoss)
			share, amps = pull/area/float64(*t.Pressure), *t.PackAmps
		}
		seconds += dt
		hours += amps * (idle + (1-idle)*math.Min(1, share)) * dt / 3600
	}
	return seconds, hours, true
}
