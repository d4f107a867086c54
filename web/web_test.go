package web_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/gofiber/fiber/v3"

	"zygonos/demo"
	"zygonos/store"
	"zygonos/web"
)

type client struct {
	t      *testing.T
	app    *fiber.App
	store  *store.Store
	path   string // of the database
	cookie string
}

func start(t *testing.T, passcode string) *client {
	t.Helper()
	path := filepath.Join(t.TempDir(), "web.db")
	s, err := store.Open(t.Context(), path)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { s.Close() })
	files := fstest.MapFS{"index.html": {Data: []byte("<!doctype html>page")}, "assets/a.js": {Data: []byte("1")}}
	if passcode != "" {
		if err := s.SetSetting(t.Context(), web.PasscodeKey, passcode); err != nil {
			t.Fatal(err)
		}
	}
	return &client{t: t, store: s, path: path, app: web.New(web.Config{Store: s, Files: files, Hosts: []string{"garage.lan"}, Asks: passcode != ""})}
}

func (c *client) do(method, path, body string, headers ...string) (int, http.Header, string) {
	c.t.Helper()
	req := httptest.NewRequest(method, path, strings.NewReader(body))
	req.Host = "127.0.0.1:8484"
	req.Header.Set("Content-Type", "application/json")
	if c.cookie != "" {
		req.Header.Set("Cookie", c.cookie)
	}
	for i := 0; i+1 < len(headers); i += 2 {
		if headers[i] == "Host" {
			req.Host = headers[i+1]
		} else {
			req.Header.Set(headers[i], headers[i+1])
		}
	}
	res, err := c.app.Test(req, fiber.TestConfig{Timeout: 20 * time.Second})
	if err != nil {
		c.t.Fatal(err)
	}
	defer res.Body.Close()
	data, _ := io.ReadAll(res.Body)
	return res.StatusCode, res.Header, string(data)
}

func hut(t *testing.T) string {
	t.Helper()
	data, err := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	if err != nil {
		t.Fatal(err)
	}
	var b bytes.Buffer
	if err := json.Compact(&b, data); err != nil {
		t.Fatal(err)
	}
	return b.String()
}

func saving(id string, n int, plan string) string {
	return fmt.Sprintf(`{"id":%q,"saveId":"00000000-0000-4000-8000-%012d","sitting":"tab","plan":%s}`, id, n, plan)
}

func TestPlans(t *testing.T) {
	c := start(t, "")
	plan := hut(t)
	code, head, body := c.do("POST", "/api/plans", saving("hut", 1, plan))
	if code != 201 || head.Get("ETag") != `"1"` {
		t.Fatalf("create: %d %s", code, body)
	}
	if code, head, _ = c.do("PUT", "/api/plans/hut", saving("", 2, plan), "If-Match", `"1"`); code != 200 || head.Get("ETag") != `"2"` {
		t.Errorf("update: %d", code)
	}
	if code, _, _ = c.do("PUT", "/api/plans/hut", saving("", 2, plan), "If-Match", `"1"`); code != 200 {
		t.Errorf("a retry of it: %d", code)
	}
	code, head, body = c.do("PUT", "/api/plans/hut", saving("", 3, plan), "If-Match", `"1"`)
	if code != 412 || head.Get("Content-Type") != "application/problem+json" || !strings.Contains(body, "changed elsewhere") {
		t.Errorf("a stale save: %d %s", code, body)
	}
	if code, _, _ = c.do("PUT", "/api/plans/hut", saving("", 4, plan)); code != 428 {
		t.Errorf("without If-Match: %d", code)
	}
	code, _, body = c.do("GET", "/api/plans/hut", "")
	var stored struct {
		Revision int
		Plan     struct{ Name string }
	}
	if err := json.Unmarshal([]byte(body), &stored); err != nil || code != 200 || stored.Revision != 2 || stored.Plan.Name != "Skarrow Hut crew" {
		t.Errorf("get: %d %v %+v", code, err, stored)
	}
	if code, head, body = c.do("GET", "/api/plans/hut/file", ""); code != 200 || !strings.Contains(head.Get("Content-Disposition"), `"skarrow-hut-crew.zygonos.json"`) {
		t.Errorf("file: %d", code)
	}
	if code, _, body = c.do("POST", "/api/plans/import", body); code != 201 {
		t.Errorf("import of what was exported: %d %s", code, body)
	}
	if _, _, body = c.do("GET", "/api/plans", ""); strings.Count(body, `"id"`) != 2 {
		t.Errorf("list: %s", body)
	}
	if code, _, _ = c.do("DELETE", "/api/plans/hut", ""); code != 204 {
		t.Errorf("delete: %d", code)
	}
	if code, _, _ = c.do("GET", "/api/plans/hut", ""); code != 404 {
		t.Errorf("deleted: %d", code)
	}
	if code, _, _ = c.do("POST", "/api/plans/hut/restore", ""); code != 204 {
		t.Errorf("restore: %d", code)
	}
	if _, _, body = c.do("GET", "/api/plans/hut/revisions", ""); !strings.Contains(body, `"revision":2`) {
		t.Errorf("history: %s", body)
	}
	if code, _, _ = c.do("GET", "/api/plans/hut/revisions/2", ""); code != 200 {
		t.Errorf("a revision: %d", code)
	}
}

func TestReviewAndWorking(t *testing.T) {
	c := start(t, "")
	for _, want := range []string{"live", "settled"} {
		code, _, body := c.do("POST", "/api/review", `{"outing":"gravel-day","trailer":"grey-flatbed","want":"`+want+`","plan":`+hut(t)+`}`)
		if code != 200 || !strings.Contains(body, "balance.ball-window") || strings.Contains(body, `"fixes":[`) != (want == "settled") {
			t.Errorf("%s: %d", want, code)
		}
	}
	key := "balance.ball-window|grey-flatbed|gravel-day||five-seven|/trailers/grey-flatbed"
	code, _, body := c.do("POST", "/api/working", `{"outing":"gravel-day","trailer":"grey-flatbed","key":"`+key+`","plan":`+hut(t)+`}`)
	if code != 200 || !strings.Contains(body, "R_axle = Σ mᵢ·xᵢ / L") {
		t.Errorf("working: %d %s", code, body)
	}
	if _, _, body = c.do("GET", "/api/reference", ""); !strings.Contains(body, `"five-seven"`) || !strings.Contains(body, "noseweight") {
		t.Error("the reference lacks windows or words")
	}
}

func TestBadRequests(t *testing.T) {
	c := start(t, "")
	for _, x := range []struct {
		method, path, body string
		code               int
		word               string
	}{
		{"POST", "/api/plans", `{`, 400, "not readable"},
		{"POST", "/api/plans", `{"id":"a","saveId":"x","plan":{}}`, 400, "no id of its own"},
		{"POST", "/api/plans", saving("a", 1, `{"format":"other"}`), 422, "/format"},
		{"POST", "/api/plans", saving("a", 1, strings.Replace(hut(t), `"name"`, `"nane"`, 1)), 422, `"field":"`},
		{"POST", "/api/plans", saving("../x", 1, hut(t)), 400, "no id of its own"},
		{"POST", "/api/plans/import", `[1]`, 422, "holds no plan"},
		{"POST", "/api/review", `{"plan":3}`, 400, "not readable"},
		{"POST", "/api/review", `{}`, 400, "no plan"},
		{"GET", "/api/plans/none", "", 404, "no such plan"},
		{"GET", "/api/plans/hut/revisions/x", "", 404, "no such plan"},
		{"GET", "/api/nothing", "", 404, "nothing at this address"},
	} {
		code, head, body := c.do(x.method, x.path, x.body)
		if code != x.code || !strings.Contains(body, x.word) || head.Get("Content-Type") != "application/problem+json" {
			t.Errorf("%s %s: %d %s", x.method, x.path, code, body)
		}
	}
	// A value that makes no sense is judged all the same, and named.
	code, _, body := c.do("POST", "/api/review", `{"plan":`+strings.Replace(hut(t), `"value":640`, `"value":-640`, 1)+`}`)
	if code != 200 || !strings.Contains(body, `"problems":[{"path":"/loads/pea-gravel/mass"`) {
		t.Errorf("a negative weight: %d", code)
	}
}

func TestTooLarge(t *testing.T) {
	c := start(t, "")
	code, _, body := c.do("POST", "/api/plans/import", `{"format":"zygonos-plan","notes":"`+strings.Repeat("x", 8<<20)+`"}`)
	if code != 413 && code != 422 || !strings.Contains(body, "large") {
		t.Errorf("%d %.200s", code, body)
	}
}

// Other names and other pages are refused; pages and headers are as they should be.
func TestGuards(t *testing.T) {
	c := start(t, "")
	for _, x := range []struct {
		name    string
		headers []string
		code    int
	}{
		{"same origin", []string{"Origin", "http://127.0.0.1:8484"}, 201},
		{"other origin", []string{"Origin", "http://evil.example"}, 403},
		{"other port", []string{"Origin", "http://127.0.0.1:9999"}, 403},
		{"cross site", []string{"Sec-Fetch-Site", "cross-site"}, 403},
		{"foreign name", []string{"Host", "evil.example"}, 421},
		{"named host", []string{"Host", "garage.lan:8484"}, 201},
	} {
		if code, _, body := c.do("POST", "/api/plans/import", hut(t), x.headers...); code != x.code {
			t.Errorf("%s: %d %s", x.name, code, body)
		}
	}
	code, head, body := c.do("GET", "/plan/hut/balance", "")
	if code != 200 || !strings.Contains(body, "page") || head.Get("Cache-Control") != "no-cache" {
		t.Errorf("the page: %d %s", code, body)
	}
	csp := head.Get("Content-Security-Policy")
	if !strings.Contains(csp, "script-src 'self'") || strings.Contains(csp, "unsafe") || head.Get("X-Content-Type-Options") != "nosniff" {
		t.Errorf("headers: %v", head)
	}
	if code, head, _ := c.do("GET", "/assets/a.js", ""); code != 200 || !strings.Contains(head.Get("Cache-Control"), "immutable") {
		t.Errorf("an asset: %d", code)
	}
	if code, _, _ := c.do("GET", "/assets/none.js", ""); code != 404 {
		t.Errorf("an asset that is not there: %d", code)
	}
}

func TestPasscode(t *testing.T) {
	hash, err := web.HashPasscode("tarn-and-heather")
	if err != nil || strings.Contains(hash, "tarn") {
		t.Fatalf("%q, %v", hash, err)
	}
	c := start(t, hash)
	if code, _, _ := c.do("GET", "/api/plans", ""); code != 401 {
		t.Errorf("without: %d", code)
	}
	if code, _, _ := c.do("POST", "/api/session", `{"passcode":"wrong"}`); code != 401 {
		t.Errorf("wrong: %d", code)
	}
	code, head, _ := c.do("POST", "/api/session", `{"passcode":"tarn-and-heather"}`)
	set := head.Get("Set-Cookie")
	if code != 204 || !strings.Contains(set, "HttpOnly") || !strings.Contains(set, "SameSite=Strict") {
		t.Fatalf("right: %d %s", code, set)
	}
	c.cookie, _, _ = strings.Cut(set, ";")
	if code, _, _ := c.do("GET", "/api/plans", ""); code != 200 {
		t.Errorf("with: %d", code)
	}
	// A phone pairs with a short code, once, under the address that the server is called by.
	code, _, text := c.do("POST", "/api/pair", `{"path":"/plan/x/road"}`, "Host", "192.168.1.20:8484")
	var p web.Pairing
	if err := json.Unmarshal([]byte(text), &p); err != nil || code != 200 || len(p.Code) != 6 || p.Minutes != 10 || p.Addresses[0] != "http://192.168.1.20:8484" || !strings.HasPrefix(p.QR, "data:image/svg+xml;base64,") {
		t.Fatalf("%d %.200s", code, text)
	}
	c.cookie = ""
	if code, head, _ = c.do("POST", "/api/session", `{"passcode":"`+p.Code+`"}`); code != 204 {
		t.Errorf("short code: %d", code)
	}
	phone, _, _ := strings.Cut(head.Get("Set-Cookie"), ";")
	c.cookie = phone
	if code, _, _ := c.do("GET", "/api/plans", ""); code != 200 {
		t.Errorf("the phone: %d", code)
	}
	c.cookie = ""
	if code, _, _ = c.do("POST", "/api/session", `{"passcode":"`+p.Code+`"}`); code != 401 {
		t.Errorf("the code again: %d", code)
	}
	if code, _, _ := c.do("POST", "/api/pair", `{}`); code != 401 {
		t.Errorf("pairing without the passcode: %d", code)
	}
	for range 6 {
		code, _, _ = c.do("POST", "/api/session", `{"passcode":"guess"}`)
	}
	if code != 429 {
		t.Errorf("after many tries: %d", code)
	}
}

// The comparison, who tows what, the gate before buying and the tables answer.
func TestStudies(t *testing.T) {
	c := start(t, "")
	body := `{"trailer":"grey-flatbed","outing":"boat-day","back":true,"plan":` + hut(t) + `}`
	for path, want := range map[string]string{
		"/api/compare": `"candidates":[{"id":"grey-flatbed"`, "/api/tows": `"vehicle":"crew-pickup"`, "/api/buy": `"growth":[{`,
		"/api/comparison.csv": "name,comes,chosen", "/api/axle": `"rows":[{"outing":"gravel-day"`, "/api/scales": `"expect":[{"what":"ball"`,
		"/api/arrange": `"done":{"options":[{"name"`,
	} {
		code, _, text := c.do("POST", path, body)
		if code != 200 || !strings.Contains(text, want) {
			t.Errorf("%s: %d %.200s", path, code, text)
		}
	}
	for path, want := range map[string]string{"/api/drawing.svg": "<svg xmlns", "/api/drawing.dxf": "AC1009", "/api/cutlist.csv": "cross bar, top", "/api/racks": `"kind":"tall"`, "/api/ties": `"loads":[{"name":"Rowing skiff"`,
		"/api/ramp-places": `No ramps in this outing yet`, "/api/loads.csv": "Green canoe,", "/api/lashings.csv": "load,strap,from",
		"/api/pair": `"addresses":[]`, "/api/card.html": "<h1>"} {
		for _, key := range []string{"/parts/boat-rack", "rear"} {
			code, head, text := c.do("POST", path, strings.Replace(body, `"back":true`, `"key":"`+key+`"`, 1))
			if code != 200 || !strings.Contains(text, want) || strings.HasPrefix(path, "/api/drawing") && !strings.Contains(head.Get("Content-Disposition"), "attachment") {
				t.Errorf("%s %s: %d %.100s", path, key, code, text)
			}
		}
	}
	if code, _, _ := c.do("POST", "/api/drawing.svg", strings.Replace(body, `"back":true`, `"key":"nothing"`, 1)); code != 404 {
		t.Errorf("no such drawing: %d", code)
	}
	code, head, text := c.do("GET", "/api/candidates.csv", "")
	if code != 200 || !strings.HasPrefix(text, "name,comes,price") || !strings.Contains(head.Get("Content-Disposition"), "candidates.csv") {
		t.Errorf("template: %d %.100s", code, text)
	}
	csv, _ := json.Marshal("name;price\nA;900\nB;cheap\n")
	code, _, text = c.do("POST", "/api/candidates", `{"csv":`+string(csv)+`,"plan":`+hut(t)+`}`)
	if code != 200 || !strings.Contains(text, `"good":1`) || !strings.Contains(text, `"line":3,"column":2`) {
		t.Errorf("candidates: %d %s", code, text)
	}
	code, _, text = c.do("POST", "/api/candidates", `{"csv":"","plan":`+hut(t)+`}`)
	if code != 422 || !strings.Contains(text, "heading") {
		t.Errorf("empty table: %d %s", code, text)
	}
	code, _, _ = c.do("POST", "/api/compare", `{"trailer":"x"}`)
	if code != 400 {
		t.Errorf("no plan: %d", code)
	}
}
