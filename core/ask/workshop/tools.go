package workshop

import (
	"cmp"
	"fmt"
	"maps"
	"math"
	"slices"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/records"
	"zygonos/core/rig"
)

// Toolbox is what is needed before step one.
type Toolbox struct {
	Tools  []ToolRow        `json:"tools"`
	Used   []ToolRow        `json:"used"` // what is used up
	Site   []string         `json:"site"` // power, jigs, datum
	Hands  []HandsAt        `json:"hands"`
	Cost   *finding.Measure `json:"cost,omitempty"` // of what is hired and bought
	Away   int              `json:"away"`           // tools of which nobody said where they come from
	People int              `json:"people"`
}

// ToolRow is a tool or something used up.
type ToolRow struct {
	Record string           `json:"record"`
	Name   said.Sentence    `json:"name"`
	For    string           `json:"for,omitempty"`
	From   string           `json:"from,omitempty"`
	Cost   *finding.Measure `json:"cost,omitempty"`
	Own    bool             `json:"own,omitempty"`
}

// HandsAt are steps at which more than one is needed.
type HandsAt struct {
	Says   said.Sentence `json:"says"`
	People int           `json:"people"`
}

// toolsOf are the tools behind the short word of a step.
var toolsOf = map[string][]string{
	"saw":     {"Saw for metal or wood, with a stop for the length", "File and deburring tool"},
	"welder":  {"Welder, leads, clamps", "Mask, gloves, leather, extinguisher", "Angle grinder"},
	"tape":    {"Steel tape", "Square, 3-4-5 stick", "Marker and scriber"},
	"level":   {"Level as long as an arm, or a water hose", "Stands or trestles, four"},
	"brush":   {"Brushes, wire brush"},
	"pliers":  {"Crimping pliers, side cutter, stripper"},
	"meter":   {"Test lamp or meter"},
	"driver":  {"Drill driver with a clutch"},
	"wrench":  {"Torque wrench for the wheel nuts"},
	"punch":   {"Centre punch, hammer"},
	"lifting": {"Jack, axle stands, wheel chocks"},
}

// Tools are what the work needs, with where each comes from.
func Tools(r *rig.Rig, work *Work, all records.All) *Toolbox {
	out := &Toolbox{Tools: []ToolRow{}, Used: []ToolRow{}, Site: []string{}, Hands: []HandsAt{}}
	if r == nil || work == nil {
		return out
	}
	tool := func(id string, name said.Sentence, why string) { out.put(&out.Tools, r, all, id, name, why) }
	used := func(id string, name said.Sentence, why string) { out.put(&out.Used, r, all, id, name, why) }
	has := map[string]bool{}
	for i := range work.Steps {
		s := &work.Steps[i]
		has[s.Tool], has[s.ID] = true, true
		if s.Turn && s.People > 1 {
			out.Hands = append(
				out.Hands,
				HandsAt{append(said.Say("Turning it over before: "), s.Says...), s.People},
			)
		}
		if s.Two {
			out.Hands = append(out.Hands, HandsAt{append(said.Say("From here on, lifting an end takes "), s.Says...), 2})
		}
		out.People = max(out.People, s.People)
	}
	if has["axle"] || has["wheels"] {
		has["lifting"] = true
	}
	if has["saw"] || has["spanners"] {
		has["punch"] = true
	}
	for _, word := range slices.Sorted(maps.Keys(toolsOf)) {
		if !has[word] {
			continue
		}
		for i, name := range toolsOf[word] {
			tool(fmt.Sprintf("%s-%d", word, i), said.Say(name), "")
		}
	}
	joints := Joints(r)
	sizes := map[float64][2]float64{}
	for i := range joints.Bolts {
		b := &joints.Bolts[i]
		sizes[b.thread.Flats] = [2]float64{b.thread.Hole, b.thread.Diameter}
	}
	for _, flats := range slices.Sorted(maps.Keys(sizes)) {
		at := math.Round(flats * 1e4)
		tool(
			fmt.Sprintf("spanner-%v", at),
			said.Say("Two spanners %", said.Of(quantity.KindLength, flats)),
			"one for the head, one for the nut",
		)
		tool(
			fmt.Sprintf("drill-%v", at),
			said.Say("Drill bit %", said.Of(quantity.KindLength, sizes[flats][0])),
			"holes of the frame's bolts",
		)
	}
	if len(joints.Bolts) == 0 && has["spanners"] {
		tool("spanners", said.Say("Ring spanners in pairs, sockets"), "")
	}
	out.consumables(r, joints, has, used)
	out.site(r, has)
	for id, rec := range all {
		if rec.Kind == records.KindTool && rec.Trailer == r.Scope.Trailer && rec.Tool != nil &&
			rec.Tool.Name != "" {
			out.Tools = append(
				out.Tools,
				rowOf(id, said.Sentence{said.Name(rec.Tool.Name, "a tool")}, "", rec, true),
			)
		}
	}
	slices.SortStableFunc(out.Tools, func(a, b ToolRow) int { // the owner's own last
		return cmp.Compare(fmt.Sprint(a.Own, a.Record), fmt.Sprint(b.Own, b.Record))
	})
	out.total()
	return out
}

func (t *Toolbox) put(into *[]ToolRow, r *rig.Rig, all records.All, id string, name said.Sentence, why string) {
	record := "tool" + TickOf(r.Scope.Trailer, id)[len("step"):]
	*into = append(*into, rowOf(record, name, why, all[record], false))
}

func rowOf(id string, name said.Sentence, why string, rec *records.Happened, own bool) ToolRow {
	row := ToolRow{Record: id, Name: name, For: why, Own: own}
	if rec != nil && rec.Tool != nil {
		row.From = string(rec.Tool.From)
		if rec.Tool.Cost != nil {
			row.Cost = finding.Exactly(quantity.KindMoney, *rec.Tool.Cost)
		}
	}
	return row
}

// consumables are what is used up (practice, C): a disc for a dozen cuts of steel, one for a metre and a half of weld.
func (t *Toolbox) consumables(
	r *rig.Rig,
	joints *FrameJoints,
	has map[string]bool,
	used func(string, said.Sentence, string),
) {
	if has["cut"] && r.Drawn != nil {
		n := int(math.Ceil(float64(2*len(r.Drawn.Bars)) / 12))
		used(
			"discs",
			said.Say("% for steel, and one spare", said.Counted(n, "cutting disc", "cutting discs")),
			"two cuts a member",
		)
	}
	if len(joints.Welds) > 0 && has["welder"] {
		used(
			"wire",
			said.Say("Wire or electrodes, gas where it takes some; flap discs"),
			"the welder knows how much",
		)
	}
	for i := range joints.Bolts {
		b := &joints.Bolts[i]
		used(
			fmt.Sprint("bolts-", i),
			append(
				said.Say("% ", said.Count(b.Count)),
				append(slices.Clone(b.Name), said.Say(", with two washers and a locking nut each")...)...),
			"",
		)
	}
	for _, c := range []struct{ step, id, name, why string }{
		{"paint", "paint", "Degreaser, primer, enamel, tape; zinc paint for bare edges", "how much: under Finish"},
		{"axle", "grease", "Bearing grease, split pins", ""},
		{"lamps", "sealed", "Sealed connectors, heat shrink, ties, contact grease", ""},
		{"deck", "screws", "Floor screws or coach bolts, edge sealer", ""},
	} {
		if has[c.step] {
			used(c.id, said.Say(c.name), c.why)
		}
	}
}

// site is what the place must have.
func (t *Toolbox) site(r *rig.Rig, has map[string]bool) {
	if has["welder"] {
		t.Site = append(
			t.Site,
			"A socket that suits the welder’s plate, with its cord unrolled; nothing that burns within reach, door open.",
		)
	} else if has["saw"] || has["driver"] {
		t.Site = append(t.Site, "A socket with a residual current device, cord unrolled.")
	}
	if has["tape"] {
		t.Site = append(
			t.Site,
			"A datum: a straight wall, a taut string, or a board whose corner was checked.",
		)
	}
	if has["tack"] || has["fit"] {
		t.Site = append(
			t.Site,
			"Stands that do not sink, level to a millimetre or two, and room to walk round with the frame on its edge.",
		)
	}
	if b := r.DeckLength(); b > 0 && (has["axle"] || has["wheels"]) {
		t.Site = append(
			t.Site,
			"The way out: look under Body, Box, or tape door and path before it stands on its wheels.",
		)
	}
}

// total adds what is hired and bought.
func (t *Toolbox) total() {
	sum, any := 0.0, false
	for _, list := range [][]ToolRow{t.Tools, t.Used} {
		for i := range list {
			row := &list[i]
			if row.From == "" {
				t.Away++
			}
			if row.Cost != nil &&
				(row.From == string(records.ToolHired) || row.From == string(records.ToolBought)) {
				sum, any = sum+row.Cost.Value, true
			}
		}
	}
	if any {
		t.Cost = finding.Exactly(quantity.KindMoney, sum)
	}
}
