package web

import (
	"crypto/rand"
	"crypto/subtle"
	"encoding/base64"
	"fmt"
	"math/big"
	"net"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
	"rsc.io/qr"
)

// pairFor is how long a short code pairs a phone.
const pairFor = 10 * time.Minute

// codes is the short code that pairs one phone, until it runs out: one at a time, so that a
// guess has one target.
type codes struct {
	mu    sync.Mutex
	open  string
	until time.Time
	now   func() time.Time
}

// fresh makes a code of six digits.
func (k *codes) fresh() (string, error) {
	n, err := rand.Int(rand.Reader, big.NewInt(1_000_000))
	if err != nil {
		return "", err
	}
	code := fmt.Sprintf("%06d", n)
	k.mu.Lock()
	defer k.mu.Unlock()
	k.open, k.until = code, k.now().Add(pairFor)
	return code, nil
}

// take uses a code up; false where there is none such, or it has run out.
func (k *codes) take(code string) bool {
	k.mu.Lock()
	defer k.mu.Unlock()
	if k.open == "" || subtle.ConstantTimeCompare([]byte(code), []byte(k.open)) != 1 {
		return false
	}
	k.open = ""
	return !k.now().After(k.until)
}

// Pairing is how a phone comes to a page of this server: an address, a short code to type
// there, and both as a QR code.
type Pairing struct {
	Addresses []string `json:"addresses"`
	Code      string   `json:"code,omitempty"`
	Minutes   int      `json:"minutes,omitempty"` // that the code is good for
	QR        string   `json:"qr,omitempty"`      // an SVG picture's data URL, of the first address
}

// PairingAsked is the page that the phone is to open.
type PairingAsked struct {
	Path string `json:"path"`
}

// pair answers with a fresh code and the addresses by which a phone reaches the server.
func (k *codes) pair(c fiber.Ctx) error {
	var in PairingAsked
	if err := c.Bind().JSON(&in); err != nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request is not readable JSON.")
	}
	if !strings.HasPrefix(in.Path, "/") || strings.HasPrefix(in.Path, "//") || len(in.Path) > 300 {
		in.Path = "/"
	}
	out := Pairing{Addresses: Addresses(c.Host()), Minutes: int(pairFor / time.Minute)}
	var err error
	if out.Code, err = k.fresh(); err != nil {
		return err
	}
	if out.QR, err = qrOf(out.Addresses[0] + in.Path + "?pair=" + out.Code); err != nil {
		return err
	}
	c.Set(fiber.HeaderCacheControl, "no-store")
	return c.JSON(out)
}

// closed is the same of a server that asks for no passcode, since only this machine reaches
// it.
func closed(c fiber.Ctx) error { return c.JSON(Pairing{Addresses: []string{}}) }

// Addresses are the server's on the home network: the one that it was called by, or this
// machine's private ones where it was called from itself.
func Addresses(host string) []string {
	name, port, err := net.SplitHostPort(host)
	if err != nil {
		name, port = host, "80"
	}
	if ip := net.ParseIP(name); name != "localhost" && (ip == nil || !ip.IsLoopback()) {
		return []string{"http://" + net.JoinHostPort(name, port)}
	}
	out := []string{}
	found, _ := net.InterfaceAddrs() // where they cannot be listed it names itself
	for _, a := range found {
		if n, ok := a.(*net.IPNet); ok && n.IP.To4() != nil && n.IP.IsPrivate() {
			out = append(out, "http://"+net.JoinHostPort(n.IP.String(), port))
		}
	}
	if len(out) == 0 {
		return []string{"http://" + net.JoinHostPort(name, port)}
	}
	slices.Sort(out)
	return out
}

// qrOf is a text as a QR code, drawn as an SVG in a data URL.
func qrOf(text string) (string, error) {
	code, err := qr.Encode(text, qr.M)
	if err != nil {
		return "", err
	}
	const quiet = 4
	var b strings.Builder
	size := code.Size + 2*quiet
	fmt.Fprintf(
		&b,
		`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d" shape-rendering="crispEdges"><path fill="#fff" d="M0 0h%dv%dH0z"/><path d="`,
		size,
		size,
		size,
		size,
	)
	for y := range code.Size {
		for x := range code.Size {
			if code.Black(x, y) {
				fmt.Fprintf(&b, "M%d %dh1v1h-1z", x+quiet, y+quiet)
			}
		}
	}
	b.WriteString(`"/></svg>`)
	return "data:image/svg+xml;base64," + base64.StdEncoding.EncodeToString([]byte(b.String())), nil
}
