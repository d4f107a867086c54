package workshop_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/ask/workshop"
	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// redrawn is the frame after what was taped went into the plan.
func redrawn(t *testing.T, frame string, taped map[string]string) map[string]plan.Member {
	t.Helper()
	p := sample.Plan(t, "/trailers/t/frame", frame)
	docs := map[string]string{}
	for id, long := range taped {
		docs["built-t-m-"+id] = `{"kind":"built","built":{"what":"member","long":` + long + `}}`
	}
	all := happened(t, docs)
	next, err := plan.Apply(p, workshop.Built(rig.Resolve(p, "t", "o"), all).Use)
	if err != nil {
		t.Fatal(err)
	}
	if problems := plan.Clean(next); len(problems) > 0 {
		t.Fatal(problems)
	}
	if again := workshop.Built(rig.Resolve(next, "t", "o"), all).Use; len(again) != 0 {
		t.Errorf("once it is in the plan, %+v is left", again)
	}
	return next.Trailers["t"].Frame.Members
}

// What was taped as it was drawn moves nothing; a member drawn the other way about moves the same end.
func TestTapedAsDrawn(t *testing.T) {
	was := sample.Plan(t, "/trailers/t/frame", ladder("weld")).Trailers["t"].Frame.Members
	same := redrawn(t, ladder("weld"), map[string]string{"left": "2.4", "b": "1.2"})
	for id := range was {
		if same[id].From != was[id].From || same[id].To != was[id].To {
			t.Errorf("%s moved", id)
		}
	}
	turned := strings.Replace(ladder("weld"), `"left","role":"rail","from":{"back":0,"right":-0.6,"up":-0.05},"to":{"back":2.4,"right":-0.6,"up":-0.05}`,
		`"left","role":"rail","from":{"back":2.4,"right":-0.6,"up":-0.05},"to":{"back":0,"right":-0.6,"up":-0.05}`, 1)
	a, b := redrawn(t, ladder("weld"), map[string]string{"left": "2.42"}), redrawn(t, turned, map[string]string{"left": "2.42"})
	if a["left"].To != b["left"].From || a["left"].From != b["left"].To || math.Abs(float64(a["left"].To.Back)-2.42) > 1e-9 {
		t.Errorf("%+v, turned %+v", a["left"], b["left"])
	}
}

// The left rail longer alone leaves the rear member askew; mirrored, the right one does as much to the other side.
func TestTapedMirrored(t *testing.T) {
	l, r := redrawn(t, ladder("weld"), map[string]string{"left": "2.43"}), redrawn(t, ladder("weld"), map[string]string{"right": "2.43"})
	if l["c"].From.Back != r["c"].To.Back || l["c"].To.Back != r["c"].From.Back || l["c"].From.Back == l["c"].To.Back {
		t.Errorf("%+v, mirrored %+v", l["c"], r["c"])
	}
	wide := redrawn(t, ladder("weld"), map[string]string{"a": "1.21", "b": "1.21", "c": "1.21"})
	if math.Abs(float64(wide["left"].From.Right)+0.605) > 1e-6 || math.Abs(float64(wide["right"].To.Right)-0.605) > 1e-6 {
		t.Errorf("the rails do not go along: %+v %+v", wide["left"], wide["right"])
	}
}

// A front member taped shorter draws the rails' fronts in; what is not at its ends stays.
func TestTapedCorner(t *testing.T) {
	f := redrawn(t, ladder("weld"), map[string]string{"a": "1.19"})
	if math.Abs(float64(f["left"].From.Right)+0.595) > 1e-6 || f["left"].To.Right != -0.6 || f["b"].From.Right != -0.6 {
		t.Errorf("%+v %+v", f["left"], f["b"])
	}
}
