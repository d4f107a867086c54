package nest

import (
	"cmp"
	"errors"
	"math"
	"math/bits"
	"slices"
)

// Sheet is what pieces are cut from: as many as are wanted of one size.
type Sheet struct {
	Long, Wide float64 // m
	Kerf       float64 // m that a cut takes
	Grain      bool    // pieces are not turned
}

// Piece is a rectangle to be cut, m.
type Piece struct{ Long, Wide float64 }

// Placed is a piece on a sheet: its near corner, and its size as it lies.
type Placed struct {
	Piece      int
	X, Y       float64
	Long, Wide float64
}

// Cutting is one sheet with what comes out of it, by cuts from edge to edge.
type Cutting struct {
	Placed []Placed
	tree   *box
}

// Sheets is how all pieces come out of sheets.
type Sheets struct {
	Cuttings []Cutting
	Least    int  // no way takes fewer sheets
	Proven   bool // as many as that
}

// Errors of SolveSheets; a PieceError names a piece that is larger than a sheet.
var ErrSheet = errors.New("the sheet's size or the kerf makes no sense")

// provable is up to how many pieces every way is looked through.
const provable = 8

// box is what pieces take together: a piece, or two boxes side by side along or across.
type box struct {
	long, wide float64
	piece      int
	turned     bool
	a, b       *box
	across     bool // b lies beside a across; else behind it
}

// SolveSheets cuts rectangles out of as few sheets as can be, each cut from edge to edge of what it divides.
// Up to eight pieces are proven: for every set of them the smallest boxes that hold it are those of two
// disjoint sets side by side, with a kerf between,
//
//	B(S) = ∪ over A ∪ B = S of (l_A + k + l_B, max(w_A, w_B)) and (max(l_A, l_B), w_A + k + w_B)
//
// less what is no smaller in both than another; then the fewest sets that each fit a sheet. More pieces are
// put, largest first, into the least room that is left; the area then bounds the number from below.
func SolveSheets(s Sheet, pieces []Piece) (Sheets, error) {
	if !(s.Long > 0) || !(s.Wide > 0) || !(s.Kerf >= 0) || math.IsInf(s.Long+s.Wide+s.Kerf, 0) {
		return Sheets{}, ErrSheet
	}
	area := 0.0
	for i, p := range pieces {
		if !(p.Long > 0) || !(p.Wide > 0) || math.IsInf(p.Long+p.Wide, 0) {
			return Sheets{}, &PieceError{i, "has no size"}
		}
		if !s.takes(p.Long, p.Wide) && (s.Grain || !s.takes(p.Wide, p.Long)) {
			return Sheets{}, &PieceError{i, "is larger than a sheet"}
		}
		area += p.Long * p.Wide
	}
	out := Sheets{Least: int(math.Ceil(area/(s.Long*s.Wide) - 1e-9))}
	switch {
	case len(pieces) == 0:
		out.Proven = true
	case len(pieces) <= provable:
		out.Cuttings = s.exact(pieces)
		out.Least, out.Proven = len(out.Cuttings), true
	default:
		out.Cuttings = s.greedy(pieces)
		out.Proven = len(out.Cuttings) == out.Least
	}
	for i := range out.Cuttings {
		out.Cuttings[i].place(s.Kerf)
	}
	return out, nil
}

const hair = 1e-9

func (s *Sheet) takes(long, wide float64) bool { return long <= s.Long+hair && wide <= s.Wide+hair }

// leaves are a piece as it may lie.
func (s *Sheet) leaves(pieces []Piece, i int) (out []*box) {
	p := pieces[i]
	if s.takes(p.Long, p.Wide) {
		out = append(out, &box{long: p.Long, wide: p.Wide, piece: i})
	}
	if !s.Grain && p.Long != p.Wide && s.takes(p.Wide, p.Long) {
		out = append(out, &box{long: p.Wide, wide: p.Long, piece: i, turned: true})
	}
	return out
}

// exact looks through all sets.
func (s *Sheet) exact(pieces []Piece) []Cutting {
	n := len(pieces)
	boxes := make([][]*box, 1<<n)
	for set := 1; set < 1<<n; set++ {
		if bits.OnesCount(uint(set)) == 1 {
			boxes[set] = s.leaves(pieces, bits.TrailingZeros(uint(set)))
			continue
		}
		var all []*box
		for a := (set - 1) & set; a > 0; a = (a - 1) & set {
			if a < set&^a { // each pair once
				continue
			}
			for _, x := range boxes[a] {
				for _, y := range boxes[set&^a] {
					for _, across := range [2]bool{false, true} {
						if z := beside(x, y, across, s.Kerf); s.takes(z.long, z.wide) {
							all = append(all, z)
						}
					}
				}
			}
		}
		boxes[set] = smallest(all)
	}
	fewest := make([]int, 1<<n)
	last := make([]int, 1<<n)
	for set := 1; set < 1<<n; set++ {
		fewest[set] = n + 1
		low := set & -set
		for a := set; a > 0; a = (a - 1) & set { // the sheet that holds its lowest piece
			if a&low == 0 || len(boxes[a]) == 0 {
				continue
			}
			if f := 1 + fewest[set&^a]; f < fewest[set] {
				fewest[set], last[set] = f, a
			}
		}
	}
	var out []Cutting
	for set := 1<<n - 1; set > 0; set &^= last[set] {
		out = append(out, Cutting{tree: boxes[last[set]][0]})
	}
	return out
}

func beside(a, b *box, across bool, kerf float64) *box {
	if across {
		return &box{long: math.Max(a.long, b.long), wide: a.wide + kerf + b.wide, a: a, b: b, across: true}
	}
	return &box{long: a.long + kerf + b.long, wide: math.Max(a.wide, b.wide), a: a, b: b}
}

// smallest leaves out boxes that are no smaller in both ways than another.
func smallest(all []*box) (out []*box) {
	slices.SortFunc(
		all,
		func(a, b *box) int { return cmp.Or(cmp.Compare(a.long, b.long), cmp.Compare(a.wide, b.wide)) },
	)
	least := math.Inf(1)
	for _, b := range all {
		if b.wide < least-hair {
			out, least = append(out, b), b.wide
		}
	}
	return out
}

// room is a free part of a sheet, as a box that is filled from its corner.
type room struct {
	long, wide float64
	at         **box
}

// greedy puts pieces, largest first, where the least area is left over; what is left of a room is divided so
// that its larger part stays as large as can be.
func (s *Sheet) greedy(pieces []Piece) []Cutting {
	order := make([]int, len(pieces))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int {
		return cmp.Compare(pieces[b].Long*pieces[b].Wide, pieces[a].Long*pieces[a].Wide)
	})
	var trees []*(*box)
	var rooms []room
	for _, i := range order {
		var leaf *box
		best, least := -1, math.Inf(1)
		for range 2 {
			for k, r := range rooms {
				for _, l := range s.leaves(pieces, i) {
					if left := r.long*r.wide - l.long*l.wide; l.long <= r.long+hair && l.wide <= r.wide+hair &&
						left < least {
						best, least, leaf = k, left, l
					}
				}
			}
			if best >= 0 {
				break
			}
			tree := new(*box)
			trees, rooms = append(trees, tree), append(rooms, room{s.Long, s.Wide, tree})
		}
		r := rooms[best]
		rooms = slices.Delete(rooms, best, best+1)
		behind := room{long: r.long - leaf.long - s.Kerf, wide: r.wide}
		aside := room{long: leaf.long, wide: r.wide - leaf.wide - s.Kerf}
		across := false // first cut across the sheet: behind keeps the full width
		if (r.wide-leaf.wide)*r.long > (r.long-leaf.long)*r.wide {
			across = true
			behind.wide, aside.long = leaf.wide, r.long
		}
		// the piece with what comes beside and behind it; empty boxes take no place
		inner := &box{long: leaf.long, wide: leaf.wide, a: leaf, b: &box{piece: -1}, across: !across}
		outer := &box{a: inner, b: &box{piece: -1}, across: across}
		*r.at = outer
		first, second := &aside, &behind
		if across {
			first, second = &behind, &aside
		}
		first.at, second.at = &inner.b, &outer.b
		for _, free := range []*room{first, second} {
			if free.long > hair && free.wide > hair {
				rooms = append(rooms, *free)
			}
		}
	}
	var out []Cutting
	for _, t := range trees {
		if t != nil && *t != nil {
			measure(*t, s.Kerf)
			out = append(out, Cutting{tree: *t})
		}
	}
	return out
}

// measure sizes boxes from their pieces up.
func measure(b *box, kerf float64) {
	if b.a == nil {
		return
	}
	measure(b.a, kerf)
	measure(b.b, kerf)
	if empty(b.b) {
		b.long, b.wide = b.a.long, b.a.wide
		return
	}
	z := beside(b.a, b.b, b.across, kerf)
	b.long, b.wide = z.long, z.wide
}

func empty(b *box) bool { return b.a == nil && b.piece < 0 }

// place gives each piece its corner.
func (c *Cutting) place(kerf float64) {
	var put func(b *box, x, y float64)
	put = func(b *box, x, y float64) {
		switch {
		case empty(b):
		case b.a == nil:
			c.Placed = append(c.Placed, Placed{Piece: b.piece, X: x, Y: y, Long: b.long, Wide: b.wide})
		default:
			put(b.a, x, y)
			if b.across {
				put(b.b, x, y+b.a.wide+kerf)
			} else {
				put(b.b, x+b.a.long+kerf, y)
			}
		}
	}
	put(c.tree, 0, 0)
}

// ShopCut is a cut that is made first, where the sheet is bought.
type ShopCut struct {
	At     float64 // m from the near edge of what is cut
	Across bool    // it runs along the sheet; else across it
}

// Home are the cuts to be made where a sheet is bought so that its parts are no larger than long × wide, the
// way that they lie or turned; ok is false where a piece itself is larger.
func (c *Cutting) Home(s Sheet, long, wide float64) (cuts []ShopCut, ok bool) {
	fit := func(l, w float64) bool {
		return l <= long+hair && w <= wide+hair || w <= long+hair && l <= wide+hair
	}
	var part func(b *box, l, w float64) bool
	part = func(b *box, l, w float64) bool {
		switch {
		case empty(b) || fit(l, w):
			return true
		case b.a == nil || empty(b.b): // only waste is left to cut off
			if b.a != nil {
				return part(b.a, l, w)
			}
			if !fit(b.long, b.wide) {
				return false
			}
			if !fit(b.long, w) || l > b.long && fit(b.long, w) {
				if l > b.long {
					cuts = append(cuts, ShopCut{At: b.long})
				}
			}
			if !fit(b.long, w) && w > b.wide {
				cuts = append(cuts, ShopCut{At: b.wide, Across: true})
			}
			return true
		case b.across:
			cuts = append(cuts, ShopCut{At: b.a.wide, Across: true})
			return part(b.a, l, b.a.wide) && part(b.b, l, w-b.a.wide-s.Kerf)
		}
		cuts = append(cuts, ShopCut{At: b.a.long})
		return part(b.a, b.a.long, w) && part(b.b, l-b.a.long-s.Kerf, w)
	}
	return cuts, part(c.tree, s.Long, s.Wide)
}
