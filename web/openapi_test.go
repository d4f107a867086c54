package web_test

import (
	"encoding/json"
	"strings"
	"testing"
)

// Every route is described, and nothing that is not a route; every reference leads
// somewhere.
func TestOpenAPI(t *testing.T) {
	c := start(t, "")
	code, _, text := c.do("GET", "/api/openapi.json", "")
	var doc struct {
		OpenAPI    string
		Paths      map[string]map[string]any
		Components struct{ Schemas map[string]any }
	}
	if err := json.Unmarshal([]byte(text), &doc); err != nil || code != 200 || doc.OpenAPI != "3.1.0" {
		t.Fatalf("%d %v %.100s", code, err, text)
	}
	told := map[string]bool{}
	for path, ops := range doc.Paths {
		for method := range ops {
			told[strings.ToUpper(method)+" "+path] = true
		}
	}
	routes := map[string]bool{}
	for _, r := range c.app.GetRoutes(true) {
		if !strings.HasPrefix(r.Path, "/api/") || r.Method == "HEAD" || strings.Contains(r.Path, "*") {
			continue
		}
		path := strings.NewReplacer(":id", "{id}", ":n", "{n}", ":record", "{record}", ":photo", "{photo}").Replace(r.Path)
		routes[r.Method+" "+path] = true
		if !told[r.Method+" "+path] {
			t.Errorf("%s %s is not described", r.Method, path)
		}
	}
	for key := range told {
		if !routes[key] && key != "POST /api/session" { // the gate's, where there is one
			t.Errorf("%s is described and no route", key)
		}
	}
	for _, ref := range strings.Split(text, `"$ref":"`)[1:] {
		name := strings.TrimPrefix(ref[:strings.IndexByte(ref, '"')], "#/components/schemas/")
		if doc.Components.Schemas[name] == nil {
			t.Errorf("%q leads nowhere", name)
		}
	}
	if len(doc.Components.Schemas) < 100 {
		t.Errorf("%d schemas", len(doc.Components.Schemas))
	}
	code, head, text := c.do("GET", "/api/plan.schema.json", "")
	if code != 200 || !strings.Contains(text, `"lashings"`) || !strings.Contains(head.Get("Content-Type"), "schema+json") {
		t.Errorf("%d %s %.100s", code, head.Get("Content-Type"), text)
	}
}
