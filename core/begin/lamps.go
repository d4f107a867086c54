package begin

import (
	"math"
	"strconv"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/plan"
)

// Where lamps begin (practice, C), m.
const (
	lampIn     = 0.10 // from the trailer's side
	lampHeight = 0.60 // over the ground
	fogIn      = 0.25

	wheelBeside = 0.30 // a lamp begins at most this far and lampIn inside wheels beside the deck: 0.4 m is the general rule
	plateUp     = 0.50
)

// along is where the pairs of a rule begin on the sides, behind the front board, m: at both ends where it wants them
// there, else evenly.
func along(r *norms.LampRule, tail float64) (out []float64) {
	if r.Ends {
		return []float64{0, tail}
	}
	for n := r.Least / 2; len(out) < n; {
		out = append(out, tail*float64(len(out)+1)/float64(n+1))
	}
	return out
}

// lamps are those that the region asks for in general, at the tail and along the sides; every one can be moved.
func lamps(p *plan.Plan, q *Asked) ([]finding.Op, error) {
	long, wide := deck(p, q.Trailer)
	half := float64(wide) / 2
	t := p.Trailers[q.Trailer]
	if t.Track != nil {
		half = math.Max(half, float64(t.Track.Value)/2)
	}
	gross := 0.0
	if t.Label != nil {
		gross = float64(t.Label.Value)
	}
	behind := 0.0
	if t.CouplingToDeck != nil {
		behind = float64(t.CouplingToDeck.Value)
	}
	broad := 2 * half
	if t.Track != nil { // over its tyres
		tyre := 0.165
		if w := norms.ReadTyre(t.TyreText).Width; w != nil {
			tyre = float64(*w)
		}
		broad = math.Max(broad, float64(t.Track.Value)+tyre)
	}
	if t.WidthOverAll != nil {
		broad = math.Max(broad, float64(t.WidthOverAll.Value))
	}
	half = math.Max(half, broad/2-wheelBeside)
	out := map[string]plan.Lamp{}
	put := func(what plan.LampUse, id string, back, right, up float64) {
		out[string(what)+id] = plan.Lamp{
			Order: len(out) + 1, What: what, Back: mm(back), Right: mm(right), Height: mm(up),
		}
	}
	fog := -fogIn // on the driver's side; the reverse lamp on the other
	if p.Region == quantity.UK {
		fog = fogIn
	}
	rules, _ := norms.LampRules(p.Region)
	tail, side := float64(long), half-lampIn
	for _, r := range rules {
		if !r.Asks(gross, broad, behind+float64(long)) {
			continue
		}
		what := plan.LampUse(r.What)
		switch what {
		case plan.LampPlate:
			put(what, "", tail, 0, plateUp)
		case plan.LampFog:
			put(what, "", tail, fog, lampHeight)
		case plan.LampReverse:
			put(what, "", tail, -fog, lampHeight)
		case plan.LampSideReflector, plan.LampMarker:
			for i, at := range along(&r, tail) {
				put(what, "-left-"+strconv.Itoa(i+1), at, -half, lampHeight)
				put(what, "-right-"+strconv.Itoa(i+1), at, half, lampHeight)
			}
		case plan.LampIdent:
			for i := range 3 {
				put(what, "-"+strconv.Itoa(i+1), tail, 0.2*float64(i-1), lampHeight)
			}
		case plan.LampOutline:
			put(what, "-left", tail, -half, lampHeight)
			put(what, "-right", tail, half, lampHeight)
			put(what, "-front-left", 0, -half, lampHeight)
			put(what, "-front-right", 0, half, lampHeight)
		case plan.LampFrontReflector, plan.LampFront:
			put(what, "-left", 0, -side, lampHeight)
			put(what, "-right", 0, side, lampHeight)
		default:
			put(what, "-left", tail, -side, lampHeight)
			put(what, "-right", tail, side, lampHeight)
		}
	}
	if t.Wiring != nil {
		w := *t.Wiring
		w.Lamps = out
		return []finding.Op{add("/trailers/"+q.Trailer+"/wiring", w)}, nil
	}
	return []finding.Op{add("/trailers/"+q.Trailer+"/wiring", plan.Wiring{Lamps: out})}, nil
}
