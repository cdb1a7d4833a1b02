import type { Problem } from '@/domain/problem/problem'
import { readStored, type StoredKind } from '@/domain/stored/stored'

/** A row whose document this release cannot read: kept as it is, and said. */
export interface Unreadable {
  readonly id: string
  readonly detail: string
}

/** The rows of a list that could be read, and those that could not. */
export interface Listed<Row> {
  readonly rows: readonly Row[]
  readonly unreadable: readonly Unreadable[]
}

/** Thrown where one document is asked for and cannot be read; the use cases answer it as a problem. */
export class UnreadableDocument extends Error {
  constructor(
    readonly id: string,
    readonly detail: string,
  ) {
    super(`${id} ${detail}`)
  }
}

/** Where and how it fails to be read, as the problem's own code. */
const detailOf = (problem: Problem | undefined): string =>
  problem === undefined
    ? 'malformed'
    : problem.code === 'version_unknown'
      ? `version ${problem.version}`
      : 'path' in problem && problem.path.length > 0
        ? `${problem.code} ${problem.path.join('.')}`
        : problem.code

type With<Row, Document> = Omit<Row, 'document'> & { document: Document }

/** A row with its document read. @throws UnreadableDocument */
export function typedRow<Row extends { readonly id: string; readonly document: unknown }, Document>(
  kind: StoredKind<Document>,
  row: Row,
): With<Row, Document> {
  const read = readStored(kind, row.document)
  if (!read.ok) throw new UnreadableDocument(row.id, detailOf(read.problems[0]))
  return { ...row, document: read.value }
}

/** Rows with their documents read; one that cannot be read takes none of the others with it. */
export function typedRows<Row extends { readonly id: string; readonly document: unknown }, Document>(
  kind: StoredKind<Document>,
  rows: readonly Row[],
): Listed<With<Row, Document>> {
  const unreadable: Unreadable[] = []
  const typed = rows.flatMap((row) => {
    try {
      return [typedRow(kind, row)]
    } catch (problem) {
      if (!(problem instanceof UnreadableDocument)) throw problem
      unreadable.push({ id: problem.id, detail: problem.detail })
      return []
    }
  })
  return { rows: typed, unreadable }
}
