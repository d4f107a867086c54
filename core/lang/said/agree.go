package said

import (
	"slices"
	"strings"
)

// several are the verbs that follow a name, in the plural; others only lose their s.
var several = map[string]string{
	"is": "are", "has": "have", "does": "do", "goes": "go", "reaches": "reach", "lies": "lie", "itself": "themselves",
}

// verbs are those others.
var verbs = strings.Fields("bends breaks carries comes draws fails gets hangs holds leaves lifts needs puts runs sits slides " +
	"stands stays takes tips weighs")

// subjects are what stands before a name that a verb belongs to; behind others, "the weight of", it belongs to
// something else.
var subjects = []string{". ", ": ", "? ", ", ", "hether ", "here ", "that ", "as ", "hen ", "If ", "but ", "as much as "}

// agree puts the verb that begins a sentence's text into the plural, where the name before it is of several:
// "20 bags of topsoil" are held.
func agree(before, name, after string) string {
	word, rest, _ := strings.Cut(strings.TrimPrefix(after, " "), " ")
	verb := strings.TrimRight(word, ".,:;?!")
	plural := several[verb]
	if plural == "" && slices.Contains(verbs, verb) {
		plural = strings.TrimSuffix(verb, "s")
		if strings.HasSuffix(verb, "ies") {
			plural = strings.TrimSuffix(verb, "ies") + "y"
		}
	}
	if plural == "" || !strings.HasPrefix(after, " ") || !severalThings(name) {
		return after
	}
	if before != "" && !slices.ContainsFunc(subjects, func(s string) bool { return strings.HasSuffix(before, s) }) {
		return after
	}
	if len(word)+1 == len(after) {
		return " " + plural + word[len(verb):]
	}
	return " " + plural + word[len(verb):] + " " + rest
}

// severalThings reports whether a name is of several things, by its ending: "hives", "20 bags of topsoil", not "gas",
// "canvas" or "chassis". Such a word may be of one; then the verb is wrong, and nothing else.
func severalThings(name string) bool {
	head, _, _ := strings.Cut(strings.ToLower(strings.TrimSpace(name)), " of ")
	head, _, _ = strings.Cut(head, " (")
	word := head[strings.LastIndex(head, " ")+1:]
	if len(word) < 4 || !strings.HasSuffix(word, "s") {
		return false
	}
	return !slices.ContainsFunc([]string{"ss", "us", "is", "as", "’s", "'s", "lens"},
		func(end string) bool { return strings.HasSuffix(word, end) })
}
