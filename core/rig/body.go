package rig

import "zygonos/core/plan"

// Lump is a piece of an item whose own place is known: the bare thing, one of its
// contents, the fluid in a tank. All in the rig's axes.
type Lump struct {
	Mass    float64 // kg, nominal
	X, Y, Z float64 // its centre, m
	Own     float64 // yaw inertia about its own centre, kg·m²; that of a content is left out
}

// Body is the mass, the centre and the yaw inertia of things that move as one:
//
//	m = Σ mᵢ,  x = Σ mᵢ·xᵢ/m (y and z alike),  J = Σ (Jᵢ + mᵢ·((xᵢ − x)² + (yᵢ − y)²))
//
// docs/method/balance.md.
type Body struct {
	Mass    float64 // kg, nominal
	X, Y, Z float64 // centre, m
	Yaw     float64 // inertia about the upright through the centre, kg·m²
}

// BodyOf joins lumps into one body. Without mass its centre is that of the first.
func BodyOf(lumps []Lump) (b Body) {
	for _, l := range lumps {
		b.Mass += l.Mass
		b.X, b.Y, b.Z = b.X+l.Mass*l.X, b.Y+l.Mass*l.Y, b.Z+l.Mass*l.Z
	}
	if b.Mass <= 0 {
		if len(lumps) > 0 {
			b.X, b.Y, b.Z = lumps[0].X, lumps[0].Y, lumps[0].Z
		}
		return b
	}
	b.X, b.Y, b.Z = b.X/b.Mass, b.Y/b.Mass, b.Z/b.Mass
	for _, l := range lumps {
		b.Yaw += l.Own + l.Mass*((l.X-b.X)*(l.X-b.X)+(l.Y-b.Y)*(l.Y-b.Y))
	}
	return b
}

// bare is the item as a box of its own size about its centre, m kg.
func (i *Item) bare(m float64) Lump {
	l, w := i.Length(), i.Right-i.Left
	return Lump{Mass: m, X: i.X, Y: i.Y, Z: i.Z, Own: m * (l*l + w*w) / 12}
}

// Moves is all that moves with item i: itself, what is in it and what stands on it. Every
// question that asks where a thing's weight lies, or how it turns or tips, takes this.
func (r *Rig) Moves(i int) Body { return r.moves[i] }

// join works out for each item what moves with it.
func (r *Rig) join() {
	type key struct {
		id   string
		part bool
	}
	at := make(map[key]int, len(r.Items))
	for i := range r.Items {
		at[key{r.Items[i].ID, r.Items[i].Part}] = i
	}
	riders := make([][]Lump, len(r.Items))
	for i := range r.Items {
		it := &r.Items[i]
		k := key{it.ID, it.Part}
		for range len(r.Items) {
			n, ok := at[k]
			if !ok {
				break
			}
			riders[n] = append(riders[n], it.Lumps...)
			if k.part || r.Layout == nil {
				break
			}
			pl, placed := r.Layout.Placements[k.id]
			if !placed || pl.On == plan.OnDeck {
				break
			}
			k = key{pl.ID, pl.On == plan.OnPart}
		}
	}
	r.moves = make([]Body, len(r.Items))
	for i := range r.Items {
		r.moves[i] = BodyOf(riders[i])
	}
}
