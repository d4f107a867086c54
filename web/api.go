package web

import (
	"bufio"
	"bytes"
	"context"
	"encoding/json"
	"log"
	"maps"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"zygonos/core/ask/balance"
	"zygonos/core/ask/box"
	"zygonos/core/ask/deck"
	"zygonos/core/ask/finish"
	"zygonos/core/ask/papers"
	"zygonos/core/ask/power"
	"zygonos/core/ask/pump"
	"zygonos/core/ask/tip"
	"zygonos/core/ask/wiring"
	"zygonos/core/ask/workshop"
	"zygonos/core/begin"
	"zygonos/core/facts/ailments"
	"zygonos/core/facts/catalogue"
	"zygonos/core/facts/norms"
	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/out/departure"
	"zygonos/core/out/plate"
	"zygonos/core/out/tables"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
	"zygonos/core/rig"
	"zygonos/core/study"
	"zygonos/store"
)

type server struct {
	store *store.Store
	end   context.Context
	lanes lanes
	// places of drives
	drives chan struct{}
}

// Reference is what the interface needs to know of rules, kinds and words.
type Reference struct {
	RuleSets  []norms.RuleSet                       `json:"ruleSets"`
	Schools   []norms.School                        `json:"schools"`
	Trailers  []catalogue.TrailerKind               `json:"trailers"`
	BallSizes []norms.BallSize                      `json:"ballSizes"`
	Loads     []catalogue.LoadKind                  `json:"loads"`
	Doubts    map[plan.How]float64                  `json:"doubts"`
	Terms     map[string]map[quantity.Region]string `json:"terms"`

	Groups      []string                            `json:"groups"`
	Materials   []catalogue.Material                `json:"materials"`
	Fluids      []catalogue.Substance               `json:"fluids"`
	Solids      []catalogue.Substance               `json:"solids"`
	Fittings    []catalogue.Fitting                 `json:"fittings"`
	AnchorKinds []catalogue.AnchorKind              `json:"anchorKinds"`
	MustBuys    []string                            `json:"mustBuys"`
	Inspections []catalogue.Inspection              `json:"inspections"`
	Plugs       []norms.Plug                        `json:"plugs"`
	Roads       map[quantity.Region]norms.RoadRules `json:"roads"`
	Hitches     []norms.HitchClass                  `json:"hitches"`
	Stocks      []catalogue.Stock                   `json:"stocks"`
	Commons     []catalogue.Common                  `json:"commons"`
	Bolts       []norms.Bolt                        `json:"bolts"`
	TieSchools  []norms.TieSchool                   `json:"tieSchools"`
	Surfaces    []norms.Surface                     `json:"surfaces"`
	LinkGrades  []norms.LinkGrade                   `json:"linkGrades"`
	Hinged      []catalogue.Hinged                  `json:"hinged"`
	Bearings    []catalogue.WheelBearing            `json:"bearings"`
	Grounds     []norms.Ground                      `json:"grounds"`
	Soils       []norms.Soil                        `json:"soils"`
	Treads      []norms.Tread                       `json:"treads"`
	Batteries   []norms.Battery                     `json:"batteries"`
	Linings     []norms.Lining                      `json:"linings"`
	Signs       []Ailment                           `json:"signs"`
	Causes      []Ailment                           `json:"causes"`
	Driver      float64                             `json:"driver"` // of a machine, where nobody stated, kg
}

// Ailment is a sign or a cause by its words.
type Ailment struct {
	ID   string        `json:"id"`
	Says said.Sentence `json:"says"`
}

func signs() (out []Ailment) {
	for _, s := range ailments.Signs {
		out = append(out, Ailment{s.ID, said.Say(s.Says)})
	}
	return out
}

func causes() (out []Ailment) {
	for _, c := range ailments.Causes {
		out = append(out, Ailment{c.ID, said.Say(c.Says)})
	}
	return out
}

func reference(c fiber.Ctx) error {
	c.Set(fiber.HeaderCacheControl, "no-cache")
	return c.JSON(
		Reference{
			norms.RuleSets,
			norms.Schools,
			catalogue.Trailers,
			norms.BallSizes,
			catalogue.Loads,
			plan.DefaultDoubts,
			said.Terms,
			catalogue.Groups,
			catalogue.Materials,
			catalogue.Fluids,
			catalogue.Solids,
			catalogue.Fittings,
			catalogue.AnchorKinds,
			catalogue.MustBuys,
			catalogue.Inspections,
			norms.Plugs,
			norms.Roads,
			norms.HitchClasses,
			catalogue.Stocks,
			catalogue.Commons,
			norms.Bolts,
			norms.TieSchools,
			norms.Surfaces,
			norms.LinkGrades,
			catalogue.HingedKinds,
			catalogue.WheelBearings,
			norms.Grounds,
			norms.Soils,
			norms.Treads,
			norms.Batteries,
			norms.Linings,
			signs(),
			causes(),
			rig.UsualDriver.Nominal,
		},
	)
}

// Listed is a plan as the list shows it.
type Listed struct {
	ID        string `json:"id"`
	Name      string `json:"name"`
	Revision  int64  `json:"revision"`
	UpdatedAt string `json:"updatedAt"`
}

// Stored is a plan with its revision.
type Stored struct {
	ID       string          `json:"id"`
	Revision int64           `json:"revision"`
	Plan     json.RawMessage `json:"plan"`
}

// Saving is what a client sends to be kept.
type Saving struct {
	ID      string          `json:"id,omitempty"`
	SaveID  string          `json:"saveId"`
	Sitting string          `json:"sitting"`
	Label   string          `json:"label,omitempty"`
	After   []string        `json:"after,omitempty"` // own saves whose answer never came
	Plan    json.RawMessage `json:"plan"`
}

// Saved answers a save.
type Saved struct {
	ID       string `json:"id"`
	Revision int64  `json:"revision"`
}

func (s *server) list(c fiber.Ctx) error {
	plans, err := s.store.List(c.Context())
	if err != nil {
		return err
	}
	out := []Listed{}
	for _, p := range plans {
		out = append(out, Listed{p.ID, p.Name, p.Revision, p.UpdatedAt.Format("2006-01-02T15:04:05Z07:00")})
	}
	c.Set(fiber.HeaderCacheControl, "no-store")
	return c.JSON(out)
}

var idPattern = regexp.MustCompile(`^[a-z0-9-]{1,64}$`)

func id(c fiber.Ctx) (string, error) {
	v := strings.Clone(c.Params("id"))
	if !idPattern.MatchString(v) {
		return "", store.ErrNotFound
	}
	return v, nil
}

// Bounds of what goes with a save.
const (
	mostLabel = 200
	mostAfter = 100
)

// listed is a plan's name as the list carries it: in one line, not without end.
func listed(name string) string {
	r := []rune(strings.Join(strings.Fields(strings.ToValidUTF8(name, "")), " "))
	return string(r[:min(len(r), mostLabel)])
}

// saving reads a save and holds its plan against the plan's shape.
func saving(c fiber.Ctx) (sv Saving, save store.Save, err error) {
	if err := json.Unmarshal(c.Body(), &sv); err != nil {
		return sv, save, fiber.NewError(fiber.StatusBadRequest, "The request is not readable JSON.")
	}
	if _, err := uuid.Parse(sv.SaveID); err != nil {
		return sv, save, fiber.NewError(fiber.StatusBadRequest, "The save carries no id of its own.")
	}
	if len(sv.Label) > mostLabel || len(sv.Sitting) > mostLabel || len(sv.After) > mostAfter {
		return sv, save, fiber.NewError(fiber.StatusBadRequest, "A version's name may have 200 bytes.")
	}
	p, err := plan.Read(sv.Plan)
	if err != nil {
		return sv, save, err
	}
	doc, err := plan.Write(p)
	return sv, store.Save{
		ID:       sv.SaveID,
		Sitting:  sv.Sitting,
		Label:    sv.Label,
		After:    sv.After,
		Name:     listed(p.Name),
		Document: doc,
	}, err
}

func (s *server) create(c fiber.Ctx) error {
	sv, save, err := saving(c)
	if err != nil {
		return err
	}
	if !idPattern.MatchString(sv.ID) {
		return fiber.NewError(fiber.StatusBadRequest, "The new plan carries no id of its own.")
	}
	revision, err := s.store.Create(c.Context(), sv.ID, save)
	if err != nil {
		return err
	}
	c.Set(fiber.HeaderETag, etag(revision))
	c.Status(fiber.StatusCreated)
	return c.JSON(Saved{sv.ID, revision})
}

func (s *server) importFile(c fiber.Ctx) error {
	p, err := plan.Read(c.Body())
	if err != nil {
		return err
	}
	doc, err := plan.Write(p)
	if err != nil {
		return err
	}
	id := uuid.NewString()
	revision, err := s.store.Create(
		c.Context(),
		id,
		store.Save{ID: uuid.NewString(), Label: "imported", Name: listed(p.Name), Document: doc},
	)
	if err != nil {
		return err
	}
	c.Status(fiber.StatusCreated)
	return c.JSON(Saved{id, revision})
}

func etag(revision int64) string { return `"` + strconv.FormatInt(revision, 10) + `"` }

func (s *server) get(c fiber.Ctx) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	p, err := s.store.Get(c.Context(), id)
	if err != nil {
		return err
	}
	c.Set(fiber.HeaderETag, etag(p.Revision))
	c.Set(fiber.HeaderCacheControl, "no-store")
	return c.JSON(Stored{id, p.Revision, p.Document})
}

func (s *server) update(c fiber.Ctx) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	base, err := strconv.ParseInt(strings.Trim(c.Get(fiber.HeaderIfMatch), `"`), 10, 64)
	if err != nil {
		return fiber.NewError(
			fiber.StatusPreconditionRequired,
			"The save does not say which revision it changes (If-Match).",
		)
	}
	_, save, err := saving(c)
	if err != nil {
		return err
	}
	revision, err := s.store.Update(c.Context(), id, base, save)
	if err != nil {
		return err
	}
	c.Set(fiber.HeaderETag, etag(revision))
	return c.JSON(Saved{id, revision})
}

func (s *server) remove(c fiber.Ctx) error  { return s.setDeleted(c, true) }
func (s *server) restore(c fiber.Ctx) error { return s.setDeleted(c, false) }

func (s *server) setDeleted(c fiber.Ctx, deleted bool) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	if err := s.store.SetDeleted(c.Context(), id, deleted); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

func (s *server) file(c fiber.Ctx) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	p, err := s.store.Get(c.Context(), id)
	if err != nil {
		return err
	}
	c.Set(fiber.HeaderContentType, "application/json; charset=utf-8")
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+fileName(p.Name)+`.zygonos.json"`)
	return c.Send(p.Document)
}

var notInFileName = regexp.MustCompile(`[^a-z0-9]+`)

func fileName(name string) string {
	n := strings.Trim(notInFileName.ReplaceAllString(strings.ToLower(name), "-"), "-")
	if n == "" {
		return "plan"
	}
	return n[:min(len(n), 60)]
}

func (s *server) history(c fiber.Ctx) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	revisions, err := s.store.History(c.Context(), id)
	if err != nil {
		return err
	}
	c.Set(fiber.HeaderCacheControl, "no-store")
	return c.JSON(revisions)
}

func (s *server) revision(c fiber.Ctx) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	n, err := strconv.ParseInt(c.Params("n"), 10, 64)
	if err != nil {
		return store.ErrNotFound
	}
	doc, err := s.store.At(c.Context(), id, n)
	if err != nil {
		return err
	}
	return c.JSON(Stored{id, n, doc})
}

// Asking is a plan to be judged, and what is wanted of it.
type Asking struct {
	review.Request
	Plan *plan.Plan `json:"plan"`
	Want string     `json:"want,omitempty"` // live or settled
	Key  string     `json:"key,omitempty"`  // of the finding whose working is opened
	Back bool       `json:"back,omitempty"` // a comparison tells what would bring each failing candidate back
	CSV  string     `json:"csv,omitempty"`  // a table to be read
	// what the last rest found, for a live review: it stands until the next
	Before []finding.Finding `json:"before,omitempty"`
	Kept   string            `json:"kept,omitempty"` // the id under which the plan is kept: its records count
	// the day on which it is asked, YYYY-MM-DD; the core has no clock
	Today string `json:"today,omitempty"`
}

// strictly reads a document as strictly as a plan file: a field that does not exist is refused, not
// passed over.
func strictly(body []byte, into any) error {
	dec := json.NewDecoder(bytes.NewReader(body))
	dec.DisallowUnknownFields()
	if err := dec.Decode(into); err != nil {
		says := "The plan is not readable: " + strings.TrimPrefix(err.Error(), "json: ") + "."
		return fiber.NewError(fiber.StatusBadRequest, says)
	}
	return nil
}

func asking(c fiber.Ctx) (a Asking, err error) {
	if err := strictly(c.Body(), &a); err != nil {
		return a, err
	}
	if a.Plan == nil {
		return a, fiber.NewError(fiber.StatusBadRequest, "The request holds no plan.")
	}
	return a, nil
}

// review judges a plan: live at once, settled in its turn and time.
func (s *server) review(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	if a.Want != "settled" {
		if a.Before == nil { // nothing was found at rest yet that could stand: all is asked
			a.Stage = ""
		}
		rep := review.Review(a.Plan, a.Request)
		rep.Follow(a.Before)
		return c.JSON(rep)
	}
	return s.inTurn(s.lanes.settled, settledTime, func(ctx context.Context) error {
		return c.JSON(departure.Settle(ctx, a.Plan, a.Request))
	})
}

// inTurn runs a search when a place is free, for so long at most.
func (s *server) inTurn(q *queue, most time.Duration, search func(context.Context) error) error {
	wait, cancel := context.WithTimeout(s.end, waitingTime)
	defer cancel()
	leave, err := q.enter(wait)
	if err != nil {
		return err
	}
	defer leave()
	ctx, done := context.WithTimeout(s.end, most)
	defer done()
	return search(ctx)
}

// Beginning asks what a thing that is added to a plan begins as.
type Beginning struct {
	begin.Asked
	Plan *plan.Plan `json:"plan"`
}

func beginning(c fiber.Ctx) error {
	var b Beginning
	if err := strictly(c.Body(), &b); err != nil {
		return err
	}
	if b.Plan == nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request holds no plan.")
	}
	review.Ready(b.Plan) // what nobody placed stands where the app put it
	patch, err := begin.Patch(b.Plan, &b.Asked)
	if err != nil {
		return fiber.NewError(fiber.StatusUnprocessableEntity, err.Error())
	}
	return c.JSON(patch)
}

// FirstPlan is the plan of a first run, and how it stands.
type FirstPlan struct {
	Plan   *plan.Plan     `json:"plan"`
	Report *review.Report `json:"report"`
}

// first makes a plan of a first run's answers, as far as they are given.
func first(c fiber.Ctx) error {
	var a begin.FirstAnswers
	if err := strictly(c.Body(), &a); err != nil {
		return err
	}
	made, err := begin.First(&a)
	if err != nil {
		return fiber.NewError(fiber.StatusUnprocessableEntity, err.Error())
	}
	judged, _ := begin.First(&a) // another: a review puts the loads in their places
	return c.JSON(FirstPlan{made, review.Review(judged, review.Request{})})
}

// stretched says what a stretch makes of a trailer, before it is made.
func (s *server) stretched(c fiber.Ctx) error {
	var b Beginning
	if err := strictly(c.Body(), &b); err != nil {
		return err
	}
	if b.Plan == nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request holds no plan.")
	}
	return s.inTurn(s.lanes.studies, studyTime, func(ctx context.Context) error {
		return c.JSON(study.Stretch(ctx, b.Plan, &b.Asked))
	})
}

func working(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	steps := review.Working(a.Plan, a.Request, a.Key)
	if steps == nil {
		steps = []finding.Step{}
	}
	return c.JSON(steps)
}

// studied is a call that studies a plan, in its turn, and sends what it finds.
func studied[T any](search func(ctx context.Context, a *Asking) T) func(*server) fiber.Handler {
	return func(s *server) fiber.Handler {
		return func(c fiber.Ctx) error {
			a, err := asking(c)
			if err != nil {
				return err
			}
			return s.inTurn(
				s.lanes.studies,
				studyTime,
				func(ctx context.Context) error { return c.JSON(search(ctx, &a)) },
			)
		}
	}
}

// recorded is a study over the plan and what happened, of the kinds that it takes.
func recorded[T any](
	kinds []records.Kind, study func(ctx context.Context, a *Asking, all records.All) T,
) func(*server) fiber.Handler {
	names := make([]string, len(kinds))
	for i, k := range kinds {
		names[i] = string(k)
	}
	return func(s *server) fiber.Handler {
		return func(c fiber.Ctx) error {
			a, err := asking(c)
			if err != nil {
				return err
			}
			if a.Kept != "" && !idPattern.MatchString(a.Kept) {
				return store.ErrNotFound
			}
			all, err := s.happened(c.Context(), a.Kept, names...)
			if err != nil {
				return err
			}
			return s.inTurn(s.lanes.studies, studyTime, func(ctx context.Context) error {
				return c.JSON(study(ctx, &a, all))
			})
		}
	}
}

// tabled is one that sends a table, named after the plan.
func tabled(name string, table func(ctx context.Context, a *Asking) []byte) func(*server) fiber.Handler {
	return func(s *server) fiber.Handler {
		return func(c fiber.Ctx) error {
			a, err := asking(c)
			if err != nil {
				return err
			}
			return s.inTurn(s.lanes.studies, studyTime, func(ctx context.Context) error {
				return sendTable(c, fileName(a.Plan.Name)+"-"+name, table(ctx, &a))
			})
		}
	}
}

func sendTable(c fiber.Ctx, name string, table []byte) error {
	c.Set(fiber.HeaderContentType, "text/csv; charset=utf-8")
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+name+`.csv"`)
	return c.Send(table)
}

func template(c fiber.Ctx) error { return sendTable(c, "candidates", tables.Template()) }

// readList is a call that reads a table of things that are meant for a plan.
func readList[T any](read func(p *plan.Plan, text []byte) (*T, error)) func(*server) fiber.Handler {
	return at(func(c fiber.Ctx) error {
		a, err := asking(c)
		if err != nil {
			return err
		}
		out, err := read(a.Plan, []byte(a.CSV))
		if err != nil {
			return fiber.NewError(fiber.StatusUnprocessableEntity, err.Error())
		}
		return c.JSON(out)
	})
}

// ledgerTable sends the ledger as a table.
func (s *server) ledgerTable(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	all, err := s.happened(c.Context(), a.Kept)
	if err != nil {
		return err
	}
	return s.inTurn(s.lanes.studies, studyTime, func(ctx context.Context) error {
		book := study.Book(ctx, a.Plan, a.Trailer, a.Outing, all)
		l := quantity.Locale{Units: a.Plan.Units, Region: a.Plan.Region}
		return sendTable(c, fileName(a.Plan.Name)+"-ledger", tables.Ledger(book.Ledger, l))
	})
}

// lookBackTable sends the months as a table.
func (s *server) lookBackTable(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	names := make([]string, len(ofLog))
	for i, k := range ofLog {
		names[i] = string(k)
	}
	all, err := s.happened(c.Context(), a.Kept, names...)
	if err != nil {
		return err
	}
	return s.inTurn(s.lanes.studies, studyTime, func(context.Context) error {
		return sendTable(
			c,
			fileName(a.Plan.Name)+"-months",
			tables.Months(study.Back(a.Plan, a.Trailer, all, a.Today)),
		)
	})
}

// plateDrawing sends the plate or the label.
func plateDrawing(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	review.Ready(a.Plan)
	r := rig.Resolve(a.Plan, a.Trailer, a.Outing)
	if r == nil {
		return fiber.NewError(fiber.StatusUnprocessableEntity, "There is no such trailer or outing in the plan.")
	}
	l := quantity.Locale{Units: a.Plan.Units, Region: a.Plan.Region}
	folder := papers.Open(r, nil)
	name, lines, draft := "plate", folder.Plate.Lines, folder.Plate.Draft
	heading := listed(r.Trailer.Name)
	if a.Key == "label" {
		name, lines, draft = "label", folder.Label, false
	} else if len(folder.Plate.Refused) > 0 {
		return fiber.NewError(fiber.StatusUnprocessableEntity, folder.Plate.Refused.Text(l))
	}
	c.Set(fiber.HeaderContentType, "image/svg+xml")
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+fileName(a.Plan.Name)+"-"+name+`.svg"`)
	return c.Send(plate.SVG(heading, lines, draft, l))
}

// Arranging is one line of the answer to an arrangement: how far it has come, and
// at last what was found.
type Arranging struct {
	Places int             `json:"places"`
	Done   *study.Arranged `json:"done,omitempty"`
}

// Flooring is how the floor is laid; nil where none is stated that can be laid.
type Flooring struct {
	Laid *deck.Laid `json:"laid,omitempty"`
}

// Shining is the harness under the switches that the key names; nil where there is none.
type Shining struct {
	Picture *wiring.Lit `json:"picture,omitempty"`
}

// Tilting is a bed over its whole angle; nil where none tips.
type Tilting struct {
	Tipped *tip.Tipped `json:"tipped,omitempty"`
}

// Pumping is what a pump gives; nil where too little of it is stated.
type Pumping struct {
	Given *pump.Given `json:"given,omitempty"`
}

// Filling is an outing's tanks over every fill.
type Filling struct {
	Tanks []balance.FilledTank `json:"tanks"`
}

// WorkLists are what the workshop keeps beside the order of work.
type WorkLists struct {
	Parts  *workshop.CheckedIn   `json:"parts"`
	Joints *workshop.FrameJoints `json:"joints"`
	Tools  *workshop.Toolbox     `json:"tools"`
	Built  *workshop.AsBuilt     `json:"built"`
	Snags  *workshop.SnagList    `json:"snags"`
	Axle   *workshop.AxleOrder   `json:"axle"`
}

// workLists makes them for an outing's rig and what happened.
func workLists(a *Asking, all records.All) *WorkLists {
	review.Ready(a.Plan)
	r := rig.Resolve(a.Plan, a.Trailer, a.Outing)
	var others []*rig.Rig
	for _, id := range slices.Sorted(maps.Keys(a.Plan.Outings)) {
		if _, laid := a.Plan.Outings[id].Layouts[a.Trailer]; laid {
			others = append(others, rig.Resolve(a.Plan, a.Trailer, id))
		}
	}
	return &WorkLists{
		workshop.CheckIn(r, all), workshop.Joints(r), workshop.Tools(r, workshop.Order(r, all), all),
		workshop.Built(r, all), workshop.Snags(r, all), workshop.OrderAxle(r, others...),
	}
}

// Finishing is how frame and deck are kept.
type Finishing struct {
	Steel   float64          `json:"steel"`  // m² that a brush reaches
	Hidden  float64          `json:"hidden"` // m² of faces that lie on each other
	Deck    float64          `json:"deck"`   // m², both sides
	Skins   float64          `json:"skins"`  // m² of bodies, both sides
	Tins    []finish.Tin     `json:"tins"`
	Ways    []finish.CoatWay `json:"ways"`
	Weather *finish.Weather  `json:"weather"`
	Touch   []said.Sentence  `json:"touch"`
}

func finishing(a *Asking) *Finishing {
	review.Ready(a.Plan)
	r := rig.Resolve(a.Plan, a.Trailer, a.Outing)
	areas := finish.AreasOf(r)
	out := &Finishing{
		Steel:  areas.Steel,
		Hidden: areas.Hidden,
		Deck:   areas.Deck,
		Skins:  areas.Skins,
		Tins:   finish.Tins(r),
		Ways:   finish.Ways(r),
		Touch:  finish.Touch(r),
	}
	var f *plan.Finish
	if r != nil {
		f = r.Trailer.Finish
	}
	out.Weather = finish.WeatherOf(f, a.Today)
	return out
}

// Boxing is the bodies on an outing's deck.
type Boxing struct {
	Bodies []box.Shown `json:"bodies"`
}

// Taping is what was taped in the workshop, drawn.
type Taping struct {
	Drawn *workshop.Drawn `json:"drawn"`
}

// WorkOrder is the work in its order.
type WorkOrder struct {
	Work *workshop.Work `json:"work"`
}

// Powering is what draws on the battery on board, and the first test of electric brakes where it has them.
type Powering struct {
	Uses []power.Use     `json:"uses,omitempty"`
	Walk []said.Sentence `json:"walk,omitempty"`
}

// Searching asks what is wrong with a harness by what was seen of it.
type Searching struct {
	Asking
	Answers []wiring.Answer `json:"answers"`
	Two     bool            `json:"two,omitempty"` // two faults at once as well
}

// faults says which faults explain what was seen, and what to look at next.
func (s *server) faults(c fiber.Ctx) error {
	var q Searching
	if err := strictly(c.Body(), &q); err != nil {
		return err
	}
	if q.Plan == nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request holds no plan.")
	}
	return s.inTurn(s.lanes.studies, studyTime, func(context.Context) error {
		review.Ready(q.Plan)
		h := wiring.New(rig.Resolve(q.Plan, q.Trailer, q.Outing))
		if h == nil {
			return c.JSON(
				wiring.Diagnosis{
					Suspects: []wiring.Suspect{},
					Says:     said.Say("No lamps and plug are entered yet."),
				},
			)
		}
		if q.Two {
			return c.JSON(h.FindTwo(q.Answers))
		}
		return c.JSON(h.Find(q.Answers))
	})
}

// Designing is one line of the answer to a search for a frame.
type Designing struct {
	Tried int            `json:"tried"`
	Done  *study.Designs `json:"done,omitempty"`
}

// arrange answers in lines of JSON.
func (s *server) arrange(c fiber.Ctx) error {
	return s.inLines(c, func(ctx context.Context, a *Asking, tell func(any)) {
		done := study.Arrange(ctx, a.Plan, a.Request, func(n int) { tell(Arranging{Places: n}) })
		tell(Arranging{Places: done.Places, Done: done})
	})
}

// design answers in lines of JSON; the key is the aim.
func (s *server) design(c fiber.Ctx) error {
	return s.inLines(c, func(ctx context.Context, a *Asking, tell func(any)) {
		aim := study.Aim(a.Key)
		if !slices.Contains(study.Aims, aim) {
			aim = study.AimMass
		}
		done := study.FindFrame(ctx, a.Plan, a.Trailer, aim, func(n int) { tell(Designing{Tried: n}) })
		tell(Designing{Tried: done.Tried, Done: done})
	})
}

// inLines answers in lines of JSON, in its turn. The search ends when nobody reads them, when its time is up
// or the server ends. Lines may be stated from several searches at once.
func (s *server) inLines(c fiber.Ctx, search func(context.Context, *Asking, func(any))) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	wait, cancel := context.WithTimeout(s.end, waitingTime)
	defer cancel()
	leave, err := s.lanes.studies.enter(wait)
	if err != nil {
		return err
	}
	c.Set(fiber.HeaderContentType, "application/x-ndjson")
	id := c.GetRespHeader(fiber.HeaderXRequestID)
	return c.SendStreamWriter(func(w *bufio.Writer) {
		defer leave()
		lines := json.NewEncoder(w)
		defer func() { // a search that breaks must not end the server: its line stays unfinished
			if broken := recover(); broken != nil {
				log.Printf("a search broke: %v (request %s)", broken, id)
			}
		}()
		ctx, gone := context.WithTimeout(s.end, arrangeTime)
		defer gone()
		var turn sync.Mutex
		search(ctx, &a, func(line any) {
			turn.Lock()
			defer turn.Unlock()
			if lines.Encode(line) != nil || w.Flush() != nil {
				gone()
			}
		})
	})
}

// drawing gives a drawing to scale: of the rack whose part's path is the key, or
// the rig's view of that name.
func drawing(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	v := study.Drawing(a.Plan, a.Request, a.Key)
	if v == nil {
		return fiber.NewError(fiber.StatusNotFound, "There is no such drawing.")
	}
	name := fileName(v.Title.Text(a.Plan.Locale()))
	if strings.HasSuffix(c.Path(), ".dxf") {
		c.Set(fiber.HeaderContentType, "image/vnd.dxf")
		c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+name+`.dxf"`)
		return c.Send(v.DXF(a.Plan.Locale()))
	}
	c.Set(fiber.HeaderContentType, "image/svg+xml")
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+name+`.svg"`)
	return c.Send(v.SVG(a.Plan.Locale()))
}
