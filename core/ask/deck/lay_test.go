package deck_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/deck"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/parts"
	"zygonos/core/rig"
)

// told are the sample's cross members as they are taped, at 0.02, 0.64, 1.25, 1.86 and 2.48 m, and two rails.
const told = `"bearers":{"a":{"order":1,"at":0.02},"b":{"order":2,"at":0.64},"c":{"order":3,"at":1.25},"d":{"order":4,"at":1.86},"e":{"order":5,"at":2.48},
	"l":{"order":6,"at":-0.66,"along":true},"r":{"order":7,"at":0.66,"along":true},"m":{"order":8,"at":0,"along":true}}`

func floor(t *testing.T, kind, decking string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/trailers/t/floor", kind, "/trailers/t/floorThick", "0.018", "/trailers/t/decking", `{` + decking + `}`,
	}, sets...)...), "t", "o")
}

// Boards of 120 with gaps of 5 over the sample's 1400 mm: ten whole ones and 72.5 mm at both edges
// (docs/method/decking.md), twelve rows on five bearers with two screws each, 2.5 × 1.4 × 0.027 × 450 kg.
func TestBoards(t *testing.T) {
	r := floor(t, `"boards"`, told+`,"gap":0.005,"gains":8,"loses":4`, "/trailers/t/boardWide", "0.12", "/trailers/t/floorThick", "0.027")
	o := deck.Lay(r)
	if len(o.Boards) != 2 || o.Boards[0].Count != 10 || math.Abs(o.Boards[1].Width.Value-.0725) > 1e-9 || o.Screws != 120 {
		t.Errorf("%+v, %d screws", o.Boards, o.Screws)
	}
	if math.Abs(o.Mass.Value-2.5*1.4*.027*450) > 1e-9 || o.Buy != 12 { // two of 72.5 come out of no board of 120
		t.Errorf("%v kg, %d boards", o.Mass.Value, o.Buy)
	}
	// 8 points swell a board by 2.4 mm, 4 shrink it by 1.2
	if math.Abs(o.GapWet.Value-.0026) > 1e-9 || math.Abs(o.GapDry.Value-.0062) > 1e-9 {
		t.Errorf("wet %v, dry %v", o.GapWet.Value, o.GapDry.Value)
	}
	for _, c := range []struct {
		decking string
		code    string
		want    finding.Outcome
	}{
		{told + `,"gap":0.005,"gains":8,"loses":4`, deck.CodeLaid, finding.Holds},
		{told + `,"gap":0.005,"gains":8,"loses":4`, deck.CodeGap, finding.Holds},
		{told + `,"gains":8`, deck.CodeGap, finding.Fails}, // tight and dry
		{told, deck.CodeGap, finding.Unknown},
		{told + `,"gap":0.012,"loses":4,"gains":0`, deck.CodeGap, finding.Tight},
		{`"gap":0.005`, deck.CodeLaid, finding.Unknown},                           // on nothing
		{told + `,"boardLong":0.5`, deck.CodeLaid, finding.Fails},                 // no bearer within 0.5 m
		{told + `,"boardLong":1.3`, deck.CodeLaid, finding.Holds},                 // joined at 1.25
		{told + `,"across":true,"boardLong":3`, deck.CodeLaid, finding.Holds},     // on the rails
		{`"bearers":{"a":{"at":0.4},"b":{"at":2}}`, deck.CodeLaid, finding.Tight}, // ends jut out 500 mm
	} {
		r := floor(t, `"boards"`, c.decking, "/trailers/t/boardWide", "0.12")
		f := sample.Find(t, deck.Check(r), c.code)
		if f.Outcome != c.want || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s %s: %s %s", c.code, strings.ReplaceAll(c.decking, told, "…"), f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	if f := sample.Find(t, deck.Check(floor(t, `"boards"`, told, "/trailers/t/boardWide", "0.39", "/trailers/t/deckWidth/value", "0.35")), deck.CodeLaid); f.Outcome != finding.Fails {
		t.Errorf("a board wider than the floor: %s", f.Outcome)
	}
}

// Sheets of 2.44 × 1.22 under a floor of 2.5 × 1.4: a sheet that lies across reaches 1.22 back, to the bearer at
// 0.64, so joints stand on bearers only; every piece comes out of a sheet, and they cover the floor.
func TestSheets(t *testing.T) {
	r := floor(t, `"ply"`, told+`,"price":60,"carryLong":1.5,"carryWide":1.3`)
	o := deck.Lay(r)
	area := 0.0
	on := func(x float64, at ...float64) bool {
		for _, a := range at {
			if math.Abs(x-a) < 1e-9 {
				return true
			}
		}
		return false
	}
	for _, s := range o.Sheets {
		for _, p := range s.Pieces {
			area += p.Long.Value * p.Wide.Value
			if !on(p.Behind.Value, 0, .02, .64, 1.25, 1.86, 2.48) || !on(p.Left.Value, 0, .04, .7, 1.36) {
				t.Errorf("a joint at %v, %v", p.Behind.Value, p.Left.Value)
			}
		}
		if s.Big {
			t.Errorf("too big for the car: %+v", s.Pieces)
		}
	}
	if math.Abs(area-2.5*1.4) > 1e-9 || o.Price == nil || math.Abs(o.Price.Value-60*float64(o.Buy)) > 1e-9 || !o.Proven {
		t.Errorf("%v m², %d sheets for %v", area, o.Buy, o.Price)
	}
	if f := sample.Find(t, deck.Check(r), deck.CodeLaid); f.Outcome != finding.Holds {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
	small := floor(t, `"ply"`, told+`,"sheetLong":0.5,"sheetWide":0.4`)
	if f := sample.Find(t, deck.Check(small), deck.CodeLaid); f.Outcome != finding.Fails {
		t.Errorf("small sheets: %s", f.Says.Text(quantity.Locale{}))
	}
	if deck.Lay(floor(t, `"open"`, told)) != nil {
		t.Error("an open floor is laid")
	}
}

// The frame's holes are marked where they are: a cross member drilled 300 mm from its beginning, 580 left of the
// middle, at 635 mm behind the front: 420 from the left edge, 5 mm behind its middle line.
func TestMarks(t *testing.T) {
	frame := `{"members":{"c":{"order":1,"name":"Cross","role":"cross","from":{"back":0.635,"right":-0.58},"to":{"back":0.635,"right":0.58},
		"profile":{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"},
		"cuts":{"h":{"order":1,"what":"hole","at":0.3,"size":0.009,"off":0.005},"side":{"order":2,"what":"hole","at":0.5,"size":0.009,"face":"front"}}},
		"low":{"order":2,"name":"Low","role":"cross","from":{"back":1.2,"right":-0.58,"up":-0.02},"to":{"back":1.2,"right":0.58,"up":-0.02},
		"profile":{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}}}}`
	o := deck.Lay(floor(t, `"ply"`, "", "/trailers/t/frame", frame))
	if len(o.Marks) != 1 {
		t.Fatalf("%+v", o.Marks)
	}
	m := o.Marks[0]
	if math.Abs(m.Left.Value-(0.7-0.58+0.3)) > 1e-9 || math.Abs(m.Front.Value-0.640) > 1e-9 {
		t.Errorf("%v from the left, %v from the front", m.Left.Value, m.Front.Value)
	}
	notes := ""
	for _, n := range o.Notes {
		notes += n.Text(quantity.Locale{})
	}
	if !strings.Contains(notes, "pack it up") {
		t.Errorf("%s", notes)
	}
}

// Twelve rows of 2.5 m out of boards of 2.4 are joined at 1.86 m: pieces of 1.86 and 0.64, and of a board no
// more than one of the long ones, or three short ones (1.926 m with two cuts): twelve and four. Laid across,
// rows of 1.4 m come two out of a board of 3 m.
func TestBoardsToBuy(t *testing.T) {
	r := floor(t, `"boards"`, told+`,"gap":0.005,"boardLong":2.4`, "/trailers/t/boardWide", "0.12")
	if o := deck.Lay(r); o.Buy != 16 {
		t.Errorf("%d boards", o.Buy)
	}
	r = floor(t, `"boards"`, told+`,"across":true,"boardLong":3`, "/trailers/t/boardWide", "0.125")
	if o := deck.Lay(r); o.Buy != 10 || o.Boards[0].Count != 20 { // 2.5 m are twenty of 125
		t.Errorf("%d boards for %d rows", o.Buy, o.Boards[0].Count)
	}
}

// Twelve rows of 2.5 m out of boards of 2.4: in one line all are joined at 1.86 and 16 boards do. Staggered, six rows
// are joined at 1.25: twelve pieces of 1.25 and six of 1.86 come out of eighteen boards, whose rests give the six of
// 0.64. Tight members leave no second place.
func TestStaggered(t *testing.T) {
	const wide = "/trailers/t/boardWide"
	buy := func(decking string) *deck.Laid {
		return deck.Lay(floor(t, `"boards"`, decking+`,"gap":0.005,"boardLong":2.4`, wide, "0.12"))
	}
	if a, b := buy(told).Buy, buy(told+`,"stagger":true`).Buy; a != 16 || b != 18 {
		t.Errorf("%d in line, %d staggered", a, b)
	}
	few := buy(`"bearers":{"a":{"at":0.02},"b":{"at":1.25},"c":{"at":2.48}},"stagger":true`)
	if len(few.Notes) == 0 || !strings.Contains(few.Notes[0].Text(quantity.Locale{}), "staggered") {
		t.Errorf("%v", few.Notes)
	}
}

// The sample's deck is 2.5 × 1.4 m. A flat of 50 × 8 along both sides: 2 · 2.5 · 0.0004 · 7850 = 15.7 kg and 1416 mm over
// all; checker plate 0.5 m in from each side, 3 mm: 2.5 · 1.0 · 0.003 · 7850 · 1.08 = 63.6 kg.
func TestFaces(t *testing.T) {
	const rub = `"rub":{"shape":"bar","height":0.05,"width":0.008,"material":"s235"}`
	if kg := parts.FloorMore(floor(t, `"ply"`, rub).Trailer); math.Abs(kg-15.7) > 1e-9 {
		t.Errorf("rub rails %v kg", kg)
	}
	if kg := parts.FloorMore(floor(t, `"ply"`, `"forkPlate":0.5`).Trailer); math.Abs(kg-63.585) > 1e-9 {
		t.Errorf("plate %v kg", kg)
	}
	if kg := parts.FloorMore(floor(t, `"ply"`, `"forkPlate":2`).Trailer); math.Abs(kg-1.4*63.585) > 1e-9 {
		t.Errorf("plate all over %v kg", kg)
	}
	forks := []string{"/outings/o/layouts/t/shift", `{"with":"forks"}`}
	width := func(w string) []string {
		return []string{"/trailers/t/widthOverAll", `{"value":` + w + `,"how":"weighed"}`}
	}
	for _, c := range []struct {
		kind, decking string
		sets          []string
		code          string
		want          finding.Outcome
		says          string
	}{
		{`"ply"`, `"proud":0.002`, nil, deck.CodeEdge, finding.Holds, "runs off"},
		{`"ply"`, `"proud":-0.01`, nil, deck.CodeEdge, finding.Tight, "drain"},
		{`"ply"`, rub, nil, deck.CodeEdge, finding.Holds, "1416"},
		{`"ply"`, rub, width("1.4"), deck.CodeEdge, finding.Tight, "correct it"},
		{`"ply"`, rub, width("1.416"), deck.CodeEdge, finding.Holds, "1416"},
		{`"ply"`, `"rub":{"shape":"tube","height":0.02,"width":0.02,"wall":0.02,"material":"s235"}`, nil, deck.CodeEdge, finding.Fails, "sense"},
		{`"ply"`, ``, forks, deck.CodeForks, finding.Tight, "split"},
		{`"ply"`, `"forkPlate":1.1`, forks, deck.CodeForks, finding.Tight, "tips"},
		{`"ply"`, `"forkPlate":1.15`, forks, deck.CodeForks, finding.Holds, "as far"},
		{`"boards"`, `"tread":"film-ply"`, nil, deck.CodeTread, finding.Tight, "slippery"},
		{`"boards"`, `"tread":"raw-ply"`, nil, deck.CodeTread, finding.Tight, "Try it"},
		{`"boards"`, `"tread":"wire-ply"`, nil, deck.CodeTread, finding.Holds, "grips"},
		{`"ply"`, `"paintUnder":false,"paintTop":true`, nil, deck.CodePaint, finding.Tight, "underside"},
		{`"ply"`, `"paintUnder":true,"paintTop":true`, nil, deck.CodePaint, finding.Unknown, "cut edges"},
		{`"ply"`, `"paintUnder":true,"paintTop":true,"paintEdges":true`, nil, deck.CodePaint, finding.Holds, "all round"},
	} {
		f := sample.Find(t, deck.Check(floor(t, c.kind, c.decking, c.sets...)), c.code)
		if says := f.Says.Text(quantity.Locale{}); f.Outcome != c.want || !strings.Contains(says, c.says) {
			t.Errorf("%s %s %v: %s %q", c.kind, c.decking, c.sets, f.Outcome, says)
		}
	}
	for _, f := range deck.Check(floor(t, `"plate"`, `"paintUnder":false`, forks...)) {
		if f.Code == deck.CodeForks || f.Code == deck.CodePaint {
			t.Errorf("steel: %s", f.Says.Text(quantity.Locale{}))
		}
	}
}
