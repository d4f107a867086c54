// Command zygonos plans trailer loads: it serves the interface, checks plan
// files in a terminal and backs up its database.
package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"os/signal"
	"syscall"
)

const usage = `zygonos plans what a trailer carries and checks it against every rating.

  zygonos serve   [--addr 127.0.0.1:8484] [--db FILE] [--host NAME]
  zygonos demo    [--addr 127.0.0.1:8484] [--db FILE]     serve, with the demo plans
  zygonos check   [--json] [--strict] [--outing ID] [--trailer ID] PLAN.zygonos.json
  zygonos backup  [--db FILE] TO                          copy the database, while serving too
  zygonos passcode [--db FILE]                            set the passcode, read from standard input
  zygonos simulate scale [--addr 127.0.0.1:8585] [--kg 48] [--noise 0.1] [--creep 0] [--lean 0] …
                                                          a scale that is not there
  zygonos schema                                          print the plan's JSON Schema
  zygonos version                                         what was built
`

// Exit codes of check.
const (
	exitHolds    = 0
	exitFails    = 1
	exitUnusable = 2
)

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	code := run(ctx, os.Args[1:], os.Stdin, os.Stdout, os.Stderr)
	stop()
	os.Exit(code)
}

// errUsage says that the words of the call are off; its sentence was printed.
var errUsage = errors.New("usage")

func run(ctx context.Context, args []string, in io.Reader, out, errs io.Writer) int {
	if len(args) == 0 {
		fmt.Fprint(errs, usage)
		return exitUnusable
	}
	var err error
	switch name, rest := args[0], args[1:]; name {
	case "check":
		return check(ctx, rest, out, errs)
	case "serve":
		err = serve(ctx, rest, false, out, errs)
	case "demo":
		err = serve(ctx, rest, true, out, errs)
	case "backup":
		err = backup(ctx, rest, out, errs)
	case "passcode":
		err = passcode(ctx, rest, in, out, errs)
	case "simulate":
		err = simulate(ctx, rest, out, errs)
	case "version", "--version":
		fmt.Fprintln(out, version())
	case "schema":
		err = schema(out)
	case "help", "-h", "--help":
		fmt.Fprint(out, usage)
	default:
		fmt.Fprintf(errs, "zygonos: there is no command %q\n\n%s", name, usage)
		return exitUnusable
	}
	if errors.Is(err, errUsage) {
		return exitUnusable
	}
	if err != nil {
		fmt.Fprintln(errs, "zygonos:", err)
		return exitFails
	}
	return exitHolds
}
