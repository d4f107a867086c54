package web

import (
	"io/fs"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/scene"
	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/core/study"
	"zygonos/demo"
	"zygonos/store"
)

// Glance is a plan as its card in the list shows it.
type Glance struct {
	Region   quantity.Region `json:"region"`
	Units    quantity.System `json:"units"`
	Headline review.Headline `json:"headline"`
	View     *scene.View     `json:"view,omitempty"` // from the side, without words
}

func (s *server) glance(c fiber.Ctx) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	stored, err := s.store.Get(c.Context(), id)
	if err != nil {
		return err
	}
	p, err := plan.Read(stored.Document)
	if err != nil {
		return err
	}
	rep := review.Review(p, review.Request{})
	g := Glance{Region: p.Region, Units: p.Units, Headline: study.Verdict(p, review.Request{})}
	if len(rep.Views) > 0 {
		g.View = &rep.Views[0]
		g.View.Handles, g.View.Targets = nil, nil
		g.View.Shapes = slices.DeleteFunc(g.View.Shapes, func(s scene.Shape) bool { return s.Form == scene.Text })
	}
	c.Set(fiber.HeaderCacheControl, "no-store")
	return c.JSON(g)
}

// Example is a plan that ships with the app, to be tried on a copy.
type Example struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

const exampleEnd = ".zygonos.json"

func examples() (out []Example, err error) {
	names, err := fs.Glob(demo.Files, "*"+exampleEnd)
	slices.SortFunc(names, func(a, b string) int { return strings.Compare(b, a) })
	for _, name := range names {
		p, err := example(strings.TrimSuffix(name, exampleEnd))
		if err != nil {
			return nil, err
		}
		out = append(out, Example{strings.TrimSuffix(name, exampleEnd), p.Name})
	}
	return out, err
}

func example(id string) (*plan.Plan, error) {
	data, err := fs.ReadFile(demo.Files, id+exampleEnd)
	if err != nil {
		return nil, store.ErrNotFound
	}
	return plan.Read(data)
}

func listExamples(c fiber.Ctx) error {
	out, err := examples()
	if err != nil {
		return err
	}
	return c.JSON(out)
}

// tryExample keeps a copy of an example as a plan of its own.
func (s *server) tryExample(c fiber.Ctx) error {
	name, err := id(c)
	if err != nil {
		return err
	}
	p, err := example(name)
	if err != nil {
		return err
	}
	doc, err := plan.Write(p)
	if err != nil {
		return err
	}
	all, err := demo.Records(name)
	if err != nil {
		return err
	}
	rows, err := Rows(all)
	if err != nil {
		return err
	}
	id := uuid.NewString()
	save := store.Save{ID: uuid.NewString(), Label: "example", Name: p.Name, Document: doc}
	if err := s.store.CreateWhole(c.Context(), id, save, rows, nil); err != nil {
		return err
	}
	c.Status(fiber.StatusCreated)
	return c.JSON(Saved{id, 1})
}
