package web

import (
	"bytes"
	"context"
	_ "embed"
	page "html/template"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"

	"zygonos/core/lang/said"
	"zygonos/core/out/departure"
	"zygonos/core/plan"
)

//go:embed card.html
var cardPage string

var cardTemplate = page.Must(page.New("card").Parse(cardPage))

// cardFile is the departure card as one file that reads without script: what settles it,
// the picture, what to tick.
type cardFile struct {
	Title, When, Most, Unknown string
	Gate                       []string
	Picture                    page.HTML // the rig's own drawing
	Sections                   []cardSection
}

type cardSection struct {
	Name  string
	Ticks []cardTick
}

type cardTick struct {
	Says string
	Done bool
}

// cardOf fills it from a settled report; nil where the report has no card. Ticks are those
// of the newest departure.
func cardOf(p *plan.Plan, rep *departure.Settled, at time.Time) *cardFile {
	c := rep.Card
	if c == nil {
		return nil
	}
	l := p.Locale()
	out := p.Outings[rep.Scope.Outing]
	f := &cardFile{
		Title: out.Name + ", " + p.Trailers[rep.Scope.Trailer].Name,
		When:  "figures as of " + at.Format("2006-01-02 15:04"),
	}
	if c.Most != nil {
		f.Most = l.Text(c.Most.Kind, c.Most.Value)
	}
	for i := range c.Gate {
		f.Gate = append(f.Gate, c.Gate[i].Says.Text(l))
	}
	ticked := map[string]bool{}
	if days := plan.Ordered(out.Departures, func(d plan.Departed) int { return d.Order }); len(days) > 0 {
		ticked = out.Departures[days[len(days)-1]].Ticks
	}
	for _, s := range c.Sections {
		section := cardSection{Name: s.Name}
		for _, t := range s.Ticks {
			section.Ticks = append(section.Ticks, cardTick{t.Says.Text(l), ticked[t.ID]})
		}
		f.Sections = append(f.Sections, section)
	}
	texts := func(all []said.Sentence) string {
		words := make([]string, len(all))
		for i, s := range all {
			words[i] = s.Text(l)
		}
		return strings.Join(words, ", ")
	}
	f.Unknown = texts(c.Unknown)
	for i := range rep.Views {
		if v := &rep.Views[i]; v.ID == "side" {
			f.Picture = page.HTML(v.SVG(l)) // made here, its texts escaped there
		}
	}
	return f
}

func (s *server) departureCard(c fiber.Ctx) error {
	a, err := asking(c)
	if err != nil {
		return err
	}
	var f *cardFile
	if err := s.inTurn(s.lanes.settled, settledTime, func(ctx context.Context) error {
		f = cardOf(a.Plan, departure.Settle(ctx, a.Plan, a.Request), time.Now())
		return nil
	}); err != nil {
		return err
	}
	if f == nil {
		return fiber.NewError(fiber.StatusNotFound, "There is no card yet: choose an outing and load it.")
	}
	var b bytes.Buffer
	if err := cardTemplate.Execute(&b, f); err != nil {
		return err
	}
	c.Set(fiber.HeaderContentType, "text/html; charset=utf-8")
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+fileName(f.Title)+`.html"`)
	return c.Send(b.Bytes())
}
