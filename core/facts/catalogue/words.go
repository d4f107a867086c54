package catalogue

// called gives each kind the everyday words that it goes by, where its figures come from, and
// its caution.
func called(kinds []LoadKind) []LoadKind {
	for i := range kinds {
		k := &kinds[i]
		k.Words, k.Note, k.Pack, k.From = everyday[k.ID], notes[k.ID], packs[k.ID], fromPractice
		k.Rises, k.Walked = rises[k.ID], walked[k.ID]
		switch {
		case k.Shape == "hull" || k.Shape == "wheels":
			k.From = fromMakers
		case k.Group == "building" && k.High > 0 || k.ID == "heap":
			k.From = fromDensity
		}
		if own, ok := origins[k.ID]; ok {
			k.From = own
		}
	}
	return kinds
}

// Where figures come from; all of confidence C.
const (
	fromMakers   = "as makers’ sheets of the kind state, rounded outward; centre and where it bears by practice"
	fromDensity  = "size as sold times density, from a little of it to a full load"
	fromPractice = "common practice, wide on purpose: weigh it"
)

// origins are those of kinds that differ from their group.
var origins = map[string]string{
	"generator": fromMakers, "mixer": fromMakers, "compactor": fromMakers, "compressor": fromMakers, "welder": fromMakers,
	"ladder": fromMakers, "scaffold": fromMakers, "outboard": fromMakers, "appliance": fromMakers, "fridge": fromMakers,
	"hot-tub": fromMakers, "piano": fromMakers, "splitter": fromMakers, "chipper": fromMakers, "cultivator": fromMakers,
	"snow-machine": fromMakers, "tools": fromPractice, "doors": fromPractice, "gas": fromMakers,
}

// packs are the kinds whose usual size and weight are those of several that lie together: twenty bags are one load.
var packs = map[string]bool{
	"heap":   true,
	"sheets": true, "timber": true, "plasterboard": true, "bricks": true, "slabs": true, "posts": true, "pipes": true,
	"roofing": true, "fence-panels": true, "cement": true, "feed": true, "bags": true, "garden-bags": true, "firewood": true,
	"plants": true, "boxes": true, "rubbish": true, "camping": true, "bicycles": true, "doors": true,
}

// rises are what hangs lowest under a machine and is set higher by a lever or pins.
var rises = map[string]string{
	"ride-on": "mower deck", "zero-turn": "mower deck", "mower-walk": "mower deck", "mower-walk-wide": "mower deck",
}

// walked are the machines that one drives on foot.
var walked = map[string]bool{"mower-walk": true, "mower-walk-wide": true, "dumper": true}

// notes are cautions that go with a kind.
var notes = map[string]string{
	"livestock": "Animals move and tire, and have transport rules of their own: ask your farm or animal authority. Only weight and position are judged here.",
	"hive":      "Closed, strapped as one, with air; travel at dusk or dawn.",
	"gas":       "Upright, valve shut and capped, in the open air; many places limit how much.",
	"tank":      "Fuel and chemicals have rules of their own; the weight is worked out from the fluid.",
	"generator": "Fuel tap shut; no can of petrol loose beside it.",
	"hot-tub":   "Drained: a full one weighs as much as a small car.",
	"fridge":    "Upright, and left to stand before it is switched on.",
	"excavator": "Bucket down, chained at its own points.",
	"car-small": "Needs a trailer made for cars; watch its brakes, the {ball load} and your {licence}.",
}

// everyday are the words that people have for the kinds, of all regions; a general word stands
// with every kind that it may mean. Singular and plural, case and one wrong letter are the
// matter of whoever searches.
var everyday = map[string]string{
	"heap":                    "gravel, sand, stone, shingle, crushed rock, road base, topsoil, soil, dirt, earth, compost, manure, mulch, bark, wood chips, firewood, green waste, garden waste, clear-out, junk, rubble, concrete, hardcore, bricks, asphalt, clay",
	"bulk-bag":                "builders bag, ton bag, jumbo bag, dumpy bag, big bag",
	"pallet":                  "skid",
	"kayak":                   "touring kayak, canoe, paddle hull",
	"kayak-sea":               "sea kayak, ocean kayak",
	"kayak-river":             "white water kayak, whitewater, river kayak, creek boat, playboat",
	"kayak-double":            "tandem kayak, double kayak, two-seater",
	"kayak-inflatable":        "inflatable kayak, blow-up kayak, packraft, raft",
	"sit-on-top":              "sit on top kayak, sit-on kayak, paddle hull",
	"sit-on-top-fishing":      "fishing kayak, fishing hull, fishing boat, angler kayak",
	"sit-on-top-pedal":        "pedal kayak, fishing kayak, pedal boat",
	"canoe":                   "canadian canoe, canoes, paddle hull",
	"paddle-board":            "sup, stand-up paddle board, paddleboard",
	"paddle-board-inflatable": "inflatable paddle board, isup, sup, paddleboard",
	"sail-board":              "windsurfer, wind surf board, sailboard, wing board",
	"surf-board":              "surfboard, longboard",
	"skiff":                   "rowboat, row boat, rowing boat, dory, punt, pulling boat, boat",
	"shell":                   "rowing shell, scull, racing boat, rowing eight, boat",
	"dinghy":                  "sailboat, sail boat, sailing boat, yacht, boat",
	"dinghy-small":            "sailboat, single-handed dinghy, boat, children’s dinghy",
	"catamaran":               "cat, multihull, sailboat, boat",
	"inflatable":              "rib, rigid inflatable, rubber boat, dinghy, boat",
	"tender":                  "rubber dinghy, inflatable dinghy, boat",
	"motorboat":               "boat, runabout, powerboat, speedboat, motorboat, bass boat, tinny, tinnie, fishing boat, cabin boat",
	"jon-boat":                "jon boat, john boat, flat-bottom boat, duck boat, punt, tin boat, fishing boat, aluminium boat, aluminum boat, boat",
	"watercraft":              "water scooter, jet boat, personal water craft, pwc",
	"watercraft-small":        "water scooter, stand-up watercraft, pwc, light personal water craft",
	"boat-other":              "boat, hull",
	"outboard":                "boat motor, boat engine, outboard engine",
	"quad":                    "atv, four-wheeler, quad bike, all-terrain vehicle",
	"quad-child":              "kids quad, youth atv, mini quad",
	"utv":                     "side by side, sxs, two-seater, buggy, utility vehicle",
	"utv-four":                "side by side, sxs, four-seater, crew, utility vehicle",
	"ride-on":                 "lawn tractor, riding mower, lawnmower, lawn mower, garden tractor, ride-on lawn mower",
	"zero-turn":               "zero turn mower, ztr, zero radius, lawnmower, lawn mower",
	"mower-walk":              "push mower, lawnmower, lawn mower, petrol mower, self-propelled mower",
	"mower-walk-wide":         "commercial mower, walk-behind, rough cut mower, lawnmower, lawn mower",
	"motorcycle":              "motorbike, bike, road bike, cruiser",
	"motocross":               "dirt bike, motocross bike, trail bike, trials bike, enduro, motorbike, bike, scrambler",
	"moped":                   "scooter, motor scooter, motorbike, bike",
	"buggy":                   "kart, gokart, go-cart, dune buggy",
	"mobility-scooter":        "electric scooter, power chair, wheelchair",
	"tractor":                 "small tractor, sub-compact tractor, garden tractor",
	"tractor-loader":          "tractor with bucket, front loader, small tractor, implement",
	"golf-cart":               "golf buggy, golf car",
	"car-small":               "car, automobile, classic car, race car",
	"excavator":               "mini digger, digger, mini excavator, backhoe, trackhoe",
	"dumper":                  "power barrow, tracked barrow, skip loader, mini loader",
	"machine-other":           "machine, wheels, trolley, cart",
	"snow-machine":            "snowmobile, sled, snow scooter, ski machine",
	"splitter":                "wood splitter, firewood splitter",
	"chipper":                 "shredder, garden shredder, mulcher",
	"cultivator":              "tiller, rototiller, rotovator, garden tiller, two-wheel tractor",
	"sheets":                  "plywood, ply, OSB, MDF, chipboard, particle board, fibreboard, board, panels, sheet",
	"timber":                  "lumber, wood, boards, planks, beams, battens, two by four, studs, decking, sleepers",
	"plasterboard":            "drywall, gypsum board, wallboard",
	"bricks":                  "brick, blocks, pavers, cinder blocks",
	"slabs":                   "paving, pavers, flagstones, tiles, patio slabs",
	"posts":                   "fence posts, post, poles, logs, rails",
	"pipes":                   "tube, conduit, gutter, drainpipe, rebar, steel bar",
	"ladder":                  "ladders, step ladder, extension ladder, loft ladder",
	"scaffold":                "scaffolding, tower, staging",
	"doors":                   "door, window, windows, glass, glazing",
	"roofing":                 "corrugated iron, roof sheets, metal sheets, tin, polycarbonate",
	"fence-panels":            "fencing, fence panel, gates, gate, hurdles",
	"long-other":              "rod, bar, mast, spar, beam, flagpole, oars, long",
	"cement":                  "concrete mix, mortar, cement",
	"generator":               "genset, power plant, generator set",
	"mixer":                   "cement mixer, concrete mixer",
	"compactor":               "tamper, plate compactor",
	"compressor":              "air compressor",
	"welder":                  "welding machine, welding set",
	"tools":                   "toolbox, tool box, workbench, saw, table saw",
	"gas":                     "propane, gas cylinder, lpg bottle, gas tank",
	"hive":                    "bee hive, bees, hives",
	"tank":                    "water tank, water, liquid, fluid, fuel tank, drum, barrel, keg, spray tank, ibc, tote, cubic tank, container",
	"straw":                   "hay, hay bale, straw bale, bales, silage",
	"feed":                    "animal feed, grain, seed, horse feed, fertiliser, fertilizer, pellets",
	"bags":                    "sandbags, cement bags, potting mix, salt bags, coal, bag, sack, sacks, topsoil, compost, potting soil, mulch, gravel, bark",
	"garden-bags":             "garden waste, green waste, leaves, branches, brush, hedge cuttings, grass clippings",
	"firewood":                "logs, fire wood, kindling, wood",
	"plants":                  "tree, trees, shrub, bush, pot, potted plant",
	"shed":                    "summer house, playhouse, greenhouse, hut, chicken coop, coop",
	"barrow":                  "wheel barrow, hand cart, garden cart",
	"livestock":               "sheep, goat, pig, calf, dog, pony, animals",
	"box":                     "crate, boxes, chest, trunk, case, cooler",
	"furniture":               "cupboard, cabinet, dresser, desk, chairs, bookcase, shelves",
	"appliance":               "washer, dryer, tumble dryer, dishwasher, stove, oven, white goods, appliances, washing machine",
	"fridge":                  "refrigerator, white goods, appliance",
	"sofa":                    "couch, settee, lounge, armchair, furniture",
	"wardrobe":                "closet, dresser, chest of drawers, cabinet, bookcase, furniture",
	"bed":                     "mattress, bed frame, furniture",
	"table":                   "dining table, chairs, desk, furniture",
	"boxes":                   "house move, removal boxes, cartons, moving, parcels",
	"rubbish":                 "trash, garbage, refuse, waste, tip run, dump run, bin bags",
	"camping":                 "tent, awning, camp gear, luggage, baggage, canopy, gazebo",
	"hot-tub":                 "spa, hot tub, whirlpool, spa pool",
	"oven":                    "pizza oven, smoker, barbecue, bbq, grill, stove",
	"piano":                   "pianos, organ, keyboard",
	"bicycles":                "bike, bikes, bicycle, push bike, e-bike, mountain bike, cycle",
}
