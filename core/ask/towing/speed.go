package towing

import (
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/rig"
)

// TyreSpeed is the greatest speed of the trailer's tyres, m/s: as printed plainly, by its speed symbol
// or by the wall's text the least, where they differ.
func TyreSpeed(r *rig.Rig) (v quantity.Speed, ok bool) {
	if s := r.Trailer.TyreSpeed; s != nil {
		v, ok = *s, true
	}
	for _, symbol := range []string{r.Trailer.TyreSymbol, r.Tyre().Symbol} {
		if s, has := norms.TyreSpeed(symbol); has && (!ok || s < v) {
			v, ok = s, true
		}
	}
	return v, ok
}

func tyreSpeed(r *rig.Rig) (finding.Finding, bool) {
	f := finding.Finding{Code: CodeTyreSpeed, Stage: "trailer", Scope: r.Scope, Gate: finding.GateBuy,
		Subject: "/trailers/" + r.Scope.Trailer, Title: said.Say("{Tyre} speed"), Source: &norms.SpeedSource}
	if r.Outing == nil {
		return f, false
	}
	limit, ok := TyreSpeed(r)
	if r.Outing.Speed == nil {
		return slowTyres(r, f, limit, ok)
	}
	if !ok {
		f.Outcome = finding.Unknown
		f.Says = said.Say("{Tyre} speed not known: read the letter behind the load index.")
		f.Needs = []finding.Need{
			{
				Path: f.Subject + "/tyreText",
				Says: said.Say("the {tyre}'s speed letter"),
				Where: said.Say(
					"It follows the load index on the {tyre}'s wall; small wheels may print it as max mph.",
				),
			},
		}
		return f, true
	}
	v := *r.Outing.Speed
	return judgeSpeed(
		f,
		v,
		limit,
		"The {tyre}s are made for % at most, and this outing drives %. Slow down or fit others.",
		"The {tyre}s are made for %, and this outing drives %.",
	), true
}

// slowTyres tells, where an outing says no speed, of tyres that are slower than what is allowed with a trailer.
func slowTyres(r *rig.Rig, f finding.Finding, limit quantity.Speed, known bool) (finding.Finding, bool) {
	road := RoadSpeed(r)
	if !known || road == nil || float64(*road-limit) <= 0.14 {
		return f, false
	}
	f.Outcome, f.Tight = finding.Tight, finding.LittleRoom
	f.Figure, f.Limit = finding.Exactly(quantity.KindSpeed, *road), finding.Exactly(quantity.KindSpeed, limit)
	f.Says = said.Say("The {tyre}s are made for % at most, and % is allowed with a trailer here: drive no faster than the {tyre}s allow.",
		said.Of(quantity.KindSpeed, limit), said.Of(quantity.KindSpeed, *road))
	return f, true
}

// roadSpeed holds the outing's speed against the region's limit with a trailer.
func roadSpeed(r *rig.Rig) (finding.Finding, bool) {
	f := finding.Finding{Code: CodeRoadSpeed, Stage: "job", Scope: r.Scope, Gate: finding.GateGo,
		Subject: "/outings/" + r.Scope.Outing, Title: said.Say("Speed with a trailer")}
	if r.Outing == nil || r.Outing.Speed == nil {
		return f, false
	}
	rules := norms.RoadOf(r.Plan.Region)
	limit := RoadSpeed(r)
	if limit == nil {
		return f, false
	}
	f.Source = &rules.SpeedFrom
	return judgeSpeed(
		f,
		*r.Outing.Speed,
		*limit,
		"The limit with a trailer on this road is %, and the plan says %. Slow down.",
		"The limit with a trailer here is %, and the plan says %.",
	), true
}

// RoadSpeed is the general limit with a trailer on the outing's road; nil where
// states or countries set it.
func RoadSpeed(r *rig.Rig) *quantity.Speed {
	rules := norms.RoadOf(r.Plan.Region)
	if r.Outing != nil && r.Outing.Road == "motorway" {
		return rules.Motorway
	}
	return rules.Open
}

func judgeSpeed(f finding.Finding, v, limit quantity.Speed, over, within string) finding.Finding {
	f.Figure, f.Limit = finding.Exactly(quantity.KindSpeed, v), finding.Exactly(quantity.KindSpeed, limit)
	margin := float64((limit - v) / limit)
	f.Margin = &margin
	says := within
	f.Outcome = finding.Holds
	// Speeds are driven by the clock: what prints alike is alike.
	if float64(v-limit) > 0.14 {
		f.Outcome, says = finding.Fails, over
	}
	f.Says = said.Say(says, said.Of(quantity.KindSpeed, limit), said.Of(quantity.KindSpeed, v))
	return f
}
