package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"net"
	"net/http"
	"time"

	"zygonos/standin"
)

// simulate serves a simulated device on loopback until it is ended.
func simulate(ctx context.Context, args []string, out, errs io.Writer) error {
	if len(args) == 0 || args[0] != "scale" {
		fmt.Fprintln(
			errs,
			"zygonos simulate: there is one device, a scale: zygonos simulate scale [--addr 127.0.0.1:8585] [--kg 48]",
		)
		return errUsage
	}
	set := flagsOf("simulate scale", errs)
	s := &standin.Scale{}
	addr := set.String("addr", "127.0.0.1:8585", "address on this machine")
	set.Float64Var(&s.Kg, "kg", 48, "what lies on it, kg")
	set.Float64Var(&s.Noise, "noise", 0.1, "scatter of a reading, kg")
	set.Float64Var(&s.Drift, "drift", 0, "drift, kg a minute")
	set.Float64Var(&s.Creep, "creep", 0, "share that is shown late")
	set.DurationVar(&s.Settle, "settle", time.Second, "time in which it swings out")
	set.Float64Var(&s.Lean, "lean", 0, "kg of somebody who leans on it")
	set.DurationVar(&s.LeanAt, "lean-at", time.Second, "when, after something was put on")
	set.DurationVar(&s.LeanBy, "lean-for", time.Second, "how long")
	set.Float64Var(&s.Step, "step", 0.1, "step of the display, kg")
	set.Float64Var(&s.Rate, "rate", 10, "readings a second")
	set.Uint64Var(&s.Seed, "seed", 1, "the same readings for the same seed")
	set.StringVar(&s.Fails, "fails", "", "nonsense or stops, after five seconds")
	if !parse(set, args[1:], errs) {
		return errUsage
	}
	host, _, err := net.SplitHostPort(*addr)
	if ip := net.ParseIP(host); err != nil || ip == nil || !ip.IsLoopback() {
		return errors.New("the simulated scale stays on this machine: an address such as 127.0.0.1:8585")
	}
	l, err := net.Listen("tcp", *addr)
	if err != nil {
		return err
	}
	fmt.Fprintf(out, "A simulated scale at %s. POST /put?kg=120 lays another mass on.\n", l.Addr())
	server := &http.Server{Handler: s.Handler(ctx, time.Now()), ReadHeaderTimeout: 5 * time.Second}
	ended := context.AfterFunc(ctx, func() { server.Close() })
	defer ended()
	if err := server.Serve(l); !errors.Is(err, http.ErrServerClosed) {
		return err
	}
	return nil
}
