package web_test

import (
	"encoding/json"
	"net"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/fasthttp/websocket"
	"github.com/gofiber/fiber/v3"

	"zygonos/core/practice"
	"zygonos/web"
)

// A case is dealt, answered and comes again by its box; nothing of it is kept by the server.
func TestPractice(t *testing.T) {
	c := start(t, "")
	_, _, text := c.do("POST", "/api/practice/next", `{"progress":null,"today":"2026-05-01","only":"label"}`)
	var next web.PracticeCase
	if err := json.Unmarshal([]byte(text), &next); err != nil || next.Case.Topic != "label" || len(next.Case.Choices) < 3 {
		t.Fatalf("%v %s", err, text)
	}
	if strings.Contains(text, "mistake") || strings.Contains(text, `"right":true`) {
		t.Error("the case tells its answer")
	}
	right := 0
	for i := range next.Case.Choices {
		body, _ := json.Marshal(web.PracticeAsked{Today: "2026-05-01", Topic: "label", Seed: next.Case.Seed, Level: next.Case.Level, Chosen: i})
		_, _, text = c.do("POST", "/api/practice/answer", string(body))
		var truth web.PracticeTruth
		if err := json.Unmarshal([]byte(text), &truth); err != nil {
			t.Fatal(err, text)
		}
		k := truth.Progress.Topics["label"]
		if truth.Truth.Correct {
			right++
			if k.Box != 1 || k.Due != "2026-05-02" {
				t.Errorf("%+v", k)
			}
		} else if k.Box != 0 {
			t.Errorf("%+v", k)
		}
	}
	if right != 1 {
		t.Errorf("%d right answers", right)
	}
	for _, bad := range []string{`{"progress":null,"today":"tomorrow"}`, `{"progress":null,"today":"2026-05-01","topic":"x"}`} {
		if code, _, text := c.do("POST", "/api/practice/answer", bad); code != 422 {
			t.Errorf("%d %s", code, text)
		}
	}
}

// listening serves the app on a port of its own.
func listening(t *testing.T, app *fiber.App) string {
	t.Helper()
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	go app.Listener(l, fiber.ListenConfig{DisableStartupMessage: true}) //nolint:errcheck // it ends with the test
	t.Cleanup(func() { app.Shutdown() })                                //nolint:errcheck // nothing is left to do
	return l.Addr().String()
}

// A drive over the socket: places come, the score and the hands in the end, and they give the same run again. Another page's socket
// is refused, and one without a session where a passcode is set.
func TestDrive(t *testing.T) {
	c := start(t, "")
	addr := listening(t, c.app)
	dial := func(origin string) (*websocket.Conn, int) {
		conn, res, err := websocket.DefaultDialer.Dial("ws://"+addr+"/api/practice/drive", http.Header{"Origin": {origin}})
		if err != nil {
			if res == nil {
				return nil, 0
			}
			return nil, res.StatusCode
		}
		return conn, 101
	}
	if _, code := dial("http://example.org"); code != 403 {
		t.Errorf("another page: %d", code)
	}
	conn, code := dial("http://" + addr)
	if code != 101 {
		t.Fatal(code)
	}
	defer conn.Close()
	conn.WriteJSON(web.DriveAsked{Task: "straight"})
	conn.WriteJSON(web.DriveHands{Pedal: -80, Steer: 4})
	var lines int
	var last practice.Seen
	var end web.DriveLine
	for began := time.Now(); end.Score == nil && time.Since(began) < 20*time.Second; {
		var l web.DriveLine
		if err := conn.ReadJSON(&l); err != nil {
			t.Fatal(err)
		}
		if l.Seen != nil {
			if lines++; l.Seen.Tick%2 == 0 { // a run that is seen again shows every second place
				last = *l.Seen
			}
		}
		end = l
		if lines == 40 {
			conn.WriteJSON(web.DriveHands{Stop: true})
		}
	}
	if lines < 40 || last.X >= 0 || last.Heading == 0 || len(end.Hands) == 0 {
		t.Errorf("%d lines, %+v, %+v", lines, last, end)
	}
	body, _ := json.Marshal(web.DriveAsked{Task: "straight", Hands: end.Hands})
	_, _, text := c.do("POST", "/api/practice/replay", string(body))
	var again web.DriveReplay
	if err := json.Unmarshal([]byte(text), &again); err != nil {
		t.Fatal(err)
	}
	same := false
	for _, s := range again.Seen {
		same = same || s == last
	}
	if !same {
		t.Errorf("%+v is not on the way again", last)
	}
	// nonsense ends nothing but itself
	odd, _ := dial("http://" + addr)
	defer odd.Close()
	odd.WriteMessage(websocket.TextMessage, []byte(`{"task":"dancing"}`))
	var l web.DriveLine
	if err := odd.ReadJSON(&l); err != nil || l.Wrong == "" {
		t.Errorf("%v %+v", err, l)
	}
	hash, _ := web.HashPasscode("tarn-and-heather")
	closed := listening(t, start(t, hash).app)
	if _, res, err := websocket.DefaultDialer.Dial("ws://"+closed+"/api/practice/drive", nil); err == nil || res == nil || res.StatusCode != 401 {
		t.Errorf("without a session: %v %v", res, err)
	}
}

// Drives that are dropped without a word, one after another and many at once, leave the server as it was: their places are free again,
// and it answers.
func TestDrivesDropped(t *testing.T) {
	c := start(t, "")
	addr := listening(t, c.app)
	for round := range 4 {
		var open []*websocket.Conn
		for range 6 {
			conn, _, err := websocket.DefaultDialer.Dial("ws://"+addr+"/api/practice/drive", nil)
			if err != nil {
				t.Fatalf("round %d: %v", round, err)
			}
			conn.WriteJSON(web.DriveAsked{Task: "bay-left"})
			conn.WriteJSON(web.DriveHands{Pedal: -100, Steer: 50})
			open = append(open, conn)
		}
		for i, conn := range open {
			var l web.DriveLine
			if err := conn.ReadJSON(&l); err != nil {
				t.Fatal(err)
			}
			if i%2 == 0 {
				conn.NetConn().Close()
			} else {
				conn.Close()
			}
		}
		free := func() bool { // a ninth place would be refused
			conn, _, err := websocket.DefaultDialer.Dial("ws://"+addr+"/api/practice/drive", nil)
			if err == nil {
				conn.Close()
			}
			return err == nil
		}
		for tries := 0; !free(); tries++ {
			if tries > 200 {
				t.Fatal("no place becomes free")
			}
			time.Sleep(20 * time.Millisecond)
		}
	}
	res, err := http.Get("http://" + addr + "/api/health")
	if err != nil || res.StatusCode != 200 {
		t.Fatalf("%v %v", res, err)
	}
	res.Body.Close()
}
