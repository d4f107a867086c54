package tables

import (
	"strconv"

	"zygonos/core/study"
)

// Months is a look back as a table: km, kg, money, litres and kilowatt-hours.
func Months(b *study.LookBack) []byte {
	rows := [][]string{{"month", "trips", "km", "carried kg", "spent", "fuel l", "energy kWh"}}
	figure := func(v float64, digits int) string { return strconv.FormatFloat(v, 'f', digits, 64) }
	for _, m := range b.Months {
		rows = append(rows, []string{
			m.Month, strconv.Itoa(m.Trips), figure(m.Far/1000, 1), figure(m.Carried, 0), figure(m.Spent, 2), figure(m.Fuel, 1),
			figure(m.Power, 1),
		})
	}
	return write(rows)
}
