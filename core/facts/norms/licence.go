package norms

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
)

// Licence are a region's general thresholds of an ordinary car licence (category B) for
// towing, by permissible masses, kg.
type Licence struct {
	Light        mass           `json:"light"`        // a trailer up to this, whatever the car
	TrailerAlone bool           `json:"trailerAlone"` // the trailer's own mass decides
	Both         mass           `json:"both"`         // car and trailer together, category B …
	More         mass           `json:"more"`         // … and with B96
	Source       finding.Source `json:"source"`
}

// Licences by region; where there is none, states or countries decide.
var Licences = map[quantity.Region]Licence{
	quantity.EU: {
		Light:  750,
		Both:   3500,
		More:   4250,
		Source: source("Directive 2006/126/EC", "article 4(4)(b)", "B"),
	},
	quantity.UK: {
		Light:        3500,
		TrailerAlone: true,
		Source:       source("Motor Vehicles (Driving Licences) Regulations, as amended in December 2021", "category B", "B"),
	},
}

// LicenceOf gives a region's thresholds; nil where states or countries decide.
func LicenceOf(r quantity.Region) *Licence {
	l, ok := Licences[r]
	if !ok {
		return nil
	}
	return &l
}
