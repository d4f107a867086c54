// Command types prints the JSON Schema of what the API carries; the build
// turns it into the interface's TypeScript types.
package main

import (
	"encoding/json"
	"fmt"
	"os"

	"github.com/invopop/jsonschema"

	"zygonos/core/lang/finding"
	"zygonos/core/out/departure"
	"zygonos/core/out/tables"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
	"zygonos/store"
	"zygonos/web"
)

// carried names every document that crosses the API.
type carried struct {
	Plan      plan.Plan           `json:"plan"`
	Report    review.Report       `json:"report"`
	Settled   departure.Settled   `json:"settled"`
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
	Compare   study.Comparison    `json:"comparison"`
	Tow       study.Tow           `json:"tow"`
	Buying    study.Buying        `json:"buying"`
	Axle      study.AxlePlace     `json:"axlePlace"`
	Scales    study.Scales        `json:"scales"`
	Import    tables.Import       `json:"import"`
	Arranging web.Arranging       `json:"arranging"`
	Pairing   web.Pairing         `json:"pairing"`
	Racks     study.RackPlans     `json:"rackPlans"`
	Ramps     study.RampPlaces    `json:"rampPlaces"`
	Ties      study.TiePlan       `json:"tiePlan"`
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
