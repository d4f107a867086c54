package norms

// Winches of which not all is stated (practice, C).
const (
	FullDrum   = 0.65 // of its pull on the first layer that a winch has on a full drum
	CrankKeeps = 0.8  // of the push on a crank or a lever that reaches the line: gears, ratchet and drum rub
)
