package section_test

import (
	"errors"
	"math"
	"testing"

	"zygonos/core/sums/section"
)

// Published tables: EN 10219-2 (tubes), EN 10219-2 (round), EN 10056-1 (angles).
// mm, cm², cm⁴, cm³; they are rounded to three figures, so within 0.7 %.
func TestPublishedTables(t *testing.T) {
	type row struct {
		s                      section.Size
		area, iy, iz, wy, weak float64 // weak: least principal second moment
	}
	mm := func(shape section.Shape, h, b, t, root float64) section.Size {
		return section.Size{Shape: shape, H: h / 1000, B: b / 1000, T: t / 1000, Root: root / 1000}
	}
	for _, r := range []row{
		{mm(section.Tube, 40, 40, 3, 0), 4.21, 9.32, 9.32, 4.66, 9.32},
		{mm(section.Tube, 50, 50, 3, 0), 5.41, 19.5, 19.5, 7.79, 19.5},
		{mm(section.Tube, 60, 60, 3, 0), 6.61, 35.1, 35.1, 11.7, 35.1},
		{mm(section.Tube, 80, 80, 4, 0), 11.7, 111, 111, 27.8, 111},
		{mm(section.Tube, 100, 100, 5, 0), 18.4, 271, 271, 54.2, 271},
		{mm(section.Tube, 50, 30, 3, 0), 4.21, 12.8, 5.70, 5.13, 5.70},
		{mm(section.Tube, 60, 40, 3, 0), 5.41, 25.4, 13.4, 8.46, 13.4},
		{mm(section.Tube, 80, 40, 3, 0), 6.61, 52.3, 17.6, 13.1, 17.6},
		{mm(section.Round, 33.7, 0, 3.2, 0), 3.07, 3.60, 3.60, 2.14, 3.60},
		{mm(section.Round, 48.3, 0, 3.2, 0), 4.53, 11.6, 11.6, 4.80, 11.6},
		{mm(section.Round, 60.3, 0, 3.2, 0), 5.74, 23.5, 23.5, 7.78, 23.5},
		{mm(section.Angle, 40, 40, 4, 6), 3.08, 4.47, 4.47, 1.55, 1.86},
		{mm(section.Angle, 50, 50, 5, 7), 4.80, 11.0, 11.0, 3.05, 4.55},
		{mm(section.Angle, 60, 60, 6, 8), 6.91, 22.8, 22.8, 5.29, 9.44},
		{mm(section.Angle, 60, 40, 5, 6), 4.79, 17.2, 6.11, 4.25, 3.54},
	} {
		p, err := section.Of(r.s)
		if err != nil {
			t.Fatal(err)
		}
		for _, c := range []struct {
			what      string
			got, want float64
		}{
			{"area", p.Area * 1e4, r.area}, {"Iy", p.Iy * 1e8, r.iy}, {"Iz", p.Iz * 1e8, r.iz}, {"Wy", p.Wy * 1e6, r.wy}, {"weak I", p.Minor * 1e8, r.weak},
		} {
			if math.Abs(c.got-c.want) > 0.007*c.want {
				t.Errorf("%+v %s: %.4g, published %.4g", r.s, c.what, c.got, c.want)
			}
		}
	}
}

// A plain channel and a strut by rectangles; a timber 45 × 95 mm.
func TestByHand(t *testing.T) {
	near := func(what string, got, want float64) {
		t.Helper()
		if math.Abs(got-want) > 1e-4*want {
			t.Errorf("%s: %.6g, want %.6g", what, got, want)
		}
	}
	p, _ := section.Of(section.Size{Shape: section.Bar, H: 0.095, B: 0.045})
	near("timber I", p.Iy*1e8, 321.5156) // 4.5·9.5³/12
	near("timber W", p.Wy*1e6, 67.6875)  // 4.5·9.5²/6
	// Channel 80 × 40 × 4: web 80 × 4, flanges 36 × 4: A = 3.2 + 2·1.44 = 6.08 cm²;
	// I = 0.4·8³/12 + 2(3.6·0.4³/12 + 1.44·3.8²) = 17.0667 + 41.6256 = 58.6923.
	p, _ = section.Of(section.Size{Shape: section.Channel, H: 0.08, B: 0.04, T: 0.004})
	near("channel A", p.Area*1e4, 6.08)
	near("channel I", p.Iy*1e8, 58.6923)
	// An angle's principal moments have the sum and the product of its own tensor.
	p, _ = section.Of(section.Size{Shape: section.Angle, H: 0.07, B: 0.05, T: 0.006, Root: 0.007})
	near("sum", p.Major+p.Minor, p.Iy+p.Iz)
	near("product", p.Major*p.Minor, p.Iy*p.Iz-p.Iyz*p.Iyz)
	if w, _ := p.Weak(false); w >= p.Wy || !p.FreeBendsAside {
		t.Errorf("an unheld angle has W %v of %v", w, p.Wy)
	}
	if w, _ := p.Weak(true); w != p.Wy {
		t.Error("held, it bends about its horizontal axis")
	}
	// Strut 41 × 41 × 2.5, lips 7.5: area by strips 41·2.5 + 2·38.5·2.5 + 2·5·2.5 = 320 mm².
	p, _ = section.Of(section.Size{Shape: section.Strut, H: 0.041, B: 0.041, T: 0.0025, Lip: 0.0075})
	near("strut A", p.Area*1e6, 320)
	rod, _ := section.Of(section.Size{Shape: section.Rod, H: 0.02})
	near("rod I", rod.Iy*1e8, 0.785398)
}

func TestNoSection(t *testing.T) {
	for _, c := range []struct {
		s    section.Size
		want error
	}{
		{section.Size{Shape: section.Tube, H: 0.05, B: 0.05}, section.ErrWall},
		{section.Size{Shape: section.Tube, H: 0.05, B: 0.05, T: 0.025}, section.ErrThick},
		{section.Size{Shape: section.Tube, B: 0.05, T: 0.003}, section.ErrSize},
		{section.Size{Shape: section.Round, H: 0.03, T: 0.02}, section.ErrThick},
		{section.Size{Shape: section.Angle, H: 0.03, B: 0.03, T: 0.03}, section.ErrThick},
		{section.Size{Shape: section.Strut, H: 0.04, B: 0.04, T: 0.003, Lip: 0.02}, section.ErrThick},
		{section.Size{Shape: section.Bar, H: 0.03, B: math.Inf(1)}, section.ErrSize},
		{section.Size{Shape: "star", H: 0.03, B: 0.03, T: 0.001}, section.ErrShape},
	} {
		if p, err := section.Of(c.s); !errors.Is(err, c.want) || p.Area != 0 {
			t.Errorf("%+v: %v %+v", c.s, err, p)
		}
	}
}

// Thicker is heavier and stiffer, for every shape; above 6 mm a tube has rounder corners.
func TestThicker(t *testing.T) {
	for _, shape := range []section.Shape{section.Tube, section.Round, section.Angle, section.Channel, section.Strut} {
		last := section.Properties{}
		for wall := 0.001; wall < 0.006; wall += 0.0005 {
			p, err := section.Of(section.Size{Shape: shape, H: 0.06, B: 0.06, T: wall, Lip: 0.012})
			if err != nil || p.Area <= last.Area || p.Iy <= last.Iy || p.Minor > p.Major {
				t.Errorf("%s %v: %v %+v after %+v", shape, wall, err, p, last)
			}
			last = p
		}
	}
}
