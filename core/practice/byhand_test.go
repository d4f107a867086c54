package practice_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/practice"
)

// each gives cases of a topic with their right choice.
func each(t *testing.T, topic string, level int, n uint64, see func(c *practice.Case, right int)) {
	t.Helper()
	for seed := range n {
		c, ok := practice.Deal(topic, seed, level, nil)
		if !ok {
			t.Fatalf("%s %d: no case", topic, seed)
		}
		truth, _ := practice.Judge(topic, seed, level, nil, -1, 0)
		if truth.Correct || len(truth.Mistake) > 0 {
			t.Errorf("%s %d: no choice is taken for one: %+v", topic, seed, truth)
		}
		see(c, truth.Right)
	}
}

// Whether it holds, worked again from what is given: the sum against the plate, the moments about the axle against the window.
func TestHoldsByHand(t *testing.T) {
	for level := 1; level <= practice.Levels; level++ {
		said := map[string]int{}
		each(t, "holds", level, 60, func(c *practice.Case, right int) {
			plate, crate, lengths := figuresIn(c.Given[0]), figuresIn(c.Given[1]), figuresIn(c.Given[2])
			gross, empty, ball := plate[0], plate[1], plate[2]
			mass, long, at := crate[0], crate[1], crate[2]
			axle, front, low, high := lengths[0], lengths[1], lengths[2], lengths[3]
			all, press := empty+mass, ball+mass*(axle-front-at-long/2)/axle
			want := "It holds"
			switch {
			case all > gross:
				want = "Heavier than its plate"
			case press < low:
				want = "Too little on the ball"
			case press > high:
				want = "Too much on the ball"
			}
			got := text(c.Choices[right])
			if got != want {
				t.Errorf("%d: %s, want %s: %v of %v, %v of %v to %v", c.Seed, got, want, all, gross, press, low, high)
			}
			said[got]++
		})
		if len(said) < 3 {
			t.Errorf("level %d always ends alike: %v", level, said)
		}
	}
}

// How deep, worked again: what the plate leaves over wet density and area, to the half centimetre below.
func TestFillByHand(t *testing.T) {
	each(t, "fill", 2, 40, func(c *practice.Case, right int) {
		plate, bed, density := figuresIn(c.Given[0]), figuresIn(c.Given[1]), figuresIn(c.Given[2])
		want := (plate[0] - plate[1]) / (density[1] * bed[0] * bed[1])
		got := figuresIn(c.Choices[right])[0]
		if got > want+1e-9 || want-got > 0.005 || got > bed[2] {
			t.Errorf("%d: %v, want %v under %v", c.Seed, got, want, bed[2])
		}
		for i, o := range c.Choices {
			if v := figuresIn(o)[0]; i != right && math.Abs(v-got) < 0.19*got {
				t.Errorf("%d: %v lies too near to %v", c.Seed, v, got)
			}
		}
	})
}

// How many straps, worked again: half of the weight over the working limit, and one for each length begun: one to 5 feet, two to ten
// where nothing stops it ahead, or where a short thing weighs over 1100 lb.
func TestStrapsByHand(t *testing.T) {
	each(t, "straps", 2, 40, func(c *practice.Case, right int) {
		crate, strap := figuresIn(c.Given[0]), figuresIn(c.Given[1])
		mass, long, limit := crate[0], crate[1], strap[0]
		least := 1.0
		if long > 5*0.3048 || mass > 1100*0.45359237 {
			least = 2
		}
		want := math.Max(least, math.Ceil(mass/2/limit-1e-9))
		if got := figuresIn(c.Choices[right])[0]; got != want {
			t.Errorf("%d: %v, want %v for %v kg, %v m, %v each", c.Seed, got, want, mass, long, limit)
		}
	})
}

// Where two straps go, worked again from what is given, for the narrowest and the widest deck that is thrown:
// straight over, 0.2·(W + 4·pull·sin α)/W along or across; leaning against the push, 0.15·(W + 2T·c) + 2T·a
// over W, with T their limit, a along and c down; leaning with it, 0.15. A crate 0.8 m wide and 0.6 high,
// the deck from 1.2 to 1.5 m.
func TestWhereByHand(t *testing.T) {
	wins := map[string]int{}
	each(t, "where", 3, 60, func(c *practice.Case, right int) {
		crate, limit := figuresIn(c.Given[0]), figuresIn(c.Given[1])[0]
		mass, long := crate[0], crate[1]
		pull := math.Min(250, limit/2)
		truth, _ := practice.Judge("where", c.Seed, 3, nil, right, 0)
		got := map[byte]float64{}
		for _, w := range truth.Why[:4] {
			got[text(w)[0]] = figuresIn(w)[0]
		}
		within := func(letter byte, of func(out float64) float64) {
			a, b := of(0.2), of(0.35)
			if v := got[letter]; v < math.Min(a, b)-0.006 || v > math.Max(a, b)+0.006 {
				t.Errorf("%d: %c withstands %v, by hand %v to %v", c.Seed, letter, v, a, b)
			}
		}
		ask := text(c.Ask)
		letter := text(c.Choices[right])[:1]
		wins[ask+letter]++
		if strings.Contains(ask, "bend") {
			return
		}
		against, with := byte('B'), byte('C')
		if strings.Contains(ask, "uphill") {
			against, with = 'C', 'B'
		}
		if letter != string(against) {
			t.Errorf("%d: %s wins: %s", c.Seed, letter, ask)
		}
		within('A', func(out float64) float64 { return 0.2 * (mass + 4*pull*0.6/math.Hypot(out, 0.6)) / mass })
		within(against, func(out float64) float64 {
			d := math.Hypot(math.Hypot(out, 0.6), long)
			return (0.15*(mass+2*limit*0.6/d) + 2*limit*long/d) / mass
		})
		if v := got[with]; v > 0.2 {
			t.Errorf("%d: %c leans with the push and withstands %v", c.Seed, with, v)
		}
	})
	if len(wins) < 3 {
		t.Errorf("it always ends alike: %v", wins)
	}
	t.Log(wins)
}

// Out of square, worked again by the diagonals of a parallelogram; which way by the longer one.
func TestSquareByHand(t *testing.T) {
	each(t, "square", 2, 40, func(c *practice.Case, right int) {
		sides, diagonals := figuresIn(c.Given[0]), figuresIn(c.Given[1])
		a, b := diagonals[0], diagonals[1]
		want := math.Abs(a*a-b*b) / (4 * sides[1])
		got := figuresIn(c.Choices[right])[0]
		if math.Abs(got-want) > 0.0016 {
			t.Errorf("%d: %v, want %v", c.Seed, got, want)
		}
		// front left to rear right is longer: the rear stands to the right and goes to the left
		to := "left"
		if a < b {
			to = "right"
		}
		if !strings.Contains(text(c.Choices[right]), "to the "+to) {
			t.Errorf("%d: %s, want the %s", c.Seed, text(c.Choices[right]), to)
		}
	})
}

// A machine whose belly is higher than the wheels' radius clears whatever; one that hangs lower than the edge rises grounds: the
// core's drive-on against the rule of thumb, where both are far from the edge.
func TestRampByEye(t *testing.T) {
	sides := map[bool]int{}
	each(t, "ramp", 1, 60, func(c *practice.Case, right int) {
		ramp, machine := figuresIn(c.Given[0]), figuresIn(c.Given[1])
		rise := machine[0] * ramp[1] / ramp[0] / 4
		clears := text(c.Choices[right]) == "It clears"
		sides[clears]++
		if room := machine[1] - rise; math.Abs(room) > 0.07 && clears != (room > 0) {
			t.Errorf("%d: clears %v, but the belly has %v over %v", c.Seed, clears, machine[1], rise)
		}
	})
	if len(sides) < 2 {
		t.Errorf("it always ends alike: %v", sides)
	}
}

// What to ask the seller is never what is stated already.
func TestSellerAsks(t *testing.T) {
	words := map[string]string{"plate": "Its plate", "weigh empty": "Empty it weighs", "axle": "coupling to the axle"}
	each(t, "seller", 1, 20, func(c *practice.Case, right int) {
		ask := text(c.Choices[right])
		for word, told := range words {
			for _, g := range c.Given {
				if strings.Contains(ask, word) && strings.Contains(text(g), told) {
					t.Errorf("%d: %s, though told: %s", c.Seed, ask, text(g))
				}
			}
		}
	})
}
