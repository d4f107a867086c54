package catalogue

import "zygonos/core/lang/quantity"

// Spindle is a common diameter at the inner bearing with what axles of it are usually rated at,
// kg for the axle (practice, C).
type Spindle struct {
	Diameter quantity.Length
	Axle     mass
}

// Spindles lists them, thin ones first: 1 in and 1 1/16 in 2,000 lb, 1 1/4 in 2,500 lb, 1 3/8 in
// 3,500 lb, 1 3/4 in 5,200 lb; metric ones between.
var Spindles = []Spindle{
	{0.0200, 500}, {0.0254, 907}, {0.0270, 907}, {0.0300, 1000}, {0.0318, 1134}, {0.0349, 1588}, {0.0400, 1800}, {0.0445, 2359},
}

// WheelBearing is a common inner wheel bearing with its basic dynamic load rating, N (makers' lists,
// rounded down; C).
type WheelBearing struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	Bore   float64 `json:"bore"` // m
	Rating float64 `json:"rating"`
	Ball   bool    `json:"ball,omitempty"` // deep-groove ball bearing: its life goes by the cube
}

// WheelBearings lists them.
var WheelBearings = []WheelBearing{
	{"L44643", "L44643 (25.4 mm)", 0.0254, 25e3, false},
	{"L44649", "L44649 (26.9 mm)", 0.0269, 25e3, false},
	{"LM67048", "LM67048 (31.8 mm)", 0.0318, 33e3, false},
	{"L68149", "L68149 (35 mm)", 0.0350, 40e3, false},
	{"25580", "25580 (44.5 mm)", 0.0445, 70e3, false},
	{"30205", "30205 (25 mm)", 0.025, 29e3, false},
	{"30206", "30206 (30 mm)", 0.030, 38e3, false},
	{"30207", "30207 (35 mm)", 0.035, 48e3, false},
	{"6205", "6205 (25 mm, ball)", 0.025, 14e3, true},
	{"6206", "6206 (30 mm, ball)", 0.030, 19e3, true},
}

// BearingOf finds a bearing by its number.
func BearingOf(id string) (WheelBearing, bool) {
	for _, b := range WheelBearings {
		if b.ID == id {
			return b, true
		}
	}
	return WheelBearing{}, false
}

// Hub is a pattern of wheel bolts with the axle rating that hubs of it usually have at most, kg (C).
type Hub struct {
	Studs  int
	Circle quantity.Length
	Axle   mass
}

// Hubs lists them: 4 on 4 in (101.6 mm) and 4 on 100 to 2,000 lb, 5 on 4 1/2 in (114.3), 112 and 4 3/4 in
// (120.7) to 3,500 lb, 6 on 5 1/2 in (139.7) to 6,000 lb.
var Hubs = []Hub{
	{4, 0.0980, 750}, {4, 0.1000, 900}, {4, 0.1016, 907}, {4, 0.115, 750}, {4, 0.130, 750}, {5, 0.112, 1500}, {5, 0.1143, 1588},
	{5, 0.1207, 1588}, {5, 0.127, 1588}, {5, 0.140, 1588}, {6, 0.1397, 2722},
}
