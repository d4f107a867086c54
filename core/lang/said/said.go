// Package said holds sentences as data: words, the region's terms, quantities
// and names, so that one report serves every region and both unit systems.
// The interface renders the same parts with the same table of terms.
package said

import (
	"cmp"
	"slices"
	"strconv"
	"strings"
	"unicode"
	"unicode/utf8"

	"zygonos/core/lang/quantity"
)

// Piece is one piece of a sentence. Exactly one of Text, Term, Name or Kind is
// set.
type Piece struct {
	Text  string        `json:"text,omitempty"`
	Term  string        `json:"term,omitempty"` // key into Terms
	Name  string        `json:"name,omitempty"` // what the owner called a thing
	Kind  quantity.Kind `json:"kind,omitempty"`
	Value *float64      `json:"value,omitempty"` // SI
	Low   *float64      `json:"low,omitempty"`
	High  *float64      `json:"high,omitempty"`
}

// Sentence is a list of parts that read on without separators.
type Sentence []Piece

// Of makes a quantity part of any typed quantity.
func Of[Q ~float64](k quantity.Kind, v Q) Piece {
	f := float64(v)
	return Piece{Kind: k, Value: &f}
}

// Mass is a mass part, kg.
func Mass[Q ~float64](v Q) Piece { return Of(quantity.KindMass, v) }

// Length is a taped length part, m.
func Length[Q ~float64](v Q) Piece { return Of(quantity.KindLength, v) }

// Share is a share part, printed in per cent.
func Share[Q ~float64](v Q) Piece { return Of(quantity.KindShare, v) }

// Count is a plain number.
func Count(n int) Piece { return Of(quantity.KindCount, float64(n)) }

// Counted is a number of things with their name, one or several: "1 load", "3 loads".
func Counted(n int, one, several string) Piece {
	if n == 1 {
		return Piece{Text: "1 " + one}
	}
	return Piece{Text: strconv.Itoa(n) + " " + several}
}

// Between is a part that prints a range with its nominal value.
func Between[Q ~float64](k quantity.Kind, r quantity.Range[Q]) Piece {
	n, lo, hi := float64(r.Nominal), float64(r.Low), float64(r.High)
	return Piece{Kind: k, Value: &n, Low: &lo, High: &hi}
}

// Name is what the owner called a thing; an unnamed thing is stated as fallback.
func Name(name, fallback string) Piece {
	if strings.TrimSpace(name) == "" {
		return Piece{Text: fallback}
	}
	return Piece{Name: name}
}

// Finite reports whether every figure of a sentence is one.
func (s Sentence) Finite() bool {
	for _, p := range s {
		for _, v := range []*float64{p.Value, p.Low, p.High} {
			if v != nil && !quantity.Finite(*v) {
				return false
			}
		}
	}
	return true
}

// First is the first of several sentences, with its full stop.
func (s Sentence) First() Sentence {
	for i, p := range s {
		if k := strings.Index(p.Text, ". "); k >= 0 {
			return append(slices.Clone(s[:i]), Piece{Text: p.Text[:k+1]})
		}
	}
	return s
}

// List reads several sentences as one: a, b and c.
func List(parts ...Sentence) Sentence {
	var out Sentence
	for i, p := range parts {
		switch {
		case i > 0 && i == len(parts)-1:
			out = append(out, Piece{Text: " and "})
		case i > 0:
			out = append(out, Piece{Text: ", "})
		}
		out = append(out, p...)
	}
	return out
}

// Say builds a sentence from a pattern: each % takes the next part, {word}
// names a term of the table; {Word} prints it with a capital. A figure that is
// always the same stands in square brackets in its metric unit, and is printed
// in the plan's. A verb behind the name of several things is in the plural.
//
//	Say("{Ball load} %, below the window", Mass(31))
//	Say("Tighten the nuts again after [50 km].")
func Say(pattern string, parts ...Piece) Sentence {
	s := make(Sentence, 0, 1+2*(strings.Count(pattern, "%")+strings.Count(pattern, "{")))
	text := func(t string) {
		if n := len(s); n > 0 && s[n-1].Name != "" {
			before := ""
			if n > 1 {
				before = cmp.Or(s[n-2].Text, "a figure")
			}
			t = agree(before, s[n-1].Name, t)
		}
		if t != "" {
			s = append(s, Piece{Text: t})
		}
	}
	for {
		i := strings.IndexAny(pattern, "%{[")
		if i < 0 {
			text(pattern)
			return s
		}
		text(pattern[:i])
		if pattern[i] == '%' {
			if len(parts) > 0 {
				s, parts = append(s, parts[0]), parts[1:]
			}
			pattern = pattern[i+1:]
			continue
		}
		end := byte('}')
		if pattern[i] == '[' {
			end = ']'
		}
		j := strings.IndexByte(pattern[i:], end)
		if j < 0 {
			text(pattern[i:])
			return s
		}
		if inside := pattern[i+1 : i+j]; pattern[i] == '{' {
			s = append(s, Piece{Term: inside})
		} else {
			s = append(s, fixed(inside))
		}
		pattern = pattern[i+j+1:]
	}
}

// units are those in which a figure that is always the same is written, by what they measure.
var units = map[string]quantity.Kind{
	"mm": quantity.KindLength, "m": quantity.KindLength, "km": quantity.KindDistance,
	"kg": quantity.KindMass, "K": quantity.KindDifference,
}

// fixed is a figure with its unit, "50 km"; what is none stands as it is.
func fixed(figure string) Piece {
	number, unit, _ := strings.Cut(figure, " ")
	v, err := strconv.ParseFloat(number, 64)
	kind, known := units[unit]
	if err != nil || !known {
		return Piece{Text: figure}
	}
	switch unit {
	case "mm":
		v /= 1000
	case "km":
		v *= 1000
	}
	return Of(kind, v)
}

// Text renders the sentence for one locale.
func (s Sentence) Text(l quantity.Locale) string {
	var b strings.Builder
	for _, p := range s {
		switch {
		case p.Value != nil && p.Low != nil && p.High != nil:
			b.WriteString(l.Span(p.Kind, quantity.Range[float64]{Nominal: *p.Value, Low: *p.Low, High: *p.High}))
		case p.Value != nil:
			b.WriteString(l.Text(p.Kind, *p.Value))
		case p.Term != "":
			b.WriteString(Term(p.Term, l.Region))
		case p.Name != "":
			b.WriteString(p.Name)
		default:
			b.WriteString(p.Text)
		}
	}
	return b.String()
}

// Term is the region's word for a key of Terms; a key that starts with a
// capital gives the word with one. An unknown key stands for itself.
func Term(key string, r quantity.Region) string {
	first, size := utf8.DecodeRuneInString(key)
	capital := unicode.IsUpper(first)
	if capital {
		key = string(unicode.ToLower(first)) + key[size:]
	}
	word := key
	if words, ok := Terms[key]; ok {
		word = words[r]
		if word == "" {
			word = words[quantity.UK]
		}
	}
	if capital {
		first, size = utf8.DecodeRuneInString(word)
		word = string(unicode.ToUpper(first)) + word[size:]
	}
	return word
}
