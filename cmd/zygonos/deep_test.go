package main

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"math/rand"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/google/uuid"
)

// The long runs: DEEP=1 go test ./cmd/zygonos -run Deep -v. Each prints its figures, which stand
// in docs/reliability.md.

func deep(t *testing.T) (binary string) {
	t.Helper()
	if os.Getenv("DEEP") == "" {
		t.Skip("a long run: set DEEP=1")
	}
	binary = filepath.Join(t.TempDir(), "zygonos")
	if out, err := exec.Command("go", "build", "-o", binary, ".").CombinedOutput(); err != nil {
		t.Fatalf("%v %s", err, out)
	}
	return binary
}

// program is a server of its own.
type program struct {
	cmd *exec.Cmd
	url string
}

func startProgram(t *testing.T, binary, db string) *program {
	t.Helper()
	p := &program{cmd: exec.Command(binary, "serve", "-addr", "127.0.0.1:0", "-db", db)}
	out, err := p.cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	if err := p.cmd.Start(); err != nil {
		t.Fatal(err)
	}
	line, err := bufio.NewReader(out).ReadString('\n')
	if err != nil {
		t.Fatalf("it does not start: %v", err)
	}
	p.url = "http://" + strings.TrimSpace(strings.TrimPrefix(line, "Zygonos serves on http://"))
	return p
}

func (p *program) kill() {
	_ = p.cmd.Process.Kill()
	_ = p.cmd.Wait()
}

// ask sends a request and gives status and body; 0 where no answer came.
func (p *program) ask(method, path, body string, head ...string) (int, string) {
	req, err := http.NewRequest(method, p.url+path, strings.NewReader(body))
	if err != nil {
		return 0, err.Error()
	}
	req.Header.Set("Content-Type", "application/json")
	for i := 0; i+1 < len(head); i += 2 {
		req.Header.Set(head[i], head[i+1])
	}
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		return 0, err.Error()
	}
	defer res.Body.Close()
	data, err := io.ReadAll(res.Body)
	if err != nil {
		return 0, err.Error()
	}
	return res.StatusCode, string(data)
}

// named is the demo plan under a name, as a save carries it.
func named(t *testing.T, name string) string {
	t.Helper()
	data, err := os.ReadFile(hut)
	if err != nil {
		t.Fatal(err)
	}
	var p map[string]any
	if err := json.Unmarshal(data, &p); err != nil {
		t.Fatal(err)
	}
	p["name"] = name
	out, _ := json.Marshal(p)
	var b bytes.Buffer
	_ = json.Compact(&b, out)
	return b.String()
}

func saveOf(t *testing.T, id, name string) string {
	return fmt.Sprintf(
		`{"id":%q,"saveId":%q,"sitting":%q,"plan":%s}`,
		id,
		uuid.NewString(),
		uuid.NewString(),
		named(t, name),
	)
}

// nameOf reads which save a plan holds.
func nameOf(text string) (n int, revision int64) {
	var got struct {
		Revision int64
		Plan     struct{ Name string }
	}
	if json.Unmarshal([]byte(text), &got) != nil {
		return -1, 0
	}
	n, err := strconv.Atoi(got.Plan.Name)
	if err != nil {
		return -1, 0
	}
	return n, got.Revision
}

// A server that is killed at any moment of a save loses nothing that it had acknowledged.
func TestDeepKill(t *testing.T) {
	binary := deep(t)
	cycles := 1000
	if v, err := strconv.Atoi(os.Getenv("CYCLES")); err == nil {
		cycles = v
	}
	db := filepath.Join(t.TempDir(), "kill.db")
	rng := rand.New(rand.NewSource(1))
	saves, ended := 0, 0
	last, revision := 0, int64(0)
	began := time.Now()
	for cycle := range cycles {
		p := startProgram(t, binary, db)
		if cycle == 0 {
			if code, text := p.ask("POST", "/api/plans", saveOf(t, "p", "0")); code != 201 {
				t.Fatal(code, text)
			}
			revision = 1
		}
		code, text := p.ask("GET", "/api/plans/p", "")
		got, rev := nameOf(text)
		if code != 200 || got < last {
			t.Fatalf("cycle %d: acknowledged %d, found %d (%d)", cycle, last, got, code)
		}
		last, revision = got, rev // the one under way may have been kept without its answer
		stop := time.AfterFunc(time.Duration(rng.Intn(120))*time.Millisecond, p.kill)
		for {
			code, _ := p.ask(
				"PUT",
				"/api/plans/p",
				saveOf(t, "", strconv.Itoa(last+1)),
				"If-Match",
				fmt.Sprintf(`"%d"`, revision),
			)
			if code == 0 {
				ended++
				break
			}
			if code != 200 {
				t.Fatalf("cycle %d: a save answers %d", cycle, code)
			}
			last, revision, saves = last+1, revision+1, saves+1
		}
		stop.Stop()
		p.kill()
	}
	t.Logf(
		"%d kills, %d of them during a save, %d acknowledged saves, none lost, %v",
		cycles,
		ended,
		saves,
		time.Since(began).Round(time.Second),
	)
}

// Many savers through two servers on one database: each plan ends on an acknowledged save, no
// number of one saver is lost, and nothing is answered but kept, changed elsewhere or busy.
func TestDeepSavers(t *testing.T) {
	binary := deep(t)
	db := filepath.Join(t.TempDir(), "savers.db")
	servers := []*program{startProgram(t, binary, db), startProgram(t, binary, db)}
	defer servers[0].kill()
	defer servers[1].kill()
	const savers, plans = 12, 4
	for i := range plans {
		if code, text := servers[0].ask("POST", "/api/plans", saveOf(t, fmt.Sprint("p", i), "0")); code != 201 {
			t.Fatal(code, text)
		}
	}
	var kept, refused, busy atomic.Int64
	var mu sync.Mutex
	acknowledged := map[string]map[int64]int{} // plan, revision: the name that was kept
	var wg sync.WaitGroup
	until := time.Now().Add(60 * time.Second)
	for s := range savers {
		wg.Go(func() {
			p, id := servers[s%2], fmt.Sprint("p", s%plans)
			for n := 1; time.Now().Before(until); n++ {
				code, text := p.ask("GET", "/api/plans/"+id, "")
				if code != 200 {
					t.Errorf("reading: %d %.100s", code, text)
					return
				}
				_, rev := nameOf(text)
				name := (s+1)*1_000_000 + n
				code, text = p.ask(
					"PUT",
					"/api/plans/"+id,
					saveOf(t, "", strconv.Itoa(name)),
					"If-Match",
					fmt.Sprintf(`"%d"`, rev),
				)
				switch code {
				case 200:
					kept.Add(1)
					mu.Lock()
					if acknowledged[id] == nil {
						acknowledged[id] = map[int64]int{}
					}
					if was, twice := acknowledged[id][rev+1]; twice {
						t.Errorf("%s revision %d was acknowledged to %d and %d", id, rev+1, was, name)
					}
					acknowledged[id][rev+1] = name
					mu.Unlock()
				case 412:
					refused.Add(1)
				case 503:
					busy.Add(1)
				default:
					t.Errorf("saving: %d %.100s", code, text)
				}
			}
		})
	}
	wg.Wait()
	for id, revs := range acknowledged {
		for rev, name := range revs {
			code, text := servers[0].ask("GET", fmt.Sprintf("/api/plans/%s/revisions/%d", id, rev), "")
			if got, _ := nameOf(text); code != 200 || got != name {
				t.Errorf("%s revision %d: %d, found %d, acknowledged %d", id, rev, code, got, name)
			}
		}
	}
	t.Logf(
		"%d kept, %d refused as changed elsewhere, %d told to wait; every revision is what was acknowledged",
		kept.Load(),
		refused.Load(),
		busy.Load(),
	)
}

// The live tier stays answered beside searches, and a plan of a thousand loads is answered in
// time.
func TestDeepBeside(t *testing.T) {
	binary := deep(t)
	p := startProgram(t, binary, filepath.Join(t.TempDir(), "beside.db"))
	defer p.kill()
	asked := fmt.Sprintf(`{"plan":%s,"outing":"gravel-day"`, named(t, "x"))
	timed := func(n int, body string) time.Duration {
		var took []time.Duration
		for range n {
			at := time.Now()
			if code, text := p.ask("POST", "/api/review", body); code != 200 {
				t.Fatalf("%d %.200s", code, text)
			}
			took = append(took, time.Since(at))
		}
		slices.Sort(took)
		return took[len(took)*95/100]
	}
	alone := timed(300, asked+`,"want":"live"}`)
	many := loadsOf(t, 24)
	var wg sync.WaitGroup
	var done, waited atomic.Int64
	for range 16 {
		wg.Go(func() {
			switch code, _ := p.ask("POST", "/api/arrange", many); code {
			case 200:
				done.Add(1)
			case 503:
				waited.Add(1)
			}
		})
	}
	time.Sleep(300 * time.Millisecond)
	beside := timed(300, asked+`,"want":"live"}`)
	wg.Wait()
	t.Logf(
		"live review, 95 in 100: alone %v, beside 16 arrangements %v; %d were done, %d told to wait",
		alone,
		beside,
		done.Load(),
		waited.Load(),
	)
	thousand := loadsOf(t, 1000)
	for _, want := range []string{"live", "settled"} {
		at := time.Now()
		code, text := p.ask("POST", "/api/review", strings.TrimSuffix(thousand, "}")+`,"want":"`+want+`"}`)
		if code != 200 {
			t.Errorf("%d %.200s", code, text)
		}
		t.Logf("1000 loads, %s: %v", want, time.Since(at).Round(time.Millisecond))
	}
	for _, path := range []string{"compare", "tows", "buy", "axle", "racks", "ties"} {
		at := time.Now()
		code, text := p.ask("POST", "/api/"+path, fleetOf(t, 300))
		if code != 200 {
			t.Errorf("%s: %d %.200s", path, code, text)
		}
		t.Logf("300 trailers and 300 cars, %s: %v", path, time.Since(at).Round(time.Millisecond))
	}
	stop := time.Now()
	go p.ask("POST", "/api/tows", fleetOf(t, 300))
	time.Sleep(500 * time.Millisecond)
	_ = p.cmd.Process.Signal(os.Interrupt)
	_ = p.cmd.Wait()
	t.Logf("ended in %v while a search ran", (time.Since(stop) - 500*time.Millisecond).Round(time.Millisecond))
	if d := time.Since(stop); d > 6*time.Second {
		t.Errorf("it took %v to end", d)
	}
}

// loadsOf asks for the demo plan with so many boxes on the flatbed.
func loadsOf(t *testing.T, n int) string {
	p := document(t)
	loads, placements := map[string]any{}, map[string]any{}
	for i := range n {
		id := fmt.Sprint("box-", i)
		size := func(v float64) any { return map[string]any{"value": v, "how": "weighed"} }
		loads[id] = map[string]any{
			"order": i,
			"name":  id,
			"mass":  map[string]any{"value": 2 + i%7, "how": "guessed"},
			"size": map[string]any{
				"length": size(0.2),
				"width":  size(0.15),
				"height": size(0.1),
			},
			"centre": map[string]any{},
		}
		on := map[string]any{
			"on": "deck",
			"at": map[string]any{"back": 0.25 * float64(i%8), "right": -0.6 + 0.2*float64(i/8%6)},
		}
		if i >= 48 {
			on = map[string]any{"on": "load", "id": fmt.Sprint("box-", i-48), "at": map[string]any{"back": 0.0}}
		}
		placements[id] = on
	}
	p["loads"] = loads
	outing := p["outings"].(map[string]any)["gravel-day"].(map[string]any)
	outing["layouts"] = map[string]any{"grey-flatbed": map[string]any{"placements": placements}}
	p["outings"] = map[string]any{"gravel-day": outing}
	out, _ := json.Marshal(map[string]any{"plan": p, "outing": "gravel-day", "trailer": "grey-flatbed"})
	return string(out)
}

// fleetOf asks for the demo plan with so many trailers and cars.
func fleetOf(t *testing.T, n int) string {
	p := document(t)
	for _, kind := range []string{"trailers", "towVehicles"} {
		all := p[kind].(map[string]any)
		var one any
		for _, v := range all {
			one = v
			break
		}
		for i := range n {
			all[fmt.Sprint("more-", i)] = one
		}
	}
	out, _ := json.Marshal(map[string]any{"plan": p, "outing": "gravel-day", "trailer": "grey-flatbed"})
	return string(out)
}

func document(t *testing.T) map[string]any {
	var p map[string]any
	if err := json.Unmarshal([]byte(named(t, "x")), &p); err != nil {
		t.Fatal(err)
	}
	return p
}
