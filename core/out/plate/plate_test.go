package plate_test

import (
	"encoding/xml"
	"errors"
	"io"
	"strings"
	"testing"

	"zygonos/core/ask/papers"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/out/plate"
)

// A plate is a whole drawing in millimetres, whatever stands on it; a draft says so, a plate does not.
func TestSVG(t *testing.T) {
	lines := []papers.TextLine{
		{Name: said.Say("Built by"), Says: said.Sentence{said.Name(`<A & "B">`, "–")}},
		{Name: said.Say("Gross"), Says: said.Sentence{said.Mass(750.0)}, Big: true},
	}
	for _, draft := range []bool{true, false} {
		svg := plate.SVG("Lock & trailer", lines, draft, quantity.Locale{})
		dec := xml.NewDecoder(strings.NewReader(string(svg)))
		texts := 0
		for {
			tok, err := dec.Token()
			if errors.Is(err, io.EOF) {
				break
			}
			if err != nil {
				t.Fatalf("%v in %s", err, svg)
			}
			if e, ok := tok.(xml.StartElement); ok && e.Name.Local == "text" {
				texts++
			}
		}
		want := 5
		if draft {
			want++
		}
		if texts != want || strings.Contains(string(svg), "DRAFT") != draft || !strings.Contains(string(svg), `width="120.0mm" height="39.0mm"`) {
			t.Errorf("%d texts: %s", texts, svg)
		}
	}
}
