package main

import (
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"strings"

	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// tables prints what the interface looks up, as TypeScript: the fields of the plan that take a
// figure, the stages on which fields are filled in, and the units that are read.
func tables(w io.Writer) error {
	fields, stages := map[string]string{}, map[string]string{}
	for _, f := range append(plan.Fields(), records.Fields()...) {
		if f.Kind != "" && !strings.HasSuffix(f.Path, "/order") {
			fields[f.Path] = string(f.Form) + " " + string(f.Kind)
		}
		stages[f.Path] = f.Stage
	}
	all := maps.Clone(stages)
	for path, s := range all { // only where it is another than above
		up := path[:strings.LastIndex(path, "/")]
		if above, ok := all[up]; !ok {
			if s == all[strings.TrimSuffix(up, "/*")] {
				delete(stages, path)
			}
		} else if s == above {
			delete(stages, path)
		}
	}
	units, unsure := quantity.Units()
	fmt.Fprintln(w, "/* Generated from the Go tables by make types. Do not edit. */")
	for _, t := range []struct {
		says, name, kind string
		of               any
	}{
		{"Fields of the plan that take a figure, with * for ids: form and kind.", "fields", "Record<string, string>", fields},
		{"The stage, or stage/tab, of fields by the beginning of their path.", "stagesByPath", "Record<string, string>", stages},
		{"What each unit measures, with its size in SI.", "units", "Record<string, Record<string, number>>", units},
		{"Units that mean several, with what to ask.", "ambiguous", "Record<string, string[]>", unsure},
	} {
		text, err := json.MarshalIndent(t.of, "", "  ")
		if err != nil {
			return err
		}
		fmt.Fprintf(w, "\n/** %s */\nexport const %s: %s = %s\n", t.says, t.name, t.kind, text)
	}
	return nil
}
