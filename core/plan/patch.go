package plan

import (
	"encoding/json"
	"fmt"
	"reflect"
	"strconv"
	"strings"

	"zygonos/core/lang/finding"
)

// Apply gives the plan with the patch applied; p is left as it was. It knows
// the operations test, add, replace and remove of RFC 6902. The patch applies
// whole or not at all.
func Apply(p *Plan, patch []finding.Op) (*Plan, error) {
	data, err := json.Marshal(p)
	if err != nil {
		return nil, err
	}
	var doc any
	if err := json.Unmarshal(data, &doc); err != nil {
		return nil, err
	}
	for i, op := range patch {
		if doc, err = applyOp(doc, op); err != nil {
			return nil, fmt.Errorf("operation %d (%s %s): %w", i, op.Op, op.Path, err)
		}
	}
	if data, err = json.Marshal(doc); err != nil {
		return nil, err
	}
	out := new(Plan)
	if err := json.Unmarshal(data, out); err != nil {
		return nil, err
	}
	return out, nil
}

func applyOp(doc any, op finding.Op) (any, error) {
	// The value is taken as JSON would carry it, whatever Go type it has.
	var value any
	if op.Op != "remove" {
		data, err := json.Marshal(op.Value)
		if err != nil {
			return nil, err
		}
		if err := json.Unmarshal(data, &value); err != nil {
			return nil, err
		}
	}
	tokens, err := pointer(op.Path)
	if err != nil {
		return nil, err
	}
	return edit(doc, tokens, op.Op, value)
}

// pointer splits a JSON Pointer (RFC 6901).
func pointer(path string) ([]string, error) {
	if path == "" {
		return nil, nil
	}
	if path[0] != '/' {
		return nil, fmt.Errorf("the path must begin with /")
	}
	tokens := strings.Split(path[1:], "/")
	for i, t := range tokens {
		tokens[i] = strings.ReplaceAll(strings.ReplaceAll(t, "~1", "/"), "~0", "~")
	}
	return tokens, nil
}

func edit(node any, tokens []string, op string, value any) (any, error) {
	if len(tokens) == 0 {
		switch op {
		case "add", "replace":
			return value, nil
		case "test":
			if !reflect.DeepEqual(node, value) {
				return nil, fmt.Errorf("the plan holds another value by now")
			}
			return node, nil
		}
		return nil, fmt.Errorf("%q cannot be done here", op)
	}
	key := tokens[0]
	switch n := node.(type) {
	case map[string]any:
		child, exists := n[key]
		if len(tokens) == 1 {
			switch {
			case op == "remove" && exists:
				delete(n, key)
				return n, nil
			case op == "add":
				n[key] = value
				return n, nil
			}
		}
		if !exists {
			return nil, fmt.Errorf("there is no %q", key)
		}
		changed, err := edit(child, tokens[1:], op, value)
		if err != nil {
			return nil, err
		}
		n[key] = changed
		return n, nil
	case []any:
		i, err := strconv.Atoi(key)
		if err != nil || i < 0 || i >= len(n) {
			return nil, fmt.Errorf("there is no place %q", key)
		}
		changed, err := edit(n[i], tokens[1:], op, value)
		if err != nil {
			return nil, err
		}
		n[i] = changed
		return n, nil
	}
	return nil, fmt.Errorf("there is nothing under %q", key)
}
