package parallel_test

import (
	"sync/atomic"
	"testing"

	"zygonos/core/sums/parallel"
)

// Each thing is done once; what breaks one is raised where it was asked for.
func TestEach(t *testing.T) {
	var done [100]atomic.Int32
	parallel.Each(len(done), func(i int) { done[i].Add(1) })
	for i := range done {
		if n := done[i].Load(); n != 1 {
			t.Errorf("%d was done %d times", i, n)
		}
	}
	parallel.Each(0, func(int) { t.Error("nothing was asked") })
	defer func() {
		if why := recover(); why != "no" {
			t.Errorf("raised %v", why)
		}
	}()
	parallel.Each(8, func(i int) {
		if i == 3 {
			panic("no")
		}
	})
	t.Error("it went on")
}
