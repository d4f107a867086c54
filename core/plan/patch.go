package plan

import (
	"encoding/json"
	"errors"
	"fmt"
	"reflect"
	"strings"
	"sync"

	"zygonos/core/lang/finding"
)

// Apply gives the plan with the patch applied; p is left as it was, and the two share nothing. It
// knows the operations test, add, replace and remove of RFC 6902. The patch applies whole or not
// at all. The path leads through the plan's own types: a word or a number that the document leaves
// out, since it is empty, is there; what is a pointer or a collection is not.
func Apply(p *Plan, patch []finding.Op) (*Plan, error) {
	out := p.Clone()
	for i, op := range patch {
		if err := applyOp(out, op); err != nil {
			return nil, fmt.Errorf("operation %d (%s %s): %w", i, op.Op, op.Path, err)
		}
	}
	return out, nil
}

// Clone copies a plan as its document has it: what is derived and never stored is not copied.
func (p *Plan) Clone() *Plan {
	out := new(Plan)
	clone(reflect.ValueOf(out).Elem(), reflect.ValueOf(p).Elem())
	return out
}

// clone copies from to into, which is zero.
func clone(into, from reflect.Value) {
	switch from.Kind() {
	case reflect.Pointer:
		if !from.IsNil() {
			into.Set(reflect.New(from.Type().Elem()))
			clone(into.Elem(), from.Elem())
		}
	case reflect.Map:
		if from.IsNil() {
			return
		}
		into.Set(reflect.MakeMapWithSize(from.Type(), from.Len()))
		for it := from.MapRange(); it.Next(); {
			v := reflect.New(from.Type().Elem()).Elem()
			clone(v, it.Value())
			into.SetMapIndex(it.Key(), v)
		}
	case reflect.Struct:
		for _, i := range stored(from.Type()) {
			clone(into.Field(i), from.Field(i))
		}
	default:
		into.Set(from)
	}
}

// stored lists the members of a struct that its document has.
func stored(t reflect.Type) []int {
	if known, ok := members.Load(t); ok {
		return known.([]int)
	}
	var out []int
	for i := range t.NumField() {
		if t.Field(i).Tag.Get("json") != "-" {
			out = append(out, i)
		}
	}
	members.Store(t, out)
	return out
}

var members sync.Map // []int by reflect.Type

func applyOp(p *Plan, op finding.Op) error {
	// The value is taken as JSON would carry it, whatever Go type it has.
	var value []byte
	if op.Op != "remove" {
		var err error
		if value, err = json.Marshal(op.Value); err != nil {
			return err
		}
	}
	tokens, err := pointer(op.Path)
	if err != nil {
		return err
	}
	return edit(reflect.ValueOf(p).Elem(), tokens, op.Op, value)
}

// pointer splits a JSON Pointer (RFC 6901).
func pointer(path string) ([]string, error) {
	if path == "" {
		return nil, nil
	}
	if path[0] != '/' {
		return nil, errors.New("the path must begin with /")
	}
	tokens := strings.Split(path[1:], "/")
	for i, t := range tokens {
		tokens[i] = strings.ReplaceAll(strings.ReplaceAll(t, "~1", "/"), "~0", "~")
	}
	return tokens, nil
}

// edit does one operation at or below a value that can be set.
func edit(v reflect.Value, tokens []string, op string, value []byte) error {
	if len(tokens) == 0 {
		return put(v, op, value)
	}
	for v.Kind() == reflect.Pointer {
		v = v.Elem()
	}
	key := tokens[0]
	switch v.Kind() {
	case reflect.Struct:
		f, empty, ok := member(v, key)
		if !ok {
			return fmt.Errorf("there is no %q", key)
		}
		if empty && (len(tokens) > 1 || op != "add") {
			return fmt.Errorf("there is no %q", key)
		}
		return edit(f, tokens[1:], op, value)
	case reflect.Map:
		k := reflect.ValueOf(key).Convert(v.Type().Key())
		was := v.MapIndex(k)
		entry := reflect.New(v.Type().Elem()).Elem()
		if was.IsValid() {
			entry.Set(was)
		} else if len(tokens) > 1 || op != "add" {
			return fmt.Errorf("there is no %q", key)
		}
		if err := edit(entry, tokens[1:], op, value); err != nil {
			return err
		}
		if len(tokens) == 1 && op == "remove" {
			entry = reflect.Value{}
		}
		v.SetMapIndex(k, entry)
		return nil
	}
	return errors.New("there is nothing under it")
}

// member finds the member of a struct that a document names, and whether there is nothing in it.
func member(v reflect.Value, name string) (f reflect.Value, empty, ok bool) {
	t := v.Type()
	for i := range t.NumField() {
		sf := t.Field(i)
		if sf.Anonymous {
			if f, empty, ok = member(v.Field(i), name); ok {
				return f, empty, ok
			}
			continue
		}
		tag, _, _ := strings.Cut(sf.Tag.Get("json"), ",")
		if tag != name || name == "-" {
			continue
		}
		f = v.Field(i)
		return f, (f.Kind() == reflect.Pointer || f.Kind() == reflect.Map) && f.IsNil(), true
	}
	return reflect.Value{}, false, false
}

// put does one operation on a value.
func put(v reflect.Value, op string, value []byte) error {
	switch op {
	case "add", "replace":
		next := reflect.New(v.Type())
		if err := json.Unmarshal(value, next.Interface()); err != nil {
			return err
		}
		v.Set(next.Elem())
	case "remove":
		v.SetZero()
	case "test":
		is, err := json.Marshal(v.Interface())
		if err != nil {
			return err
		}
		var a, b any
		if json.Unmarshal(is, &a) != nil || json.Unmarshal(value, &b) != nil || !reflect.DeepEqual(a, b) {
			return errors.New("the plan holds another value by now")
		}
	default:
		return fmt.Errorf("%q cannot be done here", op)
	}
	return nil
}
