// Command types prints what the interface takes from the Go code: "schema" the JSON Schema of what
// the API carries, which the build turns into TypeScript types; "tables" the tables that both look
// up, as TypeScript.
package main

import (
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"os"
	"reflect"
	"slices"
	"strings"

	"github.com/invopop/jsonschema"

	"zygonos/core/review"
	"zygonos/web"
)

func main() {
	prints := map[string]func(io.Writer) error{"schema": schema, "tables": tables}
	if len(os.Args) != 2 || prints[os.Args[1]] == nil {
		fmt.Fprintln(os.Stderr, "types takes one word: "+strings.Join(slices.Sorted(maps.Keys(prints)), " or "))
		os.Exit(2)
	}
	if err := prints[os.Args[1]](os.Stdout); err != nil {
		fmt.Fprintln(os.Stderr, err)
		os.Exit(1)
	}
}

// schema merges the schemas of all documents into one, with a property for each.
func schema(w io.Writer) error {
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
			if was, there := defs[name]; there && !reflect.DeepEqual(was, def) {
				return fmt.Errorf("two documents have different types called %s", name)
			}
			defs[name] = def
		}
		properties[t.Name()] = map[string]any{"$ref": "#/$defs/" + t.Name()}
	}
	enc := json.NewEncoder(w)
	enc.SetIndent("", "  ")
	return enc.Encode(
		map[string]any{
			"title":                "Carried",
			"type":                 "object",
			"additionalProperties": false,
			"properties":           properties,
			"$defs":                defs,
		},
	)
}
