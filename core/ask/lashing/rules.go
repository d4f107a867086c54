package lashing

import (
	"math"

	"zygonos/core/facts/norms"
)

// Factors of EN 12195-1:2010.
const (
	safeForward = 1.25 // f_s of friction lashings, forward …
	safeOther   = 1.1  // … and in the other directions
	frictionOf  = 0.75 // f_μ of what is lashed directly
)

// Verdict is one school's answer for a load: what there is against what it asks, in the
// worst direction, kg.
type Verdict struct {
	Has, Needs float64
	Toward     int    // into Directions; −1 where it asks for a sum, whatever the direction
	Direction  string // in words
	Count      int    // North America: tie-downs there are …
	Least      int    // … and must be at least
}

// toward is the direction as a sentence goes on.
func (v Verdict) toward() string {
	if v.Direction == "" {
		return ""
	}
	return ", " + v.Direction
}

// Holds reports whether the school is content.
func (v Verdict) Holds() bool { return v.Has >= v.Needs*(1-1e-9) && v.Count >= v.Least }

// take puts another verdict in its place where that has less to spare.
func (v *Verdict) take(other Verdict) {
	if other.Has-other.Needs < v.Has-v.Needs {
		*v = other
	}
}

// counted is how a tie-down counts (49 CFR 393.106(d)): over the load to its other side in
// full, from the load to a tie point half. One that comes back to the same side is no Tie.
func counted(t *Tie) float64 {
	if t.Over {
		return t.Limit
	}
	return t.Limit / 2
}

// NorthAmerica is 49 CFR 393.106(d) and 393.110: the tie-downs' aggregate working load limit
// is half the weight or more, their number by length and weight. Machines on wheels are
// held at front and rear: four, or two that reach over (393.128, up to 10,000 lb: two).
func NorthAmerica(l *Load) Verdict {
	v := Verdict{Needs: l.Mass / 2, Count: len(l.Ties), Toward: -1}
	for i := range l.Ties {
		v.Has += counted(&l.Ties[i])
	}
	v.Least = norms.LeastTies(l.Item.Length(), l.Mass, l.Blocked)
	if l.Item.Shape == "wheels" {
		v.Least = max(v.Least, 2)
	}
	return v
}

// restraint is what the ties of a load give in a direction, kg, with friction μ: over it
// 2·μ·sin α·F_T in sum of both ends, directly LC·(μ_d·sin α + what it pulls against the
// push) where the push lengthens it.
func restraint(l *Load, push Vector, mu, direct, share float64) float64 {
	sum := 0.0
	for i := range l.Ties {
		t := &l.Ties[i]
		for _, e := range t.Ends {
			against := -e.Along.dot(push)
			if t.Over {
				sum += share * mu * math.Max(0, -e.Along[2]) * t.Pull
				continue
			}
			if against > 1e-9 {
				sum += t.Limit * (direct*math.Max(0, -e.Along[2]) + against)
			}
		}
	}
	return sum
}

// anyDirect reports whether a load is lashed directly.
func (l *Load) anyDirect() bool {
	for i := range l.Ties {
		if !l.Ties[i].Over {
			return true
		}
	}
	return false
}

// European is EN 12195-1:2010: in each direction m·(c − μ) is held by friction lashings over
// their factor, by direct ones and by what blocks it; with direct ones μ counts three
// quarters. Friction is the annex's, the low end of its range here. Against tipping see
// tilt.
func European(l *Load) Verdict {
	mu := l.Grip.Low
	direct := mu * frictionOf
	own := mu
	if l.anyDirect() {
		own = direct
	}
	worst := Verdict{Has: math.Inf(1)}
	for k, d := range Directions[:4] {
		safe := safeOther
		if d.ID == "forward" {
			safe = safeForward
		}
		worst.take(
			Verdict{
				Has:       restraint(l, d.Push, mu, direct, 1/safe) + l.Blocks[k],
				Needs:     l.Mass * math.Max(0, d.Asked-own),
				Toward:    k,
				Direction: d.Name,
			},
		)
		if v := tilt(l, k, safe); v.Needs > 0 {
			worst.take(v)
		}
	}
	return worst
}

// tilt is EN 12195-1 against tipping about the lower edge ahead: m·(c·d − b) is held by the
// straps' moments about that edge over the factor, b from the centre to the edge, d its
// height; stated as a force at that height. Straps over it count their tightener's pull, also
// where it tips the load further, c sideways then 0.6; direct ones their limit where it holds.
func tilt(l *Load, k int, safe float64) Verdict {
	d := Directions[k]
	edge := l.edge(k)
	asked := d.Asked
	if d.Push[1] != 0 {
		asked = norms.Tilt
	}
	up := l.Centre[2] - l.Item.Bottom
	if up <= 0 {
		return Verdict{}
	}
	behind := edge.minus(l.Centre).dot(d.Push)
	v := Verdict{Needs: l.Mass * math.Max(0, asked-behind/up), Toward: k, Direction: d.Name + ", against tipping"}
	for i := range l.Ties {
		t := &l.Ties[i]
		sum := 0.0
		for _, e := range t.Ends {
			arm := e.Hold.minus(edge)
			// Turning back about the edge: what pulls down behind it, what pulls back above it.
			sum += e.Along[2]*arm.dot(d.Push) - e.Along.dot(d.Push)*arm[2]
		}
		switch {
		case t.Over && sum < 0: // drawn tight it pulls over the edge: no factor makes that less
			v.Has += sum * t.Pull / up
		case t.Over:
			v.Has += sum * t.Pull / up / safe
		case sum > 0:
			v.Has += sum * t.Limit / up / safe
		}
	}
	return v
}

// Performance is 49 CFR 393.102 in figures: straps against 0.8, 0.5 and 0.5 g by their
// breaking strength, against 0.435, 0.5 and 0.25 g by their limits, friction counted, and
// their pull presses it down by a fifth of its weight where nothing contains it. What
// meets 393.106 to 393.136 is held to meet this (393.102(c)).
func Performance(l *Load) Verdict {
	mu := l.Grip.Low
	worst := Verdict{Has: math.Inf(1)}
	broken := *l
	broken.Ties = append([]Tie(nil), l.Ties...)
	for i := range broken.Ties {
		broken.Ties[i].Limit = broken.Ties[i].Break
	}
	for k, d := range Directions[:4] {
		of := func(a norms.Asked) float64 { return [4]float64{a.Forward, a.Rearward, a.Sideways, a.Sideways}[k] }
		worst.take(
			Verdict{
				Has:       restraint(&broken, d.Push, mu, mu, 1) + l.Blocks[k],
				Needs:     l.Mass * math.Max(0, of(norms.AskBreaking)-mu),
				Toward:    k,
				Direction: d.Name + ", breaking",
			},
		)
		worst.take(
			Verdict{
				Has:       restraint(l, d.Push, mu, mu, 1) + l.Blocks[k],
				Needs:     l.Mass * math.Max(0, of(norms.AskWorking)-mu),
				Toward:    k,
				Direction: d.Name + ", working",
			},
		)
	}
	down := Verdict{Needs: norms.HoldDown * l.Mass, Toward: -1, Direction: "down"}
	for i := range l.Ties {
		down.Has += l.Ties[i].Pull * l.Ties[i].down()
	}
	worst.take(down)
	return worst
}

// Guides are the Australian and New Zealand guides' performance: 0.8 g forward, 0.5 g
// rearward and sideways, while 0.2 of the weight is taken off the floor.
func Guides(l *Load) Verdict {
	mu := l.Grip.Low
	worst := Verdict{Has: math.Inf(1)}
	for k, d := range Directions[:4] {
		needs := l.Mass * math.Max(0, d.Asked-mu*(1-norms.Ask.Upward))
		worst.take(
			Verdict{Has: restraint(l, d.Push, mu, mu, 1) + l.Blocks[k], Needs: needs, Toward: k, Direction: d.Name},
		)
	}
	return worst
}
