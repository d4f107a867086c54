package web

import (
	"context"
	"errors"
	"strings"

	"github.com/gofiber/fiber/v3"

	"zygonos/core/lang/finding"
	"zygonos/core/library"
	"zygonos/core/plan"
	"zygonos/store"
)

// Shelved is a thing of the owner's library as the interface lists it.
type Shelved struct {
	ID         string `json:"id"`
	Collection string `json:"collection"`
	Name       string `json:"name"`
	From       string `json:"from"` // the plan that it was kept from
	Revision   int64  `json:"revision"`
	At         string `json:"at"`
	Spoilt     bool   `json:"spoilt,omitempty"` // its record is damaged: it cannot be taken
}

// Shelving keeps a thing of a plan in the library: new, or over the thing that has the id.
type Shelving struct {
	Plan *plan.Plan `json:"plan"`
	Path string     `json:"path"` // such as /loads/skiff
	ID   string     `json:"id"`   // of the thing, made by the client
}

// Comparing asks what of a plan is not as in the library.
type Comparing struct {
	Plan *plan.Plan `json:"plan"`
}

// Taking puts a copy of a thing into a plan.
type Taking struct {
	Plan *plan.Plan `json:"plan"`
	As   string     `json:"as"` // id in the plan, made by the client
}

func listedThing(t *store.Shelved) Shelved {
	return Shelved{
		t.ID, t.Collection, listed(t.Name), t.From, t.Revision, t.At.Format("2006-01-02T15:04:05Z"), t.Document == nil,
	}
}

// things reads the library; a thing whose record cannot be read holds nothing.
func (s *server) things(ctx context.Context) ([]store.Shelved, []library.Thing, error) {
	kept, err := s.store.Library(ctx)
	if err != nil {
		return nil, nil, err
	}
	things := make([]library.Thing, len(kept))
	for i := range kept {
		t := &kept[i]
		things[i] = library.Thing{
			ID:         t.ID,
			Collection: t.Collection,
			Name:       t.Name,
			From:       t.From,
			Revision:   t.Revision,
		}
		if t.Document == nil {
			continue
		}
		if things[i].Holds, err = plan.Read(t.Document); err != nil {
			t.Document = nil
		}
	}
	return kept, things, nil
}

func (s *server) library(c fiber.Ctx) error {
	kept, _, err := s.things(c.Context())
	if err != nil {
		return err
	}
	out := make([]Shelved, len(kept))
	for i := range kept {
		out[i] = listedThing(&kept[i])
	}
	return c.JSON(out)
}

func noPlan() error { return fiber.NewError(fiber.StatusBadRequest, "The request holds no plan.") }

func (s *server) shelve(c fiber.Ctx) error {
	var b Shelving
	if err := strictly(c.Body(), &b); err != nil {
		return err
	}
	switch {
	case b.Plan == nil:
		return noPlan()
	case !idPattern.MatchString(b.ID):
		return fiber.NewError(fiber.StatusBadRequest, "The thing carries no id of its own.")
	}
	t, err := library.Extract(b.Plan, b.Path)
	if err != nil {
		return fiber.NewError(fiber.StatusUnprocessableEntity, err.Error())
	}
	doc, err := plan.Write(t.Holds)
	if err != nil {
		return err
	}
	kept, err := s.store.Shelve(c.Context(), store.Shelved{
		ID: strings.Clone(b.ID), Collection: t.Collection, Name: t.Name, From: listed(t.From), Document: doc,
	})
	if err != nil {
		return err
	}
	c.Status(fiber.StatusCreated)
	return c.JSON(listedThing(&kept))
}

func (s *server) take(c fiber.Ctx) error {
	var b Taking
	if err := strictly(c.Body(), &b); err != nil {
		return err
	}
	id, err := id(c)
	switch {
	case err != nil:
		return err
	case b.Plan == nil:
		return noPlan()
	case !idPattern.MatchString(b.As):
		return fiber.NewError(fiber.StatusBadRequest, "The copy carries no id of its own.")
	}
	_, things, err := s.things(c.Context())
	if err != nil {
		return err
	}
	for i := range things {
		if things[i].ID == id {
			ops, err := library.Take(b.Plan, &things[i], b.As)
			if err != nil {
				return fiber.NewError(fiber.StatusUnprocessableEntity, err.Error())
			}
			return c.JSON(ops)
		}
	}
	return fiber.NewError(fiber.StatusNotFound, "There is no such thing in the library.")
}

func (s *server) offers(c fiber.Ctx) error {
	var b Comparing
	if err := strictly(c.Body(), &b); err != nil {
		return err
	}
	if b.Plan == nil {
		return noPlan()
	}
	_, things, err := s.things(c.Context())
	if err != nil {
		return err
	}
	return c.JSON(library.Offers(b.Plan, things))
}

func (s *server) drop(c fiber.Ctx) error    { return s.setShelvedDeleted(c, true) }
func (s *server) reshelf(c fiber.Ctx) error { return s.setShelvedDeleted(c, false) }

func (s *server) setShelvedDeleted(c fiber.Ctx, deleted bool) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	err = s.store.SetShelvedDeleted(c.Context(), id, deleted)
	if errors.Is(err, store.ErrNotFound) {
		return fiber.NewError(fiber.StatusNotFound, "There is no such thing in the library.")
	}
	if err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

var libraryRoutes = []route{
	{"GET", "/library", "What the owner keeps across plans", nil, []Shelved{}, 0, "", on((*server).library)},
	{"POST", "/library", "Keep a thing of a plan", Shelving{}, Shelved{}, created, "", on((*server).shelve)},
	{"POST", "/library/offers", "What of a plan is not as in the library",
		Comparing{}, []library.Offer{}, 0, "", on((*server).offers)},
	{"POST", "/library/{id}/take", "Take a copy into a plan", Taking{}, []finding.Op{}, 0, "", on((*server).take)},
	{"DELETE", "/library/{id}", "Take a thing out of the library", nil, nil, noContent, "", on((*server).drop)},
	{"POST", "/library/{id}/restore", "Bring it back", nil, nil, noContent, "", on((*server).reshelf)},
}
