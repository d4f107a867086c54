// Package parallel does independent things at once.
package parallel

import (
	"fmt"
	"runtime"
	"sync"
	"sync/atomic"
)

// Each does n independent things on all processors; the order of what comes out is the caller's, so that the
// same plan gives the same answer. What breaks one of them breaks whoever asked, not the program.
func Each(n int, do func(int)) {
	var wait sync.WaitGroup
	var next atomic.Int64
	var broken atomic.Value
	for range min(n, runtime.GOMAXPROCS(0)) {
		wait.Go(func() {
			defer func() {
				if why := recover(); why != nil {
					broken.CompareAndSwap(nil, fmt.Sprint(why))
				}
			}()
			for i := int(next.Add(1)) - 1; i < n; i = int(next.Add(1)) - 1 {
				do(i)
			}
		})
	}
	wait.Wait()
	if why := broken.Load(); why != nil {
		panic(why)
	}
}
