package frame

import (
	"math"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/parts"
	"zygonos/core/plan"
)

// CodeBolts is the code of the finding on bolted joints.
const CodeBolts = "frame.bolts"

// Figures of EN 1993-1-8, table 3.4, and of practice (C).
const (
	holeShare = 0.66 // α_b with two diameters from hole to edge
	ultimate  = 1.15 // of yield, at least
	boltWorks = 1.5  // a bolt's and its hole's resistance over what it is used to
)

// bolts judges bolted ends over all cases: each bolt shears by its share of the force and by the moment over
// the distance of the bolts, and presses on its hole; false where nothing is bolted. A joint whose bolts are
// not stated is not known, since its members hold no better than they do.
func (j *judged) bolts() (finding.Finding, bool) {
	f := base(j.r, CodeBolts, "Bolted joints")
	f.Source = &finding.Source{Title: "EN 1993-1-8", Clause: "table 3.4", AsOf: "2005", Confidence: "A"}
	if len(j.answers) == 0 {
		return f, false // the other findings say why
	}
	worst, at, any := 0.0, -1, false
	for i := range j.m.bars {
		b := &j.m.bars[i]
		m := &b.Member
		joints := [2]plan.MemberJoint{jointOf(b, m.FromJoint), jointOf(b, m.ToJoint)}
		if !slices.Contains(joints[:], plan.JointBolt) {
			continue
		}
		any = true
		if m.Bolts < 1 || m.Bolt <= 0 {
			f.Outcome, f.Subject = finding.Unknown, j.path(i)
			f.Says = said.Say("What the bolts of % bear is not known.", j.name(i))
			f.Needs = []finding.Need{{
				Path: j.path(i) + "/bolts", Says: said.Say("how many bolts, how thick, how far apart"),
				Where: said.Say("Count those of one end; the grade stands on the head."),
			}}
			return f, true
		}
		ends := j.ends(i)
		if len(ends) != 2 {
			continue
		}
		for k, joint := range joints {
			if joint != plan.JointBolt {
				continue
			}
			if share := boltUse(b, ends[k].Force.Value, ends[k].Moment.Value); share > worst || at < 0 {
				worst, at = share, i
			}
		}
	}
	if !any || at < 0 {
		return f, false
	}
	f.Subject = j.path(at)
	if math.IsInf(worst, 1) {
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"% hangs on one bolt, or on bolts in one place: they carry no bending. Use two rows apart, or enter it as a hinge.",
			j.name(at),
		)
		return f, true
	}
	f.AtMost(quantity.KindShare, worst, 1)
	f.Says = said.Say(
		"The bolts of % are loaded to % of what they and their holes take.",
		j.name(at),
		said.Share(math.Round(worst*100)/100),
	)
	if _, known := norms.BoltOf(j.m.bars[at].Member.BoltGrade); !known && f.Outcome == finding.Holds {
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" Their grade is not entered; the weakest is assumed.")...)
	}
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" Use more or thicker bolts, farther apart, or a thicker wall.")...)
	}
	return f, true
}

// boltUse is what the worst bolt of an end takes of its strength: F/n + M/(g·n/2) against what it shears at
// and what its hole bears, 2.5·α_b·f_u·d·t/1.25, both over 1.5; infinite where bolts in one place should
// carry a moment.
func boltUse(b *parts.FrameBar, force, moment float64) float64 {
	m := &b.Member
	n, gauge := float64(m.Bolts), float64(m.BoltGauge)
	each := force / n
	switch {
	case moment < 1: // N·m: nothing to speak of
	case m.Bolts < 2 || gauge <= 0:
		return math.Inf(1)
	default:
		each += moment / (gauge * math.Floor(n/2))
	}
	bolt, _ := norms.BoltOf(m.BoltGrade)
	wall := float64(m.Profile.Wall)
	if wall <= 0 { // solid
		wall = b.Wide
	}
	hole := 2.5 * holeShare * ultimate * b.Stock.Yield * float64(m.Bolt) * wall / 1.25
	return each / (math.Min(bolt.ShearOf(float64(m.Bolt)), hole) / boltWorks)
}
