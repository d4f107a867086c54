package web

import (
	"context"
	"net/http"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"zygonos/core/ask/box"
	"zygonos/core/ask/deck"
	"zygonos/core/ask/papers"
	"zygonos/core/ask/power"
	"zygonos/core/ask/pump"
	"zygonos/core/ask/tip"
	"zygonos/core/ask/wiring"
	"zygonos/core/ask/workshop"
	"zygonos/core/begin"
	"zygonos/core/lang/finding"
	"zygonos/core/out/departure"
	"zygonos/core/out/tables"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
	"zygonos/core/study/change"
	"zygonos/core/study/cut"
	"zygonos/core/sums/schedule"
	"zygonos/store"
)

// route is one call of the API: what serves it, and what is stated of it.
type route struct {
	method, path, says string
	takes, gives       any    // documents; nil for none
	code               int    // of an answer that went well; 0: 200
	media              string // of the answer; empty: JSON
	serve              func(s *server) fiber.Handler
}

func (r *route) status() int {
	if r.code == 0 {
		return http.StatusOK
	}
	return r.code
}

func (r *route) mediaType() string {
	if r.media == "" {
		return fiber.MIMEApplicationJSON
	}
	return r.media
}

// at is a handler that needs no server.
func at(h fiber.Handler) func(*server) fiber.Handler {
	return func(*server) fiber.Handler { return h }
}

// on is one that is a method of the server.
func on(h func(*server, fiber.Ctx) error) func(*server) fiber.Handler {
	return func(s *server) fiber.Handler { return func(c fiber.Ctx) error { return h(s, c) } }
}

const (
	csvType     = "text/csv"
	created     = http.StatusCreated
	noContent   = http.StatusNoContent
	linesOfJSON = "application/x-ndjson"
)

// ofWork are the kinds of records that the work's order looks at.
var ofWork = []records.Kind{records.KindStep, records.KindTool, records.KindPart, records.KindSnag}

// ofLists are those of its lists.
var ofLists = append([]records.Kind{records.KindBuilt}, ofWork...)

// ofMoney are those of the ledger and of what it is planned by.
var ofMoney = append([]records.Kind{records.KindSpend, records.KindWear}, ofWork...)

// ofLog are those that a look back takes.
var ofLog = []records.Kind{records.KindTrip, records.KindSlip, records.KindWear, records.KindSpend}

// Health says that the server answers.
type Health struct {
	OK bool `json:"ok"`
}

// Entry is the passcode, or a short code, that lets a caller in.
type Entry struct {
	Passcode string `json:"passcode"`
}

// routes are all calls: handlers, their description and the types that the interface takes come
// from here. Those without a handler are the gate's.
var routes []route

func init() { // a table that handlers name and that names handlers
	routes = []route{
		{"GET", "/health", "Whether the server answers",
			nil, Health{}, 0, "", at(func(c fiber.Ctx) error { return c.JSON(Health{true}) })},
		{"POST", "/session", "Come in, where a passcode is set", Entry{}, nil, noContent, "", nil},
		{"POST", "/pair", "How a phone comes to a page: address, short code, QR code",
			PairingAsked{}, Pairing{}, 0, "", nil},
		{"GET", "/openapi.json", "This description", nil, nil, 0, "", at(openAPI)},
		{"GET", "/plan.schema.json", "The JSON Schema of a plan",
			nil, nil, 0, "application/schema+json", at(planSchema)},
		{"GET", "/reference", "Kinds, rules, words that the interface offers",
			nil, Reference{}, 0, "", at(reference)},
		{"GET", "/plans", "The plans that are kept", nil, []Listed{}, 0, "", on((*server).list)},
		{"POST", "/plans", "Keep a new plan", Saving{}, Saved{}, created, "", on((*server).create)},
		{"POST", "/plans/import", "Keep a plan from a file",
			plan.Plan{}, Saved{}, created, "", on((*server).importFile)},
		{"GET", "/plans/{id}", "A plan with its revision", nil, Stored{}, 0, "", on((*server).get)},
		{"PUT", "/plans/{id}", "Keep a plan's next revision (If-Match)",
			Saving{}, Saved{}, 0, "", on((*server).update)},
		{"DELETE", "/plans/{id}", "Put a plan away", nil, nil, noContent, "", on((*server).remove)},
		{"POST", "/plans/{id}/restore", "Bring a plan back that was put away",
			nil, nil, noContent, "", on((*server).restore)},
		{"GET", "/plans/{id}/file", "The plan as a file", nil, plan.Plan{}, 0, "", on((*server).file)},
		{
			"GET",
			"/plans/{id}/glance",
			"The plan's headline and drawing",
			nil,
			Glance{},
			0,
			"",
			on((*server).glance),
		},
		{"GET", "/examples", "Plans that ship with the app", nil, []Example{}, 0, "", at(listExamples)},
		{"POST", "/examples/{id}", "Keep a copy of one as a plan",
			nil, Saved{}, created, "", on((*server).tryExample)},
		{"GET", "/plans/{id}/revisions", "What was kept, newest first",
			nil, []store.Revision{}, 0, "", on((*server).history)},
		{"GET", "/plans/{id}/revisions/{n}", "The plan as it was", nil, Stored{}, 0, "", on((*server).revision)},
		{"POST", "/review", "Judge a plan, live or settled",
			Asking{}, departure.Settled{}, 0, "", on((*server).review)},
		{"POST", "/stretched", "What a stretch makes of a trailer",
			Beginning{}, study.Stretched{}, 0, "", on((*server).stretched)},
		{"POST", "/first", "The plan of a first run’s answers, and how it stands",
			begin.FirstAnswers{}, FirstPlan{}, 0, "", at(first)},
		{"POST", "/begin", "What a thing that is added begins as",
			Beginning{}, []finding.Op{}, 0, "", at(beginning)},
		{"POST", "/working", "The working behind a finding", Asking{}, []finding.Step{}, 0, "", at(working)},
		{"POST", "/compare", "Candidates side by side", Asking{}, study.Comparison{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *study.Comparison {
				return study.Compare(ctx, a.Plan, a.Request, a.Back)
			})},
		{"POST", "/comparison.csv", "The comparison as a table",
			Asking{}, nil, 0, csvType, tabled("comparison", func(ctx context.Context, a *Asking) []byte {
				return tables.Comparison(a.Plan, study.Compare(ctx, a.Plan, a.Request, true))
			})},
		{"POST", "/tows", "Who may tow what", Asking{}, []study.Tow{}, 0, "",
			studied(func(ctx context.Context, a *Asking) []study.Tow {
				return study.Tows(ctx, a.Plan)
			})},
		{"POST", "/buy", "Before buying", Asking{}, study.Buying{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *study.Buying {
				return study.Buy(ctx, a.Plan, a.Trailer)
			})},
		{"POST", "/axle", "Where the axle may stand for every outing", Asking{}, study.AxlePlace{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *study.AxlePlace {
				return study.PlaceAxle(ctx, a.Plan, a.Trailer)
			})},
		{"POST", "/scales", "What a scale says", Asking{}, study.Scales{}, 0, "",
			studied(func(_ context.Context, a *Asking) *study.Scales {
				return study.ReadScales(a.Plan, a.Request)
			})},
		{"POST", "/arrange", "Where the loads go, in lines of JSON",
			Asking{}, Arranging{}, 0, linesOfJSON, on((*server).arrange)},
		{"POST", "/design", "A frame that holds, in lines of JSON; the key is its aim: mass, cost or hand",
			Asking{}, Designing{}, 0, linesOfJSON, on((*server).design)},
		{"POST", "/racks", "Racks for the outing's hulls", Asking{}, study.RackPlans{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *study.RackPlans {
				return study.PlanRacks(ctx, a.Plan, a.Request)
			})},
		{"POST", "/ties", "Straps for the outing's loads", Asking{}, study.TiePlan{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *study.TiePlan {
				return study.PlanTies(ctx, a.Plan, a.Request)
			})},
		{"POST", "/before-cut", "What must hold before steel is cut", Asking{}, study.CutGate{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *study.CutGate {
				return study.BeforeCut(ctx, a.Plan, a.Trailer)
			})},
		{"POST", "/cutting", "A drawn frame out of bars", Asking{}, cut.Cutting{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *cut.Cutting {
				if c := cut.Frame(ctx, a.Plan, a.Trailer); c != nil {
					return c
				}
				return &cut.Cutting{Sections: []cut.SectionCut{}, Saw: []cut.Setting{}}
			})},
		{"POST", "/shining", "How each lamp shines; the key names the switches",
			Asking{}, Shining{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Shining {
				review.Ready(a.Plan)
				var on []wiring.Switch
				for _, s := range wiring.Switches {
					if slices.Contains(strings.Split(a.Key, ","), string(s)) {
						on = append(on, s)
					}
				}
				return &Shining{wiring.Show(rig.Resolve(a.Plan, a.Trailer, a.Outing), on)}
			})},
		{"POST", "/powering", "What the battery on board feeds, and the first test of electric brakes",
			Asking{}, Powering{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Powering {
				review.Ready(a.Plan)
				r := rig.Resolve(a.Plan, a.Trailer, a.Outing)
				if r == nil {
					return &Powering{}
				}
				out := &Powering{Walk: power.Walk(r)}
				if b := power.New(r); b != nil {
					out.Uses = b.Uses
				}
				return out
			})},
		{"POST", "/tipping", "A bed over its whole angle", Asking{}, Tilting{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Tilting {
				review.Ready(a.Plan)
				return &Tilting{tip.Show(rig.Resolve(a.Plan, a.Trailer, a.Outing))}
			})},
		{"POST", "/pumping", "What a pump gives at the nozzle", Asking{}, Pumping{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Pumping {
				review.Ready(a.Plan)
				return &Pumping{pump.Show(rig.Resolve(a.Plan, a.Trailer, a.Outing))}
			})},
		{"POST", "/filling", "Tanks over every fill", Asking{}, Filling{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Filling {
				return &Filling{study.Tanks(a.Plan, a.Trailer, a.Outing)}
			})},
		{"POST", "/boxing", "Bodies on the deck", Asking{}, Boxing{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Boxing {
				review.Ready(a.Plan)
				return &Boxing{box.Show(rig.Resolve(a.Plan, a.Trailer, a.Outing))}
			})},
		{"POST", "/work-order", "The work in its order", Asking{}, WorkOrder{}, 0, "",
			recorded(ofWork, func(_ context.Context, a *Asking, all records.All) *WorkOrder {
				review.Ready(a.Plan)
				return &WorkOrder{workshop.Order(rig.Resolve(a.Plan, a.Trailer, a.Outing), all)}
			})},
		{
			"POST",
			"/work-lists",
			"Parts, joints, tools, snags and measures of the workshop",
			Asking{},
			WorkLists{},
			0,
			"",
			recorded(
				ofLists,
				func(_ context.Context, a *Asking, all records.All) *WorkLists { return workLists(a, all) },
			),
		},
		{
			"POST",
			"/finishing",
			"How frame and deck are kept: areas, tins, ways, weather",
			Asking{},
			Finishing{},
			0,
			"",
			studied(func(_ context.Context, a *Asking) *Finishing { return finishing(a) }),
		},
		{"POST", "/days", "The work laid into the days that there is time", Asking{}, study.WorkDays{}, 0, "",
			recorded(ofWork, func(_ context.Context, a *Asking, all records.All) *study.WorkDays {
				return study.LayDays(a.Plan, a.Trailer, a.Outing, all, a.Today, schedule.Draws)
			})},
		{"POST", "/days.ics", "The same as a calendar", Asking{}, nil, 0, calendarType, on((*server).daysCalendar)},
		{"POST", "/money", "Ledger, ways and jobs of a trailer", Asking{}, study.MoneyBook{}, 0, "",
			recorded(ofMoney, func(ctx context.Context, a *Asking, all records.All) *study.MoneyBook {
				return study.Book(ctx, a.Plan, a.Trailer, a.Outing, all)
			})},
		{"POST", "/ledger.csv", "The ledger as a table", Asking{}, nil, 0, csvType, on((*server).ledgerTable)},
		{
			"POST",
			"/spend-list",
			"Read a bank's or a shop's list",
			Asking{},
			tables.SpendRead{},
			0,
			"",
			readList(tables.ReadSpends),
		},
		{"POST", "/papers", "Papers, plate, label and marks of a trailer", Asking{}, papers.Folder{}, 0, "",
			recorded(
				[]records.Kind{records.KindPaper},
				func(_ context.Context, a *Asking, all records.All) *papers.Folder {
					review.Ready(a.Plan)
					return papers.Open(rig.Resolve(a.Plan, a.Trailer, a.Outing), all)
				},
			)},
		{
			"POST",
			"/plate.svg",
			"The plate, or the label with the key label, to scale",
			Asking{},
			nil,
			0,
			"image/svg+xml",
			at(plateDrawing),
		},
		{"POST", "/log", "Trips and slips of a trailer, and what they teach", Asking{}, study.LogBook{}, 0, "",
			recorded(
				[]records.Kind{records.KindTrip, records.KindSlip, records.KindWear},
				func(_ context.Context, a *Asking, all records.All) *study.LogBook {
					return study.Log(a.Plan, a.Trailer, all, a.Today)
				},
			)},
		{
			"POST",
			"/troubles",
			"What was wrong on the road, and what may be behind it",
			Asking{},
			study.Troubles{},
			0,
			"",
			recorded([]records.Kind{records.KindTrouble, records.KindTrip, records.KindWear},
				func(_ context.Context, a *Asking, all records.All) *study.Troubles {
					return study.TroublesOf(a.Plan, a.Trailer, a.Outing, all, a.Today)
				}),
		},
		{"POST", "/look-back", "What was carried, driven and spent over time", Asking{}, study.LookBack{}, 0, "",
			recorded(ofLog, func(_ context.Context, a *Asking, all records.All) *study.LookBack {
				return study.Back(a.Plan, a.Trailer, all, a.Today)
			})},
		{"POST", "/look-back.csv", "The same as a table", Asking{}, nil, 0, csvType, on((*server).lookBackTable)},
		{
			"POST",
			"/wear.ics",
			"What is due, as a calendar",
			Asking{},
			nil,
			0,
			calendarType,
			on((*server).wearCalendar),
		},
		{
			"POST",
			"/weigh",
			"What a scale shows, in lines of JSON",
			WeighAsked{},
			Weighing{},
			0,
			linesOfJSON,
			on((*server).weigh),
		},
		{"POST", "/weighed", "How what a scale gave is written into a plan", Entering{}, study.Written{}, 0, "", at(entering)},
		{
			"POST",
			"/practice/next",
			"The next case to judge",
			PracticeAsked{},
			PracticeCase{},
			0,
			"",
			at(practiceNext),
		},
		{
			"POST",
			"/practice/answer",
			"Whether an answer is right, with its working",
			PracticeAsked{},
			PracticeTruth{},
			0,
			"",
			at(practiceAnswer),
		},
		{"POST", "/practice/scene", "What there is to drive", DriveAsked{}, DriveScene{}, 0, "", at(driveScene)},
		{"GET", "/practice/drive", "Drive, over a socket: hands come, places go", DriveHands{}, DriveLine{},
			http.StatusUpgradeRequired, problemType, on((*server).drive)},
		{"POST", "/practice/replay", "A run seen again", DriveAsked{}, DriveReplay{}, 0, "", at(driveReplay)},
		{
			"POST",
			"/slip-list",
			"Read a list of weighbridge slips",
			Asking{},
			tables.SlipRead{},
			0,
			"",
			readList(tables.ReadSlips),
		},
		{"POST", "/drives", "What an outing's drive takes", Asking{}, study.Drives{}, 0, "",
			recorded(
				[]records.Kind{records.KindTrip},
				func(_ context.Context, a *Asking, all records.All) *study.Drives {
					return study.DrivesOf(a.Plan, a.Trailer, a.Outing, all, a.Today)
				},
			)},
		{"POST", "/part-list", "Read a list of parts", Asking{}, tables.PartsRead{}, 0, "", readList(func(_ *plan.Plan, text []byte) (*tables.PartsRead, error) { return tables.ReadParts(text) })},
		{"POST", "/taping", "What was taped in the workshop, drawn", Asking{}, Taping{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Taping {
				review.Ready(a.Plan)
				return &Taping{workshop.Show(rig.Resolve(a.Plan, a.Trailer, a.Outing))}
			})},
		{"POST", "/tip-search", "Places of mast or cylinder that take least", Asking{}, study.TipSearch{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *study.TipSearch {
				return study.FindTip(ctx, a.Plan, a.Trailer, a.Outing)
			})},
		{"POST", "/faults", "What is wrong with the lamps by what was seen",
			Searching{}, wiring.Diagnosis{}, 0, "", on((*server).faults)},
		{"POST", "/decking", "How the floor is laid", Asking{}, Flooring{}, 0, "",
			studied(func(_ context.Context, a *Asking) *Flooring {
				review.Ready(a.Plan)
				return &Flooring{deck.Lay(rig.Resolve(a.Plan, a.Trailer, a.Outing))}
			})},
		{"POST", "/changes", "From one outing to the next", Asking{}, change.Changes{}, 0, "",
			studied(func(ctx context.Context, a *Asking) *change.Changes {
				review.Ready(a.Plan)
				return change.Of(ctx, a.Plan, a.Trailer)
			})},
		{"POST", "/ramp-places", "Where the ramps may travel", Asking{}, study.RampPlaces{}, 0, "",
			studied(func(_ context.Context, a *Asking) *study.RampPlaces {
				return study.PlaceRamps(a.Plan, a.Request)
			})},
		{"POST", "/cutlist.csv", "The racks' cut list",
			Asking{}, nil, 0, csvType, tabled("cut-list", func(_ context.Context, a *Asking) []byte {
				return tables.CutList(a.Plan, review.Review(a.Plan, a.Request))
			})},
		{"POST", "/loads.csv", "What stands on the trailer",
			Asking{}, nil, 0, csvType, tabled("loads", func(_ context.Context, a *Asking) []byte {
				return tables.Loads(tables.RigOf(a.Plan, a.Trailer, a.Outing))
			})},
		{"POST", "/lashings.csv", "How it is tied down",
			Asking{}, nil, 0, csvType, tabled("lashings", func(_ context.Context, a *Asking) []byte {
				return tables.Lashings(tables.RigOf(a.Plan, a.Trailer, a.Outing))
			})},
		{"POST", "/wires.csv", "The harness, wire by wire and contact by contact",
			Asking{}, nil, 0, csvType, tabled("wires", func(_ context.Context, a *Asking) []byte {
				return tables.Wires(tables.RigOf(a.Plan, a.Trailer, a.Outing))
			})},
		{"POST", "/card.html", "The departure card as one file",
			Asking{}, nil, 0, "text/html", on((*server).departureCard)},
		{"POST", "/drawing.svg", "A drawing to scale", Asking{}, nil, 0, "image/svg+xml", at(drawing)},
		{"POST", "/drawing.dxf", "A drawing to scale", Asking{}, nil, 0, "image/vnd.dxf", at(drawing)},
		{"GET", "/candidates.csv", "An empty table of candidates", nil, nil, 0, csvType, at(template)},
		{"POST", "/candidates", "Read a table of candidates", Asking{}, tables.Import{}, 0, "", readList(tables.ReadTrailers)},
	}
	routes = append(append(routes, libraryRoutes...), recordRoutes...)
}

// mount serves the routes that are not the gate's.
func (s *server) mount(api fiber.Router) {
	for i := range routes {
		if r := &routes[i]; r.serve != nil {
			api.Add([]string{r.method}, strings.NewReplacer("{", ":", "}", "").Replace(r.path), r.serve(s))
		}
	}
}

// Carried lists the documents that cross the API, once each.
func Carried() []any {
	var out []any
	for i := range routes {
		for _, d := range []any{routes[i].takes, routes[i].gives} {
			if d != nil {
				out = append(out, d)
			}
		}
	}
	return append(out, ProblemDocument{})
}
