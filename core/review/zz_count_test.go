package review_test

import (
	"fmt"
	"testing"

	"zygonos/core/plan"
)

func TestZZCount(t *testing.T) {
	for _, name := range []string{"skarrow-hut", "ostrel-lock", "heather-hives"} {
		p := demoPlan(t, name)
		paths := pathsOf(t, p)
		has := map[string]bool{}
		for _, x := range paths {
			has[x] = true
		}
		doc, _ := plan.Write(p)
		n := map[string]int{}
		for _, x := range paths {
			if has[x+"/value"] && has[x+"/how"] {
				q := how(doc, x+"/how")
				n[q]++
				if q == "guessed" || q == "typical" {
					v, _ := numberAt(doc, x+"/value")
					fmt.Println(name, x, q, v)
				}
			}
		}
		fmt.Println(name, n)
	}
}
