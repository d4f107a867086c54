package plan

import (
	"maps"
	"reflect"
	"regexp"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Problem is a stated value that makes no sense, and where it stands.
type Problem struct {
	Path string        `json:"path"` // JSON Pointer of the field
	Says said.Sentence `json:"says"`
}

// Bounds beyond which a figure is a slip, not a trailer.
const (
	maxMass   mass            = 100_000 // kg
	maxLength length          = 50      // m
	maxVolume quantity.Volume = 1000    // m³
	maxMoney  quantity.Money  = 1e7
	maxTime   quantity.Time   = 1e5 * 3600
	maxCount                  = 2_000 // entries of one collection
)

var (
	idPattern   = regexp.MustCompile(`^[a-z0-9-]{1,64}$`)
	datePattern = regexp.MustCompile(`^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$`)
)

// Clean takes out of the plan what cannot be used and says what and why, so
// that the rest goes on working: a value that makes no sense becomes "not
// stated", a reference to nothing is dropped. The plan is changed in place.
//
// What a field may hold stands in its tags (Field); what several fields must be to each other
// stands in the check of their struct.
func Clean(p *Plan) []Problem {
	c := &cleaner{plan: p}
	if p.Units != quantity.Metric && p.Units != quantity.Imperial {
		c.say("/units", "The units must be metric or imperial; metric is used.")
		p.Units = quantity.Metric
	}
	if _, ok := said.Terms["rule set name"][p.Region]; !ok {
		c.say("/region", "The rule set must be one of na, uk, eu, au, nz; uk is used.")
		p.Region = quantity.UK
	}
	for _, how := range slices.Sorted(maps.Keys(p.Doubts)) {
		if _, known := DefaultDoubts[how]; !known || !(p.Doubts[how] >= 0 && p.Doubts[how] <= 1) {
			c.say(
				"/doubts/"+escape(string(how)),
				"A plus-minus must lie between % and %.",
				said.Share(0.0),
				said.Share(1.0),
			)
			delete(p.Doubts, how)
		}
	}
	c.fields(reflect.ValueOf(p).Elem(), "")
	if _, ok := p.Trailers[p.Chosen]; p.Chosen != "" && !ok {
		c.say("/chosen", "The chosen trailer is not in the plan.")
		p.Chosen = ""
	}
	if c.more > 0 {
		more := said.Say("% more values make no sense and are left out as well.", said.Count(c.more))
		c.problems = append(c.problems, Problem{"", more})
	}
	return c.problems
}

// mostProblems is how many are stated one by one; the rest is counted.
const mostProblems = 100

type cleaner struct {
	plan     *Plan
	problems []Problem
	more     int
}

func (c *cleaner) say(path, pattern string, parts ...said.Piece) {
	if len(c.problems) < mostProblems {
		c.problems = append(c.problems, Problem{path, said.Say(pattern, parts...)})
		return
	}
	c.more++
}

func (c *cleaner) tell(path string, says said.Sentence) {
	if len(c.problems) < mostProblems {
		c.problems = append(c.problems, Problem{path, says})
		return
	}
	c.more++
}

// checked is a struct with a rule between its fields; false leaves the whole of it out.
type checked interface {
	check(c *cleaner, path string) bool
}

// fields cleans a struct: its fields, each by itself, then what they must be to each other.
func (c *cleaner) fields(v reflect.Value, path string) bool {
	list := described[v.Type()]
	for i := range list {
		f := &list[i]
		at := path
		if f.name != "" {
			at += "/" + f.name
		}
		if !f.own && f.Form != FormSwitch {
			c.field(f, v.Field(f.index), at)
		}
	}
	if x, ok := v.Addr().Interface().(checked); ok {
		return x.check(c, path)
	}
	return true
}

// field cleans one field of a struct.
func (c *cleaner) field(f *Field, v reflect.Value, path string) {
	switch {
	case v.Kind() == reflect.Map:
		c.entries(f, v, path)
	case f.Form == FormGroup && f.pointer:
		if !v.IsNil() && !c.fields(v.Elem(), path) {
			v.SetZero()
		}
	case f.Form == FormGroup:
		c.fields(v, path)
	case f.Form == FormEstimate && f.pointer:
		if !v.IsNil() && !c.estimate(f, v.Elem(), path) {
			v.SetZero()
		}
	case f.Form == FormReading:
		if !v.IsNil() && !c.reading(f.Says, v.Interface().(*Reading), path) {
			v.SetZero()
		}
	case f.Form == FormFigure:
		c.figure(f, v, path)
	case v.Kind() == reflect.String:
		c.word(f, v, path)
	}
}

// figure clears a plain number that makes no sense.
func (c *cleaner) figure(f *Field, v reflect.Value, path string) {
	of := v
	if f.pointer {
		if v.IsNil() {
			return
		}
		of = v.Elem()
	}
	x := 0.0
	if of.CanInt() {
		x = float64(of.Int())
	} else {
		x = of.Float()
	}
	if f.Most == 0 && f.Least == 0 || x == 0 && !f.pointer && !f.Above { // not bounded, or not stated
		return
	}
	if says := f.number(x); says != nil {
		c.tell(path, says)
		v.SetZero()
	}
}

// estimate cleans an estimate; false where its value makes no sense.
func (c *cleaner) estimate(f *Field, v reflect.Value, path string) bool {
	if says := f.number(v.FieldByName("Value").Float()); says != nil {
		c.tell(path, says)
		return false
	}
	c.how(path, v.FieldByName("How").Addr().Interface().(*How))
	doubt := Field{Says: "plus-minus of the " + f.Says, Kind: f.Kind, Most: f.Most, pointer: true}
	c.figure(&doubt, v.FieldByName("PlusMinus"), path+"/plusMinus")
	if slips := v.FieldByName("Slips"); slips.IsValid() && (slips.Int() < 0 || slips.Int() > mostSlips) {
		c.say(path+"/slips", "The slips behind the "+f.Says+" must be between 0 and 100000; left out.")
		slips.SetInt(0)
	}
	doubt.Kind, doubt.Most = quantity.KindShare, 1
	c.figure(&doubt, v.FieldByName("Relative"), path+"/relative")
	return true
}

// mostSlips is how many slips a figure may be learned from.
const mostSlips = 100_000

// how takes an unknown provenance for a guess.
func (c *cleaner) how(path string, h *How) {
	if *h == "" || slices.Contains(Hows, *h) {
		return
	}
	c.say(
		path+"/how",
		"How it is known must be weighed, learned, plate, maker, typical or guessed, not “%”; guessed is assumed.",
		said.Name(string(*h), "?"),
	)
	*h = Guessed
}

// reading cleans what a scale showed; false where it shows nothing: zero says only that nothing
// presses on it, which may lift as well.
func (c *cleaner) reading(what string, r *Reading, path string) bool {
	shown := Field{Says: what, Kind: quantity.KindMass, Most: float64(maxMass), Above: true}
	if says := shown.number(float64(r.Mass)); says != nil {
		c.tell(path+"/mass", says)
		return false
	}
	c.fields(reflect.ValueOf(r).Elem(), path)
	return true
}

// word cleans a text: cut where it is too long, cleared where nobody knows it.
func (c *cleaner) word(f *Field, v reflect.Value, path string) {
	s := v.String()
	switch {
	case s == "":
	case f.Form == FormDay && !datePattern.MatchString(s):
		c.say(path, "A day is written year-month-day, as 2026-05-31.")
		v.SetString("")
	case f.Form == FormWord && !f.known(s):
		c.say(path, "The "+f.Says+": “%” is not known here, so it is treated as not entered.", said.Name(s, "?"))
		v.SetString("")
	case f.Form == FormOther && !c.holds(f.ref, s):
		c.say(path, "This "+f.Says+" is not in the plan.")
		v.SetString("")
	case f.Form == FormText && f.Most > 0:
		if most := int(f.Most); utf8.RuneCountInString(s) > most {
			c.say(path, "The "+f.Says+" is longer than % characters; the rest is cut.", said.Count(most))
			s = string([]rune(s)[:most])
		}
		v.SetString(printable(s, f.Most >= manyLines))
	}
}

// manyLines is from how many characters on a text may have several lines.
const manyLines = 2000

// printable is a text without control characters, but for the ends of its lines where it may have several.
func printable(s string, lines bool) string {
	return strings.Map(func(r rune) rune {
		if unicode.IsControl(r) && !(lines && r == '\n') {
			return ' '
		}
		return r
	}, strings.ToValidUTF8(s, ""))
}

// holds reports whether a collection of the plan has an entry.
func (c *cleaner) holds(collection, id string) (ok bool) {
	switch collection {
	case "loads":
		_, ok = c.plan.Loads[id]
	case "parts":
		_, ok = c.plan.Parts[id]
	case "trailers":
		_, ok = c.plan.Trailers[id]
	case "towVehicles":
		_, ok = c.plan.TowVehicles[id]
	case "outings":
		_, ok = c.plan.Outings[id]
	case "materials":
		_, ok = c.plan.Materials[id]
	case "ballMounts":
		_, ok = c.plan.BallMounts[id]
	}
	return ok
}

// entries cleans a collection of structs, in the order of its ids. One that stood in the
// document stays, though empty; one that a document must have is made.
func (c *cleaner) entries(f *Field, v reflect.Value, path string) {
	if f.Form != FormGroup {
		return
	}
	if v.IsNil() {
		if f.must {
			v.Set(reflect.MakeMap(v.Type()))
		}
		return
	}
	ids := make([]string, 0, v.Len())
	for _, k := range v.MapKeys() {
		ids = append(ids, k.String())
	}
	slices.Sort(ids)
	if len(ids) > maxCount {
		c.say(path, "More than % entries: the rest is left out.", said.Count(maxCount))
		for _, id := range ids[maxCount:] {
			v.SetMapIndex(reflect.ValueOf(id), reflect.Value{})
		}
		ids = ids[:maxCount]
	}
	entry := reflect.New(v.Type().Elem()).Elem()
	for _, id := range ids {
		key, at := reflect.ValueOf(id), path+"/"+escape(id)
		switch {
		case !idPattern.MatchString(id):
			c.say(at, "An id may contain only small letters, digits and hyphens; the entry is left out.")
		case f.ref != "" && !c.holds(f.ref, id):
			c.say(at, "This "+f.Says+" is not in the plan.")
		default:
			entry.Set(v.MapIndex(key))
			if c.fields(entry, at) {
				v.SetMapIndex(key, entry)
				continue
			}
		}
		v.SetMapIndex(key, reflect.Value{})
	}
}
