// Command types prints the JSON Schema of what the API carries; the build
// turns it into the interface's TypeScript types.
package main

import (
	"encoding/json"
	"fmt"
	"os"
	"reflect"

	"github.com/invopop/jsonschema"

	"zygonos/core/review"
	"zygonos/web"
)

func main() {
	if err := run(); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

// run merges the schemas of all documents into one, with a property for each.
func run() error {
	defs, properties := map[string]any{}, map[string]any{}
	for _, d := range append(web.Carried(), review.Report{}) {
		t := reflect.TypeOf(d)
		for t.Kind() == reflect.Slice || t.Kind() == reflect.Pointer {
			t = t.Elem()
		}
		text, err := json.Marshal((&jsonschema.Reflector{}).Reflect(reflect.New(t).Interface()))
		if err != nil {
			return err
		}
		var doc struct {
			Defs map[string]any `json:"$defs"`
		}
		if err := json.Unmarshal(text, &doc); err != nil {
			return err
		}
		for name, def := range doc.Defs {
			defs[name] = def
		}
		properties[t.Name()] = map[string]any{"$ref": "#/$defs/" + t.Name()}
	}
	enc := json.NewEncoder(os.Stdout)
	enc.SetIndent("", "  ")
	return enc.Encode(map[string]any{"title": "Carried", "type": "object", "additionalProperties": false, "properties": properties, "$defs": defs})
}
