package web

import (
	"bytes"
	"encoding/json"
	"fmt"
	"image"
	"image/jpeg"
	"io"
	"log"
	"math/rand/v2"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"reflect"
	"runtime"
	"slices"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"testing/fstest"
	"time"

	"github.com/fasthttp/websocket"
	"github.com/gofiber/fiber/v3"
	fiberlog "github.com/gofiber/fiber/v3/log"
	"github.com/google/uuid"

	"zygonos/demo"
	"zygonos/store"
)

// soaking is a server under mixed calls, and what came of them.
type soaking struct {
	t               *testing.T
	addr, doc       string
	asked           []string // calls that take a plan and search or judge it
	picture         string
	over            time.Time
	calls, bad, odd atomic.Int64
	worst           atomic.Int64 // ms of one call
}

func (s *soaking) on() bool { return time.Now().Before(s.over) }

// call sends one request and reads its answer; a status from 500 on other than busy is odd.
func (s *soaking) call(c *http.Client, method, path, body string, head ...string) (int, string) {
	req, err := http.NewRequest(method, "http://"+s.addr+"/api"+path, strings.NewReader(body))
	if err != nil {
		s.t.Error(err)
		return 0, ""
	}
	req.Header.Set("Content-Type", "application/json")
	for i := 0; i+1 < len(head); i += 2 {
		req.Header.Set(head[i], head[i+1])
	}
	began := time.Now()
	res, err := c.Do(req)
	if err != nil {
		s.bad.Add(1)
		return 0, ""
	}
	defer res.Body.Close()
	text, _ := io.ReadAll(res.Body)
	s.calls.Add(1)
	if ms := time.Since(began).Milliseconds(); ms > s.worst.Load() {
		s.worst.Store(ms)
	}
	if res.StatusCode >= 500 && res.StatusCode != http.StatusServiceUnavailable {
		if s.odd.Add(1) < 5 {
			s.t.Errorf("%s %s: %d %.200s", method, path, res.StatusCode, text)
		}
	}
	return res.StatusCode, string(text)
}

// saver keeps a plan of its own, revision after revision, with what happened and a photo, and reads all of
// it again.
func (s *soaking) saver(n int) {
	c := &http.Client{Transport: &http.Transport{}}
	defer c.CloseIdleConnections()
	id := fmt.Sprintf("soak-%d", n)
	saving := func() string {
		return `{"id":"` + id + `","saveId":"` + uuid.NewString() + `","sitting":"soak","plan":` + s.doc + `}`
	}
	s.call(c, "POST", "/plans", saving())
	for i := 0; s.on(); i++ {
		_, text := s.call(c, "GET", "/plans/"+id, "")
		var at struct{ Revision int64 }
		_ = json.Unmarshal([]byte(text), &at)
		s.call(c, "PUT", "/plans/"+id, saving(), "If-Match", fmt.Sprintf(`"%d"`, at.Revision))
		record := fmt.Sprintf("trip-%d", i%200)
		s.call(c, "PATCH", "/plans/"+id+"/records/"+record,
			fmt.Sprintf(`{"kind":"trip","trailer":"grey-flatbed","on":"2026-05-%02d","trip":{"far":%d}}`, 1+i%28, 1000*(i%90)))
		photo := fmt.Sprintf("photo-%d", i%20)
		s.call(c, "PUT", "/plans/"+id+"/photos/"+photo, s.picture)
		for _, path := range []string{"/glance", "/records", "/revisions", "/archive", "/photos/" + photo, "/file"} {
			s.call(c, "GET", "/plans/"+id+path, "")
		}
		s.call(c, "DELETE", "/plans/"+id+"/records/"+record, "")
	}
}

// asker asks each study in turn.
func (s *soaking) asker(r *rand.Rand) {
	c := &http.Client{Transport: &http.Transport{}}
	defer c.CloseIdleConnections()
	for s.on() {
		path := s.asked[r.IntN(len(s.asked))]
		s.call(c, "POST", path, `{"plan":`+s.doc+`,"outing":"boat-day","trailer":"grey-flatbed","want":"settled","key":"side","today":"2026-05-01"}`)
	}
}

// phone breaks off in every way that a weak connection does: in the heading, in the body, before and within
// the answer, in a drive.
func (s *soaking) phone(r *rand.Rand) {
	whole := `{"plan":` + s.doc + `,"outing":"boat-day","trailer":"grey-flatbed","want":"settled"}`
	request := fmt.Sprintf("POST /api/review HTTP/1.1\r\nHost: %s\r\nContent-Type: application/json\r\nContent-Length: %d\r\n\r\n%s",
		s.addr, len(whole), whole)
	for s.on() {
		if r.IntN(6) == 0 {
			conn, _, err := websocket.DefaultDialer.Dial("ws://"+s.addr+"/api/practice/drive", nil)
			if err != nil {
				continue
			}
			_ = conn.WriteJSON(DriveAsked{Task: "straight"})
			_ = conn.WriteJSON(DriveHands{Pedal: -80})
			for range r.IntN(20) {
				var l DriveLine
				if conn.ReadJSON(&l) != nil {
					break
				}
			}
			conn.NetConn().Close()
			continue
		}
		conn, err := net.Dial("tcp", s.addr)
		if err != nil {
			continue
		}
		send := request[:r.IntN(len(request))]
		switch r.IntN(4) {
		case 0: // what makes no sense
			junk := make([]byte, 64)
			for i := range junk {
				junk[i] = byte(r.IntN(256))
			}
			send = string(junk)
		case 1: // the whole, and the answer is read a little, slowly
			send = request
		}
		_, _ = conn.Write([]byte(send))
		if r.IntN(2) == 0 {
			_ = conn.SetReadDeadline(time.Now().Add(200 * time.Millisecond))
			_, _ = conn.Read(make([]byte, 1+r.IntN(500)))
		}
		conn.Close()
		s.bad.Add(1)
	}
}

// sample is what the process holds.
type sample struct {
	heap       uint64
	goroutines int
}

func sampled() sample {
	runtime.GC()
	var m runtime.MemStats
	runtime.ReadMemStats(&m)
	return sample{m.HeapAlloc, runtime.NumGoroutine()}
}

// Under mixed calls, with phones that break off, memory and goroutines stay flat, nothing fails from within,
// and all is let go of in the end. DEEP runs it for half an hour.
func TestSoak(t *testing.T) {
	if testing.Short() {
		t.Skip("a few seconds")
	}
	long := 4 * time.Second
	if os.Getenv("DEEP") != "" {
		long = 30 * time.Minute
	}
	log.SetOutput(io.Discard) // broken connections are stated there
	fiberlog.SetOutput(io.Discard)
	defer log.SetOutput(os.Stderr)
	defer fiberlog.SetOutput(os.Stderr)
	db, err := store.Open(t.Context(), filepath.Join(t.TempDir(), "soak.db"))
	if err != nil {
		t.Fatal(err)
	}
	defer db.Close()
	app := New(Config{Store: db, Files: fstest.MapFS{"index.html": {Data: []byte("<!doctype html>page")}}})
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	go app.Listener(l, fiber.ListenConfig{DisableStartupMessage: true}) //nolint:errcheck // it ends with the test
	defer app.Shutdown()                                                //nolint:errcheck // nothing is left to do
	doc, err := demo.Files.ReadFile("skarrow-hut.zygonos.json")
	if err != nil {
		t.Fatal(err)
	}
	var small, picture bytes.Buffer
	if err := json.Compact(&small, doc); err != nil {
		t.Fatal(err)
	}
	if err := jpeg.Encode(&picture, image.NewGray(image.Rect(0, 0, 400, 300)), nil); err != nil {
		t.Fatal(err)
	}
	s := &soaking{t: t, addr: l.Addr().String(), doc: small.String(), picture: picture.String(), over: time.Now().Add(long)}
	for i := range routes {
		if r := &routes[i]; r.method == "POST" && r.takes != nil && reflect.TypeOf(r.takes) == reflect.TypeFor[Asking]() {
			s.asked = append(s.asked, r.path)
		}
	}
	before := sampled()
	var all sync.WaitGroup
	for n := range 2 {
		all.Go(func() { s.saver(n) })
		all.Go(func() { s.asker(rand.New(rand.NewPCG(uint64(n), 7))) })
		all.Go(func() { s.phone(rand.New(rand.NewPCG(uint64(n), 8))) })
	}
	var samples []sample
	for s.on() {
		time.Sleep(long / 40)
		samples = append(samples, sampled())
	}
	all.Wait()
	third := len(samples) / 3
	middle := func(of []sample, by func(sample) float64) float64 {
		var v []float64
		for _, x := range of {
			v = append(v, by(x))
		}
		slices.Sort(v)
		return v[len(v)/2]
	}
	heap := func(x sample) float64 { return float64(x.heap) / (1 << 20) }
	running := func(x sample) float64 { return float64(x.goroutines) }
	h0, h1 := middle(samples[:third], heap), middle(samples[2*third:], heap)
	g0, g1 := middle(samples[:third], running), middle(samples[2*third:], running)
	t.Logf("%v: %d answers, %d broken off, the slowest %d ms; %.1f MB and %.0f goroutines in the first third, %.1f and %.0f in the last",
		long, s.calls.Load(), s.bad.Load(), s.worst.Load(), h0, g0, h1, g1)
	if h1 > 1.5*h0+16 || g1 > 1.5*g0+30 {
		t.Errorf("it grows: %.1f to %.1f MB, %.0f to %.0f goroutines", h0, h1, g0, g1)
	}
	http.DefaultClient.CloseIdleConnections()
	var after sample
	for tries := 0; ; tries++ { // what was broken off ends by its deadlines
		if after = sampled(); after.goroutines <= before.goroutines+20 {
			break
		}
		if tries > 60 {
			t.Errorf("%d goroutines before, %d after", before.goroutines, after.goroutines)
			break
		}
		time.Sleep(500 * time.Millisecond)
	}
	t.Logf("%d goroutines and %.1f MB before, %d and %.1f after", before.goroutines, heap(before), after.goroutines, heap(after))
}
