package norms

import (
	"slices"

	"zygonos/core/lang/quantity"
)

// Paper is something that is usually asked of a trailer before it is on the road: a pointer, not the law.
type Paper struct {
	ID      string
	Says    string
	Where   string
	When    string            // "seller", "home", "office", "test", "road"
	Regions []quantity.Region // nil: all
	Kinds   []PaperKind       // nil: all
	Over    float64           // gross, kg, from which it is asked; 0: always
}

// PaperKind says how a trailer comes to its papers.
type PaperKind string

// The kinds.
const (
	PaperKit     PaperKind = "kit"     // new, a kit or whole
	PaperUsed    PaperKind = "used"    // with its papers
	PaperNone    PaperKind = "none"    // bought without papers
	PaperBuilt   PaperKind = "built"   // self-built
	PaperChanged PaperKind = "changed" // altered: longer, another axle, another gross
)

// PaperKinds lists them.
var PaperKinds = []PaperKind{PaperKit, PaperUsed, PaperNone, PaperBuilt, PaperChanged}

var (
	na, uk, eu, au, nz = []quantity.Region{quantity.NorthAmerica}, []quantity.Region{quantity.UK}, []quantity.Region{quantity.EU},
		[]quantity.Region{quantity.Australia}, []quantity.Region{quantity.NewZealand}
	sold  = []PaperKind{PaperKit, PaperUsed, PaperNone}
	fresh = []PaperKind{PaperBuilt, PaperNone}
)

// Papers lists what is usually asked, in its order (confidence B to C: pointers; your local code rules).
var Papers = []Paper{
	{"id-check", "Compare the number on the plate and the one in the frame with the papers", "At the seller’s, before you pay.", "seller", nil, []PaperKind{PaperUsed, PaperNone}, 0},
	{"bill", "Bill of sale, both names, number, day, sum; both sign", "At the seller’s; a photo of it.", "seller", nil, sold, 0},
	{"mso", "Manufacturer’s statement of origin, signed over to you", "At the seller’s. Without it there is no title.", "seller", na, []PaperKind{PaperKit}, 0},
	{"title", "Title, signed by the seller; liens cleared", "At the seller’s.", "seller", na, []PaperKind{PaperUsed}, 0},
	{"coc", "Certificate of conformity, or the approval’s number", "From the maker, with the trailer.", "seller", []quantity.Region{quantity.EU, quantity.UK}, []PaperKind{PaperKit}, 0},
	{"reg-paper", "Registration papers, both parts where there are two", "At the seller’s.", "seller", eu, []PaperKind{PaperUsed}, 0},
	{"receipts", "Receipts of axle, {coupling}, brakes, lamps, {tyre}s, and of the steel", "In a folder: whoever approves it asks for them.", "home", nil, fresh, 0},
	{"drawings", "Drawing with sizes, weights and ratings; photos of the build", "Frame and Workshop print them.", "home", nil, []PaperKind{PaperBuilt, PaperChanged}, 0},
	{"weigh", "Weigh slip of the finished trailer, empty", "A public {weighbridge}; keep the slip.", "home", nil, []PaperKind{PaperBuilt, PaperNone, PaperChanged}, 0},
	{"vin-state", "Identity number for a self-built trailer, from the state", "The state’s motor vehicle office; often after an inspection.", "office", na, fresh, 0},
	{"vin-au", "Identity number, and the plate of light trailer standard VSB 1", "The state’s transport office asks for it.", "office", au, fresh, 0},
	{"iva", "Approval of a single vehicle above 750 kg gross", "The approving authority, before it is used.", "test", uk, []PaperKind{PaperBuilt, PaperKit}, 750},
	{"eu-approval", "Approval of a single vehicle: ask what is required before you build", "The approval body of your country; many ask from the first kilogram on.", "test", eu, []PaperKind{PaperBuilt, PaperChanged}, 0},
	{"changed", "The change entered: longer {drawbar}, another axle, another gross", "The approval body; a strengthened frame has to be looked at again.", "test", nil, []PaperKind{PaperChanged}, 0},
	{"inspection-na", "Inspection, where the state has one", "The state’s list of stations.", "test", na, nil, 0},
	{"wof", "Warrant of fitness", "An inspecting agent.", "test", nz, nil, 0},
	{"roadworthy", "Roadworthiness inspection, where the state asks for it", "A licensed station.", "test", au, nil, 0},
	{"register", "Registration and {number plate}", "The state’s motor vehicle office, with title or statement, bill of sale, weight.", "office", na, nil, 0},
	{"register-eu", "Registration: nearly everywhere above 750 kg, in many countries below too", "The registration office, with proof of insurance.", "office", eu, nil, 0},
	{"register-au", "Registration and {number plate}", "The state’s transport office.", "office", au, nil, 0},
	{"register-nz", "Registration and {licence}", "An agent, with the entry certificate of an inspector.", "office", nz, nil, 0},
	{"car-number", "The towing car’s number on the trailer’s rear: no registration of its own up to 3,500 kg behind a car", "A plate maker, with the car’s papers.", "road", uk, nil, 0},
	{"maker-plate", "Maker’s plate with gross and axle loads", "Riveted where it is seen; under Plate.", "road", nil, []PaperKind{PaperBuilt}, 0},
	{"insurance", "Insurance: the car’s often covers the hitched trailer’s damage to others, not the trailer itself or a parked one", "Your insurer, in writing.", "road", nil, nil, 0},
	{"licence", "Your {licence} covers this car with this trailer", "Under Tow vehicle.", "road", nil, nil, 0},
}

// PapersOf are those of a region and kind for a gross, kg, in the order in which they are asked for.
func PapersOf(region quantity.Region, kind PaperKind, gross float64) (out []Paper) {
	for _, when := range []string{"seller", "home", "test", "office", "road"} {
		for _, p := range Papers {
			if p.When != when || p.Regions != nil && !slices.Contains(p.Regions, region) || p.Kinds != nil && !slices.Contains(p.Kinds, kind) || p.Over > 0 && !(gross > p.Over) {
				continue
			}
			out = append(out, p)
		}
	}
	return out
}
