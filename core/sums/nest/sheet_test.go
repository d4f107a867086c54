package nest_test

import (
	"errors"
	"math"
	"math/rand/v2"
	"testing"

	"zygonos/core/sums/nest"
)

// sane checks that pieces lie on their sheet, a kerf apart, each once and of its size.
func sane(t *testing.T, s nest.Sheet, pieces []nest.Piece, l nest.Sheets) {
	t.Helper()
	seen := map[int]bool{}
	for _, c := range l.Cuttings {
		for i, p := range c.Placed {
			q := pieces[p.Piece]
			same := math.Abs(p.Long-q.Long) < 1e-9 && math.Abs(p.Wide-q.Wide) < 1e-9
			turned := math.Abs(p.Long-q.Wide) < 1e-9 && math.Abs(p.Wide-q.Long) < 1e-9
			if seen[p.Piece] || !same && (!turned || s.Grain) {
				t.Errorf("piece %d: %+v of %+v", p.Piece, p, q)
			}
			seen[p.Piece] = true
			if p.X < -1e-9 || p.Y < -1e-9 || p.X+p.Long > s.Long+1e-6 || p.Y+p.Wide > s.Wide+1e-6 {
				t.Errorf("%+v lies beyond %+v", p, s)
			}
			for _, o := range c.Placed[:i] {
				if p.X < o.X+o.Long+s.Kerf-1e-6 && o.X < p.X+p.Long+s.Kerf-1e-6 &&
					p.Y < o.Y+o.Wide+s.Kerf-1e-6 && o.Y < p.Y+p.Wide+s.Kerf-1e-6 {
					t.Errorf("%+v over %+v", p, o)
				}
			}
		}
	}
	if len(seen) != len(pieces) {
		t.Errorf("%d of %d pieces", len(seen), len(pieces))
	}
}

// guillotine reports whether pieces come out of a room by cuts from edge to edge, by trying every cut at every
// sum of their sizes: another program for the same question, slow.
func guillotine(pieces []nest.Piece, grain bool, kerf, long, wide float64) bool {
	if len(pieces) == 0 {
		return true
	}
	if len(pieces) == 1 {
		p := pieces[0]
		return p.Long <= long+1e-9 && p.Wide <= wide+1e-9 || !grain && p.Wide <= long+1e-9 && p.Long <= wide+1e-9
	}
	sums := map[float64]bool{0: true}
	for _, p := range pieces {
		next := map[float64]bool{}
		for s := range sums {
			for _, d := range []float64{0, p.Long + kerf, p.Wide + kerf} {
				next[math.Round((s+d)*1e6)/1e6] = true
			}
		}
		sums = next
	}
	n := len(pieces)
	for set := 1; set < 1<<(n-1); set++ { // the last piece stays on one side
		var a, b []nest.Piece
		for i, p := range pieces {
			if set>>i&1 == 1 {
				a = append(a, p)
			} else {
				b = append(b, p)
			}
		}
		for s := range sums {
			at := s - kerf
			if at <= 0 {
				continue
			}
			if at < long && guillotine(a, grain, kerf, at, wide) && guillotine(b, grain, kerf, long-at-kerf, wide) ||
				at < wide && guillotine(a, grain, kerf, long, at) && guillotine(b, grain, kerf, long, wide-at-kerf) {
				return true
			}
		}
	}
	return false
}

// Up to four pieces against that other program: one sheet where it says so, and no fewer.
func TestSheetsBrute(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	ones := 0
	for range 120 {
		s := nest.Sheet{Long: 2.44, Wide: 1.22, Kerf: 0.003, Grain: r.IntN(2) == 0}
		var pieces []nest.Piece
		for range 2 + r.IntN(3) {
			pieces = append(pieces, nest.Piece{Long: 0.3 + 0.1*float64(r.IntN(14)), Wide: 0.2 + 0.1*float64(r.IntN(9))})
		}
		l, err := nest.SolveSheets(s, pieces)
		if err != nil {
			continue
		}
		sane(t, s, pieces, l)
		one := guillotine(pieces, s.Grain, s.Kerf, s.Long, s.Wide)
		if one {
			ones++
		}
		if one != (len(l.Cuttings) == 1) || !l.Proven {
			t.Errorf("%+v: %d sheets, one suffices: %v", pieces, len(l.Cuttings), one)
		}
	}
	if ones < 20 {
		t.Errorf("only %d of one sheet", ones)
	}
}

// Many pieces: each once, on the sheet, no fewer than the area asks for, and the few-piece answer is no worse
// than that of the many.
func TestManySheets(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	for range 60 {
		s := nest.Sheet{Long: 2.5, Wide: 1.25, Kerf: 0.003}
		var pieces []nest.Piece
		for range 9 + r.IntN(16) {
			pieces = append(pieces, nest.Piece{Long: 0.2 + r.Float64()*1.2, Wide: 0.15 + r.Float64()*0.9})
		}
		l, err := nest.SolveSheets(s, pieces)
		if err != nil {
			t.Fatal(err)
		}
		sane(t, s, pieces, l)
		if len(l.Cuttings) < l.Least || l.Proven != (len(l.Cuttings) == l.Least) {
			t.Errorf("%d sheets, at least %d", len(l.Cuttings), l.Least)
		}
	}
}

// What comes home: of a sheet of 2.44 by 1.22 in two halves of 1.22 a car that carries 1.3 by 1.22 takes them
// after one cut; a piece larger than that is stated.
func TestSheetHome(t *testing.T) {
	s := nest.Sheet{Long: 2.44, Wide: 1.22, Kerf: 0.003}
	l, err := nest.SolveSheets(s, []nest.Piece{{1.21, 1.22}, {1.2, 1.22}})
	if err != nil || len(l.Cuttings) != 1 {
		t.Fatalf("%+v %v", l, err)
	}
	cuts, ok := l.Cuttings[0].Home(s, 1.3, 1.22)
	if !ok || len(cuts) != 1 {
		t.Errorf("%v %v", cuts, ok)
	}
	if cuts, ok := l.Cuttings[0].Home(s, 2.5, 1.22); !ok || len(cuts) != 0 {
		t.Errorf("whole: %v %v", cuts, ok)
	}
	if _, ok := l.Cuttings[0].Home(s, 1.0, 1.0); ok {
		t.Error("1.21 m on a car that carries 1 m")
	}
	small, _ := nest.SolveSheets(s, []nest.Piece{{0.9, 0.5}})
	if cuts, ok := small.Cuttings[0].Home(s, 1.0, 1.22); !ok || len(cuts) != 1 || cuts[0].At != 0.9 {
		t.Errorf("a small one: %v %v", cuts, ok)
	}
}

func TestBadSheets(t *testing.T) {
	var bad *nest.PieceError
	if _, err := nest.SolveSheets(nest.Sheet{Long: 1, Wide: 1}, []nest.Piece{{2, 0.5}}); !errors.As(err, &bad) {
		t.Error(err)
	}
	if _, err := nest.SolveSheets(nest.Sheet{Long: 1}, nil); !errors.Is(err, nest.ErrSheet) {
		t.Error(err)
	}
	if l, err := nest.SolveSheets(nest.Sheet{Long: 1, Wide: 1}, nil); err != nil || !l.Proven {
		t.Error(err)
	}
}

func BenchmarkSheets8(b *testing.B) {
	var pieces []nest.Piece
	for i := range 8 {
		pieces = append(pieces, nest.Piece{Long: 0.4 + 0.13*float64(i), Wide: 0.3 + 0.07*float64(i%5)})
	}
	for b.Loop() {
		if _, err := nest.SolveSheets(nest.Sheet{Long: 2.44, Wide: 1.22, Kerf: 0.003}, pieces); err != nil {
			b.Fatal(err)
		}
	}
}
