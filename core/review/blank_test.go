package review_test

import (
	"strings"
	"testing"

	"zygonos/core/finding"
	"zygonos/core/internal/sample"
	"zygonos/core/review"
)

// A weight without a value, or of zero, is one that nobody knows: nothing that takes it may
// hold. The chain's sixteen links once did.
func TestMassOfZeroIsBlank(t *testing.T) {
	for _, path := range []string{"/loads/crate/mass", "/trailers/t/empty", "/towVehicles/car/kerb", "/outings/o/people"} {
		for _, none := range []string{`{"how":"guessed"}`, `{"value":0,"how":"weighed"}`} {
			put := []string{path, none, "/loads/crate/kind", `""`}
			if path == "/trailers/t/empty" {
				put = []string{path + "/mass", none, path + "/axle", "-", "/trailers/t/deckLength", "-"}
			}
			rep := review.Review(sample.Plan(t, put...), review.Request{})
			for i := range rep.Findings {
				f := &rep.Findings[i]
				reads := strings.HasPrefix(f.Code, "towing.link.") || f.Code == "balance.ball-window" || f.Code == "towing.payload"
				if path == "/towVehicles/car/kerb" || path == "/outings/o/people" {
					reads = f.Code == "towing.link.car-gross" || f.Code == "towing.link.train" || f.Code == "towing.link.rear" && path == "/outings/o/people"
				}
				if reads && f.Outcome == finding.Holds && f.Code != "towing.link.hitch-d" {
					t.Errorf("%s %s: %s holds", path, none, f.Code)
				}
			}
		}
	}
}
