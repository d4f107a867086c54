package workshop

// WeldOrder puts places in their order.
var WeldOrder = weldOrder
