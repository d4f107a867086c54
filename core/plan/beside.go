package plan

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"reflect"
)

// Documents beside the plan, such as records, are tagged as the plan is (Field) and are read and cleaned by the same rules.

// Describe reads the tags of a document's type and of those below it. words are the lists of words that its fields may hold,
// each of a type of its own. It is called once, as a package starts.
func Describe[T any](words ...any) {
	maps.Copy(lists, listed(words...))
	describe(reflect.TypeFor[T](), described)
}

// ReadAs decodes a document strictly: an unknown field or a value of the wrong kind is refused with a *ShapeError.
func ReadAs[T any](data []byte) (*T, error) {
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.UseNumber()
	var doc any
	if err := dec.Decode(&doc); err != nil {
		return nil, &ShapeError{Reason: "This is not readable JSON: " + err.Error() + "."}
	}
	if _, err := dec.Token(); err != io.EOF {
		return nil, &ShapeError{Reason: "There is something after its end."}
	}
	if err := shape(doc, reflect.TypeFor[T](), ""); err != nil {
		return nil, err
	}
	out := new(T)
	if err := json.Unmarshal(data, out); err != nil {
		return nil, &ShapeError{Reason: fmt.Sprintf("This cannot be read: %v.", err)}
	}
	return out, nil
}

// CleanAs takes out of a document what makes no sense, as Clean does, and says what and why; path is where the document
// stands. References into a plan are not looked up.
func CleanAs[T any](doc *T, path string) []Problem {
	c := &cleaner{plan: new(Plan)}
	c.fields(reflect.ValueOf(doc).Elem(), path)
	return c.problems
}

// FieldsOf lists the fields of a document that stands at a path.
func FieldsOf[T any](path, stage string) []Field { return fieldsOf(reflect.TypeFor[T](), path, stage) }
