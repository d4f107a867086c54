package survey

import (
	"math"

	"gonum.org/v1/gonum/mat"
)

// Stand is a place where a height was read, m: higher is more.
type Stand struct {
	At     Vec
	Height float64
}

// Level is what heights at stands say.
type Level struct {
	Height float64   // of the plane at (0, 0), m
	Rise   Vec       // of the plane a metre to the rear, and to the right
	Off    []float64 // of each stand over the plane, m
	Shims  []float64 // under each stand so that all stand as high as the highest, m
	// Twist is how far four stands, in order round the frame, are out of one plane: h₁ − h₂ + h₃ − h₄, m; 0 for any
	// other number
	Twist, TwistDoubt float64
	ShimDoubt         float64 // of a shim, m
}

// NewLevel fits a plane by least squares; sigma is the doubt of a height, m. Errors: ErrFew under three stands, or all in a
// line; ErrTape.
func NewLevel(stands []Stand, sigma float64) (*Level, error) {
	n := len(stands)
	if n < 3 {
		return nil, ErrFew
	}
	if !(sigma > 0) || math.IsInf(sigma, 0) {
		return nil, ErrTape
	}
	a, z := mat.NewDense(n, 3, nil), mat.NewVecDense(n, nil)
	top := math.Inf(-1)
	for i, s := range stands {
		if math.IsNaN(s.Height) || math.IsInf(s.Height, 0) {
			return nil, ErrTape
		}
		a.SetRow(i, []float64{1, s.At.X, s.At.Y})
		z.SetVec(i, s.Height)
		top = math.Max(top, s.Height)
	}
	var qr mat.QR
	qr.Factorize(a)
	if qr.Cond() > 1e9 {
		return nil, ErrFew
	}
	var p mat.VecDense
	if err := qr.SolveVecTo(&p, false, z); err != nil {
		return nil, ErrFew
	}
	out := &Level{Height: p.AtVec(0), Rise: Vec{p.AtVec(1), p.AtVec(2)}, ShimDoubt: sigma * math.Sqrt2}
	for _, s := range stands {
		out.Off = append(out.Off, s.Height-out.Height-out.Rise.X*s.At.X-out.Rise.Y*s.At.Y)
		out.Shims = append(out.Shims, top-s.Height)
	}
	if n == 4 {
		out.Twist = stands[0].Height - stands[1].Height + stands[2].Height - stands[3].Height
		out.TwistDoubt = 2 * sigma
	}
	return out, nil
}
