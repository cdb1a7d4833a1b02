import { createHash } from 'node:crypto'
import sharp from 'sharp'

/** A picture made anew from what was sent: upright, small, and without where, when and with what it was taken. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly hash: string
  readonly picture: Buffer
}

/** The longer side of a picture that is kept, pixels. */
const SIDE_PX = 1600
/** More pixels than any telephone takes are no photograph but a trap. */
const MOST_PIXELS = 60_000_000
const KINDS: ReadonlySet<string> = new Set(['jpeg', 'png', 'webp'])

/** Reads, turns upright, shrinks and encodes; undefined for what is no JPEG, PNG or WebP picture. */
export async function pictureOf(sent: Buffer): Promise<Picture | undefined> {
  try {
    const image = sharp(sent, { limitInputPixels: MOST_PIXELS, failOn: 'error', animated: false })
    if (!KINDS.has((await image.metadata()).format ?? '')) return undefined
    const { data, info } = await image
      .rotate()
      .resize({ width: SIDE_PX, height: SIDE_PX, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80 })
      .toBuffer({ resolveWithObject: true })
    return {
      width: info.width,
      height: info.height,
      hash: createHash('sha256').update(data).digest('hex'),
      picture: data,
    }
  } catch {
    return undefined
  }
}

/** A picture that says it was kept already: taken as it is where it is one of ours, made anew where it is not. */
export async function pictureAsKept(bytes: Buffer): Promise<Picture | undefined> {
  const { format, width, height, exif, xmp, icc } = (await sharp(bytes, { limitInputPixels: MOST_PIXELS })
    .metadata()
    .catch(() => undefined)) ?? { format: undefined }
  const ours = format === 'webp' && width !== undefined && height !== undefined && !exif && !xmp && !icc
  if (!ours || Math.max(width, height) > SIDE_PX || bytes.length > MOST_KEPT) return pictureOf(bytes)
  return { width, height, hash: createHash('sha256').update(bytes).digest('hex'), picture: bytes }
}
const MOST_KEPT = 1_900_000
