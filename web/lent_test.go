package web_test

import (
	"bytes"
	"context"
	"encoding/json"
	"image"
	"image/jpeg"
	"net/http/httptest"
	"strings"
	"testing"
	"time"

	"zygonos/standin"
)

// A borrower's page opens with its key alone, without the passcode, shows the card and nothing else; a wrong key, a loan that is
// over or another plan's shows nothing.
func TestLent(t *testing.T) {
	c := start(t, "")
	plan := c.example("ostrel-lock")
	key := strings.Repeat("k", 32)
	at := "/api/plans/" + plan + "/records/loan-1"
	loan := `{"kind":"loan","trailer":"lock-trailer","loan":{"to":"the <b>choir</b>","call":"012 345","deposit":100,"key":"` + key + `"}}`
	if code, _, text := c.do("PATCH", at, loan); code != 200 {
		t.Fatal(code, text)
	}
	code, head, text := c.do("GET", "/lent/"+plan+"/loan-1/"+key, "")
	if code != 200 || !strings.Contains(text, "the &lt;b&gt;choir&lt;/b&gt;") || !strings.Contains(text, "Hitch it up") || strings.Contains(text, "<script") {
		t.Errorf("%d %s", code, text)
	}
	policy := head.Get("Content-Security-Policy")
	if !strings.Contains(policy, "default-src 'none'") || strings.Contains(policy, "unsafe") || strings.Contains(policy, "connect-src") {
		t.Errorf("%s", policy)
	}
	// its photos are seen with the key, another record's are not
	var picture bytes.Buffer
	if err := jpeg.Encode(&picture, image.NewGray(image.Rect(0, 0, 40, 30)), nil); err != nil {
		t.Fatal(err)
	}
	for _, photo := range []string{"photo-1", "photo-2"} {
		if code, _, text := c.do("PUT", "/api/plans/"+plan+"/photos/"+photo, picture.String()); code != 200 {
			t.Fatal(code, text)
		}
	}
	if code, _, text := c.do("PATCH", at, `{"photos":{"photo-1":{"order":1}}}`); code != 200 {
		t.Fatal(code, text)
	}
	if _, _, text := c.do("GET", "/lent/"+plan+"/loan-1/"+key, ""); !strings.Contains(text, `<img src="`+key+`/photo-1"`) {
		t.Error(text)
	}
	if code, head, _ := c.do("GET", "/lent/"+plan+"/loan-1/"+key+"/photo-1", ""); code != 200 || head.Get("Content-Type") != "image/jpeg" {
		t.Errorf("%d %s", code, head.Get("Content-Type"))
	}
	for _, path := range []string{
		"/lent/" + plan + "/loan-1/" + key + "/photo-2", "/lent/" + plan + "/loan-1/" + key[1:] + "x/photo-1",
		"/lent/" + plan + "/loan-1/" + key[1:] + "x", "/lent/" + plan + "/loan-1/k", "/lent/" + plan + "/loan-2/" + key,
		"/lent/other/loan-1/" + key, "/lent/" + plan + "/step-1/" + key,
	} {
		if code, _, text := c.do("GET", path, ""); code != 404 || strings.Contains(text, "Hitch") {
			t.Errorf("%s: %d", path, code)
		}
	}
	if code, _, _ := c.do("PATCH", at, `{"loan":{"back":"2026-05-01"}}`); code != 200 {
		t.Fatal(code)
	}
	if code, _, _ := c.do("GET", "/lent/"+plan+"/loan-1/"+key, ""); code != 404 {
		t.Errorf("back, and still open: %d", code)
	}
	if code, _, _ := c.do("PATCH", at, `{"loan":{"back":null,"key":""}}`); code != 200 {
		t.Fatal(code)
	}
	if code, _, _ := c.do("GET", "/lent/"+plan+"/loan-1/", ""); code == 200 && strings.Contains(text, "zygonos-lent") {
		t.Error("an empty key opens it")
	}
}

// A scale's lines come through, steady in the end; one that sends nonsense, stops or does not answer is named, and no call goes
// farther than the home network.
func TestWeigh(t *testing.T) {
	c := start(t, "")
	weigh := func(s *standin.Scale) (last struct {
		Kg, Value, Doubt float64
		Steady           bool
		Wrong            string
	}) {
		ctx, cancel := context.WithTimeout(context.Background(), 6*time.Second)
		defer cancel()
		server := httptest.NewServer(s.Handler(ctx, time.Now()))
		defer server.Close()
		_, _, text := c.do("POST", "/api/weigh", `{"address":"`+strings.TrimPrefix(server.URL, "http://")+`"}`)
		lines := strings.Split(strings.TrimSpace(text), "\n")
		steady := last
		for _, l := range lines {
			if err := json.Unmarshal([]byte(l), &last); err != nil {
				t.Fatalf("%q: %v", l, err)
			}
			if last.Steady {
				steady = last
			}
		}
		steady.Wrong = last.Wrong
		return steady
	}
	if got := weigh(&standin.Scale{Kg: 61, Noise: 0.05, Rate: 50, Seed: 2}); !got.Steady || got.Value < 60.8 || got.Value > 61.2 ||
		!strings.Contains(got.Wrong, "stopped") {
		t.Errorf("%+v", got)
	}
	for _, a := range []string{"8.8.8.8:80", "example.org:80", "127.0.0.1", "", "http://127.0.0.1:1", "169.255.1.1:80"} {
		body, _ := json.Marshal(map[string]string{"address": a})
		if code, _, text := c.do("POST", "/api/weigh", string(body)); code != 422 || !strings.Contains(text, "home network") {
			t.Errorf("%q: %d %s", a, code, text)
		}
	}
	if _, _, text := c.do("POST", "/api/weigh", `{"address":"127.0.0.1:1"}`); !strings.Contains(text, "No scale answers") {
		t.Error(text)
	}
}
