package web

import (
	"context"
	"encoding/json"
	"errors"
	"maps"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"zygonos/core/out/archive"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/store"
)

// Recorded is a record as the API carries it.
type Recorded struct {
	ID       string            `json:"id"`
	Revision int64             `json:"revision"`
	At       string            `json:"at"`
	Spoilt   bool              `json:"spoilt,omitempty"` // it does not come back as it was written
	Record   *records.Happened `json:"record,omitempty"`
}

func recordedOf(r *store.Record) Recorded {
	out := Recorded{ID: r.ID, Revision: r.Revision, At: r.At.Format("2006-01-02T15:04:05Z")}
	if r.Document != nil {
		out.Record, _ = records.Read(r.Document)
	}
	out.Spoilt = out.Record == nil
	return out
}

// happened reads a plan's records of some kinds; damaged ones are left out.
func (s *server) happened(ctx context.Context, planID string, kinds ...string) (records.All, error) {
	if planID == "" {
		return nil, nil
	}
	kept, err := s.store.Records(ctx, planID, kinds...)
	if err != nil {
		return nil, err
	}
	out := make(records.All, len(kept))
	for i := range kept {
		if r := recordedOf(&kept[i]); r.Record != nil {
			out[r.ID] = r.Record
		}
	}
	return out, nil
}

// Rows are records as the store keeps them.
func Rows(all records.All) (rows []store.Record, err error) {
	for _, own := range slices.Sorted(maps.Keys(all)) {
		text, err := records.Write(all[own])
		if err != nil {
			return nil, err
		}
		rows = append(rows, store.Record{ID: own, Kind: string(all[own].Kind), Revision: 1, Document: text})
	}
	return rows, nil
}

func (s *server) records(c fiber.Ctx) error {
	id, err := id(c)
	if err != nil {
		return err
	}
	var kinds []string
	if k := c.Query("kinds"); k != "" {
		kinds = strings.Split(strings.Clone(k), ",")
		if len(kinds) > len(records.Kinds) {
			return fiber.NewError(fiber.StatusBadRequest, "There are fewer kinds of records than that.")
		}
	}
	kept, err := s.store.Records(c.Context(), id, kinds...)
	if err != nil {
		return err
	}
	out := make([]Recorded, len(kept))
	for i := range kept {
		out[i] = recordedOf(&kept[i])
	}
	return c.JSON(out)
}

// ids are a path's plan and what it has of that name, a record or a photo.
func ids(c fiber.Ctx, name string) (planID, own string, err error) {
	if planID, err = id(c); err != nil {
		return "", "", err
	}
	own = strings.Clone(c.Params(name))
	if !idPattern.MatchString(own) {
		return "", "", fiber.NewError(
			fiber.StatusBadRequest,
			"The id of a "+name+" may hold small letters, digits and hyphens only.",
		)
	}
	return planID, own, nil
}

// changeRecord takes a JSON Merge Patch: a change names its own fields alone, so that two devices' changes go together, and a
// call may be repeated.
func (s *server) changeRecord(c fiber.Ctx) error {
	planID, own, err := ids(c, "record")
	if err != nil {
		return err
	}
	r, err := s.store.ChangeRecord(c.Context(), planID, own, func(old []byte) (string, []byte, error) {
		next, err := records.Merge(old, c.Body())
		if err != nil {
			return "", nil, err
		}
		text, err := records.Write(next)
		return string(next.Kind), text, err
	})
	var se *plan.ShapeError
	if errors.As(err, &se) {
		return &plan.ShapeError{Path: "/records/" + own + se.Path, Reason: se.Reason}
	}
	if err != nil {
		return err
	}
	return c.JSON(recordedOf(&r))
}

// RecordsChanged are changes of many records at once.
type RecordsChanged struct {
	Changes []RecordPatch `json:"changes"`
}

// RecordPatch is a JSON Merge Patch of one record.
type RecordPatch struct {
	ID    string          `json:"id"`
	Patch json.RawMessage `json:"patch"`
}

// RecordsKept says which of them were refused, and why.
type RecordsKept struct {
	Refused []RecordRefused `json:"refused"`
}

// RecordRefused is one.
type RecordRefused struct {
	Field string `json:"field"` // /records/ID/…
	Says  string `json:"says"`
}

// mostChanges is how many one call may make.
const mostChanges = 500

// changeRecords takes many changes in one transaction: a list that was pasted is kept at once. What cannot be used is named and
// keeps no other from being kept.
func (s *server) changeRecords(c fiber.Ctx) error {
	planID, err := id(c)
	if err != nil {
		return err
	}
	var in RecordsChanged
	if err := json.Unmarshal(c.Body(), &in); err != nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request is not readable JSON.")
	}
	if len(in.Changes) > mostChanges {
		return fiber.NewError(fiber.StatusBadRequest, "One call may change 500 records.")
	}
	changes := make([]store.RecordChange, len(in.Changes))
	for i, ch := range in.Changes {
		if !idPattern.MatchString(ch.ID) {
			return fiber.NewError(
				fiber.StatusBadRequest,
				"The id of a record may hold small letters, digits and hyphens only.",
			)
		}
		changes[i] = store.RecordChange{ID: ch.ID, Make: func(old []byte) (string, []byte, error) {
			next, err := records.Merge(old, ch.Patch)
			if err != nil {
				return "", nil, err
			}
			text, err := records.Write(next)
			return string(next.Kind), text, err
		}}
	}
	refused, err := s.store.ChangeRecords(c.Context(), planID, changes)
	if err != nil {
		return err
	}
	out := RecordsKept{Refused: []RecordRefused{}}
	for _, i := range slices.Sorted(maps.Keys(refused)) {
		r := RecordRefused{Field: "/records/" + in.Changes[i].ID, Says: refused[i].Error()}
		var se *plan.ShapeError
		if errors.As(refused[i], &se) {
			r.Field, r.Says = r.Field+se.Path, se.Reason
		}
		out.Refused = append(out.Refused, r)
	}
	return c.JSON(out)
}

func (s *server) removeRecord(c fiber.Ctx) error  { return s.setRecordGone(c, true) }
func (s *server) restoreRecord(c fiber.Ctx) error { return s.setRecordGone(c, false) }

func (s *server) setRecordGone(c fiber.Ctx, gone bool) error {
	planID, own, err := ids(c, "record")
	if err != nil {
		return err
	}
	err = s.store.SetRecordDeleted(c.Context(), planID, own, gone)
	if errors.Is(err, store.ErrNotFound) {
		return fiber.NewError(fiber.StatusNotFound, "There is no such record.")
	}
	if err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

const archiveType = "application/zip"

// archive sends a plan with its records and photos as one file.
func (s *server) archive(c fiber.Ctx) error {
	planID, err := id(c)
	if err != nil {
		return err
	}
	kept, err := s.store.Get(c.Context(), planID)
	if err != nil {
		return err
	}
	h := &archive.Holds{}
	if h.Plan, err = plan.Read(kept.Document); err != nil {
		return err
	}
	rows, err := s.store.Records(c.Context(), planID)
	if err != nil {
		return err
	}
	for i := range rows {
		if r := recordedOf(&rows[i]); r.Record != nil {
			h.Records = append(h.Records, archive.Record{ID: r.ID, Revision: r.Revision, Of: r.Record})
		}
	}
	photos, err := s.store.Photos(c.Context(), planID)
	if err != nil {
		return err
	}
	for i := range photos {
		if photos[i].Picture != nil {
			h.Photos = append(h.Photos, archive.Photo{ID: photos[i].ID, Picture: photos[i].Picture})
		}
	}
	out, err := archive.Pack(h)
	if err != nil {
		return err
	}
	c.Set(fiber.HeaderContentType, archiveType)
	c.Set(fiber.HeaderContentDisposition, `attachment; filename="`+fileName(kept.Name)+`.zygonos.zip"`)
	return c.Send(out)
}

// importArchive keeps a plan with its records and photos from a file.
func (s *server) importArchive(c fiber.Ctx) error {
	h, err := archive.Unpack(c.Body())
	if err != nil {
		return err
	}
	doc, err := plan.Write(h.Plan)
	if err != nil {
		return err
	}
	var rows []store.Record
	for _, r := range h.Records {
		text, err := records.Write(r.Of)
		if err != nil {
			return err
		}
		rows = append(rows, store.Record{ID: r.ID, Kind: string(r.Of.Kind), Revision: r.Revision, Document: text})
	}
	var photos []store.Photo
	for _, p := range h.Photos {
		wide, high, err := pictureSize(p.Picture)
		if err != nil {
			return err
		}
		photos = append(photos, store.Photo{ID: p.ID, Wide: wide, High: high, Picture: p.Picture})
	}
	planID := uuid.NewString()
	err = s.store.CreateWhole(c.Context(), planID, store.Save{
		ID: uuid.NewString(), Label: "imported", Name: listed(h.Plan.Name), Document: doc,
	}, rows, photos)
	if err != nil {
		return err
	}
	c.Status(fiber.StatusCreated)
	return c.JSON(Saved{planID, 1})
}

var recordRoutes = []route{
	{"GET", "/plans/{id}/records", "What happened, of the kinds that the query names", nil, []Recorded{}, 0, "",
		on((*server).records)},
	{"POST", "/plans/{id}/records", "Change many of its records, each by a JSON Merge Patch",
		RecordsChanged{}, RecordsKept{}, 0, "", on((*server).changeRecords)},
	{"PATCH", "/plans/{id}/records/{record}", "Change a record, or make one (JSON Merge Patch)",
		records.Happened{}, Recorded{}, 0, "", on((*server).changeRecord)},
	{
		"DELETE",
		"/plans/{id}/records/{record}",
		"Take a record away",
		nil,
		nil,
		noContent,
		"",
		on((*server).removeRecord),
	},
	{"POST", "/plans/{id}/records/{record}/restore", "Bring it back", nil, nil, noContent, "",
		on((*server).restoreRecord)},
	{"PUT", "/plans/{id}/photos/{photo}", "Keep a photo (a JPEG, PNG or WebP)", nil, PhotoKept{}, 0, "",
		on((*server).addPhoto)},
	{"GET", "/plans/{id}/photos/{photo}", "A photo", nil, nil, 0, "image/jpeg", on((*server).photo)},
	{
		"DELETE",
		"/plans/{id}/photos/{photo}",
		"Take a photo away",
		nil,
		nil,
		noContent,
		"",
		on((*server).removePhoto),
	},
	{"POST", "/plans/{id}/photos/{photo}/restore", "Bring it back", nil, nil, noContent, "",
		on((*server).restorePhoto)},
	{"GET", "/plans/{id}/archive", "The plan with its records and photos as one file", nil, nil, 0, archiveType,
		on((*server).archive)},
	{"POST", "/archives", "Keep a plan with its records and photos from such a file", nil, Saved{}, created, "",
		on((*server).importArchive)},
}
