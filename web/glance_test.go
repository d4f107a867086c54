package web_test

import (
	"encoding/json"
	"strings"
	"testing"

	"zygonos/web"
)

// An example becomes a plan of its own, and its card tells what the plan comes to.
func TestExampleAndGlance(t *testing.T) {
	c := start(t, "")
	var list []web.Example
	_, _, text := c.do("GET", "/api/examples", "")
	if err := json.Unmarshal([]byte(text), &list); err != nil || len(list) < 2 || list[0].Name == "" {
		t.Fatalf("%v %s", err, text)
	}
	var made [2]web.Saved
	for i := range made {
		code, _, text := c.do("POST", "/api/examples/"+list[0].ID, "")
		if err := json.Unmarshal([]byte(text), &made[i]); err != nil || code != 201 {
			t.Fatalf("%d %s", code, text)
		}
	}
	if made[0].ID == made[1].ID || made[0].ID == list[0].ID {
		t.Errorf("not a plan of its own: %v", made)
	}
	var g web.Glance
	code, _, text := c.do("GET", "/api/plans/"+made[0].ID+"/glance", "")
	if err := json.Unmarshal([]byte(text), &g); err != nil || code != 200 || g.View == nil ||
		len(g.View.Shapes) < 10 ||
		len(g.Headline.Says) == 0 {
		t.Fatalf("%d %.300s", code, text)
	}
	for _, s := range g.View.Shapes {
		if s.Form == "text" {
			t.Error("words in a small drawing")
		}
	}
	for _, path := range []string{"/api/examples/none", "/api/examples/..%2fdemo"} {
		if code, _, text := c.do("POST", path, ""); code != 404 || !strings.Contains(text, "no such plan") {
			t.Errorf("%s: %d %s", path, code, text)
		}
	}
	if code, _, _ := c.do("GET", "/api/plans/none/glance", ""); code != 404 {
		t.Errorf("glance of nothing: %d", code)
	}
}
