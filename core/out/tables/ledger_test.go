package tables_test

import (
	"strings"
	"testing"

	"zygonos/core/cost"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/out/tables"
	"zygonos/core/plan"
	"zygonos/core/records"
)

// Lists as banks and shops write them, by region; every line that cannot be used is named and left out.
func TestReadSpends(t *testing.T) {
	eu := &plan.Plan{Units: quantity.Metric, Region: quantity.EU}
	got, err := tables.ReadSpends(eu, []byte("Booked;Text;Amount\n18.04.2026;Axle, hubs;-438,50\n2.5.2026;\"Winch; hand\";€129,99\n31.2.2026;Paint;10\n3.5.2026;Paint;1,2,3\n3.5.2026;;5\n3.5.2026;Bolts;\n"))
	if err != nil {
		t.Fatal(err)
	}
	if len(got.Rows) != 2 || got.Rows[0].On != "2026-04-18" || *got.Rows[0].Spend.Spent != 438.5 || got.Rows[1].Spend.What != "Winch; hand" || *got.Rows[1].Spend.Spent != 129.99 {
		t.Errorf("%+v", got.Rows)
	}
	for i, says := range []string{"not a date", "1,2,3", "no item", "no amount"} {
		if i >= len(got.Wrong) || !strings.Contains(got.Wrong[i].Says, says) || got.Wrong[i].Line != i+4 {
			t.Errorf("%s: %+v", says, got.Wrong)
		}
	}
	na := &plan.Plan{Units: quantity.Imperial, Region: quantity.NorthAmerica}
	us, err := tables.ReadSpends(na, []byte("Date,Description,Planned,Paid\n4/18/2026,Axle,\"1,200\",\"$1,234.56\"\n"))
	if err != nil || us.Rows[0].On != "2026-04-18" || *us.Rows[0].Spend.Spent != 1234.56 || *us.Rows[0].Spend.Planned != 1200 {
		t.Errorf("%+v %v", us, err)
	}
	for _, bad := range []string{"", "one,two\n1,2\n", "item\nx\n"} {
		if _, err := tables.ReadSpends(eu, []byte(bad)); err == nil {
			t.Errorf("%q", bad)
		}
	}
}

// What goes out comes in again, a name that a spreadsheet would run too.
func TestLedgerRoundTrip(t *testing.T) {
	sum := quantity.Money(12.34)
	all := records.All{"spend-a": {Kind: records.KindSpend, Trailer: "t", On: "2026-06-01", Spend: &records.SpendRecord{What: "=1+1", For: records.ForPart, Spent: &sum}}}
	l := quantity.Locale{Units: quantity.Metric, Region: quantity.UK}
	table := tables.Ledger(cost.LedgerOf(nil, "t", nil, all), l)
	if strings.Contains(string(table), "\n=") || strings.Contains(string(table), ",=") {
		t.Errorf("%s", table)
	}
	back, err := tables.ReadSpends(&plan.Plan{Region: quantity.UK}, table)
	if err != nil || len(back.Rows) != 1 {
		t.Fatalf("%+v %v", back, err)
	}
	if r := back.Rows[0]; r.On != "2026-06-01" || r.Spend.What != "=1+1" || *r.Spend.Spent != sum || r.Spend.For != records.ForPart {
		t.Errorf("%+v", r)
	}
}

// What follows from the plan or stands in the log is no spending of its own when the table comes back: 90 of a
// trailer, 8 of a drive and 5 of one's own are exported; 5 come back.
func TestLedgerTakesNothingTwice(t *testing.T) {
	price, fuel, own := quantity.Money(90), quantity.Money(8), quantity.Money(5)
	all := records.All{
		"trip-a": {Kind: records.KindTrip, Trailer: "t", On: "2026-06-01", Trip: &records.TripRecord{Cost: &fuel}},
		"spend-a": {
			Kind: records.KindSpend, Trailer: "t",
			Spend: &records.SpendRecord{What: "Bolts", For: records.ForPart, Spent: &own},
		},
	}
	planned := []cost.Planned{{Key: "price", What: said.Say("Trailer"), For: records.ForPart, Money: &price}}
	l := quantity.Locale{Units: quantity.Metric, Region: quantity.UK}
	table := tables.Ledger(cost.LedgerOf(nil, "t", planned, all), l)
	back, err := tables.ReadSpends(&plan.Plan{Region: quantity.UK}, table)
	if err != nil || len(back.Rows) != 1 || back.Rows[0].Spend.What != "Bolts" || len(back.Wrong) != 2 {
		t.Fatalf("%s\n%+v %v", table, back, err)
	}
}

// Whatever is read, it answers.
func FuzzReadSpends(f *testing.F) {
	f.Add([]byte("item,spent\na,1\n"))
	f.Fuzz(func(_ *testing.T, data []byte) { _, _ = tables.ReadSpends(&plan.Plan{Region: quantity.EU}, data) })
}
