import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import PDFDocument from 'pdfkit'

/** A sheet with one table, to be printed and signed: plain words in, PDF out. */

export interface Sheet {
  readonly title: string
  readonly under: string
  readonly columns: readonly { readonly name: string; readonly share: number }[]
  readonly rows: readonly { readonly cells: readonly string[]; readonly strong: boolean }[]
  readonly foot: readonly string[]
  /** Where somebody signs. */
  readonly sign: readonly string[]
  readonly made: string
}

/** Subsets of the typeface that ships with the application: each character is set in the first that has it. */
const SUBSETS = ['latin', 'latin-ext', 'vietnamese', 'greek', 'greek-ext', 'cyrillic', 'cyrillic-ext', 'devanagari']
const WEIGHTS = { plain: 400, strong: 700 } as const
type Weight = keyof typeof WEIGHTS
/** Stands for a character that none of them has. */
const UNKNOWN = '□'

interface Face {
  readonly name: string
  readonly has: (codePoint: number) => boolean
}

const MARGIN = 42
const TEXT = 9
const LINE = 13

function facesOf(document: PDFKit.PDFDocument): Readonly<Record<Weight, readonly Face[]>> {
  const folder = join(
    createRequire(join(process.cwd(), 'package.json')).resolve('@fontsource/noto-sans/package.json'),
    '..',
  )
  const faces = (weight: Weight) =>
    SUBSETS.map((subset): Face => {
      const name = `${subset}-${weight}`
      document.registerFont(
        name,
        readFileSync(join(folder, `files/noto-sans-${subset}-${WEIGHTS[weight]}-normal.woff`)),
      )
      document.font(name)
      const { font } = (document as unknown as { _font: { font: { hasGlyphForCodePoint: (code: number) => boolean } } })
        ._font
      return { name, has: (code) => font.hasGlyphForCodePoint(code) }
    })
  return { plain: faces('plain'), strong: faces('strong') }
}

interface Run {
  readonly face: string
  readonly text: string
}

/** A text as stretches of one face each. */
function runsOf(text: string, faces: readonly Face[]): Run[] {
  const runs: { face: string; text: string }[] = []
  for (const character of text.normalize('NFC')) {
    const code = character.codePointAt(0) as number
    const face = faces.find(({ has }) => has(code))
    const shown = face ? character : UNKNOWN
    const name = (face ?? faces.find(({ has }) => has(UNKNOWN.codePointAt(0) as number)) ?? (faces[0] as Face)).name
    const last = runs.at(-1)
    if (last?.face === name) last.text += shown
    else runs.push({ face: name, text: shown })
  }
  return runs
}

/** Typesets a sheet on A4 across, as many pages as it takes, the head of the table on each. */
export async function sheetPdf(sheet: Sheet): Promise<Uint8Array> {
  const document = new PDFDocument({
    size: 'A4',
    layout: 'landscape',
    margin: MARGIN,
    bufferPages: true,
    info: { Title: sheet.title, Creator: 'Pheasant', CreationDate: new Date(sheet.made) },
    lang: 'en',
  })
  const chunks: Buffer[] = []
  const done = new Promise<void>((ready) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk))
    document.on('end', () => ready())
  })
  const faces = facesOf(document)
  const width = document.page.width - 2 * MARGIN
  const bottom = document.page.height - MARGIN - 2 * LINE
  const total = sheet.columns.reduce((sum, { share }) => sum + share, 0)

  const widthOf = (text: string, weight: Weight, size: number) =>
    runsOf(text, faces[weight]).reduce((sum, run) => {
      document.font(run.face).fontSize(size)
      return sum + document.widthOfString(run.text)
    }, 0)
  const draw = (text: string, x: number, y: number, weight: Weight, size: number) => {
    let at = x
    for (const run of runsOf(text, faces[weight])) {
      document.font(run.face).fontSize(size)
      document.text(run.text, at, y, { lineBreak: false, baseline: 'alphabetic' })
      at += document.widthOfString(run.text)
    }
  }
  /** Words into lines no wider than a column; a word that is wider is broken. */
  const linesOf = (text: string, most: number, weight: Weight, size: number): string[] => {
    const lines: string[] = []
    let line = ''
    for (const word of text.split(/\s+/).filter(Boolean)) {
      const longer = line === '' ? word : `${line} ${word}`
      if (widthOf(longer, weight, size) <= most) {
        line = longer
        continue
      }
      if (line !== '') lines.push(line)
      line = ''
      for (const character of word) {
        if (line !== '' && widthOf(line + character, weight, size) > most) {
          lines.push(line)
          line = ''
        }
        line += character
      }
    }
    return line === '' ? lines : [...lines, line]
  }

  let y = MARGIN + 16
  const rule = (at: number, weight: number) =>
    document
      .moveTo(MARGIN, at)
      .lineTo(MARGIN + width, at)
      .lineWidth(weight)
      .strokeColor('#1d3b2f')
      .stroke()
  const row = (cells: readonly string[], weight: Weight) => {
    let x = MARGIN
    const set = sheet.columns.map(({ share }, i) => {
      const wide = (width * share) / total
      const cell = { x, lines: linesOf(cells[i] ?? '', wide - 8, weight, TEXT) }
      x += wide
      return cell
    })
    const high = Math.max(1, ...set.map(({ lines }) => lines.length)) * LINE
    if (y + high > bottom) {
      document.addPage()
      y = MARGIN + 10
      head()
    }
    for (const { x: at, lines } of set)
      for (const [i, line] of lines.entries()) draw(line, at, y + i * LINE, weight, TEXT)
    y += high + 4
    rule(y - LINE + 3, 0.4)
  }
  const head = () =>
    row(
      sheet.columns.map(({ name }) => name),
      'strong',
    )
  document.fillColor('#111111')
  draw(sheet.title, MARGIN, y, 'strong', 18)
  y += 20
  draw(sheet.under, MARGIN, y, 'plain', 11)
  y += 26
  head()
  for (const { cells, strong } of sheet.rows) row(cells, strong ? 'strong' : 'plain')
  y += 12
  for (const text of sheet.foot)
    for (const line of linesOf(text, width, 'plain', TEXT)) {
      if (y > bottom) {
        document.addPage()
        y = MARGIN + 10
      }
      draw(line, MARGIN, y, 'plain', TEXT)
      y += LINE
    }
  if (y + 60 > bottom) {
    document.addPage()
    y = MARGIN
  }
  y += 46
  for (const [i, name] of sheet.sign.entries()) {
    const x = MARGIN + (i * width) / sheet.sign.length
    document
      .moveTo(x, y - 12)
      .lineTo(x + width / sheet.sign.length - 30, y - 12)
      .lineWidth(0.7)
      .stroke()
    draw(name, x, y, 'plain', TEXT)
  }
  const { count } = document.bufferedPageRange()
  for (let page = 0; page < count; page++) {
    document.switchToPage(page)
    draw(`${page + 1} of ${count}`, MARGIN + width - 40, document.page.height - MARGIN + 12, 'plain', 8)
  }
  document.end()
  await done
  return new Uint8Array(Buffer.concat(chunks))
}
