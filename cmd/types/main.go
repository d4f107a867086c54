// Command types prints the JSON Schema of what the API carries; the build
// turns it into the interface's TypeScript types.
package main

import (
	"encoding/json"
	"fmt"
	"os"

	"github.com/invopop/jsonschema"

	"zygonos/core/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/studies"
	"zygonos/core/tables"
	"zygonos/store"
	"zygonos/web"
)

// carried names every document that crosses the API.
type carried struct {
	Plan      plan.Plan           `json:"plan"`
	Report    review.Report       `json:"report"`
	Step      finding.Step        `json:"step"`
	Reference web.Reference       `json:"reference"`
	Listed    web.Listed          `json:"listed"`
	Glance    web.Glance          `json:"glance"`
	Example   web.Example         `json:"example"`
	Stored    web.Stored          `json:"stored"`
	Saving    web.Saving          `json:"saving"`
	Saved     web.Saved           `json:"saved"`
	Problem   web.ProblemDocument `json:"problemDocument"`
	Revision  store.Revision      `json:"revision"`
	Compare   studies.Comparison  `json:"comparison"`
	Tow       studies.Tow         `json:"tow"`
	Buying    studies.Buying      `json:"buying"`
	Axle      studies.AxlePlace   `json:"axlePlace"`
	Scales    studies.Scales      `json:"scales"`
	Import    tables.Import       `json:"import"`
	Arranging web.Arranging       `json:"arranging"`
	Pairing   web.Pairing         `json:"pairing"`
	Racks     studies.RackPlans   `json:"rackPlans"`
	Ramps     studies.RampPlaces  `json:"rampPlaces"`
	Ties      studies.TiePlan     `json:"tiePlan"`
}

func main() {
	r := &jsonschema.Reflector{}
	s := r.Reflect(&carried{})
	s.Title = "Carried"
	enc := json.NewEncoder(os.Stdout)
	enc.SetIndent("", "  ")
	if err := enc.Encode(s); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}
