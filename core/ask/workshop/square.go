// Package workshop answers whether what is put together is square and level and whether its axle runs true, from what was
// taped, and what to push, shim or shift. Formulas: docs/method/workshop.md.
package workshop

import (
	"errors"
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/survey"
)

// Stage under which the findings stand.
const Stage = "workshop"

// Codes of the findings made here.
const (
	CodeSquare   = "workshop.square"
	CodeTriangle = "workshop.triangle"
	CodeLevel    = "workshop.level"
	CodeAxle     = "workshop.axle"
	CodeTandem   = "workshop.tandem"
	CodeToe      = "workshop.toe"
	CodeSleeve   = "workshop.sleeve"
)

// Figures of practice (confidence C).
const (
	tape      = 0.001 // m, the doubt of a reading
	skewOften = 0.003 // of the length, m a metre, that a frame may be off square
	twistMay  = 0.002 // of the diagonal, m a metre
	misfits   = 3.0   // standard deviations
	tailMay   = 0.020 // m that a tail may run beside
	tailBad   = 0.060
	scrubMay  = 0.003 // of the way
	scrubBad  = 0.010
)

func base(r *rig.Rig, code, title, field string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Title: said.Say(title), Outcome: finding.Holds,
		Subject: "/trailers/" + r.Scope.Trailer + "/workshop/" + field,
		Source:  norms.Practice("least squares over what was taped"),
	}
}

func need(r *rig.Rig, f finding.Finding, field, says, where string) finding.Finding {
	f.Outcome, f.Figure, f.Limit = finding.Unknown, nil, nil
	f.Says = said.Say("Not known: " + says + ".")
	f.Needs = []finding.Need{{
		Path: "/trailers/" + r.Scope.Trailer + "/workshop/" + field, Says: said.Say(says), Where: said.Say(where),
	}}
	return f
}

// Check judges what was taped.
func Check(r *rig.Rig) (out []finding.Finding) {
	w := r.Trailer.Workshop
	if w == nil {
		return nil
	}
	if w.Square != nil {
		out = append(out, square(r, w.Square)...)
	}
	if w.Level != nil {
		out = append(out, level(r, w.Level))
	}
	if w.Axle != nil {
		out = append(out, axle(r, w.Axle)...)
	}
	if f, is := sleeve(r); is {
		out = append(out, f)
	}
	return out
}

// tapedOf are the lengths that were read.
func tapedOf(q *plan.SquareTaped) (out []survey.Taped) {
	for _, t := range []struct {
		side survey.Side
		v    *quantity.Length
	}{
		{survey.Front, q.Front}, {survey.Right, q.Right}, {survey.Rear, q.Rear}, {survey.Left, q.Left},
		{survey.DiagonalA, q.FromFL}, {survey.DiagonalB, q.FromFR},
	} {
		if t.v != nil {
			out = append(out, survey.Taped{Side: t.side, Length: float64(*t.v)})
		}
	}
	return out
}

func doubtOf(v *quantity.Length) float64 {
	if v != nil && *v > 0 {
		return float64(*v)
	}
	return tape
}

// square says how far off square the corners are, which way to push them, and whether it matters.
func square(r *rig.Rig, q *plan.SquareTaped) (out []finding.Finding) {
	f := base(r, CodeSquare, "Square", "square")
	s, err := survey.NewSquare(tapedOf(q), doubtOf(q.Tape))
	switch {
	case errors.Is(err, survey.ErrFew):
		f = need(
			r,
			f,
			"square",
			"five of the six lengths",
			"At least four sides and a diagonal; both diagonals are better.",
		)
	case err != nil:
		f.Outcome = finding.Fails
		f.Says = said.Say("No four corners have these lengths. One of them is misread or mistyped.")
	case s.Misfit > misfits:
		f.Outcome = finding.Unknown
		f.Says = said.Say(
			"The six lengths do not agree: they are off by % times what the tape can explain. Tape the diagonals and the longest side again; a twisted frame is not the reason.",
			said.Of(quantity.KindCount, math.Round(s.Misfit)),
		)
		f.Needs = []finding.Need{
			{
				Path:  f.Subject,
				Says:  said.Say("lengths that agree"),
				Where: said.Say("Tape them again, with the hook on the same edge."),
			},
		}
	default:
		f = pushed(f, s)
	}
	out = append(out, f)
	if q.LegA != nil && q.LegB != nil && q.Across != nil {
		out = append(out, triangle(r, q))
	}
	return out
}

// pushed says what to push. Twice the doubt is what may as well be nothing.
func pushed(f finding.Finding, s *survey.Square) finding.Finding {
	skew := math.Abs(s.Skew)
	limit := skewOften * s.Length
	low, high := math.Max(0, skew-2*s.SkewDoubt), skew+2*s.SkewDoubt
	f.Figure = &finding.Measure{Kind: quantity.KindLength, Value: skew, Low: &low, High: &high}
	f.Limit = finding.Exactly(quantity.KindLength, limit)
	side, corner := "right", "rear right corner towards the front left"
	if s.Skew < 0 {
		side, corner = "left", "rear left corner towards the front right"
	}
	if high <= 2*s.SkewDoubt+1e-12 || skew < 2*s.SkewDoubt {
		f.Says = said.Say("Square as far as the tape can show: within %.", said.Length(math.Max(0.001, high)))
	} else {
		f.Says = said.Say("The rear is % too far to the "+side+", give or take %. Push the "+corner+
			" until both diagonals read %: at the rear that is %.", said.Length(skew), said.Length(math.Max(0.001, 2*s.SkewDoubt)),
			said.Length(diagonal(s)), said.Length(skew))
	}
	if math.Abs(s.Taper) > 2*s.TaperDoubt+0.001 {
		f.Says = append(
			f.Says,
			said.Say(" It also tapers: the rear is "+wider(s.Taper)+" by %; pushing does not fix that.",
				said.Length(math.Abs(s.Taper)))...)
	}
	switch {
	case low > limit:
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
		f.Says = append(
			f.Says,
			said.Say(" An axle hung on these rails is turned by %; deck boards show it as a wedge.",
				said.Of(quantity.KindAngle, math.Atan2(skew, s.Length)))...)
	case high > limit:
		f.Outcome, f.Tight = finding.Tight, finding.GuessTooRough
		f.Says = append(f.Says, said.Say(" It matters from % up: tape with more care.", said.Length(limit))...)
	default:
		f.Says = append(f.Says, said.Say(" It matters from % up.", said.Length(limit))...)
	}
	return f
}

func diagonal(s *survey.Square) float64 {
	a, b := s.Diagonals()
	return (a + b) / 2
}

func wider(taper float64) string {
	if taper < 0 {
		return "narrower"
	}
	return "wider"
}

// triangle says what a reading across two legs tells of a corner.
func triangle(r *rig.Rig, q *plan.SquareTaped) finding.Finding {
	f := base(r, CodeTriangle, "A corner by a triangle", "square/across")
	a, b, c := float64(*q.LegA), float64(*q.LegB), float64(*q.Across)
	off, ok := survey.OffSquare(a, b, c)
	if !ok {
		f.Outcome, f.Says = finding.Fails, said.Say(
			"Legs of % and % and % across make no triangle.",
			said.Length(a),
			said.Length(b),
			said.Length(c),
		)
		return f
	}
	per := math.Tan(math.Abs(off)) // m a metre
	f.Figure, f.Limit = finding.Exactly(
		quantity.KindAngle,
		math.Abs(off),
	), finding.Exactly(
		quantity.KindAngle,
		math.Atan(skewOften),
	)
	way := "open"
	if off < 0 {
		way = "closed"
	}
	f.Says = said.Say("Square would read %. It is "+way+" by %: % on a metre.", said.Length(math.Hypot(a, b)),
		said.Of(quantity.KindAngle, math.Abs(off)), said.Length(math.Max(0.0005, per)))
	if per > skewOften {
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	return f
}
