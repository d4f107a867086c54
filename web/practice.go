package web

import (
	"encoding/json"
	"errors"
	"net/url"
	"strings"
	"time"

	"github.com/fasthttp/websocket"
	"github.com/gofiber/fiber/v3"

	"zygonos/core/plan"
	"zygonos/core/practice"
	"zygonos/core/review"
	"zygonos/core/rig"
)

// PracticeAsked asks for the next case, or brings an answer. The plan is that of which cases may be made; none is needed.
type PracticeAsked struct {
	Progress *practice.Progress `json:"progress"`
	Plan     *plan.Plan         `json:"plan,omitempty"`
	Today    string             `json:"today"`
	Only     string             `json:"only,omitempty"` // topic
	Topic    string             `json:"topic,omitempty"`
	Seed     uint64             `json:"seed,omitempty"`
	Level    int                `json:"level,omitempty"`
	Chosen   int                `json:"chosen,omitempty"`
	Figure   float64            `json:"figure,omitempty"` // SI, where one is asked for
}

// PracticeCase is the next case.
type PracticeCase struct {
	Session *practice.Session `json:"session"`
	Case    *practice.Case    `json:"case"`
}

// PracticeTruth is the truth of a case, with the progress after it.
type PracticeTruth struct {
	Truth    *practice.Truth    `json:"truth"`
	Progress *practice.Progress `json:"progress"`
}

func practiceAsked(c fiber.Ctx) (a PracticeAsked, err error) {
	if err = strictly(c.Body(), &a); err != nil {
		return a, err
	}
	if _, err := time.Parse(time.DateOnly, a.Today); err != nil {
		return a, fiber.NewError(fiber.StatusUnprocessableEntity, "The day is not entered.")
	}
	a.Progress = practice.Tidy(a.Progress)
	if a.Plan != nil {
		review.Ready(a.Plan)
	}
	return a, nil
}

func practiceNext(c fiber.Ctx) error {
	a, err := practiceAsked(c)
	if err != nil {
		return err
	}
	s := practice.Next(a.Progress, a.Today, a.Only)
	deal, ok := practice.Deal(s.Topic, s.Seed, s.Level, a.Plan)
	if !ok {
		return fiber.NewError(fiber.StatusUnprocessableEntity, "There is no such topic.")
	}
	return c.JSON(PracticeCase{s, deal})
}

func practiceAnswer(c fiber.Ctx) error {
	a, err := practiceAsked(c)
	if err != nil {
		return err
	}
	t, ok := practice.Judge(a.Topic, a.Seed, a.Level, a.Plan, a.Chosen, a.Figure)
	if !ok {
		return fiber.NewError(fiber.StatusUnprocessableEntity, "There is no such case.")
	}
	return c.JSON(PracticeTruth{t, practice.Answered(a.Progress, a.Topic, a.Today, t.Correct)})
}

// DriveAsked begins a drive: a plan's rig, or a typical one, and a task.
type DriveAsked struct {
	Plan    *plan.Plan      `json:"plan,omitempty"`
	Outing  string          `json:"outing,omitempty"`
	Trailer string          `json:"trailer,omitempty"`
	Task    string          `json:"task"`
	Longer  float64         `json:"longer,omitempty"` // m, of its drawbar
	Hands   []practice.Hand `json:"hands,omitempty"`  // of a run that is seen again
}

// mostLonger is how much longer a drawbar may be tried, m, and mostHands how many moves a run may have.
const (
	mostLonger = 3.0
	mostHands  = 20_000
)

func (a *DriveAsked) scene() (practice.Outline, practice.Task, bool) {
	var r *rig.Rig
	if a.Plan != nil {
		review.Ready(a.Plan)
		r = rig.Resolve(a.Plan, a.Trailer, a.Outing)
	}
	o := practice.OutlineOf(r, min(mostLonger, max(0, a.Longer)))
	t, ok := practice.TaskOf(a.Task, &o)
	return o, t, ok
}

// DriveScene is what there is to drive.
type DriveScene struct {
	Outline practice.Outline `json:"outline"`
	Tasks   []practice.Task  `json:"tasks"`
}

func driveScene(c fiber.Ctx) error {
	var a DriveAsked
	if err := strictly(c.Body(), &a); err != nil {
		return err
	}
	o, _, _ := a.scene()
	out := DriveScene{Outline: o, Tasks: []practice.Task{}}
	for _, id := range practice.TaskIDs {
		t, _ := practice.TaskOf(id, &o)
		out.Tasks = append(out.Tasks, t)
	}
	return c.JSON(out)
}

// DriveReplay is a run seen again.
type DriveReplay struct {
	Seen  []practice.Seen `json:"seen"`
	Score practice.Score  `json:"score"`
}

func driveReplay(c fiber.Ctx) error {
	var a DriveAsked
	if err := strictly(c.Body(), &a); err != nil {
		return err
	}
	o, t, ok := a.scene()
	if !ok || len(a.Hands) > mostHands {
		return fiber.NewError(fiber.StatusUnprocessableEntity, "There is no such task.")
	}
	seen, score := practice.Replay(t, o, a.Hands)
	return c.JSON(DriveReplay{seen, score})
}

// DriveLine is one message of a drive: where it stands, or how it went.
type DriveLine struct {
	Seen  *practice.Seen  `json:"seen,omitempty"`
	Score *practice.Score `json:"score,omitempty"`
	Hands []practice.Hand `json:"hands,omitempty"`
	Wrong string          `json:"wrong,omitempty"`
}

// DriveHands is what the driver does from now on, in hundredths.
type DriveHands struct {
	Steer int  `json:"steer"`
	Pedal int  `json:"pedal"`
	Stop  bool `json:"stop,omitempty"`
}

// Figures of a drive.
const (
	driveTick  = time.Second / 60
	driveWrite = 5 * time.Second
	driveFirst = 10 * time.Second // until the first message
	mostDrives = 8
)

var upgrader = websocket.FastHTTPUpgrader{
	HandshakeTimeout: driveFirst,
	CheckOrigin:      nil, // its own: the origin's host is the one that was called
}

// drive streams a drive over a socket: the first message says what is driven, then hands come and places go, sixty a
// second. It ends when it is done, when the driver stops or leaves, or after five minutes.
func (s *server) drive(c fiber.Ctx) error {
	if o := c.Get(fiber.HeaderOrigin); o != "" {
		if u, err := url.Parse(o); err != nil || !strings.EqualFold(u.Host, c.Host()) {
			return fiber.NewError(fiber.StatusForbidden, "The request came from another page.")
		}
	}
	if !websocket.FastHTTPIsWebSocketUpgrade(c.RequestCtx()) {
		return fiber.NewError(fiber.StatusUpgradeRequired, "A drive goes over a socket.")
	}
	select {
	case s.drives <- struct{}{}:
	default:
		return errCrowded
	}
	err := upgrader.Upgrade(c.RequestCtx(), func(conn *websocket.Conn) {
		defer func() { <-s.drives }()
		s.driven(conn) // the server closes the connection, once, when this returns: nothing may read it then
	})
	if err != nil {
		<-s.drives
	}
	return err
}

func (s *server) driven(conn *websocket.Conn) {
	tell := func(l DriveLine) bool {
		conn.SetWriteDeadline(time.Now().Add(driveWrite)) // the write tells
		return conn.WriteJSON(l) == nil
	}
	conn.SetReadLimit(plan.MaxBytes + smallBody)
	conn.SetReadDeadline(time.Now().Add(driveFirst)) // the read tells
	_, first, err := conn.ReadMessage()
	if err != nil {
		return
	}
	var a DriveAsked
	if err := strictly(first, &a); err != nil {
		tell(DriveLine{Wrong: err.Error()})
		return
	}
	o, t, ok := a.scene()
	if !ok {
		tell(DriveLine{Wrong: "There is no such task."})
		return
	}
	conn.SetReadLimit(1 << 10)
	conn.SetReadDeadline(time.Time{}) // the read tells
	hands := make(chan DriveHands, 1)
	gone := make(chan struct{})
	defer func() { // the reader ends before the connection is given back
		conn.SetReadDeadline(time.Now())
		<-gone
	}()
	go func() {
		defer close(gone)
		for {
			var h DriveHands
			if err := conn.ReadJSON(&h); err != nil {
				var syntax *json.SyntaxError
				if errors.As(err, &syntax) {
					continue
				}
				return
			}
			for sent := false; !sent; {
				select {
				case hands <- h:
					sent = true
				default: // the latest counts
					select {
					case <-hands:
					default:
					}
				}
			}
		}
	}()
	d := practice.NewDriver(t, o)
	tick := time.NewTicker(driveTick)
	defer tick.Stop()
	for stopped := false; !d.Ended() && !stopped; {
		select {
		case <-gone:
			return
		case <-s.end.Done():
			return
		case h := <-hands:
			d.Steer(h.Steer, h.Pedal)
			stopped = h.Stop
			continue
		case <-tick.C:
		}
		seen := d.Next()
		if !tell(DriveLine{Seen: &seen}) {
			return
		}
	}
	score := d.Score()
	tell(DriveLine{Score: &score, Hands: d.Hands()})
}
