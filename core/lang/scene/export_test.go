package scene_test

import (
	"encoding/xml"
	"io"
	"math"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
)

var sheet = scene.View{ID: "x", Title: said.Say("A & B"), Min: scene.Point{-0.5, -1}, Max: scene.Point{1.5, 0.25}, Shapes: []scene.Shape{
	scene.Rect("post one", "", 0, -1, 0.05, 0), scene.Line("bar", -0.5, -0.9, 1.5, -0.9), scene.Disc("hole", 0.025, -0.5, 0.006),
	scene.Label("dimension", "middle", 0.5, 0.1, said.Say("% <wide>", said.Length(1.25))),
	{Form: scene.Circle, Class: "broken", Points: []scene.Point{{math.NaN(), 0}}}, {Form: scene.Polygon, Class: "short", Points: []scene.Point{{0, 0}}},
}}

var metric = quantity.Locale{Region: quantity.UK, Units: quantity.Metric}

// Half a metre is 500 user units of a millimetre each; what cannot be drawn is left out.
func TestSVG(t *testing.T) {
	s := string(sheet.SVG(metric))
	for _, want := range []string{`width="2000mm"`, `viewBox="-500 -1000 2000 1250"`, `points="0,-1000 50,-1000 50,0 0,0"`, `cx="25" cy="-500" r="6"`, "1250 mm &lt;wide&gt;", "A &amp; B"} {
		if !strings.Contains(s, want) {
			t.Errorf("no %s in %s", want, s)
		}
	}
	if strings.Contains(s, "NaN") || strings.Contains(s, "short") {
		t.Error("what cannot be drawn was drawn")
	}
	d := xml.NewDecoder(strings.NewReader(s))
	for {
		if _, err := d.Token(); err == io.EOF {
			break
		} else if err != nil {
			t.Fatal(err)
		}
	}
}

// Every line of code is followed by its value; sections open and close; y points up.
func TestDXF(t *testing.T) {
	lines := strings.Split(strings.TrimSuffix(string(sheet.DXF(metric)), "\r\n"), "\r\n")
	if len(lines)%2 != 0 {
		t.Fatalf("%d lines", len(lines))
	}
	open, kinds, layers := 0, map[string]int{}, map[string]bool{}
	for i := 0; i < len(lines); i += 2 {
		code, err := strconv.Atoi(lines[i])
		if err != nil {
			t.Fatalf("line %d: %q", i, lines[i])
		}
		switch {
		case code == 0 && lines[i+1] == "SECTION":
			open++
		case code == 0 && lines[i+1] == "ENDSEC":
			open--
		case code == 0:
			kinds[lines[i+1]]++
		case code == 8:
			layers[lines[i+1]] = true
		}
	}
	if open != 0 || lines[len(lines)-1] != "EOF" || kinds["POLYLINE"] != 2 || kinds["VERTEX"] != 6 || kinds["CIRCLE"] != 1 || kinds["TEXT"] != 1 || !layers["POST_ONE"] {
		t.Errorf("%d open, %v, %v", open, kinds, layers)
	}
	s := strings.Join(lines, "\n")
	for _, want := range []string{"10\n25\n20\n500\n30\n0\n40\n6", "1\n1250 mm <wide>", "AC1009"} {
		if !strings.Contains(s, want) {
			t.Errorf("no %q", want)
		}
	}
}
