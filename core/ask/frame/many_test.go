package frame_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"zygonos/core/ask/frame"
	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/rig"
)

// So many members as no trailer has are not computed: it says so at once, and nothing of the frame holds.
func TestManyMembers(t *testing.T) {
	for _, n := range []int{rig.MostMembers, rig.MostMembers + 1, 4000} {
		var members []string
		for i := range n {
			at := 2.4 * float64(i) / float64(n)
			members = append(members, fmt.Sprintf(`"m%d":{"order":%d,"name":"Bar %d","from":{"back":%v,"right":-0.6},"to":{"back":%v,"right":0.6},
				"profile":{"shape":"tube","height":0.03,"width":0.002,"wall":0.0009,"material":"s235"}}`, i, i+1, i, at, at))
		}
		p := sample.Plan(t, "/trailers/t/frame", `{"members":{`+strings.Join(members, ",")+`}}`)
		began := time.Now()
		fs, _ := frame.Check(rig.Resolve(p, "t", "o"))
		if d := time.Since(began); d > 10*time.Second {
			t.Errorf("%d members take %v", n, d)
		}
		told := sample.Find(t, fs, frame.CodeWhole)
		if many := n > rig.MostMembers; many != strings.Contains(told.Says.Text(quantity.Locale{}), "is the limit") || told.Outcome != finding.Unknown {
			t.Errorf("%d: %s %s", n, told.Outcome, told.Says.Text(quantity.Locale{}))
		}
		for _, f := range fs {
			if f.Outcome == finding.Holds {
				t.Errorf("%d: %s holds: %s", n, f.Code, f.Says.Text(quantity.Locale{}))
			}
		}
	}
}
