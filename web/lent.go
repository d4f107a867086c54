package web

import (
	"bytes"
	"crypto/sha256"
	"crypto/subtle"
	_ "embed"
	"encoding/base64"
	page "html/template"

	"github.com/gofiber/fiber/v3"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/out/lending"
	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
)

//go:embed lent.html
var lentPage string

//go:embed lent.css
var lentStyle string

var lentTemplate = page.Must(page.New("lent").Parse(lentPage))

// lentPolicy lets the page have its own style and photos and nothing else: no script, no call, no way to the
// rest.
var lentPolicy = func() string {
	sum := sha256.Sum256([]byte(lentStyle))
	return "default-src 'none'; style-src 'sha256-" + base64.StdEncoding.EncodeToString(sum[:]) +
		"'; img-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'"
}()

// lentFile is a borrower's card as a page.
type lentFile struct {
	Title, To, Until, Deposit, Call, Out, In string
	Style                                    page.CSS // the page's own
	Sections                                 []lentSection
	Photos                                   []string // addresses, beside the page's own
}

type lentSection struct {
	Name  string
	Lines []string
}

// loan is the loan whose key was given: plan, loan and key must go together. The key is good until the
// trailer came back.
func (s *server) loan(c fiber.Ctx) (planID string, rec *records.Happened, err error) {
	planID, own, err := ids(c, "record")
	if err != nil {
		return "", nil, fiber.ErrNotFound
	}
	all, err := s.happened(c.Context(), planID, string(records.KindLoan))
	if err != nil {
		return "", nil, fiber.ErrNotFound
	}
	rec = all[own]
	if rec == nil || rec.Loan == nil || len(rec.Loan.Key) < leastKey || rec.Loan.Back != "" ||
		subtle.ConstantTimeCompare([]byte(rec.Loan.Key), []byte(c.Params("key"))) != 1 {
		return "", nil, fiber.NewError(fiber.StatusNotFound, "There is no such loan, or the trailer is back.")
	}
	return planID, rec, nil
}

// lent shows the card of a loan to whoever has its key, without any passcode.
func (s *server) lent(c fiber.Ctx) error {
	planID, rec, err := s.loan(c)
	if err != nil {
		return err
	}
	stored, err := s.store.Get(c.Context(), planID)
	if err != nil {
		return err
	}
	p, err := plan.Read(stored.Document)
	if err != nil {
		return err
	}
	review.Ready(p)
	f := lentOf(p, rec)
	if f == nil {
		return fiber.NewError(fiber.StatusNotFound, "The trailer is no longer in the plan.")
	}
	var b bytes.Buffer
	if err := lentTemplate.Execute(&b, f); err != nil {
		return err
	}
	c.Set(fiber.HeaderContentType, "text/html; charset=utf-8")
	c.Set(fiber.HeaderContentSecurityPolicy, lentPolicy)
	c.Set(fiber.HeaderCacheControl, "no-store")
	return c.Send(b.Bytes())
}

// lentPhoto shows a photo of a loan, and none of another record.
func (s *server) lentPhoto(c fiber.Ctx) error {
	_, rec, err := s.loan(c)
	if err != nil {
		return err
	}
	if _, has := rec.Photos[c.Params("photo")]; !has {
		return fiber.NewError(fiber.StatusNotFound, "There is no such photo.")
	}
	return s.photo(c)
}

// leastKey is how long a loan's key is at least.
const leastKey = 16

func lentOf(p *plan.Plan, rec *records.Happened) *lentFile {
	card := lending.Of(p, rec.Trailer)
	if card == nil {
		return nil
	}
	l := p.Locale()
	text := func(s said.Sentence) string { return s.Text(l) }
	f := &lentFile{
		Title: text(
			said.Sentence{card.Title},
		), To: rec.Loan.To, Until: rec.Loan.Until, Call: rec.Loan.Call, Out: rec.Loan.Out,
		In: rec.Loan.In, Style: page.CSS(lentStyle),
	}
	if d := rec.Loan.Deposit; d != nil {
		f.Deposit = l.Text(quantity.KindMoney, float64(*d))
	}
	order := func(p records.PhotoAt) int { return p.Order }
	for _, id := range plan.Ordered(rec.Photos, order) {
		f.Photos = append(f.Photos, rec.Loan.Key+"/"+id)
	}
	for _, s := range card.Sections {
		out := lentSection{Name: s.Name}
		for _, line := range s.Lines {
			out.Lines = append(out.Lines, text(line))
		}
		f.Sections = append(f.Sections, out)
	}
	return f
}
