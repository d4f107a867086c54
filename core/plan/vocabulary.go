package plan

import (
	"reflect"
	"slices"

	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
)

// lists are the words that a field of a type may hold, by the type.
var lists = listed(
	Hows,
	CarBodies,
	AllBrakes,
	AllCounts,
	MassCountings,
	Skills,
	AllComes,
	Floors,
	Tails,
	Suspensions,
	PapersStates,
	Roads,
	Whats,
	Supports,
	Poses,
	Feet,
	Joins,
	StrapKinds,
	FixedIns,
	RampKinds,
	RampCountings,
	RampPers,
	RampHelds,
	Drives,
	WheelStates,
	LinkKinds,
	AllPads,
	ShiftWiths,
	JointWiths,
	CarDrives,
	AllOpens,
	LatchKinds,
	Roles,
	MemberJoints,
	AxleFixings,
	CarFuels,
	DriveHomes,
	CutKinds,
	Faces,
	LampUses,
	RouteUses,
	TipBys,
	GateHungs,
	TankShapes,
	Bracings,
	LevelBys,
	BuildBeginnings,
	FinishWays,
	WayKinds,
	DeckFinishes,
	Weekdays,
	WireJoints,
	CarrierCountings,
	Wants,
	BulkBys,
	[]Wet{Dry, Soaked},
	[]Seen{SeenGood, SeenWorn, SeenBad},
)

// listed takes slices of words, each of a type of its own.
func listed(of ...any) map[reflect.Type][]string {
	out := map[reflect.Type][]string{}
	for _, list := range of {
		v := reflect.ValueOf(list)
		for i := range v.Len() {
			t := v.Type().Elem()
			out[t] = append(out[t], v.Index(i).String())
		}
	}
	return out
}

// tables are what a field's text is looked up in, by the name that its tag gives: an unknown
// word would be passed over in silence where it is used.
var tables = map[string]func(string) bool{
	"ballRules": func(id string) bool {
		return slices.ContainsFunc(norms.Schools, func(s norms.School) bool { return s.ID == id })
	},
	"tieRules": func(id string) bool {
		return slices.ContainsFunc(norms.TieSchools, func(s norms.TieSchool) bool { return s.ID == id })
	},
	"plugs": func(id string) bool {
		return slices.ContainsFunc(norms.Plugs, func(p norms.Plug) bool { return p.ID == id })
	},
	"paperKinds":  func(id string) bool { return slices.Contains(norms.PaperKinds, norms.PaperKind(id)) },
	"lamps":       func(id string) bool { return slices.Contains(Lamps, id) },
	"inspections": inspection,
	"soils":       known(norms.SoilOf),
	"grounds":     known(norms.GroundOf),
	"bearings":    known(catalogue.BearingOf),
	"chains":      func(id string) bool { return norms.ChainStress(id) > 0 },
	"loads":       known(catalogue.LoadOf),
	"trailers":    known(catalogue.TrailerOf),
	"fittings":    known(catalogue.FittingOf),
	"materials":   known(catalogue.MaterialOf),
	"fluids":      known(catalogue.FluidOf),
	"solids":      known(catalogue.SolidOf),
	"stocks":      known(catalogue.StockOf),
	"anchors":     known(catalogue.AnchorOf),
	"surfaces":    known(norms.SurfaceOf),
	"bolts":       known(norms.BoltOf),
	"linings":     known(norms.LiningOf),
	"batteries":   known(norms.BatteryOf),
	"treads":      known(norms.TreadOf),
	"tyreSpeeds":  known(norms.TyreSpeed),
}

// known makes a test of a table's look-up.
func known[T any](of func(string) (T, bool)) func(string) bool {
	return func(id string) bool {
		_, ok := of(id)
		return ok
	}
}

func inspection(id string) bool {
	return slices.ContainsFunc(catalogue.Inspections, func(i catalogue.Inspection) bool { return i.ID == id })
}

// Lamps are the kinds of lamps.
var Lamps = []string{"filament", "led"}
