package main

import (
	"bufio"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"log"
	"net"
	"os"
	"path/filepath"
	"runtime/debug"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"
	"zygonos/core/plan"
	"zygonos/demo"
	"zygonos/store"
	"zygonos/ui"
	"zygonos/web"
)

// dataFile is where the database stands unless another is named.
func dataFile() string {
	dir, err := os.UserConfigDir()
	if err != nil {
		dir = "."
	}
	return filepath.Join(dir, "zygonos", "zygonos.db")
}

// spareGarbage lets the heap grow further before it is collected, unless GOGC and GOMEMLIMIT say otherwise: a review
// leaves a megabyte behind and little is kept, so that a fifth to a quarter of a live answer went into collecting.
// Over 512 MB it is as before.
func spareGarbage() {
	if os.Getenv("GOGC") == "" {
		debug.SetGCPercent(400)
	}
	if os.Getenv("GOMEMLIMIT") == "" {
		debug.SetMemoryLimit(512 << 20)
	}
}

func serve(ctx context.Context, args []string, withDemo bool, out, errs io.Writer) error {
	flags := flagsOf("serve", errs)
	addr := flags.String("addr", "127.0.0.1:8484", "address to listen on; one beside loopback needs a passcode")
	file := flags.String("db", dataFile(), "database file")
	host := flags.String("host", "", "host name, or names with commas, under which it may be reached")
	ask := flags.Bool("ask", false, "ask for the passcode on loopback too, as behind a proxy on this machine")
	if !parse(flags, args, errs) {
		return errUsage
	}
	spareGarbage()
	s, err := store.Open(ctx, *file)
	if err != nil {
		return fmt.Errorf("%s: %w", *file, err)
	}
	defer s.Close()
	hash, err := s.Setting(ctx, web.PasscodeKey)
	if err != nil {
		return err
	}
	asks := *ask || !loopback(*addr)
	if asks && hash == "" {
		return errors.New(
			"an address that others can reach, or -ask, needs a passcode: set one with zygonos passcode",
		)
	}
	if withDemo {
		if err := fillDemo(ctx, s); err != nil {
			return err
		}
	}
	ln, err := net.Listen("tcp", *addr)
	if err != nil {
		return err
	}
	app := web.New(
		web.Config{
			Store:   s,
			Files:   ui.Files(),
			Hosts:   strings.FieldsFunc(strings.ToLower(*host), func(r rune) bool { return r == ',' }),
			Asks:    asks,
			Context: ctx,
		},
	)
	go tidy(ctx, s)
	done := make(chan error, 1)
	go func() {
		done <- app.Listener(ln, fiber.ListenConfig{DisableStartupMessage: true})
	}()
	at := ln.Addr().String()
	if host, port, err := net.SplitHostPort(at); err == nil && net.ParseIP(host).IsUnspecified() {
		at = net.JoinHostPort("127.0.0.1", port)
	}
	fmt.Fprintf(out, "Zygonos serves on http://%s\n", at)
	if !loopback(*addr) {
		for _, a := range web.Addresses(at) {
			fmt.Fprintf(out, "In the home network: %s\n", a)
		}
	}
	select {
	case err := <-done:
		return err
	case <-ctx.Done():
		stop, cancel := context.WithTimeout(context.WithoutCancel(ctx), 5*time.Second)
		defer cancel()
		return app.ShutdownWithContext(stop)
	}
}

// tidy folds old autosaves, now and once a day.
func tidy(ctx context.Context, s *store.Store) {
	for {
		switch t, err := s.Tidy(ctx); {
		case err != nil && ctx.Err() == nil:
			log.Printf("tidying: %v", err)
		case t != (store.Tidied{}):
			log.Printf("tidied: %d old autosaves folded, %d deleted plans taken away", t.Revisions, t.Plans)
		}
		select {
		case <-time.After(24 * time.Hour):
		case <-ctx.Done():
			return
		}
	}
}

func loopback(addr string) bool {
	h, _, err := net.SplitHostPort(addr)
	if err != nil {
		return false
	}
	ip := net.ParseIP(h)
	return h == "localhost" || ip != nil && ip.IsLoopback()
}

// fillDemo puts the demo plans in, once: a plan that is there stays as it is.
func fillDemo(ctx context.Context, s *store.Store) error {
	names, err := fs.Glob(demo.Files, "*.zygonos.json")
	if err != nil {
		return err
	}
	for _, name := range names {
		data, err := demo.Files.ReadFile(name)
		if err != nil {
			return err
		}
		p, err := plan.Read(data)
		if err != nil {
			return fmt.Errorf("%s: %w", name, err)
		}
		doc, err := plan.Write(p)
		if err != nil {
			return err
		}
		id := strings.TrimSuffix(name, ".zygonos.json")
		all, err := demo.Records(id)
		if err != nil {
			return err
		}
		rows, err := web.Rows(all)
		if err != nil {
			return err
		}
		save := store.Save{ID: uuid.NewString(), Label: "demo", Name: p.Name, Document: doc}
		if err := s.CreateWhole(ctx, id, save, rows, nil); err != nil && !errors.Is(err, store.ErrConflict) {
			return err
		}
	}
	return nil
}

func backup(ctx context.Context, args []string, out, errs io.Writer) error {
	flags := flagsOf("backup", errs)
	file := flags.String("db", dataFile(), "database file")
	if !parse(flags, args, errs) {
		return errUsage
	}
	if flags.NArg() != 1 {
		fmt.Fprintln(errs, "zygonos: backup takes the file to write")
		return errUsage
	}
	if err := store.Backup(ctx, *file, flags.Arg(0)); err != nil {
		return err
	}
	fmt.Fprintf(out, "Copied to %s\n", flags.Arg(0))
	return nil
}

func passcode(ctx context.Context, args []string, in io.Reader, out, errs io.Writer) error {
	flags := flagsOf("passcode", errs)
	file := flags.String("db", dataFile(), "database file")
	if !parse(flags, args, errs) {
		return errUsage
	}
	fmt.Fprintln(out, "New passcode, eight characters or more:")
	line, _ := bufio.NewReader(in).ReadString('\n')
	code := strings.TrimRight(line, "\r\n")
	if len(code) < 8 || len(code) > 72 {
		return errors.New("a passcode has 8 to 72 characters")
	}
	hash, err := web.HashPasscode(code)
	if err != nil {
		return err
	}
	s, err := store.Open(ctx, *file)
	if err != nil {
		return err
	}
	defer s.Close()
	if err := s.SetSetting(ctx, web.PasscodeKey, hash); err != nil {
		return err
	}
	if err := s.Sessions().ResetWithContext(ctx); err != nil { // who came in by the old one asks again
		return err
	}
	fmt.Fprintln(out, "The passcode is set.")
	return nil
}

func schema(out io.Writer) error {
	enc := json.NewEncoder(out)
	enc.SetIndent("", "  ")
	return enc.Encode(web.PlanSchema())
}
