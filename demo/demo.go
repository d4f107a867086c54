// Package demo carries the demo plans: an invented story.
package demo

import "embed"

// Files holds the plan files, *.zygonos.json.
//
//go:embed *.zygonos.json
var Files embed.FS
