package archive_test

import (
	"archive/zip"
	"bytes"
	"io"
	"math/rand/v2"
	"strconv"
	"strings"
	"testing"

	"zygonos/core/internal/sample"
	"zygonos/core/out/archive"
	"zygonos/core/records"
)

func holds(t *testing.T) *archive.Holds {
	t.Helper()
	h := &archive.Holds{Plan: sample.Plan(t), Photos: []archive.Photo{{ID: "f-1", Picture: []byte("a picture")}}}
	for _, id := range []string{"snag-b", "step-a"} {
		r, err := records.Merge(nil, []byte(`{"kind":"snag","note":"ä – “so”","snag":{"says":"`+id+`"}}`))
		if err != nil {
			t.Fatal(err)
		}
		h.Records = append(h.Records, archive.Record{ID: id, Revision: 3, Of: r})
	}
	return h
}

// What goes out comes back byte by byte, whatever order it is given in.
func TestRoundTrip(t *testing.T) {
	h := holds(t)
	first, err := archive.Pack(h)
	if err != nil {
		t.Fatal(err)
	}
	back, err := archive.Unpack(first)
	if err != nil {
		t.Fatal(err)
	}
	second, err := archive.Pack(back)
	if err != nil || !bytes.Equal(first, second) {
		t.Errorf("%v, %d bytes and %d", err, len(first), len(second))
	}
	h.Records[0], h.Records[1] = h.Records[1], h.Records[0]
	if third, err := archive.Pack(h); err != nil || !bytes.Equal(first, third) {
		t.Errorf("another order makes other bytes (%v)", err)
	}
	if len(back.Records) != 2 || back.Records[0].Revision != 3 || string(back.Photos[0].Picture) != "a picture" {
		t.Errorf("%+v", back)
	}
}

// repacked is an archive with its parts changed; the manifest stays.
func repacked(t *testing.T, data []byte, change func(name string, text []byte) ([]byte, bool), more map[string]string) []byte {
	t.Helper()
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		t.Fatal(err)
	}
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	put := func(name string, text []byte) {
		f, err := w.Create(name)
		if err != nil {
			t.Fatal(err)
		}
		if _, err := f.Write(text); err != nil {
			t.Fatal(err)
		}
	}
	for _, f := range z.File {
		r, err := f.Open()
		if err != nil {
			t.Fatal(err)
		}
		text, _ := io.ReadAll(r)
		if text, stays := change(f.Name, text); stays {
			put(f.Name, text)
		}
	}
	for name, text := range more {
		put(name, []byte(text))
	}
	if err := w.Close(); err != nil {
		t.Fatal(err)
	}
	return out.Bytes()
}

// A part that was changed, taken out, added or written twice is named; nothing is taken of such a file.
func TestTampered(t *testing.T) {
	data, err := archive.Pack(holds(t))
	if err != nil {
		t.Fatal(err)
	}
	same := func(_ string, text []byte) ([]byte, bool) { return text, true }
	for says, bad := range map[string][]byte{
		"not an archive": []byte("PK"),
		"not as it was packed": repacked(t, data, func(name string, text []byte) ([]byte, bool) {
			return bytes.Replace(text, []byte("snag-b"), []byte("snag-c"), 1), true
		}, nil),
		"manifest names": repacked(t, data, func(name string, text []byte) ([]byte, bool) {
			return text, !strings.HasPrefix(name, "photos/")
		}, nil),
		"5 parts": repacked(t, data, same, map[string]string{"more.txt": "x"}),
		"twice":   repacked(t, data, same, map[string]string{"plan.zygonos.json": "{}"}),
		"newer": repacked(t, data, func(name string, text []byte) ([]byte, bool) {
			return bytes.Replace(text, []byte(`"version": 1,`), []byte(`"version": 2,`), 1), true
		}, nil),
		"manifest is missing": repacked(t, data, func(name string, text []byte) ([]byte, bool) { return text, name != "manifest.json" }, nil),
	} {
		if _, err := archive.Unpack(bad); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%s: %v", says, err)
		}
	}
}

// Whatever bytes come, it answers.
func FuzzUnpack(f *testing.F) {
	f.Add([]byte("PK\x05\x06"))
	f.Fuzz(func(_ *testing.T, data []byte) {
		_, _ = archive.Unpack(data)
	})
}

// A thousand random flips of a bit: each is found, or leaves what it holds as it was.
func TestFlippedBits(t *testing.T) {
	h := holds(t)
	data, err := archive.Pack(h)
	if err != nil {
		t.Fatal(err)
	}
	rnd := rand.New(rand.NewPCG(1, 2))
	for range 1000 {
		bad := bytes.Clone(data)
		i := rnd.IntN(len(bad))
		bad[i] ^= 1 << rnd.IntN(8)
		back, err := archive.Unpack(bad)
		if err != nil {
			continue
		}
		again, err := archive.Pack(back)
		if err != nil || !bytes.Equal(again, data) {
			t.Fatal("a flipped bit at " + strconv.Itoa(i) + " passed")
		}
	}
}
