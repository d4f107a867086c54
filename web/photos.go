package web

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/jpeg"
	_ "image/png" // a format that is read

	"github.com/gofiber/fiber/v3"
	"golang.org/x/image/draw"
	_ "golang.org/x/image/webp" // a format that is read

	"zygonos/store"
)

// Bounds of a photo.
const (
	mostPhotoBytes = 12 << 20
	mostPhotoSide  = 12_000     // pixels
	mostPixels     = 50_000_000 // unpacked they take four bytes each
	keptSide       = 1600       // pixels of the longer side that are kept
	quality        = 82
)

// PhotoKept is the size of a photo as it is kept.
type PhotoKept struct {
	ID   string `json:"id"`
	Wide int    `json:"wide"`
	High int    `json:"high"`
}

func unusable(says string, args ...any) error {
	return fiber.NewError(fiber.StatusUnprocessableEntity, fmt.Sprintf(says, args...))
}

// pictureSize reads a picture's header; one that is too large is refused before it is unpacked.
func pictureSize(data []byte) (wide, high int, err error) {
	cfg, _, err := image.DecodeConfig(bytes.NewReader(data))
	switch {
	case err != nil:
		return 0, 0, unusable("This is no photo that can be read: JPEG, PNG or WebP.")
	case cfg.Width > mostPhotoSide || cfg.Height > mostPhotoSide || cfg.Width*cfg.Height > mostPixels:
		return 0, 0, unusable("The photo has %d × %d pixels; it may have %d on a side and 50 million in all.",
			cfg.Width, cfg.Height, mostPhotoSide)
	case cfg.Width < 1 || cfg.Height < 1:
		return 0, 0, unusable("The photo is empty.")
	}
	return cfg.Width, cfg.Height, nil
}

// reencoded is a picture again, no larger than is kept, on white: what else stood in its file, such as the place where it was
// taken, is gone. A JPEG is expected turned upright.
func reencoded(data []byte) (picture []byte, wide, high int, err error) {
	if wide, high, err = pictureSize(data); err != nil {
		return nil, 0, 0, err
	}
	src, _, err := image.Decode(bytes.NewReader(data))
	if err != nil {
		return nil, 0, 0, unusable("The photo is damaged.")
	}
	if longer := max(wide, high); longer > keptSide {
		wide, high = max(1, wide*keptSide/longer), max(1, high*keptSide/longer)
	}
	dst := image.NewRGBA(image.Rect(0, 0, wide, high))
	draw.Draw(dst, dst.Bounds(), image.NewUniform(color.White), image.Point{}, draw.Src)
	draw.CatmullRom.Scale(dst, dst.Bounds(), src, src.Bounds(), draw.Over, nil)
	var out bytes.Buffer
	if err := jpeg.Encode(&out, dst, &jpeg.Options{Quality: quality}); err != nil {
		return nil, 0, 0, err
	}
	return out.Bytes(), wide, high, nil
}

func (s *server) addPhoto(c fiber.Ctx) error {
	planID, own, err := ids(c, "photo")
	if err != nil {
		return err
	}
	if len(c.Body()) > mostPhotoBytes {
		return fiber.NewError(fiber.StatusRequestEntityTooLarge, "A photo may have 12 MB.")
	}
	leave, err := s.lanes.studies.enter(c.Context()) // unpacking takes memory and time
	if err != nil {
		return err
	}
	picture, wide, high, err := reencoded(c.Body())
	leave()
	if err != nil {
		return err
	}
	if err := s.store.AddPhoto(c.Context(), store.Photo{Plan: planID, ID: own, Wide: wide, High: high, Picture: picture}); err != nil {
		return err
	}
	return c.JSON(PhotoKept{own, wide, high})
}

func (s *server) photo(c fiber.Ctx) error {
	planID, own, err := ids(c, "photo")
	if err != nil {
		return err
	}
	p, err := s.store.Photo(c.Context(), planID, own)
	switch {
	case errors.Is(err, store.ErrNotFound):
		return fiber.NewError(fiber.StatusNotFound, "There is no such photo.")
	case err != nil:
		return err
	case p.Picture == nil:
		return fiber.NewError(fiber.StatusInternalServerError, "This photo is damaged on the disk.")
	}
	c.Set(fiber.HeaderContentType, "image/jpeg")
	c.Set(fiber.HeaderCacheControl, "private, max-age=31536000, immutable") // a photo never changes
	return c.Send(p.Picture)
}

func (s *server) removePhoto(c fiber.Ctx) error  { return s.setPhotoGone(c, true) }
func (s *server) restorePhoto(c fiber.Ctx) error { return s.setPhotoGone(c, false) }

func (s *server) setPhotoGone(c fiber.Ctx, gone bool) error {
	planID, own, err := ids(c, "photo")
	if err != nil {
		return err
	}
	err = s.store.SetPhotoDeleted(c.Context(), planID, own, gone)
	if errors.Is(err, store.ErrNotFound) {
		return fiber.NewError(fiber.StatusNotFound, "There is no such photo.")
	}
	if err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}
