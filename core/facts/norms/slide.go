package norms

// Sliding is the slope at which a loose material slides on worn-bright steel, degrees (practice, C): dry, and wet.
type Sliding struct {
	Low, High float64 // dry
	Wet       float64 // at most
}

// sliding by materials (catalogue.Materials).
var sliding = map[string]Sliding{
	"gravel":         {30, 40, 45},
	"crushed-stone":  {30, 40, 45},
	"sand":           {33, 38, 55},
	"topsoil":        {38, 45, 55},
	"clay":           {45, 60, 70},
	"compost":        {40, 50, 55},
	"bark":           {40, 50, 55},
	"chips":          {40, 50, 55},
	"firewood-dry":   {28, 35, 38},
	"firewood-fresh": {28, 35, 38},
	"straw":          {30, 45, 50},
	"green-waste":    {40, 55, 60},
	"clear-out":      {30, 45, 50},
	"rubble":         {35, 42, 48},
	"asphalt":        {35, 45, 50},
}

// anything is what slides of which no more is known, degrees.
var anything = Sliding{30, 60, 70}

// Lining is what a bed is lined with: how many degrees it adds.
type Lining struct {
	ID   string  `json:"id"`
	Name string  `json:"name"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
}

// Linings lists them (practice, C).
var Linings = []Lining{
	{"bright", "worn-bright steel", 0, 0},
	{"painted", "painted steel", 0, 5},
	{"ply", "plywood", 2, 8},
	{"boards", "boards", 5, 10},
	{"plastic", "plastic sheet", -10, -5},
}

// LiningOf finds one.
func LiningOf(id string) (Lining, bool) {
	for _, l := range Linings {
		if l.ID == id {
			return l, true
		}
	}
	return Lining{}, false
}

// frozen is what frost at the floor adds, degrees: what has frozen on does not slide at all.
const frozen = 25

// Slides is the range of slopes at which a material slides on a lining, degrees; empty material: anything.
func Slides(material, lining string, wet, frost bool) (low, high float64) {
	s, ok := sliding[material]
	if !ok {
		s = anything
	}
	low, high = s.Low, s.High
	if wet {
		high = s.Wet
	}
	if frost {
		high += frozen
	}
	l, ok := LiningOf(lining)
	if !ok { // any
		return low - 10, high + 10
	}
	return low + l.Low, high + l.High
}
