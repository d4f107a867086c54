package study_test

import (
	"context"
	"fmt"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
)

// many is the demo plan with n trailers.
func many(tb testing.TB, n int) *plan.Plan {
	p := sample.Demo(tb, "skarrow-hut")
	t := p.Trailers["grey-flatbed"]
	for i := len(p.Trailers); i < n; i++ {
		p.Trailers[fmt.Sprintf("t-%d", i)] = t
	}
	o := p.Outings["gravel-day"]
	p.Outings["again"] = o
	return p
}

func BenchmarkCompare(b *testing.B) {
	for _, back := range []bool{false, true} {
		for _, n := range []int{6, 40} {
			b.Run(fmt.Sprintf("%d/back=%t", n, back), func(b *testing.B) {
				p := many(b, n)
				b.ReportAllocs()
				for b.Loop() {
					study.Compare(context.Background(), p, review.Request{}, back)
				}
			})
		}
	}
}
