package web_test

import (
	"bytes"
	"encoding/binary"
	"encoding/json"
	"hash/crc32"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"strings"
	"testing"
)

// Records over the API: changed field by field, refused with the field's name, taken away and brought back; the archive
// carries all and comes back the same.
func TestRecordsAndArchive(t *testing.T) {
	c := start(t, "")
	plan := c.example("ostrel-lock")
	at := "/api/plans/" + plan
	code, _, text := c.do("GET", at+"/records?kinds=step", "")
	var list []struct {
		ID, At   string
		Revision int
		Record   map[string]any
	}
	if json.Unmarshal([]byte(text), &list) != nil || code != 200 || len(list) < 3 {
		t.Fatalf("%d %s", code, text)
	}
	if code, _, text = c.do("GET", at+"/records?kinds=snag", ""); text != "[]" {
		t.Errorf("%d %s", code, text)
	}
	code, _, text = c.do("PATCH", at+"/records/snag-1", `{"kind":"snag","snag":{"says":"a lamp is loose"}}`)
	if code != 200 || !strings.Contains(text, `"revision":1`) {
		t.Errorf("%d %s", code, text)
	}
	code, _, text = c.do("PATCH", at+"/records/snag-1", `{"snag":{"due":"soon"}}`)
	if code != 422 || !strings.Contains(text, `"/records/snag-1/snag/due"`) || !strings.Contains(text, "year-month-day") {
		t.Errorf("%d %s", code, text)
	}
	if code, _, text = c.do("PATCH", at+"/records/Snag", `{"kind":"snag"}`); code != 400 {
		t.Errorf("%d %s", code, text)
	}
	if code, _, text = c.do("PATCH", "/api/plans/none/records/a", `{"kind":"snag"}`); code != 404 {
		t.Errorf("%d %s", code, text)
	}
	for _, call := range []struct {
		method, path string
		want         int
	}{{"DELETE", "/records/snag-1", 204}, {"POST", "/records/snag-1/restore", 204}, {"DELETE", "/records/none", 404}} {
		if code, _, text := c.do(call.method, at+call.path, ""); code != call.want {
			t.Errorf("%s %s: %d %s", call.method, call.path, code, text)
		}
	}
	if code, _, text = c.do("PUT", at+"/photos/f-1", string(picture(t, 2400, 900))); code != 200 || !strings.Contains(text, `"wide":1600,"high":600`) {
		t.Fatalf("%d %s", code, text)
	}
	code, head, photo := c.do("GET", at+"/photos/f-1", "")
	cfg, err := jpeg.DecodeConfig(strings.NewReader(photo))
	if code != 200 || head.Get("Content-Type") != "image/jpeg" || err != nil || cfg.Width != 1600 || strings.Contains(photo, "Exif") {
		t.Errorf("%d %v %v", code, head, err)
	}
	_, head, packed := c.do("GET", at+"/archive", "")
	if head.Get("Content-Type") != "application/zip" || !strings.Contains(head.Get("Content-Disposition"), "ostrel-lock-volunteers.zygonos.zip") {
		t.Errorf("%v", head)
	}
	code, _, text = c.do("POST", "/api/archives", packed)
	var saved struct{ ID string }
	if json.Unmarshal([]byte(text), &saved) != nil || code != 201 {
		t.Fatalf("%d %s", code, text)
	}
	if _, _, again := c.do("GET", "/api/plans/"+saved.ID+"/archive", ""); again != packed {
		t.Error("the archive came back as another")
	}
	if code, _, text = c.do("POST", "/api/archives", "PK…"); code != 422 || !strings.Contains(text, "archive cannot be used") {
		t.Errorf("%d %s", code, text)
	}
}

func picture(t *testing.T, wide, high int) []byte {
	t.Helper()
	img := image.NewRGBA(image.Rect(0, 0, wide, high))
	for x := range wide {
		img.Set(x, x%high, color.RGBA{200, 30, 30, 255})
	}
	var out bytes.Buffer
	if err := jpeg.Encode(&out, img, nil); err != nil {
		t.Fatal(err)
	}
	return out.Bytes()
}

// A photo that is none, one of 50,000 pixels' width and one of 50 MB are refused, the second from its header.
func TestPhotosRefused(t *testing.T) {
	c := start(t, "")
	at := "/api/plans/" + c.example("skarrow-hut") + "/photos/f"
	var small bytes.Buffer
	if err := png.Encode(&small, image.NewGray(image.Rect(0, 0, 2, 2))); err != nil {
		t.Fatal(err)
	}
	wide := bytes.Clone(small.Bytes()) // the header of a PNG: width at 16, its checksum over type and data behind it
	binary.BigEndian.PutUint32(wide[16:], 50_000)
	binary.BigEndian.PutUint32(wide[29:], crc32.ChecksumIEEE(wide[12:29]))
	for _, x := range []struct {
		body, says string
		code       int
	}{
		{"not a photo", "no photo that can be read", 422},
		{string(wide), "50000 × 2 pixels", 422},
		{string(small.Bytes()[:40]), "damaged", 422},
		{strings.Repeat("x", 13<<20), "12 MB", 413},
	} {
		if code, _, text := c.do("PUT", at, x.body); code != x.code || !strings.Contains(text, x.says) {
			t.Errorf("%.20q: %d %s", x.body, code, text)
		}
	}
	if code, _, text := c.do("PUT", at, small.String()); code != 200 {
		t.Errorf("%d %s", code, text)
	}
	if code, _, _ := c.do("GET", strings.Replace(at, "photos/f", "photos/g", 1), ""); code != 404 {
		t.Errorf("%d", code)
	}
}

// example keeps a copy of a plan that ships, and gives its id.
func (c *client) example(name string) string {
	c.t.Helper()
	code, _, text := c.do("POST", "/api/examples/"+name, "")
	var saved struct{ ID string }
	if err := json.Unmarshal([]byte(text), &saved); err != nil || code != 201 {
		c.t.Fatalf("%d %s", code, text)
	}
	return saved.ID
}

// Many changes at once: all but those that make no sense, which are named; a record too long a list is refused whole.
func TestManyRecords(t *testing.T) {
	c := start(t, "")
	at := "/api/plans/" + c.example("ostrel-lock") + "/records"
	code, _, text := c.do("POST", at, `{"changes":[{"id":"snag-a","patch":{"kind":"snag","snag":{"says":"one"}}},
		{"id":"snag-b","patch":{"kind":"snag","snag":{"due":"soon"}}},{"id":"snag-c","patch":{"kind":"snag","snag":{"says":"two"}}},
		{"id":"snag-a","patch":{"snag":{"done":true}}}]}`)
	var kept struct {
		Refused []struct{ Field, Says string }
	}
	if json.Unmarshal([]byte(text), &kept) != nil || code != 200 || len(kept.Refused) != 1 || kept.Refused[0].Field != "/records/snag-b/snag/due" {
		t.Fatalf("%d %s", code, text)
	}
	_, _, text = c.do("GET", at+"?kinds=snag", "")
	if strings.Count(text, `"id":`) != 2 || !strings.Contains(text, `"says":"one","done":true`) {
		t.Error(text)
	}
	if code, _, text = c.do("POST", at, `{"changes":[{"id":"Snag","patch":{}}]}`); code != 400 {
		t.Errorf("%d %s", code, text)
	}
	if code, _, _ = c.do("POST", at, `{"changes":[`+strings.Repeat(`{"id":"a","patch":{}},`, 500)+`{"id":"a","patch":{}}]}`); code != 400 {
		t.Error(code)
	}
	if code, _, _ = c.do("POST", "/api/plans/none/records", `{"changes":[]}`); code != 404 {
		t.Error(code)
	}
}
