package web_test

import (
	"bytes"
	"compress/gzip"
	"database/sql"
	"encoding/json"
	"fmt"
	"log"
	"net/http"
	"runtime"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"

	"zygonos/web"
)

// A packed body is refused before anyone unpacks it, whatever it would come to.
func TestPackedBodies(t *testing.T) {
	hash, _ := web.HashPasscode("tarn-and-heather")
	for _, c := range []*client{start(t, ""), start(t, hash)} {
		var once, twice bytes.Buffer
		z := gzip.NewWriter(&once)
		_, _ = z.Write(make([]byte, 64<<20))
		z.Close()
		z = gzip.NewWriter(&twice)
		_, _ = z.Write(once.Bytes())
		z.Close()
		var before, after runtime.MemStats
		runtime.ReadMemStats(&before)
		for path, encoding := range map[string]string{"/api/session": "gzip", "/api/plans/import": "gzip, gzip", "/api/review": "br", "/api/plans": "deflate"} {
			code, head, text := c.do("POST", path, twice.String(), "Content-Encoding", encoding)
			if code != 415 || !strings.HasPrefix(head.Get("Content-Type"), "application/problem+json") {
				t.Errorf("%s %s: %d %.100s", path, encoding, code, text)
			}
		}
		runtime.ReadMemStats(&after)
		if grown := after.TotalAlloc - before.TotalAlloc; grown > 16<<20 {
			t.Errorf("refusing took %d MB", grown>>20)
		}
	}
}

// Whom nobody knows may send little.
func TestSmallBodies(t *testing.T) {
	hash, _ := web.HashPasscode("tarn-and-heather")
	c := start(t, hash)
	big := `{"passcode":"` + strings.Repeat("x", 200<<10) + `"}`
	for _, path := range []string{"/api/session", "/api/pair", "/api/review", "/api/plans/import"} {
		req, _ := http.NewRequest("POST", path, strings.NewReader(big))
		req.Host = "127.0.0.1:8484"
		req.Header.Set("Cookie", "session_id="+uuid.NewString()) // a token of nobody
		res, err := c.app.Test(req)
		if err != nil { // the connection is closed on it
			continue
		}
		res.Body.Close()
		if res.StatusCode != 413 {
			t.Errorf("%s: %d", path, res.StatusCode)
		}
	}
	// Who came in may send more.
	_, head, _ := c.do("POST", "/api/session", `{"passcode":"tarn-and-heather"}`)
	c.cookie, _, _ = strings.Cut(head.Get("Set-Cookie"), ";")
	if code, _, text := c.do("POST", "/api/review", `{"plan":`+hut(t)+strings.Repeat(" ", 200<<10)+`}`); code != 200 {
		t.Errorf("a large plan of who came in: %d %.100s", code, text)
	}
	long := fmt.Sprintf(
		`{"id":"p","saveId":%q,"label":%q,"plan":%s}`,
		uuid.NewString(),
		strings.Repeat("n", 300),
		hut(t),
	)
	if code, _, _ := start(t, "").do("POST", "/api/plans", long); code != 400 {
		t.Errorf("a long label: %d", code)
	}
}

// A wrong method is stated from a wrong address, an unknown one from both; data is never stored on
// the way.
func TestMethods(t *testing.T) {
	c := start(t, "")
	for _, w := range []struct {
		method, path string
		code         int
		allow        string
	}{
		{"PATCH", "/api/plans", 405, "GET, HEAD, POST"}, {"GET", "/api/review", 405, "POST"}, {"POST", "/api/plans/x", 405, "GET, HEAD, PUT, DELETE"},
		{"GET", "/api/nothing", 404, ""}, {"BREW", "/api/plans", 501, ""},
	} {
		code, head, text := c.do(w.method, w.path, "")
		if code != w.code || head.Get("Content-Type") != "application/problem+json" || !json.Valid([]byte(text)) {
			t.Errorf("%s %s: %d %s %.100s", w.method, w.path, code, head.Get("Content-Type"), text)
		}
		for _, m := range strings.Split(w.allow, ", ") {
			if !strings.Contains(head.Get("Allow"), m) {
				t.Errorf("%s %s: allow %q", w.method, w.path, head.Get("Allow"))
			}
		}
	}
	for _, path := range []string{"/api/plans", "/api/examples", "/api/plans/none", "/api/health"} {
		if _, head, _ := c.do("GET", path, ""); head.Get("Cache-Control") != "no-store" {
			t.Errorf("%s: %q", path, head.Get("Cache-Control"))
		}
	}
}

// A new passcode counts at once, also on a server that runs; the old one lets nobody in.
func TestPasscodeChanges(t *testing.T) {
	hash, _ := web.HashPasscode("tarn-and-heather")
	c := start(t, hash)
	enter := func(code string) int {
		status, _, _ := c.do("POST", "/api/session", `{"passcode":"`+code+`"}`)
		return status
	}
	if got := enter("tarn-and-heather"); got != 204 {
		t.Fatal(got)
	}
	other, _ := web.HashPasscode("moor-and-bracken")
	if err := c.store.SetSetting(t.Context(), web.PasscodeKey, other); err != nil {
		t.Fatal(err)
	}
	if old, now := enter("tarn-and-heather"), enter("moor-and-bracken"); old != 401 || now != 204 {
		t.Errorf("old %d, new %d", old, now)
	}
}

// Calls of whom nobody let in keep nothing in the database, and there are bounds to the tries of
// one address and of all.
func TestAnonymousCallsKeepNothing(t *testing.T) {
	hash, _ := web.HashPasscode("tarn-and-heather")
	c := start(t, hash)
	for range 200 {
		if code, head, _ := c.do("GET", "/api/plans", "", "Cookie", "session_id="+uuid.NewString()); code != 401 ||
			head.Get("Set-Cookie") != "" {
			t.Fatalf("%d %s", code, head.Get("Set-Cookie"))
		}
	}
	db, err := sql.Open("sqlite", "file:"+c.path)
	if err != nil {
		t.Fatal(err)
	}
	defer db.Close()
	count := func() (n int) {
		if err := db.QueryRow("SELECT count(*) FROM sessions").Scan(&n); err != nil {
			t.Fatal(err)
		}
		return n
	}
	if n := count(); n != 0 {
		t.Errorf("%d sessions of nobody", n)
	}
	_, head, _ := c.do("POST", "/api/session", `{"passcode":"tarn-and-heather"}`)
	cookie, _, _ := strings.Cut(head.Get("Set-Cookie"), ";")
	_, token, _ := strings.Cut(cookie, "=")
	var key string
	if err := db.QueryRow("SELECT key FROM sessions").Scan(&key); err != nil || key == token || len(key) != 64 {
		t.Errorf("%q of %q, %v", key, token, err)
	}
	for range 50 {
		if code, _, _ := c.do("GET", "/api/plans", "", "Cookie", cookie); code != 200 {
			t.Fatal(code)
		}
	}
	if n := count(); n != 1 {
		t.Errorf("%d sessions of one", n)
	}
}

// Troubles of the database come by their names, with a hint when to try again, and with a line in
// the log that names the request.
func TestTroubles(t *testing.T) {
	c := start(t, "")
	var lines bytes.Buffer
	var mu sync.Mutex
	defer log.SetOutput(log.Writer()) // as it is now
	log.SetOutput(writer(func(b []byte) (int, error) { mu.Lock(); defer mu.Unlock(); return lines.Write(b) }))
	saving := func() string { return fmt.Sprintf(`{"id":"p","saveId":%q,"plan":%s}`, uuid.NewString(), hut(t)) }
	if code, _, text := c.do("POST", "/api/plans", saving()); code != 201 {
		t.Fatal(code, text)
	}
	if code, _, _ := c.do("PUT", "/api/plans/p", saving(), "If-Match", `"1"`); code != 200 {
		t.Fatal(code)
	}
	db, err := sql.Open("sqlite", "file:"+c.path)
	if err != nil {
		t.Fatal(err)
	}
	db.SetMaxOpenConns(1)
	defer db.Close()
	if _, err := db.Exec("BEGIN IMMEDIATE"); err != nil {
		t.Fatal(err)
	}
	began := time.Now()
	code, head, text := c.do("PUT", "/api/plans/p", saving(), "If-Match", `"2"`)
	if code != 503 || head.Get("Retry-After") == "" ||
		!strings.Contains(text, "Another program holds the database") ||
		time.Since(began) > 15*time.Second { // six, and what a busy machine adds
		t.Errorf("%d %v %s after %v", code, head, text, time.Since(began))
	}
	if code, _, _ := c.do("GET", "/api/plans", ""); code != 200 {
		t.Errorf("the list meanwhile: %d", code)
	}
	_, _ = db.Exec("ROLLBACK")
	if _, err := db.Exec("UPDATE revisions SET document = replace(document, '0', '1') WHERE revision = 2"); err != nil {
		t.Fatal(err)
	}
	code, _, text = c.do("GET", "/api/plans/p", "")
	var p web.ProblemDocument
	if err := json.Unmarshal([]byte(text), &p); err != nil || code != 500 || p.Earlier != 1 ||
		!strings.Contains(p.Title, "Revision 2") {
		t.Errorf("%d %s", code, text)
	}
	if code, _, text = c.do("GET", "/api/plans/p/file", ""); code != 500 || strings.Contains(text, `"format"`) {
		t.Errorf("half a file: %d %.100s", code, text)
	}
	mu.Lock()
	defer mu.Unlock()
	if told := lines.String(); !strings.Contains(told, "GET /api/plans/p:") ||
		!strings.Contains(told, "(request ") {
		t.Errorf("the log says %q", told)
	}
}

type writer func([]byte) (int, error)

func (w writer) Write(b []byte) (int, error) { return w(b) }
