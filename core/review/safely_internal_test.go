package review

import (
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/lang/finding"
	"zygonos/core/rig"
)

// A check that breaks off is Not known, is stated, and leaves the others as they are.
func TestABrokenCheck(t *testing.T) {
	var told string
	Broke = func(what string, why any) { told = what }
	defer func() { Broke = func(string, any) {} }()
	r := rig.Resolve(sample.Plan(t), "t", "o")
	fs := found(r, "racks", func(*rig.Rig) []finding.Finding {
		var none []int
		return make([]finding.Finding, none[3])
	})
	if len(fs) != 1 || fs[0].Outcome != finding.Unknown || fs[0].Code != CodeBroken || told != "racks" ||
		len(fs[0].Needs) == 0 {
		t.Errorf("%+v, told %q", fs, told)
	}
	if fs := found(r, "racks", func(*rig.Rig) []finding.Finding { return nil }); len(fs) != 0 {
		t.Errorf("%+v", fs)
	}
}
