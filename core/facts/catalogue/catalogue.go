// Package catalogue holds typical generic things with their ranges. They are
// starting points of provenance "typical", our own compilation from common
// practice, to be replaced by the owner's own figures.
package catalogue

import "zygonos/core/lang/quantity"

type mass = quantity.Mass
type length = quantity.Length
