// A photo made small and upright on this device, before it goes to the server: the place where it was
// taken and all else in its file stays here.
const side = 1600 // pixels of the longer side

export async function small(file: Blob): Promise<Blob> {
  let picture: ImageBitmap
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
  } catch {
    throw new Error('This photo cannot be read: use JPEG, PNG or WebP.')
  }
  const scale = Math.min(1, side / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (b) => (b ? resolve(b) : reject(new Error('The photo cannot be made smaller.'))),
      'image/jpeg',
      0.85,
    ),
  )
}
