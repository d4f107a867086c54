package review_test

import (
	"encoding/json"
	"strings"
)

func numberAt(doc []byte, path string) (float64, bool) {
	var v any
	json.Unmarshal(doc, &v)
	for _, k := range strings.Split(path, "/")[1:] {
		m, ok := v.(map[string]any)
		if !ok {
			return 0, false
		}
		v = m[k]
	}
	f, ok := v.(float64)
	return f, ok
}

func how(doc []byte, path string) string {
	var v any
	json.Unmarshal(doc, &v)
	for _, k := range strings.Split(path, "/")[1:] {
		v = v.(map[string]any)[k]
	}
	return v.(string)
}
