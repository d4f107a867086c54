package ramp

import (
	"math"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Figures of practice of a winch that is worked by a lever (confidence C).
const (
	leverPush  = 250.0       // N, stroke by stroke
	usualSwing = math.Pi / 3 // rad of a stroke
	strokeTime = 2.0         // s
	drumSpare  = 1.5         // times the line's thickness that a flange stands over it
	manyStroke = 300.0       // strokes from which it is stated to be long
)

// LeverPush is the push on a lever of length l, N, for a line's pull F (N) off a drum of radius ρ:
// F·ρ/(l·η).
func LeverPush(force, radius, handle float64) float64 {
	return force * radius / (handle * norms.CrankKeeps)
}

// Strokes is how many strokes of φ (rad) a way takes off a drum of radius ρ: s/(ρ·φ).
func Strokes(way, radius, stroke float64) float64 { return way / (radius * stroke) }

// lever judges the push on a winch's lever, and tells its strokes.
func (s *Setup) lever(most float64, at *Step) finding.Finding {
	w, radius := s.Loading.Winch, s.radius(at)
	f := s.base(CodeLever, "Hand on the lever")
	f.Source = norms.Practice("250 N stroke by stroke, a fifth rubs away")
	swing := usualSwing
	if w.Lever.Stroke > 0 {
		swing = w.Lever.Stroke
	}
	way := s.Home - s.Start
	if w.Block {
		way *= 2
	}
	n := math.Ceil(Strokes(way, radius, swing))
	f.AtMost(quantity.KindForce, LeverPush(most*quantity.Gravity, radius, float64(w.Lever.Handle)), leverPush)
	if f.Outcome == finding.Fails { // it is hard, not wrong
		f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	}
	if f.Figure == nil {
		f.Says = said.Say("What the lever takes is not known.")
		f.Needs = []finding.Need{
			{Path: s.Rig.LayoutPath("/loading/winch/lever/handle"), Says: said.Say("the handle's length"),
				Where: said.Say("Tape from the drum's middle to the hand.")},
		}
		return f
	}
	f.Says = said.Say("The lever takes %, % strokes, about %.", said.Of(quantity.KindForce, f.Figure.Value),
		said.Count(int(n)), said.Of(quantity.KindTime, n*strokeTime))
	fuller, untold := s.fuller(at)
	switch {
	case f.Outcome == finding.Tight:
		f.Says = append(f.Says, said.Say(" Heavy: use a block at the machine, or longer ramps.")...)
	case f.Figure.Value > fuller*leverPush:
		onFullDrum(&f, f.Figure.Value/fuller, untold)
	case n > manyStroke:
		f.Says = append(f.Says, said.Say(" Hold it with a chock while you rest.")...)
	}
	return f
}

// onFullDrum makes tight what a hand pushes on a drum that may be fuller than is stated.
func onFullDrum(f *finding.Finding, push float64, untold []finding.Need) {
	f.Outcome, f.Tight, f.Needs = finding.Tight, finding.GuessTooRough, untold
	f.Says = append(f.Says, said.Say(" On a full drum it is about %.", said.Of(quantity.KindForce, push))...)
}

// Wound is how far across a line lies when it is all on the drum, m, and in how many layers: a strap
// (width zero) one lap to a layer, π·(R² − D²/4) = l·t; a rope w/t turns to a layer, layer by layer.
func Wound(drum, thick, length, width float64) (across float64, layers int) {
	if width <= 0 {
		r := math.Sqrt(drum*drum/4 + length*thick/math.Pi)
		return 2 * r, int(math.Ceil((r - drum/2) / thick))
	}
	turns := math.Max(1, math.Floor(width/thick))
	left, d := length, drum
	for left > 1e-9 && layers < 200 {
		left -= turns * math.Pi * (d + thick)
		d += 2 * thick
		layers++
	}
	return d, layers
}

// drum tells whether the line stays between the flanges.
func (s *Setup) drum() finding.Finding {
	w := s.Loading.Winch
	f := s.base(CodeDrum, "Line on its drum")
	f.Source = norms.Practice("flanges stand one and a half times the line over it")
	width := 0.0
	if w.Wide != nil {
		width = float64(*w.Wide)
	}
	across, layers := Wound(float64(w.Drum), float64(w.Line), float64(*w.Reach), width)
	f.AtMost(quantity.KindLength, across+2*drumSpare*float64(w.Line), float64(*w.Flange))
	f.Says = said.Say(
		"% of line lies in % layers, % across; the flanges measure %.",
		said.Length(*w.Reach),
		said.Count(layers),
		said.Length(across),
		said.Length(*w.Flange),
	)
	if f.Outcome == finding.Fails {
		f.Says = append(f.Says, said.Say(" It climbs off: shorten it, or use a wider drum.")...)
	}
	return f
}
