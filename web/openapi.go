package web

import (
	"encoding/json"
	"net/http"
	"strings"
	"sync"

	"github.com/gofiber/fiber/v3"
	"github.com/invopop/jsonschema"

	"zygonos/core/lang/finding"
	"zygonos/core/out/departure"
	"zygonos/core/out/tables"
	"zygonos/core/plan"
	"zygonos/core/study"
	"zygonos/store"
)

// operation is one call of the API, as OpenAPI tells it.
type operation struct {
	method, path, says string
	takes, gives       any    // documents; nil for none
	media              string // of the answer; empty: JSON
}

// operations are all calls, in the order of the routes.
var operations = []operation{
	{"GET", "/health", "Whether the server answers", nil, nil, ""},
	{"GET", "/openapi.json", "This description", nil, nil, ""},
	{"GET", "/plan.schema.json", "The JSON Schema of a plan", nil, nil, ""},
	{"GET", "/reference", "Kinds, rules, words that the interface offers", nil, Reference{}, ""},
	{"GET", "/plans", "The plans that are kept", nil, []Listed{}, ""},
	{"POST", "/plans", "Keep a new plan", Saving{}, Saved{}, ""},
	{"POST", "/plans/import", "Keep a plan from a file", plan.Plan{}, Saved{}, ""},
	{"GET", "/plans/{id}", "A plan with its revision", nil, Stored{}, ""},
	{"PUT", "/plans/{id}", "Keep a plan's next revision (If-Match)", Saving{}, Saved{}, ""},
	{"DELETE", "/plans/{id}", "Put a plan away", nil, nil, ""},
	{"POST", "/plans/{id}/restore", "Bring an earlier revision back", nil, Saved{}, ""},
	{"GET", "/plans/{id}/file", "The plan as a file", nil, plan.Plan{}, ""},
	{"GET", "/plans/{id}/glance", "The plan's headline and drawing", nil, Glance{}, ""},
	{"GET", "/examples", "Plans that ship with the app", nil, []Example{}, ""},
	{"POST", "/examples/{id}", "Keep a copy of one as a plan", nil, Saved{}, ""},
	{"GET", "/plans/{id}/revisions", "What was kept, newest first", nil, []store.Revision{}, ""},
	{"GET", "/plans/{id}/revisions/{n}", "The plan as it was", nil, plan.Plan{}, ""},
	{"POST", "/review", "Judge a plan, live or settled", Asking{}, departure.Settled{}, ""},
	{"POST", "/working", "The working behind a finding", Asking{}, []finding.Step{}, ""},
	{"POST", "/compare", "Candidates side by side", Asking{}, study.Comparison{}, ""},
	{"POST", "/comparison.csv", "The comparison as a table", Asking{}, nil, "text/csv"},
	{"POST", "/tows", "Who may tow what", Asking{}, []study.Tow{}, ""},
	{"POST", "/buy", "Before buying", Asking{}, study.Buying{}, ""},
	{"POST", "/axle", "Where the axle may stand for every outing", Asking{}, study.AxlePlace{}, ""},
	{"POST", "/scales", "What a scale says", Asking{}, study.Scales{}, ""},
	{"POST", "/arrange", "Where the loads go, in lines of JSON", Asking{}, Arranging{}, "application/x-ndjson"},
	{"POST", "/racks", "Racks for the outing's hulls", Asking{}, study.RackPlans{}, ""},
	{"POST", "/ties", "Straps for the outing's loads", Asking{}, study.TiePlan{}, ""},
	{"POST", "/ramp-places", "Where the ramps may travel", Asking{}, study.RampPlaces{}, ""},
	{"POST", "/cutlist.csv", "The racks' cut list", Asking{}, nil, "text/csv"},
	{"POST", "/loads.csv", "What stands on the trailer", Asking{}, nil, "text/csv"},
	{"POST", "/lashings.csv", "How it is tied down", Asking{}, nil, "text/csv"},
	{"POST", "/pair", "How a phone comes to a page: address, short code, QR code", PairingAsked{}, Pairing{}, ""},
	{"POST", "/card.html", "The departure card as one file", Asking{}, nil, "text/html"},
	{"POST", "/drawing.svg", "A drawing to scale", Asking{}, nil, "image/svg+xml"},
	{"POST", "/drawing.dxf", "A drawing to scale", Asking{}, nil, "image/vnd.dxf"},
	{"GET", "/candidates.csv", "An empty table of candidates", nil, nil, "text/csv"},
	{"POST", "/candidates", "Read a table of candidates", nil, tables.Import{}, ""},
}

// OpenAPI describes the API (OpenAPI 3.1.0). Types' schemas are those of the Go types.
func OpenAPI() map[string]any {
	schemas := map[string]any{"ProblemDocument": nil}
	use := func(v any) map[string]any {
		s := (&jsonschema.Reflector{Anonymous: true}).Reflect(v)
		text, err := json.Marshal(s)
		if err != nil {
			return map[string]any{}
		}
		var doc map[string]any
		if json.Unmarshal([]byte(strings.ReplaceAll(string(text), "#/$defs/", "#/components/schemas/")), &doc) != nil {
			return map[string]any{}
		}
		if defs, ok := doc["$defs"].(map[string]any); ok {
			for name, def := range defs {
				schemas[name] = def
			}
		}
		delete(doc, "$defs")
		delete(doc, "$schema")
		return doc
	}
	problem := map[string]any{"description": "What is wrong (RFC 9457)", "content": map[string]any{"application/problem+json": map[string]any{"schema": use(ProblemDocument{})}}}
	paths := map[string]any{}
	for _, o := range operations {
		answer := map[string]any{"description": "Done"}
		media := o.media
		if media == "" {
			media = fiber.MIMEApplicationJSON
		}
		content := map[string]any{}
		if o.gives != nil {
			content["schema"] = use(o.gives)
		}
		if o.method != "DELETE" {
			answer["content"] = map[string]any{media: content}
		}
		op := map[string]any{"summary": o.says, "operationId": strings.ToLower(o.method) + strings.NewReplacer("/", "-", "{", "", "}", "", ".", "-").Replace(o.path),
			"responses": map[string]any{"200": answer, "default": problem}}
		if o.takes != nil {
			op["requestBody"] = map[string]any{"required": true, "content": map[string]any{fiber.MIMEApplicationJSON: map[string]any{"schema": use(o.takes)}}}
		}
		var params []any
		for _, part := range strings.Split(o.path, "/") {
			if name, ok := strings.CutPrefix(part, "{"); ok {
				params = append(params, map[string]any{"name": strings.TrimSuffix(name, "}"), "in": "path", "required": true, "schema": map[string]any{"type": "string"}})
			}
		}
		if params != nil {
			op["parameters"] = params
		}
		at, _ := paths["/api"+o.path].(map[string]any)
		if at == nil {
			at = map[string]any{}
			paths["/api"+o.path] = at
		}
		at[strings.ToLower(o.method)] = op
	}
	return map[string]any{"openapi": "3.1.0", "info": map[string]any{"title": "Zygonos", "version": "1", "description": "Plans of trailers, judged. Figures are SI; documents are those of a plan file and its report."},
		"paths": paths, "components": map[string]any{"schemas": schemas}}
}

// PlanSchema is the JSON Schema of a plan file.
func PlanSchema() *jsonschema.Schema { return (&jsonschema.Reflector{}).Reflect(&plan.Plan{}) }

var described = sync.OnceValue(OpenAPI)

func openAPI(c fiber.Ctx) error { return c.Status(http.StatusOK).JSON(described()) }

func planSchema(c fiber.Ctx) error {
	if err := c.JSON(PlanSchema()); err != nil {
		return err
	}
	c.Set(fiber.HeaderContentType, "application/schema+json")
	return nil
}
