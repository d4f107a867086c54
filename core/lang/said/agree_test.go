package said_test

import (
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

func TestVerbsAgree(t *testing.T) {
	name := func(s string) said.Piece { return said.Name(s, "it") }
	for want, says := range map[string]said.Sentence{
		"Mower is held.":                               said.Say("% is held.", name("Mower")),
		"20 bags of topsoil are held.":                 said.Say("% is held.", name("20 bags of topsoil")),
		"Hives (old) have no tier yet.":                said.Say("% has no tier yet.", name("Hives (old)")),
		"Whether 4 kayaks stand where they are drawn":  said.Say("Whether % stands where they are drawn", name("4 kayaks")),
		"Find where the weight of Kayaks lies: weigh":  said.Say("Find where the weight of % lies: weigh", name("Kayaks")),
		"Whether the latch of Doors holds is unknown.": said.Say("Whether the latch of % holds is unknown.", name("Doors")),
		"It tips. Then Boards fail: so":                said.Say("It tips. Then % fails: so", name("Boards")),
		"Boxes weigh as much as Hives themselves.":     said.Say("% weighs as much as % itself.", name("Boxes"), name("Hives")),
		"Gas is out, Canvas is wet":                    said.Say("% is out, % is wet", name("Gas"), name("Canvas")),
		"750 kg trailer stands level":                  said.Say("% stands level", name("750 kg trailer")),
		"Chassis is bent":                              said.Say("% is bent", name("Chassis")),
		"it is held":                                   said.Say("% is held", name("")),
		"Boards reach 2000 mm beyond":                  said.Say("% reaches % beyond", name("Boards"), said.Length(2.0)),
		"Boards stay.":                                 said.Say("% stays.", name("Boards")),
		"Boards isolate":                               said.Say("% isolate", name("Boards")),
		"James’s is red":                               said.Say("% is red", name("James’s")),
	} {
		if got := says.Text(quantity.Locale{Units: quantity.Metric, Region: quantity.UK}); got != want {
			t.Errorf("%q, not %q", got, want)
		}
	}
}

func TestFirstSentence(t *testing.T) {
	l := quantity.Locale{Units: quantity.Metric, Region: quantity.UK}
	for want, says := range map[string]said.Sentence{
		"It hangs by 2 mm.": said.Say("It hangs by %. Longer ramps.", said.Length(0.002)),
		"Only one.":         said.Say("Only one."),
		"Weigh it.":         append(said.Say("Weigh it"), said.Say(". Then % again. And on.", said.Mass(3.0))...),
	} {
		if got := says.First().Text(l); got != want {
			t.Errorf("%q, not %q", got, want)
		}
	}
}
