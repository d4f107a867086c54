package plan

import (
	"fmt"
	"reflect"
	"slices"
	"strconv"
	"strings"

	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
)

// Form says how a field is filled in.
type Form string

// The forms of a field.
const (
	FormFigure   Form = "figure"   // a plain number of its kind
	FormEstimate Form = "estimate" // a number with how it is known
	FormReading  Form = "reading"  // of a scale
	FormText     Form = "text"
	FormDay      Form = "day"    // year-month-day
	FormWord     Form = "word"   // one of a list or a table
	FormOther    Form = "entry"  // a reference to an entry of another collection
	FormSwitch   Form = "switch" // yes or no
	FormGroup    Form = "group"  // holds further fields
)

// Field is what is known of a field of the plan before anybody fills it in. Its tags on the
// plan's types say so, each field's once:
//
//	is:"words[, kind][, least..most | >least..most][, not 0][, key table | ref collection |
//	   text most | day][, own]"
//	stage:"stage or stage/tab on which it is filled in"; what stands below has the same
//
// A figure has the kind and the bounds of its type where the tag does not say; "own" is
// checked by its struct's check and not by itself.
type Field struct {
	Path  string        `json:"path"` // JSON Pointer, * for the ids of a collection
	Says  string        `json:"says"` // what it is called in a sentence
	Form  Form          `json:"form"`
	Kind  quantity.Kind `json:"kind,omitempty"`  // of figure, estimate and reading
	Least float64       `json:"least,omitempty"` // SI
	Most  float64       `json:"most,omitempty"`  // SI; a text's characters
	Above bool          `json:"above,omitempty"` // Least itself makes no sense
	Stage string        `json:"stage"`

	index   int
	name    string // of the member
	pointer bool
	own     bool
	must    bool // a collection that a document always has
	not0    bool
	ref     string // collection that holds it, or that holds the keys of a map
	known   func(string) bool
}

// usual are kind and bounds of a figure by its type, where its tag does not say.
var usual = map[reflect.Type]Field{
	reflect.TypeFor[quantity.Mass]():        {Kind: quantity.KindMass, Most: float64(maxMass), Above: true},
	reflect.TypeFor[quantity.Length]():      {Kind: quantity.KindLength, Most: float64(maxLength), Above: true},
	reflect.TypeFor[quantity.Speed]():       {Kind: quantity.KindSpeed},
	reflect.TypeFor[quantity.Volume]():      {Kind: quantity.KindVolume, Most: float64(maxVolume), Above: true},
	reflect.TypeFor[quantity.Force]():       {Kind: quantity.KindForce},
	reflect.TypeFor[quantity.Time]():        {Kind: quantity.KindTime, Most: float64(maxTime)},
	reflect.TypeFor[quantity.Pressure]():    {Kind: quantity.KindPressure},
	reflect.TypeFor[quantity.Density]():     {Kind: quantity.KindDensity},
	reflect.TypeFor[quantity.Temperature](): {Kind: quantity.KindTemperature},
	reflect.TypeFor[quantity.Money]():       {Kind: quantity.KindMoney, Most: float64(maxMoney)},
	reflect.TypeFor[quantity.Fuel]():        {Kind: quantity.KindFuel},
	reflect.TypeFor[quantity.Energy]():      {Kind: quantity.KindEnergy},
	reflect.TypeFor[quantity.FuelUse]():     {Kind: quantity.KindFuelUse},
	reflect.TypeFor[quantity.PowerUse]():    {Kind: quantity.KindPowerUse},
	reflect.TypeFor[quantity.DriveCost]():   {Kind: quantity.KindDriveCost},
	reflect.TypeFor[quantity.LitreCost]():   {Kind: quantity.KindLitreCost, Most: float64(maxMoney)},
	reflect.TypeFor[quantity.Rate]():        {Kind: quantity.KindRate, Most: float64(maxMoney)},
	reflect.TypeFor[quantity.Flow]():        {Kind: quantity.KindFlow},
	reflect.TypeFor[quantity.Cover]():       {Kind: quantity.KindCover},
	reflect.TypeFor[float64]():              {Kind: quantity.KindCount},
	reflect.TypeFor[int]():                  {Kind: quantity.KindCount},
	reflect.TypeFor[int64]():                {Kind: quantity.KindCount},
}

// estimates are the types of estimates and of what they estimate.
var estimates = map[reflect.Type]reflect.Type{
	reflect.TypeFor[MassEstimate]():    reflect.TypeFor[quantity.Mass](),
	reflect.TypeFor[LengthEstimate]():  reflect.TypeFor[quantity.Length](),
	reflect.TypeFor[VolumeEstimate]():  reflect.TypeFor[quantity.Volume](),
	reflect.TypeFor[DensityEstimate](): reflect.TypeFor[quantity.Density](),
}

var kinds = []quantity.Kind{
	quantity.KindMass,
	quantity.KindLength,
	quantity.KindDistance,
	quantity.KindSpeed,
	quantity.KindShare,
	quantity.KindAngle,
	quantity.KindCount,
	quantity.KindTime,
}

// described holds the fields of every struct of the plan, in the order of its members.
var described = describe(reflect.TypeFor[Plan](), map[reflect.Type][]Field{})

// describe reads the tags of a type and of those below it. A tag that cannot be read is a slip
// of the program and ends it at once.
func describe(t reflect.Type, into map[reflect.Type][]Field) map[reflect.Type][]Field {
	if _, done := into[t]; done || t.Kind() != reflect.Struct {
		return into
	}
	into[t] = nil
	var fields []Field
	for i := range t.NumField() {
		sf := t.Field(i)
		name, _, _ := strings.Cut(sf.Tag.Get("json"), ",")
		if name == "-" || name == "" && !sf.Anonymous {
			continue
		}
		f := Field{index: i, name: name, Stage: sf.Tag.Get("stage"), pointer: sf.Type.Kind() == reflect.Pointer,
			must: !strings.Contains(sf.Tag.Get("json"), ",omitempty")}
		f.shape(inner(sf.Type))
		if err := f.read(sf.Tag.Get("is")); err != nil {
			panic(fmt.Sprintf("%s.%s: %v", t, sf.Name, err))
		}
		fields = append(fields, f)
		if f.Form == FormGroup || f.Form == FormReading {
			describe(inner(sf.Type), into)
		}
	}
	into[t] = fields
	return into
}

// inner is what a pointer points to or a collection holds.
func inner(t reflect.Type) reflect.Type {
	for t.Kind() == reflect.Pointer || t.Kind() == reflect.Map {
		t = t.Elem()
	}
	return t
}

// shape takes form, kind and bounds from a type.
func (f *Field) shape(t reflect.Type) {
	if of, is := estimates[t]; is {
		u := usual[of]
		f.Form, f.Kind, f.Least, f.Most, f.Above = FormEstimate, u.Kind, u.Least, u.Most, u.Above
		return
	}
	if u, is := usual[t]; is {
		f.Form, f.Kind, f.Least, f.Most, f.Above = FormFigure, u.Kind, u.Least, u.Most, u.Above
		return
	}
	switch {
	case t == reflect.TypeFor[Reading]() && f.pointer:
		f.Form, f.Kind, f.Most, f.Above = FormReading, quantity.KindMass, float64(maxMass), true
	case t.Kind() == reflect.Struct:
		f.Form = FormGroup
	case t.Kind() == reflect.Bool:
		f.Form = FormSwitch
	default:
		f.Form = FormText
		if words, is := lists[t]; is {
			f.Form = FormWord
			f.known = func(w string) bool { return slices.Contains(words, w) }
		}
	}
}

// read takes what a tag says.
func (f *Field) read(tag string) error {
	parts := strings.Split(tag, ", ")
	f.Says = parts[0]
	for _, part := range parts[1:] {
		word, rest, _ := strings.Cut(part, " ")
		switch {
		case part == "own":
			f.own = true
		case part == "not 0":
			f.not0 = true
		case part == "day":
			f.Form = FormDay
		case word == "text":
			n, err := strconv.Atoi(rest)
			if err != nil {
				return err
			}
			f.Most = float64(n)
		case word == "key":
			if f.known = tables[rest]; f.known == nil {
				return fmt.Errorf("there is no table %q", rest)
			}
			f.Form = FormWord
		case word == "ref":
			f.ref = rest
			if f.Form == FormText {
				f.Form = FormOther
			}
		default:
			if k := quantity.Kind(word); rest != "" && slices.Contains(kinds, k) {
				f.Kind, part = k, rest
			}
			least, most, ok := strings.Cut(strings.TrimPrefix(part, ">"), "..")
			lo, err1 := strconv.ParseFloat(least, 64)
			hi, err2 := strconv.ParseFloat(most, 64)
			if !ok || err1 != nil || err2 != nil || lo > hi {
				return fmt.Errorf("%q is no range", part)
			}
			f.Least, f.Most, f.Above = lo, hi, part[0] == '>'
		}
	}
	return nil
}

// Fields lists the fields of a plan, each by its path with * for the ids of collections.
func Fields() []Field { return fieldsOf(reflect.TypeFor[Plan](), "", "") }

func fieldsOf(of reflect.Type, root, stageOf string) []Field {
	var out []Field
	var walk func(t reflect.Type, path, stage string)
	walk = func(t reflect.Type, path, stage string) {
		for _, f := range described[t] {
			sf := t.Field(f.index)
			f.Path = path
			if f.name != "" {
				f.Path += "/" + f.name
			}
			if sf.Type.Kind() == reflect.Map {
				f.Path += "/*"
			}
			if f.Stage == "" {
				f.Stage = stage
			}
			if f.name != "" {
				out = append(out, f)
			}
			if f.Form == FormGroup || f.Form == FormReading {
				walk(inner(sf.Type), f.Path, f.Stage)
			}
		}
	}
	walk(of, root, stageOf)
	return out
}

// number tells whether a figure makes sense, and what is wrong with it.
func (f *Field) number(x float64) said.Sentence {
	is := func(v float64) said.Piece { return said.Of(f.Kind, v) }
	switch {
	case !quantity.Finite(x):
		return said.Say("The " + f.Says + " must be a number.")
	case f.not0 && x == 0:
		return said.Say("The " + f.Says + " must not be zero: leave it empty if it is not known.")
	case f.Above && x == f.Least && f.Least == 0:
		return said.Say("The "+f.Says+" must be more than zero, not %.", is(x))
	case x < f.Least && f.Least == 0:
		return said.Say("The "+f.Says+" cannot be less than zero: %.", is(x))
	case x < f.Least, x > f.Most:
		return said.Say("The "+f.Says+" must lie between % and %, not %.", is(f.Least), is(f.Most), is(x))
	}
	return nil
}
