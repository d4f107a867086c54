// Package demo carries the demo plans: an invented story.
package demo

import (
	"embed"
	"encoding/json"
	"errors"
	"fmt"
	"io/fs"

	"zygonos/core/records"
)

// Files holds the plan files, *.zygonos.json, and beside them what happened to some of them, *.records.json.
//
//go:embed *.json
var Files embed.FS

// Records are what happened to a demo plan, by their ids; none where nothing did.
func Records(id string) (records.All, error) {
	data, err := Files.ReadFile(id + ".records.json")
	if errors.Is(err, fs.ErrNotExist) {
		return nil, nil
	} else if err != nil {
		return nil, err
	}
	var docs map[string]json.RawMessage
	if err := json.Unmarshal(data, &docs); err != nil {
		return nil, err
	}
	out := records.All{}
	for name, doc := range docs {
		if out[name], err = records.Read(doc); err != nil {
			return nil, fmt.Errorf("%s: %w", name, err)
		}
	}
	return out, nil
}
