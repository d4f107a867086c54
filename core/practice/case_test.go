package practice_test

import (
	"encoding/json"
	"os"
	"strings"
	"testing"
	"time"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
	"zygonos/core/practice"
)

func text(s said.Sentence) string { return s.Text(quantity.Locale{Region: quantity.UK}) }

// seeds is how many cases of a topic and level are made; make deep makes thousands.
func seeds(t *testing.T) uint64 {
	if os.Getenv("DEEP") != "" {
		return 2000
	}
	return 6
}

// Every maker over many seeds: a case with one right answer and wrong ones that read otherwise, a working, no figure that is none, the
// same again from the same seed, in good time.
func TestMakers(t *testing.T) {
	p := sample.Plan(t)
	for _, topic := range practice.Topics() {
		t.Run(topic.ID, func(t *testing.T) {
			t.Parallel()
			places := map[int]int{}
			for level := 1; level <= practice.Levels; level++ {
				for seed := range seeds(t) {
					began := time.Now()
					c, ok := practice.Deal(topic.ID, seed, level, p)
					if !ok {
						t.Fatalf("seed %d, level %d: no case", seed, level)
					}
					if d := time.Since(began); d > 2*time.Second {
						t.Errorf("seed %d: it takes %v", seed, d)
					}
					again, _ := practice.Deal(topic.ID, seed, level, p)
					a, err := json.Marshal(c)
					b, _ := json.Marshal(again)
					if err != nil || string(a) != string(b) {
						t.Fatalf("seed %d: %v, not the same again", seed, err)
					}
					if s := string(a); strings.Contains(s, "NaN") || strings.Contains(s, "Inf") || strings.Contains(s, "–") {
						t.Fatalf("seed %d: %s", seed, s)
					}
					if c.Figure != nil {
						figured(t, c, p)
						places[int(seed)]++
						continue
					}
					if len(c.Choices) < 2 || len(c.Choices) > 4 || text(c.Ask) == "" {
						t.Fatalf("seed %d: %+v", seed, c)
					}
					right := 0
					for i := range c.Choices {
						truth, ok := practice.Judge(topic.ID, seed, level, p, i, 0)
						if !ok || len(truth.Why) == 0 {
							t.Fatalf("seed %d: %+v", seed, truth)
						}
						if truth.Correct {
							right++
							places[i]++
							if truth.Right != i {
								t.Fatalf("seed %d: %+v", seed, truth)
							}
						} else if text(truth.Mistake) == "" {
							t.Errorf("seed %d: nothing says why “%s” is wrong", seed, text(c.Choices[i]))
						}
					}
					if right != 1 {
						t.Fatalf("seed %d: %d right answers", seed, right)
					}
				}
			}
			if len(places) < 2 {
				t.Errorf("the right one always stands at the same place: %v", places)
			}
		})
	}
}

// figured answers a case of a figure: what is right is stated with its working, is right when it is given and within the share that is
// stated, and wrong beyond.
func figured(t *testing.T, c *practice.Case, p *plan.Plan) {
	t.Helper()
	judge := func(v float64) *practice.Truth {
		truth, ok := practice.Judge(c.Topic, c.Seed, c.Level, p, 0, v)
		if !ok || len(truth.Why) == 0 {
			t.Fatalf("%+v", truth)
		}
		return truth
	}
	wrong := judge(0)
	right := figuresIn(wrong.Says)[0]
	if wrong.Correct || text(wrong.Mistake) == "" || !(right > 0) || right > c.Figure.Most || len(c.Choices) > 0 {
		t.Fatalf("seed %d: %+v, right %v of %v", c.Seed, wrong, right, c.Figure.Most)
	}
	for _, x := range []struct {
		by   float64
		want bool
	}{{1, true}, {1.14, true}, {0.86, true}, {1.16, false}, {0.84, false}} {
		if got := judge(right * x.by); got.Correct != x.want || got.Correct == (len(got.Mistake) > 0) {
			t.Errorf("seed %d: %v of the right one: %+v", c.Seed, x.by, got)
		}
	}
}

// By hand, over every seed: the label's answer is what it says less the trailer where it counts gross, and what it says where not.
func TestLabelByHand(t *testing.T) {
	for seed := range uint64(40) {
		c, _ := practice.Deal("label", seed, 1, nil)
		truth, _ := practice.Judge("label", seed, 1, nil, 0, 0)
		label, empty := figuresIn(c.Given[0])[0], figuresIn(c.Given[1])[0]
		want := label - empty
		if strings.Contains(text(c.Given[0]), "PAYLOAD") {
			want = label
		}
		if got := figuresIn(c.Choices[truth.Right])[0]; got != want {
			t.Errorf("seed %d: %v, want %v", seed, got, want)
		}
	}
}

// By hand: moments about the axle give the ball load that the case calls right.
func TestBallByHand(t *testing.T) {
	for seed := range uint64(40) {
		c, _ := practice.Deal("ball", seed, 1, nil)
		truth, _ := practice.Judge("ball", seed, 1, nil, 0, 0)
		crate, rest := figuresIn(c.Given[0]), figuresIn(c.Given[1])
		mass, long, at := crate[1], crate[2], crate[3]
		ball, axle, front := rest[1], rest[2], rest[3]
		want := ball + mass*(axle-front-at-long/2)/axle
		if got := figuresIn(c.Choices[truth.Right])[0]; got-want > 0.01 || want-got > 0.01 {
			t.Errorf("seed %d: %v, want %v", seed, got, want)
		}
	}
}

func figuresIn(s said.Sentence) (out []float64) {
	for _, p := range s {
		if p.Value != nil {
			out = append(out, *p.Value)
		}
	}
	return out
}

// A topic that is not known is refused; no plan is needed.
func TestDeal(t *testing.T) {
	if _, ok := practice.Deal("dancing", 1, 1, nil); ok {
		t.Error("a topic that is not there")
	}
	if c, ok := practice.Deal("holds", 1, 99, nil); !ok || c.Level != practice.Levels {
		t.Errorf("%+v", c)
	}
}

func BenchmarkDeal(b *testing.B) {
	for _, topic := range practice.Topics() {
		b.Run(topic.ID, func(b *testing.B) {
			for i := range b.N {
				practice.Deal(topic.ID, uint64(i), 2, nil)
			}
		})
	}
}
