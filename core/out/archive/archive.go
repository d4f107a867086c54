// Package archive makes one file of a plan with its records and photos, and reads it back: a zip file whose manifest holds a
// checksum of each part. The same contents make the same bytes. Format: docs/formats.md.
package archive

import (
	"archive/zip"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"regexp"
	"slices"
	"strings"

	"zygonos/core/plan"
	"zygonos/core/records"
)

// Holds is what an archive holds.
type Holds struct {
	Plan    *plan.Plan
	Records []Record // by their ids
	Photos  []Photo  // by their ids
}

// Record is a record with its id and its revision.
type Record struct {
	ID       string
	Revision int64
	Of       *records.Happened
}

// Photo is a picture, JPEG.
type Photo struct {
	ID      string
	Picture []byte
}

// MaxBytes is the largest archive that is read.
const MaxBytes = 160 << 20

// Names of the parts.
const (
	manifestName = "manifest.json"
	planName     = "plan.zygonos.json"
	recordsDir   = "records/"
	photosDir    = "photos/"
	format       = "zygonos-archive"
	version      = 1
)

// manifest lists the parts with their checksums.
type manifest struct {
	Format  string `json:"format"`
	Version int    `json:"version"`
	Parts   []part `json:"parts"`
}

type part struct {
	Name   string `json:"name"`
	Bytes  int    `json:"bytes"`
	SHA256 string `json:"sha256"`
}

// recordDoc is a record as it stands in an archive.
type recordDoc struct {
	Revision int64             `json:"revision"`
	Record   *records.Happened `json:"record"`
}

// Pack makes the file: parts stored as they are, in the order of their names, without times.
func Pack(h *Holds) ([]byte, error) {
	type file struct {
		name string
		text []byte
	}
	doc, err := plan.Write(h.Plan)
	if err != nil {
		return nil, err
	}
	files := []file{{planName, doc}}
	for _, r := range h.Records {
		text, err := json.Marshal(recordDoc{r.Revision, r.Of})
		if err != nil {
			return nil, err
		}
		files = append(files, file{recordsDir + r.ID + ".json", append(text, '\n')})
	}
	for _, p := range h.Photos {
		files = append(files, file{photosDir + p.ID + ".jpg", p.Picture})
	}
	slices.SortFunc(files, func(a, b file) int { return strings.Compare(a.name, b.name) })
	m := manifest{format, version, []part{}}
	for _, f := range files {
		m.Parts = append(m.Parts, part{f.name, len(f.text), sum(f.text)})
	}
	head, err := json.MarshalIndent(m, "", "  ")
	if err != nil {
		return nil, err
	}
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for _, f := range append([]file{{manifestName, append(head, '\n')}}, files...) {
		w, err := z.CreateHeader(&zip.FileHeader{Name: f.name, Method: zip.Store})
		if err != nil {
			return nil, err
		}
		if _, err := w.Write(f.text); err != nil {
			return nil, err
		}
	}
	if err := z.Close(); err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

func sum(text []byte) string {
	h := sha256.Sum256(text)
	return hex.EncodeToString(h[:])
}

// wrong is an archive that cannot be used.
func wrong(pattern string, args ...any) error {
	return &plan.ShapeError{Reason: fmt.Sprintf(pattern, args...)}
}

var idPattern = regexp.MustCompile(`^[a-z0-9-]{1,64}$`)

// Unpack reads an archive: every part that its manifest names, and no other, each as its checksum says. What is wrong is a
// *plan.ShapeError.
func Unpack(data []byte) (*Holds, error) {
	if len(data) > MaxBytes {
		return nil, wrong("The archive is larger than the limit (%d MB).", MaxBytes>>20)
	}
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return nil, wrong("This is not an archive.")
	}
	parts, total := map[string][]byte{}, 0
	for _, f := range z.File {
		if _, twice := parts[f.Name]; twice {
			return nil, wrong("The archive holds %q twice.", f.Name)
		}
		r, err := f.Open()
		if err != nil {
			return nil, wrong("The archive's %q cannot be read.", f.Name)
		}
		text, err := io.ReadAll(io.LimitReader(r, int64(MaxBytes-total)+1))
		if err = errors.Join(err, r.Close()); err != nil {
			return nil, wrong("The archive's %q is damaged.", f.Name)
		}
		if total += len(text); total > MaxBytes {
			return nil, wrong("Unpacked, the archive is larger than the limit (%d MB).", MaxBytes>>20)
		}
		parts[f.Name] = text
	}
	var m manifest
	if err := json.Unmarshal(parts[manifestName], &m); err != nil || m.Format != format {
		return nil, wrong("This is not an archive of a plan: its manifest is missing.")
	}
	if m.Version != version {
		return nil, wrong(
			"The archive was made by a newer program (version %d; this one reads %d).",
			m.Version,
			version,
		)
	}
	if len(m.Parts)+1 != len(parts) {
		return nil, wrong("The archive holds %d parts, its manifest names %d.", len(parts)-1, len(m.Parts))
	}
	out := &Holds{}
	for _, p := range m.Parts {
		text, there := parts[p.Name]
		if !there || sum(text) != p.SHA256 {
			return nil, wrong("The archive's %q is not as it was packed.", p.Name)
		}
		if err := out.take(p.Name, text); err != nil {
			return nil, err
		}
	}
	if out.Plan == nil {
		return nil, wrong("The archive holds no plan.")
	}
	return out, nil
}

// take reads a part.
func (h *Holds) take(name string, text []byte) (err error) {
	id := func(dir, ending string) string {
		own, in := strings.CutPrefix(name, dir)
		own, is := strings.CutSuffix(own, ending)
		if !in || !is || !idPattern.MatchString(own) {
			return ""
		}
		return own
	}
	if name == planName {
		h.Plan, err = plan.Read(text)
		return err
	}
	if own := id(recordsDir, ".json"); own != "" {
		var doc struct {
			Revision int64           `json:"revision"`
			Record   json.RawMessage `json:"record"`
		}
		if err := json.Unmarshal(text, &doc); err != nil || doc.Revision < 1 {
			return wrong("The archive's %q cannot be read.", name)
		}
		r, err := records.Read(doc.Record)
		if err != nil {
			return err
		}
		if problems := plan.CleanAs(r, ""); len(problems) > 0 {
			return wrong("The archive's %q makes no sense at %s.", name, problems[0].Path)
		}
		h.Records = append(h.Records, Record{own, doc.Revision, r})
		return nil
	}
	if own := id(photosDir, ".jpg"); own != "" {
		h.Photos = append(h.Photos, Photo{own, text})
		return nil
	}
	return wrong("The archive holds %q, which this program does not know.", name)
}
