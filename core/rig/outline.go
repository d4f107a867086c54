package rig

import (
	"slices"

	"zygonos/core/facts/silhouette"
	"zygonos/core/lang/scene"
)

// figure is what the item looks like; what a load is filled with goes before its kind.
func (i *Item) figure() *silhouette.Figure {
	switch {
	case i.Part:
		return nil
	case i.Lot != nil && i.Lot.Shape == i.Shape && i.Shape == "heap":
		return silhouette.Of("heap", i.Shape)
	case i.Load != nil:
		return silhouette.Of(i.Load.Kind, i.Shape)
	}
	return silhouette.Of("", i.Shape)
}

// outline draws the item from the trailer's left side or from behind; what is turned is seen
// from the side that it shows.
func (i *Item) outline(side bool) []scene.Shape {
	a, b := i.Left, i.Right
	if side {
		a, b = i.Front, i.Rear
	}
	f := i.figure()
	if f == nil {
		return []scene.Shape{scene.Rect(i.class(), i.Path, a, -i.Top, b, -i.Bottom)}
	}
	along := i.Turn%180 == 0 // its length lies along the trailer
	strokes, mirrored := f.Rear, i.Turn == 180
	switch {
	case side && along:
		strokes = f.Side
	case side: // turned to the right it shows its rear, turned to the left its front
		mirrored = i.Turn == 270
	case !along: // from behind one sees its side
		strokes, mirrored = f.Side, i.Turn == 90
	}
	h := i.Top - i.Bottom
	return i.paint(strokes, h, func(p scene.Point) scene.Point {
		u := p[0]
		if mirrored {
			u = 1 - u
		}
		return scene.Point{a + u*(b-a), -(i.Bottom + p[1]*h)}
	})
}

// Profile draws a load as it is seen from its left, without wheels: at places shares of its length
// behind its front and of its height above its underside.
func (i *Item) Profile(at func(scene.Point) scene.Point) []scene.Shape {
	f := i.figure()
	if f == nil {
		return nil
	}
	body := slices.DeleteFunc(slices.Clone(f.Side), func(s silhouette.Stroke) bool { return s.Tone == silhouette.Wheel })
	out := i.paint(body, i.Top-i.Bottom, at)
	for k := range out {
		out[k].Thing = ""
	}
	return out
}

// plan draws the item from above.
func (i *Item) plan() []scene.Shape {
	f := i.figure()
	if f == nil {
		return []scene.Shape{scene.Rect(i.class(), i.Path, i.Front, i.Left, i.Rear, i.Right)}
	}
	long, wide := i.Rear-i.Front, i.Right-i.Left
	return i.paint(f.Top, min(long, wide), func(p scene.Point) scene.Point {
		u, v := p[0], p[1]
		switch i.Turn { // clockwise from above: what was its front looks to the right at 90
		case 90:
			u, v = v, 1-u
		case 180:
			u, v = 1-u, 1-v
		case 270:
			u, v = 1-v, u
		}
		return scene.Point{i.Front + u*long, i.Left + v*wide}
	})
}

// classes of a load's strokes beside its body.
var classes = map[silhouette.Tone]string{
	silhouette.Dark: "load-dark", silhouette.Wheel: "load-dark", silhouette.Light: "load-light",
	silhouette.Line: "load-line", silhouette.Ring: "load-line",
}

// paint scales strokes to the item; radii are shares of full.
func (i *Item) paint(strokes []silhouette.Stroke, full float64, at func(scene.Point) scene.Point) []scene.Shape {
	out := make([]scene.Shape, 0, len(strokes))
	for _, s := range strokes {
		shape := scene.Shape{Form: scene.Polygon, Class: classes[s.Tone], Thing: i.Path, Radius: s.Radius * full}
		switch s.Tone {
		case silhouette.Body:
			shape.Class = i.class()
		case silhouette.Line:
			shape.Form = scene.Polyline
		case silhouette.Wheel, silhouette.Ring:
			shape.Form = scene.Circle
		}
		for _, p := range s.Points {
			shape.Points = append(shape.Points, at(p))
		}
		out = append(out, shape)
	}
	return out
}
