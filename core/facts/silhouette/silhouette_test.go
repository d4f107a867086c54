package silhouette_test

import (
	"testing"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/silhouette"
)

// Every kind of the catalogue has a figure of its own in all three views, within its box and
// filling most of it.
func TestEveryKindIsDrawn(t *testing.T) {
	for _, k := range catalogue.Loads {
		if !silhouette.Known(k.ID) {
			t.Errorf("%s has no figure", k.ID)
		}
		f := silhouette.Of(k.ID, k.Shape)
		for view, strokes := range map[string][]silhouette.Stroke{"side": f.Side, "top": f.Top, "rear": f.Rear} {
			low, high, bodies := [2]float64{1, 1}, [2]float64{}, 0
			for _, s := range strokes {
				least := 3
				switch s.Tone {
				case silhouette.Body:
					bodies++
				case silhouette.Line:
					least = 2
				case silhouette.Wheel, silhouette.Ring:
					least = 1
					if !(s.Radius > 0 && s.Radius <= 0.5) {
						t.Errorf("%s %s: radius %g", k.ID, view, s.Radius)
					}
				case silhouette.Dark, silhouette.Light:
				default:
					t.Errorf("%s %s: tone %q", k.ID, view, s.Tone)
				}
				if len(s.Points) < least {
					t.Errorf("%s %s: a stroke %c of %d points", k.ID, view, s.Tone, len(s.Points))
				}
				for _, p := range s.Points {
					for i := range p {
						if p[i] < 0 || p[i] > 1 {
							t.Errorf("%s %s: %v lies outside", k.ID, view, p)
						}
						r := s.Radius
						if i == 0 {
							r /= 2 // longer than high
						}
						low[i], high[i] = min(low[i], p[i]-r), max(high[i], p[i]+r)
					}
				}
			}
			if bodies == 0 {
				t.Errorf("%s %s: no body to take hold of", k.ID, view)
			}
			for i := range low {
				if low[1] < -0.01 || high[1] > 1.01 || high[i]-low[i] < 0.75 {
					t.Errorf("%s %s: fills %.2f to %.2f", k.ID, view, low[i], high[i])
				}
			}
		}
	}
	if silhouette.Of("none", "hull") != silhouette.Of("boat-other", "hull") ||
		silhouette.Of("none", "none") != silhouette.Of("", "box") {
		t.Error("what has no kind is not drawn by its shape")
	}
}
