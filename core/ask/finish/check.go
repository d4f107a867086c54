package finish

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Codes of the findings made here.
const (
	CodeWay    = "finish.way"
	CodeHidden = "finish.hidden"
	CodeDew    = "finish.dew"
	CodeAir    = "finish.air"
	CodeDeck   = "finish.deck"
)

func base(r *rig.Rig, code, title, field string) finding.Finding {
	return finding.Finding{
		Code: code, Stage: Stage, Scope: r.Scope, Title: said.Say(title), Outcome: finding.Holds,
		Subject: "/trailers/" + r.Scope.Trailer + "/finish/" + field, Source: norms.Practice("paint and zinc on light trailers"),
	}
}

func need(f finding.Finding, r *rig.Rig, field, says, where string) finding.Finding {
	f.Outcome, f.Says = finding.Unknown, said.Say("Not known: "+says+".")
	f.Needs = []finding.Need{
		{Path: "/trailers/" + r.Scope.Trailer + "/finish/" + field, Says: said.Say(says), Where: said.Say(where)},
	}
	return f
}

// Check judges the finish of a trailer that has one.
func Check(r *rig.Rig) (out []finding.Finding) {
	if r == nil || r.Trailer.Finish == nil {
		return nil
	}
	f, a := r.Trailer.Finish, AreasOf(r)
	for _, ask := range []func(*rig.Rig, *plan.Finish, *Areas) (finding.Finding, bool){way, hidden, dew, air, deck} {
		if x, is := ask(r, f, &a); is {
			out = append(out, x)
		}
	}
	return out
}

// way asks whether the way suits what the frame is of.
func way(r *rig.Rig, f *plan.Finish, a *Areas) (finding.Finding, bool) {
	x := base(r, CodeWay, "The way chosen", "way")
	c, ok := norms.CoatOf(string(f.Way))
	if !ok || !a.Ferric && a.Other == "" {
		return x, false
	}
	if no := cannot(&c, a); no != nil {
		x.Outcome, x.Says = finding.Fails, append(
			no,
			said.Say(" Choose another way, or leave those members out of it.")...)
		return x, true
	}
	x.Says = said.Say("% suits this frame.", said.Piece{Text: upper(c.Name)})
	if f.Way == plan.FinishDip && !r.Trailer.Frame.Dipped {
		x.Outcome, x.Tight = finding.Tight, finding.LittleRoom
		x.Says = append(
			x.Says,
			said.Say(
				" Its vents and the size of the bath have not been checked yet: under Frame, say that it will be dipped.",
			)...)
	}
	return x, true
}

func upper(s string) string {
	if s == "" {
		return s
	}
	return string(s[0]-'a'+'A') + s[1:]
}

// hidden says what must be painted before it is hidden.
func hidden(r *rig.Rig, f *plan.Finish, a *Areas) (finding.Finding, bool) {
	x := base(r, CodeHidden, "Faces that will be hidden", "way")
	if f.Way != plan.FinishPaint && f.Way != plan.FinishLiner && f.Way != plan.FinishPregal || !(a.Hidden > 0.05) {
		return x, false
	}
	x.Compares = true
	x.Figure = finding.Exactly(quantity.KindArea, a.Hidden)
	x.Says = said.Say(
		"% of faces lie against each other: prime them before they are joined, and under the deck before it is laid, but not where a weld goes.",
		said.Of(quantity.KindArea, a.Hidden),
	)
	return x, true
}

// dew asks whether the steel is warm enough over the dew point: T_steel − T_d against 3 K.
func dew(r *rig.Rig, f *plan.Finish, _ *Areas) (finding.Finding, bool) {
	x := base(r, CodeDew, "Dew on the steel", "humid")
	if f.Air == nil && f.Humid == nil {
		return x, false
	}
	x.Source = &norms.DewSource
	switch {
	case f.Air == nil:
		return need(x, r, "air", "the temperature of the air", "A thermometer in the shade."), true
	case f.Humid == nil:
		return need(x, r, "humid", "the humidity of the air", "A hygrometer, or the forecast."), true
	}
	steel, guessed := float64(*f.Air), true
	if f.Steel != nil {
		steel, guessed = float64(*f.Steel), false
	}
	at, ok := norms.DewPoint(float64(*f.Air), *f.Humid)
	if !ok {
		return need(x, r, "humid", "a humidity between zero and 100 %", "A hygrometer, or the forecast."), true
	}
	over := steel - at
	x.Says = said.Say(
		"The dew point is %; the steel at % is ",
		said.Of(quantity.KindTemperature, at),
		said.Of(quantity.KindTemperature, steel),
	)
	switch {
	case over < norms.OverDew-1e-9:
		x.Outcome = finding.Fails
		x.Says = append(
			x.Says,
			said.Say("less than [3 K] above it: there is water on it that you cannot see. Wait, or warm it.")...)
	case guessed:
		x.Outcome, x.Tight = finding.Tight, finding.GuessTooRough
		x.Says = append(
			x.Says,
			said.Say(
				"% above it, if it is as warm as the air. In the morning it is colder: hold a thermometer to it.",
				said.Of(quantity.KindDifference, over),
			)...)
	default:
		x.Says = append(x.Says, said.Say("% over it.", said.Of(quantity.KindDifference, over))...)
	}
	return x, true
}

// air asks whether the air suits the tin.
func air(r *rig.Rig, f *plan.Finish, _ *Areas) (finding.Finding, bool) {
	x := base(r, CodeAir, "The air for painting", "air")
	if f.Air == nil || f.Way == plan.FinishDip || f.Way == plan.FinishBare {
		return x, false
	}
	least, most := leastAir, mostHumid
	known := f.Least != nil
	if known {
		least = float64(*f.Least)
	}
	if f.Wettest != nil {
		most = *f.Wettest
	}
	x.Figure, x.Limit = finding.Exactly(
		quantity.KindTemperature,
		*f.Air,
	), finding.Exactly(
		quantity.KindTemperature,
		least,
	)
	switch {
	case float64(*f.Air) < least:
		x.Outcome = finding.Fails
		x.Says = said.Say("At % the paint does not cure: it needs % at least. Wait for a warmer day.",
			said.Of(quantity.KindTemperature, *f.Air), said.Of(quantity.KindTemperature, least))
	case f.Humid != nil && *f.Humid > most+1e-9:
		x.Outcome = finding.Fails
		x.Says = said.Say("The air is too damp: %, and the limit is %.", said.Share(*f.Humid), said.Share(most))
	default:
		c, ok := norms.CoatOf(string(f.Way))
		if !ok {
			c, _ = norms.CoatOf("paint")
		}
		h := c.Recoat[1]
		if f.Recoat != nil {
			h = float64(*f.Recoat) / 3600
		}
		x.Says = said.Say(
			"Warm enough. Put on the next coat after about %.",
			said.Of(quantity.KindTime, h*norms.Slower(float64(*f.Air))*3600),
		)
		if f.RecoatMost != nil {
			x.Says = append(
				x.Says,
				said.Say(" Do it within %, or sand it first.", said.Of(quantity.KindTime, *f.RecoatMost))...)
		}
		if !known {
			x.Outcome, x.Tight = finding.Tight, finding.GuessTooRough
			x.Says = append(x.Says, said.Say(" The tin’s lowest temperature is not entered.")...)
		}
		if f.Humid == nil {
			x.Outcome, x.Tight = finding.Tight, finding.GuessTooRough
			x.Says = append(x.Says, said.Say(" The humidity of the air is not entered.")...)
		}
	}
	return x, true
}

// deck says what treated timber does.
func deck(r *rig.Rig, f *plan.Finish, a *Areas) (finding.Finding, bool) {
	x := base(r, CodeDeck, "Treated timber", "deckBy")
	if f.DeckBy != plan.DeckTreated {
		return x, false
	}
	x.Outcome, x.Tight = finding.Tight, finding.LittleRoom
	x.Says = said.Say(
		"Its salts eat plain steel and aluminium: use stainless or hot-dip screws, with a strip of felt or paint between.",
	)
	if a.Other != "" {
		x.Says = append(x.Says, said.Say(" Worst on %.", said.Piece{Text: a.Other})...)
	}
	x.Says = append(x.Says, said.Say(" Let it dry for weeks before oil or paint.")...)
	return x, true
}
