package web

import (
	"encoding/json"
	"net/http"
	"strconv"
	"strings"
	"sync"

	"github.com/gofiber/fiber/v3"
	"github.com/invopop/jsonschema"

	"zygonos/core/plan"
)

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
		if json.Unmarshal(
			[]byte(strings.ReplaceAll(string(text), "#/$defs/", "#/components/schemas/")),
			&doc,
		) != nil {
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
	problem := map[string]any{
		"description": "What is wrong (RFC 9457)",
		"content":     map[string]any{"application/problem+json": map[string]any{"schema": use(ProblemDocument{})}},
	}
	paths := map[string]any{}
	for _, o := range routes {
		answer := map[string]any{"description": http.StatusText(o.status())}
		content := map[string]any{}
		if o.gives != nil {
			content["schema"] = use(o.gives)
		}
		if o.status() != http.StatusNoContent {
			answer["content"] = map[string]any{o.mediaType(): content}
		}
		op := map[string]any{
			"summary": o.says,
			"operationId": strings.ToLower(
				o.method,
			) + strings.NewReplacer("/", "-", "{", "", "}", "", ".", "-").
				Replace(o.path),
			"responses": map[string]any{strconv.Itoa(o.status()): answer, "default": problem},
		}
		if o.takes != nil {
			op["requestBody"] = map[string]any{
				"required": true,
				"content":  map[string]any{fiber.MIMEApplicationJSON: map[string]any{"schema": use(o.takes)}},
			}
		}
		if strings.HasSuffix(o.path, "/{photo}") && o.method == http.MethodPut || o.path == "/archives" {
			media := "image/*"
			if o.path == "/archives" {
				media = archiveType
			}
			op["requestBody"] = map[string]any{"required": true, "content": map[string]any{media: map[string]any{}}}
		}
		var params []any
		for _, part := range strings.Split(o.path, "/") {
			if name, ok := strings.CutPrefix(part, "{"); ok {
				params = append(
					params,
					map[string]any{
						"name":     strings.TrimSuffix(name, "}"),
						"in":       "path",
						"required": true,
						"schema":   map[string]any{"type": "string"},
					},
				)
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
	return map[string]any{
		"openapi": "3.1.0",
		"info": map[string]any{
			"title":       "Zygonos",
			"version":     "1",
			"description": "Plans of trailers, judged. Figures are SI; documents are those of a plan file and its report.",
		},
		"paths":      paths,
		"components": map[string]any{"schemas": schemas},
	}
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
