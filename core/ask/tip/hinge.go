package tip

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Figures of the hinge's pins (practice, C).
const (
	pinShear = 235e6 / 1.7320508 / 1.5 // Pa: S235 by its yield, von Mises, with the reserve of a working stress
	pinShare = 0.65                    // of the hinge's force on one of two, the load stuck to one side
)

// hinge holds the shear of a hinge's pins against what plain steel is used to: τ = F·share/(planes·π·d²/4).
func (s *Setup) hinge() (finding.Finding, bool) {
	f := s.base(CodeHinge, "The hinge's pins", "hingePin")
	if s.t.HingePin == nil || len(s.Swept) == 0 {
		return f, false
	}
	f.Source = norms.Practice("pins of plain steel in shear, two thirds of the force on one of two")
	most, at := 0.0, 0.0
	for i := range s.Swept {
		if n := math.Hypot(s.Swept[i].Hinge.X, s.Swept[i].Hinge.Z); n > most {
			most, at = n, s.Swept[i].Angle
		}
	}
	share, planes := pinShare, 1.0
	if s.t.HingePins == 1 {
		share = 1
	}
	if s.t.PinBoth {
		planes = 2
	}
	d := float64(*s.t.HingePin)
	tau := most * share / (planes * math.Pi / 4 * d * d)
	f.AtMost(quantity.KindStress, tau, pinShear)
	f.Says = said.Say("At % the hinge carries %; a pin is sheared with %, of the % plain steel may carry.",
		said.Of(quantity.KindAngle, at), said.Of(quantity.KindForce, most), said.Of(quantity.KindStress, tau),
		said.Of(quantity.KindStress, pinShear))
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use thicker pins, each held on both sides of the bed's lug.")...)
	} else if !s.t.PinBoth {
		f.Says = append(f.Says, said.Say(" Held on only one side it bends as well: leave no gap beside the lug.")...)
	}
	return s.sure(f, tau), true
}
