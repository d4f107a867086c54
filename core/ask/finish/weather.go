package finish

import (
	"cmp"
	"fmt"
	"math"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"time"

	"zygonos/core/facts/norms"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/plan"
)

// ForecastHour is a stretch of a forecast, with whether it may be painted in.
type ForecastHour struct {
	On    string        `json:"on"`   // day
	From  float64       `json:"from"` // hours of the day
	To    float64       `json:"to"`
	Air   float64       `json:"air"` // °C
	Humid float64       `json:"humid"`
	Dew   float64       `json:"dew"` // °C
	Rain  bool          `json:"rain,omitempty"`
	Good  bool          `json:"good,omitempty"`
	Why   said.Sentence `json:"why,omitempty"` // it is not good
}

// DryWindow is a stretch in which it may be painted and dries.
type DryWindow struct {
	From  string  `json:"from"` // YYYY-MM-DDTHH:MM
	To    string  `json:"to"`
	Hours float64 `json:"hours"`
	Long  bool    `json:"long"` // long enough for a coat
}

// Weather is a forecast as it was read.
type Weather struct {
	Hours   []ForecastHour `json:"hours"`
	Windows []DryWindow    `json:"windows"`
	Wrong   []LineError    `json:"wrong"`
	Says    said.Sentence  `json:"says"`
	Needs   float64        `json:"needs"` // hours that a coat takes to be done and touched
}

// LineError is a line of a forecast that cannot be read.
type LineError struct {
	Line int    `json:"line"`
	Says string `json:"says"`
}

var (
	dayWord  = regexp.MustCompile(`^\d{4}-\d{2}-\d{2}$`)
	hourWord = regexp.MustCompile(`^(\d{1,2})(?::(\d{2}))?(?:[-–](\d{1,2})(?::(\d{2}))?)?h?$`)
	tempWord = regexp.MustCompile(`^([+-−]?\d+(?:\.\d+)?)\s*°?([cf])$`)
	wetWord  = regexp.MustCompile(`^(\d+(?:\.\d+)?)%$`)
	apart    = regexp.MustCompile(`(\d)\s+(°?\s?[cCfF]|%|mm)(?:$|\b)`) // a number and its unit
	rainWord = regexp.MustCompile(`^(\d+(?:\.\d+)?)mm$`)
)

// mostLines of a forecast.
const mostLines = 400

// ReadWeather reads a forecast: a line for each stretch with its day, hour or hours, temperature (12C, 54F), humidity (70%)
// and rain (0.4mm, or the words dry, rain, shower). A day is taken over to the lines below it. today, YYYY-MM-DD, is when it
// is read: what lies before it is named and left out.
func ReadWeather(text, today string) (hours []ForecastHour, wrong []LineError) {
	day := ""
	for n, line := range strings.Split(text, "\n") {
		if n == mostLines {
			return hours, append(wrong, LineError{n + 1, fmt.Sprintf("Only %d lines are read.", mostLines)})
		}
		line = apart.ReplaceAllString(line, "$1$2")
		words := strings.Fields(
			strings.ToLower(
				strings.NewReplacer(",", " ", ";", " ", "\t", " ", " %", "%", " °", "°", " mm", "mm").Replace(line),
			),
		)
		if len(words) == 0 {
			continue
		}
		h, wet, warm, timed, unread := ForecastHour{On: day}, false, false, false, ""
		for _, w := range words {
			switch {
			case dayWord.MatchString(w):
				h.On = w
			case tempWord.MatchString(w):
				m := tempWord.FindStringSubmatch(w)
				h.Air, _ = strconv.ParseFloat(strings.Replace(m[1], "−", "-", 1), 64)
				if m[2] == "f" {
					h.Air = (h.Air - 32) * 5 / 9
				}
				warm = true
			case wetWord.MatchString(w):
				h.Humid, _ = strconv.ParseFloat(strings.TrimSuffix(w, "%"), 64)
				h.Humid, wet = h.Humid/100, true
			case rainWord.MatchString(w):
				mm, _ := strconv.ParseFloat(strings.TrimSuffix(w, "mm"), 64)
				h.Rain = h.Rain || mm > 0
			case w == "dry" || w == "sun" || w == "sunny" || w == "cloudy" || w == "clear":
			case strings.HasPrefix(w, "rain") || strings.HasPrefix(w, "shower") || strings.HasPrefix(w, "snow") || w == "drizzle":
				h.Rain = true
			case !timed && hourWord.MatchString(w):
				h.From, h.To = hoursOf(hourWord.FindStringSubmatch(w))
				timed = true
			default:
				unread = cmp.Or(unread, w)
			}
		}
		bad := func(says string, args ...any) { wrong = append(wrong, LineError{n + 1, fmt.Sprintf(says, args...)}) }
		if _, err := time.Parse(time.DateOnly, h.On); err != nil {
			bad("No day is given; write it as 2026-05-31.")
			continue
		}
		day = h.On
		switch {
		case len(words) == 1: // a day alone stands over the lines below it
		case unread != "":
			bad("“%.30s” is not understood here.", unread)
		case today != "" && h.On < today:
			bad("%s is past.", h.On)
		case !timed || h.To <= h.From || h.To > 24:
			bad("The hours must lie between 0 and 24, the first before the last.")
		case !warm || h.Air < -45 || h.Air > 55:
			bad("The temperature is missing or beyond sense; write it as 12C or 54F.")
		case !wet || h.Humid <= 0 || h.Humid > 1:
			bad("The humidity is missing or beyond 100 %%; write it as 70%%.")
		default:
			hours = append(hours, h)
		}
	}
	slices.SortStableFunc(
		hours,
		func(a, b ForecastHour) int { return cmp.Or(cmp.Compare(a.On, b.On), cmp.Compare(a.From, b.From)) },
	)
	return hours, wrong
}

// hoursOf are the hours of "9", "9:30", "9-12".
func hoursOf(m []string) (from, to float64) {
	num := func(h, min string) float64 {
		a, _ := strconv.ParseFloat(h, 64)
		b, _ := strconv.ParseFloat(cmp.Or(min, "0"), 64)
		return a + b/60
	}
	from = num(m[1], m[2])
	if m[3] == "" {
		return from, from + 1
	}
	return from, num(m[3], m[4])
}

// Limits of painting where the tin says nothing (practice, C).
const (
	leastAir   = 10.0
	mostHumid  = 0.85
	handsHours = 3.0 // that one coat of a small trailer takes
)

// judged says of each stretch whether it may be painted in: dry, warm and dry enough for the tin, and 3 K over the dew point
// (the steel as warm as the air: in the morning it is colder).
func judged(hours []ForecastHour, f *plan.Finish) []ForecastHour {
	least, most := leastAir, mostHumid
	if f.Least != nil {
		least = float64(*f.Least)
	}
	if f.Wettest != nil {
		most = *f.Wettest
	}
	out := slices.Clone(hours)
	for i := range out {
		h := &out[i]
		dew, ok := norms.DewPoint(h.Air, h.Humid)
		h.Dew = dew
		switch {
		case h.Rain:
			h.Why = said.Say("rain")
		case h.Air < least:
			h.Why = said.Say("colder than %", said.Of(quantity.KindTemperature, least))
		case h.Humid > most+1e-9:
			h.Why = said.Say("wetter than %", said.Share(most))
		case !ok || h.Air < dew+norms.OverDew:
			h.Why = said.Say("dew: less than [3 K] over the dew point")
		default:
			h.Good = true
		}
	}
	return out
}

// touchHours is how long a coat must not get wet, by the recoat time at the air's temperature.
func touchHours(f *plan.Finish, air float64) float64 {
	c, ok := norms.CoatOf(string(f.Way))
	if !ok {
		c, _ = norms.CoatOf("paint")
	}
	h := c.Recoat[1]
	if f.Recoat != nil {
		h = float64(*f.Recoat) / 3600
	}
	return h / 2 * norms.Slower(math.Max(0, air)) // touch dry is about half of it
}

// WeatherOf reads the plan's forecast, and finds the stretches that are long enough for a coat and its touch-drying.
func WeatherOf(f *plan.Finish, today string) *Weather {
	w := &Weather{Hours: []ForecastHour{}, Windows: []DryWindow{}, Wrong: []LineError{}}
	if f == nil || strings.TrimSpace(f.Forecast) == "" {
		return w
	}
	hours, wrong := ReadWeather(f.Forecast, today)
	w.Hours, w.Wrong = append(w.Hours, judged(hours, f)...), append(w.Wrong, wrong...)
	best := 0.0
	for i := 0; i < len(w.Hours); {
		h := &w.Hours[i]
		if !h.Good {
			i++
			continue
		}
		k, warm := i, h.Air
		for k+1 < len(w.Hours) && w.Hours[k+1].Good && follows(&w.Hours[k], &w.Hours[k+1]) {
			k++
			warm = math.Min(warm, w.Hours[k].Air)
		}
		long := since(h.On, h.From, w.Hours[k].On, w.Hours[k].To)
		needs := handsHours + touchHours(f, warm)
		w.Windows = append(
			w.Windows,
			DryWindow{stamp(h.On, h.From), stamp(w.Hours[k].On, w.Hours[k].To), long, long >= needs-1e-9},
		)
		if long > best {
			best, w.Needs = long, needs
		}
		i = k + 1
	}
	good := slices.IndexFunc(w.Windows, func(x DryWindow) bool { return x.Long })
	switch {
	case len(w.Hours) == 0:
		w.Says = said.Say("No line of the forecast can be used.")
	case good >= 0:
		w.Says = said.Say(
			"You can paint in % of these hours.",
			said.Count(len(slices.DeleteFunc(slices.Clone(w.Hours), func(h ForecastHour) bool { return !h.Good }))),
		)
	case len(w.Windows) > 0:
		w.Says = said.Say(
			"There are dry spells, but none is long enough: a coat takes % to touch-dry.",
			said.Of(quantity.KindTime, w.Needs*3600),
		)
	default:
		w.Says = said.Say("No hour of this forecast is fit for painting outdoors.")
	}
	return w
}

// follows reports whether a stretch begins where another ends, over midnight too.
func follows(a, b *ForecastHour) bool { return math.Abs(since(a.On, a.To, b.On, b.From)) < 1e-6 }

// since is how many hours lie between two places of the clock on the wall.
func since(day1 string, h1 float64, day2 string, h2 float64) float64 {
	a, _ := time.Parse(time.DateOnly, day1)
	b, _ := time.Parse(time.DateOnly, day2)
	return b.Sub(a).Hours() + h2 - h1
}

func stamp(day string, h float64) string {
	t, _ := time.Parse(time.DateOnly, day)
	return t.Add(time.Duration(math.Round(h*60)) * time.Minute).Format("2006-01-02T15:04")
}
