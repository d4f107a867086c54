package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"os"

	"zygonos/core/lang/finding"
	"zygonos/core/lang/quantity"
	"zygonos/core/lang/said"
	"zygonos/core/out/departure"
	"zygonos/core/plan"
	"zygonos/core/review"
)

// check prints what a plan file comes to, for every outing or the one named.
// It returns 0 where nothing fails, 1 where something does, 2 where the file
// cannot be used; -strict counts Tight and Not known as failing.
func check(ctx context.Context, args []string, out, errs io.Writer) int {
	flags := flagsOf("check", errs)
	asJSON := flags.Bool("json", false, "print the reports as JSON")
	strict := flags.Bool("strict", false, "count Tight and Not known as failing")
	outing := flags.String("outing", "", "judge this outing alone (id)")
	trailer := flags.String("trailer", "", "judge on this trailer (id)")
	if !parse(flags, args, errs) {
		return exitUnusable
	}
	if flags.NArg() != 1 {
		fmt.Fprintln(errs, "zygonos: check takes one plan file")
		return exitUnusable
	}
	data, err := readLimited(flags.Arg(0))
	if err != nil {
		fmt.Fprintln(errs, "zygonos:", err)
		return exitUnusable
	}
	p, err := plan.Read(data)
	if err != nil {
		fmt.Fprintf(errs, "zygonos: %s: %v\n", flags.Arg(0), err)
		return exitUnusable
	}
	if problems := plan.Clean(p); len(problems) > 0 {
		for _, pr := range problems {
			fmt.Fprintf(errs, "zygonos: %s: %s: %s\n", flags.Arg(0), pr.Path, pr.Says.Text(p.Locale()))
		}
		return exitUnusable
	}
	ids := p.OutingIDs()
	if *outing != "" {
		if _, ok := p.Outings[*outing]; !ok {
			fmt.Fprintf(errs, "zygonos: the plan has no outing %q\n", *outing)
			return exitUnusable
		}
		ids = []string{*outing}
	}
	if _, ok := p.Trailers[*trailer]; *trailer != "" && !ok {
		fmt.Fprintf(errs, "zygonos: the plan has no trailer %q\n", *trailer)
		return exitUnusable
	}
	if len(ids) == 0 {
		ids = []string{""}
	}
	code := exitHolds
	var reports []*departure.Settled
	for _, id := range ids {
		rep := departure.Settle(ctx, p, review.Request{Outing: id, Trailer: *trailer})
		reports = append(reports, rep)
		for i := range rep.Findings {
			o := rep.Findings[i].Outcome
			if o == finding.Fails || *strict && o != finding.Holds {
				code = exitFails
			}
		}
		if len(rep.Findings) == 0 && *strict {
			code = exitFails
		}
	}
	if *asJSON {
		enc := json.NewEncoder(out)
		enc.SetEscapeHTML(false)
		enc.SetIndent("", "  ")
		if err := enc.Encode(reports); err != nil {
			fmt.Fprintln(errs, "zygonos:", err)
			return exitUnusable
		}
		return code
	}
	for i, rep := range reports {
		if i > 0 {
			fmt.Fprintln(out)
		}
		printReport(out, p, rep.Report)
	}
	return code
}

func readLimited(name string) ([]byte, error) {
	f, err := os.Open(name)
	if err != nil {
		return nil, err
	}
	defer f.Close()
	return io.ReadAll(io.LimitReader(f, plan.MaxBytes+1))
}

var outcomeWord = map[finding.Outcome]string{
	finding.Fails: "FAILS", finding.Unknown: "NOT KNOWN", finding.Tight: "TIGHT", finding.Holds: "HOLDS",
}

func printReport(out io.Writer, p *plan.Plan, rep *review.Report) {
	l := p.Locale()
	if o, ok := p.Outings[rep.Scope.Outing]; ok {
		fmt.Fprintf(out, "%s, on %s\n", printable(o.Name), printable(p.Trailers[rep.Scope.Trailer].Name))
	}
	fmt.Fprintf(out, "%s  %s\n", outcomeWord[rep.Headline.Outcome], printable(rep.Headline.Says.Text(l)))
	for i := range rep.Findings {
		f := &rep.Findings[i]
		fmt.Fprintf(out, "  %-9s  %s\n", outcomeWord[f.Outcome], printable(f.Says.Text(l)))
		for _, x := range f.Fixes {
			fmt.Fprintf(out, "             way out: %s%s\n", printable(x.Name.Text(l)), leadsTo(l, x))
		}
	}
	for _, n := range rep.Next {
		fmt.Fprintf(out, "  next: %s. %s\n", printable(said.Sentence(n.Says).Text(l)), printable(n.Where.Text(l)))
	}
	for _, q := range rep.Questions {
		fmt.Fprintf(out, "  asks: %s\n", printable(q.Says.Text(l)))
	}
}

func leadsTo(l quantity.Locale, x finding.Fix) string {
	if x.Figure == nil {
		return ""
	}
	return " → " + l.Text(x.Figure.Kind, x.Figure.Value)
}

// printable keeps names from steering the terminal.
func printable(s string) string {
	out := []rune(s)
	for i, r := range out {
		if r < ' ' || r >= 0x7f && r < 0xa0 || r >= 0x202a && r <= 0x202e || r >= 0x2066 && r <= 0x2069 {
			out[i] = '·'
		}
	}
	return string(out)
}
