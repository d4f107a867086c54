package review_test

import (
	"fmt"
	"sort"
	"strings"
	"testing"

	"zygonos/core/lang/finding"
	"zygonos/core/plan"
	"zygonos/core/review"
)

func TestZZWide(t *testing.T) {
	full, paths := demoDoc(t)
	own := demoPlan(t, "ostrel-lock")
	hives := demoPlan(t, "heather-hives")
	seen := map[string]bool{}
	var lines []string
	n := 0
	for name, c := range map[string]struct {
		p     *plan.Plan
		paths []string
	}{"hut": {full, paths}, "lock": {own, pathsOf(t, own)}, "hives": {hives, pathsOf(t, hives)}} {
		has := map[string]bool{}
		for _, p := range c.paths {
			has[p] = true
		}
		for _, path := range c.paths {
			if !has[path+"/value"] || !has[path+"/how"] {
				continue
			}
			doc, _ := plan.Write(c.p)
			v, ok := numberAt(doc, path+"/value")
			if !ok || v == 0 {
				continue
			}
			d := 0.3 * v
			set := func(val, pm float64) *plan.Plan {
				ops := []finding.Op{{Op: "replace", Path: path + "/value", Value: val}, {Op: "add", Path: path + "/plusMinus", Value: pm}}
				if has[path+"/relative"] {
					ops = append(ops, finding.Op{Op: "remove", Path: path + "/relative"})
				}
				q, err := plan.Apply(c.p, ops)
				if err != nil {
					return nil
				}
				if ps := plan.Clean(q); len(ps) > 0 {
					return nil
				}
				return q
			}
			wide, lo, hi := set(v, d), set(v-d, 0), set(v+d, 0)
			if wide == nil {
				continue
			}
			for outing := range c.p.Outings {
				n++
				of := func(p *plan.Plan) map[string]finding.Finding {
					out := map[string]finding.Finding{}
					if p == nil {
						return out
					}
					rep := review.Review(p, review.Request{Outing: outing})
					if strings.HasPrefix(path, "/loads") {
						rep.Settle()
					}
					for _, f := range rep.Findings {
						out[f.Key()] = f
					}
					return out
				}
				w := of(wide)
				for end, p := range map[string]*plan.Plan{"-": lo, "+": hi} {
					for k, f := range of(p) {
						g, ok := w[k]
						if ok && f.Outcome == finding.Fails && g.Outcome == finding.Holds {
							key := path + end + f.Code
							if !seen[key] {
								seen[key] = true
								lines = append(lines, fmt.Sprintf("%s %s %s%s: %s | wide: %s", f.Code, name, path, end, f.Says.Text(c.p.Locale()), g.Says.Text(c.p.Locale())))
							}
						}
					}
				}
			}
		}
	}
	sort.Strings(lines)
	fmt.Println(n, "tried")
	for _, l := range lines {
		fmt.Println(l)
	}
}
