// Package web serves the interface and its API on top of store and studies.
// Errors go out as problem+json (RFC 9457). No rule of the job stands here.
package web

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"log"
	"net"
	"net/url"
	"runtime/debug"
	"slices"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/compress"
	"github.com/gofiber/fiber/v3/middleware/helmet"
	"github.com/gofiber/fiber/v3/middleware/recover"
	"github.com/gofiber/fiber/v3/middleware/requestid"

	"zygonos/core/plan"
	"zygonos/core/review"
	"zygonos/store"
)

// Config is what a server needs.
type Config struct {
	Store *store.Store
	Files fs.FS    // the built interface
	Hosts []string // names under which it may be reached beside loopback and IP addresses
	Asks  bool     // for the passcode, whose hash stands in the store's settings

	Context context.Context // its end ends searches under way; nil: none does
}

// problemType is the media type of RFC 9457.
const problemType = "application/problem+json"

// New builds the server.
func New(cfg Config) *fiber.App {
	app := fiber.New(fiber.Config{
		AppName:      "Zygonos",
		BodyLimit:    plan.MaxBytes + smallBody,
		ReadTimeout:  15 * time.Second,
		WriteTimeout: 30 * time.Second,
		IdleTimeout:  90 * time.Second,
		ErrorHandler: problemOf,
	})
	review.Broke = func(what string, why any) { log.Printf("a check of %s broke off: %v\n%s", what, why, debug.Stack()) }
	app.Use(
		requestid.New(),
		recover.New(recover.Config{EnableStackTrace: true, StackTraceHandler: func(c fiber.Ctx, broken any) {
			logged(c, fmt.Errorf("panic: %v\n%s", broken, debug.Stack()))
		}}),
		plainBodies,
		helmet.New(helmet.Config{
			ContentSecurityPolicy: "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
			ReferrerPolicy:        "same-origin",
			XFrameOptions:         "DENY",
			PermissionPolicy:      "camera=(), geolocation=(), microphone=()",
		}),
	)
	app.Use(compress.New(compress.Config{
		Level: compress.LevelBestSpeed,
		// A report follows each frame of a drag; on loopback packing costs more than it saves.
		// Searches come line by line.
		Next: func(c fiber.Ctx) bool {
			return c.Path() == "/api/review" || c.Path() == "/api/arrange" || c.Path() == "/api/design" ||
				c.Path() == "/api/weigh"
		},
	}))
	app.Use(guard(cfg.Hosts))
	api := app.Group("/api", func(c fiber.Ctx) error {
		c.Set(fiber.HeaderCacheControl, "no-store") // but for what says otherwise
		return c.Next()
	})
	var known func(string) bool
	if cfg.Asks {
		newGate(cfg.Store).mount(api)
		known = func(token string) bool {
			kept, err := cfg.Store.Sessions().Get(token)
			return err == nil && kept != nil
		}
	} else {
		api.Post("/pair", closed)
	}
	if cfg.Context == nil {
		cfg.Context = context.Background()
	}
	s := &server{store: cfg.Store, end: cfg.Context, lanes: newLanes(), drives: make(chan struct{}, mostDrives)}
	s.mount(api)
	api.Use(allowed(app))
	app.Get("/lent/:id/:record/:key", s.lent)
	app.Get("/lent/:id/:record/:key/:photo", s.lentPhoto)
	pages(app, cfg.Files)
	bound(app, known)
	return app
}

// ProblemDocument is an error as RFC 9457 sends it.
type ProblemDocument struct {
	Type   string `json:"type"`
	Title  string `json:"title"`
	Status int    `json:"status"`
	Detail string `json:"detail,omitempty"`
	Field  string `json:"field,omitempty"` // JSON Pointer into the plan

	Earlier int64 `json:"earlier,omitempty"` // of a damaged plan: the newest revision that is sound
}

// troubles are those of the database, with what the owner may do.
var troubles = []struct {
	err           error
	status        int
	title, detail string
}{
	{store.ErrNotFound, fiber.StatusNotFound, "There is no such plan.", ""},
	{store.ErrConflict, fiber.StatusPreconditionFailed, "The plan was changed elsewhere.",
		"Another tab or device has saved it since. Load that version, or keep yours as a copy."},
	{
		store.ErrBusy,
		fiber.StatusServiceUnavailable,
		"Another program holds the database.",
		"Nothing was changed. It will be tried again.",
	},
	{
		store.ErrManyRecords,
		fiber.StatusUnprocessableEntity,
		"The plan has reached the limit of 20,000 records.",
		"Put old ones away with an archive.",
	},
	{
		store.ErrManyPhotos,
		fiber.StatusUnprocessableEntity,
		"The plan has reached the limit of 400 photos.",
		"Delete some first.",
	},
	{errCrowded, fiber.StatusServiceUnavailable, "Several searches are under way.", "Try again in a moment."},
	{
		store.ErrFull,
		fiber.StatusInsufficientStorage,
		"The disk is full.",
		"Nothing was changed. Make room, then save again.",
	},
	{
		store.ErrReadOnly,
		fiber.StatusInternalServerError,
		"The database cannot be written to.",
		"Check the permissions of its file and directory.",
	},
	{
		store.ErrNoAccess,
		fiber.StatusInternalServerError,
		"The database cannot be opened.",
		"Check that its disk is there, and its permissions.",
	},
	{store.ErrDamaged, fiber.StatusInternalServerError, "The database is damaged.", "Put a backup in its place."},
	{
		store.ErrDisk,
		fiber.StatusInternalServerError,
		"The disk does not read or write properly.",
		"Copy what is on it while it can still be read.",
	},
	{context.DeadlineExceeded, fiber.StatusServiceUnavailable, "The server took too long.", ""},
}

func problemOf(c fiber.Ctx, err error) error {
	p := ProblemDocument{
		Type:   "about:blank",
		Status: fiber.StatusInternalServerError,
		Title:  "Something went wrong on the server.",
	}
	var fe *fiber.Error
	var se *plan.ShapeError
	var spoilt *store.SpoiltError
	switch {
	case errors.As(err, &se):
		p.Status, p.Title, p.Detail, p.Field = fiber.StatusUnprocessableEntity, "The plan cannot be used.", se.Error(), se.Path
		switch {
		case c.Path() == "/api/archives":
			p.Title = "The archive cannot be used."
		case strings.HasPrefix(se.Path, "/records/"):
			p.Title, p.Detail = "This record cannot be kept.", se.Reason
		}
	case errors.As(err, &spoilt):
		p.Title, p.Earlier = fmt.Sprintf(
			"Revision %d of this plan is damaged on the disk.",
			spoilt.Revision,
		), spoilt.Earlier
		p.Detail = "Open an earlier version, or a backup."
	case errors.As(err, &fe):
		p.Status, p.Title = fe.Code, fe.Message
		if fe.Code == fiber.StatusRequestEntityTooLarge {
			p.Title, p.Detail = tooLarge(c.Path())
		}
	default:
		for _, t := range troubles {
			if errors.Is(err, t.err) {
				p.Status, p.Title, p.Detail = t.status, t.title, t.detail
				break
			}
		}
	}
	if p.Status == fiber.StatusServiceUnavailable {
		c.Set(fiber.HeaderRetryAfter, "2")
	}
	if p.Status >= fiber.StatusInternalServerError {
		logged(c, err)
	}
	c.Status(p.Status)
	return c.JSON(p, problemType)
}

// guard refuses requests under another host's name (a page elsewhere that
// points its own name here), and writes from another origin.
func guard(hosts []string) fiber.Handler {
	return func(c fiber.Ctx) error {
		name := c.Host()
		if h, _, err := net.SplitHostPort(name); err == nil {
			name = h
		}
		name = strings.ToLower(strings.Trim(name, "[]"))
		if name != "localhost" && net.ParseIP(name) == nil && !slices.Contains(hosts, name) {
			return fiber.NewError(fiber.StatusMisdirectedRequest, "This server does not answer under that name.")
		}
		if c.Method() != fiber.MethodGet && c.Method() != fiber.MethodHead {
			if o := c.Get(fiber.HeaderOrigin); o != "" {
				u, err := url.Parse(o)
				if err != nil || !strings.EqualFold(u.Host, c.Host()) {
					return fiber.NewError(fiber.StatusForbidden, "The request came from another page.")
				}
			}
			if site := c.Get("Sec-Fetch-Site"); site != "" && site != "same-origin" && site != "none" {
				return fiber.NewError(fiber.StatusForbidden, "The request came from another page.")
			}
		}
		return c.Next()
	}
}

// pages serves the built interface; every path that is no file is the page.
func pages(app *fiber.App, files fs.FS) {
	types := map[string]string{
		".html":        "text/html; charset=utf-8",
		".js":          "text/javascript; charset=utf-8",
		".css":         "text/css; charset=utf-8",
		".svg":         "image/svg+xml",
		".woff2":       "font/woff2",
		".json":        "application/json",
		".webmanifest": "application/manifest+json",
		".png":         "image/png",
	}
	app.Get("/*", func(c fiber.Ctx) error {
		name := strings.TrimPrefix(strings.Clone(c.Path()), "/")
		data, err := fs.ReadFile(files, name)
		if err != nil {
			if strings.HasPrefix(name, "assets/") {
				return fiber.NewError(fiber.StatusNotFound, "There is nothing at this address.")
			}
			name = "index.html"
			if data, err = fs.ReadFile(files, name); err != nil {
				return fiber.NewError(fiber.StatusServiceUnavailable, "The interface is not built: run make demo.")
			}
		}
		if dot := strings.LastIndexByte(name, '.'); dot >= 0 && types[name[dot:]] != "" {
			c.Set(fiber.HeaderContentType, types[name[dot:]])
		}
		if strings.HasPrefix(name, "assets/") {
			c.Set(fiber.HeaderCacheControl, "public, max-age=31536000, immutable")
		} else {
			c.Set(fiber.HeaderCacheControl, "no-cache")
		}
		return c.Send(data)
	})
}
