package web_test

import (
	"compress/gzip"
	"io"
	"os"
	"path/filepath"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/plan"
	"zygonos/core/records"
	"zygonos/core/review"
	"zygonos/store"
	"zygonos/web"
)

// A database of each earlier version opens, is lifted, and goes on: its plans are read strictly, judged, and saved again; its records
// are read; nothing of it is lost. They hold the demo plans of their day, as those versions wrote them.
func TestEarlierVersions(t *testing.T) {
	files, err := filepath.Glob("../store/testdata/earlier/*.db.gz")
	if err != nil || len(files) < 4 {
		t.Fatalf("%v %v", files, err)
	}
	for _, file := range files {
		t.Run(filepath.Base(file), func(t *testing.T) {
			packed, err := os.Open(file)
			if err != nil {
				t.Fatal(err)
			}
			defer packed.Close()
			in, err := gzip.NewReader(packed)
			if err != nil {
				t.Fatal(err)
			}
			path := filepath.Join(t.TempDir(), "plans.db")
			out, err := os.Create(path)
			if err != nil {
				t.Fatal(err)
			}
			if _, err = io.Copy(out, in); err != nil {
				t.Fatal(err)
			}
			out.Close()
			s, err := store.Open(t.Context(), path)
			if err != nil {
				t.Fatal(err)
			}
			t.Cleanup(func() { s.Close() })
			plans, err := s.List(t.Context())
			if err != nil || len(plans) < 2 {
				t.Fatalf("%d plans, %v", len(plans), err)
			}
			c := &client{t: t, store: s, path: path, app: web.New(web.Config{Store: s})}
			for _, listed := range plans {
				kept, err := s.Get(t.Context(), listed.ID)
				if err != nil {
					t.Fatal(err)
				}
				p, err := plan.Read(kept.Document)
				if err != nil {
					t.Fatalf("%s: %v", listed.ID, err)
				}
				if problems := plan.Clean(p); len(problems) > 0 {
					t.Errorf("%s: %v is taken out", listed.ID, problems)
				}
				for _, o := range p.OutingIDs() {
					rep := review.Review(p, review.Request{Outing: o})
					if rep.Headline.Outcome == "" || len(rep.Findings) == 0 {
						t.Errorf("%s, %s: %+v", listed.ID, o, rep.Headline)
					}
				}
				rows, err := s.Records(t.Context(), listed.ID)
				if err != nil {
					t.Fatal(err)
				}
				for _, r := range rows {
					if _, err := records.Read(r.Document); err != nil {
						t.Errorf("%s: %v", r.ID, err)
					}
				}
				doc, err := plan.Write(p)
				if err != nil {
					t.Fatal(err)
				}
				body := `{"id":"` + listed.ID + `","saveId":"5f0c2c8e-0000-4000-8000-00000000000` + string("0123456789"[len(listed.ID)%10]) +
					`","sitting":"t","label":"on","plan":` + string(doc) + `}`
				code, _, text := c.do("PUT", "/api/plans/"+listed.ID, body, "If-Match", `"`+strconv.FormatInt(kept.Revision, 10)+`"`)
				if code != 200 {
					t.Errorf("%s: %d %s", listed.ID, code, text)
				}
			}
			code, _, text := c.do("PATCH", "/api/plans/"+plans[0].ID+"/records/snag-after", `{"kind":"snag","snag":{"says":"after the lift"}}`)
			if code != 200 || !strings.Contains(text, `"revision":1`) {
				t.Errorf("%d %s", code, text)
			}
		})
	}
}
