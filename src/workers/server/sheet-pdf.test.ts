import { inflateSync } from 'node:zlib'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Sheet, sheetPdf } from './sheet-pdf'

const sheet = (rows: readonly (readonly string[])[]): Sheet => ({
  title: 'Food-safety record',
  under: 'Tern Point, Thursday 26 November 2026',
  columns: [
    { name: 'At', share: 1 },
    { name: 'What', share: 4 },
  ],
  rows: rows.map((cells) => ({ cells, strong: false })),
  foot: ['Last seal 0123'],
  sign: ['Checked and signed', 'Date'],
  made: '2026-11-26T12:00:00Z',
})

/** The text of a PDF, by the maps from glyphs to characters that each of its fonts carries. */
function textOf(pdf: Uint8Array): { text: string; pages: number } {
  const raw = Buffer.from(pdf).toString('latin1')
  const objects = new Map<number, string>()
  for (const [, id, body] of raw.matchAll(/(\d+) 0 obj\n([\s\S]*?)\nendobj/g)) objects.set(Number(id), body as string)
  const streamOf = (body: string | undefined) => {
    const found = body && /stream\n([\s\S]*?)\nendstream/.exec(body)?.[1]
    return found === undefined || found === '' ? '' : inflateSync(Buffer.from(found, 'latin1')).toString('latin1')
  }
  const maps = new Map<string, Map<number, string>>()
  const fontsIn = (body: string) => {
    for (const [, name, ref] of body.matchAll(/\/(F\d+) (\d+) 0 R/g)) {
      const unicode = /\/ToUnicode (\d+) 0 R/.exec(objects.get(Number(ref)) ?? '')?.[1]
      const map = new Map<number, string>()
      for (const [, from, list] of streamOf(objects.get(Number(unicode))).matchAll(
        /<([0-9a-f]+)> <[0-9a-f]+> \[([^\]]*)\]/gi,
      ))
        for (const [i, code] of [...(list as string).matchAll(/<([0-9a-f ]+)>/gi)].entries())
          map.set(
            Number.parseInt(from as string, 16) + i,
            String.fromCharCode(...(code[1]?.match(/[0-9a-f]{4}/gi) ?? []).map((unit) => Number.parseInt(unit, 16))),
          )
      maps.set(name as string, map)
    }
  }
  for (const body of objects.values()) if (body.includes('/Font')) fontsIn(body)
  let text = ''
  let pages = 0
  for (const body of objects.values()) {
    if (!/\/Type \/Page\b/.test(body)) continue
    pages++
    const content = streamOf(objects.get(Number(/\/Contents (\d+) 0 R/.exec(body)?.[1])))
    let font: Map<number, string> | undefined
    for (const [, name, glyphs] of content.matchAll(/\/(F\d+) [\d.]+ Tf|\[([^\]]*)\] TJ/g)) {
      if (name) font = maps.get(name)
      for (const [, hex] of (glyphs ?? '').matchAll(/<([0-9a-f]+)>/gi))
        for (const code of (hex as string).match(/.{4}/g) ?? []) text += font?.get(Number.parseInt(code, 16)) ?? ''
    }
    text += '\n'
  }
  return { text, pages }
}

const LATIN_1 = Array.from({ length: 0xff - 0x20 + 1 }, (_, i) => i + 0x20)
  .filter((code) => (code < 0x7f || code > 0xa0) && code !== 0xad)
  .map((code) => String.fromCodePoint(code))

describe('a sheet as PDF', () => {
  it('holds all of Latin-1, and Polish, Turkish, Vietnamese, Greek, Cyrillic and Hindi beside it', async () => {
    const { text } = textOf(await sheetPdf(sheet(LATIN_1.map((character) => ['12:00', `a${character}b`]))))
    for (const character of LATIN_1) expect(text).toContain(character.trim() === '' ? 'b' : character)
    const words = ['Żółć', 'Iğdır', 'Phở bò', 'Γιουβέτσι', 'Борщ', 'हलवा']
    const more = textOf(await sheetPdf(sheet(words.map((word) => ['12:00', word])))).text
    for (const word of words.slice(0, 5)) expect(more).toContain(word)
    expect(more).toContain('ह')
  })

  it('a character that no face has is said to be one, and nothing is lost beside it', async () => {
    const { text } = textOf(await sheetPdf(sheet([['12:00', 'soup 湯 warm']])))
    expect(text).toContain('soup')
    expect(text).toContain('warm')
    expect(text).not.toContain('湯')
  })

  it('goes on over as many pages as it takes, and long words are broken', async () => {
    const { pages, text } = textOf(await sheetPdf(sheet(Array.from({ length: 90 }, (_, i) => [`${i}`, 'Walk-in']))))
    expect(pages).toBeGreaterThan(2)
    expect(text).toContain('89')
    const long = textOf(await sheetPdf(sheet([['12:00', 'x'.repeat(900)]])))
    expect(long.text.match(/x/g)).toHaveLength(900)
  })

  it('any words make a sheet, soon', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.array(fc.string({ unit: 'binary', maxLength: 60 }), { minLength: 0, maxLength: 3 }), {
          maxLength: 6,
        }),
        async (rows) => {
          const pdf = await sheetPdf(sheet(rows))
          expect(Buffer.from(pdf.slice(0, 5)).toString()).toBe('%PDF-')
        },
      ),
      { seed: 2613, numRuns: 25, interruptAfterTimeLimit: 20_000 },
    )
  })
})
