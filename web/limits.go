package web

import (
	"bytes"
	"context"
	"errors"
	"log"
	"runtime"
	"strings"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/valyala/fasthttp"

	"zygonos/core/out/archive"
	"zygonos/core/plan"
)

// What a caller may ask of the server.
const (
	mostConns   = 256      // connections in all …
	mostConnsIP = 64       // … and from one address
	smallBody   = 64 << 10 // of a request by whom nobody knows yet
	mostWaiting = 16       // searches that wait for their turn

	largeTime = 5 * time.Minute // in which a photo or an archive must have come
)

// bound keeps what a connection may hold small: a body is read only as far as its call takes
// one, and only whom the gate let in may send a plan. known tells of a session's token whether it
// is one; nil where there is no gate. It is asked of what is larger than a small body alone.
func bound(app *fiber.App, known func(token string) bool) {
	s := app.Server()
	s.Concurrency, s.MaxConnsPerIP = mostConns, mostConnsIP
	s.HeaderReceived = func(h *fasthttp.RequestHeader) fasthttp.RequestConfig {
		path, _, _ := strings.Cut(string(h.RequestURI()), "?")
		open := path == "/api/session" || path == "/api/pair" || !strings.HasPrefix(path, "/api/")
		large := h.ContentLength() > smallBody || h.ContentLength() < 0 // stated in chunks: no one knows
		if open || large && known != nil && !known(string(h.Cookie(sessionCookie))) {
			return fasthttp.RequestConfig{MaxRequestBodySize: smallBody}
		}
		most := mostBody(path)
		if most > plan.MaxBytes+smallBody { // what is large may take its time
			return fasthttp.RequestConfig{MaxRequestBodySize: most, ReadTimeout: largeTime, WriteTimeout: largeTime}
		}
		return fasthttp.RequestConfig{MaxRequestBodySize: most}
	}
	// A method that nobody knows is answered before any handler is asked.
	inner := s.Handler
	s.Handler = func(ctx *fasthttp.RequestCtx) {
		inner(ctx)
		if ctx.Response.StatusCode() == fiber.StatusNotImplemented &&
			!bytes.HasPrefix(ctx.Response.Header.ContentType(), []byte(problemType)) {
			ctx.Response.Header.SetContentType(problemType)
			ctx.Response.SetBodyString(
				`{"type":"about:blank","title":"This server does not know that method.","status":501}`,
			)
		}
	}
}

// mostBody is what a call's body may hold.
func mostBody(path string) int {
	switch {
	case path == "/api/archives":
		return archive.MaxBytes
	case strings.Contains(path, "/photos/"):
		return mostPhotoBytes + 4<<20 // a little over is answered in its own words
	}
	return plan.MaxBytes + smallBody
}

// tooLarge says what a call's body may hold.
func tooLarge(path string) (title, detail string) {
	switch {
	case path == "/api/archives":
		return "The archive is too large.", "An archive may have 160 MB."
	case strings.Contains(path, "/photos/"):
		return "The photo is too large.", "A photo may have 12 MB."
	}
	return "The plan is too large.", "A plan may have 8 MB."
}

// plainBodies refuses packed bodies: unpacked, a few hundred bytes can fill the memory.
func plainBodies(c fiber.Ctx) error {
	if e := strings.ToLower(strings.TrimSpace(c.Get(fiber.HeaderContentEncoding))); e != "" && e != "identity" {
		c.Set(fiber.HeaderAcceptEncoding, "identity")
		return fiber.NewError(fiber.StatusUnsupportedMediaType, "Send the body as it is, not packed.")
	}
	return c.Next()
}

// allowed tells a wrong method from a wrong address: 405 with the methods that the address takes.
func allowed(app *fiber.App) fiber.Handler {
	all := sync.OnceValue(func() []fiber.Route { return app.GetRoutes(true) })
	return func(c fiber.Ctx) error {
		var methods []string
		for _, r := range all() {
			if strings.HasPrefix(r.Path, "/api/") && matches(r.Path, c.Path()) {
				methods = append(methods, r.Method)
			}
		}
		if len(methods) > 0 {
			c.Set(fiber.HeaderAllow, strings.Join(methods, ", "))
			return fiber.NewError(fiber.StatusMethodNotAllowed, "This address does not take "+c.Method()+".")
		}
		return fiber.NewError(fiber.StatusNotFound, "There is nothing at this address.")
	}
}

// matches reports whether a path is one of a route's.
func matches(route, path string) bool {
	r, p := strings.Split(route, "/"), strings.Split(path, "/")
	if len(r) != len(p) {
		return false
	}
	for i := range r {
		if r[i] != p[i] && (!strings.HasPrefix(r[i], ":") || p[i] == "") {
			return false
		}
	}
	return true
}

// queue lets a few searches run at once; a few more wait.
type queue struct {
	running, waiting chan struct{}
}

func newQueue(n int) *queue {
	return &queue{make(chan struct{}, max(1, n)), make(chan struct{}, mostWaiting)}
}

var errCrowded = errors.New("too many searches wait")

// enter waits for a place, until the context ends; leave gives it back.
func (q *queue) enter(ctx context.Context) (leave func(), err error) {
	leave = func() { <-q.running }
	select {
	case q.running <- struct{}{}:
		return leave, nil
	default:
	}
	select {
	case q.waiting <- struct{}{}:
	default:
		return nil, errCrowded
	}
	defer func() { <-q.waiting }()
	select {
	case q.running <- struct{}{}:
		return leave, nil
	case <-ctx.Done():
		return nil, errCrowded
	}
}

// How long an answer may take, and wait for its turn.
const (
	settledTime = 4 * time.Second
	studyTime   = 10 * time.Second
	arrangeTime = 25 * time.Second // under the time in which an answer must be written
	waitingTime = 15 * time.Second
)

// lanes are the queues: what follows each rest of a hand, and what was asked for by a button.
type lanes struct{ settled, studies *queue }

func newLanes() lanes {
	n := runtime.GOMAXPROCS(0)
	return lanes{newQueue(n / 2), newQueue(n / 2)}
}

// logged tells of an error that the caller cannot mend.
func logged(c fiber.Ctx, err error) {
	id, _ := c.GetRespHeaders()[fiber.HeaderXRequestID]
	log.Printf("%s %s: %v (request %s)", c.Method(), c.Path(), err, strings.Join(id, ""))
}
