// Package standin holds simulated devices that ship with the app.
package standin

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"net/http"
	"strconv"
	"sync"
	"time"
)

// Scale is a simulated scale: what is put on settles, creeps and is noisy, the device drifts, somebody may lean on it.
type Scale struct {
	Kg     float64       // what lies on it
	Noise  float64       // kg, standard deviation of a reading
	Drift  float64       // kg a minute
	Creep  float64       // share that is shown late
	Settle time.Duration // in which it swings out
	Lean   float64       // kg of somebody who leans on it …
	LeanAt time.Duration // … from then, after something was put on …
	LeanBy time.Duration // … so long
	Step   float64       // of the display, kg
	Rate   float64       // readings a second
	Seed   uint64
	Fails  string // "": none; "nonsense", "stops": after five seconds

	mu    sync.Mutex
	since time.Duration // when the last thing was put on
	was   float64
}

// At is what it shows at a time since it was switched on, dry of noise:
//
//	kg·(1 − creep·e^(−t/20 s)) + (was − kg)·e^(−4t/settle)·cos(2π·1.5 Hz·t) + drift·T + lean
func (s *Scale) At(now time.Duration) float64 {
	s.mu.Lock()
	defer s.mu.Unlock()
	t := (now - s.since).Seconds()
	v := s.Kg * (1 - s.Creep*math.Exp(-t/20))
	if s.Settle > 0 {
		v += (s.was - s.Kg) * math.Exp(-4*t/s.Settle.Seconds()) * math.Cos(2*math.Pi*1.5*t)
	}
	if at := now - s.since; at >= s.LeanAt && at < s.LeanAt+s.LeanBy {
		v += s.Lean
	}
	return v + s.Drift*now.Minutes()
}

// Reading is the n-th reading: the same for the same seed.
func (s *Scale) Reading(n int) (t, kg float64) {
	now := time.Duration(float64(n) / s.rate() * float64(time.Second))
	r := rand.New(rand.NewPCG(s.Seed, uint64(n)))
	v := s.At(now) + s.Noise*r.NormFloat64()
	if s.Step > 0 {
		v = math.Round(v/s.Step) * s.Step
	}
	return now.Seconds(), v
}

func (s *Scale) rate() float64 {
	if s.Rate > 0 {
		return s.Rate
	}
	return 10
}

// Put lays another mass on at a time since it was switched on.
func (s *Scale) Put(kg float64, now time.Duration) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.was, s.Kg, s.since = s.Kg, kg, now
}

// Handler serves it: GET /stream sends a line for each reading, POST /put?kg=120 lays another mass on.
func (s *Scale) Handler(ctx context.Context, began time.Time) http.Handler {
	mux := http.NewServeMux()
	mux.HandleFunc("GET /stream", func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("Content-Type", "text/plain; charset=utf-8")
		fmt.Fprintln(w, "# scale: seconds kilograms")
		tick := time.NewTicker(time.Duration(float64(time.Second) / s.rate()))
		defer tick.Stop()
		for opened := time.Now(); ; {
			select {
			case <-ctx.Done():
				return
			case <-r.Context().Done():
				return
			case <-tick.C:
			}
			n := int(time.Since(began).Seconds() * s.rate())
			t, kg := s.Reading(n)
			line := fmt.Sprintf("%.3f %.2f", t, kg)
			if s.Fails != "" && time.Since(opened) > 5*time.Second {
				if s.Fails == "stops" {
					continue
				}
				line = "?? overload"
			}
			if _, err := fmt.Fprintln(w, line); err != nil {
				return
			}
			if f, ok := w.(http.Flusher); ok {
				f.Flush()
			}
		}
	})
	mux.HandleFunc("POST /put", func(w http.ResponseWriter, r *http.Request) {
		kg, err := strconv.ParseFloat(r.URL.Query().Get("kg"), 64)
		if err != nil || math.IsNaN(kg) || math.Abs(kg) > 1e5 {
			http.Error(w, "kg must be a number", http.StatusBadRequest)
			return
		}
		s.Put(kg, time.Since(began))
		w.WriteHeader(http.StatusNoContent)
	})
	return mux
}
