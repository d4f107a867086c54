package review

import (
	"zygonos/core/lang/finding"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// CodeBroken is the code of a finding that stands for a check that broke off.
const CodeBroken = "review.broken"

// Broke is stated when a check breaks off: a slip of the program, which its server logs. It is set
// before the first review.
var Broke = func(what string, why any) {}

// safely asks one question so that a slip in it takes no other down.
func safely[T any](what string, ask func() T) (out T, broken bool) {
	defer func() {
		if why := recover(); why != nil {
			Broke(what, why)
			broken = true
		}
	}()
	return ask(), false
}

// found is safely of a check that gives findings: one that broke off is Not known.
func found(r *rig.Rig, stage string, check func(*rig.Rig) []finding.Finding) []finding.Finding {
	out, broken := safely(stage, func() []finding.Finding { return check(r) })
	if broken {
		return []finding.Finding{brokenOff(r, stage)}
	}
	return out
}

func brokenOff(r *rig.Rig, stage string) finding.Finding {
	path := "/trailers/" + r.Scope.Trailer
	return finding.Finding{
		Code: CodeBroken, Stage: stage, Scope: r.Scope, Gate: finding.GateGo, Subject: path, Outcome: finding.Unknown, Essential: true,
		Title: said.Say("A check that broke off"),
		Says:  said.Say("One check broke off: that is the program's mistake, not yours. Everything else shown here stands."),
		Needs: []finding.Need{
			{
				Path:  path,
				Says:  said.Say("what makes it break off"),
				Where: said.Say("Look for a figure that was changed last, and change it back."),
			},
		},
	}
}
