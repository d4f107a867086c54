// Package records holds what happened as it is built, driven and paid: ticks of steps, what arrived, snags, measures. Records
// stand beside the plan and not in its revisions; they come here as values and are stored elsewhere.
package records

import (
	"encoding/json"
	"fmt"
	"hash/fnv"
	"strings"

	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

type (
	length = quantity.Length
	mass   = quantity.Mass
)

// Kind says what a record is of.
type Kind string

// The kinds.
const (
	KindStep  Kind = "step"  // a step of the work: done, moved, added
	KindPart  Kind = "part"  // a line of what was delivered
	KindSnag  Kind = "snag"  // what is still to be put right
	KindBuilt Kind = "built" // a measure of what was built
	KindTool  Kind = "tool"  // a tool, and where it comes from
	KindSpend Kind = "spend" // money: planned, spent, given
	KindPaper Kind = "paper" // a paper, a mark against theft
	KindTrip  Kind = "trip"  // an outing that was driven
	KindSlip  Kind = "slip"  // of a weighbridge
	KindWear  Kind = "wear"  // something that wears was seen to

	KindTrouble Kind = "trouble" // something that was wrong on the road
	KindLoan    Kind = "loan"    // it was lent
)

// Kinds lists them.
var Kinds = []Kind{
	KindStep, KindPart, KindSnag, KindBuilt, KindTool, KindSpend, KindPaper, KindTrip, KindSlip, KindWear, KindTrouble, KindLoan,
}

// Happened is something that happened. Of its bodies the one of its kind is filled.
type Happened struct {
	Kind    Kind   `json:"kind"`
	Trailer string `json:"trailer,omitempty" is:"trailer, text 64"` // id in the plan
	Order   int    `json:"order,omitempty"`
	On      string `json:"on,omitempty" is:"day, day"`
	Note    string `json:"note,omitempty" is:"note, text 2000"`
	// ids of its photos
	Photos map[string]PhotoAt `json:"photos,omitempty" is:"photo"`

	Step  *StepRecord  `json:"step,omitempty" stage:"workshop/order"`
	Part  *PartRecord  `json:"part,omitempty" stage:"workshop/parts"`
	Snag  *SnagRecord  `json:"snag,omitempty" stage:"workshop/snags"`
	Built *BuiltRecord `json:"built,omitempty" stage:"workshop/as built"`
	Tool  *ToolRecord  `json:"tool,omitempty" stage:"workshop/tools"`
	Spend *SpendRecord `json:"spend,omitempty" stage:"money/ledger"`
	Paper *PaperRecord `json:"paper,omitempty" stage:"papers"`
	Trip  *TripRecord  `json:"trip,omitempty" stage:"log/trips"`
	Slip  *SlipRecord  `json:"slip,omitempty" stage:"log/slips"`
	Wear  *WearRecord  `json:"wear,omitempty" stage:"log/wear"`

	Trouble *TroubleRecord `json:"trouble,omitempty" stage:"log/something wrong"`
	Loan    *LoanRecord    `json:"loan,omitempty" stage:"log/lending"`
}

// PhotoAt is a photo of a record.
type PhotoAt struct {
	Order int    `json:"order"`
	Says  string `json:"says,omitempty" is:"words, text 200"`
}

// StepRecord is what became of a step of the work, or one that the owner added.
type StepRecord struct {
	Done    bool     `json:"done,omitempty"`
	Minutes *float64 `json:"minutes,omitempty" is:"minutes it took, 0..100000"`
	// it is to be done before that step
	Before string `json:"before,omitempty" is:"step, text 64"`
	// of a step that the owner added: what it is, what it waits for, how long and on which side
	Says  string   `json:"says,omitempty" is:"step, text 200"`
	After string   `json:"after,omitempty" is:"step, text 64"`
	Guess *float64 `json:"guess,omitempty" is:"minutes, >0..100000"`
	Side  WorkSide `json:"side,omitempty" is:"side"`
	// it is a part of that step, which is split
	Of string `json:"of,omitempty" is:"step, text 64"`
}

// WorkSide says how the work lies.
type WorkSide string

// The sides.
const (
	SideUp   WorkSide = "up"
	SideDown WorkSide = "down"
)

// WorkSides lists them.
var WorkSides = []WorkSide{SideUp, SideDown}

// PartRecord is a line of a parts list as it was checked in.
type PartRecord struct {
	Number string    `json:"number,omitempty" is:"number, text 40"`
	Name   string    `json:"name" is:"name, text 200"`
	Size   string    `json:"size,omitempty" is:"size, text 100"`
	Want   int       `json:"want,omitempty" is:"pieces wanted, 0..10000"`
	Got    *int      `json:"got,omitempty" is:"pieces there, 0..10000"`
	State  PartState `json:"state,omitempty" is:"state"`
	// the member of the drawn frame that it is
	Member string `json:"member,omitempty" is:"member, text 64"`
}

// PartState says what is wrong with parts that came.
type PartState string

// The states.
const (
	PartGood    PartState = "good"
	PartWrong   PartState = "wrong"
	PartHanded  PartState = "handed"  // left instead of right
	PartUncut   PartState = "undrill" // a hole is missing
	PartDamaged PartState = "damaged"
)

// PartStates lists them.
var PartStates = []PartState{PartGood, PartWrong, PartHanded, PartUncut, PartDamaged}

// SnagRecord is what is still to be put right.
type SnagRecord struct {
	Says string `json:"says" is:"snag, text 500"`
	Who  string `json:"who,omitempty" is:"who, text 100"`
	Due  string `json:"due,omitempty" is:"day, day"`
	Done bool   `json:"done,omitempty"`
	// it must be put right before the trailer is driven
	Stops bool `json:"stops,omitempty"`
}

// BuiltRecord is a measure of what was built, with what was drawn.
type BuiltRecord struct {
	What  BuiltWhat `json:"what" is:"measure"`
	Long  *length   `json:"long,omitempty" is:"length, >0..50"`
	Heavy *mass     `json:"heavy,omitempty" is:"weight"`
	// of a member of the frame
	Member string `json:"member,omitempty" is:"member, text 64"`
	// what the plan had when it was measured
	DrawnLong  *length `json:"drawnLong,omitempty" is:"length, 0..50"`
	DrawnHeavy *mass   `json:"drawnHeavy,omitempty" is:"weight"`
}

// BuiltWhat says what was measured.
type BuiltWhat string

// The measures.
const (
	BuiltAxle       BuiltWhat = "axle"       // coupling to axle
	BuiltDeckFront  BuiltWhat = "deckFront"  // coupling to the deck's front
	BuiltDeckLength BuiltWhat = "deckLength" // …
	BuiltDeckWidth  BuiltWhat = "deckWidth"
	BuiltDeckHeight BuiltWhat = "deckHeight"
	BuiltTrack      BuiltWhat = "track"
	BuiltMass       BuiltWhat = "mass" // whole, on a weighbridge
	BuiltBall       BuiltWhat = "ball" // at the coupling
	BuiltMember     BuiltWhat = "member"
)

// BuiltWhats lists them.
var BuiltWhats = []BuiltWhat{
	BuiltAxle, BuiltDeckFront, BuiltDeckLength, BuiltDeckWidth, BuiltDeckHeight, BuiltTrack, BuiltMass, BuiltBall, BuiltMember,
}

// ToolRecord is a tool or something used up, and where it comes from.
type ToolRecord struct {
	// of a tool that the owner added; the others are named by the steps that ask for them
	Name string   `json:"name,omitempty" is:"tool, text 100"`
	From ToolFrom `json:"from,omitempty" is:"source"`
	// money, of the plan's currency
	Cost *quantity.Money `json:"cost,omitempty" is:"cost"`
}

// ToolFrom says where a tool comes from.
type ToolFrom string

// The sources.
const (
	ToolHere     ToolFrom = "here"
	ToolBorrowed ToolFrom = "borrowed"
	ToolHired    ToolFrom = "hired"
	ToolBought   ToolFrom = "bought"
)

// ToolFroms lists them.
var ToolFroms = []ToolFrom{ToolHere, ToolBorrowed, ToolHired, ToolBought}

// SpendRecord is a line of the ledger.
type SpendRecord struct {
	What string   `json:"what,omitempty" is:"item, text 200"`
	For  SpendFor `json:"for,omitempty" is:"kind of cost"`
	// as it stands on the receipt; with the tax on top where TaxOn says so, else in it
	Planned *quantity.Money `json:"planned,omitempty" is:"planned sum"`
	Spent   *quantity.Money `json:"spent,omitempty" is:"sum that was spent"`
	Tax     *float64        `json:"tax,omitempty" is:"rate of tax, share 0..1"`
	TaxOn   bool            `json:"taxOn,omitempty"`
	// scrap and gifts: what it would have cost
	Worth *quantity.Money `json:"worth,omitempty" is:"market value"`
}

// TripRecord is an outing that was driven.
type TripRecord struct {
	Outing string         `json:"outing,omitempty" is:"outing, text 64"` // id in the plan
	Far    *length        `json:"far,omitempty" is:"distance, distance 0..2e7"`
	Takes  *quantity.Time `json:"takes,omitempty" is:"time on the road"`
	Load   *mass          `json:"load,omitempty" is:"weight of the load"`
	// what lay on it, by name
	With string         `json:"with,omitempty" is:"loads, text 500"`
	Fuel *quantity.Fuel `json:"fuel,omitempty" is:"fuel, 0..2000"`
	// of an electric car, instead
	Power *quantity.Energy `json:"power,omitempty" is:"energy, 0..2000"`
	// what was paid for fuel, current and tolls
	Cost *quantity.Money `json:"cost,omitempty" is:"cost"`
	// what the plan said of the ball, and what was read
	BallSaid *mass `json:"ballSaid,omitempty" is:"{ball load}, 0..3000"`
	BallRead *mass `json:"ballRead,omitempty" is:"{ball load}, 0..3000"`
	// at the first stop
	HubLeft  *quantity.Temperature `json:"hubLeft,omitempty" is:"left hub's temperature, -40..300"`
	HubRight *quantity.Temperature `json:"hubRight,omitempty" is:"right hub's temperature, -40..300"`
	Slack    bool                  `json:"slack,omitempty"` // a strap was slack
	Nuts     bool                  `json:"nuts,omitempty"`  // wheel nuts gave
	// what the car's mileage was at its end
	Mileage *length `json:"mileage,omitempty" is:"mileage, distance 0..3e9"`
	// what wears beside the way: how often the bed was tipped or the winch pulled, the hubs were in water
	Tips int `json:"tips,omitempty" is:"tips and pulls, 0..1000"`
	Dips int `json:"dips,omitempty" is:"dips of the hubs, 0..100"`
}

// SlipRecord is a slip of a weighbridge: loaded and empty, with how much lay on it.
type SlipRecord struct {
	Material string           `json:"material,omitempty" is:"material, key materials"`
	Full     *mass            `json:"full,omitempty" is:"loaded weight"`
	Empty    *mass            `json:"empty,omitempty" is:"empty weight"`
	Fill     *quantity.Volume `json:"fill,omitempty" is:"volume that lay on it"`
	// how well the fill is known, share; nil: a tenth
	FillDoubt *float64        `json:"fillDoubt,omitempty" is:"doubt of the fill, share 0.01..0.5"`
	Price     *quantity.Money `json:"price,omitempty" is:"price of the load"`
	// the trailer alone stood on the bridge, uncoupled: its empty weight is read too
	Alone bool `json:"alone,omitempty"`
	// the load in the plan that it was, where it is no loose material
	Load string `json:"load,omitempty" is:"load, text 64"`
}

// TroubleRecord is something that was wrong on the road.
type TroubleRecord struct {
	Signs map[string]bool `json:"signs,omitempty"` // what was felt, by its id
	Seen  map[string]bool `json:"seen,omitempty"`  // what was looked at: yes or no
	// what it was in the end
	Found string `json:"found,omitempty" is:"cause, text 40"`
}

// LoanRecord is a loan of the trailer.
type LoanRecord struct {
	To      string          `json:"to,omitempty" is:"borrower, text 100"`
	Until   string          `json:"until,omitempty" is:"day, day"`
	Back    string          `json:"back,omitempty" is:"day, day"` // it came back
	Deposit *quantity.Money `json:"deposit,omitempty" is:"deposit"`
	Call    string          `json:"call,omitempty" is:"number to call, text 100"`
	// how it was at both times; photos are the record's own
	Out string `json:"out,omitempty" is:"state when lent, text 1000"`
	In  string `json:"in,omitempty" is:"state when it came back, text 1000"`
	// opens the borrower's page
	Key string `json:"key,omitempty" is:"key, text 64"`
}

// WearRecord is something that wears, on the day of the record: greased, changed, looked at; or made, as a tyre by its code.
type WearRecord struct {
	What string          `json:"what" is:"thing, text 40"`
	Cost *quantity.Money `json:"cost,omitempty" is:"cost"`
	// what was left of the shallowest groove of the tyres
	Tread *length `json:"tread,omitempty" is:"{tyre} tread, 0..0.05"`
}

// PaperRecord is a paper that was got, with its number.
type PaperRecord struct {
	Done   bool   `json:"done,omitempty"`
	Number string `json:"number,omitempty" is:"number, text 60"`
}

// SpendFor says what money goes for.
type SpendFor string

// The kinds of cost.
const (
	ForMaterial SpendFor = "material"
	ForPart     SpendFor = "part"
	ForTool     SpendFor = "tool"
	ForFinish   SpendFor = "finish"
	ForFee      SpendFor = "fee" // papers, plates, tests
	ForFuel     SpendFor = "fuel"
	ForHire     SpendFor = "hire"
	ForKeep     SpendFor = "keep" // wear, service
	ForOther    SpendFor = "other"
)

// SpendFors lists them.
var SpendFors = []SpendFor{ForMaterial, ForPart, ForTool, ForFinish, ForFee, ForFuel, ForHire, ForKeep, ForOther}

func init() { plan.Describe[Happened](Kinds, WorkSides, PartStates, BuiltWhats, ToolFroms, SpendFors) }

// MaxBytes is the largest record.
const MaxBytes = 16 << 10

// Root is the path under which records stand beside a plan: /records/{id}.
const Root = "/records/*"

// Fields lists the fields of a record.
func Fields() []plan.Field { return plan.FieldsOf[Happened](Root, "workshop") }

// Read decodes a record strictly; errors are *plan.ShapeError.
func Read(data []byte) (*Happened, error) {
	if len(data) > MaxBytes {
		return nil, &plan.ShapeError{Reason: fmt.Sprintf("A record may have %d kB.", MaxBytes>>10)}
	}
	return plan.ReadAs[Happened](data)
}

// Write encodes a record.
func Write(r *Happened) ([]byte, error) { return json.Marshal(r) }

// Merge changes a record by a JSON Merge Patch (RFC 7396): a member that is null is taken out, an object changes member by
// member, all else replaces. old is nil for a new record. What makes no sense in it is an error and changes nothing.
func Merge(old, patch []byte) (*Happened, error) {
	if len(patch) > MaxBytes {
		return nil, &plan.ShapeError{Reason: fmt.Sprintf("A record may have %d kB.", MaxBytes>>10)}
	}
	var onto, by any
	if err := json.Unmarshal(patch, &by); err != nil {
		return nil, &plan.ShapeError{Reason: "The change is not readable JSON: " + err.Error() + "."}
	}
	if _, ok := by.(map[string]any); !ok {
		return nil, &plan.ShapeError{Reason: "A change must be an object."}
	}
	if old != nil {
		if err := json.Unmarshal(old, &onto); err != nil {
			return nil, &plan.ShapeError{Reason: "The record cannot be read: " + err.Error() + "."}
		}
	}
	text, err := json.Marshal(merged(onto, by))
	if err != nil {
		return nil, err
	}
	r, err := Read(text)
	if err != nil {
		return nil, err
	}
	if r.Kind == "" {
		return nil, &plan.ShapeError{Path: "/kind", Reason: "A record says of what kind it is."}
	}
	if problems := plan.CleanAs(r, ""); len(problems) > 0 {
		return nil, &plan.ShapeError{Path: problems[0].Path, Reason: problems[0].Says.Text(quantity.Locale{})}
	}
	return r, nil
}

// merged is RFC 7396's MergePatch.
func merged(onto, by any) any {
	m, ok := by.(map[string]any)
	if !ok {
		return by
	}
	out := map[string]any{}
	if was, ok := onto.(map[string]any); ok {
		for k, v := range was {
			out[k] = v
		}
	}
	for k, v := range m {
		if v == nil {
			delete(out, k)
		} else {
			out[k] = merged(out[k], v)
		}
	}
	return out
}

// IDOf is the id of the record that a trailer has of something, such as a step or a line that follows from the plan. One that would
// be too long ends in a sum of it, so that no two are the same.
func IDOf(kind Kind, trailer, of string) string {
	const most = 64
	id := string(kind) + "-" + trailer + "-" + of
	if len(id) <= most {
		return id
	}
	h := fnv.New64a()
	h.Write([]byte(id)) //nolint:errcheck // a hash takes all
	return fmt.Sprintf("%s-%016x", strings.TrimRight(id[:46], "-"), h.Sum64())
}

// All are records by their ids.
type All map[string]*Happened
