package trouble_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/ask/trouble"
	"zygonos/core/facts/ailments"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

func marks(ids ...string) map[string]bool {
	out := map[string]bool{}
	for _, id := range ids {
		out[id] = true
	}
	return out
}

// Cases as people tell them, with what it was: it stands first, or among the first two where another is as likely.
func TestAuthored(t *testing.T) {
	for _, c := range []struct {
		signs []string
		yes   []string
		no    []string
		cause string
		place int // that it must reach
	}{
		{[]string{"snakes"}, []string{"ballLow"}, nil, "low-ball", 1},
		{[]string{"snakes", "noseHigh"}, nil, nil, "low-ball", 1},
		{[]string{"snakes"}, []string{"pressureLow"}, []string{"ballLow"}, "soft-tyre", 1},
		{[]string{"tailLow"}, []string{"ballHigh"}, nil, "high-ball", 1},
		{[]string{"hops", "middleWorn"}, nil, nil, "hard-tyres", 1},
		{[]string{"hops", "bounces"}, nil, nil, "undamped", 1},
		{[]string{"cupped", "hops"}, []string{"bouncesOn"}, nil, "undamped", 1},
		{[]string{"hubHot", "rumbles"}, nil, nil, "bearing", 1},
		{[]string{"hubHot"}, []string{"play"}, []string{"wheelStiff"}, "bearing", 1},
		{[]string{"hubHot", "brakeDrags"}, nil, nil, "brake-drags", 1},
		{[]string{"hubHot", "smell"}, []string{"wheelStiff"}, []string{"play"}, "brake-drags", 1},
		{[]string{"wobbles"}, []string{"nutsLoose"}, nil, "loose-wheel", 1},
		{[]string{"dogTracks"}, nil, nil, "axle-askew", 1},
		{[]string{"dogTracks", "leans"}, []string{"springSeen"}, nil, "broken-spring", 1},
		{[]string{"innerWorn"}, []string{"rimTilt"}, nil, "axle-bent", 1},
		{[]string{"feathered"}, []string{"toeOff"}, []string{"axleOff"}, "toe", 1},
		{[]string{"leans", "oneTyreHot"}, []string{"sideHeavy"}, nil, "one-side", 1},
		{[]string{"rattles"}, []string{"mountMoves"}, nil, "mount-play", 1},
		{[]string{"rattles"}, []string{"guardLoose"}, []string{"mountMoves"}, "loose-part", 1},
		{[]string{"clunks"}, nil, nil, "mount-play", 2},
		{[]string{"clunks"}, []string{"headLifts"}, []string{"mountMoves"}, "head-play", 1},
		{[]string{"jerks", "clunks"}, []string{"shaftLoose"}, nil, "overrun", 1},
		{[]string{"squeaks"}, nil, nil, "dry-springs", 1},
		{[]string{"flickers"}, []string{"plugMoves"}, nil, "plug", 1},
		{[]string{"flickers"}, nil, nil, "poor-earth", 2},
		{[]string{"fuseBlows"}, nil, nil, "chafed", 1},
		{[]string{"vibrates"}, []string{"bulge"}, nil, "broken-tyre", 1},
		{[]string{"edgesWorn"}, nil, nil, "soft-tyre", 1},
		{[]string{"bottoms"}, []string{"massOver"}, nil, "overloaded", 1},
		{[]string{"noBrake"}, nil, nil, "brake-worn", 1},
	} {
		seen := marks(c.yes...)
		for _, id := range c.no {
			seen[id] = false
		}
		o := trouble.Find(&trouble.Case{Signs: marks(c.signs...), Seen: seen})
		place := 0
		for i, s := range o.Suspects {
			if s.ID == c.cause {
				place = i + 1
			}
		}
		if place == 0 || place > c.place {
			t.Errorf("%v %v: %s stands %d: %+v", c.signs, c.yes, c.cause, place, o.Suspects)
		}
	}
}

// The table speaks of signs and looks that there are, every cause shows something and is kept apart by something.
func TestTable(t *testing.T) {
	signs, looks, shown, asked := map[string]bool{}, map[string]bool{}, map[string]bool{}, map[string]bool{}
	for _, s := range ailments.Signs {
		signs[s.ID] = true
	}
	for _, l := range ailments.Looks {
		looks[l.ID] = true
	}
	for _, c := range ailments.Causes {
		if len(c.Shows) == 0 || len(c.Proves) == 0 || !(c.Prior > 0) || c.Do == "" {
			t.Errorf("%s is not whole", c.ID)
		}
		for id, p := range c.Shows {
			shown[id] = true
			if !signs[id] || p <= 0 || p >= 1 {
				t.Errorf("%s shows %s %v", c.ID, id, p)
			}
		}
		for id, p := range c.Proves {
			asked[id] = true
			if !looks[id] || p <= 0 || p >= 1 {
				t.Errorf("%s: look %s %v", c.ID, id, p)
			}
		}
	}
	if len(shown) != len(signs) || len(asked) != len(looks) {
		t.Errorf("%d of %d signs, %d of %d looks are used", len(shown), len(signs), len(asked), len(looks))
	}
}

// What ends a drive stands first, whatever it is; nothing is ever claimed for sure; every chance is a share.
func TestStopsAndShares(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	for range 2000 {
		c := &trouble.Case{Signs: map[string]bool{}, Seen: map[string]bool{}}
		stops := false
		for _, s := range ailments.Signs {
			if r.Float64() < 0.1 {
				c.Signs[s.ID] = true
				stops = stops || s.Stop != ""
			}
		}
		for _, l := range ailments.Looks {
			if r.Float64() < 0.15 {
				c.Seen[l.ID] = r.IntN(2) == 0
				stops = stops || c.Seen[l.ID] && l.Stop != ""
			}
		}
		o := trouble.Find(c)
		if stops != (len(o.Stop) > 0) {
			t.Fatalf("%+v: stop %v", c, o.Stop)
		}
		sum := 0.0
		for _, s := range o.Suspects {
			sum += s.Likely.Value
			if !(s.Likely.Value > 0) || s.Likely.Value > 0.95 || math.IsNaN(s.Likely.Value) {
				t.Fatalf("%+v", s)
			}
		}
		if sum > 1.03 || o.Says.Text(quantity.Locale{}) == "" {
			t.Fatalf("%v: %s", sum, o.Says.Text(quantity.Locale{}))
		}
		for _, l := range o.Next {
			if _, seen := c.Seen[l.ID]; seen != (l.Seen != "") {
				t.Fatalf("%+v is asked again", l)
			}
		}
	}
}

// Whatever a cause does, asking what it says to ask finds it: with answers as the cause has them, it comes first in nine of ten.
func TestQuestionsFind(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 6))
	found, of := 0, 0
	for range 40 {
		for _, cause := range ailments.Causes {
			c := &trouble.Case{Signs: map[string]bool{}, Seen: map[string]bool{}}
			for id, p := range cause.Shows {
				if p > 0.55 || r.Float64() < p {
					c.Signs[id] = true
				}
			}
			for range 8 {
				o := trouble.Find(c)
				if len(o.Next) == 0 || o.Next[0].Seen != "" {
					break
				}
				p, ok := cause.Proves[o.Next[0].ID]
				if !ok {
					p = ailments.UsualYes
				}
				c.Seen[o.Next[0].ID] = r.Float64() < p
			}
			of++
			if o := trouble.Find(c); len(o.Suspects) > 0 && o.Suspects[0].ID == cause.ID {
				found++
			}
		}
	}
	if share := float64(found) / float64(of); share < 0.85 {
		t.Errorf("found %v", share)
	} else {
		t.Logf("found %v of %d", share, of)
	}
}

// A figure of the plan raises its cause and says so; what was looked at today counts instead of it; a trailer without brakes has
// no brake that drags.
func TestHints(t *testing.T) {
	likely := func(o *trouble.Opinion, id string) float64 {
		for _, s := range o.Suspects {
			if s.ID == id {
				return s.Likely.Value
			}
		}
		return 0
	}
	hint := trouble.Hint{Look: "ballLow", Yes: true, Says: said.Say("The last three trips had 31 kg on the ball.")}
	plain := trouble.Find(&trouble.Case{Signs: marks("snakes")})
	hinted := trouble.Find(&trouble.Case{Signs: marks("snakes"), Hints: []trouble.Hint{hint}})
	if likely(hinted, "low-ball") <= likely(plain, "low-ball") || len(hinted.Hints) != 1 {
		t.Errorf("%v, was %v", likely(hinted, "low-ball"), likely(plain, "low-ball"))
	}
	seen := trouble.Find(&trouble.Case{Signs: marks("snakes"), Seen: map[string]bool{"ballLow": false}, Hints: []trouble.Hint{hint}})
	without := trouble.Find(&trouble.Case{Signs: marks("snakes"), Seen: map[string]bool{"ballLow": false}})
	if likely(seen, "low-ball") != likely(without, "low-ball") {
		t.Error("an answer of today is held down by the plan")
	}
	none := trouble.Find(&trouble.Case{Signs: marks("hubHot"), Has: func(n string) bool { return n != "brakes" }})
	if likely(none, "brake-drags") != 0 || none.Suspects[0].ID != "bearing" {
		t.Errorf("%+v", none.Suspects)
	}
}
