package library_test

import (
	"encoding/json"
	"math/rand/v2"
	"reflect"
	"testing"

	"zygonos/core/lang/quantity"
	"zygonos/core/library"
	"zygonos/core/plan"
)

var locale = quantity.Locale{Units: quantity.Metric, Region: quantity.UK}

func read(t *testing.T, text string) *plan.Plan {
	t.Helper()
	p, err := plan.Read([]byte(text))
	if err != nil {
		t.Fatal(err)
	}
	return p
}

const yard = `{"format":"zygonos-plan","version":1,"name":"Yard","region":"uk","units":"metric",
 "loads":{"skiff":{"order":3,"name":"Skiff","mass":{"value":48,"how":"weighed"},"size":{},"centre":{}},
  "clay":{"order":1,"name":"Clay","size":{},"centre":{},"bulk":{"material":"clay","own":"ours","by":"level"}}},
 "materials":{"ours":{"order":1,"name":"Our clay","like":"clay","density":{"value":1640,"how":"weighed"}}},
 "ballMounts":{"drop":{"order":1,"name":"Drop mount","ball":60}},
 "towVehicles":{"car":{"order":1,"name":"Estate","mount":"drop","ballLimit":80}},
 "trailers":{"flat":{"order":1,"name":"Flat","empty":{"parts":{"spare":{"at":{"back":0}}}},
  "fitted":{"rack":{"at":{"back":0.3}}}}},
 "straps":{"wide":{"order":2,"name":"Wide ones","kind":"ratchet","count":4,"limit":500}},
 "parts":{"rack":{"order":1,"name":"Rack","mass":{"value":22,"how":"weighed"},"size":{}},
  "spare":{"order":2,"name":"Spare","mass":{"value":14,"how":"weighed"},"size":{}}},
 "outings":{}}`

// empty is a plan with nothing in it.
const empty = `{"format":"zygonos-plan","version":1,"name":"New","region":"eu","units":"metric",
 "loads":{},"towVehicles":{},"trailers":{},"parts":{},"outings":{}}`

var paths = []string{"/loads/skiff", "/loads/clay", "/materials/ours", "/ballMounts/drop", "/towVehicles/car",
	"/trailers/flat", "/straps/wide"}

func kept(t *testing.T, p *plan.Plan, path, id string, revision int64) library.Thing {
	t.Helper()
	thing, err := library.Extract(p, path)
	if err != nil {
		t.Fatal(path, err)
	}
	// through a file and back, as the database has it
	data, err := json.Marshal(thing.Holds)
	if err != nil {
		t.Fatal(err)
	}
	thing.Holds = read(t, string(data))
	thing.ID, thing.Revision = id, revision
	return *thing
}

func taken(t *testing.T, p *plan.Plan, thing *library.Thing, id string) *plan.Plan {
	t.Helper()
	ops, err := library.Take(p, thing, id)
	if err != nil {
		t.Fatal(err)
	}
	q, err := plan.Apply(p, ops)
	if err != nil {
		t.Fatal(err)
	}
	if bad := plan.Clean(q); len(bad) > 0 {
		t.Fatalf("%s: %v", id, bad)
	}
	return q
}

// What is kept and taken, into an empty plan or one that has it all, is the same thing: kept again,
// nothing differs and nothing is offered.
func TestKeptAndTaken(t *testing.T) {
	for _, into := range []string{empty, yard} {
		for _, path := range paths {
			thing := kept(t, read(t, yard), path, "k1", 1)
			q := taken(t, read(t, into), &thing, "copy")
			again := kept(t, q, "/"+thing.Collection+"/copy", "k1", 1)
			if d := library.Differences(again.Holds, thing.Holds); len(d) > 0 {
				t.Errorf("%s: differs by %s", path, d[0].Text(locale))
			}
			if o := library.Offers(q, []library.Thing{thing}); len(o) > 0 {
				t.Errorf("%s: offered %s", path, o[0].Differs[0].Text(locale))
			}
		}
	}
}

// What a thing refers to comes along, and is used where the plan has the like.
func TestAlong(t *testing.T) {
	thing := kept(t, read(t, yard), "/trailers/flat", "k1", 1)
	q := taken(t, read(t, empty), &thing, "mine")
	if len(q.Parts) != 2 {
		t.Fatalf("%d parts came along, not 2", len(q.Parts))
	}
	for id := range q.Trailers["mine"].Fitted {
		if q.Parts[id].Name != "Rack" {
			t.Errorf("fitted is %q", q.Parts[id].Name)
		}
	}
	for id := range q.Trailers["mine"].Empty.Parts {
		if q.Parts[id].Name != "Spare" {
			t.Errorf("weighed with %q", q.Parts[id].Name)
		}
	}
	q = taken(t, read(t, yard), &thing, "second")
	if len(q.Parts) != 2 {
		t.Errorf("the like was there, yet %d parts are in the plan", len(q.Parts))
	}
	other := read(t, yard)
	rack := other.Parts["rack"]
	rack.Mass = &plan.MassEstimate{Value: 30, How: plan.Weighed}
	other.Parts["rack"] = rack
	q = taken(t, other, &thing, "second")
	if len(q.Parts) != 3 || q.Parts["rack"].Mass.Value != 30 {
		t.Errorf("a rack of the same name and another weight must stand beside: %d parts", len(q.Parts))
	}
}

// A changed thing is offered with what differs; taken or left, it is offered no more.
func TestOffers(t *testing.T) {
	old := kept(t, read(t, yard), "/loads/skiff", "k1", 1)
	p := taken(t, read(t, empty), &old, "boat")
	changed := read(t, yard)
	skiff := changed.Loads["skiff"]
	skiff.Mass = &plan.MassEstimate{Value: 52, How: plan.Weighed}
	changed.Loads["skiff"] = skiff
	thing := kept(t, changed, "/loads/skiff", "k1", 2)
	offers := library.Offers(p, []library.Thing{thing})
	if len(offers) != 1 || !offers[0].Newer || offers[0].Path != "/loads/boat" {
		t.Fatalf("offers: %+v", offers)
	}
	if got, want := offers[0].Differs[0].Text(locale), "weight: 48 kg here, 52 kg in the library"; got != want {
		t.Errorf("%q, want %q", got, want)
	}
	q, err := plan.Apply(p, offers[0].Take)
	if err != nil {
		t.Fatal(err)
	}
	if q.Loads["boat"].Mass.Value != 52 || q.Loads["boat"].Order != p.Loads["boat"].Order {
		t.Errorf("taken: %+v", q.Loads["boat"])
	}
	if o := library.Offers(q, []library.Thing{thing}); len(o) > 0 {
		t.Error("offered again once taken")
	}
	q, err = plan.Apply(p, offers[0].Leave)
	if err != nil {
		t.Fatal(err)
	}
	if o := library.Offers(q, []library.Thing{thing}); len(o) != 1 || o[0].Newer || q.Loads["boat"].Mass.Value != 48 {
		t.Error("left: the plan's figure must stay, and count as the plan's own change")
	}
	if o := library.Offers(p, nil); len(o) > 0 {
		t.Error("a thing that the library no longer has is offered")
	}
}

// A trailer whose rack was changed in the library gets that rack, not a second one.
func TestOfferedParts(t *testing.T) {
	old := kept(t, read(t, yard), "/trailers/flat", "k1", 1)
	p := taken(t, read(t, yard), &old, "mine")
	p.Trailers["mine"] = renamedParts(p, "mine")
	changed := read(t, yard)
	rack := changed.Parts["rack"]
	rack.Mass = &plan.MassEstimate{Value: 19, How: plan.Weighed}
	changed.Parts["rack"] = rack
	thing := kept(t, changed, "/trailers/flat", "k1", 2)
	offers := library.Offers(p, []library.Thing{thing})
	if len(offers) != 1 || len(offers[0].Differs) != 1 {
		t.Fatalf("offers: %+v", offers)
	}
	q, err := plan.Apply(p, offers[0].Take)
	if err != nil {
		t.Fatal(err)
	}
	if len(q.Parts) != len(p.Parts) {
		t.Errorf("%d parts became %d", len(p.Parts), len(q.Parts))
	}
	for id := range q.Trailers["mine"].Fitted {
		if q.Parts[id].Mass.Value != 19 {
			t.Errorf("the rack weighs %v", q.Parts[id].Mass.Value)
		}
	}
}

// renamedParts gives a trailer parts of its own under other ids.
func renamedParts(p *plan.Plan, id string) plan.Trailer {
	t := p.Trailers[id]
	fitted := map[string]plan.PartOn{}
	for part, on := range t.Fitted {
		p.Parts["own-"+part] = p.Parts[part]
		fitted["own-"+part] = on
	}
	t.Fitted = fitted
	return t
}

// Bad things are refused with a sentence.
func TestRefused(t *testing.T) {
	p := read(t, yard)
	for _, path := range []string{"", "loads/skiff", "/loads/none", "/parts/rack", "/outings/x", "/loads"} {
		if _, err := library.Extract(p, path); err == nil {
			t.Errorf("%q was kept", path)
		}
	}
	thing := kept(t, p, "/loads/skiff", "k1", 1)
	if _, err := library.Take(p, &thing, "clay"); err == nil {
		t.Error("taken over another load")
	}
	for _, bad := range []library.Thing{{}, {Collection: "loads"}, {Collection: "parts", Holds: p}, {Collection: "loads", Holds: p}} {
		if _, err := library.Take(p, &bad, "new"); err == nil {
			t.Errorf("taken: %+v", bad)
		}
	}
}

// Every field that a collection's type has is carried: a thing filled at random comes back whole.
func TestWhole(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	for range 200 {
		p := read(t, yard)
		strap := p.Straps["wide"]
		limit := quantity.Mass(r.Float64() * 1000)
		strap.Limit, strap.Count, strap.Retire = &limit, r.IntN(20), r.IntN(2) == 0
		p.Straps["wide"] = strap
		thing := kept(t, p, "/straps/wide", "k", 1)
		q := taken(t, read(t, empty), &thing, "s")
		got := q.Straps["s"]
		got.Kept, got.Order = nil, strap.Order
		if !reflect.DeepEqual(got, strap) {
			t.Fatalf("%+v became %+v", strap, got)
		}
	}
}
