// Package library makes copies of things that an owner keeps across plans: loads, tow vehicles,
// trailers, straps, loose materials, ball mounts. A thing in the library is a small plan that holds
// it alone, with what it refers to, so that it is read, cleaned and lifted as every plan is. What
// is taken into a plan is a copy that remembers where it came from; what differs is offered.
package library

import (
	"cmp"
	"maps"
	"reflect"
	"slices"
	"strconv"
	"strings"

	"zygonos/core/lang/finding"
	"zygonos/core/plan"
)

// Thing is one thing of the library.
type Thing struct {
	ID         string     `json:"id"`
	Collection string     `json:"collection"` // of a plan: one of Collections
	Name       string     `json:"name"`
	From       string     `json:"from"` // name of the plan that it was kept from
	Revision   int64      `json:"revision"`
	Holds      *plan.Plan `json:"holds"` // the thing under the id "thing", with what it refers to
}

// thing is the id of a thing in the plan that holds it.
const thing = "thing"

// Refusal says in a sentence why nothing is kept or taken; it can be shown as it stands.
type Refusal string

func (r Refusal) Error() string { return string(r) }

// Collections lists what can be kept.
func Collections() []string { return slices.Sorted(maps.Keys(collections)) }

// collection reaches the entries of one collection without knowing their type.
type collection struct {
	entries func(p *plan.Plan) reflect.Value // the map
	// refers gives the collections that an entry refers to, and its ids there
	refers func(entry reflect.Value) map[string][]string
	// renamed puts other ids in the place of those
	renamed func(entry reflect.Value, collection string, ids map[string]string)
}

var collections = map[string]*collection{
	"loads": {
		entries: func(p *plan.Plan) reflect.Value { return reflect.ValueOf(&p.Loads).Elem() },
		refers: func(v reflect.Value) map[string][]string {
			if b := v.Addr().Interface().(*plan.Load).Bulk; b != nil && b.Own != "" {
				return map[string][]string{"materials": {b.Own}}
			}
			return nil
		},
		renamed: func(v reflect.Value, _ string, ids map[string]string) {
			if b := v.Addr().Interface().(*plan.Load).Bulk; b != nil {
				b.Own = ids[b.Own]
			}
		},
	},
	"towVehicles": {
		entries: func(p *plan.Plan) reflect.Value { return reflect.ValueOf(&p.TowVehicles).Elem() },
		refers: func(v reflect.Value) map[string][]string {
			if m := v.Addr().Interface().(*plan.TowVehicle).Mount; m != "" {
				return map[string][]string{"ballMounts": {m}}
			}
			return nil
		},
		renamed: func(v reflect.Value, _ string, ids map[string]string) {
			car := v.Addr().Interface().(*plan.TowVehicle)
			car.Mount = ids[car.Mount]
		},
	},
	"trailers": {
		entries: func(p *plan.Plan) reflect.Value { return reflect.ValueOf(&p.Trailers).Elem() },
		refers: func(v reflect.Value) map[string][]string {
			t := v.Addr().Interface().(*plan.Trailer)
			ids := slices.Sorted(maps.Keys(t.Fitted))
			for _, id := range slices.Sorted(maps.Keys(t.Empty.Parts)) {
				if _, both := t.Fitted[id]; !both {
					ids = append(ids, id)
				}
			}
			return map[string][]string{"parts": ids}
		},
		renamed: func(v reflect.Value, _ string, ids map[string]string) {
			t := v.Addr().Interface().(*plan.Trailer)
			t.Fitted, t.Empty.Parts = rekeyed(t.Fitted, ids), rekeyed(t.Empty.Parts, ids)
		},
	},
	"straps":     {entries: func(p *plan.Plan) reflect.Value { return reflect.ValueOf(&p.Straps).Elem() }},
	"materials":  {entries: func(p *plan.Plan) reflect.Value { return reflect.ValueOf(&p.Materials).Elem() }},
	"ballMounts": {entries: func(p *plan.Plan) reflect.Value { return reflect.ValueOf(&p.BallMounts).Elem() }},
}

// parts are referred to, and not kept by themselves.
var parts = &collection{
	entries: func(p *plan.Plan) reflect.Value { return reflect.ValueOf(&p.Parts).Elem() },
}

func of(name string) *collection {
	if name == "parts" {
		return parts
	}
	return collections[name]
}

// rekeyed are the entries under other ids; one without another id is left out.
func rekeyed(m map[string]plan.PartOn, ids map[string]string) map[string]plan.PartOn {
	if m == nil {
		return nil
	}
	out := make(map[string]plan.PartOn, len(m))
	for id, on := range m {
		if to, ok := ids[id]; ok {
			out[to] = on
		}
	}
	return out
}

// entry is a copy of an entry that can be changed, or none.
func (c *collection) entry(p *plan.Plan, id string) (reflect.Value, bool) {
	v := c.entries(p).MapIndex(reflect.ValueOf(id))
	if !v.IsValid() {
		return reflect.Value{}, false
	}
	out := reflect.New(v.Type()).Elem()
	out.Set(v)
	return out, true
}

// put sets an entry.
func (c *collection) put(p *plan.Plan, id string, v reflect.Value) {
	m := c.entries(p)
	if m.IsNil() {
		m.Set(reflect.MakeMap(m.Type()))
	}
	m.SetMapIndex(reflect.ValueOf(id), v)
}

func kept(v reflect.Value) *plan.Kept {
	f := v.FieldByName("Kept")
	if !f.IsValid() || f.IsNil() {
		return nil
	}
	return f.Interface().(*plan.Kept)
}

func keep(v reflect.Value, k *plan.Kept) {
	if f := v.FieldByName("Kept"); f.IsValid() {
		f.Set(reflect.ValueOf(k))
	}
}

// split takes a path such as /loads/skiff apart.
func split(path string) (name, id string, c *collection, ok bool) {
	name, id, ok = strings.Cut(strings.TrimPrefix(path, "/"), "/")
	c = collections[name]
	return name, id, c, ok && c != nil && strings.HasPrefix(path, "/")
}

// Extract is the plan that holds the entry at path alone, ready to be kept.
func Extract(p *plan.Plan, path string) (*Thing, error) {
	name, id, c, ok := split(path)
	if !ok {
		return nil, Refusal(
			"Only loads, cars, trailers, straps, materials and ball mounts can be kept in the library.",
		)
	}
	whole := p.Clone()
	v, ok := c.entry(whole, id)
	if !ok {
		return nil, Refusal("There is no such thing in the plan.")
	}
	t := &Thing{
		Collection: name,
		Name:       v.FieldByName("Name").String(),
		From:       p.Name,
		Holds:      alone(whole, name, c, v),
	}
	return t, nil
}

// alone is a plan that holds nothing but one entry and what it refers to.
func alone(p *plan.Plan, name string, c *collection, v reflect.Value) *plan.Plan {
	out := &plan.Plan{
		Format: plan.Format, Version: plan.Version, Name: v.FieldByName("Name").String(),
		Region: p.Region, Units: p.Units,
		Loads: map[string]plan.Load{}, TowVehicles: map[string]plan.TowVehicle{},
		Trailers: map[string]plan.Trailer{}, Parts: map[string]plan.Part{}, Outings: map[string]plan.Outing{},
	}
	keep(v, nil)
	v.FieldByName("Order").SetInt(1)
	if c.refers != nil {
		for to, ids := range c.refers(v) {
			named := map[string]string{}
			for i, id := range byName(p, to, ids) {
				e, _ := of(to).entry(p, id)
				keep(e, nil)
				e.FieldByName("Order").SetInt(int64(i + 1))
				named[id] = strings.ToLower(to) + "-" + strconv.Itoa(i+1)
				of(to).put(out, named[id], e)
			}
			c.renamed(v, to, named)
		}
	}
	c.put(out, thing, v)
	return out
}

// byName are those of the ids that the plan has, in the order of their names: what a thing refers to
// is compared in that order, whatever its ids are.
func byName(p *plan.Plan, collection string, ids []string) []string {
	name := func(id string) string {
		e, _ := of(collection).entry(p, id)
		return e.FieldByName("Name").String()
	}
	have := slices.DeleteFunc(slices.Clone(ids), func(id string) bool {
		_, ok := of(collection).entry(p, id)
		return !ok
	})
	slices.SortFunc(have, func(a, b string) int { return cmp.Or(cmp.Compare(name(a), name(b)), cmp.Compare(a, b)) })
	return have
}

// Take is what puts a copy of a thing into a plan under the id. What the thing refers to comes
// along: where the plan has the like already, that is used.
func Take(p *plan.Plan, t *Thing, id string) ([]finding.Op, error) {
	return into(p, t, id, false)
}

func into(p *plan.Plan, t *Thing, id string, over bool) ([]finding.Op, error) {
	c := collections[t.Collection]
	if c == nil || t.Holds == nil {
		return nil, Refusal("This library entry cannot be read.")
	}
	holds := t.Holds.Clone()
	v, ok := c.entry(holds, thing)
	if !ok {
		return nil, Refusal("This library entry cannot be read.")
	}
	old, there := c.entry(p, id)
	if there && !over {
		return nil, Refusal("The plan already has something under that name.")
	}
	var ops []finding.Op
	if c.refers != nil {
		var had map[string][]string
		if there {
			had = c.refers(old)
		}
		for to, ids := range c.refers(v) {
			renamed, fresh := along(p, holds, to, ids, had[to])
			c.renamed(v, to, renamed)
			ops = append(ops, added(of(to), p, to, fresh)...)
		}
	}
	order := last(c, p) + 1
	if there {
		order = old.FieldByName("Order").Int()
	}
	v.FieldByName("Order").SetInt(order)
	keep(v, &plan.Kept{ID: t.ID, Revision: t.Revision})
	return append(ops, added(c, p, t.Collection, map[string]any{id: v.Interface()})...), nil
}

// along brings what a thing refers to into the plan: by which id each goes there, and which entries
// are new or replaced. One that the entry had under the same name is replaced; where the plan has
// the like, that is used, each once.
func along(p, holds *plan.Plan, to string, ids, had []string) (renamed map[string]string, fresh map[string]any) {
	c := of(to)
	renamed, fresh = map[string]string{}, map[string]any{}
	used := map[string]bool{}
	for _, from := range ids {
		e, ok := c.entry(holds, from)
		if !ok {
			continue
		}
		as, like := place(p, c, had, used, from, e)
		renamed[from], used[as] = as, true
		if like {
			continue
		}
		order := last(c, p) + int64(len(fresh)) + 1
		if there, ok := c.entry(p, as); ok {
			order = there.FieldByName("Order").Int()
			keep(e, kept(there))
		}
		e.FieldByName("Order").SetInt(order)
		fresh[as] = e.Interface()
	}
	return renamed, fresh
}

// place is the id under which something goes into the plan, and whether the like stands there.
func place(
	p *plan.Plan, c *collection, had []string, used map[string]bool, id string, e reflect.Value,
) (as string, like bool) {
	for _, id := range had {
		there, ok := c.entry(p, id)
		if ok && !used[id] && there.FieldByName("Name").String() == e.FieldByName("Name").String() {
			return id, same(there, e)
		}
	}
	all := c.entries(p).MapKeys()
	slices.SortFunc(all, func(a, b reflect.Value) int { return cmp.Compare(a.String(), b.String()) })
	for _, key := range all {
		if there, _ := c.entry(p, key.String()); !used[key.String()] && same(there, e) {
			return key.String(), true
		}
	}
	as = id
	for n := 2; ; n++ {
		if _, taken := c.entry(p, as); !taken && !used[as] {
			return as, false
		}
		as = id + "-" + strconv.Itoa(n)
	}
}

// same reports whether two entries are alike but for their order and where they were kept.
func same(a, b reflect.Value) bool {
	plain := func(v reflect.Value) any {
		out := reflect.New(v.Type()).Elem()
		out.Set(v)
		out.FieldByName("Order").SetInt(0)
		keep(out, nil)
		return out.Interface()
	}
	return reflect.DeepEqual(plain(a), plain(b))
}

func last(c *collection, p *plan.Plan) (most int64) {
	for _, v := range c.entries(p).Seq2() {
		most = max(most, v.FieldByName("Order").Int())
	}
	return most
}

// added puts entries into a collection, with the collection where it is not there yet.
func added(c *collection, p *plan.Plan, name string, entries map[string]any) (ops []finding.Op) {
	if len(entries) == 0 {
		return nil
	}
	if c.entries(p).IsNil() {
		return []finding.Op{{Op: "add", Path: "/" + name, Value: entries}}
	}
	for _, id := range slices.Sorted(maps.Keys(entries)) {
		ops = append(ops, finding.Op{Op: "add", Path: "/" + name + "/" + id, Value: entries[id]})
	}
	return ops
}

// sorted are the entries of a plan that came from a library, by path.
func sorted(p *plan.Plan) (paths []string) {
	for name, c := range collections {
		for id, v := range c.entries(p).Seq2() {
			if kept(v) != nil {
				paths = append(paths, "/"+name+"/"+id.String())
			}
		}
	}
	slices.SortFunc(paths, cmp.Compare[string])
	return paths
}
