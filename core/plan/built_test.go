package plan_test

import (
	"encoding/json"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
)

// What makes no sense in racks, cradles, ramps, winches, straps and cards is taken out and
// named; the rest goes on.
func TestCleanOfBuiltThings(t *testing.T) {
	tube := `{"shape":"tube","height":0.05,"width":0.05,"wall":0.003,"material":"s235"}`
	rack := func(more string) string {
		return `{"order":1,"name":"R","size":{},"centre":{},"rack":{"frontAt":0,"rearAt":2,"apart":1,"post":` + tube + `,"bar":` + tube + `,"tiers":{}` + more + `},"slots":{}}`
	}
	part := func(more string) string { return `{"order":1,"name":"P","size":{},"centre":{}` + more + `}` }
	loading := "/outings/o/layouts/t/loading"
	for name, c := range map[string]struct {
		path, value, at, says string
	}{
		"brace too long":        {"/parts/p", rack(`,"brace":3`), "/parts/p/rack/brace", "brace must lie between"},
		"brace below nought":    {"/parts/p", rack(`,"brace":-1`), "/parts/p/rack/brace", "cannot be less than zero"},
		"many bolts":            {"/parts/p", rack(`,"bolts":99`), "/parts/p/rack/bolts", "number of bolts"},
		"thick bolt":            {"/parts/p", rack(`,"bolt":0.2`), "/parts/p/rack/bolt", "bolt's diameter"},
		"far rows":              {"/parts/p", rack(`,"gauge":3`), "/parts/p/rack/gauge", "distance between the bolts"},
		"price of a metre":      {"/parts/p", strings.Replace(rack(""), `"material":"s235"`, `"material":"s235","perMetre":-1`, 1), "/parts/p/rack/post/perMetre", "price of a metre"},
		"unknown pose":          {"/parts/p", part(`,"slots":{"s":{"order":1,"name":"S","at":{"back":0},"pose":"sideways"}}`), "/parts/p/slots/s/pose", "not known here"},
		"lean beyond upright":   {"/parts/p", part(`,"slots":{"s":{"order":1,"name":"S","at":{"back":0},"pose":"edge","lean":3}}`), "/parts/p/slots/s/lean", "lean must lie between"},
		"roller far":            {"/parts/p", part(`,"cradle":{"keel":0.1,"rollers":{"a":{"order":1,"at":90}}}`), "/parts/p/cradle/rollers/a/at", "roller's place"},
		"bunks turned":          {"/parts/p", part(`,"cradle":{"keel":0.1,"bunks":{"from":2,"to":1,"apart":1}}`), "/parts/p/cradle/bunks", "end behind their front"},
		"winch in the ground":   {"/parts/p", part(`,"cradle":{"keel":0.1,"winchUp":-1}`), "/parts/p/cradle/winchUp", "winch's height"},
		"keel high":             {"/parts/p", part(`,"cradle":{"keel":9}`), "/parts/p/cradle/keel", "height of the rollers"},
		"ramp long":             {"/parts/p", part(`,"ramp":{"length":30}`), "/parts/p/ramp/length", "ramp's length"},
		"ramp's kind":           {"/parts/p", part(`,"ramp":{"length":2,"kind":"rope"}`), "/parts/p/ramp/kind", "not known here"},
		"ramp's sides":          {"/parts/p", part(`,"ramp":{"length":2,"sides":40}`), "/parts/p/ramp/sides", "side sections"},
		"ramp's rating":         {"/parts/p", part(`,"ramp":{"length":2,"rating":-5}`), "/parts/p/ramp/rating", "ramp's rating"},
		"ramp held":             {"/parts/p", part(`,"ramp":{"length":2,"held":"hope"}`), "/parts/p/ramp/held", "not known here"},
		"rating of what":        {"/parts/p", part(`,"ramp":{"length":2,"counts":"wheels"}`), "/parts/p/ramp/counts", "not known here"},
		"rating for whom":       {"/parts/p", part(`,"ramp":{"length":2,"per":"dozen"}`), "/parts/p/ramp/per", "not known here"},
		"step":                  {"/parts/p", part(`,"ramp":{"length":2,"step":2}`), "/parts/p/ramp/step", "step at the ramp"},
		"machine not there":     {loading, `{"machine":"gone"}`, loading + "/machine", "not in the plan"},
		"ramp not there":        {loading, `{"machine":"crate","ramp":"gone"}`, loading + "/ramp", "part is not in the plan"},
		"cliff":                 {loading, `{"machine":"crate","fall":1}`, loading + "/fall", "ground's slope"},
		"kerb":                  {loading, `{"machine":"crate","kerb":4}`, loading + "/kerb", "kerb must lie"},
		"raised":                {loading, `{"machine":"crate","raised":2}`, loading + "/raised", "raised coupling"},
		"drive":                 {loading, `{"machine":"crate","drive":"wind"}`, loading + "/drive", "not known here"},
		"prop's gap":            {loading, `{"machine":"crate","props":{"back":2,"gap":3}}`, loading + "/props/gap", "props' gap"},
		"layer":                 {loading, `{"machine":"crate","winch":{"back":0,"up":0.3,"layer":50}}`, loading + "/winch/layer", "layer must lie"},
		"ratio":                 {loading, `{"machine":"crate","winch":{"back":0,"up":0.3,"ratio":-2}}`, loading + "/winch/ratio", "ratio cannot be less"},
		"no current":            {loading, `{"machine":"crate","winch":{"back":0,"up":0.3,"amps":0}}`, loading + "/winch/amps", "current"},
		"rolls how":             {loading, `{"machine":"crate","winch":{"back":0,"up":0.3,"wheels":"square"}}`, loading + "/winch/wheels", "not known here"},
		"winch's bolts":         {loading, `{"machine":"crate","winch":{"back":0,"up":0.3,"bolts":-1}}`, loading + "/winch/bolts", "number of bolts"},
		"thick pin":             {loading, `{"machine":"crate","winch":{"back":0,"up":0.3,"pin":1}}`, loading + "/winch/pin", "pin's diameter"},
		"limit over breaking":   {"/straps", `{"s":{"order":1,"name":"S","limit":900,"breaks":600,"count":1}}`, "/straps/s/limit", "above the breaking strength"},
		"straps without number": {"/straps", `{"s":{"order":1,"name":"S","count":-1}}`, "/straps/s/count", "number of straps"},
		"strap's kind":          {"/straps", `{"s":{"order":1,"name":"S","kind":"glue","count":1}}`, "/straps/s/kind", "not known here"},
		"wide strap":            {"/straps", `{"s":{"order":1,"name":"S","width":2,"count":1}}`, "/straps/s/width", "strap's width"},
		"tie point's rating":    {"/trailers/t/tiePoints", `{"a":{"order":1,"at":{"back":0},"rating":-1}}`, "/trailers/t/tiePoints/a/rating", "tie point's rating"},
		"lashing of nothing":    {"/outings/o/layouts/t/lashings", `{"a":{"order":1,"load":"gone","strap":"s","from":"a","hold":{"back":0}}}`, "/outings/o/layouts/t/lashings/a/load", "not in the plan"},
		"friction":              {"/outings/o/layouts/t/placements/crate/grip", `3`, "/outings/o/layouts/t/placements/crate/grip", "friction must lie between 0 and 1.2, not 3"},
		"slip upright":          {"/outings/o/slip", `{"angle":1.5}`, "/outings/o/slip/angle", "slip falls"},
		"day":                   {"/outings/o/departures", `{"a":{"order":1,"on":"tomorrow"}}`, "/outings/o/departures/a/on", "year-month-day"},
		"pivot":                 {"/trailers/t/pivot", `-1`, "/trailers/t/pivot", "pivot of the bed"},
		"draft":                 {"/loads/crate/hull", `{"draft":-1}`, "/loads/crate/hull/draft", "draft"},
		"wheel":                 {"/loads/crate/rolling", `{"wheel":0}`, "/loads/crate/rolling/wheel", "wheel's diameter"},
	} {
		p := sample.Plan(t)
		value := raw(t, c.value)
		next, err := plan.Apply(p, []finding.Op{{Op: "add", Path: c.path, Value: value}})
		if err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		problems := plan.Clean(next)
		found := false
		for _, x := range problems {
			found = found || x.Path == c.at && strings.Contains(x.Says.Text(next.Locale()), c.says)
		}
		if !found {
			t.Errorf("%s: %s is not named: %v", name, c.at, problems)
		}
		if again := plan.Clean(next); len(again) > 0 {
			t.Errorf("%s: cleaned twice it still says %v", name, again)
		}
	}
}

// What is well stated stays as it is, byte for byte.
func TestKeepsBuiltThings(t *testing.T) {
	p := sample.Plan(t, "/straps", `{"s":{"order":1,"name":"Strap","kind":"ratchet","limit":1000,"breaks":3000,"length":5,"count":4}}`,
		"/trailers/t/tiePoints", `{"a":{"order":1,"kind":"ring-welded","at":{"back":0.1,"right":-0.6},"rating":500}}`,
		"/outings/o/layouts/t/lashings", `{"x":{"order":1,"load":"crate","strap":"s","from":"a","hold":{"back":0.2}}}`,
		"/outings/o/departures", `{"d":{"order":1,"on":"2026-05-31","ticks":{"latch":true}}}`, "/outings/o/slip", `{"angle":0.12}`,
		"/parts/c", `{"order":1,"name":"C","size":{},"centre":{},"cradle":{"keel":0.1,"bowStop":-0.5,"rollers":{"a":{"order":1,"at":0.2}},"bunks":{"from":0,"to":1,"apart":0.8}}}`,
		"/parts/r", `{"order":2,"name":"R","size":{},"centre":{},"ramp":{"length":2,"rating":400,"counts":"axle","per":"each","held":"pins"}}`,
		"/outings/o/layouts/t/loading", `{"machine":"crate","ramp":"r","drive":"winch","props":{"back":2,"gap":0.02},"winch":{"pull":900,"back":0,"up":0.3}}`)
	first, err := plan.Write(p)
	if err != nil {
		t.Fatal(err)
	}
	back, err := plan.Read(first)
	if err != nil {
		t.Fatal(err)
	}
	if problems := plan.Clean(back); len(problems) > 0 {
		t.Error(problems)
	}
	second, err := plan.Write(back)
	if err != nil || string(first) != string(second) {
		t.Errorf("written again it differs: %v", err)
	}
}

func raw(t *testing.T, text string) any {
	t.Helper()
	var v any
	if err := json.Unmarshal([]byte(text), &v); err != nil {
		t.Fatal(err)
	}
	return v
}
