package begin

import (
	"zygonos/core/lang/finding"
	"zygonos/core/plan"
)

// stands are four at the deck's corners, in order round the frame, to be read.
func stands(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	t := p.Trailers[q.Trailer]
	long, wide := deck(p, q.Trailer)
	w := plan.Workshop{}
	if t.Workshop != nil {
		w = *t.Workshop
	}
	l := plan.LevelRead{}
	if w.Level != nil {
		l = *w.Level
	}
	l.Stands = map[string]plan.LevelStand{
		"front-left":  {Order: 1, Name: "front left", Right: -wide / 2},
		"front-right": {Order: 2, Name: "front right", Right: wide / 2},
		"rear-right":  {Order: 3, Name: "rear right", Back: long, Right: wide / 2},
		"rear-left":   {Order: 4, Name: "rear left", Back: long, Right: -wide / 2},
	}
	w.Level = &l
	return []finding.Op{add("/trailers/"+q.Trailer+"/workshop", w)}, nil
}
