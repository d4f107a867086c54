package study

import (
	"strings"

	"zygonos/core/ask/rack"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// Drawing is the drawing of a rack by its part's path, or the rig's view of that
// name; nil where there is none.
func Drawing(p *plan.Plan, q review.Request, key string) *scene.View {
	rep := review.Review(p, q)
	if id, ok := strings.CutPrefix(key, "/parts/"); ok {
		part, has := p.Parts[id]
		if !has || part.Rack == nil {
			return nil
		}
		v := rack.Drawing(&part)
		return &v
	}
	for i := range rep.Views {
		if rep.Views[i].ID == key {
			return &rep.Views[i]
		}
	}
	return nil
}
