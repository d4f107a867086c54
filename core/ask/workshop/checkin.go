package workshop

import (
	"cmp"
	"maps"
	"math"
	"slices"
	"strings"

	"zygonos/core/lang/said"
	"zygonos/core/lang/scene"
	"zygonos/core/parts"
	"zygonos/core/records"
	"zygonos/core/rig"
)

// CheckedIn is the parts list with what came.
type CheckedIn struct {
	Rows   []PartRow     `json:"rows"`
	Open   int           `json:"open"`   // lines on which something is wrong or missing
	Counts [2]int        `json:"counts"` // lines looked at, of all
	Says   said.Sentence `json:"says"`
	Twice  []string      `json:"twice,omitempty"` // numbers that stand on two lines
}

// PartRow is a line of the list.
type PartRow struct {
	Record string        `json:"record"` // id of its record, made where there is none
	Number string        `json:"number,omitempty"`
	Name   said.Piece    `json:"name"`
	Size   said.Sentence `json:"size"`
	Want   int           `json:"want"`
	Got    *int          `json:"got,omitempty"`
	State  string        `json:"state,omitempty"`
	Says   said.Sentence `json:"says,omitempty"` // what to do
	Blocks string        `json:"blocks,omitempty"`
	Drill  *scene.View   `json:"drill,omitempty"` // where the holes come that are missing
	Own    bool          `json:"own,omitempty"`   // typed, pasted or read; else of the drawn frame
}

// PartOf is the id of a record of a line of the drawn frame.
func partOf(trailer, member string) string {
	return "part" + strings.TrimPrefix(TickOf(trailer, member), "step")
}

// CheckIn is the parts of the drawn frame, and those of the owner's own list, with what came.
func CheckIn(r *rig.Rig, all records.All) *CheckedIn {
	out := &CheckedIn{Rows: []PartRow{}}
	if r == nil {
		return out
	}
	if r.Drawn != nil {
		for _, p := range parts.FramePieces(r.Drawn.Bars) {
			out.add(drawnPart(r, p, all))
		}
	}
	for _, b := range Joints(r).Bolts {
		row := PartRow{
			Record: partOf(
				r.Scope.Trailer,
				"bolt-"+b.key,
			), Name: said.Piece{Text: "Bolts with two washers and a locking nut each"},
			Size: append(append(slices.Clone(b.Name), said.Say(": ")...), b.Where...), Want: b.Count,
			Blocks: "fitting the frame together",
		}
		if rec := all[row.Record]; rec != nil && rec.Part != nil {
			row.look(rec.Part, nil)
		}
		out.add(row)
	}
	numbers := map[string]int{}
	for _, id := range slices.SortedFunc(maps.Keys(all), func(a, b string) int {
		return cmp.Or(cmp.Compare(all[a].Order, all[b].Order), cmp.Compare(a, b))
	}) {
		rec := all[id]
		if rec.Kind != records.KindPart || rec.Trailer != r.Scope.Trailer || rec.Part == nil ||
			rec.Part.Member != "" ||
			rec.Part.Name == "" {
			continue
		}
		p := rec.Part
		row := PartRow{
			Record: id, Own: true, Number: p.Number, Name: said.Name(p.Name, "a part"), Want: max(1, p.Want),
			Size: said.Sentence{said.Name(p.Size, "–")}, Blocks: blocks(p.Name),
		}
		if p.Size == "" {
			row.Size = said.Sentence{}
		}
		row.look(p, nil)
		out.add(row)
		if p.Number != "" {
			if numbers[p.Number]++; numbers[p.Number] == 2 {
				out.Twice = append(out.Twice, p.Number)
			}
		}
	}
	switch {
	case len(out.Rows) == 0:
		out.Says = said.Say("Nothing to check in yet.")
	case out.Counts[0] == 0:
		out.Says = said.Say("%. None checked yet.", said.Counted(len(out.Rows), "line", "lines"))
	case out.Open == 0 && out.Counts[0] == out.Counts[1]:
		out.Says = said.Say("All % are there.", said.Counted(len(out.Rows), "line", "lines"))
	case out.Open == 0:
		out.Says = said.Say(
			"% of % lines checked, nothing wrong so far.",
			said.Count(out.Counts[0]),
			said.Count(out.Counts[1]),
		)
	default:
		out.Says = said.Say("% of % lines checked, something is wrong on %.",
			said.Count(out.Counts[0]), said.Count(out.Counts[1]), said.Count(out.Open))
	}
	return out
}

func (c *CheckedIn) add(row PartRow) {
	c.Rows = append(c.Rows, row)
	c.Counts[1]++
	if row.Got != nil || row.State != "" {
		c.Counts[0]++
	}
	if len(row.Says) > 0 {
		c.Open++
	}
}

// drawnPart is a line of the drawn frame: members of one section, length and ends.
func drawnPart(r *rig.Rig, p parts.FramePiece, all records.All) PartRow {
	first := barOf(r, p.Members[0])
	names := make([]string, 0, len(p.Members))
	for _, id := range p.Members {
		if b := barOf(r, id); b != nil {
			names = append(names, cmp.Or(b.Member.Name, id))
		}
	}
	row := PartRow{
		Record: partOf(r.Scope.Trailer, p.Members[0]), Name: said.Name(strings.Join(names, ", "), "a member"),
		Size: append(parts.SectionText(p.Profile), said.Say(", % long", said.Length(p.Overall))...),
		Want: len(p.Members), Blocks: "fitting the frame together",
	}
	if rec := all[row.Record]; rec != nil && rec.Part != nil {
		row.look(rec.Part, mirrorOf(r, first))
	}
	if row.State == string(records.PartUncut) && first != nil {
		if row.Drill = drillView(r, first, mirrorOf(r, first)); row.Drill != nil {
			row.Says = append(row.Says, said.Say(" Or by the positions below.")...)
		}
	}
	return row
}

func barOf(r *rig.Rig, id string) *parts.FrameBar {
	return barIn(r.Drawn.Bars, id)
}

// mirrorOf is the member on the other side: of the same section and length, its ends at the same place to the other side.
func mirrorOf(r *rig.Rig, b *parts.FrameBar) *parts.FrameBar {
	if b == nil {
		return nil
	}
	const near = 0.005
	same := func(a, c [3]float64) bool {
		return math.Abs(a[0]-c[0]) < near && math.Abs(a[1]+c[1]) < near && math.Abs(a[2]-c[2]) < near
	}
	of := func(x *parts.FrameBar, from bool) [3]float64 {
		if from {
			return [3]float64{x.From.X, x.From.Y, x.From.Z}
		}
		return [3]float64{x.To.X, x.To.Y, x.To.Z}
	}
	for i := range r.Drawn.Bars {
		o := &r.Drawn.Bars[i]
		if o.ID == b.ID || math.Abs(o.Length-b.Length) > near {
			continue
		}
		if same(of(o, true), of(b, true)) && same(of(o, false), of(b, false)) ||
			same(of(o, true), of(b, false)) && same(of(o, false), of(b, true)) {
			return o
		}
	}
	return nil
}

// look takes what came, and says what to do about it.
func (row *PartRow) look(p *records.PartRecord, mirror *parts.FrameBar) {
	row.Got, row.State = p.Got, string(p.State)
	other := said.Name("", "its counterpart on the other side")
	if mirror != nil {
		other = said.Name(mirror.Member.Name, "its counterpart on the other side")
	}
	switch {
	case p.State == records.PartWrong:
		row.Says = said.Say(
			"The wrong part came. Send it back with a photo beside the list; fit what does not depend on it.",
		)
	case p.State == records.PartHanded && mirror == nil:
		row.Says = said.Say("It is not the part that was drawn. Hold it beside the drawing, and turned over too: if it fits neither way, swap it.")
	case p.State == records.PartHanded:
		row.Says = said.Say(
			"It is the other hand. Lay it beside %: if both are alike, one side came twice. Swap it before you bolt anything.",
			other,
		)
	case p.State == records.PartUncut && mirror == nil:
		row.Says = said.Say("A hole is missing. Measure it from its end, mark and punch, drill. Paint the bare edge.")
	case p.State == records.PartUncut:
		row.Says = said.Say(
			"A hole is missing. Clamp it back to back with %, mark through, drill. Paint the bare edge.",
			other,
		)
	case p.State == records.PartDamaged:
		row.Says = said.Say("Photo first. Bent or cracked: send it back. A scratch in paint or zinc: touch it up.")
	case p.Got != nil && *p.Got < row.Want:
		row.Says = said.Say(
			"% missing. Ask for it before you begin, and write the date they give in the note.",
			said.Count(row.Want-*p.Got),
		)
	case p.Got != nil && *p.Got > row.Want:
		row.Says = said.Say("% too many. Another bag may be short of them.", said.Count(*p.Got-row.Want))
	}
}

// blocks are the steps that wait for a part, by its name.
func blocks(name string) string {
	low := strings.ToLower(name)
	for _, x := range []struct{ words, step string }{
		{"axle spring hanger shackle", "the axle"}, {"wheel tyre tire hub nut", "the wheels"},
		{"coupl", "the coupling"}, {"lamp light cable wire plug reflector", "the wiring"},
		{"board ply sheet floor deck", "the floor"}, {"brake rod drum", "the brakes"},
		{"bolt screw washer", "fitting the frame together"}, {"rail cross drawbar tongue frame bar", "fitting the frame together"},
	} {
		for _, w := range strings.Fields(x.words) {
			if strings.Contains(low, w) {
				return x.step
			}
		}
	}
	return ""
}
