package section

import "math"

// Torsion is how a section resists being twisted (St Venant; warping is left out).
type Torsion struct {
	It   float64 // second moment, m⁴: angle a metre is T/(G·It)
	Wt   float64 // modulus, m³: the greatest shear stress is T/Wt
	Open bool    // its walls close no ring: it twists easily, and what warping holds is not counted
}

// TorsionOf computes them. A rectangular hollow section by EN 10219-2, annex B, with the mean line's
// length h, the area within it A_h and K = 2·A_h·T/h: It = T³·h/3 + 2·K·A_h, Wt = It/(T + K/T). Open
// walls by It = Σb·t³/3, Wt = It/t. A solid rectangle a ≥ b by
// It = a·b³·(1/3 − 0.21·r·(1 − r⁴/12)), Wt = a·b²/3 / (1 + 0.6095r + 0.8865r² − 1.8023r³ + 0.91r⁴) with
// r = b/a (Roark's Formulas for Stress and Strain, table of torsion).
func TorsionOf(s Size) (Torsion, error) {
	p, err := Of(s)
	if err != nil {
		return Torsion{}, err
	}
	h, b, t := s.H, s.B, s.T
	open := func(lengths ...float64) Torsion {
		sum := 0.0
		for _, l := range lengths {
			sum += l
		}
		it := sum * t * t * t / 3
		return Torsion{It: it, Wt: it / t, Open: true}
	}
	switch s.Shape {
	case Tube:
		outer, inner := tubeRadii(t)
		outer, inner = min(outer, min(h, b)/2), min(inner, (min(h, b)-2*t)/2)
		rc := (outer + inner) / 2
		mean := 2*(b-t+h-t) - 2*rc*(4-math.Pi)
		within := (b-t)*(h-t) - rc*rc*(4-math.Pi)
		k := 2 * within * t / mean
		it := t*t*t*mean/3 + 2*k*within
		return Torsion{It: it, Wt: it / (t + k/t)}, nil
	case Round, Rod:
		return Torsion{It: 2 * p.Iy, Wt: 2 * p.Wy}, nil
	case Angle:
		return open(h, b-t), nil
	case Channel:
		return open(h, b-t, b-t), nil
	case Strut:
		lip := s.Lip
		if lip == 0 {
			lip = 3 * t
		}
		return open(b, h-t, h-t, lip-t, lip-t), nil
	}
	a, c := max(h, b), min(h, b)
	r := c / a
	return Torsion{
		It: a * c * c * c * (1.0/3 - 0.21*r*(1-r*r*r*r/12)),
		Wt: a * c * c / 3 / (1 + r*(0.6095+r*(0.8865+r*(-1.8023+r*0.91)))),
	}, nil
}

// NetTorsion is a section's torsion where part of it is cut away. A closed wall that is cut through is
// open there: It = A·t²/3, Wt = A·t/3 with the area that is left; what a short cut's neighbours hold is not
// counted. An open wall keeps its share of area, a solid bar its power of 3/2 of it.
func NetTorsion(s Size, whole Torsion, share float64, opened bool) Torsion {
	p, err := Of(s)
	if err != nil {
		return Torsion{}
	}
	hollow := s.Shape == Tube || s.Shape == Round
	switch {
	case hollow && opened:
		a := p.Area * share
		return Torsion{It: a * s.T * s.T / 3, Wt: a * s.T / 3, Open: true}
	case s.Shape == Bar || s.Shape == Rod:
		return Torsion{It: whole.It * share * share, Wt: whole.Wt * math.Pow(share, 1.5)}
	}
	return Torsion{It: whole.It * share, Wt: whole.Wt * share, Open: whole.Open}
}
