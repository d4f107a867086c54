package study

import (
	"slices"
	"strings"

	"zygonos/core/ask/frame"
	"zygonos/core/ask/rack"
	"zygonos/core/ask/wiring"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// wires is the harness on the trailer from above, or its diagram.
func wires(r *rig.Rig, key string) *scene.View {
	h := wiring.New(r)
	switch {
	case h == nil:
		return nil
	case key == "wiring-diagram":
		return h.Diagram()
	}
	return &wiring.Show(r, nil).View
}

// Drawing is the drawing of a rack by its part's path, or the rig's or its frame's
// view of that name; nil where there is none.
func Drawing(p *plan.Plan, q review.Request, key string) *scene.View {
	review.Ready(p)
	if id, ok := strings.CutPrefix(key, "frame-piece/"); ok {
		return frame.PieceSheet(rig.Resolve(p, q.Trailer, q.Outing), id)
	}
	if key == "frame-sheet" {
		return frame.Sheet(rig.Resolve(p, q.Trailer, q.Outing))
	}
	if strings.HasPrefix(key, "wiring") {
		return wires(rig.Resolve(p, q.Trailer, q.Outing), key)
	}
	rep := review.Review(p, q)
	if id, ok := strings.CutPrefix(key, "/parts/"); ok {
		part, has := p.Parts[id]
		if !has || part.Rack == nil {
			return nil
		}
		v := rack.Drawing(&part)
		return &v
	}
	views := rep.Views
	if rep.Frame != nil {
		views = append(views, rep.Frame.Views...)
	}
	for i := range views {
		if v := &views[i]; v.ID == key {
			v.Shapes = slices.DeleteFunc(
				slices.Clone(v.Shapes),
				func(s scene.Shape) bool { return s.Class == "grip" },
			)
			return v
		}
	}
	return nil
}
