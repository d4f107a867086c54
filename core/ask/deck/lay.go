package deck

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/plan"
	"zygonos/core/rig"
	"zygonos/core/sums/nest"
	"zygonos/core/sums/planks"
)

// Codes of how the floor is laid.
const (
	CodeLaid = "deck.laid" // ends and joints are borne
	CodeGap  = "deck.gap"  // boards have room to swell
)

// Figures of practice (confidence C), m.
const (
	endHangs   = 0.060 // that a board may jut out over its last bearer
	broadBoard = 0.090 // from which a board takes two screws
	bites      = 0.015 // that a screw goes on behind what it holds
	sheetLong  = 2.44
	sheetWide  = 1.22
	sheetKerf  = 0.003
	wideGap    = 0.012 // that catches heels and castors
	lowPlaces  = 0.030 // under the deck, within which a member is packed up
)

// Laid is how the floor is laid.
type Laid struct {
	Says    said.Sentence    `json:"says"`
	Boards  []Board          `json:"boards,omitempty"`
	Sheets  []SheetCut       `json:"sheets,omitempty"`
	Buy     int              `json:"buy"` // boards or sheets
	Price   *finding.Measure `json:"price,omitempty"`
	Proven  bool             `json:"proven,omitempty"` // no way takes fewer sheets
	Least   int              `json:"least,omitempty"`
	Screws  int              `json:"screws"`
	Screw   finding.Measure  `json:"screw"` // their length at least
	Mass    *finding.Measure `json:"mass,omitempty"`
	GapWet  *finding.Measure `json:"gapWet,omitempty"`
	GapDry  *finding.Measure `json:"gapDry,omitempty"`
	Marks   []Mark           `json:"marks,omitempty"` // holes to be drilled through it
	Notes   []said.Sentence  `json:"notes,omitempty"`
	Fails   said.Sentence    `json:"fails,omitempty"`
	View    scene.View       `json:"view"`
	joints  []float64
	across  bool      // the boards run across
	second  []float64 // joints of every other row of boards, where they can lie on other members
	pieces  []rect
	gaps    []planks.Gap
	hangs   float64 // that ends jut out over the last bearer
	bearing []float64
}

// Board is a row of boards of one width.
type Board struct {
	Count  int             `json:"count"`
	Width  finding.Measure `json:"width"`
	Length finding.Measure `json:"length"`
	Edge   bool            `json:"edge,omitempty"` // at both edges
}

// SheetCut is a sheet with what comes out of it.
type SheetCut struct {
	Pieces []SheetPiece      `json:"pieces"`
	Home   []finding.Measure `json:"home,omitempty"` // first cuts, where it is bought
	Big    bool              `json:"big,omitempty"`  // a piece is larger than the car carries
	View   scene.View        `json:"view"`
}

// SheetPiece is a piece of the floor.
type SheetPiece struct {
	Mark   string          `json:"mark"`
	Long   finding.Measure `json:"long"`
	Wide   finding.Measure `json:"wide"`
	Behind finding.Measure `json:"behind"` // where it lies: from the front edge …
	Left   finding.Measure `json:"left"`   // … and from the left one
}

// Mark is a hole of the frame, as it is marked on the floor.
type Mark struct {
	Left   finding.Measure `json:"left"`  // from the left edge
	Front  finding.Measure `json:"front"` // from the front edge
	Size   finding.Measure `json:"size"`
	Member string          `json:"member"`
}

// rect is a piece of the floor, from the front left corner.
type rect struct{ x, y, long, wide float64 }

// bearers are where a floor lies: what is drawn, else what is stated. Across: m behind the front edge; along:
// m from the left edge.
func bearers(r *rig.Rig) (across, along []float64) {
	half := r.DeckWidth() / 2
	if r.Drawn != nil && len(r.Drawn.Bars) > 0 {
		cross, rails := parts.Bearers(r.Drawn.Bars)
		for _, b := range cross {
			across = append(across, b.X)
		}
		for _, b := range rails {
			along = append(along, b.Y+half)
		}
	}
	if d := r.Trailer.Decking; d != nil {
		for _, id := range plan.Ordered(d.Bearers, func(b plan.DeckBearer) int { return b.Order }) {
			if b := d.Bearers[id]; b.Along {
				along = append(along, float64(b.At)+half)
			} else {
				across = append(across, float64(b.At))
			}
		}
	}
	slices.Sort(across)
	slices.Sort(along)
	return across, along
}

// Lay lays out the floor as stated; nil where none is that can be laid.
func Lay(r *rig.Rig) *Laid {
	if r == nil {
		return nil
	}
	t := r.Trailer
	d := t.Decking
	if d == nil || t.DeckLength == nil || t.DeckWidth == nil {
		return nil
	}
	out := &Laid{}
	long, wide := float64(t.DeckLength.Value), float64(t.DeckWidth.Value)
	across, along := bearers(r)
	thick := 0.0
	if t.FloorThick != nil {
		thick = float64(*t.FloorThick)
	}
	out.Screw = *finding.Exactly(quantity.KindLength, thick+bites)
	switch t.Floor {
	case plan.FloorBoards:
		out.boards(r, long, wide, across, along)
	case plan.FloorPly, plan.FloorPlate:
		out.sheets(r, long, wide, across, along)
	default:
		return nil
	}
	if density, ok := parts.FloorDensity(t); ok && thick > 0 {
		out.Mass = finding.Exactly(quantity.KindMass, long*wide*thick*density)
	}
	out.marks(r, wide)
	out.notes(r)
	out.draw(long, wide, across, along)
	return out
}

// boards lays boards from the middle outward, joined on bearers where they are shorter than the floor.
func (o *Laid) boards(r *rig.Rig, long, wide float64, across, along []float64) {
	t, d := r.Trailer, r.Trailer.Decking
	board, gap := boardUsual, 0.0
	if t.BoardWide != nil {
		board = float64(*t.BoardWide)
	}
	if d.Gap != nil {
		gap = float64(*d.Gap)
	}
	run, over, on := long, wide, across
	if d.Across {
		run, over, on = wide, long, along
	}
	o.bearing = on
	rows, err := planks.Lay(over, board, gap)
	switch {
	case errors.Is(err, planks.ErrBoard):
		o.Fails = said.Say("A board of % is wider than the floor.", said.Length(board))
		return
	case err != nil:
		o.Fails = said.Say("The width of the boards or their gap makes no sense.")
		return
	}
	sold := run
	if d.BoardLong != nil {
		sold = float64(*d.BoardLong)
	}
	o.joints, o.gaps = planks.Divide(run, sold, on)
	o.across = d.Across
	if d.Stagger && len(o.joints) > 0 && len(o.gaps) == 0 {
		if o.second = planks.Stagger(run, sold, on, o.joints); o.second == nil {
			o.Notes = append(o.Notes, said.Say(
				"The joints cannot be staggered: the other pieces would end away from a member too. Add a member, or use longer boards.",
			))
		}
	}
	o.ends(run, on)
	for i := range rows.At {
		p := rect{0, rows.At[i], run, rows.Wide[i]}
		if d.Across {
			p = rect{rows.At[i], 0, rows.Wide[i], run}
		}
		o.pieces = append(o.pieces, p)
	}
	n := len(rows.At)
	put := func(count int, w float64, edge bool) {
		if count > 0 {
			o.Boards = append(o.Boards, Board{
				Count: count, Edge: edge, Width: *finding.Exactly(quantity.KindLength, w),
				Length: *finding.Exactly(quantity.KindLength, run),
			})
		}
	}
	if math.Abs(rows.Edge-board) < 1e-6 || n == 1 {
		put(n, rows.Wide[0], false)
	} else {
		put(n-2, board, false)
		put(2, rows.Edge, true)
	}
	whole := n // boards to be bought: two edge boards out of one where both fit
	if n > 1 && 2*rows.Edge+sheetKerf <= board {
		whole--
	}
	o.Buy = boardsFor(whole, run, sold, o.joints, o.second)
	each := 1
	if board >= broadBoard {
		each = 2
	}
	o.Screws = n * (len(on) + len(o.joints)) * each
	o.price(d)
	gain, lose := 0.0, 0.0
	if d.Gains != nil {
		gain = *d.Gains
	}
	if d.Loses != nil {
		lose = *d.Loses
	}
	if d.Gains != nil || d.Loses != nil {
		o.GapWet = finding.Exactly(quantity.KindLength, gap-planks.Swell(board, gain))
		o.GapDry = finding.Exactly(quantity.KindLength, gap+planks.Swell(board, lose))
	}
	o.Says = said.Say("% boards of %", said.Count(max(0, n-2)), said.Length(board))
	if math.Abs(rows.Edge-board) < 1e-6 || n == 1 {
		o.Says = said.Say("% boards of %", said.Count(n), said.Length(rows.Wide[0]))
	} else {
		o.Says = append(o.Says, said.Say(", with one of % at both edges", said.Length(rows.Edge))...)
	}
	if gap > 0 {
		o.Says = append(o.Says, said.Say(", % apart", said.Length(gap))...)
	}
}

// boardSteps of the search for the fewest boards.
const boardSteps = 2000

// boardsFor is how many boards as they are sold so many rows take, each in the pieces that its joints make of
// it; where no search answers, a board for every piece.
func boardsFor(rows int, run, sold float64, joints, second []float64) int {
	p := &nest.Problem{Kerf: sheetKerf, Bars: []nest.Bar{{Length: sold, Price: 1, Have: nest.Endless}}}
	for i := range rows {
		at := joints
		if i%2 == 1 && second != nil {
			at = second
		}
		from := 0.0
		for _, to := range append(slices.Clone(at), run) {
			p.Pieces = append(p.Pieces, to-from)
			from = to
		}
	}
	l, err := nest.Solve(context.Background(), p, boardSteps)
	if err != nil {
		return len(p.Pieces)
	}
	return len(l.Cuts)
}

// ends is how far what is laid juts out over its first and its last bearer.
func (o *Laid) ends(run float64, on []float64) {
	if len(on) == 0 {
		o.hangs = run
		return
	}
	o.hangs = math.Max(on[0], run-on[len(on)-1])
}

// sheets divides the floor on bearers and cuts the pieces out of sheets, the way that takes fewer pieces.
func (o *Laid) sheets(r *rig.Rig, long, wide float64, across, along []float64) {
	d := r.Trailer.Decking
	o.bearing = across
	sl, sw := sheetLong, sheetWide
	if d.SheetLong != nil {
		sl = float64(*d.SheetLong)
	}
	if d.SheetWide != nil {
		sw = float64(*d.SheetWide)
	}
	kerf := sheetKerf
	if d.Kerf != nil {
		kerf = float64(*d.Kerf)
	}
	o.ends(long, across)
	s := nest.Sheet{Long: sl, Wide: sw, Kerf: kerf, Grain: d.Grain}
	best := divided(long, wide, sl, sw, across, along, s)
	if !d.Grain { // the other way round, where that hangs less, takes fewer sheets, or else fewer pieces
		if turned := divided(long, wide, sw, sl, across, along, s); turned.rank() < best.rank() {
			best = turned
		}
	}
	o.joints, o.gaps, o.pieces = best.xs, best.gaps, best.pieces
	cut := best.cut
	var big *nest.PieceError
	switch {
	case errors.As(best.err, &big):
		p := o.pieces[big.Piece]
		o.Fails = said.Say("A piece of % by % cannot be cut from any sheet of % by %.",
			said.Length(p.long), said.Length(p.wide), said.Length(sl), said.Length(sw))
		return
	case best.err != nil:
		o.Fails = said.Say("The sheet's size or the kerf makes no sense.")
		return
	}
	o.Buy, o.Proven, o.Least = len(cut.Cuttings), cut.Proven, cut.Least
	o.price(d)
	for i := range cut.Cuttings {
		o.Sheets = append(o.Sheets, o.sheet(&cut.Cuttings[i], s, d))
	}
	every := 0.15 // of screws along a bearer (practice, C)
	o.Screws = len(across) * (int(wide/every) + 1)
	o.Says = said.Say("% used of % of % by %", said.Counted(len(o.pieces), "piece", "pieces"),
		said.Counted(o.Buy, "sheet", "sheets"), said.Length(sl), said.Length(sw))
}

// division is one way to divide a floor into pieces of sheets.
type division struct {
	xs, ys []float64
	gaps   []planks.Gap
	pieces []rect
	cut    nest.Sheets
	err    error
}

// divided divides a floor on its bearers into pieces no larger than long × wide, and cuts them.
func divided(length, width, long, wide float64, across, along []float64, s nest.Sheet) (d division) {
	var g []planks.Gap
	d.xs, d.gaps = planks.Divide(length, long, across)
	d.ys, g = planks.Divide(width, wide, along)
	d.gaps = append(d.gaps, g...)
	xs, ys := slices.Concat(
		[]float64{0},
		d.xs,
		[]float64{length},
	), slices.Concat(
		[]float64{0},
		d.ys,
		[]float64{width},
	)
	var want []nest.Piece
	for i := 1; i < len(xs); i++ {
		for k := 1; k < len(ys); k++ {
			p := rect{xs[i-1], ys[k-1], xs[i] - xs[i-1], ys[k] - ys[k-1]}
			d.pieces, want = append(d.pieces, p), append(want, nest.Piece{Long: p.long, Wide: p.wide})
		}
	}
	d.cut, d.err = nest.SolveSheets(s, want)
	return d
}

// rank is less for the better way.
func (d *division) rank() int {
	n := 10_000*len(d.gaps) + 100*len(d.cut.Cuttings) + len(d.pieces)
	if d.err != nil {
		n += 1_000_000
	}
	return n
}

// sheet is a sheet with its pieces, and the first cuts for the car.
func (o *Laid) sheet(c *nest.Cutting, s nest.Sheet, d *plan.Decking) SheetCut {
	out := SheetCut{View: scene.View{
		ID: "sheet", Title: said.Say("A sheet"), Shapes: []scene.Shape{scene.Rect("sheet", "", 0, 0, s.Long, s.Wide)},
		Min: scene.Point{-0.05, -0.05}, Max: scene.Point{s.Long + 0.05, s.Wide + 0.05},
	}}
	m := func(v float64) finding.Measure { return *finding.Exactly(quantity.KindLength, v) }
	for _, p := range c.Placed {
		at := o.pieces[p.Piece]
		out.Pieces = append(out.Pieces, SheetPiece{
			Mark: mark(p.Piece), Long: m(p.Long), Wide: m(p.Wide), Behind: m(at.x), Left: m(at.y),
		})
		label := scene.Label("mark", "middle", p.X+p.Long/2, p.Y+p.Wide/2, said.Say("% % × %",
			said.Piece{Text: mark(p.Piece)}, said.Length(p.Long), said.Length(p.Wide)))
		label.Room = p.Long
		out.View.Shapes = append(out.View.Shapes,
			scene.Rect("sheet-piece", "", p.X, p.Y, p.X+p.Long, p.Y+p.Wide),
			label)
	}
	if d.CarryLong != nil && d.CarryWide != nil {
		cuts, ok := c.Home(s, float64(*d.CarryLong), float64(*d.CarryWide))
		out.Big = !ok
		for _, cut := range cuts {
			out.Home = append(out.Home, m(cut.At))
		}
	}
	return out
}

// mark is the short name of a piece of the floor.
func mark(i int) string { return fmt.Sprintf("F%d", i+1) }

func (o *Laid) price(d *plan.Decking) {
	if d.Price != nil {
		o.Price = finding.Exactly(quantity.KindMoney, float64(*d.Price)*float64(o.Buy))
	}
}

// marks are the frame's holes that go through the floor: drilled from above into members that bear it.
func (o *Laid) marks(r *rig.Rig, wide float64) {
	if r.Drawn == nil {
		return
	}
	cross, along := parts.Bearers(r.Drawn.Bars)
	for _, b := range slices.Concat(cross, along) {
		bar := &r.Drawn.Bars[b.Bar]
		for i := range bar.Cuts {
			c := &bar.Cuts[i].Cut
			p, axis, ok := bar.HoleAt(c)
			if !ok || c.What != plan.CutHole || math.Abs(bar.Axes[axis].Z) < 0.9 {
				continue
			}
			m := func(v float64) finding.Measure { return *finding.Exactly(quantity.KindLength, v) }
			o.Marks = append(o.Marks, Mark{
				Left: m(p.Y + wide/2), Front: m(p.X), Size: m(float64(c.Size)), Member: bar.Member.Name,
			})
		}
	}
	slices.SortStableFunc(o.Marks, func(a, b Mark) int {
		return cmp.Or(cmp.Compare(a.Front.Value, b.Front.Value), cmp.Compare(a.Left.Value, b.Left.Value))
	})
}

// patchRoom is what a tyre keeps under the floor at its stop, m, and usualTravel its way there where that is not
// stated (practice, C).
const (
	patchRoom   = 0.020
	usualTravel = 0.060
)

// wheels tells where tyres come up to the floor on a bump: an opening there, under a thin patch that comes off.
func (o *Laid) wheels(r *rig.Rig) {
	t := r.Trailer
	if t.Track == nil || r.DeckFront == nil || float64(t.Track.Value)/2 > r.DeckWidth()/2 || t.DeckHeight == nil {
		return
	}
	up := usualTravel
	if t.Travel != nil {
		up = float64(*t.Travel)
	}
	radius := r.WheelRadius()
	thick := 0.0
	if t.FloorThick != nil {
		thick = float64(*t.FloorThick)
	}
	left := r.DeckHeight() - thick - 2*radius - up
	if left >= patchRoom {
		return
	}
	for _, x := range r.AxlesAt() {
		o.Notes = append(o.Notes, said.Say(
			"At its stop a {tyre} comes within % of the underside of the floor: leave it open over each wheel, % long about % behind the front, under a thin patch that comes off.",
			said.Length(left),
			said.Length(2*radius+0.1),
			said.Length(x-r.DeckFront.Nominal),
		))
	}
}

// rings tells of tie points in the floor: let in flush they hold water.
func (o *Laid) rings(r *rig.Rig) {
	n := 0
	for _, p := range r.Trailer.TiePoints {
		if math.Abs(float64(p.At.Right)) < r.DeckWidth()/2-0.01 {
			n++
		}
	}
	if n > 0 {
		o.Notes = append(
			o.Notes,
			said.Say("% in the floor: let them in flush and give each a drain hole of % at its lowest point.",
				said.Counted(n, "ring", "rings"), said.Length(drainHole)),
		)
	}
}

// drainHole is what lets water out of a recess, m (practice, C).
const drainHole = 0.010

// notes tell of what lies under the floor where it is not flat.
func (o *Laid) notes(r *rig.Rig) {
	o.wheels(r)
	o.rings(r)
	if r.Trailer.Tail == plan.TailGate {
		o.Notes = append(
			o.Notes,
			said.Say("Where the tailgate's hinges stand up at the rear edge, notch the floor for them."),
		)
	}
	if r.Drawn == nil {
		return
	}
	plane := parts.DeckPlane(r.Drawn.Bars)
	for i := range r.Drawn.Bars {
		b := &r.Drawn.Bars[i]
		low := plane - b.Top()
		name := said.Name(b.Member.Name, "A member")
		switch {
		case b.Member.Role != plan.RoleCross && b.Member.Role != plan.RoleRail || math.Abs(b.Axes[0].Z) > 0.1:
		case low > 0.0015 && low <= lowPlaces:
			o.Notes = append(
				o.Notes,
				said.Say("% lies % low: pack it up, or the floor is pulled down to it.", name, said.Length(low)),
			)
		case low < -0.0015:
			o.Notes = append(
				o.Notes,
				said.Say(
					"% stands % up into the floor: notch the underside of the floor, or lay a second skin beside it.",
					name,
					said.Length(-low),
				),
			)
		}
		if (b.Member.FromJoint == plan.JointBolt || b.Member.ToJoint == plan.JointBolt) &&
			math.Abs(low) <= parts.Flush {
			o.Notes = append(
				o.Notes,
				said.Say("% is bolted: notch the floor where a bolt head stands up, or it bows.", name),
			)
		}
	}
	for i := 0; i < len(o.Notes); i++ { // bolted members are stated once
		if len(o.Notes) > 6 {
			o.Notes = append(o.Notes[:6], said.Say("…and % more like it.", said.Count(len(o.Notes)-6)))
			break
		}
	}
}

// draw shows the floor from above: what it lies on, boards or pieces, holes.
func (o *Laid) draw(long, wide float64, across, along []float64) {
	v := scene.View{
		ID: "decking", Title: said.Say("The floor from above, its front to the left"),
		Min: scene.Point{-0.1, -0.1}, Max: scene.Point{long + 0.1, wide + 0.1}, Shapes: []scene.Shape{},
	}
	for i, p := range o.pieces {
		v.Shapes = append(v.Shapes, scene.Rect("floor-piece", "", p.x, p.y, p.x+p.long, p.y+p.wide))
		if len(o.Sheets) > 0 {
			v.Shapes = append(
				v.Shapes,
				scene.Label("mark", "middle", p.x+p.long/2, p.y+p.wide/2, said.Say("%", said.Piece{Text: mark(i)})),
			)
		}
	}
	if len(o.Boards) > 0 {
		for i, p := range o.pieces {
			at := o.joints
			if i%2 == 1 && o.second != nil {
				at = o.second
			}
			for _, j := range at {
				if o.across {
					v.Shapes = append(v.Shapes, scene.Line("floor-joint", p.x, j, p.x+p.long, j))
				} else {
					v.Shapes = append(v.Shapes, scene.Line("floor-joint", j, p.y, j, p.y+p.wide))
				}
			}
		}
	}
	for _, x := range across {
		v.Shapes = append(v.Shapes, scene.Line("bearer", x, 0, x, wide))
	}
	for _, y := range along {
		v.Shapes = append(v.Shapes, scene.Line("bearer", 0, y, long, y))
	}
	for _, m := range o.Marks {
		v.Shapes = append(
			v.Shapes,
			scene.Disc("hole", m.Front.Value, m.Left.Value, math.Max(0.008, m.Size.Value/2)),
		)
	}
	for _, g := range o.gaps {
		v.Shapes = append(v.Shapes, scene.Line("missing", g.To, 0, g.To, wide))
	}
	v.Sense()
	o.View = v
}

// laid judges how the floor is laid: ends and joints are borne, boards have room to swell.
func laid(r *rig.Rig) (out []finding.Finding) {
	o := Lay(r)
	if o == nil {
		return nil
	}
	path := "/trailers/" + r.Scope.Trailer + "/decking"
	f := base(r, CodeLaid, "How the floor is laid")
	f.Stage, f.Gate, f.Subject = "frame", finding.GateCut, path
	across := "a cross member"
	switch {
	case len(o.Fails) > 0:
		f.Outcome, f.Says = finding.Fails, o.Fails
	case len(o.bearing) == 0:
		f.Outcome, f.Says = finding.Unknown, said.Say("What the floor lies on is not known.")
		f.Needs = []finding.Need{{
			Path: path + "/bearers", Says: said.Say("where the floor's bearers lie"),
			Where: said.Say("Draw the frame, or tape from the front edge to the middle of each member."),
		}}
	case len(o.gaps) > 0:
		f.Outcome = finding.Fails
		f.Says = said.Say(
			"A joint of the floor hangs in the air: put "+across+" between % and % behind the front, or use longer pieces.",
			said.Length(o.gaps[0].From),
			said.Length(o.gaps[0].To),
		)
	default:
		f.AtMost(quantity.KindLength, o.hangs, endHangs)
		if f.Outcome == finding.Fails {
			f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
			f.Says = said.Say("The ends of the floor overhang the last member by %; the usual limit is %.",
				said.Length(o.hangs), said.Length(endHangs))
		} else {
			f.Outcome = finding.Holds
			f.Says = said.Say("Every end and joint of the floor lies on a member.")
		}
	}
	out = append(out, f)
	d := r.Trailer.Decking
	if r.Trailer.Floor != plan.FloorBoards || len(o.Fails) > 0 {
		return out
	}
	g := base(r, CodeGap, "Room for the boards to swell")
	g.Stage, g.Gate, g.Subject = "frame", finding.GateCut, path+"/gap"
	if d.Gains == nil {
		g.Outcome, g.Says = finding.Unknown, said.Say("How much the boards will swell is not known.")
		g.Needs = []finding.Need{{
			Path: path + "/gains", Says: said.Say("how many points of moisture they gain"),
			Where: said.Say(
				"Dry from indoors 8 to 12, dry outdoors 4 to 6, fresh and wet none; a moisture meter tells you.",
			),
		}}
		return append(out, g)
	}
	wet := o.GapWet.Value
	g.Figure, g.Limit = o.GapWet, finding.Exactly(quantity.KindLength, 0.0)
	switch {
	case wet < -1e-6:
		g.Outcome = finding.Fails
		g.Says = said.Say("When wet the boards push against each other by % in all: leave % between them.",
			said.Length(-wet*float64(len(o.pieces))), said.Length(math.Ceil((-wet+gapOf(d))*1000)/1000))
	case o.GapDry.Value > wideGap:
		g.Outcome, g.Tight = finding.Tight, finding.LittleRoom
		g.Says = said.Say("When dry the gaps open to %: heels and small wheels catch.", said.Length(o.GapDry.Value))
	default:
		g.Says = said.Say("The gaps are % at the wettest and % at the driest.",
			said.Length(wet), said.Length(o.GapDry.Value))
	}
	return append(out, g)
}

func gapOf(d *plan.Decking) float64 {
	if d.Gap == nil {
		return 0
	}
	return float64(*d.Gap)
}
