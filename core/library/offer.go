package library

import (
	"encoding/json"
	"maps"
	"reflect"
	"regexp"
	"slices"
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// Offer is an entry of a plan that differs from the thing in the library that it is a copy of.
type Offer struct {
	Path    string          `json:"path"`
	Thing   string          `json:"thing"`
	Newer   bool            `json:"newer"` // the library changed since; else the plan did
	Differs []said.Sentence `json:"differs"`
	More    int             `json:"more,omitempty"` // further differences that are not stated
	// to take the library's, and to keep the plan's and be asked no more
	Take  []finding.Op `json:"take"`
	Leave []finding.Op `json:"leave"`
}

// mostTold is how many differences are stated one by one.
const mostTold = 6

// Offers are the entries of a plan that are not as in the library, by path. Of a thing that the
// library no longer has nothing is said.
func Offers(p *plan.Plan, things []Thing) []Offer {
	byID := map[string]*Thing{}
	for i := range things {
		byID[things[i].ID] = &things[i]
	}
	out := []Offer{}
	for _, path := range sorted(p) {
		name, id, c, _ := split(path)
		v, _ := c.entry(p, id)
		k := kept(v)
		t := byID[k.ID]
		if t == nil || t.Collection != name || t.Holds == nil {
			continue
		}
		here, err := Extract(p, path)
		if err != nil {
			continue
		}
		told := Differences(here.Holds, t.Holds)
		take, err := into(p, t, id, true)
		if err != nil || len(told) == 0 {
			continue
		}
		more := max(0, len(told)-mostTold)
		out = append(out, Offer{
			Path: path, Thing: t.ID, Newer: t.Revision > k.Revision, Differs: told[:len(told)-more], More: more, Take: take,
			Leave: []finding.Op{
				{Op: "add", Path: path + "/kept", Value: plan.Kept{ID: t.ID, Revision: t.Revision}},
			},
		})
	}
	return out
}

// Differences says field by field how two plans that each hold one thing differ: first what the
// plan has, then what the library has.
func Differences(here, there *plan.Plan) (out []said.Sentence) {
	a, b := leaves(here), leaves(there)
	told := map[string]bool{}
	paths := slices.Collect(maps.Keys(a))
	for path := range b {
		if _, both := a[path]; !both {
			paths = append(paths, path)
		}
	}
	slices.Sort(paths)
	for _, path := range paths {
		if reflect.DeepEqual(a[path], b[path]) {
			continue
		}
		at, f := fieldOf(path)
		if f == nil || told[at] || path == "/name" || strings.HasSuffix(path, "/order") {
			continue
		}
		told[at] = true
		says := f.Says
		if says == "" {
			says = "more"
		}
		now, then := value(f, a, at), value(f, b, at)
		out = append(out, said.Say(says+": % here, % in the library", now, then))
	}
	return out
}

// leaves are the figures and texts of a plan by path.
func leaves(p *plan.Plan) map[string]any {
	data, err := json.Marshal(p)
	var doc any
	if err == nil {
		err = json.Unmarshal(data, &doc)
	}
	out := map[string]any{}
	if err != nil { // a plan always marshals; one that does not has nothing to compare
		return out
	}
	var walk func(path string, v any)
	walk = func(path string, v any) {
		m, ok := v.(map[string]any)
		if !ok {
			out[path] = v
			return
		}
		for k, v := range m {
			walk(path+"/"+strings.NewReplacer("~", "~0", "/", "~1").Replace(k), v)
		}
	}
	for _, name := range append(Collections(), "parts") {
		if m, ok := doc.(map[string]any)[name]; ok {
			walk("/"+name, m)
		}
	}
	return out
}

// patterned is a field with its path as a pattern of what stands in a document.
type patterned struct {
	plan.Field
	at *regexp.Regexp
}

var fields = func() (out []patterned) {
	for _, f := range plan.Fields() {
		if f.Form == plan.FormGroup {
			continue
		}
		pattern := strings.ReplaceAll(regexp.QuoteMeta(f.Path), `\*`, `[^/]+`)
		out = append(out, patterned{f, regexp.MustCompile("^" + pattern + "(/|$)")})
	}
	return out
}()

// fieldOf is the field that a leaf of the document belongs to, with its own path there.
func fieldOf(path string) (at string, f *plan.Field) {
	for i := range fields {
		if m := fields[i].at.FindString(path); m != "" {
			return strings.TrimSuffix(m, "/"), &fields[i].Field
		}
	}
	return path, nil
}

// value is what a field holds, in words.
func value(f *plan.Field, in map[string]any, at string) said.Piece {
	kind := f.Kind
	if kind == "" {
		kind = quantity.KindCount
	}
	for _, leaf := range []string{at, at + "/value", at + "/mass"} {
		switch v := in[leaf].(type) {
		case float64:
			return said.Of(kind, v)
		case string:
			return said.Name(v, "nothing")
		case bool:
			if v {
				return said.Piece{Text: "yes"}
			}
			return said.Piece{Text: "no"}
		}
	}
	return said.Piece{Text: "nothing"}
}
