/** Vectors drawn to pixels by the browser. */

/** @param width px of the canvas that the whole picture fills @throws when it is no picture */
export async function canvasOf(svg: string, width: number, height: number): Promise<HTMLCanvasElement> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = width
    canvas.height = height
    canvas.getContext('2d', { willReadFrequently: true })!.drawImage(image, 0, 0, width, height)
    return canvas
  } finally {
    URL.revokeObjectURL(url)
  }
}

export const pixelsIn = (
  canvas: HTMLCanvasElement,
  x = 0,
  y = 0,
  width = canvas.width,
  height = canvas.height,
) => canvas.getContext('2d')!.getImageData(x, y, width, height)
