package study_test

import (
	"context"
	"fmt"
	"testing"

	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
	"zygonos/demo"
)

// many is the demo plan with n trailers.
func many(tb testing.TB, n int) *plan.Plan {
	data, err := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	if err != nil {
		tb.Fatal(err)
	}
	p, err := plan.Read(data)
	if err != nil {
		tb.Fatal(err)
	}
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
