package workshop

import (
	"zygonos/core/plan"
	"zygonos/core/rig"
)

// Procedure is a piece of handwork that is written down once: what to do, how it feels, what checks it.
type Procedure struct {
	Name  string   `json:"name"`
	Does  []string `json:"does"`
	Check string   `json:"check"`
}

// procedures are those that a rig needs.
func procedures(r *rig.Rig) []Procedure {
	out := []Procedure{{
		Name: "Tighten without a torque wrench",
		Does: []string{
			"Hang the weight given on the spanner at the distance given: a spring scale, or a full can on a loop.",
			"Turn slowly; stop as soon as it holds the weight.",
		},
		Check: "Draw a line over nut and bolt. After the first loads and the first drive the line must still meet.",
	}, {
		Name: "The wrench never clicks, or the nut is stiff",
		Does: []string{
			"It never clicks: the bolt stretches, the thread strips, or the stack is being crushed. Stop, take it out, use a new one.",
			"Stiff from the first turns: the thread is crossed. Back it out by hand, set it straight, start with your fingers.",
			"A locking nut is stiff in itself: add that moment. Paint in the thread: run a nut over it first.",
		},
		Check: "Two threads show beyond the nut; the washer cannot be turned by hand.",
	}}
	if r == nil {
		return out
	}
	t := r.Trailer
	if t.Suspension != "" || t.Gear != nil || t.Axles > 0 {
		out = append(out, Procedure{
			Name: "Castle nut and bearing play",
			Does: []string{
				"Turn the wheel and tighten the nut until it drags a little, so that the rollers seat.",
				"Back off to the next slot that lets it turn freely, a sixth of a turn at most. The maker’s leaflet comes first.",
				"A new split pin, both legs bent, cap on.",
			},
			Check: "At the rim, top and bottom: a play you can just feel, no knock. After the first drive the hub is hand-warm.",
		}, Procedure{
			Name: "Factory grease: keep it or pack again",
			Does: []string{
				"Keep it if the leaflet names a grease for the road and the bearing is full of it.",
				"Pack again if it is thin, dry, a rust preventer, or of an unknown kind: wash out, dry, press grease through the cage.",
			},
			Check: "Wipe some on white paper for an hour: an oily ring with nothing in it is a preventer; a smear that stays is grease.",
		})
	}
	if t.Brakes == "" || t.Brakes == plan.BrakesNone {
		return out
	}
	return append(out, Procedure{
		Name: "Adjust the brakes",
		Does: []string{
			"Rod or cables slack. Each wheel: tighten until it locks, back off until it just turns.",
			"Then adjust the rod until the lever begins to pull after a third of its travel.",
		},
		Check: "Pull the lever: both wheels lock at the same notch. On the road the hubs stay alike in heat.",
	})
}
