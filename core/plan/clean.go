package plan

import (
	"maps"
	"regexp"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Problem is a stated value that makes no sense, and where it stands.
type Problem struct {
	Path string        `json:"path"` // JSON Pointer of the field
	Says said.Sentence `json:"says"`
}

// Bounds beyond which a figure is a slip, not a trailer.
const (
	maxMass   mass   = 100_000 // kg
	maxLength length = 50      // m
	maxSpeed         = 70.0    // m/s
	maxCount         = 2_000   // entries of one collection
	maxName          = 200     // characters
)

var idPattern = regexp.MustCompile(`^[a-z0-9-]{1,64}$`)

// Clean takes out of the plan what cannot be used and says what and why, so
// that the rest goes on working: a value that makes no sense becomes "not
// stated", a reference to nothing is dropped. The plan is changed in place.
func Clean(p *Plan) []Problem {
	c := &cleaner{}
	if p.Units != quantity.Metric && p.Units != quantity.Imperial {
		c.say("/units", "The units must be metric or imperial; metric is taken.")
		p.Units = quantity.Metric
	}
	if _, ok := said.Terms["rule set name"][p.Region]; !ok {
		c.say("/region", "The rule set must be one of na, uk, eu, au, nz; uk is taken.")
		p.Region = quantity.UK
	}
	for how, d := range p.Doubts {
		if _, known := DefaultDoubts[how]; !known || !(d >= 0 && d <= 1) {
			c.say("/doubts/"+escape(string(how)), "A plus-minus must lie between % and %.", said.Share(0.0), said.Share(1.0))
			delete(p.Doubts, how)
		}
	}
	p.Name = c.name("/name", p.Name)
	c.planWords(p)
	p.Loads = entries(c, p.Loads, "/loads", c.load)
	p.TowVehicles = entries(c, p.TowVehicles, "/towVehicles", c.vehicle)
	p.Parts = entries(c, p.Parts, "/parts", c.part)
	p.Trailers = entries(c, p.Trailers, "/trailers", func(path string, t *Trailer) { c.trailer(path, t, p) })
	p.Outings = entries(c, p.Outings, "/outings", func(path string, o *Outing) { c.outing(path, o, p) })
	if p.Straps != nil {
		p.Straps = entries(c, p.Straps, "/straps", c.strap)
	}
	if p.Wants != nil {
		p.Wants = entries(c, p.Wants, "/wants", func(path string, w *Want) { c.want(path, w, p) })
		maps.DeleteFunc(p.Wants, func(_ string, w Want) bool { return w.What == "" })
	}
	if _, ok := p.Trailers[p.Chosen]; p.Chosen != "" && !ok {
		c.say("/chosen", "The chosen trailer is not in the plan.")
		p.Chosen = ""
	}
	if c.more > 0 {
		c.problems = append(c.problems, Problem{"", said.Say("% more values make no sense and are left out as well.", said.Count(c.more))})
	}
	return c.problems
}

// mostProblems is how many are told one by one; the rest is counted.
const mostProblems = 100

type cleaner struct {
	problems []Problem
	more     int
}

func (c *cleaner) say(path, pattern string, parts ...said.Piece) {
	if len(c.problems) == mostProblems {
		c.more++
		return
	}
	c.problems = append(c.problems, Problem{path, said.Say(pattern, parts...)})
}

func entries[T any](c *cleaner, m map[string]T, path string, each func(string, *T)) map[string]T {
	if m == nil {
		return map[string]T{}
	}
	n := 0
	for _, id := range Ordered(m, func(T) int { return 0 }) {
		v := m[id]
		if n++; n > maxCount {
			c.say(path, "More than % entries: the rest is left out.", said.Count(maxCount))
			delete(m, id)
			continue
		}
		if !idPattern.MatchString(id) {
			c.say(path+"/"+escape(id), "An id may hold small letters, digits and hyphens only; the entry is left out.")
			delete(m, id)
			continue
		}
		each(path+"/"+id, &v)
		m[id] = v
	}
	return m
}

func (c *cleaner) name(path, s string) string {
	if utf8.RuneCountInString(s) > maxName {
		c.say(path, "The name is longer than % characters; the rest is cut.", said.Count(maxName))
		return string([]rune(s)[:maxName])
	}
	return printable(s)
}

// printable is a text without control characters.
func printable(s string) string {
	return strings.Map(func(r rune) rune {
		if unicode.IsControl(r) {
			return ' '
		}
		return r
	}, strings.ToValidUTF8(s, ""))
}

// number clears *v where it does not lie within min (excluded when open) and max.
func number[Q ~float64](c *cleaner, path, what string, v **Q, k quantity.Kind, min, max Q, open bool) {
	if *v == nil {
		return
	}
	x := **v
	switch {
	case !quantity.Finite(float64(x)):
		c.say(path, "The "+what+" must be a number.")
	case open && x == 0 && min == 0:
		c.say(path, "The "+what+" must be more than zero, not %.", said.Of(k, x))
	case x < min && min == 0:
		c.say(path, "The "+what+" cannot be less than zero: %.", said.Of(k, x))
	case x < min, x > max:
		c.say(path, "The "+what+" must lie between % and %, not %.", said.Of(k, min), said.Of(k, max), said.Of(k, x))
	default:
		return
	}
	*v = nil
}

func (c *cleaner) limit(path, what string, v **mass) {
	number(c, path, what, v, quantity.KindMass, 0, maxMass, true)
}

// mass clears a weight that nothing has: none, less, or too much. A weight of zero is one
// that nobody filled in.
func (c *cleaner) mass(path, what string, e **MassEstimate) { c.weight(path, what, e, true) }

// weight is mass where open; else zero is a weight too, as of luggage that stays at home.
func (c *cleaner) weight(path, what string, e **MassEstimate, open bool) {
	if *e == nil {
		return
	}
	v := &(*e).Value
	if number(c, path, what, &v, quantity.KindMass, 0, maxMass, open); v == nil {
		*e = nil
		return
	}
	c.how(path, &(*e).How)
	number(c, path+"/plusMinus", "plus-minus of the "+what, &(*e).PlusMinus, quantity.KindMass, 0, maxMass, false)
	number(c, path+"/relative", "plus-minus of the "+what, &(*e).Relative, quantity.KindShare, 0, 1, false)
}

func (c *cleaner) length(path, what string, e **LengthEstimate, min length) {
	if *e == nil {
		return
	}
	v := &(*e).Value
	if number(c, path, what, &v, quantity.KindLength, min, maxLength, min == 0); v == nil {
		*e = nil
		return
	}
	c.how(path, &(*e).How)
	number(c, path+"/plusMinus", "plus-minus of the "+what, &(*e).PlusMinus, quantity.KindLength, 0, maxLength, false)
	number(c, path+"/relative", "plus-minus of the "+what, &(*e).Relative, quantity.KindShare, 0, 1, false)
}

// blank clears a length of zero where it is one that nobody filled in, though it may lie on
// either side of it.
func (c *cleaner) blank(path, what string, e **LengthEstimate) {
	if *e != nil && (*e).Value == 0 {
		c.say(path, "The "+what+" must not be zero: leave it out where it is not known.")
		*e = nil
	}
}

func (c *cleaner) size(path string, s *Size) {
	c.length(path+"/length", "length", &s.Length, 0)
	c.length(path+"/width", "width", &s.Width, 0)
	c.length(path+"/height", "height", &s.Height, 0)
}

func (c *cleaner) centre(path string, m *Centre) {
	c.length(path+"/back", "place of the centre", &m.Back, -maxLength)
	c.blank(path+"/back", "place of the centre", &m.Back)
	c.length(path+"/right", "place of the centre", &m.Right, -maxLength)
	c.length(path+"/up", "height of the centre", &m.Up, 0)
}

func (c *cleaner) spot(path string, s *Spot) {
	for _, f := range []struct {
		name string
		v    *length
	}{{"back", &s.Back}, {"right", &s.Right}, {"up", &s.Up}} {
		v := f.v
		if number(c, path+"/"+f.name, "place", &v, quantity.KindLength, -maxLength, maxLength, false); v == nil {
			*f.v = 0
		}
	}
}

func (c *cleaner) turn(path string, turn *int) {
	if *turn != 0 && *turn != 90 && *turn != 180 && *turn != 270 {
		c.say(path, "A thing is turned by 0, 90, 180 or 270 degrees.")
		*turn = 0
	}
}

func (c *cleaner) load(path string, l *Load) {
	l.Name = c.name(path+"/name", l.Name)
	c.mass(path+"/mass", "weight", &l.Mass)
	c.size(path+"/size", &l.Size)
	c.centre(path+"/centre", &l.Centre)
	l.Contents = entries(c, l.Contents, path+"/contents", func(path string, in *Content) {
		in.Name = c.name(path+"/name", in.Name)
		c.mass(path+"/mass", "weight", &in.Mass)
		c.spot(path+"/at", &in.At)
	})
	if l.Ends != nil {
		front, rear := &l.Ends.Front, &l.Ends.Rear
		c.mass(path+"/ends/front", "front reading", &front)
		c.weight(path+"/ends/rear", "rear reading", &rear, !l.Ends.One)
		if front == nil || rear == nil {
			l.Ends = nil
		} else if l.Ends.RearAt <= l.Ends.FrontAt {
			c.say(path+"/ends/rearAt", "The rear support must stand behind the front one.")
			l.Ends = nil
		}
	}
	c.goods(path, l)
	c.loadWords(path, l)
}

func (c *cleaner) vehicle(path string, v *TowVehicle) {
	one(c, path+"/body", "car's body", &v.Body, CarBodies)
	v.Name = c.name(path+"/name", v.Name)
	word(c, path+"/socket", "socket", &v.Socket, plug(v.Socket))
	c.mass(path+"/kerb", "{curb weight}", &v.Kerb)
	c.mass(path+"/rearEmpty", "weight on the rear axle", &v.RearEmpty)
	c.limit(path+"/gross", "{car gross}", &v.Gross)
	c.limit(path+"/train", "{train gross}", &v.Train)
	c.limit(path+"/rearLimit", "rear {axle limit}", &v.RearLimit)
	c.limit(path+"/towBraked", "{tow rating}", &v.TowBraked)
	c.limit(path+"/towUnbraked", "{tow rating}", &v.TowUnbraked)
	c.limit(path+"/ballLimit", "{ball load} limit", &v.BallLimit)
	c.limit(path+"/hitchTow", "hitch rating", &v.HitchTow)
	c.limit(path+"/hitchBall", "hitch's {ball load} limit", &v.HitchBall)
	c.limit(path+"/ballRating", "ball rating", &v.BallRating)
	number(c, path+"/ballSize", "ball size", &v.BallSize, quantity.KindLength, 0.02, 0.12, false)
	number(c, path+"/ballHeight", "ball height", &v.BallHeight, quantity.KindLength, 0, 2, true)
	c.length(path+"/wheelbase", "wheelbase", &v.Wheelbase, 0)
	c.length(path+"/rearOverhang", "distance from rear axle to ball", &v.RearOverhang, 0)
	number(c, path+"/hitchD", "D value", &v.HitchD, quantity.KindForce, 0, 1e6, true)
	number(c, path+"/ballBehind", "distance from bumper to ball", &v.BallBehind, quantity.KindLength, -1, 3, false)
	number(c, path+"/gateReach", "reach of the open {car tailgate}", &v.GateReach, quantity.KindLength, 0, 3, false)
	number(c, path+"/gateHeight", "height of the open {car tailgate}", &v.GateHeight, quantity.KindLength, 0, 3, false)
}

func (c *cleaner) trailer(path string, t *Trailer, p *Plan) {
	t.Name = c.name(path+"/name", t.Name)
	if e := t.CouplingToAxle; e != nil && e.Value <= 0 {
		c.say(path+"/couplingToAxle", "The axle must stand behind the ball: % is not behind it.", said.Length(e.Value))
		t.CouplingToAxle = nil
	}
	c.length(path+"/couplingToAxle", "distance from {coupling} to axle", &t.CouplingToAxle, 0)
	c.length(path+"/couplingToDeck", "distance from {coupling} to deck", &t.CouplingToDeck, -maxLength)
	c.blank(path+"/couplingToDeck", "distance from {coupling} to deck", &t.CouplingToDeck)
	c.length(path+"/deckLength", "deck length", &t.DeckLength, 0)
	c.length(path+"/deckWidth", "deck width", &t.DeckWidth, 0)
	c.length(path+"/deckHeight", "deck height", &t.DeckHeight, 0)
	c.length(path+"/track", "track", &t.Track, 0)
	number(c, path+"/sideHeight", "height of the sides", &t.SideHeight, quantity.KindLength, 0, 5, false)
	number(c, path+"/wheelDiameter", "wheel diameter", &t.WheelDiameter, quantity.KindLength, 0, 3, true)
	if t.Label != nil {
		v := &t.Label.Value
		c.limit(path+"/label/value", "label's number", &v)
		if v == nil {
			t.Label = nil
		} else if t.Label.Counts != CountsGross && t.Label.Counts != CountsPayload {
			one(c, path+"/label/counts", "what the label counts", &t.Label.Counts, []Counts{CountsUnsure})
			t.Label.Counts = CountsUnsure
		}
	}
	if t.Axles < 0 || t.Axles > 3 {
		c.say(path+"/axles", "The number of axles must lie between 1 and 3.")
		t.Axles = 0
	}
	c.limit(path+"/onWheels", "{on wheels} rating", &t.OnWheels)
	c.limit(path+"/axleRating", "axle rating", &t.AxleRating)
	c.limit(path+"/springRating", "spring rating", &t.SpringRating)
	c.limit(path+"/tyreRating", "{tyre} rating", &t.TyreRating)
	c.limit(path+"/couplingRating", "{coupling} rating", &t.CouplingRating)
	c.limit(path+"/couplingBall", "{coupling}'s {ball load} limit", &t.CouplingBall)
	number(c, path+"/couplingSize", "{coupling} size", &t.CouplingSize, quantity.KindLength, 0.02, 0.12, false)
	if i := t.TyreIndex; i != nil && (*i < 50 || *i > 126) {
		c.say(path+"/tyreIndex", "The load index on the {tyre}'s wall lies between 50 and 126, not %.", said.Count(*i))
		t.TyreIndex = nil
	}
	if t.Brakes != "" && t.Brakes != BrakesNone && t.Brakes != BrakesOverrun && t.Brakes != BrakesElectric && t.Brakes != BrakesFitted {
		c.say(path+"/brakes", "The brakes must be none, overrun, electric or fitted.")
		t.Brakes = ""
	}
	if t.Chains != nil && (*t.Chains < 0 || *t.Chains > 8) {
		c.say(path+"/chains", "The number of chains must lie between 0 and 8.")
		t.Chains = nil
	}
	c.mass(path+"/runningGear", "weight of axle and wheels", &t.RunningGear)
	if m := t.AxleMoves; m != nil {
		finite := quantity.Finite(float64(m.Min)) && quantity.Finite(float64(m.Max)) && quantity.Finite(float64(m.Pitch))
		if !finite || m.Min <= 0 || m.Max < m.Min || m.Max > maxLength || m.Pitch < 0 {
			c.say(path+"/axleMoves", "The axle's range must begin behind the ball and end behind its beginning.")
			t.AxleMoves = nil
		}
	}
	e := &t.Empty
	c.mass(path+"/empty/mass", "empty weight", &e.Mass)
	for _, r := range []struct {
		name, what string
		v          **Reading
	}{{"ball", "{ball load} reading", &e.Ball}, {"axle", "axle reading", &e.Axle}, {"left", "left wheel's reading", &e.Left}, {"right", "right wheel's reading", &e.Right}} {
		c.reading(path+"/empty/"+r.name, r.what, r.v)
	}
	c.length(path+"/empty/centre", "place of the empty trailer's centre", &e.Centre, 0)
	number(c, path+"/empty/axleAt", "axle position at the weighing", &e.AxleAt, quantity.KindLength, 0, maxLength, true)
	c.partsOn(path+"/empty/parts", e.Parts, p)
	c.candidate(path, t, p)
	c.trailerWords(path, t)
}

// reading clears one that a scale does not show: zero says only that nothing presses on it,
// which may lift as well.
func (c *cleaner) reading(path, what string, r **Reading) {
	if *r == nil {
		return
	}
	v := &(*r).Mass
	if number(c, path+"/mass", what, &v, quantity.KindMass, 0, maxMass, true); v == nil {
		*r = nil
		return
	}
	number(c, path+"/plusMinus", "plus-minus of the "+what, &(*r).PlusMinus, quantity.KindMass, 0, maxMass, false)
	number(c, path+"/at", "place of the scale", &(*r).At, quantity.KindLength, -1, maxLength, false)
	if k := (*r).Plank; k != nil && !(k.Span > 0 && k.To > 0 && k.To <= k.Span && k.Span < maxLength) {
		c.say(path+"/plank", "What stands on the plank must be between the block and the scale.")
		(*r).Plank = nil
	}
}

func (c *cleaner) part(path string, t *Part) {
	t.Name = c.name(path+"/name", t.Name)
	word(c, path+"/kind", "kind of part", &t.Kind, ok(catalogue.FittingOf(t.Kind)))
	c.mass(path+"/mass", "weight", &t.Mass)
	c.size(path+"/size", &t.Size)
	c.centre(path+"/centre", &t.Centre)
	if t.Rack != nil {
		c.rack(path+"/rack", t.Rack)
	}
	if t.Cradle != nil {
		c.cradle(path+"/cradle", t.Cradle)
	}
	if t.Ramp != nil {
		c.ramp(path+"/ramp", t.Ramp)
	}
	t.Slots = entries(c, t.Slots, path+"/slots", c.slot)
}

func (c *cleaner) partsOn(path string, on map[string]PartOn, p *Plan) {
	for _, id := range Ordered(on, func(PartOn) int { return 0 }) {
		v := on[id]
		if _, ok := p.Parts[id]; !ok {
			c.say(path+"/"+escape(id), "There is no such part in the plan.")
			delete(on, id)
			continue
		}
		c.spot(path+"/"+id+"/at", &v.At)
		c.turn(path+"/"+id+"/turn", &v.Turn)
		on[id] = v
	}
}

func (c *cleaner) outing(path string, o *Outing, p *Plan) {
	o.Name = c.name(path+"/name", o.Name)
	if _, ok := p.TowVehicles[o.Vehicle]; o.Vehicle != "" && !ok {
		c.say(path+"/vehicle", "This tow vehicle is not in the plan.")
		o.Vehicle = ""
	}
	c.mass(path+"/people", "weight of the people", &o.People)
	c.weight(path+"/gear", "weight of the luggage", &o.Gear, false)
	number(c, path+"/distance", "distance", &o.Distance, quantity.KindDistance, 0, 20_000_000, false)
	number(c, path+"/speed", "speed", &o.Speed, quantity.KindSpeed, 0, maxSpeed, true)
	one(c, path+"/road", "road", &o.Road, Roads)
	if s := o.Slip; s != nil && s.Angle == 0 {
		o.Slip = nil
	}
	if s := o.Slip; s != nil && !(s.Angle >= 0.01 && s.Angle <= 0.8) {
		c.say(path+"/slip/angle", "A slip falls by more than % and less than %.", said.Of(quantity.KindAngle, 0.01), said.Of(quantity.KindAngle, 0.8))
		o.Slip = nil
	}
	if o.Departures != nil {
		o.Departures = entries(c, o.Departures, path+"/departures", func(path string, d *Departed) {
			c.date(path+"/on", &d.On)
			if len(d.Ticks) > maxCount {
				c.say(path+"/ticks", "More than % ticks: they are left out.", said.Count(maxCount))
				d.Ticks = nil
			}
		})
	}
	o.Layouts = entries(c, o.Layouts, path+"/layouts", func(path string, l *Layout) { c.layout(path, l, p) })
	for _, id := range Ordered(o.Layouts, func(Layout) int { return 0 }) {
		if _, ok := p.Trailers[id]; !ok {
			c.say(path+"/layouts/"+id, "This trailer is not in the plan.")
			delete(o.Layouts, id)
		}
	}
}

func (c *cleaner) layout(path string, l *Layout, p *Plan) {
	number(c, path+"/axleAt", "axle setting", &l.AxleAt, quantity.KindLength, 0, maxLength, true)
	if l.Lashings != nil {
		c.lashings(path+"/lashings", l, p)
	}
	if l.Loading != nil {
		c.loading(path+"/loading", l.Loading, p)
	}
	c.partsOn(path+"/parts", l.Parts, p)
	l.Placements = entries(c, l.Placements, path+"/placements", func(path string, pl *Placement) {
		c.spot(path+"/at", &pl.At)
		c.turn(path+"/turn", &pl.Turn)
		word(c, path+"/surface", "pair of surfaces", &pl.Surface, ok(norms.SurfaceOf(pl.Surface)))
		if pl.Blocked != nil {
			c.limit(path+"/blocked/takes", "what the blocking bears", &pl.Blocked.Takes)
		}
		if !(pl.Grip >= 0 && pl.Grip <= 1.2) {
			c.say(path+"/grip", "Friction lies between 0 and 1.2.")
			pl.Grip = 0
		}
	})
	for _, id := range Ordered(l.Placements, func(Placement) int { return 0 }) {
		pl, at := l.Placements[id], path+"/placements/"+id
		if _, ok := p.Loads[id]; !ok {
			c.say(at, "There is no such load in the plan.")
			delete(l.Placements, id)
			continue
		}
		ok := pl.On == OnDeck || pl.On == OnAny
		if pl.On == OnPart {
			_, on := l.Parts[pl.ID]
			_, slot := p.Parts[pl.ID].Slots[pl.Slot]
			ok = on && (slot || pl.Slot == "")
		}
		if pl.On == OnLoad {
			ok = standsOnDeck(l.Placements, id)
		}
		if !ok {
			c.say(at+"/on", "What should carry this load is not on the trailer; it is taken to stand on the deck.")
			pl.On, pl.ID, pl.Slot = OnDeck, "", ""
			l.Placements[id] = pl
		}
	}
	l.Readings = entries(c, l.Readings, path+"/readings", func(path string, r *LoadReading) {
		if s := r.Stood; s != nil {
			was := Layout{AxleAt: s.AxleAt, Parts: s.Parts, Placements: s.Placements}
			c.layout(path+"/stood", &was, p)
			*s = Stood{was.AxleAt, was.Parts, was.Placements}
		}
		v := &r.Reading
		if c.reading(path, "reading", &v); v == nil {
			r.What = unusable
		}
	})
	for id, r := range l.Readings {
		if r.What == unusable {
			delete(l.Readings, id)
		} else if !slices.Contains(Whats, r.What) {
			c.say(path+"/readings/"+id+"/what", "A reading weighs the ball, the axle, the whole, or one wheel.")
			delete(l.Readings, id)
		}
	}
}

const unusable What = "unusable" // marks a reading that was told of already

// standsOnDeck follows a stack of loads down; a ring of loads stands nowhere.
func standsOnDeck(placements map[string]Placement, id string) bool {
	for range placements {
		pl, ok := placements[id]
		if !ok {
			return false
		}
		if pl.On != OnLoad {
			return true
		}
		id = pl.ID
	}
	return false
}
