package plan

import "zygonos/core/lang/quantity"

// Decking is how a floor is laid: boards or sheets, on the members that are drawn or on those that are stated.
type Decking struct {
	// boards run from side to side; else from front to rear
	Across bool    `json:"across,omitempty"`
	Gap    *length `json:"gap,omitempty" is:"gap between the boards, 0..0.05"`
	// as they are sold; longer rows are joined on a member
	BoardLong *length `json:"boardLong,omitempty" is:"length of a board, >0..10"`
	Stagger   bool    `json:"stagger,omitempty"` // of every other row the joints lie on other members
	// points of moisture that the boards gain until they are wettest, and lose until they are driest
	Gains  *float64 `json:"gains,omitempty" is:"points of moisture gained, 0..25"`
	Loses  *float64 `json:"loses,omitempty" is:"points of moisture lost, 0..25"`
	Screws *length  `json:"screws,omitempty" is:"diameter of the screws, >0..0.02"`
	// sheets as they are sold, and what one costs; and what the car carries
	SheetLong *length         `json:"sheetLong,omitempty" is:"length of a sheet, >0..6"`
	SheetWide *length         `json:"sheetWide,omitempty" is:"width of a sheet, >0..3"`
	Price     *quantity.Money `json:"price,omitempty" is:"price of a sheet or board"`
	Kerf      *length         `json:"kerf,omitempty" is:"kerf of the saw in sheets, 0..0.02"`
	CarryLong *length         `json:"carryLong,omitempty" is:"longest sheet that the car carries, >0..6"`
	CarryWide *length         `json:"carryWide,omitempty" is:"widest sheet that the car carries, >0..3"`
	// its outer grain runs along the trailer: pieces are not turned
	Grain bool `json:"grain,omitempty"`
	// how far it stands over the steel at its edges, less than zero where it lies in a tray
	Proud *length `json:"proud,omitempty" is:"height of the floor over the steel, -0.1..0.1"`
	// along both sides, outside the deck
	Rub Profile `json:"rub,omitzero"`
	// checker plate on it: how far in from each side, and how thick
	ForkPlate *length `json:"forkPlate,omitempty" is:"width of the plate, 0..3"`
	ForkThick *length `json:"forkThick,omitempty" is:"thickness of the plate, 0.001..0.02"`
	// what one walks on
	Tread string `json:"tread,omitempty" is:"surface, key treads"`
	// of wood
	PaintTop   *bool `json:"paintTop,omitempty"`
	PaintUnder *bool `json:"paintUnder,omitempty"`
	PaintEdges *bool `json:"paintEdges,omitempty"`
	// of a bought trailer: where its cross members lie behind the front board, and what lies along right of the
	// middle
	Bearers map[string]DeckBearer `json:"bearers,omitempty" is:"bearer"`
}

// DeckBearer is a member that a floor lies on, as it is taped.
type DeckBearer struct {
	Order int    `json:"order"`
	At    length `json:"at" is:"place of the bearer, -6..25"`
	// it runs from front to rear, At right of the middle; else across, At behind the front board
	Along bool `json:"along,omitempty"`
}
