/** A drawing as a picture; null where this browser cannot make one. @param sharpness pixels of it for one of the drawing */
export async function pngOf(
  { text, width, height }: { text: string; width: number; height: number },
  sharpness = 1,
): Promise<Blob | null> {
  const image = new Image()
  const loaded = new Promise<boolean>((resolve) => {
    image.onload = () => resolve(true)
    image.onerror = () => resolve(false)
  })
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`
  if (!(await loaded)) return null
  const canvas = Object.assign(document.createElement('canvas'), {
    width: Math.round(width * sharpness),
    height: Math.round(height * sharpness),
  })
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/png'))
}
