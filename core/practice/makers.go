package practice

import (
	"encoding/json"
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"strings"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/lashing"
	"zygonos/core/ask/towing"
	"zygonos/core/ask/wiring"
	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/sums/survey"
)

// exact is an estimate without doubt, as JSON.
func exact(v float64) string { return fmt.Sprintf(`{"value":%v,"plusMinus":0,"how":"weighed"}`, v) }

// thrown is a plausible rig: an empty trailer with what it bears on the ball, a deck, an axle, and crates on it.
type thrown struct {
	empty, ball, axle, deckFront, deckLong, deckWide, gross float64
	crates                                                  []crate
	more                                                    string // further members of the trailer
}

// raw is JSON as a value of a patch; nil where it is none.
func raw(s string) (v any) {
	if json.Unmarshal([]byte(s), &v) != nil {
		return nil
	}
	return v
}

// crate is a load: mass, length, and where its front stands behind the front board.
type crate struct{ mass, long, at float64 }

func throwRig(r *rand.Rand) thrown {
	t := thrown{
		empty: between(r, 180, 380, 10), deckFront: between(r, 0.9, 1.3, 0.05), deckLong: between(r, 2.0, 3.0, 0.1),
		deckWide: between(r, 1.2, 1.5, 0.05), gross: between(r, 750, 1500, 50),
	}
	t.axle = math.Round((t.deckFront+t.deckLong*between(r, 0.52, 0.6, 0.01))*20) / 20
	t.ball = math.Round(t.empty * between(r, 0.06, 0.12, 0.01))
	return t
}

// doc is it as a plan.
func (t *thrown) plan() (*plan.Plan, bool) {
	var loads, places []string
	for i, c := range t.crates {
		loads = append(
			loads,
			fmt.Sprintf(
				`"c%d":{"order":%d,"name":"Crate %d","kind":"box","mass":%s,"size":{"length":%s,"width":%s,"height":%s},
			"centre":{"back":%s,"right":%s}}`,
				i+1,
				i+1,
				i+1,
				exact(c.mass),
				exact(c.long),
				exact(0.8),
				exact(0.6),
				exact(c.long/2),
				exact(0),
			),
		)
		places = append(places, fmt.Sprintf(`"c%d":{"on":"deck","at":{"back":%v}}`, i+1, c.at))
	}
	doc := fmt.Sprintf(
		`{"format":"zygonos-plan","version":1,"name":"Practice","region":"uk","units":"metric","ballSchool":"about-ten","chosen":"t",
"loads":{%s},"towVehicles":{"car":{"order":1,"name":"Car","kerb":{"value":1600,"plusMinus":0,"how":"plate"},"gross":2400,"train":4500,"towBraked":2500,"towUnbraked":1600,
"ballLimit":150,"hitchTow":2500,"hitchBall":150,"wheelbase":{"value":2.7,"how":"weighed"},"rearOverhang":{"value":1.1,"how":"weighed"}}},
"trailers":{"t":{"order":1,"name":"Trailer","couplingToAxle":%s,"couplingToDeck":%s,"deckLength":%s,"deckWidth":%s,"deckHeight":%s,"track":{"value":1.5,"how":"weighed"},
"label":{"value":%v,"counts":"gross"},"brakes":"overrun","empty":{"ball":{"mass":%v,"plusMinus":0},"axle":{"mass":%v,"plusMinus":0}}%s}},
"parts":{},"outings":{"o":{"order":1,"name":"Outing","vehicle":"car","people":{"value":150,"plusMinus":0,"how":"weighed"},
"layouts":{"t":{"placements":{%s}}}}}}`,
		strings.Join(loads, ","),
		exact(t.axle),
		exact(t.deckFront),
		exact(t.deckLong),
		exact(t.deckWide),
		exact(0.55),
		t.gross,
		t.ball,
		t.empty-t.ball,
		t.more,
		strings.Join(places, ","),
	)
	p, err := plan.Read([]byte(doc))
	if err != nil {
		return nil, false
	}
	plan.Clean(p)
	return p, true
}

// resolve is its rig.
func (t *thrown) resolve() (*rig.Rig, bool) {
	p, ok := t.plan()
	if !ok {
		return nil, false
	}
	r := rig.Resolve(p, "t", "o")
	return r, r != nil && r.Bears != nil
}

// side is it from the side, as every rig is drawn.
func side(p *plan.Plan, trailer, outing string) *scene.View {
	rep := review.Review(p, review.Request{Outing: outing, Trailer: trailer})
	for i := range rep.Views {
		if v := &rep.Views[i]; v.ID == "side" {
			v.Handles, v.Targets = nil, nil
			v.Shapes = slices.DeleteFunc(v.Shapes, func(s scene.Shape) bool { return s.Form == scene.Text })
			return v
		}
	}
	return nil
}

// ballCase asks what presses on the ball: moments about the axle.
func ballCase(r *rand.Rand, level int, own *plan.Plan) (made, bool) {
	if own != nil && level > 1 && r.IntN(3) == 0 {
		if m, ok := ownBall(r, level, own); ok {
			return m, true
		}
	}
	t := throwRig(r)
	n := 1
	if level > 1 {
		n = 2
	}
	at := 0.0
	for range n {
		c := crate{between(r, 100, 450, 10), between(r, 0.6, 1.1, 0.1), 0}
		c.at = math.Round((at+between(r, 0, 0.5, 0.05))*100) / 100
		at = c.at + c.long
		t.crates = append(t.crates, c)
	}
	if at > t.deckLong {
		return made{}, false
	}
	g, ok := t.resolve()
	if !ok || g.Bears.Ball.Nominal < 15 {
		return made{}, false
	}
	right := g.Bears.Ball.Nominal
	loads, about, sum, ends := 0.0, 0.0, 0.0, 0.0
	m := made{}
	for i, c := range t.crates {
		middle := t.deckFront + c.at + c.long/2
		loads += c.mass * (t.axle - middle) / t.axle
		about += c.mass * (t.axle - t.deckFront - c.at - c.long/2) / (t.axle - t.deckFront)
		ends += c.mass * (t.axle - t.deckFront - c.at) / t.axle
		sum += c.mass
		m.given = append(m.given, said.Say("Crate %: %, % long, its front % behind the front board.",
			said.Count(i+1), said.Mass(c.mass), said.Length(c.long), said.Length(c.at)))
		m.why = append(
			m.why,
			said.Say("Crate %: its middle is % ahead of the axle: % · % / % = %.", said.Count(i+1),
				said.Length(t.axle-middle), said.Mass(c.mass), said.Length(t.axle-middle), said.Length(t.axle),
				said.Mass(c.mass*(t.axle-middle)/t.axle)),
		)
	}
	m.ask = said.Say("What presses on the ball?")
	m.given = append(
		m.given,
		said.Say("Empty it weighs %, with % on the ball. Ball to axle %, ball to the front board %.",
			said.Mass(t.empty), said.Mass(t.ball), said.Length(t.axle), said.Length(t.deckFront)),
	)
	m.why = append(m.why, said.Say("With the empty trailer’s own %: %.", said.Mass(t.ball), said.Mass(right)))
	m.choices, ok = figures(
		quantity.KindMass,
		level,
		right,
		mistaken{loads, "That leaves out what the empty trailer itself has on the ball."},
		mistaken{
			t.ball + about,
			"That takes the front board for the ball: the lever runs from the axle to the ball.",
		},
		mistaken{t.ball + ends, "That takes each crate’s front for its middle."},
		mistaken{0.10 * (t.empty + sum), "A tenth is a rule for what should be there, not what is there."},
		mistaken{t.ball + sum/2, "Half of it would be there if the load stood midway between ball and axle."},
	)
	m.choices = m.choices[:min(4, len(m.choices))]
	m.asked(quantity.KindMass, level)
	p, _ := t.plan()
	m.view = side(p, "t", "o")
	return m, ok
}

// ownBall asks it of one of the plan's own outings.
func ownBall(r *rand.Rand, level int, p *plan.Plan) (made, bool) {
	ids := p.OutingIDs()
	if len(ids) == 0 {
		return made{}, false
	}
	outing := ids[r.IntN(len(ids))]
	trailers := make([]string, 0, 2)
	for _, t := range plan.Ordered(p.Trailers, func(t plan.Trailer) int { return t.Order }) {
		if len(p.Outings[outing].Layouts[t].Placements) > 0 {
			trailers = append(trailers, t)
		}
	}
	if len(trailers) == 0 {
		return made{}, false
	}
	trailer := trailers[r.IntN(len(trailers))]
	g := rig.Resolve(p, trailer, outing)
	if g == nil || g.Bears == nil || g.Bears.Ball.Nominal < 15 {
		return made{}, false
	}
	right, mass := g.Bears.Ball.Nominal, g.Bears.Mass.Nominal
	m := made{
		ask: said.Say("What presses on the ball, about?"),
		given: []said.Sentence{
			said.Say(
				"Your own: %, %.",
				said.Name(p.Outings[outing].Name, "an outing"),
				said.Name(p.Trailers[trailer].Name, "a trailer"),
			),
		},
		why: []said.Sentence{
			said.Say(
				"The plan gives % of %: % of it.",
				said.Mass(right),
				said.Mass(mass),
				said.Share(right/mass),
			),
		},
		view: side(p, trailer, outing), own: true,
	}
	var ok bool
	m.choices, ok = figures(
		quantity.KindMass,
		level,
		right,
		mistaken{0.10 * mass, "A tenth is a rule for what should be there."},
		mistaken{2 * right, "That much would tip the car’s tail: look how close the middle of the load is to the axle."},
		mistaken{
			right / 2,
			"There is more ahead of the axle than that.",
		},
		mistaken{0.2 * mass, "That would be a fifth of all of it."},
	)
	m.choices = m.choices[:min(4, len(m.choices))]
	return m, ok
}

// holdsCase asks whether it holds: by plate and by ball, each as the core has it.
func holdsCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	long := between(r, 0.8, 1.4, 0.1)
	t.crates = []crate{{between(r, 200, 900, 10), long, between(r, 0, math.Max(0.1, t.deckLong-long), 0.05)}}
	g, ok := t.resolve()
	if !ok {
		return made{}, false
	}
	low, high := 0.05, 0.15
	w := balance.Check(g).Window
	if w == nil {
		return made{}, false
	}
	low, high = w.Low, w.High
	ball, mass := g.Bears.Ball.Nominal, g.Bears.Mass.Nominal
	room := [Levels]float64{0.12, 0.07, 0.03}[level-1]
	clear := func(v, limit float64) bool { return math.Abs(v/limit-1) > room }
	if !clear(mass, t.gross) || !clear(ball, low) || !clear(ball, high) {
		return made{}, false
	}
	heavy, little, much := mass > t.gross, ball < low, ball > high
	if heavy && (little || much) {
		return made{}, false
	}
	names := []said.Sentence{
		said.Say("It holds"),
		said.Say("Heavier than its plate"),
		said.Say("Too little on the ball"),
		said.Say("Too much on the ball"),
	}
	right := 0
	switch {
	case heavy:
		right = 1
	case little:
		right = 2
	case much:
		right = 3
	}
	reasons := []said.Sentence{
		said.Say("Add up load and trailer, and the moments about the axle: one of them is out."),
		said.Say("Load and trailer together are % of %.", said.Mass(mass), said.Mass(t.gross)),
		said.Say("% presses on the ball, and % is the least.", said.Mass(ball), said.Mass(low)),
		said.Say("% presses on the ball, and % is the most.", said.Mass(ball), said.Mass(high)),
	}
	m := made{ask: said.Say("Does this hold?"), choices: []choice{{says: names[right]}}}
	for i := range names {
		if i != right {
			m.choices = append(m.choices, choice{says: names[i], mistake: reasons[i]})
		}
	}
	c := t.crates[0]
	m.given = []said.Sentence{
		said.Say(
			"The plate says % in all. Empty it weighs %, with % on the ball.",
			said.Mass(t.gross),
			said.Mass(t.empty),
			said.Mass(t.ball),
		),
		said.Say(
			"The crate: %, % long, its front % behind the front board.",
			said.Mass(c.mass),
			said.Length(c.long),
			said.Length(c.at),
		),
		said.Say(
			"Ball to axle %, ball to the front board %. The ball may have % to %.",
			said.Length(t.axle),
			said.Length(t.deckFront),
			said.Mass(low),
			said.Mass(high),
		),
	}
	m.why = []said.Sentence{
		said.Say("In all % of %.", said.Mass(mass), said.Mass(t.gross)),
		said.Say("On the ball %, of % to %.", said.Mass(ball), said.Mass(low), said.Mass(high)),
	}
	p, _ := t.plan()
	m.view = side(p, "t", "o")
	return m, true
}

// fixesCase shows too little or too much on the ball, and asks which way out brings it into the window: each way is tried by the core.
func fixesCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	long := between(r, 0.7, 1.2, 0.1)
	t.crates = []crate{{between(r, 200, 500, 10), long, between(r, 0.2, math.Max(0.3, t.deckLong-long-0.2), 0.05)}}
	now, low, high, ok := pressed(&t)
	if !ok || now >= low*0.97 && now <= high*1.03 {
		return made{}, false
	}
	by := between(r, 0.15, 0.5, 0.05)
	small := between(r, 20, 60, 5)
	moved := func(d float64) thrown {
		n := t
		n.crates = []crate{t.crates[0]}
		n.crates[0].at = math.Round((n.crates[0].at+d)*100) / 100
		return n
	}
	added := func(at float64) thrown {
		n := t
		n.crates = append(slices.Clone(t.crates), crate{small, 0.3, at})
		return n
	}
	heavier := t
	heavier.gross = t.gross + 100
	ways := []struct {
		says    said.Sentence
		rig     thrown
		mistake string
	}{
		{said.Say("Move the crate % forward", said.Length(by)), moved(-by), "Forward puts more on the ball"},
		{said.Say("Move the crate % back", said.Length(by)), moved(by), "Back takes weight off the ball"},
		{said.Say("A toolbox of % at the very rear", said.Mass(small)), added(t.deckLong - 0.3), "What is behind the axle lifts the ball"},
		{said.Say("A toolbox of % at the front board", said.Mass(small)), added(0), "What is at the front presses on the ball"},
		{said.Say("A plate with % more", said.Mass(100.0)), heavier, "A plate moves nothing"},
	}
	right := -1
	for i := range ways {
		w := &ways[i]
		for _, c := range w.rig.crates {
			if c.at < 0 || c.at+c.long > t.deckLong+1e-9 {
				return made{}, false
			}
		}
		v, l, h, ok := pressed(&w.rig)
		if !ok {
			return made{}, false
		}
		if v >= l*1.03 && v <= h*0.97 {
			if right >= 0 {
				return made{}, false // two ways out
			}
			right = i
		} else if v >= l*0.97 && v <= h*1.03 {
			return made{}, false // too near to tell
		}
		w.mistake = fmt.Sprintf("%s: ", w.mistake)
	}
	if right < 0 {
		return made{}, false
	}
	c := t.crates[0]
	m := made{
		ask: said.Say("Too little on the ball. Which way out fixes that?"),
		given: []said.Sentence{
			said.Say("On the ball %, of % to %.", said.Mass(now), said.Mass(low), said.Mass(high)),
			said.Say("The crate: %, % long, its front % behind the front board. Ball to axle %, ball to the front board %.", said.Mass(c.mass),
				said.Length(c.long), said.Length(c.at), said.Length(t.axle), said.Length(t.deckFront)),
		},
	}
	if now > high {
		m.ask = said.Say("Too much on the ball. Which way out fixes that?")
	}
	then := func(i int) (said.Piece, said.Sentence) {
		v, l, h, _ := pressed(&ways[i].rig)
		return said.Mass(v), said.Say(", of % to %.", said.Mass(l), said.Mass(h))
	}
	v, of := then(right)
	m.choices = []choice{{says: ways[right].says}}
	m.why = []said.Sentence{slices.Concat(said.Say("Then the ball has %", v), of)}
	for i := range ways {
		if i != right && len(m.choices) < 4 {
			v, of := then(i)
			m.choices = append(m.choices, choice{says: ways[i].says, mistake: slices.Concat(said.Say(ways[i].mistake+"it would have %", v), of)})
		}
	}
	if level == 1 {
		m.choices = m.choices[:3]
	}
	p, _ := t.plan()
	m.view = side(p, "t", "o")
	return m, true
}

// pressed is what a thrown rig has on the ball, and its window.
func pressed(t *thrown) (ball, low, high float64, ok bool) {
	g, ok := t.resolve()
	if !ok {
		return 0, 0, 0, false
	}
	w := balance.Check(g).Window
	if w == nil {
		return 0, 0, 0, false
	}
	return g.Bears.Ball.Nominal, w.Low, w.High, true
}

// fillCase asks how deep loose material may lie: what the plate leaves over what a wet one weighs.
func fillCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	sides := between(r, 0.3, 0.5, 0.05)
	mat := among(r, "sand", "gravel", "topsoil", "clay", "compost", "bark")
	stuff, _ := catalogue.MaterialOf(mat)
	left := t.gross - t.empty
	area := t.deckLong * t.deckWide
	depth := left / (stuff.WetHigh * area)
	if depth < 0.04 || depth > sides-0.02 {
		return made{}, false
	}
	t.more = fmt.Sprintf(`,"sideHeight":%v`, sides)
	p, ok := t.plan()
	if !ok {
		return made{}, false
	}
	p, err := plan.Apply(p, []finding.Op{
		{
			Op:   "add",
			Path: "/loads/heap",
			Value: raw(
				`{"order":1,"name":"Heap","bulk":{"material":"` + mat + `","by":"volume","volume":` + exact(
					0.2,
				) + `}}`,
			),
		},
		{Op: "add", Path: "/outings/o/layouts/t/placements/heap", Value: raw(`{"on":"deck","at":{"back":0}}`)},
	})
	if err != nil {
		return made{}, false
	}
	plan.Clean(p)
	g := rig.Resolve(p, "t", "o")
	if g == nil {
		return made{}, false
	}
	core := 0.0
	for _, f := range towing.Check(g).Fills {
		core = f.Wet.Depth
	}
	if math.Abs(core/depth-1) > 0.03 { // another rating rules, or the bed is not level: another throw
		return made{}, false
	}
	m := made{
		ask: said.Say("How deep may wet % be, raked level?", said.Piece{Text: stuff.Name}),
		given: []said.Sentence{
			said.Say("The plate says % in all, empty it weighs %.", said.Mass(t.gross), said.Mass(t.empty)),
			said.Say(
				"The bed is % by %, its sides % high.",
				said.Length(t.deckLong),
				said.Length(t.deckWide),
				said.Length(sides),
			),
			said.Say(
				"It weighs % dry, % wet.",
				said.Of(quantity.KindDensity, stuff.DryLow),
				said.Of(quantity.KindDensity, stuff.WetHigh),
			),
		},
		why: []said.Sentence{
			said.Say("The plate leaves % − % = %.", said.Mass(t.gross), said.Mass(t.empty), said.Mass(left)),
			said.Say(
				"Over % and the bed’s area that is %.",
				said.Of(quantity.KindDensity, stuff.WetHigh),
				said.Length(depth),
			),
		},
	}
	m.choices, ok = figures(
		quantity.KindLength,
		level,
		math.Floor(depth*200)/200, // never more than it bears
		mistaken{rounded(left / (stuff.DryLow * area)), "That is dry: rain adds the difference."},
		mistaken{
			rounded(t.gross / (stuff.WetHigh * area)),
			"That forgets the trailer’s own weight: the plate counts it.",
		},
		mistaken{rounded(t.gross / (stuff.DryLow * area)), "That is dry, and forgets the trailer’s own weight."},
		mistaken{rounded(sides), "Up to the brim is what fits, not what it may carry."},
	)
	m.choices = m.choices[:min(4, len(m.choices))]
	m.asked(quantity.KindLength, level)
	return m, ok
}

func rounded(v float64) float64 { return math.Round(v*200) / 200 }

// labelCase asks what a label leaves: as it counts gross or payload.
func labelCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	t.crates = []crate{{between(r, 100, 200, 10), 0.8, 0.6}}
	gross := r.IntN(2) == 0
	g, ok := t.resolve()
	if !ok {
		return made{}, false
	}
	label := *g.Trailer.Label
	words := "PAYLOAD"
	label.Counts = plan.CountsPayload
	if gross {
		words, label.Counts = among(r, "GVWR", "MAX GROSS", "MAM", "ATM"), plan.CountsGross
	}
	g.Trailer.Label = &label
	right := 0.0
	for _, x := range towing.LabelReadings(g) {
		if x.Counts == label.Counts {
			right = x.Left
		}
	}
	m := made{
		ask: said.Say("How much may you load?"),
		given: []said.Sentence{
			said.Say(
				"The label says “"+words+" %”.",
				said.Mass(t.gross),
			), said.Say("Empty the trailer weighs %.", said.Mass(t.empty)),
		},
	}
	other, why := t.gross, "That is load and trailer together: the trailer’s own weight comes off."
	if gross {
		m.why = []said.Sentence{
			said.Say(
				"Such a label counts the trailer: % − % = %.",
				said.Mass(t.gross),
				said.Mass(t.empty),
				said.Mass(right),
			),
		}
	} else {
		other, why = t.gross-t.empty, "Payload counts the load alone: the trailer’s weight does not come off again."
		m.why = []said.Sentence{said.Say("Payload is the load alone: %, if {tyre}s, axle and car can take the rest.", said.Mass(right))}
	}
	m.choices, ok = figures(quantity.KindMass, level, right, mistaken{other, why},
		mistaken{t.gross + t.empty, "Nothing is ever gained by the trailer’s own weight."},
		mistaken{right - 0.1*t.gross, "The ball carries a part of it, but it is still load on the trailer."},
		mistaken{right / 2, "No label means half."})
	m.choices = m.choices[:min(4, len(m.choices))]
	return m, ok
}

// rampCase asks whether a machine's belly clears where ramp and deck meet: as the core drives it on.
func rampCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	deck, ramp := between(r, 0.4, 0.7, 0.05), between(r, 1.5, 2.8, 0.1)
	base, belly := between(r, 0.9, 1.7, 0.05), between(r, 0.08, 0.25, 0.01)
	wheel := among(r, 0.40, 0.50, 0.60)
	p, ok := t.plan()
	if !ok {
		return made{}, false
	}
	patch := []finding.Op{
		{
			Op:   "add",
			Path: "/loads/m",
			Value: raw(
				`{"order":1,"name":"Machine","kind":"quad","mass":` + exact(
					300,
				) + `,"size":{"length":` + exact(
					base+0.5,
				) + `,"width":` + exact(
					1,
				) +
					`,"height":` + exact(
					1,
				) + `},"rolling":{"frontAxle":` + exact(
					0.25,
				) + `,"wheelbase":` + exact(
					base,
				) + `,"track":` + exact(
					0.8,
				) +
					`,"clearance":` + exact(
					belly,
				) + fmt.Sprintf(
					`,"wheel":%v,"tyre":0.2}}`,
					wheel,
				),
			),
		},
		{Op: "add", Path: "/outings/o/layouts/t/placements/m", Value: raw(`{"on":"deck","at":{"back":0.2}}`)},
		{Op: "replace", Path: "/trailers/t/deckHeight", Value: raw(exact(deck))},
		{
			Op:   "add",
			Path: "/parts/ramps",
			Value: raw(
				`{"order":1,"name":"Ramps","mass":` + exact(
					30,
				) + `,"size":{"length":` + exact(
					0.2,
				) + `},"centre":{"back":` + exact(
					0.1,
				) +
					`},"ramp":` + fmt.Sprintf(
					`{"length":%v,"width":0.3,"rating":900,"counts":"vehicle","per":"pair","held":"pins","lip":0.05}}`,
					ramp,
				),
			),
		},
		{Op: "add", Path: "/outings/o/layouts/t/parts", Value: raw(`{"ramps":{"at":{"back":2}}}`)},
		{
			Op:    "add",
			Path:  "/outings/o/layouts/t/loading",
			Value: raw(`{"machine":"m","ramp":"ramps","unhitched":false}`),
		},
	}
	p, err := plan.Apply(p, patch)
	if err != nil {
		return made{}, false
	}
	plan.Clean(p)
	rep := review.Review(p, review.Request{Outing: "o", Trailer: "t"})
	i := slices.IndexFunc(rep.Findings, func(f finding.Finding) bool { return f.Code == "ramp.clearance" })
	if i < 0 {
		return made{}, false
	}
	f := &rep.Findings[i]
	if f.Outcome != finding.Holds && f.Outcome != finding.Fails || f.Figure == nil {
		return made{}, false
	}
	room := [Levels]float64{0.06, 0.03, 0.015}[level-1]
	if f.Limit != nil && math.Abs(f.Figure.Value-f.Limit.Value) < room {
		return made{}, false
	}
	m := made{
		ask: said.Say("Does its belly clear the top of the ramp?"),
		given: []said.Sentence{
			said.Say("The ramps are % long, the deck % high.", said.Length(ramp), said.Length(deck)),
			said.Say(
				"Its axles are % apart and its belly is % above the ground.",
				said.Length(base),
				said.Length(belly),
			),
		},
		why: []said.Sentence{f.Says},
	}
	rise := base * deck / ramp / 4
	yes, no := choice{says: said.Say("It clears")}, choice{says: said.Say("It grounds")}
	m.why = append(
		m.why,
		said.Say(
			"By eye: a quarter of % · % / % is %, against a belly of %.",
			said.Length(base),
			said.Length(deck),
			said.Length(ramp),
			said.Length(rise),
			said.Length(belly),
		),
	)
	yes.mistake = said.Say("A long machine hangs down between its axles as it goes over the edge.")
	no.mistake = said.Say(
		"The edge comes up between the axles by about a quarter of their distance times the slope, and that is less than the belly has.",
	)
	m.choices = []choice{yes, no}
	if f.Outcome == finding.Fails {
		m.choices = []choice{no, yes}
	}
	return m, true
}

// strapsCase asks how many straps the rule of North America wants for a weight: working limits of half of it, and one for each length.
func strapsCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	t.gross = 1500
	long := between(r, 0.8, 2.0, 0.1)
	mass := between(r, 300, 1100, 50)
	t.crates = []crate{{mass, long, 0.1}}
	if long+0.2 > t.deckLong {
		return made{}, false
	}
	limit := among(r, 150.0, 230.0, 300.0, 450.0)
	right := 0
	for n := 1; n <= 6 && right == 0; n++ {
		if v, ok := strapped(&t, limit, n); ok && v {
			right = n
		}
	}
	if right == 0 {
		return made{}, false
	}
	count := func(n int, mistake string) choice {
		return choice{says: said.Sentence{said.Count(n)}, mistake: said.Say(mistake)}
	}
	m := made{
		ask: said.Say("How many straps over the top, by the North American rule?"),
		given: []said.Sentence{
			said.Say("The crate weighs % and is % long.", said.Mass(mass), said.Length(long)),
			said.Say("Each strap: working limit %, breaks at %.", said.Mass(limit), said.Mass(3*limit)),
			said.Say("Both ends go to rings that take more than the strap."),
		},
		why: []said.Sentence{
			said.Say(
				"The working limits together must make half of the weight: % of %.",
				said.Mass(mass/2),
				said.Mass(mass),
			),
			said.Say(
				"If nothing blocks it in front: one up to 5 feet and 1,100 lb, two beyond that up to 10 feet. At % each it needs %.",
				said.Mass(limit),
				said.Count(right),
			),
		},
	}
	used := map[int]bool{right: true}
	m.choices = []choice{count(right, "")}
	add := func(n int, mistake string) {
		if n > 0 && !used[n] && len(m.choices) < 4 {
			used[n] = true
			m.choices = append(m.choices, count(n, mistake))
		}
	}
	add(int(math.Ceil(mass/2/(3*limit)-1e-9)), "That uses the breaking load: the working limit is a third of it.")
	add(int(math.Ceil(mass/limit-1e-9)), "Half of the weight is asked for, not all of it.")
	add(int(math.Ceil(mass/2/(limit/2)-1e-9)), "A strap counts half only if one end goes to the load itself.")
	add(right+1, "One more does no harm, but the rule is already met.")
	add(right-1, "One too few: add up the working limits, and look at its length.")
	return m, len(m.choices) >= 3
}

// strapped reports whether so many straps over the top satisfy the rule.
func strapped(t *thrown, limit float64, n int) (bool, bool) {
	p, ok := t.plan()
	if !ok {
		return false, false
	}
	p.Region = quantity.NorthAmerica
	p.Straps = map[string]plan.Strap{}
	ring := func(back, right float64) string {
		return fmt.Sprintf(
			`{"order":1,"kind":"ring-welded","rating":2000,"at":{"back":%v,"right":%v}}`,
			back,
			right,
		)
	}
	var points, ties []string
	c := t.crates[0]
	for i := range n {
		at := c.at + c.long*(float64(i)+0.5)/float64(n)
		points = append(
			points,
			fmt.Sprintf(`"l%d":%s,"r%d":%s`, i, ring(at, -t.deckWide/2), i, ring(at, t.deckWide/2)),
		)
		ties = append(
			ties,
			fmt.Sprintf(
				`"s%d":{"order":%d,"load":"c1","strap":"s","from":"l%d","to":"r%d","hold":{"back":%v,"right":0,"up":0.6}}`,
				i,
				i+1,
				i,
				i,
				c.long*(float64(i)+0.5)/float64(n),
			),
		)
	}
	p, err := plan.Apply(p, []finding.Op{
		{
			Op:   "add",
			Path: "/straps",
			Value: raw(
				fmt.Sprintf(
					`{"s":{"order":1,"name":"Strap","kind":"ratchet","limit":%v,"length":6,"count":12}}`,
					limit,
				),
			),
		},
		{Op: "add", Path: "/trailers/t/tiePoints", Value: raw("{" + strings.Join(points, ",") + "}")},
		{Op: "add", Path: "/outings/o/layouts/t/lashings", Value: raw("{" + strings.Join(ties, ",") + "}")},
	})
	if err != nil {
		return false, false
	}
	plan.Clean(p)
	g := rig.Resolve(p, "t", "o")
	if g == nil {
		return false, false
	}
	for i := range lashing.Loads(g) {
		l := lashing.Loads(g)[i]
		v := lashing.NorthAmerica(&l)
		return v.Has >= v.Needs-1e-9 && v.Count >= v.Least, true
	}
	return false, false
}

// wiringCase shows what lamps do with one fault, and asks which it is: one that shows so, and others that show otherwise.
func wiringCase(r *rand.Rand, _ int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	var lamps []string
	for i, s := range []struct {
		id string
		at float64
	}{{"l", -0.6}, {"r", 0.6}} {
		for k, what := range []string{"tail", "stop", "turn"} {
			lamps = append(
				lamps,
				fmt.Sprintf(
					`"%s%s":{"order":%d,"what":"%s","back":%v,"right":%v,"height":0.6}`,
					s.id,
					what,
					3*i+k+1,
					what,
					t.deckLong,
					s.at,
				),
			)
		}
	}
	t.more = `,"plug":"` + among(
		r,
		"pin-7",
		"pin-13",
		"flat-4",
	) + `","wiring":{"lamps":{` + strings.Join(
		lamps,
		",",
	) + `}}`
	g, ok := t.resolve()
	if !ok {
		return made{}, false
	}
	h := wiring.New(g)
	if h == nil {
		return made{}, false
	}
	p, ok := h.Pose(r.IntN(1000), r.IntN)
	if !ok || len(p.Shows) == 0 {
		return made{}, false
	}
	m := made{
		ask: said.Say(
			"Everything else is in order. Which one is it?",
		), given: p.Shows, choices: []choice{{says: p.Right}},
		why: []said.Sentence{p.Reason},
	}
	for _, w := range p.Wrong {
		m.choices = append(m.choices, choice{says: w, mistake: said.Say("That would show on other lamps, or in another way.")})
	}
	return m, true
}

// squareCase tapes a frame out of square, and asks how far its rear stands aside.
func squareCase(r *rand.Rand, level int, _ *plan.Plan) (made, bool) {
	long, wide := between(r, 1.8, 3.0, 0.1), between(r, 1.1, 1.6, 0.1)
	skew := between(r, 0.004, 0.03, 0.001) * among(r, -1.0, 1.0)
	a, b := math.Hypot(long, wide+skew), math.Hypot(long, wide-skew)
	a, b = math.Round(a*1000)/1000, math.Round(b*1000)/1000
	side := math.Round(math.Hypot(long, skew)*1000) / 1000
	s, err := survey.NewSquare([]survey.Taped{
		{
			Side:   survey.Front,
			Length: wide,
		}, {Side: survey.Rear, Length: wide}, {Side: survey.Left, Length: side}, {Side: survey.Right, Length: side},
		{Side: survey.DiagonalA, Length: a}, {Side: survey.DiagonalB, Length: b},
	}, 0.0005)
	if err != nil {
		return made{}, false
	}
	right := math.Abs(s.Skew)
	to, wrong := "left", "right"
	if s.Skew < 0 {
		to, wrong = "right", "left"
	}
	says := func(side string, v float64) said.Sentence {
		return said.Say("The rear to the "+side+", by %", said.Length(math.Round(v*1000)/1000))
	}
	m := made{
		ask: said.Say("The front stays. Where does the rear go, and how far?"),
		given: []said.Sentence{
			said.Say("Sides % each, front and rear % each.", said.Length(side), said.Length(wide)),
			said.Say("Front left to rear right %, front right to rear left %.", said.Length(a), said.Length(b)),
		},
		why: []said.Sentence{
			said.Say("The longer diagonal ends at the corner that sticks out: it goes back, to the " + to + "."),
			said.Say(
				"(% · % − % · %) / (4 · %) = %.",
				said.Length(math.Max(a, b)),
				said.Length(math.Max(a, b)),
				said.Length(math.Min(a, b)),
				said.Length(math.Min(a, b)),
				said.Length(wide),
				said.Length(right),
			),
		},
	}
	d := math.Abs(a - b)
	if right < 0.004 || math.Abs(d-right) < 0.0015 || math.Abs(d/2-right) < 0.0015 {
		return made{}, false
	}
	m.choices = []choice{
		{says: says(to, right)},
		{says: says(wrong, right), mistake: said.Say("The other way it gets worse: the longer diagonal must become shorter.")},
		{says: says(to, d), mistake: said.Say("The diagonals’ difference is not the way: it goes by their squares over four widths.")},
		{says: says(to, d/2), mistake: said.Say("Half of the difference is how each diagonal itself changes, along its length, not across.")},
	}
	if level == 1 {
		m.choices = m.choices[:3]
	}
	return m, true
}

// sellerCase leaves something of a trailer unstated, and asks what to ask first: what the core would find out next.
func sellerCase(r *rand.Rand, _ int, _ *plan.Plan) (made, bool) {
	t := throwRig(r)
	t.crates = []crate{{between(r, 200, 400, 50), 1, 0.5}}
	p, ok := t.plan()
	if !ok {
		return made{}, false
	}
	asks := []struct{ path, says, mistake string }{
		{
			"/trailers/t/label",
			"What does its plate say, and does it count the trailer?",
			"Colour and age come after what it may weigh.",
		},
		{
			"/trailers/t/empty",
			"What does it weigh empty, on a slip?",
			"Without the empty weight the plate tells you nothing about the load.",
		},
		{
			"/trailers/t/couplingToAxle",
			"How far is it from the {coupling} to the axle?",
			"Without that nobody knows what presses on the ball.",
		},
	}
	gone := asks[r.IntN(len(asks))]
	p, err := plan.Apply(p, []finding.Op{{Op: "remove", Path: gone.path}})
	if gone.path == "/trailers/t/empty" && err == nil {
		p, err = plan.Apply(p, []finding.Op{{Op: "add", Path: gone.path, Value: raw("{}")}})
	}
	if err != nil {
		return made{}, false
	}
	plan.Clean(p)
	rep := review.Review(p, review.Request{Outing: "o", Trailer: "t"})
	unknown := func(path string) bool {
		return slices.ContainsFunc(rep.Findings, func(f finding.Finding) bool {
			return slices.ContainsFunc(
				f.Needs,
				func(n finding.Need) bool { return strings.HasPrefix(n.Path, path) },
			)
		})
	}
	if !unknown(gone.path) {
		return made{}, false
	}
	m := made{
		ask:     said.Say("You may ask the seller one thing. Which?"),
		choices: []choice{{says: said.Say(gone.says)}},
		why:     []said.Sentence{said.Say(gone.mistake)},
	}
	facts := map[string]said.Sentence{
		"/trailers/t/label":          said.Say("Its plate: % in all.", said.Mass(t.gross)),
		"/trailers/t/empty":          said.Say("Empty it weighs %.", said.Mass(t.empty)),
		"/trailers/t/couplingToAxle": said.Say("From the {coupling} to the axle: %.", said.Length(t.axle)),
	}
	for _, a := range asks {
		if a.path != gone.path {
			if unknown(a.path) {
				return made{}, false
			}
			m.given = append(m.given, facts[a.path])
			m.choices = append(m.choices, choice{says: said.Say(a.says), mistake: said.Say("You know that already.")})
		}
	}
	m.given = append(m.given, said.Say("Its deck is % by %.", said.Length(t.deckLong), said.Length(t.deckWide)),
		said.Say("You want to carry % on it.", said.Mass(t.crates[0].mass)))
	m.choices = append(
		m.choices,
		choice{
			says:    said.Say(among(r, "How old is its paint?", "Was it ever lent out?", "Which colour was it once?")),
			mistake: said.Say("That says little about what it can carry."),
		},
	)
	return m, true
}
