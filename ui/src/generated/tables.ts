/* Generated from the Go tables by make types. Do not edit. */

/** Fields of the plan that take a figure, with * for ids: form and kind. */
export const fields: Record<string, string> = {
  "/ballMounts/*/ball": "figure mass",
  "/ballMounts/*/ballHeight": "figure length",
  "/ballMounts/*/ballRating": "figure mass",
  "/ballMounts/*/ballSize": "figure length",
  "/ballMounts/*/kept/revision": "figure count",
  "/ballMounts/*/tow": "figure mass",
  "/doubts/*": "figure count",
  "/loads/*/bulk/count": "figure count",
  "/loads/*/bulk/each": "estimate mass",
  "/loads/*/bulk/heap": "estimate volume",
  "/loads/*/bulk/volume": "estimate volume",
  "/loads/*/centre/back": "estimate length",
  "/loads/*/centre/right": "estimate length",
  "/loads/*/centre/up": "estimate length",
  "/loads/*/contents/*/at/back": "figure length",
  "/loads/*/contents/*/at/right": "figure length",
  "/loads/*/contents/*/at/up": "figure length",
  "/loads/*/contents/*/mass": "estimate mass",
  "/loads/*/ends/front": "estimate mass",
  "/loads/*/ends/frontAt": "figure length",
  "/loads/*/ends/rear": "estimate mass",
  "/loads/*/ends/rearAt": "figure length",
  "/loads/*/hull/apart": "estimate length",
  "/loads/*/hull/draft": "figure length",
  "/loads/*/hull/eyeAt": "figure length",
  "/loads/*/hull/eyeUp": "figure length",
  "/loads/*/hull/from": "estimate length",
  "/loads/*/hull/press": "figure mass",
  "/loads/*/hull/to": "estimate length",
  "/loads/*/hull/under/*/at": "figure length",
  "/loads/*/hull/under/*/deep": "figure length",
  "/loads/*/hull/under/*/length": "figure length",
  "/loads/*/kept/revision": "figure count",
  "/loads/*/mass": "estimate mass",
  "/loads/*/pieces/across": "figure count",
  "/loads/*/pieces/count": "figure count",
  "/loads/*/pieces/length": "figure length",
  "/loads/*/pieces/thickness": "figure length",
  "/loads/*/pieces/width": "figure length",
  "/loads/*/rolling/clearance": "estimate length",
  "/loads/*/rolling/frontAxle": "estimate length",
  "/loads/*/rolling/frontTrack": "figure length",
  "/loads/*/rolling/frontTyre": "figure length",
  "/loads/*/rolling/frontWheel": "figure length",
  "/loads/*/rolling/nose": "figure length",
  "/loads/*/rolling/track": "estimate length",
  "/loads/*/rolling/tyre": "figure length",
  "/loads/*/rolling/wheel": "figure length",
  "/loads/*/rolling/wheelbase": "estimate length",
  "/loads/*/size/height": "estimate length",
  "/loads/*/size/length": "estimate length",
  "/loads/*/size/width": "estimate length",
  "/loads/*/tank/capacity": "estimate volume",
  "/loads/*/tank/fill": "figure share",
  "/materials/*/density": "estimate density",
  "/materials/*/kept/revision": "figure count",
  "/outings/*/departures/*/revision": "figure count",
  "/outings/*/distance": "figure distance",
  "/outings/*/gear": "estimate mass",
  "/outings/*/ground/slope": "figure angle",
  "/outings/*/layouts/*/axleAt": "figure length",
  "/outings/*/layouts/*/lashings/*/hold/back": "figure length",
  "/outings/*/layouts/*/lashings/*/hold/right": "figure length",
  "/outings/*/layouts/*/lashings/*/hold/up": "figure length",
  "/outings/*/layouts/*/loading/deck": "figure length",
  "/outings/*/layouts/*/loading/driver": "estimate mass",
  "/outings/*/layouts/*/loading/fall": "figure angle",
  "/outings/*/layouts/*/loading/kerb": "figure length",
  "/outings/*/layouts/*/loading/props/back": "figure length",
  "/outings/*/layouts/*/loading/props/gap": "figure length",
  "/outings/*/layouts/*/loading/raised": "figure length",
  "/outings/*/layouts/*/loading/winch/amps": "figure count",
  "/outings/*/layouts/*/loading/winch/aside": "figure length",
  "/outings/*/layouts/*/loading/winch/back": "figure length",
  "/outings/*/layouts/*/loading/winch/battery": "figure count",
  "/outings/*/layouts/*/loading/winch/bolt": "figure length",
  "/outings/*/layouts/*/loading/winch/bolts": "figure count",
  "/outings/*/layouts/*/loading/winch/brace": "figure length",
  "/outings/*/layouts/*/loading/winch/crank": "figure length",
  "/outings/*/layouts/*/loading/winch/drum": "figure length",
  "/outings/*/layouts/*/loading/winch/flange": "figure length",
  "/outings/*/layouts/*/loading/winch/gauge": "figure length",
  "/outings/*/layouts/*/loading/winch/hookMax": "figure mass",
  "/outings/*/layouts/*/loading/winch/idle": "figure count",
  "/outings/*/layouts/*/loading/winch/layer": "figure count",
  "/outings/*/layouts/*/loading/winch/lever/handle": "figure length",
  "/outings/*/layouts/*/loading/winch/lever/stroke": "figure angle",
  "/outings/*/layouts/*/loading/winch/line": "figure length",
  "/outings/*/layouts/*/loading/winch/lineMax": "figure mass",
  "/outings/*/layouts/*/loading/winch/pin": "figure length",
  "/outings/*/layouts/*/loading/winch/post/height": "figure length",
  "/outings/*/layouts/*/loading/winch/post/lip": "figure length",
  "/outings/*/layouts/*/loading/winch/post/perMetre": "figure money",
  "/outings/*/layouts/*/loading/winch/post/wall": "figure length",
  "/outings/*/layouts/*/loading/winch/post/width": "figure length",
  "/outings/*/layouts/*/loading/winch/pull": "figure mass",
  "/outings/*/layouts/*/loading/winch/ratio": "figure count",
  "/outings/*/layouts/*/loading/winch/reach": "figure length",
  "/outings/*/layouts/*/loading/winch/speed": "figure speed",
  "/outings/*/layouts/*/loading/winch/tieMax": "figure mass",
  "/outings/*/layouts/*/loading/winch/up": "figure length",
  "/outings/*/layouts/*/loading/winch/wide": "figure length",
  "/outings/*/layouts/*/parts/*/at/back": "figure length",
  "/outings/*/layouts/*/parts/*/at/right": "figure length",
  "/outings/*/layouts/*/parts/*/at/up": "figure length",
  "/outings/*/layouts/*/parts/*/turn": "figure count",
  "/outings/*/layouts/*/placements/*/at/back": "figure length",
  "/outings/*/layouts/*/placements/*/at/right": "figure length",
  "/outings/*/layouts/*/placements/*/at/up": "figure length",
  "/outings/*/layouts/*/placements/*/blocked/takes": "figure mass",
  "/outings/*/layouts/*/placements/*/grip": "figure count",
  "/outings/*/layouts/*/placements/*/turn": "figure count",
  "/outings/*/layouts/*/readings/*/at": "figure length",
  "/outings/*/layouts/*/readings/*/mass": "figure mass",
  "/outings/*/layouts/*/readings/*/plank/span": "figure length",
  "/outings/*/layouts/*/readings/*/plank/to": "figure length",
  "/outings/*/layouts/*/readings/*/plusMinus": "figure mass",
  "/outings/*/layouts/*/readings/*/stood/axleAt": "figure length",
  "/outings/*/layouts/*/readings/*/stood/parts/*/at/back": "figure length",
  "/outings/*/layouts/*/readings/*/stood/parts/*/at/right": "figure length",
  "/outings/*/layouts/*/readings/*/stood/parts/*/at/up": "figure length",
  "/outings/*/layouts/*/readings/*/stood/parts/*/turn": "figure count",
  "/outings/*/layouts/*/readings/*/stood/placements/*/at/back": "figure length",
  "/outings/*/layouts/*/readings/*/stood/placements/*/at/right": "figure length",
  "/outings/*/layouts/*/readings/*/stood/placements/*/at/up": "figure length",
  "/outings/*/layouts/*/readings/*/stood/placements/*/blocked/takes": "figure mass",
  "/outings/*/layouts/*/readings/*/stood/placements/*/grip": "figure count",
  "/outings/*/layouts/*/readings/*/stood/placements/*/turn": "figure count",
  "/outings/*/layouts/*/shift/people": "figure count",
  "/outings/*/layouts/*/shift/planks": "figure length",
  "/outings/*/layouts/*/shift/takes": "figure mass",
  "/outings/*/parked/back": "figure length",
  "/outings/*/parked/extra": "figure mass",
  "/outings/*/parked/foot": "figure length",
  "/outings/*/parked/frontApart": "figure length",
  "/outings/*/parked/frontAt": "figure length",
  "/outings/*/parked/rearApart": "figure length",
  "/outings/*/parked/rearAt": "figure length",
  "/outings/*/parked/right": "figure length",
  "/outings/*/parked/weeks": "figure count",
  "/outings/*/parked/wind": "figure speed",
  "/outings/*/people": "estimate mass",
  "/outings/*/slip/angle": "figure angle",
  "/outings/*/speed": "figure speed",
  "/parts/*/carrier/apart": "figure length",
  "/parts/*/carrier/bar": "figure mass",
  "/parts/*/carrier/clamp": "figure mass",
  "/parts/*/carrier/frontAt": "figure length",
  "/parts/*/carrier/place": "figure mass",
  "/parts/*/carrier/rail/height": "figure length",
  "/parts/*/carrier/rail/lip": "figure length",
  "/parts/*/carrier/rail/perMetre": "figure money",
  "/parts/*/carrier/rail/wall": "figure length",
  "/parts/*/carrier/rail/width": "figure length",
  "/parts/*/carrier/railLength": "figure length",
  "/parts/*/carrier/rails": "figure count",
  "/parts/*/carrier/rearAt": "figure length",
  "/parts/*/carrier/whole": "figure mass",
  "/parts/*/centre/back": "estimate length",
  "/parts/*/centre/right": "estimate length",
  "/parts/*/centre/up": "estimate length",
  "/parts/*/cradle/bowStop": "figure length",
  "/parts/*/cradle/bunks/apart": "figure length",
  "/parts/*/cradle/bunks/from": "figure length",
  "/parts/*/cradle/bunks/to": "figure length",
  "/parts/*/cradle/keel": "figure length",
  "/parts/*/cradle/rollers/*/at": "figure length",
  "/parts/*/cradle/winchAt": "figure length",
  "/parts/*/cradle/winchUp": "figure length",
  "/parts/*/latch/count": "figure count",
  "/parts/*/latch/handle": "figure length",
  "/parts/*/latch/pin": "figure length",
  "/parts/*/latch/play": "figure length",
  "/parts/*/latch/socket": "figure length",
  "/parts/*/latch/takes": "figure mass",
  "/parts/*/latch/up": "figure length",
  "/parts/*/mass": "estimate mass",
  "/parts/*/rack/apart": "figure length",
  "/parts/*/rack/bar/height": "figure length",
  "/parts/*/rack/bar/lip": "figure length",
  "/parts/*/rack/bar/perMetre": "figure money",
  "/parts/*/rack/bar/wall": "figure length",
  "/parts/*/rack/bar/width": "figure length",
  "/parts/*/rack/bolt": "figure length",
  "/parts/*/rack/bolts": "figure count",
  "/parts/*/rack/brace": "figure length",
  "/parts/*/rack/frontAt": "figure length",
  "/parts/*/rack/gauge": "figure length",
  "/parts/*/rack/insert/height": "figure length",
  "/parts/*/rack/insert/lip": "figure length",
  "/parts/*/rack/insert/perMetre": "figure money",
  "/parts/*/rack/insert/wall": "figure length",
  "/parts/*/rack/insert/width": "figure length",
  "/parts/*/rack/joint/count": "figure count",
  "/parts/*/rack/joint/diameter": "figure length",
  "/parts/*/rack/joint/length": "figure length",
  "/parts/*/rack/joint/washer": "figure length",
  "/parts/*/rack/post/height": "figure length",
  "/parts/*/rack/post/lip": "figure length",
  "/parts/*/rack/post/perMetre": "figure money",
  "/parts/*/rack/post/wall": "figure length",
  "/parts/*/rack/post/width": "figure length",
  "/parts/*/rack/posts": "figure count",
  "/parts/*/rack/rearAt": "figure length",
  "/parts/*/rack/tiers/*/length": "figure length",
  "/parts/*/rack/tiers/*/up": "figure length",
  "/parts/*/ramp/gap": "figure length",
  "/parts/*/ramp/length": "figure length",
  "/parts/*/ramp/lip": "figure length",
  "/parts/*/ramp/play": "figure length",
  "/parts/*/ramp/profile/height": "figure length",
  "/parts/*/ramp/profile/lip": "figure length",
  "/parts/*/ramp/profile/perMetre": "figure money",
  "/parts/*/ramp/profile/wall": "figure length",
  "/parts/*/ramp/profile/width": "figure length",
  "/parts/*/ramp/rating": "figure mass",
  "/parts/*/ramp/sides": "figure count",
  "/parts/*/ramp/step": "figure length",
  "/parts/*/ramp/tread/height": "figure length",
  "/parts/*/ramp/tread/lip": "figure length",
  "/parts/*/ramp/tread/perMetre": "figure money",
  "/parts/*/ramp/tread/wall": "figure length",
  "/parts/*/ramp/tread/width": "figure length",
  "/parts/*/ramp/width": "figure length",
  "/parts/*/size/height": "estimate length",
  "/parts/*/size/length": "estimate length",
  "/parts/*/size/width": "estimate length",
  "/parts/*/slots/*/at/back": "figure length",
  "/parts/*/slots/*/at/right": "figure length",
  "/parts/*/slots/*/at/up": "figure length",
  "/parts/*/slots/*/lean": "figure angle",
  "/straps/*/breaks": "figure mass",
  "/straps/*/count": "figure count",
  "/straps/*/kept/revision": "figure count",
  "/straps/*/length": "figure length",
  "/straps/*/limit": "figure mass",
  "/straps/*/pull": "figure mass",
  "/straps/*/width": "figure length",
  "/towVehicles/*/ballBehind": "figure length",
  "/towVehicles/*/ballHeight": "figure length",
  "/towVehicles/*/ballLimit": "figure mass",
  "/towVehicles/*/ballRating": "figure mass",
  "/towVehicles/*/ballSize": "figure length",
  "/towVehicles/*/bedLength": "figure length",
  "/towVehicles/*/bedWidth": "figure length",
  "/towVehicles/*/centreUp": "figure length",
  "/towVehicles/*/eyeAhead": "figure length",
  "/towVehicles/*/eyeUp": "figure length",
  "/towVehicles/*/gateHeight": "figure length",
  "/towVehicles/*/gateReach": "figure length",
  "/towVehicles/*/gross": "figure mass",
  "/towVehicles/*/hitchBall": "figure mass",
  "/towVehicles/*/hitchD": "figure force",
  "/towVehicles/*/hitchTow": "figure mass",
  "/towVehicles/*/kept/revision": "figure count",
  "/towVehicles/*/kerb": "estimate mass",
  "/towVehicles/*/mirrorOut": "figure length",
  "/towVehicles/*/rearEmpty": "estimate mass",
  "/towVehicles/*/rearLimit": "figure mass",
  "/towVehicles/*/rearOverhang": "estimate length",
  "/towVehicles/*/roofLimit": "figure mass",
  "/towVehicles/*/sillUp": "figure length",
  "/towVehicles/*/towBraked": "figure mass",
  "/towVehicles/*/towUnbraked": "figure mass",
  "/towVehicles/*/train": "figure mass",
  "/towVehicles/*/wheelbase": "estimate length",
  "/trailers/*/access/bracket/height": "figure length",
  "/trailers/*/access/bracket/lip": "figure length",
  "/trailers/*/access/bracket/perMetre": "figure money",
  "/trailers/*/access/bracket/wall": "figure length",
  "/trailers/*/access/bracket/width": "figure length",
  "/trailers/*/access/brackets": "figure count",
  "/trailers/*/access/guardRadius": "figure length",
  "/trailers/*/access/guardSkirt": "figure length",
  "/trailers/*/access/guardWide": "figure length",
  "/trailers/*/access/stepApart": "figure length",
  "/trailers/*/access/stepUp": "figure length",
  "/trailers/*/anchors/*/count": "figure count",
  "/trailers/*/anchors/*/rating": "figure mass",
  "/trailers/*/axleGap": "figure length",
  "/trailers/*/axleMoves/max": "figure length",
  "/trailers/*/axleMoves/min": "figure length",
  "/trailers/*/axleMoves/pitch": "figure length",
  "/trailers/*/axleRating": "figure mass",
  "/trailers/*/axles": "figure count",
  "/trailers/*/boardWide": "figure length",
  "/trailers/*/chains": "figure count",
  "/trailers/*/couplingBall": "figure mass",
  "/trailers/*/couplingHeight": "figure length",
  "/trailers/*/couplingRating": "figure mass",
  "/trailers/*/couplingSize": "figure length",
  "/trailers/*/couplingToAxle": "estimate length",
  "/trailers/*/couplingToDeck": "estimate length",
  "/trailers/*/deal/buys/*/hours": "figure time",
  "/trailers/*/deal/buys/*/price": "figure money",
  "/trailers/*/deal/delivery": "figure money",
  "/trailers/*/deal/fetch": "figure money",
  "/trailers/*/deal/hours": "figure time",
  "/trailers/*/deal/offer": "figure money",
  "/trailers/*/deal/office": "figure money",
  "/trailers/*/deal/papersRisk": "figure money",
  "/trailers/*/deal/price": "figure money",
  "/trailers/*/deal/repairs/*/hours": "figure time",
  "/trailers/*/deal/repairs/*/price": "figure money",
  "/trailers/*/deal/tax": "figure share",
  "/trailers/*/deckHeight": "estimate length",
  "/trailers/*/deckLength": "estimate length",
  "/trailers/*/deckWidth": "estimate length",
  "/trailers/*/decking/bearers/*/at": "figure length",
  "/trailers/*/decking/boardLong": "figure length",
  "/trailers/*/decking/carryLong": "figure length",
  "/trailers/*/decking/carryWide": "figure length",
  "/trailers/*/decking/forkPlate": "figure length",
  "/trailers/*/decking/forkThick": "figure length",
  "/trailers/*/decking/gains": "figure count",
  "/trailers/*/decking/gap": "figure length",
  "/trailers/*/decking/kerf": "figure length",
  "/trailers/*/decking/loses": "figure count",
  "/trailers/*/decking/price": "figure money",
  "/trailers/*/decking/proud": "figure length",
  "/trailers/*/decking/rub/height": "figure length",
  "/trailers/*/decking/rub/lip": "figure length",
  "/trailers/*/decking/rub/perMetre": "figure money",
  "/trailers/*/decking/rub/wall": "figure length",
  "/trailers/*/decking/rub/width": "figure length",
  "/trailers/*/decking/screws": "figure length",
  "/trailers/*/decking/sheetLong": "figure length",
  "/trailers/*/decking/sheetWide": "figure length",
  "/trailers/*/drawbar/beams": "figure count",
  "/trailers/*/drawbar/bolt": "figure length",
  "/trailers/*/drawbar/bolts": "figure count",
  "/trailers/*/drawbar/longer": "figure length",
  "/trailers/*/drawbar/overlap": "figure length",
  "/trailers/*/drawbar/profile/height": "figure length",
  "/trailers/*/drawbar/profile/lip": "figure length",
  "/trailers/*/drawbar/profile/perMetre": "figure money",
  "/trailers/*/drawbar/profile/wall": "figure length",
  "/trailers/*/drawbar/profile/width": "figure length",
  "/trailers/*/edgeBase": "figure length",
  "/trailers/*/empty/axle": "reading mass",
  "/trailers/*/empty/axle/at": "figure length",
  "/trailers/*/empty/axle/mass": "figure mass",
  "/trailers/*/empty/axle/plank/span": "figure length",
  "/trailers/*/empty/axle/plank/to": "figure length",
  "/trailers/*/empty/axle/plusMinus": "figure mass",
  "/trailers/*/empty/axleAt": "figure length",
  "/trailers/*/empty/ball": "reading mass",
  "/trailers/*/empty/ball/at": "figure length",
  "/trailers/*/empty/ball/mass": "figure mass",
  "/trailers/*/empty/ball/plank/span": "figure length",
  "/trailers/*/empty/ball/plank/to": "figure length",
  "/trailers/*/empty/ball/plusMinus": "figure mass",
  "/trailers/*/empty/centre": "estimate length",
  "/trailers/*/empty/left": "reading mass",
  "/trailers/*/empty/left/at": "figure length",
  "/trailers/*/empty/left/mass": "figure mass",
  "/trailers/*/empty/left/plank/span": "figure length",
  "/trailers/*/empty/left/plank/to": "figure length",
  "/trailers/*/empty/left/plusMinus": "figure mass",
  "/trailers/*/empty/mass": "estimate mass",
  "/trailers/*/empty/parts/*/at/back": "figure length",
  "/trailers/*/empty/parts/*/at/right": "figure length",
  "/trailers/*/empty/parts/*/at/up": "figure length",
  "/trailers/*/empty/parts/*/turn": "figure count",
  "/trailers/*/empty/right": "reading mass",
  "/trailers/*/empty/right/at": "figure length",
  "/trailers/*/empty/right/mass": "figure mass",
  "/trailers/*/empty/right/plank/span": "figure length",
  "/trailers/*/empty/right/plank/to": "figure length",
  "/trailers/*/empty/right/plusMinus": "figure mass",
  "/trailers/*/fitted/*/at/back": "figure length",
  "/trailers/*/fitted/*/at/right": "figure length",
  "/trailers/*/fitted/*/at/up": "figure length",
  "/trailers/*/fitted/*/turn": "figure count",
  "/trailers/*/floorSpan": "figure length",
  "/trailers/*/floorThick": "figure length",
  "/trailers/*/folded/height": "estimate length",
  "/trailers/*/folded/length": "estimate length",
  "/trailers/*/folded/width": "estimate length",
  "/trailers/*/frame/axleDrop": "figure length",
  "/trailers/*/frame/axleSeat": "figure length",
  "/trailers/*/frame/bars/*/bow": "figure length",
  "/trailers/*/frame/bars/*/have": "figure count",
  "/trailers/*/frame/bars/*/length": "figure length",
  "/trailers/*/frame/bars/*/price": "figure money",
  "/trailers/*/frame/bars/*/profile/height": "figure length",
  "/trailers/*/frame/bars/*/profile/lip": "figure length",
  "/trailers/*/frame/bars/*/profile/perMetre": "figure money",
  "/trailers/*/frame/bars/*/profile/wall": "figure length",
  "/trailers/*/frame/bars/*/profile/width": "figure length",
  "/trailers/*/frame/bars/*/trim": "figure length",
  "/trailers/*/frame/bars/*/wall": "figure length",
  "/trailers/*/frame/bathDeep": "figure length",
  "/trailers/*/frame/bathLong": "figure length",
  "/trailers/*/frame/bathWide": "figure length",
  "/trailers/*/frame/carry": "figure length",
  "/trailers/*/frame/carryMass": "figure mass",
  "/trailers/*/frame/extra": "figure share",
  "/trailers/*/frame/headHoles": "figure length",
  "/trailers/*/frame/headTakes": "figure length",
  "/trailers/*/frame/jockey": "figure length",
  "/trailers/*/frame/jockeyTop": "figure length",
  "/trailers/*/frame/kerf": "figure length",
  "/trailers/*/frame/members/*/bolt": "figure length",
  "/trailers/*/frame/members/*/boltGauge": "figure length",
  "/trailers/*/frame/members/*/bolts": "figure count",
  "/trailers/*/frame/members/*/cuts/*/at": "figure length",
  "/trailers/*/frame/members/*/cuts/*/long": "figure length",
  "/trailers/*/frame/members/*/cuts/*/off": "figure length",
  "/trailers/*/frame/members/*/cuts/*/size": "figure length",
  "/trailers/*/frame/members/*/from/back": "figure length",
  "/trailers/*/frame/members/*/from/right": "figure length",
  "/trailers/*/frame/members/*/from/up": "figure length",
  "/trailers/*/frame/members/*/profile/height": "figure length",
  "/trailers/*/frame/members/*/profile/lip": "figure length",
  "/trailers/*/frame/members/*/profile/perMetre": "figure money",
  "/trailers/*/frame/members/*/profile/wall": "figure length",
  "/trailers/*/frame/members/*/profile/width": "figure length",
  "/trailers/*/frame/members/*/roll": "figure angle",
  "/trailers/*/frame/members/*/to/back": "figure length",
  "/trailers/*/frame/members/*/to/right": "figure length",
  "/trailers/*/frame/members/*/to/up": "figure length",
  "/trailers/*/frame/perKg": "figure money",
  "/trailers/*/frame/springLength": "figure length",
  "/trailers/*/frame/springsApart": "figure length",
  "/trailers/*/frame/twistDip": "figure length",
  "/trailers/*/frame/twistLoad": "figure mass",
  "/trailers/*/gear/arm": "figure length",
  "/trailers/*/gear/circle": "figure length",
  "/trailers/*/gear/eyes": "figure length",
  "/trailers/*/gear/leaf": "figure length",
  "/trailers/*/gear/leafWidth": "figure length",
  "/trailers/*/gear/leaves": "figure count",
  "/trailers/*/gear/seats": "figure length",
  "/trailers/*/gear/spindle": "figure length",
  "/trailers/*/gear/studs": "figure count",
  "/trailers/*/gear/tube/height": "figure length",
  "/trailers/*/gear/tube/lip": "figure length",
  "/trailers/*/gear/tube/perMetre": "figure money",
  "/trailers/*/gear/tube/wall": "figure length",
  "/trailers/*/gear/tube/width": "figure length",
  "/trailers/*/gear/wallLeft": "figure length",
  "/trailers/*/kept/revision": "figure count",
  "/trailers/*/label/value": "figure mass",
  "/trailers/*/onWheels": "figure mass",
  "/trailers/*/pivot": "figure length",
  "/trailers/*/pump/above": "figure length",
  "/trailers/*/pump/couplings": "figure count",
  "/trailers/*/pump/drawsUp": "figure length",
  "/trailers/*/pump/elbows": "figure count",
  "/trailers/*/pump/hoseBore": "figure length",
  "/trailers/*/pump/hoseLong": "figure length",
  "/trailers/*/pump/inBore": "figure length",
  "/trailers/*/pump/inLong": "figure length",
  "/trailers/*/pump/litres": "figure count",
  "/trailers/*/pump/nozzle": "figure length",
  "/trailers/*/pump/nozzleUp": "figure length",
  "/trailers/*/pump/openFlow": "figure count",
  "/trailers/*/pump/points/*/flow": "figure count",
  "/trailers/*/pump/points/*/pressure": "figure pressure",
  "/trailers/*/pump/runsFor": "figure count",
  "/trailers/*/pump/topPressure": "figure pressure",
  "/trailers/*/runningGear": "estimate mass",
  "/trailers/*/secondLink/aside": "figure length",
  "/trailers/*/secondLink/back": "figure length",
  "/trailers/*/secondLink/bolted/bolt": "figure length",
  "/trailers/*/secondLink/bolted/bolts": "figure count",
  "/trailers/*/secondLink/bolted/thick": "figure length",
  "/trailers/*/secondLink/bolted/washer": "figure length",
  "/trailers/*/secondLink/breaks": "figure mass",
  "/trailers/*/secondLink/carAside": "figure length",
  "/trailers/*/secondLink/hook": "figure mass",
  "/trailers/*/secondLink/length": "figure length",
  "/trailers/*/secondLink/thick": "figure length",
  "/trailers/*/secondLink/up": "figure length",
  "/trailers/*/sideHeight": "figure length",
  "/trailers/*/sinks": "figure length",
  "/trailers/*/springRating": "figure mass",
  "/trailers/*/tiePoints/*/at/back": "figure length",
  "/trailers/*/tiePoints/*/at/right": "figure length",
  "/trailers/*/tiePoints/*/at/up": "figure length",
  "/trailers/*/tiePoints/*/fastening/bolt": "figure length",
  "/trailers/*/tiePoints/*/fastening/bolts": "figure count",
  "/trailers/*/tiePoints/*/fastening/thick": "figure length",
  "/trailers/*/tiePoints/*/fastening/washer": "figure length",
  "/trailers/*/tiePoints/*/rating": "figure mass",
  "/trailers/*/tipping/amps": "figure count",
  "/trailers/*/tipping/bore": "figure length",
  "/trailers/*/tipping/closed": "figure length",
  "/trailers/*/tipping/crank": "figure length",
  "/trailers/*/tipping/drum/back": "figure length",
  "/trailers/*/tipping/drum/up": "figure length",
  "/trailers/*/tipping/drumAcross": "figure length",
  "/trailers/*/tipping/flow": "figure count",
  "/trailers/*/tipping/foot/back": "figure length",
  "/trailers/*/tipping/foot/up": "figure length",
  "/trailers/*/tipping/from": "figure length",
  "/trailers/*/tipping/gateOpens": "figure length",
  "/trailers/*/tipping/hinge/back": "figure length",
  "/trailers/*/tipping/hinge/up": "figure length",
  "/trailers/*/tipping/inTheSun": "figure count",
  "/trailers/*/tipping/knee/back": "figure length",
  "/trailers/*/tipping/knee/up": "figure length",
  "/trailers/*/tipping/layers": "figure count",
  "/trailers/*/tipping/leads": "figure count",
  "/trailers/*/tipping/lineMax": "figure mass",
  "/trailers/*/tipping/lineSpeed": "figure count",
  "/trailers/*/tipping/lineThick": "figure length",
  "/trailers/*/tipping/lumps": "figure length",
  "/trailers/*/tipping/mass": "estimate mass",
  "/trailers/*/tipping/open": "figure length",
  "/trailers/*/tipping/packAmps": "figure count",
  "/trailers/*/tipping/parts": "figure count",
  "/trailers/*/tipping/pick/back": "figure length",
  "/trailers/*/tipping/pick/up": "figure length",
  "/trailers/*/tipping/pressure": "figure pressure",
  "/trailers/*/tipping/propMax": "figure mass",
  "/trailers/*/tipping/ratio": "figure count",
  "/trailers/*/tipping/slope": "figure angle",
  "/trailers/*/tipping/stop": "figure angle",
  "/trailers/*/tipping/top/back": "figure length",
  "/trailers/*/tipping/top/up": "figure length",
  "/trailers/*/tipping/winchLifts": "figure mass",
  "/trailers/*/track": "estimate length",
  "/trailers/*/travel": "figure length",
  "/trailers/*/turnTo": "figure angle",
  "/trailers/*/tyreIndex": "figure count",
  "/trailers/*/tyrePressure": "figure pressure",
  "/trailers/*/tyreRating": "figure mass",
  "/trailers/*/tyreSpeed": "figure speed",
  "/trailers/*/wheelDiameter": "figure length",
  "/trailers/*/wheelRoom": "figure length",
  "/trailers/*/widthOverAll": "estimate length",
  "/trailers/*/wiring/brakeWire": "figure count",
  "/trailers/*/wiring/breakaway": "figure count",
  "/trailers/*/wiring/foldAt": "figure length",
  "/trailers/*/wiring/foldOff": "figure length",
  "/trailers/*/wiring/foldTurn": "figure angle",
  "/trailers/*/wiring/fuse": "figure count",
  "/trailers/*/wiring/lamps/*/back": "figure length",
  "/trailers/*/wiring/lamps/*/height": "figure length",
  "/trailers/*/wiring/lamps/*/right": "figure length",
  "/trailers/*/wiring/lamps/*/watts": "figure count",
  "/trailers/*/wiring/lead": "figure length",
  "/trailers/*/wiring/magnetOhms": "figure count",
  "/trailers/*/wiring/magnets": "figure count",
  "/trailers/*/wiring/power/capacity": "figure count",
  "/trailers/*/wiring/power/celsius": "figure count",
  "/trailers/*/wiring/power/chargeLong": "figure length",
  "/trailers/*/wiring/power/chargeWire": "figure count",
  "/trailers/*/wiring/power/fuseAt": "figure length",
  "/trailers/*/wiring/power/uses/*/amps": "figure count",
  "/trailers/*/wiring/power/uses/*/fuse": "figure count",
  "/trailers/*/wiring/power/uses/*/long": "figure length",
  "/trailers/*/wiring/power/uses/*/minutes": "figure count",
  "/trailers/*/wiring/power/uses/*/times": "figure count",
  "/trailers/*/wiring/power/uses/*/wire": "figure count",
  "/trailers/*/wiring/wire": "figure count",
  "/version": "figure count",
  "/wants/*/count": "figure count",
  "/wants/*/distance": "figure distance",
  "/wants/*/height": "figure length",
  "/wants/*/hours": "figure time",
  "/wants/*/mass": "figure mass",
  "/wants/*/money": "figure money",
  "/wants/*/size/height": "estimate length",
  "/wants/*/size/length": "estimate length",
  "/wants/*/size/width": "estimate length",
  "/wants/*/speed": "figure speed"
}

/** The stage, or stage/tab, of fields by the beginning of their path. */
export const stagesByPath: Record<string, string> = {
  "/ballMounts/*": "vehicle",
  "/ballSchool": "balance",
  "/doubts/*": "balance",
  "/loads/*": "job",
  "/loads/*/contents/*": "job",
  "/loads/*/hull/draft": "racks",
  "/loads/*/hull/eyeAt": "racks",
  "/loads/*/hull/eyeUp": "racks",
  "/loads/*/hull/under/*": "racks",
  "/loads/*/mass": "balance",
  "/loads/*/rolling": "ramps",
  "/materials/*": "job",
  "/outings/*": "balance",
  "/outings/*/departures/*": "balance",
  "/outings/*/departures/*/ticks/*": "balance",
  "/outings/*/gear": "job",
  "/outings/*/ground": "vehicle",
  "/outings/*/layouts/*": "balance",
  "/outings/*/layouts/*/lashings/*": "tie",
  "/outings/*/layouts/*/loading": "ramps",
  "/outings/*/layouts/*/parts/*": "balance",
  "/outings/*/layouts/*/placements/*": "balance",
  "/outings/*/layouts/*/readings/*": "balance",
  "/outings/*/layouts/*/readings/*/stood/parts/*": "balance",
  "/outings/*/layouts/*/readings/*/stood/placements/*": "balance",
  "/outings/*/layouts/*/shift": "ramps",
  "/outings/*/parked": "road",
  "/outings/*/people": "job",
  "/outings/*/slip": "racks",
  "/outings/*/vehicle": "job",
  "/parts/*": "balance",
  "/parts/*/carrier": "racks",
  "/parts/*/cradle": "racks",
  "/parts/*/cradle/rollers/*": "racks",
  "/parts/*/latch": "trailer/details",
  "/parts/*/rack": "racks",
  "/parts/*/rack/tiers/*": "racks",
  "/parts/*/ramp": "ramps",
  "/parts/*/slots/*": "racks",
  "/parts/*/undo": "trailer/details",
  "/straps/*": "tie",
  "/tieSchool": "tie",
  "/towVehicles/*": "vehicle",
  "/trailers/*": "trailer/details",
  "/trailers/*/access": "frame",
  "/trailers/*/anchors/*": "trailer/details",
  "/trailers/*/deal": "trailer/money",
  "/trailers/*/deal/buys/*": "trailer/money",
  "/trailers/*/deal/inspected/*": "trailer/money",
  "/trailers/*/deal/repairs/*": "trailer/money",
  "/trailers/*/decking": "frame",
  "/trailers/*/decking/bearers/*": "frame",
  "/trailers/*/drawbar": "racks",
  "/trailers/*/empty/parts/*": "trailer/details",
  "/trailers/*/fitted/*": "trailer/details",
  "/trailers/*/frame": "frame",
  "/trailers/*/frame/bars/*": "frame",
  "/trailers/*/frame/members/*": "frame",
  "/trailers/*/frame/members/*/cuts/*": "frame",
  "/trailers/*/papers": "trailer/money",
  "/trailers/*/pump": "body",
  "/trailers/*/pump/points/*": "body",
  "/trailers/*/tiePoints/*": "tie",
  "/trailers/*/tipping": "body",
  "/trailers/*/wiring": "wiring",
  "/trailers/*/wiring/lamps/*": "wiring",
  "/trailers/*/wiring/power/uses/*": "wiring",
  "/trailers/*/wiring/route/*": "wiring",
  "/wants/*": "job",
  "/wants/*/skills/*": "job"
}

/** What each unit measures, with its size in SI. */
export const units: Record<string, Record<string, number>> = {
  "$": {
    "money": 1
  },
  "%": {
    "share": 0.01
  },
  "a": {
    "current": 1
  },
  "bar": {
    "pressure": 100000
  },
  "cm": {
    "length": 0.01
  },
  "cu ft": {
    "volume": 0.028316846592
  },
  "cu yd": {
    "volume": 0.764554857984
  },
  "dan": {
    "force": 10
  },
  "day": {
    "time": 28800
  },
  "days": {
    "time": 28800
  },
  "deg": {
    "angle": 0.017453292519943295
  },
  "degrees": {
    "angle": 0.017453292519943295
  },
  "feet": {
    "length": 0.3048
  },
  "foot": {
    "length": 0.3048
  },
  "ft": {
    "distance": 0.3048,
    "length": 0.3048
  },
  "ft lb": {
    "moment": 1.3558179483314003
  },
  "ft-lb": {
    "moment": 1.3558179483314003
  },
  "g": {
    "mass": 0.001
  },
  "h": {
    "time": 3600
  },
  "hour": {
    "time": 3600
  },
  "hours": {
    "time": 3600
  },
  "hz": {
    "frequency": 1
  },
  "in": {
    "length": 0.0254
  },
  "inch": {
    "length": 0.0254
  },
  "inches": {
    "length": 0.0254
  },
  "kg": {
    "mass": 1
  },
  "kg/m3": {
    "density": 1
  },
  "kg/m³": {
    "density": 1
  },
  "km": {
    "distance": 1000
  },
  "km/h": {
    "speed": 0.2777777777777778
  },
  "kmh": {
    "speed": 0.2777777777777778
  },
  "kn": {
    "force": 1000
  },
  "knm": {
    "moment": 1000
  },
  "kn·m": {
    "moment": 1000
  },
  "kpa": {
    "pressure": 1000
  },
  "kph": {
    "speed": 0.2777777777777778
  },
  "l": {
    "volume": 0.001
  },
  "lb": {
    "mass": 0.45359237
  },
  "lb ft": {
    "moment": 1.3558179483314003
  },
  "lb/cu ft": {
    "density": 16.018463373960138
  },
  "lbf": {
    "force": 4.4482216152605
  },
  "lbs": {
    "mass": 0.45359237
  },
  "lb·ft": {
    "moment": 1.3558179483314003
  },
  "liter": {
    "volume": 0.001
  },
  "liters": {
    "volume": 0.001
  },
  "litre": {
    "volume": 0.001
  },
  "litres": {
    "volume": 0.001
  },
  "m": {
    "distance": 1,
    "length": 1
  },
  "m/s": {
    "speed": 1
  },
  "m3": {
    "volume": 1
  },
  "mi": {
    "distance": 1609.344
  },
  "mile": {
    "distance": 1609.344
  },
  "miles": {
    "distance": 1609.344
  },
  "min": {
    "time": 60
  },
  "minutes": {
    "time": 60
  },
  "mm": {
    "length": 0.001
  },
  "mph": {
    "speed": 0.44704
  },
  "m³": {
    "volume": 1
  },
  "n": {
    "force": 1
  },
  "nm": {
    "moment": 1
  },
  "n·m": {
    "moment": 1
  },
  "oz": {
    "mass": 0.028349523125
  },
  "psi": {
    "pressure": 6894.757293168361
  },
  "t": {
    "mass": 1000
  },
  "tonne": {
    "mass": 1000
  },
  "tonnes": {
    "mass": 1000
  },
  "uk gal": {
    "volume": 0.00454609
  },
  "uk ton": {
    "mass": 1016.0469088
  },
  "us gal": {
    "volume": 0.003785411784
  },
  "us ton": {
    "mass": 907.18474
  },
  "v": {
    "voltage": 1
  },
  "£": {
    "money": 1
  },
  "°": {
    "angle": 0.017453292519943295
  },
  "€": {
    "money": 1
  }
}

/** Units that mean several, with what to ask. */
export const ambiguous: Record<string, string[]> = {
  "gal": [
    "us gal",
    "uk gal"
  ],
  "gallon": [
    "us gal",
    "uk gal"
  ],
  "gallons": [
    "us gal",
    "uk gal"
  ],
  "ton": [
    "t",
    "us ton",
    "uk ton"
  ],
  "tons": [
    "t",
    "us ton",
    "uk ton"
  ],
  "yard": [
    "cu yd",
    "ft",
    "m"
  ],
  "yards": [
    "cu yd",
    "ft",
    "m"
  ],
  "yd": [
    "cu yd",
    "ft",
    "m"
  ]
}
