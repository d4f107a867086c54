package web

import (
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/limiter"
	"github.com/gofiber/fiber/v3/middleware/session"
	"golang.org/x/crypto/bcrypt"
)

// HashPasscode makes the hash that Config.Passcode takes.
func HashPasscode(code string) (string, error) {
	h, err := bcrypt.GenerateFromPassword([]byte(code), bcrypt.DefaultCost)
	return string(h), err
}

// gate asks for the passcode, or a short code that pairs a phone, before any other call of
// the API.
type gate struct {
	hash     []byte
	codes    codes
	sessions fiber.Storage
}

func newGate(hash string, sessions fiber.Storage) *gate {
	return &gate{[]byte(hash), codes{until: map[string]time.Time{}, now: time.Now}, sessions}
}

func (g *gate) mount(api fiber.Router) {
	api.Use(session.New(session.Config{
		Storage:         g.sessions,
		CookieHTTPOnly:  true,
		CookieSameSite:  "Strict",
		IdleTimeout:     12 * time.Hour,
		AbsoluteTimeout: 7 * 24 * time.Hour,
	}))
	api.Post("/session", limiter.New(limiter.Config{
		Max:        6,
		Expiration: time.Minute,
		LimitReached: func(fiber.Ctx) error {
			return fiber.NewError(fiber.StatusTooManyRequests, "Too many tries. Wait a minute.")
		},
	}), g.enter)
	api.Use(func(c fiber.Ctx) error {
		if session.FromContext(c).Get("in") != true {
			return fiber.NewError(fiber.StatusUnauthorized, "The passcode is asked for.")
		}
		return c.Next()
	})
	api.Post("/pair", g.codes.pair)
}

func (g *gate) enter(c fiber.Ctx) error {
	var in struct {
		Passcode string `json:"passcode"`
	}
	if err := c.Bind().JSON(&in); err != nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request is not readable JSON.")
	}
	// A passcode has eight characters or more: six are a short code.
	paired := len(in.Passcode) == 6 && g.codes.take(in.Passcode)
	if !paired && (len(in.Passcode) > 72 || bcrypt.CompareHashAndPassword(g.hash, []byte(in.Passcode)) != nil) {
		return fiber.NewError(fiber.StatusUnauthorized, "That is not the passcode. A short code is good once, for ten minutes.")
	}
	s := session.FromContext(c)
	if err := s.Regenerate(); err != nil {
		return err
	}
	s.Set("in", true)
	return c.SendStatus(fiber.StatusNoContent)
}
