package plan

// PlateText is what goes on a plate that the owner makes.
type PlateText struct {
	// how it comes to its papers: kit, used, none, built, changed
	Kind  string `json:"kind,omitempty" is:"how it comes, key paperKinds"`
	Maker string `json:"maker,omitempty" is:"builder, text 60"`
	// only as the authority issued it
	Identity string `json:"identity,omitempty" is:"identity number, text 30"`
	Issued   bool   `json:"issued,omitempty"`
	Year     int    `json:"year,omitempty" is:"year, 1900..2100"`
	// nil: the least rated part
	Gross *mass `json:"gross,omitempty" is:"gross on the plate"`
}
