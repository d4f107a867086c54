package main

import (
	"cmp"
	"errors"
	"fmt"
	"io"
	"runtime/debug"
	"strings"

	"github.com/spf13/pflag"
)

// flagsOf are the flags of a command; they may stand anywhere behind it.
func flagsOf(name string, errs io.Writer) *pflag.FlagSet {
	flags := pflag.NewFlagSet(name, pflag.ContinueOnError)
	flags.SetOutput(errs)
	flags.SortFlags = false
	return flags
}

// parse reads the flags, with one dash or two; false where the command ends with that: its help or
// what is wrong was printed.
func parse(flags *pflag.FlagSet, args []string, errs io.Writer) bool {
	long := make([]string, len(args))
	rest := false
	for i, a := range args {
		if a == "--" {
			rest = true
		}
		if !rest && len(a) > 2 && a[0] == '-' && a[1] != '-' && !strings.ContainsAny(a[1:2], "0123456789.") {
			a = "-" + a
		}
		long[i] = a
	}
	err := flags.Parse(long)
	if err != nil && !errors.Is(err, pflag.ErrHelp) {
		fmt.Fprintln(errs, "zygonos:", err)
		fmt.Fprint(errs, flags.FlagUsages())
	}
	return err == nil
}

// release is the version that make release gives a program: its tag, or the day of its last change.
var release string

// version is what was built: the version and the revision that it was built from.
func version() string {
	info, ok := debug.ReadBuildInfo()
	if !ok {
		return "zygonos, built without a version"
	}
	out := "zygonos " + cmp.Or(release, info.Main.Version)
	for _, s := range info.Settings {
		switch {
		case s.Key == "vcs.revision":
			out += " " + s.Value[:min(len(s.Value), 12)]
		case s.Key == "vcs.modified" && s.Value == "true":
			out += ", changed since"
		}
	}
	return out + ", " + info.GoVersion
}
