package box

import "zygonos/core/plan"

// Plan is how a body is built.
func (b *Body) Plan() *plan.BoxBody { return b.b }

// Push is the force on its top, N.
func (b *Body) Push() float64 { return b.push() }

// PushAlong is the force on its top under braking, N.
func (b *Body) PushAlong() float64 { return b.pushAlong() }
