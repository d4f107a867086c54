package web

import (
	"bufio"
	"context"
	"encoding/json"
	"errors"
	"log"
	"net"
	"net/http"
	"net/url"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"

	"zygonos/core/study"
	"zygonos/core/sums/steady"
)

// WeighAsked is the address of a scale: host and port.
type WeighAsked struct {
	Address string `json:"address"`
}

// Weighing is one line of what a scale shows.
type Weighing struct {
	Kg     float64 `json:"kg"`
	Steady bool    `json:"steady,omitempty"`
	Value  float64 `json:"value,omitempty"` // kg, once it is steady
	Doubt  float64 `json:"doubt,omitempty"`
	Taken  bool    `json:"taken,omitempty"` // the value of a thing that was laid on
	Wrong  string  `json:"wrong,omitempty"` // why no more comes
}

// Bounds of a scale.
const (
	scaleQuiet    = 3 * time.Second // without a line it has stopped
	scaleMost     = 10 * time.Minute
	scaleNonsense = 5 // lines in a row
)

// nearby reports whether an address is a host and port of this machine or of the private network: a scale stands in the yard, and
// no call of this server goes farther.
func nearby(address string) bool {
	host, port, err := net.SplitHostPort(address)
	if err != nil || port == "" {
		return false
	}
	if host == "localhost" {
		return true
	}
	ip := net.ParseIP(host)
	return ip != nil && (ip.IsLoopback() || ip.IsPrivate() || ip.IsLinkLocalUnicast())
}

// Entering asks how what a scale gave is written into a plan.
type Entering struct {
	Asking
	Weighed study.Weighed `json:"weighed"`
}

func entering(c fiber.Ctx) error {
	var q Entering
	if err := strictly(c.Body(), &q); err != nil {
		return err
	}
	if q.Plan == nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request holds no plan.")
	}
	return c.JSON(study.Enter(q.Plan, q.Trailer, q.Outing, &q.Weighed))
}

var scaleClient = &http.Client{
	Timeout:       scaleMost,
	CheckRedirect: func(*http.Request, []*http.Request) error { return http.ErrUseLastResponse },
	Transport: &http.Transport{
		Proxy: nil, DialContext: (&net.Dialer{Timeout: scaleQuiet}).DialContext, ResponseHeaderTimeout: scaleQuiet,
	},
}

// weigh sends on what a scale shows, in lines of JSON, until nobody reads it or the scale fails.
func (s *server) weigh(c fiber.Ctx) error {
	var in WeighAsked
	if err := c.Bind().JSON(&in); err != nil {
		return fiber.NewError(fiber.StatusBadRequest, "The request is not readable JSON.")
	}
	address := strings.Clone(strings.TrimSpace(in.Address))
	if !nearby(address) {
		return fiber.NewError(fiber.StatusUnprocessableEntity,
			"A scale's address is a host and port of this machine or the home network, such as 127.0.0.1:8585.")
	}
	c.Set(fiber.HeaderContentType, linesOfJSON)
	return c.SendStreamWriter(func(w *bufio.Writer) {
		ctx, gone := context.WithTimeout(s.end, scaleMost)
		defer gone()
		lines := json.NewEncoder(w)
		tell := func(l Weighing) bool { return lines.Encode(l) == nil && w.Flush() == nil }
		if wrong := listen(ctx, gone, address, tell); wrong != "" {
			tell(Weighing{Wrong: wrong})
		}
	})
}

// listen reads a scale's lines and tells each; it returns why it ends, or nothing where the reader left.
func listen(ctx context.Context, stop context.CancelFunc, address string, tell func(Weighing) bool) string {
	where := url.URL{Scheme: "http", Host: address, Path: "/stream"}
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, where.String(), nil)
	if err != nil {
		return "That is not the address of a scale."
	}
	res, err := scaleClient.Do(req)
	if err != nil {
		log.Printf("a scale does not answer: %v", err)
		return "No scale answers there. Is it on, and on this network?"
	}
	defer res.Body.Close()
	if res.StatusCode != http.StatusOK {
		return "What answers there is not a scale."
	}
	quiet := time.AfterFunc(scaleQuiet, stop)
	defer quiet.Stop()
	var scale steady.Taking
	odd := 0
	in := steady.Lines(bufio.NewScanner(res.Body))
	for in.Scan() {
		t, kg, ok, wrong := steady.Parse(in.Text())
		switch {
		case wrong:
			if odd++; odd >= scaleNonsense {
				return "The scale does not send a weight. Look at its display: overloaded, or upset?"
			}
			continue
		case !ok:
			continue
		}
		odd = 0
		quiet.Reset(scaleQuiet)
		st, taken := scale.Add(t, kg)
		line := Weighing{Kg: kg, Steady: st.Steady, Taken: taken != nil}
		if st.Steady {
			v := st.Rounded()
			line.Value, line.Doubt = v.Value, v.Doubt
		}
		if !tell(line) {
			return ""
		}
	}
	switch {
	case errors.Is(in.Err(), bufio.ErrTooLong):
		return "The scale does not send a weight."
	case ctx.Err() != nil || in.Err() == nil:
		return "The scale has stopped. What was recorded is kept."
	}
	return "The scale was lost. What was recorded is kept."
}
