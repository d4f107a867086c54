// Package parts turns what is built of stock into members, and members into mass
// and centre: m = ρ·A·l.
package parts

import (
	"math"

	"zygonos/core/facts/catalogue"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/sums/section"
)

// Member is a piece of stock, or several alike.
type Member struct {
	Name    string
	Tier    string // of a bar or a brace
	Profile plan.Profile
	Count   int
	Length  float64 // m, each
	Each    float64 // kg
	Back    float64 // mean place behind the part's front face, m
	Up      float64 // of its centre above the part's underside, m
}

// Mass of the members, kg.
func (m *Member) Mass() float64 { return float64(m.Count) * m.Each }

// SizeOf is a profile's size as the section's sums take it.
func SizeOf(p plan.Profile) section.Size {
	return section.Size{
		Shape: section.Shape(p.Shape),
		H:     float64(p.Height),
		B:     float64(p.Width),
		T:     float64(p.Wall),
		Lip:   float64(p.Lip),
	}
}

// Slack is what a section needs to slide into a tube, m (practice, C).
const Slack = 0.0005

// SlidesIn reports whether a section slides into a tube.
func SlidesIn(in, tube plan.Profile) bool {
	room := float64(tube.Height-2*tube.Wall) - Slack
	wide := float64(tube.Width-2*tube.Wall) - Slack
	if tube.Shape == string(section.Round) {
		wide = room
	}
	hollow := tube.Shape == string(section.Tube) || tube.Shape == string(section.Round)
	h, w := float64(in.Height), float64(in.Width)
	if in.Shape == string(section.Round) || in.Shape == string(section.Rod) {
		w = h
	} else if tube.Shape == string(section.Round) { // its corners touch
		h = math.Hypot(h, w)
		w = h
	}
	return hollow && h > 0 && w > 0 && h <= room+1e-9 && w <= wide+1e-9
}

// Bars are the properties of a rack's bars with what is slid into them: both bend alike, so their
// second moments add, and the outer edge bears M·(H/2)/ΣI. The insert counts with the share of its
// stiffness that its material has of the bar's, and its own edge bears k·M·(h/2)/ΣI.
func Bars(r *plan.Rack) (section.Properties, error) {
	s, err := section.Of(SizeOf(r.Bar))
	if err != nil || r.Insert == nil || !SlidesIn(*r.Insert, r.Bar) {
		return s, err
	}
	in, err := section.Of(SizeOf(*r.Insert))
	if err != nil {
		return s, nil // its own check says so
	}
	outer, _ := catalogue.StockOf(r.Bar.Material)
	inner, _ := catalogue.StockOf(r.Insert.Material)
	k := inner.Modulus / outer.Modulus
	s.Wy *= (s.Iy + k*in.Iy) / s.Iy
	s.Wz *= (s.Iz + k*in.Iz) / s.Iz
	s.Iy, s.Iz = s.Iy+k*in.Iy, s.Iz+k*in.Iz
	// Where the insert is the weaker one, its own edge counts.
	weak := inner.Working() / outer.Working()
	s.Wy = min(s.Wy, s.Iy*weak/(k*in.Iy/in.Wy))
	s.Wz = min(s.Wz, s.Iz*weak/(k*in.Iz/in.Wz))
	s.Area += in.Area * inner.Density / outer.Density // so that it weighs what both weigh
	return s, nil
}

// FramesAt are the places of a rack's frames behind the part's front face, m.
func FramesAt(r *plan.Rack) []float64 {
	front, rear := float64(r.FrontAt), float64(r.RearAt)
	switch {
	case rear <= front:
		return []float64{front}
	case r.Middle:
		return []float64{front, (front + rear) / 2, rear}
	}
	return []float64{front, rear}
}

// PostsAt are the places of a frame's posts to the right of the middle, m.
func PostsAt(r *plan.Rack) []float64 {
	half := float64(r.Apart) / 2
	switch {
	case r.Posts == 1 || half == 0:
		return []float64{0}
	case r.Posts == 3:
		return []float64{-half, 0, half}
	}
	return []float64{-half, half}
}

// BracesAt are the places where braces bear a tier's bar, to the right of the middle,
// m: a leg to either side of each post, where the bar reaches so far, posts stand
// farther apart than two legs and the post is longer than one.
func BracesAt(r *plan.Rack, t plan.Tier) []float64 {
	leg, half := float64(r.Brace), float64(t.Length)/2
	if leg <= 0 || leg >= float64(t.Up-r.Bar.Height) {
		return nil
	}
	posts := PostsAt(r)
	var out []float64
	for i, y := range posts {
		if y-leg >= -half && (i == 0 || y-posts[i-1] > 2*leg) {
			out = append(out, y-leg)
		}
		if y+leg <= half && (i == len(posts)-1 || posts[i+1]-y > 2*leg) {
			out = append(out, y+leg)
		}
	}
	return out
}

// BraceLines are a tier's braces from behind, each from its post to its bar: right of the
// middle and up of the part's underside, m.
func BraceLines(r *plan.Rack, t plan.Tier) [][2][2]float64 {
	under, leg := float64(t.Up-r.Bar.Height), float64(r.Brace)
	var out [][2][2]float64
	for _, y := range BracesAt(r, t) {
		for _, post := range PostsAt(r) {
			if math.Abs(math.Abs(y-post)-leg) < 1e-9 {
				out = append(out, [2][2]float64{{post, under - leg}, {y, under}})
				break
			}
		}
	}
	return out
}

// Members lists a rack's pieces: for each frame its posts, up to the highest
// tier, and for each tier a cross bar. A section that makes no sense weighs
// nothing here; the rack's check says so.
func Members(r *plan.Rack) []Member {
	frames, posts := FramesAt(r), PostsAt(r)
	middle := 0.0
	for _, x := range frames {
		middle += x / float64(len(frames))
	}
	each := func(p plan.Profile, l float64) float64 {
		s, err := section.Of(SizeOf(p))
		if err != nil {
			return 0
		}
		stock, _ := catalogue.StockOf(p.Material)
		return s.Area * l * stock.Density
	}
	var out []Member
	top := 0.0
	for _, id := range plan.Ordered(r.Tiers, func(t plan.Tier) int { return t.Order }) {
		t := r.Tiers[id]
		up := float64(t.Up)
		top = max(top, up-float64(r.Bar.Height))
		out = append(
			out,
			Member{
				Name:    "cross bar, " + id,
				Tier:    id,
				Profile: r.Bar,
				Count:   len(frames),
				Length:  float64(t.Length),
				Each:    each(r.Bar, float64(t.Length)),
				Back:    middle,
				Up:      up - float64(r.Bar.Height)/2,
			},
		)
	}
	for _, id := range plan.Ordered(r.Tiers, func(t plan.Tier) int { return t.Order }) {
		if t := r.Tiers[id]; r.Insert != nil {
			out = append(out, Member{
				Name: "insert in the bar, " + id, Profile: *r.Insert, Count: len(frames), Length: float64(t.Length),
				Each: each(*r.Insert, float64(t.Length)), Back: middle, Up: float64(t.Up) - float64(r.Bar.Height)/2,
			})
		}
		if n := len(BracesAt(r, r.Tiers[id])); n > 0 {
			l := float64(r.Brace) * math.Sqrt2
			out = append(
				out,
				Member{
					Name:    "brace, 45° ends, " + id,
					Tier:    id,
					Profile: r.Bar,
					Count:   len(frames) * n,
					Length:  l,
					Each:    each(r.Bar, l),
					Back:    middle,
					Up:      float64(r.Tiers[id].Up-r.Bar.Height) - float64(r.Brace)/2,
				},
			)
		}
	}
	if top > 0 {
		out = append(
			out,
			Member{
				Name:    "post",
				Profile: r.Post,
				Count:   len(frames) * len(posts),
				Length:  top,
				Each:    each(r.Post, top),
				Back:    middle,
				Up:      top / 2,
			},
		)
	}
	return out
}

// builtDoubt is the plus-minus of a mass that follows from sizes, a share:
// tolerances of stock, welds and bolts.
const builtDoubt = 0.04

// Filled is the part with mass, size and centre as its rack or its box makes them; a part
// without either stays as it is stated.
func Filled(p plan.Part) plan.Part {
	if p.Box != nil {
		return boxed(p)
	}
	if p.Rack == nil || len(p.Rack.Tiers) == 0 {
		return p
	}
	mass, back, up, wide, high := 0.0, 0.0, 0.0, float64(p.Rack.Apart)+float64(p.Rack.Post.Width), 0.0
	for _, m := range Members(p.Rack) {
		k := m.Mass()
		mass, back, up = mass+k, back+k*m.Back, up+k*m.Up
	}
	for _, t := range p.Rack.Tiers {
		wide, high = max(wide, float64(t.Length)), max(high, float64(t.Up))
	}
	if mass <= 0 || math.IsInf(mass, 0) {
		return p
	}
	length := func(v float64) *plan.LengthEstimate {
		return &plan.LengthEstimate{Value: quantity.Length(v), PlusMinus: new(plan.LengthDoubt), How: plan.Weighed}
	}
	share := builtDoubt
	p.Mass = &plan.MassEstimate{Value: quantity.Mass(mass), Relative: &share, How: plan.Typical}
	half := float64(max(p.Rack.Post.Height, p.Rack.Bar.Width)) / 2
	frames := FramesAt(p.Rack)
	p.Size = plan.Size{Length: length(frames[len(frames)-1] + half), Width: length(wide), Height: length(high)}
	p.Centre = plan.Centre{Back: length(back / mass), Right: length(0), Up: length(up / mass)}
	return p
}
