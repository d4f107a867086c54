package frame_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/frame"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/scene"
)

// texts are a view's texts.
func texts(v *scene.View) (out []string) {
	for _, s := range v.Shapes {
		if s.Form == scene.Text {
			out = append(out, s.Says.Text(quantity.Locale{}))
		}
	}
	return out
}

func has(list []string, want string) bool {
	for _, s := range list {
		if strings.Contains(strings.ReplaceAll(s, "\u00a0", " "), want) {
			return true
		}
	}
	return false
}

// The sample's frame: five cross members at 20, 635, 1250, 1865 and 2480 mm behind the front, the ball a metre
// before it, 2.5 m by 1.24 over its rails' outer faces, so diagonals of √(2.5² + 1.24²) = 2.791 m.
func TestSheet(t *testing.T) {
	v := frame.Sheet(resolve(t, doc(usual)))
	all := texts(v)
	for _, want := range []string{"635 mm", "1250 mm", "1865 mm", "2480 mm", "2500 mm", "1240 mm", "1000 mm", "2791 mm", "R2", "C5", "D1"} {
		if !has(all, want) {
			t.Errorf("no %s on the sheet: %q", want, all)
		}
	}
	if r := resolve(t, `{"members":{}}`); frame.Sheet(r) != nil {
		t.Error("a sheet of nothing")
	}
}

// A hole through the top stands on the drawing from above where it is drilled, a notch in the underside on
// the one from the side, both with their distance from the beginning; a brace's slanted end is slanted.
func TestPieceSheet(t *testing.T) {
	r := resolve(t, cutInto("left", `{"order":1,"what":"hole","at":0.4,"size":0.012,"off":0.005},"b":{"order":2,"what":"notch","at":0.9,"size":0.02,"long":0.1,"face":"bottom"}`))
	v := frame.PieceSheet(r, "left")
	all := texts(v)
	for _, want := range []string{"400 mm", "900 mm", "hole of 12 mm", "notch 20 mm deep, 100 mm long", "2500 mm", "square"} {
		if !has(all, want) {
			t.Errorf("no %s: %q", want, all)
		}
	}
	holes, notches := 0, 0
	for _, s := range v.Shapes {
		switch s.Class {
		case "hole":
			holes++
			if math.Abs(s.Points[0][0]-0.4) > 1e-9 || s.Radius != 0.006 {
				t.Errorf("hole %+v", s)
			}
		case "notch":
			notches++
			deep := 0.0 // its lower edge is the side view's lowest
			for _, p := range s.Points {
				deep = math.Max(deep, p[1])
			}
			if math.Abs(deep-0.08) > 1e-9 {
				t.Errorf("the notch ends at %v", deep)
			}
		}
	}
	if holes != 1 || notches != 1 {
		t.Errorf("%d holes, %d notches", holes, notches)
	}
	if frame.PieceSheet(r, "nobody") != nil {
		t.Error("a sheet of nobody")
	}
}
