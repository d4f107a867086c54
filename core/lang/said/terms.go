package said

import "zygonos/core/lang/quantity"

// Terms is the one table of words that differ by region. The key is the word
// that the code and the documents use.
var Terms = map[string]map[quantity.Region]string{
	"ball load":    words("tongue weight", "noseweight", "noseweight", "ball weight", "ball weight"),
	"coupling":     words("coupler", "coupling head", "coupling head", "coupling", "coupling"),
	"tow bar":      words("hitch receiver", "towbar", "towbar", "towbar", "towbar"),
	"drawbar":      words("tongue", "drawbar", "drawbar", "drawbar", "drawbar"),
	"jockey wheel": words("tongue jack", "jockey wheel", "jockey wheel", "jockey wheel", "jockey wheel"),
	"prop":         words("stabilizer jack", "prop stand", "prop stand", "drop leg", "drop leg"),
	"mudguard":     words("fender", "mudguard", "mudguard", "mudguard", "mudguard"),
	"number plate": words("license plate", "number plate", "number plate", "number plate", "number plate"),
	"weighbridge":  words("truck scale", "weighbridge", "weighbridge", "weighbridge", "weighbridge"),
	"gross":        words("GVWR", "MAM", "permissible mass", "ATM", "gross laden mass"),
	"on wheels":    words("axle rating", "axle rating", "axle rating", "GTM", "axle rating"),
	"car gross":    words("GVWR", "MAM", "permissible mass", "GVM", "gross vehicle mass"),
	"train gross":  words("GCWR", "gross train weight", "permissible train mass", "GCM", "gross combination mass"),
	"axle limit":   words("GAWR", "axle limit", "permissible axle load", "axle limit", "axle limit"),
	"tow rating":   words("tow rating", "towing limit", "towed mass limit", "towing capacity", "towing capacity"),
	"pickup":       words("pickup", "pickup", "pickup", "ute", "ute"),
	"tyre":         words("tire", "tyre", "tyre", "tyre", "tyre"),
	"lashing":      words("tie-down", "lashing", "lashing", "tie-down", "tie-down"),
	"curb weight":  words("curb weight", "kerb weight", "mass in running order", "kerb mass", "kerb mass"),
	"licence":      words("license", "licence", "licence", "licence", "licence"),
	"kerb":         words("curb", "kerb", "kerb", "kerb", "kerb"),
	"headboard":    words("front board", "front board", "front board", "front board", "front board"),
	"car tailgate": words("car tailgate", "car tailgate", "car tailgate", "car tailgate", "car tailgate"),
	"breakaway": words(
		"breakaway switch",
		"breakaway cable",
		"breakaway cable",
		"breakaway system",
		"breakaway brake",
	),
	"chains": words(
		"safety chains",
		"secondary coupling",
		"secondary coupling",
		"safety chains",
		"safety chains",
	),
	"rule set name": words("North America", "United Kingdom", "EU", "Australia", "New Zealand"),
}

func words(na, uk, eu, au, nz string) map[quantity.Region]string {
	return map[quantity.Region]string{
		quantity.NorthAmerica: na, quantity.UK: uk, quantity.EU: eu, quantity.Australia: au, quantity.NewZealand: nz,
	}
}
