package plan

import (
	"regexp"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// goods cleans what a load is made of.
func (c *cleaner) goods(path string, l *Load) {
	n := 0
	for _, has := range []bool{l.Bulk != nil, l.Tank != nil, l.Pieces != nil} {
		if has {
			n++
		}
	}
	if n > 1 {
		c.say(path, "A load is loose material, a tank or a pack of pieces: one of them. The first is taken.")
		if l.Bulk != nil {
			l.Tank = nil
		}
		l.Pieces = nil
	}
	if b := l.Bulk; b != nil {
		if !slices.Contains(BulkBys, b.By) {
			c.say(path+"/bulk/by", "It is not told how the amount is measured; by volume is taken.")
			b.By = ByVolume
		}
		if b.Wet != "" && b.Wet != Dry && b.Wet != Soaked {
			c.say(path+"/bulk/wet", "Loose material is dry, wet, or not known.")
			b.Wet = ""
		}
		c.volume(path+"/bulk/volume", "volume", &b.Volume)
		c.volume(path+"/bulk/heap", "volume of the whole heap", &b.Heap)
		c.mass(path+"/bulk/each", "weight of a bag", &b.Each)
		number(c, path+"/bulk/count", "count", &b.Count, quantity.KindCount, 0, maxCount, false)
	}
	if t := l.Tank; t != nil {
		number(c, path+"/tank/fill", "fill", &t.Fill, quantity.KindShare, 0, 1, false)
		c.volume(path+"/tank/capacity", "tank's volume", &t.Capacity)
	}
	if t := l.Pieces; t != nil {
		bad := t.Count < 0 || t.Count > maxCount || t.Across < 0 || t.Across > maxCount
		for _, v := range []length{t.Length, t.Width, t.Thickness} {
			bad = bad || !quantity.Finite(float64(v)) || v < 0 || v > maxLength
		}
		if bad {
			c.say(path+"/pieces", "A pack takes a count and the length, width and thickness of one piece.")
			l.Pieces = nil
		}
	}
	if r := l.Rolling; r != nil {
		c.length(path+"/rolling/frontAxle", "place of the front wheels", &r.FrontAxle, -maxLength)
		c.length(path+"/rolling/wheelbase", "wheelbase", &r.Wheelbase, 0)
		c.length(path+"/rolling/track", "track", &r.Track, 0)
		c.length(path+"/rolling/clearance", "ground clearance", &r.Clearance, 0)
		number(c, path+"/rolling/wheel", "wheel's diameter", &r.Wheel, quantity.KindLength, 0, 3, true)
		number(c, path+"/rolling/frontWheel", "front wheel's diameter", &r.FrontWheel, quantity.KindLength, 0, 3, true)
		number(c, path+"/rolling/tyre", "{tyre}'s width", &r.Tyre, quantity.KindLength, 0, 1, true)
		number(c, path+"/rolling/frontTrack", "front track", &r.FrontTrack, quantity.KindLength, 0, 3, true)
		number(c, path+"/rolling/frontTyre", "front {tyre}'s width", &r.FrontTyre, quantity.KindLength, 0, 1, true)
		number(c, path+"/rolling/nose", "nose's height", &r.Nose, quantity.KindLength, 0, 3, false)
	}
	if h := l.Hull; h != nil {
		c.limit(path+"/hull/press", "what a strap may press the hull with", &h.Press)
		c.length(path+"/hull/from", "place of a support", &h.From, -maxLength)
		c.length(path+"/hull/to", "place of a support", &h.To, -maxLength)
		c.length(path+"/hull/apart", "distance of the lines that bear", &h.Apart, 0)
		number(c, path+"/hull/draft", "draft", &h.Draft, quantity.KindLength, 0, 3, false)
		number(c, path+"/hull/eyeAt", "bow eye's place", &h.EyeAt, quantity.KindLength, -1, 5, false)
		number(c, path+"/hull/eyeUp", "bow eye's height", &h.EyeUp, quantity.KindLength, 0, 5, false)
	}
}

const maxVolume quantity.Volume = 1000 // m³

func (c *cleaner) volume(path, what string, e **VolumeEstimate) {
	if *e == nil {
		return
	}
	v := &(*e).Value
	if number(c, path, what, &v, quantity.KindVolume, 0, maxVolume, true); v == nil {
		*e = nil
		return
	}
	c.how(path, &(*e).How)
	number(c, path+"/plusMinus", "plus-minus of the "+what, &(*e).PlusMinus, quantity.KindVolume, 0, maxVolume, false)
	number(c, path+"/relative", "plus-minus of the "+what, &(*e).Relative, quantity.KindShare, 0, 1, false)
}

const (
	maxMoney quantity.Money = 1e7
	maxTime  quantity.Time  = 1e5 * 3600
)

var datePattern = regexp.MustCompile(`^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$`)

func (c *cleaner) date(path string, s *string) {
	if *s != "" && !datePattern.MatchString(*s) {
		c.say(path, "A day is written year-month-day, as 2026-05-31.")
		*s = ""
	}
}

func (c *cleaner) money(path, what string, v **quantity.Money) {
	number(c, path, what, v, quantity.KindMoney, 0, maxMoney, false)
}

func (c *cleaner) want(path string, w *Want, p *Plan) {
	if !slices.Contains(Wants, w.What) {
		c.say(path+"/what", "This want is of no kind known here; it is left aside.")
		w.What = ""
		return
	}
	if _, ok := p.Outings[w.Outing]; w.Outing != "" && !ok {
		c.say(path+"/outing", "This outing is not in the plan.")
		w.Outing = ""
	}
	if w.Size != nil {
		c.size(path+"/size", w.Size)
	}
	if n := w.Count; n != nil && (*n < 0 || *n > maxCount) {
		c.say(path+"/count", "The number of anchors must be nought or more.")
		w.Count = nil
	}
	c.limit(path+"/mass", "weight that one person lifts", &w.Mass)
	number(c, path+"/height", "height", &w.Height, quantity.KindLength, 0, 5, true)
	number(c, path+"/speed", "speed", &w.Speed, quantity.KindSpeed, 0, maxSpeed, true)
	number(c, path+"/distance", "distance", &w.Distance, quantity.KindDistance, 0, 20_000_000, false)
	c.money(path+"/money", "budget", &w.Money)
	number(c, path+"/hours", "hours", &w.Hours, quantity.KindTime, 0, maxTime, false)
	c.date(path+"/date", &w.Date)
}

// one clears a word that is none of a list.
func one[T ~string](c *cleaner, path, what string, v *T, of []T) {
	if *v != "" && !slices.Contains(of, *v) {
		c.say(path, "The "+what+" is of no kind known here.")
		*v = ""
	}
}

// candidate cleans what a trailer is, beyond its ratings.
func (c *cleaner) candidate(path string, t *Trailer, p *Plan) {
	one(c, path+"/comes", "trailer", &t.Comes, AllComes)
	one(c, path+"/suspension", "suspension", &t.Suspension, Suspensions)
	one(c, path+"/floor", "floor", &t.Floor, Floors)
	one(c, path+"/tail", "tail", &t.Tail, Tails)
	one(c, path+"/papers", "state of the papers", &t.Papers, PapersStates)
	c.length(path+"/widthOverAll", "width over all", &t.WidthOverAll, 0)
	number(c, path+"/couplingHeight", "{coupling} height", &t.CouplingHeight, quantity.KindLength, 0, 2, true)
	number(c, path+"/travel", "spring travel", &t.Travel, quantity.KindLength, 0, 1, false)
	number(c, path+"/sinks", "springs' sinking at rated load", &t.Sinks, quantity.KindLength, 0, 0.5, true)
	number(c, path+"/axleGap", "distance between the axles", &t.AxleGap, quantity.KindLength, 0.3, 3, false)
	if t.Drawbar != nil {
		c.drawbar(path+"/drawbar", t.Drawbar)
	}
	number(c, path+"/turnTo", "angle to turn to", &t.TurnTo, quantity.KindAngle, 0, 1.9, true)
	number(c, path+"/pivot", "pivot of the bed", &t.Pivot, quantity.KindLength, 0, maxLength, true)
	number(c, path+"/wheelRoom", "room over the wheel", &t.WheelRoom, quantity.KindLength, 0, 2, false)
	number(c, path+"/tyreSpeed", "{tyre} speed", &t.TyreSpeed, quantity.KindSpeed, 0, 100, true)
	number(c, path+"/tyrePressure", "{tyre} pressure", &t.TyrePressure, quantity.KindPressure, 0, 2e6, true)
	t.TyreText = c.name(path+"/tyreText", t.TyreText)
	t.Anchors = entries(c, t.Anchors, path+"/anchors", func(path string, a *Anchor) {
		if a.Count < 0 || a.Count > 200 {
			c.say(path+"/count", "The number of anchors must be nought or more.")
			a.Count = 0
		}
		word(c, path+"/kind", "kind of anchor", &a.Kind, ok(catalogue.AnchorOf(a.Kind)))
		c.limit(path+"/rating", "anchor's rating", &a.Rating)
	})
	if t.TiePoints != nil {
		t.TiePoints = entries(c, t.TiePoints, path+"/tiePoints", c.tiePoint)
	}
	if t.Folded != nil {
		c.size(path+"/folded", t.Folded)
	}
	c.partsOn(path+"/fitted", t.Fitted, p)
	d := t.Deal
	if d == nil {
		return
	}
	path += "/deal"
	c.money(path+"/price", "price", &d.Price)
	c.money(path+"/offer", "offer", &d.Offer)
	c.money(path+"/delivery", "delivery", &d.Delivery)
	c.money(path+"/fetch", "drive to fetch it", &d.Fetch)
	c.money(path+"/office", "sum for papers and plates", &d.Office)
	c.money(path+"/papersRisk", "sum at risk", &d.PapersRisk)
	number(c, path+"/tax", "tax", &d.Tax, quantity.KindShare, 0, 1, false)
	number(c, path+"/hours", "hours", &d.Hours, quantity.KindTime, 0, maxTime, false)
	one(c, path+"/skill", "skill", &d.Skill, Skills)
	c.date(path+"/readyOn", &d.ReadyOn)
	buy := func(path string, b *Buy) {
		b.Name = c.name(path+"/name", b.Name)
		c.money(path+"/price", "price", &b.Price)
		number(c, path+"/hours", "hours", &b.Hours, quantity.KindTime, 0, maxTime, false)
	}
	d.Buys = entries(c, d.Buys, path+"/buys", buy)
	d.Repairs = entries(c, d.Repairs, path+"/repairs", buy)
	for k, s := range d.Inspected {
		if s != SeenGood && s != SeenWorn && s != SeenBad {
			c.say(path+"/inspected/"+escape(k), "A point looked at is good, worn or bad; this says “%”.", said.Name(string(s), "nothing"))
			delete(d.Inspected, k)
		}
	}
}
