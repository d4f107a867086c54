package scene_test

import (
	"regexp"
	"strconv"
	"testing"
	"unicode/utf8"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
)

var written = regexp.MustCompile(
	`<text [^>]*x="([-0-9.]+)" y="([-0-9.]+)" text-anchor="(\w+)"[^>]*font-size="([0-9.]+)"[^>]*>([^<]*)<`,
)

// No two texts of a sheet run over each other, however many belong to one place; one that is
// alone stays where it is.
func TestTextsOnASheet(t *testing.T) {
	v := scene.View{ID: "x", Min: scene.Point{-1, -1}, Max: scene.Point{3, 1}}
	for i, says := range []string{"412 kg", "Green canoe", "Red canoe", "85 kg", "a long name of a load", "32 kg"} {
		v.Shapes = append(
			v.Shapes,
			scene.Label("load-name", []string{"middle", "start", "end"}[i%3], 1+0.02*float64(i), 0, said.Say(says)),
		)
	}
	v.Shapes = append(v.Shapes, scene.Label("alone", "start", 0, 0.5, said.Say("alone")))
	var boxes [][4]float64
	for _, m := range written.FindAllStringSubmatch(string(v.SVG(quantity.Locale{Region: "uk", Units: quantity.Metric})), -1) {
		num := func(i int) float64 { f, _ := strconv.ParseFloat(m[i], 64); return f }
		x, y, high, wide := num(1), num(2), num(4), num(4)*0.55*float64(utf8.RuneCountInString(m[5]))
		switch m[3] {
		case "middle":
			x -= wide / 2
		case "end":
			x -= wide
		}
		if m[5] == "alone" && y != 500 {
			t.Errorf("a text that meets none moved to %v", y)
		}
		for _, b := range boxes {
			if x < b[1] && b[0] < x+wide && y-high/2 < b[3] && b[2] < y+high/2 {
				t.Errorf("%q runs over another", m[5])
			}
		}
		boxes = append(boxes, [4]float64{x, x + wide, y - high/2, y + high/2})
	}
	if len(boxes) != 7 {
		t.Errorf("%d texts", len(boxes))
	}
}
