'use client'
import Image from 'next/image'
import { useEffect, useState } from 'react'
import type { Units } from '@/words/units'
import { saidOf, send, sendBytes } from '../shell/client'

export interface ShownPhoto {
  readonly id: string
  readonly item: string
  readonly width: number
  readonly height: number
}

/** The longer side that is sent, pixels: more is not kept. */
const SIDE_PX = 1600

/** A picture as it is sent: upright and no larger than it is kept. */
async function shrunk(file: File): Promise<Blob | undefined> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined)
  if (!bitmap) return undefined
  const by = Math.min(1, SIDE_PX / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * by))
  canvas.height = Math.max(1, Math.round(bitmap.height * by))
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return new Promise((done) => canvas.toBlob((blob) => done(blob ?? undefined), 'image/jpeg', 0.85))
}

/** Pictures of one roast: those there are, and one more from this device. */
export function Photos({
  kitchen,
  cookId,
  item,
  title,
  units,
}: {
  readonly kitchen: string
  readonly cookId: string
  readonly item: string
  readonly title: string
  readonly units: Units
}) {
  const [photos, setPhotos] = useState<readonly ShownPhoto[]>([])
  const [said, setSaid] = useState('')
  const address = `/api/k/${kitchen}/cooks/${cookId}/photos`
  useEffect(() => {
    let here = true
    void send<readonly ShownPhoto[]>(address, 'GET').then((kept) => {
      if (here && kept.ok) setPhotos(kept.value.filter((each) => each.item === item))
    })
    return () => {
      here = false
    }
  }, [address, item])
  const add = async (file: File | undefined) => {
    if (!file) return
    setSaid('One moment …')
    const picture = await shrunk(file)
    if (!picture) return setSaid('This device cannot open that file as a picture: choose a JPEG, PNG or WebP.')
    const kept = await sendBytes<ShownPhoto>(`${address}?item=${encodeURIComponent(item)}`, picture, picture.type)
    if (!kept.ok) return setSaid(`Not kept; the picture is still on this device. ${saidOf(kept, units)}`)
    setPhotos((last) => [...last.filter(({ id }) => id !== kept.value.id), kept.value])
    setSaid('')
  }
  const remove = async (id: string) => {
    const gone = await send(`/api/k/${kitchen}/photos/${id}`, 'DELETE')
    if (gone.ok) setPhotos((last) => last.filter((each) => each.id !== id))
    setSaid(gone.ok ? '' : `Still there. ${saidOf(gone, units)}`)
  }
  return (
    <div className="mt-3" data-testid="photos">
      <div className="flex flex-wrap items-end gap-3">
        {photos.map((photo) => (
          <figure key={photo.id} className="relative">
            <Picture kitchen={kitchen} photo={photo} title={title} className="h-28" />
            <button
              type="button"
              className="min-h-11 text-base underline underline-offset-4"
              onClick={() => void remove(photo.id)}
            >
              Take it away
            </button>
          </figure>
        ))}
        <label className="inline-flex min-h-14 cursor-pointer items-center rounded-2xl border-2 border-dashed border-line px-5 text-lg focus-within:border-copper hover:border-copper">
          {photos.length === 0 ? 'Add a picture' : 'Another picture'}
          <input
            type="file"
            className="sr-only"
            accept="image/jpeg,image/png,image/webp"
            aria-label={`Add a picture: ${title}`}
            onChange={(event) => {
              void add(event.target.files?.[0])
              event.target.value = ''
            }}
          />
        </label>
      </div>
      <p role="status" className="min-h-6 text-base text-soft">
        {said}
      </p>
    </div>
  )
}

/** One picture, opened large by a tap. */
export function Picture({
  kitchen,
  photo,
  title,
  className,
}: {
  readonly kitchen: string
  readonly photo: ShownPhoto
  readonly title: string
  readonly className: string
}) {
  const address = `/api/k/${kitchen}/photos/${photo.id}`
  return (
    <a href={address} target="_blank" rel="noreferrer">
      {/* It is kept small already: nothing makes it smaller on the way. */}
      <Image
        unoptimized
        src={address}
        alt={`${title}, as it came out`}
        width={photo.width}
        height={photo.height}
        loading="lazy"
        className={`w-auto rounded-2xl border border-line object-cover ${className}`}
      />
    </a>
  )
}
