package plan

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"reflect"
	"sort"
	"strings"
)

// MaxBytes is the largest plan document that is read.
const MaxBytes = 8 << 20

// ShapeError says which field of a document cannot be used, and why.
type ShapeError struct {
	Path   string // JSON Pointer
	Reason string
}

func (e *ShapeError) Error() string {
	if e.Path == "" {
		return e.Reason
	}
	return e.Path + ": " + e.Reason
}

// Read decodes a plan file strictly: an unknown field, a value of the wrong
// kind, a newer version or another format is refused with a *ShapeError that
// names it. Values that have the right shape but make no sense are left for
// Clean. Version 1 is the first; there is none older to lift.
func Read(data []byte) (*Plan, error) {
	if len(data) > MaxBytes {
		return nil, &ShapeError{Reason: fmt.Sprintf("The file is larger than a plan may be (%d MB).", MaxBytes>>20)}
	}
	dec := json.NewDecoder(bytes.NewReader(bytes.TrimPrefix(data, []byte("\xef\xbb\xbf"))))
	dec.UseNumber()
	var doc any
	if err := dec.Decode(&doc); err != nil {
		return nil, &ShapeError{Reason: "The file is not readable JSON: " + err.Error() + "."}
	}
	if _, err := dec.Token(); err != io.EOF {
		return nil, &ShapeError{Reason: "There is something after the end of the plan."}
	}
	root, ok := doc.(map[string]any)
	if !ok {
		return nil, &ShapeError{Reason: "The file holds no plan."}
	}
	if root["format"] != Format {
		return nil, &ShapeError{
			Path:   "/format",
			Reason: "This is not a plan file: the format must be “" + Format + "”.",
		}
	}
	if v, ok := root["version"].(json.Number); !ok {
		return nil, &ShapeError{Path: "/version", Reason: "The version must be a whole number."}
	} else if n, err := v.Int64(); err != nil || n < 1 {
		return nil, &ShapeError{Path: "/version", Reason: "The version must be a whole number from 1 on."}
	} else if n > Version {
		return nil, &ShapeError{Path: "/version", Reason: fmt.Sprintf("The plan was made by a newer program (version %d; this one reads up to %d).", n, Version)}
	}
	if err := shape(doc, reflect.TypeFor[Plan](), ""); err != nil {
		return nil, err
	}
	p := new(Plan)
	if err := json.Unmarshal(bytes.TrimPrefix(data, []byte("\xef\xbb\xbf")), p); err != nil {
		return nil, &ShapeError{Reason: "The plan cannot be read: " + err.Error() + "."}
	}
	whole(reflect.ValueOf(p).Elem())
	return p, nil
}

// whole makes the collections that a document left out, so that they go out as {} or []
// and not as null.
func whole(v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			whole(v.Elem())
		}
	case reflect.Struct:
		for i := range v.NumField() {
			f := v.Field(i)
			if kept := !strings.Contains(v.Type().Field(i).Tag.Get("json"), ",omitempty"); kept &&
				f.Kind() == reflect.Map &&
				f.IsNil() {
				f.Set(reflect.MakeMap(f.Type()))
			} else if kept && f.Kind() == reflect.Slice && f.IsNil() {
				f.Set(reflect.MakeSlice(f.Type(), 0, 0))
			}
			whole(f)
		}
	case reflect.Map:
		if k := v.Type().Elem().Kind(); k != reflect.Struct && k != reflect.Pointer {
			return
		}
		for _, key := range v.MapKeys() {
			e := reflect.New(v.Type().Elem()).Elem()
			e.Set(v.MapIndex(key))
			whole(e)
			v.SetMapIndex(key, e)
		}
	}
}

// Write encodes the plan as a file: indented, keys sorted, one newline at the end.
func Write(p *Plan) ([]byte, error) {
	var b bytes.Buffer
	enc := json.NewEncoder(&b)
	enc.SetEscapeHTML(false)
	enc.SetIndent("", "  ")
	if err := enc.Encode(p); err != nil {
		return nil, err
	}
	return b.Bytes(), nil
}

// shape holds a decoded document against a Go type.
func shape(v any, t reflect.Type, path string) error {
	if t.Kind() == reflect.Pointer {
		if v == nil {
			return nil
		}
		t = t.Elem()
	}
	wrong := func(want string) error {
		return &ShapeError{Path: path, Reason: "This must be " + want + "."}
	}
	switch t.Kind() {
	case reflect.Struct:
		m, ok := v.(map[string]any)
		if !ok {
			return wrong("an object")
		}
		fields := map[string]reflect.Type{}
		jsonFields(t, fields)
		for _, k := range sortedKeys(m) {
			ft, ok := fields[k]
			if !ok {
				return &ShapeError{Path: path + "/" + escape(k), Reason: "There is no such field."}
			}
			if err := shape(m[k], ft, path+"/"+escape(k)); err != nil {
				return err
			}
		}
	case reflect.Map:
		m, ok := v.(map[string]any)
		if !ok {
			if v == nil {
				return nil
			}
			return wrong("an object")
		}
		for _, k := range sortedKeys(m) {
			if err := shape(m[k], t.Elem(), path+"/"+escape(k)); err != nil {
				return err
			}
		}
	case reflect.Slice:
		list, ok := v.([]any)
		if !ok {
			return wrong("a list")
		}
		for i := range list {
			if err := shape(list[i], t.Elem(), fmt.Sprintf("%s/%d", path, i)); err != nil {
				return err
			}
		}
	case reflect.String:
		if _, ok := v.(string); !ok {
			return wrong("a text")
		}
	case reflect.Bool:
		if _, ok := v.(bool); !ok {
			return wrong("true or false")
		}
	case reflect.Int:
		n, ok := v.(json.Number)
		if !ok {
			return wrong("a whole number")
		}
		if _, err := n.Int64(); err != nil {
			return wrong("a whole number")
		}
	case reflect.Float64:
		n, ok := v.(json.Number)
		if !ok {
			return wrong("a number")
		}
		if _, err := n.Float64(); err != nil {
			return wrong("a number of ordinary size")
		}
	}
	return nil
}

func jsonFields(t reflect.Type, into map[string]reflect.Type) {
	for f := range t.Fields() {
		if f.Anonymous {
			jsonFields(f.Type, into)
			continue
		}
		name, _, _ := strings.Cut(f.Tag.Get("json"), ",")
		into[name] = f.Type
	}
}

func sortedKeys(m map[string]any) []string {
	keys := make([]string, 0, len(m))
	for k := range m {
		keys = append(keys, k)
	}
	sort.Strings(keys)
	return keys
}

func escape(k string) string {
	return strings.ReplaceAll(strings.ReplaceAll(k, "~", "~0"), "/", "~1")
}
