package frame_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/frame"
)

// A kilogram more, tried: with walls of 3.2 mm instead of 3 the rails weigh so much more, and the frame twists
// as much less as their gains say for that; the same for the drawbar and its use.
func TestGain(t *testing.T) {
	was := frame.Whole(resolve(t, doc(usual)))
	for _, c := range []struct{ role, old, new string }{
		{"left", `"wall":0.003`, `"wall":0.0031`}, {"c2", `"wall":0.003`, `"wall":0.0031`}, {"drawbar", `"wall":0.004`, `"wall":0.0041`},
	} {
		d := doc(usual)
		at := strings.Index(d, `"`+c.role+`":{`)
		end := at + strings.Index(d[at:], c.old)
		now := frame.Whole(resolve(t, d[:end]+c.new+d[end+len(c.old):]))
		for i, m := range was.Members {
			if m.Name != c.role {
				continue
			}
			more := now.Members[i].Mass.Value - m.Mass.Value
			got := 1 - now.Twist.Degrees.Value/was.Twist.Degrees.Value
			if want := m.Gain.Twist.Value * more; math.Abs(got-want) > 0.05*want+2e-6 {
				t.Errorf("%s, %v kg more: twists %.5f less, said %.5f", c.role, more, got, want)
			}
			if m.Gain.Use.Value >= m.Use.Value {
				t.Errorf("%s is used no less", c.role)
			}
		}
	}
}

// A rig that sinks by d on its springs bounces √(g/d)/2π times a second; the sample's frame swings faster than
// it bounces, and slower with more on it.
func TestSwings(t *testing.T) {
	light := frame.Whole(resolve(t, doc(usual))).Twist
	heavy := frame.Whole(resolve(t, doc(usual), "/loads/crate/mass/value", "700")).Twist
	for _, p := range []*frame.Twist{light, heavy} {
		if p.Bounces == nil || p.Swings == nil || p.Swings.Value < p.Bounces.Value || p.Bounces.Value < 1 || p.Swings.Value > 80 {
			t.Fatalf("%+v", p)
		}
	}
	if heavy.Bounces.Value >= light.Bounces.Value || heavy.Swings.Value >= light.Swings.Value {
		t.Errorf("light %v %v, heavy %v %v", light.Bounces.Value, light.Swings.Value, heavy.Bounces.Value, heavy.Swings.Value)
	}
}
