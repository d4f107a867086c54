package rig

import (
	"strings"

	"zygonos/core/lang/said"
	"zygonos/core/sums/statics"
)

// PlaceAdvice says how the place of a weight, which a guess leaves open, is
// found out.
func (r *Rig) PlaceAdvice(g statics.Guess) said.Sentence {
	name := said.Name(g.Name, "the load")
	if strings.HasSuffix(g.Path, "/empty/ball") {
		return said.Say("put a scale under the {coupling} of %, empty", name)
	}
	if r.Group != nil {
		for _, n := range r.Group.Needs {
			if n.Path == g.Path {
				return append(said.Say("find out "), n.Says...)
			}
		}
		if strings.HasSuffix(g.Path, "/sinks") {
			return said.Say("tape the heights of ball and {coupling} again")
		}
	}
	for i := range r.Items {
		if it := &r.Items[i]; it.Shape == "heap" && strings.HasPrefix(g.Path, it.Path+"/") {
			return said.Say("rake % level and tape its two ends", name)
		}
	}
	return said.Say("find where the weight of % lies: weigh both its ends", name)
}
