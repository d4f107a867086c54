// Package steady tells when a scale stands still, and takes its value with its doubt. Formulas: docs/method/scale.md.
package steady

import (
	"bufio"
	"math"
	"strconv"
	"strings"

	"gonum.org/v1/gonum/stat"
)

// Figures of the filter (practice, C).
const (
	window   = 2.0   // s that are looked at
	least    = 10    // readings in them
	twice    = 2     // times in a row, half a window apart, that it must stand still
	tellsAt  = 3.0   // standard deviations of the slope that count as moving
	stillKg  = 0.02  // kg a second that count as still, whatever the noise
	stillPer = 0.001 // of the value a second
	wildest  = 0.02  // of the value, or of 5 kg, that the noise may be: more is somebody on it
)

// State is what the readings so far say.
type State struct {
	Steady bool
	Value  float64 // kg, the mean of the window
	Doubt  float64 // kg, two standard deviations: of the mean, of what it creeps in a window and of the step of the scale
}

// Filter takes readings in their order.
type Filter struct {
	t, v  []float64
	still int
	since float64 // of the last time that it was found still
	// readings that made no sense
	Nonsense int
}

// Add takes a reading at a time, s, of a mass, kg. What is no figure, or lies before the last one, is counted and left out.
func (f *Filter) Add(t, v float64) State {
	n := len(f.t)
	if math.IsNaN(v) || math.IsInf(v, 0) || math.IsNaN(t) || math.IsInf(t, 0) || n > 0 && t <= f.t[n-1] {
		f.Nonsense++
		return f.state()
	}
	f.t, f.v = append(f.t, t), append(f.v, v)
	first := 0
	for f.t[first] < t-window-1e-9 {
		first++
	}
	f.t, f.v = f.t[first:], f.v[first:]
	if t-f.t[0] < window*0.9 || len(f.t) < least {
		return State{}
	}
	if !f.stands() {
		f.still = 0
		return State{}
	}
	if f.still == 0 || t-f.since >= window/2 {
		f.still, f.since = f.still+1, t
	}
	return f.state()
}

// fit is the straight line through the window: its slope, kg/s, with its standard deviation, and the scatter about it.
func (f *Filter) fit() (slope, doubt, scatter float64) {
	a, b := stat.LinearRegression(f.t, f.v, nil, false)
	n := float64(len(f.t))
	mean := stat.Mean(f.t, nil)
	var ss, st float64
	for i := range f.t {
		r := f.v[i] - a - b*f.t[i]
		ss, st = ss+r*r, st+(f.t[i]-mean)*(f.t[i]-mean)
	}
	scatter = math.Sqrt(ss / (n - 2))
	return b, scatter / math.Sqrt(st), scatter
}

// stands reports whether the window stands still: its slope is within what counts as still, or stated from nothing by no more than
// its own doubt, and its scatter is that of a scale and not of somebody on it.
func (f *Filter) stands() bool {
	slope, doubt, scatter := f.fit()
	level := math.Abs(stat.Mean(f.v, nil))
	may := math.Max(stillKg, stillPer*level)
	most := math.Max(may, math.Min(tellsAt*doubt, 3*may))
	if f.still >= twice { // what stood is not lost to a single odd reading
		most *= 2
	}
	return math.Abs(slope) <= most && scatter <= wildest*math.Max(5, level)
}

func (f *Filter) state() State {
	if f.still < twice {
		return State{}
	}
	slope, _, scatter := f.fit()
	n := float64(len(f.v))
	creep := slope * window // what it may still go, as far again as it went in the window
	return State{
		Steady: true, Value: stat.Mean(f.v, nil),
		Doubt: math.Max(resolution, math.Sqrt(4*scatter*scatter/n+creep*creep+resolution*resolution)),
	}
}

// resolution is what a cheap scale steps by, kg (C).
const resolution = 0.1

// MostLine is the longest line of a scale, bytes.
const MostLine = 200

// Parse reads a line of the protocol: seconds since the scale was switched on, a blank, kilograms. ok is false for a comment, which
// begins with #, and for an empty line; wrong says that it is none of these.
func Parse(line string) (t, kg float64, ok, wrong bool) {
	line = strings.TrimSpace(line)
	if line == "" || strings.HasPrefix(line, "#") {
		return 0, 0, false, false
	}
	first, second, two := strings.Cut(line, " ")
	t, err1 := strconv.ParseFloat(first, 64)
	kg, err2 := strconv.ParseFloat(strings.TrimSpace(second), 64)
	if !two || err1 != nil || err2 != nil || math.IsNaN(t) || math.IsInf(t, 0) || math.IsNaN(kg) ||
		math.IsInf(kg, 0) ||
		math.Abs(kg) > 1e5 {
		return 0, 0, false, true
	}
	return t, kg, true, false
}

// Lines makes a scanner ready for lines of a scale.
func Lines(s *bufio.Scanner) *bufio.Scanner {
	s.Buffer(make([]byte, 0, MostLine), MostLine)
	return s
}
