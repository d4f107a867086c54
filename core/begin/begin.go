// Package begin says what a thing that an owner adds begins as: a fitting with its typical
// weight, rings along the deck, ramps, a cradle. The figures are usual ones, marked so, and every
// one can be typed over.
package begin

import (
	"maps"
	"math"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// Asked says what is added, and where. ID is the new entry's, made by the client.
type Asked struct {
	What    string `json:"what"`           // one of Whats
	Kind    string `json:"kind,omitempty"` // of a fitting: key into catalogue.Fittings
	ID      string `json:"id,omitempty"`
	Outing  string `json:"outing"`
	Trailer string `json:"trailer"`
	// of a stretch: by how much, and behind which place of the deck
	By quantity.Length `json:"by,omitempty"`
	At quantity.Length `json:"at,omitempty"`
	// of a member: the one in hand
	Of string `json:"of,omitempty"`
}

// Refusal says in a sentence why nothing is added; it can be shown as it stands.
type Refusal string

func (r Refusal) Error() string { return string(r) }

// refused is a Refusal in the words of the plan's region.
func refused(p *plan.Plan, says string) error { return Refusal(said.Say(says).Text(p.Locale())) }

// Usual lengths of a deck that nobody taped, m (confidence C).
const (
	usualDeck  = 2.4
	usualWidth = 1.25
)

// makers make the patch of each thing that can be added.
var makers = map[string]func(*plan.Plan, *Asked) ([]finding.Op, error){
	"fitting": fitting, "rings": rings, "ramps": ramps, "cradle": cradle,
	"carrier": carrier, "frame": frame, "stretch": stretch, "member": member, "seat": seat, "vents": vents, "lamps": lamps, "power": power, "tip": tip, "struts": gasStruts, "box": box, "stands": stands, "piece": piece,
}

// Whats lists what can be added.
func Whats() []string { return slices.Sorted(maps.Keys(makers)) }

// Patch is what to change in the plan; the error is a Refusal.
func Patch(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	made := makers[q.What]
	if made == nil {
		return nil, Refusal("Nothing here is called “" + q.What + "”.")
	}
	if _, ok := p.Trailers[q.Trailer]; !ok {
		return nil, Refusal("There is no such trailer in the plan.")
	}
	return made(p, q)
}

// deck is the deck's length and width, usual ones where they are not stated.
func deck(p *plan.Plan, trailer string) (length, width quantity.Length) {
	t := p.Trailers[trailer]
	length, width = usualDeck, usualWidth
	if t.DeckLength != nil {
		length = t.DeckLength.Value
	}
	if t.DeckWidth != nil {
		width = t.DeckWidth.Value
	}
	return length, width
}

func add(path string, value any) finding.Op { return finding.Op{Op: "add", Path: path, Value: value} }

// into is an entry of a collection, with the collection where it is not there yet.
func into(there bool, path, id string, value any) []finding.Op {
	if there {
		return []finding.Op{add(path+"/"+id, value)}
	}
	return []finding.Op{add(path, map[string]any{id: value})}
}

func typical(v float64) *plan.LengthEstimate {
	return &plan.LengthEstimate{Value: quantity.Length(v), How: plan.Typical}
}

// cents rounds to a centimetre, tenths to a tenth of a kilogram.
func cents(v float64) float64  { return math.Round(v*100) / 100 }
func tenths(v float64) float64 { return math.Round(v*10) / 10 }

// next is an order behind all parts.
func next(p *plan.Plan) int {
	most := 0
	for _, part := range p.Parts {
		most = max(most, part.Order)
	}
	return most + 1
}

// fitting is a part that is fitted for good, with its typical weight: a floor weighs by the
// deck's area.
func fitting(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	f, ok := catalogue.FittingOf(q.Kind)
	if !ok {
		return nil, Refusal("No fitting here is called “" + q.Kind + "”.")
	}
	length, width := deck(p, q.Trailer)
	area := 1.0
	if f.PerArea {
		area = float64(length * width)
	}
	long, wide, high := float64(f.Length), float64(f.Width), float64(f.Height)
	if long == 0 {
		long = float64(length)
	}
	if wide == 0 {
		wide = float64(width)
	}
	if high == 0 {
		high = 0.02
	}
	back := 0.0
	switch f.Where {
	case "drawbar":
		back = -long - 0.1
	case "tail":
		back = float64(length)
	}
	doubt := quantity.Mass(tenths(float64(f.High-f.Low) / 2 * area))
	part := plan.Part{
		Order: next(p), Name: said.Say(f.Name).Text(p.Locale()), Kind: f.ID,
		Mass: &plan.MassEstimate{
			Value:     quantity.Mass(tenths(float64(f.Low+f.High) / 2 * area)),
			PlusMinus: &doubt,
			How:       plan.Typical,
		},
		Size: plan.Size{Length: typical(long), Width: typical(wide), Height: typical(high)},
	}
	on := plan.PartOn{At: plan.Spot{Back: quantity.Length(cents(back))}}
	return append([]finding.Op{add("/parts/"+q.ID, part)},
		into(p.Trailers[q.Trailer].Fitted != nil, "/trailers/"+q.Trailer+"/fitted", q.ID, on)...), nil
}

// rings are three to a side at the deck's edge: front, middle, rear. One that is there stays.
func rings(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	length, width := deck(p, q.Trailer)
	t := p.Trailers[q.Trailer]
	points := maps.Clone(t.TiePoints)
	if points == nil {
		points = map[string]plan.TiePoint{}
	}
	order := 0
	for _, x := range points {
		order = max(order, x.Order)
	}
	half := cents(float64(width)/2 - 0.03)
	for _, along := range []struct {
		name string
		back float64
	}{{"front", 0.1}, {"middle", float64(length) / 2}, {"rear", float64(length) - 0.1}} {
		for _, side := range []struct {
			name  string
			right float64
		}{{"left", -half}, {"right", half}} {
			id := along.name + "-" + side.name
			if _, there := points[id]; there {
				continue
			}
			order++
			points[id] = plan.TiePoint{Order: order, Kind: "ring-bolted",
				At: plan.Spot{Back: quantity.Length(cents(along.back)), Right: quantity.Length(side.right)}}
		}
	}
	return []finding.Op{add("/trailers/"+q.Trailer+"/tiePoints", points)}, nil
}

// ramps are a pair that this outing's machine gets on over.
func ramps(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	l, ok := p.Outings[q.Outing].Layouts[q.Trailer]
	if !ok || l.Loading == nil {
		return nil, Refusal("First say which machine gets on.")
	}
	part := plan.Part{
		Order: next(p), Name: "Ramps", Kind: "ramps", Mass: &plan.MassEstimate{Value: 30, How: plan.Typical},
		Size: plan.Size{
			Length: &plan.LengthEstimate{Value: 0.18, How: plan.Guessed},
		}, Ramp: &plan.Ramp{Length: 1.8},
	}
	return []finding.Op{
		add("/parts/"+q.ID, part),
		add("/outings/"+q.Outing+"/layouts/"+q.Trailer+"/loading/ramp", q.ID),
	}, nil
}

// cradle is what a boat slides onto: two rollers, and a bow stop at its front. The heaviest hull that stands on the
// deck comes to lie on it where it stood, its weight in the middle between the rollers; without one they stand 0.3 and
// 1.9 m behind the cradle's front.
func cradle(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	l, ok := p.Outings[q.Outing].Layouts[q.Trailer]
	if !ok {
		return nil, Refusal("The outing is not loaded on this trailer.")
	}
	part := plan.Part{
		Order: next(p), Name: "Boat cradle", Mass: &plan.MassEstimate{Value: 30, How: plan.Typical},
		Cradle: &plan.Cradle{
			Keel:    0.1,
			Rollers: map[string]plan.Roller{"front": {Order: 1, At: 0.3}, "rear": {Order: 2, At: 1.9}},
		},
	}
	on := plan.PartOn{}
	at := "/outings/" + q.Outing + "/layouts/" + q.Trailer
	var lies []finding.Op
	if id := boatOn(p, l); id != "" {
		pl := l.Placements[id]
		front, rear := keelAt(p.Loads[id])
		none := quantity.Length(0)
		part.Cradle.BowStop = &none
		part.Cradle.Rollers = map[string]plan.Roller{"front": {Order: 1, At: front}, "rear": {Order: 2, At: rear}}
		part.Size = plan.Size{Length: typical(float64(rear) + 0.1), Width: typical(0.3), Height: typical(0.1)}
		on.At = plan.Spot{Back: pl.At.Back, Right: pl.At.Right}
		pl.On, pl.ID, pl.Slot, pl.At = plan.OnPart, q.ID, "", plan.Spot{}
		lies = append(lies, finding.Op{Op: "replace", Path: at + "/placements/" + id, Value: pl})
	}
	return slices.Concat([]finding.Op{add("/parts/"+q.ID, part)}, into(l.Parts != nil, at+"/parts", q.ID, on), lies), nil
}

// boatOn is the heaviest hull that stands on the deck with its bow forward; empty where there is none.
func boatOn(p *plan.Plan, l plan.Layout) string {
	best, most := "", quantity.Mass(-1)
	for _, id := range slices.Sorted(maps.Keys(l.Placements)) {
		load, pl := p.Loads[id], l.Placements[id]
		k, ok := catalogue.LoadOf(load.Kind)
		if !ok || k.Shape != "hull" || pl.On != plan.OnDeck || pl.Turn != 0 {
			continue
		}
		m := quantity.Mass(0)
		if load.Mass != nil {
			m = load.Mass.Value
		}
		if m > most {
			best, most = id, m
		}
	}
	return best
}

// keelAt are places behind the stem for two rollers that bear a hull alike: as far before its weight as behind it,
// three tenths of its length each (C), or what there is to the transom: docs/method/launch.md.
func keelAt(o plan.Load) (front, rear quantity.Length) {
	k, _ := catalogue.LoadOf(o.Kind)
	long := k.Length
	if o.Size.Length != nil && o.Size.Length.Value > 0 {
		long = o.Size.Length.Value
	}
	centre := long / 2
	if k.CentreLow > 0 {
		centre = long * quantity.Length(k.CentreLow+k.CentreHigh) / 2
	}
	if o.Centre.Back != nil {
		centre = o.Centre.Back.Value
	}
	apart := max(0.05, min(0.3*long, long-0.05-centre))
	return quantity.Length(cents(float64(centre - apart))), quantity.Length(cents(float64(centre + apart)))
}

// carrier is a bought carrier with two places beside each other; what its label says is stated next.
func carrier(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	l, ok := p.Outings[q.Outing].Layouts[q.Trailer]
	if !ok {
		return nil, Refusal("The outing is not loaded on this trailer.")
	}
	place := func(order int, name string, right quantity.Length) plan.Slot {
		return plan.Slot{Order: order, Name: name, At: plan.Spot{Right: right, Up: 0.3}}
	}
	part := plan.Part{
		Order: next(p), Name: "Bought carrier", Mass: &plan.MassEstimate{Value: 15, How: plan.Typical},
		Size:    plan.Size{Length: typical(1.5), Width: typical(1.3), Height: typical(0.3)},
		Slots:   map[string]plan.Slot{"left": place(1, "left", -0.35), "right": place(2, "right", 0.35)},
		Carrier: &plan.BoughtCarrier{},
	}
	return append([]finding.Op{add("/parts/"+q.ID, part)},
		into(l.Parts != nil, "/outings/"+q.Outing+"/layouts/"+q.Trailer+"/parts", q.ID, plan.PartOn{})...), nil
}
