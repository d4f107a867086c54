package plan

import (
	"maps"
	"reflect"
	"slices"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// What several fields must be to each other, a struct each.

func (l *Load) check(c *cleaner, path string) bool {
	if e := l.Ends; e != nil && !c.ends(e, path+"/ends") {
		l.Ends = nil
	}
	n := 0
	for _, has := range []bool{l.Bulk != nil, l.Tank != nil, l.Pieces != nil} {
		if has {
			n++
		}
	}
	if n > 1 {
		c.say(path, "A load is loose material, a tank or a pack of pieces, only one of them. The first is used.")
		if l.Bulk != nil {
			l.Tank = nil
		}
		l.Pieces = nil
	}
	return true
}

// ends cleans the readings of a load's two ends; the rear one may be zero where the front one
// alone was read.
func (c *cleaner) ends(e *EndWeighing, path string) bool {
	shown := Field{Says: "front reading", Kind: quantity.KindMass, Most: float64(maxMass), Above: true}
	front := c.estimate(&shown, reflect.ValueOf(&e.Front).Elem(), path+"/front")
	shown.Says, shown.Above = "rear reading", !e.One
	rear := c.estimate(&shown, reflect.ValueOf(&e.Rear).Elem(), path+"/rear")
	if !front || !rear {
		return false
	}
	if !(e.RearAt > e.FrontAt) {
		c.say(path+"/rearAt", "The rear support must stand behind the front one.")
		return false
	}
	return true
}

func (b *Bulk) check(c *cleaner, path string) bool {
	if !slices.Contains(BulkBys, b.By) {
		c.say(path+"/by", "How the amount is measured is not entered; by volume is assumed.")
		b.By = ByVolume
	}
	if b.Wet != "" && b.Wet != Dry && b.Wet != Soaked {
		c.say(path+"/wet", "Loose material is dry, wet, or not known.")
		b.Wet = ""
	}
	return true
}

func (t *Trailer) check(c *cleaner, path string) bool {
	if e := t.CouplingToAxle; e != nil {
		f := Field{Says: "distance from {coupling} to axle", Kind: quantity.KindLength, Most: float64(maxLength)}
		if e.Value <= 0 {
			c.say(
				path+"/couplingToAxle",
				"The axle must stand behind the ball: % is not behind it.",
				said.Length(e.Value),
			)
			t.CouplingToAxle = nil
		} else if !c.estimate(&f, reflect.ValueOf(e).Elem(), path+"/couplingToAxle") {
			t.CouplingToAxle = nil
		}
	}
	if m := t.AxleMoves; m != nil {
		finite := quantity.Finite(float64(m.Min)) && quantity.Finite(float64(m.Max)) &&
			quantity.Finite(float64(m.Pitch))
		if !finite || m.Min <= 0 || m.Max < m.Min || m.Max > maxLength || m.Pitch < 0 {
			c.say(path+"/axleMoves", "The axle's range must begin behind the ball and end behind its beginning.")
			t.AxleMoves = nil
		}
	}
	return true
}

func (r *Rating) check(c *cleaner, path string) bool {
	if !slices.Contains(AllCounts, r.Counts) {
		if r.Counts != "" {
			c.say(path+"/counts", "A label counts the gross weight or the payload, or that is not known.")
		}
		r.Counts = CountsUnsure
	}
	return r.Value > 0
}

func (r *Reading) check(c *cleaner, path string) bool {
	if k := r.Plank; k != nil && !(k.Span > 0 && k.To > 0 && k.To <= k.Span && k.Span < maxLength) {
		c.say(path+"/plank", "Whatever stands on the plank must be between the block and the scale.")
		r.Plank = nil
	}
	return true
}

func (d *Deal) check(c *cleaner, path string) bool {
	for _, k := range slices.Sorted(maps.Keys(d.Inspected)) {
		at := path + "/inspected/" + escape(k)
		if s := d.Inspected[k]; s != SeenGood && s != SeenWorn && s != SeenBad {
			c.say(at, "A point looked at is good, worn or bad; this says “%”.", said.Name(string(s), "nothing"))
			delete(d.Inspected, k)
		} else if !inspection(k) {
			c.say(at, "There is no such point to look at; it is left out.")
			delete(d.Inspected, k)
		}
	}
	return true
}

func (o *Outing) check(c *cleaner, path string) bool {
	s := o.Slip
	if s == nil {
		return true
	}
	if s.Angle == 0 {
		o.Slip = nil
	} else if !(s.Angle >= 0.01 && s.Angle <= 0.8) {
		c.say(path+"/slip/angle", "A slip falls by more than % and less than %.",
			said.Of(quantity.KindAngle, 0.01), said.Of(quantity.KindAngle, 0.8))
		o.Slip = nil
	}
	return true
}

func (d *Departed) check(c *cleaner, path string) bool {
	if len(d.Ticks) > maxCount {
		c.say(path+"/ticks", "More than % ticks: they are left out.", said.Count(maxCount))
		d.Ticks = nil
	}
	return true
}

func (l *Layout) check(c *cleaner, path string) bool {
	c.supports(l.Placements, l.Parts, path+"/placements")
	return true
}

func (s *Stood) check(c *cleaner, path string) bool {
	c.supports(s.Placements, s.Parts, path+"/placements")
	return true
}

// supports puts on the deck what stands on nothing that is there.
func (c *cleaner) supports(placements map[string]Placement, parts map[string]PartOn, path string) {
	for _, id := range slices.Sorted(maps.Keys(placements)) {
		pl := placements[id]
		ok := pl.On == OnDeck || pl.On == OnAny
		switch pl.On {
		case OnPart:
			_, on := parts[pl.ID]
			_, slot := c.plan.Parts[pl.ID].Slots[pl.Slot]
			ok = on && (slot || pl.Slot == "")
		case OnLoad:
			ok = standsOnDeck(placements, id)
		}
		if !ok {
			c.say(
				path+"/"+id+"/on",
				"What should carry this load is not on the trailer; it is put on the deck.",
			)
			pl.On, pl.ID, pl.Slot = OnDeck, "", ""
			placements[id] = pl
		}
	}
}

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

func (pl *Placement) check(c *cleaner, path string) bool {
	c.turn(path+"/turn", &pl.Turn)
	return true
}

func (on *PartOn) check(c *cleaner, path string) bool {
	c.turn(path+"/turn", &on.Turn)
	return true
}

func (c *cleaner) turn(path string, turn *int) {
	if *turn != 0 && *turn != 90 && *turn != 180 && *turn != 270 {
		c.say(path, "A thing is turned by 0, 90, 180 or 270 degrees.")
		*turn = 0
	}
}

func (r *LoadReading) check(c *cleaner, path string) bool {
	if !c.reading("reading", &r.Reading, path) {
		return false
	}
	if !slices.Contains(Whats, r.What) {
		c.say(path+"/what", "A reading weighs the ball, the axle, the whole, or one wheel.")
		return false
	}
	return true
}

func (s *Strap) check(c *cleaner, path string) bool {
	if s.Kind == StrapChain && s.Grade != "" && !slices.Contains(norms.ChainGrades, s.Grade) {
		c.say(
			path+"/grade",
			"The grade of chain: “%” is not known here, so it is treated as not entered.",
			said.Name(s.Grade, "?"),
		)
		s.Grade = ""
	}
	if s.Limit != nil && s.Breaks != nil && *s.Limit > *s.Breaks {
		c.say(path+"/limit", "The working load limit is above the breaking strength: read the tag again.")
		s.Limit = nil
	}
	return true
}

func (x *Lashing) check(c *cleaner, path string) bool {
	if !c.holds("loads", x.Load) {
		c.say(path+"/load", "This lashing holds a load that is not in the plan; it is left out.")
		return false
	}
	return true
}

func (b *Bunks) check(c *cleaner, path string) bool {
	if b.To <= b.From {
		c.say(path, "The bunks must end behind their front.")
		return false
	}
	return true
}

func (w *Want) check(c *cleaner, path string) bool {
	if !slices.Contains(Wants, w.What) {
		c.say(path+"/what", "This kind of want is not known here; it is ignored.")
		return false
	}
	return true
}
