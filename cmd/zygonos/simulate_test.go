package main

import (
	"bufio"
	"bytes"
	"context"
	"io"
	"net/http"
	"regexp"
	"strings"
	"testing"
	"time"

	"zygonos/core/sums/steady"
)

// The simulated scale says where it is, sends lines that can be read, takes another mass, and ends with its caller.
func TestSimulateScale(t *testing.T) {
	ctx, stop := context.WithCancel(t.Context())
	from, to := io.Pipe()
	ended := make(chan int, 1)
	go func() {
		ended <- run(ctx, []string{"simulate", "scale", "--addr", "127.0.0.1:0", "--kg", "60", "--settle", "0s", "--rate", "100"}, nil, to, io.Discard)
	}()
	first, err := bufio.NewReader(from).ReadString('\n')
	addr := regexp.MustCompile(`127\.0\.0\.1:\d+`).FindString(first)
	if err != nil || addr == "" {
		t.Fatalf("%v %q", err, first)
	}
	go io.Copy(io.Discard, from) //nolint:errcheck // what else it prints
	take := func() float64 {
		res, err := http.Get("http://" + addr + "/stream")
		if err != nil {
			t.Fatal(err)
		}
		defer res.Body.Close()
		in, f := steady.Lines(bufio.NewScanner(res.Body)), steady.Filter{}
		for in.Scan() {
			if at, kg, ok, wrong := steady.Parse(in.Text()); wrong {
				t.Fatalf("%q", in.Text())
			} else if ok {
				if s := f.Add(at, kg); s.Steady {
					return s.Value
				}
			}
		}
		return 0
	}
	if v := take(); v < 59.8 || v > 60.2 {
		t.Errorf("%v", v)
	}
	for kg, want := range map[string]int{"12": 204, "heavy": 400} {
		res, err := http.Post("http://"+addr+"/put?kg="+kg, "", nil)
		if err != nil || res.StatusCode != want {
			t.Errorf("%s: %v %v", kg, res, err)
		}
	}
	if v := take(); v < 11.8 || v > 12.2 {
		t.Errorf("%v", v)
	}
	stop()
	select {
	case code := <-ended:
		if code != exitHolds {
			t.Errorf("it ended with %d", code)
		}
	case <-time.After(10 * time.Second):
		t.Error("it does not end")
	}
}

// It stays on this machine, and nothing else is simulated.
func TestSimulateRefuses(t *testing.T) {
	for _, c := range []struct {
		args []string
		says string
	}{
		{[]string{"simulate", "scale", "--addr", "0.0.0.0:0"}, "stays on this machine"},
		{[]string{"simulate", "scale", "--addr", "nowhere"}, "stays on this machine"},
		{[]string{"simulate", "car"}, "there is one device"},
		{[]string{"simulate"}, "there is one device"},
		{[]string{"simulate", "scale", "--colour", "red"}, "colour"},
	} {
		var out, errs bytes.Buffer
		if code := run(t.Context(), c.args, nil, &out, &errs); code == exitHolds || !strings.Contains(errs.String(), c.says) {
			t.Errorf("%v: %d %q", c.args, code, errs.String())
		}
	}
}
