package web

import (
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/extractors"
	"github.com/gofiber/fiber/v3/middleware/limiter"
	"github.com/gofiber/fiber/v3/middleware/session"
	"golang.org/x/crypto/bcrypt"

	"zygonos/store"
)

// PasscodeKey is the setting that holds the passcode's hash.
const PasscodeKey = "passcode"

// HashPasscode makes the hash that is kept under PasscodeKey.
func HashPasscode(code string) (string, error) {
	h, err := bcrypt.GenerateFromPassword([]byte(code), bcrypt.DefaultCost)
	return string(h), err
}

// How long who came in stays in: from the last call, and in all.
const (
	sessionCookie = "session_id"
	sessionIdle   = 12 * time.Hour
	sessionMost   = 7 * 24 * time.Hour
	sessionTouch  = 10 * time.Minute // between two writings of "seen"
)

// gate asks for the passcode, or a short code that pairs a phone, before any other call of
// the API. The hash is read at each try, so that a new passcode counts at once; a session is
// kept only for whom it let in.
type gate struct {
	store    *store.Store
	codes    codes
	sessions *session.Store
}

func newGate(s *store.Store) *gate {
	return &gate{s, codes{now: time.Now}, session.NewStore(session.Config{
		Storage:         s.Sessions(),
		Extractor:       extractors.FromCookie(sessionCookie),
		CookieHTTPOnly:  true,
		CookieSameSite:  "Strict",
		IdleTimeout:     sessionIdle,
		AbsoluteTimeout: sessionMost,
	})}
}

// Tries of the passcode: of one address, and of all together.
const (
	triesOfOne = 6
	triesOfAll = 60
)

func tries(most int, key func(fiber.Ctx) string) fiber.Handler {
	return limiter.New(
		limiter.Config{Max: most, Expiration: time.Minute, KeyGenerator: key, LimitReached: func(fiber.Ctx) error {
			return fiber.NewError(fiber.StatusTooManyRequests, "Too many tries. Wait a minute.")
		}},
	)
}

func (g *gate) mount(api fiber.Router) {
	api.Post(
		"/session",
		tries(triesOfOne, func(c fiber.Ctx) string { return c.IP() }),
		tries(triesOfAll, func(fiber.Ctx) string { return "all" }),
		g.enter,
	)
	api.Use(func(c fiber.Ctx) error {
		s, err := g.sessions.Get(c)
		if err != nil {
			return err
		}
		defer s.Release()
		if s.Get("in") != true {
			return fiber.NewError(fiber.StatusUnauthorized, "The passcode is required.")
		}
		if seen, _ := s.Get("seen").(int64); time.Since(time.Unix(seen, 0)) > sessionTouch {
			s.Set("seen", time.Now().Unix())
			if err := s.Save(); err != nil {
				return err
			}
		}
		return c.Next()
	})
	api.Post("/pair", g.codes.pair)
}

func (g *gate) enter(c fiber.Ctx) error {
	var in Entry
	if err := c.Bind().JSON(&in); err != nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request is not readable JSON.")
	}
	// A passcode has eight characters or more: six are a short code.
	if !(len(in.Passcode) == 6 && g.codes.take(in.Passcode)) {
		hash, err := g.store.Setting(c.Context(), PasscodeKey)
		if err != nil {
			return err
		}
		if len(in.Passcode) > 72 || bcrypt.CompareHashAndPassword([]byte(hash), []byte(in.Passcode)) != nil {
			return fiber.NewError(
				fiber.StatusUnauthorized,
				"That is not the passcode. A short code is good once, for ten minutes.",
			)
		}
	}
	s, err := g.sessions.Get(c)
	if err != nil {
		return err
	}
	defer s.Release()
	if err := s.Regenerate(); err != nil {
		return err
	}
	s.Set("in", true)
	s.Set("seen", time.Now().Unix())
	if err := s.Save(); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}
