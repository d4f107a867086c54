package section

import (
	"errors"
	"math"
)

// Taken is a rectangle that is taken out of a section: from its left and its bottom edge, m.
type Taken struct{ Y0, Z0, Y1, Z1 float64 }

// ErrGone says that nothing is left of a section.
var ErrGone = errors.New("nothing is left of the section")

// strips into which a round section is cut.
const strips = 400

// Net are the properties of what is left of a section whose walls lose what lies in the rectangles, about
// its own centre: Σ over the rectangles that are left, times what the whole section has by its rounded
// corners over what it has by square ones. CentreY and CentreZ are from the whole section's edges. ErrGone
// where nothing to speak of is left.
func Net(s Size, taken []Taken) (Properties, error) {
	whole, err := Of(s)
	if err != nil {
		return Properties{}, err
	}
	square := sum(walls(s), false)
	left := walls(s)
	for _, t := range taken {
		var next []piece
		for _, p := range left {
			next = append(next, less(p, t)...)
		}
		left = next
	}
	if len(left) == 0 {
		return Properties{}, ErrGone
	}
	y0, z0 := math.Inf(1), math.Inf(1)
	for _, p := range left {
		y0, z0 = math.Min(y0, p.y0), math.Min(z0, p.z0)
	}
	out := sum(left, false)
	if !(out.Area > 0.02*square.Area) || !(out.Minor > 0) || !(out.Wy > 0) || !(out.Wz > 0) {
		return Properties{}, ErrGone
	}
	out.CentreY += y0 + whole.CentreY - square.CentreY
	out.CentreZ += z0 + whole.CentreZ - square.CentreZ
	out.Area *= whole.Area / square.Area
	out.Iy, out.Iz = out.Iy*whole.Iy/square.Iy, out.Iz*whole.Iz/square.Iz
	out.Wy, out.Wz = out.Wy*whole.Wy/square.Wy, out.Wz*whole.Wz/square.Wz
	out.Major, out.Minor = out.Major*whole.Major/square.Major, out.Minor*whole.Minor/square.Minor
	out.WMinor *= whole.WMinor / square.WMinor
	if square.Iyz != 0 {
		out.Iyz *= whole.Iyz / square.Iyz
	}
	return out, nil
}

// walls are the rectangles that a section is made of, none over another, corners square.
func walls(s Size) []piece {
	h, b, t := s.H, s.B, s.T
	switch s.Shape {
	case Tube:
		return []piece{rect(1, 0, 0, b, t), rect(1, 0, h-t, b, h), rect(1, 0, t, t, h-t), rect(1, b-t, t, b, h-t)}
	case Angle:
		return []piece{rect(1, 0, 0, t, h), rect(1, t, 0, b, t)}
	case Channel:
		return []piece{rect(1, 0, 0, t, h), rect(1, t, 0, b, t), rect(1, t, h-t, b, h)}
	case Strut:
		lip := s.Lip
		if lip == 0 {
			lip = 3 * t
		}
		return []piece{
			rect(1, 0, 0, b, t), rect(1, 0, t, t, h), rect(1, b-t, t, b, h),
			rect(1, t, h-t, lip, h), rect(1, b-lip, h-t, b-t, h),
		}
	case Bar:
		return []piece{rect(1, 0, 0, b, h)}
	case Round, Rod:
		var out []piece
		r, bore := h/2, 0.0
		if s.Shape == Round {
			bore = r - t
		}
		for i := range strips {
			z0, z1 := h*float64(i)/strips, h*float64(i+1)/strips
			z := (z0+z1)/2 - r
			outer := math.Sqrt(r*r - z*z)
			if math.Abs(z) >= bore {
				out = append(out, rect(1, r-outer, z0, r+outer, z1))
				continue
			}
			inner := math.Sqrt(bore*bore - z*z)
			out = append(out, rect(1, r-outer, z0, r-inner, z1), rect(1, r+inner, z0, r+outer, z1))
		}
		return out
	}
	return nil
}

// less is what is left of a rectangle.
func less(p piece, t Taken) (out []piece) {
	y0, y1 := math.Max(p.y0, t.Y0), math.Min(p.y1, t.Y1)
	z0, z1 := math.Max(p.z0, t.Z0), math.Min(p.z1, t.Z1)
	if !(y1 > y0) || !(z1 > z0) {
		return []piece{p}
	}
	for _, r := range [4]piece{
		rect(1, p.y0, p.z0, p.y1, z0), rect(1, p.y0, z1, p.y1, p.z1),
		rect(1, p.y0, z0, y0, z1), rect(1, y1, z0, p.y1, z1),
	} {
		if r.y1 > r.y0 && r.z1 > r.z0 {
			out = append(out, r)
		}
	}
	return out
}
