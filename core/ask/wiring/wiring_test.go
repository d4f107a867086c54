package wiring_test

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/wiring"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// usualLamps are a pair of tail, stop and turn, a plate lamp and what more is given, on the sample's tail.
func usualLamps(led bool, more ...string) string {
	var b strings.Builder
	b.WriteString(`"lamps":{`)
	n := 0
	add := func(id, what string, right float64) {
		if n > 0 {
			b.WriteByte(',')
		}
		n++
		fmt.Fprintf(&b, `%q:{"order":%d,"what":%q,"back":2.5,"right":%v,"height":0.6,"led":%v}`, id, n, what, right, led)
	}
	for _, side := range []struct {
		id string
		at float64
	}{{"l", -0.6}, {"r", 0.6}} {
		for _, what := range []string{"tail", "stop", "turn"} {
			add(side.id+what, what, side.at)
		}
	}
	add("plate", "plate", 0)
	for _, what := range more {
		add(what, what, -0.2)
	}
	return b.String() + "}"
}

func with(t *testing.T, plug, wiringDoc string, sets ...string) *rig.Rig {
	t.Helper()
	return rig.Resolve(sample.Plan(t, append([]string{
		"/trailers/t/plug", `"` + plug + `"`, "/trailers/t/wiring", "{" + wiringDoc + "}",
	}, sets...)...), "t", "o")
}

// What each switch lights, on three plugs: its own lamps bright, all others off.
func TestSwitches(t *testing.T) {
	for _, plug := range []string{"pin-7", "pin-13", "flat-4", "flat-7", "blade-7"} {
		r := with(t, plug, usualLamps(false, "fog", "reverse"))
		for s, want := range map[wiring.Switch][]string{
			wiring.SwitchTail: {"ltail", "rtail", "plate"}, wiring.SwitchStop: {"lstop", "rstop"}, wiring.SwitchLeft: {"lturn"}, wiring.SwitchRight: {"rturn"},
		} {
			p := wiring.Show(r, []wiring.Switch{s})
			combined := plug == "flat-4" || plug == "blade-7"
			for _, l := range p.Lamps {
				on := false
				for _, id := range want {
					on = on || l.ID == id
				}
				if combined && (l.ID == "lturn" || l.ID == "lstop") { // one pole for both
					on = s == wiring.SwitchStop || s == wiring.SwitchLeft
				}
				if combined && (l.ID == "rturn" || l.ID == "rstop") {
					on = s == wiring.SwitchStop || s == wiring.SwitchRight
				}
				if on != (l.Level == wiring.LevelBright) || !on && l.Level != wiring.LevelOff {
					t.Errorf("%s %s: %s is %s (%.2f)", plug, s, l.ID, l.Level, l.Bright)
				}
			}
		}
	}
}

// Broad and long trailers are asked for more: white front lamps over 1.6 m, outline lamps over 2.1, side markers over 6 m; in North
// America clearance and identification lamps from 80 in. What is asked for is counted by the width over the tyres where no
// other is stated.
func TestBroadAndLong(t *testing.T) {
	all := `"lamps":{`
	for i, what := range strings.Fields("tail tail stop stop turn turn plate fog triangle triangle side-reflector side-reflector front-reflector front-reflector rear-reflector rear-reflector reverse") {
		all += fmt.Sprintf(`"l%d":{"order":%d,"what":%q,"back":2.5,"right":%v,"height":0.6},`, i, i+1, what, 0.6-1.2*float64(i%2))
	}
	more := func(region, whats string) string {
		s := all
		if region == "na" { // amber in front, red at the rear
			whats += " side-reflector side-reflector marker marker"
			s += `"r1":{"order":60,"what":"marker","back":2.5,"right":0.6,"height":0.6},"r2":{"order":61,"what":"marker","back":2.5,"right":-0.6,"height":0.6},`
		}
		for i, what := range strings.Fields(whats) {
			s += fmt.Sprintf(`"m%d":{"order":%d,"what":%q,"back":0,"right":%v,"height":0.6},`, i, 30+i, what, 0.6-1.2*float64(i%2))
		}
		return strings.TrimSuffix(s, ",") + "}"
	}
	width := func(w string) []string {
		return []string{"/trailers/t/widthOverAll", `{"value":` + w + `,"how":"weighed"}`}
	}
	for _, c := range []struct {
		region, lamps string
		sets          []string
		want          finding.Outcome
	}{
		{"eu", "", width("1.6"), finding.Holds},
		{"eu", "", width("1.61"), finding.Fails},
		{"eu", "front front", width("1.61"), finding.Holds},
		{"eu", "front front", width("2.11"), finding.Fails},
		{"eu", "front front outline outline", width("2.11"), finding.Holds},
		{"eu", "", []string{"/trailers/t/deckLength", `{"value":5.1,"how":"weighed"}`}, finding.Fails}, // 6.1 m over all
		{"eu", "marker marker marker marker", []string{"/trailers/t/deckLength", `{"value":5.1,"how":"weighed"}`}, finding.Holds},
		{"eu", "", []string{"/trailers/t/track", `{"value":1.55,"how":"weighed"}`}, finding.Fails}, // 1.715 over its tyres
		{"na", "", width("2.03"), finding.Holds},
		{"na", "", width("2.032"), finding.Fails},
		{"na", "outline outline outline outline ident ident ident", width("2.032"), finding.Holds},
	} {
		r := with(t, "pin-13", more(c.region, c.lamps), append([]string{"/region", `"` + c.region + `"`, "/trailers/t/track", `{"value":1.3,"how":"weighed"}`}, c.sets...)...)
		if f := sample.Find(t, wiring.Check(r), wiring.CodeLamps); f.Outcome != c.want {
			t.Errorf("%s %q %v: %s %s", c.region, c.lamps, c.sets, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
}

// A pair is one on each side; in North America side reflectors and side markers stand in front and at the rear of each
// side. The tail lamp may be 400 mm from the outermost, over tyres or mudguards.
func TestLampsOnBothSides(t *testing.T) {
	for _, region := range []string{"uk", "na"} {
		lamps := map[string]string{}
		put := func(id, what string, back, right float64) {
			lamps[id] = fmt.Sprintf(`{"order":%d,"what":%q,"back":%v,"right":%v,"height":0.6}`, len(lamps)+1, what, back, right)
		}
		for _, what := range strings.Fields("tail stop turn triangle rear-reflector front-reflector front") {
			put("l-"+what, what, 2.5, -0.65)
			put("r-"+what, what, 2.5, 0.65)
		}
		for _, what := range strings.Fields("side-reflector marker") {
			for i, back := range []float64{0, 2.5} {
				put(fmt.Sprintf("l-%s-%d", what, i), what, back, -0.7)
				put(fmt.Sprintf("r-%s-%d", what, i), what, back, 0.7)
			}
		}
		put("plate", "plate", 2.5, 0)
		put("fog", "fog", 2.5, 0.3)
		lampsOf := func() string {
			out := []string{}
			for id, l := range lamps {
				out = append(out, fmt.Sprintf("%q:%s", id, l))
			}
			return `"lamps":{` + strings.Join(out, ",") + "}"
		}
		find := func(code string, sets ...string) finding.Finding {
			return sample.Find(t, wiring.Check(with(t, "pin-13", lampsOf(), append([]string{"/region", `"` + region + `"`}, sets...)...)), code)
		}
		if f := find(wiring.CodeLamps); f.Outcome != finding.Holds {
			t.Errorf("%s: %s", region, f.Says.Text(quantity.Locale{}))
		}
		at := func(id, field string) string { return "/trailers/t/wiring/lamps/" + id + "/" + field }
		for _, c := range []struct{ path, value, says string }{
			{at("l-tail", "right"), "0.6", "1 tail lamp on the left"},
			{at("r-stop", "right"), "-0.6", "1 stop lamp on the right"},
			{at("r-turn", "right"), "0", "1 turn lamp on the right"},
		} {
			if f := find(wiring.CodeLamps, c.path, c.value); f.Outcome != finding.Fails || !strings.Contains(f.Says.Text(quantity.Locale{}), c.says) {
				t.Errorf("%s %s: %s %s", region, c.path, f.Outcome, f.Says.Text(quantity.Locale{}))
			}
		}
		ends := map[string]finding.Outcome{"uk": finding.Holds, "na": finding.Fails}[region]
		if f := find(wiring.CodeLamps, at("l-marker-0", "back"), "2.4"); f.Outcome != ends {
			t.Errorf("%s, no marker in front on the left: %s %s", region, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	// Where the deck is not taped, what is in front is not known.
	lamps := ""
	for i, what := range strings.Fields("tail stop turn rear-reflector side-reflector side-reflector marker marker") {
		for k, right := range []float64{-0.65, 0.65} {
			lamps += fmt.Sprintf(`"l%d%d":{"order":%d,"what":%q,"back":%v,"right":%v,"height":0.6},`, i, k, 2*i+k+1, what, 2.5*float64(i%2), right)
		}
	}
	lamps = `"lamps":{` + lamps + `"plate":{"order":50,"what":"plate","back":2.5,"right":0,"height":0.6}}`
	for gone, want := range map[string]finding.Outcome{"/trailers/t/deckHeight": finding.Holds, "/trailers/t/deckLength": finding.Unknown} {
		f := sample.Find(t, wiring.Check(with(t, "flat-4", lamps, "/region", `"na"`, "/trailers/t/deckHeight", `{"value":0.5,"how":"weighed"}`, gone, "-")), wiring.CodeLamps)
		if f.Outcome != want || want == finding.Unknown && f.Needs[0].Path != gone {
			t.Errorf("without %s: %s %s", gone, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	// Track 1.6 and a tyre of 0.165: 0.8825 m to each side; 0.5 from the middle is 0.3825 in, with a mudguard more.
	pair := func(right float64) string {
		return fmt.Sprintf(`"lamps":{"a":{"order":1,"what":"tail","back":2.5,"right":%v,"height":0.6},"b":{"order":2,"what":"tail","back":2.5,"right":%v,"height":0.6}}`,
			-right, right)
	}
	wide := func(m string) []string {
		return []string{"/trailers/t/widthOverAll", `{"value":` + m + `,"how":"weighed"}`}
	}
	for _, c := range []struct {
		right float64
		sets  []string
		want  finding.Outcome
	}{
		{0.55, nil, finding.Holds},
		{0.5, nil, finding.Tight},
		{0.47, nil, finding.Fails}, // 0.4125 from the tyres alone
		{0.5, wide("1.8"), finding.Holds},
		{0.5, wide("1.81"), finding.Fails},
	} {
		if f := sample.Find(t, wiring.Check(with(t, "pin-7", pair(c.right), c.sets...)), wiring.CodePlaces); f.Outcome != c.want {
			t.Errorf("tail lamps %v from the middle %v: %s %s", c.right, c.sets, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
}

// What decides whether more is asked for is asked, and nothing holds meanwhile: weight, width, length.
func TestLampsHangOnWhatIsNotKnown(t *testing.T) {
	all := `"lamps":{`
	for i, what := range strings.Fields("tail tail stop stop turn turn plate fog triangle triangle side-reflector side-reflector front-reflector front-reflector front front") {
		all += fmt.Sprintf(`"l%d":{"order":%d,"what":%q,"back":2.5,"right":%v,"height":0.6},`, i, i+1, what, 0.6-1.2*float64(i%2))
	}
	all = strings.TrimSuffix(all, ",") + "}"
	for _, c := range []struct {
		gone, field string
		want        finding.Outcome
	}{
		{"", "", finding.Holds},
		{"/trailers/t/label", "label", finding.Unknown},
		{"/trailers/t/track", "widthOverAll", finding.Unknown},
		{"/trailers/t/deckLength", "deckLength", finding.Unknown},
	} {
		var sets []string
		if c.gone != "" {
			sets = []string{c.gone, "-"}
		}
		f := sample.Find(t, wiring.Check(with(t, "pin-7", all, sets...)), wiring.CodeLamps)
		if f.Outcome != c.want || c.want == finding.Unknown && !strings.HasSuffix(f.Needs[0].Path, c.field) {
			t.Errorf("without %s: %s %v", c.gone, f.Outcome, f.Needs)
		}
	}
}

// By hand: a single stop lamp of 21 W on 7 pins: the wire is 1.8 + 2.5 m and 0.9 m to the lamp, there and back
// 2·5.2·0.0175·1.078 = 0.1962 Ω, contacts and car 0.02 + 0.06 more; at about 1.8 A it gets 12.8 − 0.5 = 12.3 V.
func TestDropByHand(t *testing.T) {
	r := with(t, "pin-7", `"lamps":{"s":{"order":1,"what":"stop","back":2.5,"right":0.6,"height":0.6}}`)
	p := wiring.Show(r, []wiring.Switch{wiring.SwitchStop})
	v := p.Lamps[0].Volts
	hot := 144.0 / 21 * math.Pow(v/12, 0.45)
	want := 12.8 * hot / (hot + 0.1962 + 0.02 + 0.06)
	if math.Abs(v-want) > 1e-3 {
		t.Errorf("%v V, by hand %v", v, want)
	}
	if a := p.Poles[5].Amps; math.Abs(a-v/hot) > 1e-3 {
		t.Errorf("%v A", a)
	}
	if e := p.Poles[2].Amps; math.Abs(e-v/hot) > 1e-3 {
		t.Errorf("%v A in the earth", e)
	}
}

func judged(r *rig.Rig) []finding.Finding { return append(wiring.Check(r), wiring.Rest(r)...) }

func TestOutcomes(t *testing.T) {
	full := strings.TrimSuffix(usualLamps(false, "fog"), "}") +
		`,"t1":{"order":20,"what":"triangle","back":2.5,"right":-0.6,"height":0.5},"t2":{"order":21,"what":"triangle","back":2.5,"right":0.6,"height":0.5},
		"s1":{"order":22,"what":"side-reflector","back":1,"right":-0.7,"height":0.5},"s2":{"order":23,"what":"side-reflector","back":1,"right":0.7,"height":0.5},
		"f1":{"order":24,"what":"front-reflector","back":0,"right":-0.6,"height":0.5},"f2":{"order":25,"what":"front-reflector","back":0,"right":0.6,"height":0.5},
		"w1":{"order":26,"what":"front","back":0,"right":-0.6,"height":0.5},"w2":{"order":27,"what":"front","back":0,"right":0.6,"height":0.5}}`
	for _, c := range []struct {
		plug, doc string
		sets      []string
		code      string
		want      finding.Outcome
	}{
		{"pin-7", full, nil, wiring.CodeLamps, finding.Holds},
		{"pin-7", usualLamps(false), nil, wiring.CodeLamps, finding.Fails}, // no fog, no reflectors
		{"pin-7", full, nil, wiring.CodePlaces, finding.Holds},
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/lstop/height", "0.2"}, wiring.CodePlaces, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/lstop/height", "0"}, wiring.CodePlaces, finding.Unknown},
		// UN R48: 900 mm at most
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/f1/height", "1"}, wiring.CodePlaces, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/s2/height", "0.2"}, wiring.CodePlaces, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/lturn/right", "-0.3"}, wiring.CodePlaces, finding.Fails},
		{"pin-7", full, nil, wiring.CodeFeeds, finding.Holds},
		{"flat-4", usualLamps(false, "reverse"), nil, wiring.CodeFeeds, finding.Fails}, // no pole for it
		{"pin-7", full, []string{"/trailers/t/wiring/lamps/plate/volts24", "true"}, wiring.CodeFeeds, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "1.5"}, wiring.CodeHeat, finding.Holds},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "0.5", "/trailers/t/wiring/bundled", "true"}, wiring.CodeHeat, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "1.5", "/trailers/t/wiring/fuse", "30"}, wiring.CodeHeat, finding.Tight},
		// two stop lamps of 21 W on one pole draw 3.5 A at 12 V; they, the fog lamp and two turn lamps 8.75 A, with four of 5 W 10.4
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "1.5", "/trailers/t/wiring/fuse", "2"}, wiring.CodeHeat, finding.Fails},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "1.5", "/trailers/t/wiring/fuse", "5"}, wiring.CodeHeat, finding.Tight},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "1.5", "/trailers/t/wiring/fuse", "15"}, wiring.CodeHeat, finding.Holds},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "4"}, wiring.CodeDrop, finding.Holds},
		{"pin-7", full, []string{"/trailers/t/wiring/wire", "0.75"}, wiring.CodeDrop, finding.Tight},
		{"nothing", full, nil, wiring.CodeFeeds, finding.Unknown},
	} {
		f := sample.Find(t, judged(with(t, c.plug, c.doc, c.sets...)), c.code)
		if f.Outcome != c.want || f.Outcome == finding.Unknown && len(f.Needs) == 0 {
			t.Errorf("%s %v: %s %s", c.code, c.sets, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	if wiring.Check(rig.Resolve(sample.Plan(t), "t", "o")) != nil {
		t.Error("lamps of a trailer without")
	}
}

// A better earth never makes a lamp darker, a thicker wire neither; the other side's lamps are as bright.
func TestMonotone(t *testing.T) {
	bright := func(doc string) map[string]float64 {
		out := map[string]float64{}
		for _, l := range wiring.Show(with(t, "pin-13", doc), []wiring.Switch{wiring.SwitchTail, wiring.SwitchStop}).Lamps {
			out[l.ID] = l.Bright
		}
		return out
	}
	thin, thick := bright(usualLamps(false)+`,"wire":0.75`), bright(usualLamps(false)+`,"wire":2.5`)
	for id := range thin {
		if thin[id] > 0.01 && thick[id] < thin[id] {
			t.Errorf("%s is darker on thick wire", id)
		}
	}
	if math.Abs(thin["lstop"]-thin["rstop"]) > 0.02 {
		t.Errorf("left %v right %v", thin["lstop"], thin["rstop"])
	}
}

// Far too many lamps are refused by name, at once.
func TestTooMany(t *testing.T) {
	var b strings.Builder
	b.WriteString(`"lamps":{`)
	for i := range 500 {
		if i > 0 {
			b.WriteByte(',')
		}
		fmt.Fprintf(&b, `"l%d":{"order":%d,"what":"marker","back":1,"right":0.5,"height":0.6}`, i, i)
	}
	f := sample.Find(t, judged(with(t, "pin-7", b.String()+"}")), wiring.CodeFeeds)
	if f.Outcome != finding.Unknown || len(f.Needs) == 0 {
		t.Errorf("%s %s", f.Outcome, f.Says.Text(quantity.Locale{}))
	}
}

// routeFrame is a drawbar from the ball to 0.6 m under the sample's deck (which begins 1 m behind the ball), a front and a
// rear cross member at 0.5 and 2.48 m, rails at 0.6 m on both sides.
const routeFrame = `{"members":{
	"bar":{"order":1,"name":"bar","role":"drawbar","from":{"back":-1},"to":{"back":0.6},"profile":P},
	"front":{"order":2,"name":"front","role":"cross","from":{"back":0.5,"right":-0.58},"to":{"back":0.5,"right":0.58},"profile":P},
	"rear":{"order":3,"name":"rear","role":"cross","from":{"back":2.48,"right":-0.58},"to":{"back":2.48,"right":0.58},"profile":P},
	"left":{"order":4,"name":"left","role":"rail","from":{"back":0,"right":-0.6},"to":{"back":2.5,"right":-0.6},"profile":P},
	"right":{"order":5,"name":"right","role":"rail","from":{"back":0,"right":0.6},"to":{"back":2.5,"right":0.6},"profile":P}}}`

func routed(t *testing.T, more string, lamps string) *rig.Rig {
	t.Helper()
	frame := strings.ReplaceAll(routeFrame, "P", `{"shape":"tube","height":0.04,"width":0.04,"wall":0.003,"material":"s235"}`)
	return with(t, "pin-7", lamps+more, "/trailers/t/frame", frame, "/trailers/t/deckHeight", `{"value":0.6,"how":"weighed"}`)
}

// Lamps at both ends of the tail: the shortest tree goes along the drawbar (1.5 m), half the front member (0.58 and 20 mm
// to the rail), one rail back (1.98), over the rear member (1.16 and twice 20 mm) and 20 mm on both rails to the lamps: 5.3 m,
// beside 0.8 m before the ball and 20 mm down from it. Without the rear member both rails: 1.5 + 1.2 + 2 · 2 = 6.7.
func TestRouteByHand(t *testing.T) {
	pair := `"lamps":{"l":{"order":1,"what":"tail","back":2.5,"right":-0.6,"height":0.58},"r":{"order":2,"what":"tail","back":2.5,"right":0.6,"height":0.58}}`
	for _, c := range []struct {
		more string
		want float64
	}{
		{``, 0.82 + 1.5 + .6 + 1.98 + 1.2 + .04},
		{`,"route":{"rear":"off"}`, 0.82 + 1.5 + 1.2 + 4},
		{`,"foldAt":0.3,"foldTurn":1.5,"foldOff":0.2`, 0.82 + 1.5 + .6 + 1.98 + 1.2 + .04 + .1 + .3},
	} {
		got := wiring.Cable(wiring.New(routed(t, c.more, pair)))
		if math.Abs(got-c.want) > 0.002 {
			t.Errorf("%s: %v m, want %v", c.more, got, c.want)
		}
	}
	// liked, both rails are taken: 0.3 of 4 m is less than the rear member
	if got := wiring.Cable(wiring.New(routed(t, `,"route":{"left":"along","right":"along"}`, pair))); math.Abs(got-7.52) > 0.002 {
		t.Errorf("along both rails: %v m", got)
	}
	// no member leads to a lamp: that is stated, and it is counted straight: 0.8 + 1 m, 2.5 and twice 0.6
	r := routed(t, `,"route":{"bar":"off","front":"off","rear":"off","left":"off","right":"off"}`, pair)
	f := sample.Find(t, wiring.Rest(r), wiring.CodeRoute)
	if got := wiring.Cable(wiring.New(r)); f.Outcome != finding.Tight || math.Abs(got-5.5) > 1e-9 {
		t.Errorf("%s %v m", f.Outcome, got)
	}
}

// The same rig mirrored takes as much cable.
func TestRouteMirrored(t *testing.T) {
	lamps := func(s float64) string {
		return fmt.Sprintf(`"lamps":{"a":{"order":1,"what":"tail","back":2.5,"right":%v,"height":0.58},"b":{"order":2,"what":"stop","back":2.5,"right":%v,"height":0.58},
			"m":{"order":3,"what":"marker","back":1.2,"right":%v,"height":0.58}}`, -.5*s, .3*s, -.7*s)
	}
	a, b := wiring.New(routed(t, "", lamps(1))), wiring.New(routed(t, "", lamps(-1)))
	if x, y := wiring.Cable(a), wiring.Cable(b); math.Abs(x-y) > 1e-9 {
		t.Errorf("%v and mirrored %v m", x, y)
	}
}

// Reflectors alone, and lamps far from any member, make no trouble.
func TestRouteBad(t *testing.T) {
	for _, lamps := range []string{
		`"lamps":{"r":{"order":1,"what":"triangle","back":2.5,"right":0.6}}`,
		`"lamps":{"r":{"order":1,"what":"tail","back":20,"right":3,"height":4}}`,
	} {
		r := routed(t, `,"foldAt":1`, lamps)
		wiring.Show(r, []wiring.Switch{wiring.SwitchTail})
		wiring.Rest(r)
	}
	// folded flat a centimetre off its axis: (π/100 + 0.1)/π = 42 mm of 72
	f := sample.Find(t, wiring.Rest(routed(t, `,"foldAt":1,"foldOff":0.01`, usualLamps(false))), wiring.CodeRoute)
	if f.Outcome != finding.Tight || math.Abs(f.Figure.Value-(.01+.1/math.Pi)) > 1e-9 {
		t.Errorf("%s %v", f.Outcome, f.Figure)
	}
}

// The sample's tail stands 3.5 m behind the ball. A box over the tail at lamp height hides the lamps behind which it
// reaches; one that ends before them, lies beside them or over them does not.
func TestHidden(t *testing.T) {
	for _, c := range []struct {
		back, right string
		height      string
		want        finding.Outcome
	}{
		{"1.2", "-0.3", "0.9", finding.Fails}, // reaches 2.7, over the left lamps
		{"0.9", "-0.3", "0.9", finding.Holds}, // ends at 2.4
		{"1.2", "0", "0.9", finding.Fails},    // the plate lamp
		{"1.2", "-0.3", "0.5", finding.Holds}, // over them: the deck is at 0.55
	} {
		lamps := strings.ReplaceAll(usualLamps(false), `"height":0.6`, `"height":`+c.height)
		r := with(t, "pin-7", lamps, "/trailers/t/deckHeight", `{"value":0.55,"how":"weighed"}`, "/loads/b",
			`{"order":1,"name":"Box","mass":{"value":50,"how":"weighed"},"size":{"length":{"value":1.5,"how":"weighed"},"width":{"value":0.8,"how":"weighed"},
			"height":{"value":0.6,"how":"weighed"}},"centre":{}}`,
			"/outings/o/layouts/t/placements", `{"b":{"on":"deck","at":{"back":`+c.back+`,"right":`+c.right+`}}}`)
		if f := sample.Find(t, wiring.Check(r), wiring.CodeHidden); f.Outcome != c.want {
			t.Errorf("%+v: %s %s", c, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
}

// The sample's deck is 1.4 m wide: lamps at 0.75 stand out 50 mm, at 0.72 they do not.
func TestKnocks(t *testing.T) {
	for _, c := range []struct {
		right, more string
		want        finding.Outcome
	}{{"0.75", "", finding.Tight}, {"0.75", `,"guarded":true`, finding.Holds}, {"0.72", "", ""}} {
		r := with(t, "pin-7", `"lamps":{"a":{"order":1,"what":"tail","back":2.5,"height":0.6,"right":`+c.right+c.more+`}}`)
		got := finding.Outcome("")
		for _, f := range wiring.Check(r) {
			if f.Code == wiring.CodeKnocks {
				got = f.Outcome
			}
		}
		if got != c.want {
			t.Errorf("%+v: %q", c, got)
		}
	}
}

// Bulbs draw 1.75 A and more; an LED turn lamp of 3 W a quarter: a car that watches takes it for dead.
func TestWatched(t *testing.T) {
	for led, want := range map[bool]finding.Outcome{false: finding.Holds, true: finding.Tight} {
		if f := sample.Find(t, wiring.Rest(with(t, "pin-13", usualLamps(led)+`,"watched":true`)), wiring.CodeWatched); f.Outcome != want {
			t.Errorf("LED %v: %s %s", led, f.Outcome, f.Says.Text(quantity.Locale{}))
		}
	}
	for _, f := range wiring.Rest(with(t, "pin-13", usualLamps(true)+`,"watched":false`)) {
		if f.Code == wiring.CodeWatched {
			t.Error("a car that does not watch says something")
		}
	}
}

// A meter on the stop pole shows the socket's volts, on a lamp's feed a little less, on its earth a little above zero,
// and what lies between feed and earth is the lamp's own.
func TestPoints(t *testing.T) {
	p := wiring.Show(with(t, "pin-7", usualLamps(false)), []wiring.Switch{wiring.SwitchStop})
	at := map[string]float64{}
	for _, x := range p.Points {
		at[x.Says.Text(quantity.Locale{})] = x.Volts
	}
	pole, feed, earth := at["pole 6, stop (red)"], at["feed of the left stop lamp"], at["earth of the left stop lamp"]
	if !(pole > feed && feed > 12 && earth > 0.01 && earth < 0.5) {
		t.Errorf("pole %v, feed %v, earth %v", pole, feed, earth)
	}
	for _, l := range p.Lamps {
		if l.ID == "lstop" && math.Abs(l.Volts-(feed-earth)) > 1e-9 {
			t.Errorf("lamp %v, between %v", l.Volts, feed-earth)
		}
	}
}

// The diagram has a box for each contact that feeds and one for each lamp, the earth's beside them; the table of wires one
// wire for each lamp and each unit's earth, as long together as what is bought.
func TestDiagramAndWires(t *testing.T) {
	h := wiring.New(with(t, "pin-7", usualLamps(false, "fog")))
	boxes := 0
	for _, s := range h.Diagram().Shapes {
		if s.Class == "diagram-box" {
			boxes++
		}
	}
	if boxes != 6+1+8 { // left, right, stop, two tails, fog; earth; eight lamps
		t.Errorf("%d boxes", boxes)
	}
	wires := h.Wires()
	if len(wires) != 8+3 { // earths of left, right, and of plate and fog, 0.2 m apart
		t.Errorf("%d wires", len(wires))
	}
	seen := map[string]bool{}
	bought := map[string]float64{}
	for _, w := range wires {
		if seen[w.Label] {
			t.Errorf("two wires are called %s", w.Label)
		}
		seen[w.Label] = true
		if _, is := bought[w.Pole]; !is {
			bought[w.Pole] = w.Shared
		}
		bought[w.Pole] += w.Length
	}
	for _, row := range wiring.Show(with(t, "pin-7", usualLamps(false, "fog")), nil).Length {
		number := strings.TrimPrefix(strings.SplitN(row.Says.Text(quantity.Locale{}), ",", 2)[0], "pole ")
		if got, want := row.Length.Value, math.Ceil(bought[number]*20-1e-9)/20; math.Abs(got-want) > 1e-9 {
			t.Errorf("pole %s: %v m to buy, wires %v", number, got, want)
		}
	}
	if wiring.Show(with(t, "pin-7", `"lamps":{}`), nil) != nil || wiring.New(nil) != nil {
		t.Error("no lamps are shown")
	}
}
