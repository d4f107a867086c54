package sample

import (
	"testing"

	"zygonos/core/plan"
	"zygonos/demo"
)

// Demo reads one of the demo's plans.
func Demo(t testing.TB, name string) *plan.Plan {
	t.Helper()
	data, err := demo.Files.ReadFile(name + ".zygonos.json")
	if err != nil {
		t.Fatal(err)
	}
	p, err := plan.Read(data)
	if err != nil {
		t.Fatal(err)
	}
	return p
}
