package plan

import "zygonos/core/lang/quantity"

// Finish is how frame and deck are kept from rust and rot.
type Finish struct {
	Way   FinishWay `json:"way,omitempty" is:"way to keep off rust"`
	Coats int       `json:"coats,omitempty" is:"number of coats, 0..8"`
	// of the tin: what a litre covers once, m²; what a litre costs; how much a tin holds
	Cover    *quantity.Cover     `json:"cover,omitempty" is:"area that a litre covers, 1..40"`
	PerLitre *quantity.LitreCost `json:"perLitre,omitempty" is:"price of a litre"`
	Tin      *quantity.Fuel      `json:"tin,omitempty" is:"content of a tin, 0.05..50"`
	// hours after which the next coat may come, and before which it must; at twenty degrees
	Recoat     *quantity.Time `json:"recoat,omitempty" is:"time to the next coat"`
	RecoatMost *quantity.Time `json:"recoatMost,omitempty" is:"longest time to the next coat"`
	// the zinc bath: price by weight, how far it is, what a drive costs by distance, days away
	DipPerKg  *quantity.Rate      `json:"dipPerKg,omitempty" is:"price of dipping by weight"`
	DipFar    *quantity.Length    `json:"dipFar,omitempty" is:"way to the bath, distance 0..2000000"`
	DriveCost *quantity.DriveCost `json:"driveCost,omitempty" is:"cost of a drive by distance, 0..1e7"`
	DipDays   *float64            `json:"dipDays,omitempty" is:"days at the bath, 0..90"`
	// the deck
	DeckBy       DeckFinish          `json:"deckBy,omitempty" is:"deck's finish"`
	DeckCoats    int                 `json:"deckCoats,omitempty" is:"number of coats, 0..8"`
	DeckCover    *quantity.Cover     `json:"deckCover,omitempty" is:"area that a litre covers, 1..40"`
	DeckPerLitre *quantity.LitreCost `json:"deckPerLitre,omitempty" is:"price of a litre"`
	// how it stands outside: by the sea, salted roads; nothing stated: outside inland
	Salt    bool `json:"salt,omitempty"`
	Indoors bool `json:"indoors,omitempty"`
	// the air and the steel as they are now
	Air     *quantity.Temperature `json:"air,omitempty" is:"temperature of the air, -40..60"`
	Humid   *float64              `json:"humid,omitempty" is:"humidity, share 0..1"`
	Steel   *quantity.Temperature `json:"steel,omitempty" is:"temperature of the steel, -40..90"`
	Least   *quantity.Temperature `json:"least,omitempty" is:"least temperature by the tin, -20..40"`
	Wettest *float64              `json:"wettest,omitempty" is:"greatest humidity by the tin, share 0..1"`
	// a forecast as it was typed or pasted: a line for each hour or stretch
	Forecast string `json:"forecast,omitempty" is:"forecast, text 8000"`
}

// FinishWay keeps steel from rust.
type FinishWay string

// The ways.
const (
	FinishDip    FinishWay = "dip"    // hot-dip zinc
	FinishPregal FinishWay = "pregal" // tube that is zinc-coated as it is sold, its welds painted with zinc
	FinishPaint  FinishWay = "paint"  // primer and enamel
	FinishLiner  FinishWay = "liner"  // a thick sprayed or rolled lining over primer
	FinishBare   FinishWay = "bare"   // aluminium as it is
)

// FinishWays lists them.
var FinishWays = []FinishWay{FinishDip, FinishPregal, FinishPaint, FinishLiner, FinishBare}

// DeckFinish keeps a deck.
type DeckFinish string

// The ways.
const (
	DeckOil     DeckFinish = "oil"
	DeckPaint   DeckFinish = "paint"
	DeckTreated DeckFinish = "treated" // timber that was pressure-treated
	DeckAsIs    DeckFinish = "none"    // film-faced, plate, mesh
)

// DeckFinishes lists them.
var DeckFinishes = []DeckFinish{DeckOil, DeckPaint, DeckTreated, DeckAsIs}

// Days are when there is time to build.
type Days struct {
	From  string               `json:"from,omitempty" is:"day, day"`
	Slots map[string]DaySlot   `json:"slots,omitempty" is:"stretch of the week"`
	Off   map[string]DayOff    `json:"off,omitempty" is:"day off"`
	Comes map[string]DayComing `json:"comes,omitempty" is:"delivery"`
	// wanted by
	By string `json:"by,omitempty" is:"day, day"`
}

// DaySlot is a stretch of each week.
type DaySlot struct {
	Order int     `json:"order"`
	Day   Weekday `json:"day" is:"day of the week"`
	// hours of the day
	From float64 `json:"from" is:"hour, 0..24"`
	To   float64 `json:"to" is:"hour, 0..24"`
}

// Weekday is a day of the week.
type Weekday string

// Weekdays lists them, Monday first.
var Weekdays = []Weekday{"mon", "tue", "wed", "thu", "fri", "sat", "sun"}

// DayOff is a day without work.
type DayOff struct {
	Order int    `json:"order"`
	On    string `json:"on" is:"day, day"`
}

// DayComing is something that is delivered, and the step that waits for it.
type DayComing struct {
	Order int    `json:"order"`
	Name  string `json:"name" is:"name, text 200"`
	On    string `json:"on" is:"day, day"`
	Step  string `json:"step,omitempty" is:"step, text 64"`
}

func (s *DaySlot) check(c *cleaner, path string) bool {
	if s.To <= s.From && s.To != 0 {
		c.say(path+"/to", "A stretch of the week ends before it begins; it is left out of the days.")
	}
	return true
}

func (d *Days) check(c *cleaner, path string) bool {
	if d.By != "" && d.From != "" && d.By < d.From {
		c.say(path+"/by", "It is wanted before it begins; that day is treated as not entered.")
		d.By = ""
	}
	return true
}

func (f *Finish) check(c *cleaner, path string) bool {
	if f.Recoat != nil && f.RecoatMost != nil && *f.RecoatMost < *f.Recoat {
		c.say(path+"/recoatMost", "The longest time to the next coat is shorter than the shortest; it is treated as not entered.")
		f.RecoatMost = nil
	}
	return true
}
