package quantity_test

import (
	"math"
	"strings"
	"testing"

	"zygonos/core/lang/quantity"
)

// Sums carry the region's sign, whichever sign was typed, and are read back as
// they are printed, to the printed precision.
func TestMoney(t *testing.T) {
	for region, sign := range map[quantity.Region]string{quantity.NorthAmerica: "$", quantity.UK: "£", quantity.EU: "€", quantity.Australia: "$", quantity.NewZealand: "$"} {
		for _, units := range []quantity.System{quantity.Metric, quantity.Imperial} {
			l := quantity.Locale{Units: units, Region: region}
			for _, v := range []float64{0, 0.5, 4.99, 12.5, 19.99, 20, 129.4, 1250, 98765.4} {
				text := l.Text(quantity.KindMoney, v)
				if !strings.HasPrefix(text, sign) {
					t.Errorf("%s: %v prints as %q", region, v, text)
				}
				back, err := l.Parse(quantity.KindMoney, text)
				within := 0.5
				if v < 19.995 {
					within = 0.005
				}
				if err != nil || math.Abs(back.Value-v) > within+1e-9 {
					t.Errorf("%s: %q is read as %v, %v", region, text, back.Value, err)
				}
			}
			for _, typed := range []string{"1250", "£1250", "€ 1250", "$1250", "1250 £", "1250€"} {
				if got, err := l.Parse(quantity.KindMoney, typed); err != nil || got.Value != 1250 {
					t.Errorf("%s: %q is read as %v, %v", region, typed, got.Value, err)
				}
			}
		}
	}
	l := quantity.Locale{Units: quantity.Metric, Region: quantity.UK}
	for typed, word := range map[string]string{"cheap": "not a number", "12 kg": "does not measure money", "£": "not a number", "12 dollars": "not a unit"} {
		if _, err := l.Parse(quantity.KindMoney, typed); err == nil || !strings.Contains(err.Error(), word) {
			t.Errorf("%q: %v", typed, err)
		}
	}
}

// Hours of work: minutes under an hour, a working day of eight hours.
func TestHours(t *testing.T) {
	l := quantity.Locale{Units: quantity.Imperial, Region: quantity.NorthAmerica}
	for typed, seconds := range map[string]float64{"2": 7200, "2.5 h": 9000, "90 min": 5400, "3 days": 86400, "1 day": 28800, "45 minutes": 2700} {
		got, err := l.Parse(quantity.KindTime, typed)
		if err != nil || math.Abs(got.Value-seconds) > 1e-9 {
			t.Errorf("%q: %v, %v", typed, got.Value, err)
		}
	}
	for seconds, text := range map[float64]string{0: "0 h", 60: "1 min", 2700: "45 min", 3570: "1 h", 3600: "1 h", 5400: "1.5 h", 86400: "24 h", -1800: "−30 min", 45000: "12.5 h"} {
		if got := l.Text(quantity.KindTime, seconds); got != text {
			t.Errorf("%v s: %q, want %q", seconds, got, text)
		}
	}
}

// Forces: kN as a hitch's plate gives them, pounds of force where pounds rule.
func TestForce(t *testing.T) {
	metric, imperial := quantity.Locale{Units: quantity.Metric, Region: quantity.EU}, quantity.Locale{Units: quantity.Imperial, Region: quantity.NorthAmerica}
	for _, c := range []struct {
		l    quantity.Locale
		text string
		n    float64
	}{{metric, "8,5 kN", 8500}, {metric, "8.5", 8500}, {metric, "500 daN", 5000}, {metric, "900 N", 900}, {imperial, "1,000", 4448.2216152605}, {imperial, "8.5 kN", 8500}} {
		got, err := c.l.Parse(quantity.KindForce, c.text)
		if err != nil || math.Abs(got.Value-c.n) > 1e-6 {
			t.Errorf("%q: %v, %v", c.text, got.Value, err)
		}
	}
	if got := metric.Text(quantity.KindForce, 8405.7); got != "8.41 kN" {
		t.Errorf("%q", got)
	}
	if got := metric.Text(quantity.KindRate, 0.914); got != "€0.91/kg" {
		t.Errorf("%q", got)
	}
}
