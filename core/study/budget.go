package study

import (
	"context"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
)

// Every study takes a context: when it ends, the study answers with what it has by then and says
// what it did not look at. A live review takes none: it is one pass.

// over reports whether the time of a study is up.
func over(ctx context.Context) bool { return ctx.Err() != nil }

// notLooked says that something was not looked at, its time being up.
var notLooked = said.Say("Not looked at: the time was up.")

// unlooked is a finding's outcome and words where its time was up.
func unlooked() (finding.Outcome, said.Sentence) { return finding.Unknown, notLooked }
